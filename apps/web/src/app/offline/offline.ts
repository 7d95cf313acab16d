import { computed, inject, Injectable, signal } from '@angular/core';
import type { ClinicReport, GardenContents, SeasonContents, Session, Stored, Subject, WeatherAnswer, Written } from '@field-nurse/contract';
import { Store } from '@ngrx/store';
import { Api } from '../api/api';
import { GardenActions } from '../store/garden-state';
import type { KnownRecord } from '../store/known-record';
import { readCopy, saveContents, saveRecords, saveSeason } from './garden-copy';
import type { ReadCopy } from './garden-copy';
import type { GardenHead, LocalDb } from './local-db';
import { asRecord, withWaiting } from './overlay';
import { sendWaiting } from './send-waiting';
import type { Sending } from './send-waiting';
import { isOf } from './waiting';
import type { Fields, SetAside, WaitingWrite } from './waiting';

const retryMs = 15_000;

/** A record that waits to be written, as it will be. */
type WrittenRecord = KnownRecord & { readonly record: Stored<Subject> };

const written = (write: WaitingWrite): WrittenRecord => ({
  subject: write.subject,
  id: write.id,
  record: asRecord(write) as unknown as Stored<Subject>,
});

/** Working without signal: what is written in the field is kept on the device at once, and sent when the server answers. */
@Injectable({ providedIn: 'root' })
export class Offline {
  readonly #api = inject(Api);
  readonly #store = inject(Store);
  #db: Promise<LocalDb> | undefined;
  #sending: Promise<void> | undefined;
  readonly #garden = signal<string | null>(null);
  readonly #person = signal<string | null | undefined>(undefined);
  readonly #counts = signal({ writes: 0, photos: 0, ofOthers: 0 });
  readonly #ended = signal<Sending>('sent');

  /** what this person's waits in the open garden */
  readonly waiting = computed(() => this.#counts().writes + this.#counts().photos);
  readonly waitingPhotos = computed(() => this.#counts().photos);
  /** what waits here until somebody else signs in again */
  readonly ofOthers = computed(() => this.#counts().ofOthers);
  readonly state = this.#ended.asReadonly();
  readonly aside = signal<readonly SetAside[]>([]);

  constructor() {
    // A sending that began without signal may still be failing: it is waited for, and then sent again.
    addEventListener('online', () => void (this.#sending ?? Promise.resolve()).then(() => this.send()));
    setInterval(() => {
      if (this.waiting() > 0) void this.send();
    }, retryMs);
  }

  /** Who is signed in on this device: what is kept from now on is theirs. */
  async belongsTo(person: string | null): Promise<void> {
    this.#person.set(person);
    await this.#count();
    if (!person) return;
    const garden = this.#garden();
    if (garden)
      for (const { subject, record } of await this.waitingRecords(garden))
        this.#store.dispatch(GardenActions.recordKept({ subject, record }));
    void this.send();
  }

  /** Show and send what waits in this garden. */
  async open(garden: string): Promise<void> {
    this.#garden.set(garden);
    await this.#count();
    void this.send();
  }

  /** Keep a write on this device, show it at once, and send it as soon as it can be. */
  async keep<S extends Subject>(
    garden: string,
    subject: S,
    id: string,
    version: number,
    value: Written<S>,
    base: Stored<S> | null,
    reckoned?: Fields,
  ): Promise<void> {
    await this.#keep({
      garden,
      person: (await this.#whose()) ?? undefined,
      subject,
      id,
      change: crypto.randomUUID(),
      version,
      value,
      ...(reckoned && { reckoned }),
      base,
      at: new Date().toISOString(),
    });
  }

  async #keep(write: WaitingWrite): Promise<void> {
    await (await this.#local()).writes.add(write);
    this.#store.dispatch(GardenActions.recordKept(written(write)));
    await this.#count();
    void this.send();
  }

  /** Keep a photo until it is sent. */
  async keepPhoto(garden: string, id: string, image: Blob): Promise<void> {
    const person = (await this.#whose()) ?? undefined;
    await (await this.#local()).photos.put({ id, garden, person, image, at: new Date().toISOString() });
    await this.#count();
    void this.send();
  }

  /** A photo that waits on this device; none if it was sent. */
  async photo(id: string): Promise<Blob | undefined> {
    return (await (await this.#local()).photos.get(id))?.image;
  }

  /** Send what waits; one sending at a time, in this tab and the others. */
  async send(): Promise<void> {
    const garden = this.#garden();
    if (!garden) return;
    this.#sending ??= this.#sendNow(garden).finally(() => (this.#sending = undefined));
    await this.#sending;
  }

  async #sendNow(garden: string): Promise<void> {
    const db = await this.#local();
    const work = () => sendWaiting(db, this.#api, garden, (known) => this.#show(garden, known));
    const lock =
      'locks' in navigator
        ? <T>(run: () => Promise<T>) => navigator.locks.request('field-nurse-sending', run)
        : <T>(run: () => Promise<T>) => run();
    this.#ended.set(await lock(work));
    await this.#count();
  }

  /** A record as the server has it, under what still waits to be written of it. */
  async #show(garden: string, { subject, id, record }: KnownRecord): Promise<void> {
    this.#store.dispatch(record ? GardenActions.recordStored({ subject, record }) : GardenActions.recordRemoved({ subject, id }));
    const waiting = (await this.waitingRecords(garden)).filter((one) => one.subject === subject && one.id === id).at(-1);
    if (waiting) this.#store.dispatch(GardenActions.recordKept(waiting));
  }

  /**
   * Send again what was set aside, corrected or as it was.
   *
   * @param changed - fields as they are wanted now, over the write that was refused, or over the record as it stands
   * @param current - the record as it stands now; none where there is none yet
   */
  async sendAgain(one: SetAside, changed: Fields, current: Stored<Subject> | undefined): Promise<void> {
    const db = await this.#local();
    if (one.subject === 'photos') {
      if (one.image) await this.keepPhoto(one.garden, one.id, one.image);
    } else {
      const { id: _, version = 0, ...standing } = { ...(current as unknown as Fields & { version?: number }) } as Record<string, unknown>;
      const value = { ...(one.write ? one.write.value : standing), ...changed };
      const { garden, person, subject, id } = one;
      const at = new Date().toISOString();
      const base = current ? (current as unknown as Fields) : null;
      await this.#keep({ garden, person, subject, id, change: crypto.randomUUID(), version: version as number, value, base, at });
    }
    await db.aside.delete(one.sequence!);
    await this.#count();
  }

  /** The gardener has seen what was set aside. */
  async dismiss(sequence: number): Promise<void> {
    await (await this.#local()).aside.delete(sequence);
    await this.#count();
  }

  saveSession = async (session: Session): Promise<void> => void (await (await this.#local()).sessions.put({ key: 'session', session }));
  session = async (): Promise<Session | undefined> => (await (await this.#local()).sessions.get('session'))?.session;

  saveGarden = async (contents: GardenContents): Promise<void> => {
    await saveContents(await this.#local(), contents);
    keepMark(contents.garden.id, true);
  };
  saveSeason = async (garden: string, from: string, contents: SeasonContents): Promise<void> =>
    saveSeason(await this.#local(), garden, from, contents);
  saveRecords = async (garden: string, records: readonly KnownRecord[], head: Partial<GardenHead> = {}): Promise<void> =>
    saveRecords(await this.#local(), garden, records, head);
  /** The copy of a garden; a device that has none is not asked for it, and fetches at once. */
  gardenCopy = async (id: string): Promise<ReadCopy | undefined> => (hasMark(id) ? readCopy(await this.#local(), id) : undefined);

  saveWeather = async (garden: string, answer: WeatherAnswer): Promise<void> =>
    void (await (await this.#local()).weather.put({ garden, answer }));
  weather = async (garden: string): Promise<WeatherAnswer | undefined> => (await (await this.#local()).weather.get(garden))?.answer;

  saveClinicReports = async (garden: string, reports: readonly ClinicReport[]): Promise<void> =>
    void (await (await this.#local()).clinics.put({ garden, reports }));
  clinicReports = async (garden: string): Promise<readonly ClinicReport[] | undefined> =>
    (await (await this.#local()).clinics.get(garden))?.reports;

  /** The garden with what of this person's still waits to be sent. */
  async withWaiting(contents: GardenContents): Promise<GardenContents> {
    return withWaiting(contents, await this.#waitingWrites(contents.garden.id));
  }

  /** Records that this person changed and that wait to be sent, as they will be. */
  async waitingRecords(garden: string): Promise<WrittenRecord[]> {
    return (await this.#waitingWrites(garden)).map(written);
  }

  async #waitingWrites(garden: string): Promise<WaitingWrite[]> {
    const mine = isOf(await this.#whose());
    return (await this.#local()).writes.where('garden').equals(garden).filter(mine).sortBy('sequence');
  }

  /** Who is signed in here; until that is known, who was the last time. */
  async #whose(): Promise<string | null> {
    const person = this.#person();
    return person === undefined ? ((await this.session().catch(() => undefined))?.person?.id ?? null) : person;
  }

  /** Forget the copies when somebody signs out; what waits to be sent stays. */
  async forget(): Promise<void> {
    const db = await this.#local();
    await Promise.all([db.gardens, db.records, db.sessions, db.weather, db.clinics].map((table) => table.clear()));
  }

  /** Forget the copy of a garden that may not be read any more; what was to be sent to it stays. */
  async forgetCopy(garden: string): Promise<void> {
    const db = await this.#local();
    keepMark(garden, false);
    await Promise.all([db.gardens.delete(garden), db.records.where('garden').equals(garden).delete()]);
  }

  /** Forget a garden that was left or deleted, with all that was to be sent to it. */
  async forgetGarden(garden: string): Promise<void> {
    const db = await this.#local();
    if (this.#garden() === garden) this.#garden.set(null);
    await Promise.all([db.gardens.delete(garden), db.weather.delete(garden), db.clinics.delete(garden)]);
    for (const table of [db.records, db.writes, db.photos, db.aside]) await table.where('garden').equals(garden).delete();
    this.#counts.set({ writes: 0, photos: 0, ofOthers: 0 });
    this.aside.set([]);
  }

  async #count(): Promise<void> {
    const garden = this.#garden();
    if (!garden) return;
    const db = await this.#local();
    const mine = isOf(await this.#whose());
    const writes = await db.writes.where('garden').equals(garden).toArray();
    const [photos, photosOfAll, aside] = await Promise.all([
      db.photos.where('garden').equals(garden).filter(mine).count(),
      db.photos.where('garden').equals(garden).count(),
      db.aside.where('garden').equals(garden).filter(mine).toArray(),
    ]);
    const own = writes.filter(mine).length;
    this.#counts.set({ writes: own, photos, ofOthers: writes.length - own + (photosOfAll - photos) });
    this.aside.set(aside);
  }

  #local(): Promise<LocalDb> {
    this.#db ??= import('./local-db').then((module) => new module.LocalDb());
    return this.#db;
  }
}

const markOf = (garden: string) => `field-nurse-copy ${garden}`;
const hasMark = (garden: string) => localStorage.getItem(markOf(garden)) !== null;
const keepMark = (garden: string, here: boolean) => {
  if (here) localStorage.setItem(markOf(garden), '');
  else localStorage.removeItem(markOf(garden));
};
