import type { Reason } from '@field-nurse/core/treatment';
import { ago, days, hours, settingWord, times } from './countedWords.js';

type Facts = NonNullable<Reason['facts']>;

const stanceWords: Readonly<Record<string, string>> = { hands: 'hands only', organic: 'organic' };
const hidingWords: Readonly<Record<string, string>> = {
  'rolled-leaf': 'inside a rolled leaf',
  mine: 'inside the leaf',
  stem: 'inside the stem',
  root: 'in the soil or root',
  case: 'inside a case',
  wax: 'under wax',
};

const sentences: Readonly<Record<Reason['code'], (facts: Facts) => string>> = {
  notifiable: (f) => `${f['condition']} must be reported: call ${f['authority']} before anything is done.`,
  'forbidden-here': (f) => `Not allowed in this region: ${f['why']}.`,
  restricted: (f) => `Restricted: ${f['why']}. No mixing instruction is given here.`,
  stance: (f) => `This garden works ${stanceWords[String(f['stance'])] ?? f['stance']}. Change the stance in Settings to lift this.`,
  'softer-first': () => 'This garden tries softer ways first; take it if they have failed.',
  bees: () => 'Harms bees, and the planting is in flower. Possible again when flowering is over.',
  'bees-care': () => 'In flower: only at dusk, when no bee flies, and not onto open flowers.',
  'not-on-eaten': () => 'Not for plants that are eaten.',
  harvest: (f) => `Needs ${days(f['days'])} before harvest, and harvest is in ${days(f['left'])}.`,
  'harvest-close': (f) => `Nothing may be picked for ${days(f['days'])} after. Say when the next harvest is.`,
  'too-hot': (f) => `Above ${f['most']} °C it burns leaves or fails, and ${f['now']} °C is expected.`,
  'too-cold': (f) => `Works from ${f['least']} °C, and it is ${f['now']} °C.`,
  setting: (f) => `Not for ${settingWord(f['setting'])}.`,
  stage: (f) => `Acts on ${stageWords(f['works'])}, and not on ${stageWords(f['now'])}, which is what there is now.`,
  'stage-unknown': (f) => `Acts on ${stageWords(f['works'])} only: find out which stage there is now.`,
  shielded: (f) => `The target is ${hidingWords[String(f['by'])] ?? f['by']}, where this hardly reaches it.`,
  'too-soon': (f) => `Used ${ago(f['daysAgo'])}; at least ${days(f['interval'])} apart. Possible in ${days(f['wait'])}.`,
  'season-max': (f) => `Already used ${times(f['max'])} this season, which is the most.`,
  apart: (f) => `${f['other']} was used ${ago(f['daysAgo'])}, and ${days(f['days'])} must lie between: ${f['why']}.`,
  rotate: (f) => `Same mode of action (${f['group']}) as ${ago(f['daysAgo'])}: change the group, or resistance builds up.`,
  'host-burns': (f) => `Harms this plant: ${f['why']}.`,
  'host-marks': (f) => `May mark this plant: ${f['why']}. Test three leaves and wait two days.`,
  helpers: (f) =>
    f['harm'] === 'serious'
      ? 'Kills the helpers that were seen; the pest often comes back faster.'
      : 'Kills some of the helpers that were seen: treat only the worst shoots.',
  rain: (f) => `Rain is due in ${hours(f['hours'])} and it needs ${hours(f['needs'])} dry.`,
  wind: (f) => `Wind of ${f['kmh']} km/h carries spray away: wait for a calm hour.`,
  'weak-evidence': (f) =>
    f['grade'] === 'folk' ? 'Folk practice: hardly tested. Try it on a few plants first.' : 'The evidence for it is weak.',
  'helpers-at-work': () => 'Helpers were seen at work.',
  'no-helpers': () => 'No helpers have been seen yet: look for them first.',
  'not-ripe': (f) => `Harvest is in ${days(f['left'])}: too early to pick.`,
  'nothing-to-pick': () => 'This planting is not picked to eat.',
  'ripe-unknown': () => 'Only if it is ripe or nearly so: say when the next harvest is.',
  'frost-near': (f) => `Frost is expected in ${days(f['days'])} and ends it.`,
  'covers-part': (f) => `Acts on ${f['covered']} of the ${f['of']} causes; combine it.`,
};

/** The reason as one sentence for the grower. */
export function reasonText({ code, facts = {} }: Reason): string {
  return sentences[code](facts);
}

const stagePlurals: Readonly<Record<string, string>> = {
  egg: 'eggs',
  larva: 'larvae',
  nymph: 'young ones',
  pupa: 'pupae',
  adult: 'adults',
  spore: 'spores that have not yet got in',
  lesion: 'spots that are there',
};
const stageWords = (kinds: unknown) =>
  String(kinds)
    .split(' and ')
    .map((kind) => stagePlurals[kind] ?? kind)
    .join(' and ');
