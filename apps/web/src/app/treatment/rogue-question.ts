import type { Case, OptionsAnswer, OptionsRequest } from '@field-nurse/contract';
import type { RogueQuestion } from '@field-nurse/core/treatment';
import { minutePrice, pricesOf } from '@field-nurse/core/treatment';
import type { Condition, Host } from '@field-nurse/library';

/** How fast it goes from plant to plant: infected by one in a week. */
export const paces = [
  { rate: 0, word: 'not at all' },
  { rate: 0.1, word: 'hardly: a plant or two in a season' },
  { rate: 0.3, word: 'slowly: a plant in a month' },
  { rate: 0.8, word: 'steadily: almost a plant a week' },
  { rate: 2, word: 'fast: several a week' },
] as const;

const catching = ['insect', 'mite', 'fungus', 'oomycete', 'bacterium', 'virus', 'nematode'];
const paceOf = { overnight: 2, days: 0.8, weeks: 0.3, season: 0.1 } as const;

/** How fast the quickest of the causes spreads; those that are no living thing don't. */
const paceFor = (conditions: readonly Condition[]): number =>
  Math.max(0, ...conditions.map(({ kind, onset }) => (catching.includes(kind) ? paceOf[onset] : 0)));

// Where nobody said how many show it.
const usualShare = 0.1;
const usualDaysLeft = { houseplant: 180, other: 60 } as const;
// Two rounds on the whole: hatch and what was missed.
const usualRounds = 2;
const usualDamage = 0.5;
const usualHidden = 0.2;

/** Figures to begin with, from the case and its options; each can be put right. */
export function usualRogueQuestion(
  { pattern }: Pick<Case, 'pattern'>,
  { plants = 1, daysToEnd, daysToFrost }: Pick<OptionsRequest, 'plants' | 'daysToEnd' | 'daysToFrost'>,
  host: Host,
  conditions: readonly Condition[],
  { options }: Pick<OptionsAnswer, 'options'>,
): RogueQuestion {
  const sick = pattern === 'one-plant' ? 1 : pattern === 'whole-planting' ? plants : Math.max(1, Math.round(plants * usualShare));
  const around = Math.max(0, plants - sick);
  const pace = paceFor(conditions);
  const best = options
    .filter(({ verdict, rung }) => verdict !== 'ruled-out' && rung !== 'none' && rung !== 'removal')
    .sort((a, b) => middle(b) - middle(a))[0];
  const removal = options.find(({ rung }) => rung === 'removal');
  return {
    sick,
    around,
    plantValue: pricesOf({ host }).plantValue,
    replacement: 0,
    replacedShare: 0.5,
    daysLeft: daysToEnd ?? daysToFrost ?? (host.kind === 'houseplant' ? usualDaysLeft.houseplant : usualDaysLeft.other),
    spreadPerWeek: pace,
    damage: usualDamage,
    hidden: pace > 0 && around > 0 ? usualHidden : 0,
    treat: best ? { works: middle(best), cost: usualRounds * priceOf(best) } : { works: 0, cost: 0 },
    clearance: removal ? Number(priceOf(removal).toFixed(2)) : 1,
  };
}

const middle = ({ expected }: OptionsAnswer['options'][number]): number => (expected.efficacy[0] + expected.efficacy[1]) / 200;
const priceOf = ({ expected }: OptionsAnswer['options'][number]): number => expected.cost + expected.minutes * minutePrice;
