import { z } from 'zod';
import { askOutside } from '../http/askOutside.js';
import type { Patience } from '../http/askOutside.js';

const few = z.number().min(0).max(1e6);
const crop = z.object({
  crop: z.string().max(80).nullable(),
  target: z.string().max(80).nullable(),
  dose: z.object({
    low: z.number().positive().max(1e6),
    high: z.number().positive().max(1e6),
    unit: z.string().max(20),
    per: z.object({ amount: z.number().positive().max(1e6), unit: z.string().max(20) }).nullable(),
  }),
  water_l_per_m2: few.nullable(),
  waiting_days: few.nullable(),
  interval_days: z.tuple([few, few]).nullable(),
  max_per_season: few.nullable(),
  grown: z.array(z.string().max(20)).max(10),
  stages: z.string().max(200),
});

const registered = z.object({
  number: z.string().min(1).max(40),
  product: z.string().min(1).max(120),
  barcode: z.string().max(14),
  active: z.string().max(80),
  strength: z.object({ amount: z.number().positive(), unit: z.string().max(20) }).nullable(),
  form: z.string().max(20),
  measured_in: z.string().max(20),
  amended_on: z.iso.date(),
  card: z.object({
    valid_until: z.iso.date(),
    sold_to: z.string().max(20),
    re_entry_hours: few,
    rain_fast_hours: few.nullable(),
    temperature_c: z.object({ min: z.number(), max: z.number() }).nullable(),
    max_wind_kmh: few.nullable(),
    buffer_m: few.nullable(),
    bees: z.string().max(20),
    days_before_flower: few,
    not_within: z.array(z.object({ active: z.string().max(80), days: few, why: z.string().max(200) })).max(20),
    wear: z.array(z.string().max(20)).max(10),
    crops: z.array(crop).min(1).max(60),
  }),
});

export type Registered = z.infer<typeof registered>;
export type RegisteredCrop = z.infer<typeof crop>;

/** The register of labels, as far as the server can ask it. */
export interface LabelRegister {
  /** products by number, barcode or part of the name, as they stand on a day. @throws RegisterFault */
  find(q: string, on: string): Promise<readonly Registered[]>;
  readonly simulated: boolean;
}

/** The register did not answer, or not in a way that can be read. */
export class RegisterFault extends Error {}

/** No register over the net: labels are copied by hand. */
export const noRegister: LabelRegister = {
  find: () => Promise.reject(new RegisterFault('No register of labels is set up on this server. Copy the label from the pack.')),
  simulated: false,
};

/** A register over HTTP. */
export function registerOver(address: string, patience: Patience = {}): LabelRegister {
  const answer = z.object({ products: z.array(registered).max(100) });
  return {
    simulated: /^https?:\/\/(127\.|localhost)/.test(address),
    find: async (q, on) => {
      const url = `${address}/register/products?${new URLSearchParams({ q, as_of: on }).toString()}`;
      const { products } = await askOutside(url, answer, patience).catch((cause: unknown) => {
        throw new RegisterFault('The register of labels does not answer now. What you copied from the pack stands.', { cause });
      });
      return products;
    },
  };
}
