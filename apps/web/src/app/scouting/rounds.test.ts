import type { Stop } from '@field-nurse/contract';
import { levelsNow } from '@field-nurse/core/sampling';
import { lastLooksOf, quarantineOf, toWalk } from '@field-nurse/core/ground';
import type { RoundKnowledge, RoundRecords } from '@field-nurse/core/ground';
import { gardenNow, planting, sickness, today } from '../testing/test-garden';
import { middleOf, planShapes } from '../gardens/plan-shapes';
import { isPicture } from '../gardens/shrink-photo';
import { questionOf } from './operating-characteristic';
import { emptyDraft, isFind, stopOf } from './stop-draft';
import { levelWords } from './level-words';

const stop: Stop = {
  id: 's',
  version: 1,
  ...stopOf(emptyDraft(undefined), { roundId: 'r', plantingId: 'leeks', lookedAt: '2026-07-14T07:00:00.000Z', caseId: null }),
  clockMended: false,
};
const records: RoundRecords = { ...gardenNow, caseLines: [], stops: [], today, timeZone: 'Europe/London' };
const knowledge: RoundKnowledge = {
  riskOf: () => ({ risk: 0.3, feared: 'Leek moth' }),
  catching: (condition) => condition === 'leek-rust',
  at: () => ({ x: 1, y: 2 }),
};

describe('what the round is planned from', () => {
  test('an open case asks for its look, and carries its trouble on', () => {
    expect(toWalk(records, knowledge)).toMatchObject([{ id: 'leeks', sick: true, catching: true, caseLookOn: null, feared: 'Leek moth' }]);
    expect(toWalk({ ...records, assessments: [] }, knowledge)).toMatchObject([{ caseLookOn: '2026-07-11' }]);
    expect(toWalk({ ...records, assessments: [], decisions: [] }, knowledge)).toMatchObject([{ caseLookOn: sickness.openedOn }]);
    const closed = { ...sickness, closedOn: today, outcome: 'recovered' as const };
    expect(toWalk({ ...records, cases: [closed] }, knowledge)).toMatchObject([{ sick: false, catching: false, caseLookOn: null }]);
  });

  test('an ended planting is not walked to', () => {
    expect(toWalk({ ...records, plantings: [{ ...planting, endedOn: today }] }, knowledge)).toEqual([]);
  });

  test('cases on the same host, on any planting, are first sights', () => {
    const old = {
      id: 'old',
      plantingId: 'last',
      placeId: 'bed',
      host: 'leek',
      openedOn: '2025-06-22',
      closedOn: '2025-08-01',
      conditions: ['leek-rust'],
    };
    const [walk] = toWalk({ ...records, caseLines: [old, { ...old, id: 'peas', host: 'pea' }] }, knowledge);
    expect(walk!.firstSights).toHaveLength(1);
    expect(walk!.firstSights).toMatchObject([{ on: '2025-06-22' }]);
  });

  test('the last look is the newest of stops, looks and opened cases', () => {
    expect(lastLooksOf(records).get('leeks')).toBe('2026-07-03');
    expect(lastLooksOf({ ...records, stops: [stop] }).get('leeks')).toBe('2026-07-14');
    expect(lastLooksOf({ ...records, stops: [], assessments: [], cases: [] }).get('leeks')).toBeUndefined();
  });

  test('a planting held apart counts its clean stops', () => {
    const apart = { ...planting, quarantine: { from: '2026-07-01', days: 21, looks: 3, releasedOn: null } };
    expect(quarantineOf(apart, { ...records, stops: [stop] })).toMatchObject({ cleanLooks: 1, looksLeft: 2 });
    expect(quarantineOf(planting, records)).toBeUndefined();
    expect(quarantineOf({ ...apart, quarantine: { ...apart.quarantine, releasedOn: today } }, records)).toBeUndefined();
  });
});

describe('a stop', () => {
  const draft = emptyDraft('case');

  test('is a find when anything was noted, and none when all is clean', () => {
    expect(isFind(draft)).toBe(false);
    expect(isFind({ ...draft, sample: [0, 0] })).toBe(false);
    for (const change of [{ signs: ['webs'] }, { rated: true, severity: 3 }, { eggs: true }, { droppings: true }, { sample: [0, 1] }])
      expect(isFind({ ...draft, ...change })).toBe(true);
    expect(isFind({ ...draft, helpers: 4 })).toBe(false); // friends are no trouble
  });

  test('is written without a severity that nobody gave', () => {
    const at = { roundId: 'r', plantingId: 'p', lookedAt: '2026-07-18T09:30:00.000Z', caseId: null };
    expect(stopOf(draft, at)).toMatchObject({ found: false, severity: null, caseId: null });
    expect(stopOf({ ...draft, rated: true, severity: 12, note: ' wet ' }, at)).toMatchObject({ found: true, severity: 12, note: 'wet' });
    expect(stopOf(draft, at)).not.toHaveProperty('case');
  });
});

describe('levels', () => {
  const condition = {
    id: 'leek-rust',
    threshold: { act: 'A tenth.', basis: 'Trials.' },
    levels: [
      { measure: 'leaf-percent', act: 10, young: 5 },
      { measure: 'trap-per-week', act: 4, trap: 'pheromone' },
    ],
  } as never;
  const own = { id: 'o', version: 1, condition: 'leek-rust', measure: 'leaf-percent' as const, act: 3, why: 'For show.', endedOn: null };

  test('are lower on young plants; catches in traps are not counted at a stop', () => {
    expect(levelsNow(condition, [], '2026-05-01', today)).toEqual([
      { measure: 'leaf-percent', act: 10, basis: 'Trials.', own: false, young: false },
    ]);
    expect(levelsNow(condition, [], '2026-07-01', today)).toMatchObject([{ act: 5, young: true }]);
  });

  test("the grower's own goes before, until it is ended", () => {
    expect(levelsNow(condition, [own], '2026-07-01', today)).toEqual([
      { measure: 'leaf-percent', act: 3, basis: 'For show.', own: true, young: false },
    ]);
    expect(levelsNow(condition, [{ ...own, endedOn: today }], '2026-05-01', today)).toMatchObject([{ act: 10 }]);
  });

  test('in words', () => {
    expect(levelWords({ measure: 'any', act: 1 })).toBe('one plant');
    expect(levelWords({ measure: 'plants-percent', act: 5 })).toBe('5 % of plants');
  });

  test('the worth that is shown is that of the test that decides', () => {
    expect(questionOf({ measure: 'plants-percent', act: 20 }, 40)).toMatchObject({ test: 'binomial', p0: 0.1, p1: 0.2, plants: 40 });
    // 0.2·m·(100−m) = 20m − 0.2m², so a + 1 = 20 and b − 1 = −0.2.
    expect(questionOf({ measure: 'leaf-percent', act: 10 }, 400)).toMatchObject({ test: 'iwao', p1: 10, a: 19, b: 0.8, plants: 100 });
    expect(questionOf({ measure: 'count-per-plant', act: 3 }, 10)).toMatchObject({ test: 'negative-binomial', p0: 1.5, p1: 3 });
  });
});

test('pictures are told by their first bytes', () => {
  const head = (...bytes: number[]) => isPicture(Uint8Array.from([...bytes, ...Array<number>(12).fill(0)].slice(0, 12)));
  expect(head(0xff, 0xd8, 0xff, 0xe0)).toBe(true);
  expect(head(0x89, 0x50, 0x4e, 0x47, 0x0d, 0x0a, 0x1a, 0x0a)).toBe(true);
  expect(isPicture(new TextEncoder().encode('RIFF1234WEBP'))).toBe(true);
  expect(isPicture(new TextEncoder().encode('dear diary, '))).toBe(false);
  expect(isPicture(new Uint8Array())).toBe(false);
});

describe('where everything lies', () => {
  test('what was not drawn is laid out; what had ended by then is not there', () => {
    const shapes = planShapes(gardenNow.places, gardenNow.plantings, today);
    expect(shapes.places.get('bed')).toMatchObject({ kind: 'rectangle' });
    expect(middleOf(shapes, 'leeks')).not.toBeNull();
    expect(middleOf(planShapes(gardenNow.places, gardenNow.plantings, '2026-04-01'), 'leeks')).toBeNull();
    expect(planShapes([{ ...gardenNow.places[0]!, endedOn: '2026-06-01' }], [], today).places.size).toBe(0);
  });

  test('what was drawn lies where it was drawn', () => {
    const shape = { kind: 'circle' as const, x: 3, y: 4, radius: 1 };
    expect(middleOf(planShapes(gardenNow.places, [{ ...planting, shape }], today), 'leeks')).toEqual({ x: 3, y: 4 });
  });
});
