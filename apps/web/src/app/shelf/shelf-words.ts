import type { LabelCard, Product } from '@field-nurse/contract';
import type { ShelfState } from '@field-nurse/core/shelf';

export const formWords: Readonly<Record<Product['form'], string>> = {
  liquid: 'liquid',
  powder: 'powder',
  granules: 'granules or pellets',
  bait: 'bait',
  paste: 'paste or paint',
  living: 'living helpers',
  other: 'something else',
};

export const soldToWords: Readonly<Record<Product['soldTo'], string>> = {
  amateur: 'anybody',
  professional: 'professionals only',
  unknown: 'not said',
};

export const sourceWords: Readonly<Record<LabelCard['source'] | 'typical', string>> = {
  copied: 'copied from the pack',
  register: 'read from the register',
  typical: 'typical figures',
};

export const moveWords = {
  bought: 'bought',
  counted: 'counted',
  spilled: 'spilled',
  'given-away': 'given away',
  disposed: 'handed in',
} as const;

export const stateWords: Readonly<Record<ShelfState | 'ended' | 'licence', string>> = {
  'below-zero': 'More was used than came in: count it',
  'past-date': 'Past its date',
  empty: 'Used up',
  low: 'Running low',
  ended: 'Registration ended',
  licence: 'For professionals only',
};

const strengthUnits: Readonly<Record<string, string>> = { percent: '%' };

/** "80 %", "480 g/l" */
export const strengthWord = ({ strength }: Pick<Product, 'strength'>): string =>
  strength ? `${strength.amount.toLocaleString('en')} ${strengthUnits[strength.unit] ?? strength.unit}` : '';
