import type { PreventionTask, Place } from '@field-nurse/contract';
import { mulchSum, planArea, tasksDue } from '@field-nurse/core/ground';
import type { DueTask } from '@field-nurse/core/ground';
import type { Task } from '@field-nurse/library';

/** A task of the walk with everything that is shown of it. */
export interface WalkTask extends DueTask {
  readonly about: Task;
  readonly isDue: boolean;
}

/** A place of the walk, with what is due there. */
export interface WalkPlace {
  readonly place: Place;
  readonly tasks: readonly WalkTask[];
}

export interface WalkQuestion {
  readonly tasks: readonly Task[];
  /** the walk that is meant */
  readonly round: Task['round'];
  readonly places: readonly Place[];
  readonly preventionTasks: readonly PreventionTask[];
  readonly today: string;
  readonly hemisphere: 'north' | 'south';
}

/** A walk place by place; what is due first. */
export function walkPlaces({ tasks: all, round, places, preventionTasks, today, hemisphere }: WalkQuestion): WalkPlace[] {
  const tasks = all.filter((task) => task.round === round);
  const byId = new Map(tasks.map((task) => [task.id, task]));
  const used = places.filter(({ endedOn }) => !endedOn || endedOn > today);
  const due = tasksDue(tasks, used, preventionTasks, today, hemisphere).map((one): WalkTask => ({
    ...one,
    about: byId.get(one.task)!,
    isDue: one.dueOn <= today,
  }));
  return used
    .map((place) => ({ place, tasks: due.filter(({ placeId }) => placeId === place.id) }))
    .filter(({ tasks: own }) => own.length > 0)
    .sort((a, b) => countDue(b) - countDue(a) || a.place.name.localeCompare(b.place.name));
}

export const countDue = ({ tasks }: WalkPlace): number => tasks.filter(({ isDue }) => isDue).length;

/** Area of a place, as said or as drawn, m². */
export const areaOf = ({ areaM2, shape }: Place): number | null => areaM2 ?? (shape ? planArea(shape) : null);

/** What a measured depth of mulch asks for. */
export function mulchFor(place: Place, about: Task, depthCm: number) {
  const area = areaOf(place);
  if (about.measures?.what !== 'mulch-cm' || area === null) return null;
  return mulchSum(area, depthCm, about.measures);
}
