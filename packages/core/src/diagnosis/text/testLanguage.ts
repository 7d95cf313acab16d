import type { LanguageFacts } from './language';

/** As much English as the tests need. */
export const testLanguage: LanguageFacts = {
  id: 'en',
  stemmer: 'english',
  fillers: 'a an the is are it its my i have there on in of at and or to for looks it plant everywhere',
  ordinary: 'morning finger put outside',
  clauseBreaks: ['but'],
  joiners: ['and'],
  clauseStarts: ['have', 'there'],
  negations: ['no', 'not', 'never', 'nothing', 'none'],
  softeners: ['only', 'sure'],
  idioms: ['not enough'],
  looks: ['looked'],
  guesses: ['says'],
  askers: ['is', 'are'],
  wellness: ['fine'],
  copulas: ['is', 'are'],
  parts: { leaf: ['leaf', 'leaves'], stem: ['stem', 'stems'] },
  events: { frost: ['frost', 'ice on the windscreen'], moved: ['put outside'] },
  same: {
    mould: ['mold', 'moldy', 'molds'],
    grey: ['gray'],
    dot: ['dots', 'speck', 'specks'],
    small: ['tiny', 'little'],
    patch: ['patches', 'blotch', 'blotches'],
    old: ['older', 'oldest'],
    powder: ['powdery', 'dust'],
    fuzz: ['fluff', 'fluffy'],
    leaves: ['leaf'],
  },
  onset: { overnight: ['overnight'], days: ['in a few days'], weeks: ['slowly'], season: ['all season'] },
};
