import type { ProductCard } from '@field-nurse/core/label';
import type { Intervention } from '@field-nurse/library';
import type { LabelCard } from '@field-nurse/contract';

/** A label to look at: what the law goes by, and what to wear. */
export type ShownCard = Omit<ProductCard, 'source' | 'lines'> &
  Pick<LabelCard, 'protect'> & { readonly lines: readonly (ProductCard['lines'][number] & { readonly stages?: string })[] };

/** The typical figures of an ingredient, as a label would have them. */
export function typicalCard(entry: Intervention): ShownCard {
  const { rate } = entry;
  const of = (host: string | null, days: number) => ({
    host,
    target: null,
    rate: rate
      ? ({ low: rate.amount, high: rate.labelMax.amount, unit: rate.unit, per: rate.per } as ShownCard['lines'][number]['rate'])
      : null,
    preHarvestDays: entry.onEaten ? days : null,
    repeatDays: entry.repeatDays ? [entry.repeatDays[0], entry.repeatDays[1] ?? entry.repeatDays[0]] : null,
    seasonMax: entry.seasonMax ?? null,
    settings: entry.settings,
  });
  return {
    validUntil: null,
    soldTo: entry.sold === 'professional' ? 'professional' : entry.sold === 'amateur' ? 'amateur' : 'unknown',
    reEntryHours: entry.reEntryHours,
    rainFastHours: entry.rainFastHours ?? null,
    temperatureC: entry.temperatureC ?? null,
    maxWindKmh: null,
    bufferM: null,
    bees: entry.bees,
    daysBeforeFlower: entry.daysBeforeFlower,
    apartFrom: entry.apartFrom,
    protect: entry.protect,
    lines: [of(null, entry.preHarvestDays), ...entry.preHarvestOn.map(({ host, days }) => of(host, days))],
  };
}
