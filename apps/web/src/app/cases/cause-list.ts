import { ChangeDetectionStrategy, Component, computed, inject, input, output, signal } from '@angular/core';
import { BreakpointObserver } from '@angular/cdk/layout';
import { toSignal } from '@angular/core/rxjs-interop';
import { MatButtonModule } from '@angular/material/button';
import { RouterLink } from '@angular/router';
import type { DifferentialAnswer } from '@field-nurse/contract';
import { EntryLink } from '../library/entry-link';
import { Library } from '../library/library';
import { kindWords, roleWords } from '../shared/words';
import { chanceWord } from './chance';
import { EvidenceBars } from './evidence-bars';
import { heldAgainst } from './held-against';
import { SlideRows } from './slide-rows';

type Cause = DifferentialAnswer['ranked'][number];

const worthTelling = 0.03;
const atFirst = 5;
const likely = 0.6;
const mostAtFirst = 4;
// Odds change by a quarter at one deciban: less than that persuades nobody.
const tellingDb = 1;

const relationWords = {
  follows: { before: 'Behind', advice: 'Treat that first, or this comes back.' },
  carries: { before: 'Carried from plant to plant by', advice: 'Deal with both.' },
  later: { before: 'There before', advice: 'By your words that came first: look whether it opened the door.' },
} as const;

/** Causes by their chance, each with its reasons, and the button that makes it the working diagnosis. */
@Component({
  selector: 'fn-cause-list',
  imports: [EntryLink, EvidenceBars, MatButtonModule, RouterLink, SlideRows],
  changeDetection: ChangeDetectionStrategy.OnPush,
  styleUrl: './cause-list.scss',
  template: `
    @for (line of relations(); track line.first + line.last) {
      <p class="fn-care">
        {{ line.before }} <b>{{ line.first }}</b>: <b>{{ line.last }}</b>. {{ line.advice }}
      </p>
    }
    <ol [fnSlideRows]="answer()">
      @for (cause of answer().ranked.slice(0, shown()); track cause.condition) {
        <li [class.working]="working().includes(cause.condition)">
          <div class="row">
            <span class="chance" title="Chance, from the signs and from this plant in this month">{{ percent(cause.probability) }}</span>
            <div class="name">
              <h3><fn-entry-link kind="conditions" [entry]="cause.condition" /></h3>
              <p class="fn-small">
                {{ kinds[cause.kind] }}
                @if (cause.scientificName) {
                  · <span class="fn-latin">{{ cause.scientificName }}</span>
                }
                @if (roles[cause.role]) {
                  · {{ roles[cause.role] }}
                }
              </p>
            </div>
            @if (!readonly()) {
              <button
                matButton="outlined"
                type="button"
                [attr.aria-pressed]="working().includes(cause.condition)"
                [attr.aria-label]="(working().includes(cause.condition) ? 'Let go of ' : 'Work with ') + cause.name"
                (click)="toggled.emit(cause.condition)"
              >
                {{ working().includes(cause.condition) ? 'Let go' : 'Work with this' }}
              </button>
            }
          </div>
          <span class="meter" aria-hidden="true"><span [style.width.%]="cause.probability * 100"></span></span>
          @if (cause.for.length + cause.against.length > 0 || clinic(cause).length > 0) {
            <fn-evidence-bars [evidence]="split(cause).first" [circumstances]="clinic(cause)" />
          }
          <details>
            <summary>Why, and what it is taken for</summary>
            <p>{{ library.conditions().get(cause.condition)?.summary }}</p>
            <fn-evidence-bars [evidence]="split(cause).rest" [circumstances]="aside(cause)" />
            @if (rivalOf(cause.condition); as rival) {
              <p>
                <a [routerLink]="['compare', cause.condition, rival]">Beside {{ library.conditionName(rival) }}</a>
              </p>
            }
            @for (other of lookalikesOf(cause.condition); track other.condition) {
              <p>
                <b>Not {{ library.conditionName(other.condition) }}:</b> {{ other.tell }}
              </p>
            }
            @if (library.conditions().get(cause.condition)?.threshold; as limit) {
              <p><b>When to act:</b> {{ limit.act }} {{ limit.basis }}</p>
            }
          </details>
        </li>
      }
    </ol>
    <div class="rest fn-small">
      <span>None of these: {{ percent(answer().otherProbability) }}</span>
      @if (likelyPair(); as pair) {
        <span>{{ pair.several }} {{ pair.names }}: {{ percent(pair.probability) }}</span>
      }
      @if (answer().ranked.length > shown()) {
        <button matButton type="button" (click)="showAll()">{{ answer().ranked.length - shown() }} less likely</button>
      }
    </div>
  `,
})
export class CauseList {
  protected readonly library = inject(Library);
  readonly answer = input.required<DifferentialAnswer>();
  readonly working = input.required<readonly string[]>();
  readonly readonly = input(false);
  readonly toggled = output<string>();
  readonly #all = signal(false);
  readonly #narrow = toSignal(inject(BreakpointObserver).observe('(max-width: 800px)'));
  protected readonly shown = computed(() => {
    if (this.#all()) return Infinity;
    if (!this.#narrow()?.matches) return atFirst;
    // On a phone the next look follows what is likely, and not what is hardly so.
    return (this.answer().ranked[0]?.probability ?? 0) >= likely ? 1 : 2;
  });
  protected readonly kinds = kindWords;
  protected readonly roles = roleWords;

  /** Reasons for and against, the strongest first; those that hardly count come with the details. */
  protected split({ condition, for: pro, against }: Cause) {
    const others = this.working().includes(condition) ? this.working().filter((id) => id !== condition) : [];
    const chosen = others.flatMap((id) => this.library.conditions().get(id) ?? []);
    const all = [...pro, ...heldAgainst(against, chosen)].sort((a, b) => Math.abs(b.decibans) - Math.abs(a.decibans));
    const telling = all.filter(({ decibans }) => Math.abs(decibans) >= tellingDb).length;
    const first = Math.min(mostAtFirst, Math.max(1, telling));
    return { first: all.slice(0, first), rest: all.slice(first) };
  }

  /** What a plant clinic found stands with the signs; the other circumstances come with the details. */
  protected readonly clinic = ({ circumstances }: Cause) => circumstances.filter(({ code }) => code === 'clinic');
  protected readonly aside = ({ circumstances }: Cause) => circumstances.filter(({ code }) => code !== 'clinic');

  protected readonly percent = chanceWord;

  protected showAll(): void {
    this.#all.set(true);
  }

  protected likelyPair(): { several: string; names: string; probability: number } | undefined {
    const [first] = this.answer().together;
    return first && first.probability >= worthTelling
      ? {
          several: first.conditions.length > 2 ? 'All three at once,' : 'Both at once,',
          names: this.library.conditionNames(first.conditions),
          probability: first.probability,
        }
      : undefined;
  }

  /** The likeliest other cause, to lay beside this one. */
  protected readonly rivalOf = (condition: string) => this.answer().ranked.find((one) => one.condition !== condition)?.condition;

  /** What a cause is taken for, as far as that is likely at all here. */
  protected lookalikesOf(condition: string) {
    const likely = new Set(this.answer().ranked.map((one) => one.condition));
    return (this.library.conditions().get(condition)?.lookalikes ?? []).filter((other) => likely.has(other.condition));
  }

  /** How the likely causes hang together, in a sentence each. */
  protected readonly relations = computed(() =>
    this.answer().relations.map(({ code, condition, other }) => ({
      ...relationWords[code],
      first: this.library.conditionName(condition),
      last: this.library.conditionName(other),
    })),
  );
}
