import { computed, inject, Injectable, signal } from '@angular/core';
import type { ClinicReport, GardenContents, Session, Stored, Subject, WeatherAnswer, Written } from '@field-nurse/contract';
import { Store } from '@ngrx/store';
import { Api } from '../api/api';
import { GardenActions } from '../gardens/garden-state';
import type { GardenCopy, LocalDb } from './local-db';
import { asRecord, withWaiting } from './overlay';
import { sendWaiting } from './send-waiting';
import type { Sending } from './send-waiting';
import type { Fields, SetAside, WaitingWrite } from './waiting';

const retryMs = 15_000;

/** Working without signal: what is written in the field is kept on the device at once, and sent when the server answers. */
@Injectable({ providedIn: 'root' })
export class Offline {
  readonly #api = inject(Api);
  readonly #store = inject(Store);
  #db: Promise<LocalDb> | undefined;
  #sending: Promise<void> | undefined;
  readonly #garden = signal<string | null>(null);
  readonly #counts = signal({ writes: 0, photos: 0 });
  readonly #ended = signal<Sending>('sent');

  /** what waits in the open garden */
  readonly waiting = computed(() => this.#counts().writes + this.#counts().photos);
  readonly waitingPhotos = computed(() => this.#counts().photos);
  readonly state = this.#ended.asReadonly();
  readonly aside = signal<readonly SetAside[]>([]);

  constructor() {
    // A sending that began without signal may still be failing: it is waited for, and then sent again.
    addEventListener('online', () => void (this.#sending ?? Promise.resolve()).then(() => this.send()));
    setInterval(() => {
      if (this.waiting() > 0) void this.send();
    }, retryMs);
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
  ): Promise<void> {
    const write: WaitingWrite = {
      garden,
      subject,
      id,
      change: crypto.randomUUID(),
      version,
      value: value as Fields,
      base: base as Fields | null,
      at: new Date().toISOString(),
    };
    await (await this.#local()).writes.add(write);
    this.#store.dispatch(GardenActions.recordStored({ subject, record: asRecord(write) as unknown as Stored<Subject> }));
    await this.#count();
    void this.send();
  }

  /** Keep a photo until it is sent. */
  async keepPhoto(garden: string, id: string, image: Blob): Promise<void> {
    await (await this.#local()).photos.put({ id, garden, image, at: new Date().toISOString() });
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
    const work = () =>
      sendWaiting(db, this.#api, garden, (subject, record) => this.#store.dispatch(GardenActions.recordStored({ subject, record })));
    const lock =
      'locks' in navigator
        ? <T>(run: () => Promise<T>) => navigator.locks.request('field-nurse-sending', run)
        : <T>(run: () => Promise<T>) => run();
    this.#ended.set(await lock(work));
    await this.#count();
  }

  /** The gardener has seen what was set aside. */
  async dismiss(sequence: number): Promise<void> {
    await (await this.#local()).aside.delete(sequence);
    await this.#count();
  }

  saveSession = async (session: Session): Promise<void> => void (await (await this.#local()).sessions.put({ key: 'session', session }));
  session = async (): Promise<Session | undefined> => (await (await this.#local()).sessions.get('session'))?.session;

  saveGarden = async (contents: GardenContents): Promise<void> =>
    void (await (await this.#local()).gardens.put({ id: contents.garden.id, contents, savedAt: new Date().toISOString() }));
  gardenCopy = async (id: string): Promise<GardenCopy | undefined> => (await this.#local()).gardens.get(id);

  saveWeather = async (garden: string, answer: WeatherAnswer): Promise<void> =>
    void (await (await this.#local()).weather.put({ garden, answer }));
  weather = async (garden: string): Promise<WeatherAnswer | undefined> => (await (await this.#local()).weather.get(garden))?.answer;

  saveClinicReports = async (garden: string, reports: readonly ClinicReport[]): Promise<void> =>
    void (await (await this.#local()).clinics.put({ garden, reports }));
  clinicReports = async (garden: string): Promise<readonly ClinicReport[] | undefined> =>
    (await (await this.#local()).clinics.get(garden))?.reports;

  /** The garden with what still waits to be sent. */
  async withWaiting(contents: GardenContents): Promise<GardenContents> {
    const db = await this.#local();
    return withWaiting(contents, await db.writes.where('garden').equals(contents.garden.id).sortBy('sequence'));
  }

  /** Forget the copies when somebody signs out; what waits to be sent stays. */
  async forget(): Promise<void> {
    const db = await this.#local();
    await Promise.all([db.gardens.clear(), db.sessions.clear(), db.weather.clear(), db.clinics.clear()]);
  }

  async #count(): Promise<void> {
    const garden = this.#garden();
    if (!garden) return;
    const db = await this.#local();
    const [writes, photos, aside] = await Promise.all([
      db.writes.where('garden').equals(garden).count(),
      db.photos.where('garden').equals(garden).count(),
      db.aside.where('garden').equals(garden).toArray(),
    ]);
    this.#counts.set({ writes, photos });
    this.aside.set(aside);
  }

  #local(): Promise<LocalDb> {
    this.#db ??= import('./local-db').then((module) => new module.LocalDb());
    return this.#db;
  }
}
