import { areaGrid } from '@field-nurse/core/drill';
import { drillItems } from '@field-nurse/library/drill';
import { blades } from '../drawing/leaf';
import { reference } from '../testing/reference';
import { drillShapes, smoothBlades } from './damage-blades';
import { questionOf } from './drill-question';

const hosts = ['tomato', 'leek', 'rose', 'monstera'].map((id) => reference.hosts.find((host) => host.id === id)!);
const leaf = { kind: 'leaf' as const, item: 'leaf/measured/1', photo: 'photo', truth: 14.5 };
const source = { hosts, conditions: reference.conditions, signs: new Map(reference.signs.map((sign) => [sign.id, sign])), leaves: [leaf] };
const items = drillItems(hosts, reference.conditions, source.signs);

test.each(['leaf', 'stand', 'count', 'stage', 'fresh', 'look-alikes'])(
  '%s: each item makes a question, the same from the same seed',
  (kind) => {
    const own = items.filter((item) => item.kind === kind);
    expect(own.length).toBeGreaterThan(0);
    for (const [i, item] of own.slice(0, 8).entries()) {
      const question = questionOf(item, i + 1, source)!;
      expect(question).toMatchObject({ kind, item: item.id });
      expect(questionOf(item, i + 1, source)).toEqual(question);
      if ('truth' in question) expect(question.truth).toBeGreaterThan(0);
      // What is drawn is what is counted.
      if ('pieces' in question)
        expect(areaGrid(question.blades.map(({ outline }) => outline)).percentOf(question.pieces)).toBeCloseTo(question.truth, 6);
      if (question.kind === 'count') expect(question.crawlers).toHaveLength(question.truth);
      if (question.kind === 'look-alikes') expect([...question.plant.keys()]).toEqual(expect.arrayContaining([...question.board.open]));
    }
  },
);

test('a measured leaf of the garden is asked as it was photographed', () => {
  expect(questionOf({ id: 'leaf/measured/1', kind: 'leaf' }, 5, source)).toEqual(leaf);
});

test('what the garden no longer holds is not asked', () => {
  for (const kind of ['leaf', 'stand', 'count', 'stage', 'fresh', 'look-alikes', 'other'])
    expect(questionOf({ id: `${kind}/gone`, kind }, 1, source)).toBeUndefined();
});

test('leaves are those of what grows here, where they are broad enough', () => {
  expect(drillShapes(['heart', 'lobed', 'vine', 'heart'])).toEqual(['heart', 'lobed', 'vine']);
  expect(drillShapes(['needles' as never]).length).toBeGreaterThan(3);
  // Rounded corners cost a leaf next to nothing of its size.
  const size = (all: readonly { outline: readonly (readonly [number, number])[] }[]) => areaGrid(all.map(({ outline }) => outline)).area;
  expect(size(smoothBlades('toothed')) / size(blades('toothed'))).toBeCloseTo(1, 1);
});
