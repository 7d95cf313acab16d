import type { Host } from '@field-nurse/library';
import { findByName, searchByName } from '@field-nurse/library/find';

const shown = 8;

/** The plant with this name, of any of its names. */
export const hostByName = (hosts: readonly Host[], name: string): Host | undefined => findByName(hosts, name);

/** Plants whose names hold what was typed, best first. */
export const matchingHosts = (hosts: readonly Host[], typed: string): Host[] => searchByName(hosts, typed).slice(0, shown);
