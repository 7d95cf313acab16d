import { spawn, spawnSync } from 'node:child_process';
import { existsSync, mkdirSync, mkdtempSync, readdirSync, rmSync, writeFileSync, chmodSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';

// The start command: killed at any moment or started twice, the next start is whole.

let folder: string;
beforeEach(() => {
  folder = mkdtempSync(join(tmpdir(), 'field-nurse-starts-'));
  chmodSync(folder, 0o755);
});
afterEach(() => rmSync(folder, { recursive: true, force: true }));

describe('one start at a time', () => {
  const lock = () => join(folder, 'running');
  const start = () => {
    const module = join(import.meta.dirname, 'lib/onlyOne.mjs');
    const script = `(await import(${JSON.stringify(module)})).onlyOne(${JSON.stringify(lock())}); console.log('started');`;
    return spawnSync('node', ['--input-type=module', '-e', script], { encoding: 'utf8' });
  };

  test('a second one is refused with one line, while the first runs', () => {
    const first = spawn('node', ['-e', 'setTimeout(() => {}, 60000)', 'start.mjs']);
    try {
      writeFileSync(lock(), String(first.pid));
      const { status, stderr } = start();
      expect(status).toBe(1);
      expect(stderr.trim()).toMatch(/^Field Nurse runs already in this folder \(process \d+\)\. .*$/);
    } finally {
      first.kill('SIGKILL');
    }
  });

  test('one that was killed does not count, nor another program that has its number by now; what ends leaves nothing', () => {
    for (const left of ['4194301', String(process.pid), '', 'no number']) {
      writeFileSync(lock(), left);
      expect(start()).toMatchObject({ status: 0, stdout: 'started\n' });
      expect(existsSync(lock())).toBe(false);
    }
  });
});

test('a first start that was killed in the middle of making the database leaves nothing in the way of the next', async () => {
  const { startCluster } = (await import('./lib/postgres.mjs')) as unknown as {
    startCluster(folder: string, how: object): Promise<{ url: string; stop(): void }>;
  };
  // As versions before left it, and as this one does.
  mkdirSync(join(folder, 'cluster/base'), { recursive: true });
  writeFileSync(join(folder, 'password'), '');
  mkdirSync(join(folder, 'new-4194301/cluster'), { recursive: true });
  const cluster = await startCluster(folder, { throwaway: true });
  try {
    const { Client } = await import('pg');
    const client = new Client({ connectionString: cluster.url });
    await client.connect();
    const { rows } = await client.query<{ usesuper: boolean }>('select usesuper from pg_user where usename = current_user');
    await client.end();
    expect(rows).toEqual([{ usesuper: false }]);
    expect(readdirSync(folder).filter((name) => name.startsWith('new-'))).toEqual([]);
  } finally {
    cluster.stop();
  }
}, 60_000);
