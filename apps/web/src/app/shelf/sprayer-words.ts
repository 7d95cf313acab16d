import type { Sprayer } from '@field-nurse/contract';
import { calibrated } from '@field-nurse/core/dose';
import { dayWord } from '../shared/days';
import type { UnitSystem } from '../shared/units';
import { inGardenUnits } from '../shared/units';

/** What is known of a sprayer by its last measure, in sentences; one that asks for a measure where there is none. */
export function sprayerSays(
  { calibrations, newFlowLPerMin }: Sprayer,
  system: UnitSystem,
  today: string,
): { readonly text: string; readonly care: boolean }[] {
  const last = calibrations.at(-1);
  if (!last) return [{ text: 'Not measured yet.', care: false }];
  const { flowLPerMin, litresPerM2, litresPerPlant, wearPercent, nozzle } = calibrated(last, newFlowLPerMin);
  const water = (litres: number) => inGardenUnits('water', litres, system);
  const said = [
    flowLPerMin !== null && `${water(flowLPerMin)} in a minute`,
    litresPerM2 !== null && `${water(litresPerM2 * 100)} on ${inGardenUnits('area', 100, system)}`,
    litresPerPlant !== null && `${water(litresPerPlant)} for a plant`,
  ].filter(Boolean);
  const percent = Math.abs(Math.round(wearPercent ?? 0));
  return [
    { text: `${dayWord(last.on, today)}: ${said.join(', ')}.`, care: false },
    ...(nozzle === 'worn' ? [{ text: `Its nozzle gives ${percent} % more than when new: replace it.`, care: true }] : []),
    ...(nozzle === 'blocked' ? [{ text: `Its nozzle gives ${percent} % less than when new: clean nozzle and filter.`, care: true }] : []),
    ...(nozzle === 'fine' ? [{ text: 'Its nozzle is as good as new.', care: false }] : []),
  ];
}
