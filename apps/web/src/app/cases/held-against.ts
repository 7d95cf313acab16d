import type { DifferentialAnswer } from '@field-nurse/contract';
import type { Condition } from '@field-nurse/library';

type Evidence = DifferentialAnswer['ranked'][number]['against'][number];

/**
 * What speaks against a cause of a set: a sign that another chosen cause shows is explained by that one, and is not held against this.
 *
 * @param others - the other causes that were chosen beside it
 */
export const heldAgainst = (against: readonly Evidence[], others: readonly Pick<Condition, 'signs'>[]): Evidence[] =>
  against.filter(({ sign, state }) => state !== 'seen' || !others.some(({ signs }) => (signs[sign] ?? 'never') !== 'never'));
