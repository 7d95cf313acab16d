import type { Gone, PartComparison } from '@field-nurse/core/recovery';
import type { FailureCause } from '@field-nurse/core/recovery';
import { dayWord, fromToday } from '../shared/days';

const times = (count: number, one: string, many: string) => (count === 1 ? `one ${one}` : `${count} ${many}`);

// More looks than this nobody takes: then more has to be counted at once.
const mostLooks = 6;

/** What two parts say of each other, in a sentence that claims no more than the counts do. */
export function comparisonWord(treated: string, other: string, comparison: PartComparison | undefined): string {
  if (!comparison) return `Count in “${treated}” and in “${other}” on one day after the treatment: then they stand side by side.`;
  const { percent, interval, verdict, looksNeeded, countsNeeded } = comparison;
  const range = interval ? `, between ${signed(interval[0])} and ${signed(interval[1])}` : '';
  if (verdict === 'less') return `“${treated}” has ${Math.round(percent)} % less than “${other}”${range}. That is more than chance does.`;
  if (verdict === 'more')
    return `“${treated}” has ${Math.round(-percent)} % more than “${other}”${range}. It did harm, or something else differs.`;
  const so = `So far it is ${signed(percent)}${range}.`;
  if (looksNeeded === null) return `It cannot be told: “${treated}” and “${other}” are alike so far.`;
  const more =
    looksNeeded <= mostLooks
      ? `${sentence(times(looksNeeded, 'more look', 'more looks'))} of this size would show it, if it is so.`
      : `Count about ${countsNeeded!} on each side to see it, if it is so.`;
  return `It cannot be told yet. ${so} ${more}`;
}

const signed = (percent: number) => (percent < 0 ? `${Math.round(-percent)} % more` : `${Math.round(percent)} % less`);
const sentence = (words: string) => words.charAt(0).toUpperCase() + words.slice(1);

/** When it may be believed gone. */
export function goneWord(gone: Gone, today: string): string {
  const day = (on: string) => dayWord(on, today);
  const sure = `${Math.floor(100 * gone.probability)} in 100`;
  if (gone.believeFrom) return `You may believe it gone, since ${day(gone.believeFrom)}: ${sure}.`;
  const so = `That it is gone: ${sure}.`;
  const hides = gone.hiddenUntil && gone.hiddenUntil > today ? ` What hides now comes out by ${day(gone.hiddenUntil)}.` : '';
  if (!gone.expected) return `${so}${hides} It comes in faster than such looks can clear it: look at more plants, or close the way in.`;
  return `${so}${hides} Look on ${day(gone.nextLookOn!)}, ${fromToday(gone.nextLookOn!, today)}; if every look stays clean, believe it from ${day(gone.expected)}.`;
}

/** Why it may have failed, and the look that would tell. */
export const failureWords: Readonly<Record<FailureCause, { readonly word: string; readonly look: string }>> = {
  'wrong-cause': { word: 'It is something else', look: 'Answer the next look of the case: it tells the causes apart.' },
  stage: {
    word: 'The wrong stage',
    look: 'Look for eggs, hidden ones, and spots that only begin: what is about now must be what it works on.',
  },
  coverage: { word: 'It did not get there', look: 'Turn leaves over an hour after spraying: are the undersides wet, and the heart?' },
  resistance: {
    word: 'It does not work on this strain',
    look: 'Dip a leaf that has it into a fresh mix: if it goes on after some days, change the mode of action.',
  },
  'washed-off': { word: 'Rain washed it off', look: 'Compare the hour of the spray with the rain after it.' },
  reinfested: { word: 'It came in anew', look: 'Look at the neighbours, at weeds of the family and at what came in of late.' },
};
