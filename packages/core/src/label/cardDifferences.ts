import { deepEqual } from 'fast-equals';
import type { CardLine, ProductCard } from './productCard.js';

type General = Exclude<keyof ProductCard, 'source' | 'lines'>;
type OfLine = Exclude<keyof CardLine, 'host' | 'target'>;

/** What one card says otherwise than another: in general, or on one of its lines. A line that one of them lacks is one difference. */
export type CardDifference =
  | { readonly line: null; readonly field: General; readonly before: unknown; readonly after: unknown }
  | {
      readonly line: Pick<CardLine, 'host' | 'target'>;
      readonly field: OfLine | 'added' | 'removed';
      readonly before: unknown;
      readonly after: unknown;
    };

const general: readonly General[] = [
  'validUntil',
  'soldTo',
  'reEntryHours',
  'rainFastHours',
  'temperatureC',
  'maxWindKmh',
  'bufferM',
  'bees',
  'daysBeforeFlower',
  'apartFrom',
];
const ofLine: readonly OfLine[] = ['rate', 'preHarvestDays', 'repeatDays', 'seasonMax', 'settings'];

/**
 * Where two cards of one product differ in what the law goes by.
 *
 * Lines are held together by the plant and the trouble that they name; of several that name the same, the first with the first.
 *
 * @returns general figures first, then line by line in the order of the second card, then the lines that it dropped
 */
export function cardDifferences(before: ProductCard, after: ProductCard): CardDifference[] {
  const left = [...before.lines];
  const lines = after.lines.flatMap((line): CardDifference[] => {
    const { host, target } = line;
    const found = left.findIndex((one) => one.host === host && one.target === target);
    if (found < 0) return [{ line: { host, target }, field: 'added', before: null, after: line }];
    const [one] = left.splice(found, 1);
    return ofLine
      .filter((field) => !deepEqual(inOrder(one![field]), inOrder(line[field])))
      .map((field) => ({ line: { host, target }, field, before: one![field], after: line[field] }));
  });
  return [
    ...general
      .filter((field) => !deepEqual(before[field], after[field]))
      .map((field) => ({ line: null, field, before: before[field], after: after[field] }) as const),
    ...lines,
    ...left.map((line) => ({ line: { host: line.host, target: line.target }, field: 'removed', before: line, after: null }) as const),
  ];
}

/** Settings are a set: their order says nothing. */
const inOrder = (value: unknown) => (Array.isArray(value) && typeof value[0] === 'string' ? [...(value as string[])].sort() : value);
