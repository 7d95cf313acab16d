import { ChangeDetectionStrategy, Component, computed, effect, input, linkedSignal, output, untracked } from '@angular/core';
import { MatAutocompleteModule } from '@angular/material/autocomplete';
import { MatFormFieldModule } from '@angular/material/form-field';
import { MatInputModule } from '@angular/material/input';
import { findNamed, nearNames, searchByName } from '@field-nurse/library/find';
import type { Named } from '@field-nurse/library/find';
import { PickedField } from '../shared/picked-field';

const offered = 8;
const nearest = 3;

/** One thing of the library, typed by any of its names and offered while one types; its value is the id. */
@Component({
  selector: 'fn-name-field',
  imports: [MatAutocompleteModule, MatFormFieldModule, MatInputModule],
  changeDetection: ChangeDetectionStrategy.OnPush,
  styles: `
    :host,
    mat-form-field {
      display: block;
    }
  `,
  template: `
    <mat-form-field [subscriptSizing]="sizing()">
      <mat-label>{{ label() }}</mat-label>
      <input
        matInput
        #field
        autocomplete="off"
        [matAutocomplete]="names"
        [value]="text()"
        [required]="required()"
        [disabled]="disabled()"
        [errorStateMatcher]="matcher"
        (input)="text.set(field.value)"
        (keydown.enter)="settle()"
        (blur)="settle(); left()"
      />
      <mat-autocomplete #names (optionSelected)="choose($event.option.value)">
        @for (one of found(); track one.id) {
          <mat-option [value]="one.name">{{ one.name }}</mat-option>
        }
      </mat-autocomplete>
      @if (hint()) {
        <mat-hint>{{ hint() }}</mat-hint>
      }
      <mat-error>{{ unread() && text().trim() !== '' ? unknown() : error() }}</mat-error>
    </mat-form-field>
  `,
})
export class NameField extends PickedField {
  readonly entries = input.required<readonly Named[]>();
  readonly sizing = input<'fixed' | 'dynamic'>('fixed');
  /** what was typed beside the name ("cherry", "in pots"), whenever a name is settled by hand */
  readonly beside = output<string>();

  readonly #name = computed(() => this.entries().find(({ id }) => id === this.value())?.name);
  protected readonly text = linkedSignal<string | undefined, string>({
    source: this.#name,
    computation: (name, before) => name ?? (this.unread() ? (before?.value ?? '') : ''),
  });
  /** what the text may mean; nothing is offered where it is settled */
  protected readonly found = computed(() => {
    const text = this.text().trim();
    return text === '' || text === this.#name() ? [] : searchByName(this.entries(), text).slice(0, offered);
  });
  protected readonly unknown = computed(() => {
    const near = nearNames(this.entries(), this.text())
      .slice(0, nearest)
      .map(({ name }) => name);
    return near.length > 0
      ? `The library does not know this name. Near it: ${near.join(', ')}.`
      : 'The library does not know this name. Try another, or the name of its kin.';
  });

  #settlesLater = false;

  constructor() {
    super();
    // On a slow line a name may be typed before the library is here: it is settled when that comes.
    effect(() => {
      if (this.entries().length > 0 && this.#settlesLater) untracked(() => this.settle());
    });
  }

  protected choose(name: string): void {
    this.text.set(name);
    this.settle();
  }

  /** What stands in the field is taken for the entry that it names. */
  protected settle(): void {
    const typed = this.text().trim();
    this.#settlesLater = this.entries().length === 0;
    if (this.#settlesLater) return;
    if (typed === (this.#name() ?? '')) return this.take(this.value(), typed !== '' || !this.required());
    const named = typed === '' ? undefined : findNamed(this.entries(), typed);
    this.take(named?.entry.id ?? null, named !== undefined || (typed === '' && !this.required()));
    if (!named) return;
    this.text.set(named.entry.name);
    this.beside.emit(named.qualifier);
  }
}
