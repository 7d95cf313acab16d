import type { CardRate, LabelCard } from './labelCard.js';

/** One line of a product's label: what it allows on a plant or family, against a trouble. `null` where the label does not say. */
export interface CardLine {
  /** plant or family; any plant that no other line names when null */
  readonly host: string | null;
  /** trouble; any when null */
  readonly target: string | null;
  readonly rate: CardRate | null;
  /** days between the last application and picking; not for plants that are eaten when null */
  readonly preHarvestDays: number | null;
  /** least and most days between two */
  readonly repeatDays: readonly number[] | null;
  readonly seasonMax: number | null;
  readonly settings: readonly string[];
}

/** The label of a product in hand, as it was copied or read from the register. `null` where it does not say. */
export interface ProductCard {
  readonly source: 'copied' | 'register';
  readonly validUntil: string | null;
  readonly soldTo: 'amateur' | 'professional' | 'unknown';
  readonly reEntryHours: number;
  readonly rainFastHours: number | null;
  readonly temperatureC: { readonly min: number; readonly max: number } | null;
  readonly maxWindKmh: number | null;
  readonly bufferM: number | null;
  readonly bees: LabelCard['bees'];
  readonly daysBeforeFlower: number;
  readonly apartFrom: LabelCard['apartFrom'];
  readonly lines: readonly CardLine[];
}

/** Of several cards of one product the one that counts: what was copied from the pack before what the register says. */
export const cardThatCounts = <C extends Pick<ProductCard, 'source'>>(cards: readonly C[]): C | undefined =>
  cards.find(({ source }) => source === 'copied') ?? cards[0];
