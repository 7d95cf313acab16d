import js from '@eslint/js';
import ngrx from '@ngrx/eslint-plugin/v9';
import angular from 'angular-eslint';
import boundaries from 'eslint-plugin-boundaries';
import prettier from 'eslint-config-prettier';
import tseslint from 'typescript-eslint';

const rooms = ['core', 'contract', 'library'].map((name) => ({ type: name, pattern: `packages/${name}/**` }));
const apps = ['web', 'server', 'stand-ins'].map((name) => ({ type: name, pattern: `apps/${name}/**` }));
/** Arrows point down only. */
const arrows = {
  core: [],
  contract: [],
  library: ['core', 'contract'],
  server: ['core', 'contract', 'library'],
  web: ['core', 'contract', 'library'],
  'stand-ins': ['core'],
};

/** Folders from the ground up: each may use those below it, and none beside it or above. What lies in no folder is at the top. */
export const storeys = {
  'packages/core/src': [
    ['shelf', 'statistics', 'units'],
    ['timing'],
    ['diagnosis', 'drill', 'label', 'leaf', 'recovery', 'season', 'tables'],
    ['dose', 'ground', 'planning', 'treatment'],
    ['sampling'],
  ],
  'apps/server/src': [
    ['db', 'http', 'mail'],
    ['access', 'middleware', 'security'],
    ['api', 'records'],
    ['calc', 'library', 'photos', 'recovery'],
    ['gardens', 'prevention', 'traps'],
    ['shelf', 'visits'],
    ['cases', 'clinic', 'people', 'scouting', 'weather'],
    ['applications', 'sharing'],
    ['almanac', 'season', 'tables'],
    ['archive', 'plans'],
    ['treatment'],
    ['demo'],
  ],
  'apps/web/src/app': [
    ['api', 'drawing', 'store'],
    ['offline', 'shared'],
    ['gardens', 'people'],
    ['library', 'sharing'],
    ['calc', 'clinic', 'prevention', 'settings'],
    ['bring-in', 'entries', 'weather'],
    ['drill'],
    ['cases'],
    ['season'],
    ['almanac', 'plantings', 'recovery', 'scouting', 'second-opinion', 'shell', 'treatment'],
    ['applications', 'door', 'ground', 'leaf-gauge', 'removal', 'report', 'rests', 'shelf', 'today'],
    ['mix', 'plans', 'traps'],
  ],
};
const stairs = Object.entries(storeys).flatMap(([root, levels]) =>
  levels.flatMap((level, i) =>
    level.map((folder) => {
      const above = levels
        .slice(i)
        .flat()
        .filter((one) => one !== folder);
      return {
        files: [`${root}/${folder}/**/*.ts`],
        ignores: ['**/*.test.ts'],
        rules: {
          'no-restricted-imports': [
            'error',
            {
              patterns: [
                {
                  // The tables of all subjects are one schema below everything.
                  regex: `^(\\.\\./)+(${above.join('|')})/(?!tables(\\.js)?$)`,
                  message: `${folder} stands below or beside this folder: see the storeys in eslint.config.mjs.`,
                },
              ],
            },
          ],
        },
      };
    }),
  ),
);

export default tseslint.config(
  {
    ignores: [
      'dist/**',
      '.data/**',
      '**/node_modules/**',
      '**/.angular/**',
      'packages/library/generated/**',
      // AssemblyScript, which its own compiler checks.
      'packages/core/wasm/**',
      'test-results/**',
      'playwright-report/**',
    ],
  },
  js.configs.recommended,
  {
    files: ['**/*.mjs'],
    languageOptions: {
      globals: {
        process: 'readonly',
        console: 'readonly',
        fetch: 'readonly',
        performance: 'readonly',
        setTimeout: 'readonly',
        document: 'readonly',
        localStorage: 'readonly',
      },
    },
  },
  {
    files: ['**/*.ts'],
    extends: [...tseslint.configs.strict, ...tseslint.configs.recommendedTypeCheckedOnly],
    languageOptions: {
      parserOptions: {
        project: ['tsconfig.node.json', 'apps/web/tsconfig.app.json', 'apps/web/tsconfig.worker.json', 'apps/web/tsconfig.views.json'],
        tsconfigRootDir: import.meta.dirname,
      },
    },
    plugins: { boundaries },
    settings: { 'boundaries/elements': [...rooms, ...apps], 'import/resolver': { typescript: { noWarnOnMultipleProjects: true } } },
    rules: {
      '@typescript-eslint/no-non-null-assertion': 'off',
      '@typescript-eslint/no-extraneous-class': 'off',
      '@typescript-eslint/no-invalid-void-type': 'off',
      '@typescript-eslint/no-unused-vars': ['error', { argsIgnorePattern: '^_', varsIgnorePattern: '^_' }],
      '@typescript-eslint/triple-slash-reference': 'off',
      // Angular's validators and Jest's matchers are handed on as they are.
      '@typescript-eslint/unbound-method': 'off',
      // A function that must give a promise may be written "async" without waiting for anything.
      '@typescript-eslint/require-await': 'off',
      // Node's servers take handlers that give promises, and end the process on what they throw.
      '@typescript-eslint/no-misused-promises': ['error', { checksVoidReturn: false }],
      'boundaries/dependencies': [
        'error',
        {
          default: 'allow',
          policies: Object.entries(arrows).map(([from, to]) => ({
            from: { element: { type: from } },
            disallow: {
              to: {
                element: { type: Object.keys(arrows).filter((room) => room !== from && !to.includes(room)) },
              },
            },
          })),
        },
      ],
    },
  },
  {
    files: ['apps/web/src/**/*.ts'],
    ignores: ['**/*.test.ts'],
    extends: [...angular.configs.tsRecommended, ...ngrx.configs.all],
    processor: angular.processInlineTemplates,
    rules: {
      '@angular-eslint/component-selector': ['error', { type: 'element', prefix: 'fn', style: 'kebab-case' }],
      // Effects are functions whose arrows are their whole text.
      '@ngrx/prefer-effect-callback-in-block-statement': 'off',
      // The reducer's own type says what each of them gives.
      '@ngrx/on-function-explicit-return-type': 'off',
    },
  },
  {
    files: ['apps/web/src/**/*.html'],
    extends: [...angular.configs.templateRecommended, ...angular.configs.templateAccessibility],
  },
  ...stairs,
  prettier,
);
