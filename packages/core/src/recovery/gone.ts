import { addDays, daysBetween } from '../timing/days.js';
import { freedom, sampleSensitivity, usualBelief } from './freedom.js';
import type { Freedom } from './freedom.js';

/** A look at a case or a planting, as far as it tells whether something is still there. */
export interface ClearLook {
  readonly on: string;
  readonly found: boolean;
  /** plants that were looked at; `undefined` where nobody said */
  readonly plants: number | undefined;
}

export interface GoneFacts {
  /** in order of day */
  readonly looks: readonly ClearLook[];
  /** plants in the planting */
  readonly plants: number;
  /** days in which a hidden stage comes out; 0 where nothing hides */
  readonly hiddenDays: number;
  /** it comes in by itself: on wings, on the wind, with water */
  readonly comesByItself: boolean;
  /** days on which plants came into the same place */
  readonly arrivals: readonly string[];
  readonly today: string;
}

export interface Gone extends Freedom {
  /** the last day on which it was found */
  readonly lastFound: string | null;
  /** until then a look can't see what hides */
  readonly hiddenUntil: string | null;
  /** when to look next, so that the looks are apart */
  readonly nextLookOn: string | null;
  /** day from which it may be believed, if all looks that are needed are clean; `null` where no number of them is enough */
  readonly expected: string | null;
}

// Our estimates. It was there: what was done may have ended it, or not.
const stillThere = 0.8;
const seenOnAPlant = 0.85;
const seenOfHidden = 0.3;
// In a few minutes one looks at so many.
const usualPlants = 10;
// It would be on one plant in twenty, or on one.
const leastShare = 0.05;
const inAWeek = { itself: 0.02, carried: 0.003 };
const withArrival = 0.1;
const arrivalCounts = 21;
const daysApart = 7;

/**
 * When may it be believed gone? Clean looks since the last find, each worth what it covered; while a hidden stage may still come out a look sees little;
 * what flies in, and plants that came in, put the doubt back. The chances are our estimates and stand in this file.
 *
 * @returns `undefined` without a look
 */
export function gone(facts: GoneFacts): Gone | undefined {
  const { looks, hiddenDays, today } = facts;
  const found = looks.findLastIndex((look) => look.found);
  const clean = looks.slice(found + 1);
  const lastFound = looks[found]?.on ?? null;
  if (looks.length === 0) return undefined;
  const hiddenUntil = lastFound && hiddenDays > 0 ? addDays(lastFound, hiddenDays) : null;
  const sensitivity = (on: string, plants: number | undefined) =>
    worthOf(plants, facts.plants) * (hiddenUntil && on < hiddenUntil ? seenOfHidden : 1);
  const question = {
    prior: stillThere,
    introductionPerWeek: perWeek(facts),
    looks: clean.map(({ on, plants }) => ({ date: on, found: false, sensitivity: sensitivity(on, plants) })),
  };
  const now = freedom(question);
  return { ...now, lastFound, hiddenUntil, ...ahead() };

  /** Looks a week apart from the next one on, each as the last one was. */
  function ahead(): Pick<Gone, 'nextLookOn' | 'expected'> {
    if (now.believeFrom) return { nextLookOn: null, expected: now.believeFrom };
    const last = looks.at(-1)!;
    const apart = addDays(last.on, daysApart);
    const first = [today, apart, hiddenUntil ?? today].sort().at(-1)!;
    const more = [...question.looks];
    for (let i = 0; i < mostLooks; i++) {
      const on = addDays(first, i * daysApart);
      more.push({ date: on, found: false, sensitivity: sensitivity(on, last.plants) });
      if (freedom({ ...question, looks: more }).probability >= usualBelief) return { nextLookOn: first, expected: on };
    }
    return { nextLookOn: first, expected: null };
  }
}

const mostLooks = 30;

function worthOf(looked: number | undefined, plants: number): number {
  const inspected = Math.min(looked ?? usualPlants, plants);
  return sampleSensitivity({ inspected, of: plants, unitSensitivity: seenOnAPlant, designPrevalence: Math.max(leastShare, 1 / plants) });
}

function perWeek({ comesByItself, arrivals, today }: GoneFacts): number {
  const isNew = arrivals.some((on) => on <= today && daysBetween(on, today) <= arrivalCounts);
  return (comesByItself ? inAWeek.itself : inAWeek.carried) + (isNew ? withArrival : 0);
}
