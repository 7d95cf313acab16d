import { registerEntry } from '@field-nurse/contract';
import type { RegisterEntry } from '@field-nurse/contract';
import type { Library } from '@field-nurse/library';
import type { Registered, RegisteredCrop } from './registers.js';

type Line = RegisterEntry['card']['lines'][number];

/**
 * A product of the register in the words of the garden's library. What the library does not know is named and left out: no line is
 * widened to plants that the label does not name.
 *
 * @param on - the day on which it was read
 * @returns nothing where what the register says cannot be a label: a figure out of all bounds, words that nobody knows
 */
export function inGardenWords(library: Library, one: Registered, on: string): RegisterEntry | undefined {
  const plants = new Set(library.hosts.flatMap(({ id, family }) => [id, family]));
  const troubles = new Set(library.conditions.map(({ id }) => id));
  const isKnown = ({ crop, target }: RegisteredCrop) => (crop === null || plants.has(crop)) && (target === null || troubles.has(target));
  const { card } = one;
  const ingredients = new Set(library.interventions.map(({ id }) => id));
  const isIngredient = ({ active }: { readonly active: string }) => ingredients.has(active);
  const result = registerEntry.safeParse({
    number: one.number,
    name: one.product,
    barcode: one.barcode,
    intervention: isIngredient(one) ? one.active : null,
    strength: one.strength,
    form: one.form,
    measuredIn: one.measured_in,
    amendedOn: one.amended_on,
    card: {
      source: 'register',
      readOn: on,
      validUntil: card.valid_until,
      soldTo: card.sold_to,
      reEntryHours: card.re_entry_hours,
      rainFastHours: card.rain_fast_hours,
      temperatureC: card.temperature_c,
      maxWindKmh: card.max_wind_kmh,
      bufferM: card.buffer_m,
      bees: card.bees,
      daysBeforeFlower: card.days_before_flower,
      apartFrom: card.not_within.filter(isIngredient).map(({ active, days, why }) => ({ intervention: active, days, why })),
      protect: card.wear,
      lines: card.crops.filter(isKnown).map(lineOf),
    },
    unread: [
      ...card.crops.filter((crop) => !isKnown(crop)).map(({ crop, target }) => [crop, target].filter(Boolean).join(', ')),
      ...card.not_within.filter((other) => !isIngredient(other)).map(({ active, days }) => `not within ${days} days of ${active}`),
    ],
  } satisfies Record<keyof RegisterEntry, unknown>);
  return result.success ? result.data : undefined;
}

const lineOf = ({ crop, target, dose, ...rest }: RegisteredCrop): Record<keyof Line, unknown> => ({
  host: crop,
  target,
  rate: dose,
  waterLPerM2: rest.water_l_per_m2,
  preHarvestDays: rest.waiting_days,
  repeatDays: rest.interval_days,
  seasonMax: rest.max_per_season,
  settings: rest.grown,
  stages: rest.stages,
});
