import { assignment } from './assignment.js';
import type { BedRest } from './bedRests.js';
import { restsAgainst } from './bedRests.js';

/** A crop that is to find a place for the coming season. */
export interface RotationCrop {
  readonly id: string;
  readonly family: string;
  /** where it stands now */
  readonly placeId: string;
  readonly setting: string;
  /** ground that it takes; not known: as much as where it stands */
  readonly areaM2: number | null;
  /** it does well in half a day of sun */
  readonly bearsShade: boolean;
}

/** A place, or a part of one, that takes one crop. */
export interface RotationSlot {
  readonly placeId: string;
  readonly setting: string;
  readonly areaM2: number | null;
  /** nothing where nobody said it */
  readonly light: 'sun' | 'half' | 'shade' | null;
}

/** What grew in a place, by the year in which it last stood there. */
export interface GrewThere {
  readonly placeId: string;
  readonly family: string;
  readonly year: number;
}

/** Why a crop should not go somewhere. */
export interface RotationReason {
  readonly code: 'rests' | 'setting' | 'same-family' | 'light' | 'area';
  readonly cost: number;
  /** the trouble, for what rests; years since it grew there, for a family */
  readonly of?: string | undefined;
  readonly years?: number | undefined;
}

export interface RotationPlace {
  readonly crop: string;
  readonly placeId: string;
  readonly reasons: readonly RotationReason[];
}

export interface RotationPlan {
  readonly places: readonly RotationPlace[];
  readonly cost: number;
  /** nothing is better: proven */
  readonly isOptimal: boolean;
}

export interface RotationQuestion {
  readonly crops: readonly RotationCrop[];
  /** at least as many as crops */
  readonly slots: readonly RotationSlot[];
  readonly rests: readonly BedRest[];
  readonly grew: readonly GrewThere[];
  /** the first day of the season that is planned */
  readonly on: string;
}

// What each line weighs beside the others: our estimate. Ground that rests is closed, and a plant of the house does not go into a bed; a family comes
// back after four years at the soonest; a crop that wants sun loses about a third of its crop in half a day of it and most in shade, one that bears shade
// a third in deep shade; a crop that does not fit its ground costs by how much.
const [restCost, settingCost, familyCost, areaCost] = [1000, 1000, 60, 8];
const darkness = { sun: 0, half: 1, shade: 2 } as const;
const lightCost = [0, 20, 60] as const;
const familyYears = 4;
const agreed = 1e-6;

/** What is against a crop in a slot. */
export function reasonsAgainst(crop: RotationCrop, slot: RotationSlot, { rests, grew, on }: RotationQuestion): RotationReason[] {
  const year = Number(on.slice(0, 4));
  const last = grew.filter(({ placeId, family }) => placeId === slot.placeId && family === crop.family).map((one) => one.year);
  const years = year - Math.max(...last, -Infinity);
  const dark = Math.max(0, darkness[slot.light ?? 'sun'] - (crop.bearsShade ? 1 : 0));
  const apart = crop.areaM2 !== null && slot.areaM2 !== null && slot.areaM2 > 0 ? Math.abs(Math.log(crop.areaM2 / slot.areaM2)) : 0;
  return [
    ...restsAgainst(rests, slot.placeId, crop.family, on).map(({ condition }): RotationReason => ({
      code: 'rests',
      cost: restCost,
      of: condition,
    })),
    ...(crop.setting === slot.setting ? [] : [{ code: 'setting' as const, cost: settingCost }]),
    ...(years > 0 && years < familyYears ? [{ code: 'same-family' as const, cost: familyCost / years ** 2, years }] : []),
    ...(dark > 0 ? [{ code: 'light' as const, cost: lightCost[dark]! }] : []),
    ...(apart > Math.log(1.25) ? [{ code: 'area' as const, cost: areaCost * apart }] : []),
  ];
}

const costOf = (reasons: readonly RotationReason[]) => reasons.reduce((sum, { cost }) => sum + cost, 0);

/**
 * Where each crop goes in the coming season, so that all together break as few rules as can be: ground that rests, families that come back too soon,
 * places that are too dark, ground that is too small or too large.
 *
 * @throws RangeError where there are fewer slots than crops
 */
export function planRotation(question: RotationQuestion): RotationPlan {
  const { crops, slots } = question;
  const reasons = crops.map((crop) => slots.map((slot) => reasonsAgainst(crop, slot, question)));
  const { columns, cost, bound } = assignment(reasons.map((row) => row.map(costOf)));
  return {
    places: crops.map(({ id }, i) => ({ crop: id, placeId: slots[columns[i]!]!.placeId, reasons: reasons[i]![columns[i]!]! })),
    cost,
    isOptimal: Math.abs(cost - bound) < agreed * Math.max(1, cost),
  };
}

/** What it costs more if one crop goes to a place, while all others adjust. */
export function swapCost(
  question: RotationQuestion,
  crop: string,
  placeId: string,
): { readonly extra: number; readonly plan: RotationPlan } {
  const slots = question.slots.map((slot, i) => ({ slot, i })).filter(({ slot }) => slot.placeId === placeId);
  const best = planRotation(question).cost;
  const one = question.crops.find(({ id }) => id === crop);
  if (slots.length === 0 || !one) throw new RangeError(`rotation: there is no ${one ? placeId : crop}`);
  const plans = slots.map(({ slot, i }) => {
    const rest = planRotation({
      ...question,
      crops: question.crops.filter(({ id }) => id !== crop),
      slots: question.slots.filter((_, at) => at !== i),
    });
    const reasons = reasonsAgainst(one, slot, question);
    return { ...rest, places: [...rest.places, { crop, placeId, reasons }], cost: rest.cost + costOf(reasons) };
  });
  const plan = plans.reduce((least, other) => (other.cost < least.cost ? other : least));
  return { extra: plan.cost - best, plan };
}
