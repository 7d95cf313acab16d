import type { Subject } from '@field-nurse/contract';
import type { SQL } from 'drizzle-orm';
import { getTableColumns, sql } from 'drizzle-orm';
import type { AnyPgColumn } from 'drizzle-orm/pg-core';
import { recordParts } from './recordParts.js';
import { subjectTables } from './subjects.js';

/** A record as it crosses the wire, built by PostgreSQL: so many rows of it that a garden needs are one value of one query. */
export function recordJson(subject: Subject): SQL {
  const { gardenId: _, ...columns } = getTableColumns(subjectTables[subject]) as Record<string, AnyPgColumn>;
  const part = recordParts[subject];
  const pairs = Object.entries(columns).map(([name, column]) => sql`${sql.raw(`'${name}'`)}, ${valueOf(column)}`);
  if (part) pairs.push(sql`${sql.raw(`'${part.field}'`)}, coalesce((${part.json}), '[]'::json)`);
  return sql`json_build_object(${sql.join(pairs, sql`, `)})`;
}

/** The wire wants instants in ISO 8601. */
const valueOf = (column: AnyPgColumn): SQL =>
  column.getSQLType().startsWith('timestamp')
    ? sql`to_char(${column} at time zone 'UTC', 'YYYY-MM-DD"T"HH24:MI:SS.MS"Z"')`
    : sql`${column}`;
