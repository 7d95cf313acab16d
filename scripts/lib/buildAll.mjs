import { build } from 'esbuild';
import {
  chmodSync,
  cpSync,
  createReadStream,
  createWriteStream,
  existsSync,
  mkdirSync,
  readdirSync,
  readFileSync,
  rmSync,
  statSync,
  writeFileSync,
} from 'node:fs';
import { createHash } from 'node:crypto';
import { join } from 'node:path';
import { pipeline } from 'node:stream/promises';
import { constants, createBrotliCompress, createGzip } from 'node:zlib';
import { bin, root, run } from './run.mjs';

export const dist = join(root, 'dist');
const stampFile = join(dist, 'stamp');
const sourceFolders = ['apps/server/src', 'apps/stand-ins/src', 'apps/web', 'packages', 'scripts'];

/** Environment that the built server needs to find its own files. */
export const builtFiles = {
  WEB_FOLDER: join(dist, 'web'),
  LIBRARY_FILE: join(dist, 'library.json'),
  MIGRATIONS_FOLDER: join(dist, 'migrations'),
};

const libraryParts = ['diagnosis', 'treatment'];
const generated = (name) => join(root, `packages/library/generated/${name}.json`);

/** Build library, pages and server into dist/, unless nothing has changed since the last build. */
export async function buildAll() {
  const stamp = sourceStamp();
  if (existsSync(stampFile) && readFileSync(stampFile, 'utf8') === stamp) return;
  console.log('Building …');
  rmSync(dist, { recursive: true, force: true });
  mkdirSync(dist, { recursive: true });
  compileLibrary();
  run(bin('ng'), ['build', '--configuration', 'production', '--progress', 'false'], {
    cwd: join(root, 'apps/web'),
    env: { NG_CLI_ANALYTICS: 'false' },
  });
  // What plans are solved with is compiled code of its own, which the pages' worker fetches.
  cpSync(join(root, 'node_modules/highs/build/highs.wasm'), join(builtFiles.WEB_FOLDER, 'highs.wasm'));
  await bundleServiceWorker();
  await precompress(builtFiles.WEB_FOLDER);
  await bundleServers();
  writeFileSync(stampFile, stamp);
}

export function compileLibrary() {
  run(bin('tsx'), ['packages/library/scripts/compile.ts']);
}

/** The service worker with the list of what it keeps: every built file by its hash, and the library. */
async function bundleServiceWorker() {
  const folder = builtFiles.WEB_FOLDER;
  const revision = (path) => createHash('sha256').update(readFileSync(path)).digest('hex').slice(0, 16);
  const files = filesBelow(folder)
    .filter((path) => !path.endsWith('.map') && !makesPdf(path))
    .map((path) => ({ url: path.slice(folder.length), revision: /-[A-Z0-9]{8}\.\w+$/.test(path) ? null : revision(path) }));
  const library = libraryParts.map((part) => ({ url: `/api/v1/library-parts/${part}`, revision: revision(generated(part)) }));
  await build({
    entryPoints: [join(root, 'apps/web/src/offline.worker.ts')],
    outfile: join(folder, 'offline-worker.js'),
    bundle: true,
    minify: true,
    format: 'iife',
    target: 'es2022',
    define: { builtPages: JSON.stringify([...files, ...library]), 'process.env.NODE_ENV': '"production"' },
    logLevel: 'warning',
  });
}

/** What makes PDFs is two megabytes that few want in the field: it is fetched when it is wanted. */
const makesPdf = (path) => path.endsWith('.js') && /Roboto-Regular\.ttf|pdfMake/.test(readFileSync(path, 'utf8'));

async function bundleServers() {
  const server = join(root, 'apps/server/src');
  await build({
    entryPoints: {
      'server/main': join(server, 'main.ts'),
      'server/calcWorker': join(server, 'calc/worker.ts'),
      'server/seasonWorker': join(server, 'season/worker.ts'),
      'server/loadDemo': join(server, 'demo/loadDemoNow.ts'),
      'server/export': join(server, 'archive/exportNow.ts'),
      'server/restore': join(server, 'archive/restoreNow.ts'),
      'stand-ins/main': join(root, 'apps/stand-ins/src/main.ts'),
    },
    outdir: dist,
    outExtension: { '.js': '.mjs' },
    bundle: true,
    splitting: true,
    platform: 'node',
    target: 'node20',
    format: 'esm',
    sourcemap: true,
    // The project's own packages are bundled; those from the registry stay where npm put them.
    plugins: [
      {
        name: 'registry-packages',
        setup: ({ onResolve }) =>
          onResolve({ filter: /^[^./]/ }, ({ path, kind }) =>
            kind === 'entry-point' || path.startsWith('@field-nurse/') || path.startsWith('/') ? undefined : { external: true },
          ),
      },
    ],
    logLevel: 'warning',
  });
  cpSync(join(server, 'db/migrations'), builtFiles.MIGRATIONS_FOLDER, { recursive: true });
  cpSync(generated('index'), builtFiles.LIBRARY_FILE);
  // The largest things that a first visit fetches.
  for (const part of libraryParts)
    await pipeline(
      createReadStream(generated(part)),
      createBrotliCompress({ params: { [constants.BROTLI_PARAM_QUALITY]: 11, [constants.BROTLI_PARAM_LGWIN]: 24 } }),
      createWriteStream(builtFiles.LIBRARY_FILE.replace(/\.json$/, `-${part}.json.br`)),
    );
}

async function precompress(folder) {
  for (const path of filesBelow(folder)) {
    chmodSync(path, 0o644);
    if (!/\.(js|css|html|svg|json|webmanifest)$/.test(path)) continue;
    const brotli = createBrotliCompress({ params: { [constants.BROTLI_PARAM_QUALITY]: 9 } });
    await Promise.all([
      pipeline(createReadStream(path), brotli, createWriteStream(`${path}.br`)),
      pipeline(createReadStream(path), createGzip({ level: 9 }), createWriteStream(`${path}.gz`)),
    ]);
  }
}

function sourceStamp() {
  const hash = createHash('sha256').update(readFileSync(join(root, 'package-lock.json')));
  for (const path of sourceFolders.flatMap((folder) => filesBelow(join(root, folder))).sort()) {
    const { size, mtimeMs } = statSync(path);
    hash.update(`${path} ${size} ${mtimeMs}\n`);
  }
  return hash.digest('hex');
}

function filesBelow(folder) {
  return readdirSync(folder, { withFileTypes: true }).flatMap((entry) => {
    const path = join(folder, entry.name);
    if (entry.isDirectory()) return ['generated', '.angular', 'node_modules', 'dist'].includes(entry.name) ? [] : filesBelow(path);
    return [path];
  });
}
