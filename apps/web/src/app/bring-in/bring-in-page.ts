import { ChangeDetectionStrategy, Component, computed, effect, inject, resource, signal } from '@angular/core';
import { MatButtonModule } from '@angular/material/button';
import { MatFormFieldModule } from '@angular/material/form-field';
import { MatSelectModule } from '@angular/material/select';
import { RouterLink } from '@angular/router';
import type { ListedRecord } from '@field-nurse/contract';
import { listTitles, nameKey } from '@field-nurse/library/tables';
import type { ListName, UnknownName } from '@field-nurse/library/tables';
import { Store } from '@ngrx/store';
import { deepEqual } from 'fast-equals';
import { firstValueFrom } from 'rxjs';
import { Api } from '../api/api';
import { ApiError } from '../api/api-error';
import { Calc } from '../calc/calc';
import { listNames } from '../calc/look-at-table';
import type { TableToRead } from '../calc/check-table';
import { Garden } from '../gardens/garden';
import { Library } from '../library/library';
import { NameField } from '../library/name-field';
import { saveFile } from '../shared/save-file';
import { unitWord } from '../shared/units';
import { GardenActions } from '../store/garden-state';
import { sessionFeature } from '../store/session-state';
import { amountUnits, columnRows, conventionsOf, missingColumns, noChoices, writtenAs } from './table-choices';
import type { TableChoices } from './table-choices';

const shownUnknown = 20;

/** What became of a list that was brought in. */
interface Outcome {
  readonly rows: number;
  readonly known: number;
  /** nothing stopped it */
  readonly isWhole: boolean;
  readonly changes: readonly string[];
  /** of what was done or picked last; none where the list holds neither */
  readonly year: string | undefined;
}

/** A list that somebody kept elsewhere is brought in: chosen, matched column by column, checked, and only then written. */
@Component({
  selector: 'fn-bring-in-page',
  imports: [RouterLink, MatButtonModule, MatFormFieldModule, MatSelectModule, NameField],
  changeDetection: ChangeDetectionStrategy.OnPush,
  styleUrl: './bring-in-page.scss',
  templateUrl: './bring-in-page.html',
})
export class BringInPage {
  readonly #api = inject(Api);
  readonly #calc = inject(Calc);
  readonly #store = inject(Store);
  protected readonly garden = inject(Garden);
  protected readonly library = inject(Library);
  readonly #person = this.#store.selectSignal(sessionFeature.selectPerson);
  protected readonly titles = listTitles;
  protected readonly lists = listNames;
  protected readonly units = amountUnits;

  protected readonly file = signal<File | undefined>(undefined);
  /** how much of the file was read, in whichever step it is */
  protected readonly share = signal(0);
  readonly #choices = signal<TableChoices | undefined>(undefined);

  readonly #seen = resource({
    params: () => this.file(),
    loader: ({ params, abortSignal }) => this.#calc.lookAtTable(params, this.#progress(abortSignal)),
  });
  protected readonly seen = computed(() => (this.#seen.hasValue() ? this.#seen.value() : undefined));
  protected readonly refusal = computed(() => this.#seen.error()?.message);
  protected readonly isLooking = this.#seen.isLoading;

  protected readonly choices = computed(() => {
    const seen = this.seen();
    return seen && (this.#choices() ?? noChoices(seen.list));
  });
  protected readonly columns = computed(() => {
    const [seen, choices] = [this.seen(), this.choices()];
    return seen && choices ? columnRows(seen, choices) : [];
  });
  protected readonly allColumns = signal(false);
  /** what was found, what is needed, and the rest when it is wanted */
  protected readonly shownColumns = computed(() => this.columns().filter(({ at, needed }) => this.allColumns() || at >= 0 || needed));
  protected readonly written = computed(() => {
    const [seen, choices] = [this.seen(), this.choices()];
    const usual = this.garden.summary().units === 'metric' ? 'day-month' : 'month-day';
    return seen && choices && writtenAs(seen, this.columns(), choices, usual);
  });
  protected readonly missing = computed(() => missingColumns(this.columns()));

  /** all seasons are needed: what stood then is not made a second time */
  readonly #hasSeasons = computed(() => this.garden.years().every((year) => this.garden.hasYear(year)));
  readonly #table = computed(
    (): TableToRead | undefined => {
      const [file, seen, choices, written] = [this.file(), this.seen(), this.choices(), this.written()];
      if (!file || !seen || !choices || !written || this.missing().length > 0 || !this.#hasSeasons()) return undefined;
      const { id, timeZone } = this.garden.summary();
      return {
        file,
        seen,
        conventions: conventionsOf(this.columns(), choices, written),
        into: {
          gardenId: id,
          timeZone,
          seasonStart: this.garden.seasonStart(),
          now: this.garden.now().slice(0, 16) + ':00Z',
          today: this.garden.today(),
          person: this.#person()?.name ?? '',
          file: file.name,
          places: this.garden.places().map(({ id: place, name, setting }) => ({ id: place, name, setting })),
          plantings: this.garden.plantings().map(({ id: planting, host, placeId, cultivar, plantedOn, endedOn, plants }) => ({
            id: planting,
            host,
            placeId,
            cultivar,
            plantedOn,
            endedOn,
            plants,
          })),
          traps: this.garden.traps().map(({ id: trap, name }) => ({ id: trap, name })),
        },
      };
    },
    { equal: (one, other) => one?.file === other?.file && deepEqual(one, other) },
  );
  readonly #checked = resource({
    // While it is written, what stands in the garden changes under it: it is not checked again.
    params: () => (this.sending() === undefined && !this.outcome() ? this.#table() : undefined),
    loader: ({ params, abortSignal }) => this.#calc.checkTable(params, this.#progress(abortSignal)),
  });
  protected readonly checked = computed(() => (this.#checked.hasValue() ? this.#checked.value() : undefined));
  protected readonly isChecking = computed(() => this.#checked.isLoading() || (this.seen() !== undefined && !this.#hasSeasons()));
  protected readonly checkFault = computed(() => this.#checked.error()?.message);
  protected readonly unknown = computed(() => (this.checked()?.unknown ?? []).slice(0, shownUnknown));
  /** names that were said to mean something, or to be left out */
  protected readonly meant = computed(() => Object.entries(this.choices()?.meanings ?? {}));

  /** rows that were written so far; nothing while nothing is written */
  protected readonly sending = signal<number | undefined>(undefined);
  protected readonly sendFault = signal('');
  protected readonly outcome = signal<Outcome | undefined>(undefined);
  protected readonly takenBack = signal<number | undefined>(undefined);
  #stopped = false;

  constructor() {
    effect(() => {
      for (const year of this.garden.years()) this.garden.openYear(year);
    });
  }

  protected choose(field: HTMLInputElement): void {
    this.#take(field.files?.[0]);
    field.value = '';
  }

  protected drop(event: DragEvent): void {
    event.preventDefault();
    this.#take(event.dataTransfer?.files[0]);
  }

  #take(file: File | undefined): void {
    // What is being written or taken out is done first.
    if (!file || this.sending() !== undefined || this.takenBack() !== undefined) return;
    this.file.set(file);
    this.#choices.set(undefined);
    this.outcome.set(undefined);
    this.sendFault.set('');
  }

  protected change(change: Partial<TableChoices>): void {
    this.#choices.set({ ...this.choices()!, ...change });
    this.outcome.set(undefined);
  }

  protected chooseList(list: ListName): void {
    this.#choices.set({ ...noChoices(list), meanings: this.choices()!.meanings });
    this.outcome.set(undefined);
  }

  protected means({ kind, name }: UnknownName, id: string | null): void {
    if (id !== null) this.change({ meanings: { ...this.choices()!.meanings, [nameKey(kind, name)]: id } });
  }

  protected forget(key: string): void {
    const { [key]: _, ...meanings } = this.choices()!.meanings;
    this.change({ meanings });
  }

  protected with = <T>(all: Readonly<Record<string, T>>, name: string, value: T) => ({ ...all, [name]: value });
  protected readonly roomOf = roomOf;
  protected unitWord = unitWord;
  protected placesWord = (names: readonly string[]) => (names.length > 3 ? `${names.length} places` : names.join(', '));
  readonly #hosts = computed(() => [...this.library.hosts().values()]);
  readonly #interventions = computed(() => [...this.library.interventions().values()]);
  protected entriesOf = (kind: UnknownName['kind']) => (kind === 'plant' ? this.#hosts() : this.#interventions());
  protected nameOf = (kind: UnknownName['kind'], id: string) =>
    kind === 'plant' ? this.library.hostName(id) : this.library.interventionName(id);
  protected meaning = (key: string, id: string): string => {
    const kind = key.slice(0, key.indexOf(' ')) as UnknownName['kind'];
    const name = key.slice(kind.length + 1);
    return id === '' ? `rows with “${name}” are left out` : `“${name}” is ${this.nameOf(kind, id)}`;
  };

  protected stop(): void {
    this.#stopped = true;
  }

  protected async bringIn(): Promise<void> {
    const [table, checked] = [this.#table(), this.checked()];
    if (!table || !checked) return;
    this.#stopped = false;
    this.sendFault.set('');
    this.sending.set(0);
    const changes: string[] = [];
    let [rows, known, newest] = [0, 0, ''];
    const send = async (part: readonly ListedRecord[], count: number, share: number) => {
      if (this.#stopped) return false;
      const answer = await firstValueFrom(this.#api.addRecords(table.into.gardenId, part));
      changes.push(...answer.added.map(({ change }) => change));
      known += answer.known;
      for (const day of part.flatMap(dayOf)) if (day > newest) newest = day;
      rows += count;
      this.sending.set(rows);
      this.share.set(share);
      return true;
    };
    try {
      // An error of the server can't cross the worker as it is: it is kept, and the reading stopped.
      let fault: ApiError | undefined;
      await this.#calc.bringIn(table, checked.firstDays, async (part, count, share) => {
        try {
          return await send(part, count, share);
        } catch (error) {
          fault = ApiError.from(error);
          return false;
        }
      });
      if (fault) throw fault;
    } catch (error) {
      this.sendFault.set(this.#stopped ? 'It was stopped.' : ApiError.from(error).message);
    }
    this.outcome.set({ rows, known, isWhole: this.sendFault() === '', changes, year: newest.slice(0, 4) || undefined });
    this.sending.set(undefined);
    this.#store.dispatch(GardenActions.opened({ garden: table.into.gardenId }));
  }

  /** The way back for all of it, newest first; where it breaks off, the rest can be taken out later. */
  protected async takeBack({ changes, ...outcome }: Outcome): Promise<void> {
    const { id } = this.garden.summary();
    const left = [...changes];
    this.sendFault.set('');
    try {
      for (let undoes = left.at(-1); undoes !== undefined; undoes = left.at(-1)) {
        this.takenBack.set(changes.length - left.length);
        await firstValueFrom(this.#api.undo(id, crypto.randomUUID(), undoes));
        left.pop();
      }
      this.outcome.set(undefined);
      this.file.set(undefined);
    } catch (error) {
      this.outcome.set({ ...outcome, changes: left });
      this.sendFault.set(ApiError.from(error).message);
    } finally {
      this.takenBack.set(undefined);
      this.#store.dispatch(GardenActions.opened({ garden: id }));
    }
  }

  protected saveWrong(): void {
    const rows = this.checked()?.wrongRows;
    if (rows) saveFile('rows-that-were-not-read.csv', 'text/csv;charset=utf-8', rows);
  }

  readonly #progress = (abort: AbortSignal) => (share: number) => {
    this.share.set(share);
    return !abort.aborted;
  };
}

/** When something was done or picked, which is what the log shows. */
const dayOf = ({ value }: ListedRecord): readonly string[] =>
  'appliedAt' in value ? [value.appliedAt] : 'pickedOn' in value ? [value.pickedOn] : [];

/** Where each kind of list is looked at. */
const roomOf = { treatments: 'log', finds: 'cases', harvests: 'log', catches: 'traps', products: 'shelf' } as const;
