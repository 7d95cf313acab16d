import { FormControl, FormGroup, Validators } from '@angular/forms';
import { ApiError } from '../api/api-error';
import { Submission } from './submission';

const start = (name = 'Bed') => {
  const form = new FormGroup({ name: new FormControl(name, [Validators.required]), note: new FormControl('') });
  return { form, submission: new Submission(form) };
};
const refuse =
  (fields: Record<string, string> = {}) =>
  () =>
    Promise.reject(new ApiError(400, 'invalid', 'Some fields are not right.', new Map(Object.entries(fields))));

test('a form that is not right is not sent, and says so at its fields', async () => {
  const { form, submission } = start('');
  let sent = 0;
  await submission.send(async () => void sent++);
  expect(sent).toBe(0);
  expect(form.controls.name.touched).toBe(true);
});

test('while one is on its way, a second press does nothing', async () => {
  const { submission } = start();
  let sent = 0;
  let arrive = () => {};
  const first = submission.send(() => {
    sent++;
    return new Promise<void>((resolve) => (arrive = resolve));
  });
  expect(submission.busy()).toBe(true);
  await submission.send(async () => void sent++);
  arrive();
  await first;
  expect(sent).toBe(1);
  expect(submission.busy()).toBe(false);
});

test('a fault that has a field stands there, and nothing is said twice', async () => {
  const { form, submission } = start();
  await submission.send(refuse({ name: 'is taken' }));
  expect(form.controls.name.errors).toEqual({ server: 'is taken' });
  expect(submission.refusal()).toBe('');
  expect(form.getRawValue()).toEqual({ name: 'Bed', note: '' });
});

test('a fault without a field is said above the buttons, and goes with the next try', async () => {
  const { submission } = start();
  await submission.send(refuse());
  expect(submission.refusal()).toBe('Some fields are not right.');
  await submission.send(() => Promise.resolve());
  expect(submission.refusal()).toBe('');
});

test('faults of which one has no field here are said as a whole', async () => {
  const { submission } = start();
  await submission.send(refuse({ name: 'is taken', elsewhere: 'odd' }));
  expect(submission.refusal()).toBe('Some fields are not right.');
});

test('an error of the page itself is not shown raw', async () => {
  const { submission } = start();
  await submission.send(() => Promise.reject(new TypeError('x is undefined')));
  expect(submission.refusal()).toBe('Something went wrong on this page.');
});
