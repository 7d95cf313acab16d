import { ChangeDetectionStrategy, Component, computed, inject, input, output, signal } from '@angular/core';
import { MatAutocompleteModule } from '@angular/material/autocomplete';
import { MatButtonModule } from '@angular/material/button';
import { MatFormFieldModule } from '@angular/material/form-field';
import { MatInputModule } from '@angular/material/input';
import type { DifferentialAnswer } from '@field-nurse/contract';
import { findByName, searchByName } from '@field-nurse/library/find';
import { EntryLink } from '../library/entry-link';
import { Library } from '../library/library';
import { chanceWord } from './chance';
import { EvidenceBars } from './evidence-bars';

const offered = 8;

/** "Why not this one?": any cause of the library, with what speaks for and against it here. */
@Component({
  selector: 'fn-why-not',
  imports: [EntryLink, EvidenceBars, MatAutocompleteModule, MatButtonModule, MatFormFieldModule, MatInputModule],
  changeDetection: ChangeDetectionStrategy.OnPush,
  styles: `
    :host {
      display: grid;
      gap: 10px;
    }
    article {
      display: grid;
      gap: 8px;
    }
  `,
  template: `
    <mat-form-field subscriptSizing="dynamic">
      <mat-label>Why not …</mat-label>
      <input
        matInput
        #field
        type="text"
        placeholder="any cause by name"
        [matAutocomplete]="list"
        (input)="typed.set(field.value)"
        (change)="take(field.value)"
      />
      <mat-autocomplete #list (optionSelected)="take($event.option.value)">
        @for (one of found(); track one.id) {
          <mat-option [value]="one.name">{{ one.name }}</mat-option>
        }
      </mat-autocomplete>
    </mat-form-field>
    @if (unknown(); as name) {
      <p role="status">
        The library knows no “{{ name }}”.
        @if (found().length > 0) {
          Did you mean
          @for (one of found().slice(0, 3); track one.id) {
            <button matButton type="button" (click)="take(one.name)">{{ one.name }}</button>
          }
        }
      </p>
    } @else if (answered(); as cause) {
      <article aria-live="polite">
        <h3><fn-entry-link kind="conditions" [entry]="cause.condition" />: {{ chance(cause.probability) }}</h3>
        @if (cause.for.length + cause.against.length + cause.circumstances.length > 0) {
          <fn-evidence-bars [evidence]="cause.for.concat(cause.against)" [circumstances]="cause.circumstances" />
        } @else {
          <p>Nothing that was found speaks for it or against it yet.</p>
        }
        @if (notHere(cause)) {
          <p class="fn-small">The library knows of no case of it on this plant.</p>
        }
        @if (!readonly() && !working().includes(cause.condition)) {
          <p>
            <button
              matButton="outlined"
              type="button"
              [attr.aria-label]="'Work with ' + cause.name + ' all the same'"
              (click)="taken.emit(cause.condition)"
            >
              Work with it all the same
            </button>
          </p>
        }
      </article>
    }
  `,
})
export class WhyNot {
  readonly #library = inject(Library);
  readonly answer = input<DifferentialAnswer>();
  /** id of the condition that was asked about */
  readonly asked = input<string>();
  readonly working = input.required<readonly string[]>();
  readonly readonly = input(false);
  readonly ask = output<string>();
  /** to be the working diagnosis, whatever its chance */
  readonly taken = output<string>();
  protected readonly typed = signal('');
  /** a name that was asked for and that no cause has */
  protected readonly unknown = signal('');
  protected readonly chance = chanceWord;
  protected readonly found = computed(() =>
    this.typed().trim() === '' ? [] : searchByName(this.#library.known()?.conditions ?? [], this.typed()).slice(0, offered),
  );
  protected readonly answered = computed(() => this.answer()?.asked.find(({ condition }) => condition === this.asked()));
  protected readonly notHere = (cause: DifferentialAnswer['asked'][number]) => {
    const unlistedDb = -20;
    return cause.circumstances.some(({ code, decibans }) => code === 'host' && decibans < unlistedDb);
  };

  protected take(name: string): void {
    const one = findByName(this.#library.known()?.conditions ?? [], name);
    this.unknown.set(one ? '' : name.trim());
    if (one) this.ask.emit(one.id);
  }
}
