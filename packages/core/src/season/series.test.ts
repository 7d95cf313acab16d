import fc from 'fast-check';
import { compileSeries } from '../../scripts/compileSeries';
import { series } from './series';
import type { SeriesRates } from './series';
import { seriesBytes } from './seriesBytes';

const share = fc.double({ min: 0.01, max: 0.98, noNaN: true });
const anyStage = fc.record({ substages: fc.integer({ min: 1, max: 9 }), moving: share, surviving: share });
const anyPopulation = fc.record({
  stages: fc.array(anyStage, { minLength: 1, maxLength: 5 }),
  lay: fc.double({ min: 0, max: 2, noNaN: true }),
  arrivals: fc.double({ min: 0, max: 1, noNaN: true }),
  events: fc.double({ min: 0.01, max: 6, noNaN: true }),
  arriveAt: fc.nat(4),
  seed: fc.double({ min: 0, max: 100, noNaN: true }),
});
type AnyPopulation = typeof anyPopulation extends fc.Arbitrary<infer T> ? T : never;

const terms = 60;

function ratesOf({ stages, lay, arrivals, events, arriveAt }: AnyPopulation): SeriesRates {
  const firsts = Int32Array.from([0, ...stages.map((_, i) => stages.slice(0, i + 1).reduce((sum, { substages }) => sum + substages, 0))]);
  return {
    firsts,
    // What survives an event moves on or stays.
    on: Float64Array.from(stages, ({ moving, surviving }) => moving * surviving),
    stay: Float64Array.from(stages, ({ moving, surviving }) => (1 - moving) * surviving),
    entry: firsts[arriveAt % stages.length]!,
    lay,
    arrivals,
    events,
    terms,
  };
}

/** The same by the whole matrix of what an event does, with the outside as one more row, and its powers term by term. */
function byMatrix(state: Float64Array, { firsts, on, stay, entry, lay, arrivals, events }: SeriesRates): number[] {
  const size = state.length;
  const matrix = Array.from({ length: size + 1 }, () => new Float64Array(size + 1));
  on.forEach((_, i) => {
    for (let j = firsts[i]!; j < firsts[i + 1]!; j++) {
      matrix[j]![j]! += stay[i]!;
      if (j + 1 < size) matrix[j + 1]![j]! += on[i]!;
      if (i === on.length - 1) matrix[0]![j]! += lay;
    }
  });
  matrix[entry]![size]! += arrivals;
  matrix[size]![size] = 1;
  let power = [...state, 1];
  let weight = Math.exp(-events);
  const sum = power.map((value) => value * weight);
  for (let n = 1; n <= terms; n++) {
    power = matrix.map((row) => row.reduce((total, share, j) => total + share * power[j]!, 0));
    weight *= events / n;
    power.forEach((value, j) => (sum[j]! += value * weight));
  }
  return sum.slice(0, size);
}

const starting = ({ stages, seed }: AnyPopulation) =>
  Float64Array.from(
    { length: stages.reduce((sum, { substages }) => sum + substages, 0) },
    (_, j) => seed * (0.1 + Math.abs(Math.sin(j + 1))),
  );

test('what is compiled is what is written', () => {
  expect(compileSeries()).toBe(seriesBytes);
});

test('it is the sum of the powers of a matrix', () => {
  fc.assert(
    fc.property(anyPopulation, (drawn) => {
      const rates = ratesOf(drawn);
      const state = starting(drawn);
      const expected = byMatrix(state, rates);
      series(state, rates);
      // Lengths, too: the room for it is larger than the population.
      expect(state).toHaveLength(expected.length);
      state.forEach((count, j) => expect(Math.abs(count - expected[j]!)).toBeLessThanOrEqual(1e-10 * Math.max(expected[j]!, 1e-6)));
    }),
    { numRuns: 300 },
  );
});

test('populations do not meet, whatever their size and whoever came before', () => {
  const of = (substages: number) => {
    const drawn = { stages: [{ substages, moving: 0.4, surviving: 0.9 }], lay: 0.1, arrivals: 0.2, events: 3, arriveAt: 0, seed: 7 };
    return { rates: ratesOf(drawn), state: starting(drawn) };
  };
  const alone = of(4);
  series(alone.state, alone.rates);
  // Larger than a page of memory, and then small again.
  const large = of(20_000);
  const whole = byBands(large.state, large.rates);
  series(large.state, large.rates);
  for (const j of [0, 1, 9_999, 19_999]) expect(large.state[j]).toBeCloseTo(whole[j]!, 8);
  const again = of(4);
  series(again.state, again.rates);
  expect(again.state).toEqual(alone.state);
});

/** One stage, without its matrix. */
function byBands(state: Float64Array, { on, stay, lay, arrivals, events }: SeriesRates): number[] {
  let power = [...state];
  let weight = Math.exp(-events);
  const sum = power.map((value) => value * weight);
  for (let n = 1; n <= terms; n++) {
    const adults = power.reduce((total, value) => total + value, 0);
    power = power.map((value, j) => stay[0]! * value + (j === 0 ? lay * adults + arrivals : on[0]! * power[j - 1]!));
    weight *= events / n;
    power.forEach((value, j) => (sum[j]! += value * weight));
  }
  return sum;
}
