import type { SessionData } from './sessionStore.js';

/** What the session of a request holds; nothing for somebody who has not signed in. koa-session itself knows no types. */
export const sessionDataOf = (ctx: object): SessionData | undefined => {
  const session = (ctx as { session?: Partial<SessionData> | null }).session;
  return session?.person ? (session as SessionData) : undefined;
};

/** Begin a session under a fresh key, so that a key planted before sign-in is worth nothing. */
export async function beginSession(ctx: object, data: SessionData): Promise<void> {
  const holder = ctx as { session: unknown };
  holder.session = data;
  await (holder.session as { regenerate(): Promise<void> }).regenerate();
}
