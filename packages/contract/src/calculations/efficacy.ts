import { z } from 'zod';

const counts = z.array(z.number().min(0).max(1e9)).min(1).max(2000);
const plots = z.strictObject({
  before: counts.optional().describe('one for each count after, in the same order'),
  after: counts,
});

export const efficacyRequest = z.strictObject({
  method: z.enum(['abbott', 'henderson-tilton', 'schneider-orelli', 'sun-shepard']),
  treated: plots,
  control: plots,
});

export const efficacyAnswer = z.object({
  percent: z.number().describe('below zero where there is more than without the treatment'),
  interval: z
    .tuple([z.number(), z.number()])
    .nullable()
    .describe('limits between which it lies nineteen times in twenty; null where too little is counted to tell'),
});

export type EfficacyRequest = z.infer<typeof efficacyRequest>;
export type EfficacyAnswer = z.infer<typeof efficacyAnswer>;
