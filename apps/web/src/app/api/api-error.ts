import { HttpErrorResponse } from '@angular/common/http';
import type { ErrorAnswer } from '@field-nurse/contract';

/** Why a call failed, in words for the gardener, with the fields that are not right. */
export class ApiError extends Error {
  constructor(
    readonly status: number,
    readonly code: string,
    message: string,
    /** field name → what is wrong with it */
    readonly fields: ReadonlyMap<string, string> = new Map(),
    readonly current: unknown = null,
  ) {
    super(message);
  }

  static from(error: unknown): ApiError {
    if (error instanceof ApiError) return error;
    if (!(error instanceof HttpErrorResponse)) return new ApiError(0, 'unexpected', 'Something went wrong on this page.');
    if (error.status === 0)
      return new ApiError(0, 'offline', 'The server does not answer. What you typed is still here; try again when it is back.');
    const answer = (error.error as (ErrorAnswer & { error: { current?: unknown } }) | null)?.error;
    const fields = new Map(
      (answer?.issues ?? []).map(({ path, message }) => [String(path.findLast((key) => typeof key === 'string') ?? ''), message]),
    );
    return new ApiError(
      error.status,
      answer?.code ?? 'unexpected',
      answer?.message ?? 'The server could not do this.',
      fields,
      answer?.current,
    );
  }
}
