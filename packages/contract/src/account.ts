import { z } from 'zod';
import { email, id, instant, newPassword, typedPassword } from './words.js';
import { secret } from './sharing.js';

export const passwordChange = z.strictObject({ current: typedPassword, password: newPassword });
export const resetRequest = z.strictObject({ email });
export const passwordReset = z.strictObject({ secret, password: newPassword });
export const accountDeletion = z.strictObject({
  password: typedPassword,
  gardens: z.array(id).max(100).describe('gardens that nobody else owns: they are deleted with the account, and must all be named'),
});

/** A device that is signed in. */
export const deviceSession = z.object({ id, device: z.string(), begunAt: instant, seenAt: instant, here: z.boolean() });

export type DeviceSession = z.infer<typeof deviceSession>;
