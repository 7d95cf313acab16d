import { susceptibility } from '@field-nurse/core/diagnosis';
import type { Check, Condition, Host, Intervention, Library, Region } from '../entries.js';
import { findByName, findNamed, nearNames } from '../names/find.js';
import type { Found } from '../names/find.js';
import { Refusal } from './refusal.js';

type Path = readonly (string | number)[];

/** A name that means one of several, with the one that was taken. */
export interface Assumed {
  readonly path: (string | number)[];
  readonly typed: string;
  readonly id: string;
  readonly name: string;
}

const commonness = { common: 3, occasional: 2, rare: 1 } as const;
const taking = { often: 9, sometimes: 6, seldom: 3, unlisted: 0 } as const;

/** A name in a question that the library does not know, with the field that holds it and the names that are most like it. */
export const unknownName = (path: Path, unknown: string, near: readonly { readonly id: string; readonly name: string }[] = []) =>
  new Refusal({
    by: 'input',
    code: 'unknown-name',
    path,
    message: `The library knows no “${unknown}”.${near.length > 0 ? ` Did you mean ${near.map(({ name }) => name).join(', ')}?` : ''}`,
    suggestions: near.map(({ id, name }) => ({ id, name })),
  });

/** Finds what the names in a question mean, and remembers where one could have meant something else. */
export class Names {
  readonly #library: Library;
  readonly assumed: Assumed[] = [];
  readonly couldBe: Assumed[] = [];

  constructor(library: Library) {
    this.#library = library;
  }

  /** @throws Refusal where the library has no such plant */
  host(typed: string, path: Path): Found<Host> {
    return this.#resolve(this.#library.hosts, typed, path);
  }

  /** @param host - the plant in question: troubles that it has are preferred */
  condition(typed: string, path: Path, host?: Host): Condition {
    const favoured = (one: Condition) => commonness[one.common] + (host ? taking[susceptibility(one, host)] : 0);
    return this.#resolve(this.#library.conditions, typed, path, favoured).entry;
  }

  intervention(typed: string, path: Path): Intervention {
    return this.#resolve(this.#library.interventions, typed, path).entry;
  }

  check(typed: string, path: Path): Check {
    return this.#resolve(this.#library.checks, typed, path).entry;
  }

  /** A region decides what is lawful: its name is never guessed. */
  region(typed: string, path: Path): Region {
    const region = findByName(this.#library.regions, typed);
    if (!region) throw unknownName(path, typed, nearNames(this.#library.regions, typed));
    return region;
  }

  #resolve<T extends { readonly id: string; readonly name: string }>(
    entries: readonly T[],
    typed: string,
    path: Path,
    favoured?: (entry: T) => number,
  ): Found<T> {
    const found = findNamed(entries, typed, favoured);
    if (!found) throw unknownName(path, typed, nearNames(entries, typed));
    if (found.couldBe.length > 0) {
      this.assumed.push({ path: [...path], typed, id: found.entry.id, name: found.entry.name });
      this.couldBe.push(...found.couldBe.map(({ id, name }) => ({ path: [...path], typed, id, name })));
    }
    return found;
  }

  /** What an answer says of names that could mean several; nothing where none could. */
  doubts(): { assumed?: Assumed[]; couldBe?: Assumed[] } {
    return this.assumed.length > 0 ? { assumed: this.assumed, couldBe: this.couldBe } : {};
  }
}
