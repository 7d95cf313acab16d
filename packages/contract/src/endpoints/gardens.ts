import { z } from 'zod';
import * as access from '../access.js';
import * as sharing from '../sharing.js';
import { gardenSettings, storedRecords, subject } from '../records.js';
import { day, id, shortText } from '../words.js';
import { define, gardenParams } from './endpoint.js';

/** Gardens, their seasons, what changed in them, and their end. */
export const gardensEndpoints = {
  createGarden: define({
    method: 'post',
    path: '/api/v1/gardens',
    summary: 'Make an empty garden',
    access: 'person',
    needsAccount: true,
    body: access.createGardenRequest,
    answer: access.gardenSummary,
  }),
  changeGarden: define({
    method: 'put',
    path: '/api/v1/gardens/{garden}',
    summary: "Change the garden's settings",
    access: 'garden-owner',
    params: gardenParams,
    body: gardenSettings,
    answer: access.gardenSummary,
  }),
  gardenContents: define({
    method: 'get',
    path: '/api/v1/gardens/{garden}',
    summary: 'The running season of a garden, with what is open and what today needs of earlier seasons',
    access: 'garden-read',
    params: gardenParams,
    answer: access.gardenContents,
  }),
  season: define({
    method: 'get',
    path: '/api/v1/gardens/{garden}/seasons/{day}',
    summary: 'The season that a day lies in, whole',
    access: 'garden-read',
    params: z.strictObject({ garden: id, day }),
    answer: access.seasonContents,
  }),
  newerRecords: define({
    method: 'get',
    path: '/api/v1/gardens/{garden}/records',
    summary: 'What changed since a change that a device knows',
    access: 'garden-read',
    params: gardenParams,
    query: z.strictObject({ since: z.coerce.number().int().min(0).max(Number.MAX_SAFE_INTEGER) }),
    answer: access.newerRecords,
  }),
  dayOfRecord: define({
    method: 'get',
    path: '/api/v1/gardens/{garden}/records/{record}/day',
    summary: 'A day of the season that a record belongs to',
    access: 'garden-read',
    params: z.strictObject({ garden: id, record: id }),
    answer: z.object({ day }),
  }),
  deleteGarden: define({
    method: 'delete',
    path: '/api/v1/gardens/{garden}',
    summary: 'Delete the garden with everything in it, for good',
    access: 'garden-owner',
    needsAccount: true,
    params: gardenParams,
    body: z.strictObject({ name: shortText.describe('of the garden, typed again') }),
    answer: access.sessionAnswer,
  }),
  downloadGarden: define({
    method: 'get',
    path: '/api/v1/gardens/{garden}/download',
    summary: 'Everything in the garden, as a zip of JSON and photos',
    access: 'garden-read',
    params: gardenParams,
    answerType: 'application/zip',
    answer: z.custom<Uint8Array>(),
  }),
  securityLog: define({
    method: 'get',
    path: '/api/v1/gardens/{garden}/security-log',
    summary: 'Who was let in, left, changed rights or took data along: the newest 200',
    access: 'garden-owner',
    params: gardenParams,
    answer: z.array(sharing.securityEvent),
  }),
  changes: define({
    method: 'get',
    path: '/api/v1/gardens/{garden}/changes',
    summary: 'The newest changes',
    access: 'garden-read',
    params: gardenParams,
    answer: z.array(access.change),
  }),
  undo: define({
    method: 'post',
    path: '/api/v1/gardens/{garden}/undo',
    summary: 'Take a change back; an adviser only that of a comment of their own',
    access: 'garden-comment',
    params: gardenParams,
    body: z.strictObject({ change: id, undoes: id }),
    answer: z.object({ subject, recordId: id, record: z.union([...Object.values(storedRecords)]).nullable() }),
  }),
} as const;
