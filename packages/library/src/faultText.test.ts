import { checkOwnEntry } from './checkOwnEntry';
import { library } from './testLibrary';

const soap = library.interventions.find(({ id }) => id === 'insecticidal-soap')!;
const faultsOf = (changes: object) => {
  const result = checkOwnEntry(library, 'interventions', { ...soap, id: 'shed-soap', ...changes });
  return 'faults' in result ? result.faults.map(({ path, message }) => [path.join('.'), message]) : [];
};

test.each([
  [{ summary: ' ' }, 'summary', 'Write something here.'],
  [{ summary: 'x'.repeat(5000) }, 'summary', 'At most 4000 letters.'],
  [{ steps: [] }, 'steps', 'At least one.'],
  [{ settings: [] }, 'settings', 'At least one.'],
  [{ preHarvestDays: 2.5 }, 'preHarvestDays', 'A whole number.'],
  [{ minutesPerPlant: -1 }, 'minutesPerPlant', 'At least 0.'],
  [{ contactMinutes: 0 }, 'contactMinutes', 'More than 0.'],
  [{ seasonMax: null }, 'seasonMax', 'A number.'],
  [{ summary: undefined }, 'summary', 'This is missing.'],
  [{ bees: 'lots' }, 'bees', 'One of: none, slight, serious.'],
])('a half-filled entry is told what is allowed: %j', (changes, field, line) => {
  expect(faultsOf(changes)).toEqual([[field, line]]);
});
