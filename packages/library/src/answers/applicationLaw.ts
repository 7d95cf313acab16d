import type { LabelCard, Stored, Written } from '@field-nurse/contract';
import { plantingOn } from '@field-nurse/core/ground';
import { amountUsed, judgeApplied, preHarvestFor } from '@field-nurse/core/label';
import { dayAt, intervalsAfter } from '@field-nurse/core/timing';
import type { Intervention, Library } from '../entries.js';
import { brokenLineText } from './brokenLineText.js';

type Kept = Stored<'applications'>;
type Value = Required<Written<'applications'>>;

/** A planting that an application went to, with what is known of it. */
export interface TargetKnown {
  /** nothing where it is not in the garden */
  readonly planting: Stored<'plantings'> | null | undefined;
  /** what its case was taken for on that day */
  readonly against: readonly string[];
  /** what else was done on it */
  readonly others: readonly { readonly intervention: string; readonly appliedOn: string }[];
}

/** An application with what it is judged by. */
export interface ApplicationKnown {
  readonly library: Pick<Library, 'interventions' | 'hosts'>;
  readonly value: Value;
  /** the product that was used, with its card */
  readonly product: { readonly name: string; readonly card: LabelCard | undefined } | undefined;
  /** in the order of its targets */
  readonly targets: readonly TargetKnown[];
  readonly timeZone: string;
  /** `MM-DD` */
  readonly seasonStart: string;
  /** the weather of that hour as the garden has it */
  readonly measured: Kept['measured'];
}

/** What follows from an application: the card as it was, the lines that were not kept, and how long to wait. */
export type ApplicationLaw = Pick<Kept, 'targets' | 'card' | 'brokenLines' | 'reEntryAt' | 'repeatFrom'>;

/**
 * Judge an application that was made: on the server, and on a device that has no signal, by the same law.
 *
 * @throws RangeError where the library does not hold the intervention
 */
export function applicationLaw({ library, value, product, targets, timeZone, seasonStart, measured }: ApplicationKnown): ApplicationLaw {
  const cards = new Map(library.interventions.map((one) => [one.id, one]));
  const typical = cards.get(value.intervention);
  if (!typical) throw new RangeError(`applicationLaw requires an intervention of the library, got ${value.intervention}`);
  const day = dayAt(value.appliedAt, timeZone);
  const whole = value.targets.map((target) => ({ ...target, areaM2: target.areaM2 ?? null }));
  const used = amountUsed({ ...value, targets: whole });
  const judged = whole.map((target, i) => {
    const { planting, against, others } = targets[i]!;
    if (!planting) return { target: { ...target, notPickedBefore: null }, card: typical, brokenLines: [] };
    const known = library.hosts.find((one) => one.id === planting.host);
    const host = { id: planting.host, family: known?.family ?? '', like: known?.like };
    const { card, lines } = judgeApplied({
      typical,
      product: product?.card,
      cards,
      planting: { ...plantingOn(planting, day), eaten: planting.eaten },
      host,
      against,
      on: day,
      others,
      seasonStart,
      weather: {
        temperatureC: value.temperatureC ?? measured?.temperatureC ?? undefined,
        windKmh: value.windKmh ?? measured?.windKmh ?? undefined,
      },
      used,
    });
    const limits = { ...card, preHarvestDays: preHarvestFor(card, host) };
    const { notPickedBefore } = intervalsAfter(value.appliedAt, timeZone, limits, planting.eaten);
    return {
      target: { ...target, notPickedBefore },
      card: limits,
      brokenLines: lines
        .filter(({ state }) => state === 'broken')
        .map((line) => ({ line: line.line, plantingId: planting.id, text: brokenLineText(line) })),
    };
  });
  const card = strictest(
    typical,
    judged.map((one) => one.card),
  );
  const { reEntryAt, repeatFrom } = intervalsAfter(value.appliedAt, timeZone, card, false);
  return {
    targets: judged.map(({ target }) => target),
    card: snapshotOf(card, product),
    brokenLines: judged.flatMap(({ brokenLines }) => brokenLines),
    reEntryAt: new Date(reEntryAt).toISOString(),
    repeatFrom,
  };
}

/** What one tank over several plantings waits for: the longest of what their lines ask for. */
const strictest = (typical: Intervention, cards: readonly Intervention[]): Intervention => {
  const least = Math.max(0, ...cards.flatMap(({ repeatDays }) => repeatDays?.[0] ?? []));
  const maxima = cards.flatMap(({ seasonMax }) => seasonMax ?? []);
  return {
    ...typical,
    preHarvestDays: Math.max(...cards.map(({ preHarvestDays }) => preHarvestDays)),
    reEntryHours: Math.max(...cards.map(({ reEntryHours }) => reEntryHours)),
    repeatDays: cards.map(({ repeatDays }) => repeatDays).find((days) => days?.[0] === least),
    seasonMax: maxima.length > 0 ? Math.min(...maxima) : undefined,
  };
};

const withProduct = new Set(['biological', 'soft', 'synthetic']);

/** Until a label in hand is copied, the figures of the library are typical ones. */
const snapshotOf = (
  { name, rung, preHarvestDays, reEntryHours, repeatDays, seasonMax }: Intervention,
  product: ApplicationKnown['product'],
): Kept['card'] => ({
  name: product?.name ?? name,
  source: product?.card?.source ?? (withProduct.has(rung) ? 'typical' : 'none'),
  preHarvestDays,
  reEntryHours,
  repeatDays: repeatDays ? [...repeatDays] : null,
  seasonMax: seasonMax ?? null,
});
