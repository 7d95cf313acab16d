import { readFileSync } from 'node:fs';
import { join } from 'node:path';
import type { Library } from './entries.js';

/**
 * The library as `npm run library` compiled it last, for tests: reading its own files takes seconds, for each file of tests. `library.test.ts` tells when
 * it is out of date.
 */
export const library = JSON.parse(readFileSync(join(import.meta.dirname, '../generated/index.json'), 'utf8')) as Library;
