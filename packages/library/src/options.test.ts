import { answerOptions } from './answers/index';
import { setting as settings } from './vocabulary';
import { library } from './testLibrary';

const hostOf = ({ hosts }: (typeof library.conditions)[number]) => {
  const named = [...hosts.often, ...hosts.sometimes, ...hosts.seldom][0]!;
  return library.hosts.find(({ id, family, kind }) => [id, family, kind].includes(named))!.id;
};
const judge = (condition: (typeof library.conditions)[number], rest: object = {}) =>
  answerOptions(library, {
    host: hostOf(condition),
    conditions: [condition.id],
    setting: condition.settings[0]!,
    stance: 'organic',
    ...rest,
  });
const card = (id: string) => library.interventions.find((one) => one.id === id)!;

describe.each(library.conditions.map((condition) => [condition.id, condition] as const))('%s', (_, condition) => {
  test('every treatment of its entry is judged, and none else', () => {
    const reporting = condition.reportable === 'no' ? [] : ['call-authority'];
    const expected = [...new Set([...condition.treat.map(({ intervention }) => intervention), ...reporting])].sort();
    expect(
      judge(condition)
        .options.map(({ id }) => id)
        .sort(),
    ).toEqual(expected);
  });

  test('nothing above the stance is open', () => {
    for (const { id, verdict } of judge(condition, { stance: 'hands' }).options)
      if (['biological', 'soft', 'synthetic'].includes(card(id).rung)) expect(verdict).toBe('ruled-out');
    for (const { id, verdict } of judge(condition).options) if (!card(id).organic) expect(verdict).toBe('ruled-out');
  });

  test('in flower, nothing that kills bees is open; before harvest, nothing inside its days', () => {
    // The stance under which most is open.
    for (const { id, verdict } of judge(condition, { stance: 'protect', inFlower: true }).options)
      if (card(id).bees === 'serious') expect([id, verdict]).toEqual([id, 'ruled-out']);
    for (const { id, verdict } of judge(condition, { stance: 'protect', edible: true, daysToHarvest: 2 }).options)
      if (card(id).preHarvestDays > 2 && card(id).preHarvestOn.every(({ days }) => days > 2))
        expect([id, verdict]).toEqual([id, 'ruled-out']);
  });

  test('in a place that the card does not name, nothing is open', () => {
    for (const setting of settings.options)
      for (const { id, verdict } of judge(condition, { setting }).options)
        if (!card(id).settings.includes(setting)) expect([id, verdict]).toEqual([id, 'ruled-out']);
  });

  test('something can be done about it in some garden, unless it must be reported first', () => {
    const { options } = judge(condition, { stance: 'protect', daysToHarvest: 10 });
    const open = options.filter(({ verdict }) => verdict !== 'ruled-out').map(({ id }) => id);
    if (condition.reportable === 'no') expect(open.length).toBeGreaterThan(0);
    else expect(open).toEqual(['call-authority']);
  });
});

test('every card with a rate has a label limit at or above it, in the same unit', () => {
  for (const { id, rate } of library.interventions)
    if (rate?.labelMax) expect([id, rate.labelMax.unit, rate.labelMax.amount >= rate.amount]).toEqual([id, rate.unit, true]);
});

test('every product that is sprayed and has a rate says what to wear', () => {
  for (const { id, order, rung, rate, protect } of library.interventions)
    if (order === 'spray' && rate && ['soft', 'synthetic'].includes(rung) && id !== 'milk-spray')
      expect([id, protect.length > 0]).toEqual([id, true]);
});

test('folk practice is never without its grade', () => {
  const folk = library.conditions.flatMap(({ treat }) =>
    treat.filter(({ evidence }) => evidence === 'folk').map(({ intervention }) => intervention),
  );
  for (const id of folk) {
    const judged = library.conditions.find(({ treat }) => treat.some((one) => one.intervention === id && one.evidence === 'folk'))!;
    const option = judge(judged, { stance: 'protect' }).options.find((one) => one.id === id)!;
    expect([id, option.evidence]).toEqual([id, 'folk']);
    expect(option.verdict).not.toBe('fits');
  }
});
