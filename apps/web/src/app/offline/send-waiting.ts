import type { Stored, Subject, Written } from '@field-nurse/contract';
import { firstValueFrom } from 'rxjs';
import type { Api } from '../api/api';
import { ApiError } from '../api/api-error';
import type { KnownRecord } from '../store/known-record';
import { readRecord, saveRecords } from './garden-copy';
import type { LocalDb } from './local-db';
import { merge } from './merge';
import { isOf } from './waiting';
import type { WaitingPhoto, WaitingWrite } from './waiting';

/** How sending ended: all is sent, there is no answer, or somebody must sign in. */
export type Sending = 'sent' | 'no-answer' | 'sign-in';

type WriteApi = Pick<Api, 'write' | 'sendPhoto' | 'session' | 'health'>;

// A write that others change again and again is tried this often before it is set aside.
const mostMerges = 5;
// In so many sendings, a quarter of a minute apart, the server may fail at one write while it is well otherwise, before that one is set aside.
const mostFailures = 3;
// No answer at all is a matter of signal as a rule: only what never gets through is set aside.
const mostSilences = 40;

/**
 * Send a garden's waiting writes and photos in the order of writing, each once, under the name of who made them. What somebody else changed
 * meanwhile is merged by field; what the server refuses, or fails at again and again, is set aside with its reason, so that the rest goes on.
 *
 * @param standing - called with each record as the server keeps it; also where what was to be sent is refused
 */
export async function sendWaiting(
  db: LocalDb,
  api: WriteApi,
  garden: string,
  standing: (known: KnownRecord) => void | Promise<void>,
): Promise<Sending> {
  if ((await db.writes.where('garden').equals(garden).count()) + (await db.photos.where('garden').equals(garden).count()) === 0)
    return 'sent';
  // Says whose session this is by now, and hands the page the token that belongs to it.
  const session = await firstValueFrom(api.session()).catch(() => undefined);
  if (!session) return 'no-answer';
  if (!session.person) return 'sign-in';
  const mine = isOf(session.person.id);
  const ended = await sendWrites(db, api, garden, mine, standing);
  return ended === 'sent' ? sendPhotos(db, api, garden, mine) : ended;
}

type Mine = ReturnType<typeof isOf>;

async function sendWrites(
  db: LocalDb,
  api: WriteApi,
  garden: string,
  mine: Mine,
  standing: (known: KnownRecord) => void | Promise<void>,
): Promise<Sending> {
  for (let merges = 0; ;) {
    const next = await db.writes.where('garden').equals(garden).filter(mine).first();
    if (!next) return 'sent';
    try {
      const record = await firstValueFrom(
        api.write(garden, next.subject, next.id, { change: next.change, version: next.version, value: next.value as Written<Subject> }),
      );
      await settle(db, next, record);
      await standing({ subject: next.subject, id: next.id, record });
      merges = 0;
    } catch (error) {
      const known = ApiError.from(error);
      if (known.code === 'changed-elsewhere' && known.current && merges++ < mostMerges) {
        const theirs = known.current as Stored<Subject>;
        await mergeInto(db, next, theirs);
        await standing({ subject: next.subject, id: next.id, record: theirs });
        continue;
      }
      merges = 0;
      const verdict = await judge(known, next, api);
      if (verdict === 'failed') await db.writes.update(next.sequence!, { failures: (next.failures ?? 0) + 1 });
      if (verdict !== 'refused') return verdict === 'failed' ? 'no-answer' : verdict;
      await db.transaction('rw', db.writes, db.aside, async () => {
        await db.aside.add({ ...asideOf(next), why: known.message, lost: next.value, write: next });
        await db.writes.delete(next.sequence!);
      });
      const { subject, id, base } = next;
      const record = (await readRecord(db, garden, subject, id)) ?? (base as Stored<Subject> | null);
      await standing({ subject, id, record });
    }
  }
}

async function sendPhotos(db: LocalDb, api: WriteApi, garden: string, mine: Mine): Promise<Sending> {
  for (;;) {
    const next = await db.photos.where('garden').equals(garden).filter(mine).first();
    if (!next) return 'sent';
    try {
      await firstValueFrom(api.sendPhoto(garden, next.id, next.image));
      await db.photos.delete(next.id);
    } catch (error) {
      const known = ApiError.from(error);
      const verdict = await judge(known, next, api);
      if (verdict === 'failed') await db.photos.update(next.id, { failures: (next.failures ?? 0) + 1 });
      if (verdict !== 'refused') return verdict === 'failed' ? 'no-answer' : verdict;
      await db.transaction('rw', db.photos, db.aside, async () => {
        const { id, person, at, image } = next;
        await db.aside.add({ garden, person, subject: 'photos', id, why: known.message, lost: {}, at, image });
        await db.photos.delete(id);
      });
    }
  }
}

/**
 * What an error says of one thing that waits: it is refused; somebody must sign in; nothing can be told yet; or the server failed at just this
 * one while it is well, which is a refusal after some tries.
 */
async function judge(
  { status, code }: ApiError,
  { failures = 0 }: WaitingWrite | WaitingPhoto,
  api: WriteApi,
): Promise<'refused' | 'sign-in' | 'no-answer' | 'failed'> {
  if (status === 401 || (status === 403 && code === 'cross-site')) return 'sign-in';
  if (status === 429 || status === 503) return 'no-answer';
  if (status !== 0 && status < 500) return 'refused';
  const well = await firstValueFrom(api.health()).then(
    () => true,
    () => false,
  );
  if (!well) return 'no-answer';
  return failures + 1 < (status === 0 ? mostSilences : mostFailures) ? 'failed' : 'refused';
}

/** What was sent waits no more: in the same step it enters this device's copy, or a page that is loaded in between would know nothing of it. */
async function settle(db: LocalDb, write: WaitingWrite, record: Stored<Subject>): Promise<void> {
  const { garden, subject, id } = write;
  await db.transaction('rw', db.writes, db.gardens, db.records, async () => {
    await saveRecords(db, garden, [{ subject, id, record }]);
    await db.writes.delete(write.sequence!);
  });
}

/** Later writes to the same record keep the version that they were made from: they meet the merged record and are merged in turn. */
async function mergeInto(db: LocalDb, mine: WaitingWrite, theirs: Stored<Subject>): Promise<void> {
  const { value, lost } = merge(mine.base, mine.value, theirs);
  await db.transaction('rw', db.writes, db.aside, async () => {
    if (Object.keys(lost).length > 0)
      await db.aside.add({ ...asideOf(mine), why: 'Somebody else had changed the same by then; theirs stands.', lost });
    await db.writes.update(mine.sequence!, { value, version: theirs.version, base: theirs as never, change: crypto.randomUUID() });
  });
}

const asideOf = ({ garden, person, subject, id, at }: WaitingWrite) => ({ garden, person, subject, id, at });
