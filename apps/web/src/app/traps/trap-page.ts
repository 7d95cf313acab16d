import { ChangeDetectionStrategy, Component, computed, inject, input, linkedSignal, signal, untracked } from '@angular/core';
import { MatButtonModule } from '@angular/material/button';
import { MatCheckboxModule } from '@angular/material/checkbox';
import { MatFormFieldModule } from '@angular/material/form-field';
import { MatInputModule } from '@angular/material/input';
import { RouterLink } from '@angular/router';
import type { Catch, Trap, Written } from '@field-nurse/contract';
import type { Point } from '@field-nurse/core/ground';
import { intervalsOf, readingsOf, pausedOn, spotNow, totalOf, trapState } from '@field-nurse/core/sampling';
import { isAtHand } from '../cases/at-hand';
import { ApiError } from '../api/api-error';
import { DayField } from '../gardens/day-field';
import { firstLetters } from '../shared/first-letters';
import { Garden } from '../gardens/garden';
import { Records } from '../gardens/records';
import { Library } from '../library/library';
import { dayWord } from '../shared/days';
import { Stepper } from '../shared/stepper';
import { CatchChart } from './catch-chart';
import { SpotPicker } from './spot-picker';
import { TrapVerdict } from './trap-verdict';
import { trapCautions, trapKindWords, usualCatch } from './trap-words';

interface Reading {
  /** the reading that is corrected; none for a new one */
  readonly of: Catch | null;
  readonly checkedOn: string;
  readonly caught: readonly { readonly what: string; readonly count: number }[];
  readonly emptied: boolean;
  readonly note: string;
}

/** One trap: count what is in it, see what it caught when, move it, let it rest, take it away. */
@Component({
  selector: 'fn-trap-page',
  imports: [
    RouterLink,
    MatButtonModule,
    MatCheckboxModule,
    MatFormFieldModule,
    MatInputModule,
    CatchChart,
    SpotPicker,
    Stepper,
    TrapVerdict,
    DayField,
  ],
  changeDetection: ChangeDetectionStrategy.OnPush,
  styleUrl: './trap-page.scss',
  templateUrl: './trap-page.html',
})
export class TrapPage {
  readonly #records = inject(Records);
  readonly #library = inject(Library);
  protected readonly garden = inject(Garden);
  /** id of the trap */
  readonly trap = input.required<string>();
  protected readonly one = computed(() => this.garden.traps().find(({ id }) => id === this.trap()));
  protected readonly kinds = trapKindWords;
  protected readonly cautions = trapCautions;
  protected readonly fault = signal('');
  protected readonly busy = signal(false);
  protected readonly moving = signal(false);
  protected readonly point = signal<Point | null>(null);

  protected readonly readings = computed(() => readingsOf(this.trap(), this.garden.catches()));
  protected readonly intervals = computed(() => (this.one() ? intervalsOf(this.one()!, this.garden.catches()) : []));
  protected readonly state = computed(() =>
    trapState(this.one()!, this.garden.catches(), this.#library.conditions().get(this.one()!.target ?? '')),
  );
  protected readonly rest = computed(() => pausedOn(this.garden.today(), this.one()!));
  protected readonly target = computed(() => (this.one()?.target ? this.#library.conditionName(this.one()!.target!) : ''));
  protected readonly spot = computed(() => spotNow(this.one()!));
  readonly #touched = signal(false);
  /** What is being noted. What others note meanwhile changes nothing of it once it is begun. */
  protected readonly draft = linkedSignal<{ trap: string; fresh: Reading }, Reading>({
    source: () => ({ trap: this.trap(), fresh: this.#fresh() }),
    computation: ({ trap, fresh }, before) => (before?.source.trap === trap && untracked(this.#touched) ? before.value : fresh),
  });

  protected readonly day = (day: string) => dayWord(day, this.garden.today());
  protected readonly total = totalOf;
  protected readonly caughtWords = ({ caught }: Catch) => caught.map(({ what, count }) => `${count} ${what}`).join(', ') || 'nothing';

  constructor() {
    isAtHand(() => {
      const trap = this.one();
      const last = this.readings().at(-1);
      const caught = last ? `In the trap “${trap?.name}” on ${this.day(last.checkedOn)}: ${this.caughtWords(last)}. ` : '';
      return { place: trap?.placeId, words: caught };
    });
  }

  protected note(change: Partial<Reading>): void {
    this.#touched.set(true);
    this.draft.update((draft) => ({ ...draft, ...change }));
  }

  protected count(what: string, count: number): void {
    this.note({ caught: this.draft().caught.map((one) => (one.what === what ? { what, count } : one)) });
  }

  protected addKind(field: HTMLInputElement): void {
    const what = firstLetters(field.value.trim(), 120);
    field.value = '';
    if (what && !this.draft().caught.some((one) => one.what === what)) this.note({ caught: [...this.draft().caught, { what, count: 1 }] });
  }

  protected correct(reading: Catch): void {
    this.#touched.set(true);
    this.draft.set({ of: reading, checkedOn: reading.checkedOn, caught: reading.caught, emptied: reading.emptied, note: reading.note });
    document.getElementById('check')?.scrollIntoView({ block: 'center' });
  }

  protected leave(): void {
    this.#touched.set(false);
    this.draft.set(this.#fresh());
  }

  protected async save(): Promise<void> {
    const { of, checkedOn, caught, emptied, note } = this.draft();
    // The field says itself what is wrong with its day.
    if (!checkedOn) return;
    await this.#attempt(async () => {
      const value = { trapId: this.trap(), checkedOn, caught: [...caught], emptied, note: note.trim() };
      await this.#records.saveOrKeep(
        'catches',
        of?.id ?? crypto.randomUUID(),
        of?.version ?? 0,
        value,
        of ? 'Reading corrected.' : 'Reading noted.',
        of,
      );
      this.leave();
    });
  }

  protected async move(name: string): Promise<void> {
    const trap = this.one()!;
    const today = this.garden.today();
    const spot = { from: today, name: name.trim(), x: this.point()?.x ?? null, y: this.point()?.y ?? null };
    if (!spot.name) return this.fault.set('Say in a word or two where it stands now.');
    // A trap that is moved twice on a day stood where it stood last.
    const spots = [...trap.spots.filter(({ from }) => from < today), spot];
    await this.#change({ spots }, 'Trap moved.');
    if (!this.fault()) this.moving.set(false);
  }

  protected async restNow(): Promise<void> {
    await this.#change({ pauses: [...this.one()!.pauses, { from: this.garden.today(), until: null }] }, 'The trap rests.');
  }

  protected async endRest(): Promise<void> {
    const today = this.garden.today();
    // A rest of no days is none.
    const pauses = this.one()!.pauses.flatMap((rest) => (rest.until ? [rest] : rest.from < today ? [{ ...rest, until: today }] : []));
    await this.#change({ pauses }, 'The trap works again.');
  }

  protected async takeAway(): Promise<void> {
    await this.#change({ endedOn: this.garden.today() }, 'Trap taken away.');
  }

  async #change(change: Partial<Written<'traps'>>, said: string): Promise<void> {
    const trap = this.one()!;
    await this.#attempt(() => this.#records.saveOrKeep('traps', trap.id, trap.version, { ...valueOf(trap), ...change }, said, trap));
  }

  async #attempt(work: () => Promise<void>): Promise<void> {
    if (this.busy()) return;
    this.busy.set(true);
    this.fault.set('');
    try {
      await work();
    } catch (error) {
      this.fault.set(ApiError.from(error).message);
    } finally {
      this.busy.set(false);
    }
  }

  /** What was counted before, each from none. */
  #fresh(): Reading {
    const trap = this.one();
    const before = [...new Set(this.readings().flatMap(({ caught }) => caught.map(({ what }) => what)))];
    const usual = this.target().toLowerCase() || (trap ? usualCatch[trap.kind] : '');
    return {
      of: null,
      checkedOn: this.garden.today(),
      caught: (before.length > 0 ? before : [usual]).map((what) => ({ what, count: 0 })),
      emptied: true,
      note: '',
    };
  }
}

const valueOf = ({ id: _, version: __, ...value }: Trap): Written<'traps'> => value;
