import type { CardLine, LabelCard, LabelLine, ProductCard } from './index';

/** What is put to the law, in dates and whole numbers as they would be written down. */
export interface LawCase {
  readonly typical: LabelCard & { readonly reEntryHours: number };
  readonly other: LabelCard & { readonly reEntryHours: number };
  readonly product: ProductCard | undefined;
  readonly host: { readonly id: string; readonly family: string; readonly like?: string };
  readonly planting: {
    readonly setting: string;
    readonly eaten: boolean;
    readonly inFlower: boolean;
    readonly nextFlowerOn: string | null;
    readonly nextHarvestOn: string | null;
  };
  readonly against: readonly string[];
  readonly on: string;
  readonly others: readonly { readonly intervention: string; readonly appliedOn: string }[];
  readonly seasonStart: string;
  readonly temperatureC: number | undefined;
  readonly windKmh: number | undefined;
  /** whole millilitres of product in whole litres of water on whole square metres */
  readonly ml: number;
  readonly waterL: number;
  readonly areaM2: number;
}

/**
 * The law once more, as slow as it can be: it walks the calendar day by day and tries every line of the label, and shares nothing with the
 * one that is tested but the shape of the cards.
 */
export function brokenSlowly(one: LawCase): Set<LabelLine> {
  const { typical, other, product, host, planting, on } = one;
  const broken = new Set<LabelLine>();
  const lines = product ? applicable(product.lines, host, one.against) : [];
  if (product && lines.length === 0) broken.add(product.lines.some((line) => nearness(line, host) < 4) ? 'target' : 'crop');

  const harvestDays =
    lines.length > 0
      ? Math.max(...lines.map((line) => line.preHarvestDays ?? 0))
      : (
          typical.preHarvestOn.find((exception) => exception.host === host.id) ??
          typical.preHarvestOn.find((exception) => exception.host === host.like) ??
          typical.preHarvestOn.find((exception) => exception.host === host.family) ?? { days: typical.preHarvestDays }
        ).days;
  const intervals = lines.flatMap((line) => (line.repeatDays ? [line.repeatDays[0]!] : []));
  const interval = intervals.length > 0 ? Math.max(...intervals) : (typical.repeatDays?.[0] ?? 0);
  const maxima = lines.flatMap((line) => (line.seasonMax === null ? [] : [line.seasonMax]));
  const most = maxima.length > 0 ? Math.min(...maxima) : (typical.seasonMax ?? Infinity);
  const warm = product?.temperatureC ?? typical.temperatureC;
  const bees = product?.bees ?? typical.bees;
  const flowerDays = product?.daysBeforeFlower ?? typical.daysBeforeFlower;

  if (product?.validUntil && product.validUntil < on) broken.add('validity');
  if (product?.soldTo === 'professional') broken.add('licence');
  if (lines.length > 0 ? lines.some((line) => !line.settings.includes(planting.setting)) : !typical.settings.includes(planting.setting))
    broken.add('settings');
  if (planting.eaten && (lines.length > 0 ? lines.some((line) => line.preHarvestDays === null) : !typical.onEaten)) broken.add('eaten');
  if (planting.eaten && planting.nextHarvestOn && daysFrom(on, harvestDays).includes(planting.nextHarvestOn)) broken.add('pre-harvest');
  if (daysBefore(on, interval).some((day) => one.others.some((use) => use.intervention === typical.id && use.appliedOn === day)))
    broken.add('interval');

  let seasonFrom = on;
  while (seasonFrom.slice(5) !== one.seasonStart) seasonFrom = shifted(seasonFrom, -1);
  const alike = (id: string) => id === typical.id || (id === other.id && group(other) !== undefined && group(other) === group(typical));
  const used = one.others.filter((use) => use.appliedOn <= on && use.appliedOn >= seasonFrom && alike(use.intervention));
  if (used.length >= most) broken.add('season-max');

  if (one.temperatureC !== undefined && warm && (one.temperatureC > warm.max || one.temperatureC < warm.min)) broken.add('temperature');
  if (one.windKmh !== undefined && product?.maxWindKmh != null && one.windKmh > product.maxWindKmh) broken.add('wind');
  if (bees === 'serious' && (planting.inFlower || (planting.nextFlowerOn && daysFrom(on, flowerDays).includes(planting.nextFlowerOn))))
    broken.add('bees');
  if (lines.some((line) => isAbove(line, one))) broken.add('rate');
  for (const use of one.others) {
    const onLabel = (product?.apartFrom ?? []).filter((rule) => rule.intervention === use.intervention);
    const own = onLabel.length > 0 ? onLabel : typical.apartFrom.filter((rule) => rule.intervention === use.intervention);
    const its = { copper: typical, oil: other }[use.intervention]?.apartFrom.filter((rule) => rule.intervention === typical.id) ?? [];
    if ([...own, ...its].some((rule) => daysBefore(on, rule.days).includes(use.appliedOn))) broken.add('apart');
  }
  if (typical.harmsHosts.some((rule) => rule.harm === 'serious' && [host.id, host.like, host.family].includes(rule.host)))
    broken.add('host');
  return broken;
}

/** Every line that names the plant, for each trouble the nearest; of these the ones that name the trouble, where there are any. */
function applicable(lines: readonly CardLine[], host: LawCase['host'], against: readonly string[]): CardLine[] {
  const found = new Set<CardLine>();
  for (const trouble of against.length > 0 ? against : [undefined])
    for (const near of [0, 1, 2, 3]) {
      const here = lines.filter((line) => nearness(line, host) === near && (!trouble || line.target === null || line.target === trouble));
      if (here.length === 0) continue;
      const named = trouble ? here.filter((line) => line.target === trouble) : [];
      for (const line of named.length > 0 ? named : here) found.add(line);
      break;
    }
  return [...found];
}

function nearness({ host: name }: CardLine, host: LawCase['host']): number {
  if (name === host.id) return 0;
  if (name !== null && name === host.like) return 1;
  if (name === host.family) return 2;
  return name === null ? 3 : 4;
}

/** Whole numbers only: no rounding can hide anything. */
function isAbove({ rate }: CardLine, { ml, waterL, areaM2 }: LawCase): boolean {
  if (!rate) return false;
  if (rate.unit === 'percent') return BigInt(ml) * 100n > BigInt(rate.high) * BigInt(waterL) * 1000n;
  const high = BigInt(rate.high) * (rate.unit === 'l' ? 1000n : 1n);
  const [done, per] =
    rate.per!.unit === 'l'
      ? [BigInt(waterL), BigInt(rate.per!.amount)]
      : [BigInt(areaM2), BigInt(rate.per!.amount) * (rate.per!.unit === 'ha' ? 10_000n : 1n)];
  return BigInt(ml) * per > high * done;
}

const group = ({ modeOfAction }: LabelCard) => (modeOfAction ? `${modeOfAction.scheme} ${modeOfAction.group}` : undefined);
const shifted = (day: string, by: number) => new Date(Date.parse(`${day}T12:00:00Z`) + by * 86_400_000).toISOString().slice(0, 10);
/** so many days from a day on, that day among them */
const daysFrom = (day: string, count: number) => Array.from({ length: count }, (_, i) => shifted(day, i));
const daysBefore = (day: string, count: number) => Array.from({ length: count }, (_, i) => shifted(day, -i));
