import { addDays, daysBetween } from '@field-nurse/core/timing';

type Half = 'morning' | 'evening';

export interface HalfDayAt {
  readonly date: string;
  readonly slot: Half;
}

/** Where a half-day lies on the board, and which one lies at a place: 0 is the left edge, 1 the right one. */
export class BoardScale {
  constructor(
    readonly start: string,
    readonly days: number,
  ) {}

  /** the middle of a half-day; beyond 0 to 1 it is not on the board */
  at = ({ date, slot }: HalfDayAt): number => (2 * daysBetween(this.start, date) + (slot === 'evening' ? 1.5 : 0.5)) / (2 * this.days);

  /** the morning of a day */
  morning = (date: string): number => daysBetween(this.start, date) / this.days;

  halfDayAt(share: number): HalfDayAt {
    const slot = Math.max(0, Math.min(2 * this.days - 1, Math.floor(share * 2 * this.days)));
    return { date: addDays(this.start, Math.floor(slot / 2)), slot: slot % 2 === 0 ? 'morning' : 'evening' };
  }

  /** the half-day so many further on; nothing where that is not on the board */
  after({ date, slot }: HalfDayAt, steps: number): HalfDayAt | undefined {
    const at = 2 * daysBetween(this.start, date) + Number(slot === 'evening') + steps;
    return at < 0 || at >= 2 * this.days ? undefined : this.halfDayAt((at + 0.5) / (2 * this.days));
  }

  /** a stretch of whole days as far as it is on the board, in shares; nothing where none of it is */
  stretch(from: string, until: string): { readonly left: number; readonly width: number } | undefined {
    const left = Math.max(0, this.morning(from));
    const right = Math.min(1, this.morning(addDays(until, 1)));
    return right > left ? { left, width: right - left } : undefined;
  }
}
