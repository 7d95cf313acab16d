import { computed, inject, Injectable } from '@angular/core';
import { addDays } from '@field-nurse/core/timing';
import { amountOn } from './counts-per-plant';
import { SeasonTry } from './season-try';

/** What is expected of a case on a day, where nothing more is done. */
export interface ExpectedDay {
  readonly day: string;
  readonly low: number;
  readonly middle: number;
  readonly high: number;
}

const ahead = 28;
// One look says where it is, and not where it goes.
const fewestLooks = 2;

/** How a case is expected to go on if nothing more is done, from its own counts: in percent of leaf for a disease, in what was counted for a pest. */
@Injectable()
export class ExpectedCourse {
  readonly #season = inject(SeasonTry);

  /** Ask for a case. */
  of(caseId: string): void {
    this.#season.wanted.set({ caseId });
    this.#season.ahead.set(ahead);
    this.#season.isAlone.set(true);
  }

  readonly course = computed<{ readonly on: 'severity' | 'count'; readonly days: readonly ExpectedDay[] } | null>(() => {
    const [asked, entry, host] = [this.#season.asked(), this.#season.entry(), this.#season.host()];
    const [alone] = this.#season.tried() ?? [];
    if (!asked || !entry || !host || !alone || this.#season.isWorking() || this.#season.counted().length < fewestLooks) return null;
    const scale = entry.kind === 'disease' ? 100 : this.#counted(host.habit);
    if (scale === undefined) return null;
    const days = alone.band.map(({ day, p10, p50, p90 }) => ({
      day: addDays(asked.start, day),
      low: p10 * scale,
      middle: p50 * scale,
      high: p90 * scale,
    }));
    return { on: entry.kind === 'disease' ? 'severity' : 'count', days };
  });

  /** What was counted in all for each one on a plant, at the last look with a count. */
  #counted(habit: Parameters<typeof amountOn>[2]): number | undefined {
    const last = [...this.#season.looks()]
      .sort((a, b) => a.assessedOn.localeCompare(b.assessedOn))
      .findLast(({ count }) => count !== null && count > 0);
    const amount = last && amountOn(last, 'pest', habit);
    return last && amount ? last.count! / amount : undefined;
  }
}
