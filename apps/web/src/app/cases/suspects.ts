import type { DifferentialAnswer } from '@field-nurse/contract';

const suspectFrom = 0.1;

/** Causes that must be reported in this region, as far as they are likely enough to be told. */
export function suspectsIn(
  answer: DifferentialAnswer | undefined,
  regions: readonly { readonly id: string; readonly notifiable: readonly string[] }[] | undefined,
  region: string,
): string[] {
  const notifiable = regions?.find(({ id }) => id === region)?.notifiable ?? [];
  if (!answer?.alerts.some(({ code }) => code === 'notifiable')) return [];
  return answer.ranked
    .filter(({ condition, probability }) => probability >= suspectFrom && notifiable.includes(condition))
    .map(({ condition }) => condition);
}
