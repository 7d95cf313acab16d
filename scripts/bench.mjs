import { readFileSync } from 'node:fs';
import { join } from 'node:path';
import { brotliCompressSync, constants, gzipSync } from 'node:zlib';
import { bin, root, run } from './lib/run.mjs';
import { installPackages, requireNode } from './lib/setUp.mjs';

requireNode();
installPackages();
const { buildAll, builtFiles, dist } = await import('./lib/buildAll.mjs');

await buildAll();
run(bin('ng'), ['build', '--progress', 'false'], { cwd: join(root, 'bench/bare-page'), env: { NG_CLI_ANALYTICS: 'false' }, quiet: true });

/** Scripts and styles that a page loads before it can show anything, fonts aside: what index.html names and what that imports. */
function initialFiles(folder) {
  const read = (name) => readFileSync(join(folder, name), 'utf8');
  const named = [...read('index.html').matchAll(/(?:href|src)="([\w-]+\.(?:js|css))"/g)].map(([, name]) => name);
  const files = new Set();
  const add = (name) => {
    if (files.has(name)) return;
    files.add(name);
    if (name.endsWith('.js')) for (const [, next] of read(name).matchAll(/(?:from|import)\s*"\.\/([\w-]+\.js)"/g)) add(next);
  };
  named.forEach(add);
  return [...files].map((name) => readFileSync(join(folder, name)));
}

function initialTransfer(folder) {
  const files = initialFiles(folder);
  const sum = (size) => files.reduce((so, file) => so + size(file), 0);
  return {
    raw: sum((file) => file.length),
    gzip: sum((file) => gzipSync(file, { level: 9 }).length),
    brotli: sum((file) => brotliCompressSync(file, { params: { [constants.BROTLI_PARAM_QUALITY]: 11 } }).length),
  };
}

const bare = initialTransfer(join(dist, 'bare-page'));
const product = initialTransfer(builtFiles.WEB_FOLDER);
const bytes = (value) => value.toLocaleString('en').padStart(9);
console.log('\nInitial transfer, bytes                raw      gzip    brotli');
console.log(`baseline: bare page            ${bytes(bare.raw)} ${bytes(bare.gzip)} ${bytes(bare.brotli)}`);
console.log(`Field Nurse                    ${bytes(product.raw)} ${bytes(product.gzip)} ${bytes(product.brotli)}`);
const ratio = (name) => `${(product[name] / bare[name]).toFixed(2)} ×`.padStart(9);
console.log(`ratio                          ${ratio('raw')} ${ratio('gzip')} ${ratio('brotli')}\n`);
run('node', ['bench/burst.mjs']);
run(bin('tsx'), ['bench/growth/growth.ts']);
run(bin('tsx'), ['bench/differential.ts']);
run(bin('tsx'), ['bench/descriptions.ts']);
run(bin('tsx'), ['bench/calibration.ts']);
run(bin('tsx'), ['bench/leafGauge.ts']);
