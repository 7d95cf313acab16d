import { z } from 'zod';
import type { ApiError } from '../http/apiError.js';
import { unkeepable } from '../api/unkeepable.js';
import { notAnArchive } from './zipFile.js';

/** Of an archive: a file of it, or a line of a file, that can't be what it should. */
export const wrong = (name: string, line: number | undefined, what: string): ApiError =>
  notAnArchive(`${name}${line === undefined ? '' : `, line ${line}`}: ${what}.`);

/** What a file or a line of it holds, by its schema. @throws ApiError that names it */
export function parsed<T extends z.ZodType>(schema: T, value: unknown, name: string, line?: number): z.output<T> {
  const unkept = unkeepable(value);
  if (unkept) throw wrong(name, line, unkept.message);
  const result = schema.safeParse(value);
  if (result.success) return result.data;
  const { path, message } = result.error.issues[0]!;
  throw wrong(name, line, `${path.join('.')}${path.length > 0 ? ': ' : ''}${message}`);
}
