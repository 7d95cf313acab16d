import { dimensionOf, inBase } from '../units/index.js';
import type { CardRate, LabelCard, LabelledHost } from './labelCard.js';
import { linesFor } from './linesFor.js';
import type { CardLine, ProductCard } from './productCard.js';

interface Waits {
  readonly reEntryHours: number;
  readonly rainFastHours?: number | undefined;
}

/**
 * The card that counts for a product in hand, on this plant against these troubles: what its label says, and the typical figures of its
 * ingredient where the label says nothing. Where several lines of the label apply, the strictest figure of them.
 *
 * @param typical - of the ingredient
 * @param targets - troubles that it is used against; none known: every line of the plant counts
 */
export function cardFor<T extends LabelCard & Waits>(
  typical: T,
  card: ProductCard,
  plant: LabelledHost,
  targets: readonly string[],
): T & LabelCard {
  const found = linesFor(card.lines, plant, targets);
  const lines = 'lines' in found ? found.lines : [];
  const of = <V>(pick: (line: CardLine) => V | null): V[] => lines.flatMap((line) => pick(line) ?? []);
  const repeats = lines.flatMap(({ repeatDays }) => (repeatDays ? [repeatDays] : []));
  const maxima = of(({ seasonMax }) => seasonMax);
  const named = new Set(card.apartFrom.map(({ intervention }) => intervention));
  return {
    ...typical,
    lacks: 'lacks' in found ? found.lacks : undefined,
    validUntil: card.validUntil ?? undefined,
    licensed: card.soldTo === 'professional',
    reEntryHours: card.reEntryHours,
    rainFastHours: card.rainFastHours ?? typical.rainFastHours,
    temperatureC: card.temperatureC ?? typical.temperatureC,
    maxWindKmh: card.maxWindKmh ?? typical.maxWindKmh,
    bufferM: card.bufferM ?? typical.bufferM,
    bees: card.bees,
    daysBeforeFlower: card.daysBeforeFlower,
    apartFrom: [...card.apartFrom, ...typical.apartFrom.filter(({ intervention }) => !named.has(intervention))],
    ...(lines.length > 0 && {
      fromLabel: true,
      settings: lines[0]!.settings.filter((setting) => lines.every(({ settings }) => settings.includes(setting))),
      onEaten: lines.every(({ preHarvestDays }) => preHarvestDays !== null),
      preHarvestDays: Math.max(0, ...of(({ preHarvestDays }) => preHarvestDays)),
      preHarvestOn: [],
      repeatDays: repeats.length > 0 ? [0, 1].map((end) => Math.max(...repeats.map((days) => days[end] ?? 0))) : typical.repeatDays,
      seasonMax: maxima.length > 0 ? Math.min(...maxima) : typical.seasonMax,
      allowedRate: lowestRate(of(({ rate }) => rate)) ?? typical.allowedRate,
    }),
  };
}

/** Rates on different terms can't be told apart: then the first counts. */
function lowestRate(rates: readonly CardRate[]): CardRate | undefined {
  const [first, ...others] = rates;
  return others.reduce((lowest, rate) => (lowest && alike(rate, lowest) && highOf(rate).lt(highOf(lowest)) ? rate : lowest), first);
}

const alike = (a: CardRate, b: CardRate) => dimensionOf(a.unit) === dimensionOf(b.unit) && kindOf(a) === kindOf(b);
const kindOf = ({ per }: CardRate) => (!per ? 'none' : per.unit === 'plant' ? 'plant' : dimensionOf(per.unit));
const highOf = ({ high, unit, per }: CardRate) =>
  inBase({ amount: high, unit }).div(!per ? 1 : per.unit === 'plant' ? per.amount : inBase({ amount: per.amount, unit: per.unit }));
