import { demoFinds, demoLeafMeasurements, demoRounds, demoThresholds, demoTraps } from './osierReachRounds';
import { demoNow, demoPlaces, demoPlantings, demoSettings } from './osierReach';
import { demoCases } from './osierReachCases';
import { compiledLibrary } from '../testServer';

const library = compiledLibrary();
const known = (list: readonly { id: string }[]) => new Set(list.map(({ id }) => id));
const [hosts, signs, conditions, interventions] = [library.hosts, library.signs, library.conditions, library.interventions].map(known);
const plantings = Object.entries(demoPlantings);
const today = demoNow.slice(0, 10);

test('everything in it is in the library', () => {
  for (const [, { host }] of plantings) expect(hosts).toContain(host);
  for (const { found, taken, decided, applied } of demoCases) {
    for (const [sign] of found) expect(signs).toContain(sign);
    for (const { for: causes } of taken) for (const cause of causes) expect(conditions).toContain(cause);
    for (const { intervention } of [...(decided ?? []), ...(applied ?? [])]) expect(interventions).toContain(intervention);
  }
  expect(library.regions.map(({ id }) => id)).toContain(demoSettings.region);
});

test('traps, rounds and measured leaves hold to the library and to the garden', () => {
  const places = Object.keys(demoPlaces);
  for (const { at, target, spots, read } of demoTraps) {
    expect(places).toContain(at);
    if (target) expect(conditions).toContain(target);
    const days = [spots[0]!.from, ...read.map(([on]) => on), today];
    expect(days).toEqual([...days].sort());
  }
  for (const { round, planting, stop } of demoFinds) {
    expect(demoRounds[round]).toBeDefined();
    expect(Object.keys(demoPlantings)).toContain(planting);
    for (const sign of stop.signs ?? []) expect(signs).toContain(sign);
  }
  for (const { planting, measuredAt } of demoLeafMeasurements) {
    expect(Object.keys(demoPlantings)).toContain(planting);
    expect(measuredAt < demoNow).toBe(true);
  }
  for (const { condition } of demoThresholds) expect(conditions).toContain(condition);
});

test('every planting stands in a place, every case on a planting', () => {
  for (const [, { at }] of plantings) expect(Object.keys(demoPlaces)).toContain(at);
  for (const { planting } of demoCases) expect(Object.keys(demoPlantings)).toContain(planting);
});

test('nothing lies after its clock', () => {
  for (const { opened, looks, applied, decided, closed } of demoCases)
    for (const day of [
      opened,
      closed?.on ?? opened,
      ...(looks ?? []).map(({ on }) => on),
      ...(applied ?? []).map(({ at }) => at),
      ...(decided ?? []).map(({ on }) => on),
    ])
      expect(day.slice(0, 10) <= today).toBe(true);
});

test('each story runs forward: opened, looked at, closed', () => {
  for (const { opened, looks, closed } of demoCases) {
    const days = (looks ?? []).map(({ on }) => on);
    expect(days).toEqual([...days].sort());
    expect(days.every((day) => day >= opened && (!closed || day <= closed.on))).toBe(true);
  }
});

describe('it tells of', () => {
  const withCause = (cause: string) => demoCases.filter(({ taken }) => taken.some(({ for: causes }) => causes.includes(cause)));

  test.each([
    ['leeks with rust', 'leek-rust'],
    ['leeks with leek moth', 'leek-moth'],
    ['garlic with white rot', 'allium-white-rot'],
    ['potatoes in a blight spell', 'late-blight'],
    ['cucumbers with spider mite', 'spider-mite'],
    ['beans with black aphid', 'black-bean-aphid'],
    ['strawberries with grey mould', 'grey-mould'],
    ['apples with codling moth', 'codling-moth'],
    ['dahlias with earwigs', 'earwig'],
    ['roses with black spot', 'rose-black-spot'],
    ['a monstera with thrips', 'thrips'],
    ['a hoya with soft scale', 'soft-scale'],
    ['seed trays with fungus gnats', 'fungus-gnat'],
    ['a shortage', 'magnesium-shortage'],
  ])('%s', (_, cause) => {
    expect(withCause(cause).length).toBeGreaterThan(0);
  });

  test('one case with two causes at once', () => {
    expect(demoCases.filter(({ taken }) => taken.at(-1)!.for.length === 2)).toHaveLength(1);
  });

  test('one that was taken for something else at first', () => {
    expect(demoCases.filter(({ taken }) => taken.length > 1).map(({ planting }) => planting)).toEqual(['monstera']);
  });

  test('one left alone rightly, one removed', () => {
    const outcomes = demoCases.map(({ closed }) => closed?.outcome);
    expect(outcomes).toEqual(expect.arrayContaining(['left-alone', 'removed', 'recovered']));
  });

  test('two rows left untreated to compare with', () => {
    expect(plantings.filter(([, { cultivar }]) => cultivar.includes('untreated'))).toHaveLength(2);
    for (const { planting, applied } of demoCases) if (planting.endsWith('Untreated')) expect(applied).toBeUndefined();
  });

  test('two seasons', () => {
    expect(new Set(demoCases.map(({ opened }) => opened.slice(0, 4)))).toEqual(new Set(['2025', '2026']));
  });
});
