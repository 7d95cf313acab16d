import { TestBed } from '@angular/core/testing';
import { Component, inject } from '@angular/core';
import { Library } from '../library/library';
import { show } from '../testing/show';
import { shelfOfGarden } from '../testing/test-shelf';
import { ReckonedLaw } from './reckoned-law';

@Component({ template: '' })
class Nothing {
  readonly law = inject(ReckonedLaw);
}

test('without signal the device says how long to keep out, and when the crop may be picked, by the label in hand', async () => {
  await show(Nothing, {}, { garden: shelfOfGarden });
  await TestBed.inject(Library).whole();
  const law = TestBed.inject(ReckonedLaw).of({
    intervention: 'sulphur',
    productId: 'sulphur-pack',
    appliedAt: '2026-07-18T08:00:00.000Z',
    targets: [{ plantingId: 'leeks', caseId: 'rust', plants: 40, areaM2: null, coveredPart: '' }],
    productMl: null,
    productG: 6,
    productPieces: null,
    collected: null,
    waterL: 2,
    kit: '',
    appliedBy: 'Wren',
    temperatureC: 31,
    windKmh: null,
    sky: '',
    why: '',
  });
  expect(law).toMatchObject({
    reEntryAt: '2026-07-18T20:00:00.000Z',
    repeatFrom: '2026-07-25',
    targets: [{ notPickedBefore: '2026-07-21' }],
    card: { name: 'Marshlight Sulphur 80', source: 'copied', preHarvestDays: 3 },
    measured: null,
  });
  expect(law.brokenLines.map(({ line }) => line)).toContain('temperature');
});
