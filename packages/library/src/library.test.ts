import { endpoints } from '@field-nurse/contract';
import { join } from 'node:path';
import { answerDifferential, answerOptions, UnknownName } from './answers/index';
import { crossCheck } from './crossCheck';
import { readLibrary } from './files';
import { findByName, searchByName } from './find';
import { hiding, onset, pattern, setting, stance } from './vocabulary';

const library = readLibrary(join(import.meta.dirname, '../data'));

test('is sound', () => {
  expect(crossCheck(library)).toEqual([]);
});

test('holds what the first release promises', () => {
  const diseases = library.conditions.filter(({ kind }) => ['fungus', 'oomycete', 'bacterium', 'virus'].includes(kind));
  expect(library.conditions.length).toBeGreaterThanOrEqual(45);
  expect(diseases.length).toBeGreaterThanOrEqual(library.conditions.length / 3);
  expect([library.hosts.length >= 35, library.signs.length >= 80, library.interventions.length >= 45, library.checks.length >= 20]).toEqual(
    [true, true, true, true],
  );
});

test('the cross-check finds a broken reference and a one-sided look-alike', () => {
  const [first, ...rest] = library.conditions;
  const broken = { ...library, conditions: [{ ...first!, checks: ['no-such-check'], lookalikes: [] }, ...rest] };
  expect(crossCheck(broken)).toContain(`${first!.id} names the unknown check no-such-check`);
});

test('the wire uses the same words as the entries', () => {
  const { shape } = endpoints.differential.body;
  expect(shape.setting.unwrap().options).toEqual(setting.options);
  expect(shape.onset.unwrap().options).toEqual(onset.options);
  expect(shape.pattern.unwrap().options).toEqual(pattern.options);
  expect(endpoints.options.body.shape.stance.options).toEqual(stance.options);
  expect(endpoints.options.body.shape.hidden.unwrap().options).toEqual(hiding.options);
});

test('names are found in any case', () => {
  expect(findByName(library.hosts, 'SPUDS')?.id).toBe('potato');
  expect(searchByName(library.signs, 'orange powder')[0]?.id).toBe('rust-pustules');
});

test.each([
  ['leek', 'orange powder on the leaves', 'leek-rust'],
  ['cucumber', 'tiny pale dots, fine webbing underneath, not sticky', 'spider-mite'],
  ['monstera', 'silvery patches with tiny black dots', 'thrips'],
  ['spuds', 'brown wet patches spreading fast, white fuzz around brown patch', 'late-blight'],
  ['hoya', 'brown lumps on the stem, sticky leaves, no cotton', 'soft-scale'],
  ['rose', 'black blotchs with feathery edges', 'rose-black-spot'],
  ['garlic', 'white fluff at the base of the bulb', 'allium-white-rot'],
])('%s: “%s” is %s', (host, text, condition) => {
  expect(answerDifferential(library, { host, text, month: 7 }).ranked[0]?.condition).toBe(condition);
});

const beans = { host: 'climbing-bean', conditions: ['blackfly'], setting: 'outdoor', stance: 'organic' } as const;
const verdictOf = (request: Parameters<typeof answerOptions>[1], id: string) => {
  const option = answerOptions(library, request).options.find((one) => one.id === id)!;
  return [option.verdict, ...option.reasons.map(({ code }) => code)];
};

test('rules judge for this planting today', () => {
  const base = { ...beans, conditions: [...beans.conditions] };
  expect(verdictOf({ ...base, inFlower: true, daysToHarvest: 9 }, 'pyrethrins')).toEqual(['ruled-out', 'bees']);
  expect(verdictOf({ ...base, daysToHarvest: 0 }, 'pyrethrins')).toContain('harvest');
  expect(verdictOf({ ...base, temperatureC: 31 }, 'insecticidal-soap')).toContain('too-hot');
  expect(verdictOf({ ...base, recent: [{ ingredient: 'insecticidal-soap', daysAgo: 2 }] }, 'insecticidal-soap')).toContain('too-soon');
  expect(verdictOf({ ...base, stance: 'hands' }, 'insecticidal-soap')).toContain('stance');
  expect(verdictOf(base, 'acetamiprid')).toContain('stance');
  expect(verdictOf({ ...base, helpersSeen: true }, 'leave-to-helpers')).toEqual(['fits', 'helpers-at-work']);
});

test('behind a notifiable suspect every option is closed', () => {
  const { options, alerts } = answerOptions(library, { host: 'pear', conditions: ['fire-blight'], setting: 'outdoor', stance: 'protect' });
  expect(options.every(({ verdict }) => verdict === 'ruled-out')).toBe(true);
  expect(alerts[0]).toMatchObject({ code: 'notifiable' });
});

test('an unknown name says which field holds it', () => {
  expect(() => answerDifferential(library, { host: 'triffid' })).toThrow(UnknownName);
});
