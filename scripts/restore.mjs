import { onDatabase } from './lib/onDatabase.mjs';

await onDatabase('server/restore.mjs');
