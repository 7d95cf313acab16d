import { unitTable } from '../units/index.js';
import type { UnitName } from '../units/index.js';

// As people write them in lists; what measures of one name differ by country is left to be asked.
const spoken: Readonly<Record<string, UnitName>> = {
  millilitre: 'ml',
  milliliter: 'ml',
  cc: 'ml',
  litre: 'l',
  liter: 'l',
  ltr: 'l',
  lt: 'l',
  gram: 'g',
  gramme: 'g',
  gr: 'g',
  gm: 'g',
  kilo: 'kg',
  kilogram: 'kg',
  kgs: 'kg',
  ounce: 'oz',
  pound: 'lb',
  lbs: 'lb',
};

/** The unit that a word stands for ("litres", "Ltr.", "KG"); nothing where it is none, or means different things in different countries. */
export function readUnit(word: string): UnitName | undefined {
  const plain = word.trim().toLowerCase().replace(/\.$/, '');
  if (plain in unitTable) return plain as UnitName;
  return spoken[plain] ?? spoken[plain.replace(/s$/, '')];
}
