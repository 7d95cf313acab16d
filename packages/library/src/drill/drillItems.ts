import { susceptibility } from '@field-nurse/core/diagnosis';
import type { DrillItem } from '@field-nurse/core/drill';
import type { Condition, Host, Sign } from '../entries.js';
import { countDrills, leafDrills, standDrills } from './eyeDrills.js';
import { freshOrOld } from './freshOrOld.js';
import { lookAlikeId } from './lookAlikeId.js';
import { lookAlikeBoard } from './lookAlikeBoard.js';
import { stageDrills } from './stageDrills.js';

export const drillKinds = ['leaf', 'look-alikes', 'count', 'stage', 'stand', 'fresh'] as const;
export type DrillKind = (typeof drillKinds)[number];

const as = (kind: DrillKind, all: readonly { readonly id: string }[]): DrillItem[] => all.map(({ id }) => ({ id, kind }));

/**
 * Everything that can be drilled in a garden: what eyes misjudge, animals of its plants, and troubles of its plants that look alike.
 *
 * @param hosts - what grows there; every host where none does
 */
export function drillItems(hosts: readonly Host[], conditions: readonly Condition[], signs: ReadonlyMap<string, Sign>): DrillItem[] {
  const comes = conditions.filter((one) => hosts.length === 0 || hosts.some((host) => susceptibility(one, host) !== 'unlisted'));
  const troubles = hosts.flatMap((host) =>
    comes
      .filter((one) => susceptibility(one, host) === 'often' && lookAlikeBoard(one, host, comes, signs, () => 0))
      .map((one): DrillItem => ({ id: lookAlikeId(host.id, one.id), kind: 'look-alikes' })),
  );
  return [
    ...as('leaf', leafDrills),
    ...troubles,
    ...as('count', countDrills),
    ...as('stage', stageDrills(comes)),
    ...as('stand', standDrills),
    ...as('fresh', freshOrOld),
  ];
}
