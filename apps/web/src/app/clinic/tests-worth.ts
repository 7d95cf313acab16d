import type { ClinicOffer, DifferentialAnswer } from '@field-nurse/contract';
import { chanceAfter } from '@field-nurse/core/diagnosis';

/** so many troubles can a sample be tested for */
export const mostTests = 6;
// A cause that is as good as ruled out or sure is not worth a parcel.
const worthTesting = 0.02;
const shown = 8;
// What laboratories reach for most troubles, where the clinic's own figures are not known.
export const usualQuality = { sensitivity: 0.9, specificity: 0.95 };
const laboratoryKinds = ['fungus', 'oomycete', 'bacterium', 'virus', 'nematode', 'insect', 'mite', 'deficiency'];

/** A trouble that a sample can be tested for, and what is thought of it before and after, all else left as it is. */
export interface TestRow {
  readonly condition: string;
  readonly name: string;
  /** chances, 0 to 1 */
  readonly now: number;
  readonly ifFound: number;
  readonly ifNot: number;
  readonly method: string;
}

/** The likely causes that a clinic has a test for, likeliest first. @param offer - none for a clinic that is not asked over the net */
export function testsWorth({ ranked }: DifferentialAnswer, offer: ClinicOffer | undefined): TestRow[] {
  return ranked
    .filter(({ probability }) => probability >= worthTesting)
    .flatMap(({ condition, name, kind, probability }) => {
      const method = offer?.methods.find((one) => one.kind === kind);
      if (offer ? !method : !laboratoryKinds.includes(kind)) return [];
      const quality = method ?? usualQuality;
      return [
        {
          condition,
          name,
          now: probability,
          ifFound: chanceAfter(probability, { ...quality, result: 'positive' }),
          ifNot: chanceAfter(probability, { ...quality, result: 'negative' }),
          method: method ? `${method.name}, about ${method.days} days` : 'reckoned with what laboratories usually reach',
        },
      ];
    })
    .slice(0, shown);
}
