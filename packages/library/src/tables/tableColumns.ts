import type { Stored, Subject } from '@field-nurse/contract';
import type { Cell } from './csv.js';

/** Names for the ids in records. */
export interface TableNames {
  readonly planting: (id: string) => Pick<Stored<'plantings'>, 'host' | 'cultivar' | 'placeId'> | undefined;
  readonly place: (id: string) => string;
  readonly host: (id: string) => string;
  readonly intervention: (id: string) => string;
  readonly condition: (id: string) => string;
  readonly sign: (id: string) => string;
  readonly product: (id: string) => string;
  readonly trap: (id: string) => string;
}

/** A column of a table as it leaves the house. */
export interface TableColumn<L> {
  readonly name: string;
  readonly says: string;
  readonly of: (line: L, names: TableNames) => Cell;
}

/** A list of the garden as a table: a line for each record, or for each part of it. */
export interface ListTable<S extends Subject = Subject, L = unknown> {
  readonly subject: S;
  /** the field by whose day lines stand in order */
  readonly orderedBy: string;
  readonly columns: readonly TableColumn<L>[];
  readonly linesOf: (record: Stored<S>) => readonly L[];
}

export const idColumn: TableColumn<{ readonly id: string }> = { name: 'id', says: 'of the record', of: ({ id }) => id };
export const note: TableColumn<{ readonly note: string }> = { name: 'note', says: 'as it was written', of: (one) => one.note };

/** Where and on what: of anything that belongs to a planting. */
export const standing = <L>(plantingOf: (line: L, names: TableNames) => string | null): readonly TableColumn<L>[] => {
  const planting = (line: L, names: TableNames) => names.planting(plantingOf(line, names) ?? '');
  return [
    { name: 'place', says: 'where it was planted', of: (line, names) => names.place(planting(line, names)?.placeId ?? '') },
    { name: 'plant', says: 'its usual name', of: (line, names) => names.host(planting(line, names)?.host ?? '') },
    { name: 'cultivar', says: 'its variety', of: (line, names) => planting(line, names)?.cultivar ?? '' },
  ];
};

export function each<S extends Subject>(
  subject: S,
  orderedBy: string,
  columns: readonly TableColumn<Stored<S>>[],
): ListTable<S, Stored<S>> {
  return { subject, orderedBy, columns, linesOf: (record) => [record] };
}
