import { join } from 'node:path';
import { dataFolder, installPackages, requireNode } from './setUp.mjs';

/** Run one of the built programs over the project's database, whether a server runs on it or not. */
export async function onDatabase(program) {
  requireNode();
  installPackages();
  const { buildAll, builtFiles, dist } = await import('./buildAll.mjs');
  const { clusterInUse } = await import('./postgres.mjs');
  const { run } = await import('./run.mjs');
  await buildAll();
  const given = process.env.DATABASE_URL;
  const cluster = given ? { url: given, stop: () => {} } : await clusterInUse(join(dataFolder, 'postgres'));
  try {
    run('node', ['--enable-source-maps', join(dist, program), ...process.argv.slice(2)], {
      env: { ...builtFiles, DATABASE_URL: cluster.url, PHOTOS_FOLDER: process.env.PHOTOS_FOLDER ?? join(dataFolder, 'photos') },
    });
  } catch {
    // It has said why.
    process.exitCode = 1;
  } finally {
    cluster.stop();
  }
}
