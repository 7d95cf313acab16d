import type { Subject } from '@field-nurse/contract';
import type { Fields, WaitingWrite } from './waiting';

// What older pages wrote without signal, in the words and shapes of today: it waits on a device until it is sent, however long that is.

const subjects: Readonly<Record<string, Subject>> = {
  looks: 'assessments',
  rounds: 'scoutingRounds',
  gaugings: 'leafMeasurements',
  chores: 'preventionTasks',
};

type Convert = (old: Fields) => Fields;

const assessment: Convert = ({ lookedOn, nextLookOn, ...rest }) => ({ ...rest, assessedOn: lookedOn, nextAssessmentOn: nextLookOn });

const decision: Convert = ({ option, lookAgainOn, verdict: _, ...rest }) => ({
  ...rest,
  intervention: option,
  nextAssessmentOn: lookAgainOn,
  weather: null,
});

const trap: Convert = ({ rests, ...rest }) => ({ ...rest, pauses: rests ?? [] });

const stop: Convert = ({ signs, ...rest }) => ({ ...rest, signs: [...new Set(signs as string[])] });

const planting: Convert = ({ inFlower, nextHarvestOn, endedOn, ...rest }) => ({
  ...rest,
  events: [
    ...(inFlower ? [{ kind: 'flowering', on: rest['plantedOn'], until: null }] : []),
    ...(nextHarvestOn ? [{ kind: 'harvest', on: nextHarvestOn, until: null }] : []),
    ...(endedOn ? [{ kind: 'ended', on: endedOn }] : []),
  ],
});

const application: Convert = (old) => {
  const { option, plantingId, caseId, plants, coveredPart, productAmount, productUnit, ...rest } = old;
  const litres: Readonly<Record<string, number>> = { ml: 1, l: 1000 };
  const grams: Readonly<Record<string, number>> = { g: 1, kg: 1000 };
  const amount = productAmount as number | null;
  const unit = (productUnit as string | null) ?? '';
  const [ml, g] = [litres[unit], grams[unit]];
  const other = amount !== null && ml === undefined && g === undefined;
  return {
    ...rest,
    intervention: option,
    targets: [{ plantingId, caseId, plants, areaM2: null, coveredPart }],
    productMl: amount !== null && ml ? amount * ml : null,
    productG: amount !== null && g ? amount * g : null,
    productPieces: other ? amount : null,
    why: other && unit ? [rest['why'], `${amount} ${unit}`].filter(Boolean).join('; ') : rest['why'],
    kit: '',
  };
};

const converters: Readonly<Record<string, Convert>> = {
  looks: assessment,
  decisions: decision,
  traps: trap,
  stops: stop,
  plantings: planting,
  applications: application,
};

/** A write of before as today's pages would have made it. Its change id stays: what the server had already counts once. */
export function writeOfToday(write: WaitingWrite): WaitingWrite {
  const convert = converters[write.subject] ?? ((old) => old);
  return {
    ...write,
    subject: subjects[write.subject] ?? write.subject,
    value: convert(write.value),
    base: write.base && convert(write.base),
  };
}

const newFields: Readonly<Partial<Record<string, Fields>>> = { cases: { photos: [] }, plantings: { assumed: [] } };

/** A write from before cases had photos, and plantings what was taken for granted. */
export function withNewFields(write: WaitingWrite): WaitingWrite {
  const fields = newFields[write.subject] ?? {};
  return { ...write, value: { ...fields, ...write.value }, base: write.base && { ...fields, ...write.base } };
}
