import type { ClinicResult, SampleMaterial } from '@field-nurse/contract';
import type { SampleState } from './sample-state';

export const materialWords: Readonly<Record<SampleMaterial, string>> = {
  leaves: 'Leaves',
  stem: 'A piece of stem',
  root: 'Roots and crown',
  fruit: 'Fruit or tubers',
  'whole-plant': 'A whole plant',
  insects: 'Insects or mites',
};

export const stepWords: Readonly<Record<SampleState['step'], string>> = {
  'to-pack': 'To be packed and sent',
  'under-way': 'On its way',
  'in-laboratory': 'In the laboratory',
  lost: 'Never arrived',
  reported: 'Result',
};

/** what each step is called on the way through them */
export const trackWords: readonly { readonly step: SampleState['step']; readonly name: string }[] = [
  { step: 'to-pack', name: 'Packing' },
  { step: 'under-way', name: 'On its way' },
  { step: 'in-laboratory', name: 'In the laboratory' },
  { step: 'reported', name: 'Result' },
];

export const resultWords: Readonly<Record<ClinicResult['result'], string>> = {
  positive: 'found',
  negative: 'not found',
  inconclusive: 'told nothing',
};
