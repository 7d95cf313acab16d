import { requireTrial, trySeason } from '@field-nurse/core/season';
import type { PestTrouble, SeasonDay } from '@field-nurse/core/season';
import { seasonModelOf, seasonQuestion, troubleOf } from '.';
import type { SeasonAsked } from '.';
import { seasonFaults } from './seasonFaults.js';
import { library } from '../testLibrary.js';

const asked = (
  condition: string,
  host: string,
  change: Partial<SeasonAsked> = {},
  setting: 'outdoor' | 'greenhouse' | 'indoor' = 'outdoor',
): SeasonAsked => ({
  condition,
  options: { host, conditions: [condition], setting, stance: 'organic', region: 'neutral', plants: 12, month: 6, hemisphere: 'north' },
  start: '2026-06-01',
  days: 90,
  known: [],
  seen: 0,
  ageDays: 20,
  ...change,
});
/** One of each kind: how it lives, where, and what of a crop is usually left of it when nothing is done. */
const kinds = [
  { kind: 'aphid', asked: asked('black-bean-aphid', 'climbing-bean', { seen: 5 }), kept: [0.2, 0.7] },
  {
    kind: 'whitefly',
    asked: asked('glasshouse-whitefly', 'tomato', { seen: 1, start: '2026-05-15', days: 120 }, 'greenhouse'),
    kept: [0.3, 0.9],
  },
  { kind: 'spider mite', asked: asked('spider-mite', 'cucumber', { seen: 3 }, 'greenhouse'), kept: [0.2, 1] },
  { kind: 'thrips', asked: asked('thrips', 'monstera', { seen: 6, days: 120 }, 'indoor'), kept: [0.3, 0.9] },
  { kind: 'mealybug', asked: asked('mealybug', 'hoya', { seen: 5, start: '2026-03-01', days: 150 }, 'indoor'), kept: [0.2, 0.7] },
  { kind: 'two broods', asked: asked('cabbage-white', 'cabbage', { start: '2026-05-01', days: 130 }), kept: [0.3, 0.9] },
  { kind: 'borer in fruit', asked: asked('codling-moth', 'apple', { start: '2026-04-15', days: 150 }), kept: [0.4, 0.95] },
  { kind: 'flea beetle', asked: asked('flea-beetle', 'radish', { start: '2026-04-20', days: 40, ageDays: 0 }), kept: [0.4, 0.9] },
  { kind: 'vine borer', asked: asked('squash-vine-borer', 'courgette', { start: '2026-05-20', days: 110 }), kept: [0.2, 0.9] },
  { kind: 'bagworm', asked: asked('bagworm', 'arborvitae', { start: '2026-05-20', days: 120 }), kept: [0.5, 0.95] },
  { kind: 'mildew', asked: asked('powdery-mildew', 'courgette', { start: '2026-06-15' }), kept: [0.4, 0.9] },
  { kind: 'blight', asked: asked('late-blight', 'potato', { start: '2026-06-15', days: 80 }), kept: [0.15, 0.7] },
  { kind: 'rust', asked: asked('leek-rust', 'leek', { start: '2026-06-15', days: 120, seen: 0.005 }), kept: [0.6, 0.97] },
] as const;

test('the library’s models are sound, and each says where its numbers come from', () => {
  expect(seasonFaults(library)).toEqual([]);
  expect(library.seasonModels.length).toBeGreaterThanOrEqual(13);
  for (const { basis } of library.seasonModels) expect(basis.join(' ')).toMatch(/\b(19|20)\d\d\b|estimate|handbooks/);
});

test('faults are found: a stage that is not there, two models for one, what sets out no animals', () => {
  const aphid = library.seasonModels.find((one): one is typeof one & { kind: 'pest' } => one.conditions.includes('green-aphid'))!;
  const broken = {
    ...aphid,
    stages: [{ ...aphid.stages[0]!, id: 'moths' }, aphid.stages[1]!],
    enemies: { ...aphid.enemies!, released: { sulphur: 2 } },
  };
  const faults = seasonFaults({ ...library, seasonModels: [...library.seasonModels, broken] }).join('\n');
  for (const words of ['green-aphid has two models', 'unknown stage moths', 'releases sulphur', 'there is no nymphs'])
    expect(faults).toContain(words);
});

describe.each(kinds)('$kind', ({ asked: question, kept }) => {
  const season = seasonQuestion(library, question)!;
  const runs = 40;
  requireTrial(season.trial, runs);
  const tried = season.strategies.map((strategy) => trySeason(season.trial, strategy, runs, 1));

  test('left alone it takes about what it usually takes', () => {
    expect(tried[0]!.kept.p50).toBeGreaterThanOrEqual(kept[0]);
    expect(tried[0]!.kept.p50).toBeLessThanOrEqual(kept[1]);
  });

  test('whatever is done keeps no less than nothing does, and something keeps much of what is lost', () => {
    for (const one of tried) expect(one.kept.p50).toBeGreaterThanOrEqual(tried[0]!.kept.p50 - 0.02);
    expect(Math.max(...tried.map((one) => one.kept.p50))).toBeGreaterThan(tried[0]!.kept.p50 + 0.3 * (1 - tried[0]!.kept.p50));
  });

  test('schools use what is theirs', () => {
    const rungs = new Map(library.interventions.map(({ id, rung, organic }) => [id, { rung, organic }]));
    for (const { id, actions } of season.strategies)
      for (const action of actions) {
        if (id === 'hands') expect(rungs.get(action.id)!.rung).toBe('hand');
        if (id === 'organic') expect(rungs.get(action.id)!.organic).toBe(true);
      }
    expect(season.open.length).toBeGreaterThan(2);
  });
});

describe('rates of increase at constant warmth', () => {
  /** What a growing population gains in a day at a warmth, as the logarithm: the intrinsic rate of increase. */
  const rate = (condition: string, celsius: number) => {
    const entry = seasonModelOf(library, condition)!;
    const pest = troubleOf(entry as Exclude<typeof entry, { kind: 'ground' }>) as PestTrouble;
    const model: PestTrouble = { ...pest, enemies: undefined, arrivals: undefined, crowdedAt: 1e9 };
    const question = seasonQuestion(library, { ...asked(condition, 'rose', { seen: 1, days: 60 }, 'outdoor'), model })!;
    const day: SeasonDay = { meanC: celsius, rainMm: 0, wetHours: 0 };
    const known = Array.from({ length: 60 }, (_, i) => ({ ...day, day: new Date(Date.UTC(2026, 5, 1 + i)).toISOString().slice(0, 10) }));
    const trial = { ...question.trial, calendar: { ...question.trial.calendar, known }, fitted: [{ chances: asIs }] };
    const { band } = trySeason(trial, question.strategies[0]!, 1, 1);
    return Math.log(band[59]!.p50 / band[39]!.p50) / 20;
  };
  const asIs = { deaths: 1, breeding: 1, arrivals: 1, helpers: 1, harm: 1, beginning: 1, effect: 0.5 };

  // Life tables: an aphid 0.2 to 0.35 a day at 20 °C (reviewed by Dixon 1998, Aphid Ecology), the two-spotted mite 0.2 to 0.3 at 25 °C (Sabelis 1985, in
  // Spider Mites 1A), a moth of cabbage 0.05 to 0.2 at 20 °C: field deaths are in our figures, so that they lie low in these ranges.
  test.each([
    ['green-aphid', 20, 0.18, 0.35],
    ['spider-mite', 25, 0.18, 0.3],
    ['cabbage-white', 20, 0.02, 0.15],
    ['glasshouse-whitefly', 22, 0.05, 0.16],
    ['western-flower-thrips', 25, 0.1, 0.25],
  ])('%s at %d °C', (condition, celsius, least, most) => {
    const r = rate(condition, celsius);
    expect(r).toBeGreaterThan(least);
    expect(r).toBeLessThan(most);
  });
});

test('the ground is no trouble of leaves, and what the library has no model of is not tried', () => {
  expect(seasonQuestion(library, asked('allium-white-rot', 'onion'))).toBeUndefined();
  expect(seasonQuestion(library, asked('slugs', 'lettuce'))).toBeUndefined();
});

test('a harvest near at hand bars what waits before it; numbers of one’s own take the place of the library’s', () => {
  const question = seasonQuestion(library, asked('late-blight', 'potato', { harvestDay: 0, plantValue: 9, hourPrice: 0 }))!;
  expect(question.trial).toMatchObject({ plantValue: 9, hourPrice: 0, harvestDay: 0 });
  const protect = question.strategies.find(({ id }) => id === 'protect')!;
  expect(trySeason(question.trial, protect, 5, 1).sprays).toBeLessThan(
    trySeason({ ...question.trial, harvestDay: undefined }, protect, 5, 1).sprays,
  );
  const model = { ...(question.trial.model as Extract<typeof question.trial.model, { kind: 'disease' }>), spreadPerDay: 0 };
  expect(seasonQuestion(library, asked('late-blight', 'potato', { model }))!.trial.model).toBe(model);
});
