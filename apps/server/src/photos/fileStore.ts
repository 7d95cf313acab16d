import { randomUUID } from 'node:crypto';
import { mkdir, open, readdir, readFile, rename, rm, stat } from 'node:fs/promises';
import { dirname, join } from 'node:path';

/** A file's name in the store, and since when it is there. */
export interface StoredFile {
  readonly name: string;
  readonly writtenAt: Date;
}

/** Where pictures are kept outside of the database: a folder, or whatever keeps bytes by names such as `folder/file`. */
export interface FileStore {
  /** Keep a file whole or not at all; one of that name is replaced. It is safe once this is done. */
  write(name: string, bytes: Buffer): Promise<void>;
  /** @returns nothing where there is no such file */
  read(name: string): Promise<Buffer | undefined>;
  /** The files in one folder. */
  list(folder: string): Promise<StoredFile[]>;
  remove(name: string): Promise<void>;
  removeFolder(folder: string): Promise<void>;
}

/** Files in a folder of this machine. Several servers may share it. */
export function folderStore(root: string): FileStore {
  const path = (name: string) => join(root, name);
  return {
    async write(name, bytes) {
      const whole = path(name);
      const part = `${whole}.${randomUUID()}.part`;
      await mkdir(dirname(whole), { recursive: true });
      try {
        const file = await open(part, 'w', 0o600);
        try {
          await file.writeFile(bytes);
          await file.sync();
        } finally {
          await file.close();
        }
        await rename(part, whole);
      } catch (error) {
        await rm(part, { force: true });
        throw error;
      }
    },
    read: (name) => orNothing(readFile(path(name)), undefined),
    async list(folder) {
      const names = await orNothing(readdir(path(folder)), []);
      return Promise.all(
        names.map(async (name) => ({ name: `${folder}/${name}`, writtenAt: (await stat(path(`${folder}/${name}`))).mtime })),
      );
    },
    remove: (name) => rm(path(name), { force: true }),
    removeFolder: (folder) => rm(path(folder), { recursive: true, force: true }),
  };
}

async function orNothing<T, N>(work: Promise<T>, nothing: N): Promise<T | N> {
  try {
    return await work;
  } catch (error) {
    if ((error as NodeJS.ErrnoException).code === 'ENOENT') return nothing;
    throw error;
  }
}
