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

export default {
  projects: [
    node('core', 'packages/core'),
    node('library', 'packages/library'),
    node('server', 'apps/server'),
    { ...node('drawing', 'apps/web'), testMatch: ['<rootDir>/src/app/drawing/*.test.ts'] },
  ],
};
