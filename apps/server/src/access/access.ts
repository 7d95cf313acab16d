import type { Endpoint, GardenSummary, Person } from '@field-nurse/contract';
import { and, eq } from 'drizzle-orm';
import { ApiError, notFound } from '../http/apiError.js';
import type { Deps } from '../deps.js';
import { sessionDataOf } from './sessionData.js';
import { people } from '../people/tables.js';
import { tokenHolder } from './tokenQueries.js';
import type { TokenHolder } from './tokenQueries.js';
import { members } from '../gardens/tables.js';

type Role = GardenSummary['role'];

/** Who asks, and what they are in the garden of the path. */
export interface Access {
  readonly person: Person | null;
  readonly role: Role | null;
  /** set where a script asks with a token */
  readonly token?: TokenHolder;
}

const mayIn: Readonly<Record<Exclude<Endpoint['access'], 'open' | 'person'>, readonly Role[]>> = {
  'garden-read': ['owner', 'member', 'adviser', 'viewer'],
  'garden-comment': ['owner', 'member', 'adviser'],
  'garden-write': ['owner', 'member'],
  'garden-owner': ['owner'],
};

/**
 * The one place where access is decided. Somebody who is not a member of a garden gets the same answer as for a garden that does not exist.
 */
export async function requireAccess(
  deps: Deps,
  ctx: { get(header: string): string },
  { access: wanted, signedIn: inPerson, stateless, needsAccount }: Endpoint,
  params: { readonly garden?: string } | undefined,
): Promise<Access> {
  const header = ctx.get('Authorization');
  if (header) return byToken(deps, header, inPerson ? 'person' : wanted, params?.garden);
  const person = await signedIn(deps, ctx);
  if (wanted === 'open' && !(stateless && !deps.openCalc)) return { person, role: null };
  if (!person) throw new ApiError(401, 'sign-in', 'Sign in first.');
  if (needsAccount && person.email === null)
    throw new ApiError(403, 'needs-account', 'You are looking round a demo garden. This needs an account of your own.');
  if (wanted === 'person' || wanted === 'open') return { person, role: null };
  return { person, role: requireRole(await roleIn(deps, params!.garden!, person.id), wanted) };
}

/** A token opens its own garden as far as its scope and its person's role there go, and the calculations. */
async function byToken(deps: Deps, header: string, wanted: Endpoint['access'], gardenId: string | undefined): Promise<Access> {
  const token = await tokenHolder(deps, header);
  if (!token) throw new ApiError(401, 'token', 'This token is not known, or has ended.');
  const { person } = token;
  if (token.scope === 'calendar') throw new ApiError(403, 'token-scope', 'This token opens the calendar of the plan, and nothing else.');
  if (wanted === 'open') return { person, role: null, token };
  if (wanted === 'person' || wanted === 'garden-owner')
    throw new ApiError(403, 'token-scope', 'A token is for the records of one garden. Do this signed in.');
  if (token.gardenId !== gardenId) throw notFound('This garden');
  const role = requireRole(await roleIn(deps, gardenId, person.id), wanted);
  if (wanted !== 'garden-read' && token.scope === 'read') throw new ApiError(403, 'token-scope', 'This token may read, and not write.');
  return { person, role, token };
}

function requireRole(role: Role | undefined, wanted: keyof typeof mayIn): Role {
  if (!role) throw notFound('This garden');
  if (mayIn[wanted].includes(role)) return role;
  throw new ApiError(
    403,
    'not-allowed',
    wanted === 'garden-owner'
      ? 'Only an owner of the garden may do this.'
      : role === 'adviser'
        ? 'You advise this garden: you may look, and comment on its cases.'
        : 'You may look at this garden, not write in it.',
  );
}

const seenEveryMs = 60 * 60 * 1000;

async function signedIn({ db, now }: Deps, ctx: object): Promise<Person | null> {
  const session = sessionDataOf(ctx);
  if (!session) return null;
  const [row] = await db
    .select({ id: people.id, name: people.name, email: people.email })
    .from(people)
    .where(eq(people.id, session.person));
  if (row && now().getTime() - Date.parse(session.seenAt) > seenEveryMs) session.seenAt = now().toISOString();
  return row ?? null;
}

async function roleIn({ db }: Deps, gardenId: string, personId: string): Promise<Role | undefined> {
  const [row] = await db
    .select({ role: members.role })
    .from(members)
    .where(and(eq(members.gardenId, gardenId), eq(members.personId, personId)));
  return row?.role as Role | undefined;
}
