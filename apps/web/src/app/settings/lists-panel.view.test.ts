import { tableName } from '@field-nurse/contract';
import { show } from '../testing/show';
import { ListsPanel } from './lists-panel';

test('every list has its address; who only looks brings nothing in', async () => {
  const { element, text } = await show(ListsPanel);
  const links = [...element.querySelectorAll('a[download]')].map((one) => one.getAttribute('href'));
  expect(links.toSorted()).toEqual(tableName.options.map((name) => `/api/v1/gardens/g/tables/${name}`).toSorted());
  expect(text()).toContain('Bring in a list');
  expect((await show(ListsPanel, {}, { canWrite: false })).text()).not.toContain('Bring in a list');
});
