import { earlierApplications, judgeByLabel } from '@field-nurse/core/label';
import { daysBetween } from '@field-nurse/core/timing';
import type { Host, Intervention } from '@field-nurse/library';
import { brokenLineText } from '@field-nurse/library/texts';
import type { Planting } from '../gardens/plantings-now';

/** An application that is being logged, on one of its plantings. */
export interface BeingLogged {
  readonly card: Intervention;
  readonly cards: ReadonlyMap<string, Intervention>;
  /** as it stood on that day */
  readonly planting: Planting;
  readonly host: Host | undefined;
  readonly on: string;
  /** on the same planting, without the one that is being logged */
  readonly others: readonly { readonly intervention: string; readonly appliedOn: string }[];
  readonly seasonStart: string;
  readonly temperatureC: number | null;
}

/** Lines of the card that it does not keep, in sentences. The server judges it again when it is saved; what was done is logged all the same. */
export function brokenLines({ card, cards, planting, host, on, others, seasonStart, temperatureC }: BeingLogged): string[] {
  const lines = judgeByLabel(card, {
    planting: {
      host: { id: planting.host, family: host?.family ?? '', like: host?.like },
      setting: planting.setting,
      eaten: planting.eaten,
      inFlower: planting.inFlower,
      ...(planting.nextFlowerOn && { flowersInDays: daysBetween(on, planting.nextFlowerOn) }),
      ...(planting.nextHarvestOn && { daysToHarvest: daysBetween(on, planting.nextHarvestOn) }),
    },
    earlier: earlierApplications(others, on, seasonStart),
    warmth: { temperatureC: temperatureC ?? undefined },
    cards,
  });
  return lines.filter(({ state }) => state === 'broken').map(brokenLineText);
}
