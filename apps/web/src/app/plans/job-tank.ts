import { labelMost, rateAt, sprayPerPlant, tankFor } from '@field-nurse/core/dose';
import type { Tank } from '@field-nurse/core/dose';
import { convert, dimensionOf } from '@field-nurse/core/units';
import type { UnitName } from '@field-nurse/core/units';
import type { MixRequest } from '@field-nurse/contract';
import type { Host, Intervention } from '@field-nurse/library';
import { packInHand } from '../gardens/pack-in-hand';
import type { OnShelf } from '../gardens/shelf-now';

/** A planting that a job goes to. */
export interface JobTarget {
  readonly plantingId: string;
  readonly plants: number;
  readonly host: Host;
  readonly against: readonly string[];
}

/** The tank of a job, or why none can be reckoned. */
export type JobTank = { readonly tank: Tank; readonly question: MixRequest } | { readonly why: 'no-rate' | 'strength' | 'other-terms' };

/**
 * What goes into one tank for all plantings of a job: the usual rate for the strength on the pack, and never more than the strictest line of its
 * label. Only what is mixed into water is reckoned; the rest goes by the label alone.
 */
export function jobTank(
  entry: Intervention,
  pack: OnShelf | undefined,
  targets: readonly JobTarget[],
  sprayerL: number,
  spoons: 'us' | 'metric',
): JobTank {
  const { rate } = entry;
  if (!rate || dimensionOf(rate.per.unit as UnitName) !== 'volume' || rate.coverage?.per === 'm2') return { why: 'no-rate' };
  const onPack = pack?.product.strength;
  if (entry.sold && onPack?.unit !== rate.strength.unit) return { why: 'strength' };
  const { rate: usual, most } = rateAt(rate, onPack?.amount ?? rate.strength.amount);
  const terms = { unit: rate.unit as UnitName, per: { amount: rate.per.amount, unit: rate.per.unit as UnitName } };
  const labels = targets.map(({ host, against, plants }) => pack?.card && packInHand(entry, pack, host, against, plants).card.allowedRate);
  const allowed = labels.map((label) => label && labelMost(label, terms));
  if (labels.some((label, i) => label && allowed[i] === undefined)) return { why: 'other-terms' };
  const tank = tankFor(
    { rate: usual, most },
    targets.map(({ plantingId, plants, host }, i) => ({
      id: plantingId,
      plants,
      litresPerPlant: rate.coverage?.per === 'plant' && rate.coverage.unit === 'l' ? rate.coverage.amount : sprayPerPlant(host.habit),
      most: allowed[i],
    })),
  );
  type Unit = MixRequest['rate']['unit'];
  return {
    tank,
    question: {
      rate: { amount: tank.rate, unit: rate.unit as Unit, per: { amount: rate.per.amount, unit: rate.per.unit as Unit } },
      make: { amount: tank.litres, unit: 'l' },
      sprayer: { amount: sprayerL, unit: 'l' },
      spoons,
      labelMax: { amount: tank.most, unit: rate.unit as Unit },
    },
  };
}

/** An amount in ml or g, as the log keeps it. */
export function keptAmount({ amount, unit }: { readonly amount: number; readonly unit: string }): {
  readonly amount: number;
  readonly unit: 'ml' | 'g';
} {
  const to = dimensionOf(unit as UnitName) === 'mass' ? 'g' : 'ml';
  return { amount: Number(convert({ amount, unit: unit as UnitName }, to).amount.toPrecision(4)), unit: to };
}
