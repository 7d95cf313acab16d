import { answerDifferential } from './answers/index';
import { checkOwnEntry } from './checkOwnEntry';
import { withOwnEntries } from './withOwnEntries';
import { library } from './testLibrary';

const rust = library.conditions.find(({ id }) => id === 'leek-rust')!;

test('an own entry stands in place of the library’s with the same id, or beside the others', () => {
  const changed = { ...rust, name: 'Our rust' };
  const fresh = { ...rust, id: 'tide-rust', name: 'Tide rust', lookalikes: [] };
  const merged = withOwnEntries(library, [
    { kind: 'conditions', entry: changed },
    { kind: 'conditions', entry: fresh },
  ]);
  expect(merged.conditions).toHaveLength(library.conditions.length + 1);
  expect(merged.conditions.filter(({ id }) => id === 'leek-rust').map(({ name }) => name)).toEqual(['Our rust']);
  expect(merged.conditions.at(-1)).toBe(fresh);
  expect(withOwnEntries(library, [])).toBe(library);
});

test('what a garden says of a trouble moves its chance', () => {
  const ask = (from: typeof library) =>
    answerDifferential(from, { host: 'leek', month: 7, findings: [{ sign: 'leaf-silvering', state: 'seen' }] });
  const chance = (from: typeof library) => ask(from).ranked.find(({ condition }) => condition === 'leek-rust')?.probability ?? 0;
  const silver = { ...rust, signs: { ...rust.signs, 'leaf-silvering': 'always' as const } };
  expect(chance(withOwnEntries(library, [{ kind: 'conditions', entry: silver }]))).toBeGreaterThan(5 * chance(library));
});

test('a sound entry comes back with its defaults', () => {
  const { names: _, ...bare } = { ...rust, id: 'tide-rust', lookalikes: [] };
  expect(checkOwnEntry(library, 'conditions', bare)).toMatchObject({ entry: { id: 'tide-rust', names: [] } });
});

test('faults say where they are', () => {
  const faults = (kind: Parameters<typeof checkOwnEntry>[1], entry: unknown) => {
    const checked = checkOwnEntry(library, kind, entry);
    return 'faults' in checked ? checked.faults : [];
  };
  expect(faults('conditions', { ...rust, months: ['May'] })[0]!.path).toEqual(['months', 0]);
  expect(faults('conditions', { ...rust, checks: ['tea-leaves'] }).map(({ message }) => message)).toEqual([
    'leek-rust names the unknown check tea-leaves',
  ]);
  expect(faults('signs', { id: 'x' }).length).toBeGreaterThan(0);
  expect(faults('hosts', null).length).toBeGreaterThan(0);
});
