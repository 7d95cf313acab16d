import type { GardenSettings } from '@field-nurse/contract';
import { convert } from '@field-nurse/core/units';

export type UnitSystem = GardenSettings['units'];

/** A measure that the garden shows in its own unit and stores in SI. */
interface Measure {
  readonly unit: string;
  readonly fromSi: (value: number) => number;
  readonly toSi: (value: number) => number;
}

const same = (unit: string): Measure => ({ unit, fromSi: (value) => value, toSi: (value) => value });
const kmPerMile = 1.609344;

export const measures: Readonly<
  Record<'water' | 'temperature' | 'wind' | 'area' | 'rain' | 'length', Readonly<Record<UnitSystem, Measure>>>
> = {
  water: {
    metric: same('l'),
    us: {
      unit: 'gal',
      fromSi: (litres) => convert({ amount: litres, unit: 'l' }, 'gal-us').amount,
      toSi: (gallons) => convert({ amount: gallons, unit: 'gal-us' }, 'l').amount,
    },
  },
  temperature: {
    metric: same('°C'),
    us: { unit: '°F', fromSi: (celsius) => (celsius * 9) / 5 + 32, toSi: (fahrenheit) => ((fahrenheit - 32) * 5) / 9 },
  },
  wind: {
    metric: same('km/h'),
    us: { unit: 'mph', fromSi: (kmh) => kmh / kmPerMile, toSi: (mph) => mph * kmPerMile },
  },
  rain: { metric: same('mm'), us: { unit: 'in', fromSi: (mm) => mm / 25.4, toSi: (inches) => inches * 25.4 } },
  length: { metric: same('cm'), us: { unit: 'in', fromSi: (cm) => cm / 2.54, toSi: (inches) => inches * 2.54 } },
  area: {
    metric: same('m²'),
    us: {
      unit: 'ft²',
      fromSi: (m2) => convert({ amount: m2, unit: 'm2' }, 'ft2').amount,
      toSi: (ft2) => convert({ amount: ft2, unit: 'ft2' }, 'm2').amount,
    },
  },
};

export type MeasureName = keyof typeof measures;

const smallWater: Readonly<Record<UnitSystem, { unit: string; amount: (litres: number) => number }>> = {
  metric: { unit: 'ml', amount: (litres) => litres * 1000 },
  us: { unit: 'fl oz', amount: (litres) => convert({ amount: litres, unit: 'l' }, 'floz-us').amount },
};

/** "20 l" in a metric garden, "5.28 gal" in a US one; water of less than one in the smaller unit. */
export const inGardenUnits = (name: MeasureName, si: number, system: UnitSystem): string => {
  const { unit, fromSi } = measures[name][system];
  const small = smallWater[system];
  return name === 'water' && fromSi(si) < 1 ? `${tidy(small.amount(si))} ${small.unit}` : `${tidy(fromSi(si))} ${unit}`;
};

/** The same in the other system, for the hover. */
export const inOtherUnits = (name: MeasureName, si: number, system: UnitSystem): string =>
  inGardenUnits(name, si, system === 'metric' ? 'us' : 'metric');

/** A value for a field in the garden's unit, short enough to read. */
export const toField = (name: MeasureName, si: number | null, system: UnitSystem): number | null =>
  si === null ? null : Number(tidy(measures[name][system].fromSi(si)));

/**
 * What a field in the garden's unit holds, in SI; empty stays empty.
 *
 * @param known - what the field was filled from: it stays to the last digit while the field still shows it
 */
export const fromField = (name: MeasureName, value: number | null, system: UnitSystem, known: number | null = null): number | null => {
  if (value === null) return null;
  return known !== null && toField(name, known, system) === Number(value) ? known : measures[name][system].toSi(Number(value));
};

const unitWords: Readonly<Record<string, string>> = {
  m2: 'm²',
  ft2: 'ft²',
  'tsp-us': 'tsp',
  'tbsp-us': 'tbsp',
  'gal-us': 'gal',
  'floz-us': 'fl oz',
  percent: '%',
};

export const unitWord = (unit: string): string => unitWords[unit] ?? unit;

/** "66 g", "4.2 tsp": three figures at most are of use at the bench. */
export const amountWord = ({ amount, unit }: { readonly amount: number; readonly unit: string }): string =>
  `${tidy(amount)} ${unitWord(unit)}`;

const usUnits = { ml: 'floz-us', g: 'oz' } as const;
const large = { ml: { from: 1000, unit: 'l' }, g: { from: 1000, unit: 'kg' } } as const;

/** "180 ml", "1.2 kg", "6.1 fl oz", "3 pieces": an amount of a product as it is measured. */
export function stockWord(amount: number, measuredIn: 'ml' | 'g' | 'pieces', system: UnitSystem): string {
  if (measuredIn === 'pieces') return `${amount} ${amount === 1 ? 'piece' : 'pieces'}`;
  const quantity = { amount, unit: measuredIn };
  if (system === 'us') return amountWord(convert(quantity, usUnits[measuredIn]));
  const big = large[measuredIn];
  return Math.abs(amount) >= big.from ? amountWord(convert(quantity, big.unit)) : amountWord(quantity);
}

const tidy = (value: number): string => String(Math.abs(value) >= 100 ? Math.round(value) : Number(value.toPrecision(3)));
