/** What is known of the sick plants, of those around them, and of what can be done. Money is that of the garden. */
export interface RogueQuestion {
  /** plants that show it, 1 or more */
  readonly sick: number;
  /** plants of the kind that stand where it can reach them, the sick ones left out; 0 or more */
  readonly around: number;
  /** what a healthy plant is still worth until the end, 0 or more */
  readonly plantValue: number;
  /** a new plant in its place, planted; 0: none is bought */
  readonly replacement: number;
  /** what a replaced plant still brings, share of a healthy one, 0 to 1 */
  readonly replacedShare: number;
  /** until frost or the end of the crop, days; 0 or more */
  readonly daysLeft: number;
  /** plants that one sick plant infects in a week among healthy ones, 0 or more */
  readonly spreadPerWeek: number;
  /** share of its worth that a sick plant loses if nothing is done, 0 to 1 */
  readonly damage: number;
  /** chance that those around carry it unseen, 0 to 1 */
  readonly hidden: number;
  readonly treat: {
    /** chance that it cures, 0 to 1 */
    readonly works: number;
    /** money and work for a plant, all rounds together */
    readonly cost: number;
  };
  /** taking one out, bagging it, and cleaning up after it: money and work for a plant */
  readonly clearance: number;
}

export type RogueChoice = 'leave' | 'treat' | 'rogue';

/** One way that it can go. */
export interface RogueBranch {
  readonly code: 'runs' | 'cured' | 'not-cured' | 'in-time' | 'too-late';
  readonly chance: number;
  /** plants that are sick or gone at the end, of all */
  readonly lost: number;
  /** money, all together */
  readonly loss: number;
}

export interface RogueTree {
  readonly choices: readonly { readonly choice: RogueChoice; readonly expected: number; readonly branches: readonly RogueBranch[] }[];
  readonly best: RogueChoice;
  /** the chance of a cure from which treating is best, 0 to 1; nothing where it never or always is */
  readonly treatFrom: number | undefined;
  /** the worth of a plant from which another choice is best, up to a hundred times what it is; nothing where none is */
  readonly turnsAt: { readonly plantValue: number; readonly best: RogueChoice } | undefined;
}

// A plant that was cured in time has lost a part of what it would have lost: our estimate.
const lostBeforeCure = 0.25;

/**
 * Plants sick at the end, when it runs freely: logistic growth from those that are sick to all that it can reach.
 *
 * @example
 * sickAtEnd(1, 9, 1, 7) // => about 2.3
 */
export function sickAtEnd(sick: number, around: number, spreadPerWeek: number, days: number): number {
  if (sick === 0) return 0;
  const all = sick + around;
  return all / (1 + (all / sick - 1) * Math.exp(-spreadPerWeek * (days / 7)));
}

/**
 * Leave it, treat it, or take it out, as a decision tree: each choice with the ways it can go, their chances and losses.
 *
 * Left alone, it runs through those that it can reach. Treated, either it is cured, having cost a part of its damage, or it runs and the treatment
 * was paid besides. Taken out, either it was in time and the rest stays healthy, or those around carried it already and it runs among them. The
 * expected loss of a choice is the mean of its branches; the least is best.
 *
 * Source: Raiffa (1968), Decision Analysis (folding back a tree); Vanderplank (1963), Plant Diseases: Epidemics and Control (logistic spread).
 *
 * @throws RangeError for a share or chance outside of 0 to 1, or an amount below 0
 */
export function rogueOrTreat(question: RogueQuestion): RogueTree {
  requireRanges(question);
  const choices = choicesOf(question);
  const best = bestOf(choices);
  return { choices, best, treatFrom: treatFrom(question), turnsAt: turnsAt(question, best) };
}

function choicesOf({
  sick,
  around,
  plantValue,
  damage,
  daysLeft,
  spreadPerWeek,
  hidden,
  treat,
  clearance,
  replacement,
  replacedShare,
}: RogueQuestion) {
  const end = sickAtEnd(sick, around, spreadPerWeek, daysLeft);
  const running = end * damage * plantValue;
  const treated = sick * treat.cost;
  const gone = sick * (clearance + replacement + plantValue * (replacement > 0 ? 1 - replacedShare : 1));
  // One of those around is sick unseen.
  const later = around > 0 ? sickAtEnd(1, around - 1, spreadPerWeek, daysLeft) : 0;
  const carried = around > 0 ? hidden : 0;
  const branches: Readonly<Record<RogueChoice, readonly RogueBranch[]>> = {
    leave: [{ code: 'runs', chance: 1, lost: end, loss: running }],
    treat: [
      { code: 'cured', chance: treat.works, lost: sick, loss: treated + sick * damage * lostBeforeCure * plantValue },
      { code: 'not-cured', chance: 1 - treat.works, lost: end, loss: treated + running },
    ],
    rogue: [
      { code: 'in-time', chance: 1 - carried, lost: sick, loss: gone },
      { code: 'too-late', chance: carried, lost: sick + later, loss: gone + later * damage * plantValue },
    ],
  };
  return (['leave', 'treat', 'rogue'] as const).map((choice) => ({
    choice,
    expected: branches[choice].reduce((sum, { chance, loss }) => sum + chance * loss, 0),
    branches: branches[choice].filter(({ chance }) => chance > 0),
  }));
}

const bestOf = (choices: RogueTree['choices']): RogueChoice =>
  choices.reduce((best, one) => (one.expected < best.expected ? one : best)).choice;

/** Treating costs less the surer it is: the chance at which it comes to beat the others. */
function treatFrom(question: RogueQuestion): number | undefined {
  const wins = (works: number) => bestOf(choicesOf({ ...question, treat: { ...question.treat, works } })) === 'treat';
  return !wins(1) || wins(0) ? undefined : firstWhere(wins, 0, 1);
}

const valuesUp = 100;
const stepsUp = 60;

function turnsAt(question: RogueQuestion, best: RogueChoice): RogueTree['turnsAt'] {
  const at = (plantValue: number) => bestOf(choicesOf({ ...question, plantValue }));
  const from = Math.max(question.plantValue, 0.01);
  const values = Array.from({ length: stepsUp }, (_, i) => from * valuesUp ** ((i + 1) / stepsUp));
  const index = values.findIndex((value) => at(value) !== best);
  if (index === -1) return undefined;
  const plantValue = firstWhere((value) => at(value) !== best, values[index - 1] ?? from, values[index]!);
  return { plantValue, best: at(plantValue) };
}

/** The least value between two where it holds, which it does at the higher one, to a thousandth of the way. */
function firstWhere(holds: (value: number) => boolean, low: number, high: number): number {
  let [no, yes] = [low, high];
  for (let i = 0; i < 40; i++) {
    const middle = (no + yes) / 2;
    if (holds(middle)) yes = middle;
    else no = middle;
  }
  return yes;
}

function requireRanges({ treat, ...question }: RogueQuestion): void {
  const shares = { replacedShare: question.replacedShare, damage: question.damage, hidden: question.hidden, works: treat.works };
  for (const [name, value] of Object.entries(shares))
    if (!(value >= 0 && value <= 1)) throw new RangeError(`rogueOrTreat requires ${name} from 0 to 1, got ${value}`);
  const { sick, around, plantValue, replacement, daysLeft, spreadPerWeek, clearance } = question;
  if (!(sick >= 1)) throw new RangeError(`rogueOrTreat requires at least one sick plant, got ${sick}`);
  for (const [name, value] of Object.entries({ around, plantValue, replacement, daysLeft, spreadPerWeek, clearance, cost: treat.cost }))
    if (!(value >= 0 && value < Infinity)) throw new RangeError(`rogueOrTreat requires ${name} of 0 or more, got ${value}`);
}
