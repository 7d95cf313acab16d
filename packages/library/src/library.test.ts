import { endpoints } from '@field-nurse/contract';
import { join } from 'node:path';
import { answerDifferential, answerOptions } from './answers/index';
import { crossCheck } from './crossCheck';
import { readLibrary } from './files';
import { library as compiled } from './testLibrary';
import { findByName, searchByName } from './names/find';
import { reportOn } from './report';
import { hiding, onset, pattern, setting, stance } from './vocabulary';

const library = readLibrary(join(import.meta.dirname, '../data'));

test('what was compiled last is what the files say: npm run library', () => {
  expect(compiled.version).toContain(`${library.version}-`);
  expect({ ...compiled, version: library.version }).toEqual(JSON.parse(JSON.stringify(library)));
});

test('is sound', () => {
  expect(crossCheck(library)).toEqual([]);
});

test('holds what it promises', () => {
  const { conditions, hosts, signs, interventions, checks } = library;
  const diseases = conditions.filter(({ kind }) => ['fungus', 'oomycete', 'bacterium', 'virus', 'nematode'].includes(kind));
  expect(conditions.length).toBeGreaterThanOrEqual(220);
  expect(diseases.length).toBeGreaterThanOrEqual(80);
  expect(hosts.length).toBeGreaterThanOrEqual(130);
  expect(signs.length).toBeGreaterThanOrEqual(160);
  expect(interventions.length).toBeGreaterThanOrEqual(120);
  expect(checks.length).toBeGreaterThanOrEqual(60);
});

test('every condition has a look-alike or is like nothing else, a summary of its own, and a way to act or to leave it', () => {
  const { conditions } = library;
  expect(new Set(conditions.map(({ summary }) => summary)).size).toBe(conditions.length);
  expect(conditions.filter(({ treat }) => treat.length === 0).map(({ id }) => id)).toEqual([]);
  expect(conditions.filter(({ signs }) => !Object.values(signs).includes('always')).map(({ id }) => id)).toEqual([]);
});

test('what a page says of a trouble is sentences: no stray marks, each beginning and ending as one', () => {
  const odd = library.conditions.flatMap(({ id, summary, persistence, spread, prevention, threshold, stages, lookalikes }) =>
    [
      summary,
      persistence,
      spread,
      ...prevention,
      threshold.act,
      threshold.basis,
      ...stages.map(({ does }) => does),
      ...lookalikes.map(({ tell }) => tell),
    ]
      .filter((words) => !/^[A-Z0-9“].*[.!?)]$/.test(words) || /[|{}[\]<>]|\s{2}/.test(words))
      .map((words) => `${id}: ${words}`),
  );
  expect(odd).toEqual([]);
});

test('how a trouble stays is told in more than two words', () => {
  expect(library.conditions.filter(({ persistence }) => persistence.split(' ').length < 3).map(({ id }) => id)).toEqual([]);
});

test('a question on which growers differ has two schools that differ, and a default that says why', () => {
  const disputes = [...library.conditions, ...library.interventions].flatMap((one) => one.disputes);
  expect(disputes.length).toBeGreaterThanOrEqual(40);
  expect(new Set(disputes.map(({ id }) => id)).size).toBe(disputes.length);
  for (const { question, schools, default: ours, why } of disputes) {
    expect(question).toMatch(/\?$/);
    expect(new Set(schools.map(({ view }) => view)).size).toBe(schools.length);
    expect(new Set([...schools.map(({ reason }) => reason), ours, why]).size).toBe(schools.length + 2);
  }
});

test('two conditions that share a host and every sign are told by the cross-check', () => {
  const [first, ...rest] = library.conditions;
  const twin = { ...first!, id: 'twin', lookalikes: [] };
  expect(crossCheck({ ...library, conditions: [first!, twin, ...rest] })).toContain(
    `${first!.id} and twin can't be told apart by any sign`,
  );
});

test('the report says how many troubles each plant has, and what stands alone', () => {
  const report = reportOn(library);
  expect(report).toContain('Tomato');
  expect(report).toMatch(/signs that only one condition shows: \d+/i);
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
  expect(verdictOf({ ...base, inFlower: true, daysToHarvest: 9 }, 'pyrethrins')).toContain('bees');
  expect(verdictOf({ ...base, daysToHarvest: 0 }, 'pyrethrins')).toContain('harvest');
  expect(verdictOf({ ...base, temperatureC: 31 }, 'insecticidal-soap')).toContain('too-hot');
  expect(verdictOf({ ...base, recent: [{ ingredient: 'insecticidal-soap', daysAgo: 2 }] }, 'insecticidal-soap')).toContain('too-soon');
  expect(verdictOf({ ...base, stance: 'hands' }, 'insecticidal-soap')).toContain('stance');
  expect(verdictOf(base, 'acetamiprid')).toContain('stance');
  expect(verdictOf({ ...base, helpersSeen: true }, 'leave-to-helpers')).toEqual(['fits', 'helpers-at-work']);
});

test('an unknown name says which field holds it', () => {
  expect(() => answerDifferential(library, { host: 'triffid' })).toThrow('The library knows no');
});
