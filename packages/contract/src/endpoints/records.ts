import { z } from 'zod';
import { storedRecords, writtenRecords } from '../records.js';
import { id } from '../words.js';
import { define } from './endpoint.js';
import type { Subject } from '../records.js';
import type { Endpoint } from './endpoint.js';

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

const photoParams = z.strictObject({ garden: id, photo: id });

/** The records of a garden, and its photos. */
export const recordsEndpoints = {
  writePlace: write('places'),
  writePlanting: write('plantings'),
  writeCase: write('cases'),
  writeProduct: write('products'),
  writeLabelCard: write('labelCards'),
  writeStockMove: write('stockMoves'),
  writeTreatmentPlan: write('treatmentPlans'),
  writePlannedApplication: write('plannedApplications'),
  writeWorkTime: write('workTimes'),
  writeSprayer: write('sprayers'),
  writeTestSpray: write('testSprays'),
  writeDecision: write('decisions'),
  writeApplication: write('applications'),
  writeAssessment: write('assessments'),
  writeHarvest: write('harvests'),
  writeRemoval: write('removals'),
  writeDrill: write('drills'),
  writeLesson: write('lessons'),
  writeTrap: write('traps'),
  writeCatch: write('catches'),
  writeScoutingRound: write('scoutingRounds'),
  writeStop: write('stops'),
  writeLeafMeasurement: write('leafMeasurements'),
  writeGroundEvent: write('groundEvents'),
  writePreventionTask: write('preventionTasks'),
  writeThreshold: write('thresholds'),
  writeOwnEntry: write('ownEntries'),
  writeClinicSample: { ...write('clinicSamples'), needsAccount: true } as const,
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
    summary: 'A photo, whole or small',
    access: 'garden-read',
    params: photoParams,
    query: z.strictObject({ size: z.enum(['whole', 'small']).default('whole') }),
    answerType: 'image/jpeg',
    answer: z.custom<Uint8Array>(),
  }),
} as const;
