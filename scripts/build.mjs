import { buildAll } from './lib/buildAll.mjs';

await buildAll();
