import type { Intervention } from '../entries.js';

const animalsSentences = {
  serious: 'Deadly to some pets and to fish: keep animals off until it is dry, and cover tanks.',
  care: 'Keep pets and hens off it, and the pack out of their reach.',
} as const;

/**
 * Every caution of a card: its own, and those that follow from what it is.
 *
 * @param setting - where the planting stands
 */
export function cautionsOf(
  { cautions, bees, animals, water, rate, sold, order, reach }: Intervention,
  setting: 'outdoor' | 'greenhouse' | 'indoor' | 'hydroponic',
): string[] {
  const isSpray = order === 'spray' && reach !== 'living';
  return [
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
