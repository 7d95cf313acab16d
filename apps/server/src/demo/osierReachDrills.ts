import type { DrillAnswer, Written } from '@field-nurse/contract';
import type { DrillItem } from '@field-nurse/core/drill';
import { normalDraw, seededRandom } from '@field-nurse/core/statistics';
import { addDays } from '@field-nurse/core/timing';
import type { Library } from '@field-nurse/library';
import { countAsked, drillItems, leafDrills, lookAlikeBoard, lookAlikeOf, percentAsked, stageDrills } from '@field-nurse/library/drill';
import { demoPeople, demoPlantings } from './osierReach.js';

const sittings = 14;
const firstDay = '2026-06-10';
// Days between sittings, over and over: kept up, with a gap now and then.
const gaps = [1, 1, 4, 2, 1, 5, 2];
const turns = ['leaf', 'stage', 'leaf', 'look-alikes', 'leaf', 'stand', 'leaf', 'count', 'leaf', 'fresh', 'leaf', 'stand'] as const;

/** An eye that takes small damage for more than it is, less so as weeks go by; it mixes up stages and look-alikes now and then. */
export function demoDrills({ hosts, conditions, signs: all }: Library): Written<'drills'>[] {
  const random = seededRandom(2911);
  const signs = new Map(all.map((sign) => [sign.id, sign]));
  const grown = new Set(Object.values(demoPlantings).map(({ host }) => host));
  const items = drillItems(
    hosts.filter(({ id }) => grown.has(id)),
    conditions,
    signs,
  );
  const stages = stageDrills(conditions);
  const pick = <T>(list: readonly T[]): T => list[Math.floor(random() * list.length)]!;
  const percent = (value: number) => Math.min(100, Math.max(0, value));

  const answerOf = ({ id: item, kind }: DrillItem, week: number): DrillAnswer => {
    const seconds = Math.round(10 * (4 + 7 * random())) / 10;
    const isMissed = random() < 0.3 - 0.03 * week;
    if (kind === 'leaf' || kind === 'stand') {
      const most = leafDrills.find(({ id }) => id === item)?.most ?? 60;
      const truth = Math.round(100 * percentAsked(most, random())) / 100;
      const overrated = (16 - 1.2 * week) * Math.sqrt(truth / 100) * (1 - truth / 100);
      return { kind, item, seconds, truth, guess: Math.round(percent(truth + overrated + 3.2 * normalDraw(random))) };
    }
    if (kind === 'count') {
      const truth = countAsked(random());
      return { kind, item, seconds, truth, guess: Math.max(0, Math.round(truth * Math.exp(-0.18 + 0.16 * normalDraw(random)))) };
    }
    if (kind === 'look-alikes') {
      const { host, trouble } = lookAlikeOf(item);
      const [plant, condition] = [hosts.find(({ id }) => id === host)!, conditions.find(({ id }) => id === trouble)!];
      const rivals = lookAlikeBoard(condition, plant, conditions, signs, random)!.troubles.filter(({ id }) => id !== trouble);
      const bits = Math.round(100 * (0.6 + 0.5 * random())) / 100;
      const guess = isMissed ? pick(rivals).id : trouble;
      return {
        kind,
        item,
        seconds: seconds + 20,
        truth: trouble,
        guess,
        looks: 3,
        bits,
        bestBits: Math.round(100 * (bits + 0.3 * random())) / 100,
      };
    }
    if (kind === 'stage') {
      const truth = stages.find(({ id }) => id === item)!.stage;
      return { kind, item, seconds, truth, guess: isMissed ? (truth === 'nymph' ? 'larva' : 'nymph') : truth };
    }
    const truth = random() < 0.5 ? 'fresh' : 'old';
    return { kind: 'fresh', item, seconds, truth, guess: isMissed ? (truth === 'old' ? 'fresh' : 'old') : truth };
  };

  let day = firstDay;
  return Array.from({ length: sittings }, (_, i) => {
    if (i > 0) day = addDays(day, gaps[i % gaps.length]!);
    const answers = turns.map((kind) => answerOf(pick(items.filter((item) => item.kind === kind)), i / 3));
    return { heldAt: `${day}T05:4${i % 10}:00.000Z`, by: demoPeople[0].name, answers };
  });
}
