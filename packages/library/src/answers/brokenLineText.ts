import type { JudgedLine, LabelLine } from '@field-nurse/core/label';
import { dimensionOf } from '@field-nurse/core/units';
import type { UnitName } from '@field-nurse/core/units';
import { days, settingWord } from './countedWords.js';

type Facts = JudgedLine['facts'];

const sentences: Readonly<Record<LabelLine, (facts: Facts) => string>> = {
  crop: () => 'The label has no line for this plant.',
  target: () => 'The label has no line against this trouble.',
  validity: (f) => `Its registration ended on ${f['until']}.`,
  licence: () => 'The label is for people with a licence.',
  rate: (f) => `More than the label allows, which is ${rateText(f)} at most.`,
  wind: (f) => `The label allows wind up to ${f['most']} km/h, and it was ${f['now']} km/h.`,
  buffer: (f) => `The label asks for ${f['metres']} m between this and water.`,
  settings: (f) => `The card does not name ${settingWord(f['setting'])}.`,
  eaten: () => 'The card does not allow this on plants that are eaten.',
  'pre-harvest': (f) => `The card asks for ${days(f['days'])} before harvest, and harvest was ${days(f['left'])} away: move the harvest.`,
  interval: (f) => `The card asks for ${days(f['interval'])} between two, and the last was ${days(f['daysAgo'])} before.`,
  'season-max': (f) => `The card allows ${f['max']} a season, and this is number ${Number(f['used']) + 1}.`,
  temperature: (f) =>
    'most' in f ? `Not above ${f['most']} °C, and it was ${f['now']} °C.` : `Not below ${f['least']} °C, and it was ${f['now']} °C.`,
  bees: () => 'This harms bees, and the planting was in flower.',
  host: (f) => `It harms this plant: ${f['why']}.`,
  apart: (f) => `${f['other']} was used ${days(f['daysAgo'])} before, and ${days(f['days'])} must lie between: ${f['why']}.`,
};

function rateText({ high, unit, per, perUnit }: Facts): string {
  if (!perUnit) return `${high} ${unit}`;
  const isWater = perUnit !== 'plant' && dimensionOf(perUnit as UnitName) === 'volume';
  return `${high} ${unit} ${isWater ? 'in' : 'on'} ${per} ${perUnit}`;
}

/** A line of the card that was not kept, as one sentence for the log. */
export const brokenLineText = ({ line, facts }: JudgedLine): string => sentences[line](facts);
