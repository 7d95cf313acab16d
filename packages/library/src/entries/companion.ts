import { z } from 'zod';
import { entryId, evidence, setting, text } from '../vocabulary.js';

const months = z.array(z.int().min(1).max(12)).min(1);

/** A plant that is set beside others for what it does to a trouble. */
export const companion = z.strictObject({
  id: entryId,
  name: text,
  plants: z.array(entryId).describe('hosts that it is made of; none where the library has none'),
  work: z.enum(['traps', 'repels', 'hides', 'shelters', 'starves']),
  for: z.array(entryId).min(1).describe('conditions'),
  beside: z.array(entryId).min(1).describe('hosts or families that it serves'),
  settings: z.array(setting).default([]).describe('any when left out'),
  begin: months.describe('in which it is sown or planted, northern hemisphere'),
  months: months.describe('in which it works'),
  reachM: z.number().min(0).max(100),
  how: text,
  mind: text,
  efficacy: z.tuple([z.number().min(0).max(100), z.number().min(0).max(100)]).describe('percent of the trouble that is spared'),
  evidence,
  basis: text,
});
