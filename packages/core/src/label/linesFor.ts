import type { LabelledHost } from './labelCard.js';
import { namesOf } from './namesOf.js';
import type { CardLine } from './productCard.js';

/**
 * The lines of a label that a planting falls under.
 *
 * For each trouble a line that names the plant goes before one that names a plant that it is like, that before one for its family, and that
 * before one for any plant; among these, one that names the trouble goes before one for any trouble.
 *
 * @param targets - troubles that it is used against; none known: all lines of the plant
 * @returns the lines, or what the label lacks: a line for the plant, or one against any of the troubles
 */
export function linesFor(
  lines: readonly CardLine[],
  plant: LabelledHost,
  targets: readonly string[],
): { readonly lines: readonly CardLine[] } | { readonly lacks: 'crop' | 'target' } {
  const names: readonly (string | null)[] = [...namesOf(plant), null];
  const forPlant = lines.filter(({ host }) => names.includes(host));
  if (forPlant.length === 0) return { lacks: 'crop' };
  const closest = (some: readonly CardLine[]) => {
    const nearest = Math.min(...some.map(({ host }) => names.indexOf(host)));
    return some.filter(({ host }) => names.indexOf(host) === nearest);
  };
  if (targets.length === 0) return { lines: closest(forPlant) };
  const against = targets.flatMap((target) => {
    const close = closest(forPlant.filter((line) => line.target === target || line.target === null));
    const named = close.filter((line) => line.target === target);
    return named.length > 0 ? named : close;
  });
  return against.length > 0 ? { lines: [...new Set(against)] } : { lacks: 'target' };
}
