import type { Planting, TestSpray, TreatmentPlan } from '@field-nurse/contract';
import { plantingOn } from '@field-nurse/core/ground';
import { cardThatCounts, countedAs, judgeApplied } from '@field-nurse/core/label';
import type { LabelCard } from '@field-nurse/core/label';
import { addDays, clockAt, usualSprayLimits } from '@field-nurse/core/timing';
import type { Host, Intervention, Library } from '@field-nurse/library';
import { brokenLineText } from '@field-nurse/library/texts';
import { packInHand } from '../gardens/pack-in-hand';
import type { OnShelf } from '../gardens/shelf-now';
import { dayWord } from '../shared/days';
import type { Cards, GardenToPlan, Way } from './garden-to-plan';

export const planDays = 28;
// Mixing, dressing and cleaning take as long for one plant as for a bed.
const minutesToBegin = 15;

export const wayId = (plan: { readonly id: string }, key: string): string => `${key} ${plan.id}`;

/** One way to do the rounds of a plan: by a pack at hand, or by the typical figures where there is none. */
export function wayOf(
  plan: TreatmentPlan,
  typical: Intervention,
  pack: OnShelf | undefined,
  record: Planting,
  host: Host,
  garden: GardenToPlan,
  library: Library,
  cards: Cards,
): Way {
  const product = pack && cardThatCounts([pack.card].flatMap((card) => card ?? []));
  const others = garden.applied.filter(({ plantingId }) => plantingId === record.id);
  const judged = (day: string) =>
    judgeApplied({
      typical,
      product,
      cards,
      planting: { ...plantingOn(record, day), eaten: record.eaten },
      host,
      against: plan.against,
      on: day,
      others,
      seasonStart: garden.seasonStart,
      weather: {},
    });
  const test = garden.testSprays.filter((one) => one.plantingId === record.id && one.intervention === typical.id).at(-1);
  const start = clockAt(garden.now, garden.timeZone).slice(0, 10);
  const days = Array.from({ length: planDays + 1 }, (_, i) => addDays(start, i));
  const forbidden = Object.fromEntries(
    days.flatMap((day) => {
      const broken = judged(day).lines.filter(({ state }) => state === 'broken');
      const against = [...leafTestSays(test, day), ...broken.map(brokenLineText)];
      return against.length > 0 ? [[day, against] as const] : [];
    }),
  );
  const card: Intervention & Pick<LabelCard, 'maxWindKmh'> = judged(start).card;
  const inHand = pack && packInHand(typical, pack, host, plan.against, record.plants);
  const id = wayId(plan, pack?.product.id ?? typical.id);
  const minutes = Math.round((card.order === 'spray' || card.rate ? minutesToBegin : 0) + minutesOver(record.plants, card));
  const isOutdoors = plantingOn(record, start).setting === 'outdoor';
  const mode = countedAs(card);
  const preHarvestDays = card.preHarvestOn.find(({ host: plant }) => plant === host.id)?.days ?? card.preHarvestDays;
  return {
    card,
    told: {
      id,
      plan: plan.id,
      intervention: typical.id,
      productId: pack?.product.id ?? null,
      minutes,
      reEntryHours: card.reEntryHours,
      preHarvestDays: record.eaten ? preHarvestDays : 0,
      forbidden,
    },
    way: {
      id,
      group: mode === card.id ? undefined : mode,
      efficacy: efficacyOf(typical, plan, library),
      cost: card.costPerPlant * record.plants,
      minutes,
      bees: card.bees === 'slight' ? 'slight' : 'none',
      season: seasonKey(card, record.id),
      forbiddenOn: (day) => forbidden[day] ?? [],
      ...(pack && pack.left !== null && inHand?.needed && { pack: pack.product.id, amount: inHand.needed }),
      ...(card.reEntryHours > 0 && { reEntryHours: card.reEntryHours }),
      ...(isOutdoors && {
        ...(card.rainFastHours !== undefined && { rainFastHours: card.rainFastHours }),
        ...(card.temperatureC && { minC: card.temperatureC.min, maxC: card.temperatureC.max }),
        ...(card.order === 'spray' && { maxWindKmh: card.maxWindKmh ?? usualSprayLimits.maxWindKmh }),
      }),
    },
  };
}

/** What a test on a few leaves says against a day: those that wait are looked at first, and what marked them is not used. */
function leafTestSays(test: TestSpray | undefined, day: string): string[] {
  if (test?.outcome === 'marked') return ['It marked the test leaves.'];
  return test?.outcome === 'waiting' && day < test.lookOn ? [`The test leaves are looked at first, on ${dayWord(test.lookOn)}.`] : [];
}

// In a bed the second plant is at hand: from so many on each takes a quarter of the time. Our estimate.
const singly = 20;
const minutesOver = (plants: number, { minutesPerPlant }: Intervention) =>
  minutesPerPlant * (Math.min(plants, singly) + Math.max(0, plants - singly) / 4);

/** What a season's maximum is counted for: a mode of action on a planting. */
export const seasonKey = (card: Intervention, planting: string) => `${countedAs(card)} ${planting}`;

/** The middle of what it is expected to do to what the plan is against. */
function efficacyOf({ id }: Intervention, { against }: TreatmentPlan, library: Library): number {
  const effects = library.conditions
    .filter((one) => against.includes(one.id))
    .flatMap(({ treat }) => treat.filter(({ intervention }) => intervention === id));
  const middles = effects.map(({ efficacy }) => (efficacy[0] + efficacy[1]) / 200);
  return Math.max(0, ...middles);
}
