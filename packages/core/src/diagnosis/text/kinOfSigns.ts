/** A sign that is told in words much like another's, and the chance that its words are taken for the other's. */
export interface Kin {
  readonly sign: string;
  readonly share: number;
}

// Signs whose words are less alike than this are told apart; the words of two that are wholly alike are taken for each other in this share.
const alikeFrom = 0.2;
const mostShare = 0.5;
const mostKin = 6;

/**
 * For each sign those that are told in much the same words, nearest first: of such a one a grower may speak in the words of this.
 *
 * Likeness is the cosine of the signs' words as vectors, each word counted by 1 + log of its phrases and by its rarity: tf-idf (Salton &
 * Buckley 1988, Information Processing & Management 24:513–523).
 *
 * @param phrases - stem → sign → in how many of the sign's phrases it stands
 * @param isAnimal - signs that are animals: those are not taken for marks, nor marks for them
 */
export function kinOfSigns(
  phrases: ReadonlyMap<string, ReadonlyMap<string, number>>,
  isAnimal: (sign: string) => boolean,
): ReadonlyMap<string, readonly Kin[]> {
  const signs = new Set([...phrases.values()].flatMap((own) => [...own.keys()]));
  const weighed = [...phrases.values()].map((own) => {
    const rarity = Math.log(signs.size / own.size);
    return [...own].map(([sign, count]) => [sign, (1 + Math.log(count)) * rarity] as const);
  });
  const squares = new Map<string, number>();
  const products = new Map<string, Map<string, number>>([...signs].map((sign) => [sign, new Map()]));
  for (const row of weighed)
    for (const [sign, weight] of row) {
      squares.set(sign, (squares.get(sign) ?? 0) + weight ** 2);
      const sums = products.get(sign)!;
      for (const [other, its] of row) if (other !== sign) sums.set(other, (sums.get(other) ?? 0) + weight * its);
    }
  const length = (sign: string) => Math.sqrt(squares.get(sign)!);
  return new Map(
    [...products].map(([sign, sums]) => [
      sign,
      [...sums]
        .filter(([other]) => isAnimal(other) === isAnimal(sign))
        .map(([other, product]) => ({ sign: other, likeness: product / (length(sign) * length(other)) }))
        .filter(({ likeness }) => likeness >= alikeFrom)
        .sort((a, b) => b.likeness - a.likeness)
        .slice(0, mostKin)
        .map(({ sign: other, likeness }) => ({ sign: other, share: mostShare * likeness })),
    ]),
  );
}
