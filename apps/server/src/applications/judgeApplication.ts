import type { Stored, Written } from '@field-nurse/contract';
import { plantingOn } from '@field-nurse/core/ground';
import { amountUsed, judgeApplied, preHarvestFor } from '@field-nurse/core/label';
import { dayAt, hourMs, intervalsAfter } from '@field-nurse/core/timing';
import type { Intervention, Library } from '@field-nurse/library';
import { brokenLineText } from '@field-nurse/library/texts';
import type { Db } from '../db/client.js';
import type { GardenLaw } from '../gardens/gardenQueries.js';
import { invalidField } from '../http/apiError.js';
import { recordById } from '../records/recordStore.js';
import { cardOf } from '../shelf/queries.js';
import { hoursBetween } from '../weather/queries.js';
import { appliedOn } from './queries.js';

type Value = Required<Written<'applications'>>;
type Kept = Stored<'applications'>;

/**
 * An application with what the server makes of it: the card as it is now, the lines that were not kept, and how long to wait. What was done is
 * kept whatever the card says: a record that hides it is worth nothing.
 *
 * @throws ApiError where the product is not on the shelf, or is another ingredient than the one that was applied
 */
export async function judgeApplication(
  db: Db,
  library: Library,
  garden: GardenLaw,
  id: string,
  value: Value,
  personId: string | null,
): Promise<Omit<Kept, 'id' | 'version'>> {
  const cards = new Map(library.interventions.map((one) => [one.id, one]));
  const typical = cards.get(value.intervention)!;
  const product = value.productId ? await productUsed(db, garden.id, value.productId, value.intervention) : undefined;
  const appliedAt = new Date(value.appliedAt).toISOString();
  const day = dayAt(appliedAt, garden.timeZone);
  const measured = await weatherAt(db, garden.id, appliedAt);
  const targets = value.targets.map((target) => ({ ...target, areaM2: target.areaM2 ?? null }));
  const used = amountUsed({ ...value, targets });
  const judged = await Promise.all(targets.map((target) => judgeTarget(target)));

  async function judgeTarget(target: (typeof targets)[number]) {
    const planting = await recordById(db, 'plantings', garden.id, target.plantingId);
    if (!planting) return { target: { ...target, notPickedBefore: null }, card: typical, brokenLines: [] };
    const known = library.hosts.find((one) => one.id === planting.host);
    const host = { id: planting.host, family: known?.family ?? '', like: known?.like };
    const one = target.caseId ? await recordById(db, 'cases', garden.id, target.caseId) : null;
    const { card, lines } = judgeApplied({
      typical,
      product: product?.card,
      cards,
      planting: { ...plantingOn(planting, day), eaten: planting.eaten },
      host,
      against: (one?.diagnoses.findLast(({ on }) => on <= day) ?? one?.diagnoses[0])?.conditions ?? [],
      on: day,
      others: await appliedOn(db, garden, planting.id, id),
      seasonStart: garden.seasonStart,
      weather: {
        temperatureC: value.temperatureC ?? measured?.temperatureC ?? undefined,
        windKmh: value.windKmh ?? measured?.windKmh ?? undefined,
      },
      used,
    });
    const limits = { ...card, preHarvestDays: preHarvestFor(card, host) };
    const { notPickedBefore } = intervalsAfter(appliedAt, garden.timeZone, limits, planting.eaten);
    return {
      target: { ...target, notPickedBefore },
      card: limits,
      brokenLines: lines
        .filter(({ state: kept }) => kept === 'broken')
        .map((line) => ({ line: line.line, plantingId: planting.id, text: brokenLineText(line) })),
    };
  }

  const card = strictest(
    typical,
    judged.map((one) => one.card),
  );
  const { reEntryAt, repeatFrom } = intervalsAfter(appliedAt, garden.timeZone, card, false);
  return {
    ...value,
    productId: value.productId ?? null,
    appliedAt,
    targets: judged.map(({ target }) => target),
    card: snapshotOf(card, product),
    brokenLines: judged.flatMap(({ brokenLines }) => brokenLines),
    reEntryAt: new Date(reEntryAt).toISOString(),
    repeatFrom,
    measured,
    personId,
  };
}

interface Used {
  readonly name: string;
  readonly card: Stored<'labelCards'> | undefined;
}

async function productUsed(db: Db, gardenId: string, id: string, intervention: string): Promise<Used> {
  const product = await recordById(db, 'products', gardenId, id);
  if (!product) throw invalidField(['value', 'productId'], 'reference', 'This product is not in the garden.');
  if (product.intervention !== intervention)
    throw invalidField(['value', 'productId'], 'other-ingredient', `${product.name} is another ingredient than what was applied.`);
  return { name: product.name, card: await cardOf(db, gardenId, id) };
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
  product: Used | undefined,
): Kept['card'] => ({
  name: product?.name ?? name,
  source: product?.card?.source ?? (withProduct.has(rung) ? 'typical' : 'none'),
  preHarvestDays,
  reEntryHours,
  repeatDays: repeatDays ? [...repeatDays] : null,
  seasonMax: seasonMax ?? null,
});

async function weatherAt(db: Db, gardenId: string, instant: string): Promise<Kept['measured']> {
  const from = new Date(Math.floor(Date.parse(instant) / hourMs) * hourMs);
  const [hour] = await hoursBetween(db, gardenId, from.toISOString(), new Date(from.getTime() + hourMs).toISOString());
  if (!hour) return null;
  const { temperatureC = null, humidityPercent = null, windKmh = null, rainMm = null } = hour;
  return { temperatureC, humidityPercent, windKmh, rainMm };
}
