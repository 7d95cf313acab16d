import type { Member } from '@field-nurse/contract';

/** What somebody is in a garden, and what they may do there. */
export const memberWords: Readonly<Record<Member['role'], { readonly word: string; readonly may: string }>> = {
  owner: { word: 'owner', may: 'own it' },
  member: { word: 'works here', may: 'work in it' },
  adviser: { word: 'advises', may: 'look at it and comment on its cases' },
  viewer: { word: 'may look', may: 'look at it' },
};
