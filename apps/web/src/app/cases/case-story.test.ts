import type { Case, Decision, Assessment } from '@field-nurse/contract';
import type { Applied } from '../gardens/applied';
import { caseStory } from './case-story';

const one = {
  openedOn: '2026-07-01',
  closedOn: '2026-07-20',
  findings: [
    { sign: 'webs', state: 'seen', on: '2026-07-01' },
    { sign: 'slime', state: 'struck', on: '2026-07-01' },
    { sign: 'holes', state: 'old', on: '2026-07-03' },
  ],
  diagnoses: [{ on: '2026-07-01', conditions: ['mite'], why: 'webs' }],
} as unknown as Case;
const story = caseStory({
  one,
  decisions: [{ decidedOn: '2026-07-01', intervention: 'soap' } as Decision],
  applications: [{ appliedAt: '2026-07-03T23:30:00Z', intervention: 'soap' } as Applied],
  samples: [],
  assessments: [{ assessedOn: '2026-07-09', severity: 10, photos: ['leaf'] } as Assessment],
  timeZone: 'Europe/London',
});

test('days are in order, and what happened on a day in the order of the work', () => {
  expect(story.map(({ on }) => on)).toEqual(['2026-07-01', '2026-07-03', '2026-07-04', '2026-07-09', '2026-07-20']);
  expect(story[0]!.events.map(({ kind }) => kind)).toEqual(['opened', 'found', 'taken-for', 'decided']);
});

test('an application belongs to its day on the garden’s clock', () => {
  expect(story[2]!.events).toEqual([{ kind: 'treated', on: '2026-07-04', intervention: 'soap' }]);
});

test('the photos of a look stand on its day', () => {
  expect(story[3]!.events).toEqual([{ kind: 'looked', on: '2026-07-09', severity: 10, photos: ['leaf'] }]);
});

test('what was struck is no part of the story, an old scar is', () => {
  const found = story.flatMap(({ events }) => events.filter((event) => event.kind === 'found'));
  expect(found).toMatchObject([
    { sign: 'webs', state: 'seen' },
    { sign: 'holes', state: 'old' },
  ]);
});
