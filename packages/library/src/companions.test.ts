import { susceptibility } from '@field-nurse/core/diagnosis';
import { crossCheck } from './crossCheck.js';
import { library } from './testLibrary.js';

const { companions, conditions, hosts } = library;

test.each(companions)('$id: each trouble that it is for comes to something that it stands beside', ({ beside, for: troubles }) => {
  const served = hosts.filter(({ id, family }) => beside.includes(id) || beside.includes(family));
  for (const id of troubles) {
    const trouble = conditions.find((one) => one.id === id)!;
    expect([id, served.some((host) => susceptibility(trouble, host) !== 'unlisted')]).toEqual([id, true]);
  }
});

test('weak and folk practice promises little, and every one says on what it rests', () => {
  for (const { evidence, efficacy, basis, begin, months } of companions) {
    expect(efficacy[0]).toBeLessThanOrEqual(efficacy[1]);
    if (evidence === 'weak') expect(efficacy).toEqual([0, expect.any(Number)]);
    if (evidence === 'weak') expect(efficacy[1]).toBeLessThanOrEqual(20);
    if (evidence === 'folk') expect(efficacy[1]).toBeLessThanOrEqual(5);
    expect(basis.length).toBeGreaterThan(20);
    // What is begun comes to work in the same season.
    expect(Math.min(...begin)).toBeLessThanOrEqual(Math.max(...months));
  }
  expect(companions.some(({ evidence }) => evidence === 'strong')).toBe(true);
});

test('a companion of or for what the library lacks is found', () => {
  const wrong = { ...companions[0]!, id: 'wrong', plants: ['triffid'], for: ['plague'], beside: ['nowhere'] };
  const faults = crossCheck({ ...library, companions: [...companions, wrong] }).join(' ');
  for (const name of ['triffid', 'plague', 'nowhere']) expect(faults).toContain(name);
});
