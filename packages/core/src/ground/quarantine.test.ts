import fc from 'fast-check';
import { addDays, daysBetween } from '../timing/index';
import { quarantineState } from './index';

// Properties of holding apart, for any run of looks.

const from = '2026-07-01';
const looks = fc.array(fc.record({ after: fc.integer({ min: -5, max: 60 }), clean: fc.boolean() }), { maxLength: 15 });
const asked = fc.record({
  days: fc.integer({ min: 1, max: 40 }),
  wanted: fc.integer({ min: 1, max: 8 }),
  now: fc.integer({ min: 0, max: 70 }),
});

const stateOf = (
  list: readonly { after: number; clean: boolean }[],
  { days, wanted, now }: { days: number; wanted: number; now: number },
) =>
  quarantineState(
    { from, days, looks: wanted, releasedOn: null },
    list.map(({ after, clean }) => ({ on: addDays(from, after), clean })),
    addDays(from, now),
  );

test('it is never let in before its days, nor on the strength of too few clean looks', () => {
  fc.assert(
    fc.property(looks, asked, (list, question) => {
      const state = stateOf(list, question);
      if (!state.mayRelease) return;
      expect(state.cleanLooks).toBeGreaterThanOrEqual(question.wanted);
      expect(question.now).toBeGreaterThanOrEqual(question.days);
      const finds = list.filter(({ clean, after }) => !clean && after >= 0 && after <= question.now);
      for (const { after } of finds)
        expect(daysBetween(addDays(from, after), addDays(from, question.now))).toBeGreaterThanOrEqual(question.days);
    }),
  );
});

test('one more find never brings it nearer, one more clean look never takes it further', () => {
  fc.assert(
    fc.property(looks, asked, fc.integer({ min: 0, max: 60 }), (list, question, after) => {
      const state = stateOf(list, question);
      const worse = stateOf([...list, { after, clean: false }], question);
      const better = stateOf([...list, { after, clean: true }], question);
      expect(worse.until >= state.until).toBe(true);
      expect(worse.looksLeft).toBeGreaterThanOrEqual(state.looksLeft);
      expect(better.until).toBe(state.until);
      expect(better.looksLeft).toBeLessThanOrEqual(state.looksLeft);
    }),
  );
});

test('what is yet to come does not count', () => {
  fc.assert(
    fc.property(looks, asked, (list, question) => {
      const known = list.filter(({ after }) => after <= question.now);
      expect(stateOf(list, question)).toEqual(stateOf(known, question));
    }),
  );
});

test('the next look lies within the days, and there is none once they are made', () => {
  fc.assert(
    fc.property(looks, asked, (list, question) => {
      const { nextLookOn, looksLeft, until } = stateOf(list, question);
      expect(nextLookOn === null).toBe(looksLeft === 0);
      if (nextLookOn) expect(nextLookOn <= until).toBe(true);
    }),
  );
});
