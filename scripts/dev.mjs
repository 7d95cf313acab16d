import { spawn } from 'node:child_process';
import { join } from 'node:path';
import { bin, root } from './lib/run.mjs';
import { dataFolder, installPackages, requireNode } from './lib/setUp.mjs';

requireNode();
installPackages();
const { buildAll, builtFiles } = await import('./lib/buildAll.mjs');
const { freePort, startCluster } = await import('./lib/postgres.mjs');
const { loadDemo, sessionSecret, startStandIns } = await import('./lib/server.mjs');

await buildAll();
const cluster = await startCluster(join(dataFolder, 'postgres'));
const standIns = await startStandIns(await freePort(), await freePort());
loadDemo(cluster.url, standIns.env);
const env = {
  ...process.env,
  ...builtFiles,
  DATABASE_URL: cluster.url,
  SESSION_SECRET: sessionSecret(dataFolder),
  PHOTOS_FOLDER: join(dataFolder, 'photos'),
  ...standIns.env,
};
const server = spawn(bin('tsx'), ['watch', 'apps/server/src/main.ts'], { cwd: root, stdio: 'inherit', env });
const pages = spawn(bin('ng'), ['serve', '--proxy-config', 'proxy.json'], { cwd: join(root, 'apps/web'), stdio: 'inherit', env });
const end = () => {
  server.kill();
  pages.kill();
  standIns.child.kill();
  cluster.stop();
  process.exit(0);
};
process.on('SIGINT', end);
process.on('SIGTERM', end);
