import { ChangeDetectionStrategy, Component, computed, inject, signal } from '@angular/core';
import { MatButtonModule } from '@angular/material/button';
import { RouterLink } from '@angular/router';
import { agreement, dueTimes, fewestGuesses } from '@field-nurse/core/drill';
import type { Guess } from '@field-nurse/core/drill';
import type { DrillKind } from '@field-nurse/library/drill';
import { drillKinds, reviewsOf } from '@field-nurse/library/drill';
import { Drawing } from '../drawing/drawing';
import { Garden } from '../gardens/garden';
import { Library } from '../library/library';
import { fromToday } from '../shared/days';
import { confusions } from './confusions';
import { agreementWord, drillWords, pointsWord } from './drill-words';
import { EyeChart } from './eye-chart';
import { MissCourse, missesOf } from './miss-course';
import { MyEye } from './my-eye';

const marks: Readonly<Record<DrillKind, readonly [organ: string, mark: string]>> = {
  leaf: ['leaf', 'ringed-spots'],
  'look-alikes': ['leaf', 'pustules'],
  count: ['creature', 'mite'],
  stage: ['creature', 'pupa-moth'],
  stand: ['plant', 'weak'],
  fresh: ['leaf', 'holes'],
};
const told = [5, 10, 25, 50];
const mostConfusions = 6;

/** Drills: what to train today, and how the eye does. */
@Component({
  selector: 'fn-drills-page',
  imports: [Drawing, EyeChart, MatButtonModule, MissCourse, RouterLink],
  changeDetection: ChangeDetectionStrategy.OnPush,
  styleUrl: './drills-page.scss',
  templateUrl: './drills-page.html',
})
export class DrillsPage {
  protected readonly garden = inject(Garden);
  protected readonly mine = inject(MyEye);
  readonly #library = inject(Library);
  protected readonly marks = marks;
  protected readonly fewest = fewestGuesses;
  protected readonly shown = signal<'leaf' | 'stand'>('leaf');

  protected readonly base = computed(() => `/g/${this.garden.summary().id}`);
  readonly #due = computed(() => {
    const now = this.garden.now();
    return [...dueTimes(reviewsOf(this.mine.sittings()))].filter(([, at]) => at <= now).length;
  });
  protected readonly last = computed(() =>
    this.mine
      .sittings()
      .map(({ heldAt }) => heldAt)
      .sort()
      .at(-1),
  );
  protected readonly lead = computed(() => {
    const last = this.last();
    if (!last) return 'A few leaves, a few animals, one plant to name. Nothing is written into the garden but how your eye did.';
    const due = this.#due();
    const held = `Last drilled ${fromToday(last.slice(0, 10), this.garden.today())}.`;
    return due > 0
      ? `${held} ${due} ${due === 1 ? 'thing is' : 'things are'} due again.`
      : `${held} Nothing is due; a little more does no harm.`;
  });

  protected readonly kinds = computed(() => drillKinds.map((kind) => ({ kind, ...drillWords[kind], how: this.#howOf(kind) })));
  #howOf(kind: DrillKind): string {
    if (kind === 'leaf') return agreementWord(agreement(this.mine.leaves()));
    if (kind === 'stand') return agreementWord(agreement(this.mine.stands()));
    if (kind === 'count') return ratioWord(this.mine.counts());
    const answers = this.mine.sittings().flatMap((one) => one.answers.filter((answer) => answer.kind === kind));
    if (answers.length === 0) return '';
    const right = answers.filter(({ truth, guess }) => truth === guess).length;
    const bits = answers.reduce((sum, one) => (one.kind === 'look-alikes' ? [sum[0]! + one.bits, sum[1]! + one.bestBits] : sum), [0, 0]);
    const looks = bits[1]! > 0 ? `; your looks told ${Math.round((100 * bits[0]!) / bits[1]!)} % of what the best would have` : '';
    return `${right} of ${answers.length} right${looks}`;
  }

  protected readonly guesses = computed(() => (this.shown() === 'leaf' ? this.mine.leaves() : this.mine.stands()));
  protected readonly eye = computed(() => (this.shown() === 'leaf' ? this.mine.leafEye() : this.mine.standEye()));
  protected readonly measures = computed(() => agreement(this.guesses()));
  protected readonly points = pointsWord;
  /** What is likely there when the eye says a number. */
  protected readonly readings = computed(() => {
    const eye = this.eye();
    if (!eye) return [];
    return told.map((said) => {
      const { percent, low, high } = eye.corrected(said);
      return { said, percent: Math.round(percent), low: Math.round(low), high: Math.round(high) };
    });
  });
  protected readonly hasCourse = computed(() => missesOf(this.mine.sittings()).length > 1);
  protected readonly confused = computed(() =>
    confusions(this.mine.sittings())
      .slice(0, mostConfusions)
      .map(({ truth, guess, times, kind }) => ({ times, words: `${this.#nameOf(kind, truth)} taken for ${this.#nameOf(kind, guess)}` })),
  );
  #nameOf(kind: string, name: string): string {
    return kind === 'look-alikes' ? this.#library.conditionName(name).toLowerCase() : kind === 'stage' ? (stageShort[name] ?? name) : name;
  }
}

const stageShort: Readonly<Record<string, string>> = { egg: 'eggs', nymph: 'young', larva: 'larvae', pupa: 'pupae', adult: 'adults' };

/** "0.8 of what is there, over 12 counts" */
function ratioWord(counts: readonly Guess[]): string {
  if (counts.length === 0) return '';
  const logs = counts.map(({ truth, guess }) => Math.log((guess + 1) / (truth + 1)));
  const ratio = Math.exp(logs.reduce((sum, one) => sum + one, 0) / logs.length);
  const side = Math.abs(ratio - 1) < 0.05 ? 'right on the average' : `${ratio.toFixed(2)} times what is there`;
  return `${side}, over ${counts.length} ${counts.length === 1 ? 'count' : 'counts'}`;
}
