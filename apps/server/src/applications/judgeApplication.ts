import type { Stored, Written } from '@field-nurse/contract';
import { plantingOn } from '@field-nurse/core/ground';
import { earlierApplications, judgeByLabel, preHarvestFor } from '@field-nurse/core/label';
import { dayAt, daysBetween, hourMs, intervalsAfter } from '@field-nurse/core/timing';
import type { Intervention, Library } from '@field-nurse/library';
import { brokenLineText } from '@field-nurse/library/texts';
import type { Db } from '../db/client.js';
import type { GardenLaw } from '../gardens/gardenQueries.js';
import { recordById } from '../records/recordStore.js';
import { hoursBetween } from '../weather/queries.js';
import { appliedOn } from './queries.js';

type Value = Required<Written<'applications'>>;
type Kept = Stored<'applications'>;

/**
 * An application with what the server makes of it: the card as it is now, the lines that were not kept, and how long to wait. What was done is
 * kept whatever the card says: a record that hides it is worth nothing.
 */
export async function judgeApplication(
  db: Db,
  library: Library,
  garden: GardenLaw,
  id: string,
  value: Value,
  personId: string | null,
): Promise<Omit<Kept, 'id' | 'version'>> {
  const card = library.interventions.find((one) => one.id === value.intervention)!;
  const appliedAt = new Date(value.appliedAt).toISOString();
  const day = dayAt(appliedAt, garden.timeZone);
  const measured = await weatherAt(db, garden.id, appliedAt);
  const judged = await Promise.all(value.targets.map((target) => judgeTarget(target)));

  async function judgeTarget(target: Value['targets'][number]) {
    const planting = await recordById(db, 'plantings', garden.id, target.plantingId);
    if (!planting) return { target: { ...target, areaM2: target.areaM2 ?? null, notPickedBefore: null }, brokenLines: [] };
    const state = plantingOn(planting, day);
    const host = library.hosts.find((one) => one.id === planting.host);
    const labelled = { id: planting.host, family: host?.family ?? '', like: host?.like };
    const limits = { ...card, preHarvestDays: preHarvestFor(card, labelled) };
    const { notPickedBefore } = intervalsAfter(appliedAt, garden.timeZone, limits, planting.eaten);
    const lines = judgeByLabel(card, {
      planting: {
        host: labelled,
        setting: state.setting,
        eaten: planting.eaten,
        inFlower: state.inFlower,
        ...(state.nextFlowerOn && { flowersInDays: daysBetween(day, state.nextFlowerOn) }),
        ...(state.nextHarvestOn && { daysToHarvest: daysBetween(day, state.nextHarvestOn) }),
      },
      earlier: earlierApplications(await appliedOn(db, garden, planting.id, id), day, garden.seasonStart),
      warmth: { temperatureC: value.temperatureC ?? measured?.temperatureC ?? undefined },
      cards: new Map(library.interventions.map((one) => [one.id, one])),
    });
    return {
      target: { ...target, areaM2: target.areaM2 ?? null, notPickedBefore },
      brokenLines: lines
        .filter(({ state: kept }) => kept === 'broken')
        .map((line) => ({ line: line.line, plantingId: planting.id, text: brokenLineText(line) })),
    };
  }

  const { reEntryAt, repeatFrom } = intervalsAfter(appliedAt, garden.timeZone, card, false);
  return {
    ...value,
    appliedAt,
    targets: judged.map(({ target }) => target),
    card: snapshotOf(card),
    brokenLines: judged.flatMap(({ brokenLines }) => brokenLines),
    reEntryAt: new Date(reEntryAt).toISOString(),
    repeatFrom,
    measured,
    personId,
  };
}

const withProduct = new Set(['biological', 'soft', 'synthetic']);

/** Until a label in hand is copied, the figures of the library are typical ones. */
const snapshotOf = ({ name, rung, preHarvestDays, reEntryHours, repeatDays, seasonMax }: Intervention): Kept['card'] => ({
  name,
  source: withProduct.has(rung) ? 'typical' : 'none',
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
