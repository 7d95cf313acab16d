import { testKnowledge } from '../testKnowledge';
import { readWords } from './readWords';

const bean = testKnowledge.hosts[0]!;
const pear = { ...bean, id: 'pear', name: 'Pear', names: ['pears'], family: 'rosaceae', kind: 'fruit' };
const knowledge = { ...testKnowledge, hosts: [bean, pear] };
const sure = (text: string, host?: typeof bean) => readWords(knowledge, text, host).read[0]?.sure ?? 0;

test('nothing said is nothing read', () => {
  for (const text of ['', '   ', '\n'])
    expect(readWords(knowledge, text)).toMatchObject({ read: [], hosts: [], events: [], unread: [], unreadTelling: [] });
});

test('the plant in question makes its own signs surer than those that it never shows', () => {
  // Webs come from mites, which beans get and pears do not.
  expect(sure('fine silk webs', bean)).toBeGreaterThan(2 * sure('fine silk webs', pear));
});

test('without a plant all signs are alike', () => {
  expect(sure('webs')).toBeCloseTo(sure('webs', undefined), 12);
  expect(sure('webs')).toBeGreaterThan(sure('webs', pear));
});

test('another knowledge is read by its own words', () => {
  const other = { ...knowledge, signs: [{ ...knowledge.signs[0]!, id: 'lace', name: 'Salt lace', words: ['salty lace'] }] };
  expect(readWords(other, 'salty lace').read.map(({ sign }) => sign)).toEqual(['lace']);
  expect(readWords(knowledge, 'salty lace').read).toEqual([]);
});

test('a host is recognised whatever plant is in question', () => {
  expect(readWords(knowledge, 'pears have webs', bean).hosts).toEqual([{ host: 'pear', phrase: 'pears' }]);
});

test('a sign that no trouble is said to show yet is read on any plant', () => {
  const written = {
    ...knowledge,
    signs: [...knowledge.signs, { ...knowledge.signs[0]!, id: 'lace', name: 'Salt lace', words: ['salty lace'] }],
  };
  expect(readWords(written, 'salty lace', bean).read.map(({ sign }) => sign)).toEqual(['lace']);
});
