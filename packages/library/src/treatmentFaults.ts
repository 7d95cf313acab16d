import type { Condition, Intervention, Library } from './entries.js';

// What a good adviser has at hand for a common trouble.
const fewestOptions = 8;
const fewestRungs = 5;
/** Kinds that are no living cause: what puts water, light or feed right is all there is. */
const lifeless = new Set<Condition['kind']>(['deficiency', 'water', 'climate', 'injury', 'natural', 'harmless', 'helper']);
const living = ({ kind }: Condition) => !lifeless.has(kind);

/** Options and rungs of a condition, watching aside: leaving it is always open. */
export function ladderSize({ treat }: Condition, cards: ReadonlyMap<string, Intervention>): { options: number; rungs: number } {
  const open = treat.map(({ intervention }) => cards.get(intervention)).filter((card) => card && !card.dont);
  return { options: open.length, rungs: new Set(open.map((card) => card!.rung)).size };
}

/**
 * Find what is wrong with treatments: those that can never be taken where the trouble is, stages that it does not have, texts that are no
 * sentences, levels that contradict themselves, and common troubles with too little to choose from.
 *
 * @returns one sentence for each fault
 */
export function treatmentFaults(library: Library): string[] {
  const cards = new Map(library.interventions.map((one) => [one.id, one]));
  const used = new Set(library.conditions.flatMap(({ treat }) => treat.map(({ intervention }) => intervention)));
  return [
    ...library.interventions.flatMap((card) => [
      ...(used.has(card.id) ? [] : [`intervention ${card.id} is used by no condition`]),
      ...card.steps.filter((step) => !isSentence(step)).map((step) => `${card.id} has a step that is no sentence: ${step}`),
      ...card.names.filter(isCut).map((name) => `${card.id} has a name that was cut: ${name}`),
      ...card.undoes.filter((id) => !cards.has(id)).map((id) => `${card.id} undoes the unknown intervention ${id}`),
    ]),
    ...library.checks.flatMap(({ id, steps }) =>
      steps.filter((step) => !isSentence(step)).map((step) => `check ${id} has a step that is no sentence: ${step}`),
    ),
    ...library.conditions.flatMap((one) => [...effectFaults(one, cards), ...conditionFaults(one, cards)]),
  ];
}

function effectFaults(condition: Condition, cards: ReadonlyMap<string, Intervention>): string[] {
  const stages = new Set<string>(['any', ...condition.stages.flatMap(({ id, kind }) => [id, kind])]);
  return condition.treat.flatMap(({ intervention, stages: acts, steps = [] }) => {
    const card = cards.get(intervention);
    const where = card?.settings.some((one) => condition.settings.includes(one)) ?? true;
    return [
      ...(where ? [] : [`${condition.id} is never where ${intervention} may be used`]),
      ...acts.filter((id) => !stages.has(id)).map((id) => `${condition.id} has no stage ${id} for ${intervention}`),
      ...steps.filter((step) => !isSentence(step)).map((step) => `${condition.id} has a step that is no sentence: ${step}`),
    ];
  });
}

function conditionFaults(one: Condition, cards: ReadonlyMap<string, Intervention>): string[] {
  const { options, rungs } = ladderSize(one, cards);
  const thin = living(one) && one.common === 'common' && !one.fewOptions && (options < fewestOptions || rungs < fewestRungs);
  const told = [one.summary, ...one.prevention, ...one.cautions, one.threshold.act, one.threshold.basis, one.recovery.sign].join(' ');
  return [
    ...(thin ? [`${one.id} is common and has ${options} options on ${rungs} rungs; say why with fewOptions, or add some`] : []),
    ...(one.reportable === 'no' && /\breport (it|a|the|any|them)\b|\breported\b/i.test(told)
      ? [`${one.id} speaks of reporting and is not marked as reportable`]
      : []),
    ...one.levels
      .filter(({ measure, act }) => measure === 'any' && act !== 1)
      .map(({ act }) => `${one.id} acts at the first find and at ${act} as well`),
    ...one.names.filter(isCut).map((name) => `${one.id} has a name that was cut: ${name}`),
    ...one.prevention.filter((line) => !isSentence(line)).map((line) => `${one.id} has a prevention that is no sentence: ${line}`),
  ];
}

const isSentence = (text: string) => /^[\p{Lu}\d]/u.test(text) && /[.!?]$/.test(text) && text.split(/\s+/).length >= 3;
const isCut = (name: string) => /[;:|]|^(or|and|of)\b|\b(or|and|of)$/i.test(name);
