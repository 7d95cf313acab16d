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
async function ask(assumed: ('setting' | 'plants')[], situation = outdoors) {
  const stood: unknown[][] = [];
  const put = { stands: async (...where: unknown[]) => void stood.push(where) };
  const orchid = plantingNow({ ...planting, host: 'moth-orchid', setting: situation.setting, events: [], assumed }, today);
  const inputs = { planting: orchid, situation, answer: answerOptions(reference, situation) };
  const shown = await show(AssumedElsewhere, inputs, { providers: [reader, { provide: CorrectPlanting, useValue: put }] });
  return { ...shown, stood };
}

test('where it would change what comes first, it is asked where it stands, and answered in one tap', async () => {
  const { text, press, stood } = await ask(['setting']);
  expect(text()).toContain('Does it stand outdoors? That is taken for granted.');
  expect(text()).toContain('If it stands indoors, this comes first: dab with rubbing alcohol.');
  await press('It stands indoors');
  await press('It stands outdoors');
  expect(stood).toEqual([
    [planting.id, 'indoor'],
    [planting.id, 'outdoor'],
  ]);
});

test('what somebody said is not asked again', async () => {
  expect((await ask(['plants'])).text()).toBe('');
});
