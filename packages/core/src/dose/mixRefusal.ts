import { dimensionOf } from '../units/index.js';
import type { Dimension, Quantity } from '../units/index.js';

/** Why no mix is given. `label-max` is a refusal by rule; the rest ask for what is missing or does not go together. */
export interface MixRefusal {
  readonly code: 'label-max' | 'nothing-to-treat' | 'units-differ' | 'rate-per' | 'above-whole' | 'too-much-there';
  readonly text: string;
}

export class Refusal extends Error {
  constructor(readonly reason: MixRefusal) {
    super(reason.text);
  }
}

/** @throws Refusal always */
export function refuse(code: MixRefusal['code'], text: string): never {
  throw new Refusal({ code, text });
}

const dimensionWords: Readonly<Partial<Record<Dimension, string>>> = {
  volume: 'a volume',
  mass: 'a weight',
  area: 'an area',
  length: 'a length',
};

/**
 * @param what - how the quantity is called where it was typed
 * @throws Refusal if the quantity measures something else
 */
export function requireDimension(quantity: Quantity, wanted: 'volume' | 'mass' | 'area' | 'length', what: string): void {
  if (dimensionOf(quantity.unit) !== wanted)
    refuse('units-differ', `${what} is given as ${dimensionWords[wanted]}, not in ${quantity.unit}.`);
}
