import type { Content, TDocumentDefinitions } from 'pdfmake/interfaces';

/** A report as it is read: words under heads. */
export interface ReportText {
  readonly title: string;
  readonly sums: readonly (readonly [name: string, value: string])[];
  readonly parts: readonly { readonly head: string; readonly lines: readonly string[]; readonly otherwise: string }[];
  readonly foot: string;
}

/** The report on one page of paper, or as few as it takes. */
export function reportDocument({ title, sums, parts, foot }: ReportText): TDocumentDefinitions {
  const content: Content[] = [
    { text: title, style: 'title' },
    {
      columns: sums.map(([name, value]) => ({
        stack: [
          { text: value, style: 'sum' },
          { text: name, style: 'small' },
        ],
      })),
      margin: [0, 8, 0, 6],
    },
    ...parts.flatMap(({ head, lines, otherwise }): Content[] => [
      { text: head, style: 'part' },
      lines.length === 0 ? { text: otherwise, style: 'small' } : { ul: [...lines] },
    ]),
    { text: foot, style: 'small', margin: [0, 14, 0, 0] },
  ];
  return {
    pageSize: 'A4',
    pageMargins: [44, 40, 44, 44],
    info: { title },
    defaultStyle: { fontSize: 10, lineHeight: 1.2 },
    styles: {
      title: { fontSize: 18, bold: true },
      part: { fontSize: 12, bold: true, margin: [0, 12, 0, 3] },
      sum: { fontSize: 13, bold: true },
      small: { fontSize: 8, color: '#555555' },
    },
    footer: (page, pages) => ({ text: `${title}, page ${page} of ${pages}`, alignment: 'center', fontSize: 7 }),
    content,
  };
}
