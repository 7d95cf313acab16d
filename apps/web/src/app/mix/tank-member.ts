import type { Form, TankMember } from '@field-nurse/core/dose';
import type { Intervention } from '@field-nurse/library';
import type { OnShelf } from '../gardens/shelf-now';

/** A product as the tank sees it: by its pack where one is in hand, by the typical one where none is. */
export const tankMember = (entry: Intervention, pack: OnShelf | undefined): TankMember => ({
  id: entry.id,
  name: pack?.product.name ?? entry.name,
  form: formOf(entry, pack),
  reaction: entry.inWater,
  spoiledIn: entry.spoiledIn,
  // A label's own lines come beside what the library knows.
  apartFrom: [...(pack?.card?.apartFrom ?? []), ...entry.apartFrom],
  release: entry.release,
  kills: entry.kills,
  modeOfAction: entry.modeOfAction,
});

function formOf(entry: Intervention, pack: OnShelf | undefined): Form {
  if (entry.release) return 'living';
  if (/soap/.test(entry.id)) return 'soap';
  if (/oil/.test(entry.id)) return 'oil';
  const form = pack?.product.form ?? (entry.rate?.unit === 'g' ? 'powder' : 'liquid');
  return form === 'bait' || form === 'paste' ? 'other' : form;
}
