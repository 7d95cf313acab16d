import pg from 'pg';
import { join } from 'node:path';
import { freePort, startThrowawayCluster } from './postgres.mjs';
import { bin, root, runAndCollect } from './run.mjs';
import { loadDemo, startServer, startStandIns } from './server.mjs';

// The tests make more accounts from one address than a household would.
const usual = { SIGN_IN_TRIES: '1000' };
/** Lanes that run side by side, each over a demo garden of its own; they stand in the tests' configuration too. */
const lanes = ['WALKS', 'OUTINGS', 'VIEWS'];

/**
 * Run the tests in the real browser against servers of what was built.
 *
 * @param args - for the test runner: which files
 * @returns exit code and what was printed
 */
export async function runEndToEnd(args = []) {
  const running = [];
  try {
    const cluster = await startThrowawayCluster();
    running.push(cluster);
    const standIns = await startStandIns(await freePort(), await freePort());
    running.push({ stop: () => stopChild(standIns) });
    const env = { ...usual, ...standIns.env };
    const demo = await makeDatabase(cluster.url, 'demo');
    loadDemo(demo, env);
    const servers = { DATABASE_URL: '' };
    for (const lane of lanes) {
      const databaseUrl = await makeDatabase(demo, lane.toLowerCase(), 'demo');
      servers.DATABASE_URL ||= databaseUrl;
      const server = await startServer({ databaseUrl, port: await freePort(), secret: 'a secret that only the tests use, 32 long', env });
      running.push({ stop: () => stopChild(server) });
      servers[`${lane}_URL`] = server.url;
    }
    // Where nothing is yet: what was taken home elsewhere comes back there.
    const empty = await startServer({
      databaseUrl: await makeDatabase(cluster.url, 'empty'),
      port: await freePort(),
      secret: 'a secret that only the tests use, 32 long',
      env,
    });
    running.push({ stop: () => stopChild(empty) });
    servers.EMPTY_URL = empty.url;
    return await runAndCollect(bin('playwright'), ['test', '--config', join(root, 'e2e/playwright.config.ts'), ...args], {
      env: { ...env, ...servers, MAILBOX_URL: standIns.mailbox, NO_COLOR: '1' },
    });
  } finally {
    for (const one of running.reverse()) await one.stop();
  }
}

/** A database more in the same cluster. @param template - what it is a copy of; nobody may be connected to that. @returns its address */
async function makeDatabase(url, name, template = 'template1') {
  const admin = new pg.Client({ connectionString: url.replace(/[^/]*$/, 'postgres') });
  await admin.connect();
  try {
    await admin.query(`create database ${name} template ${template}`);
  } finally {
    await admin.end();
  }
  return url.replace(/[^/]*$/, name);
}

const stopChild = ({ child, ended }) => {
  child.kill();
  return ended;
};
