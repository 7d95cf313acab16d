/** In which order a list writes its days: 3/5/2024 is the third of May or the fifth of March. */
export type DayOrder = 'day-month' | 'month-day';

export interface DayRead {
  /** ISO date */
  readonly day: string;
  /** `HH:MM`, where the cell says it */
  readonly time: string | undefined;
}

const months = 'jan feb mar apr may jun jul aug sep oct nov dec'.split(' ');
const iso = /^(\d{4})([-/.])(\d{1,2})\2(\d{1,2})/;
const numbers = /^(\d{1,2})\s*([-/. ])\s*(\d{1,2})\s*\2\s*(\d{4}|\d{2})(?!\d)/;
const dayName = /^(\d{1,2})(?:st|nd|rd|th)?[\s.-]+([a-z]{3})[a-z]*\.?[\s,-]+(\d{4}|\d{2})(?!\d)/;
const nameDay = /^([a-z]{3})[a-z]*\.?\s+(\d{1,2})(?:st|nd|rd|th)?,?\s+(\d{4})(?!\d)/;
const packed = /^(\d{4})(\d{2})(\d{2})$/;
const weekday = /^(?:mon|tue|wed|thu|fri|sat|sun)[a-z]*\.?,?\s+/;
const clock = /^(?:[t,\s]+(\d{1,2})[:.h](\d{2})(?::\d{2}(?:\.\d+)?)?\s*([ap]\.?m\.?)?)?(?:\s*(?:z|[+-]\d{2}:?\d{2}))?$/;
// Spreadsheets count days from 30 December 1899; these are 1954 to 2064.
const serial = /^(\d{5})(?:\.\d+)?$/;
const [firstSerial, lastSerial, serialOf1970] = [20_000, 60_000, 25_569];
const dayMs = 86_400_000;

/**
 * The day that a cell of somebody's list says, with the time where it says one.
 *
 * Read are ISO dates, numbers in either order, months by name, `20240503`, and the day numbers of spreadsheets. Two digits are years from 1970 to
 * 2069.
 *
 * @param order - what `3/5/2024` means
 * @returns nothing where it is no day of the calendar, or says something else beside it
 * @example
 * readDay('3.5.24 18:30', 'day-month') // => { day: '2024-05-03', time: '18:30' }
 */
export function readDay(cell: string, order: DayOrder): DayRead | undefined {
  const text = cell
    .trim()
    .toLowerCase()
    .replaceAll(/[\u00A0\u202F]/g, ' ')
    .replace(weekday, '');
  const number = serial.exec(text);
  if (number && Number(number[1]) >= firstSerial && Number(number[1]) <= lastSerial) {
    const at = new Date((Number(text) - serialOf1970) * dayMs).toISOString();
    return { day: at.slice(0, 10), time: text.includes('.') ? at.slice(11, 16) : undefined };
  }
  const said = partsOf(text, order);
  if (!said) return undefined;
  const [match, year, month, day] = said;
  const time = clockOf(text.slice(match.length));
  const full = year < 70 ? 2000 + year : year < 100 ? 1900 + year : year;
  const date = new Date(Date.UTC(full, month - 1, day));
  if (time === false || full < 1900 || full > 2199 || date.getUTCMonth() !== month - 1 || date.getUTCDate() !== day) return undefined;
  return { day: date.toISOString().slice(0, 10), time: time ?? undefined };
}

/** What was matched, and year, month and day as numbers. */
function partsOf(text: string, order: DayOrder): readonly [string, number, number, number] | undefined {
  const is = iso.exec(text) ?? packed.exec(text);
  if (is) return [is[0], Number(is[1]), Number(is.at(-2)), Number(is.at(-1))];
  const plain = numbers.exec(text);
  if (plain) {
    const [first, second] = [Number(plain[1]), Number(plain[3])];
    return [plain[0], Number(plain[4]), ...(order === 'day-month' ? ([second, first] as const) : ([first, second] as const))];
  }
  const named = dayName.exec(text);
  if (named) return [named[0], Number(named[3]), months.indexOf(named[2]!) + 1, Number(named[1])];
  const other = nameDay.exec(text);
  return other ? [other[0], Number(other[3]), months.indexOf(other[1]!) + 1, Number(other[2])] : undefined;
}

/** @returns `HH:MM`; null where there is none; false where what is left is no time */
function clockOf(text: string): string | null | false {
  const said = clock.exec(text);
  if (!said) return false;
  if (said[1] === undefined) return null;
  const half = said[3]?.[0];
  const hour = half ? (Number(said[1]) % 12) + (half === 'p' ? 12 : 0) : Number(said[1]);
  return hour > 23 || Number(said[2]) > 59 ? false : `${String(hour).padStart(2, '0')}:${said[2]}`;
}

/** A time of its own column: `18:30`, `6.30 pm`, `18h30`. */
export function readTime(cell: string): string | undefined {
  const time = clockOf(` ${cell.trim().toLowerCase()}`);
  return time === false || time === null ? undefined : time;
}

/** Of a column of days: in which order it must be, by the numbers above twelve in it. */
export class DayOrderWitness {
  #dayFirst = 0;
  #monthFirst = 0;

  see(cell: string): void {
    const plain = numbers.exec(cell.trim());
    if (!plain) return;
    if (Number(plain[1]) > 12) this.#dayFirst++;
    if (Number(plain[3]) > 12) this.#monthFirst++;
  }

  /** What most cells need; nothing where none of them tells. */
  order(): DayOrder | undefined {
    if (this.#dayFirst === this.#monthFirst) return undefined;
    return this.#dayFirst > this.#monthFirst ? 'day-month' : 'month-day';
  }

  /** Some cells need the one order, others the other. */
  isMixed = (): boolean => this.#dayFirst > 0 && this.#monthFirst > 0;
}
