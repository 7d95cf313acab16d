import type { LabelCard, Product } from '@field-nurse/contract';
import { convert } from '@field-nurse/core/units';
import type { ShelfState } from '@field-nurse/core/shelf';
import { amountWord } from '../shared/units';
import type { UnitSystem } from '../shared/units';

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

const inUs = { ml: 'floz-us', g: 'oz' } as const;
const large = { ml: { from: 1000, unit: 'l' }, g: { from: 1000, unit: 'kg' } } as const;

/** "180 ml", "1.2 kg", "6.1 fl oz", "3 pieces": an amount of a product as it is measured. */
export function stockWord(amount: number, measuredIn: Product['measuredIn'], system: UnitSystem): string {
  if (measuredIn === 'pieces') return `${amount} ${amount === 1 ? 'piece' : 'pieces'}`;
  const quantity = { amount, unit: measuredIn };
  if (system === 'us') return amountWord(convert(quantity, inUs[measuredIn]));
  const big = large[measuredIn];
  return Math.abs(amount) >= big.from ? amountWord(convert(quantity, big.unit)) : amountWord(quantity);
}

const strengthUnits: Readonly<Record<string, string>> = { percent: '%' };

/** "80 %", "480 g/l" */
export const strengthWord = ({ strength }: Pick<Product, 'strength'>): string =>
  strength ? `${strength.amount.toLocaleString('en')} ${strengthUnits[strength.unit] ?? strength.unit}` : '';
