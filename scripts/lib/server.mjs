import { spawn } from 'node:child_process';
import { randomBytes } from 'node:crypto';
import { existsSync, readFileSync, writeFileSync } from 'node:fs';
import { join } from 'node:path';
import { builtFiles, dist } from './buildAll.mjs';
import { root, run } from './run.mjs';

/** The secret that signs cookies, made once and kept. */
export function sessionSecret(folder) {
  const file = join(folder, 'session-secret');
  if (!existsSync(file)) writeFileSync(file, randomBytes(32).toString('hex'), { mode: 0o600 });
  return readFileSync(file, 'utf8');
}

/** Load the demo garden, if it is not there. */
export function loadDemo(databaseUrl) {
  run('node', ['--enable-source-maps', join(dist, 'server/loadDemo.mjs')], { env: { ...builtFiles, DATABASE_URL: databaseUrl } });
}

/** Start the built server and wait until it answers. */
export async function startServer({ databaseUrl, port, secret, logLevel = 'warn', env = {} }) {
  const child = spawn('node', ['--enable-source-maps', join(dist, 'server/main.mjs')], {
    cwd: root,
    stdio: 'inherit',
    env: {
      ...process.env,
      ...builtFiles,
      DATABASE_URL: databaseUrl,
      PORT: String(port),
      SESSION_SECRET: secret,
      LOG_LEVEL: logLevel,
      ...env,
    },
  });
  const ended = new Promise((resolve) => child.once('exit', resolve));
  const url = `http://127.0.0.1:${port}`;
  for (let tries = 0; tries < 150; tries++) {
    if (child.exitCode !== null) throw new Error('The server stopped while it started; its last lines say why.');
    if (await answers(`${url}/api/health`)) return { url, child, ended };
    await new Promise((resolve) => setTimeout(resolve, 100));
  }
  child.kill();
  throw new Error(`The server does not answer on ${url}.`);
}

async function answers(address) {
  try {
    return (await fetch(address)).ok;
  } catch {
    return false;
  }
}
