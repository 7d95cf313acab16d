import { navigation, roomAt, rooms } from './navigation';

test('there are five rooms, and every view lies in one', () => {
  expect(rooms.map(({ word }) => word)).toEqual(['Today', 'Walk', 'Garden', 'Cases', 'Learn']);
  for (const { path, word } of navigation) expect(roomAt(`/g/1/${path}`)?.views.map((view) => view.word)).toContain(word);
});

test.each([
  ['/g/1/traps/2/edit', 'Walk'],
  ['/g/1/cases/7/options?one=2', 'Cases'],
  ['/g/1/library/conditions/leek-rust', 'Learn'],
  ['/g/1/weather', 'Settings'],
  ['/g/1/wrong', undefined],
  ['/account', undefined],
])('%s lies in %s', (address, room) => {
  expect(roomAt(address)?.word).toBe(room);
});
