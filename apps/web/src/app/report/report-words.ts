import { dayWord } from '../shared/days';
import type { ReportText } from './report-document';
import type { SeasonReport, TroubleLine, WorkLine } from './season-report';

interface Names {
  readonly condition: (id: string) => string;
  readonly intervention: (id: string) => string;
  readonly planting: (id: string) => string;
}

const outcomeWords: Readonly<Record<string, string>> = {
  recovered: 'it recovered',
  'left-alone': 'it was left alone',
  removed: 'the plants were removed',
  lost: 'the plants were lost',
  other: 'it ended',
};

// Less than this is within what two people see on one leaf.
const telling = 5;
const slowDays = 7;
const smallestMoney = 0.005;

/** "Leek rust", or what stands for it while nobody knows. */
export const troubleName = ({ conditions }: TroubleLine, { condition }: Pick<Names, 'condition'>): string =>
  conditions.map(condition).join(' and ') || 'Not settled';

/** What happened, in a sentence for each trouble. */
export function troubleWord(line: TroubleLine, names: Names): string {
  const { openedOn, closedOn, outcome, peak, last } = line;
  const worst = peak === null ? '' : `, at worst ${Math.round(peak)} %`;
  const end = closedOn
    ? `; ${outcomeWords[outcome ?? 'other'] ?? 'it ended'} by ${dayWord(closedOn)}`
    : last === null
      ? '; still open'
      : `; still open at ${Math.round(last)} %`;
  return `${troubleName(line, names)} on ${names.planting(line.planting)}, seen ${dayWord(openedOn)}${worst}${end}.`;
}

/** What helped, as far as looks before and after say so, beside what was left alone: without that they prove nothing. */
export function helpedWords({ troubles }: SeasonReport, names: Names): string[] {
  return troubles.flatMap((line) => {
    const { peak, last, done, conditions } = line;
    if (done.length === 0 || peak === null || last === null) return [];
    const what = lower(done.map(names.intervention).join(', then '));
    const where = `${troubleName(line, names)} on ${names.planting(line.planting)}`;
    const alone = troubles.find(
      (one) => one.done.length === 0 && one.last !== null && one.conditions.some((id) => conditions.includes(id)),
    );
    const beside = alone ? ` Left alone, on ${names.planting(alone.planting)}, it stood at ${Math.round(alone.last!)} %.` : '';
    const went = `${Math.round(peak)} % at worst, ${Math.round(last)} % at the last look`;
    return [
      peak - last >= telling
        ? `${where} went back with ${what}: ${went}.${beside}`
        : `${where} hardly moved with ${what}: ${went}.${beside}`,
    ];
  });
}

/** What the season itself says should be done otherwise. */
export function changeWords(report: SeasonReport, names: Names): string[] {
  const { troubles, notKept, harvest, looks } = report;
  const late = troubles
    .filter(({ waited }) => waited !== undefined && waited > slowDays)
    .map((line) => `${troubleName(line, names)} on ${names.planting(line.planting)} waited ${line.waited} days before anything was done.`);
  const unlooked = troubles
    .filter(({ done, last }) => done.length > 0 && last === null)
    .map(
      (line) =>
        `Nobody looked again at ${troubleName(line, names).toLowerCase()} on ${names.planting(line.planting)} after it was treated.`,
    );
  const waste = harvest.kg > 0 ? harvest.wasteKg / harvest.kg : 0;
  return [
    ...late,
    ...unlooked,
    ...notKept.map((text) => `Not kept: ${text}`),
    ...(waste > 0.1 ? [`${Math.round(100 * waste)} % of what was picked could not be used.`] : []),
    ...(looks === 0 && troubles.length > 0 ? ['No round came by: each of these was found by chance.'] : []),
  ];
}

/** What was done, a line for each kind of work. */
const workWord = ({ intervention, times, plants, hours, cost, isPaid }: WorkLine, names: Names): string => {
  const money = cost < smallestMoney ? '' : `, ${cost.toFixed(2)}${isPaid ? ' by the packs’ prices' : ''}`;
  const often = times === 1 ? 'once' : `${times} times`;
  return `${names.intervention(intervention)}: ${often}, ${plants} ${plants === 1 ? 'plant' : 'plants'} in all, ${hours.toFixed(1)} hours${money}.`;
};

/** The whole report as it is read. */
export function reportText(
  report: SeasonReport,
  names: Names,
  { title, madeOn }: { readonly title: string; readonly madeOn: string },
): ReportText {
  const { harvest, work, troubles, looks, finds, lessons } = report;
  const picked = [
    harvest.kg > 0 ? `${harvest.kg.toFixed(harvest.kg < 10 ? 1 : 0)} kg` : '',
    harvest.pieces > 0 ? `${harvest.pieces} pieces` : '',
  ].filter(Boolean);
  return {
    title,
    sums: [
      ['plantings', String(report.plantings.length)],
      ['troubles', String(troubles.length)],
      ['looks on rounds', finds > 0 ? `${looks}, ${finds} with finds` : String(looks)],
      ['hours of treating', report.hours.toFixed(1)],
      ['money', report.cost.toFixed(2)],
      ['picked', picked.join(', ') || 'nothing written'],
    ],
    parts: [
      {
        head: 'What happened',
        lines: troubles.map((line) => troubleWord(line, names)),
        otherwise: 'Nothing was wrong, as far as anybody wrote it down.',
      },
      { head: 'What was done', lines: work.map((line) => workWord(line, names)), otherwise: 'Nothing was applied.' },
      {
        head: 'What helped',
        lines: helpedWords(report, names),
        otherwise: 'No treated trouble was looked at before and after.',
      },
      {
        head: 'What to change',
        lines: [...changeWords(report, names), ...lessons.map(({ text }) => text)],
        otherwise: 'Nothing is written yet. Lessons of the almanac stand here.',
      },
    ],
    foot: `${madeOn}. Hours are reckoned from the library’s minutes for each plant, money from the price of packs where it is known. What went back after a treatment may have gone back without it.`,
  };
}

const lower = (words: string) => words.charAt(0).toLowerCase() + words.slice(1);
