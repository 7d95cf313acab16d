import { z } from 'zod';
import * as access from './access.js';
import * as calc from './calc.js';
import { clinicOffer, clinicReport } from './clinic.js';
import { gardenSettings, storedRecords, subject, writtenRecords } from './records.js';
import type { Subject } from './records.js';
import { weatherAnswer, weatherFileRequest, weatherQuery, weatherSource } from './weather.js';
import { entry, id } from './words.js';

/** One operation of the API: the server serves it, the document describes it, the pages call it. */
export interface Endpoint {
  readonly method: 'get' | 'post' | 'put';
  readonly path: string;
  readonly summary: string;
  /** who may call it: anybody, somebody signed in, or a member of the garden in the path */
  readonly access: 'open' | 'person' | 'garden-read' | 'garden-write' | 'garden-owner';
  readonly params?: z.ZodObject;
  readonly query?: z.ZodObject;
  readonly body?: z.ZodType;
  /** the body is a file of this kind and size instead of JSON */
  readonly upload?: { readonly types: readonly string[]; readonly maxBytes: number };
  /** media type of an answer that is no JSON */
  readonly answerType?: string;
  readonly answer: z.ZodType;
}

const define = <const E extends Endpoint>(endpoint: E): E => endpoint;
const gardenParams = z.strictObject({ garden: id });
const photoParams = z.strictObject({ garden: id, photo: id });
const calcPath = '/api/v1/calc';

/** Write one record of a garden. The change id makes it idempotent; the version is that of the record it was made from (0 for a new one). */
const write = <S extends Subject>(name: S) =>
  define({
    method: 'put',
    path: `/api/v1/gardens/{garden}/${name}/{record}`,
    summary: `Add or change one of the garden's ${name}`,
    access: 'garden-write',
    params: z.strictObject({ garden: id, record: id }),
    body: z.strictObject({ change: id, version: z.int().min(0), value: writtenRecords[name] }),
    answer: storedRecords[name],
  });

const list = z.enum(['conditions', 'hosts', 'signs', 'interventions', 'checks', 'tasks']);

export const endpoints = {
  health: define({
    method: 'get',
    path: '/api/health',
    summary: 'Is it up',
    access: 'open',
    answer: z.object({ status: z.string(), database: z.string(), version: z.string() }),
  }),

  session: define({ method: 'get', path: '/api/v1/session', summary: 'Who is signed in', access: 'open', answer: access.sessionAnswer }),
  signIn: define({
    method: 'post',
    path: '/api/v1/session',
    summary: 'Sign in',
    access: 'open',
    body: access.signInRequest,
    answer: access.sessionAnswer,
  }),
  signUp: define({
    method: 'post',
    path: '/api/v1/people',
    summary: 'Make an account and sign in',
    access: 'open',
    body: access.signUpRequest,
    answer: access.sessionAnswer,
  }),
  signOut: define({
    method: 'post',
    path: '/api/v1/session/end',
    summary: 'Sign out',
    access: 'open',
    body: z.strictObject({}),
    answer: access.sessionAnswer,
  }),

  createGarden: define({
    method: 'post',
    path: '/api/v1/gardens',
    summary: 'Make an empty garden',
    access: 'person',
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
    summary: 'The whole garden',
    access: 'garden-read',
    params: gardenParams,
    answer: access.gardenContents,
  }),
  members: define({
    method: 'get',
    path: '/api/v1/gardens/{garden}/members',
    summary: 'Who shares the garden',
    access: 'garden-read',
    params: gardenParams,
    answer: z.array(access.member),
  }),
  addMember: define({
    method: 'post',
    path: '/api/v1/gardens/{garden}/members',
    summary: 'Share the garden with somebody who has an account',
    access: 'garden-owner',
    params: gardenParams,
    body: access.memberRequest,
    answer: z.array(access.member),
  }),

  writePlace: write('places'),
  writePlanting: write('plantings'),
  writeCase: write('cases'),
  writeDecision: write('decisions'),
  writeApplication: write('applications'),
  writeLook: write('looks'),
  writeTrap: write('traps'),
  writeCatch: write('catches'),
  writeRound: write('rounds'),
  writeStop: write('stops'),
  writeGauging: write('gaugings'),
  writeChore: write('chores'),
  writeThreshold: write('thresholds'),
  writeOwnEntry: write('ownEntries'),
  writeClinicSample: write('clinicSamples'),
  writePhoto: define({
    method: 'put',
    path: '/api/v1/gardens/{garden}/photos/{photo}',
    summary: 'Keep a photo; what its file says of place and camera is left out',
    access: 'garden-write',
    params: photoParams,
    upload: { types: ['image/jpeg', 'image/png', 'image/webp'], maxBytes: 12_000_000 },
    answer: z.object({ id, width: z.int(), height: z.int() }),
  }),
  photo: define({
    method: 'get',
    path: '/api/v1/gardens/{garden}/photos/{photo}',
    summary: 'A photo',
    access: 'garden-read',
    params: photoParams,
    answerType: 'image/jpeg',
    answer: z.custom<Uint8Array>(),
  }),
  weather: define({
    method: 'get',
    path: '/api/v1/gardens/{garden}/weather',
    summary: 'Hours of weather as they were measured, and the newest forecast; 62 days at most',
    access: 'garden-read',
    params: gardenParams,
    query: weatherQuery,
    answer: weatherAnswer,
  }),
  weatherSources: define({
    method: 'get',
    path: '/api/v1/gardens/{garden}/weather/sources',
    summary: 'Where the weather comes from',
    access: 'garden-read',
    params: gardenParams,
    answer: z.array(weatherSource),
  }),
  readStation: define({
    method: 'post',
    path: '/api/v1/gardens/{garden}/weather/station',
    summary: 'Read the weather station now',
    access: 'garden-write',
    params: gardenParams,
    body: z.strictObject({}),
    answer: z.array(weatherSource),
  }),
  addWeatherFile: define({
    method: 'post',
    path: '/api/v1/gardens/{garden}/weather/files',
    summary: 'Add hours of weather from a file, in as many parts as it takes under one id',
    access: 'garden-write',
    params: gardenParams,
    body: weatherFileRequest,
    answer: z.array(weatherSource),
  }),
  keepWeatherFile: define({
    method: 'post',
    path: '/api/v1/gardens/{garden}/weather/files/kept',
    summary: 'Take the hours of a file out, or put them back',
    access: 'garden-write',
    params: gardenParams,
    body: z.strictObject({ id, kept: z.boolean() }),
    answer: z.array(weatherSource),
  }),
  stations: define({
    method: 'get',
    path: '/api/v1/weather-stations',
    summary: 'Weather stations that a garden can be read from',
    access: 'person',
    answer: z.array(z.object({ id: entry, name: z.string(), simulated: z.boolean() })),
  }),
  clinics: define({
    method: 'get',
    path: '/api/v1/clinics',
    summary: 'Plant clinics that can be asked over the net, with their tests and packing lists',
    access: 'person',
    answer: z.array(clinicOffer),
  }),
  clinicReports: define({
    method: 'get',
    path: '/api/v1/gardens/{garden}/clinic-reports',
    summary: 'How the samples stand with their clinics, as they were last heard',
    access: 'garden-read',
    params: gardenParams,
    answer: z.array(clinicReport),
  }),
  askClinics: define({
    method: 'post',
    path: '/api/v1/gardens/{garden}/clinic-reports',
    summary: 'Ask the clinics now how the samples stand',
    access: 'garden-write',
    params: gardenParams,
    body: z.strictObject({}),
    answer: z.array(clinicReport),
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
    summary: 'Take a change back',
    access: 'garden-write',
    params: gardenParams,
    body: z.strictObject({ change: id, undoes: id }),
    answer: z.object({ subject, recordId: id, record: z.union([...Object.values(storedRecords)]).nullable() }),
  }),

  libraryIndex: define({
    method: 'get',
    path: '/api/v1/library',
    summary: 'The whole reference library in one document',
    access: 'open',
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

  differential: define({
    method: 'post',
    path: `${calcPath}/differential`,
    summary: 'Ranked causes from findings and lay words',
    access: 'open',
    body: calc.differentialRequest,
    answer: calc.differentialAnswer,
  }),
  options: define({
    method: 'post',
    path: `${calcPath}/options`,
    summary: 'Treatments judged for a planting today',
    access: 'open',
    body: calc.optionsRequest,
    answer: calc.optionsAnswer,
  }),
  mix: define({
    method: 'post',
    path: `${calcPath}/mix`,
    summary: 'How much product in how much water',
    access: 'open',
    body: calc.mixRequest,
    answer: calc.mixAnswer,
  }),
  progress: define({
    method: 'post',
    path: `${calcPath}/progress`,
    summary: 'Area under a severity curve and its rate',
    access: 'open',
    body: calc.progressRequest,
    answer: calc.progressAnswer,
  }),
  sample: define({
    method: 'post',
    path: `${calcPath}/sample`,
    summary: 'Enough looked at: act, leave, or look at more',
    access: 'open',
    body: calc.sampleRequest,
    answer: calc.sampleAnswer,
  }),
} as const;

export type EndpointName = keyof typeof endpoints;
