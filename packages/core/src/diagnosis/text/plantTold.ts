import type { HostFacts } from '../knowledge.js';
import type { Language } from './language.js';
import { contentStems } from './tokens.js';

/** The plant that a text is about, as far as it decides what words mean. */
export interface PlantTold {
  /** how usual the signs are that something on it shows, 0 to 1; signs that nothing shows on it are left out */
  readonly usual: ReadonlyMap<string, number>;
  /** stems of its own names: they tell nothing of what is wrong with it */
  readonly ownNames: ReadonlySet<string>;
  /** stem of what is gathered of it, which goes by its name too */
  readonly crop?: string | undefined;
}

/** A plant as the reader needs it. */
export function plantTold({ name, names, crop }: HostFacts, usual: PlantTold['usual'], language: Language): PlantTold {
  return {
    usual,
    ownNames: new Set([name, ...names].map((one) => contentStems(one, language)).flatMap((stems) => (stems.length === 1 ? stems : []))),
    crop: crop && language.crops.get(crop),
  };
}
