import type { ListedRecord } from '@field-nurse/contract';
import { instantOf } from '@field-nurse/core/timing';
import { v5 } from 'uuid';
import type { Library } from '../entries.js';
import { fold } from '../names/words.js';
import type { Cells, Conventions } from './cells.js';
import { Standing } from './standing.js';
import type { StandingPlace, StandingPlanting } from './standing.js';

/** The garden that a list is brought into. */
export interface ListedInto {
  readonly gardenId: string;
  readonly timeZone: string;
  readonly seasonStart: string;
  readonly now: string;
  readonly today: string;
  /** who brings it in: they did what nobody else is named for */
  readonly person: string;
  /** name of the list's file */
  readonly file: string;
  readonly places: readonly StandingPlace[];
  readonly plantings: readonly StandingPlanting[];
  readonly traps: readonly { readonly id: string; readonly name: string }[];
}

/** A row with nothing wrong in it. */
export interface RowUnderstood {
  /** in the order in which they are to be written */
  readonly records: readonly ListedRecord[];
  /** what it was understood as, in a line */
  readonly says: string;
}

export type ListLibrary = Pick<Library, 'hosts' | 'interventions' | 'conditions'>;

export const mostPlants = 100_000;
export const mostAmount = 1_000_000;

/**
 * What all rows of a list have in common: the garden, what stands in it, and ids, which follow from what a row says and how often it was said
 * before, so that the same list brought in twice is there once.
 */
export class ListInHand {
  readonly library: ListLibrary;
  readonly into: ListedInto;
  readonly conventions: Conventions;
  readonly standing: Standing;
  readonly #said = new Map<string, number>();

  constructor(library: ListLibrary, into: ListedInto, conventions: Conventions, firstDays?: ReadonlyMap<string, string>) {
    this.library = library;
    this.into = into;
    this.conventions = conventions;
    this.standing = new Standing({ id: into.gardenId, ...into }, into.places, into.plantings, firstDays);
  }

  pastDay(cells: Cells) {
    const on = cells.day('day');
    if (!on || on.day <= this.into.today) return on;
    cells.fault('day', 'is still to come.');
    return undefined;
  }

  /** The planting that a row speaks of; nothing while anything is wrong with the row. */
  stood(cells: Cells, day: string, plants: number | null) {
    const host = cells.entry('plant', 'plant', this.library.hosts);
    const [place, cultivar] = [cells.text('place', 120), cells.text('cultivar', 120)];
    if (!host || cells.problems.length > 0) return undefined;
    const stood = this.standing.plantingOf({ host, place, cultivar, plants, day });
    if ('id' in stood)
      return {
        ...stood,
        says: place === '' ? host.name : `${host.name}, ${place}`,
        /** what the row says of it: by this it is known again, whatever stands there by then */
        said: [host.id, fold(place), fold(cultivar)],
      };
    cells.fault('plant', stood.text);
    return undefined;
  }

  /** What is brought in of today is not later than now. */
  instant(day: string, time: string): string {
    const at = instantOf(`${day}T${time}`, this.into.timeZone);
    return at > this.into.now ? this.into.now : at;
  }

  id(said: readonly unknown[]): string {
    const text = JSON.stringify(said);
    const before = this.#said.get(text) ?? 0;
    this.#said.set(text, before + 1);
    return v5(`${text} ${before}`, this.into.gardenId);
  }
}
