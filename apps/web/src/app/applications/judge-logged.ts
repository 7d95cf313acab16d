import type { LabelCard } from '@field-nurse/contract';
import { judgeApplied } from '@field-nurse/core/label';
import type { ApplicationWeather, UsedAmount } from '@field-nurse/core/label';
import type { Host, Intervention } from '@field-nurse/library';
import { brokenLineText } from '@field-nurse/library/texts';
import type { Planting } from '../gardens/plantings-now';

/** An application that is being logged, on one of its plantings. */
export interface BeingLogged {
  readonly typical: Intervention;
  /** card of the product from the shelf */
  readonly product: LabelCard | undefined;
  readonly cards: ReadonlyMap<string, Intervention>;
  /** as it stood on that day */
  readonly planting: Planting;
  readonly host: Host | undefined;
  readonly against: readonly string[];
  readonly on: string;
  /** on the same planting, without the one that is being logged */
  readonly others: readonly { readonly intervention: string; readonly appliedOn: string }[];
  readonly seasonStart: string;
  readonly weather: ApplicationWeather;
  readonly used: UsedAmount | undefined;
}

/**
 * The card that counts, and the lines of it that are not kept, in sentences. The server judges it again when it is saved; what was done is
 * logged all the same.
 */
export function judgeLogged({ planting, host, ...logged }: BeingLogged): { card: Intervention; broken: string[] } {
  const plant = { id: planting.host, family: host?.family ?? '', like: host?.like };
  const { card, lines } = judgeApplied({ ...logged, planting, host: plant });
  return { card, broken: lines.filter(({ state }) => state === 'broken').map(brokenLineText) };
}
