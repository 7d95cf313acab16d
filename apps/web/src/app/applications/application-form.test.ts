import type { Application } from '@field-nurse/contract';
import { clockAt, instantOf } from '@field-nurse/core/timing';
import fc from 'fast-check';
import type { UnitSystem } from '../shared/units';
import { applicationForm, fillFrom, setTargets, targetGroup, writtenFrom } from './application-form';
import type { ApplicationForm } from './application-form';

const zone = 'Europe/Dublin';

const known: Application = {
  id: 'a',
  version: 3,
  intervention: 'insecticidal-soap',
  productId: 'soap-pack',
  appliedAt: '2026-06-02T05:41:27.000Z',
  targets: [
    { plantingId: 'beans', caseId: 'c', plants: 40, areaM2: 3.25, coveredPart: 'under the leaves' },
    { plantingId: 'peas', caseId: null, plants: 12, areaM2: null, coveredPart: 'tips' },
  ],
  productMl: 33.3,
  productG: null,
  productPieces: null,
  collected: 31,
  waterL: 2,
  kit: 'hand sprayer',
  appliedBy: 'Wren',
  temperatureC: 14.5,
  windKmh: 7,
  sky: 'overcast',
  why: 'aphids on the tips',
} as unknown as Application;

function filled(from: Application, system: UnitSystem): ApplicationForm {
  const form = applicationForm('2026-07-01T12:00:00.000Z', zone);
  fillFrom(form, from, zone, system);
  return form;
}

const said = (form: ApplicationForm, system: UnitSystem, before: Application | undefined) => {
  const { day, time } = form.getRawValue();
  return writtenFrom(form, instantOf(`${day}T${time}`, zone), zone, system, before);
};

const { id: _, version: __, ...written } = known;

test.each(['metric', 'us'] as const)('an entry that is opened and saved as it is stays as it is, in %s units', (system) => {
  expect(said(filled(known, system), system, known)).toEqual(written);
});

test('so it does whatever was measured', () => {
  const measure = (max: number) => fc.option(fc.double({ min: 0, max, noNaN: true }), { nil: null });
  fc.assert(
    fc.property(
      measure(500),
      measure(40),
      measure(60),
      fc.constantFrom<UnitSystem>('metric', 'us'),
      (waterL, temperatureC, windKmh, system) => {
        const one = { ...known, waterL, temperatureC, windKmh };
        expect(said(filled(one, system), system, one)).toMatchObject({ waterL, temperatureC, windKmh });
      },
    ),
  );
});

test('what is typed into one field changes that one', () => {
  const form = filled(known, 'us');
  form.controls.waterL.setValue(1);
  const { waterL, ...rest } = said(form, 'us', known);
  expect(waterL).toBeCloseTo(3.785, 3);
  expect({ ...rest, waterL: known.waterL }).toEqual(written);
});

test('another minute is another time, and the same minute keeps its seconds', () => {
  const form = filled(known, 'metric');
  expect(form.value.time).toBe(clockAt(known.appliedAt, zone).slice(11));
  form.controls.time.setValue('07:00');
  expect(said(form, 'metric', known).appliedAt).toBe('2026-06-02T06:00:00Z');
});

test('the part that was covered is asked once and said of all; unasked, each keeps its own', () => {
  const form = filled(known, 'metric');
  form.controls.coveredPart.setValue('whole plants');
  expect(said(form, 'metric', known).targets.map(({ coveredPart }) => coveredPart)).toEqual(['whole plants', 'whole plants']);
});

test('a planting that is added brings its own plants; one that is taken out is gone', () => {
  const form = filled(known, 'metric');
  setTargets(form, [form.controls.targets.at(0), targetGroup('kale', 6, null)]);
  expect(said(form, 'metric', known).targets).toEqual([
    known.targets[0],
    { plantingId: 'kale', caseId: null, plants: 6, areaM2: null, coveredPart: 'under the leaves' },
  ]);
});

test('a new one holds what was typed, in SI', () => {
  const form = applicationForm('2026-07-01T12:00:00.000Z', zone);
  form.patchValue({ intervention: 'jet-of-water', appliedBy: 'Tam', temperatureC: 68, productAmount: 3, productUnit: 'g' });
  setTargets(form, [targetGroup('beans', 4, null)]);
  expect(said(form, 'us', undefined)).toMatchObject({
    appliedAt: '2026-07-01T12:00:00Z',
    temperatureC: 20,
    waterL: null,
    productG: 3,
    productMl: null,
    targets: [{ plantingId: 'beans', plants: 4 }],
  });
});
