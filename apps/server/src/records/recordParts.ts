import type { Subject } from '@field-nurse/contract';
import type { SQL } from 'drizzle-orm';
import { sql } from 'drizzle-orm';
import type { AnyPgColumn, PgTable } from 'drizzle-orm/pg-core';
import { applications, applicationTargets } from '../applications/tables.js';
import { caseDiagnoses, cases } from '../cases/tables.js';
import { stops, stopSigns } from '../scouting/tables.js';
import { labelCardLines, labelCards } from '../shelf/tables.js';
import { plantingEvents, plantings } from '../gardens/tables.js';

/** A list inside a record that is kept as rows of its own, so that it can be asked by itself. */
export interface RecordPart {
  /** of the record */
  readonly field: string;
  readonly table: PgTable & { readonly gardenId: AnyPgColumn };
  /** the column that names the record, by its name in the row */
  readonly owner: string;
  readonly ownerColumn: AnyPgColumn;
  /** rows without the garden and the record that they belong to */
  readonly toRows: (list: readonly never[]) => object[];
  /** the list as JSON, for the record of the row around it */
  readonly json: SQL;
}

const numbered = (list: readonly object[]) => list.map((one, ordinal) => ({ ...one, ordinal }));

interface Diagnosis {
  readonly on: string;
  readonly conditions: readonly string[];
  readonly why: string;
}

export const recordParts: Readonly<Partial<Record<Subject, RecordPart>>> = {
  plantings: {
    field: 'events',
    table: plantingEvents,
    owner: 'plantingId',
    ownerColumn: plantingEvents.plantingId,
    toRows: numbered,
    json: sql`
      select json_agg(case e.kind
        when 'moved' then json_build_object('kind', e.kind, 'on', e.happened_on, 'placeId', e.place_id, 'setting', e.setting)
        when 'stage' then json_build_object('kind', e.kind, 'on', e.happened_on, 'stage', e.stage)
        when 'ended' then json_build_object('kind', e.kind, 'on', e.happened_on)
        else json_build_object('kind', e.kind, 'on', e.happened_on, 'until', e.until) end order by e.ordinal)
      from ${plantingEvents} e where e.garden_id = ${plantings.gardenId} and e.planting_id = ${plantings.id}`,
  },
  cases: {
    field: 'diagnoses',
    table: caseDiagnoses,
    owner: 'caseId',
    ownerColumn: caseDiagnoses.caseId,
    toRows: (list: readonly Diagnosis[]) =>
      list.flatMap(({ on, conditions, why }, ordinal) => conditions.map((condition, rank) => ({ ordinal, rank, on, condition, why }))),
    json: sql`
      select json_agg(json_build_object('on', d.told_on, 'conditions', d.conditions, 'why', d.why) order by d.ordinal)
      from (
        select ordinal, min(diagnosed_on) as told_on, json_agg(condition order by rank) as conditions, min(why) as why
        from ${caseDiagnoses} where garden_id = ${cases.gardenId} and case_id = ${cases.id} group by ordinal
      ) d`,
  },
  applications: {
    field: 'targets',
    table: applicationTargets,
    owner: 'applicationId',
    ownerColumn: applicationTargets.applicationId,
    toRows: numbered,
    json: sql`
      select json_agg(json_build_object('plantingId', t.planting_id, 'caseId', t.case_id, 'plants', t.plants, 'areaM2', t.area_m2,
        'coveredPart', t.covered_part, 'notPickedBefore', t.not_picked_before) order by t.ordinal)
      from ${applicationTargets} t where t.garden_id = ${applications.gardenId} and t.application_id = ${applications.id}`,
  },
  labelCards: {
    field: 'lines',
    table: labelCardLines,
    owner: 'cardId',
    ownerColumn: labelCardLines.cardId,
    toRows: numbered,
    json: sql`
      select json_agg(json_build_object('host', l.host, 'target', l.target, 'rate', l.rate, 'waterLPerM2', l.water_l_per_m2,
        'preHarvestDays', l.pre_harvest_days, 'repeatDays', l.repeat_days, 'seasonMax', l.season_max, 'settings', l.settings,
        'stages', l.stages) order by l.ordinal)
      from ${labelCardLines} l where l.garden_id = ${labelCards.gardenId} and l.card_id = ${labelCards.id}`,
  },
  stops: {
    field: 'signs',
    table: stopSigns,
    owner: 'stopId',
    ownerColumn: stopSigns.stopId,
    toRows: (signs: readonly string[]) => signs.map((sign, ordinal) => ({ sign, ordinal })),
    json: sql`
      select json_agg(s.sign order by s.ordinal)
      from ${stopSigns} s where s.garden_id = ${stops.gardenId} and s.stop_id = ${stops.id}`,
  },
};
