import type { Product, Trap, Catch } from '@field-nurse/contract';
import type { LogLine } from './log-rows';
import { soilSums, trapSums } from './season-sums';

const trap = (id: string, name: string) => ({ id, name }) as Trap;
const reading = (trapId: string, checkedOn: string, caught: Catch['caught']) => ({ trapId, checkedOn, caught }) as Catch;

test('traps are summed by kind within the year, the fullest first; one that nobody read is left out', () => {
  const catches = [
    reading('card', '2026-06-01', [{ what: 'thrips', count: 4 }]),
    reading('card', '2025-06-01', [{ what: 'thrips', count: 400 }]),
    reading('scent', '2026-06-01', [{ what: 'moths', count: 7 }]),
    reading('scent', '2026-06-08', [
      { what: 'moths', count: 3 },
      { what: 'flies', count: 20 },
    ]),
  ];
  const traps = [trap('card', 'Card'), trap('scent', 'Scent'), trap('idle', 'Idle')];
  expect(trapSums(traps, catches, '2026')).toEqual([
    {
      name: 'Scent',
      readings: 2,
      caught: [
        { what: 'flies', count: 20 },
        { what: 'moths', count: 10 },
      ],
    },
    { name: 'Card', readings: 1, caught: [{ what: 'thrips', count: 4 }] },
  ]);
  expect(trapSums(traps, catches, undefined)[0]!.name).toBe('Card');
});

describe('copper', () => {
  const half = { id: 'half', strength: { amount: 50, unit: 'percent' }, densityGPerMl: null } as unknown as Product;
  const line = (intervention: string, productG: number | null, ...targets: [place: string, plants: number][]) =>
    ({
      intervention,
      productId: productG === null ? null : 'half',
      productG,
      productMl: null,
      targets: targets.map(([place, plants]) => ({ place, plants })),
    }) as unknown as LogLine;
  const about = {
    products: new Map([['half', half]]),
    countsAs: (id: string) => (id.startsWith('copper') ? 'copper' : undefined),
    areaOf: (place: string) => (place === 'bed' ? 20 : undefined),
  };

  test('all its cards count together, and a tank is shared out by plants', () => {
    const lines = [
      line('copper', 40, ['bed', 30], ['sill', 10]),
      line('copper-oxychloride', 20, ['bed', 5]),
      line('sulphur', 90, ['bed', 30]),
    ];
    const [bed, sill] = soilSums(lines, about);
    expect(bed).toEqual({ ingredient: 'copper', place: 'bed', times: 2, activeG: 25, gPerM2: 1.25, unknown: 0 });
    expect(sill).toEqual({ ingredient: 'copper', place: 'sill', times: 1, activeG: 5, gPerM2: undefined, unknown: 0 });
  });

  test('what is not known is said, and not taken for nothing', () => {
    expect(soilSums([line('copper', null, ['bed', 30])], about)).toMatchObject([{ activeG: 0, unknown: 1 }]);
    expect(soilSums([], about)).toEqual([]);
  });
});
