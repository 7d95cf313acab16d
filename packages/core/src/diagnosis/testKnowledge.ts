import type { ConditionFacts, Knowledge } from './knowledge';
import { testLanguage } from './text/testLanguage';

const condition = (id: string, signs: ConditionFacts['signs'], rest: Partial<ConditionFacts> = {}): ConditionFacts => ({
  id,
  name: id,
  kind: 'insect',
  role: 'primary',
  common: 'common',
  hosts: { often: ['bean'], sometimes: [], seldom: [] },
  settings: ['outdoor'],
  months: [6, 7],
  onset: 'days',
  patterns: ['patches'],
  signs,
  treat: [{ intervention: `treat-${id}` }],
  ...rest,
});

/** A small made-up library, just large enough to reason about. */
export const testKnowledge: Knowledge = {
  hosts: [{ id: 'bean', name: 'Bean', names: ['beans'], family: 'fabaceae', kind: 'vegetable' }],
  signs: [
    { id: 'webs', name: 'Fine webbing', part: 'leaf', words: ['webs', 'fine silk'], common: 'telling' },
    { id: 'sticky', name: 'Sticky leaves', part: 'leaf', words: ['sticky', 'sticky shine'], common: 'now-and-then' },
    { id: 'dots', name: 'Pale stippling', part: 'leaf', words: ['pale dots', 'stippling'], common: 'now-and-then' },
    { id: 'dust', name: 'Orange dust', part: 'leaf', words: ['orange powder', 'rusty spots'], common: 'telling' },
  ],
  conditions: [
    condition('mite', { webs: 'often', dots: 'always', sticky: 'never' }),
    condition('aphid', { sticky: 'always', dots: 'seldom' }),
    condition('rust', { dust: 'always' }, { kind: 'fungus', months: [7, 8] }),
    condition('gnat', { sticky: 'sometimes' }, { hosts: { often: ['pear'], sometimes: [], seldom: [] } }),
  ],
  checks: [
    { id: 'lens', name: 'Lens', minutes: 2, harm: 'none', reveals: ['webs', 'dots'] },
    { id: 'touch', name: 'Touch', minutes: 1, harm: 'none', reveals: ['sticky'] },
  ],
  languages: [testLanguage],
};
