import { installPackages, requireChromium, requireNode } from './lib/setUp.mjs';

requireNode();
installPackages();
requireChromium();
const { buildAll } = await import('./lib/buildAll.mjs');
const { runEndToEnd } = await import('./lib/endToEnd.mjs');

await buildAll();
process.exit((await runEndToEnd(process.argv.slice(2))).code);
