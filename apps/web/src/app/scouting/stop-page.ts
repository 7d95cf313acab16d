import { ChangeDetectionStrategy, Component, computed, effect, inject, input, linkedSignal, signal } from '@angular/core';
import { MatButtonModule } from '@angular/material/button';
import { MatCheckboxModule } from '@angular/material/checkbox';
import { MatFormFieldModule } from '@angular/material/form-field';
import { MatInputModule } from '@angular/material/input';
import { MatRadioModule } from '@angular/material/radio';
import { MatSliderModule } from '@angular/material/slider';
import { Router, RouterLink } from '@angular/router';
import type { SignState } from '../cases/case-findings';
import { isAtHand } from '../cases/at-hand';
import { workingConditions } from '../cases/case-diagnoses';
import { SignPalette } from '../cases/sign-palette';
import { EyeReading } from '../drill/eye-reading';
import { Drawing } from '../drawing/drawing';
import { Garden } from '../gardens/garden';
import { Records } from '../gardens/records';
import { Library } from '../library/library';
import { Stepper } from '../shared/stepper';
import { Meter } from './meter';
import type { Sample } from './meter';
import { PhotoTaker } from '../gardens/photo-taker';
import { Scouting } from './scouting';
import { StopCases } from './stop-cases';
import { dropDraft, emptyDraft, isFind, keepDraft, newCase, readDraft, stopOf } from './stop-draft';
import type { StopDraft } from './stop-draft';
import { WhereDrawing } from './where-drawing';

const mostReasons = 2;

/** One stop of a round: what to look at, in which order, where and how; and what was found. */
@Component({
  selector: 'fn-stop-page',
  imports: [
    RouterLink,
    MatButtonModule,
    MatCheckboxModule,
    MatFormFieldModule,
    MatInputModule,
    MatRadioModule,
    MatSliderModule,
    Drawing,
    EyeReading,
    Meter,
    PhotoTaker,
    SignPalette,
    Stepper,
    WhereDrawing,
  ],
  changeDetection: ChangeDetectionStrategy.OnPush,
  styleUrl: './stop-page.scss',
  templateUrl: './stop-page.html',
})
export class StopPage {
  readonly #router = inject(Router);
  readonly #records = inject(Records);
  readonly #cases = inject(StopCases);
  protected readonly garden = inject(Garden);
  protected readonly library = inject(Library);
  protected readonly book = inject(Scouting);
  /** id of the round */
  readonly round = input.required<string>();
  /** id of the planting */
  readonly planting = input.required<string>();

  protected readonly walk = computed(() => this.book.round(this.round()));
  protected readonly here = computed(() => this.garden.planting(this.planting()));
  protected readonly host = computed(() => this.library.hosts().get(this.here()?.host ?? ''));
  protected readonly number = computed(() => (this.walk()?.walk.indexOf(this.planting()) ?? 0) + 1);
  protected readonly count = computed(() => this.walk()?.walk.length ?? 0);
  protected readonly done = computed(() => this.book.stopsOf(this.round()).length);
  protected readonly kept = computed(() => this.book.stopsOf(this.round()).find(({ plantingId }) => plantingId === this.planting()));
  protected readonly plan = computed(() => {
    const planting = this.here();
    return planting && this.book.whereToLook(planting);
  });
  protected readonly parts = computed(() => this.plan()?.parts.map(({ part }) => part) ?? []);
  /** the looks for this plant in this month, each with what it would show of what is feared here */
  protected readonly checks = computed(() =>
    (this.plan()?.checks ?? []).flatMap(({ check, shows }) => {
      const entry = this.library.checks().get(check);
      const told = shows.flatMap(({ condition, sign }) => {
        const facts = this.library.signs().get(sign);
        return facts ? [{ name: facts.name, drawing: facts.drawing, of: this.library.conditionName(condition) }] : [];
      });
      return entry ? [{ ...entry, told }] : [];
    }),
  );
  protected readonly openCases = computed(() =>
    this.garden.cases().filter(({ plantingId, closedOn }) => plantingId === this.planting() && !closedOn),
  );
  /** what the open cases are taken for, then what is feared here */
  protected readonly troubles = computed(() => [
    ...new Set([
      ...this.openCases().flatMap(({ diagnoses }) => workingConditions(diagnoses)),
      ...(this.plan()?.feared ?? []).map(({ condition }) => condition),
    ]),
  ]);
  protected readonly feared = computed(
    () => this.troubles().slice(0, 3).map(this.library.conditionName).join(', ') || 'nothing in particular',
  );
  /** why it wants a look; what is in season stands with the looks */
  protected readonly why = computed(() =>
    (this.book.stops().find(({ id }) => id === this.planting())?.why ?? []).filter(({ code }) => code !== 'risk').slice(0, mostReasons),
  );

  protected readonly draft = linkedSignal<StopDraft>(() => readDraft(this.round(), this.planting()) ?? emptyDraft(this.openCases()[0]?.id));
  /** the form for finds is shown */
  protected readonly finding = linkedSignal(() => readDraft(this.round(), this.planting()) !== undefined);
  protected readonly busy = signal(false);
  protected readonly newCase = newCase;
  protected readonly signStates = computed(() => new Map(this.draft().signs.map((sign): [string, SignState] => [sign, 'seen'])));
  protected readonly sign = computed(() => this.library.signs().get(this.draft().signs[0] ?? ''));
  protected readonly sample = computed<Sample>(() => this.draft());
  protected readonly somethingNoted = computed(() => isFind(this.draft()));

  constructor() {
    isAtHand(() => {
      const { signs, note, photos } = this.draft();
      return { planting: this.planting(), signs, words: note, photos };
    });
    effect(() => {
      if (this.finding()) keepDraft(this.round(), this.planting(), this.draft());
    });
  }

  protected note(change: Partial<StopDraft>): void {
    this.draft.update((draft) => ({ ...draft, ...change }));
  }

  protected tapped(sign: string): void {
    const { signs } = this.draft();
    this.note({ signs: signs.includes(sign) ? signs.filter((one) => one !== sign) : [...signs, sign] });
  }

  protected leaveOut(): void {
    dropDraft(this.round(), this.planting());
    this.draft.set(emptyDraft(this.openCases()[0]?.id));
    this.finding.set(false);
  }

  protected async nothingFound(): Promise<void> {
    await this.#save(emptyDraft(undefined));
  }

  protected async save(): Promise<void> {
    await this.#save(this.draft());
  }

  async #save(draft: StopDraft): Promise<void> {
    if (this.busy()) return;
    this.busy.set(true);
    const [round, planting] = [this.round(), this.planting()];
    try {
      const fed = this.openCases().find(({ id }) => id === draft.case);
      const caseId = draft.case === newCase ? await this.#cases.open(planting, draft) : (fed?.id ?? null);
      if (fed) await this.#cases.feed(fed, draft);
      const before = this.kept();
      const value = stopOf(draft, { roundId: round, plantingId: planting, lookedAt: this.garden.now(), caseId });
      await this.#records.keep('stops', before?.id ?? crypto.randomUUID(), before?.version ?? 0, value, before ?? null);
      dropDraft(round, planting);
      await this.goOn();
    } catch {
      this.#records.say('This could not be kept on the device: is it full? What you noted is still here.');
    } finally {
      this.busy.set(false);
    }
  }

  /** To the next stop that was not made; after the last one the round is over. */
  protected async goOn(): Promise<void> {
    const round = this.walk();
    const next = round && this.book.next(round, this.planting());
    await this.#router.navigate(['/g', this.garden.summary().id, 'round', this.round(), ...(next ? [next] : [])]);
    scrollTo({ top: 0 });
  }
}
