/** How a product is put on. */
export const ways = ['spray', 'drench', 'dip', 'paint', 'slurry', 'dust', 'spread', 'bait', 'inject', 'mulch'] as const;
export type Way = (typeof ways)[number];

/** One step at the bench, coded, with its sentence. */
export interface MixStep {
  readonly code: string;
  readonly text: string;
}

const texts = {
  protect: 'Put on what the card asks for before you open the product.',
  'half-water': 'Fill the sprayer half with clean water.',
  'half-can': 'Fill the can or tub half with clean water.',
  'add-product': 'Add the measured product, close, and swirl.',
  'stir-in': 'Stir the measured product in.',
  'rest-of-water': 'Top up with the rest of the water.',
  cream: 'Stir the product with a little of the water to a smooth cream, then thin it with the rest.',
  weigh: 'Weigh it out; keep a spoon, a jug and scales for this alone.',
  measure: 'Measure it out by bags or barrows.',
  'wet-first': 'Water dry soil or compost first. Then give each its share, slowly, round the stem.',
  'dip-time': 'Dip for as long as the card says, let it drain, and keep stirring.',
  brush: 'Brush it on evenly, and stir it again and again.',
  tumble: 'Pour it over in a closed tub, and tumble until all are covered. Dry them spread out in the shade.',
  'seed-label': 'Mark them as treated: they are never eaten, fed or composted.',
  still: 'Shake it on thinly, on a dry and still evening.',
  'two-ways': 'Spread half of it lengthwise and half across, so that none is missed.',
  portions: 'Lay it thinly or in small portions, where children, pets and hens can’t reach it. Never in heaps.',
  holes: 'The card says how deep, how far apart, and how much in each. Never more in one than it says.',
  'off-stems': 'Spread it evenly, a hand’s width from stems and trunks.',
  'one-fill-at-a-time': 'Mix each fill fresh: measure again for each.',
  label: 'Mark the sprayer with what is in it and the date.',
  'label-tub': 'Mark the tub with what is in it and the date.',
  'use-up': 'Mix only what you need; spray out the rest on the same crop. Never store it in a food container.',
  'no-rest': 'Make only what you need. Never store it in a food container.',
  'dry-rest': 'Put the rest back into its own pack, dry and closed.',
} as const;

const orders: Readonly<Record<Way, readonly (keyof typeof texts)[]>> = {
  spray: ['protect', 'half-water', 'add-product', 'rest-of-water', 'one-fill-at-a-time', 'label', 'use-up'],
  drench: ['protect', 'half-can', 'stir-in', 'rest-of-water', 'one-fill-at-a-time', 'wet-first', 'no-rest'],
  dip: ['protect', 'half-can', 'stir-in', 'rest-of-water', 'dip-time', 'label-tub', 'no-rest'],
  paint: ['protect', 'cream', 'brush', 'label-tub', 'no-rest'],
  slurry: ['protect', 'cream', 'tumble', 'seed-label', 'no-rest'],
  dust: ['protect', 'weigh', 'still', 'dry-rest'],
  spread: ['protect', 'weigh', 'two-ways', 'dry-rest'],
  bait: ['protect', 'weigh', 'portions', 'dry-rest'],
  inject: ['protect', 'weigh', 'holes', 'no-rest'],
  mulch: ['measure', 'off-stems'],
};

/** The order of work for so many fills. */
export function mixSteps(way: Way, fills: number): MixStep[] {
  return orders[way].filter((code) => fills > 1 || code !== 'one-fill-at-a-time').map((code) => ({ code, text: texts[code] }));
}
