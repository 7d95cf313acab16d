import { createHash } from 'node:crypto';
import { RateLimiterMemory, RateLimiterPostgres, RateLimiterRes } from 'rate-limiter-flexible';
import type { RateLimiterAbstract } from 'rate-limiter-flexible';
import type { Pool } from 'pg';
import { ApiError } from '../http/apiError.js';
import { retryAfter } from '../http/retryAfter.js';

const quarterHour = 15 * 60;

/** How often something may be done. */
export interface Limits {
  calculation(address: string): Promise<void>;
  /** @returns a function that takes the tries back once the password was right */
  signIn(address: string, email: string): Promise<() => Promise<void>>;
  signUp(address: string): Promise<void>;
  /** for looking round the demo garden, and beginning it again */
  visit(address: string): Promise<void>;
  /** for what costs a mail, or tells whether a secret is right; by the address that asks, or that is written to */
  knock(who: string): Promise<void>;
}

interface LimitSettings {
  readonly calculationsPerSecond: number;
  /** tries for one account from one address in a quarter of an hour; the others follow from it */
  readonly signInTries: number;
}

/**
 * Limits by address and by account. Guessing from many addresses is slowed for the account as a whole, but never for longer than a minute:
 * else anybody could lock anybody out.
 */
export function limitsOver(pool: Pool, { calculationsPerSecond, signInTries }: LimitSettings): Limits {
  // Kept in memory: each server guards its own processor.
  const calculations = new RateLimiterMemory({ points: calculationsPerSecond, duration: 1 });
  // Each try takes a moment of the processor: one address can't send them all at once.
  const burst = new RateLimiterMemory({ points: Math.max(10, signInTries), duration: 5 });
  const kept = (keyPrefix: string, points: number, duration: number) =>
    new RateLimiterPostgres({
      storeClient: pool,
      tableName: 'rate_limits',
      tableCreated: true,
      keyPrefix,
      points,
      duration,
      clearExpiredByTimeout: false,
    });
  const pair = kept('pair', signInTries, quarterHour);
  const fromAddress = kept('address', signInTries * 6, quarterHour);
  const forAccount = kept('account', signInTries * 3, 60);
  const signUps = kept('sign-up', signInTries, quarterHour);
  const visits = kept('visit', signInTries * 6, quarterHour);
  const knocks = kept('knock', signInTries * 3, quarterHour);
  return {
    calculation: (address) => spend(calculations, address),
    signIn: async (address, email) => {
      const [both, account] = [short(`${address} ${email.toLowerCase()}`), short(email.toLowerCase())];
      await spend(burst, address);
      await spend(fromAddress, short(address));
      await spend(pair, both);
      await spend(forAccount, account);
      return async () => {
        await Promise.all([pair.delete(both), forAccount.delete(account), fromAddress.reward(short(address), 1)]);
      };
    },
    signUp: (address) => spend(signUps, short(address)),
    visit: (address) => spend(visits, short(address)),
    knock: (who) => spend(knocks, short(who)),
  };
}

/** Keys are short whatever was typed, and tell no address to who reads the table. */
const short = (text: string) => createHash('sha256').update(text).digest('base64url');

async function spend(limiter: RateLimiterAbstract, key: string): Promise<void> {
  try {
    await limiter.consume(key);
  } catch (error) {
    if (!(error instanceof RateLimiterRes)) throw error;
    const seconds = Math.ceil(error.msBeforeNext / 1000);
    const minutes = Math.ceil(seconds / 60);
    const wait = seconds < 60 ? `${seconds} second${seconds === 1 ? '' : 's'}` : `${minutes} minute${minutes === 1 ? '' : 's'}`;
    throw new ApiError(429, 'too-many-tries', `Too many tries. Wait ${wait}.`, retryAfter(seconds));
  }
}
