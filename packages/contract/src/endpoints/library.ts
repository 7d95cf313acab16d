import { z } from 'zod';
import { entry } from '../words.js';
import { define } from './endpoint.js';

const list = z.enum(['conditions', 'hosts', 'signs', 'interventions', 'checks', 'tasks']);

/** The reference library. */
export const libraryEndpoints = {
  libraryIndex: define({
    method: 'get',
    path: '/api/v1/library',
    summary: 'The whole reference library in one document',
    access: 'open',
    answer: z.object({ version: z.string() }).loose(),
  }),
  libraryPart: define({
    method: 'get',
    path: '/api/v1/library-parts/{part}',
    summary: 'The library in two parts: what reads words and names causes, and what is told and done about them',
    access: 'open',
    params: z.strictObject({ part: z.enum(['diagnosis', 'treatment']) }),
    answer: z.object({ version: z.string() }).loose(),
  }),
  libraryList: define({
    method: 'get',
    path: '/api/v1/library/{list}',
    summary: 'Entries of the library, found by name or lay name',
    access: 'open',
    params: z.strictObject({ list }),
    query: z.strictObject({ q: z.string().max(120).optional() }),
    answer: z.array(z.object({ id: entry, name: z.string() }).loose()),
  }),
  libraryEntry: define({
    method: 'get',
    path: '/api/v1/library/{list}/{id}',
    summary: 'One entry of the library',
    access: 'open',
    params: z.strictObject({ list, id: entry }),
    answer: z.object({ id: entry, name: z.string() }).loose(),
  }),
} as const;
