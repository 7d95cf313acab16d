import { z } from 'zod';
import * as access from './access.js';
import * as account from './account.js';
import * as calc from './calc.js';
import { clinicOffer, clinicReport } from './clinic.js';
import { gardenSettings, storedRecords, subject, writtenRecords } from './records.js';
import type { Subject } from './records.js';
import * as sharing from './sharing.js';
import { weatherAnswer, weatherFileRequest, weatherQuery, weatherSource } from './weather.js';
import { day, entry, id, shortText } from './words.js';

/** One operation of the API: the server serves it, the document describes it, the pages call it. */
export interface Endpoint {
  readonly method: 'get' | 'post' | 'put' | 'delete';
  readonly path: string;
  readonly summary: string;
  /** who may call it: anybody, somebody signed in, or a member of the garden in the path */
  readonly access: 'open' | 'person' | 'garden-read' | 'garden-comment' | 'garden-write' | 'garden-owner';
  /** asks for somebody who has signed in: a script's token is not enough */
  readonly signedIn?: true;
  /** a calculation: it changes nothing, scripts call it, and how often is limited */
  readonly stateless?: true;
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
const memberParams = z.strictObject({ garden: id, person: id });
const photoParams = z.strictObject({ garden: id, photo: id });

/** Write one record of a garden. The change id makes it idempotent; the version is that of the record it was made from (0 for a new one). */
const write = <S extends Subject, A extends Endpoint['access'] = 'garden-write'>(name: S, may: A = 'garden-write' as A) =>
  define({
    method: 'put',
    path: `/api/v1/gardens/{garden}/${name}/{record}`,
    summary: `Add or change one of the garden's ${name}`,
    access: may,
    params: z.strictObject({ garden: id, record: id }),
    body: z.strictObject({ change: id, version: z.int().min(0), value: writtenRecords[name] }),
    answer: storedRecords[name],
  });

const calculation = <const N extends string, Q extends z.ZodType, A extends z.ZodType>(name: N, summary: string, body: Q, answer: A) =>
  define({ method: 'post', path: `/api/v1/calc/${name}`, summary, access: 'open', stateless: true, body, answer });

/** The calculations, by the last part of their address. */
export const calculations = {
  differential: calculation('differential', 'Ranked causes from findings and lay words', calc.differentialRequest, calc.differentialAnswer),
  options: calculation('options', 'Treatments judged for a planting today', calc.optionsRequest, calc.optionsAnswer),
  mix: calculation('mix', 'How much product in how much water', calc.mixRequest, calc.mixAnswer),
  progress: calculation('progress', 'Area under a severity curve and its rate', calc.progressRequest, calc.progressAnswer),
  sample: calculation('sample', 'Enough looked at: act, leave, or look at more', calc.sampleRequest, calc.sampleAnswer),
} as const;

export type CalculationName = keyof typeof calculations;
/** What a calculation is asked, as it was checked. */
export type CalculationRequest<N extends CalculationName> = z.output<(typeof calculations)[N]['body']>;
export type CalculationAnswer<N extends CalculationName> = z.input<(typeof calculations)[N]['answer']>;

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

  changePassword: define({
    method: 'put',
    path: '/api/v1/account/password',
    summary: 'Change the password; every other device is signed out',
    access: 'person',
    body: account.passwordChange,
    answer: access.sessionAnswer,
  }),
  requestReset: define({
    method: 'post',
    path: '/api/v1/password-resets',
    summary: 'Ask for a link that sets a new password; the answer is the same whether or not there is such an account',
    access: 'open',
    body: account.resetRequest,
    answer: z.strictObject({}),
  }),
  resetPassword: define({
    method: 'put',
    path: '/api/v1/password-resets',
    summary: 'Set a new password by such a link; every device is signed out',
    access: 'open',
    body: account.passwordReset,
    answer: z.strictObject({}),
  }),
  sessions: define({
    method: 'get',
    path: '/api/v1/account/sessions',
    summary: 'Devices that are signed in to your account',
    access: 'person',
    answer: z.array(account.deviceSession),
  }),
  endSession: define({
    method: 'delete',
    path: '/api/v1/account/sessions/{session}',
    summary: 'Sign one device out',
    access: 'person',
    params: z.strictObject({ session: id }),
    answer: z.array(account.deviceSession),
  }),
  accountLog: define({
    method: 'get',
    path: '/api/v1/account/security-log',
    summary: 'Sign-ins and changes of your account: the newest 50',
    access: 'person',
    answer: z.array(sharing.securityEvent),
  }),
  deleteAccount: define({
    method: 'post',
    path: '/api/v1/account/delete',
    summary: 'Delete your account, and the gardens that only you own, for good',
    access: 'person',
    body: account.accountDeletion,
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

  members: define({
    method: 'get',
    path: '/api/v1/gardens/{garden}/members',
    summary: 'Who shares the garden',
    access: 'garden-read',
    params: gardenParams,
    answer: z.array(sharing.member),
  }),
  changeRole: define({
    method: 'put',
    path: '/api/v1/gardens/{garden}/members/{person}',
    summary: "Change somebody's part in the garden",
    access: 'garden-owner',
    params: memberParams,
    body: z.strictObject({ role: sharing.givenRole }),
    answer: z.array(sharing.member),
  }),
  removeMember: define({
    method: 'delete',
    path: '/api/v1/gardens/{garden}/members/{person}',
    summary: 'Take somebody out of the garden',
    access: 'garden-owner',
    params: memberParams,
    answer: z.array(sharing.member),
  }),
  leaveGarden: define({
    method: 'post',
    path: '/api/v1/gardens/{garden}/leave',
    summary: 'Leave a garden that somebody else owns',
    access: 'garden-read',
    params: gardenParams,
    body: z.strictObject({}),
    answer: access.sessionAnswer,
  }),
  handOver: define({
    method: 'post',
    path: '/api/v1/gardens/{garden}/owner',
    summary: 'Hand the garden over to a member; who owned it works here from then on',
    access: 'garden-owner',
    params: gardenParams,
    body: z.strictObject({ person: id }),
    answer: z.array(sharing.member),
  }),

  invitations: define({
    method: 'get',
    path: '/api/v1/gardens/{garden}/invitations',
    summary: 'Invitations into the garden, newest first',
    access: 'garden-owner',
    params: gardenParams,
    answer: z.array(sharing.invitation),
  }),
  invite: define({
    method: 'post',
    path: '/api/v1/gardens/{garden}/invitations',
    summary: 'Invite somebody by a link, and by mail where an address is given',
    access: 'garden-owner',
    params: gardenParams,
    body: sharing.invitationRequest,
    answer: sharing.newInvitation,
  }),
  withdrawInvitation: define({
    method: 'delete',
    path: '/api/v1/gardens/{garden}/invitations/{invitation}',
    summary: 'Take an invitation back',
    access: 'garden-owner',
    params: z.strictObject({ garden: id, invitation: id }),
    answer: z.array(sharing.invitation),
  }),
  heldInvitation: define({
    method: 'get',
    path: '/api/v1/invitations/{secret}',
    summary: 'What an invitation link leads to',
    access: 'open',
    params: z.strictObject({ secret: sharing.secret }),
    answer: sharing.heldInvitation,
  }),
  acceptInvitation: define({
    method: 'post',
    path: '/api/v1/invitations/{secret}/accept',
    summary: 'Accept an invitation',
    access: 'person',
    params: z.strictObject({ secret: sharing.secret }),
    body: z.strictObject({}),
    answer: access.gardenSummary,
  }),
  declineInvitation: define({
    method: 'post',
    path: '/api/v1/invitations/{secret}/decline',
    summary: 'Decline an invitation; it needs no account',
    access: 'open',
    params: z.strictObject({ secret: sharing.secret }),
    body: z.strictObject({}),
    answer: z.strictObject({}),
  }),

  tokens: define({
    method: 'get',
    path: '/api/v1/gardens/{garden}/tokens',
    summary: 'Your tokens for scripts in this garden',
    access: 'garden-read',
    signedIn: true,
    params: gardenParams,
    answer: z.array(sharing.token),
  }),
  makeToken: define({
    method: 'post',
    path: '/api/v1/gardens/{garden}/tokens',
    summary: 'Make a token for a script; its secret is shown this once',
    access: 'garden-read',
    signedIn: true,
    params: gardenParams,
    body: sharing.tokenRequest,
    answer: sharing.newToken,
  }),
  revokeToken: define({
    method: 'delete',
    path: '/api/v1/gardens/{garden}/tokens/{token}',
    summary: 'Revoke a token',
    access: 'garden-read',
    signedIn: true,
    params: z.strictObject({ garden: id, token: id }),
    answer: z.array(sharing.token),
  }),

  writePlace: write('places'),
  writePlanting: write('plantings'),
  writeCase: write('cases'),
  writeDecision: write('decisions'),
  writeApplication: write('applications'),
  writeAssessment: write('assessments'),
  writeTrap: write('traps'),
  writeCatch: write('catches'),
  writeScoutingRound: write('scoutingRounds'),
  writeStop: write('stops'),
  writeLeafMeasurement: write('leafMeasurements'),
  writePreventionTask: write('preventionTasks'),
  writeThreshold: write('thresholds'),
  writeOwnEntry: write('ownEntries'),
  writeClinicSample: write('clinicSamples'),
  writeComment: write('comments', 'garden-comment'),
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
    summary: 'Take a change back; an adviser only that of a comment of their own',
    access: 'garden-comment',
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

  ...calculations,
} as const;

export type EndpointName = keyof typeof endpoints;
