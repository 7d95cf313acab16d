import type { Pool } from 'pg';
import * as kit from 'drizzle-kit/api';
import { readdirSync, existsSync } from 'node:fs';
import { join } from 'node:path';
import { emptyDatabase } from '../testServer';
import { openPool } from './client';
import { migrateDatabase } from './migrate';

// The migrations are read and written by hand where data is carried over: what they make is what the code takes for granted.

/** The part of the kit that is used here: its own types name packages that are not installed. */
interface Kit {
  generateDrizzleJson(tables: object, previous?: string): { readonly id: string };
  generateMigration(from: object, to: object): Promise<string[]>;
}

const source = join(import.meta.dirname, '..');

async function tablesOfCode(): Promise<Record<string, unknown>> {
  const folders = readdirSync(source).filter((folder) => existsSync(join(source, folder, 'tables.ts')));
  const modules = await Promise.all(folders.map((folder) => import(join(source, folder, 'tables.ts')) as Promise<object>));
  return Object.assign({}, ...modules) as Record<string, unknown>;
}

/** Columns, constraints and indexes, in words that can be compared. */
async function shapeOf(pool: Pool): Promise<string[]> {
  const { rows } = await pool.query<{ line: string }>(`
    select format('%s.%s %s %s %s', table_name, column_name, data_type, is_nullable, column_default) as line
      from information_schema.columns where table_schema = 'public'
    union all
    select format('%s %s %s', conrelid::regclass, conname, pg_get_constraintdef(oid)) from pg_constraint
      where connamespace = 'public'::regnamespace
    union all
    select indexdef from pg_indexes where schemaname = 'public'
    order by 1`);
  return rows.map(({ line }) => line);
}

test('the migrations make the tables of the code, to the last constraint', async () => {
  const [migrated, written] = [await emptyDatabase(), await emptyDatabase()];
  await migrateDatabase(migrated, join(import.meta.dirname, 'migrations'));
  const pools = [openPool(migrated), openPool(written)] as const;
  const { generateDrizzleJson, generateMigration } = kit as unknown as Kit;
  const nothing = generateDrizzleJson({});
  for (const statement of await generateMigration(nothing, generateDrizzleJson(await tablesOfCode(), nothing.id)))
    await pools[1].query(statement);
  const [made, wanted] = await Promise.all(pools.map(shapeOf));
  await Promise.all(pools.map((pool) => pool.end()));
  expect(made).toEqual(wanted);
}, 30_000);
