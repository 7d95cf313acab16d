import { endpoints } from '@field-nurse/contract';
import type Router from '@koa/router';
import { and, eq } from 'drizzle-orm';
import getRawBody from 'raw-body';
import { ApiError, notFound } from '../http/apiError.js';
import { serve } from '../api/serve.js';
import type { Deps } from '../deps.js';
import { takeTurn } from '../records/changeLog.js';
import { refuseBeyondQuota } from '../records/quotas.js';
import { gardens } from '../gardens/tables.js';
import { cleanPhoto } from './cleanPhoto.js';
import { readPhoto, readSmallPhoto, writePhoto } from './photoFiles.js';
import { photos } from './tables.js';

const { maxBytes } = endpoints.writePhoto.upload;
const dayMs = 24 * 60 * 60 * 1000;

/** Photos of a garden. A photo that was already kept under its id is kept once. */
export function photoRoutes(router: Router, deps: Deps): void {
  const { db, photoFiles } = deps;
  const row = ({ garden, photo }: { garden: string; photo: string }) => and(eq(photos.gardenId, garden), eq(photos.id, photo));

  serve(router, deps, endpoints.writePhoto, async ({ params, access, ctx }) => {
    const [kept] = await db.select({ id: photos.id, width: photos.width, height: photos.height }).from(photos).where(row(params));
    const file = await getRawBody(ctx.req, { limit: maxBytes, length: ctx.req.headers['content-length'] ?? null }).catch(
      (error: { status?: number }) => {
        if (error.status === 413) throw new ApiError(413, 'too-large', `A photo may have up to ${maxBytes / 1e6} megabytes.`);
        throw new ApiError(400, 'cut-off', 'The photo did not arrive whole. Send it again.');
      },
    );
    if (kept) return kept;
    const { image, width, height } = await cleanPhoto(file);
    const { garden: gardenId, photo: id } = params;
    await db.transaction(async (tx) => {
      const garden = await takeTurn(tx, gardenId);
      const [photoCount, photoBytes] = [garden.photoCount + 1, garden.photoBytes + image.length];
      refuseBeyondQuota(access.person!.email === null ? 'visitorPhotos' : 'photos', photoCount);
      refuseBeyondQuota('photoBytes', photoBytes);
      const added = await tx
        .insert(photos)
        .values({ gardenId, id, width, height, personId: access.person!.id, addedAt: deps.now() })
        .onConflictDoNothing()
        .returning({ id: photos.id });
      if (added.length === 0) return;
      await tx.update(gardens).set({ photoCount, photoBytes }).where(eq(gardens.id, gardenId));
      await writePhoto(photoFiles, gardenId, id, image);
    });
    return { id, width, height };
  });

  serve(router, deps, endpoints.photo, async ({ params: { garden, photo }, query: { size }, ctx }) => {
    const image = await (size === 'small' ? readSmallPhoto : readPhoto)(db, photoFiles, garden, photo);
    if (!image) throw notFound('This photo');
    ctx.type = endpoints.photo.answerType;
    ctx.set('Cache-Control', `private, max-age=${(365 * dayMs) / 1000}, immutable`);
    return image;
  });
}
