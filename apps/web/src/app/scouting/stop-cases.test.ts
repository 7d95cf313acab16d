import { Injector, runInInjectionContext } from '@angular/core';
import { Garden } from '../gardens/garden';
import { Records } from '../gardens/records';
import { sickness, today } from '../testing/test-garden';
import { StopCases } from './stop-cases';
import { emptyDraft } from './stop-draft';
import type { StopDraft } from './stop-draft';

type Kept = [subject: string, id: string, version: number, value: Record<string, unknown>, base?: unknown];

/** Stop cases that tell what they keep. */
function start() {
  const kept: Kept[] = [];
  const injector = Injector.create({
    providers: [
      { provide: Garden, useValue: { today: () => today } },
      { provide: Records, useValue: { keep: async (...write: Kept) => void kept.push(write) } },
    ],
  });
  return { cases: runInInjectionContext(injector, () => new StopCases()), kept };
}

const draft = (change: Partial<StopDraft> = {}): StopDraft => ({ ...emptyDraft(undefined), ...change });
const subjects = (kept: readonly Kept[]) => kept.map(([subject]) => subject);

test('a new case holds the words, the signs and the helpers of the stop', async () => {
  const { cases, kept } = start();
  const id = await cases.open('leeks', draft({ signs: ['rust-pustules'], note: 'orange dust', helpers: 2 }));
  expect(kept).toHaveLength(1);
  const [subject, keptId, version, value] = kept[0]!;
  expect([subject, keptId, version]).toEqual(['cases', id, 0]);
  expect(value).toMatchObject({ plantingId: 'leeks', openedOn: today, words: 'orange dust', helpersSeen: true, diagnoses: [] });
  expect(value['findings']).toEqual([{ sign: 'rust-pustules', state: 'seen', source: 'look', phrase: null, on: today }]);
});

test('a new case that was rated begins its curve with that look', async () => {
  const { cases, kept } = start();
  const id = await cases.open('leeks', draft({ severity: 12, rated: true, damage: 'new' }));
  expect(subjects(kept)).toEqual(['cases', 'assessments']);
  expect(kept[1]![3]).toMatchObject({ caseId: id, plantingId: 'leeks', severity: 12, newGrowth: 'marked', nextAssessmentOn: '2026-07-25' });
});

test('an open case gets what is new, once, and a look when it was rated', async () => {
  const known = {
    ...sickness,
    findings: [
      { sign: 'rust-pustules', state: 'seen', source: 'tap', phrase: null, on: '2026-07-01' },
      { sign: 'wilted', state: 'absent', source: 'tap', phrase: null, on: '2026-07-01' },
    ],
  } as const;
  const { cases, kept } = start();
  await cases.feed({ ...known, findings: [...known.findings] }, draft({ signs: ['rust-pustules', 'wilted'], severity: 20, rated: true }));
  expect(subjects(kept)).toEqual(['cases', 'assessments']);
  // Wilted was looked for and absent before; now it is seen.
  expect((kept[0]![3]['findings'] as { sign: string; state: string }[]).map(({ sign, state }) => `${sign} ${state}`)).toEqual([
    'rust-pustules seen',
    'wilted seen',
  ]);
  expect(kept[0]![4]).toMatchObject({ id: 'rust' });
});

test('an open case to which nothing is new is left as it is', async () => {
  const { cases, kept } = start();
  await cases.feed(sickness, draft({ note: 'the same' }));
  expect(kept).toEqual([]);
});

test.each([
  ['only old scars: the new growth is clean', { damage: 'old' }, 'clean'],
  ['both: it is marked', { damage: 'both' }, 'marked'],
  ['not said: not judged', { damage: null }, 'unknown'],
] as const)('%s', async (_, change, newGrowth) => {
  const { cases, kept } = start();
  await cases.feed(sickness, draft({ ...change, severity: 5, rated: true }));
  expect(kept[0]![3]).toMatchObject({ newGrowth });
});

test('counts on plants or leaves are added up; shares of plants are no count', async () => {
  const counted = async (measure: StopDraft['measure']) => {
    const { cases, kept } = start();
    await cases.feed(sickness, draft({ measure, sample: [2, 0, 5], severity: 5, rated: true }));
    return kept[0]![3]['count'];
  };
  expect(await counted('count-per-plant')).toBe(7);
  expect(await counted('count-per-leaf')).toBe(7);
  expect(await counted('plants-percent')).toBeNull();
});
