import { ChangeDetectionStrategy, Component, input, signal } from '@angular/core';
import type { Case, DifferentialRequest } from '@field-nurse/contract';
import { readWords } from '@field-nurse/core/diagnosis';
import { Calc } from '../calc/calc';
import { ClinicSamples } from '../clinic/clinic-samples';
import type { Planting } from '../gardens/plantings-now';
import { answerTo } from '../testing/answers';
import { reference, show } from '../testing/show';
import { planting, sickness, today } from '../testing/test-garden';
import { GardenWeather } from '../weather/garden-weather';
import { caseReckoning } from './case-reckoning';

/** A page that shows what a case comes to: its record alone, or with words that are being typed. */
@Component({
  selector: 'fn-test-reckoning',
  changeDetection: ChangeDetectionStrategy.OnPush,
  template: `{{ reckoned.answer()?.ranked?.[0]?.condition }}|{{ reckoned.unread().join(' ') }}|{{ reckoned.failure() }}`,
})
class Reckoning {
  readonly case = input.required<string>();
  readonly reckoned = caseReckoning(this.case);
}

interface World {
  readonly cases: readonly Case[];
  readonly plantings?: readonly Planting[];
  readonly readFails?: boolean;
  readonly tests?: NonNullable<DifferentialRequest['tests']>;
}

async function reckon({ cases, plantings = [planting], readFails = false, tests = [] }: World) {
  const asked: DifferentialRequest[] = [];
  const calc = {
    readWords: async (text: string, host: string) => {
      if (readFails) throw new Error('The reader is gone.');
      return readWords(
        reference,
        text,
        reference.hosts.find(({ id }) => id === host),
      );
    },
    differential: async (request: DifferentialRequest) => {
      asked.push(request);
      return answerTo(request);
    },
  };
  const shown = await show(
    Reckoning,
    { case: 'rust' },
    {
      garden: { cases: [...cases], plantings: [...plantings] },
      providers: [
        { provide: Calc, useValue: calc },
        { provide: ClinicSamples, useValue: { testsOf: () => tests } },
        { provide: GardenWeather, useValue: { measured: signal([{ temperatureC: 19.6 }, { temperatureC: null }, { temperatureC: 24 }]) } },
      ],
    },
  );
  const [first, unread, failure] = shown.text().split('|');
  return { asked, first, unread, failure };
}

const said = { ...sickness, diagnoses: [], openedOn: today, words: 'orange dust in slits along the leaves, zorbly' };

test('words that nobody has confirmed count, as sure as they are, and what was not understood is told', async () => {
  const { asked, first, unread } = await reckon({ cases: [said] });
  expect(first).toBe('leek-rust');
  expect(unread).toContain('zorbly');
  expect(asked).toHaveLength(1);
  const [found] = asked[0]!.findings!;
  expect(found).toMatchObject({ sign: 'rust-pustules', state: 'seen' });
  expect(found!.sure).toBeLessThan(1);
});

test('what is recorded counts in full, and takes the place of what the words say', async () => {
  const found = { sign: 'rust-pustules', state: 'absent', source: 'tap', phrase: null, on: today } as const;
  const { asked } = await reckon({ cases: [{ ...said, findings: [found] }] });
  expect(asked[0]!.findings).toContainEqual({ sign: 'rust-pustules', state: 'absent', sure: 1 });
  expect(asked[0]!.findings!.filter(({ sign }) => sign === 'rust-pustules')).toHaveLength(1);
});

test('the warmth of the last days counts for a fresh case in the open, and for no other', async () => {
  const warmth = async (one: Partial<Case>, setting: Planting['setting'] = 'outdoor') =>
    (await reckon({ cases: [{ ...said, ...one }], plantings: [{ ...planting, setting }] })).asked[0]!.temperatureC;
  expect(await warmth({})).toBe(22);
  expect(await warmth({ openedOn: '2026-06-20' })).toBeUndefined();
  expect(await warmth({}, 'greenhouse')).toBeUndefined();
});

test('what a clinic found is asked along', async () => {
  const tests = [{ condition: 'leek-rust', result: 'negative', sensitivity: 0.95, specificity: 0.98 } as const];
  const { asked } = await reckon({ cases: [said], tests });
  expect(asked[0]!.tests).toEqual(tests);
});

test('when the words can’t be read, what was recorded is weighed all the same, and the fault is told', async () => {
  const found = { sign: 'rust-pustules', state: 'seen', source: 'tap', phrase: null, on: today } as const;
  const { first, failure } = await reckon({ cases: [{ ...said, findings: [found] }], readFails: true });
  expect(first).toBe('leek-rust');
  expect(failure).toBe('The reader is gone.');
});

test('a case that is not in the garden asks nothing', async () => {
  expect((await reckon({ cases: [] })).asked).toEqual([]);
});
