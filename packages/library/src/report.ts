import { susceptibility } from '@field-nurse/core/diagnosis';
import type { Library } from './entries.js';
import { inseparablePairs } from './inseparablePairs.js';
import { ladderSize } from './treatmentFaults.js';

// A plant with fewer troubles than this of its own is likely to be thinly covered.
const few = 8;

/**
 * What the library covers and where it is thin: troubles by plant, plants with few, signs that one condition alone shows, and pairs that no
 * sign tells apart.
 *
 * @returns lines of plain text
 */
export function reportOn(library: Library): string {
  const { hosts, conditions, signs } = library;
  const counts = hosts
    .map((host) => {
      const levels = conditions.map((condition) => susceptibility(condition, host));
      const count = (level: (typeof levels)[number]) => levels.filter((one) => one === level).length;
      return { name: host.name, often: count('often'), sometimes: count('sometimes'), seldom: count('seldom') };
    })
    .sort((a, b) => b.often + b.sometimes - (a.often + a.sometimes));
  const thin = counts.filter(({ often, sometimes }) => often + sometimes < few);
  const users = (sign: string) => conditions.filter((one) => (one.signs[sign] ?? 'never') !== 'never').length;
  const alone = signs.filter(({ id }) => users(id) === 1);
  const unused = signs.filter(({ id }) => users(id) === 0);
  const pairs = inseparablePairs(library);
  const cards = new Map(library.interventions.map((one) => [one.id, one]));
  return [
    'Troubles by plant (often, sometimes, seldom):',
    ...counts.map(
      ({ name, often, sometimes, seldom }) =>
        `  ${name.padEnd(40)} ${[often, sometimes, seldom].map((n) => String(n).padStart(4)).join('')}`,
    ),
    `Plants with fewer than ${few} troubles of their own: ${thin.map(({ name }) => name).join(', ') || 'none'}`,
    'Troubles by options and rungs, fewest first:',
    ...conditions
      .map((one) => ({ id: one.id, common: one.common, why: one.fewOptions, ...ladderSize(one, cards) }))
      .sort((a, b) => a.options - b.options || a.rungs - b.rungs)
      .map(
        ({ id, common, why, options, rungs }) =>
          `  ${id.padEnd(32)} ${common.padEnd(11)} ${String(options).padStart(3)} ${String(rungs).padStart(3)}${why ? `  ${why}` : ''}`,
      ),
    `Signs that only one condition shows: ${alone.length}`,
    `Signs that nothing shows: ${unused.map(({ id }) => id).join(', ') || 'none'}`,
    `Pairs that no sign tells apart: ${pairs.map(([one, other]) => `${one.id} and ${other.id}`).join(', ') || 'none'}`,
  ].join('\n');
}
