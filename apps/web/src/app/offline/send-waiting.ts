import type { Stored, Subject, Written } from '@field-nurse/contract';
import { firstValueFrom } from 'rxjs';
import type { Api } from '../api/api';
import { ApiError } from '../api/api-error';
import type { LocalDb } from './local-db';
import { merge } from './merge';
import { withRecord } from './overlay';
import type { SetAside, WaitingWrite } from './waiting';

/** How sending ended: all is sent, there is no answer, or somebody must sign in. */
export type Sending = 'sent' | 'no-answer' | 'sign-in';

type WriteApi = Pick<Api, 'write' | 'sendPhoto'>;

// A write that others change again and again is tried this often before it is set aside.
const mostMerges = 5;

/**
 * Send a garden's waiting writes and photos in the order of writing, each once. What somebody else changed meanwhile is merged by field; what the
 * server refuses is set aside with its reason, so that the rest goes on.
 *
 * @param stored - called with each record as the server keeps it
 */
export async function sendWaiting(
  db: LocalDb,
  api: WriteApi,
  garden: string,
  stored: (subject: Subject, record: Stored<Subject>) => void,
): Promise<Sending> {
  for (let merges = 0; ;) {
    const next = await db.writes.where('garden').equals(garden).first();
    if (!next) break;
    try {
      const record = await firstValueFrom(
        api.write(garden, next.subject, next.id, { change: next.change, version: next.version, value: next.value as Written<Subject> }),
      );
      await settle(db, next, record);
      stored(next.subject, record);
      merges = 0;
    } catch (error) {
      const known = ApiError.from(error);
      if (cannotTellYet(known)) return known.status === 401 ? 'sign-in' : 'no-answer';
      if (known.code === 'changed-elsewhere' && known.current && merges++ < mostMerges) {
        const theirs = known.current as Stored<Subject>;
        await mergeInto(db, next, theirs);
        stored(next.subject, theirs);
      } else {
        await setAside(db, next, known.message, next.value);
        merges = 0;
      }
    }
  }
  return sendPhotos(db, api, garden);
}

/** What was sent waits no more: in the same step it enters this device's copy, or a page that is loaded in between would know nothing of it. */
async function settle(db: LocalDb, write: WaitingWrite, record: Stored<Subject>): Promise<void> {
  await db.transaction('rw', db.writes, db.gardens, async () => {
    const copy = await db.gardens.get(write.garden);
    if (copy) await db.gardens.put({ ...copy, contents: withRecord(copy.contents, write.subject, record) });
    await db.writes.delete(write.sequence!);
  });
}

/** No answer, a server that is not itself, too many at once, or nobody signed in: try again later, nothing is decided. */
const cannotTellYet = ({ status }: ApiError) => status === 0 || status >= 500 || status === 429 || status === 401;

/** Later writes to the same record keep the version that they were made from: they meet the merged record and are merged in turn. */
async function mergeInto(db: LocalDb, mine: WaitingWrite, theirs: Stored<Subject>): Promise<void> {
  const { value, lost } = merge(mine.base, mine.value, theirs as unknown as Record<string, unknown>);
  await db.transaction('rw', db.writes, db.aside, async () => {
    if (Object.keys(lost).length > 0) await db.aside.add(aside(mine, 'Somebody else had changed the same by then; theirs stands.', lost));
    await db.writes.update(mine.sequence!, { value, version: theirs.version, base: theirs as never, change: crypto.randomUUID() });
  });
}

async function setAside(db: LocalDb, write: WaitingWrite, why: string, lost: WaitingWrite['value']): Promise<void> {
  await db.transaction('rw', db.writes, db.aside, async () => {
    await db.aside.add(aside(write, why, lost));
    await db.writes.delete(write.sequence!);
  });
}

const aside = ({ garden, subject, id, at }: WaitingWrite, why: string, lost: WaitingWrite['value']): SetAside => ({
  garden,
  subject,
  id,
  why,
  lost,
  at,
});

async function sendPhotos(db: LocalDb, api: WriteApi, garden: string): Promise<Sending> {
  for (;;) {
    const next = await db.photos.where('garden').equals(garden).first();
    if (!next) return 'sent';
    try {
      await firstValueFrom(api.sendPhoto(garden, next.id, next.image));
    } catch (error) {
      const known = ApiError.from(error);
      if (cannotTellYet(known)) return known.status === 401 ? 'sign-in' : 'no-answer';
      await db.aside.add({ garden, subject: 'photos', id: next.id, why: known.message, lost: {}, at: next.at });
    }
    await db.photos.delete(next.id);
  }
}
