import { heldAgainst } from './held-against';

const against = [
  { sign: 'webs', state: 'seen' as const, decibans: -6 },
  { sign: 'dust', state: 'seen' as const, decibans: -4 },
  { sign: 'sticky', state: 'absent' as const, decibans: -5 },
];
const signsOf = (list: typeof against) => list.map(({ sign }) => sign);

test('alone, a cause has all that speaks against it', () => {
  expect(heldAgainst(against, [])).toEqual(against);
});

test('a sign that another chosen cause shows is not held against it; one that is missing still is', () => {
  expect(signsOf(heldAgainst(against, [{ signs: { webs: 'often', sticky: 'always' } }]))).toEqual(['dust', 'sticky']);
  expect(signsOf(heldAgainst(against, [{ signs: { webs: 'never' } }, { signs: { dust: 'seldom' } }]))).toEqual(['webs', 'sticky']);
});
