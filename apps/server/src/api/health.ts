import { endpoints } from '@field-nurse/contract';
import { sql } from 'drizzle-orm';
import type Router from '@koa/router';
import type { Deps } from '../deps.js';
import { serve } from './serve.js';

/** Is it up, and is the database. */
export function healthRoutes(router: Router, deps: Deps, version: string): void {
  serve(router, deps, endpoints.health, async () => {
    await deps.db.execute(sql`select 1`);
    return { status: 'ok', database: 'ok', version };
  });
}
