// How long it takes to place 40 rounds of 12 plans in four weeks for two people, to plan again after the weather changed, and to say what a move costs.
import { addDays } from '@field-nurse/core/timing';
import { highsSolver, planRounds } from '@field-nurse/core/planning';
import type { PlanAnswer, PlanQuestion, PlanRound } from '@field-nurse/core/planning';
import { seededRandom } from '@field-nurse/core/statistics';
import loadHighs from 'highs';

const start = '2026-07-01';
const groups = ['soap', 'oil', 'bt', 'sulphur', 'pyrethrins', 'hands'];

/** A market garden's four weeks: chains of three or four rounds, rain on some days, a short working day. */
export function marketGarden(seed: number, minutesPerDay: number): PlanQuestion {
  const random = seededRandom(seed);
  const between = (low: number, high: number) => low + Math.floor(random() * (high - low + 1));
  const pick = <T>(list: readonly T[]): T => list[between(0, list.length - 1)]!;
  const rounds: PlanRound[] = [];
  for (let plan = 0; plan < 12; plan++) {
    const count = plan < 4 ? 4 : 3;
    const product = (id: string) => ({
      id,
      ...(id !== 'hands' && {
        group: id,
        rainFastHours: between(2, 8),
        maxWindKmh: 18,
        maxC: 30,
        bees: id === 'pyrethrins' ? ('serious' as const) : ('slight' as const),
      }),
      efficacy: between(4, 9) / 10,
      cost: between(0, 8),
      minutes: between(20, 70),
      amount: between(1, 4),
      preHarvestDays: between(0, 7),
      reEntryHours: id === 'hands' ? 0 : pick([4, 12, 24]),
    });
    const products = [...new Set([pick(groups), pick(groups), pick(groups), 'hands'])].map(product);
    const first = between(0, 10);
    for (let i = 0; i < count; i++)
      rounds.push({
        id: `p${plan}r${i}`,
        case: `p${plan}`,
        place: `place${plan % 7}`,
        earliest: addDays(start, first + 6 * i),
        latest: addDays(start, Math.min(27, first + 6 * i + 9)),
        ...(i > 0 && { after: { round: `p${plan}r${i - 1}`, minDays: 5, maxDays: 12 } }),
        dailyLoss: between(1, 12),
        value: between(30, 300),
        ...(plan % 3 === 0 && { flowers: { from: addDays(start, 5), until: addDays(start, 20) } }),
        ...(plan % 4 === 0 && { harvests: [7, 14, 21].map((days) => addDays(start, days)) }),
        products,
      });
  }
  const weather = Array.from({ length: 20 }, (_, slot) => ({
    date: addDays(start, Math.floor(slot / 2)),
    slot: slot % 2 ? ('evening' as const) : ('morning' as const),
    temperatureC: between(12, 31),
    windKmh: between(2, 24),
    rainMm: random() < 0.3 ? between(1, 9) : 0,
  }));
  return {
    start,
    days: 28,
    rounds,
    weather,
    rules: { minutePrice: 0.25, people: twoPeople(minutesPerDay), stock: { soap: 20, oil: 12 }, seasonMax: { sulphur: 5, pyrethrins: 3 } },
  };
}

/** Two who share a day's minutes, one of whom is away on some days. */
const twoPeople = (minutesPerDay: number) => [
  { id: 'wren', minutesPerDay: minutesPerDay * 0.6, minutesOn: { [addDays(start, 3)]: 0, [addDays(start, 4)]: 0 } },
  { id: 'ash', minutesPerDay: minutesPerDay * 0.4 },
];

const effort = { seconds: 2, allSeconds: 6, clock: () => performance.now() };

const t0 = performance.now();
const solver = highsSolver(await loadHighs());
// What every page does while it waits for its records: a first plan, after which the solver is as fast as it gets.
planRounds(marketGarden(9, 300), solver, { ...effort, movesFor: [] });
console.log(`solver loaded and warm in ${Math.round(performance.now() - t0)} ms`);
const gapOf = ({ objective, bound, optimal }: PlanAnswer) => (optimal ? 0 : 100 * (1 - bound / objective));
const gap = (answer: PlanAnswer) => (answer.optimal ? 'optimal' : `gap ${gapOf(answer).toFixed(1)} %`);

// Eight gardens for each length of the day: how many are proven, and how far the others could be from the best.
for (const minutes of [480, 240, 180, 150, 120, 100, 90]) {
  const answers = [1, 2, 3, 4, 5, 6, 7, 8].map((seed) => {
    const began = performance.now();
    const answer = planRounds(marketGarden(10 * minutes + seed, minutes), solver, { ...effort, allSeconds: 0, movesFor: [] });
    return { answer, ms: performance.now() - began };
  });
  const proven = answers.filter(({ answer }) => answer.optimal);
  const others = answers.filter(({ answer }) => !answer.optimal).map(({ answer }) => gap(answer));
  const slowest = Math.max(...proven.map(({ ms }) => ms));
  console.log(`${minutes} min a day: ${proven.length} of 8 proven in up to ${Math.round(slowest)} ms ${others.join(', ')}`);
}

// One garden for each: planned, planned again after rain, and what a move costs.
for (const [seed, minutes] of [
  [1, 480],
  [2, 240],
  [3, 150],
  [4, 120],
  [5, 90],
] as const) {
  const question = marketGarden(seed, minutes);
  const began = performance.now();
  const answer = planRounds(question, solver, { ...effort, movesFor: [] });
  const planned = performance.now();
  const again = planRounds(
    { ...question, weather: question.weather.map((one, i) => (i % 5 === 0 ? { ...one, rainMm: 3 } : one)) },
    solver,
    { ...effort, movesFor: [] },
  );
  const replanned = performance.now();
  const one = answer.schedule[5]?.round ?? 'none';
  const moves = planRounds(question, solver, { ...effort, movesFor: [one] }).moves;
  const moved = performance.now();
  console.log(
    `${minutes} min a day: ${answer.schedule.length} of ${question.rounds.length} placed, ${gap(answer)} in ${Math.round(planned - began)} ms; again ${Math.round(replanned - planned)} ms (${gap(again)}); moves of one round ${Math.round(moved - replanned - (planned - began))} ms (${moves.filter((m) => m.extraLoss !== undefined).length} reckoned of ${moves.length})`,
  );
}
