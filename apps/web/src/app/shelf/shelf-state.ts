import type { LabelCard } from '@field-nurse/contract';
import type { OnShelf } from '../gardens/shelf-now';
import { stateWords } from './shelf-words';

/** What is to be said of a pack, in words, the gravest first; `stop` where it may not be used. */
export const saidOf = ({ states, card, product }: OnShelf, today: string): { readonly word: string; readonly stop: boolean }[] => [
  ...(card?.validUntil && card.validUntil < today ? [{ word: stateWords.ended, stop: true }] : []),
  ...((card?.soldTo ?? product.soldTo) === 'professional' ? [{ word: stateWords.licence, stop: true }] : []),
  ...states.map((state) => ({ word: stateWords[state], stop: false })),
];

/** How full a pack is, 0 to 1; nothing where that is not known. */
export const levelOf = ({ product, left }: OnShelf): number | null =>
  left === null || !product.packAmount ? null : Math.max(0, Math.min(1, left / product.packAmount));

/** Whose figures count for it. */
export const sourceOf = (card: LabelCard | undefined): LabelCard['source'] | 'typical' => card?.source ?? 'typical';
