import { spawnSync } from 'node:child_process';
import { buildAll } from './lib/buildAll.mjs';
import { freePort, startThrowawayCluster } from './lib/postgres.mjs';
import { loadDemo, startServer, startStandIns } from './lib/server.mjs';
import { bin, root } from './lib/run.mjs';
if (!process.env.NO_BUILD) await buildAll();
const standIns = await startStandIns(await freePort(), await freePort());
const demo = async () => {
  const { url } = await startThrowawayCluster();
  const env = { SIGN_IN_TRIES: '1000', ...standIns.env };
  loadDemo(url, env);
  const server = await startServer({ databaseUrl: url, port: await freePort(), secret: 'a secret that only the tests use, 32 long', env });
  return { url: server.url, databaseUrl: url, env };
};
const walks = await demo();
const views = process.argv.includes('views') || process.argv.length === 2 ? await demo() : walks;
const r = spawnSync(bin('playwright'), ['test', '--config', root + '/e2e/playwright.config.ts', ...process.argv.slice(2)], {
  cwd: root,
  stdio: 'inherit',
  env: {
    ...process.env,
    ...walks.env,
    BASE_URL: walks.url,
    DATABASE_URL: walks.databaseUrl,
    VIEWS_URL: views.url,
    MAILBOX_URL: standIns.mailbox,
    NO_COLOR: '1',
  },
});
process.exit(r.status);
