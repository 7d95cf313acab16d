import { agreement } from '@field-nurse/core/drill';
import { confusions } from './confusions';
import { agreementWord, pointsWord } from './drill-words';
import { missesOf } from './miss-course';

test('points in words', () => {
  expect([0, 0.4, 1, -1, 3.26, -20.4].map(pointsWord)).toEqual([
    'right',
    'right',
    '1 point too much',
    '1 point too little',
    '3.3 points too much',
    '20 points too little',
  ]);
});

test('how an eye does, in a line', () => {
  expect(agreementWord(null)).toBe('');
  expect(agreementWord(agreement([{ truth: 10, guess: 30 }]))).toBe('20 points too much on the average, give or take 0, over 1');
  expect(agreementWord(agreement([1, 2, 3].map((truth) => ({ truth, guess: truth + 1 }))))).toBe(
    '1 point too much on the average, give or take 0, over 3; concordance 0.57',
  );
});

test('what is mixed up, the most frequent first; and how far off each sitting was', () => {
  const stage = (truth: string, guess: string) => ({ kind: 'stage' as const, item: 'stage/x', seconds: 3, truth, guess });
  const leaf = (truth: number, guess: number) => ({ kind: 'leaf' as const, item: 'leaf/holes', seconds: 3, truth, guess });
  const sittings = [
    { heldAt: '2026-07-02T08:00:00.000Z', answers: [stage('nymph', 'larva'), stage('egg', 'egg'), leaf(10, 14)] },
    { heldAt: '2026-07-01T08:00:00.000Z', answers: [stage('pupa', 'egg'), leaf(10, 20), leaf(30, 28)] },
    { heldAt: '2026-07-03T08:00:00.000Z', answers: [stage('nymph', 'larva')] },
  ];
  expect(confusions(sittings)).toEqual([
    { kind: 'stage', truth: 'nymph', guess: 'larva', times: 2 },
    { kind: 'stage', truth: 'pupa', guess: 'egg', times: 1 },
  ]);
  expect(missesOf(sittings).map(({ at, off }) => [at.toISOString().slice(0, 10), off])).toEqual([
    ['2026-07-01', 6],
    ['2026-07-02', 4],
  ]);
});
