import type { SeasonQuestion } from '@field-nurse/library/season';
import { fireEvent } from '@testing-library/dom';
import { reference, show } from '../testing/show';
import { OwnRounds } from './own-rounds';
import type { SetRound } from './own-strategies';

const action = (id: string, everyDays: number) => ({ action: { id, everyDays }, name: nameOf(id) });
const nameOf = (id: string) => reference.interventions.find((one) => one.id === id)!.name;
const [soap, jet] = ['insecticidal-soap', 'water-jet'];
const question = {
  open: [action(soap, 5), action(jet, 2)],
  actions: [
    { id: soap, everyDays: 5 },
    { id: jet, everyDays: 2 },
  ],
} as unknown as SeasonQuestion;

async function line(rounds: readonly SetRound[] = [], more: object = {}) {
  const shown = await show(OwnRounds, { question, days: 30, dayWord: (day: number) => `day ${day}`, rounds, ...more });
  const told = shown.told('rounds');
  /** As the page does: what is told comes in again. */
  const follow = () => shown.set({ rounds: told.at(-1) });
  const handles = () => [...shown.element.querySelectorAll<HTMLButtonElement>('.round')];
  const key = async (at: number, name: string) => {
    fireEvent.keyDown(handles()[at]!, { key: name });
    await follow();
  };
  return { ...shown, told, handles, follow, key };
}

test('the first round is today, the next as soon as it may be done again', async () => {
  const { press, told, follow } = await line();
  await press('Add a round');
  await follow();
  await press('Add a round');
  expect(told.at(-1)).toEqual([
    { action: soap, day: 0 },
    { action: soap, day: 5 },
  ]);
});

test('a round that would come after the end stands on the last day', async () => {
  const { press, told } = await line([{ action: soap, day: 28 }]);
  await press('Add a round');
  expect(told.at(-1)).toContainEqual({ action: soap, day: 29 });
});

test('keys move it by a day and by a week, and not over the ends; Delete takes it out', async () => {
  const { key, told } = await line([{ action: soap, day: 3 }]);
  await key(0, 'ArrowRight');
  expect(told.at(-1)).toEqual([{ action: soap, day: 4 }]);
  await key(0, 'PageDown');
  expect(told.at(-1)).toEqual([{ action: soap, day: 11 }]);
  await key(0, 'PageUp');
  await key(0, 'PageUp');
  expect(told.at(-1)).toEqual([{ action: soap, day: 0 }]);
  const before = told.length;
  await key(0, 'x');
  expect(told).toHaveLength(before);
  await key(0, 'Delete');
  expect(told.at(-1)).toEqual([]);
});

test('each kind has its letter, and each round says what it is and when', async () => {
  const { handles, text } = await line([
    { action: soap, day: 2 },
    { action: jet, day: 4 },
    { action: soap, day: 9 },
  ]);
  expect(handles().map((one) => [one.textContent.trim(), one.getAttribute('aria-label')])).toEqual([
    ['A', `${nameOf(soap)}, day 2`],
    ['B', `${nameOf(jet)}, day 4`],
    ['A', `${nameOf(soap)}, day 9`],
  ]);
  expect(text()).toContain(`A: ${nameOf(soap)}. B: ${nameOf(jet)}.`);
});

test('days before the day of deciding take their part of the line', async () => {
  const { handles } = await line([{ action: soap, day: 0 }], { from: 29 });
  expect(handles()[0]!.style.left).toBe('50%');
});

test('the garden’s own plan is there to begin with, until something else stands', async () => {
  const planned = [{ action: jet, day: 6 }];
  const { press, told, follow, element } = await line([], { planned });
  await press('Begin with the garden’s plan');
  expect(told.at(-1)).toEqual(planned);
  await follow();
  expect(element.textContent).not.toContain('Begin with the garden’s plan');
  await press('Take all out');
  expect(told.at(-1)).toEqual([]);
});

test('dragged, it follows the finger from day to day, and stays where it is let go', async () => {
  const { handles, follow, told, element } = await line([{ action: soap, day: 10 }]);
  const box = { left: 100, width: 290 } as DOMRect;
  element.querySelector<HTMLElement>('.line')!.getBoundingClientRect = () => box;
  HTMLElement.prototype.setPointerCapture = () => undefined;
  const at = (day: number) => ({ clientX: 100 + day * 10, pointerId: 1 });
  const pointer = async (kind: string, day: number) => {
    const event = new MouseEvent(kind, { ...at(day), bubbles: true });
    Object.assign(event, { pointerId: 1 });
    handles()[0]!.dispatchEvent(event);
    if (told.length > 0) await follow();
  };
  await pointer('pointermove', 12);
  expect(told).toEqual([]);
  await pointer('pointerdown', 10);
  await pointer('pointermove', 14);
  expect(told.at(-1)).toEqual([{ action: soap, day: 14 }]);
  await pointer('pointermove', 90);
  expect(told.at(-1)).toEqual([{ action: soap, day: 29 }]);
  await pointer('pointerup', 90);
  await pointer('pointermove', 3);
  expect(told.at(-1)).toEqual([{ action: soap, day: 29 }]);
});
