import type { LabelCard } from '@field-nurse/contract';
import type { CardDifference, CardLine, CardRate, ProductCard } from '@field-nurse/core/label';
import { dayWord } from '../shared/days';
import { inGardenUnits, unitWord } from '../shared/units';
import type { UnitSystem } from '../shared/units';
import { protectWords, settingWords } from '../shared/words';
import { familyWord } from './family-words';
import { soldToWords } from './shelf-words';

/** How things of the library are called. */
export interface Naming {
  readonly host: (id: string) => string | undefined;
  readonly condition: (id: string) => string;
  readonly intervention: (id: string) => string;
  readonly system: UnitSystem;
  readonly today: string;
}

/** "20 to 30 g in 10 l", "150 to 200 ml on 1 ha", "2 %" */
export function rateWord({ low, high, unit, per }: CardRate): string {
  const amount = `${low === high ? high : `${low} to ${high}`} ${unitWord(unit)}`;
  if (!per) return amount;
  const isWater = ['ml', 'l', 'qt-us', 'gal-us', 'gal-imp'].includes(per.unit);
  const of = per.unit === 'plant' ? (per.amount === 1 ? 'plant' : `${per.amount} plants`) : `${per.amount} ${unitWord(per.unit)}`;
  return `${amount} ${isWater ? 'in' : 'on'} ${of}`;
}

export const plantWord = ({ host }: Pick<CardLine, 'host'>, { host: nameOf }: Naming): string =>
  host === null ? 'Any plant' : (nameOf(host) ?? familyWord(host));

export const targetWord = ({ target }: Pick<CardLine, 'target'>, { condition }: Naming): string =>
  target === null ? 'any trouble' : condition(target);

export const harvestWord = (days: number | null): string => (days === null ? 'not on what is eaten' : days === 0 ? 'none' : daysWord(days));
export const repeatWord = (days: readonly number[] | null): string => (days ? `${days[0]} to ${days[1]} days` : 'not said');
export const timesWord = (most: number | null): string => (most === null ? 'not said' : most === 1 ? 'once' : `${most} times`);
export const settingsWord = (settings: readonly string[]): string => settings.map((one) => settingWords[one] ?? one).join(', ');
const daysWord = (days: number) => `${days} ${days === 1 ? 'day' : 'days'}`;
const beeWords = { none: 'no harm known', slight: 'some harm: not onto open flowers', serious: 'deadly: not in flower' } as const;

type General = Exclude<keyof ProductCard, 'source' | 'lines'>;

/** What a figure of a card is called. */
export const fieldWords: Readonly<Record<General | 'protect' | Exclude<keyof CardLine, 'host' | 'target'>, string>> = {
  validUntil: 'Registered until',
  soldTo: 'Sold to',
  reEntryHours: 'Keep out',
  rainFastHours: 'Dry hours after it',
  temperatureC: 'Temperature',
  maxWindKmh: 'Wind at most',
  bufferM: 'Away from water',
  bees: 'Bees',
  daysBeforeFlower: 'Before flowering',
  apartFrom: 'Not within',
  protect: 'Wear',
  rate: 'Rate',
  preHarvestDays: 'Days before picking',
  repeatDays: 'Days between two',
  seasonMax: 'In a season',
  settings: 'Where',
};

const notSaid = 'not said';

/** A general figure of a card in words. */
export function generalWord<F extends General>(field: F, value: ProductCard[F], naming: Naming): string {
  if (value === null) return notSaid;
  const words: { readonly [K in General]: (of: NonNullable<ProductCard[K]>) => string } = {
    validUntil: (day) => dayWord(day, naming.today),
    soldTo: (to) => soldToWords[to],
    reEntryHours: (hours) => (hours === 0 ? 'until it is dry' : `${hours} hours`),
    rainFastHours: (hours) => `${hours} hours`,
    temperatureC: ({ min, max }) =>
      `${inGardenUnits('temperature', min, naming.system)} to ${inGardenUnits('temperature', max, naming.system)}`,
    maxWindKmh: (kmh) => inGardenUnits('wind', kmh, naming.system),
    bufferM: (metres) => (metres === 0 ? notSaid : `${metres} m`),
    bees: (harm) => beeWords[harm],
    daysBeforeFlower: (days) => (days === 0 ? notSaid : daysWord(days)),
    apartFrom: (list) =>
      list.map(({ intervention, days }) => `${daysWord(days)} of ${naming.intervention(intervention)}`).join(', ') || notSaid,
  };
  return words[field](value);
}

export const protectWord = ({ protect }: Pick<LabelCard, 'protect'>): string =>
  protect.map((one) => protectWords[one] ?? one).join(', ') || notSaid;

/** A figure of a line in words. */
export function lineWord(field: Exclude<keyof CardLine, 'host' | 'target'>, line: CardLine): string {
  return {
    rate: () => (line.rate ? rateWord(line.rate) : notSaid),
    preHarvestDays: () => harvestWord(line.preHarvestDays),
    repeatDays: () => repeatWord(line.repeatDays),
    seasonMax: () => timesWord(line.seasonMax),
    settings: () => settingsWord(line.settings),
  }[field]();
}

/** A difference of two cards as one sentence: "Leek, leek rust: days before picking were 1 day, now 5 days." */
export function differenceWord(one: CardDifference, naming: Naming): string {
  if (one.line === null)
    return `${fieldWords[one.field]}: was ${generalWord(one.field, one.before as never, naming)}, now ${generalWord(one.field, one.after as never, naming)}.`;
  const of = `${plantWord(one.line, naming)}, ${targetWord(one.line, naming)}`;
  if (one.field === 'added') return `${of}: a line that was not there.`;
  if (one.field === 'removed') return `${of}: the line is gone, and it may not be used there any more.`;
  const { field } = one;
  const word = (value: unknown) => lineWord(field, { [field]: value } as unknown as CardLine);
  return `${of}: ${fieldWords[field].toLowerCase()} was ${word(one.before)}, now ${word(one.after)}.`;
}
