import type { Case } from '@field-nurse/contract';
import type { Planting } from '../gardens/plantings-now';
import { caseQuestion, historyOf } from './case-question';

const planting = (id: string, host: string, placeId = 'bed') => ({ id, host, placeId, setting: 'outdoor' }) as Planting;
const caseOf = (id: string, plantingId: string, conditions: string[], closedOn: string | null = null) =>
  ({
    id,
    plantingId,
    openedOn: '2026-06-01',
    closedOn,
    onset: null,
    pattern: null,
    diagnoses: conditions.length > 0 ? [{ on: '2026-06-01', conditions, why: '' }] : [],
  }) as unknown as Case;
const plantings = [planting('p1', 'bean'), planting('p2', 'pea'), planting('p3', 'rose', 'wall')];
const surroundings = { garden: { latitude: -40, region: 'neutral' }, plantings, cases: [] as Case[], temperatureC: undefined, tests: [] };

test('the plant, the month and the side of the earth come from the garden', () => {
  const question = caseQuestion(caseOf('c', 'p1', []), plantings[0]!, [], surroundings);
  expect(question).toMatchObject({ host: 'bean', month: 6, hemisphere: 'south', region: 'neutral', history: [], nearby: [] });
  expect(question).not.toHaveProperty('temperatureC');
  expect(caseQuestion(caseOf('c', 'p1', []), plantings[0]!, [], { ...surroundings, temperatureC: 21 })).toMatchObject({ temperatureC: 21 });
});

test('closed cases count as history, by plant; open ones and undecided ones do not', () => {
  const cases = [
    caseOf('a', 'p1', ['rust'], '2025-08-01'),
    caseOf('b', 'p1', ['rust', 'aphid'], '2026-05-01'),
    caseOf('d', 'p2', ['rust']),
    caseOf('e', 'p2', [], '2026-05-01'),
    caseOf('f', 'gone', ['rust'], '2026-05-01'),
  ];
  expect(historyOf(cases, plantings)).toEqual([
    { condition: 'rust', host: 'bean', count: 2 },
    { condition: 'aphid', host: 'bean', count: 1 },
  ]);
});

test('what is at work on other plants counts as near, in the place or in the garden; the case itself does not', () => {
  const cases = [
    caseOf('c', 'p1', ['mite']),
    caseOf('a', 'p2', ['rust']),
    caseOf('b', 'p3', ['aphid']),
    caseOf('d', 'p2', ['scab'], '2026-05-01'),
  ];
  expect(caseQuestion(cases[0]!, plantings[0]!, [], { ...surroundings, cases }).nearby).toEqual([
    { condition: 'rust', near: 'place' },
    { condition: 'aphid', near: 'garden' },
  ]);
});
