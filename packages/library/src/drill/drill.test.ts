import { damagedLeaf, drillOrder, scoreLooks } from '@field-nurse/core/drill';
import type { TakenLook } from '@field-nurse/core/drill';
import { seededRandom } from '@field-nurse/core/statistics';
import {
  countAsked,
  countDrills,
  drillItems,
  freshOrOld,
  guessesOf,
  leafDrills,
  lookAlikeBoard,
  lookAlikeOf,
  percentAsked,
  reviewsOf,
  sickPlant,
  stageDrills,
  standDrills,
  standing,
} from '.';
import { library } from '../testLibrary.js';

const { conditions, hosts, signs: allSigns } = library;
const signs = new Map(allSigns.map((sign) => [sign.id, sign]));
const host = (id: string) => hosts.find((one) => one.id === id)!;
const grown = ['tomato', 'leek', 'potato', 'rose', 'cucumber', 'monstera'].map(host);
const boards = drillItems(grown, conditions, signs)
  .filter(({ kind }) => kind === 'look-alikes')
  .map(({ id }) => {
    const { host: plant, trouble } = lookAlikeOf(id);
    return {
      id,
      trouble,
      board: lookAlikeBoard(
        conditions.find((one) => one.id === trouble)!,
        host(plant),
        conditions,
        signs,
        seededRandom(7),
      )!,
    };
  });

test('what is drilled has names of its own, and grows with the garden', () => {
  const all = drillItems(grown, conditions, signs);
  expect(new Set(all.map(({ id }) => id)).size).toBe(all.length);
  for (const kind of ['leaf', 'look-alikes', 'count', 'stage', 'stand', 'fresh'])
    expect(all.filter((one) => one.kind === kind).length).toBeGreaterThan(2);
  const empty = drillItems([], conditions, signs);
  expect(empty.filter(({ kind }) => kind === 'look-alikes')).toEqual([]);
  expect(empty.filter(({ kind }) => kind === 'stage').length).toBeGreaterThan(20);
  expect(drillItems([host('leek')], conditions, signs).length).toBeLessThan(all.length);
  for (const { id } of [...leafDrills, ...standDrills, ...countDrills, ...freshOrOld]) expect(all.map((one) => one.id)).toContain(id);
  // A sitting goes through kinds by turns from its first minute.
  expect(
    new Set(
      drillOrder(all, [], '2026-07-01T08:00:00.000Z')
        .slice(0, 6)
        .map(({ kind }) => kind),
    ).size,
  ).toBe(6);
});

test.each(leafDrills)('$name: a leaf can lose as much as is asked', ({ shape, spread, most }) => {
  const leaf = Array.from({ length: 60 }, (_, i): [number, number] => [50 + 30 * Math.cos(i / 9.55), 50 + 42 * Math.sin(i / 9.55)]);
  for (const lot of [0, 0.5, 1]) {
    const wanted = percentAsked(most, lot);
    expect(Math.abs(damagedLeaf([leaf], shape, spread, wanted, 3).percent - wanted)).toBeLessThan(0.6);
  }
});

test('counts asked are from three to seventy, small ones as often as large', () => {
  expect([0, 0.5, 1].map(countAsked)).toEqual([3, 14, 70]);
});

test('each stage is told by a drawing that stands for nothing else', () => {
  const all = stageDrills(conditions);
  for (const { mark, stage: kind } of all)
    for (const { stages } of conditions) for (const stage of stages) if (stage.mark === mark) expect(stage.kind).toBe(kind);
  expect(new Set(all.map(({ stage }) => stage)).size).toBeGreaterThanOrEqual(4);
});

describe('a board of look-alikes', () => {
  test('holds the trouble, rivals that share what is seen, and looks that differ in worth', () => {
    expect(boards.length).toBeGreaterThan(30);
    for (const { trouble, board } of boards) {
      const { troubles, open, seen } = board;
      expect(troubles.map(({ id }) => id)).toContain(trouble);
      expect(troubles.length).toBeGreaterThanOrEqual(3);
      for (const { shows } of troubles) expect(shows[seen.look]).toBeGreaterThanOrEqual(0.3);
      expect(open).not.toContain(seen.look);
      expect(new Set(open).size).toBe(open.length);
      expect(open.length).toBeLessThanOrEqual(8);
    }
  });

  test('the best looks name the trouble more often than looks by chance, and never tell less than they', () => {
    const random = seededRandom(3);
    let [best, chance] = [0, 0];
    for (const { trouble, board } of boards) {
      const plant = sickPlant(board, trouble, random);
      const answer = (look: string): TakenLook => ({ look, seen: plant.get(look)! });
      const byBest: TakenLook[] = [];
      for (let i = 0; i < 3; i++) {
        const next = scoreLooks(board.troubles, [board.seen, ...byBest, answer(board.open[i]!)], board.open).at(-1)!;
        expect(next.bits).toBeLessThanOrEqual(next.bestBits + 1e-12);
        byBest.push(answer(next.best));
      }
      const byChance = [...board.open]
        .sort(() => random() - 0.5)
        .slice(0, 3)
        .map(answer);
      if (standing(board, byBest)[0]!.id === trouble) best++;
      if (standing(board, byChance)[0]!.id === trouble) chance++;
    }
    expect(best / boards.length).toBeGreaterThan(0.55);
    expect(best).toBeGreaterThan(chance * 1.15);
  });

  test('none where nothing is alike', () => {
    const lonely = { ...conditions[0]!, signs: {} };
    expect(lookAlikeBoard(lonely, host('leek'), conditions, signs, () => 0)).toBeUndefined();
  });
});

test('sittings become reviews; who takes one trouble for another is asked for both', () => {
  const heldAt = '2026-07-12T18:00:00.000Z';
  const answers = [
    { kind: 'leaf', item: 'leaf/holes', seconds: 5, truth: 10, guess: 30 },
    { kind: 'count', item: 'count/mite', seconds: 5, truth: 20, guess: 20 },
    { kind: 'stage', item: 'stage/scale', seconds: 9, truth: 'adult', guess: 'adult' },
    {
      kind: 'look-alikes',
      item: 'look-alikes/leek/leek-rust',
      seconds: 30,
      truth: 'leek-rust',
      guess: 'leek-moth',
      looks: 1,
      bits: 0.1,
      bestBits: 0.9,
    },
  ] as const;
  expect(reviewsOf([{ heldAt, answers }])).toEqual([
    { item: 'leaf/holes', at: heldAt, grade: 'again' },
    { item: 'count/mite', at: heldAt, grade: 'easy' },
    { item: 'stage/scale', at: heldAt, grade: 'good' },
    { item: 'look-alikes/leek/leek-rust', at: heldAt, grade: 'again' },
    { item: 'look-alikes/leek/leek-moth', at: heldAt, grade: 'again' },
  ]);
  expect(guessesOf([{ heldAt, answers }], 'leaf')).toEqual([{ truth: 10, guess: 30 }]);
  // The latest alone.
  const many = Array.from({ length: 150 }, (_, i) => ({
    heldAt: new Date(Date.UTC(2026, 0, 1 + i)).toISOString(),
    answers: [{ kind: 'leaf' as const, item: 'leaf/holes', seconds: 5, truth: 10, guess: i }],
  }));
  expect(guessesOf([...many].reverse(), 'leaf').map(({ guess }) => guess)).toEqual(Array.from({ length: 120 }, (_, i) => i + 30));
});
