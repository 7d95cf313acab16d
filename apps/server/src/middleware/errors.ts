import { isHttpError } from 'http-errors';
import type { Middleware } from 'koa';
import type { Logger } from 'pino';
import { ApiError } from '../http/apiError.js';
import { retryAfter } from '../http/retryAfter.js';

/** The one funnel: every error becomes a coded JSON answer, and only unexpected ones are logged. */
export function errors(log: Logger): Middleware {
  return async (ctx, next) => {
    try {
      await next();
      if (ctx.status === 404 && ctx.body == null && ctx.path.startsWith('/api/'))
        throw new ApiError(404, 'not-found', 'There is no such address.');
    } catch (error) {
      const known = asApiError(error);
      // A database error's message holds what people wrote: only its class and code go to the log.
      if (!known)
        log.error({ path: ctx.path, name: (error as Error).name, code: causeCode(error), stack: stackOnly(error) }, 'unexpected error');
      const answer =
        known ?? new ApiError(500, 'internal', 'Something went wrong here. What you typed is still on your screen; try again.');
      ctx.status = answer.status;
      // What an error says is true for a moment only.
      ctx.set('Cache-Control', 'no-store');
      const { retryAfter } = answer.details;
      if (typeof retryAfter === 'number') ctx.set('Retry-After', String(retryAfter));
      ctx.body = { error: { code: answer.code, message: answer.message, ...answer.details } };
    }
  };
}

function asApiError(error: unknown): ApiError | undefined {
  if (error instanceof ApiError) return error;
  if (isHttpError(error) && error.expose) return new ApiError(error.status, bodyCodes[error.status] ?? 'refused', error.message);
  // The JSON parser throws a bare SyntaxError that carries a status.
  if (error instanceof SyntaxError && 'status' in error && error.status === 400)
    return new ApiError(400, 'malformed', 'The body is not a JSON object.');
  const code = causeCode(error) ?? '';
  if (isDown(code) || isTimeout(error))
    return new ApiError(503, 'database-down', 'The database is not answering. Nothing was lost; try again in a moment.', retryAfter(5));
  // Class 22 is "data exception": a value that no column can hold came through the contract.
  if (code.startsWith('22'))
    return new ApiError(400, 'invalid', 'Something in this can not be kept: a number or a letter that is out of range.');
  return undefined;
}

/** Connections that broke or were refused, statements that took too long (57014) and locks that did not come free (55P03). */
const isDown = (code: string) =>
  code.startsWith('08') || code.startsWith('57') || code === '55P03' || code === '53300' || network.has(code);
const network = new Set(['ECONNREFUSED', 'ECONNRESET', 'EPIPE', 'ETIMEDOUT']);

/** The driver's own words, which come without a code. */
const isTimeout = (error: unknown): boolean =>
  error instanceof Error &&
  (/Query read timeout|timeout exceeded when trying to connect|Connection terminated/.test(error.message) || isTimeout(error.cause));

const bodyCodes: Readonly<Record<number, string>> = { 400: 'malformed', 413: 'too-large', 415: 'malformed' };

function causeCode(error: unknown): string | undefined {
  for (let one = error; one instanceof Error; one = one.cause) if ('code' in one && typeof one.code === 'string') return one.code;
  return undefined;
}

const stackOnly = (error: unknown) =>
  error instanceof Error
    ? error.stack
        ?.split('\n')
        .filter((line) => line.trim().startsWith('at '))
        .join('\n')
    : undefined;
