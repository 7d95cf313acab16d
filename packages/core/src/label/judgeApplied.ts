import { daysBetween } from '../timing/index.js';
import { cardFor } from './cardFor.js';
import { earlierApplications } from './earlierApplications.js';
import { judgeByLabel } from './judgeByLabel.js';
import type { ApplicationWeather, JudgedLine, LabelCard, LabelledHost, UsedAmount } from './labelCard.js';
import type { ProductCard } from './productCard.js';

/** An application on one of its plantings. */
export interface Applied<C> {
  /** card of the ingredient */
  readonly typical: C;
  /** card of the product that was taken from the shelf; none: the typical one counts */
  readonly product: ProductCard | undefined;
  /** of every ingredient */
  readonly cards: ReadonlyMap<string, C>;
  /** as it stood on that day */
  readonly planting: {
    readonly setting: string;
    readonly eaten: boolean;
    readonly inFlower: boolean;
    readonly nextFlowerOn: string | null;
    readonly nextHarvestOn: string | null;
  };
  readonly host: LabelledHost;
  /** troubles that it was done for; not known: none */
  readonly against: readonly string[];
  readonly on: string;
  /** on the same planting, without this one */
  readonly others: readonly { readonly intervention: string; readonly appliedOn: string }[];
  /** `MM-DD` */
  readonly seasonStart: string;
  readonly weather: ApplicationWeather;
  readonly used?: UsedAmount | undefined;
}

/** What counts for an application on one planting: the card of the product in hand, and how each of its lines was kept. */
export function judgeApplied<C extends LabelCard & { readonly reEntryHours: number; readonly rainFastHours?: number | undefined }>({
  typical,
  product,
  cards,
  planting,
  host,
  against,
  on,
  others,
  seasonStart,
  weather,
  used,
}: Applied<C>): { readonly card: C; readonly lines: readonly JudgedLine[] } {
  const card = product ? cardFor(typical, product, host, against) : typical;
  const { setting, eaten, inFlower, nextFlowerOn, nextHarvestOn } = planting;
  const lines = judgeByLabel(card, {
    planting: {
      host,
      setting,
      eaten,
      inFlower,
      ...(nextFlowerOn && { flowersInDays: daysBetween(on, nextFlowerOn) }),
      ...(nextHarvestOn && { daysToHarvest: daysBetween(on, nextHarvestOn) }),
    },
    earlier: earlierApplications(others, on, seasonStart),
    weather,
    on,
    used,
    cards,
  });
  return { card, lines };
}

/**
 * What one tank used, as a label's rate goes by it: the ground counts only where it is known of every planting.
 *
 * @returns nothing where no amount was noted, or where it was counted by the piece
 */
export function amountUsed({
  productMl,
  productG,
  waterL,
  targets,
}: {
  readonly productMl: number | null;
  readonly productG: number | null;
  readonly waterL: number | null;
  readonly targets: readonly { readonly plants: number; readonly areaM2: number | null }[];
}): UsedAmount | undefined {
  const product =
    productMl !== null
      ? { amount: productMl, unit: 'ml' as const }
      : productG !== null
        ? { amount: productG, unit: 'g' as const }
        : undefined;
  if (!product) return undefined;
  const areas = targets.flatMap(({ areaM2 }) => areaM2 ?? []);
  return {
    product,
    waterL: waterL ?? undefined,
    areaM2: areas.length === targets.length ? areas.reduce((sum, one) => sum + one, 0) : undefined,
    plants: targets.reduce((sum, { plants }) => sum + plants, 0),
  };
}
