import { readDay, readNumber, readTime, readUnit } from '@field-nurse/core/tables';
import type { DayOrder, DecimalSign } from '@field-nurse/core/tables';
import { convert, dimensionOf } from '@field-nurse/core/units';
import type { UnitName } from '@field-nurse/core/units';
import { findNamed } from '../names/findNamed.js';
import type { Named } from '../names/nameIndex.js';
import { nearNames } from '../names/nearNames.js';
import { fold } from '../names/words.js';
import { columnsOf } from './listColumns.js';
import type { ListColumn, ListName } from './listColumns.js';

/** A name in a list that is known by none of ours: it may be said once what it means. */
export interface UnknownName {
  readonly kind: 'plant' | 'treatment';
  readonly name: string;
  /** ids of entries that are called nearly so */
  readonly couldBe: readonly string[];
}

/** What is wrong with a cell. */
export interface CellProblem {
  /** title of the column */
  readonly column: string;
  readonly cell: string;
  readonly text: string;
  readonly unknown?: UnknownName;
}

/** How the cells of a list are to be read. */
export interface Conventions {
  readonly list: ListName;
  /** where each of our columns stands in the list, from 0 */
  readonly columns: Readonly<Record<string, number>>;
  readonly dayOrder: DayOrder;
  readonly decimal: DecimalSign;
  /** what amounts are in where neither cell nor unit column says it, by our columns */
  readonly units: Readonly<Record<string, UnitName>>;
  /** what names mean that are not known, by `nameKey`; an empty id leaves rows with it out */
  readonly meanings: Readonly<Record<string, string>>;
}

/** Under which key a name's meaning is kept. */
export const nameKey = (kind: UnknownName['kind'], name: string): string => `${kind} ${fold(name)}`;

const mostDifferent = 3;

/** The cells of one row, read as what their columns hold; what is wrong with them is kept, not thrown. */
export class Cells {
  readonly problems: CellProblem[] = [];
  /** somebody said that rows with such a name are not wanted */
  isUnwanted = false;
  readonly #cells: readonly string[];
  readonly #conventions: Conventions;

  constructor(cells: readonly string[], conventions: Conventions) {
    this.#cells = cells;
    this.#conventions = conventions;
  }

  /** A cell as it stands; empty where its column is missing. */
  raw(name: string): string {
    const at = this.#conventions.columns[name];
    // Zeros are no letters, and no database keeps them.
    return at === undefined ? '' : (this.#cells[at] ?? '').replaceAll('\u0000', '').trim();
  }

  text(name: string, most: number): string {
    const cell = this.raw(name);
    if (cell.length > most) this.fault(name, `is longer than ${most} letters.`);
    return cell.slice(0, most);
  }

  needed(name: string, most: number): string | undefined {
    const cell = this.text(name, most);
    if (cell === '') this.fault(name, 'is empty.');
    return cell || undefined;
  }

  day(name: string): { readonly day: string; readonly time: string | undefined } | undefined {
    const cell = this.raw(name);
    if (cell === '') {
      if (this.#column(name).needed) this.fault(name, 'is empty.');
      return undefined;
    }
    const read = readDay(cell, this.#conventions.dayOrder);
    if (!read) this.fault(name, 'is no day of the calendar.');
    return read;
  }

  time(name: string): string | undefined {
    const cell = this.raw(name);
    if (cell === '') return undefined;
    const read = readTime(cell);
    if (!read) this.fault(name, 'is no time of the day like 18:30.');
    return read;
  }

  /** A number within limits; none where the cell is empty. */
  number(name: string, least: number, most: number, whole = false): number | null {
    const cell = this.raw(name);
    if (cell === '') return null;
    const read = readNumber(cell, this.#conventions.decimal);
    return this.#within(name, read?.value, least, most, whole);
  }

  /** An amount in one of the units that are wanted; none where the cell is empty. */
  amount<U extends UnitName>(
    name: string,
    wanted: readonly U[],
    most: number,
    unitColumn = '',
  ): { readonly value: number; readonly unit: U } | null {
    const cell = this.raw(name);
    if (cell === '') return null;
    const read = readNumber(cell, this.#conventions.decimal);
    const word = read?.unit || this.raw(unitColumn);
    const unit = word === '' ? this.#conventions.units[name] : readUnit(word);
    if (read && !unit) {
      this.fault(
        name,
        word === '' ? 'says no unit: choose the unit of its column.' : `is in “${word}”, which is no unit that is known here.`,
      );
      return null;
    }
    const to = wanted.find((one) => unit && dimensionOf(one) === dimensionOf(unit));
    if (read && !to) {
      this.fault(name, `is in ${unit}, and must be in a unit like ${wanted.join(' or ')}.`);
      return null;
    }
    const value = this.#within(name, read && unit && to ? convert({ amount: read.value, unit }, to).amount : undefined, 0, most, false);
    return value === null || !to ? null : { value, unit: to };
  }

  /** An entry of the library by any of its names, or by what somebody said that the name means. */
  entry<T extends Named>(name: string, kind: UnknownName['kind'], entries: readonly T[]): T | undefined {
    const cell = this.needed(name, 200);
    if (cell === undefined) return undefined;
    const meant = this.#conventions.meanings[nameKey(kind, cell)];
    if (meant === '') {
      this.isUnwanted = true;
      return undefined;
    }
    const found = meant === undefined ? findNamed(entries, cell)?.entry : entries.find(({ id }) => id === meant);
    if (!found) {
      const couldBe = nearNames(entries, cell).slice(0, mostDifferent);
      this.fault(name, `is no ${kind} that is known here. Say what it means.`, {
        kind,
        name: cell,
        couldBe: couldBe.map(({ id }) => id),
      });
    }
    return found;
  }

  fault(name: string, text: string, unknown?: UnknownName): void {
    const cell = this.raw(name);
    this.problems.push({ column: this.#column(name).title, cell: cell.slice(0, 80), text, ...(unknown && { unknown }) });
  }

  #within(name: string, value: number | undefined, least: number, most: number, whole: boolean): number | null {
    if (value === undefined || !Number.isFinite(value)) {
      const sign = this.#conventions.decimal === 'comma' ? '1,5' : '1.5';
      this.fault(name, `is no number like ${whole ? '12' : sign}.`);
      return null;
    }
    if (value < least || value > most || (whole && !Number.isInteger(value))) {
      this.fault(name, `is not ${whole ? 'a whole number ' : ''}from ${least.toLocaleString('en')} to ${most.toLocaleString('en')}.`);
      return null;
    }
    return value;
  }

  #column = (name: string): ListColumn => columnsOf(this.#conventions.list).find((one) => one.name === name)!;
}
