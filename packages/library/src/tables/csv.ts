import papa from 'papaparse';

// What a spreadsheet takes for a formula: also behind blanks and line feeds, and in the wide signs of East Asian keyboards.
const formula = /^[\s\uFEFF]*[=+\-@\t\r\n|%\uFF1D\uFF0B\uFF0D\uFF20]/;

export type Cell = string | number | boolean | null;

/**
 * Rows as CSV (RFC 4180), each ended by CR LF. What begins like a formula is defused by an apostrophe, so that a spreadsheet never runs it; numbers
 * stay numbers.
 */
export function csvOf(rows: readonly (readonly Cell[])[]): string {
  if (rows.length === 0) return '';
  return `${papa.unparse(rows as Cell[][], { newline: '\r\n', escapeFormulae: formula })}\r\n`;
}
