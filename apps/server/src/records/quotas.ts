import { ApiError } from '../http/apiError.js';

interface Quota {
  readonly most: number;
  readonly what: string;
  readonly lift: string;
}

/** How much there may be, so that one household can't fill the disk of the others. */
export const quotas = {
  records: { most: 250_000, what: 'records in one garden', lift: 'Begin another garden for what is new.' },
  photos: { most: 5000, what: 'photos in one garden', lift: 'Begin another garden for what is new.' },
  visitorPhotos: { most: 10, what: 'photos in a demo garden', lift: 'Make an account for a garden of your own.' },
  photoBytes: { most: 3_000_000_000, what: 'bytes of photos in one garden', lift: 'Begin another garden for what is new.' },
  gardens: { most: 20, what: 'gardens of your own', lift: 'Delete one that is not needed any more, or hand it over.' },
  members: { most: 50, what: 'people in one garden', lift: 'Remove somebody first.' },
  invitations: { most: 20, what: 'open invitations', lift: 'Withdraw one first.' },
  tokens: { most: 20, what: 'tokens in one garden', lift: 'Revoke one first.' },
  weatherFiles: { most: 200, what: 'weather files in one garden', lift: 'Put several years into one file.' },
} as const satisfies Readonly<Record<string, Quota>>;

/** @param count - how many there would be */
export function refuseBeyondQuota(name: keyof typeof quotas, count: number): void {
  const { most, what, lift } = quotas[name];
  if (count > most)
    throw new ApiError(422, 'quota', `There can be ${most.toLocaleString('en')} ${what}. ${lift}`, { rule: { quota: name, most } });
}
