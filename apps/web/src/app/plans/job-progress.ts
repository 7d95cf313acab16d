import { signal } from '@angular/core';

/** How far a job has come on this device: it goes on from there, also after the page was closed. */
export interface Progress {
  readonly step: number;
  /** instants at which timers were started, by what they time */
  readonly timers: Readonly<Record<string, string>>;
}

const begun: Progress = { step: 0, timers: {} };
const keyOf = (job: string) => `job ${job}`;

/** The progress of one job, kept on this device until it is done. */
export class JobProgress {
  readonly #key: string;
  readonly now;

  constructor(job: string) {
    this.#key = keyOf(job);
    this.now = signal<Progress>(this.#read());
  }

  change(change: Partial<Progress>): void {
    this.now.update((now) => ({ ...now, ...change }));
    try {
      localStorage.setItem(this.#key, JSON.stringify(this.now()));
    } catch {
      // Without room on the device the job goes on all the same; only a closed page would begin it anew.
    }
  }

  clear(): void {
    localStorage.removeItem(this.#key);
  }

  #read(): Progress {
    try {
      return { ...begun, ...(JSON.parse(localStorage.getItem(this.#key) ?? '{}') as Partial<Progress>) };
    } catch {
      return begun;
    }
  }
}
