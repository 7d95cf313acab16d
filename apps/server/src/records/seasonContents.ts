import type { Subject } from '@field-nurse/contract';
import type { SQL } from 'drizzle-orm';
import { sql } from 'drizzle-orm';
import { addDays } from '@field-nurse/core/timing';
import { applications, applicationTargets } from '../applications/tables.js';
import { caseDiagnoses, cases, comments } from '../cases/tables.js';
import { clinicSamples } from '../clinic/tables.js';
import type { Db } from '../db/client.js';
import { groundEvents, preventionTasks } from '../prevention/tables.js';
import { products, stockMoves } from '../shelf/tables.js';
import { assessments, harvests, lessons, removals } from '../recovery/tables.js';
import { drills, leafMeasurements, scoutingRounds, stops } from '../scouting/tables.js';
import { catches, traps } from '../traps/tables.js';
import { plannedApplications, treatmentPlans } from '../plans/tables.js';
import { decisions, testSprays } from '../treatment/tables.js';
import { recordJson } from './recordJson.js';
import { subjectTables } from './subjects.js';
import { plantingEvents, plantings } from '../gardens/tables.js';

/** A season of a garden, in days and in the instants at which they begin. */
export interface SeasonWindow {
  readonly gardenId: string;
  readonly timeZone: string;
  readonly from: string;
  readonly to: string;
  readonly today: string;
  /** the season that runs now: what is open and what today needs, of this season and of earlier ones */
  readonly running: boolean;
}

// Intervals and waits reach back over the beginning of a season.
const reachDays = 60;
// Of older rounds today needs only the last look at each planting; the rest comes with the season when its chart is opened.
const roundDays = 14;

/** The records of a season as the text of one JSON object, list by list. One query, however many lists. */
export async function seasonJson(db: Db, window: SeasonWindow): Promise<string> {
  const lists = Object.entries(conditions(window)).map(([subject, where]) => {
    const table = subjectTables[subject as Subject];
    return sql`${sql.raw(`'${subject}'`)}, (select coalesce(json_agg(${recordJson(subject as Subject)} order by ${table.id}), '[]'::json)
      from ${table} where ${table.gardenId} = ${window.gardenId} and ${where})`;
  });
  const past = window.running ? pastCases(window) : sql`'[]'::json`;
  const { rows } = await db.execute<{ contents: string }>(
    sql`select json_build_object(${sql.join([...lists, sql`'pastCases', ${past}`], sql`, `)})::text as contents`,
  );
  return rows[0]!.contents;
}

/** What of each subject belongs to a season. Each reads by an index: what it costs does not grow with the seasons before. */
function conditions(window: SeasonWindow): Readonly<Record<Subject, SQL>> {
  const { gardenId, timeZone, from, to, today, running } = window;
  const reach = running ? addDays(from, -reachDays) : from;
  const instant = (day: string) => sql`(${day}::date::timestamp at time zone ${timeZone})`;
  const days = (column: SQL) => sql`${column} between ${reach}::date and ${to}::date`;
  const instants = (column: SQL, begin = reach) => sql`${column} >= ${instant(begin)} and ${column} < ${instant(addDays(to, 1))}`;
  const oneOf = (column: SQL, ids: SQL) => sql`${column} = any(array(${ids}))`;
  const ownCases = sql`select ${cases.id} from ${cases} where ${cases.gardenId} = ${gardenId} and ${ofSeason(from, to)}`;
  const always = running ? sql`true` : sql`false`;
  const grows = sql`${plantings.plantedOn} <= ${to}::date and not exists (
    select from ${plantingEvents} e where e.garden_id = ${plantings.gardenId} and e.planting_id = ${plantings.id}
      and e.kind = 'ended' and e.happened_on < ${from}::date)`;
  const onShelf = sql`select ${products.id} from ${products} where ${products.gardenId} = ${gardenId} and ${products.endedOn} is null`;
  // What is planned runs over the end of a season; what came to an end belongs to the season in which it did.
  const plans = sql`(${treatmentPlans.startsOn} <= ${addDays(to, 400)}::date and (${treatmentPlans.endedOn} is null and ${running} or ${treatmentPlans.endedOn} >= ${reach}::date and ${treatmentPlans.startsOn} <= ${to}::date))`;
  const lately = addDays(today, -roundDays);
  return {
    places: always,
    plantings: grows,
    cases: ofSeason(from, to),
    products: always,
    labelCards: always,
    // What is left of a pack follows from all that was done with it; of one that is used up nothing is asked.
    stockMoves: sql`(${instants(sql`${stockMoves.movedAt}`)} or ${running} and ${oneOf(sql`${stockMoves.productId}`, onShelf)})`,
    treatmentPlans: plans,
    plannedApplications: oneOf(
      sql`${plannedApplications.planId}`,
      sql`select ${treatmentPlans.id} from ${treatmentPlans} where ${treatmentPlans.gardenId} = ${gardenId} and ${plans}`,
    ),
    workTimes: always,
    sprayers: always,
    testSprays: sql`(${days(sql`${testSprays.lookOn}`)} or ${running} and ${testSprays.outcome} = 'marked')`,
    decisions: oneOf(sql`${decisions.caseId}`, ownCases),
    applications: sql`(${instants(sql`${applications.appliedAt}`)} or ${running} and ${oneOf(
      sql`${applications.productId}`,
      onShelf,
    )} or ${oneOf(
      sql`${applications.id}`,
      sql`select t.application_id from ${applicationTargets} t where t.garden_id = ${gardenId} and ${oneOf(sql`t.case_id`, ownCases)}`,
    )})`,
    assessments: oneOf(sql`${assessments.caseId}`, ownCases),
    harvests: days(sql`${harvests.pickedOn}`),
    // What is still to be done, and what was learnt of late; the rest is a memory like any other.
    lessons: sql`(${days(sql`${lessons.writtenOn}`)} or ${running} and ${lessons.doneOn} is null)`,
    removals: oneOf(sql`${removals.caseId}`, ownCases),
    traps: sql`(${traps.endedOn} is null or ${traps.endedOn} >= ${from}::date)`,
    catches: days(sql`${catches.checkedOn}`),
    scoutingRounds: running
      ? sql`(${instants(sql`${scoutingRounds.startedAt}`, lately)} or ${scoutingRounds.endedAt} is null)`
      : instants(sql`${scoutingRounds.startedAt}`),
    stops: running
      ? sql`(${instants(sql`${stops.lookedAt}`, lately)} or ${oneOf(sql`${stops.id}`, neededStops(gardenId, grows))})`
      : instants(sql`${stops.lookedAt}`),
    drills: instants(sql`${drills.heldAt}`),
    leafMeasurements: instants(sql`${leafMeasurements.measuredAt}`),
    // Some things are looked at every other year: of each the last time counts.
    preventionTasks: sql`(${days(sql`${preventionTasks.doneOn}`)} or ${running} and ${preventionTasks.id} in (
      select distinct on (place_id, task) id from ${preventionTasks} where garden_id = ${gardenId} order by place_id, task, done_on desc))`,
    // A test counts for as long as the ground rests.
    groundEvents: sql`(${days(sql`${groundEvents.happenedOn}`)} or ${running} and ${groundEvents.kind} in ('tested-clean', 'tested-there'))`,
    thresholds: always,
    ownEntries: always,
    clinicSamples: oneOf(sql`${clinicSamples.caseId}`, ownCases),
    comments: oneOf(sql`${comments.caseId}`, ownCases),
  };
}

/** The last stop at each planting that grows, and all at those that are held apart or on a round that is under way. */
const neededStops = (gardenId: string, grows: SQL): SQL => sql`
  select last.id from ${plantings}, lateral (
    select s.id from ${stops} s where s.garden_id = ${plantings.gardenId} and s.planting_id = ${plantings.id} order by s.looked_at desc limit 1) last
  where ${plantings.gardenId} = ${gardenId} and ${grows}
  union
  select s.id from ${stops} s join ${plantings} on ${plantings.gardenId} = s.garden_id and ${plantings.id} = s.planting_id
  where s.garden_id = ${gardenId} and ${plantings.quarantine} is not null and ${plantings.quarantine} ->> 'releasedOn' is null
  union
  select s.id from ${stops} s join ${scoutingRounds} on ${scoutingRounds.gardenId} = s.garden_id and ${scoutingRounds.id} = s.round_id
  where s.garden_id = ${gardenId} and ${scoutingRounds.endedAt} is null`;

const ofSeason = (from: string, to: string) =>
  sql`(${cases.openedOn} <= ${to}::date and (${cases.closedOn} is null or ${cases.closedOn} >= ${from}::date))`;

/** Cases of earlier seasons in one line each: what first sights, rests and the reckoning go by. */
const pastCases = ({ gardenId, from, to }: SeasonWindow): SQL => sql`(
  select coalesce(json_agg(json_build_object(
    'id', ${cases.id}, 'plantingId', ${cases.plantingId}, 'host', ${plantings.host}, 'openedOn', ${cases.openedOn}, 'closedOn', ${cases.closedOn},
    'placeId', coalesce((
      select e.place_id from ${plantingEvents} e where e.garden_id = ${plantings.gardenId} and e.planting_id = ${plantings.id}
        and e.kind = 'moved' and e.happened_on <= ${cases.openedOn} order by e.happened_on desc, e.ordinal desc limit 1), ${plantings.placeId}),
    'conditions', coalesce((
      select json_agg(d.condition order by d.rank) from ${caseDiagnoses} d where d.garden_id = ${cases.gardenId} and d.case_id = ${cases.id}
        and d.ordinal = (select max(l.ordinal) from ${caseDiagnoses} l where l.garden_id = ${cases.gardenId} and l.case_id = ${cases.id})), '[]'::json)
    ) order by ${cases.openedOn}, ${cases.id}), '[]'::json)
  from ${cases} join ${plantings} on ${plantings.gardenId} = ${cases.gardenId} and ${plantings.id} = ${cases.plantingId}
  where ${cases.gardenId} = ${gardenId} and not ${ofSeason(from, to)})`;

/** The first day of which the garden has something to tell. What was planted long ago and still grows tells nothing of that time. */
export async function firstDay(db: Db, gardenId: string): Promise<string | null> {
  const { rows } = await db.execute<{ day: string | null }>(
    sql`select least(
      (select min(${plantings.plantedOn}) from ${plantings} where ${plantings.gardenId} = ${gardenId} and exists (
        select from ${plantingEvents} e where e.garden_id = ${plantings.gardenId} and e.planting_id = ${plantings.id} and e.kind = 'ended')),
      (select min(${cases.openedOn}) from ${cases} where ${cases.gardenId} = ${gardenId}),
      (select min(${applications.appliedAt})::date from ${applications} where ${applications.gardenId} = ${gardenId}),
      (select min(${scoutingRounds.startedAt})::date from ${scoutingRounds} where ${scoutingRounds.gardenId} = ${gardenId})
    )::text as day`,
  );
  return rows[0]?.day ?? null;
}

/** A day on which a record is told of; none where the garden has no such record. */
export async function dayOfRecord(db: Db, gardenId: string, recordId: string): Promise<string | null> {
  const of = (table: SQL, day: SQL) => sql`select ${day} as day from ${table} where garden_id = ${gardenId} and id = ${recordId}`;
  const sources = [
    of(sql`${cases}`, sql`opened_on`),
    of(sql`${plantings}`, sql`planted_on`),
    of(sql`${applications}`, sql`applied_at::date`),
    of(sql`${scoutingRounds}`, sql`started_at::date`),
    of(sql`${traps}`, sql`coalesce(ended_on, now()::date)`),
  ];
  const { rows } = await db.execute<{ day: string }>(sql`select day::text from (${sql.join(sources, sql` union all `)}) found limit 1`);
  return rows[0]?.day ?? null;
}
