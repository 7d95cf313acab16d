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
export const invalid = (issues: readonly z.core.$ZodIssue[]) =>
  new ApiError(400, 'invalid', 'Some fields are not right.', { issues: issues.flatMap(likeliest) });

/** Of several forms that a field may have, the issues of the one that was most likely meant: with the fewest fields that are wrong in kind or name. */
function likeliest(issue: z.core.$ZodIssue): readonly z.core.$ZodIssue[] {
  if (issue.code !== 'invalid_union' || issue.errors.length === 0) return [issue];
  const strange = (issues: readonly z.core.$ZodIssue[]) =>
    issues.reduce((sum, one) => sum + (one.code === 'unrecognized_keys' ? one.keys.length : one.code === 'invalid_type' ? 1 : 0), 0);
  const forms = issue.errors.map((issues) => issues.flatMap(likeliest)).sort((a, b) => strange(a) - strange(b) || a.length - b.length);
  return forms[0]!.map((one) => ({ ...one, path: [...issue.path, ...one.path] }));
}

/** A 400 for one field. */
interface Issue {
  readonly path: readonly (string | number)[];
  readonly code: string;
  readonly message: string;
}

export const invalidFields = (issues: readonly Issue[]) => new ApiError(400, 'invalid', issues[0]?.message ?? 'Not valid.', { issues });

export const invalidField = (path: Issue['path'], code: string, message: string) => invalidFields([{ path, code, message }]);

export const notFound = (what: string) => new ApiError(404, 'not-found', `${what} is not here.`);
