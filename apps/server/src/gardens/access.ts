import type { Endpoint, GardenSummary, Person } from '@field-nurse/contract';
import { and, eq } from 'drizzle-orm';
import type { Context } from 'koa';
import { ApiError, notFound } from '../api/apiError.js';
import type { Deps } from '../deps.js';
import { people } from '../people/tables.js';
import { members } from './tables.js';

/** Who asks, and what they are in the garden of the path. */
export interface Access {
  readonly person: Person | null;
  readonly role: GardenSummary['role'] | null;
}

/** The context as far as access needs it. */
interface Asked {
  readonly path: string;
  readonly session?: Context['session'];
  readonly params: Record<string, string | undefined>;
}

/**
 * The one place where access is decided. Somebody who is not a member of a garden gets the same answer as for a garden that does not exist.
 */
export async function requireAccess(deps: Deps, ctx: Asked, wanted: Endpoint['access']): Promise<Access> {
  const isCalc = ctx.path.startsWith('/api/v1/calc/');
  const person = await signedIn(deps, ctx);
  if (wanted === 'open' && !(isCalc && !deps.openCalc)) return { person, role: null };
  if (!person) throw new ApiError(401, 'sign-in', 'Sign in first.');
  if (wanted === 'person' || wanted === 'open') return { person, role: null };
  const role = await roleIn(deps, ctx.params['garden']!, person.id);
  if (!role) throw notFound('This garden');
  const allowed = wanted === 'garden-read' || role === 'owner' || (wanted === 'garden-write' && role === 'member');
  if (!allowed)
    throw new ApiError(
      403,
      'not-allowed',
      wanted === 'garden-owner' ? 'Only an owner of the garden may do this.' : 'You may look at this garden, not write in it.',
    );
  return { person, role };
}

async function signedIn({ db }: Deps, { session }: Asked): Promise<Person | null> {
  const personId = session?.['person'];
  if (typeof personId !== 'string') return null;
  const [row] = await db.select({ id: people.id, name: people.name, email: people.email }).from(people).where(eq(people.id, personId));
  return row ?? null;
}

async function roleIn({ db }: Deps, gardenId: string, personId: string): Promise<GardenSummary['role'] | undefined> {
  const [row] = await db
    .select({ role: members.role })
    .from(members)
    .where(and(eq(members.gardenId, gardenId), eq(members.personId, personId)));
  return row?.role as GardenSummary['role'] | undefined;
}
