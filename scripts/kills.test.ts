import { randomUUID } from 'node:crypto';
import { chmodSync, mkdtempSync, rmSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { ApiClient } from '../apps/server/src/demo/apiClient';
import { bed, settings } from '../apps/server/src/testRecords';

// The built server over a PostgreSQL that syncs to disk, both killed again and again: what was acknowledged is there, once.

interface Running {
  readonly url: string;
  readonly child: { kill(signal?: string): boolean };
  readonly ended: Promise<unknown>;
}
interface Cluster {
  readonly url: string;
  stop(): void;
  killHard(): void;
}

test('a thousand acknowledged writes outlive the killing of the server and of its database', async () => {
  const { freePort, startCluster } = (await import('./lib/postgres.mjs')) as unknown as {
    freePort(): Promise<number>;
    startCluster(folder: string): Promise<Cluster>;
  };
  const { startServer } = (await import('./lib/server.mjs')) as unknown as {
    startServer(how: { databaseUrl: string; port: number; secret: string; logLevel: string }): Promise<Running>;
  };
  const folder = mkdtempSync(join(tmpdir(), 'field-nurse-kills-'));
  chmodSync(folder, 0o755);
  let cluster = await startCluster(folder);
  const [port, secret] = [await freePort(), randomUUID() + randomUUID()];
  const start = () => startServer({ databaseUrl: cluster.url, port, secret, logLevel: 'fatal' });
  let server = await start();
  try {
    const client = new ApiClient(server.url);
    await client.signUp({ name: 'Wren', email: 'wren@test.example', password: 'long enough words' });
    const garden = randomUUID();
    await client.send('post', '/api/v1/gardens', { id: garden, settings });

    const acknowledged = new Map<string, string>();
    let wanted = 0;
    let stopped = false;
    /** Write one record after the other, each until it is acknowledged, whatever happens to the other side meanwhile. */
    const writer = async () => {
      while (!stopped && wanted++ < 1000) {
        const [id, change, name] = [randomUUID(), randomUUID(), `Bed ${wanted}`];
        const body = { change, version: 0, value: { ...bed, name } };
        while (!stopped) {
          const status = await client.status('put', `/api/v1/gardens/${garden}/places/${id}`, body).catch(() => 0);
          if (status === 200) break;
          if (status !== 0 && status < 500) throw new Error(`A write was refused with ${status}.`);
          await new Promise((resolve) => setTimeout(resolve, 50));
        }
        if (!stopped) acknowledged.set(id, name);
      }
    };
    const writers = Promise.all([writer(), writer(), writer(), writer()]).finally(() => (stopped = true));
    for (let kill = 0; kill < 6 && !stopped; kill++) {
      const before = acknowledged.size;
      while (!stopped && acknowledged.size < before + 120) await new Promise((resolve) => setTimeout(resolve, 10));
      if (kill % 2 === 0) {
        server.child.kill('SIGKILL');
        await server.ended;
      } else {
        server.child.kill('SIGKILL');
        cluster.killHard();
        await server.ended;
        cluster = await startCluster(folder);
      }
      server = await start();
    }
    await writers;
    const { places } = await client.send<{ places: { id: string; name: string; version: number }[] }>('get', `/api/v1/gardens/${garden}`);
    expect(acknowledged.size).toBe(1000);
    expect(new Map(places.map(({ id, name }) => [id, name]))).toEqual(acknowledged);
    expect(places.every(({ version }) => version === 1)).toBe(true);
  } finally {
    // Asked to, it stops by itself.
    server.child.kill('SIGTERM');
    await server.ended;
    cluster.stop();
    rmSync(folder, { recursive: true, force: true });
  }
}, 180_000);
