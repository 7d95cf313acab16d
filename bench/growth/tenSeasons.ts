import type { Session } from '@field-nurse/contract';
import { randomUUID } from 'node:crypto';
import { mkdtempSync, readFileSync, rmSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { Pool } from 'pg';
import { ApiClient } from '../../apps/server/src/demo/apiClient';
import { settings } from '../../apps/server/src/testRecords';
import { freePort, startThrowawayCluster } from '../../scripts/lib/postgres.mjs';
import { startServer } from '../../scripts/lib/server.mjs';
import { fillSeasons } from './fillSeasons';

export const account = { email: 'wren@bench.example', password: 'a row of willows by the water' };

/** A garden of ten seasons with 200 plantings each on a server of its own: what has to be fast in it is measured there. */
export async function tenSeasons() {
  const cluster = (await startThrowawayCluster()) as { readonly url: string; stop: () => void };
  const photosFolder = mkdtempSync(join(tmpdir(), 'field-nurse-bench-'));
  const server = await startServer({
    photosFolder,
    databaseUrl: cluster.url,
    port: Number(await freePort()),
    secret: 'a secret that only the bench uses, 32 long',
    env: { SIGN_IN_TRIES: '1000' },
  });
  const pool = new Pool({ connectionString: cluster.url });
  const owner = new ApiClient(server.url);
  await owner.signUp({ name: 'Wren', ...account });
  const { person } = await owner.send<Session>('get', '/api/v1/session');
  const garden = randomUUID();
  await owner.send('post', '/api/v1/gardens', { id: garden, settings: { ...settings, name: 'Ten seasons' } });
  const size = { seasons: 10, plantingsPerSeason: 200, roundsPerSeason: 50, stopsPerRound: 100, casesPerSeason: 40 };
  await fillSeasons(pool, garden, person!.id, size, new Date().getUTCFullYear());
  return {
    server,
    pool,
    owner,
    garden,
    photosFolder,
    /** resident memory of the server, in megabytes */
    residentMb: () => Number(/VmRSS:\s+(\d+)/.exec(readFileSync(`/proc/${server.child.pid}/status`, 'utf8'))?.[1] ?? 0) / 1024,
    stop: async () => {
      await pool.end();
      server.child.kill();
      await server.ended;
      cluster.stop();
      rmSync(photosFolder, { recursive: true });
    },
  };
}
