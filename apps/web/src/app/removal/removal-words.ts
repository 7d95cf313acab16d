import type { PossibleSource, RemovalStep } from '@field-nurse/core/ground';

export interface RemovalRules {
  readonly authority: string;
  readonly burning: string;
  readonly disposal: string;
}

export interface ToldStep {
  readonly title: string;
  readonly lines: readonly string[];
}

/** What a step asks for, in whole sentences. */
export function stepWords({ code, minutes, parts, weeks }: RemovalStep, rules: RemovalRules): ToldStep {
  switch (code) {
    case 'call':
      return {
        title: 'Call first',
        lines: [
          `Call ${rules.authority} before anything is touched, and do what they say.`,
          'Move nothing off the site, and keep others away.',
        ],
      };
    case 'photograph':
      return { title: 'Photograph it', lines: ['The whole plant, the worst part close, and where it stands.'] };
    case 'wear':
      return {
        title: 'Put on',
        lines: [
          'Gloves and sleeves that can be washed; boots that are brushed after.',
          'A mask and glasses where it dusts, or where sap can spurt.',
        ],
      };
    case 'damp':
      return { title: 'Damp it', lines: ['On a still day, mist the leaves so that nothing blows off; do not splash.'] };
    case 'bag':
      return {
        title: 'Bag before moving',
        lines: ['Draw a bag over the whole plant and tie it at the foot before anything is cut or pulled.'],
      };
    case 'lift':
      return { title: 'Take it out whole', lines: ['Lift it with its roots; cut nothing that could be carried away open.'] };
    case 'soil':
      return { title: 'Earth with it', lines: ['Take the earth round the roots, a spade wide and deep; of a pot all of it.'] };
    case 'litter':
      return { title: 'What fell', lines: ['Rake up fallen leaves, fruit and stalks round about, and put them into the same bag.'] };
    case 'vacuum':
      return {
        title: 'Round about',
        lines: ['Vacuum the floor, the sill and the saucers; tie up what was vacuumed and take it out of the house.'],
      };
    case 'dispose':
      return { title: 'Where it goes', lines: [rules.disposal, `Burning: ${rules.burning}`, 'Never on the heap, and to nobody else.'] };
    case 'tools':
      return {
        title: 'Tools',
        lines: [
          'Brush every tool free of earth and sap.',
          ...(parts !== undefined && minutes !== undefined
            ? [
                `Then household bleach, one part to ${parts} of water, for ${minutes} minutes; made up fresh. Never with acid, alcohol or ammonia. Rinse and oil metal.`,
              ]
            : ['Then hot water and soap.']),
        ],
      };
    case 'clothes':
      return { title: 'Clothes', lines: ['Change before going to other plants; wash what was worn hot, and your hands.'] };
    case 'watch':
      return {
        title: 'Watch the neighbours',
        lines: [`Look at everything beside it each week for ${weeks} weeks. Plan the first look now.`],
      };
  }
}

const sourceKinds: Readonly<Record<PossibleSource['kind'], string>> = {
  arrival: 'came not long ago',
  case: 'has it, too',
  'same-place': 'stands in the same place',
  neighbour: 'takes it',
  heap: 'a heap may hold it',
  hedge: 'a hedge may hold it',
};
export const sourceWord = (kind: PossibleSource['kind']): string => sourceKinds[kind];
