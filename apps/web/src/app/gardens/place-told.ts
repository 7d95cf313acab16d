import type { Place } from '@field-nurse/contract';

const wordsOf = (text: string) =>
  ` ${
    text
      .toLowerCase()
      .match(/[\p{L}\d]+/gu)
      ?.join(' ') ?? ''
  } `;

/**
 * Where a plant stands that somebody told of: in the place whose name was said, or where most others of its kind stand.
 *
 * @param said - what was typed beside the plant's name, and in the description
 * @param others - plantings of the same plant that are there now
 * @returns nothing where neither tells
 */
export function placeTold(places: readonly Place[], said: string, others: readonly { readonly placeId: string }[] = []): Place | undefined {
  const open = places.filter(({ endedOn }) => !endedOn);
  const words = wordsOf(said);
  const [named] = open
    .filter(({ name }) => words.includes(wordsOf(name)) && wordsOf(name).trim() !== '')
    .sort((a, b) => b.name.length - a.name.length);
  if (named) return named;
  const there = (place: Place) => others.filter(({ placeId }) => placeId === place.id).length;
  const [most] = open.filter((place) => there(place) > 0).sort((a, b) => there(b) - there(a));
  return most;
}
