import pRetry, { AbortError } from 'p-retry';
import type { z } from 'zod';

export interface Patience {
  /** before the first new try, milliseconds; doubled for the next */
  readonly waitMs?: number;
  readonly timeoutMs?: number;
}

/**
 * Ask a service outside for JSON. What fails for a moment (no answer, 429, 5xx) is asked for again, twice, after a short and then a longer wait.
 *
 * @param body - posted as JSON; without it the address is read
 * @throws Error when it does not answer, refuses, or answers in another form than the schema's
 */
export async function askOutside<T>(
  url: string,
  schema: z.ZodType<T>,
  { waitMs = 400, timeoutMs = 5000 }: Patience,
  body?: unknown,
): Promise<T> {
  return pRetry(() => askOnce(url, schema, timeoutMs, body), { retries: 2, minTimeout: waitMs, factor: 2 });
}

async function askOnce<T>(url: string, schema: z.ZodType<T>, timeoutMs: number, body: unknown): Promise<T> {
  const posted = body !== undefined && { method: 'POST', headers: { 'Content-Type': 'application/json' }, body: JSON.stringify(body) };
  const answer = await fetch(url, { ...posted, signal: AbortSignal.timeout(timeoutMs) }).catch((cause: unknown) => {
    throw new Error('no answer', { cause });
  });
  if (answer.status === 429 || answer.status >= 500) throw new Error(`answered with ${answer.status}`);
  if (!answer.ok) throw new AbortError(`refused with ${answer.status}`);
  const result = schema.safeParse(await answer.json().catch(() => undefined));
  if (!result.success) throw new AbortError('answered in a form that can not be read');
  return result.data;
}
