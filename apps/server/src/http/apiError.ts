import type { z } from 'zod';

/** An error that the caller may see: a status, a code, and what would lift it. */
export class ApiError extends Error {
  constructor(
    readonly status: number,
    readonly code: string,
    message: string,
    readonly details: Readonly<Record<string, unknown>> = {},
  ) {
    super(message);
  }
}

/** A 400 with the issues of a Zod check; paths and bounds stay, wording is the page's. */
export const invalid = (issues: readonly z.core.$ZodIssue[]) => new ApiError(400, 'invalid', 'Some fields are not right.', { issues });

/** A 400 for one field. */
interface Issue {
  readonly path: readonly (string | number)[];
  readonly code: string;
  readonly message: string;
}

export const invalidFields = (issues: readonly Issue[]) => new ApiError(400, 'invalid', issues[0]?.message ?? 'Not valid.', { issues });

export const invalidField = (path: Issue['path'], code: string, message: string) => invalidFields([{ path, code, message }]);

export const notFound = (what: string) => new ApiError(404, 'not-found', `${what} is not here.`);
