import type { MixRequest } from '@field-nurse/contract';
import { rateAt } from '@field-nurse/core/dose';
import type { Intervention } from '@field-nurse/library';

export type CardRate = NonNullable<Intervention['rate']>;

/** What the gardener sets at the bench. */
export interface BenchInput {
  readonly plants: number;
  /** of the coverage's unit, for one plant */
  readonly each: number;
  /** ground that is treated, m²; nothing until it is said */
  readonly areaM2: number | null;
  /** of the product in hand, in the card's unit of strength; nothing until it is typed */
  readonly strength: number | null;
  /** of the product in hand, in the card's rate unit */
  readonly rate: number;
  readonly sprayerL: number;
  readonly spoons: 'us' | 'metric';
}

type Unit = MixRequest['rate']['unit'];

/** Is the product spread over ground, rather than mixed into water? */
export const isSpread = ({ per }: CardRate): boolean => per.unit === 'm2';

/** Is it counted by ground, whatever stands on it? */
export const isByArea = (card: CardRate): boolean => isSpread(card) || card.coverage?.per === 'm2';

/** The sum of the bench as a question to the mix calculation, with the limit in it. @param most - in the card's rate unit */
export function mixQuestion(
  card: CardRate,
  { plants, each, areaM2, strength, rate, sprayerL, spoons }: BenchInput,
  most = rateAt(card, strength ?? card.strength.amount).most,
): MixRequest {
  const spread = isSpread(card);
  const area = { area: { amount: areaM2 ?? 0, unit: 'm2' as const } };
  const covering = { amount: each, unit: (card.coverage?.unit ?? 'l') as Unit };
  return {
    rate: { amount: rate, unit: card.unit as Unit, per: { amount: card.per.amount, unit: card.per.unit as Unit } },
    treat: spread
      ? area
      : isByArea(card)
        ? { ...area, coverage: { ...covering, per: 'm2' } }
        : { plants, coverage: { ...covering, per: 'plant' } },
    ...(!spread && { sprayer: { amount: sprayerL, unit: 'l' as const } }),
    spoons,
    labelMax: { amount: most, unit: card.labelMax.unit as Unit },
  };
}

/**
 * What is wrong with an input, by field, in words that say what is allowed.
 *
 * @param most - that the label of the pack in hand allows, in the card's rate unit; none: the typical maximum counts
 */
export function benchFaults(card: CardRate, input: BenchInput, most?: number): ReadonlyMap<keyof BenchInput, string> {
  const { plants, each, areaM2, strength, rate, sprayerL } = input;
  const faults = new Map<keyof BenchInput, string>();
  if (isByArea(card)) {
    if (!(areaM2 !== null && areaM2 > 0 && areaM2 <= 100_000)) faults.set('areaM2', 'Say how much ground: more than 0 m².');
  } else if (!(Number.isInteger(plants) && plants >= 1 && plants <= 100_000)) faults.set('plants', 'A whole number from 1 to 100,000.');
  if (!(each > 0 && each <= 100_000)) faults.set('each', 'More than 0.');
  if (strength === null) faults.set('strength', 'Nothing is mixed before you have typed the strength that stands on your pack.');
  else if (!(strength > 0 && strength <= 1e6)) faults.set('strength', 'More than 0.');
  else if (!(rate > 0 && rate <= 1e6)) faults.set('rate', 'More than 0.');
  else if (rate > (most ?? rateAt(card, strength).most) * (1 + 1e-9))
    faults.set(
      'rate',
      most === undefined
        ? `The typical maximum of this card is ${Number(rateAt(card, strength).most.toPrecision(3))} ${card.labelMax.unit}. Nothing is mixed above it.`
        : `The label of your pack allows ${Number(most.toPrecision(3))} ${card.labelMax.unit} at most. Nothing is mixed above it.`,
    );
  if (!isSpread(card) && !(sprayerL >= 0.1 && sprayerL <= 2000)) faults.set('sprayerL', 'From 0.1 to 2000 litres.');
  return faults;
}
