import { ChangeDetectionStrategy, Component, computed, inject, input, model, signal } from '@angular/core';
import { MatButtonModule } from '@angular/material/button';
import type { SeasonQuestion } from '@field-nurse/library/season';
import { scaleLinear } from 'd3';
import { Library } from '../library/library';
import type { SetRound } from './own-strategies';
import { movedRound } from './own-strategies';

const weekDays = 7;
const stepDays = new Map([
  ['ArrowLeft', -1],
  ['ArrowRight', 1],
  ['PageUp', -weekDays],
  ['PageDown', weekDays],
]);

/** Rounds that the grower puts on a line of days: added by name, moved by dragging or by the arrow keys, taken out by Delete. */
@Component({
  selector: 'fn-own-rounds',
  imports: [MatButtonModule],
  changeDetection: ChangeDetectionStrategy.OnPush,
  styles: `
    :host {
      display: grid;
      gap: 10px;
      min-width: 0;
    }
    .line {
      position: relative;
      height: 52px;
      border-bottom: 1.5px solid var(--fn-faint-ink);
      touch-action: none;
    }
    .round {
      position: absolute;
      bottom: -2px;
      width: 44px;
      height: 48px;
      margin-left: -22px;
      padding: 0 0 22px;
      border: 0;
      background: none;
      color: var(--fn-ink);
      font: 650 0.8rem var(--fn-text);
      cursor: grab;
      touch-action: none;
    }
    .round::after {
      position: absolute;
      bottom: 0;
      left: 12px;
      width: 20px;
      height: 22px;
      background: var(--fn-green);
      clip-path: polygon(50% 0, 100% 100%, 0 100%);
      content: '';
    }
    .add .fn-choice {
      width: auto;
      max-width: 100%;
    }
    .add {
      display: flex;
      flex-wrap: wrap;
      gap: 8px 10px;
      align-items: center;
    }
  `,
  template: `
    <div class="line" #line [style.margin-left.px]="left()">
      @for (one of placed(); track $index) {
        <button
          class="round"
          type="button"
          [style.left.%]="one.percent"
          [attr.aria-label]="one.label"
          [attr.title]="one.label"
          (keydown)="key($event, $index)"
          (pointerdown)="hold($event, $index)"
          (pointermove)="drag($event, line)"
          (pointerup)="held.set(null)"
          (pointercancel)="held.set(null)"
        >
          {{ one.letter }}
        </button>
      }
    </div>
    <div class="add">
      <select class="fn-choice" #what aria-label="What to do">
        @for (one of question().open; track one.action.id) {
          <option [value]="one.action.id">{{ one.name }}</option>
        }
      </select>
      <button matButton="outlined" type="button" (click)="add(what.value)">Add a round</button>
      @if (rounds().length > 0) {
        <button matButton type="button" (click)="rounds.set([])">Take all out</button>
      }
      @if (planned().length > 0 && rounds().length === 0) {
        <button matButton type="button" (click)="rounds.set(planned())">Begin with the garden’s plan</button>
      }
      <span class="fn-small">
        @if (rounds().length > 0) {
          Drag a round, or move it with the arrow keys; Delete takes it out. {{ legend() }}
        } @else {
          Put rounds on the line, and see what they come to.
        }
      </span>
    </div>
  `,
})
export class OwnRounds {
  readonly #library = inject(Library);
  readonly question = input.required<SeasonQuestion>();
  readonly planned = input<readonly SetRound[]>([]);
  /** days in which rounds can be */
  readonly days = input.required<number>();
  /** days of the season before them, so that the line lies below those of the others */
  readonly from = input(0);
  readonly left = input(44);
  readonly dayWord = input.required<(day: number) => string>();
  readonly rounds = model.required<readonly SetRound[]>();
  /** the round that is dragged */
  protected readonly held = signal<number | null>(null);

  readonly #letters = computed(
    () => new Map([...new Set(this.rounds().map(({ action }) => action))].map((id, i) => [id, String.fromCharCode(65 + i)])),
  );
  protected readonly placed = computed(() => {
    const x = scaleLinear([-this.from(), Math.max(1, this.days() - 1)], [0, 100]);
    return this.rounds().map(({ day, action }) => ({
      percent: x(day),
      letter: this.#letters().get(action)!,
      label: `${this.#library.interventionName(action)}, ${this.dayWord()(day)}`,
    }));
  });
  /** "A: Insecticidal soap" */
  protected readonly legend = computed(() =>
    [...this.#letters()].map(([id, letter]) => `${letter}: ${this.#library.interventionName(id)}.`).join(' '),
  );

  protected add(action: string): void {
    const own = this.rounds().filter((round) => round.action === action);
    const every = this.question().actions.find(({ id }) => id === action)?.everyDays ?? weekDays;
    const day = own.length === 0 ? 0 : Math.max(...own.map((round) => round.day)) + Math.max(1, every);
    this.rounds.set([...this.rounds(), { action, day: Math.min(this.days() - 1, day) }]);
  }

  protected key(event: KeyboardEvent, at: number): void {
    const step = stepDays.get(event.key);
    if (step !== undefined) this.rounds.set(movedRound(this.rounds(), at, this.rounds()[at]!.day + step, this.days()));
    else if (event.key === 'Delete' || event.key === 'Backspace') this.rounds.set(this.rounds().filter((_, i) => i !== at));
    else return;
    event.preventDefault();
  }

  protected hold(event: PointerEvent, at: number): void {
    this.held.set(at);
    (event.target as Element).setPointerCapture(event.pointerId);
  }

  protected drag(event: PointerEvent, line: HTMLElement): void {
    const at = this.held();
    if (at === null) return;
    const { left, width } = line.getBoundingClientRect();
    const day = Math.round(((event.clientX - left) / width) * (this.from() + this.days() - 1)) - this.from();
    if (day !== this.rounds()[at]!.day) this.rounds.set(movedRound(this.rounds(), at, day, this.days()));
  }
}
