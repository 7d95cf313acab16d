import { Component } from '@angular/core';
import { TestBed } from '@angular/core/testing';
import type { GardenContents } from '@field-nurse/contract';
import { Library } from '../library/library';
import { show } from '../testing/show';
import { place, plantingRecord } from '../testing/test-garden';
import { RestingGround } from './resting-ground';

@Component({ template: '' })
class Nothing {}

const rotten = {
  id: 'rot',
  plantingId: 'garlic',
  placeId: 'bed',
  host: 'garlic',
  openedOn: '2025-06-10',
  closedOn: '2025-06-24',
  conditions: ['allium-white-rot'],
};

async function groundOf(garden: Partial<GardenContents>): Promise<RestingGround> {
  await show(Nothing, {}, { garden: { pastCases: [rotten], ...garden } });
  await TestBed.inject(Library).whole();
  return TestBed.inject(RestingGround);
}

test('it says what the ground has against a plant, until when, and where it may stand', async () => {
  const other = { ...place, id: 'other', name: 'Upper bed' };
  const ground = await groundOf({
    places: [
      place,
      other,
      { ...place, id: 'gone', name: 'Old bed', endedOn: '2024-01-01' },
      { ...place, id: 'in', name: 'Sill', setting: 'indoor' },
    ],
  });
  expect(ground.word('bed', 'leek', '2026-07-18')).toMatch(
    /^Bed should rest from leek\. .*white rot.* lasts in its soil until .*2040\. Open to it: Upper bed\.$/i,
  );
  expect(ground.word('bed', 'chard', '2026-07-18')).toBe('');
  expect(ground.word('other', 'leek', '2026-07-18')).toBe('');
  expect(ground.word('bed', 'leek', '2041-01-01')).toBe('');
});

test('only what was planted since is a breach, not what fell ill there first', async () => {
  const ground = await groundOf({
    plantings: [
      { ...plantingRecord, id: 'since', plantedOn: '2026-05-01' },
      { ...plantingRecord, id: 'before', plantedOn: '2025-03-01' },
      { ...plantingRecord, id: 'chard', host: 'chard', plantedOn: '2026-05-01' },
    ],
  });
  expect(ground.broken().map(({ id }) => id)).toEqual(['since']);
});
