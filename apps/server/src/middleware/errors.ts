import { isHttpError } from 'http-errors';
import type { Middleware } from 'koa';
import type { Logger } from 'pino';
import { ApiError } from '../api/apiError.js';

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
  const code = causeCode(error);
  if (code && (code.startsWith('08') || code.startsWith('57P') || ['ECONNREFUSED', 'ECONNRESET'].includes(code)))
    return new ApiError(503, 'database-down', 'The database is not answering. Nothing was lost; try again in a moment.');
  return undefined;
}

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
