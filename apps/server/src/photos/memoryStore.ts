import type { FileStore } from './fileStore.js';

/** Files in memory, for a server that is gone when its work is done. */
export function memoryStore(now: () => Date = () => new Date()): FileStore {
  const files = new Map<string, { bytes: Buffer; writtenAt: Date }>();
  const inFolder = (folder: string) => [...files.keys()].filter((name) => name.startsWith(`${folder}/`));
  return {
    write: (name, bytes) => Promise.resolve(void files.set(name, { bytes, writtenAt: now() })),
    read: (name) => Promise.resolve(files.get(name)?.bytes),
    list: (folder) => Promise.resolve(inFolder(folder).map((name) => ({ name, writtenAt: files.get(name)!.writtenAt }))),
    remove: (name) => Promise.resolve(void files.delete(name)),
    removeFolder: (folder) => Promise.resolve(inFolder(folder).forEach((name) => files.delete(name))),
  };
}
