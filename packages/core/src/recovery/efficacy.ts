import { bootstrapInterval, poissonDraw } from '../statistics/index.js';
import type { Bootstrap, Interval } from '../statistics/index.js';

export type EfficacyMethod = 'abbott' | 'henderson-tilton' | 'schneider-orelli' | 'sun-shepard';

/** Counts in the plots, or on the plants, of one treatment; as many before as after belong to each other one by one, others are drawn apart. */
export interface PlotCounts {
  readonly before?: readonly number[] | undefined;
  readonly after: readonly number[];
}

/** How much less of it there is than there would be without the treatment. */
export interface Efficacy {
  /** percent, 100 at the most; below zero where there is more */
  readonly percent: number;
  /** limits between which it lies nineteen times in twenty */
  readonly interval: Interval | null;
}

/** Means of a sample. */
interface Means {
  readonly before: number;
  readonly after: number;
}

type Formula = (treated: Means, control: Means) => number;

const mortality = ({ before, after }: Means) => 1 - after / before;

/**
 * The formulas as they are told. From means of the same plots the last three say the same; they differ in what they are told for: numbers that change
 * in the control (Henderson & Tilton), deaths (Schneider-Orelli), a control that grows or shrinks (Sun & Shepard).
 */
const formulas: Readonly<Record<EfficacyMethod, Formula>> = {
  /** Abbott (1925), J. Econ. Entomol. 18:265–267 */
  abbott: (treated, control) => 1 - treated.after / control.after,
  /** Henderson & Tilton (1955), J. Econ. Entomol. 48:157–161 */
  'henderson-tilton': (treated, control) => 1 - (treated.after * control.before) / (treated.before * control.after),
  /** Schneider-Orelli (1947), Entomologisches Praktikum, p. 237 */
  'schneider-orelli': (treated, control) => (mortality(treated) - mortality(control)) / (1 - mortality(control)),
  /** Sun & Shepard (1947), J. Econ. Entomol. 40:710–715 */
  'sun-shepard': (treated, control) => {
    const change = control.after / control.before - 1;
    return (mortality(treated) + change) / (1 + change);
  },
};

/**
 * Corrected efficacy of a treatment against what was left alone, with limits from 10,000 drawn samples: plots are drawn anew; where there is one
 * only, its counts are drawn as counts of what comes by chance (Poisson).
 *
 * Nothing left in the control, or nothing there before, tells nothing.
 *
 * @throws RangeError where counts are missing or tell nothing
 */
export function efficacy(method: EfficacyMethod, treated: PlotCounts, control: PlotCounts, bootstrap: Bootstrap = {}): Efficacy {
  const needsBefore = method !== 'abbott';
  for (const [name, { before, after }] of [
    ['treated', treated],
    ['control', control],
  ] as const) {
    if (after.length === 0) throw new RangeError(`${name}.after: at least one count is needed`);
    if (needsBefore && (!before || before.length === 0))
      throw new RangeError(`${name}.before: ${method} needs counts from before the treatment`);
  }
  const [treatedMeans, controlMeans] = [meansOf(treated, needsBefore), meansOf(control, needsBefore)];
  if (controlMeans.after === 0)
    throw new RangeError('control.after: nothing was left where nothing was done: it can’t be told what the treatment did');
  for (const [name, { before }] of [
    ['treated', treatedMeans],
    ['control', controlMeans],
  ] as const)
    if (needsBefore && before === 0) throw new RangeError(`${name}.before: nothing was there before: it can’t be told what became of it`);
  const formula = formulas[method];
  const share = formula(treatedMeans, controlMeans);
  const drawTreated = sampler(treated, needsBefore);
  const drawControl = sampler(control, needsBefore);
  const interval = bootstrapInterval((random) => {
    const [t, c] = [drawTreated(random), drawControl(random)];
    return c.after === 0 || (needsBefore && (t.before === 0 || c.before === 0)) ? undefined : 100 * formula(t, c);
  }, bootstrap);
  return { percent: 100 * share, interval: interval ?? null };
}

const meanOf = (list: readonly number[]) => list.reduce((sum, one) => sum + one, 0) / list.length;
const meansOf = ({ before, after }: PlotCounts, needsBefore: boolean): Means => ({
  before: needsBefore ? meanOf(before!) : 1,
  after: meanOf(after),
});

/**
 * Draws samples of plots: one less than were counted, so that few plots give wide limits (Rao & Wu 1988, J. Am. Stat. Assoc. 83:231–241). Where none is
 * left on any, there may still be some that were not met: a mean is drawn that lets nothing be seen on all of them.
 */
function sampler({ before, after }: PlotCounts, needsBefore: boolean): (random: () => number) => Means {
  const then = needsBefore ? before! : undefined;
  const isNoneLeft = after.every((one) => one === 0);
  const isPaired = then?.length === after.length && after.length > 1;
  return (random) => {
    if (isPaired && !isNoneLeft) return pairedMeans(then, after, random);
    return {
      before: then ? drawnMean(then, random) : 1,
      after: isNoneLeft ? unseenMean(after.length, random) : drawnMean(after, random),
    };
  };
}

function pairedMeans(before: readonly number[], after: readonly number[], random: () => number): Means {
  const drawn = after.length - 1;
  let [sumBefore, sumAfter] = [0, 0];
  for (let i = 0; i < drawn; i++) {
    const plot = Math.floor(random() * after.length);
    sumBefore += before[plot]!;
    sumAfter += after[plot]!;
  }
  return { before: sumBefore / drawn, after: sumAfter / drawn };
}

function drawnMean(counts: readonly number[], random: () => number): number {
  if (counts.length === 1) return poissonDraw(counts[0]!, random);
  const drawn = counts.length - 1;
  let sum = 0;
  for (let i = 0; i < drawn; i++) sum += counts[Math.floor(random() * counts.length)]!;
  return sum / drawn;
}

/** Of the mean count, when nothing was seen on so many: exponential, as Bayes' rule has it for a level prior. */
const unseenMean = (count: number, random: () => number) => -Math.log(1 - random()) / count;
