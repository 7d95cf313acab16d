import type { Decider, RunChances, SeasonStanding, TriedSeason } from '@field-nurse/core/season';

/** Money without needless digits. */
export const moneyWord = (money: number): string =>
  Math.abs(money) < 10 ? money.toFixed(1).replace(/\.0$/, '') : String(Math.round(money));
export const percentWord = (share: number): string => `${Math.round(share * 100)} %`;
export const hoursWord = (hours: number): string =>
  hours < 0.05 ? 'none' : hours < 1.5 ? `${Math.round(hours * 60)} min` : `${hours.toFixed(1).replace(/\.0$/, '')} h`;
/** How many times, in the mean of the runs. */
export const timesWord = (times: number): string =>
  times < 0.05 ? 'none' : times < 9.95 ? times.toFixed(1).replace(/\.0$/, '') : String(Math.round(times));

const more: Readonly<Record<keyof RunChances, string>> = {
  deaths: 'The more die by themselves',
  breeding: 'The faster it breeds',
  arrivals: 'The more comes in',
  helpers: 'The more helpers come',
  harm: 'The more the crop loses to it',
  beginning: 'The more there is now',
  effect: 'The better treatments work',
};

/** "The more helpers come, the more speaks for Do nothing." */
export const deciderWord = ({ what: name, pull }: Decider, first: string, second: string): string =>
  `${more[name]}, the more speaks for “${pull > 0 ? first : second}”.`;

/** A pull that is worth a word: less is chance. */
export const tellingPull = 0.15;

/** How the first of all stands, with the next and why. */
export function verdictWords(tried: readonly TriedSeason[], standings: readonly SeasonStanding[]): string {
  const [first, second] = tried;
  if (!first || !second) return '';
  const chance = standings.find(({ id }) => id === first.id)!.best;
  const dearer = second.cost - first.cost;
  const reasons = differences(first, second);
  return `“${first.name}” costs least in ${percentWord(chance)} of the seasons: ${moneyWord(dearer)} less in the mean than “${second.name}”${reasons ? `. It ${reasons}` : ''}.${keepsMost(tried)}`;
}

// Less than this nobody would notice in the harvest.
const noticeable = 0.03;

/** Who keeps the most of the harvest, where it is another than the cheapest. */
function keepsMost(tried: readonly TriedSeason[]): string {
  const most = [...tried].sort((a, b) => b.kept.p50 - a.kept.p50)[0]!;
  return most.kept.p50 - tried[0]!.kept.p50 < noticeable
    ? ''
    : ` “${most.name}” keeps the most of the harvest, ${percentWord(most.kept.p50)}.`;
}

/** How one way stands beside another, in words: "keeps 12 % more, takes 2 h less and 8 less money". */
export function differences(one: TriedSeason, other: TriedSeason): string {
  const kept = Math.round((one.kept.p50 - other.kept.p50) * 100);
  const hours = one.hours - other.hours;
  const money = one.money - other.money;
  const parts = [
    ...(kept === 0 ? [] : [`keeps ${Math.abs(kept)} % ${kept > 0 ? 'more' : 'less'} of the harvest`]),
    ...(Math.abs(hours) < 0.15 ? [] : [`takes ${hoursWord(Math.abs(hours))} ${hours > 0 ? 'more' : 'less'} work`]),
    ...(Math.abs(money) < 0.5 ? [] : [`costs ${moneyWord(Math.abs(money))} ${money > 0 ? 'more' : 'less'} to buy`]),
  ];
  return parts.length > 1 ? `${parts.slice(0, -1).join(', ')} and ${parts.at(-1)}` : (parts[0] ?? '');
}
