import type { Reason } from '@field-nurse/core/treatment';
import { ago, days, hours, settingWord, times } from './countedWords.js';

type Facts = NonNullable<Reason['facts']>;

const stanceWords: Readonly<Record<string, string>> = { hands: 'hands only', organic: 'organic' };
const hidingWords: Readonly<Record<string, string>> = {
  'rolled-leaf': 'inside a rolled leaf',
  mine: 'inside the leaf',
  stem: 'inside the stem',
  root: 'in the soil or root',
  case: 'inside a case',
  wax: 'under wax',
};

const sentences: Readonly<Record<Reason['code'], (facts: Facts) => string>> = {
  notifiable: (f) => `${f['condition']} must be reported: call ${f['authority']} before anything is done.`,
  'forbidden-here': (f) => `Not allowed in this region: ${f['why']}.`,
  restricted: (f) => `Restricted: ${f['why']}. No mixing instruction is given here.`,
  stance: (f) => `This garden works ${stanceWords[String(f['stance'])] ?? f['stance']}. Change the stance in Settings to lift this.`,
  'ask-first': (f) => `${f['condition']} must be reported in many places. Ask whether it is listed where you are, before anything else.`,
  'report-first': () => 'This comes first, whatever it costs.',
  dont: () => 'Don’t: it poisons you or the plant, or does nothing.',
  'next-season': () => 'For next time: it changes nothing on these plants today.',
  'check-sold': (f) =>
    f['to'] === 'professional'
      ? 'In most places only professionals may buy and use it. Check that this may be bought and used in a garden where you are.'
      : 'Check that this may be bought and used in a garden where you are.',
  'bees-soon': (f) => `Harms bees, and it flowers in ${days(f['days'])}: spray at dusk, as early as can be, or choose something else.`,
  'bees-unknown': (f) =>
    Number(f['days']) > 0
      ? `Harms bees: not within ${days(f['days'])} before it flowers. Say when that is.`
      : 'Harms bees: not on anything in flower or about to flower.',
  'harvest-guess': (f) => `Read the days to harvest on your label: ours, ${days(f['days'])}, is a guess.`,
  'not-bare': (f) => (f['needs'] === 'dormant' ? 'Only on bare wood: leaves burn.' : 'Only while it is in leaf.'),
  'bare-unknown': () => 'Only on bare wood. Say whether it is bare now.',
  'other-plant': () => 'Meant for another plant.',
  'out-of-season': (f) => `Only in ${monthWords(f['months'])}.`,
  age: (f) => `For ${ageWords(f['works'])} plants only.`,
  water: () => 'Poisons water, and water is near.',
  animals: (f) =>
    f['harm'] === 'serious' ? 'Deadly to some animals that come near: only if they can be kept off.' : 'Keep animals off it.',
  'soil-cold': (f) => `The soil must be above ${f['least']} °C, and the air is ${f['now']} °C: measure the soil first.`,
  'still-air': () => 'Dead calm on a warm evening: mist hangs and creeps. Wait for a light breeze.',
  'many-plants': (f) => `For ${f['plants']} plants this is about ${hours(f['hours'])} of work.`,
  releases: (f) => `Kills what you set out (${f['other']}).`,
  school: (f) => `You chose “${f['view']}”, where growers disagree. Choose anew beside the options to lift this.`,
  'own-school': () => 'You chose this way, where growers disagree.',
  'softer-first': () => 'This garden tries softer ways first; take it if they have failed.',
  bees: (f) =>
    f['left'] === undefined
      ? 'Harms bees, and the planting is in flower. Possible again when flowering is over.'
      : `Harms bees, and it flowers in ${days(f['left'])}: at least ${days(f['days'])} must lie between.`,
  'bees-care': () => 'In flower: only at dusk, when no bee flies, and not onto open flowers.',
  'not-on-eaten': () => 'Not for plants that are eaten.',
  'no-crop-line': () => 'The label of the product in hand has no line for this plant.',
  'no-target-line': () => 'The label of the product in hand has no line against this trouble.',
  expired: (f) => `Its registration ended on ${f['until']}: hand it in where your authority says.`,
  licence: () => 'The label is for people with a licence: they decide and apply. No mixing instruction is given here.',
  'above-rate': (f) => `More than the label allows: ${f['high']} ${f['unit']} at most.`,
  'wind-line': (f) => `The label allows wind up to ${f['most']} km/h, and it blows at ${f['now']} km/h.`,
  buffer: (f) => `The label asks for ${f['metres']} m between this and any pond, ditch or drain.`,
  harvest: (f) => `Needs ${days(f['days'])} before harvest, and harvest is in ${days(f['left'])}.`,
  'harvest-close': (f) => `Nothing may be picked for ${days(f['days'])} after. Say when the next harvest is.`,
  'too-hot': (f) => `Above ${f['most']} °C it burns leaves or fails, and ${f['now']} °C is expected.`,
  'too-cold': (f) => `Works from ${f['least']} °C, and it is ${f['now']} °C.`,
  setting: (f) => `Not for ${settingWord(f['setting'])}.`,
  stage: (f) => `Acts on ${stageWords(f['works'])}, and not on ${stageWords(f['now'])}, which is what there is now.`,
  'stage-doubtful': (f) =>
    `Acts on ${stageWords(f['works'])} only, and ${Number(f['percent']) < 10 ? 'hardly any of that is' : 'not much of that is'} there now by what was seen.`,
  shielded: (f) => `The target is ${hidingWords[String(f['by'])] ?? f['by']}, where this hardly reaches it.`,
  'too-soon': (f) => `Used ${ago(f['daysAgo'])}; at least ${days(f['interval'])} apart. Possible in ${days(f['wait'])}.`,
  'season-max': (f) => `Already used ${times(f['max'])} this season, which is the most.`,
  apart: (f) => `${f['other']} was used ${ago(f['daysAgo'])}, and ${days(f['days'])} must lie between: ${f['why']}.`,
  rotate: (f) => `Same mode of action (${f['group']}) as ${ago(f['daysAgo'])}: change the group, or resistance builds up.`,
  'test-marked': (f) => `It marked the test leaves of this planting, ${ago(f['days'])}.`,
  'test-waits': (f) =>
    Number(f['days']) > 0 ? `Test leaves are waited for, ${days(f['days'])} more.` : 'Test leaves are due: look at them first.',
  'test-clean': () => 'The test leaves of this planting stayed unmarked.',
  'host-burns': (f) => `Harms this plant: ${f['why']}.`,
  'host-marks': (f) => `May mark this plant: ${f['why']}. Test three leaves and wait two days.`,
  helpers: (f) =>
    f['harm'] === 'serious'
      ? 'Kills the helpers that were seen; the pest often comes back faster.'
      : 'Kills some of the helpers that were seen: treat only the worst shoots.',
  rain: (f) => `Rain is due in ${hours(f['hours'])} and it needs ${hours(f['needs'])} dry.`,
  wind: (f) => `Wind of ${f['kmh']} km/h carries spray away: wait for a calm hour.`,
  'weak-evidence': (f) =>
    f['grade'] === 'folk' ? 'Folk practice: hardly tested. Try it on a few plants first.' : 'The evidence for it is weak.',
  'helpers-at-work': () => 'Helpers were seen at work.',
  'no-helpers': () => 'No helpers have been seen yet: look for them first.',
  'not-ripe': (f) => `Harvest is in ${days(f['left'])}: too early to pick.`,
  'nothing-to-pick': () => 'This planting is not picked to eat.',
  'ripe-unknown': () => 'Only if it is ripe or nearly so: say when the next harvest is.',
  'frost-near': (f) => `Frost is expected in ${days(f['days'])} and ends it.`,
  'covers-part': (f) => `Acts on ${f['covered']} of the ${f['of']} causes; combine it.`,
};

/** The reason as one sentence for the grower. */
export function reasonText({ code, facts = {} }: Reason): string {
  return sentences[code](facts);
}

const stagePlurals: Readonly<Record<string, string>> = {
  egg: 'eggs',
  larva: 'larvae',
  nymph: 'young ones',
  pupa: 'pupae',
  adult: 'adults',
  spore: 'spores that have not yet got in',
  lesion: 'spots that are there',
};
const stageWords = (kinds: unknown) =>
  String(kinds)
    .split(' and ')
    .map((kind) => stagePlurals[kind] ?? kind.replaceAll('-', ' '))
    .join(' and ');

const monthNames = [
  'January',
  'February',
  'March',
  'April',
  'May',
  'June',
  'July',
  'August',
  'September',
  'October',
  'November',
  'December',
];
const monthWords = (months: unknown) => {
  const names = String(months)
    .split(' ')
    .map((month) => monthNames[Number(month) - 1]!);
  return names.length < 2 ? names[0]! : `${names.slice(0, -1).join(', ')} and ${names[names.length - 1]!}`;
};

const agesWords: Readonly<Record<string, string>> = { seedling: 'small', young: 'young', grown: 'grown' };
const ageWords = (ages: unknown) =>
  String(ages)
    .split(' ')
    .map((one) => agesWords[one] ?? one)
    .join(' or ');
