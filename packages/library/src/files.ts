import { readdirSync, readFileSync } from 'node:fs';
import { join } from 'node:path';
import { parse } from 'yaml';
import { z } from 'zod';
import * as entries from './entries.js';
import type { Library } from './entries.js';

const version = '2026.11';

/**
 * Read and validate every data file of the reference library.
 *
 * @param folder - the `data` folder
 * @throws Error that names the file and each faulty field
 */
export function readLibrary(folder: string): Library {
  return {
    version,
    hosts: readLists(join(folder, 'hosts'), entries.host),
    signs: readLists(join(folder, 'signs'), entries.sign),
    conditions: readSingles(join(folder, 'conditions'), entries.condition),
    interventions: readLists(join(folder, 'interventions'), entries.intervention),
    checks: readLists(join(folder, 'checks'), entries.check),
    tasks: readLists(join(folder, 'tasks'), entries.task),
    seasonModels: readSingles(join(folder, 'season-models'), entries.seasonModel),
    companions: readLists(join(folder, 'companions'), entries.companion),
    regions: readSingles(join(folder, 'regions'), entries.region),
    languages: readSingles(join(folder, 'languages'), entries.language),
  };
}

function readLists<T extends z.ZodType>(folder: string, schema: T): z.infer<T>[] {
  return yamlFiles(folder).flatMap((file) => parseFile(file, z.array(schema)));
}

function readSingles<T extends z.ZodType>(folder: string, schema: T): z.infer<T>[] {
  return yamlFiles(folder).map((file) => parseFile(file, schema));
}

function yamlFiles(folder: string): string[] {
  return readdirSync(folder)
    .filter((name) => name.endsWith('.yaml'))
    .sort()
    .map((name) => join(folder, name));
}

function parseFile<T extends z.ZodType>(file: string, schema: T): z.infer<T> {
  const result = schema.safeParse(parse(readFileSync(file, 'utf8')));
  if (result.success) return result.data;
  throw new Error(`${file}\n${z.prettifyError(result.error)}`);
}
