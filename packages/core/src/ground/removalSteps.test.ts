import { removalSteps, sourceHunt } from '.';
import type { RemovalFacts } from '.';

const facts = (change: Partial<RemovalFacts> = {}): RemovalFacts => ({
  ...{ mustReport: false, kind: 'fungus', lastsInSoil: true, setting: 'outdoor', hiddenDays: 14 },
  ...change,
});
const codes = (change: Partial<RemovalFacts> = {}) => removalSteps(facts(change)).map(({ code }) => code);

test('what must be reported is called in before anything is touched', () => {
  expect(codes({ mustReport: true })[0]).toBe('call');
  expect(codes()).not.toContain('call');
});

test('what blows is damped and covered before it is moved; a virus is neither', () => {
  expect(codes().slice(0, 5)).toEqual(['photograph', 'wear', 'damp', 'bag', 'lift']);
  expect(codes({ kind: 'virus' })).not.toContain('bag');
  expect(codes({ kind: 'insect' })).toContain('bag');
  expect(codes({ kind: 'insect' })).not.toContain('damp');
});

test('earth goes with it where it lasts there; indoors with all of the pot, and the floor is vacuumed', () => {
  expect(codes()).toContain('soil');
  expect(codes({ lastsInSoil: false })).not.toContain('soil');
  expect(codes({ lastsInSoil: false, setting: 'indoor' })).toEqual(expect.arrayContaining(['soil', 'vacuum']));
});

test('tools by parts and minutes against germs; neighbours for twice as long as it hides, four weeks at the least', () => {
  const step = (code: string, change: Partial<RemovalFacts> = {}) => removalSteps(facts(change)).find((one) => one.code === code);
  expect(step('tools')).toEqual({ code: 'tools', minutes: 10, parts: 9 });
  expect(step('tools', { kind: 'insect' })).toEqual({ code: 'tools' });
  expect([step('watch')!.weeks, step('watch', { hiddenDays: 40 })!.weeks]).toEqual([4, 12]);
});

test('sources: new arrivals, then the sick, then the same place; what cannot take it is left out', () => {
  const plant = (id: string, change: object = {}) => ({
    id,
    placeId: 'b',
    takes: 'often' as const,
    arrivedDaysAgo: null,
    isSick: false,
    ...change,
  });
  const found = sourceHunt(
    { id: 'out', placeId: 'a' },
    [
      plant('out', { placeId: 'a' }),
      plant('far'),
      plant('beside', { placeId: 'a' }),
      plant('sick', { isSick: true }),
      plant('new', { arrivedDaysAgo: 12 }),
      plant('old', { arrivedDaysAgo: 400 }),
      plant('safe', { takes: 'unlisted' }),
    ],
    [
      { id: 'heap', kind: 'heap' },
      { id: 'bed', kind: 'bed' },
      { id: 'hedge', kind: 'hedge' },
    ],
  );
  expect(found.map(({ id }) => id)).toEqual(['new', 'sick', 'beside', 'heap', 'hedge', 'far', 'old']);
});
