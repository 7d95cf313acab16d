import type { Library } from './entries.js';
import { inseparablePairs } from './inseparablePairs.js';
import { seasonFaults } from './season/seasonFaults.js';
import { treatmentFaults } from './treatmentFaults.js';

/**
 * Find what a schema of single entries can't see: references to nothing, ids used twice, look-alikes named on one side only,
 * signs that no condition uses, and conditions that no sign tells apart.
 *
 * @returns one sentence for each fault; empty when the library is sound
 */
export function crossCheck(library: Library): string[] {
  return [
    ...repeatedIds(library),
    ...brokenReferences(library),
    ...oneSidedLookalikes(library),
    ...unusedSigns(library),
    ...treatmentFaults(library),
    ...seasonFaults(library),
    ...inseparablePairs(library).map(([one, other]) => `${one.id} and ${other.id} can't be told apart by any sign`),
  ];
}

function repeatedIds(library: Library): string[] {
  const lists = {
    host: library.hosts,
    sign: library.signs,
    condition: library.conditions,
    intervention: library.interventions,
    check: library.checks,
    task: library.tasks,
    companion: library.companions,
    region: library.regions,
  };
  return Object.entries(lists).flatMap(([kind, list]) => {
    const seen = new Set<string>();
    return list.filter(({ id }) => seen.size === seen.add(id).size).map(({ id }) => `${kind} ${id} is defined twice`);
  });
}

/** References to entries that are not there, one sentence for each. */
export function brokenReferences(library: Library): string[] {
  const ids = (list: readonly { id: string }[]) => new Set(list.map(({ id }) => id));
  const signs = ids(library.signs);
  const conditions = ids(library.conditions);
  const interventions = ids(library.interventions);
  const checks = ids(library.checks);
  const hosts = new Set(library.hosts.flatMap((host) => [host.id, host.family, host.kind]));
  const missing = (owner: string, kind: string, wanted: readonly string[], known: Set<string>) =>
    wanted.filter((id) => !known.has(id)).map((id) => `${owner} names the unknown ${kind} ${id}`);
  return [
    ...library.conditions.flatMap((condition) => [
      ...missing(condition.id, 'sign', Object.keys(condition.signs), signs),
      ...missing(condition.id, 'host', Object.values(condition.hosts).flat(), hosts),
      ...missing(condition.id, 'check', condition.checks, checks),
      ...missing(
        condition.id,
        'condition',
        [...condition.lookalikes.map((one) => one.condition), ...condition.follows, ...condition.carries],
        conditions,
      ),
      ...missing(
        condition.id,
        'intervention',
        condition.treat.map((one) => one.intervention),
        interventions,
      ),
    ]),
    ...[...library.conditions, ...library.interventions].flatMap(({ disputes }) =>
      disputes.flatMap(({ id, schools }) =>
        missing(
          id,
          'intervention',
          schools.flatMap(({ does, leaves }) => [...does, ...leaves]),
          interventions,
        ),
      ),
    ),
    ...library.companions.flatMap((one) => [
      ...missing(one.id, 'condition', one.for, conditions),
      ...missing(one.id, 'host', one.plants, hosts),
      ...missing(one.id, 'host or family', one.beside, hosts),
    ]),
    ...library.tasks.flatMap((task) => missing(task.id, 'condition', task.prevents, conditions)),
    ...library.conditions
      .filter(({ levels }) => levels.some(({ measure, trap }) => (measure === 'trap-per-week') !== (trap !== undefined)))
      .map(({ id }) => `${id} has a level for a trap without saying which, or the other way round`),
    ...library.checks.flatMap((check) => missing(check.id, 'sign', check.reveals, signs)),
    ...library.interventions.flatMap((one) => [
      ...missing(
        one.id,
        'intervention',
        one.apartFrom.map(({ intervention }) => intervention),
        interventions,
      ),
      ...missing(
        one.id,
        'host',
        one.harmsHosts.map(({ host }) => host),
        hosts,
      ),
    ]),
    ...library.regions.flatMap((region) => [
      ...missing(region.id, 'condition', region.notifiable, conditions),
      ...missing(
        region.id,
        'intervention',
        [...region.forbidden, ...region.restricted].map(({ intervention }) => intervention),
        interventions,
      ),
    ]),
  ];
}

function oneSidedLookalikes({ conditions }: Library): string[] {
  const named = new Set(conditions.flatMap((one) => one.lookalikes.map((other) => `${one.id} ${other.condition}`)));
  return conditions.flatMap((one) =>
    one.lookalikes
      .filter((other) => !named.has(`${other.condition} ${one.id}`))
      .map((other) => `${other.condition} does not name its look-alike ${one.id}`),
  );
}

function unusedSigns({ signs, conditions }: Library): string[] {
  const used = new Set(conditions.flatMap((one) => Object.keys(one.signs)));
  return signs.filter(({ id }) => !used.has(id)).map(({ id }) => `sign ${id} is used by no condition`);
}
