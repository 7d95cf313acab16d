/** Which sign stands before the parts of one. */
export type DecimalSign = 'point' | 'comma';

export interface NumberRead {
  readonly value: number;
  /** what stands behind the number, in small letters; empty where nothing does */
  readonly unit: string;
}

const fractions: Readonly<Record<string, number>> = { '¼': 0.25, '½': 0.5, '¾': 0.75, '⅓': 1 / 3, '⅔': 2 / 3 };
// Thousands are set off by the other sign, a blank or an apostrophe; each group has three digits.
const written: Readonly<Record<DecimalSign, RegExp>> = {
  point: /^([-+]?)(\d{1,3}(?:[,' ]\d{3})+(?!\d)|\d+)?(?:\.(\d+))?\s*([¼½¾⅓⅔])?\s*(\p{L}.*|[%°²].*)?$/u,
  comma: /^([-+]?)(\d{1,3}(?:[.' ]\d{3})+(?!\d)|\d+)?(?:,(\d+))?\s*([¼½¾⅓⅔])?\s*(\p{L}.*|[%°²].*)?$/u,
};

/**
 * The number that a cell says, with the unit behind it.
 *
 * @returns nothing where it is none: also for `1,5` where the sign is a point, rather than fifteen
 * @example
 * readNumber('1.234,5 ml', 'comma') // => { value: 1234.5, unit: 'ml' }
 */
export function readNumber(cell: string, sign: DecimalSign): NumberRead | undefined {
  const text = cell
    .trim()
    .replaceAll(/[\u00A0\u202F\u2009]/g, ' ')
    .replaceAll('−', '-');
  const said = written[sign].exec(text);
  if (!said) return undefined;
  const [, minus, whole, parts, fraction, unit = ''] = said;
  if (whole === undefined && parts === undefined && fraction === undefined) return undefined;
  const size = Number(`${whole?.replaceAll(/[^\d]/g, '') ?? '0'}.${parts ?? '0'}`) + (fraction ? fractions[fraction]! : 0);
  return { value: minus === '-' ? -size : size, unit: unit.trim().toLowerCase() };
}

/** Of the numbers of a list: which sign they must be written with. */
export class DecimalWitness {
  #point = 0;
  #comma = 0;

  see(cell: string): void {
    const text = cell.trim().replace(/[^\d.,].*$/u, '');
    // What isn't three digits behind a lone sign can't be thousands; of two signs, the last counts.
    const said = /^\d*(?:[.,]\d{3})*([.,])(\d+)$/.exec(text);
    if (!said) return;
    const before = text.slice(0, text.length - said[0].length + said[0].lastIndexOf(said[1]!));
    const isTelling = said[2]!.length !== 3 || before.includes(said[1] === ',' ? '.' : ',') || /^0?$/.test(before);
    if (!isTelling) return;
    if (said[1] === ',') this.#comma++;
    else this.#point++;
  }

  /** What most cells need; nothing where none of them tells. */
  sign(): DecimalSign | undefined {
    if (this.#point === this.#comma) return undefined;
    return this.#point > this.#comma ? 'point' : 'comma';
  }
}
