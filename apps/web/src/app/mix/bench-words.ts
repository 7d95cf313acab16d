import type { Clash, Way } from '@field-nurse/core/dose';
import type { BenchRate, MixBy, PerUnit } from './bench-sum';

/** How a product is put on, as one would say it. */
export const wayWords: Readonly<Record<Way, string>> = {
  spray: 'Sprayed over plants',
  drench: 'Poured on soil or pots',
  dip: 'As a bath, to dip or soak',
  paint: 'Painted or brushed on',
  slurry: 'Over seed or bulbs, as a slurry',
  dust: 'Dusted dry',
  spread: 'Spread on the ground',
  bait: 'Laid out as bait',
  inject: 'Into holes or trunks',
  mulch: 'So deep, as a mulch',
};

export const rateUnits: readonly { readonly unit: BenchRate['unit']; readonly word: string }[] = [
  { unit: 'ml', word: 'ml' },
  { unit: 'l', word: 'litres' },
  { unit: 'g', word: 'g' },
  { unit: 'kg', word: 'kg' },
  { unit: 'tsp-us', word: 'teaspoons, US' },
  { unit: 'tbsp-us', word: 'tablespoons, US' },
  { unit: 'floz-us', word: 'fluid ounces, US' },
  { unit: 'cup-us', word: 'cups, US' },
  { unit: 'tsp-metric', word: 'teaspoons of 5 ml' },
  { unit: 'tbsp-metric', word: 'tablespoons of 15 ml' },
  { unit: 'oz', word: 'ounces' },
  { unit: 'lb', word: 'pounds' },
  { unit: 'percent', word: '% of the mix' },
  { unit: 'percent-wv', word: '%, g in 100 ml' },
  { unit: 'ppm', word: 'ppm' },
  { unit: 'parts', word: 'parts' },
];

export const depthUnits: typeof rateUnits = [
  { unit: 'cm', word: 'cm deep' },
  { unit: 'in', word: 'inches deep' },
];

/** What a rate goes by: as one would say it of many, and of one. */
export const perUnits: readonly { readonly unit: PerUnit; readonly word: string; readonly one: string }[] = [
  { unit: 'l', word: 'litres of water', one: 'a litre of water' },
  { unit: 'ml', word: 'ml of water', one: 'a ml of water' },
  { unit: 'qt-us', word: 'quarts of water', one: 'a quart of water' },
  { unit: 'gal-us', word: 'gallons of water, US', one: 'a gallon of water' },
  { unit: 'gal-imp', word: 'gallons of water, imperial', one: 'an imperial gallon of water' },
  { unit: 'plant', word: 'plants', one: 'a plant' },
  { unit: 'm2', word: 'm²', one: 'a m²' },
  { unit: 'ft2', word: 'ft²', one: 'a ft²' },
  { unit: 'ha', word: 'hectares', one: 'a hectare' },
  { unit: 'acre', word: 'acres', one: 'an acre' },
  { unit: 'm', word: 'm of row or trunk', one: 'a metre of row or trunk' },
  { unit: 'cm', word: 'cm of row or trunk', one: 'a cm of row or trunk' },
  { unit: 'ft', word: 'ft of row or trunk', one: 'a foot of row or trunk' },
  { unit: 'compost-l', word: 'litres of compost', one: 'a litre of compost' },
  { unit: 'compost-gal-us', word: 'gallons of compost', one: 'a gallon of compost' },
  { unit: 'kg', word: 'kg of seed or compost', one: 'a kg of seed or compost' },
  { unit: 'lb', word: 'pounds of seed or compost', one: 'a pound of seed or compost' },
  { unit: 'parts', word: 'parts of water', one: 'a part of water' },
];

export const mixByWords: Readonly<Record<MixBy, string>> = {
  all: 'so much in all',
  plant: 'so much for each plant',
  m2: 'so much on each m²',
  ft2: 'so much on each ft²',
  m: 'so much on each metre of row',
  ft: 'so much on each foot of row',
  kg: 'so much on each kg',
  lb: 'so much on each pound',
  'compost-l': 'so much for each litre of compost',
  'compost-gal-us': 'so much for each gallon of compost',
};

/** The ways to say how much mix there is, in the units of a garden. */
export const mixByOf = (system: 'metric' | 'us'): readonly MixBy[] =>
  system === 'us' ? ['all', 'plant', 'ft2', 'ft', 'lb', 'compost-gal-us'] : ['all', 'plant', 'm2', 'm', 'kg', 'compost-l'];

/** Why two don't go into one tank. */
export function clashWord({ code, one, other, days, why }: Clash): string {
  switch (code) {
    case 'apart':
      return `${one} and ${other} stay ${days} days apart: ${why}.`;
    case 'kills':
      return `${one} kills what lives in ${other}: ${days} days apart.`;
    case 'reaction':
      return `${one} makes the water ${why}, and ${other} ${why === 'acid' ? 'burns leaves' : 'breaks down'} in it. One after the other, each in clean water.`;
    case 'alike':
      return `${one} and ${other} act in one way: together they are one at twice the rate. Take them in turn.`;
  }
}

/** Where what is left over may go. */
export const leftOverWords =
  'What is left is thinned with ten times as much water and put on the plants or the ground that the label allows. Never into a drain, a sink, a ditch or onto paving, and not kept: most of it is spent by tomorrow.';
