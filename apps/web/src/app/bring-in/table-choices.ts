import { readUnit } from '@field-nurse/core/tables';
import type { DayOrder, DecimalSign } from '@field-nurse/core/tables';
import type { UnitName } from '@field-nurse/core/units';
import { columnsOf } from '@field-nurse/library/tables';
import type { Conventions, ListColumn, ListName } from '@field-nurse/library/tables';
import type { TableSeen } from '../calc/look-at-table';
import { matchedColumns } from '../calc/look-at-table';

/** What somebody said of a table, where it was not as it was taken to be. */
export interface TableChoices {
  readonly list: ListName;
  /** by our column: place of theirs; -1: none */
  readonly columns: Readonly<Record<string, number>>;
  readonly units: Readonly<Record<string, UnitName>>;
  readonly dayOrder?: DayOrder;
  readonly decimal?: DecimalSign;
  readonly meanings: Readonly<Record<string, string>>;
}

/** One of our columns, with what was found for it. */
export interface ColumnRow extends ListColumn {
  /** place of theirs, or -1 */
  readonly at: number;
  /** what stands in its first rows */
  readonly examples: string;
  /** its unit, as its head says it or as it was chosen; empty where cells must say it */
  readonly unit: UnitName | '';
}

/** Units that an amount may be in. */
export const amountUnits: readonly UnitName[] = ['ml', 'l', 'g', 'kg', 'oz', 'lb', 'floz-us', 'qt-us', 'gal-us', 'gal-imp'];

const usualUnits: Readonly<Record<string, UnitName>> = { water: 'l', kg: 'kg', waste: 'kg' };

export const noChoices = (list: ListName): TableChoices => ({ list, columns: {}, units: {}, meanings: {} });

/** Our columns of a list, each with the one of theirs that it is. */
export function columnRows(seen: TableSeen, { list, columns, units }: TableChoices): ColumnRow[] {
  const matched = matchedColumns(seen.heads, list);
  return columnsOf(list).map((column) => {
    const at = columns[column.name] ?? matched.get(column.name)?.at ?? -1;
    const said = at >= 0 ? seen.heads[at] : undefined;
    const headUnit = matched.get(column.name)?.at === at ? matched.get(column.name)?.unit : readUnit(said ?? '');
    return {
      ...column,
      at,
      unit: column.reads === 'amount' ? (units[column.name] ?? headUnit ?? usualUnits[column.name] ?? '') : '',
      examples: at < 0 ? '' : [...new Set(seen.first.map((row) => (row[at] ?? '').trim()).filter(Boolean))].slice(0, 3).join(' · '),
    };
  });
}

/** How its days and numbers are read, and whether the file itself tells. */
export function writtenAs(
  seen: TableSeen,
  rows: readonly ColumnRow[],
  { dayOrder, decimal }: TableChoices,
  usual: DayOrder,
): { readonly dayOrder: DayOrder; readonly decimal: DecimalSign; readonly daysTell: boolean; readonly hasPlainDays: boolean } {
  const days = rows.filter(({ reads, at }) => reads === 'day' && at >= 0);
  const numbers = rows.filter(({ reads, at }) => (reads === 'number' || reads === 'amount') && at >= 0);
  const told = days.flatMap(({ at }) => seen.dayOrders[at] ?? []);
  const signs = numbers.flatMap(({ at }) => seen.decimals[at] ?? []);
  return {
    dayOrder: dayOrder ?? told[0] ?? usual,
    decimal: decimal ?? signs[0] ?? 'point',
    daysTell: told.length > 0,
    hasPlainDays: days.some(({ at }) => seen.first.some((row) => /^\s*\d{1,2}[-/. ]\s*\d{1,2}[-/. ]/.test(row[at] ?? ''))),
  };
}

/** Everything that reading its rows must know. */
export function conventionsOf(
  rows: readonly ColumnRow[],
  choices: TableChoices,
  written: Pick<Conventions, 'dayOrder' | 'decimal'>,
): Conventions {
  return {
    list: choices.list,
    columns: Object.fromEntries(rows.filter(({ at }) => at >= 0).map(({ name, at }) => [name, at])),
    units: Object.fromEntries(rows.flatMap(({ name, unit }) => (unit === '' ? [] : [[name, unit]]))),
    dayOrder: written.dayOrder,
    decimal: written.decimal,
    meanings: choices.meanings,
  };
}

/** Needed columns that nothing was found for. */
export const missingColumns = (rows: readonly ColumnRow[]): string[] =>
  rows.filter(({ needed, at }) => needed && at < 0).map(({ title }) => title);
