import { addDays, daysBetween } from '../timing/index.js';
import type { Point } from './shape.js';
import { walkingOrder } from './walkingOrder.js';

/** What is known of a planting when the round is planned. Days are calendar days. */
export interface ToWalk {
  readonly id: string;
  readonly at: Point | null;
  /** nothing where nobody said it */
  readonly plantedOn: string | null;
  /** under cover, where rain does not wet the leaves */
  readonly sheltered: boolean;
  readonly lastLookOn: string | null;
  /** the day that an open case asks for, if any is open */
  readonly caseLookOn: string | null;
  /** an open case whose trouble is carried on by hands and clothes */
  readonly catching: boolean;
  /** an open case of any kind */
  readonly sick: boolean;
  /** held apart: the day of its next look */
  readonly quarantineLookOn: string | null;
  /** chance of any trouble on this host in this month, 0 to 1 */
  readonly risk: number;
  /** the condition that is feared most here now */
  readonly feared: string | null;
  /** first sights on this host in earlier years: day, and the conditions that it was taken for */
  readonly firstSights: readonly FirstSight[];
}

export interface FirstSight {
  readonly on: string;
  readonly conditions: readonly string[];
}

/** Weather of the last days as far as it hastens trouble. */
export interface RecentWeather {
  /** hours with wet leaves in the last three days */
  readonly wetHours: number;
  /** warmest of the last three days, °C */
  readonly maxC: number;
}

/** Why a planting wants a look, with what it rests on. */
export type RoundReason =
  | { readonly code: 'case' | 'quarantine' | 'never-looked' }
  | { readonly code: 'long-ago' | 'young'; readonly days: number }
  | { readonly code: 'last-year'; readonly sight: FirstSight }
  | { readonly code: 'risk'; readonly feared: string | null }
  | { readonly code: 'wet'; readonly hours: number }
  | { readonly code: 'hot'; readonly maxC: number };

/** A planting with the day on which it wants a look, and why. */
export interface RoundStop {
  readonly id: string;
  readonly dueOn: string;
  readonly due: boolean;
  readonly why: readonly RoundReason[];
}

// Once a week is the usual rhythm of scouting: Flint & van den Bosch (1981), Introduction to Integrated Pest Management, ch. 6.
const usualDays = 7;
const youngDays = 28;
const highRisk = 0.3;
const lowRisk = 0.15;
const wetSpell = 24;
const hotDay = 30;
// A first sight of an earlier year warns from two weeks before its day until one week after it.
const [warnBefore, warnAfter] = [14, 7];

/**
 * Which plantings want a look, why, and in which order to walk: young and clean ones first, what could be carried on last, what is held apart at the
 * very end; short by distance within each. The interval is a week, less for young plants, high risk and weather that hastens it, more where little is to
 * be feared; open cases and quarantine set their own day.
 *
 * @param today - calendar day
 * @returns all of them: those that are due in walking order, then the others by their day
 */
export function planScoutingRound(plantings: readonly ToWalk[], today: string, weather?: RecentWeather): RoundStop[] {
  const stops = new Map(plantings.map((planting) => [planting.id, stopFor(planting, today, weather)]));
  const due = plantings.filter(({ id }) => stops.get(id)!.due);
  const order = cleanToSick(due, today);
  const later = [...stops.values()].filter((stop) => !stop.due).sort((a, b) => a.dueOn.localeCompare(b.dueOn));
  return [...order.map((id) => stops.get(id)!), ...later];
}

/** The order in which plantings are walked to: young and clean ones first, what is catching or held apart last, and a short way in each turn. @returns ids */
export const cleanToSick = (plantings: readonly ToWalk[], today: string): string[] =>
  walkingOrder(plantings.map((planting) => ({ id: planting.id, at: planting.at, turn: turnOf(planting, today) })));

/** Young and clean, clean, sick but not catching, catching, held apart. */
function turnOf({ plantedOn, sick, catching, quarantineLookOn }: ToWalk, today: string): number {
  if (quarantineLookOn) return 4;
  if (catching) return 3;
  if (sick) return 2;
  return isYoung(plantedOn, today) ? 0 : 1;
}

/** Whether plants are so young that they have nothing to spare; of an age that nobody said they are not. */
export const isYoung = (plantedOn: string | null, today: string): boolean =>
  plantedOn !== null && daysBetween(plantedOn, today) < youngDays;

function stopFor(planting: ToWalk, today: string, weather: RecentWeather | undefined): RoundStop {
  const why: RoundReason[] = [];
  let days = usualDays;
  const hasten = (factor: number, reason: RoundReason) => {
    days *= factor;
    why.push(reason);
  };
  if (planting.plantedOn && isYoung(planting.plantedOn, today))
    hasten(0.6, { code: 'young', days: daysBetween(planting.plantedOn, today) });
  const sight = planting.firstSights.find(({ on }) => inWarning(on, today));
  if (sight) hasten(0.5, { code: 'last-year', sight });
  if (planting.risk >= highRisk) hasten(0.7, { code: 'risk', feared: planting.feared });
  else if (planting.risk <= lowRisk && !planting.sick) days *= 2;
  if (weather && !planting.sheltered && weather.wetHours >= wetSpell) hasten(0.7, { code: 'wet', hours: weather.wetHours });
  if (weather && weather.maxC >= hotDay) hasten(0.8, { code: 'hot', maxC: weather.maxC });

  const dates: string[] = [];
  if (planting.lastLookOn) {
    const since = daysBetween(planting.lastLookOn, today);
    dates.push(addDays(planting.lastLookOn, Math.max(1, Math.round(days))));
    if (since >= usualDays) why.push({ code: 'long-ago', days: since });
  } else {
    dates.push(today);
    why.push({ code: 'never-looked' });
  }
  // A look since the day that the case asked for was that look.
  if (planting.caseLookOn && !(planting.lastLookOn && planting.lastLookOn >= planting.caseLookOn)) {
    dates.push(planting.caseLookOn);
    if (planting.caseLookOn <= today) why.unshift({ code: 'case' });
  }
  if (planting.quarantineLookOn) {
    dates.push(planting.quarantineLookOn);
    why.unshift({ code: 'quarantine' });
  }
  // Seen today is seen.
  const earliest = dates.sort()[0]!;
  const dueOn = planting.lastLookOn === today && earliest <= today ? addDays(today, 1) : earliest;
  return { id: planting.id, dueOn, due: dueOn <= today, why };
}

/**
 * As many of the stops that are due as there is time for: what an open case or a quarantine asks for first, then those with the most reasons,
 * then those whose day is longest past; in the order of the walk.
 *
 * @param stops - in the order of the walk, as of `planScoutingRound`
 * @param most - a whole number from 1
 */
export function pressingStops(stops: readonly RoundStop[], most: number): RoundStop[] {
  const asked = ({ why }: RoundStop) => (why.some(({ code }) => code === 'case' || code === 'quarantine') ? 1 : 0);
  const chosen = [...stops]
    .sort((a, b) => asked(b) - asked(a) || b.why.length - a.why.length || a.dueOn.localeCompare(b.dueOn))
    .slice(0, most);
  return stops.filter((stop) => chosen.includes(stop));
}

function inWarning(sight: string, today: string): boolean {
  if (sight.slice(0, 4) >= today.slice(0, 4)) return false;
  const thisYear = addDays(`${today.slice(0, 4)}-${sight.slice(5, 7)}-01`, Number(sight.slice(8)) - 1);
  const days = daysBetween(today, thisYear);
  return days <= warnBefore && days >= -warnAfter;
}
