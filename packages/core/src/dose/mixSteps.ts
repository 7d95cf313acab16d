/** One step at the bench, coded, with its sentence. */
export interface MixStep {
  readonly code: 'protect' | 'half-water' | 'add-product' | 'rest-of-water' | 'label' | 'one-fill-at-a-time' | 'use-up';
  readonly text: string;
}

const steps: readonly MixStep[] = [
  { code: 'protect', text: 'Put on what the card asks for before you open the product.' },
  { code: 'half-water', text: 'Fill the sprayer half with clean water.' },
  { code: 'add-product', text: 'Add the measured product, close, and swirl.' },
  { code: 'rest-of-water', text: 'Top up with the rest of the water.' },
  { code: 'one-fill-at-a-time', text: 'Mix each fill fresh: measure again for each.' },
  { code: 'label', text: 'Mark the sprayer with what is in it and the date.' },
  { code: 'use-up', text: 'Mix only what you need; spray out the rest on the same crop. Never store it in a food container.' },
];

/** The order of mixing for so many fills. */
export function mixSteps(fills: number): MixStep[] {
  return steps.filter(({ code }) => fills > 1 || code !== 'one-fill-at-a-time');
}
