const swc = {
  '^.+\\.ts$': ['@swc/jest', { jsc: { target: 'es2022', parser: { syntax: 'typescript', decorators: true } }, module: { type: 'es6' } }],
};
const node = (displayName, folder) => ({
  displayName,
  rootDir: folder,
  testEnvironment: 'node',
  extensionsToTreatAsEsm: ['.ts'],
  transform: swc,
  moduleNameMapper: { '^(\\.{1,2}/.*)\\.js$': '$1' },
  testMatch: ['<rootDir>/src/**/*.test.ts'],
  transformIgnorePatterns: ['/node_modules/(?!@field-nurse/)'],
});

// What the pages compute and keep, without their templates: those are driven in the real browser.
const web = { ...node('web', 'apps/web'), testMatch: ['<rootDir>/src/app/**/*.test.ts'], setupFiles: ['<rootDir>/jest.setup.mjs'] };

export default {
  projects: [
    node('core', 'packages/core'),
    node('library', 'packages/library'),
    node('contract', 'packages/contract'),
    node('server', 'apps/server'),
    web,
    { ...node('scripts', '.'), testMatch: ['<rootDir>/scripts/*.test.ts'], roots: ['<rootDir>/scripts'] },
  ],
};
