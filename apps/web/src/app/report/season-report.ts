import type { Application, Harvest, Lesson, PastSight, Product } from '@field-nurse/contract';
import { dayAt, daysBetween } from '@field-nurse/core/timing';
import type { Intervention } from '@field-nurse/library';
import type { Planting } from '../gardens/plantings-now';
import type { Span } from '../plantings/strips';

/** What a report is made of, of all seasons. */
export interface ReportRecords {
  readonly plantings: readonly Planting[];
  readonly sights: readonly PastSight[];
  readonly applications: readonly Application[];
  readonly harvests: readonly Harvest[];
  readonly lessons: readonly Lesson[];
  readonly looks: readonly { readonly plantingId: string; readonly day: string; readonly found: boolean }[];
}

/** A trouble of the season, on one planting. */
export interface TroubleLine {
  readonly case: string;
  readonly planting: string;
  readonly conditions: readonly string[];
  readonly openedOn: string;
  readonly closedOn: string | null;
  readonly outcome: string | null;
  readonly peak: number | null;
  readonly last: number | null;
  /** what was done for it, in order, each once */
  readonly done: readonly string[];
  /** days from its first sight to the first thing that was done */
  readonly waited: number | undefined;
}

/** One kind of work of the season. */
export interface WorkLine {
  readonly intervention: string;
  readonly times: number;
  readonly plants: number;
  readonly hours: number;
  readonly cost: number;
  /** the cost is by the price of packs, not by the library's usual figure */
  readonly isPaid: boolean;
}

export interface SeasonReport {
  readonly plantings: readonly Planting[];
  readonly troubles: readonly TroubleLine[];
  readonly work: readonly WorkLine[];
  readonly looks: number;
  readonly finds: number;
  readonly harvest: { readonly kg: number; readonly pieces: number; readonly wasteKg: number };
  readonly hours: number;
  readonly cost: number;
  /** lines of cards that were not kept, each once */
  readonly notKept: readonly string[];
  readonly lessons: readonly Lesson[];
}

const minutesInHour = 60;

/**
 * One season of one place, crop or garden: what happened, what was done, what it cost, what was picked.
 *
 * Hours are the library's for each plant. Money is what was used of a pack at its price, where both are known, else the library's usual figure.
 *
 * @param isOf - whether a planting belongs into the report
 */
export function seasonReport(
  records: ReportRecords,
  { from, to }: Span,
  isOf: (planting: Planting) => boolean,
  known: {
    readonly interventions: ReadonlyMap<string, Intervention>;
    readonly products: ReadonlyMap<string, Product>;
    readonly timeZone: string;
    readonly today: string;
  },
): SeasonReport {
  const within = (day: string) => day >= from && day <= to;
  const plantings = records.plantings.filter((one) => isOf(one) && one.plantedOn <= to && (one.endedOn ?? known.today) >= from);
  const ids = new Set(plantings.map(({ id }) => id));
  const troubles = records.sights
    .filter((sight) => ids.has(sight.planting) && within(sight.openedOn))
    .map(troubleLine)
    .sort((a, b) => a.openedOn.localeCompare(b.openedOn));
  const applications = records.applications.filter(
    ({ appliedAt, targets }) => within(dayAt(appliedAt, known.timeZone)) && targets.some(({ plantingId }) => ids.has(plantingId)),
  );
  const work = workLines(applications, ids, known);
  const harvests = records.harvests.filter(({ plantingId, pickedOn }) => ids.has(plantingId) && within(pickedOn));
  const sum = (pick: (one: Harvest) => number | null) => harvests.reduce((all, one) => all + (pick(one) ?? 0), 0);
  const looks = records.looks.filter(({ plantingId, day }) => ids.has(plantingId) && within(day));
  const hosts = new Set(plantings.map(({ host }) => host));
  const had = new Set(troubles.flatMap(({ conditions }) => conditions));
  return {
    plantings,
    troubles,
    work,
    looks: looks.length,
    finds: looks.filter(({ found }) => found).length,
    harvest: { kg: sum(({ kg }) => kg), pieces: sum(({ pieces }) => pieces), wasteKg: sum(({ wasteKg }) => wasteKg) },
    hours: work.reduce((all, { hours }) => all + hours, 0),
    cost: work.reduce((all, { cost }) => all + cost, 0),
    notKept: [
      ...new Set(
        applications.flatMap(({ brokenLines }) => brokenLines.filter(({ plantingId }) => ids.has(plantingId)).map(({ text }) => text)),
      ),
    ],
    // What is about neither a plant nor a trouble is about the garden.
    lessons: records.lessons.filter(
      ({ host, condition, writtenOn }) =>
        within(writtenOn) && (host === null || hosts.has(host)) && (condition === null || host !== null || had.has(condition)),
    ),
  };
}

function troubleLine(sight: PastSight): TroubleLine {
  const { done, openedOn } = sight;
  const first = done.map(({ on }) => on).sort()[0];
  return {
    case: sight.case,
    planting: sight.planting,
    conditions: sight.conditions,
    openedOn,
    closedOn: sight.closedOn,
    outcome: sight.outcome,
    peak: sight.peak,
    last: sight.lastSeverity,
    done: [...new Set(done.toSorted((a, b) => a.on.localeCompare(b.on)).map(({ intervention }) => intervention))],
    waited: first === undefined ? undefined : Math.max(0, daysBetween(openedOn, first)),
  };
}

function workLines(
  applications: readonly Application[],
  ids: ReadonlySet<string>,
  {
    interventions,
    products,
  }: { readonly interventions: ReadonlyMap<string, Intervention>; readonly products: ReadonlyMap<string, Product> },
): WorkLine[] {
  const lines = new Map<string, WorkLine>();
  for (const one of applications) {
    const card = interventions.get(one.intervention);
    const plants = one.targets.filter(({ plantingId }) => ids.has(plantingId)).reduce((sum, target) => sum + target.plants, 0);
    // A tank that went elsewhere as well is paid for by plants.
    const share = plants / one.targets.reduce((sum, target) => sum + target.plants, 0);
    const paid = paidFor(one, products.get(one.productId ?? ''));
    const before = lines.get(one.intervention);
    lines.set(one.intervention, {
      intervention: one.intervention,
      times: (before?.times ?? 0) + 1,
      plants: (before?.plants ?? 0) + plants,
      hours: (before?.hours ?? 0) + ((card?.minutesPerPlant ?? 0) * plants) / minutesInHour,
      cost: (before?.cost ?? 0) + (paid === undefined ? (card?.costPerPlant ?? 0) * plants : paid * share),
      isPaid: (before?.isPaid ?? true) && paid !== undefined,
    });
  }
  return [...lines.values()].sort((a, b) => b.hours - a.hours || b.times - a.times);
}

function paidFor({ productMl, productG, productPieces }: Application, product: Product | undefined): number | undefined {
  const used = productMl ?? productG ?? productPieces;
  if (used === null || !product?.price || !product.packAmount) return undefined;
  return (used / product.packAmount) * product.price;
}
