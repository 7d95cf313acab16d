import { linesIn, namesIn, numberIn, toggled } from './lists';

test('names are parted by commas and lines by their ends; nothing empty stays', () => {
  expect(namesIn(' shed sulk,, door wilt ,')).toEqual(['shed sulk', 'door wilt']);
  expect(linesIn('Cut it.\n\n  Burn it. \n')).toEqual(['Cut it.', 'Burn it.']);
});

test('what is in the list goes out, and what is not comes in', () => {
  expect([toggled(['indoor'], 'outdoor'), toggled(['indoor', 'outdoor'], 'indoor')]).toEqual([['indoor', 'outdoor'], ['outdoor']]);
});

test('an empty field is no number', () => {
  expect([numberIn(' '), numberIn('0'), numberIn('2.5')]).toEqual([undefined, 0, 2.5]);
});
