import fc from 'fast-check';
import { audpc, audps, relativeArea } from './areaUnderCurve';
import { progress } from './progress';
import { expectedSeverity, fitProgress } from './progressModel';
import { daysToNextLook, recoveryStatus } from './status';

const readings = [
  { day: 0, severity: 10 },
  { day: 5, severity: 20 },
  { day: 10, severity: 40 },
];

test('areas worked by hand', () => {
  expect(audpc(readings)).toBe(225); // 5·15 + 5·30
  expect(audps(readings)).toBe(350); // 225 + 25·10/2
  expect(relativeArea(readings)).toBe(0.225);
});

test('one reading has no area', () => {
  expect(audpc([{ day: 0, severity: 9 }])).toBe(0);
  expect(audps([{ day: 0, severity: 9 }])).toBeUndefined();
});

test('days must ascend and severity is a percentage', () => {
  expect(() => audpc([readings[1]!, readings[0]!])).toThrow('got 5 then 0');
  expect(() => audpc([{ day: 0, severity: 101 }])).toThrow('got 101');
});

test('a logistic curve is found again', () => {
  const points = [0, 4, 8, 12].map((day) => ({ day, severity: 100 / (1 + Math.exp(-(-3 + 0.4 * day))) }));
  const fit = fitProgress(points, 'logistic')!;
  expect(fit.rate).toBeCloseTo(0.4, 9);
  expect(expectedSeverity(fit, 12)).toBeCloseTo(points[3]!.severity, 6);
});

test('progress counts days on the calendar', () => {
  expect(
    progress([
      { date: '2026-02-27', severity: 10 },
      { date: '2026-03-01', severity: 10 },
    ]).audpc,
  ).toBe(20);
});

test('more severity never gives a smaller area', () => {
  fc.assert(
    fc.property(fc.array(fc.integer({ min: 0, max: 90 }), { minLength: 2, maxLength: 9 }), (severities) => {
      const series = (extra: number) => severities.map((severity, day) => ({ day, severity: severity + extra }));
      expect(audpc(series(10))).toBeGreaterThan(audpc(series(0)));
    }),
  );
});

test.each([
  ['first-look', []],
  [
    'recovering',
    [
      { day: 0, severity: 20, newGrowth: 'marked' },
      { day: 5, severity: 19, newGrowth: 'clean' },
    ],
  ],
  [
    'relapsing',
    [
      { day: 0, severity: 10, count: 4, newGrowth: 'clean' },
      { day: 5, severity: 10, count: 9, newGrowth: 'clean' },
    ],
  ],
  [
    'level',
    [
      { day: 0, severity: 20, newGrowth: 'clean' },
      { day: 5, severity: 21, newGrowth: 'clean' },
    ],
  ],
  [
    'clear',
    [
      { day: 0, severity: 20, count: 0, newGrowth: 'clean' },
      { day: 5, severity: 20, count: 0, newGrowth: 'clean' },
    ],
  ],
] as const)('old scars do not decide: %s', (status, looks) => {
  expect(recoveryStatus(looks)).toBe(status);
});

test('a relapse brings the next look nearer', () => {
  expect(['relapsing', 'level', 'clear'].map((status) => daysToNextLook(status as 'level', 6))).toEqual([3, 6, 12]);
});
