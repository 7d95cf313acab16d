import { signal } from '@angular/core';
import type { FormGroup } from '@angular/forms';
import { ApiError } from '../api/api-error';
import { showFieldErrors } from './field-errors';

/** Sending a form: once at a time, only when it is right, and with every refusal shown where it belongs. Nothing typed is lost. */
export class Submission {
  readonly busy = signal(false);
  /** what is left to say above the buttons */
  readonly refusal = signal('');

  constructor(readonly form: FormGroup) {}

  /** Do the work if every field is right; a refusal of the server goes beside its fields. */
  async send(work: () => Promise<unknown>): Promise<void> {
    this.form.markAllAsTouched();
    if (!this.form.invalid) await this.run(work);
  }

  /** Do the work whatever the fields hold. */
  async run(work: () => Promise<unknown>): Promise<void> {
    if (this.busy()) return;
    this.busy.set(true);
    this.refusal.set('');
    try {
      await work();
    } catch (error) {
      this.refusal.set(showFieldErrors(this.form, ApiError.from(error)));
    } finally {
      this.busy.set(false);
    }
  }
}
