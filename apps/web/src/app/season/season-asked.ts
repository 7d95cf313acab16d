import type { AlmanacAnswer, Assessment, OptionsRequest } from '@field-nurse/contract';
import type { CountedDay, KnownDay, TroubleModel } from '@field-nurse/core/season';
import { daysBetween } from '@field-nurse/core/timing';
import type { WeatherDay } from '@field-nurse/core/timing';
import type { Host } from '@field-nurse/library';
import type { SeasonAsked } from '@field-nurse/library/season';
import type { Planting } from '../gardens/plantings-now';
import { countsSince } from './counts-per-plant';

/** From when the season is tried: as it stands today, or from its beginning as if nobody had done anything. */
export type SeasonFrom = 'today' | 'beginning';

export interface SeasonFacts {
  readonly condition: string;
  readonly kind: 'pest' | 'disease';
  /** from so many on it pays to act: what is taken to be there where nobody counted */
  readonly actAt: number;
  readonly host: Host;
  readonly planting: Planting;
  readonly options: OptionsRequest;
  readonly looks: readonly Assessment[];
  readonly applied: readonly { readonly intervention: string; readonly appliedOn: string }[];
  readonly known: readonly KnownDay[];
  readonly today: string;
  readonly seasonFrom: string;
  readonly from: SeasonFrom;
  readonly ahead: number;
  /** there is an open case of it */
  readonly isHere: boolean;
  readonly seen: number | null;
  readonly plantValue: number | null;
  readonly hourPrice: number | null;
  readonly model: TroubleModel | null;
}

// Looks that are older say nothing of how it goes now.
const rememberedDays = 60;
const mostDays = 400;
const usualWetHours = 5;
const leastAhead = 7;

/** Days of which warmth is known; where nobody measured wet leaves, as long as usual. */
export const knownDays = (days: readonly (WeatherDay | AlmanacAnswer['days'][number])[]): KnownDay[] => [
  ...new Map(
    days.flatMap(({ day, minC, maxC, rainMm, wetHours }): [string, KnownDay][] =>
      minC === null || maxC === null
        ? []
        : [[day, { day, meanC: (minC + maxC) / 2, rainMm: rainMm ?? 0, wetHours: wetHours ?? usualWetHours }]],
    ),
  ).values(),
];

/** The season as it is asked for, and what looks found in it. */
export function seasonAsked(facts: SeasonFacts): { readonly asked: SeasonAsked; readonly looks: readonly CountedDay[] } {
  const { today, planting, from, ahead, kind, host } = facts;
  const plantedOn = planting.assumed.includes('plantedOn') ? null : planting.plantedOn;
  const oldest = facts.looks.map(({ assessedOn }) => assessedOn).sort()[0];
  const counted = countsSince(facts.looks, '0000-01-01', today, kind, host.habit).length > 0 ? firstCounted(facts) : undefined;
  const start = from === 'beginning' ? beginning(facts, plantedOn) : (counted ?? today);
  const looks = from === 'beginning' || !oldest ? [] : countsSince(facts.looks, start, today, kind, host.habit);
  const decidesFrom = from === 'beginning' ? 0 : daysBetween(start, today);
  const seen = facts.seen ?? looks[0]?.amount ?? (facts.isHere && from === 'today' ? facts.actAt : 0);
  const { nextHarvestOn, nextFlowerOn, inFlower } = planting;
  const dayOf = (day: string) => daysBetween(start, day);
  return {
    looks: facts.seen === null ? looks : [],
    asked: {
      condition: facts.condition,
      options: facts.options,
      start,
      days: Math.min(mostDays, daysBetween(start, today) + daysAhead(planting, today, ahead)),
      known: facts.known,
      seen,
      ageDays: plantedOn === null ? null : Math.max(0, daysBetween(plantedOn, start)),
      decidesFrom,
      done: decidesFrom === 0 ? [] : doneSince(facts.applied, start, today),
      ...(planting.eaten && nextHarvestOn && { harvestDay: dayOf(nextHarvestOn) }),
      ...((inFlower || nextFlowerOn) && { flowers: flowersOf(inFlower ? dayOf(today) : dayOf(nextFlowerOn!), planting, dayOf) }),
      ...(facts.plantValue !== null && { plantValue: facts.plantValue }),
      ...(facts.hourPrice !== null && { hourPrice: facts.hourPrice }),
      ...(facts.model && { model: facts.model }),
    },
  };
}

/** What comes after the last picking takes nothing any more. */
function daysAhead({ harvest }: Planting, today: string, ahead: number): number {
  const left = harvest?.until ? daysBetween(today, harvest.until) + 1 : Infinity;
  return left >= leastAhead ? Math.min(ahead, left) : ahead;
}

/** The first look of late at which it was counted. */
function firstCounted({ looks, today, kind, host }: SeasonFacts): string | undefined {
  return [...new Set(looks.map(({ assessedOn }) => assessedOn))]
    .sort()
    .filter((day) => daysBetween(day, today) <= rememberedDays && day < today)
    .find((day) => countsSince(looks, day, day, kind, host.habit).length > 0);
}

/** When the season begins for a planting: on the day on which it was set, or with spring. */
function beginning({ seasonFrom, today }: SeasonFacts, plantedOn: string | null): string {
  const spring = `${seasonFrom.slice(0, 4)}-${seasonFrom.slice(5, 7) === '07' ? '09' : '03'}-15`;
  const first = plantedOn !== null && plantedOn > seasonFrom ? plantedOn : spring;
  return first < today ? first : today;
}

const doneSince = (applied: SeasonFacts['applied'], start: string, today: string) =>
  applied
    .filter(({ appliedOn }) => appliedOn >= start && appliedOn < today)
    .map(({ intervention, appliedOn }) => ({ intervention, day: daysBetween(start, appliedOn) }));

// A flowering without an end lasts for about so long.
const flowerDays = 42;

function flowersOf(from: number, { events }: Planting, dayOf: (day: string) => number) {
  const ends = events
    .flatMap((event) => (event.kind === 'flowering' && event.until ? [dayOf(event.until)] : []))
    .filter((day) => day >= from);
  return { from, until: Math.min(...ends, from + flowerDays) };
}
