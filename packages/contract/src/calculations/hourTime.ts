import { z } from 'zod';

/** Begin of an hour; without an offset it is taken for UTC. */
export const hourTime = z.iso.datetime({ offset: true, local: true });

/** Milliseconds since 1970. */
export const hourMs = (time: string): number => Date.parse(/(?:Z|[+-]\d\d:?\d\d)$/.test(time) ? time : `${time}Z`);
