import fc from 'fast-check';
import { plantingOn } from './plantingOn';
import type { PlantingEvent } from './plantingOn';

const leeks = (...events: PlantingEvent[]) => ({ placeId: 'bed', setting: 'outdoor', events });

test('nothing has happened: it stands where it was planted', () => {
  expect(plantingOn(leeks(), '2026-07-18')).toEqual({
    placeId: 'bed',
    setting: 'outdoor',
    inFlower: false,
    picked: false,
    stage: null,
    harvest: null,
    nextFlowerOn: null,
    nextHarvestOn: null,
    endedOn: null,
  });
});

test('moved twice: on each day where it stood then', () => {
  const moved = leeks(
    { kind: 'moved', on: '2026-06-10', placeId: 'sill', setting: 'indoor' },
    { kind: 'moved', on: '2026-05-01', placeId: 'tunnel', setting: 'greenhouse' },
  );
  const at = (day: string) => [plantingOn(moved, day).placeId, plantingOn(moved, day).setting];
  expect(at('2026-04-30')).toEqual(['bed', 'outdoor']);
  expect(at('2026-05-01')).toEqual(['tunnel', 'greenhouse']);
  expect(at('2026-06-10')).toEqual(['sill', 'indoor']);
});

test.each([
  ['2026-06-09', false],
  ['2026-06-10', true],
  ['2026-06-20', true],
  ['2026-06-21', false],
])('flowering from the 10th to the 20th: on %s %s', (day, inFlower) => {
  expect(plantingOn(leeks({ kind: 'flowering', on: '2026-06-10', until: '2026-06-20' }), day).inFlower).toBe(inFlower);
});

test('a harvest is awaited, then picked on any day of its window, then over', () => {
  const window = leeks({ kind: 'harvest', on: '2026-07-20', until: '2026-08-10' });
  const next = (day: string) => plantingOn(window, day).nextHarvestOn;
  expect(['2026-07-01', '2026-07-25', '2026-08-10', '2026-08-11'].map(next)).toEqual(['2026-07-20', '2026-07-25', '2026-08-10', null]);
});

test('picked as it ripens: every day from then on is the next harvest; a later window follows', () => {
  const ripening = leeks({ kind: 'harvest', on: '2026-07-20', until: null });
  expect(plantingOn(ripening, '2026-09-01').nextHarvestOn).toBe('2026-09-01');
  const second = leeks({ kind: 'harvest', on: '2026-09-10', until: null }, { kind: 'harvest', on: '2026-07-20', until: '2026-07-22' });
  expect(plantingOn(second, '2026-08-01').harvest).toEqual({ from: '2026-09-10', until: null });
});

test('what has ended neither flowers nor is picked any more', () => {
  const ended = leeks(
    { kind: 'flowering', on: '2026-06-01', until: null },
    { kind: 'harvest', on: '2026-06-10', until: null },
    { kind: 'ended', on: '2026-07-10' },
  );
  expect(plantingOn(ended, '2026-07-09')).toMatchObject({ inFlower: true, nextHarvestOn: '2026-07-09' });
  expect(plantingOn(ended, '2026-07-10')).toMatchObject({ inFlower: false, harvest: null, nextHarvestOn: null });
});

test('it has ended from that day on, and not before', () => {
  const ended = leeks({ kind: 'ended', on: '2026-07-10' });
  expect(['2026-07-09', '2026-07-10', '2026-12-01'].map((day) => plantingOn(ended, day).endedOn)).toEqual([
    null,
    '2026-07-10',
    '2026-07-10',
  ]);
});

test('what is planned changes nothing of today but the harvest and the flowering to come; the order in which it was noted is no matter', () => {
  const day = fc.integer({ min: 1, max: 28 }).map((n) => `2026-07-${String(n).padStart(2, '0')}`);
  const event = fc.oneof(
    fc.record({ kind: fc.constant('moved' as const), on: day, placeId: fc.uuid(), setting: fc.constant('indoor') }),
    fc.record({ kind: fc.constant('flowering' as const), on: day, until: fc.option(day, { nil: null }) }),
    fc.record({ kind: fc.constant('stage' as const), on: day, stage: fc.string() }),
  );
  fc.assert(
    fc.property(fc.uniqueArray(event, { selector: ({ kind, on }) => `${kind} ${on}`, maxLength: 8 }), day, (events, today) => {
      const now = plantingOn(leeks(...events), today);
      const told = plantingOn(leeks(...events.filter(({ on }) => on <= today)), today);
      expect({ ...told, nextFlowerOn: now.nextFlowerOn }).toEqual(now);
      expect(plantingOn(leeks(...[...events].reverse()), today)).toEqual(now);
    }),
  );
});

test('a flowering that is planned is told by its day, until it is there or the planting has ended', () => {
  const next = (day: string, events: PlantingEvent[] = [{ kind: 'flowering', on: '2026-06-01', until: null }]) =>
    plantingOn({ placeId: 'bed', setting: 'outdoor', events }, day).nextFlowerOn;
  expect([next('2026-05-20'), next('2026-06-01'), next('2026-05-20', [])]).toEqual(['2026-06-01', null, null]);
  expect(
    next('2026-05-20', [
      { kind: 'flowering', on: '2026-06-01', until: null },
      { kind: 'ended', on: '2026-05-02' },
    ]),
  ).toBeNull();
});
