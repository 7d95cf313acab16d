import { answerOptions } from './answers/index';
import type { OptionsRequest } from '@field-nurse/contract';
import { stance as stances } from './vocabulary';
import { library } from './testLibrary';

const card = (id: string) => library.interventions.find((one) => one.id === id)!;
const ask = (host: string, condition: string, rest: Partial<OptionsRequest> = {}) =>
  answerOptions(library, { host, conditions: [condition], setting: 'outdoor', stance: 'organic', ...rest });
const verdict = (answer: ReturnType<typeof ask>, id: string) => answer.options.find((one) => one.id === id)?.verdict;
const codes = (answer: ReturnType<typeof ask>, id: string) => answer.options.find((one) => one.id === id)!.reasons.map(({ code }) => code);
const plan = (answer: ReturnType<typeof ask>) => answer.plan.map(({ use }) => use);

// What a grower is told to do about suspects of quarantine, in a garden that has set no region.
test.each([
  ['plum', 'plum-pox'],
  ['citrus', 'citrus-greening'],
  ['rhododendron', 'ramorum-blight'],
  ['tomato', 'rugose-fruit-virus'],
  ['tomato', 'bacterial-wilt'],
  ['potato', 'potato-cyst-nematode'],
  ['pear', 'fire-blight'],
])('%s with %s: the authority is called, nothing else is open, no plan is made', (host, condition) => {
  const answer = ask(host, condition, { stance: 'protect' });
  expect(answer.options[0]).toMatchObject({ id: 'call-authority', verdict: 'fits' });
  expect(answer.options.slice(1).every((one) => one.verdict === 'ruled-out')).toBe(true);
  expect(answer.plan).toEqual([]);
  expect(answer.alerts[0]!.code).toBe('notifiable');
  expect(answer.advice).toMatch(/^Call .*before you do anything else/);
});

test.each([
  ['potato', 'colorado-beetle'],
  ['tomato', 'tomato-leaf-moth'],
  ['tomato', 'tomato-canker'],
  ['rose', 'rose-rosette'],
  ['box', 'box-blight'],
  ['daffodil', 'stem-nematode'],
])('%s with %s: asked first whether it is listed, and open once the answer is no', (host, condition) => {
  const answer = ask(host, condition);
  expect(answer.options.filter((one) => one.verdict !== 'ruled-out').map(({ id }) => id)).toEqual(['call-authority']);
  expect(answer.alerts[0]!.code).toBe('ask-first');
  expect(answer.plan).toEqual([]);
  const answered = ask(host, condition, { notListed: [condition] });
  expect(answered.alerts.map(({ code }) => code)).not.toContain('ask-first');
  expect(answered.plan.length).toBeGreaterThan(0);
});

test('a nest on oak is not touched: nothing is open but the call', () => {
  const answer = ask('oak', 'processionary-moth');
  expect(answer.options.filter((one) => one.verdict !== 'ruled-out').map(({ id }) => id)).toEqual(['call-authority']);
  expect(library.conditions.find(({ id }) => id === 'processionary-moth')!.cautions.join(' ')).toMatch(/do not touch/);
  expect(card('pick-bags').steps.join(' ')).toMatch(/not on oak or pine/);
});

test('peach in leaf: lime sulphur and copper are for bare wood', () => {
  const may = ask('peach', 'peach-leaf-curl', { month: 5, temperatureC: 16 });
  expect([verdict(may, 'lime-sulphur-dormant'), verdict(may, 'copper')]).toEqual(['ruled-out', 'ruled-out']);
  const february = ask('peach', 'peach-leaf-curl', { month: 2, temperatureC: 8 });
  expect(codes(february, 'lime-sulphur-dormant')).not.toContain('not-bare');
  expect(verdict(ask('apricot', 'peach-leaf-curl', { bare: true, temperatureC: 8 }), 'lime-sulphur-dormant')).toBe('ruled-out');
  expect(verdict(ask('peach', 'peach-leaf-curl', { bare: true, setting: 'indoor' }), 'lime-sulphur-dormant')).toBe('ruled-out');
});

test.each([
  ['olive', 'armoured-scale'],
  ['spruce', 'conifer-adelgid'],
  ['citrus', 'armoured-scale'],
])('%s is evergreen: no winter oil, in no month', (host, condition) => {
  for (const month of [1, 7]) expect(verdict(ask(host, condition, { month }), 'dormant-oil') ?? 'ruled-out').toBe('ruled-out');
});

test.each([
  ['hoya', 'soft-scale', 'protect'],
  ['begonia', 'powdery-mildew', 'organic'],
  ['begonia', 'broad-mite', 'protect'],
  ['monstera', 'thrips', 'protect'],
] as const)('%s in a living room with %s: no strong product is open', (host, condition, stance) => {
  const answer = ask(host, condition, { setting: 'indoor', stance });
  for (const one of answer.options.filter(({ verdict: open }) => open !== 'ruled-out'))
    expect([one.id, one.rung === 'synthetic' || ['sulphur', 'copper', 'spinosad', 'horticultural-oil'].includes(one.id)]).toEqual([
      one.id,
      false,
    ]);
});

test('lettuce in water culture: nothing strong goes into the tank', () => {
  const open = ask('lettuce', 'root-aphid', { setting: 'hydroponic', stance: 'protect' }).options.filter(
    (one) => one.verdict !== 'ruled-out',
  );
  expect(open.filter(({ rung }) => rung === 'synthetic')).toEqual([]);
});

test.each([
  ['apple', 'armoured-scale', 'pyriproxyfen', 5],
  ['grape', 'grape-downy-mildew', 'mandipropamid', 5],
  ['leek', 'leek-rust', 'azoxystrobin', 8],
  ['asparagus', 'asparagus-beetle', 'spinosad', 4],
  ['apple', 'apple-scab', 'tebuconazole', 60],
] as const)('%s with %s: %s is not open %i days before harvest', (host, condition, product, daysToHarvest) => {
  expect(verdict(ask(host, condition, { daysToHarvest, stance: 'protect' }), product) ?? 'ruled-out').toBe('ruled-out');
});

test('on a crop that is eaten, days to harvest that no label confirms call for care', () => {
  for (const one of ask('tomato', 'green-aphid', { daysToHarvest: 60, stance: 'protect', flowersInDays: 90 }).options)
    if (card(one.id).preHarvestDays > 0) expect(one.verdict).not.toBe('fits');
});

test('beans that flower within two weeks: nothing that kills bees, and nothing systemic', () => {
  const soon = ask('runner-bean', 'black-bean-aphid', { flowersInDays: 10, stance: 'protect' });
  expect([verdict(soon, 'acetamiprid'), verdict(soon, 'pyrethrins')]).toEqual(['ruled-out', 'care']);
  expect(codes(ask('runner-bean', 'black-bean-aphid', { stance: 'protect' }), 'acetamiprid')).toContain('bees-unknown');
  expect(verdict(ask('apple', 'woolly-aphid', { inFlower: true, stance: 'protect' }), 'spirotetramat')).toBe('ruled-out');
});

test('copper on an air plant is refused, and a hands-only garden may clean its knives', () => {
  expect(verdict(ask('air-plant', 'bacterial-leaf-spot', { setting: 'indoor' }), 'copper') ?? 'ruled-out').toBe('ruled-out');
  expect(verdict(ask('air-plant', 'bacterial-leaf-spot', { setting: 'greenhouse' }), 'copper')).toBe('ruled-out');
  expect(verdict(ask('moth-orchid', 'orchid-virus', { setting: 'indoor', stance: 'hands' }), 'disinfect-tools')).not.toBe('ruled-out');
});

test('jade with mealybug: the plan is no oil', () => {
  const answer = ask('jade', 'mealybug', { setting: 'indoor' });
  expect(plan(answer)).not.toContain('horticultural-oil');
  expect(verdict(answer, 'insecticidal-soap')).toBe('ruled-out');
  expect(verdict(answer, 'alcohol-swab')).toBe('care');
});

test.each([
  ['tomato', 'glasshouse-whitefly'],
  ['begonia', 'cyclamen-mite'],
  ['cucumber', 'spider-mite'],
])('%s with %s under glass: no plan sets helpers out and kills them', (host, condition) => {
  for (const stance of stances.options) {
    const cards = plan(
      ask(host, condition, { setting: 'greenhouse', stance, notListed: [condition], daysToHarvest: 90, flowersInDays: 90 }),
    ).map(card);
    for (const released of cards.filter(({ release }) => release))
      for (const other of cards) expect([other.id, other.kills.some(({ what }) => what === released.release)]).toEqual([other.id, false]);
  }
});

test.each(['onion-fly', 'bean-seed-fly', 'carrot-fly'])('no leaf spray is offered against the maggots of %s', (condition) => {
  expect(library.conditions.find(({ id }) => id === condition)!.treat.map(({ intervention }) => intervention)).not.toContain(
    'cyantraniliprole',
  );
});

test('tomato is not given the cure of maize or potato', () => {
  expect(codes(ask('tomato', 'fruitworm'), 'oil-cob-silk')).toContain('other-plant');
  expect(codes(ask('tomato', 'late-blight'), 'cut-haulm')).toContain('other-plant');
  expect(codes(ask('potato', 'late-blight'), 'cut-haulm')).not.toContain('other-plant');
});

test('cucumber with mildew: soap and oil are done in turn, never at once', () => {
  const answer = ask('cucumber', 'spider-mite', { setting: 'greenhouse', daysToHarvest: 20 });
  const effects = plan(answer).flatMap((id) => card(id).effect ?? []);
  expect(new Set(effects).size).toBe(effects.length);
});

test('wind above 15 km/h and water near by close a spray outdoors', () => {
  const windy = ask('rose', 'green-aphid', { forecast: { windKmh: 18 } });
  expect(verdict(windy, 'insecticidal-soap')).toBe('ruled-out');
  expect(verdict(ask('rose', 'green-aphid', { waterNear: true, flowersInDays: 60 }), 'pyrethrins')).toBe('ruled-out');
});

test('one leatherjacket is no reason to act where the level is twenty-five to a square metre', () => {
  expect(library.conditions.find(({ id }) => id === 'leatherjackets')!.levels).toEqual([{ measure: 'count-per-m2', act: 25 }]);
});

test('frost in a week: a tender crop is left, or picked', () => {
  const answer = ask('courgette', 'powdery-mildew', { daysToFrost: 5, daysToHarvest: 1 });
  expect(['watch', 'accept-next-year', 'harvest-now', 'pick-off-leaves']).toContain(answer.plan[0]!.use);
  expect(plan(answer)).not.toContain('sulphur');
});

test('caterpillars that were seen decide for what acts on them, and eggs that were not against what acts on eggs alone', () => {
  const answer = ask('cabbage', 'cabbage-white', {
    findings: [
      { sign: 'green-caterpillars', state: 'seen' },
      { sign: 'yellow-egg-cluster', state: 'absent' },
    ],
  });
  expect(answer.stages).toEqual([expect.objectContaining({ condition: 'cabbage-white', stage: 'caterpillars' })]);
  expect(codes(answer, 'scrape-eggs')).toContain('stage-doubtful');
  expect(verdict(answer, 'bt-kurstaki')).toBe('fits');
});

test('the first line says what to do today and why, in one sentence or two', () => {
  for (const [host, condition] of [
    ['rose', 'green-aphid'],
    ['maple', 'tar-spot'],
    ['onion', 'allium-white-rot'],
  ] as const)
    expect(ask(host, condition).advice).toMatch(/^[A-Z].*[.]$/);
});

test('what people try and should not is shown, and closed', () => {
  const answer = ask('rose', 'green-aphid');
  expect(codes(answer, 'no-nicotine-tea')).toContain('dont');
  expect(verdict(answer, 'no-washing-up-liquid')).toBe('ruled-out');
});

test('no plan holds what undoes it, for any trouble under any school', () => {
  for (const condition of library.conditions) {
    const named = [...condition.hosts.often, ...condition.hosts.sometimes, ...condition.hosts.seldom][0]!;
    const host = library.hosts.find(({ id, family, kind }) => [id, family, kind].includes(named))!.id;
    for (const stance of stances.options) {
      const answer = ask(host, condition.id, {
        setting: condition.settings[0]!,
        stance,
        notListed: [condition.id],
        flowersInDays: 200,
        daysToHarvest: 200,
      });
      const cards = plan(answer).map(card);
      for (const one of cards)
        for (const other of cards.filter(({ id }) => id !== one.id)) {
          expect([condition.id, one.id, other.id, one.undoes.includes(other.id)]).toEqual([condition.id, one.id, other.id, false]);
          expect(one.kills.some(({ what }) => what === other.release)).toBe(false);
          expect(one.effect !== undefined && one.effect === other.effect).toBe(false);
        }
    }
  }
});
