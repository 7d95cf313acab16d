import { checkOwnEntry } from './checkOwnEntry';
import type { OwnEntryFacts } from './withOwnEntries';
import { withOwnEntries } from './withOwnEntries';
import { library } from './testLibrary';

const of = <K extends 'conditions' | 'hosts' | 'interventions' | 'checks' | 'regions'>(kind: K, id: string) =>
  library[kind].find((one) => one.id === id)! as (typeof library)[K][number];

const soap = of('interventions', 'insecticidal-soap');
const ownSoap = { ...soap, id: 'shed-soap', name: 'Shed soap', names: [], like: 'insecticidal-soap' };
const own = (entry: object, changes: object): OwnEntryFacts['entry'] => ({ ...entry, ...changes }) as OwnEntryFacts['entry'];
const faultsOf = (kind: OwnEntryFacts['kind'], entry: object, within = library) => {
  const result = checkOwnEntry(within, kind, entry);
  return 'faults' in result ? result.faults.map(({ path, message }) => `${path.join('.')}: ${message}`) : [];
};

test.each([
  ['conditions', of('conditions', 'spider-mite')],
  ['hosts', of('hosts', 'tomato')],
  ['interventions', ownSoap],
  ['checks', of('checks', 'turn-leaves')],
  ['regions', of('regions', 'tidal-march')],
] as const)('a copy in %s is taken as it is', (kind, entry) => {
  expect(faultsOf(kind, { ...entry, id: `own-${entry.id}` })).toEqual([]);
});

test.each([
  [
    'a rate above its own most',
    { rate: { ...soap.rate!, labelMax: { amount: 1, unit: 'ml' } } },
    'rate.labelMax: The most that is allowed',
  ],
  [
    'two litres in a litre',
    { rate: { ...soap.rate!, amount: 2000, labelMax: { amount: 3000, unit: 'ml' } } },
    'rate.amount: More than 500 ml in a litre',
  ],
  ['ten years to harvest', { preHarvestDays: 3650 }, 'preHarvestDays: At most 400 days.'],
  ['limits the wrong way round', { temperatureC: { min: 30, max: 5 } }, 'temperatureC: The lower limit'],
  ['days the wrong way round', { repeatDays: [9, 3] }, 'repeatDays: low first'],
  ['being like itself', { like: 'shed-soap' }, 'like: It can’t be like itself.'],
])('what helps is refused with %s, at its field', (_, changes, fault) => {
  expect(faultsOf('interventions', own(ownSoap, changes))).toEqual([expect.stringContaining(fault)]);
});

test.each([
  ['a licence', { restricted: false }, 'flupyradifurone'],
  ['days to harvest', { preHarvestDays: 0 }, 'spinosad'],
  ['danger to bees', { bees: 'none' }, 'spinosad'],
  ['its cautions', { cautions: [] }, 'insecticidal-soap'],
])('a garden’s copy of a library card cannot lift %s', (_, changes, id) => {
  expect(faultsOf('interventions', own(of('interventions', id), changes))).not.toEqual([]);
});

test('a trouble cannot take one plant in two ways, be its own look-alike, come after itself, or be reported less than in the library', () => {
  const blight = of('conditions', 'fire-blight');
  const faults = faultsOf('conditions', {
    ...blight,
    hosts: { ...blight.hosts, seldom: ['pear'] },
    lookalikes: [{ condition: 'fire-blight', tell: 'It is the same.' }],
    follows: ['fire-blight'],
    reportable: 'no',
  });
  expect(faults.map((line) => line.split(':')[0])).toEqual(['hosts', 'lookalikes', 'follows', 'reportable']);
});

test('a chain of what comes after what must end', () => {
  const [first, second] = ['first', 'second'].map((id) => ({ ...of('conditions', 'spider-mite'), id, name: id, lookalikes: [] }));
  const garden = withOwnEntries(library, [{ kind: 'conditions', entry: { ...first!, follows: ['second'] } as OwnEntryFacts['entry'] }]);
  expect(faultsOf('conditions', { ...second, follows: ['first'] }, garden)).toEqual([expect.stringContaining('leads back')]);
  expect(faultsOf('conditions', { ...second, follows: ['drought'] }, garden)).toEqual([]);
});

test('a region cannot ask for a report and waive it, or sell what it forbids', () => {
  const march = of('regions', 'tidal-march');
  expect(faultsOf('regions', { ...march, notListed: ['fire-blight'] })[0]).toContain('notListed');
  expect(faultsOf('regions', { ...march, soldHere: ['lambda-cyhalothrin'] })[0]).toContain('soldHere');
});

test('what is like another is offered wherever that one is, once', () => {
  const garden = withOwnEntries(library, [{ kind: 'interventions', entry: ownSoap }]);
  const offers = (index: typeof library, id: string) =>
    index.conditions.flatMap(({ treat }) => treat.filter((one) => one.intervention === id));
  expect(offers(garden, 'shed-soap')).toHaveLength(offers(library, 'insecticidal-soap').length);
  expect(offers(library, 'shed-soap')).toEqual([]);
});
