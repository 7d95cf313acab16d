import { jest } from '@jest/globals';
import { remember, remembered } from './tab-memory';

afterEach(() => jest.restoreAllMocks());

test('what was remembered is there again; nothing where nothing was, or it can not be read', () => {
  remember('list', { words: 'leeks' });
  expect(remembered('list')).toEqual({ words: 'leeks' });
  sessionStorage.setItem('list', '{broken');
  expect(remembered('list')).toBeUndefined();
  expect(remembered('other')).toBeUndefined();
});

test('storage that is full or off stops nobody', () => {
  jest.spyOn(Storage.prototype, 'setItem').mockImplementation(() => {
    throw new DOMException('full', 'QuotaExceededError');
  });
  expect(() => remember('list', 'leeks')).not.toThrow();
});
