import type { DoCheck } from '@angular/core';
import { Directive, inject, input, model, signal, viewChild } from '@angular/core';
import type { ControlValueAccessor } from '@angular/forms';
import { NgControl } from '@angular/forms';
import type { ErrorStateMatcher } from '@angular/material/core';
import { MatInput } from '@angular/material/input';

/** What the day field and the time field share: a value in plain text, alone or as a form's control, and when to show that it is wrong. */
@Directive()
export abstract class PickedField implements ControlValueAccessor, DoCheck {
  readonly #control = inject(NgControl, { self: true, optional: true });
  readonly label = input.required<string>();
  readonly hint = input('');
  readonly required = input(false);
  /** what to say when it is wrong; the field says itself what it can read */
  readonly error = input('');
  readonly value = model<string | null>(null);
  protected readonly field = viewChild(MatInput);
  protected readonly disabled = signal(false);
  /** what was typed is no day, no time, or out of range */
  protected readonly unread = signal(false);
  #changed: (value: string | null) => void = () => undefined;
  #touched: () => void = () => undefined;

  constructor() {
    if (this.#control) this.#control.valueAccessor = this;
  }

  protected readonly matcher: ErrorStateMatcher = {
    isErrorState: () => this.unread() || Boolean(this.#control?.invalid && this.#control.touched),
  };

  ngDoCheck(): void {
    // A form's own state is no signal: it is looked at whenever the page around is.
    this.field()?.updateErrorState();
  }

  writeValue(value: string | null): void {
    this.value.set(value || null);
    this.unread.set(false);
  }

  registerOnChange(changed: (value: string | null) => void): void {
    this.#changed = changed;
  }

  registerOnTouched(touched: () => void): void {
    this.#touched = touched;
  }

  setDisabledState(disabled: boolean): void {
    this.disabled.set(disabled);
  }

  protected left(): void {
    this.#touched();
  }

  /** @param readable - false where text stands in the field that is no value */
  protected take(value: string | null, readable: boolean): void {
    // First whether it can be read: what was typed stays in the field while its value is gone.
    this.unread.set(!readable);
    const taken = readable ? value : null;
    this.value.set(taken);
    this.#changed(taken);
    if (!readable) this.#control?.control?.setErrors({ unread: true });
    this.field()?.updateErrorState();
  }
}
