import { wordsOf } from './words.js';

const tellWords = {
  hydroponic: ['hydroponic', 'hydroponically', 'nft', 'dwc', 'kratky', 'aquaponic'],
  greenhouse: ['greenhouse', 'glasshouse', 'polytunnel', 'tunnel', 'hothouse', 'hoophouse', 'conservatory', 'undercover'],
  indoor: ['indoor', 'houseplant', 'windowsill', 'sill', 'kitchen', 'bathroom', 'office', 'desk'],
  outdoor: ['outdoor', 'outside', 'garden', 'allotment', 'field', 'yard', 'balcony', 'patio'],
} as const;

/** The setting that words about a plant name ("polytunnel tomatoes"); nothing where they name none. */
export function settingIn(words: string): keyof typeof tellWords | undefined {
  const own = new Set(wordsOf(words));
  return (Object.keys(tellWords) as (keyof typeof tellWords)[]).find((setting) => tellWords[setting].some((word) => own.has(word)));
}
