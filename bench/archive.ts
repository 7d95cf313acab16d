import { randomUUID } from 'node:crypto';
import sharp from 'sharp';
import { folderStore } from '../apps/server/src/photos/fileStore';
import { writePhoto } from '../apps/server/src/photos/photoFiles';
import { tenSeasons } from './growth/tenSeasons';

// A garden of ten seasons with 1,000 photos is taken home and brought back: how long, and in how much memory. Wanted: 60 s together, 300 MB.

const photos = 1000;

const { server, pool, owner, garden, photosFolder, residentMb, stop } = await tenSeasons();
try {
  // Noise does not compress: each is as large as a photo of a leaf.
  const noise = await sharp({
    create: { width: 800, height: 600, channels: 3, background: '#6a8f5c', noise: { type: 'gaussian', mean: 128, sigma: 40 } },
  })
    .jpeg({ quality: 70 })
    .toBuffer();
  const [{ person }] = (await pool.query<{ person: string }>('select id as person from people limit 1')).rows as [{ person: string }];
  const added = await pool.query<{ id: string }>(
    `insert into photos (garden_id, id, width, height, person_id, added_at)
     select $1, gen_random_uuid(), 800, 600, $2, now() from generate_series(1, ${photos}) returning id`,
    [garden, person],
  );
  const files = folderStore(photosFolder);
  for (const { id } of added.rows) await writePhoto(files, garden, id, noise);
  await pool.query('update gardens set photo_count = $2, photo_bytes = $3 where id = $1', [garden, photos, photos * noise.length]);
  const [rows] = (await pool.query<{ count: string }>('select count(*) from changes where garden_id = $1', [garden])).rows;
  console.log(
    `${rows!.count} changes, ${photos} photos of ${(noise.length / 1000).toFixed(0)} kB; server at rest: ${residentMb().toFixed(0)} MB`,
  );
  let peak = 0;
  const watch = setInterval(() => (peak = Math.max(peak, residentMb())), 20);

  let began = performance.now();
  const answer = await fetch(`${server.url}/api/v1/gardens/${garden}/download`, { headers: { Cookie: owner.cookies() } });
  const zip = new Uint8Array(await answer.arrayBuffer());
  console.log(`taken home: ${seconds(began)} s, ${(zip.length / 1e6).toFixed(0)} MB, most ${peak.toFixed(0)} MB of memory`);

  peak = 0;
  began = performance.now();
  const as = randomUUID();
  const back = await owner.sendFile<{ records: number; photos: number }>(`/api/v1/restore?as=${as}`, zip, 'application/zip', 'post');
  console.log(`brought back: ${seconds(began)} s, ${back.records} records, ${back.photos} photos, most ${peak.toFixed(0)} MB of memory`);
  clearInterval(watch);
} finally {
  await stop();
}

function seconds(since: number): string {
  return ((performance.now() - since) / 1000).toFixed(1);
}
