import { conditionKind, evidence, hiding, onset, part, pattern, rung, setting, stance } from '@field-nurse/library';
import { goKeys, navigation } from '../shell/navigation';
import * as words from './words';
import { reference as library } from '../testing/reference';

// A gardener never meets an id: every controlled word has one of ours.
test.each([
  ['settings', setting.options, words.settingWords],
  ['parts', part.options, words.partWords],
  ['kinds', conditionKind.options, words.kindWords],
  ['onsets', onset.options, words.onsetWords],
  ['patterns', pattern.options, words.patternWords],
  ['hiding places', hiding.options, words.hidingWords],
  ['grades of evidence', evidence.options, words.evidenceWords],
  ['rungs', rung.options, words.rungWords],
  ['stances', stance.options, words.stanceWords],
] as const)('%s are all named, and nothing else is', (_, options, named) => {
  expect(Object.keys(named).sort()).toEqual([...options].sort());
});

test('the ladder is climbed in the order of its words', () => {
  expect(Object.keys(words.rungWords)).toEqual(rung.options);
});

test('what a card asks to wear is named', () => {
  const asked = new Set(library.interventions.flatMap(({ protect }) => protect));
  expect([...asked].filter((one) => !words.protectWords[one])).toEqual([]);
});

test('the advice defers to label, local rules and licensed people', () => {
  expect(words.advice).toMatch(/label.*local rules.*licensed/);
});

test('every view has a key of its own', () => {
  expect(goKeys.size).toBe(navigation.length);
  expect(new Set(navigation.map(({ key }) => key)).size).toBe(navigation.length);
});
