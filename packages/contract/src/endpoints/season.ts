import { z } from 'zod';
import { seasonRequest, seasonStarted, seasonState } from '../calculations/season.js';
import { id } from '../words.js';
import { define } from './endpoint.js';

const params = z.strictObject({ job: id });
const open = { access: 'open', stateless: true } as const;

/** Seasons are worked out in a queue: begun, asked after, and given up. */
export const seasonEndpoints = {
  startSeasonJob: define({
    ...open,
    method: 'post',
    path: '/api/v1/calc/season',
    summary: 'Begin to try strategies against each other on a season',
    body: seasonRequest,
    answerStatus: 202,
    answer: seasonStarted,
  }),
  seasonJob: define({
    ...open,
    method: 'get',
    path: '/api/v1/calc/season/{job}',
    summary: 'How far a season is, and what came of it',
    params,
    answer: seasonState,
  }),
  cancelSeasonJob: define({
    ...open,
    method: 'delete',
    path: '/api/v1/calc/season/{job}',
    summary: 'Give up a season that is not done',
    params,
    answer: seasonState,
  }),
} as const;
