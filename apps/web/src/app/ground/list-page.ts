import { ChangeDetectionStrategy, Component, computed, effect, inject, signal, untracked } from '@angular/core';
import { MatButtonModule } from '@angular/material/button';
import { MatFormFieldModule } from '@angular/material/form-field';
import { MatIconModule } from '@angular/material/icon';
import { MatInputModule } from '@angular/material/input';
import { Router, RouterLink } from '@angular/router';
import type { Shape } from '@field-nurse/contract';
import { ApiError } from '../api/api-error';
import { Garden } from '../gardens/garden';
import { Records } from '../gardens/records';
import { RestingGround } from '../prevention/resting-ground';
import { Library } from '../library/library';
import { NameField } from '../library/name-field';
import { remember, remembered } from '../shared/tab-memory';
import { settingWords } from '../shared/words';
import { NotAPlan } from './geojson';
import { readListFile } from './list-file';
import { placeOfRow, recordsOf, rowsOf } from './list-rows';
import type { ListRow } from './list-rows';

const readAfterMs = 250;
const mostPlants = 100_000;
const mostBytes = 2_000_000;

/** A whole garden out of a list: written, pasted or from a file, shown as places and plantings to put right, and made with one tap. */
@Component({
  selector: 'fn-list-page',
  imports: [MatButtonModule, MatFormFieldModule, MatIconModule, MatInputModule, NameField, RouterLink],
  changeDetection: ChangeDetectionStrategy.OnPush,
  styleUrl: './list-page.scss',
  templateUrl: './list-page.html',
})
export class ListPage {
  protected readonly garden = inject(Garden);
  protected readonly library = inject(Library);
  readonly #records = inject(Records);
  readonly #router = inject(Router);
  readonly #key = `field-nurse-list ${this.garden.summary().id}`;
  readonly #placeIds = new Map<string, string>();

  readonly #ground = inject(RestingGround);
  protected readonly text = signal(remembered<string>(this.#key) ?? '');
  protected readonly rows = signal<readonly ListRow[]>([]);
  readonly #shapes = signal<ReadonlyMap<string, Shape>>(new Map());
  protected readonly refusal = signal('');
  protected readonly busy = signal(false);
  protected readonly settings = settingWords;
  protected readonly hosts = computed(() => this.library.known()?.hosts ?? []);
  protected readonly unknown = computed(() => this.rows().filter(({ host }) => host === null).length);
  readonly #made = computed(() => {
    const places = this.garden.places();
    return recordsOf(this.rows(), this.#shapes(), {
      hosts: this.library.hosts(),
      places,
      today: this.garden.today(),
      placeId: (name) => {
        const id = this.#placeIds.get(name) ?? crypto.randomUUID();
        this.#placeIds.set(name, id);
        return id;
      },
    });
  });
  /** what the button says that it makes */
  protected readonly making = computed(() => {
    const count = (subject: string) => this.#made().filter((record) => record.subject === subject).length;
    const [places, plantings] = [count('places'), count('plantings')];
    const said = (number: number, word: string) => `${number} ${word}${number === 1 ? '' : 's'}`;
    return [places > 0 ? said(places, 'place') : '', plantings > 0 ? said(plantings, 'planting') : ''].filter(Boolean).join(' and ');
  });
  /** the rows by their place */
  protected readonly places = computed(() => {
    const groups = new Map<string, { name: string; isNew: boolean; setting: string; rows: ListRow[]; rests: string[] }>();
    const there = this.garden.places();
    for (const row of this.rows()) {
      const { name, setting } = placeOfRow(row, this.library.hosts().get(row.host ?? ''), there);
      const key = name.toLowerCase();
      const group = groups.get(key) ?? { name, setting, isNew: !there.some((one) => one.name.toLowerCase() === key), rows: [], rests: [] };
      group.rows.push(row);
      const rest = this.#ground.word(there.find((one) => one.name.toLowerCase() === key)?.id ?? '', row.host ?? '', this.garden.today());
      if (rest) group.rests.push(rest);
      groups.set(key, group);
    }
    return [...groups.values()];
  });
  protected readonly placeNames = computed(() => [
    ...new Set([...this.garden.places().map(({ name }) => name), ...this.places().map(({ name }) => name)]),
  ]);

  constructor() {
    effect((onCleanup) => {
      const [text, hosts] = [this.text(), this.hosts()];
      remember(this.#key, text);
      const timer = setTimeout(() => untracked(() => this.#read(text, hosts)), readAfterMs);
      onCleanup(() => clearTimeout(timer));
    });
  }

  #read(text: string, hosts: ReturnType<typeof this.hosts>): void {
    this.refusal.set('');
    try {
      const { listed, shapes } = readListFile(hosts, text);
      this.rows.set(rowsOf(listed, this.rows()));
      this.#shapes.set(shapes);
    } catch (error) {
      if (!(error instanceof NotAPlan)) throw error;
      this.refusal.set(error.message);
    }
  }

  protected async choose(event: Event): Promise<void> {
    const field = event.target as HTMLInputElement;
    const file = field.files?.[0];
    field.value = '';
    if (!file) return;
    if (file.size > mostBytes) this.refusal.set('This file is larger than two megabytes: it is no list of plants.');
    else this.text.set(await file.text());
  }

  protected change(id: string, change: Partial<ListRow>): void {
    this.rows.update((rows) => rows.map((row) => (row.id === id ? { ...row, ...change } : row)));
  }

  protected count(id: string, typed: string): void {
    const plants = Math.round(Number(typed));
    if (plants >= 1 && plants <= mostPlants) this.change(id, { plants, counted: true });
  }

  protected leaveOut(id: string): void {
    this.rows.update((rows) => rows.filter((row) => row.id !== id));
  }

  protected async make(): Promise<void> {
    if (this.busy()) return;
    this.busy.set(true);
    this.refusal.set('');
    try {
      // What was written before a fault is there: it is not made twice.
      const left = this.#made().filter(({ subject, id }) => !(subject === 'places' ? this.garden.place(id) : this.garden.planting(id)));
      await this.#records.saveAll(left, `${this.making()} made.`);
      remember(this.#key, '');
      await this.#router.navigate(['/g', this.garden.summary().id, 'ground']);
    } catch (error) {
      const { status, message } = ApiError.from(error);
      if (status === 401) await this.#router.navigate(['/sign-in'], { queryParams: { to: this.#router.url } });
      this.refusal.set(`${message} What was read is still here.`);
    } finally {
      this.busy.set(false);
    }
  }
}
