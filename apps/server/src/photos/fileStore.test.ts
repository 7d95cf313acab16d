import { mkdtempSync, readdirSync, rmSync, writeFileSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { folderStore } from './fileStore';
import { memoryStore } from './memoryStore';

const root = mkdtempSync(join(tmpdir(), 'field-nurse-files-'));
afterAll(() => rmSync(root, { recursive: true }));

describe.each([
  ['a folder', () => folderStore(join(root, 'kept'))],
  ['memory', () => memoryStore()],
])('%s', (_, open) => {
  const files = open();

  test('gives back what it was given, the newest of a name', async () => {
    expect(await files.read('bed/a.jpg')).toBeUndefined();
    expect(await files.list('bed')).toEqual([]);
    await files.write('bed/a.jpg', Buffer.from('old'));
    await files.write('bed/a.jpg', Buffer.from('new'));
    await files.write('bed/b.jpg', Buffer.from('other'));
    await files.write('row/a.jpg', Buffer.from('elsewhere'));
    expect((await files.read('bed/a.jpg'))?.toString()).toBe('new');
    const listed = await files.list('bed');
    expect(listed.map(({ name }) => name).sort()).toEqual(['bed/a.jpg', 'bed/b.jpg']);
    expect(Math.abs(listed[0]!.writtenAt.getTime() - Date.now())).toBeLessThan(60_000);
  });

  test('a file goes alone, a folder goes with all its files; what is not there may go', async () => {
    await files.remove('bed/b.jpg');
    await files.remove('bed/b.jpg');
    expect((await files.list('bed')).map(({ name }) => name)).toEqual(['bed/a.jpg']);
    await files.removeFolder('bed');
    await files.removeFolder('bed');
    expect(await files.read('bed/a.jpg')).toBeUndefined();
    expect((await files.read('row/a.jpg'))?.toString()).toBe('elsewhere');
  });
});

test('a file that could not be written leaves nothing, and says why', async () => {
  const folder = join(root, 'blocked');
  const files = folderStore(folder);
  await files.write('bed/a.jpg', Buffer.from('whole'));
  writeFileSync(join(folder, 'file'), '');
  await expect(files.write('file/a.jpg', Buffer.from('x'))).rejects.toThrow(/EEXIST|ENOTDIR/);
  await expect(files.read('bed')).rejects.toThrow('EISDIR');
  expect(readdirSync(join(folder, 'bed'))).toEqual(['a.jpg']);
});
