import { addDays, daysBetween } from '../../timing/index.js';
import type { HalfDay, PlanProduct, PlanQuestion } from './planQuestion.js';

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
          const waited = daysBetween(earliest !== undefined && earliest > start ? earliest : start, date);
          puts.push(put);
          visit(
            round + 1,
            loss + dailyLoss * waited + (1 - product.efficacy) * value + product.cost + product.minutes * (rules.minutePrice ?? 0),
          );
          puts.pop();
        }
  };
  visit(0, 0);
  return least;
}

function isAllowedAlone({ start, rounds, weather }: PlanQuestion, { round, date, slot, product }: Put): boolean {
  const { earliest, latest, flowers, harvests = [] } = rounds[round]!;
  if ((earliest && date < earliest) || (latest && date > latest)) return false;
  const here = weather.find((one) => one.date === date && one.slot === slot);
  if (here && product.minC !== undefined && here.temperatureC < product.minC) return false;
  if (here && product.maxC !== undefined && here.temperatureC > product.maxC) return false;
  if (here && product.maxWindKmh !== undefined && here.windKmh > product.maxWindKmh) return false;
  if (product.rainFastHours !== undefined) {
    const from = hoursAt(start, date, slot);
    const until = from + 12 * Math.max(1, Math.ceil((product.rainFastHours + 6) / 12));
    if (weather.some((one) => one.rainMm > 0 && hoursAt(start, one.date, one.slot) >= from && hoursAt(start, one.date, one.slot) < until))
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
    }
  }
  const count = (product: string) =>
    [...puts.map((put) => put.product.id), ...(rules.done ?? []).map((one) => one.product)].filter((id) => id === product).length;
  const used = (product: string) => puts.some((put) => put.product.id === product);
  for (const [product, most] of Object.entries(rules.seasonMax ?? {})) if (used(product) && count(product) > most) return false;
  for (const [product, left] of Object.entries(rules.stock ?? {}))
    if (puts.filter((put) => put.product.id === product).reduce((sum, put) => sum + (put.product.amount ?? 0), 0) > left + 1e-9)
      return false;
  for (const { date } of puts)
    if (
      puts.filter((put) => put.date === date).reduce((sum, put) => sum + put.product.minutes, 0) >
      (rules.minutesPerDay ?? Infinity) + 1e-9
    )
      return false;
  return (
    rules.rotate === false || [...new Set(rounds.map((round) => round.case))].every((name) => rotates(name, { start, rounds, rules }, puts))
  );
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
