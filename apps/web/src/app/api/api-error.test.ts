import { HttpErrorResponse } from '@angular/common/http';
import { ApiError } from './api-error';

const answer = (status: number, error: unknown) => ApiError.from(new HttpErrorResponse({ status, error }));

test('a coded refusal keeps its code, its words and its fields', () => {
  const issues = [{ path: ['value', 'name'], code: 'too_small', message: 'is empty' }];
  const error = answer(400, { error: { code: 'invalid', message: 'Some fields are not right.', issues } });
  expect(error).toMatchObject({ status: 400, code: 'invalid', message: 'Some fields are not right.' });
  expect([...error.fields]).toEqual([['name', 'is empty']]);
});

test('a conflict brings the record as it stands', () => {
  expect(answer(409, { error: { code: 'changed-elsewhere', message: 'faster', current: { id: 'bed' } } }).current).toEqual({ id: 'bed' });
});

test('no answer at all is told as such, and that nothing is lost', () => {
  expect(answer(0, null)).toMatchObject({ code: 'offline' });
  expect(answer(0, null).message).toContain('still here');
});

test('an answer that is none of ours has plain words', () => {
  expect(answer(502, '<html>bad gateway</html>').message).toBe('The server could not do this.');
  expect(ApiError.from(new Error('x')).message).toBe('Something went wrong on this page.');
});

test('what is an ApiError already stays the same', () => {
  const error = new ApiError(404, 'not-found', 'gone');
  expect(ApiError.from(error)).toBe(error);
});
