import type { Host } from '../entries.js';
import { settingIn } from '../names/settingIn.js';
import { fold, wordsOf } from '../names/words.js';

type Setting = NonNullable<ReturnType<typeof settingIn>>;

/** What is taken to be so until somebody says otherwise, and why: by the words, the place or the kind of plant, or for want of better. */
export interface Assumption<T> {
  readonly value: T;
  readonly by: 'words' | 'place' | 'plant' | 'guess';
}

export interface AssumedPlanting {
  readonly setting: Assumption<Setting>;
  readonly eaten: Assumption<boolean>;
  readonly inFlower: Assumption<boolean>;
  readonly plants: Assumption<number>;
}

/** What is known of a planting before anything was asked. */
export interface ToldOfPlanting {
  /** what was typed beside the plant's name ("in the tunnel") */
  readonly beside?: string;
  /** what the grower sees, in a sentence or many */
  readonly words?: string;
  /** where it stands, if that is known */
  readonly place?: { readonly name: string; readonly setting: Setting } | undefined;
}

// "in the kitchen", "on my old windowsill", "under glass": where something stands is said behind such a word.
const placed =
  /\b(?:in|on|inside|into|under|at)\s+(?:(?:the|my|our|a|an|another|old|kitchen|bathroom|bedroom|living|room|south|north|sunny)\s+){0,4}([a-z-]+)/g;
const alone = /\b(indoors?|outdoors?|outside)\b/g;
// Where something was bought is not where it stands.
const shop = /garden (?:centre|center|shop|fair)/g;
const flowering =
  /\b(?:in (?:full )?(?:flower|bloom|blossom)|flowering now|is flowering|are flowering|blooming|full of (?:flowers|blossom))\b/;
const notFlowering = /\b(?:not|never|before|no longer|isn't|aren't)\b[^.,;]{0,20}$/;
const countable = /^(?:plants?|pots?|trays?|bushes|trees|heads)$/;
const mostPlants = 100_000;

/**
 * What may be taken for granted of a planting, so that it need not be asked: where it stands, whether it is eaten, flowers, and how many there
 * are.
 *
 * Words beside the plant's name outrank those of the description, those the place, and that the kind of plant: a houseplant stands indoors, a
 * seed tray too, all else outdoors.
 *
 * @returns each with where it is from, so that a page can say it and ask only for what was guessed
 */
export function assumedPlanting(host: Host, { beside = '', words = '', place }: ToldOfPlanting): AssumedPlanting {
  return {
    setting: settingOf(host, beside, words, place),
    eaten: { value: host.eaten, by: host.sometimesEaten ? 'guess' : 'plant' },
    inFlower: isFlowering(fold(words)) ? { value: true, by: 'words' } : { value: false, by: 'guess' },
    plants: numberOf(host, fold(beside), fold(words)),
  };
}

function settingOf(host: Host, beside: string, words: string, place: ToldOfPlanting['place']): Assumption<Setting> {
  const said = settingIn(beside) ?? settingSaid(fold(words));
  if (said) return { value: said, by: 'words' };
  if (place) return { value: place.setting, by: 'place' };
  return { value: host.kind === 'houseplant' || host.habit === 'tray' ? 'indoor' : 'outdoor', by: 'plant' };
}

function settingSaid(words: string): Setting | undefined {
  const text = words.replace(shop, '');
  for (const [, place] of [...text.matchAll(placed), ...text.matchAll(alone)]) {
    const setting = settingIn(place!) ?? settingIn(place!.replace(/s$/, ''));
    if (setting) return setting;
  }
  return undefined;
}

function isFlowering(words: string): boolean {
  const found = flowering.exec(words);
  return found !== null && !notFlowering.test(words.slice(0, found.index));
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
