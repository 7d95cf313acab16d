import { ESLint } from 'eslint';
import type { Linter } from 'eslint';
import { readdirSync } from 'node:fs';
import { join } from 'node:path';
import tseslint from 'typescript-eslint';

// The rule that arrows point down only is held to examples that break it.
const root = join(import.meta.dirname, '..');
// The examples are files of no project, so that rules which ask for types have nothing to go by.
const eslint = new ESLint({ cwd: root, overrideConfig: tseslint.configs.disableTypeChecked as Linter.Config });

async function complaints(file: string, imported: string): Promise<string[]> {
  const [result] = await eslint.lintText(`export { x } from '${imported}';\n`, { filePath: join(root, file) });
  return result!.messages.map(({ ruleId }) => ruleId ?? '');
}

const arrow = 'boundaries/dependencies';

test.each([
  ['core may not know the library', 'packages/core/src/example.ts', '@field-nurse/library'],
  ['core may not know the contract', 'packages/core/src/example.ts', '@field-nurse/contract'],
  ['the contract may not know core', 'packages/contract/src/example.ts', '@field-nurse/core/dose'],
  ['the library may not reach into the server', 'packages/library/src/example.ts', '../../../apps/server/src/app.js'],
  ['the pages may not reach into the server', 'apps/web/src/app/example.ts', '../../../server/src/app.js'],
  ['the stand-ins may not reach into the server', 'apps/stand-ins/src/example.ts', '../../server/src/app.js'],
  ['the server may not reach into the stand-ins', 'apps/server/src/example.ts', '../../stand-ins/src/standIns.js'],
  ['the server may not reach into the pages', 'apps/server/src/example.ts', '../../web/src/app/app.js'],
])('%s', async (_, file, imported) => {
  expect(await complaints(file, imported)).toContain(arrow);
});

const stair = 'no-restricted-imports';

test.each([
  ['a garden’s record is written without the pages of cases', 'apps/web/src/app/gardens/example.ts', '../cases/case-page'],
  ['what is beside is not reached for', 'apps/web/src/app/treatment/example.ts', '../recovery/recovery-page'],
  ['the guards know no subject', 'apps/server/src/access/example.ts', '../treatment/routes.js'],
  ['a subject does not reach up', 'apps/server/src/records/example.ts', '../gardens/gardenQueries.js'],
  ['days know nothing of plans', 'packages/core/src/timing/example.ts', '../planning/agenda.js'],
])('%s', async (_, file, imported) => {
  expect(await complaints(file, imported)).toContain(stair);
});

test.each([
  ['cases are shown with the library', 'apps/web/src/app/cases/example.ts', '../library/library'],
  ['a record knows the tables of every subject', 'apps/server/src/records/example.ts', '../treatment/tables.js'],
])('%s', async (_, file, imported) => {
  expect(await complaints(file, imported)).not.toContain(stair);
});

test('every folder has its storey', async () => {
  const { storeys } = (await import(join(root, 'eslint.config.mjs'))) as { storeys: Record<string, string[][]> };
  for (const [folder, levels] of Object.entries(storeys)) {
    const there = readdirSync(join(root, folder), { withFileTypes: true }).filter((one) => one.isDirectory() && one.name !== 'testing');
    expect(levels.flat().sort()).toEqual(there.map(({ name }) => name).sort());
  }
});

test.each([
  ['core', 'packages/core/src'],
  ['contract', 'packages/contract/src'],
  ['library', 'packages/library/src'],
  ['server', 'apps/server/src'],
  ['web', 'apps/web/src/app'],
  ['stand-ins', 'apps/stand-ins/src'],
])('no file of %s leads back to itself', async (_, folder) => {
  const { default: madge } = await import('madge');
  const found = await madge(join(root, folder), { fileExtensions: ['ts'] });
  // It has followed the arrows: each file but the first is somebody's.
  expect(Object.values(found.obj()).flat().length).toBeGreaterThan(5);
  expect(found.circular()).toEqual([]);
});

test.each([
  ['the library answers with core', 'packages/library/src/example.ts', '@field-nurse/core/dose'],
  ['the server serves the contract', 'apps/server/src/example.ts', '@field-nurse/contract'],
  ['the pages show the library', 'apps/web/src/app/example.ts', '@field-nurse/library'],
])('%s', async (_, file, imported) => {
  expect(await complaints(file, imported)).not.toContain(arrow);
});
