import type { PastSight } from '@field-nurse/contract';
import { looksByDay, relativeArea } from '@field-nurse/core/recovery';
import type { CaseAssessment } from '@field-nurse/core/recovery';
import { daysBetween } from '@field-nurse/core/timing';
import { sql } from 'drizzle-orm';
import { applications, applicationTargets } from '../applications/tables.js';
import { caseDiagnoses, cases } from '../cases/tables.js';
import type { Db } from '../db/client.js';
import { gardens, plantings } from '../gardens/tables.js';
import { assessments } from '../recovery/tables.js';

interface Row extends Record<string, unknown> {
  readonly case: string;
  readonly planting: string;
  readonly place: string;
  readonly host: string;
  readonly cultivar: string;
  readonly plants: number;
  readonly conditions: string[];
  readonly opened: string;
  readonly closed: string | null;
  readonly outcome: string | null;
  readonly looks: CaseAssessment[];
  readonly done: PastSight['done'];
}

/** Every case of a garden with what its looks come to and what was done for it, oldest first. One query. */
export async function sightsOf(db: Db, gardenId: string): Promise<PastSight[]> {
  const { rows } = await db.execute<Row>(sql`
    select c.id as case, c.planting_id as planting, p.place_id as place, p.host, p.cultivar, p.plants, c.opened_on::text as opened, c.closed_on::text as closed, c.outcome,
      coalesce((select json_agg(d.condition order by d.rank) from ${caseDiagnoses} d where d.garden_id = c.garden_id and d.case_id = c.id
        and d.ordinal = (select max(l.ordinal) from ${caseDiagnoses} l where l.garden_id = c.garden_id and l.case_id = c.id)), '[]'::json) as conditions,
      coalesce((select json_agg(json_build_object('assessedOn', a.assessed_on, 'severity', a.severity, 'count', a.count, 'newGrowth', a.new_growth,
        'nextAssessmentOn', null, 'partId', a.part_id, 'plant', a.plant) order by a.assessed_on)
        from ${assessments} a where a.garden_id = c.garden_id and a.case_id = c.id), '[]'::json) as looks,
      coalesce((select json_agg(json_build_object('intervention', o.intervention, 'on', (o.applied_at at time zone g.time_zone)::date, 'plants', t.plants)
        order by o.applied_at) from ${applicationTargets} t join ${applications} o on o.garden_id = t.garden_id and o.id = t.application_id
        where t.garden_id = c.garden_id and t.case_id = c.id), '[]'::json) as done
    from ${cases} c join ${plantings} p on p.garden_id = c.garden_id and p.id = c.planting_id join ${gardens} g on g.id = c.garden_id
    where c.garden_id = ${gardenId} order by c.opened_on, c.id`);
  return rows.map(({ looks, opened, closed, ...row }) => {
    const days = looksByDay(looks);
    const first = days[0]?.assessedOn;
    const readings = days.map(({ assessedOn, severity }) => ({ day: daysBetween(first!, assessedOn), severity }));
    return {
      ...row,
      openedOn: opened,
      closedOn: closed,
      peak: days.length > 0 ? Math.max(...days.map(({ severity }) => severity)) : null,
      meanSeverity: days.length > 1 ? 100 * relativeArea(readings)! : null,
      lastSeverity: days.at(-1)?.severity ?? null,
    };
  });
}
