import type { MixRequest } from '@field-nurse/contract';
import type { Intervention } from '@field-nurse/library';

export type CardRate = NonNullable<Intervention['rate']>;

/** What the gardener sets at the bench. */
export interface BenchInput {
  readonly plants: number;
  /** of the card's coverage unit, for one plant */
  readonly each: number;
  /** of the card's rate unit */
  readonly rate: number;
  readonly sprayerL: number;
  readonly spoons: 'us' | 'metric';
}

type Unit = MixRequest['rate']['unit'];

/** Is the product spread over ground, rather than mixed into water? */
export const isSpread = ({ per }: CardRate): boolean => per.unit === 'm2';

/** The sum of the bench as a question to the mix calculation, with the card's limit in it. */
export function mixQuestion(card: CardRate, { plants, each, rate, sprayerL, spoons }: BenchInput): MixRequest {
  const spread = isSpread(card);
  return {
    rate: { amount: rate, unit: card.unit as Unit, per: { amount: card.per.amount, unit: card.per.unit as Unit } },
    treat: spread
      ? { area: { amount: plants * each, unit: 'm2' } }
      : { plants, coverage: { amount: each, unit: card.coverage.unit as Unit, per: 'plant' } },
    ...(!spread && { sprayer: { amount: sprayerL, unit: 'l' as const } }),
    spoons,
    ...(card.labelMax && { labelMax: { amount: card.labelMax.amount, unit: card.labelMax.unit as Unit } }),
  };
}

/** What is wrong with an input, by field, in words that say what is allowed. */
export function benchFaults(card: CardRate, { plants, each, rate, sprayerL }: BenchInput): ReadonlyMap<keyof BenchInput, string> {
  const faults = new Map<keyof BenchInput, string>();
  if (!(Number.isInteger(plants) && plants >= 1 && plants <= 100_000)) faults.set('plants', 'A whole number from 1 to 100,000.');
  if (!(each > 0 && each <= 100_000)) faults.set('each', 'More than 0.');
  if (!(rate > 0 && rate <= 1e6)) faults.set('rate', 'More than 0.');
  else if (card.labelMax && rate > card.labelMax.amount)
    faults.set('rate', `The card allows at most ${card.labelMax.amount} ${card.labelMax.unit}. Nothing is mixed above it.`);
  if (!isSpread(card) && !(sprayerL >= 0.1 && sprayerL <= 2000)) faults.set('sprayerL', 'From 0.1 to 2000 litres.');
  return faults;
}
