import type { Deps } from '../deps.js';
import type { Access } from '../access/access.js';
import type { Write } from './changeLog.js';

/** Who writes what, when: from a call to one of the garden's records. */
export const writeOf = (
  deps: Deps,
  {
    params,
    body,
    access,
  }: { readonly params: { readonly garden: string }; readonly body: { readonly change: string }; readonly access: Access },
): Write => ({ gardenId: params.garden, personId: access.person!.id, at: deps.now(), change: body.change });
