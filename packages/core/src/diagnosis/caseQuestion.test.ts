import { caseQuestion, historyOf } from './caseQuestion';
import type { CaseLine } from './caseQuestion';

const bean = { host: 'bean', placeId: 'bed', setting: 'outdoor' };
const asking = { id: 'c', openedOn: '2026-06-01', onset: null, pattern: null };
const told = (id: string, host: string, conditions: string[], change: Partial<CaseLine> = {}): CaseLine => ({
  id,
  plantingId: `${id}-plants`,
  placeId: 'bed',
  host,
  openedOn: '2026-05-20',
  closedOn: null,
  conditions,
  ...change,
});
const around = { garden: { latitude: -40, region: 'neutral' }, caseLines: [] as CaseLine[], temperatureC: undefined, tests: [] };

test('the plant, the month and the side of the earth come from the garden', () => {
  const question = caseQuestion(asking, bean, [{ sign: 'dots', state: 'seen' }], around);
  expect(question).toMatchObject({ host: 'bean', month: 6, hemisphere: 'south', region: 'neutral', history: [], nearby: [] });
  expect(question.findings).toEqual([{ sign: 'dots', state: 'seen' }]);
  expect(question).not.toHaveProperty('temperatureC');
  expect(caseQuestion(asking, bean, [], { ...around, temperatureC: 21 })).toMatchObject({ temperatureC: 21 });
});

test('closed cases count as history, by plant; open ones and undecided ones do not', () => {
  const closedOn = '2026-05-01';
  const cases = [
    told('a', 'bean', ['rust'], { closedOn }),
    told('b', 'bean', ['rust', 'aphid'], { closedOn }),
    told('d', 'pea', ['rust']),
    told('e', 'pea', [], { closedOn }),
  ];
  expect(historyOf(cases)).toEqual([
    { condition: 'rust', host: 'bean', count: 2 },
    { condition: 'aphid', host: 'bean', count: 1 },
  ]);
});

test('what is at work on other plants counts as near, in the place or in the garden; the case itself does not', () => {
  const cases = [
    told('c', 'bean', ['mite']),
    told('a', 'pea', ['rust']),
    told('b', 'rose', ['aphid'], { placeId: 'wall' }),
    told('d', 'pea', ['scab'], { closedOn: '2026-05-25' }),
    told('f', 'pea', ['later'], { openedOn: '2026-06-02' }),
  ];
  expect(caseQuestion(asking, bean, [], { ...around, caseLines: cases }).nearby).toEqual([
    { condition: 'rust', near: 'place' },
    { condition: 'aphid', near: 'garden' },
  ]);
});
