import type { GardenSettings, GardenSummary } from '@field-nurse/contract';
import { usualSeasonStart } from '@field-nurse/core/timing';
import { and, eq, ne, sql } from 'drizzle-orm';
import { notFound } from '../http/apiError.js';
import type { Db } from '../db/client.js';
import { gardens, members } from './tables.js';

type GardenRow = typeof gardens.$inferSelect;

export async function gardensOf(db: Db, personId: string): Promise<GardenSummary[]> {
  const rows = await db
    .select()
    .from(members)
    .innerJoin(gardens, eq(gardens.id, members.gardenId))
    .where(eq(members.personId, personId))
    .orderBy(gardens.createdAt);
  return rows.map((row) => toSummary(row.gardens, row.members.role));
}

export async function gardenById(db: Db, gardenId: string, personId: string): Promise<GardenSummary> {
  const [row] = await db
    .select()
    .from(members)
    .innerJoin(gardens, eq(gardens.id, members.gardenId))
    .where(and(eq(gardens.id, gardenId), eq(members.personId, personId)));
  if (!row) throw notFound('This garden');
  return toSummary(row.gardens, row.members.role);
}

/** Idempotent: a garden that this person already made under the id is given back. */
export async function addGarden(
  db: Db,
  garden: GardenSettings & { id: string; createdAt: Date },
  personId: string,
): Promise<{ garden: GardenSummary; made: boolean }> {
  const made = await db.transaction(async (tx) => {
    const added = await tx.insert(gardens).values(garden).onConflictDoNothing().returning({ id: gardens.id });
    if (added.length > 0) await tx.insert(members).values({ gardenId: garden.id, personId, role: 'owner', since: garden.createdAt });
    return added.length > 0;
  });
  return { garden: await gardenById(db, garden.id, personId), made };
}

export async function updateGarden(db: Db, gardenId: string, settings: GardenSettings): Promise<void> {
  await db.update(gardens).set(settings).where(eq(gardens.id, gardenId));
}

/** The garden's own idea of now: its fixed clock, or the real one. */
export async function gardenClock(
  db: Db,
  gardenId: string,
  now: () => Date,
): Promise<{ now: Date; timeZone: string; weatherStation: string | null }> {
  const [row] = await db
    .select({ fixedNow: gardens.fixedNow, timeZone: gardens.timeZone, weatherStation: gardens.weatherStation })
    .from(gardens)
    .where(eq(gardens.id, gardenId));
  if (!row) throw notFound('This garden');
  const { fixedNow, timeZone, weatherStation } = row;
  return { now: fixedNow ?? now(), timeZone, weatherStation };
}

/** What the law of the label must know of a garden. */
export interface GardenLaw {
  readonly id: string;
  readonly now: Date;
  readonly timeZone: string;
  readonly stance: GardenSettings['stance'];
  /** its answers where growers disagree */
  readonly schools: GardenSettings['schools'];
  readonly region: string;
  /** `MM-DD` */
  readonly seasonStart: string;
  readonly latitude: number | null;
  /** suspects that need not be reported here, as the authority said */
  readonly notListed: readonly string[];
  /** number of the newest change */
  readonly sequence: number;
}

export async function gardenLaw(db: Db, gardenId: string, now: () => Date): Promise<GardenLaw> {
  const [row] = await db.select().from(gardens).where(eq(gardens.id, gardenId));
  if (!row) throw notFound('This garden');
  const { id, timeZone, stance, schools, region, latitude, notListed } = row;
  return {
    id,
    now: row.fixedNow ?? now(),
    timeZone,
    stance: stance as GardenLaw['stance'],
    schools: schools as GardenLaw['schools'],
    region,
    latitude,
    notListed,
    seasonStart: row.seasonStart ?? usualSeasonStart(latitude),
    sequence: row.lastSequence,
  };
}

function toSummary(row: GardenRow, role: string): GardenSummary {
  const { createdAt: _, lastSequence: __, recordCount: ___, photoCount: ____, photoBytes: _____, fixedNow, ...settings } = row;
  return {
    ...(settings as GardenSettings & { id: string }),
    role: role as GardenSummary['role'],
    fixedNow: fixedNow?.toISOString() ?? null,
  };
}

/** Gardens that have no owner but this person. */
export async function ownedAlone(db: Pick<Db, 'select'>, personId: string): Promise<{ id: string; name: string }[]> {
  return db
    .select({ id: gardens.id, name: gardens.name })
    .from(members)
    .innerJoin(gardens, eq(gardens.id, members.gardenId))
    .where(
      and(
        eq(members.personId, personId),
        eq(members.role, 'owner'),
        sql`not exists (select from ${members} other where other.garden_id = ${members.gardenId} and other.role = 'owner' and ${ne(sql`other.person_id`, personId)})`,
      ),
    );
}
