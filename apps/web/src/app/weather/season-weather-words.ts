import type { SeasonWeather } from '@field-nurse/core/timing';
import { dayWord } from '../shared/days';
import { inGardenUnits } from '../shared/units';
import type { UnitSystem } from '../shared/units';

const counted = (count: number, one: string, more: string) => `${count} ${count === 1 ? one : more}`;

/** What the season was like so far, in whole sentences. */
export function seasonSentences(sums: SeasonWeather, system: UnitSystem): string[] {
  const { rainMm, rainDays, frostDays, lastFrost, warmest, longestDry, poorlyKnown } = sums;
  return [
    `${inGardenUnits('rain', rainMm, system)} of rain on ${counted(rainDays, 'day', 'days')}.`,
    longestDry ? `The longest dry spell began on ${dayWord(longestDry.from)} and lasted ${longestDry.days} days.` : '',
    lastFrost ? `Frost on ${counted(frostDays, 'day', 'days')}, the last on ${dayWord(lastFrost)}.` : 'No frost.',
    warmest ? `The warmest day was ${dayWord(warmest.day)}, with ${inGardenUnits('temperature', warmest.maxC, system)}.` : '',
    poorlyKnown > 0 ? `Of ${counted(poorlyKnown, 'day', 'days')} too little was measured to tell.` : '',
  ].filter(Boolean);
}
