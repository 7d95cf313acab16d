import { asked, isAsked } from './todays-facts';

test('yes and no to flowering are days within and beyond two weeks; the rest goes as it is', () => {
  expect(asked({ flowersInDays: true, waterNear: false })).toEqual({ flowersInDays: 7, waterNear: false });
  expect(asked({ flowersInDays: false }).flowersInDays).toBeGreaterThan(14);
  expect(asked({})).toEqual({});
});

test('other facts have fields of their own', () => {
  expect([isAsked('bare'), isAsked('stage')]).toEqual([true, false]);
});
