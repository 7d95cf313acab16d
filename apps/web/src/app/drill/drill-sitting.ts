import { computed, DestroyRef, inject, Injectable, signal } from '@angular/core';
import type { DrillAnswer } from '@field-nurse/contract';
import type { DrillItem } from '@field-nurse/core/drill';
import { drillOrder } from '@field-nurse/core/drill';
import type { DrillKind } from '@field-nurse/library/drill';
import { drillItems, gradeOf, reviewsOf } from '@field-nurse/library/drill';
import { ApiError } from '../api/api-error';
import { Garden } from '../gardens/garden';
import { Records } from '../gardens/records';
import { Library } from '../library/library';
import type { DrillQuestion, PhotoQuestion } from './drill-question';
import { questionOf } from './drill-question';
import { damageOf } from './measured-leaf';
import { MyEye } from './my-eye';

/** A sitting is over after this long. */
export const sittingSeconds = 180;
// What was missed comes again after so many others.
const againAfter = 4;
const tickMs = 500;

/** What is known before it is said when and how long it took. */
type Said = DrillAnswer extends infer One ? (One extends DrillAnswer ? Omit<One, 'item' | 'seconds'> : never) : never;

/** Three minutes of drills: what is asked next, what was said, and when it is over. */
@Injectable()
export class DrillSitting {
  readonly #garden = inject(Garden);
  readonly #library = inject(Library);
  readonly #records = inject(Records);
  readonly #eye = inject(MyEye);

  readonly #queue = signal<readonly DrillItem[]>([]);
  readonly #answers = signal<readonly DrillAnswer[]>([]);
  readonly question = signal<DrillQuestion | undefined>(undefined);
  /** what was said to the question that stands, once it was said */
  readonly told = signal<DrillAnswer | undefined>(undefined);
  readonly seconds = signal(0);
  readonly isOver = signal(false);
  readonly refusal = signal('');
  readonly answers = this.#answers.asReadonly();
  readonly left = computed(() => Math.max(0, sittingSeconds - this.seconds()));

  #startedAt = 0;
  #shownAt = 0;
  #seed = 0;
  readonly #timer = setInterval(() => {
    if (this.#startedAt > 0 && !this.isOver()) this.seconds.set((performance.now() - this.#startedAt) / 1000);
  }, tickMs);

  constructor() {
    inject(DestroyRef).onDestroy(() => {
      clearInterval(this.#timer);
      void this.end();
    });
  }

  /** Begin with what is due. @param kind - of this kind alone; all kinds by turns where it is left out */
  begin(kind?: DrillKind): void {
    const source = this.#source();
    const drawn = drillItems(source.hosts, source.conditions, source.signs);
    const own = source.leaves.map(({ item, kind: of }): DrillItem => ({ id: item, kind: of }));
    const items = [...own, ...drawn].filter((item) => !kind || item.kind === kind);
    this.#queue.set(drillOrder(items, reviewsOf(this.#eye.sittings()), this.#garden.now()));
    this.#startedAt = performance.now();
    this.#seed = Math.floor(Math.random() * 1e9);
    this.#ask();
  }

  /** Take what was said. */
  answer(said: Said): void {
    const question = this.question();
    if (!question || this.told()) return;
    const seconds = Math.round(Math.min(3600, (performance.now() - this.#shownAt) / 100)) / 10;
    const answer = { ...said, item: question.item, seconds };
    this.#answers.update((all) => [...all, answer]);
    this.told.set(answer);
    if (gradeOf(answer) === 'again')
      this.#queue.update((queue) => [
        ...queue.slice(0, againAfter),
        { id: question.item, kind: question.kind },
        ...queue.slice(againAfter),
      ]);
  }

  /** The next question, or the end where the time is up. */
  async next(): Promise<void> {
    if (this.left() > 0) this.#ask();
    else await this.end();
  }

  /** Stop here: what was answered is kept. */
  async end(): Promise<void> {
    if (this.isOver()) return;
    this.isOver.set(true);
    this.question.set(undefined);
    if (this.#answers().length === 0 || !this.#garden.canWrite()) return;
    const drill = { heldAt: this.#garden.now(), by: this.#eye.name(), answers: [...this.#answers()] };
    try {
      await this.#records.saveOrKeep('drills', crypto.randomUUID(), 0, drill, 'Drill kept.');
    } catch (error) {
      this.refusal.set(ApiError.from(error).message);
    }
  }

  #ask(): void {
    this.told.set(undefined);
    const source = this.#source();
    let question: DrillQuestion | undefined;
    while (!question && this.#queue().length > 0) {
      const [item, ...rest] = this.#queue();
      this.#queue.set(rest);
      question = questionOf(item!, ++this.#seed, source);
    }
    if (!question) return void this.end();
    this.question.set(question);
    this.#shownAt = performance.now();
  }

  /** Leaves that were measured here, with their photos: the truth is what the gauge said. */
  #leaves(): PhotoQuestion[] {
    return this.#garden.leafMeasurements().flatMap((one) => {
      const truth = damageOf(one);
      return one.photos.map((photo): PhotoQuestion => ({ kind: 'leaf', item: `leaf/measured/${one.id}`, photo, truth }));
    });
  }

  #source() {
    const growing = new Set(
      this.#garden
        .plantings()
        .filter(({ endedOn }) => !endedOn)
        .map(({ host }) => host),
    );
    const hosts = [...growing].flatMap((id) => this.#library.hosts().get(id) ?? []);
    return { hosts, conditions: [...this.#library.conditions().values()], signs: this.#library.signs(), leaves: this.#leaves() };
  }
}
