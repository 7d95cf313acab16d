import { mustReport } from '@field-nurse/core/treatment';
import type { Judgement, Situation } from '@field-nurse/core/treatment';
import type { Condition } from '../entries.js';
import { days } from './countedWords.js';

const lower = (name: string) => name.charAt(0).toLowerCase() + name.slice(1);

/** One plain sentence: what we would do here today, and why. */
export function adviceText(
  { options, plan }: Pick<Judgement, 'options' | 'plan'>,
  situation: Situation,
  conditions: readonly Condition[],
): string {
  const names = conditions.map(({ name }) => lower(name)).join(' and ');
  const must = conditions.map((one) => mustReport(one, situation));
  const { authority } = situation.region;
  if (must.includes('report')) return `Call ${authority} before you do anything else: this may be something that must be reported.`;
  if (must.includes('ask')) return `Ask ${authority} whether it is listed where you are; until you know, move nothing and treat nothing.`;
  const [first] = plan;
  if (!first) return `Nothing on the list fits ${names} today: look at what each line says is in the way.`;
  const next = days(Math.min(...conditions.map(({ recovery }) => recovery.lookAgainDays)));
  const chosen = options.find(({ id }) => id === first.intervention)!;
  if (chosen.rung === 'none') return `${first.name} today, and look again in ${next}: ${whyLeave(situation)}.`;
  if (chosen.rung === 'removal') return `${first.name} today: what it could still do to its neighbours weighs more than the plant.`;
  const saving =
    Math.round((100 * (1 - plan.reduce((left, { intervention }) => left * (1 - keptMiddle(options, intervention)), 1))) / 5) * 5;
  const end = `some ${saving} % of ${names} for the least money, work and harm. Look again in ${next}.`;
  const [one, ...others] = plan.map(({ name }) => lower(name));
  if (others.length === 0) return `Today: ${one}; that takes away ${end}`;
  return `Today, first: ${one}. Then: ${others.join('; ')}. Together they take away ${end}`;
}

function keptMiddle(options: Judgement['options'], id: string): number {
  const { expected } = options.find((one) => one.id === id)!;
  return (expected.efficacy[0] + expected.efficacy[1]) / 200;
}

function whyLeave({ host, daysToFrost, daysToEnd, helpersSeen }: Situation): string {
  if (host.tender && daysToFrost !== undefined && daysToFrost <= 14) return 'the frost ends it sooner than any treatment pays';
  if (daysToEnd !== undefined && daysToEnd <= 14) return 'the crop is nearly over';
  if (helpersSeen) return 'helpers are at work, and anything that kills it would kill them';
  return 'what could be done costs more than it would save';
}
