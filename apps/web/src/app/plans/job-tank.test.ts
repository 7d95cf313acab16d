import { shelfNow } from '../gardens/shelf-now';
import { reference } from '../testing/reference';
import { contents, today } from '../testing/test-garden';
import { shelfOfGarden, sulphurCard } from '../testing/test-shelf';
import { jobTank, keptAmount } from './job-tank';

const sulphur = reference.interventions.find(({ id }) => id === 'sulphur')!;
const host = (id: string) => reference.hosts.find((one) => one.id === id)!;
const pack = (change: object = {}) => shelfNow({ ...contents, ...shelfOfGarden, ...change }, today)[0];
const leeks = { plantingId: 'leeks', plants: 100, host: host('leek'), against: ['leek-rust'] };
const roses = { plantingId: 'roses', plants: 4, host: host('rose'), against: ['rose-black-spot'] };
const tankOf = (targets: Parameters<typeof jobTank>[2], on = pack()) => {
  const made = jobTank(sulphur, on, targets, 5, 'metric');
  if (!('tank' in made)) throw new Error(made.why);
  return made;
};

test('one tank for two places: the water of both, at what the strictest line allows', () => {
  const rate = (low: number, high: number) => ({ low, high, unit: 'g' as const, per: { amount: 10, unit: 'l' as const } });
  const lines = sulphurCard.lines.map((line) => ({ ...line, rate: line.host === 'rose' ? rate(20, 40) : rate(10, 20) }));
  const { tank, question } = tankOf([leeks, roses], pack({ labelCards: [{ ...sulphurCard, lines }] }));
  expect(tank.litres).toBeCloseTo(tankOf([leeks]).tank.litres + 1.6, 9);
  expect([tank.rate, tank.strictest]).toEqual([2, 'leeks']);
  expect(question).toMatchObject({ rate: { amount: 2, unit: 'g' }, labelMax: { amount: 2, unit: 'g' } });
});

test.each([
  ['a label on other terms', [roses], pack(), 'other-terms'],
  ['a pack of unknown strength', [leeks], pack({ products: [{ ...shelfOfGarden.products[0], strength: null }] }), 'strength'],
])('%s: nothing is reckoned', (_, targets, on, why) => expect(jobTank(sulphur, on, targets, 5, 'metric')).toEqual({ why }));

test('what is spread is no tank', () => {
  const lime = reference.interventions.find(({ id }) => id === 'lime-bed')!;
  expect(jobTank(lime, undefined, [leeks], 5, 'metric')).toEqual({ why: 'no-rate' });
});

test.each([
  [
    { amount: 2, unit: 'tsp-us' },
    { amount: 9.858, unit: 'ml' },
  ],
  [
    { amount: 1, unit: 'oz' },
    { amount: 28.35, unit: 'g' },
  ],
])('%j is kept as %j', (amount, kept) => expect(keptAmount(amount)).toEqual(kept));
