import { opensCalc, readConfig } from './config';

const enough = {
  DATABASE_URL: 'postgresql://field_nurse:x@127.0.0.1:5432/postgres',
  SESSION_SECRET: 's'.repeat(32),
  WEB_FOLDER: 'dist/web',
  LIBRARY_FILE: 'dist/library.json',
  MIGRATIONS_FOLDER: 'dist/migrations',
  PHOTOS_FOLDER: 'photos',
};

test('what is not said has a sound default', () => {
  expect(readConfig(enough)).toMatchObject({
    PORT: 4310,
    HOST: '127.0.0.1',
    SECURE_COOKIES: 'false',
    TRUST_PROXY: 0,
    LOG_LEVEL: 'info',
    SIGN_IN_TRIES: 10,
  });
});

test.each([
  ['a port that is none', { PORT: '70000' }, 'PORT'],
  ['a secret that is too short', { SESSION_SECRET: 'short' }, 'SESSION_SECRET'],
  ['no database', { DATABASE_URL: undefined }, 'DATABASE_URL'],
  ['the address of something else', { DATABASE_URL: 'https://garden.example' }, 'DATABASE_URL'],
  ['no tries at all', { SIGN_IN_TRIES: '0' }, 'SIGN_IN_TRIES'],
  ['a level of logging that is none', { LOG_LEVEL: 'loud' }, 'LOG_LEVEL'],
  ['cookies over https, and nothing that ends it', { SECURE_COOKIES: 'true' }, 'TRUST_PROXY=1'],
])('%s is refused by name', (_, change, name) => {
  expect(() => readConfig({ ...enough, ...change })).toThrow(name);
});

const opens = (change: Record<string, string>) => opensCalc(readConfig({ ...enough, ...change }));

test('the calculations are open on loopback in its three spellings, and nowhere else', () => {
  expect(['127.0.0.1', '127.8.8.8', '::1', 'localhost'].every((HOST) => opens({ HOST }))).toBe(true);
  expect(['0.0.0.0', '192.168.1.4', 'garden.example'].some((HOST) => opens({ HOST }))).toBe(false);
});

test('behind a proxy loopback is the whole world: the calculations are closed unless it is said', () => {
  expect(opens({ TRUST_PROXY: '1' })).toBe(false);
  expect(opens({ TRUST_PROXY: '1', OPEN_CALC: 'true' })).toBe(true);
});
