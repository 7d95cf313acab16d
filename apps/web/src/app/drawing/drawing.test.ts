import { readLibrary } from '@field-nurse/library/files';
import { join } from 'node:path';
import { drawLeaf, drawSign, markNames } from './draw-sign';
import { leafShapes } from './leaf';

const { signs } = readLibrary(join(import.meta.dirname, '../../../../../packages/library/data'));

test('every sign of the library has a drawing of its own mark', () => {
  expect(signs.filter(({ drawing }) => !markNames.includes(drawing.mark)).map(({ id }) => id)).toEqual([]);
});

test.each(leafShapes)('marks can be drawn on a %s leaf', (leaf) => {
  for (const { drawing } of signs) {
    const shapes = drawSign({ ...drawing, leaf });
    expect(shapes.length).toBeGreaterThan(0);
    expect(shapes.every(({ d }) => !/NaN|undefined/.test(d))).toBe(true);
  }
});

test('the same request gives the same drawing, and worse is drawn with more', () => {
  const draw = (severity: number) => drawSign({ organ: 'leaf', mark: 'shot-holes', severity });
  expect(draw(0.5)).toEqual(draw(0.5));
  expect(draw(1).length).toBeGreaterThan(draw(0).length);
  expect(draw(0).length).toBeGreaterThan(drawLeaf('ovate').length);
});
