import { join } from 'node:path';
import { onlyOne } from './lib/onlyOne.mjs';
import { giveUp } from './lib/run.mjs';
import { dataFolder, installPackages, requireNode } from './lib/setUp.mjs';

requireNode();
onlyOne(join(dataFolder, 'running'));
installPackages();

// These need the packages that were just installed.
const { buildAll } = await import('./lib/buildAll.mjs');
const { freePort, portSoonFree, startCluster } = await import('./lib/postgres.mjs');
const { loadDemo, sessionSecret, startServer, startStandIns } = await import('./lib/server.mjs');

const photosFolder = process.env.PHOTOS_FOLDER ?? join(dataFolder, 'photos');

const withDemo = !process.argv.includes('--empty');
const port = Number(process.env.PORT ?? 4310);
if (!Number.isInteger(port) || port < 1 || port > 65535) giveUp(`PORT is a number from 1 to 65535, and not ${process.env.PORT}.`);
await portSoonFree(port).catch(() => giveUp(`Port ${port} is taken. Choose another:  PORT=${port + 1} npm start`));

await buildAll();
const cluster = process.env.DATABASE_URL
  ? { url: process.env.DATABASE_URL, stop: () => {} }
  : await startCluster(join(dataFolder, 'postgres'));
let stopping = false;
let server;
let standIns;
const stop = async (code) => {
  if (stopping) return;
  stopping = true;
  server?.child.kill('SIGTERM');
  standIns?.child.kill('SIGTERM');
  await Promise.all([server?.ended, standIns?.ended]);
  cluster.stop();
  process.exit(code);
};
for (const signal of ['SIGINT', 'SIGTERM', 'SIGHUP']) process.on(signal, () => void stop(0));

try {
  standIns = await startStandIns(await freePort(), await freePort());
  // Services of your own go before the simulated ones.
  const own = ['WEATHER_STATIONS_URL', 'CLINICS_URL', 'LABEL_REGISTER_URL', 'SMTP_URL']
    .filter((name) => process.env[name])
    .map((name) => [name, process.env[name]]);
  const env = { ...standIns.env, ...Object.fromEntries(own) };
  if (withDemo) loadDemo(cluster.url, env);
  server = await startServer({ databaseUrl: cluster.url, port, secret: sessionSecret(dataFolder), photosFolder, env });
  console.log(`\nField Nurse is at ${server.url}`);
  if (withDemo) console.log('Demo garden: sign in as  wren@osier-reach.example  with  willow-and-water');
  if (!process.env.SMTP_URL) console.log(`Letters that it sends can be read at ${standIns.mailbox}`);
  console.log('Ctrl-C stops it; your data stays in .data/\n');
  void server.ended.then(() => stop(stopping ? 0 : 1));
} catch (error) {
  console.error(error.message);
  await stop(1);
}
