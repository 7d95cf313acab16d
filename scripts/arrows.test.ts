import { ESLint } from 'eslint';
import type { Linter } from 'eslint';
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

test.each([
  ['the library answers with core', 'packages/library/src/example.ts', '@field-nurse/core/dose'],
  ['the server serves the contract', 'apps/server/src/example.ts', '@field-nurse/contract'],
  ['the pages show the library', 'apps/web/src/app/example.ts', '@field-nurse/library'],
])('%s', async (_, file, imported) => {
  expect(await complaints(file, imported)).not.toContain(arrow);
});
