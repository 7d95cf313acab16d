import type { Host, Intervention } from '../entries.js';

const animalsSentences = {
  serious: 'Deadly to some pets and to fish: keep animals off until it is dry, and cover tanks.',
  care: 'Keep pets and hens off it, and the pack out of their reach.',
} as const;

const tall: ReadonlySet<Host['habit']> = new Set(['tree', 'climber']);
const ladderSentence =
  'Work from the ground with a long-reach tool. A ladder only on firm ground, footed by a second person, with three points of contact and never with a saw; near power lines or above head height call a tree surgeon.';

/**
 * Every caution of a card: its own, and those that follow from what it is.
 *
 * @param setting - where the planting stands
 * @param habit - of the plant; not known: any
 */
export function cautionsOf(
  { cautions, bees, animals, water, rate, sold, order, reach, atHeight }: Intervention,
  setting: 'outdoor' | 'greenhouse' | 'indoor' | 'hydroponic',
  habit?: Host['habit'],
): string[] {
  const isSpray = order === 'spray' && reach !== 'living';
  const isHigh = atHeight && setting !== 'indoor' && (habit === undefined || tall.has(habit));
  return [
    ...(isHigh ? [ladderSentence] : []),
    ...cautions,
    ...(bees === 'serious' && setting !== 'indoor'
      ? ['Weeds in flower below and next door count: mow them first. Honeydew draws bees as well.']
      : []),
    ...(animals === 'none' ? [] : [animalsSentences[animals]]),
    ...(water === 'serious' ? ['Poisons ponds and ditches: keep a wide strip, and pour no rinse water away there.'] : []),
    ...(isSpray && setting === 'indoor' ? ['Carry the plant outside to spray it, or open a window; cover fish tanks and food.'] : []),
    ...(rate && sold
      ? [
          'The label in hand outranks these figures. Mix only what is needed, in nothing that food or drink is kept in.',
          'Wash sprayed clothes apart. If some is swallowed or gets into eyes, call a poison centre with the label in hand.',
        ]
      : []),
  ];
}
