import { show } from '../testing/show';
import { ContactTimer } from './contact-timer';

const ago = (seconds: number) => new Date(Date.now() - seconds * 1000).toISOString();
const timer = (startedAt?: string) => show(ContactTimer, { word: 'It has to act for 10 minutes.', minutes: 10, startedAt });

test('waits to be started', async () => {
  const { press, told, text } = await timer();
  const started = told('started');
  expect(text()).toContain('It has to act for 10 minutes.');
  await press('Start the clock');
  expect(started).toHaveLength(1);
});

test('goes by the time of day: what ran while the screen was locked has run', async () => {
  const { text } = await timer(ago(90));
  expect(text()).toMatch(/8:(30|29)/);
});

test('says when the time is up, and does not count below nothing', async () => {
  const { text } = await timer(ago(3600));
  expect(text()).toContain('0:00');
  expect(text()).toContain('The time is up.');
});
