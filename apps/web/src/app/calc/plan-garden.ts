import type { PlannedApplication, Planting, PlanRequest, TestSpray, TreatmentPlan, WorkTime } from '@field-nurse/contract';
import { plantingOn } from '@field-nurse/core/ground';
import { cardThatCounts, countedAs, judgeApplied } from '@field-nurse/core/label';
import type { LabelCard } from '@field-nurse/core/label';
import { halfDays, roundsToPlace } from '@field-nurse/core/planning';
import type { PlanToPlace, WayOfPlan } from '@field-nurse/core/planning';
import { addDays, clockAt, seasonOf, usualSprayLimits } from '@field-nurse/core/timing';
import type { WeatherHour } from '@field-nurse/core/timing';
import { minutePrice, pricesOf } from '@field-nurse/core/treatment';
import type { Host, Intervention, Library } from '@field-nurse/library';
import { brokenLineText } from '@field-nurse/library/texts';
import type { OnShelf } from '../gardens/shelf-now';
import { packInHand } from '../gardens/pack-in-hand';

/** What the garden's plans are placed from. */
export interface GardenToPlan {
  readonly now: string;
  readonly timeZone: string;
  readonly seasonStart: string;
  /** those that go on */
  readonly plans: readonly TreatmentPlan[];
  readonly planned: readonly PlannedApplication[];
  readonly plantings: readonly Planting[];
  readonly applied: readonly {
    readonly plantingId: string;
    readonly caseId: string | null;
    readonly intervention: string;
    readonly appliedOn: string;
  }[];
  readonly shelf: readonly OnShelf[];
  readonly workTimes: readonly WorkTime[];
  readonly testSprays: readonly TestSpray[];
  /** measured and forecast */
  readonly weather: readonly WeatherHour[];
}

/** A way to do the rounds of a plan, as people are told of it. */
export interface WayTold {
  readonly id: string;
  readonly plan: string;
  readonly intervention: string;
  readonly productId: string | null;
  readonly minutes: number;
  readonly reEntryHours: number;
  readonly preHarvestDays: number;
  /** what the label says against a day, by date */
  readonly forbidden: Readonly<Record<string, readonly string[]>>;
}

/** The garden's plans as a question to the planner, with what is told of them beside it. */
export interface GardenPlanQuestion {
  readonly question: PlanRequest;
  readonly ways: readonly WayTold[];
}

export const planDays = 28;
// Mixing, dressing and cleaning take as long for one plant as for a bed.
const minutesToBegin = 15;
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
      },
      weather: halfDays(garden.weather, timeZone).filter(({ date }) => date >= start && date < addDays(start, planDays)),
    },
    ways: seen.flatMap(({ ways }) => ways.map(({ told }) => told)),
  };
}

const copied = <T>(list: readonly T[] | undefined): T[] | undefined => (list ? [...list] : undefined);

interface Way {
  readonly way: WayOfPlan;
  readonly told: WayTold;
  readonly card: Intervention;
}

interface PlanSeen {
  readonly plan: TreatmentPlan;
  readonly toPlace: PlanToPlace;
  readonly ways: readonly Way[];
}

type Cards = ReadonlyMap<string, Intervention>;

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

export const wayId = (plan: { readonly id: string }, key: string): string => `${key} ${plan.id}`;

function wayOf(
  plan: TreatmentPlan,
  typical: Intervention,
  pack: OnShelf | undefined,
  record: Planting,
  host: Host,
  garden: GardenToPlan,
  library: Library,
  cards: Cards,
): Way {
  const product = pack && cardThatCounts([pack.card].flatMap((card) => card ?? []));
  const others = garden.applied.filter(({ plantingId }) => plantingId === record.id);
  const judged = (day: string) =>
    judgeApplied({
      typical,
      product,
      cards,
      planting: { ...plantingOn(record, day), eaten: record.eaten },
      host,
      against: plan.against,
      on: day,
      others,
      seasonStart: garden.seasonStart,
      weather: {},
    });
  const test = garden.testSprays.filter((one) => one.plantingId === record.id && one.intervention === typical.id).at(-1);
  const start = clockAt(garden.now, garden.timeZone).slice(0, 10);
  const days = Array.from({ length: planDays + 1 }, (_, i) => addDays(start, i));
  const forbidden = Object.fromEntries(
    days.flatMap((day) => {
      const broken = judged(day).lines.filter(({ state }) => state === 'broken');
      const against = [...leafTestSays(test, day), ...broken.map(brokenLineText)];
      return against.length > 0 ? [[day, against] as const] : [];
    }),
  );
  const card: Intervention & Pick<LabelCard, 'maxWindKmh'> = judged(start).card;
  const inHand = pack && packInHand(typical, pack, host, plan.against, record.plants);
  const id = wayId(plan, pack?.product.id ?? typical.id);
  const minutes = Math.round((card.order === 'spray' || card.rate ? minutesToBegin : 0) + minutesOver(record.plants, card));
  const isOutdoors = plantingOn(record, start).setting === 'outdoor';
  const mode = countedAs(card);
  const preHarvestDays = card.preHarvestOn.find(({ host: plant }) => plant === host.id)?.days ?? card.preHarvestDays;
  return {
    card,
    told: {
      id,
      plan: plan.id,
      intervention: typical.id,
      productId: pack?.product.id ?? null,
      minutes,
      reEntryHours: card.reEntryHours,
      preHarvestDays: record.eaten ? preHarvestDays : 0,
      forbidden,
    },
    way: {
      id,
      group: mode === card.id ? undefined : mode,
      efficacy: efficacyOf(typical, plan, library),
      cost: card.costPerPlant * record.plants,
      minutes,
      bees: card.bees === 'slight' ? 'slight' : 'none',
      season: seasonKey(card, record.id),
      forbiddenOn: (day) => forbidden[day] ?? [],
      ...(pack && pack.left !== null && inHand?.needed && { pack: pack.product.id, amount: inHand.needed }),
      ...(card.reEntryHours > 0 && { reEntryHours: card.reEntryHours }),
      ...(isOutdoors && {
        ...(card.rainFastHours !== undefined && { rainFastHours: card.rainFastHours }),
        ...(card.temperatureC && { minC: card.temperatureC.min, maxC: card.temperatureC.max }),
        ...(card.order === 'spray' && { maxWindKmh: card.maxWindKmh ?? usualSprayLimits.maxWindKmh }),
      }),
    },
  };
}

/** What a test on a few leaves says against a day: those that wait are looked at first, and what marked them is not used. */
function leafTestSays(test: TestSpray | undefined, day: string): string[] {
  if (test?.outcome === 'marked') return ['It marked the test leaves.'];
  return test?.outcome === 'waiting' && day < test.lookOn ? [`The test leaves are looked at first, on ${test.lookOn}.`] : [];
}

// In a bed the second plant is at hand: from so many on each takes a quarter of the time. Our estimate.
const singly = 20;
const minutesOver = (plants: number, { minutesPerPlant }: Intervention) =>
  minutesPerPlant * (Math.min(plants, singly) + Math.max(0, plants - singly) / 4);

const seasonKey = (card: Intervention, planting: string) => `${countedAs(card)} ${planting}`;

/** The middle of what it is expected to do to what the plan is against. */
function efficacyOf({ id }: Intervention, { against }: TreatmentPlan, library: Library): number {
  const effects = library.conditions
    .filter((one) => against.includes(one.id))
    .flatMap(({ treat }) => treat.filter(({ intervention }) => intervention === id));
  const middles = effects.map(({ efficacy }) => (efficacy[0] + efficacy[1]) / 200);
  return Math.max(0, ...middles);
}

// What is cut away is not sprayed: of one case the cutting comes first.
const comesFirst = ['remove', 'clean', 'cut'];

/** Plans of a case in the order of their work: sprays follow what is cut. */
const inOrder = (seen: readonly PlanSeen[]): PlanSeen[] =>
  seen.map((one) => {
    const isSpray = one.ways[0]?.card.order === 'spray';
    const before = seen.find(
      ({ plan, ways }) => plan.caseId !== null && plan.caseId === one.plan.caseId && comesFirst.includes(ways[0]?.card.order ?? ''),
    );
    return isSpray && before ? { ...one, toPlace: { ...one.toPlace, follows: before.plan.id } } : one;
  });

/** Every way with the days that the labels ask for between it and the others on the same planting: its own interval, and what may not meet. */
const keptApart = (seen: readonly PlanSeen[]): PlanSeen[] =>
  seen.map((one) => {
    const here = seen.filter(({ plan }) => plan.plantingId === one.plan.plantingId).flatMap(({ ways }) => ways);
    const apartOf = (id: string) => {
      const own = one.ways.find(({ way }) => way.id === id)!;
      return here.map((other) => ({ from: other.way.id, days: daysApart(own.card, other.card) })).filter(({ days }) => days > 0);
    };
    return { ...one, toPlace: { ...one.toPlace, ways: one.toPlace.ways.map((way) => ({ ...way, apart: apartOf(way.id) })) } };
  });

/** Days between two applications on one planting, by either label. */
function daysApart(one: Intervention, other: Intervention): number {
  if (one.id === other.id) return Math.max(one.repeatDays?.[0] ?? 0, other.repeatDays?.[0] ?? 0);
  const asked = (a: Intervention, b: Intervention) => [
    ...a.apartFrom.filter(({ intervention }) => intervention === b.id),
    ...a.kills.filter(({ what }) => what === b.release),
  ];
  return Math.max(0, ...[...asked(one, other), ...asked(other, one)].map(({ days }) => days));
}

/** How often each mode of action may be used on each planting in a season, by the strictest label at hand. */
function strictestMaxima(seen: readonly PlanSeen[]): Record<string, number> {
  const maxima: Record<string, number> = {};
  for (const { plan, ways } of seen)
    for (const { card } of ways)
      if (card.seasonMax !== undefined) {
        const key = seasonKey(card, plan.plantingId);
        maxima[key] = Math.min(maxima[key] ?? Infinity, card.seasonMax);
      }
  return maxima;
}

/** What was applied this season on the plantings of plans, each once: it counts for maxima and for what comes next in turn. */
function doneBefore(seen: readonly PlanSeen[], { applied }: GardenToPlan, cards: Cards, season: string) {
  return applied.flatMap(({ plantingId, caseId, intervention, appliedOn }) => {
    const own = seen.filter(({ plan }) => plan.plantingId === plantingId);
    const plan = own.find(({ plan: one }) => one.caseId === caseId) ?? own[0];
    const card = cards.get(intervention);
    if (!plan || !card || appliedOn < season) return [];
    const mode = countedAs(card);
    return [{ case: plan.toPlace.case, product: seasonKey(card, plantingId), ...(mode !== card.id && { group: mode }), date: appliedOn }];
  });
}
