import { unparse } from 'papaparse';

export interface LogRow {
  readonly applied: string;
  readonly place: string;
  readonly plant: string;
  readonly cultivar: string;
  readonly plants: number;
  readonly treatment: string;
  readonly product: number | null;
  readonly unit: string | null;
  readonly waterL: number | null;
  readonly part: string;
  readonly why: string;
  readonly by: string;
  readonly temperatureC: number | null;
  readonly windKmh: number | null;
  readonly sky: string;
  readonly reEntry: string;
  readonly harvestSafeOn: string | null;
}

/** The record as CSV (RFC 4180), SI units in the heads; a leading = + - @ is defused so that a spreadsheet never runs it. */
export const logCsv = (rows: readonly LogRow[]): string => unparse([...rows], { newline: '\r\n', escapeFormulae: true });
