import { RunBands } from './runBands.js';

test('a band is the tenth, the half and nine tenths of the runs, for each day and stage', () => {
  const bands = new RunBands(11, 2, 2);
  for (let run = 0; run < 11; run++) bands.add(run, Float64Array.of(run, 100, 10 - run, 2 * run));
  expect(bands.of(0)).toEqual([
    { day: 0, p10: 1, p50: 5, p90: 9 },
    { day: 1, p10: 1, p50: 5, p90: 9 },
  ]);
  expect(bands.of(1)).toEqual([
    { day: 0, p10: 100, p50: 100, p90: 100 },
    { day: 1, p10: 2, p50: 10, p90: 18 },
  ]);
});

test('up to what is kept every run counts; of more, the first stand for all', () => {
  const among = (runs: number) => {
    const bands = new RunBands(runs, 400, 12);
    for (let run = 0; run < runs; run++) bands.add(run, new Float64Array(400 * 12).fill(run));
    return bands.of(7).at(-1)!;
  };
  expect(among(500).p10).toBeCloseTo(49.9);
  expect(among(500).p90).toBeCloseTo(449.1);
  expect(among(2000)).toEqual(among(500));
});

test('memory does not grow with runs', () => {
  const sizeOf = (runs: number) => {
    const before = process.memoryUsage().arrayBuffers;
    const bands = new RunBands(runs, 180, 5);
    const after = process.memoryUsage().arrayBuffers;
    bands.add(0, new Float64Array(900));
    return after - before;
  };
  expect(sizeOf(2000)).toBeLessThan(9e6);
  expect(sizeOf(2_000_000)).toBeLessThan(9e6);
});
