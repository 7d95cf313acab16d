import type { CdkDragEnd, CdkDragMove } from '@angular/cdk/drag-drop';
import { CdkDrag } from '@angular/cdk/drag-drop';
import { ChangeDetectionStrategy, Component, computed, inject, output, signal } from '@angular/core';
import { Garden } from '../gardens/garden';
import { Library } from '../library/library';
import { PlantingTitle } from '../library/planting-title';
import { nextAssessmentOn } from '@field-nurse/core/recovery';
import { addDays } from '@field-nurse/core/timing';
import { BoardScale } from './board';
import type { HalfDayAt } from './board';
import { GardenPlan } from './garden-plan';
import type { RoundRow } from './garden-plan';
import { dayWord, slotWord, weekdayName } from '../shared/days';
import { costWord, isWindy, linesWord, skyWord } from './plan-words';

/** A round that was dropped or stepped somewhere. */
export interface MovedRound {
  readonly row: RoundRow;
  readonly to: HalfDayAt;
}

const fullRainMm = 6;

/** Four weeks on a board: a row for each plan, its rounds in their half-days, under the weather; a round is dragged, or stepped with the arrow keys. */
@Component({
  selector: 'fn-plan-board',
  imports: [CdkDrag, PlantingTitle],
  changeDetection: ChangeDetectionStrategy.OnPush,
  styleUrl: './plan-board.scss',
  templateUrl: './plan-board.html',
})
export class PlanBoard {
  protected readonly garden = inject(Garden);
  readonly #library = inject(Library);
  protected readonly plan = inject(GardenPlan);
  readonly moved = output<MovedRound>();
  /** the half-day over which a round is held while it is dragged */
  protected readonly over = signal<HalfDayAt | undefined>(undefined);

  readonly #question = computed(() => this.plan.question()?.question);
  protected readonly scale = computed(() => new BoardScale(this.#question()?.start ?? this.garden.today(), this.#question()?.days ?? 28));
  protected readonly days = computed(() =>
    Array.from({ length: this.scale().days }, (_, i) => {
      const date = addDays(this.scale().start, i);
      const halves = (this.#question()?.weather ?? []).filter((one) => one.date === date);
      const warm = halves.map(({ temperatureC }) => temperatureC);
      return {
        date,
        weekday: weekdayName(date),
        number: Number(date.slice(8)),
        isMonday: weekdayName(date) === 'Mon',
        isToday: date === this.garden.today(),
        degrees: warm.length > 0 ? Math.round(Math.max(...warm)) : undefined,
        halves: halves.map((half) => ({
          slot: half.slot,
          rain: Math.min(1, half.rainMm / fullRainMm),
          sure: half.rainMm > 0 ? (half.rainChance ?? 1) : 0,
          isShut: isWindy(half) || (half.rainMm > 0 && (half.rainChance ?? 1) >= 0.5),
          told: skyWord(half),
        })),
      };
    }),
  );
  protected readonly rows = computed(() =>
    this.plan.plans().map((plan) => ({
      plan,
      name: plan.interventions.map((id) => this.#library.interventionName(id)).join(' or '),
      marks: this.plan
        .rounds()
        .filter((row) => row.plan.id === plan.id)
        .flatMap((row) => this.#mark(row)),
      bands: this.#bands(plan.plantingId),
      look: this.#look(plan.caseId),
    })),
  );
  /** what every half-day would cost for the round that is looked at */
  protected readonly costs = computed(() => {
    const moves = this.plan.moves();
    const most = Math.max(1, ...moves.map(({ extraLoss = 0 }) => extraLoss));
    return moves.map(({ date, slot, extraLoss, lines }) => ({
      at: this.scale().at({ date, slot }),
      isShut: lines !== undefined,
      weight: extraLoss === undefined ? undefined : extraLoss / most,
    }));
  });
  /** what is said while a round is dragged */
  protected readonly saying = computed(() => {
    const over = this.over();
    if (!over) return '';
    const move = this.plan.moves().find(({ date, slot }) => date === over.date && slot === over.slot);
    const when = slotWord(over.date, over.slot, this.garden.today());
    if (!move) return this.plan.isReckoning() ? `${when}: being reckoned` : when;
    if (move.lines) return `Not ${when}. ${linesWord(move.lines)}`;
    const sky = this.#question()?.weather.find(({ date, slot }) => date === over.date && slot === over.slot);
    const cost = move.extraLoss === undefined ? `${when}: not reckoned` : `${when} ${costWord(move.extraLoss)}`;
    return sky ? `${cost}; ${skyWord(sky)}` : cost;
  });
  protected readonly percent = (share: number) => `${(100 * share).toFixed(3)}%`;

  #mark(row: RoundRow) {
    const { stored, change, ordinal } = row;
    const at = stored ? { date: stored.plannedFor, slot: stored.slot } : change && { date: change.to.date, slot: change.to.slot };
    if (!at || stored?.state === 'not-needed') return [];
    const place = this.scale().at(at);
    if (place < 0 || place > 1) return [];
    const state = stored?.state ?? 'proposed';
    const to = stored && change ? this.scale().at(change.to) : undefined;
    return [
      { row, ordinal, at, place, state, to, isHeld: stored?.held ?? false, told: this.#told(row, at, state), waits: this.#waits(row, at) },
    ];
  }

  #told({ ordinal, plan }: RoundRow, { date, slot }: HalfDayAt, state: string): string {
    const when = slotWord(date, slot, this.garden.today());
    const word = { proposed: 'proposed for', done: 'done', 'under-way': 'under way', planned: 'planned for' }[state] ?? state;
    const what = plan.interventions.map((id) => this.#library.interventionName(id)).join(' or ');
    const plant = this.#library.hostName(this.garden.planting(plan.plantingId)?.host ?? '');
    return `${what}, round ${ordinal}, ${word} ${when}, on ${plant}`;
  }

  /** How long the place stays shut, and the crop is left, after a round. */
  #waits(row: RoundRow, { date, slot }: HalfDayAt) {
    const way = this.plan.wayOf(row);
    if (!way || row.stored?.state === 'done') return [];
    const from = this.scale().at({ date, slot });
    const until = (days: number) => Math.min(1, from + days / this.scale().days);
    return [
      { kind: 'harvest', left: from, width: until(way.preHarvestDays) - from },
      { kind: 'shut', left: from, width: until(way.reEntryHours / 24) - from },
    ].filter(({ width }) => width > 0);
  }

  /** When the case is looked at next, where that is on the board. */
  #look(caseId: string | null) {
    const on = caseId && nextAssessmentOn(this.garden.assessmentsOf(caseId), this.garden.decisionsOf(caseId));
    const at = on ? this.scale().at({ date: on, slot: 'morning' }) : -1;
    return at >= 0 && at <= 1 ? { at, word: `Look on ${dayWord(on!, this.garden.today())}` } : undefined;
  }

  /** Harvests and flowering of the planting. */
  #bands(planting: string) {
    const record = this.garden.plantingRecord(planting);
    const last = addDays(this.scale().start, this.scale().days);
    return (record?.events ?? []).flatMap((event) => {
      if (event.kind !== 'flowering' && event.kind !== 'harvest') return [];
      const stretch = this.scale().stretch(event.on, event.until ?? last);
      return stretch ? [{ kind: event.kind, ...stretch, word: event.kind === 'flowering' ? 'in flower' : 'picked' }] : [];
    });
  }

  protected choose(row: RoundRow): void {
    this.plan.chosen.set(row.id);
  }

  protected canMove = (state: string) => this.garden.canWrite() && state !== 'done' && state !== 'under-way';

  protected dragged(event: CdkDragMove, lane: HTMLElement): void {
    this.over.set(this.#under(event.pointerPosition.x, lane));
  }

  protected dropped(event: CdkDragEnd, row: RoundRow, lane: HTMLElement): void {
    const to = this.#under(event.dropPoint.x, lane);
    event.source.reset();
    this.over.set(undefined);
    this.moved.emit({ row, to });
  }

  protected step(row: RoundRow, at: HalfDayAt, steps: number, event: Event): void {
    event.preventDefault();
    const to = this.scale().after(at, steps);
    if (to) this.moved.emit({ row, to });
  }

  #under(x: number, lane: HTMLElement): HalfDayAt {
    const box = lane.getBoundingClientRect();
    return this.scale().halfDayAt((x - box.left) / box.width);
  }
}
