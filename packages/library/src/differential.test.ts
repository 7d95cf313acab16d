import { posterior } from '@field-nurse/core/diagnosis';
import { answerDifferential } from './answers/index';
import { library } from './testLibrary';

/** A host that a condition takes often: itself, or the first of the family or kind that is named. */
const usualHost = ({ hosts }: (typeof library.conditions)[number]) => {
  const named = [...hosts.often, ...hosts.sometimes, ...hosts.seldom][0]!;
  return library.hosts.find(({ id, family, kind }) => [id, family, kind].includes(named))!.id;
};

const ask = (condition: (typeof library.conditions)[number], frequencies: readonly string[], rest = {}) =>
  answerDifferential(library, {
    host: usualHost(condition),
    findings: Object.entries(condition.signs)
      .filter(([, frequency]) => frequencies.includes(frequency))
      .map(([sign]) => ({ sign, state: 'seen' as const })),
    setting: condition.settings[0]!,
    month: condition.months[0]!,
    ...rest,
  });

describe.each(library.conditions.map((condition) => [condition.id, condition] as const))('%s', (id, condition) => {
  test('comes first or second when its usual signs are seen where it is usual, and every reason points its own way', () => {
    const { ranked } = ask(condition, ['always', 'often']);
    expect(ranked.slice(0, 2).map((one) => one.condition)).toContain(id);
    const wrong = ranked.filter(
      (one) =>
        one.for.some(({ decibans }) => decibans <= 0) ||
        one.against.some(({ decibans }) => decibans >= 0) ||
        !(one.probability >= 0 && one.probability <= 1),
    );
    expect(wrong).toEqual([]);
  });

  test('loses belief when what it always shows was looked for and is not there', () => {
    const always = Object.keys(condition.signs).filter((sign) => condition.signs[sign] === 'always');
    const host = library.hosts.find((one) => one.id === usualHost(condition))!;
    const chance = (state: 'seen' | 'absent') =>
      posterior(
        library,
        { host },
        always.map((sign) => ({ sign, state })),
      ).marginals.get(id)!;
    expect(chance('seen')).toBeGreaterThan(chance('absent'));
  });
});

test('what is no pest stays in the ranking', () => {
  const { ranked } = answerDifferential(library, { host: 'tomato', text: 'older leaves yellow between the veins', month: 7 });
  expect(ranked.map(({ kind }) => kind)).toContain('deficiency');
});

test('a sign that was not looked at says nothing: leaving it out and not knowing it are one', () => {
  const base = { host: 'cucumber', month: 7, setting: 'greenhouse' as const };
  const one = answerDifferential(library, { ...base, findings: [{ sign: 'leaf-webbing', state: 'seen' }] });
  expect(one.ranked.flatMap((cause) => [...cause.for, ...cause.against]).every(({ sign }) => sign === 'leaf-webbing')).toBe(true);
});

test('a finding by hand outranks the reading of the words', () => {
  const { read, ranked } = answerDifferential(library, {
    host: 'cucumber',
    text: 'fine webbing',
    findings: [{ sign: 'leaf-webbing', state: 'absent' }],
  });
  expect(read).toMatchObject([{ sign: 'leaf-webbing', state: 'seen' }]);
  expect(ranked.flatMap((cause) => [...cause.for, ...cause.against]).find(({ sign }) => sign === 'leaf-webbing')?.state).toBe('absent');
});

test('the south turns the seasons round', () => {
  const chance = (month: number, hemisphere: 'north' | 'south') =>
    answerDifferential(library, {
      host: 'potato',
      findings: [{ sign: 'wet-dark-blotches', state: 'seen' }],
      month,
      hemisphere,
      setting: 'outdoor',
    }).ranked.find(({ condition }) => condition === 'late-blight')!.probability;
  expect(chance(1, 'south')).toBeCloseTo(chance(7, 'north'), 12);
  expect(chance(1, 'north')).toBeLessThan(chance(7, 'north'));
});

test('checks on offer are those of the library, and reveal what is not yet known', () => {
  const { nextLooks } = answerDifferential(library, { host: 'hoya', text: 'sticky leaves' });
  expect(nextLooks.length).toBeGreaterThan(2);
  for (const { check, reveals } of nextLooks) {
    expect(library.checks.find(({ id }) => id === check)!.reveals).toEqual(expect.arrayContaining(reveals));
    expect(reveals).not.toContain('sticky-leaves');
  }
});
