import { execFileSync } from 'node:child_process';
import { mkdtempSync, readFileSync, rmSync, writeFileSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';

const root = join(import.meta.dirname, '../../..');
const bytesFile = join(import.meta.dirname, '../src/season/seriesBytes.ts');

/**
 * The loop of `wasm/series.ts`, compiled.
 *
 * @returns base64
 * @throws Error with what the compiler says of it
 */
export function compileSeries(): string {
  const folder = mkdtempSync(join(tmpdir(), 'field-nurse-series-'));
  try {
    // By its command: imported, the compiler would bring types of its own for everything else.
    const outFile = join(folder, 'series.wasm');
    const options = ['--runtime', 'stub', '-O3', '--noAssert', '--outFile', outFile];
    execFileSync(join(root, 'node_modules/.bin/asc'), [join(import.meta.dirname, '../wasm/series.ts'), ...options]);
    return readFileSync(outFile).toString('base64');
  } finally {
    rmSync(folder, { recursive: true });
  }
}

if (process.argv[1] === import.meta.filename)
  writeFileSync(
    bytesFile,
    `/** \`wasm/series.ts\` as \`npm run wasm\` compiled it. */\nexport const seriesBytes =\n  '${compileSeries()}';\n`,
  );
