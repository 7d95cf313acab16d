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

describe('status', () => {
  const first = { day: 0, severity: 20, count: 10, newGrowth: 'marked' } as const;
  const after = (change: object) => recoveryStatus([first, { ...first, day: 7, ...change }]);

  test.each([
    ['nothing noticeable', {}, 'level'],
    ['three points up is within what eyes can tell', { severity: 23 }, 'level'],
    ['four points up', { severity: 24 }, 'relapsing'],
    ['four points down', { severity: 16 }, 'recovering'],
    ['a quarter more counted is within the noise', { count: 12 }, 'level'],
    ['half more counted', { count: 15 }, 'relapsing'],
    ['half counted', { count: 5 }, 'recovering'],
    ['clean new growth after marked', { newGrowth: 'clean' }, 'recovering'],
    ['worse, though new growth is clean', { severity: 40, newGrowth: 'clean' }, 'relapsing'],
    ['no count this time', { count: undefined }, 'level'],
  ] as const)('%s', (_, change, expected) => {
    expect(after(change)).toBe(expected);
  });

  test('none after none is no rise, one after none is', () => {
    const none = { ...first, count: 0 };
    expect(recoveryStatus([none, { ...none, day: 7 }])).toBe('level');
    expect(recoveryStatus([none, { ...none, day: 7, count: 1 }])).toBe('relapsing');
  });

  test('one clean look does not clear a plant, two do', () => {
    const clean = { day: 7, severity: 18, count: 0, newGrowth: 'clean' } as const;
    expect(recoveryStatus([first, clean])).toBe('recovering');
    expect(recoveryStatus([first, clean, { ...clean, day: 14 }])).toBe('clear');
  });

  test('the next look is never less than a day away', () => {
    expect(daysToNextLook('relapsing', 1)).toBe(1);
    expect(daysToNextLook('first-look', 7)).toBe(7);
  });
});

describe('fitted curves', () => {
  test('a Gompertz curve is found again, and preferred to a logistic one that fits worse', () => {
    const points = [0, 5, 10, 15, 20].map((day) => ({ day, severity: 100 * Math.exp(-3 * Math.exp(-0.15 * day)) }));
    const fit = fitProgress(points)!;
    expect(fit.model).toBe('gompertz');
    expect(fit.rate).toBeCloseTo(0.15, 6);
    expect(fit.rSquared).toBeCloseTo(1, 9);
  });

  test('a recovering plant has a rate below zero', () => {
    const fit = fitProgress([0, 7, 14].map((day) => ({ day, severity: 40 - 2 * day })))!;
    expect(fit.rate).toBeLessThan(0);
    expect(expectedSeverity(fit, 21)).toBeLessThan(expectedSeverity(fit, 14));
  });

  test('nought and a hundred percent can be fitted', () => {
    const fit = fitProgress([
      { day: 0, severity: 0 },
      { day: 5, severity: 50 },
      { day: 10, severity: 100 },
    ])!;
    expect(Number.isFinite(fit.rate)).toBe(true);
    expect(expectedSeverity(fit, 5)).toBeGreaterThan(0);
  });

  test('two readings, or many on one day, fix no curve', () => {
    expect(fitProgress(readings.slice(0, 2))).toBeUndefined();
    expect(fitProgress([1, 2, 3].map((severity) => ({ day: 4, severity })))).toBeUndefined();
  });

  test('the stairs are never below the area by trapezoids', () => {
    fc.assert(
      fc.property(fc.array(fc.integer({ min: 0, max: 100 }), { minLength: 2, maxLength: 12 }), (severities) => {
        const series = severities.map((severity, day) => ({ day, severity }));
        expect(audps(series)!).toBeGreaterThanOrEqual(audpc(series));
        expect(relativeArea(series)!).toBeLessThanOrEqual(1);
      }),
    );
  });
});
