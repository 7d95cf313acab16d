import { toLab } from './cielab';
import { gaugeLeaf, NoLeaf } from './gauge';
import { otsu } from './leafMask';
import { areaOf, emptyMask, filled, opened, patches } from './mask';
import type { Mask } from './mask';
import { wholeOutline } from './outline';
import { shrink } from './picture';
import { renderLeaf } from './renderLeaf';
import type { RenderOptions } from './renderLeaf';

const drawn = (rows: readonly string[]): Mask => ({
  width: rows[0]!.length,
  height: rows.length,
  on: Uint8Array.from(rows.join(''), (mark) => (mark === '#' ? 1 : 0)),
});
const shown = ({ width, on }: Mask) =>
  Array.from({ length: on.length / width }, (_, y) =>
    Array.from(on.slice(y * width, (y + 1) * width), (one) => (one ? '#' : '.')).join(''),
  );

describe('colour', () => {
  // Published: CIELAB of sRGB primaries under D65 (Lindbloom's worked values, rounded).
  test.each([
    [
      [255, 255, 255],
      [100, 0, 0],
    ],
    [
      [0, 0, 0],
      [0, 0, 0],
    ],
    [
      [0, 255, 0],
      [87.7, -86.2, 83.2],
    ],
    [
      [255, 0, 0],
      [53.2, 80.1, 67.2],
    ],
    [
      [0, 0, 255],
      [32.3, 79.2, -107.9],
    ],
  ])('%j is %j', ([r, g, b], [l, a, bb]) => {
    const lab = toLab(Uint8ClampedArray.of(r!, g!, b!, 255));
    expect(lab.lightness[0]).toBeCloseTo(l!, 1);
    expect(Math.abs(lab.a[0]! - a!)).toBeLessThan(0.1);
    expect(Math.abs(lab.b[0]! - bb!)).toBeLessThan(0.1);
  });

  test('the level between two heaps lies between them', () => {
    const level = otsu(Float32Array.from({ length: 1000 }, (_, i) => (i < 700 ? 2 + (i % 3) : 30 + (i % 5))));
    expect(level).toBeGreaterThan(4);
    expect(level).toBeLessThan(30);
  });
});

describe('masks', () => {
  const ring = drawn(['......', '.####.', '.#..#.', '.####.', '......', '.....#']);

  test('patches by size, with those that reach the edge marked', () => {
    expect(patches(ring).map(({ area, open }) => [area, open])).toEqual([
      [10, false],
      [1, true],
    ]);
    expect(patches(ring, 0).map(({ area }) => area)).toEqual([23, 2]);
  });

  test('holes are filled, the outside is not', () => {
    expect(areaOf(filled(ring))).toBe(13);
    expect(areaOf(filled(emptyMask(3, 3)))).toBe(0);
  });

  test('slivers go, blocks stay', () => {
    const mixed = drawn(['.....#', '.###.#', '.###.#', '.###.#', '.....#']);
    expect(shown(opened(mixed))).toEqual(['......', '..#...', '.###..', '..#...', '......']);
  });
});

test('a picture is made smaller by means', () => {
  const four = { width: 2, height: 2, data: Uint8ClampedArray.of(0, 0, 0, 255, 100, 0, 0, 255, 0, 0, 0, 255, 100, 0, 40, 255) };
  expect([...shrink(four, 1).data]).toEqual([50, 0, 10, 255]);
  expect(shrink(four, 2)).toBe(four);
});

describe('the outline that was', () => {
  /** A disc of leaf with a bite out of its rim. */
  const disc = (bite: boolean): Mask => {
    const mask = emptyMask(200, 200);
    for (let y = 0; y < 200; y++)
      for (let x = 0; x < 200; x++)
        mask.on[y * 200 + x] = Math.hypot((x - 100) / 1.3, y - 100) < 60 && !(bite && Math.hypot(x - 100, y - 40) < 20) ? 1 : 0;
    return mask;
  };

  test('a bite is drawn in to within a hundredth of the blade', () => {
    const [whole, bitten] = [areaOf(disc(false)), areaOf(disc(true))];
    expect(bitten).toBeLessThan(whole * 0.97);
    expect(Math.abs(areaOf(wholeOutline(disc(true))) - whole)).toBeLessThan(whole * 0.01);
  });

  test('a whole blade is left as it is', () => {
    expect(Math.abs(areaOf(wholeOutline(disc(false))) - areaOf(disc(false)))).toBeLessThan(areaOf(disc(false)) * 0.01);
  });
});

describe('the gauge on drawn leaves whose damage is known', () => {
  const small = { width: 400, height: 300 };
  const leaves: RenderOptions[] = [
    { seed: 3, shape: 'ovate', holes: 3, bites: 2, spots: 4 },
    { seed: 8, shape: 'lance', holes: 2, bites: 1, spots: 2 },
    { seed: 21, shape: 'heart', holes: 4, bites: 0, spots: 6 },
    { seed: 34, shape: 'round', holes: 0, bites: 2, spots: 0 },
    { seed: 55, shape: 'toothed', holes: 2, bites: 2, spots: 3 },
  ];
  const errorOf = (options: RenderOptions) => {
    const { picture, eatenPercent, discolouredPercent } = renderLeaf({ ...options, ...small });
    return Math.abs(gaugeLeaf(picture, { blade: 'simple' }).damagedPercent - eatenPercent - discolouredPercent);
  };
  const meanError = (look: Partial<RenderOptions>) => leaves.reduce((sum, leaf) => sum + errorOf({ ...leaf, ...look }), 0) / leaves.length;

  test('is off by less than two points on clean pictures', () => {
    expect(meanError({})).toBeLessThan(2);
  });

  test.each([
    ['grain', { noise: 14 }],
    ['blur', { blur: 2 }],
    ['shadow', { shadow: 0.45 }],
    ['tilt', { tilt: 25 }],
  ])('and by less than five under %s', (_, look) => {
    expect(meanError(look)).toBeLessThan(5);
  });

  test('a whole green leaf has no damage', () => {
    const { picture } = renderLeaf({ seed: 2, shape: 'ovate', holes: 0, bites: 0, spots: 0, ...small });
    const reading = gaugeLeaf(picture, { blade: 'simple' });
    expect(reading.damagedPercent).toBeLessThan(0.5);
    expect([reading.holes, reading.spots]).toEqual([0, 0]);
  });

  test('counts holes and spots that stand apart', () => {
    const { picture } = renderLeaf({ seed: 2, shape: 'round', holes: 3, bites: 0, spots: 2, ...small });
    const reading = gaugeLeaf(picture, { blade: 'simple' });
    expect([reading.holes, reading.spots]).toEqual([3, 2]);
  });

  test('in a lobed leaf only holes count', () => {
    const { picture } = renderLeaf({ seed: 3, shape: 'ovate', holes: 0, bites: 3, spots: 0, ...small });
    expect(gaugeLeaf(picture, { blade: 'lobed' }).eatenPercent).toBe(0);
  });

  test('tells millimetres when the scale is known, and how far it is', () => {
    const { picture } = renderLeaf({ seed: 3, shape: 'lance', holes: 0, bites: 0, spots: 0, ...small });
    const steps: number[] = [];
    const { areaMm2, lengthMm } = gaugeLeaf(picture, { blade: 'simple', mmPerPixel: 0.5, onProgress: (share) => steps.push(share) });
    // The blade is drawn 240 pixels long.
    expect(Math.abs(lengthMm! - 120)).toBeLessThan(6);
    expect(gaugeLeaf(picture, { blade: 'simple', mmPerPixel: 1 }).areaMm2).toBeCloseTo(4 * areaMm2!, 6);
    expect(steps.at(-1)).toBe(1);
    expect(steps).toEqual([...steps].sort((a, b) => a - b));
  });

  test('the overlay has the size it says, and as much eaten as the percentage', () => {
    const { picture } = renderLeaf({ ...leaves[0]!, ...small });
    const { overlay, width, height, eatenPercent } = gaugeLeaf(picture, { blade: 'simple' });
    expect(overlay).toHaveLength(width * height);
    const eaten = overlay.filter((one) => one === 3).length;
    const whole = overlay.filter((one) => one > 0).length;
    expect((100 * eaten) / whole).toBeCloseTo(eatenPercent, 0);
  });
});

describe('what is no leaf on paper', () => {
  const plain = (value: number, width = 120, height = 90) => ({
    width,
    height,
    data: new Uint8ClampedArray(width * height * 4).fill(value),
  });
  const codeOf = (work: () => unknown) => {
    try {
      work();
      return 'measured';
    } catch (error) {
      return error instanceof NoLeaf ? error.code : 'other';
    }
  };

  test('bare paper, a stamp of a picture, and a leaf that fills it', () => {
    expect(codeOf(() => gaugeLeaf(plain(240), { blade: 'simple' }))).toBe('no-leaf');
    expect(codeOf(() => gaugeLeaf(plain(240, 20, 20), { blade: 'simple' }))).toBe('too-small');
    const { picture } = renderLeaf({ seed: 3, shape: 'round', holes: 0, bites: 0, spots: 0, width: 400, height: 300 });
    const middle = { width: 100, height: 60, data: new Uint8ClampedArray(100 * 60 * 4) };
    for (let y = 0; y < 60; y++) middle.data.set(picture.data.subarray(((y + 60) * 400 + 40) * 4, ((y + 60) * 400 + 140) * 4), y * 400);
    expect(codeOf(() => gaugeLeaf(middle, { blade: 'simple' }))).toBe('cut-off');
  });
});
