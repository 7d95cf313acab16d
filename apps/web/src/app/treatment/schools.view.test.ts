import { of } from 'rxjs';
import { Store } from '@ngrx/store';
import { signal } from '@angular/core';
import { Api } from '../api/api';
import { show } from '../testing/show';
import { contents } from '../testing/test-garden';
import { SchoolsPanel } from './schools';

const disputes = [
  {
    id: 'strip',
    question: 'Strip them or leave them?',
    schools: [
      { view: 'Strip', reason: 'Spores.' },
      { view: 'Leave', reason: 'They feed.' },
    ],
    default: 'A third at most.',
    why: 'It costs little.',
  },
];
const chosen = (element: HTMLElement) =>
  element.querySelector<HTMLInputElement>('input:checked')?.closest('mat-radio-button')?.textContent ?? '';
const pick = (element: HTMLElement, words: string) =>
  [...element.querySelectorAll('mat-radio-button')]
    .find((one) => one.textContent.includes(words))!
    .querySelector('input')!
    .click();
const panel = (own: { question: string; view: string }[], ofGarden: typeof own = []) => {
  const changed: unknown[] = [];
  return show(
    SchoolsPanel,
    { disputes, own, canWrite: true },
    {
      garden: { garden: { ...contents.garden, schools: ofGarden } },
      providers: [
        { provide: Api, useValue: { changeGarden: (_: string, settings: unknown) => of(changed.push(settings)) } },
        { provide: Store, useValue: { selectSignal: () => signal([]), dispatch: () => undefined } },
      ],
    },
  ).then((shown) => ({ ...shown, changed }));
};

test('nothing chosen: what is proposed, with its reasons; a choice is told', async () => {
  const { element, told } = await panel([]);
  const changes = told('changed');
  expect(chosen(element)).toContain('As proposed: A third at most.');
  pick(element, 'They feed.');
  expect(changes).toEqual([[{ question: 'strip', view: 'Leave' }]]);
});

test('a view of the garden holds, and a case may go back to what is proposed', async () => {
  const { element, told } = await panel([], [{ question: 'strip', view: 'Strip' }]);
  const changes = told('changed');
  expect(chosen(element)).toContain('Spores.');
  pick(element, 'As proposed');
  expect(changes).toEqual([[{ question: 'strip', view: 'As proposed' }]]);
});

test('what the case does can be made the garden’s way, and stands at the case no more', async () => {
  const { press, told, changed } = await panel([{ question: 'strip', view: 'Leave' }]);
  const changes = told('changed');
  await press('Always so in this garden');
  expect(changed).toMatchObject([{ schools: [{ question: 'strip', view: 'Leave' }] }]);
  expect(changes).toEqual([[]]);
});
