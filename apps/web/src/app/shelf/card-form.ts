import type { ValidatorFn } from '@angular/forms';
import { FormArray, FormControl, FormGroup, Validators } from '@angular/forms';
import type { LabelCard, Written } from '@field-nurse/contract';
import type { ShownCard } from './typical-card';

export const rateUnits = ['ml', 'l', 'g', 'kg', 'percent', 'tsp-us', 'tbsp-us', 'floz-us', 'oz', 'lb'] as const;
export const perUnits = ['l', 'm2', 'ha', 'plant', 'gal-us', 'ft2', 'acre'] as const;
type RateUnit = (typeof rateUnits)[number];
type PerUnit = (typeof perUnits)[number];

const between = (low: number, high: number, whole = false) => [
  Validators.min(low),
  Validators.max(high),
  ...(whole ? [Validators.pattern(/^\d*$/)] : []),
];
const optional = (low: number, high: number, whole = false) => new FormControl<number | null>(null, between(low, high, whole));

const notBelow =
  (low: string, high: string): ValidatorFn =>
  (group) => {
    const [least, most] = [low, high].map((name) => (group.get(name)?.value ?? null) as number | null);
    return least != null && most != null && Number(most) < Number(least) ? { order: true } : null;
  };

/** One line of a label, as it is copied. */
export function lineForm() {
  return new FormGroup(
    {
      host: new FormControl('', { nonNullable: true }),
      target: new FormControl('', { nonNullable: true }),
      low: optional(0.000001, 1e9),
      high: optional(0.000001, 1e9),
      unit: new FormControl<RateUnit>('ml', { nonNullable: true }),
      perAmount: optional(0.000001, 1e9),
      perUnit: new FormControl<PerUnit>('l', { nonNullable: true }),
      waterLPer100M2: optional(0.001, 10_000),
      eaten: new FormControl(true, { nonNullable: true }),
      preHarvestDays: optional(0, 400, true),
      least: optional(0, 400, true),
      most: optional(0, 400, true),
      seasonMax: optional(1, 100, true),
      settings: new FormControl<LabelCard['lines'][number]['settings']>(['outdoor'], {
        nonNullable: true,
        validators: [Validators.required],
      }),
      stages: new FormControl('', { nonNullable: true, validators: [Validators.maxLength(200)] }),
    },
    { validators: [notBelow('low', 'high'), notBelow('least', 'most'), needsPer, needsHarvest] },
  );
}

/** A rate has to say on what: in so much water, on so much ground, on a plant. */
function needsPer(group: Parameters<ValidatorFn>[0]): ReturnType<ValidatorFn> {
  const { high, unit, perAmount } = group.value as { high: number | null; unit: RateUnit; perAmount: number | null };
  return high !== null && unit !== 'percent' && perAmount === null ? { per: true } : null;
}

function needsHarvest(group: Parameters<ValidatorFn>[0]): ReturnType<ValidatorFn> {
  const { eaten, preHarvestDays } = group.value as { eaten: boolean; preHarvestDays: number | null };
  return eaten && preHarvestDays === null ? { harvest: true } : null;
}

/** What may not be used within so many days, and never in one tank. */
export const apartForm = () =>
  new FormGroup({
    intervention: new FormControl('', { nonNullable: true, validators: [Validators.required] }),
    days: new FormControl<number | null>(null, [Validators.required, ...between(1, 400, true)]),
    why: new FormControl('', { nonNullable: true, validators: [Validators.maxLength(200)] }),
  });

export type LineForm = ReturnType<typeof lineForm>;

/** The fields of a label. */
export const cardForm = (today: string) =>
  new FormGroup({
    readOn: new FormControl(today, { nonNullable: true, validators: [Validators.required] }),
    validUntil: new FormControl<string | null>(null),
    soldTo: new FormControl<LabelCard['soldTo']>('unknown', { nonNullable: true }),
    reEntryHours: new FormControl<number | null>(null, [Validators.required, ...between(0, 2000, true)]),
    rainFastHours: optional(0, 240),
    minC: optional(-40, 60),
    maxC: optional(-40, 60),
    maxWindKmh: optional(0, 100),
    bufferM: optional(0, 500),
    bees: new FormControl<LabelCard['bees']>('none', { nonNullable: true }),
    daysBeforeFlower: optional(0, 200, true),
    protect: new FormControl<LabelCard['protect']>([], { nonNullable: true }),
    note: new FormControl('', { nonNullable: true, validators: [Validators.maxLength(4000)] }),
    apartFrom: new FormArray<ReturnType<typeof apartForm>>([]),
    lines: new FormArray<LineForm>([lineForm()]),
  });

export type CardForm = ReturnType<typeof cardForm>;

const m2In100 = 100;

/** Fills the fields from a card, or from the figures of another source as a first draft. */
export function fillCard(form: CardForm, card: ShownCard & Partial<Pick<LabelCard, 'readOn' | 'note'>>): void {
  const { temperatureC, lines, apartFrom, ...rest } = card;
  form.patchValue({ ...rest, minC: temperatureC?.min ?? null, maxC: temperatureC?.max ?? null });
  form.setControl(
    'apartFrom',
    new FormArray(
      apartFrom.map((one) => {
        const group = apartForm();
        group.patchValue(one);
        return group;
      }),
    ),
  );
  form.setControl(
    'lines',
    new FormArray(
      lines.map((line) => {
        const group = lineForm();
        const { rate, repeatDays, host, target, preHarvestDays, settings, seasonMax } = line;
        group.patchValue({
          host: host ?? '',
          target: target ?? '',
          eaten: preHarvestDays !== null,
          preHarvestDays,
          seasonMax,
          settings: settings as LabelCard['lines'][number]['settings'],
          stages: line.stages ?? '',
          waterLPer100M2: 'waterLPerM2' in line && line.waterLPerM2 ? Number((Number(line.waterLPerM2) * m2In100).toPrecision(6)) : null,
          least: repeatDays?.[0] ?? null,
          most: repeatDays?.[1] ?? null,
          ...(rate && {
            low: rate.low,
            high: rate.high,
            unit: rate.unit as RateUnit,
            perAmount: rate.per?.amount ?? null,
            perUnit: (rate.per?.unit ?? 'l') as PerUnit,
          }),
        });
        return group;
      }),
    ),
  );
}

const number = (value: number | null) => (value === null || (value as unknown) === '' ? null : Number(value));

/** What the fields say, as it is kept. */
export function writtenCard(form: CardForm, productId: string, photos: readonly string[]): Written<'labelCards'> {
  const { minC, maxC, lines, apartFrom, reEntryHours, daysBeforeFlower, ...rest } = form.getRawValue();
  const [coldest, warmest] = [number(minC), number(maxC)];
  return {
    ...rest,
    productId,
    source: 'copied',
    reEntryHours: Number(reEntryHours ?? 0),
    daysBeforeFlower: number(daysBeforeFlower) ?? 0,
    // A label that names one end only leaves the other open.
    temperatureC: coldest === null && warmest === null ? null : { min: coldest ?? -40, max: warmest ?? 60 },
    apartFrom: apartFrom.map(({ intervention, days, why }) => ({ intervention, days: Number(days), why })),
    photos: [...photos],
    lines: lines.map((line) => {
      const [low, high] = [number(line.low), number(line.high)];
      const [least, most] = [number(line.least), number(line.most)];
      const top = high ?? low;
      return {
        host: line.host || null,
        target: line.target || null,
        rate:
          top === null
            ? null
            : {
                low: low ?? top,
                high: top,
                unit: line.unit,
                per: line.unit === 'percent' ? null : { amount: Number(line.perAmount), unit: line.perUnit },
              },
        waterLPerM2: line.waterLPer100M2 === null ? null : Number(line.waterLPer100M2) / m2In100,
        preHarvestDays: line.eaten ? number(line.preHarvestDays) : null,
        repeatDays: least === null && most === null ? null : [least ?? most!, most ?? least!],
        seasonMax: number(line.seasonMax),
        settings: line.settings,
        stages: line.stages,
      };
    }),
  };
}
