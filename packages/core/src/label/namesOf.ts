import type { LabelledHost } from './labelCard.js';

/** How labels name a plant: by itself before one that it is like, and that before its family. */
export const namesOf = ({ id, like, family }: LabelledHost): string[] => [id, ...(like ? [like] : []), family];
