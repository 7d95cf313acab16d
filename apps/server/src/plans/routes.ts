import { endpoints } from '@field-nurse/contract';
import { tokenHolder } from '../access/tokenQueries.js';
import type Router from '@koa/router';
import { serve } from '../api/serve.js';
import type { Deps } from '../deps.js';
import { gardenById, gardenLaw } from '../gardens/gardenQueries.js';
import { invalidField, notFound } from '../http/apiError.js';
import { gardenLibrary } from '../library/gardenLibrary.js';
import { requireEntry } from '../library/requireEntry.js';
import { recordById } from '../records/recordStore.js';
import { writeOf } from '../records/writeOf.js';
import { writeRecord } from '../records/writeRecord.js';
import { planCalendar } from './planCalendar.js';
import { requireLawful } from './judgePlanned.js';

/** Plans: what shall be done and how often, its rounds in their half-days, and who has how much time for them. */
export function planRoutes(router: Router, deps: Deps): void {
  serve(router, deps, endpoints.writeTreatmentPlan, async ({ params, body, access }) => {
    const { value } = body;
    const library = await gardenLibrary(deps, params.garden);
    value.interventions.forEach((one, i) => requireEntry(library.interventions, one, ['value', 'interventions', i]));
    value.against.forEach((one, i) => requireEntry(library.conditions, one, ['value', 'against', i]));
    const sick = value.caseId ? await recordById(deps.db, 'cases', params.garden, value.caseId) : null;
    if (sick && sick.plantingId !== value.plantingId)
      throw invalidField(['value', 'caseId'], 'reference', 'This case is of another planting.');
    return writeRecord(deps.db, 'treatmentPlans', params.record, body.version, value, writeOf(deps, { params, body, access }));
  });

  serve(router, deps, endpoints.writePlannedApplication, async ({ params, body, access }) => {
    const { value } = body;
    const plan = await recordById(deps.db, 'treatmentPlans', params.garden, value.planId);
    if (!plan) throw invalidField(['value', 'planId'], 'reference', 'This plan is not in the garden.');
    if (!plan.interventions.includes(value.intervention))
      throw invalidField(['value', 'intervention'], 'not-in-plan', `The plan is for ${plan.interventions.join(' or ')}.`);
    if (value.state === 'planned') {
      const library = await gardenLibrary(deps, params.garden);
      await requireLawful(deps.db, library, await gardenLaw(deps.db, params.garden, deps.now), plan, value);
    }
    const startedAt = value.startedAt && new Date(value.startedAt).toISOString();
    const planned = { ...value, startedAt };
    return writeRecord(deps.db, 'plannedApplications', params.record, body.version, planned, writeOf(deps, { params, body, access }));
  });

  const calendarFor = async (personId: string, gardenId: string): Promise<string> => {
    const garden = await gardenById(deps.db, gardenId, personId);
    return planCalendar(deps.db, await gardenLibrary(deps, gardenId), { ...garden, publicUrl: deps.publicUrl });
  };

  serve(router, deps, endpoints.planCalendar, async ({ params, access, ctx }) => {
    ctx.type = endpoints.planCalendar.answerType;
    return calendarFor(access.person!.id, params.garden);
  });

  // Calendars can send no header: the token stands in the address, and is good for this alone.
  serve(router, deps, endpoints.calendarFeed, async ({ params, ctx }) => {
    const holder = await tokenHolder(deps, `Bearer ${params.token.replace(/\.ics$/, '')}`);
    if (holder?.scope !== 'calendar') throw notFound('This calendar');
    ctx.type = endpoints.calendarFeed.answerType;
    return calendarFor(holder.person.id, holder.gardenId);
  });

  serve(router, deps, endpoints.writeWorkTime, async ({ params, body, access }) =>
    writeRecord(deps.db, 'workTimes', params.record, body.version, body.value, writeOf(deps, { params, body, access })),
  );
}
