import { clashesInTank, fillingOrder } from './index';
import type { TankMember } from './index';

const member = (id: string, more: Partial<TankMember> = {}): TankMember => ({
  id,
  name: id,
  form: 'liquid',
  spoiledIn: [],
  apartFrom: [],
  kills: [],
  ...more,
});
const sulphur = member('sulphur', { form: 'powder', apartFrom: [{ intervention: 'oil', days: 30, why: 'it burns' }] });
const oil = member('oil', { form: 'oil' });
const germ = member('germ', { form: 'living', release: 'microbes', spoiledIn: ['alkaline'] });
const codes = (...members: TankMember[]) => clashesInTank(members).map(({ code, days }) => [code, days]);

test('one label’s line counts for both, whichever is named first', () => {
  expect(codes(sulphur, oil)).toEqual([['apart', 30]]);
  expect(codes(oil, sulphur)).toEqual([['apart', 30]]);
});

test.each<[string, TankMember, TankMember, (string | number | undefined)[][]]>([
  ['sharp water spoils', member('lime', { reaction: 'alkaline' }), germ, [['reaction', undefined]]],
  ['the other sharpness does not', member('acid', { reaction: 'acid' }), germ, []],
  ['what kills germs kills these', member('copper', { kills: [{ what: 'microbes', days: 7 }] }), germ, [['kills', 7]]],
  [
    'two of one mode of action are one at twice the rate',
    member('a', { modeOfAction: { scheme: 'FRAC', group: '3' } }),
    member('b', { modeOfAction: { scheme: 'FRAC', group: '3' } }),
    [['alike', undefined]],
  ],
  [
    'the same number in two schemes is not the same',
    member('a', { modeOfAction: { scheme: 'FRAC', group: '3' } }),
    member('b', { modeOfAction: { scheme: 'IRAC', group: '3' } }),
    [],
  ],
  ['the same twice', oil, oil, [['alike', undefined]]],
  ['strangers', member('a'), member('b'), []],
])('%s', (_, one, other, found) => expect(codes(one, other)).toEqual(found));

test('of three each pair is judged', () => expect(codes(germ, sulphur, oil, member('lime', { reaction: 'alkaline' }))).toHaveLength(2));

test('powders are wetted first, what floats goes in last', () => {
  expect(fillingOrder([oil, member('feed'), germ, sulphur]).map(({ id }) => id)).toEqual(['sulphur', 'germ', 'feed', 'oil']);
});
