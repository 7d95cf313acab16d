import { z } from 'zod';
import { day, entry, id, instant, longText, shortText } from './words.js';

// Samples for a plant clinic: what the gardener writes of them, and what the clinic says.

export const sampleMaterial = z.enum(['leaves', 'stem', 'root', 'fruit', 'whole-plant', 'insects']);
export const testResult = z.enum(['positive', 'negative', 'inconclusive']);
const share = z.number().min(0).max(1);

/** What a clinic found of one condition, and how well its test tells. */
export const clinicResult = z.strictObject({ condition: entry, result: testResult, sensitivity: share, specificity: share });

/** A sample of a case: what it is tested for, how it was packed, when it was sent. */
export const clinicSample = z.strictObject({
  caseId: id,
  /** id of the clinic that is asked over the net; none for another, whose answer is typed in */
  clinic: entry.nullable(),
  clinicName: shortText,
  material: sampleMaterial,
  /** conditions that it is tested for */
  testFor: z
    .array(entry)
    .min(1)
    .max(6)
    .refine((ids) => new Set(ids).size === ids.length, { error: 'each trouble once' }),
  registeredOn: day,
  /** lines of the packing list that were done */
  packed: z.array(entry).max(20),
  sentOn: day.nullable(),
  /** what another clinic wrote back */
  results: z.array(clinicResult).max(6),
  reportedOn: day.nullable(),
  note: longText,
});

/** How a sample stands with the clinic, as it was last heard. */
export const clinicReport = z.object({
  sample: id,
  /** the clinic's own number; none before it has answered */
  reference: z.string().nullable(),
  status: z.enum(['waiting', 'registered', 'under-way', 'in-laboratory', 'lost', 'reported']),
  since: day.nullable(),
  results: z.array(clinicResult),
  askedAt: instant.nullable(),
  failedAt: instant.nullable(),
});

const packingLine = z.object({ id: entry, text: z.string() });

/** A clinic that can be asked over the net: its methods by kind of trouble, and how each material is packed. */
export const clinicOffer = z.object({
  id: entry,
  name: z.string(),
  simulated: z.boolean(),
  methods: z.array(z.object({ kind: z.string(), name: z.string(), sensitivity: share, specificity: share, days: z.int().min(0) })),
  packing: z.record(z.string(), z.array(packingLine)),
});

export type ClinicResult = z.infer<typeof clinicResult>;
export type ClinicReport = z.infer<typeof clinicReport>;
export type ClinicOffer = z.infer<typeof clinicOffer>;
export type SampleMaterial = z.infer<typeof sampleMaterial>;
