import { z } from 'zod';
import * as access from '../access.js';
import * as account from '../account.js';
import * as sharing from '../sharing.js';
import { id } from '../words.js';
import { define } from './endpoint.js';

/** Accounts, sessions and devices. */
export const peopleEndpoints = {
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
  visit: define({
    method: 'post',
    path: '/api/v1/visit',
    summary: 'Look round a demo garden of your own, without an account; called again it begins anew',
    access: 'open',
    body: z.strictObject({}),
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
    needsAccount: true,
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
    needsAccount: true,
    answer: z.array(account.deviceSession),
  }),
  endSession: define({
    method: 'delete',
    path: '/api/v1/account/sessions/{session}',
    summary: 'Sign one device out',
    access: 'person',
    needsAccount: true,
    params: z.strictObject({ session: id }),
    answer: z.array(account.deviceSession),
  }),
  accountLog: define({
    method: 'get',
    path: '/api/v1/account/security-log',
    summary: 'Sign-ins and changes of your account: the newest 50',
    access: 'person',
    needsAccount: true,
    answer: z.array(sharing.securityEvent),
  }),
  deleteAccount: define({
    method: 'post',
    path: '/api/v1/account/delete',
    summary: 'Delete your account, and the gardens that only you own, for good',
    access: 'person',
    needsAccount: true,
    body: account.accountDeletion,
    answer: access.sessionAnswer,
  }),
} as const;
