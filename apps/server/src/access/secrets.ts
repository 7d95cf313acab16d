import { createHash, randomBytes } from 'node:crypto';

/** A secret for a link, a cookie or a script. What is kept of it is its hash. */
export const newSecret = (): string => randomBytes(24).toString('base64url');
export const hashSecret = (secret: string): string => createHash('sha256').update(secret).digest('hex');
