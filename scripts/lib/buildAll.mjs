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
const sourceFolders = ['apps/server/src', 'apps/web', 'packages', 'scripts'];

/** Environment that the built server needs to find its own files. */
export const builtFiles = {
  WEB_FOLDER: join(dist, 'web'),
  LIBRARY_FILE: join(dist, 'library.json'),
  MIGRATIONS_FOLDER: join(dist, 'migrations'),
};

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
  await precompress(builtFiles.WEB_FOLDER);
  await bundleServer();
  writeFileSync(stampFile, stamp);
}

export function compileLibrary() {
  run(bin('tsx'), ['packages/library/scripts/compile.ts']);
}

async function bundleServer() {
  const server = join(root, 'apps/server/src');
  await build({
    entryPoints: { main: join(server, 'main.ts'), loadDemo: join(server, 'demo/loadDemo.ts') },
    outdir: join(dist, 'server'),
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
  cpSync(join(root, 'packages/library/generated/index.json'), builtFiles.LIBRARY_FILE);
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
