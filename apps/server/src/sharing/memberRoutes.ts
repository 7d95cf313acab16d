import { endpoints } from '@field-nurse/contract';
import type { Member } from '@field-nurse/contract';
import type Router from '@koa/router';
import { ApiError, invalidField, notFound } from '../http/apiError.js';
import { serve } from '../api/serve.js';
import type { Deps } from '../deps.js';
import type { Access } from '../access/access.js';
import { takeTurn } from '../records/changeLog.js';
import type { Tx } from '../records/recordStore.js';
import { sessionOf } from '../people/routes.js';
import { eventsOf, note } from '../security/securityLog.js';
import { memberById, membersOf, removeMember, setRole } from './memberQueries.js';
import { removeTokensOf } from '../access/tokenQueries.js';

/** Who shares a garden: their parts, leaving, and handing it over. */
export function memberRoutes(router: Router, deps: Deps): void {
  const { db, now } = deps;
  const list = (garden: string, { role }: Access) => membersOf(db, garden, role !== 'adviser');

  /** Change one member's part under the garden's lock, so that two owners can't remove each other at once. */
  const changeMember = (
    garden: string,
    person: string,
    change: (tx: Tx, member: { name: string; role: Member['role'] }) => Promise<void>,
  ) =>
    db.transaction(async (tx) => {
      await takeTurn(tx, garden);
      const member = await memberById(tx, garden, person);
      if (!member) throw notFound('This person');
      await change(tx, member);
    });
  const refuseOwner = ({ role }: { role: Member['role'] }) => {
    if (role === 'owner') throw new ApiError(409, 'owner', 'An owner stays until the garden is handed over.');
  };

  serve(router, deps, endpoints.members, ({ params, access }) => list(params.garden, access));

  serve(router, deps, endpoints.changeRole, async ({ params: { garden, person }, body: { role }, access, ctx }) => {
    await changeMember(garden, person, async (tx, member) => {
      refuseOwner(member);
      await setRole(tx, garden, person, role);
      const by = access.person!.name;
      await note(tx, { at: now(), kind: 'role-changed', gardenId: garden, by, about: `${member.name}: ${role}`, address: ctx.ip });
    });
    return list(garden, access);
  });

  serve(router, deps, endpoints.removeMember, async ({ params: { garden, person }, access, ctx }) => {
    await changeMember(garden, person, async (tx, member) => {
      refuseOwner(member);
      await removeMember(tx, garden, person);
      await removeTokensOf(tx, garden, person);
      const by = access.person!.name;
      await note(tx, { at: now(), kind: 'member-removed', gardenId: garden, by, about: member.name, address: ctx.ip });
    });
    return list(garden, access);
  });

  serve(router, deps, endpoints.leaveGarden, async ({ params: { garden }, access, ctx }) => {
    const { id, name } = access.person!;
    await changeMember(garden, id, async (tx, member) => {
      refuseOwner(member);
      await removeMember(tx, garden, id);
      await removeTokensOf(tx, garden, id);
      await note(tx, { at: now(), kind: 'member-left', gardenId: garden, by: name, about: name, address: ctx.ip });
    });
    return sessionOf(deps, id);
  });

  serve(router, deps, endpoints.handOver, async ({ params: { garden }, body, access, ctx }) => {
    const { id, name } = access.person!;
    if (body.person === id) throw invalidField(['person'], 'own', 'The garden is yours already.');
    await changeMember(garden, body.person, async (tx, member) => {
      await setRole(tx, garden, body.person, 'owner');
      await setRole(tx, garden, id, 'member');
      await note(tx, { at: now(), kind: 'handed-over', gardenId: garden, by: name, about: member.name, address: ctx.ip });
    });
    return list(garden, { ...access, role: 'member' });
  });

  serve(router, deps, endpoints.securityLog, ({ params }) => eventsOf(db, { gardenId: params.garden }, 200));
}
