import { inject, Injectable } from '@angular/core';
import type { TestSpray } from '@field-nurse/contract';
import { addDays } from '@field-nurse/core/timing';
import { dayWord } from '../shared/days';
import { Garden } from './garden';
import { Records } from './records';

// What burns shows within two days.
const waitDays = 2;

/** Tests on a few leaves: begun, waited for, and answered. */
@Injectable({ providedIn: 'root' })
export class TestLeaves {
  readonly #garden = inject(Garden);
  readonly #records = inject(Records);

  /** The newest test of it on a planting. */
  readonly of = (plantingId: string, intervention: string): TestSpray | undefined =>
    this.#garden
      .testSprays()
      .filter((one) => one.plantingId === plantingId && one.intervention === intervention)
      .sort((a, b) => b.sprayedOn.localeCompare(a.sprayedOn))[0];

  /** Those whose leaves are to be looked at by now. */
  readonly due = (): readonly TestSpray[] =>
    this.#garden.testSprays().filter(({ outcome, lookOn }) => outcome === 'waiting' && lookOn <= this.#garden.today());

  async begin(about: Pick<TestSpray, 'plantingId' | 'caseId' | 'intervention' | 'productId'>): Promise<void> {
    const sprayedOn = this.#garden.today();
    const lookOn = addDays(sprayedOn, waitDays);
    const value = { ...about, sprayedOn, lookOn, outcome: 'waiting' as const, note: '' };
    await this.#records.save('testSprays', crypto.randomUUID(), 0, value, `Look at the leaves on ${dayWord(lookOn)}. Today says so then.`);
  }

  async answer({ id, version, ...value }: TestSpray, outcome: 'clean' | 'marked'): Promise<void> {
    const said = outcome === 'clean' ? 'The leaves stayed unmarked.' : 'It marked the leaves: it is ruled out on this planting.';
    await this.#records.save('testSprays', id, version, { ...value, outcome }, said);
  }
}
