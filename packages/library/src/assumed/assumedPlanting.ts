import type { Host } from '../entries.js';
import { settingIn } from '../names/settingIn.js';
import { fold, wordsOf } from '../names/words.js';

type Setting = NonNullable<ReturnType<typeof settingIn>>;

/** What is taken to be so until somebody says otherwise, and why: by the words, the place, others of its kind, the plant, or for want of better. */
export interface Assumption<T> {
  readonly value: T;
  readonly by: 'words' | 'place' | 'neighbours' | 'plant' | 'guess';
}

export interface AssumedPlanting {
  readonly setting: Assumption<Setting>;
  readonly eaten: Assumption<boolean>;
  readonly inFlower: Assumption<boolean>;
  /** whether it is being picked now */
  readonly picked: Assumption<boolean>;
  readonly plants: Assumption<number>;
  /** whether it was sown or planted lately */
  readonly young: Assumption<boolean>;
}

/** Another planting of the same plant in the same garden, as it stands today. */
export interface Neighbour {
  readonly setting: Setting;
  readonly eaten: boolean;
  readonly inFlower: boolean;
  readonly picked: boolean;
}

/** What is known of a planting before anything was asked. */
export interface ToldOfPlanting {
  /** what was typed beside the plant's name ("in the tunnel") */
  readonly beside?: string;
  /** what the grower sees, in a sentence or many */
  readonly words?: string;
  /** where it stands, if that is known */
  readonly place?: { readonly name: string; readonly setting: Setting } | undefined;
  readonly neighbours?: readonly Neighbour[] | undefined;
}

// "in the kitchen", "on my old windowsill", "under glass": where something stands is said behind such a word.
const placed =
  /\b(?:in|on|inside|into|under|at)\s+(?:(?:the|my|our|a|an|another|old|kitchen|bathroom|bedroom|living|room|south|north|sunny)\s+){0,4}([a-z-]+)/g;
const alone = /\b(indoors?|outdoors?|outside)\b/g;
// Where something was bought is not where it stands.
const shop = /garden (?:centre|center|shop|fair)/g;
const flowering =
  /\b(?:in (?:full )?(?:flower|bloom|blossom)|flowering now|is flowering|are flowering|blooming|full of (?:flowers|blossom))\b/;
const picking =
  /\b(?:i|we)(?:'m|'re| am| are)? (?:(?:still|already|now|just) )?(?:picking|harvesting|cropping|eating|cutting) (?!off|out|up|back|down|away)|\bbeing (?:picked|harvested)\b|\bready to (?:pick|harvest|eat|cut)\b|\bripe now\b|\bcropping (?:now|well|heavily)\b/;
const youth =
  /\b(?:seedlings?|plugs?|(?:just|newly|recently|freshly) (?:planted|sown|potted|pricked|put)|(?:planted|sown|sowed) (?:last|this) week)\b/;
// What stands right before such words and turns them round.
const denied = /\b(?:not|never|before|no longer|stopped|until|isn't|aren't)\b[^.,;]{0,20}$/;
const countable = /^(?:plants?|pots?|trays?|bushes|trees|heads)$/;
const mostPlants = 100_000;

/**
 * What may be taken for granted of a planting, so that it need not be asked: where it stands, whether it is eaten, flowers, and how many there
 * are.
 *
 * Words beside the plant's name outrank those of the description, those the place, that the neighbours, and those the kind of plant: a
 * houseplant stands indoors, a seed tray too, all else outdoors. Neighbours count where all of them agree; that one of them flowers or is
 * picked is enough, for what is then forbidden is forbidden for good reason.
 *
 * @returns each with where it is from, so that a page can say it and ask only for what was guessed
 */
export function assumedPlanting(host: Host, { beside = '', words = '', place, neighbours = [] }: ToldOfPlanting): AssumedPlanting {
  return {
    setting: settingOf(host, beside, words, place, neighbours),
    eaten: host.sometimesEaten ? eatenLike(host, neighbours) : { value: host.eaten, by: 'plant' },
    inFlower: doing(flowering, words, neighbours, 'inFlower'),
    picked: host.eaten || host.sometimesEaten ? doing(picking, words, neighbours, 'picked') : { value: false, by: 'plant' },
    plants: numberOf(host, fold(beside), fold(words)),
    young: youngBy(host, `${fold(beside)} ${fold(words)}`),
  };
}

function settingOf(
  host: Host,
  beside: string,
  words: string,
  place: ToldOfPlanting['place'],
  neighbours: readonly Neighbour[],
): Assumption<Setting> {
  const said = settingIn(beside) ?? settingSaid(fold(words));
  if (said) return { value: said, by: 'words' };
  if (place) return { value: place.setting, by: 'place' };
  const theirs = agreed(neighbours.map(({ setting }) => setting));
  if (theirs) return { value: theirs, by: 'neighbours' };
  return { value: host.kind === 'houseplant' || host.habit === 'tray' ? 'indoor' : 'outdoor', by: 'plant' };
}

function eatenLike(host: Host, neighbours: readonly Neighbour[]): Assumption<boolean> {
  const theirs = agreed(neighbours.map(({ eaten }) => eaten));
  return theirs === undefined ? { value: host.eaten, by: 'guess' } : { value: theirs, by: 'neighbours' };
}

/** What all of them are; nothing where they differ or there are none. */
const agreed = <T>(values: readonly T[]): T | undefined => (new Set(values).size === 1 ? values[0] : undefined);

function settingSaid(words: string): Setting | undefined {
  const text = words.replace(shop, '');
  for (const [, place] of [...text.matchAll(placed), ...text.matchAll(alone)]) {
    const setting = settingIn(place!) ?? settingIn(place!.replace(/s$/, ''));
    if (setting) return setting;
  }
  return undefined;
}

function doing(pattern: RegExp, words: string, neighbours: readonly Neighbour[], fact: 'inFlower' | 'picked'): Assumption<boolean> {
  const text = fold(words);
  const found = pattern.exec(text);
  if (found) return { value: !denied.test(text.slice(0, found.index)), by: 'words' };
  return neighbours.some((one) => one[fact]) ? { value: true, by: 'neighbours' } : { value: false, by: 'guess' };
}

function youngBy(host: Host, words: string): Assumption<boolean> {
  if (youth.test(words)) return { value: true, by: 'words' };
  return host.habit === 'tray' ? { value: true, by: 'plant' } : { value: false, by: 'guess' };
}

/** A number before the plant's name ("my 40 leeks"), or the one that was typed beside it. */
function numberOf(host: Host, beside: string, words: string): Assumption<number> {
  const own = new Set([host.name, ...host.names].flatMap(wordsOf));
  const counted = (text: string, alone: boolean) =>
    [...text.matchAll(/\b(\d{1,6})\s*([a-z-]*)/g)]
      .filter(([, , next]) => (next === '' ? alone : own.has(wordsOf(next!)[0] ?? '') || countable.test(next!)))
      .map(([, digits]) => Number(digits))
      .find((count) => count >= 1 && count <= mostPlants);
  const count = counted(beside, true) ?? counted(words, false);
  return count === undefined ? { value: 1, by: 'guess' } : { value: count, by: 'words' };
}
