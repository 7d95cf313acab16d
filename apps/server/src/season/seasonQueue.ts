import type { SeasonResult, SeasonState } from '@field-nurse/contract';
import { and, eq, inArray, sql } from 'drizzle-orm';
import type { PgUpdateSetSource } from 'drizzle-orm/pg-core';
import { randomUUID } from 'node:crypto';
import type { Deps } from '../deps.js';
import { ApiError } from '../http/apiError.js';
import { retryAfter } from '../http/retryAfter.js';
import { resultOf, tasksOf } from './seasonTasks.js';
import type { SeasonWork } from './seasonTasks.js';
import { SeasonFault } from './strategies.js';
import type { Outcome } from './strategies.js';
import { seasonJobs } from './tables.js';

const mostWaiting = 50;
// A server that says nothing for so long is taken to be gone.
const silentSeconds = 30;
const beatMs = 10_000;
const tellMs = 250;
// Begun, and once more where a server stopped in the middle.
const mostBegun = 2;

/**
 * The queue of seasons in PostgreSQL: each is worked out by one server at a time, strategy by strategy. Where a server stops in the middle, another, or
 * the same when it is back, begins it again, once.
 */
export class SeasonQueue {
  readonly #deps: Pick<Deps, 'db' | 'strategies' | 'log'>;
  readonly #underWay = new Map<string, AbortController>();
  #working: Promise<void> | undefined;

  constructor(deps: Pick<Deps, 'db' | 'strategies' | 'log'>) {
    this.#deps = deps;
  }

  /** @returns its id. @throws ApiError when too many wait */
  async add(question: SeasonWork): Promise<string> {
    const { db } = this.#deps;
    if ((await db.$count(seasonJobs, inArray(seasonJobs.state, ['waiting', 'running']))) >= mostWaiting)
      throw new ApiError(429, 'busy', 'Too many seasons wait to be worked out. Try again in a minute.', retryAfter(60));
    const id = randomUUID();
    await db.insert(seasonJobs).values({ id, question, state: 'waiting' });
    void this.work();
    return id;
  }

  /** How far it is; nothing where there is no such job. */
  async state(id: string): Promise<SeasonState | undefined> {
    const [job] = await this.#deps.db.select().from(seasonJobs).where(eq(seasonJobs.id, id));
    if (!job) return undefined;
    if (job.state === 'waiting' || job.state === 'running') void this.work();
    const { state, progress, result, error } = job;
    return { state, progress, ...(result ? { result: result as SeasonResult } : {}), ...(error ? { error } : {}) };
  }

  /** Give it up, unless it is done. */
  async cancel(id: string): Promise<SeasonState | undefined> {
    await this.#deps.db
      .update(seasonJobs)
      .set({ state: 'cancelled' })
      .where(and(eq(seasonJobs.id, id), inArray(seasonJobs.state, ['waiting', 'running'])));
    this.#underWay.get(id)?.abort();
    return this.state(id);
  }

  /** Work out what waits, one after the other, until nothing does. */
  work(): Promise<void> {
    this.#working ??= this.#all().finally(() => (this.#working = undefined));
    return this.#working;
  }

  async #all(): Promise<void> {
    try {
      for (let job = await this.#take(); job; job = await this.#take()) await this.#one(job);
    } catch (error) {
      // The database is away, or the server stops: whoever asks next begins again.
      this.#deps.log.warn({ error }, 'seasons wait');
    }
  }

  /** The next that waits, or whose server has gone silent. */
  async #take(): Promise<{ id: string; question: SeasonWork } | undefined> {
    const { db } = this.#deps;
    const isSilent = sql`(state = 'running' and held_at < now() - make_interval(secs => ${silentSeconds}))`;
    await db
      .update(seasonJobs)
      .set({ state: 'failed', error: 'The server stopped twice while this was worked out.' })
      .where(sql`(${isSilent} or state = 'waiting') and begun >= ${mostBegun}`);
    const [job] = await db
      .update(seasonJobs)
      .set({ state: 'running', progress: 0, heldAt: sql`now()`, begun: sql`begun + 1` })
      .where(
        sql`id = (select id from ${seasonJobs} where state = 'waiting' or ${isSilent} order by added_at limit 1 for update skip locked)`,
      )
      .returning({ id: seasonJobs.id, question: seasonJobs.question });
    return job && { id: job.id, question: job.question as SeasonWork };
  }

  async #one({ id, question }: { readonly id: string; readonly question: SeasonWork }): Promise<void> {
    const ending = new AbortController();
    this.#underWay.set(id, ending);
    const beat = setInterval(() => void this.#hold(id, {}).catch(() => false), beatMs);
    try {
      const tasks = tasksOf(question);
      const outcomes: Outcome[] = [];
      for (const task of tasks) {
        outcomes.push(await this.#deps.strategies.run(task, ending.signal, this.#teller(id, outcomes.length, tasks.length)));
        if (!(await this.#hold(id, { progress: outcomes.length / tasks.length }))) return;
      }
      const result = resultOf(outcomes, question.seed);
      await this.#hold(id, { state: 'done', progress: 1, result });
    } catch (error) {
      if (ending.signal.aborted) return;
      if (error instanceof SeasonFault) {
        await this.#hold(id, { state: 'failed', error: error.message });
        return;
      }
      // The server stops, most likely: it is begun again by whoever is there.
      await this.#hold(id, { state: 'waiting' });
      throw error;
    } finally {
      clearInterval(beat);
      this.#underWay.delete(id);
    }
  }

  /** Writes down how far it is while a strategy is worked out, and no oftener than anybody looks. */
  #teller(id: string, done: number, all: number): (share: number) => void {
    let told = Date.now();
    return (share) => {
      if (Date.now() - told < tellMs) return;
      told = Date.now();
      const progress = (done + share) / all;
      // What was told late is told no more: the next strategy may have begun.
      void this.#hold(id, { progress: sql`greatest(progress, ${progress})` }).catch(() => false);
    };
  }

  /** Write down how far it is. @returns false where it was given up meanwhile */
  async #hold(id: string, change: PgUpdateSetSource<typeof seasonJobs>): Promise<boolean> {
    const held = await this.#deps.db
      .update(seasonJobs)
      .set({ heldAt: sql`now()`, ...change })
      .where(and(eq(seasonJobs.id, id), eq(seasonJobs.state, 'running')))
      .returning({ id: seasonJobs.id });
    return held.length > 0;
  }
}
