/** A sign that looks one way while its cause is at work, and another when it is over. */
export interface FreshOrOld {
  readonly id: string;
  readonly name: string;
  /** by what fresh damage is known */
  readonly fresh: string;
  /** and old damage */
  readonly old: string;
}

/**
 * What tells fresh damage from old, sign by sign. Only fresh damage asks for something to be done.
 *
 * General knowledge of plant wounds: a cut blade browns and corks over at its rim in days, dead tissue dries and breaks, what lives is wet,
 * whole or moves.
 */
export const freshOrOld: readonly FreshOrOld[] = [
  {
    id: 'fresh/holes',
    name: 'Holes in a leaf',
    fresh: 'The rims are green and clean, and soft green droppings lie below.',
    old: 'The rims have turned brown and corky, and no droppings are left.',
  },
  {
    id: 'fresh/spots',
    name: 'Brown spots',
    fresh: 'A yellow, wet-looking ring surrounds each spot: it still grows.',
    old: 'Dry, pale in the middle, with a sharp dark rim; some have fallen out.',
  },
  {
    id: 'fresh/powder',
    name: 'Powdery mildew',
    fresh: 'Round, loose, pure white: it comes off on a finger.',
    old: 'Grey-brown and thin, with black dots, on skin that has turned brown.',
  },
  {
    id: 'fresh/insects',
    name: 'Small insects on a leaf',
    fresh: 'Green, plump and with legs; wet drops of honeydew shine beside them.',
    old: 'White empty skins and brown swollen husks with a round hole: nobody is inside.',
  },
  {
    id: 'fresh/mines',
    name: 'A winding mine',
    fresh: 'Pale and green, ending in a wide place where the grub sits.',
    old: 'Brown and brittle, torn open at its wide end: the grub has left.',
  },
  {
    id: 'fresh/rust',
    name: 'Rust',
    fresh: 'Bright orange heaps that dust off.',
    old: 'Dark, hollow cups in tissue that is brown and dry.',
  },
  {
    id: 'fresh/eggs',
    name: 'A batch of eggs',
    fresh: 'Plump, smooth and closed.',
    old: 'Collapsed and pale, each with a hole in its top: they have hatched.',
  },
];
