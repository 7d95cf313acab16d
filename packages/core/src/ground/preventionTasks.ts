import { addDays } from '../timing/index.js';

/** Something that the prevention walk looks at. */
export interface Task {
  readonly id: string;
  readonly kinds: readonly string[];
  /** months of the northern hemisphere, 1 to 12 */
  readonly months: readonly number[];
  readonly everyDays: number;
}

export interface DoneTask {
  readonly placeId: string;
  readonly task: string;
  readonly doneOn: string;
  readonly outcome: 'fine' | 'done' | 'wants-work';
}

export interface DueTask {
  readonly task: string;
  readonly placeId: string;
  readonly dueOn: string;
  readonly last: DoneTask | null;
}

// What was found wanting and not mended is asked for again after this long.
const nagDays = 3;

/**
 * When each task of the prevention walk falls due in each place: at once if it was never done, its interval after it was, soon again if it was found
 * wanting; out of season it waits for the first day of its season.
 *
 * @param hemisphere - the south has its seasons half a year later
 * @returns soonest first
 */
export function tasksDue(
  tasks: readonly Task[],
  places: readonly { readonly id: string; readonly kind: string }[],
  done: readonly DoneTask[],
  today: string,
  hemisphere: 'north' | 'south' = 'north',
): DueTask[] {
  const due = places.flatMap((place) =>
    tasks
      .filter(({ kinds }) => kinds.includes(place.kind))
      .map((task): DueTask => {
        const last = done
          .filter((one) => one.placeId === place.id && one.task === task.id)
          .sort((a, b) => a.doneOn.localeCompare(b.doneOn))
          .at(-1);
        const wanted = last ? addDays(last.doneOn, last.outcome === 'wants-work' ? nagDays : task.everyDays) : today;
        return {
          task: task.id,
          placeId: place.id,
          dueOn: inSeason(wanted < today && !last ? today : wanted, task.months, hemisphere),
          last: last ?? null,
        };
      }),
  );
  return due.sort((a, b) => a.dueOn.localeCompare(b.dueOn));
}

function inSeason(day: string, months: readonly number[], hemisphere: 'north' | 'south'): string {
  let on = day;
  for (let tries = 0; tries < 12; tries++) {
    const month = Number(on.slice(5, 7));
    if (months.includes(hemisphere === 'south' ? ((month + 5) % 12) + 1 : month)) return on;
    on = month === 12 ? `${Number(on.slice(0, 4)) + 1}-01-01` : `${on.slice(0, 4)}-${String(month + 1).padStart(2, '0')}-01`;
  }
  return day;
}

export interface MulchSum {
  readonly act: 'add' | 'remove' | 'leave';
  readonly litres: number;
}

/**
 * How much mulch to buy or to take away, to come to the middle of the wanted depth. Within the range nothing is asked.
 *
 * One centimetre on one square metre is ten litres.
 *
 * @param areaM2 - above 0
 * @param depthCm - as measured, 0 or more
 * @throws RangeError outside these ranges
 * @example
 * mulchSum(10, 1, { low: 4, high: 8 }) // => { act: 'add', litres: 500 }
 * mulchSum(10, 5, { low: 4, high: 8 }) // => { act: 'leave', litres: 0 }
 */
export function mulchSum(areaM2: number, depthCm: number, wanted: { readonly low: number; readonly high: number }): MulchSum {
  if (!(areaM2 > 0)) throw new RangeError(`mulchSum: area must be above 0 m², got ${areaM2}`);
  if (!(depthCm >= 0)) throw new RangeError(`mulchSum: depth must be 0 cm or more, got ${depthCm}`);
  if (depthCm >= wanted.low && depthCm <= wanted.high) return { act: 'leave', litres: 0 };
  const change = (wanted.low + wanted.high) / 2 - depthCm;
  return { act: change > 0 ? 'add' : 'remove', litres: Math.abs(change) * areaM2 * 10 };
}
