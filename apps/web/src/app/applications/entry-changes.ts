import type { Application, PastVersion } from '@field-nurse/contract';
import { instantWord } from '../shared/days';

/** What one correction changed, in words. */
export interface EntryChange {
  readonly at: string;
  readonly by: string;
  /** what it did to the whole entry, where it did not change fields */
  readonly whole: 'written' | 'taken out' | undefined;
  readonly fields: readonly { readonly name: string; readonly from: string; readonly to: string }[];
}

export interface EntryNames {
  readonly planting: (id: string) => string;
  readonly intervention: (id: string) => string;
  readonly product: (id: string) => string;
  readonly timeZone: string;
}

const amount = (value: number | null, unit: string) => (value === null ? '' : `${value} ${unit}`);

/** An entry as a list of what people read in it; amounts in SI. */
const readOf = (one: Application, names: EntryNames): readonly (readonly [string, string])[] => [
  ['What was done', names.intervention(one.intervention)],
  ['When', instantWord(one.appliedAt, names.timeZone)],
  ['Where', one.targets.map(({ plantingId, plants }) => `${names.planting(plantingId)}, ${plants}`).join('; ')],
  ['Which part', [...new Set(one.targets.map(({ coveredPart }) => coveredPart))].join('; ')],
  ['Product', names.product(one.productId ?? '')],
  ['Amount', amount(one.productMl, 'ml') || amount(one.productG, 'g') || amount(one.productPieces, 'pieces')],
  ['Collected', one.collected === null ? '' : String(one.collected)],
  ['Water', amount(one.waterL, 'l')],
  ['Kit', one.kit],
  ['Why', one.why],
  ['By', one.appliedBy],
  ['Temperature', amount(one.temperatureC, '°C')],
  ['Wind', amount(one.windKmh, 'km/h')],
  ['Sky', one.sky],
];

/** The corrections of a log entry, newest first; the first line is how it was written. */
export function entryChanges(versions: readonly PastVersion[], names: EntryNames): EntryChange[] {
  return versions
    .map((version, i): EntryChange => {
      const [before, after] = [versions[i - 1]?.record as Application | null | undefined, version.record as Application | null];
      const line = { at: instantWord(version.at, names.timeZone), by: version.by ?? 'somebody whose account is gone' };
      if (!after) return { ...line, whole: 'taken out', fields: [] };
      if (!before) return { ...line, whole: 'written', fields: [] };
      const old = readOf(before, names);
      const fields = readOf(after, names).flatMap(([name, to], k) => {
        const from = old[k]![1];
        return from === to ? [] : [{ name, from: from || 'nothing', to: to || 'nothing' }];
      });
      return { ...line, whole: undefined, fields };
    })
    .reverse();
}
