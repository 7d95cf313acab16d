import type { Assessment } from '@field-nurse/contract';
import type { CountedDay } from '@field-nurse/core/season';
import { looksByDay } from '@field-nurse/core/recovery';
import { daysBetween } from '@field-nurse/core/timing';
import type { Host } from '@field-nurse/library';

// Leaves and shoots on a grown plant, where one of them was counted: our estimate.
const leavesOf: Readonly<Record<Host['habit'], number>> = { tuft: 12, bush: 40, climber: 40, blades: 8, tree: 400, tray: 4, heap: 1 };
const shootsOf: Readonly<Record<Host['habit'], number>> = { tuft: 3, bush: 8, climber: 8, blades: 1, tree: 60, tray: 1, heap: 1 };

/** What a look found on one plant: of a disease the share of leaf with spots, of a pest how many; nothing where nobody counted. */
export function amountOn(look: Assessment, kind: 'pest' | 'disease', habit: Host['habit']): number | undefined {
  if (kind === 'disease') return look.severity / 100;
  const parts = look.countedOn === 'leaf' ? leavesOf[habit] : look.countedOn === 'shoot' ? shootsOf[habit] : 1;
  if (look.counts.length > 0) return (parts * look.counts.reduce((sum, one) => sum + one, 0)) / look.counts.length;
  return look.count === null ? undefined : (parts * look.count) / (look.plantsLooked ?? 1);
}

/** Looks of a case from a day on, as the season counts them. */
export const countsSince = (
  looks: readonly Assessment[],
  from: string,
  until: string,
  kind: 'pest' | 'disease',
  habit: Host['habit'],
): CountedDay[] =>
  looksByDay([...looks].sort((a, b) => a.assessedOn.localeCompare(b.assessedOn))).flatMap((look) => {
    const amount = amountOn(look, kind, habit);
    return amount === undefined || look.assessedOn < from || look.assessedOn > until
      ? []
      : [{ day: daysBetween(from, look.assessedOn), amount }];
  });
