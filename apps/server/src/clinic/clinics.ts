import { clinicOffer } from '@field-nurse/contract';
import type { ClinicOffer, ClinicReport } from '@field-nurse/contract';
import { z } from 'zod';
import { askOutside } from '../http/askOutside.js';
import type { Patience } from '../http/askOutside.js';

/** A sample as a clinic is told of it. */
export interface SampleForm {
  /** our own id of the sample */
  readonly sample: string;
  readonly crop: string;
  readonly material: string;
  readonly requests: readonly { readonly code: string; readonly kind: string; readonly chance: number }[];
}

export interface Receipt {
  /** the clinic's number, for people */
  readonly reference: string;
  /** what the clinic wants to see when it is asked */
  readonly receipt: string;
}

export type ClinicAnswer = Pick<ClinicReport, 'since' | 'results'> & { readonly status: Exclude<ClinicReport['status'], 'waiting'> };

/** The plant clinics, as far as the server can ask them. Each call may throw ClinicFault. */
export interface Clinics {
  list(): Promise<readonly ClinicOffer[]>;
  /** registering the same sample again gives the same receipt */
  register(clinic: string, form: SampleForm): Promise<Receipt>;
  /** how it stands on a day */
  ask(
    clinic: string,
    receipt: string,
    sent: { readonly sentOn: string | null; readonly packed: readonly string[] },
    today: string,
  ): Promise<ClinicAnswer>;
}

/** The clinic did not answer, or not in a way that can be read. */
export class ClinicFault extends Error {}

/** No clinic over the net: results are typed in. */
export const noClinics: Clinics = {
  list: () => Promise.resolve([]),
  register: () => Promise.reject(new ClinicFault('No plant clinic is set up on this server.')),
  ask: () => Promise.reject(new ClinicFault('No plant clinic is set up on this server.')),
};

const share = z.number().min(0).max(1);
const course = z.object({
  status: z.enum(['registered', 'under-way', 'in-laboratory', 'lost', 'reported']),
  since: z.iso.date().nullable(),
  results: z.array(
    z.object({
      code: z.string(),
      result: z.enum(['positive', 'negative', 'inconclusive']),
      sensitivity: share,
      specificity: share,
    }),
  ),
});

/** Clinics over HTTP. */
export function clinicsOver(address: string, patience: Patience = {}): Clinics {
  const ask = <T>(path: string, schema: z.ZodType<T>, body?: unknown): Promise<T> =>
    askOutside(`${address}${path}`, schema, patience, body).catch((cause: unknown) => {
      throw new ClinicFault('The plant clinic does not answer.', { cause });
    });
  return {
    list: async () => (await ask('/clinics', z.object({ clinics: z.array(clinicOffer) }))).clinics,
    register: (clinic, form) =>
      ask(`/clinics/${clinic}/samples`, z.object({ reference: z.string().min(1).max(40), receipt: z.string().min(1).max(4000) }), form),
    ask: async (clinic, receipt, { sentOn, packed }, today) => {
      const enquiry = { receipt, sent_on: sentOn, packed, as_of: today };
      const { results, ...rest } = await ask(`/clinics/${clinic}/enquiries`, course, enquiry);
      return { ...rest, results: results.map(({ code, ...result }) => ({ condition: code, ...result })) };
    },
  };
}
