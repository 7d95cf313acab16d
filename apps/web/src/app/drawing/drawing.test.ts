import { freshOrOld } from '@field-nurse/library/drill';
import { creatures } from './creatures';
import { drawLeaf, drawSign, markNames } from './draw-sign';
import { drawFreshOrOld, freshOrOldNames } from './fresh-or-old';
import { handwork } from './handwork';
import { seededRandom } from '@field-nurse/core/statistics';
import { bitten } from './bitten';
import type { Blade } from './leaf';
import { blades, leafShapes } from './leaf';
import type { Point } from './shape';
import { reference } from '../testing/reference';

const { conditions, interventions, signs } = reference;

// Each drawing once, though several signs may share it.
const drawings = [...new Map(signs.map(({ drawing }) => [drawing.mark, drawing])).values()];

test('every sign of the library has a drawing of its own mark', () => {
  expect(signs.filter(({ drawing }) => !markNames.includes(drawing.mark)).map(({ id }) => id)).toEqual([]);
});

test('every stage that is drawn has a mark, and every animal that can be drawn is seen somewhere', () => {
  const stages = conditions.flatMap((condition) => condition.stages.flatMap(({ mark }) => mark ?? []));
  expect(stages.filter((mark) => !(mark in creatures))).toEqual([]);
  const shown = new Set([...stages, ...signs.map(({ drawing }) => drawing.mark)]);
  expect(Object.keys(creatures).filter((mark) => !shown.has(mark))).toEqual([]);
});

test('what hands do is drawn for the cards that name it, and each drawing is named by a card', () => {
  const named = new Set(interventions.flatMap(({ drawing }) => drawing ?? []));
  expect([...named].sort()).toEqual(Object.keys(handwork).sort());
  for (const mark of named) {
    const shapes = drawSign({ organ: 'handwork', mark });
    expect([mark, shapes.length > 3, shapes.every(({ d }) => !/NaN|undefined/.test(d))]).toEqual([mark, true, true]);
  }
});

test('the main pests are drawn from egg to adult', () => {
  const drawn = (id: string) => conditions.find((one) => one.id === id)!.stages.map(({ kind, mark }) => [kind, mark !== undefined]);
  for (const id of ['cabbage-white', 'lily-beetle', 'leek-moth', 'spider-mite', 'glasshouse-whitefly', 'codling-moth', 'carrot-fly'])
    expect(drawn(id).filter(([, has]) => !has)).toEqual([]);
});

test('animals are drawn on their sheet, each line from numbers', () => {
  for (const [mark, draw] of Object.entries(creatures)) {
    const shapes = draw(seededRandom(7));
    expect([mark, shapes.every(({ d }) => !/NaN|undefined/.test(d))]).toEqual([mark, true]);
    const places = shapes.flatMap(({ d }) =>
      [...d.matchAll(/[ML](-?[\d.]+)[ ,](-?[\d.]+)/g)].flatMap(([, x, y]) => [Number(x), Number(y)]),
    );
    expect([mark, places.filter((place) => place < -12 || place > 112)]).toEqual([mark, []]);
  }
});

test('what is not drawn on a leaf is drawn whole', () => {
  for (const drawing of drawings.filter(({ organ }) => organ !== 'leaf')) {
    const shapes = drawSign(drawing);
    expect([drawing.mark, shapes.length > 0, shapes.every(({ d }) => !/NaN|undefined/.test(d))]).toEqual([drawing.mark, true, true]);
  }
});

const onLeaves = drawings.filter(({ organ }) => organ === 'leaf');

// Every third mark on each shape, so that each is drawn on a third of them.
test.each(leafShapes.map((leaf, i) => [leaf, onLeaves.filter((_, k) => leaf === 'ovate' || k % 3 === i % 3)] as const))(
  'leaf marks show on a %s leaf, however narrow',
  (leaf, marks) => {
    const clean = JSON.stringify(drawLeaf(leaf));
    for (const drawing of marks)
      for (const severity of leaf === 'ovate' ? [0.2, 1] : [0.2]) {
        const drawn = drawSign({ ...drawing, leaf, severity });
        expect(drawn.every(({ d }) => !/NaN|undefined/.test(d))).toBe(true);
        expect([drawing.mark, JSON.stringify(drawn) === clean]).toEqual([drawing.mark, false]);
      }
  },
);

test.each(leafShapes)('bites make a %s leaf smaller, and more of them smaller still', (leaf) => {
  const area = (own: readonly Blade[]) => own.reduce((sum, { outline }) => sum + areaOf(outline), 0);
  const left = (count: number) => area(bitten(blades(leaf), { count, radius: 4 }, seededRandom(1)));
  expect(left(9)).toBeLessThan(area(blades(leaf)));
  expect(left(36)).toBeLessThan(left(9));
});

/** The shoelace formula. */
const areaOf = (points: readonly Point[]): number =>
  Math.abs(
    points.reduce((sum, [x, y], i) => {
      const [nextX, nextY] = points[(i + 1) % points.length]!;
      return sum + (x * nextY - nextX * y) / 2;
    }, 0),
  );

test('the same request gives the same drawing, and worse is drawn with more', () => {
  const draw = (severity: number) => drawSign({ organ: 'leaf', mark: 'shot-holes', severity });
  expect(draw(0.5)).toEqual(draw(0.5));
  expect(draw(1).length).toBeGreaterThan(draw(0).length);
  expect(draw(0).length).toBeGreaterThan(drawLeaf('ovate').length);
});

test('what is fresh and what is old is drawn for each sign that is told by it, on any leaf, and differs', () => {
  expect(freshOrOldNames.sort()).toEqual(freshOrOld.map(({ id }) => id).sort());
  for (const id of freshOrOldNames)
    for (const leaf of ['ovate', 'lobed', 'lance'] as const) {
      const [fresh, old] = [true, false].map((isFresh) => drawFreshOrOld(id, isFresh, leaf, 3));
      expect(fresh).not.toEqual(old);
      for (const shapes of [fresh!, old!]) expect([id, shapes.every(({ d }) => !/NaN|undefined/.test(d))]).toEqual([id, true]);
    }
});
