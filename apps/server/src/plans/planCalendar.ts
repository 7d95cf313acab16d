import type { Stored } from '@field-nurse/contract';
import { instantOf } from '@field-nurse/core/timing';
import type { Library } from '@field-nurse/library';
import type { ICalEventData } from 'ical-generator';
import ical from 'ical-generator';
import type { Db } from '../db/client.js';
import { recordsOf } from '../records/recordStore.js';

// A half-day begins for a calendar when people begin to work.
const beginsAt = { morning: '07:00', evening: '18:30' } as const;
const eventMs = 60 * 60 * 1000;

interface CalendarOf {
  readonly id: string;
  readonly name: string;
  readonly timeZone: string;
  readonly publicUrl: string;
}

/** What is planned in a garden as a calendar (RFC 5545): an event for each round that is still to be done. */
export async function planCalendar(db: Db, library: Library, garden: CalendarOf): Promise<string> {
  const [plans, planned, plantings, cases, places, products] = await Promise.all([
    recordsOf(db, 'treatmentPlans', garden.id),
    recordsOf(db, 'plannedApplications', garden.id),
    recordsOf(db, 'plantings', garden.id),
    recordsOf(db, 'cases', garden.id),
    recordsOf(db, 'places', garden.id),
    recordsOf(db, 'products', garden.id),
  ]);
  const events = planned.flatMap((round): ICalEventData[] => {
    const plan = plans.find(({ id }) => id === round.planId);
    if (!plan || plan.endedOn || (round.state !== 'planned' && round.state !== 'under-way')) return [];
    const planting = plantings.find(({ id }) => id === plan.plantingId);
    // What is over has no more rounds, though nobody took them out.
    const isOver = cases.find(({ id }) => id === plan.caseId)?.closedOn ?? planting?.events.some(({ kind }) => kind === 'ended');
    if (isOver) return [];
    const host = library.hosts.find(({ id }) => id === planting?.host)?.name ?? '';
    const what =
      products.find(({ id }) => id === round.productId)?.name ?? library.interventions.find(({ id }) => id === round.intervention)?.name;
    const start = new Date(instantOf(`${round.plannedFor}T${beginsAt[round.slot]}`, garden.timeZone));
    const url = `${garden.publicUrl}/g/${garden.id}/plan/jobs/${round.id}`;
    return [
      {
        id: `${round.id}@${garden.id}`,
        start,
        end: new Date(start.getTime() + eventMs),
        summary: `${what}: ${[host, planting?.cultivar].filter(Boolean).join(' ')}`,
        location: places.find(({ id }) => id === planting?.placeId)?.name ?? '',
        description: descriptionOf(round, plan),
        url,
      },
    ];
  });
  return ical({ name: `${garden.name}: plan`, prodId: { company: 'Field Nurse', product: 'Plan' }, events }).toString();
}

const descriptionOf = ({ ordinal, slot, person }: Stored<'plannedApplications'>, { rounds }: Stored<'treatmentPlans'>): string =>
  [
    `Round ${ordinal} of ${rounds}, in the ${slot}${person ? `, ${person}` : ''}.`,
    'The plan moves with the weather: look again on the day. The label in your hand and local rules decide.',
  ].join('\n');
