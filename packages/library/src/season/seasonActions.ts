import type { SeasonAction, Span, TroubleModel } from '@field-nurse/core/season';
import { actsOn, harmScore, isSpray, moneyPerPlant } from '@field-nurse/core/treatment';
import type { Condition, Intervention, SeasonModel } from '../entries.js';

type LeafModel = Exclude<SeasonModel, { kind: 'ground' }>;

// Without a figure of its own a film lasts for about a week.
const usualLastsDays = 7;
// Spores that were washed off are back as soon.
const rinsedDays = 2;
// What is put up stays for the season.
const forEver = 1e6;
// Share of helpers that live through it: our estimate, as the library's words none, slight and serious are meant.
const sparing = { none: 1, slight: 0.7, serious: 0.2 } as const;
const rungs = new Set(['hand', 'barrier', 'trap', 'biological', 'soft', 'synthetic']);
// FRAC and IRAC write so what acts at many sites or in ways that nothing has grown used to.
const manySites = /^(M|NC|BM|P|UN)/;

/** The numbers of a library model as the season is reckoned from them. */
export function troubleOf(model: LeafModel): TroubleModel {
  if (model.kind === 'disease') return model;
  const { enemies, ...pest } = model;
  if (!enemies) return pest;
  const { released: _, ...guild } = enemies;
  return { ...pest, enemies: guild };
}

/**
 * What an entry of the library does in a season of a trouble, per plant; nothing where it is none of what can be done in rounds (culture, removal, what
 * helps next year).
 *
 * @param plants - how many share what must be bought
 */
export function seasonAction(intervention: Intervention, condition: Condition, model: LeafModel, plants: number): SeasonAction | undefined {
  const treats = condition.treat.find((one) => one.intervention === intervention.id);
  if (!treats || !rungs.has(intervention.rung) || intervention.nextSeason || intervention.dont) return undefined;
  const span: Span = [treats.efficacy[0] / 100, treats.efficacy[1] / 100];
  if (span[1] === 0) return undefined;
  const once = intervention.rung === 'barrier' || intervention.rung === 'trap';
  // What is swept from the ground has spots no more than the leaf that hangs.
  if (model.kind === 'disease' && intervention.rung === 'hand' && intervention.order === 'clean' && intervention.reach === 'physical')
    return undefined;
  const released = model.kind === 'pest' ? model.enemies?.released[intervention.id] : undefined;
  const effect = released !== undefined ? {} : once ? onceEffect(model, span) : effectOf(model, condition, treats, intervention, span);
  const { modeOfAction: mode, repeatDays, temperatureC } = intervention;
  return {
    id: intervention.id,
    effect,
    reachesSheltered: !['contact', 'stomach', 'physical'].includes(intervention.reach),
    residue: residueOf(model, intervention, once),
    releases: released,
    sparesHelpers: sparing[intervention.helpers],
    harmsBees: harmScore[intervention.bees],
    harmsHelpers: harmScore[intervention.helpers],
    group: mode && !manySites.test(mode.group) ? `${mode.scheme} ${mode.group}` : undefined,
    isSpray: isSpray(intervention),
    cost: moneyPerPlant(intervention, plants),
    minutes: intervention.minutesPerPlant,
    everyDays: repeatDays?.[0] ?? usualLastsDays,
    most: once || !repeatDays ? 1 : intervention.seasonMax,
    minC: temperatureC?.min,
    maxC: temperatureC?.max,
    preHarvestDays: intervention.preHarvestDays,
  };
}

/** A net, a trap: it keeps off, from the day on which it is put up. */
const onceEffect = (model: LeafModel, span: Span): Readonly<Record<string, Span>> =>
  model.kind === 'pest' ? { arrivals: span } : { protects: span };

function effectOf(
  model: LeafModel,
  condition: Condition,
  treats: Condition['treat'][number],
  { order }: Intervention,
  span: Span,
): Readonly<Record<string, Span>> {
  if (model.kind === 'disease') {
    const any = treats.stages.includes('any');
    if (order === 'cut') return { clears: span };
    return {
      ...((any || treats.stages.includes('spore')) && { protects: span }),
      ...(treats.stages.includes('lesion') && { cures: span }),
    };
  }
  return Object.fromEntries(
    model.stages.flatMap(({ id }) => {
      const stage = condition.stages.find((one) => one.id === id);
      return stage && actsOn(treats, stage) ? [[id, span]] : [];
    }),
  );
}

function residueOf({ kind }: LeafModel, { residualDays, rainFastHours, rung }: Intervention, once: boolean) {
  if (once) return kind === 'disease' ? { lastsDays: forEver } : undefined;
  const lastsDays = residualDays > 0 ? residualDays : kind === 'disease' ? (rung === 'hand' ? rinsedDays : usualLastsDays) : 0;
  return lastsDays > 0 ? { lastsDays, rainFastHours } : undefined;
}
