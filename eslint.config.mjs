import js from '@eslint/js';
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

export default tseslint.config(
  {
    ignores: [
      'dist/**',
      '.data/**',
      '**/node_modules/**',
      '**/.angular/**',
      'packages/library/generated/**',
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
        setTimeout: 'readonly',
        document: 'readonly',
        localStorage: 'readonly',
      },
    },
  },
  {
    files: ['**/*.ts'],
    extends: [...tseslint.configs.strict],
    plugins: { boundaries },
    settings: { 'boundaries/elements': [...rooms, ...apps], 'import/resolver': { typescript: { noWarnOnMultipleProjects: true } } },
    rules: {
      '@typescript-eslint/no-non-null-assertion': 'off',
      '@typescript-eslint/no-extraneous-class': 'off',
      '@typescript-eslint/no-invalid-void-type': 'off',
      '@typescript-eslint/no-unused-vars': ['error', { argsIgnorePattern: '^_', varsIgnorePattern: '^_' }],
      '@typescript-eslint/triple-slash-reference': 'off',
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
  prettier,
);
