import type { Application } from '@field-nurse/contract';

/** An application as one of its plantings had it. */
export type Applied = Omit<Application, 'targets'> & Application['targets'][number];

/** Applications, once for each planting that they went to. */
export const appliedTo = (applications: readonly Application[]): Applied[] =>
  applications.flatMap(({ targets, ...rest }) => targets.map((target) => ({ ...rest, ...target })));
