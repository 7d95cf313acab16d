import type { FailureFacts, GoneFacts } from '@field-nurse/core/recovery';
import { actsOn, stageChances } from '@field-nurse/core/treatment';
import { hourMs } from '@field-nurse/core/timing';
import type { WeatherHour } from '@field-nurse/core/timing';
import type { Condition, Intervention } from '@field-nurse/library';

// Our estimates of how long what hides takes to come out, in days; by heat where the library knows it.
const usualGrowingC = 18;
const leastWarmth = 3;
const hiddenDaysOf = { insect: 21, mite: 12, 'fast-disease': 7, 'slow-disease': 14 } as const;
const animals = new Set(['insect', 'mite', 'mollusc']);
const onWind = new Set(['insect', 'mite', 'fungus', 'oomycete']);

/** How long a stage of it may hide from a look, and whether it comes in by itself. */
export function hidingOf(condition: Condition, setting: string): Pick<GoneFacts, 'hiddenDays' | 'comesByItself'> {
  const { kind, stages, heat, onset } = condition;
  const comesByItself = setting === 'outdoor' && onWind.has(kind);
  if (!animals.has(kind))
    return { comesByItself, hiddenDays: hiddenDaysOf[onset === 'days' || onset === 'overnight' ? 'fast-disease' : 'slow-disease'] };
  const hides = stages.some((stage) => stage.hidden !== undefined || stage.kind === 'egg' || stage.kind === 'pupa');
  if (!hides) return { comesByItself, hiddenDays: 0 };
  const byHeat = heat?.generation && Math.ceil(heat.generation / Math.max(leastWarmth, usualGrowingC - heat.lowerC));
  return { comesByItself, hiddenDays: byHeat ?? hiddenDaysOf[kind === 'mite' ? 'mite' : 'insect'] };
}

/** What was last done against it, with what is known of that. */
export interface LastTreatment {
  readonly card: Intervention;
  readonly appliedAt: string;
  readonly coveredPart: string;
  /** how often its mode of action was used on the planting in this season */
  readonly sameMode: number;
}

/** What bears on why a treatment did not help. */
export function failureFacts(
  condition: Condition,
  last: LastTreatment,
  about: {
    readonly chanceOfCause: number;
    readonly month: number;
    readonly hours: readonly WeatherHour[];
    readonly sources: number;
    readonly cameBack: boolean;
  },
): FailureFacts {
  const effect = condition.treat.find(({ intervention }) => intervention === last.card.id);
  const chances = stageChances(condition, { seen: new Set(), absent: new Set(), month: about.month });
  const share = effect
    ? condition.stages.filter((stage) => actsOn(effect, stage)).reduce((sum, { id }) => sum + (chances.get(id) ?? 0), 0)
    : 0;
  return {
    chanceOfCause: about.chanceOfCause,
    stageShare: share,
    isContact: last.card.reach === 'contact' || last.card.reach === 'physical',
    hides: condition.stages.some(({ hidden }) => hidden !== undefined),
    coveredAll: last.coveredPart === '' ? undefined : /both|under|all|whole/i.test(last.coveredPart),
    sameMode: last.sameMode,
    rainMm: last.card.rainFastHours === undefined ? 0 : rainAfter(last.appliedAt, last.card.rainFastHours, about.hours),
    sources: about.sources,
    cameBack: about.cameBack,
  };
}

function rainAfter(appliedAt: string, hours: number, measured: readonly WeatherHour[]): number | undefined {
  const from = Math.floor(Date.parse(appliedAt) / hourMs) * hourMs;
  const known = measured.flatMap(({ at, rainMm }) => {
    const after = (Date.parse(at) - from) / hourMs;
    return rainMm !== null && after >= 0 && after < Math.max(1, hours) ? [rainMm] : [];
  });
  return known.length === 0 ? undefined : known.reduce((sum, rain) => sum + rain, 0);
}
