import type { Library } from '@field-nurse/library';
import { readFileSync } from 'node:fs';
import { join } from 'node:path';

const built = join(import.meta.dirname, '../../../../../packages/library/generated/index.json');
/** The reference library as it ships; `npm run library` builds it. */
export const reference = JSON.parse(readFileSync(built, 'utf8')) as Library;
