import type { Product } from '@field-nurse/contract';
import type { Content, TableCell, TDocumentDefinitions } from 'pdfmake/interfaces';
import { longDay } from '../shared/days';
import type { LogLine, LogTarget } from './log-rows';
import type { LogTotal } from './log-totals';
import { collectedWord } from './product-amount';

/** For whom the record is printed: what it holds beside what was done. */
export type RecordLayout = 'home' | 'market' | 'certified';

export const layoutWords: Readonly<Record<RecordLayout, string>> = {
  home: 'For yourself: what, where, when, how much',
  market: 'For an inspector: with registration, batch, intervals and signatures',
  certified: 'For a certifier: with ingredients, reasons and where it came from as well',
};

export interface RecordFacts {
  readonly garden: string;
  readonly period: string;
  readonly printedOn: string;
  readonly lines: readonly LogLine[];
  readonly totals: readonly LogTotal[];
  readonly products: ReadonlyMap<string, Product>;
  readonly when: (instant: string) => string;
  readonly day: (day: string) => string;
  readonly amount: (line: LogLine) => string;
  readonly water: (line: LogLine) => string;
  readonly weather: (line: LogLine) => string;
}

const packWords = (product: Product | undefined): string[] =>
  [product?.registration ?? '', product?.batch ? `batch ${product.batch}` : ''].filter(Boolean);

interface Column {
  readonly head: string;
  readonly width: string | number;
  readonly cell: (line: LogLine, facts: RecordFacts) => string;
}

const ofTargets = (line: LogLine, word: (target: LogTarget) => string) => line.targets.map(word).join('\n');
const productOf = (line: LogLine, { products }: RecordFacts) => products.get(line.productId ?? '');

const columns: Readonly<Record<string, Column>> = {
  when: { head: 'When, by whom', width: 66, cell: (line, { when }) => `${when(line.appliedAt)}\n${line.appliedBy}` },
  where: {
    head: 'Where, on what',
    width: '*',
    cell: (line) =>
      ofTargets(line, ({ plant, cultivar, place, plants, areaM2 }) =>
        [`${plant} ${cultivar}`.trim(), place, `${plants} ${plants === 1 ? 'plant' : 'plants'}`, areaM2 === null ? '' : `${areaM2} m²`]
          .filter(Boolean)
          .join(', '),
      ),
  },
  what: { head: 'Treatment', width: '*', cell: (line, facts) => [line.treatment, productOf(line, facts)?.name].filter(Boolean).join('\n') },
  amount: { head: 'Amount, water', width: 54, cell: (line, { amount, water }) => [amount(line), water(line)].filter(Boolean).join('\n') },
  why: { head: 'Why', width: '*', cell: ({ why }) => why },
  weather: { head: 'Weather, kit', width: 62, cell: (line, { weather }) => [weather(line), line.kit].filter(Boolean).join('\n') },
  waits: {
    head: 'Keep out until; not picked before',
    width: 78,
    cell: (line, { when, day }) =>
      [
        line.reEntryAt === line.appliedAt ? '' : when(line.reEntryAt),
        ofTargets(line, ({ notPickedBefore }) => (notPickedBefore ? day(notPickedBefore) : 'not eaten')),
      ]
        .filter(Boolean)
        .join('\n'),
  },
  pack: { head: 'Registration, batch', width: 70, cell: (line, facts) => packWords(productOf(line, facts)).join('\n') },
  source: {
    head: 'Registration, batch, strength, bought',
    width: 74,
    cell: (line, facts) => {
      const product = productOf(line, facts);
      const strength = product?.strength && `${product.strength.amount} ${product.strength.unit}`;
      return [...packWords(product), strength, product?.boughtOn && `bought ${facts.day(product.boughtOn)}`].filter(Boolean).join('\n');
    },
  },
  kept: { head: 'Lines not kept', width: 60, cell: ({ brokenLines }) => brokenLines.map(({ text }) => text).join('\n') || 'none' },
};

const layouts: Readonly<Record<RecordLayout, readonly (keyof typeof columns)[]>> = {
  home: ['when', 'where', 'what', 'amount', 'why', 'waits'],
  market: ['when', 'where', 'what', 'pack', 'amount', 'weather', 'why', 'waits', 'kept'],
  certified: ['when', 'where', 'what', 'source', 'amount', 'weather', 'why', 'waits', 'kept'],
};

/** The record of a period as a document: a row for each application, sums, and lines to sign. */
export function recordDocument(facts: RecordFacts, layout: RecordLayout): TDocumentDefinitions {
  const chosen = layouts[layout].map((name) => columns[name]!);
  const head = (words: readonly string[]): TableCell[] => words.map((text) => ({ text, style: 'head' }));
  const content: Content[] = [
    { text: `Record of plant treatments: ${facts.garden}`, style: 'title' },
    { text: `${facts.period}. Printed ${longDay(facts.printedOn)}.`, margin: [0, 0, 0, 8] },
    facts.lines.length === 0
      ? { text: 'Nothing was applied in this period.' }
      : {
          table: {
            headerRows: 1,
            dontBreakRows: true,
            widths: chosen.map(({ width }) => width),
            body: [
              head(chosen.map((column) => column.head)),
              ...oldestFirst(facts.lines).map((line) => chosen.map(({ cell }): TableCell => ({ text: cell(line, facts) }))),
            ],
          },
          layout: 'lightHorizontalLines',
        },
    { text: 'Sums of the period', style: 'part' },
    {
      table: {
        headerRows: 1,
        widths: ['*', 'auto', 'auto', 'auto', 'auto', 'auto'],
        body: [
          head(['Treatment, product', 'Times', 'Product', 'Area', 'Active ingredient', 'On a hectare']),
          ...facts.totals.map((total) => [
            [total.treatment, total.product].filter(Boolean).join(', '),
            String(total.times),
            usedWord(total),
            total.areaM2 > 0 ? `${Math.round(total.areaM2)} m²` : '–',
            total.activeG === undefined ? '–' : `${total.activeG.toPrecision(3)} g`,
            total.activeKgPerHa === undefined ? '–' : `${total.activeKgPerHa.toPrecision(3)} kg`,
          ]),
        ],
      },
      layout: 'lightHorizontalLines',
    },
  ];
  if (layout !== 'home')
    content.push(
      { text: 'Who applied, and under which licence', style: 'part' },
      ...[...new Set(facts.lines.map(({ appliedBy }) => appliedBy))].map((name): Content => signature(`${name}, licence number`)),
      signature('Place, day, signature of the grower'),
      signature('Place, day, signature of the inspector'),
      { text: 'Labels, local rules and the inspector’s own forms go before this record.', style: 'small', margin: [0, 10, 0, 0] },
    );
  return {
    pageSize: 'A4',
    pageOrientation: layout === 'home' ? 'portrait' : 'landscape',
    pageMargins: [32, 32, 32, 40],
    info: { title: `Record of plant treatments, ${facts.garden}, ${facts.period}` },
    defaultStyle: { fontSize: 8, lineHeight: 1.15 },
    styles: {
      title: { fontSize: 15, bold: true },
      part: { fontSize: 11, bold: true, margin: [0, 14, 0, 4] },
      head: { bold: true },
      small: { fontSize: 7 },
    },
    footer: (page, pages) => ({ text: `${facts.garden}, ${facts.period}, page ${page} of ${pages}`, alignment: 'center', fontSize: 7 }),
    content,
  };
}

const signature = (words: string): Content => ({ text: `${words}: ______________________________________`, margin: [0, 8, 0, 0] });

const oldestFirst = (lines: readonly LogLine[]) => [...lines].sort((a, b) => a.appliedAt.localeCompare(b.appliedAt));

export function usedWord({
  productMl,
  productG,
  productPieces,
  collected,
}: Pick<LogTotal, 'productMl' | 'productG' | 'productPieces' | 'collected'>): string {
  const rounded = (value: number) => String(Number(value.toPrecision(4)));
  return (
    [
      productMl > 0 ? `${rounded(productMl)} ml` : '',
      productG > 0 ? `${rounded(productG)} g` : '',
      productPieces > 0 ? `${rounded(productPieces)} pieces` : '',
      collectedWord({ collected }),
    ]
      .filter(Boolean)
      .join(', ') || '–'
  );
}
