import type { DifferentialRequest } from '@field-nurse/contract';
import { answerDifferential } from './answers/index';
import { library } from './testLibrary';

interface Looked {
  readonly seen: readonly string[];
  readonly absent?: readonly string[];
}
const findings = ({ seen, absent = [] }: Looked): DifferentialRequest['findings'] => [
  ...seen.map((sign) => ({ sign, state: 'seen' as const })),
  ...absent.map((sign) => ({ sign, state: 'absent' as const })),
];
const ask = (question: Omit<DifferentialRequest, 'findings'>, looked: Looked) =>
  answerDifferential(library, { ...question, findings: findings(looked) });
type Answer = ReturnType<typeof ask>;
const chance = ({ ranked }: Answer, id: string) => ranked.find(({ condition }) => condition === id)?.probability ?? 0;
const leaders = ({ ranked }: Answer, count: number) => ranked.slice(0, count).map(({ condition }) => condition);

// One trouble, as its signs are found by hand in its season: it must lead, and by far.
const plain: readonly [string, Omit<DifferentialRequest, 'findings'>, Looked, string][] = [
  [
    'rust of leeks',
    { host: 'leek', month: 9, setting: 'outdoor' },
    { seen: ['rust-pustules'], absent: ['winding-mine', 'grub-in-shoot'] },
    'leek-rust',
  ],
  [
    'the leek moth by its net',
    { host: 'leek', month: 8, setting: 'outdoor' },
    { seen: ['leaf-strips-windows', 'grub-in-shoot', 'net-cocoon'] },
    'leek-moth',
  ],
  [
    'white rot by its fluff and pinheads',
    { host: 'garlic', month: 6, setting: 'outdoor' },
    { seen: ['yellow-old-leaves', 'white-fluff-bulb-base'] },
    'allium-white-rot',
  ],
  [
    'late blight by its fringe',
    { host: 'potato', month: 7, setting: 'outdoor', onset: 'days' },
    { seen: ['wet-dark-blotches', 'white-fringe-under-blotch'] },
    'late-blight',
  ],
  [
    'early blight by its rings',
    { host: 'tomato', month: 7, setting: 'outdoor' },
    { seen: ['ringed-brown-spots'], absent: ['white-fringe-under-blotch', 'wet-dark-blotches'] },
    'early-blight',
  ],
  [
    'spider mite by dots, webs and what moves',
    { host: 'cucumber', month: 7, setting: 'greenhouse' },
    { seen: ['leaf-stippling', 'leaf-webbing', 'moving-specks'] },
    'spider-mite',
  ],
  [
    'thrips by silver and varnish dots',
    { host: 'monstera', setting: 'indoor', month: 4 },
    { seen: ['leaf-silvering', 'black-varnish-dots', 'thin-slivers'] },
    'thrips',
  ],
  [
    'magnesium shortage by the old leaves',
    { host: 'tomato', month: 7, setting: 'greenhouse' },
    { seen: ['yellow-between-veins-old'], absent: ['yellow-between-veins-new', 'moving-specks'] },
    'magnesium-shortage',
  ],
  [
    'iron shortage by the young leaves',
    { host: 'raspberry', month: 6, setting: 'outdoor' },
    { seen: ['yellow-between-veins-new'], absent: ['yellow-between-veins-old'] },
    'iron-shortage',
  ],
  ['clubroot by its roots', { host: 'cabbage', month: 7, setting: 'outdoor' }, { seen: ['wilted', 'roots-swollen-clubs'] }, 'clubroot'],
  [
    'vine weevil by its grubs',
    { host: 'fuchsia', month: 9, setting: 'outdoor' },
    { seen: ['wilted', 'roots-eaten', 'white-c-grubs-roots'] },
    'vine-weevil',
  ],
  [
    'root rot by brown roots in wet soil',
    { host: 'monstera', month: 12, setting: 'indoor' },
    { seen: ['wilt-wet-soil', 'roots-brown-mushy', 'waterlogged-pot'] },
    'root-rot',
  ],
  [
    'a dog on the lawn leaves no threads',
    { host: 'lawn', month: 6, setting: 'outdoor' },
    { seen: ['lawn-patches', 'plants-dug-up'], absent: ['lawn-red-threads', 'turf-lifts', 'lawn-cotton-rim'] },
    'cats-and-dogs',
  ],
  [
    'box moth by its webs and droppings',
    { host: 'box', month: 6, setting: 'outdoor' },
    { seen: ['leaf-webbing', 'green-black-droppings', 'large-ragged-holes'] },
    'box-caterpillar',
  ],
];

test.each(plain)('%s', (_, question, looked, cause) => {
  const answer = ask(question, looked);
  expect(leaders(answer, 1)).toEqual([cause]);
  expect(chance(answer, cause)).toBeGreaterThan(0.4);
});

test.each(plain)('%s: no order of looking changes the answer', (_, question, looked, cause) => {
  const forward = ask(question, looked);
  const backward = ask(question, { seen: [...looked.seen].reverse(), absent: [...(looked.absent ?? [])].reverse() });
  expect(chance(backward, cause)).toBeCloseTo(chance(forward, cause), 9);
});

// Several at once: all of them must stand before whatever else it may be.
const several: readonly [string, Omit<DifferentialRequest, 'findings'>, Looked, readonly string[]][] = [
  [
    'rust and moth in one leek',
    { host: 'leek', month: 8, setting: 'outdoor' },
    { seen: ['rust-pustules', 'leaf-strips-windows', 'grub-in-shoot'] },
    ['leek-rust', 'leek-moth'],
  ],
  [
    'mildew and mites on a cucumber',
    { host: 'cucumber', month: 8, setting: 'greenhouse' },
    { seen: ['white-powder-top', 'leaf-stippling', 'leaf-webbing'] },
    ['powdery-mildew', 'spider-mite'],
  ],
  [
    'black spot and greenfly on a rose',
    { host: 'rose', month: 6, setting: 'outdoor' },
    { seen: ['black-fringed-spots', 'green-soft-insects', 'sticky-leaves'] },
    ['rose-black-spot', 'green-aphid'],
  ],
  [
    'slugs and flea beetles in the radishes',
    { host: 'radish', month: 5, setting: 'outdoor' },
    { seen: ['small-round-holes', 'jumping-beetles', 'slime-trail', 'large-ragged-holes'] },
    ['flea-beetle', 'slugs'],
  ],
  [
    'blackfly with their ladybirds',
    { host: 'broad-bean', month: 6, setting: 'outdoor' },
    { seen: ['black-soft-insects', 'helper-larvae'] },
    ['black-bean-aphid', 'ladybird-larvae'],
  ],
  [
    'three troubles of one strawberry',
    { host: 'strawberry', month: 6, setting: 'outdoor' },
    { seen: ['white-c-grubs-roots', 'roots-eaten', 'fruit-grey-soft', 'slime-trail'] },
    ['vine-weevil', 'grey-mould', 'slugs'],
  ],
];

test.each(several)('%s', (_, question, looked, causes) => {
  const answer = ask(question, looked);
  expect(leaders(answer, causes.length + 1)).toEqual(expect.arrayContaining([...causes]));
});

test('what follows something else is told as such, and both stand in the list', () => {
  const answer = ask(
    { host: 'strawberry', month: 7, setting: 'outdoor' },
    { seen: ['stem-base-brown-soft', 'crown-leaves-pull-out', 'small-dark-beetles-wound'] },
  );
  expect(leaders(answer, 2).sort()).toEqual(['crown-rot', 'sap-beetle']);
  expect(answer.relations).toContainEqual({ code: 'follows', condition: 'sap-beetle', other: 'crown-rot' });
});

test('a carrier and what it carries are told as such', () => {
  const answer = ask(
    { host: 'tomato', month: 7, setting: 'greenhouse' },
    { seen: ['thin-slivers', 'leaf-silvering', 'ring-patterns', 'leaf-bronzed'] },
  );
  expect(answer.relations).toContainEqual({ code: 'carries', condition: 'thrips', other: 'tomato-spotted-wilt' });
});

describe('circumstances', () => {
  const webs = { seen: ['leaf-stippling'] };
  const base = { host: 'cucumber', month: 7, setting: 'greenhouse' as const };

  test('the same case next to it makes a cause likelier, the more the nearer', () => {
    const near = (nearby?: DifferentialRequest['nearby']) => chance(ask({ ...base, nearby }, webs), 'spider-mite');
    const [none, garden, place] = [
      near(),
      near([{ condition: 'spider-mite', near: 'garden' }]),
      near([{ condition: 'spider-mite', near: 'place' }]),
    ];
    expect(none).toBeLessThan(garden);
    expect(garden).toBeLessThan(place);
  });

  test('what this garden has had confirmed makes it likelier, more so on the same plant', () => {
    const had = (host: string, count: number) =>
      chance(ask({ ...base, history: [{ condition: 'spider-mite', host, count }] }, webs), 'spider-mite');
    const none = chance(ask(base, webs), 'spider-mite');
    expect(had('cucumber', 5)).toBeGreaterThan(none);
    expect(had('cucumber', 5)).toBeGreaterThan(had('melon', 5));
    expect(had('cucumber', 20)).toBeGreaterThan(had('cucumber', 5));
  });

  test('out of season, too cold and too fast all speak against it', () => {
    const of = (change: Partial<DifferentialRequest>) =>
      chance(ask({ host: 'potato', month: 7, setting: 'outdoor', ...change }, { seen: ['wet-dark-blotches'] }), 'late-blight');
    expect(of({ month: 3 })).toBeLessThan(of({}));
    expect(of({ temperatureC: 35 })).toBeLessThan(of({ temperatureC: 16 }));
    expect(of({ onset: 'season' })).toBeLessThan(of({ onset: 'days' }));
  });

  test('a clinic settles what signs leave open, one way or the other', () => {
    const blotches = { seen: ['wet-dark-blotches'] };
    const potato = { host: 'potato', month: 7, setting: 'outdoor' as const };
    const quality = { condition: 'late-blight', sensitivity: 0.95, specificity: 0.98 };
    const untested = chance(ask(potato, blotches), 'late-blight');
    const found = chance(ask({ ...potato, tests: [{ ...quality, result: 'positive' }] }, blotches), 'late-blight');
    const cleared = chance(ask({ ...potato, tests: [{ ...quality, result: 'negative' }] }, blotches), 'late-blight');
    expect(found).toBeGreaterThan(0.95);
    expect(cleared).toBeLessThan(untested / 3);
  });

  test('a doubtful reading moves the answer less than a look', () => {
    const sure = (value?: number) =>
      chance(answerDifferential(library, { ...base, findings: [{ sign: 'leaf-webbing', state: 'seen', sure: value }] }), 'spider-mite');
    expect(sure(0.3)).toBeLessThan(sure(0.7));
    expect(sure(0.7)).toBeLessThan(sure());
    expect(sure(1)).toBeCloseTo(sure(), 12);
  });
});

describe('what must be reported', () => {
  const regions = library.regions.filter(({ notifiable }) => notifiable.length > 0);

  test.each(regions.map((region) => [region.id, region] as const))(
    'in %s: each suspect is told with the notice before all else',
    (id, region) => {
      for (const suspect of region.notifiable) {
        const condition = library.conditions.find((one) => one.id === suspect)!;
        const named = [...condition.hosts.often, ...condition.hosts.sometimes][0]!;
        const host = library.hosts.find((one) => [one.id, one.family, one.kind].includes(named))!.id;
        const seen = Object.keys(condition.signs).filter((sign) => ['always', 'often'].includes(condition.signs[sign]!));
        const question = { host, month: condition.months[0]!, setting: condition.settings[0]! };
        const [first] = ask({ ...question, region: id }, { seen }).alerts;
        expect([suspect, first?.code]).toEqual([suspect, 'notifiable']);
      }
    },
  );
});

test('what need not be reported brings no notice', () => {
  const { alerts } = ask({ host: 'leek', month: 9, setting: 'outdoor' }, { seen: ['rust-pustules'] });
  expect(alerts.map(({ code }) => code)).not.toContain('notifiable');
});

describe('look-alikes', () => {
  // Of a pair that is taken for one another on a plant, the signs that only one of them shows must decide.
  const pairs = library.conditions.flatMap((one) =>
    one.lookalikes
      .filter(({ condition }) => one.id < condition)
      .map(({ condition }) => [one, library.conditions.find(({ id }) => id === condition)!] as const),
  );
  const shownBy = (one: (typeof pairs)[number][0], other: typeof one) =>
    Object.keys(one.signs).filter(
      (sign) => ['always', 'often'].includes(one.signs[sign]!) && [undefined, 'never', 'seldom'].includes(other.signs[sign]),
    );
  const meeting = pairs.flatMap(([one, other]) => {
    const host = library.hosts.find(
      ({ id }) => one.hosts.often.includes(id) && [...other.hosts.often, ...other.hosts.sometimes].includes(id),
    );
    const [own, others] = [shownBy(one, other), shownBy(other, one)];
    return host && own.length > 0 && others.length > 0 ? [{ one, other, host: host.id, own, others }] : [];
  });

  test('there are many', () => expect(meeting.length).toBeGreaterThan(100));

  test('what only the one shows puts it before the other', () => {
    const wrong = meeting.filter(({ one, other, host, own }) => {
      const answer = ask({ host, setting: one.settings[0], month: one.months[0] }, { seen: own });
      return chance(answer, one.id) <= chance(answer, other.id);
    });
    expect(wrong.map(({ one, other, host }) => `${one.id} ${other.id} ${host}`)).toEqual([]);
  });
});
