import { z } from 'zod';

/** An entry's permanent name: lower case words joined by hyphens. */
export const entryId = z.string().regex(/^[a-z0-9]+(-[a-z0-9]+)*$/, 'lower case words joined by hyphens');

export const text = z.string().trim().min(1).max(4000);

export const conditionKind = z.enum([
  'insect',
  'mite',
  'mollusc',
  'vertebrate',
  'fungus',
  'oomycete',
  'bacterium',
  'virus',
  'nematode',
  'deficiency',
  'water',
  'climate',
  'injury',
  'natural',
  'harmless',
  'helper',
]);
export const frequency = z.enum(['always', 'often', 'sometimes', 'seldom', 'never']);
export const role = z.enum(['primary', 'secondary', 'contributing', 'vector']);
export const setting = z.enum(['outdoor', 'greenhouse', 'indoor', 'hydroponic']);
export const onset = z.enum(['overnight', 'days', 'weeks', 'season']);
export const pattern = z.enum(['one-plant', 'patches', 'whole-planting', 'one-side', 'edges', 'scattered']);
export const part = z.enum([
  'leaf',
  'leaf-underside',
  'new-growth',
  'old-leaves',
  'stem',
  'stem-base',
  'crown',
  'root',
  'bulb',
  'tuber',
  'flower',
  'fruit',
  'seedling',
  'whole-plant',
  'ground',
]);
export const stageKind = z.enum(['egg', 'larva', 'nymph', 'pupa', 'adult', 'spore', 'lesion', 'any']);
export const hiding = z.enum(['rolled-leaf', 'mine', 'stem', 'root', 'case', 'wax']);
export const rung = z.enum(['none', 'culture', 'hand', 'barrier', 'trap', 'biological', 'soft', 'synthetic', 'removal']);
export const evidence = z.enum(['strong', 'moderate', 'weak', 'folk']);
export const reach = z.enum(['contact', 'stomach', 'translaminar', 'systemic', 'fumigant', 'physical', 'living', 'whole-plant']);
export const harm = z.enum(['none', 'slight', 'serious']);
export const risk = z.enum(['none', 'care', 'serious']);
export const stance = z.enum(['hands', 'organic', 'softest', 'protect']);

/** How far a plant has grown. */
export const age = z.enum(['seedling', 'young', 'grown']);
export const continent = z.enum(['europe', 'north-america', 'south-america', 'africa', 'asia', 'australasia']);

/** A question on which growers disagree: both schools with their reasons, our default, and why. */
export const dispute = z.strictObject({
  id: entryId,
  question: text,
  schools: z
    .array(
      z.strictObject({
        view: text,
        reason: text,
        does: z.array(entryId).default([]).describe('interventions that it takes first'),
        leaves: z.array(entryId).default([]).describe('interventions that it goes without'),
        steps: z.array(text).default([]).describe('what is done besides; of a view that names nothing to do first, with every spray'),
        oneByOne: z.boolean().default(false).describe('each round is decided anew, after a look'),
      }),
    )
    .min(2),
  default: text,
  why: text,
});
export const leafShape = z.enum([
  'ovate',
  'toothed',
  'lance',
  'willow',
  'spoon',
  'heart',
  'toothed-heart',
  'triangle',
  'arrow',
  'lobed',
  'lyre',
  'spiny',
  'cabbage',
  'frilled',
  'paddle',
  'split',
  'round',
  'scalloped',
  'fan',
  'maple',
  'vine',
  'cucumber',
  'fig',
  'ivy',
  'currant',
  'trefoil',
  'clover',
  'compound',
  'rose',
  'ash',
  'tomato',
  'potato',
  'pea',
  'parsley',
  'fingers',
  'feathery',
  'frond',
  'palm',
  'sprig',
  'needle',
  'scales',
  'strap',
  'tubes',
  'grass',
  'rosette',
  'pad',
  'chain',
  'pearls',
]);

/** One interval in percent or days: low, high. */
export const range = z.tuple([z.number(), z.number()]).refine(([low, high]) => low <= high, 'low first');
