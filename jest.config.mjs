import angular from 'jest-preset-angular/presets/index.js';

const swcName = '@swc/jest';
const swcOptions = { jsc: { target: 'es2022', parser: { syntax: 'typescript', decorators: true } }, module: { type: 'es6' } };
const node = (displayName, folder) => ({
  displayName,
  rootDir: folder,
  testEnvironment: 'node',
  extensionsToTreatAsEsm: ['.ts'],
  transform: { '^.+\\.ts$': [swcName, swcOptions] },
  moduleNameMapper: { '^(\\.{1,2}/.*)\\.js$': '$1' },
  testMatch: ['<rootDir>/src/**/*.test.ts'],
  transformIgnorePatterns: ['/node_modules/(?!@field-nurse/)'],
});

const core = { ...node('core', 'packages/core'), testPathIgnorePatterns: ['/src/leaf/'] };
// Pixels are slow to test where each Math is looked up in the sandbox; as CommonJS they get it handed in.
const leaf = {
  ...node('leaf', 'packages/core'),
  testMatch: ['<rootDir>/src/leaf/**/*.test.ts'],
  extensionsToTreatAsEsm: [],
  transform: { '^.+\\.ts$': [swcName, { ...swcOptions, module: { type: 'commonjs' } }] },
  sandboxInjectedGlobals: ['Math'],
};

// What the pages compute and keep, without their templates.
const web = {
  ...node('web', 'apps/web'),
  testMatch: ['<rootDir>/src/app/**/*.test.ts'],
  testPathIgnorePatterns: ['\\.view\\.test\\.ts$'],
  setupFiles: ['<rootDir>/jest.setup.mjs'],
};

// Single parts of a page with their templates; whole pages are driven in the real browser.
const views = {
  ...angular.createEsmPreset({ tsconfig: '<rootDir>/tsconfig.views.json' }),
  displayName: 'views',
  rootDir: 'apps/web',
  moduleNameMapper: { '^(\\.{1,2}/.*)\\.js$': '$1' },
  testMatch: ['<rootDir>/src/app/**/*.view.test.ts'],
  setupFiles: ['<rootDir>/jest.setup.mjs'],
};

export default {
  // A busy machine may be slow; none of the tests is about time.
  testTimeout: 30_000,
  projects: [
    core,
    leaf,
    node('library', 'packages/library'),
    node('contract', 'packages/contract'),
    node('server', 'apps/server'),
    node('stand-ins', 'apps/stand-ins'),
    web,
    views,
    { ...node('scripts', '.'), testMatch: ['<rootDir>/scripts/*.test.ts'], roots: ['<rootDir>/scripts'] },
  ],
};
