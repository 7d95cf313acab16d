import { reference } from '../testing/show';
import { findAnything } from './find-anything';
import type { FoundPlanting, Target } from './find-anything';

const namesOf = (id: string) => reference.hosts.find((host) => host.id === id)!.names;
const plantings: FoundPlanting[] = [
  { id: 'beans', name: 'Climbing and French bean · Stilt', names: namesOf('climbing-bean'), caseId: 'case-of-beans' },
  { id: 'roses', name: 'Rose · Ferry Gold', names: namesOf('rose'), caseId: undefined },
  { id: 'more-roses', name: 'Rose · Tide', names: namesOf('rose'), caseId: undefined },
];
const targets: Target[] = [
  { id: 'ground', name: 'Ground', kind: 'page', link: ['ground'] },
  { id: 'tunnel', name: 'Long tunnel', kind: 'place', link: ['ground', 'places', 'tunnel'] },
  ...plantings.map(({ id, name, names }) => ({ id, name, names: names ?? [], kind: 'planting', link: ['plantings', id] })),
];
const find = (text: string, canWrite = true) => findAnything(text, { index: reference, targets, plantings, canWrite });
const first = (text: string) => find(text)[0];

test.each([
  ['ground', 'ground'],
  ['tunnel long', 'tunnel'],
  ['stilt', 'beans'],
  ['rose tide', 'more-roses'],
  ['gruond', 'ground'],
  ['tunel', 'tunnel'],
])('“%s” is found, slips and order forgiven', (text, id) => expect(first(text)?.id).toBe(id));

test('troubles, signs and what helps are found by any of their names, and nearly so', () => {
  expect(find('greenfly').some(({ kind }) => kind === 'trouble')).toBe(true);
  expect(find('spidr mite')[0]).toMatchObject({ link: ['library', 'conditions', 'spider-mite'] });
  expect(find('x').every(({ kind }) => kind !== 'trouble')).toBe(true);
});

test('“log soap on beans” logs it there, by any name of either', () => {
  expect(first('log soap on beans')).toMatchObject({ link: ['log', 'new'], query: { planting: 'beans' } });
  expect(first('sprayed neem on the french beans')).toMatchObject({
    query: { planting: 'beans', intervention: 'azadirachtin' },
  });
  const soap = first('log soap on beans')!.query!['intervention'];
  expect(reference.interventions.find(({ id }) => id === soap)!.name.toLowerCase()).toContain('soap');
  expect(first('log soap')).toMatchObject({ link: ['log', 'new'], query: { intervention: soap } });
});

test('“new case on roses” offers each of them; options and looks lead to the open case', () => {
  expect(
    find('new case on roses')
      .slice(0, 2)
      .map(({ link, query }) => [link, query]),
  ).toEqual([
    [['wrong'], { planting: 'roses' }],
    [['wrong'], { planting: 'more-roses' }],
  ]);
  expect(first('options for beans')).toMatchObject({ link: ['cases', 'case-of-beans', 'options'] });
  expect(first('look at the beans')).toMatchObject({ link: ['cases', 'case-of-beans', 'recovery'] });
  expect(find('options for roses').some(({ kind }) => kind === 'options')).toBe(false);
});

test('who may only look is offered nothing to do', () => {
  expect(find('log soap on beans', false).some(({ kind }) => kind === 'log')).toBe(false);
});
