import { spawn } from 'node:child_process';
import { randomBytes } from 'node:crypto';
import { existsSync, mkdtempSync, readFileSync, rmSync, writeFileSync } from 'node:fs';
import { tmpdir } from 'node:os';
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
export function loadDemo(databaseUrl, env = {}) {
  run('node', ['--enable-source-maps', join(dist, 'server/loadDemo.mjs')], { env: { ...builtFiles, DATABASE_URL: databaseUrl, ...env } });
}

/** Start the simulated outside world. `env` tells the server where it is. */
export async function startStandIns(port, smtpPort) {
  const child = startNode('stand-ins/main.mjs', { STAND_INS_PORT: String(port), STAND_INS_SMTP_PORT: String(smtpPort) });
  const url = `http://127.0.0.1:${port}`;
  await untilItAnswers(child, `${url}/health`, 'The stand-ins');
  const env = { WEATHER_STATIONS_URL: url, CLINICS_URL: url, LABEL_REGISTER_URL: url, SMTP_URL: `smtp://127.0.0.1:${smtpPort}` };
  return { child, ended: endOf(child), env, mailbox: `${url}/mailbox` };
}

/** Start the built server and wait until it answers. Where its photos have no folder, they go with the server. */
export async function startServer({ databaseUrl, port, secret, photosFolder = '', logLevel = 'warn', env = {} }) {
  const folder = photosFolder || mkdtempSync(join(tmpdir(), 'field-nurse-photos-'));
  const child = startNode('server/main.mjs', {
    ...builtFiles,
    DATABASE_URL: databaseUrl,
    PORT: String(port),
    SESSION_SECRET: secret,
    PHOTOS_FOLDER: folder,
    LOG_LEVEL: logLevel,
    ...env,
  });
  const url = `http://127.0.0.1:${port}`;
  await untilItAnswers(child, `${url}/api/health`, 'The server');
  const ended = endOf(child).then(() => photosFolder || rmSync(folder, { recursive: true, force: true }));
  return { url, child, ended };
}

/** With a line to this process: when this one is killed, the line breaks, and what it started stops by itself. */
const startNode = (file, env) =>
  spawn('node', ['--enable-source-maps', join(dist, file)], {
    cwd: root,
    stdio: ['inherit', 'inherit', 'inherit', 'ipc'],
    env: { ...process.env, ...env },
  });

const endOf = (child) =>
  child.exitCode === null && child.signalCode === null ? new Promise((resolve) => child.once('exit', resolve)) : Promise.resolve();

async function untilItAnswers(child, address, name) {
  for (let tries = 0; tries < 150; tries++) {
    if (child.exitCode !== null) throw new Error(`${name} stopped at the start; the last lines say why.`);
    if (await answers(address)) return;
    await new Promise((resolve) => setTimeout(resolve, 100));
  }
  child.kill();
  throw new Error(`${name} did not answer at ${address}.`);
}

async function answers(address) {
  try {
    return (await fetch(address)).ok;
  } catch {
    return false;
  }
}
