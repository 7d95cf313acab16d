import { differenceOf, separation, susceptibility } from '@field-nurse/core/diagnosis';
import type { Condition, Library } from './entries.js';

// A look that comes out differently in half of the cases is worth making.
const enough = 0.5;

/**
 * Pairs of conditions that meet on some host, and that no one sign tells apart.
 *
 * @returns each pair once
 */
export function inseparablePairs({ conditions, hosts, ...library }: Library): [Condition, Condition][] {
  const signs = new Map(library.signs.map((sign) => [sign.id, sign]));
  const hostsOf = new Map(
    conditions.map((one) => [one.id, new Set(hosts.filter((host) => susceptibility(one, host) !== 'unlisted').map(({ id }) => id))]),
  );
  const meet = (one: Condition, other: Condition) => {
    const others = hostsOf.get(other.id)!;
    return [...hostsOf.get(one.id)!].some((host) => others.has(host));
  };
  return conditions.flatMap((one, i) =>
    conditions
      .slice(i + 1)
      .filter((other) => meet(one, other))
      .filter((other) => {
        const [best] = separation(one, other, signs);
        return best === undefined || differenceOf(best) < enough;
      })
      .map((other): [Condition, Condition] => [one, other]),
  );
}
