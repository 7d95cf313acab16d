import type { Product } from '@field-nurse/contract';
import type { LogLine } from './log-rows';

/** What was used of a product, or how often a job was done. */
export interface LogTotal {
  readonly treatment: string;
  readonly product: string;
  readonly times: number;
  readonly plants: number;
  /** of the targets whose area is known */
  readonly areaM2: number;
  readonly productMl: number;
  readonly productG: number;
  readonly productPieces: number;
  /** picked off or squashed; nothing where nobody counted */
  readonly collected: number | null;
  readonly waterL: number;
  /** grams of the active ingredient, by the strength on the pack; nothing where it is not known */
  readonly activeG: number | undefined;
  /** the same on a hectare, over the area that was treated, each pass counted */
  readonly activeKgPerHa: number | undefined;
}

const m2InHa = 10_000;

/** Sums of the log by treatment and product, most often used first. @param areaOf - area of a planting's place, where it is known */
export function logTotals(
  lines: readonly LogLine[],
  products: ReadonlyMap<string, Product>,
  areaOf: (plantingId: string) => number | undefined,
): LogTotal[] {
  const groups = new Map<string, LogLine[]>();
  for (const line of lines) {
    const key = `${line.intervention} ${line.productId ?? ''}`;
    groups.set(key, [...(groups.get(key) ?? []), line]);
  }
  return [...groups.values()]
    .map((own): LogTotal => {
      const sum = (pick: (line: LogLine) => number | null) => own.reduce((all, line) => all + (pick(line) ?? 0), 0);
      const targets = own.flatMap((line) => line.targets);
      const areaM2 = targets.reduce((all, target) => all + (target.areaM2 ?? areaOf(target.plantingId) ?? 0), 0);
      const product = products.get(own[0]!.productId ?? '');
      const [productMl, productG] = [sum((line) => line.productMl), sum((line) => line.productG)];
      const activeG = product && activeOf(product, productMl, productG);
      return {
        treatment: own[0]!.treatment,
        product: product?.name ?? '',
        times: own.length,
        plants: targets.reduce((all, { plants }) => all + plants, 0),
        areaM2,
        productMl,
        productG,
        productPieces: sum((line) => line.productPieces),
        collected: own.some(({ collected }) => typeof collected === 'number') ? sum((line) => line.collected) : null,
        waterL: sum((line) => line.waterL),
        activeG,
        activeKgPerHa: activeG !== undefined && areaM2 > 0 ? (activeG / 1000 / areaM2) * m2InHa : undefined,
      };
    })
    .sort((a, b) => b.times - a.times || a.treatment.localeCompare(b.treatment));
}

/** Grams of active ingredient in an amount of a product; nothing where its strength or density is not known. */
export function activeOf({ strength, densityGPerMl }: Product, ml: number, g: number): number | undefined {
  if (!strength || (ml === 0 && g === 0)) return undefined;
  if (strength.unit === 'percent') {
    // A share by mass; of a liquid its density turns one into the other.
    const mass = g + (densityGPerMl === null ? 0 : ml * densityGPerMl);
    return mass === 0 ? undefined : (mass * strength.amount) / 100;
  }
  if (strength.unit !== 'g/l') return undefined;
  const litres = (ml + (densityGPerMl === null ? 0 : g / densityGPerMl)) / 1000;
  return litres === 0 ? undefined : litres * strength.amount;
}
