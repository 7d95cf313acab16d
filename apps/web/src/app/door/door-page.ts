import { ChangeDetectionStrategy, Component, computed, inject } from '@angular/core';
import { MatButtonModule } from '@angular/material/button';
import { MatFormFieldModule } from '@angular/material/form-field';
import { MatInputModule } from '@angular/material/input';
import { RouterLink } from '@angular/router';
import type { CaseFinding, DifferentialAnswer } from '@field-nurse/contract';
import { Store } from '@ngrx/store';
import { DateTime } from 'luxon';
import { Calc } from '../calc/calc';
import type { Chip, SignState } from '../cases/case-findings';
import { withFinding } from '../cases/case-findings';
import { chanceWord } from '../cases/chance';
import { EvidenceBars } from '../cases/evidence-bars';
import { FindingChips } from '../cases/finding-chips';
import { NextChecks } from '../cases/next-checks';
import { Drawing } from '../drawing/drawing';
import { AssumedFacts } from '../library/assumed-facts';
import { Library } from '../library/library';
import { NameField } from '../library/name-field';
import { Visit } from '../people/visit';
import { sessionFeature } from '../store/session-state';
import { advice } from '../shared/words';
import { ladderOf } from '../treatment/ladder';
import { OptionCard } from '../treatment/option-card';
import { DoorDrafts } from './door-draft';
import { DoorReckoning } from './door-reckoning';

const examples = [
  { host: 'moth-orchid', words: 'White fluff where the leaves join, sticky, for about a month. No webs.' },
  { host: 'tomato', words: 'Brown greasy patches on leaves and stems since the wet weekend, spreading fast.' },
  { host: 'cabbage', words: 'Wilts in the sun though the soil is moist. Roots are swollen like fingers. Nothing eaten.' },
] as const;
const mostReasons = 3;
const mostOptions = 6;
const usualCauses = 3;
// A cause that is this sure needs no rivals beside it on a phone.
const hardlyDoubted = 0.9;

/** The door: somebody with a sick plant gets an answer before anything is asked of them. */
@Component({
  selector: 'fn-door-page',
  imports: [
    AssumedFacts,
    Drawing,
    EvidenceBars,
    FindingChips,
    MatButtonModule,
    MatFormFieldModule,
    MatInputModule,
    NameField,
    NextChecks,
    OptionCard,
    RouterLink,
  ],
  providers: [DoorReckoning],
  changeDetection: ChangeDetectionStrategy.OnPush,
  styleUrl: './door-page.scss',
  templateUrl: './door-page.html',
})
export class DoorPage {
  protected readonly library = inject(Library);
  protected readonly drafts = inject(DoorDrafts);
  protected readonly draft = this.drafts.draft;
  protected readonly reckoned = inject(DoorReckoning);
  protected readonly visit = inject(Visit);
  readonly #store = inject(Store);
  protected readonly demo = this.#store.selectSignal(sessionFeature.selectDemo);
  /** a visitor's */
  protected readonly gardens = this.#store.selectSignal(sessionFeature.selectGardens);
  protected readonly advice = advice;
  protected readonly examples = examples;
  protected readonly percent = chanceWord;
  protected readonly hosts = computed(() => this.library.known()?.hosts ?? []);
  protected readonly unread = computed(() => this.reckoned.read()?.unread ?? []);
  protected readonly states = computed(
    (): ReadonlyMap<string, SignState> => new Map(this.reckoned.chips().map(({ sign, state }) => [sign, state])),
  );
  protected readonly shownCauses = computed(() =>
    (this.reckoned.answer()?.ranked[0]?.probability ?? 0) >= hardlyDoubted ? 1 : usualCauses,
  );

  /** What the advice names, in its order, then the best of each other rung. */
  protected readonly best = computed(() => {
    const judged = this.reckoned.options();
    if (!judged) return [];
    const advised = judged.plan.flatMap(({ use }) => judged.options.find(({ id }) => id === use) ?? []);
    const rungs = new Set(advised.map(({ rung }) => rung));
    const others = ladderOf(judged.options)
      .flatMap(({ open }) => open.slice(0, 1))
      .filter(({ rung }) => !rungs.has(rung))
      .sort((a, b) => a.loss - b.loss);
    return [...advised, ...others].slice(0, mostOptions);
  });
  protected readonly ruledOut = computed(() =>
    (this.reckoned.options()?.options ?? []).flatMap(({ id, name, verdict, reasons }) =>
      verdict === 'ruled-out'
        ? [{ id, name, why: reasons.flatMap(({ weight, text }) => (weight === 'ruled-out' ? [text] : [])).join(' ') }]
        : [],
    ),
  );
  protected readonly ruledOutNames = computed(() =>
    this.ruledOut()
      .map(({ name }) => name)
      .join(', '),
  );

  constructor() {
    inject(Calc)
      .warm()
      .catch(() => undefined);
  }

  protected name(host: string | null): void {
    if (host === this.draft().host) return;
    const { words } = this.draft();
    this.drafts.begin({ host, words });
  }

  protected readonly reasons = (cause: DifferentialAnswer['ranked'][number]) =>
    [...cause.for, ...cause.against].sort((a, b) => Math.abs(b.decibans) - Math.abs(a.decibans)).slice(0, mostReasons);

  protected put({ sign, phrase }: Chip, state: CaseFinding['state']): void {
    this.#record([sign], state, 'text', phrase);
  }

  protected lookAnswered(signs: readonly string[], state: 'seen' | 'absent'): void {
    this.#record(signs, state, 'look', null);
  }

  #record(signs: readonly string[], state: CaseFinding['state'], source: CaseFinding['source'], phrase: string | null): void {
    const on = DateTime.now().toISODate();
    const findings = signs.reduce<readonly CaseFinding[]>(
      (so, sign) => withFinding(so, { sign, state, source, phrase, on }),
      this.draft().findings,
    );
    this.drafts.change({ findings });
  }

  protected again(): void {
    this.library.whole().catch(() => undefined);
  }
}
