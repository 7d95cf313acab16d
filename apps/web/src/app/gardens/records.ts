import { inject, Injectable } from '@angular/core';
import type { Stored, Subject, Written } from '@field-nurse/contract';
import { Store } from '@ngrx/store';
import { firstValueFrom } from 'rxjs';
import { Api } from '../api/api';
import { ApiError } from '../api/api-error';
import { Said } from '../shared/said';
import { Offline } from '../offline/offline';
import type { Fields } from '../offline/waiting';
import { GardenActions, gardenFeature } from '../store/garden-state';

const undoMs = 8000;

/** No answer, or one that says to come back: nothing is decided. */
const isAway = ({ status }: ApiError) => status === 0 || status === 503;

/** A record that is to be written; without a version, or with 0, it is new. What the server will make of it is reckoned for a device without signal. */
export type WrittenRecord = {
  readonly [S in Subject]: {
    readonly subject: S;
    readonly id: string;
    readonly version?: number;
    readonly value: Written<S>;
    readonly reckoned?: Fields;
  };
}[Subject];

/** Writing the garden's records: once for each change however often it is sent, said in a line, with a way back. */
@Injectable({ providedIn: 'root' })
export class Records {
  readonly #api = inject(Api);
  readonly #store = inject(Store);
  readonly #offline = inject(Offline);
  readonly #said = inject(Said);
  readonly #garden = this.#store.selectSignal(gardenFeature.selectGarden);
  /** change ids of writes whose answer never came: sent again under the same id, they count once */
  readonly #unanswered = new Map<string, string>();

  /**
   * Write a record and tell the gardener.
   *
   * @param version - that of the record it was made from, 0 for a new one
   * @param said - what was done, for the line with Undo; none is shown without it
   * @throws ApiError
   */
  async save<S extends Subject>(subject: S, id: string, version: number, value: Written<S>, said?: string): Promise<Stored<S>> {
    const { record, change } = await this.#write(subject, id, version, value);
    if (said) this.#offerUndo(said, [change]);
    return record;
  }

  /**
   * Write records one after the other, with one way back for all of them.
   *
   * @throws ApiError at the first that is refused; those before it are there
   */
  async saveAll(records: readonly WrittenRecord[], said: string): Promise<void> {
    const changes: string[] = [];
    for (const { subject, id, version = 0, value } of records) changes.push((await this.#write(subject, id, version, value)).change);
    this.#offerUndo(said, changes);
  }

  /**
   * The same where there may be no signal: what the server does not take any more is kept on this device.
   *
   * @param base - the records as they were, by their id
   * @throws ApiError when the server refuses
   */
  async saveAllOrKeep(records: readonly WrittenRecord[], said: string, base: ReadonlyMap<string, Stored<Subject>>): Promise<void> {
    const changes: string[] = [];
    const left = [...records];
    try {
      while (this.#offline.waiting() === 0 && left[0]) {
        const { subject, id, version = 0, value } = left[0];
        changes.push((await this.#write(subject, id, version, value)).change);
        left.shift();
      }
    } catch (error) {
      if (!isAway(ApiError.from(error))) throw error;
    }
    for (const { subject, id, version = 0, value, reckoned } of left)
      await this.keep(subject, id, version, value, base.get(id) ?? null, reckoned);
    if (left.length === 0) this.#offerUndo(said, changes);
    else this.say(`${said} Kept on this device until there is signal.`);
  }

  async #write<S extends Subject>(
    subject: S,
    id: string,
    version: number,
    value: Written<S>,
  ): Promise<{ record: Stored<S>; change: string }> {
    const garden = this.#garden()!.id;
    const attempt = `${subject} ${id} ${version} ${JSON.stringify(value)}`;
    const change = this.#unanswered.get(attempt) ?? crypto.randomUUID();
    this.#unanswered.set(attempt, change);
    try {
      const record = await firstValueFrom(this.#api.write(garden, subject, id, { change, version, value }));
      this.#unanswered.delete(attempt);
      this.#store.dispatch(GardenActions.recordStored({ subject, record }));
      return { record, change };
    } catch (error) {
      const known = ApiError.from(error);
      if (known.status !== 0) this.#unanswered.delete(attempt);
      if (known.code === 'changed-elsewhere' && known.current)
        this.#store.dispatch(GardenActions.recordStored({ subject, record: known.current as Stored<S> }));
      throw known;
    }
  }

  /** Write in the field: kept on this device at once and sent when the server answers. */
  async keep<S extends Subject>(
    subject: S,
    id: string,
    version: number,
    value: Written<S>,
    base: Stored<S> | null = null,
    reckoned?: Fields,
  ): Promise<void> {
    await this.#offline.keep(this.#garden()!.id, subject, id, version, value, base, reckoned);
  }

  /**
   * Write where there may be no signal: at once with a way back when the server answers, else kept on this device.
   *
   * @throws ApiError when the server refuses
   */
  async saveOrKeep<S extends Subject>(
    subject: S,
    id: string,
    version: number,
    value: Written<S>,
    said: string,
    base: Stored<S> | null = null,
  ): Promise<void> {
    const outcome = await this.saveOrQueue(subject, id, version, value, said, base);
    if (outcome === 'kept') this.say(`${said} Kept on this device until there is signal.`);
  }

  /**
   * Write at once when the server answers; where it does not, or while older writes wait (whose record it may
   * have been made from), join what waits on this device. Nothing is said of what was kept.
   *
   * @throws ApiError when the server refuses
   */
  async saveOrQueue<S extends Subject>(
    subject: S,
    id: string,
    version: number,
    value: Written<S>,
    said: string | undefined,
    base: Stored<S> | null,
  ): Promise<'saved' | 'kept'> {
    if (this.#offline.waiting() === 0)
      try {
        await this.save(subject, id, version, value, said);
        return 'saved';
      } catch (error) {
        if (!isAway(ApiError.from(error))) throw error;
      }
    await this.keep(subject, id, version, value, base);
    return 'kept';
  }

  /** Tell what was done, with a way back. */
  sayWithUndo(line: string, undo: () => void): void {
    this.#said.say(line, undoMs, undo);
  }

  /** Say something in passing. */
  say(line: string): void {
    this.#said.say(line, undoMs / 2);
  }

  #offerUndo(said: string, changes: readonly string[]): void {
    this.sayWithUndo(said, () => void this.#undo(changes));
  }

  /** Take changes back, the last one first. */
  async #undo(changes: readonly string[]): Promise<void> {
    try {
      for (const undoes of [...changes].reverse()) {
        const { subject, recordId, record } = await firstValueFrom(this.#api.undo(this.#garden()!.id, crypto.randomUUID(), undoes));
        this.#store.dispatch(
          record ? GardenActions.recordStored({ subject, record }) : GardenActions.recordRemoved({ subject, id: recordId }),
        );
      }
      this.say('Taken back.');
    } catch (error) {
      this.say(ApiError.from(error).message);
    }
  }
}
