import type { PlanWhy } from '@field-nurse/core/planning';

/** What a line of a plan says, where it keeps a round from a half-day. */
export const planLineText: Readonly<Record<PlanWhy[number], string>> = {
  earliest: 'It may not be done yet.',
  latest: 'Then it is too late.',
  'half-day': 'It has to be the other half of the day.',
  label: 'The label forbids it then.',
  temperature: 'It is too cold or too hot.',
  wind: 'It is too windy.',
  rain: 'It would not stay dry long enough.',
  bees: 'Bees are about in the flowers.',
  harvest: 'It is picked too soon after.',
  after: 'It has to wait for the round before it, or comes too late after that.',
  'same-slot': 'Another round of this case is done then.',
  rotation: 'The same mode of action would come twice in a row.',
  apart: 'It has to stay so many days apart from something else.',
  'season-max': 'It has been used as often as is allowed in a season.',
  stock: 'There is not enough of it.',
  minutes: 'Nobody has enough time for it in one day.',
  're-entry': 'Nobody may go there yet after what was applied.',
  'costs-more': 'The plan as a whole would lose more.',
  'no-time': 'There was no time to find out.',
};
