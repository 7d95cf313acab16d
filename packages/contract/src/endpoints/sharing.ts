import { z } from 'zod';
import * as access from '../access.js';
import * as sharing from '../sharing.js';
import { id } from '../words.js';
import { define, gardenParams } from './endpoint.js';

const memberParams = z.strictObject({ garden: id, person: id });

/** Who shares a garden: members, invitations, tokens. */
export const sharingEndpoints = {
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
    needsAccount: true,
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
    needsAccount: true,
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
    needsAccount: true,
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
    needsAccount: true,
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
} as const;
