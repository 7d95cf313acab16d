import { addDays, daysBetween } from '../../timing/index.js';
import type { HalfDay, PlanPerson, PlanProduct, PlanQuestion } from './planQuestion.js';

/** A round somewhere, for the slow solver. */
interface Put {
  readonly round: number;
  readonly date: string;
  readonly slot: HalfDay;
  readonly product: PlanProduct;
}

const halves: readonly HalfDay[] = ['morning', 'evening'];
const hoursAt = (start: string, date: string, slot: HalfDay) => 24 * daysBetween(start, date) + (slot === 'evening' ? 12 : 0);

/**
 * The least loss by trying everything, written from the rules as they are told and from nothing else.
 *
 * @param held - only plans that this allows
 * @returns infinite where no plan is left
 */
export function exhaustivePlan(question: PlanQuestion, held: (put: readonly Put[]) => boolean = () => true): number {
  const { start, days, rounds, rules } = question;
  let least = Infinity;
  const puts: Put[] = [];
  const visit = (round: number, loss: number): void => {
    if (round === rounds.length) {
      if (loss < least && isAllowed(question, puts) && held(puts)) least = loss;
      return;
    }
    const { earliest, dailyLoss, value, dropLoss, products } = rounds[round]!;
    visit(round + 1, loss + (dropLoss ?? dailyLoss * days + value));
    for (let day = 0; day < days; day++)
      for (const slot of halves)
        for (const product of products) {
          const date = addDays(start, day);
          const put = { round, date, slot, product };
          if (!isAllowedAlone(question, put)) continue;
          const { expected } = rounds[round]!;
          const moved = expected && (expected.date !== date || expected.slot !== slot) ? expected.moveLoss : 0;
          const waited = daysBetween(earliest !== undefined && earliest > start ? earliest : start, date);
          puts.push(put);
          visit(
            round + 1,
            loss +
              moved +
              dailyLoss * waited +
              (1 - product.efficacy * dryChance(question, put)) * value +
              product.cost +
              product.minutes * (rules.minutePrice ?? 0),
          );
          puts.pop();
        }
  };
  visit(0, 0);
  return least;
}

function dryChance({ start, weather, rules }: PlanQuestion, { date, slot, product }: Put): number {
  if (product.rainFastHours === undefined) return 1;
  let dry = 1;
  const from = hoursAt(start, date, slot);
  for (let at = from; at === from || at < from + product.rainFastHours + 6; at += 12) {
    const told = weather.find((one) => hoursAt(start, one.date, one.slot) === at);
    dry *= 1 - (told ? (told.rainChance ?? 0) : (rules.rainChance ?? 0));
  }
  return dry;
}

function isAllowedAlone({ start, startSlot, rounds, weather }: PlanQuestion, { round, date, slot, product }: Put): boolean {
  const { earliest, latest, flowers, harvests = [], only } = rounds[round]!;
  if (only && slot !== only) return false;
  if (date === start && slot === 'morning' && startSlot === 'evening') return false;
  if (product.barred?.some(({ from, until }) => from <= date && date <= until)) return false;
  if ((earliest && date < earliest) || (latest && date > latest)) return false;
  const here = weather.find((one) => one.date === date && one.slot === slot);
  if (here && product.minC !== undefined && here.temperatureC < product.minC) return false;
  if (here && product.maxC !== undefined && here.temperatureC > product.maxC) return false;
  if (here && product.maxWindKmh !== undefined && here.windKmh > product.maxWindKmh) return false;
  if (product.rainFastHours !== undefined) {
    const from = hoursAt(start, date, slot);
    const until = from + 12 * Math.max(1, Math.ceil((product.rainFastHours + 6) / 12));
    if (
      weather.some(
        (one) =>
          one.rainMm > 0 &&
          (one.rainChance ?? 1) >= 0.5 &&
          hoursAt(start, one.date, one.slot) >= from &&
          hoursAt(start, one.date, one.slot) < until,
      )
    )
      return false;
  }
  if (flowers && date >= flowers.from && date <= flowers.until) {
    if (product.bees === 'serious') return false;
    if (product.bees === 'slight' && slot === 'morning') return false;
  }
  return harvests.every((harvest) => harvest < date || daysBetween(date, harvest) >= (product.preHarvestDays ?? 0));
}

function isAllowed({ start, rounds, rules }: PlanQuestion, puts: readonly Put[]): boolean {
  const when = ({ date, slot }: Put) => hoursAt(start, date, slot);
  for (const put of puts) {
    const { after, place } = rounds[put.round]!;
    if (after) {
      const other = puts.find((one) => rounds[one.round]!.id === after.round);
      if (!other) return false;
      const gap = daysBetween(other.date, put.date);
      if (gap < after.minDays || gap > (after.maxDays ?? Infinity)) return false;
    }
    for (const other of puts) {
      if (other === put) continue;
      if (rounds[other.round]!.case === rounds[put.round]!.case && when(other) === when(put)) return false;
      const later = when(other) - when(put);
      if (place !== undefined && rounds[other.round]!.place === place && later >= 0 && later < (put.product.reEntryHours ?? 0))
        return false;
      for (const { from, days } of put.product.apart ?? [])
        if (other.product.id === from && Math.abs(daysBetween(other.date, put.date)) < days) return false;
    }
  }
  const countedAs = ({ product: { id, season } }: Put) => season ?? id;
  const count = (name: string) =>
    [...puts.map(countedAs), ...(rules.done ?? []).map((one) => one.product)].filter((id) => id === name).length;
  const used = (name: string) => puts.some((put) => countedAs(put) === name);
  for (const [product, most] of Object.entries(rules.seasonMax ?? {})) if (used(product) && count(product) > most) return false;
  for (const [product, left] of Object.entries(rules.stock ?? {}))
    if (
      puts.filter(({ product: { id, pack } }) => (pack ?? id) === product).reduce((sum, put) => sum + (put.product.amount ?? 0), 0) >
      left + 1e-9
    )
      return false;
  for (const { date } of puts)
    if (
      puts.filter((put) => put.date === date).reduce((sum, put) => sum + put.product.minutes, 0) >
      (rules.minutesPerDay ?? Infinity) + 1e-9
    )
      return false;
  if (rules.people && !haveHands(rules.people, rounds, puts)) return false;
  return (
    rules.rotate === false || [...new Set(rounds.map((round) => round.case))].every((name) => rotates(name, { start, rounds, rules }, puts))
  );
}

/** Whether the rounds of each day can be given to people, by trying every way. */
function haveHands(people: readonly PlanPerson[], rounds: PlanQuestion['rounds'], puts: readonly Put[]): boolean {
  return [...new Set(puts.map(({ date }) => date))].every((date) => {
    const own = puts.filter((put) => put.date === date);
    const ways = people.length ** own.length;
    return Array.from({ length: ways }, (_, way) =>
      own.map((_put, i) => people[Math.floor(way / people.length ** i) % people.length]!),
    ).some(
      (hands) =>
        own.every((put, i) => [undefined, hands[i]!.id].includes(rounds[put.round]!.person)) &&
        people.every(
          (one) =>
            own.reduce((sum, put, i) => sum + (hands[i] === one ? put.product.minutes : 0), 0) <=
            (one.minutesOn?.[date] ?? one.minutesPerDay) + 1e-9,
        ),
    );
  });
}

function rotates(name: string, { start, rounds, rules }: Pick<PlanQuestion, 'start' | 'rounds' | 'rules'>, puts: readonly Put[]): boolean {
  const all = [
    ...(rules.done ?? [])
      .filter((one) => one.case === name)
      .map((one) => ({ at: hoursAt(start, one.date, 'morning') - 1, group: one.group, isDone: true })),
    ...puts
      .filter((put) => rounds[put.round]!.case === name)
      .map((put) => ({ at: hoursAt(start, put.date, put.slot), group: put.product.group, isDone: false })),
  ].sort((a, b) => a.at - b.at);
  return all.every((one, i) => i === 0 || one.group === undefined || one.group !== all[i - 1]!.group || (one.isDone && all[i - 1]!.isDone));
}
