import { removalSteps } from '@field-nurse/core/ground';
import { sourceWord, stepWords } from './removal-words';

const rules = { authority: 'the office at the hall', burning: 'Never in summer.', disposal: 'Into the sealed bin.' };
const told = (kind: string, mustReport = false) =>
  removalSteps({ mustReport, kind, lastsInSoil: true, setting: 'outdoor', hiddenDays: 20 }).map((step) => stepWords(step, rules));

test('every step has a title of its own and whole sentences', () => {
  for (const kind of ['fungus', 'virus', 'insect']) {
    const steps = told(kind, true);
    expect(new Set(steps.map(({ title }) => title)).size).toBe(steps.length);
    for (const { lines } of steps) for (const line of lines) expect(line).toMatch(/^[A-Z].*[.!]$/);
  }
});

test('the region’s own rules and people are named; parts and minutes stand where they count', () => {
  const all = told('bacterium', true).flatMap(({ lines }) => lines);
  expect(all).toContain('Call the office at the hall before anything is touched, and do what they say.');
  expect(all).toContain('Into the sealed bin.');
  expect(all).toContain('Burning: Never in summer.');
  expect(all.join(' ')).toContain('one part to 9 of water, for 10 minutes');
  expect(all.join(' ')).toContain('each week for 6 weeks');
  expect(
    told('insect')
      .flatMap(({ lines }) => lines)
      .join(' '),
  ).not.toContain('bleach');
  expect(sourceWord('arrival')).toBe('came not long ago');
});
