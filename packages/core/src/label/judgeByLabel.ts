import type {
  EarlierApplication,
  JudgedLine,
  LabelCard,
  LabelledHost,
  LabelledPlanting,
  LabelLine,
  ApplicationWeather,
  UsedAmount,
} from './labelCard.js';
import { namesOf } from './namesOf.js';
import { usedRate } from './usedRate.js';

/** What is put to a card. */
export interface LabelQuestion {
  readonly planting: LabelledPlanting;
  readonly earlier: readonly EarlierApplication[];
  readonly weather: ApplicationWeather;
  /** the day that is judged; where it is left out, nothing has expired */
  readonly on?: string | undefined;
  /** how much is used; where it is left out, no rate is judged */
  readonly used?: UsedAmount | undefined;
  /** whoever does it has a licence */
  readonly hasLicence?: boolean | undefined;
  /** cards of what was used earlier: theirs may ask for days apart too */
  readonly cards: ReadonlyMap<string, LabelCard>;
}

type Facts = JudgedLine['facts'];
type Judge = (card: LabelCard, question: LabelQuestion) => { readonly state: JudgedLine['state']; readonly facts?: Facts };

const kept = { state: 'kept' } as const;
const broken = (facts: Facts = {}) => ({ state: 'broken', facts }) as const;
const brokenIf = (isBroken: boolean, facts: Facts = {}) => (isBroken ? broken(facts) : kept);

const crop: Judge = ({ lacks }) => brokenIf(lacks === 'crop');

const target: Judge = ({ lacks }) => brokenIf(lacks === 'target');

const validity: Judge = ({ validUntil: until }, { on }) => (until === undefined || !on ? kept : brokenIf(until < on, { until }));

const licence: Judge = ({ licensed }, { hasLicence }) => brokenIf(licensed === true && !hasLicence);

const rate: Judge = ({ allowedRate: most }, { used }) => {
  if (!most || !used) return kept;
  const state = usedRate(most, used);
  return { state, facts: { high: most.high, unit: most.unit, ...(most.per && { per: most.per.amount, perUnit: most.per.unit }) } };
};

const wind: Judge = ({ maxWindKmh: most }, { weather: { windKmh: now } }) => {
  if (most === undefined) return kept;
  return now === undefined ? { state: 'open', facts: { most } } : brokenIf(now > most, { most, now });
};

const buffer: Judge = ({ bufferM: metres }, { planting: { waterNear } }) =>
  !metres || waterNear === false ? kept : { state: 'open', facts: { metres } };

const settings: Judge = (card, { planting: { setting } }) => brokenIf(!card.settings.includes(setting), { setting });

const eaten: Judge = (card, { planting }) => brokenIf(planting.eaten && !card.onEaten);

const preHarvest: Judge = (card, { planting: { eaten: isEaten, daysToHarvest: left, host: plant } }) => {
  const days = preHarvestFor(card, plant);
  if (!isEaten || days === 0) return kept;
  return left === undefined ? { state: 'open', facts: { days } } : brokenIf(left < days, { days, left });
};

const interval: Judge = ({ id, repeatDays }, { earlier }) => {
  const least = repeatDays?.[0];
  const daysAgo = Math.min(...earlier.filter(({ intervention }) => intervention === id).map((one) => one.daysAgo));
  return least === undefined ? kept : brokenIf(daysAgo < least, { interval: least, daysAgo, wait: least - daysAgo });
};

const seasonMax: Judge = (card, { earlier, cards }) => {
  const { seasonMax: max } = card;
  const same = (id: string) => id === card.id || (cards.has(id) && countedAs(cards.get(id)!) === countedAs(card));
  const used = earlier.filter(({ intervention, thisSeason }) => thisSeason && same(intervention)).length;
  return max === undefined ? kept : brokenIf(used >= max, { max, used });
};

const temperature: Judge = ({ temperatureC: limits }, { weather: { temperatureC: now, maxC } }) => {
  if (!limits) return kept;
  const warmest = Math.max(now ?? -Infinity, maxC ?? -Infinity);
  if (warmest === -Infinity) return { state: 'open' };
  if (warmest > limits.max) return broken({ most: limits.max, now: warmest });
  return brokenIf((now ?? warmest) < limits.min, { least: limits.min, now: now ?? warmest });
};

const bees: Judge = ({ bees: harm, daysBeforeFlower: days }, { planting: { inFlower, flowersInDays: left } }) => {
  if (harm !== 'serious' || inFlower) return brokenIf(harm === 'serious');
  return left === undefined ? { state: 'open', facts: { days } } : brokenIf(left < days, { days, left });
};

const host: Judge = (card, { planting }) => {
  const harm = harmTo(planting, card, 'serious');
  return harm ? broken({ why: harm.why }) : kept;
};

const apart: Judge = (card, { earlier, cards }) => {
  for (const { intervention, daysAgo } of earlier) {
    const other = cards.get(intervention);
    const asked = [
      ...card.apartFrom.filter((one) => one.intervention === intervention),
      ...(other?.apartFrom ?? []).filter((one) => one.intervention === card.id),
    ];
    const clash = asked.find(({ days }) => daysAgo < days);
    if (clash) return broken({ other: other?.name ?? intervention, days: clash.days, daysAgo, why: clash.why });
    const deadly = other?.kills.find(({ what }) => what === card.release);
    if (deadly && daysAgo < deadly.days)
      return broken({ other: other!.name, days: deadly.days, daysAgo, why: 'what is left of it kills what you set out' });
  }
  return kept;
};

/** Days between the last application on this plant and picking it. */
export function preHarvestFor(
  { preHarvestDays, preHarvestOn }: Pick<LabelCard, 'preHarvestDays' | 'preHarvestOn'>,
  plant: LabelledHost,
): number {
  const own = namesOf(plant).flatMap((name) => preHarvestOn.find((one) => one.host === name) ?? []);
  return own[0]?.days ?? preHarvestDays;
}

/** What a card says of harm to this plant, as it stands; a plant of which nobody knows whether it is bare is taken to be in leaf. */
export const harmTo = (
  { host: plant, bare }: Pick<LabelledPlanting, 'host' | 'bare'>,
  { harmsHosts }: LabelCard,
  harm: 'slight' | 'serious',
) =>
  harmsHosts.find(
    (one) => one.harm === harm && namesOf(plant).includes(one.host) && (!one.when || (one.when === 'dormant') === (bare ?? false)),
  );

// Multi-site groups (FRAC M), "not classified" and microbes carry next to no risk of resistance: each is counted for itself.
const manySites = /^(M|NC|UN|BM|P$)/;

/** What a season's maximum is counted for: products of one mode of action together. */
export function countedAs({ id, countsAs, modeOfAction }: Pick<LabelCard, 'id' | 'countsAs' | 'modeOfAction'>): string {
  if (countsAs) return countsAs;
  return modeOfAction && !manySites.test(modeOfAction.group) ? `${modeOfAction.scheme} ${modeOfAction.group}` : id;
}

const judges: Readonly<Record<LabelLine, Judge>> = {
  crop,
  target,
  validity,
  licence,
  rate,
  wind,
  buffer,
  bees,
  eaten,
  'pre-harvest': preHarvest,
  temperature,
  settings,
  'season-max': seasonMax,
  interval,
  apart,
  host,
};

/**
 * The law of the label: each line of a card, kept or broken, for a planting as it stands on the day, after what was used on it earlier.
 *
 * Options, mix, log and planner ask it, and the server asks it again before it accepts. What a line asks for and nobody knows leaves it
 * `open`: that is neither leave nor refusal.
 *
 * @param question - `earlier` holds the applications on this planting up to the day that is judged, and not the judged one itself
 * @returns every line once, in a fixed order
 * @example
 * // soap again after two days, where the card asks for five:
 * // { line: 'interval', state: 'broken', facts: { interval: 5, daysAgo: 2, wait: 3 } }
 */
export function judgeByLabel(card: LabelCard, question: LabelQuestion): JudgedLine[] {
  return (Object.entries(judges) as [LabelLine, Judge][]).map(([line, judge]) => ({ line, facts: {}, ...judge(card, question) }));
}
