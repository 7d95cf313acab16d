import type { Application, Planting } from '@field-nurse/contract';
import { dayAt, daysBetween } from '@field-nurse/core/timing';
import type { Intervention } from '@field-nurse/library';

/**
 * Where an application went past its card. What was done is still logged: a record that hides it is worth nothing.
 *
 * @param others - of the same treatment on the same planting
 * @param appliedAt - instant
 */
export function cardWarnings(
  entry: Intervention,
  planting: Planting,
  others: readonly Application[],
  appliedAt: string,
  timeZone: string,
): string[] {
  const day = dayAt(appliedAt, timeZone);
  const before = others.map((one) => dayAt(one.appliedAt, timeZone)).filter((other) => other <= day);
  const last = before.sort().at(-1);
  const interval = entry.repeatDays?.[0];
  const sameYear = before.filter((other) => other.slice(0, 4) === day.slice(0, 4)).length;
  const warnings: string[] = [];
  if (last && interval !== undefined && daysBetween(last, day) < interval)
    warnings.push(`The card asks for ${interval} days between two, and the last was ${daysBetween(last, day)} days before.`);
  if (entry.seasonMax !== undefined && sameYear >= entry.seasonMax)
    warnings.push(`The card allows ${entry.seasonMax} a season, and this is number ${sameYear + 1}.`);
  if (planting.eaten && !entry.onEaten) warnings.push('The card does not allow this on plants that are eaten.');
  if (planting.eaten && planting.nextHarvestOn && daysBetween(day, planting.nextHarvestOn) < entry.preHarvestDays)
    warnings.push(`The card asks for ${entry.preHarvestDays} days before harvest: move the harvest of this planting.`);
  if (planting.inFlower && entry.bees === 'serious') warnings.push('This harms bees, and the planting is noted as in flower.');
  if (!entry.settings.includes(planting.setting)) warnings.push('The card does not name plants that stand where this one stands.');
  return warnings;
}
