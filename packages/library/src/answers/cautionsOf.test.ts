import { cautionsOf } from './cautionsOf';
import { library } from '../testLibrary';

const card = (id: string) => library.interventions.find((one) => one.id === id)!;
const says = (lines: readonly string[], word: string) => lines.some((line) => line.includes(word));

test('a ladder is spoken of where the plant is tall, or nobody knows how tall, and never indoors', () => {
  const cut = card('cut-out-shoots');
  expect(says(cautionsOf(cut, 'outdoor', 'tree'), 'ladder only')).toBe(true);
  expect(says(cautionsOf(cut, 'outdoor'), 'ladder only')).toBe(true);
  expect(says(cautionsOf(cut, 'outdoor', 'tuft'), 'ladder only')).toBe(false);
  expect(says(cautionsOf(cut, 'indoor', 'tree'), 'ladder only')).toBe(false);
});

test('what is sprayed indoors is carried out first; bees are no matter there', () => {
  const pyrethrins = card('pyrethrins');
  expect(says(cautionsOf(pyrethrins, 'indoor'), 'Carry the plant outside')).toBe(true);
  expect(says(cautionsOf(pyrethrins, 'outdoor'), 'Carry the plant outside')).toBe(false);
  expect([says(cautionsOf(pyrethrins, 'outdoor'), 'mow them first'), says(cautionsOf(pyrethrins, 'indoor'), 'mow them first')]).toEqual([
    true,
    false,
  ]);
});

test('what has a rate defers to the label in hand', () => {
  expect(says(cautionsOf(card('insecticidal-soap'), 'outdoor'), 'label in hand outranks')).toBe(true);
  expect(says(cautionsOf(card('watch'), 'outdoor'), 'label')).toBe(false);
});
