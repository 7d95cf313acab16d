import type { PlanRequest, TreatmentPlan } from '@field-nurse/contract';
import { plantingOn } from '@field-nurse/core/ground';
import { halfDays, roundsToPlace } from '@field-nurse/core/planning';
import { addDays, clockAt, seasonOf } from '@field-nurse/core/timing';
import { minutePrice, pricesOf } from '@field-nurse/core/treatment';
import type { Library } from '@field-nurse/library';
import type { Cards, GardenToPlan, PlanSeen, WayTold } from './garden-to-plan';
import { doneBefore, inOrder, keptApart, strictestMaxima } from './plan-rules';
import { planDays, wayId, wayOf } from './plan-ways';

/** The garden's plans as a question to the planner, with what is told of them beside it. */
export interface GardenPlanQuestion {
  readonly question: PlanRequest;
  readonly ways: readonly WayTold[];
}

// Untreated, a trouble takes about half of what stands there: our estimate, which only weighs plans against each other.
const expectedDamage = 0.5;
const afternoonHour = 13;
const nightHour = 21;

/** Put the garden's plans to the planner: what is still to do, with which packs, under whose label, in which weather, and who has time. */
export function planGarden(library: Library, garden: GardenToPlan): GardenPlanQuestion {
  const { now, timeZone } = garden;
  const [today, clock] = clockAt(now, timeZone).split('T') as [string, string];
  const hour = Number(clock.slice(0, 2));
  const start = hour >= nightHour ? addDays(today, 1) : today;
  const cards = new Map(library.interventions.map((one) => [one.id, one]));
  const seen = keptApart(inOrder(garden.plans.flatMap((plan) => planSeen(plan, garden, library, cards, start) ?? [])));
  const season = seasonOf(today, garden.seasonStart).from;
  const weather = halfDays(garden.weather, timeZone, now, garden.forecastIssuedAt);
  const people = garden.workTimes.filter(({ endedOn }) => !endedOn);
  return {
    question: {
      start,
      ...(start === today && hour >= afternoonHour && { startSlot: 'evening' }),
      days: planDays,
      rounds: roundsToPlace(
        seen.map(({ toPlace }) => toPlace),
        start,
        planDays,
        minutePrice,
      ).map((round) => ({
        ...round,
        harvests: undefined,
        products: round.products.map((one) => ({ ...one, apart: copied(one.apart), barred: copied(one.barred) })),
      })),
      rules: {
        minutePrice,
        ...(people.length > 0 && {
          people: people.map(({ person, minutesPerDay, exceptions }) => ({
            id: person,
            minutesPerDay,
            minutesOn: Object.fromEntries(exceptions.map(({ on, minutes }) => [on, minutes])),
          })),
        }),
        seasonMax: strictestMaxima(seen),
        stock: Object.fromEntries(garden.shelf.flatMap(({ product, left }) => (left === null ? [] : [[product.id, Math.max(0, left)]]))),
        done: doneBefore(seen, garden, cards, season),
        rainChance: weather.usualRain,
      },
      weather: weather.halfDays.filter(({ date }) => date >= start && date < addDays(start, planDays)),
    },
    ways: seen.flatMap(({ ways }) => ways.map(({ told }) => told)),
  };
}

const copied = <T>(list: readonly T[] | undefined): T[] | undefined => (list ? [...list] : undefined);

/** One plan with its ways; nothing where its planting or plant is not known here. */
function planSeen(plan: TreatmentPlan, garden: GardenToPlan, library: Library, cards: Cards, start: string): PlanSeen | undefined {
  const record = garden.plantings.find(({ id }) => id === plan.plantingId);
  const host = library.hosts.find(({ id }) => id === record?.host);
  if (!record || !host) return undefined;
  const now = plantingOn(record, start);
  const ways = plan.interventions.flatMap((id) => {
    const typical = cards.get(id);
    if (!typical) return [];
    const packs = garden.shelf.filter(
      ({ product, left, states }) => product.intervention === id && (left === null || left > 0) && !states.includes('past-date'),
    );
    return (packs.length > 0 ? packs : [undefined]).map((pack) => wayOf(plan, typical, pack, record, host, garden, library, cards));
  });
  const groups = new Set(ways.map(({ way }) => way.group));
  const flowering = record.events.findLast(({ kind }) => kind === 'flowering');
  const stored = garden.planned.filter(({ planId }) => planId === plan.id);
  const conditions = library.conditions.filter(({ id }) => plan.against.includes(id));
  return {
    plan,
    ways,
    toPlace: {
      id: plan.id,
      case: plan.caseId ?? plan.id,
      place: now.placeId,
      startsOn: plan.startsOn,
      rounds: plan.rounds,
      betweenDays: plan.betweenDays,
      flowers: flowering?.kind === 'flowering' ? { from: flowering.on, until: flowering.until ?? addDays(start, planDays) } : undefined,
      value: pricesOf({ host, plants: record.plants }).plantValue * record.plants * expectedDamage,
      onset: conditions[0]?.onset ?? 'weeks',
      // What has nothing to be taken in turn with is taken again.
      ways: groups.size > 1 ? ways.map(({ way }) => way) : ways.map(({ way }) => ({ ...way, group: undefined })),
      known: stored.map(({ ordinal, state, plannedFor, slot, held, person, intervention, productId }) => ({
        ordinal,
        state,
        date: plannedFor,
        slot,
        held,
        person,
        way: wayId(plan, productId ?? intervention),
      })),
    },
  };
}
