import type { OptionsRequest } from '@field-nurse/contract';
import { answerOptions } from '@field-nurse/library/answers';
import { CorrectPlanting } from '../gardens/correct-planting';
import { plantingNow } from '../gardens/plantings-now';
import { reader } from '../testing/answers';
import { reference, show } from '../testing/show';
import { planting, today } from '../testing/test-garden';
import { AssumedElsewhere } from './assumed-elsewhere';

const outdoors: OptionsRequest = {
  host: 'moth-orchid',
  conditions: ['mealybug'],
  stance: 'organic',
  setting: 'outdoor',
  month: 7,
  edible: false,
  inFlower: false,
  plants: 1,
};

/** The question beside the options of an orchid. */
async function ask(assumed: ('setting' | 'plants' | 'inFlower' | 'eaten')[], situation = outdoors) {
  const stood: unknown[][] = [];
  const put = {
    correct: async (...said: unknown[]) => void stood.push(said),
    confirm: async (...which: unknown[]) => void stood.push(which),
  };
  const orchid = plantingNow({ ...planting, host: 'moth-orchid', setting: situation.setting, events: [], assumed }, today);
  const inputs = { planting: orchid, situation, answer: answerOptions(reference, situation) };
  const shown = await show(AssumedElsewhere, inputs, { providers: [reader, { provide: CorrectPlanting, useValue: put }] });
  return { ...shown, stood };
}

test('where it would change what comes first, it is asked where it stands, and answered in one tap', async () => {
  const { text, press, stood } = await ask(['setting']);
  expect(text()).toContain('We take it that it stands outdoors.');
  expect(text()).toContain('If it stands indoors, this comes first: dab with rubbing alcohol.');
  await press('No, it stands indoors');
  await press('That is so');
  expect(stood).toEqual([
    [planting.id, { setting: 'indoor' }],
    [planting.id, ['setting']],
  ]);
});

test('what somebody said is not asked again, nor what changes nothing', async () => {
  expect((await ask(['plants'])).text()).toBe('');
  expect((await ask(['eaten'], { ...outdoors, setting: 'indoor' })).text()).not.toContain('it stands');
});
