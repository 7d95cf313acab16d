import type { Case, ClinicSample, DifferentialAnswer } from '@field-nurse/contract';
import type { Planting } from '../gardens/plantings-now';
import { caseSheet } from './case-sheet';
import { chanceWord } from '../cases/chance';

const name = (id: string) => id.toUpperCase();
const sheet = caseSheet({
  one: {
    openedOn: '2026-07-01',
    words: 'webs',
    onset: 'days',
    pattern: null,
    findings: [
      { sign: 'webs', state: 'seen', on: '2026-07-01', source: 'tap', phrase: null },
      { sign: 'slime', state: 'struck', on: '2026-07-01', source: 'tap', phrase: null },
    ],
    diagnoses: [{ on: '2026-07-02', conditions: ['mite'], why: 'the webs' }],
    note: '',
  } as unknown as Case,
  planting: { host: 'bean', cultivar: 'Towpath', plants: 3, plantedOn: '2026-05-01', setting: 'outdoor', eaten: true } as Planting,
  place: undefined,
  garden: { name: 'Back step', region: 'neutral', latitude: -41 },
  read: [{ sign: 'dots', state: 'seen', phrase: 'dotty', sure: 0.8 }],
  answer: {
    ranked: [
      {
        condition: 'mite',
        name: 'Mite',
        scientificName: null,
        probability: 0.9,
        for: [{ sign: 'webs', state: 'seen', decibans: 20 }],
        against: [],
      },
    ],
    otherProbability: 0.02,
  } as unknown as DifferentialAnswer,
  nameOf: { sign: name, condition: name, host: name, intervention: name },
  samples: [
    {
      sample: { clinicName: 'Reedbank' } as ClinicSample,
      step: 'reported',
      since: '2026-07-14',
      reference: 'RB-1',
      silent: false,
      results: [{ condition: 'rust', result: 'positive', sensitivity: 0.9, specificity: 0.95 }],
    },
  ],
  treatments: [{ intervention: 'soap', appliedAt: '2026-07-03T18:00:00Z' }],
  made: '2026-07-18T09:30:00Z',
});

test('a sheet can be read without our library: names stand beside ids', () => {
  expect(sheet.plant).toMatchObject({ id: 'bean', name: 'BEAN', cultivar: 'Towpath' });
  expect(sheet.findings).toEqual([{ sign: 'webs', name: 'WEBS', state: 'seen', on: '2026-07-01' }]);
  expect(sheet.read).toEqual([{ sign: 'dots', name: 'DOTS', state: 'seen', phrase: 'dotty', sure: 0.8 }]);
  expect(sheet.takenFor).toEqual([{ on: '2026-07-02', conditions: [{ id: 'mite', name: 'MITE' }], why: 'the webs' }]);
  expect(sheet.causes[0]!.evidence).toEqual([{ sign: 'webs', name: 'WEBS', state: 'seen', decibans: 20 }]);
  expect(sheet.clinic).toEqual([
    {
      name: 'Reedbank',
      reference: 'RB-1',
      on: '2026-07-14',
      results: [{ id: 'rust', name: 'RUST', result: 'positive', sensitivity: 0.9, specificity: 0.95 }],
    },
  ]);
  expect(sheet.treatments).toEqual([{ id: 'soap', name: 'SOAP', at: '2026-07-03T18:00:00Z' }]);
});

test('it tells which half of the earth, and no more of where the garden lies', () => {
  expect(sheet.garden).toEqual({ name: 'Back step', region: 'neutral', hemisphere: 'south' });
  expect(JSON.stringify(sheet)).not.toContain('41');
});

test('chances are told in whole percent, and never as certain', () => {
  expect([0, 0.004, 0.37, 0.996, 1].map(chanceWord)).toEqual(
    ['< 1 %', '< 1 %', '37 %', '> 99 %', '> 99 %'].map((word) => word.replaceAll(' ', '\u00a0')),
  );
});
