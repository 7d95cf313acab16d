import { ChangeDetectionStrategy, Component, computed, input, output, signal } from '@angular/core';
import { MatAutocompleteModule } from '@angular/material/autocomplete';
import { MatButtonModule } from '@angular/material/button';
import { MatFormFieldModule } from '@angular/material/form-field';
import { MatInputModule } from '@angular/material/input';
import { searchByName } from '@field-nurse/library/find';
import { Fault } from './fault';

interface Entry {
  readonly id: string;
  readonly name: string;
}

/** An entry's new weight; none to take it out. */
export interface Put {
  readonly id: string;
  readonly weight: string | null;
}

const offered = 8;

/** Entries of the library that belong to the one that is written, each with a word for how much; found by any of their names. */
@Component({
  selector: 'fn-weighed-list',
  imports: [Fault, MatAutocompleteModule, MatButtonModule, MatFormFieldModule, MatInputModule],
  changeDetection: ChangeDetectionStrategy.OnPush,
  styleUrl: './fields.scss',
  styles: `
    ul {
      display: grid;
      gap: 4px;
      list-style: none;
    }
    li {
      display: grid;
      grid-template-columns: minmax(0, 1fr) auto auto;
      gap: 8px;
      align-items: center;
      min-height: 44px;
    }
    button {
      grid-column: 3;
    }
    select {
      min-height: 44px;
      padding: 0 8px;
      border: 1px solid var(--fn-line);
      border-radius: var(--fn-radius);
      background: var(--fn-raised);
      color: inherit;
      font: inherit;
    }
  `,
  template: `
    <fieldset>
      <legend>{{ legend() }}</legend>
      <ul>
        @for (row of rows(); track row.id) {
          <li>
            <span>{{ row.name }}</span>
            @if (weights().length > 0) {
              <select [attr.aria-label]="row.name" #weight (change)="put.emit({ id: row.id, weight: weight.value })">
                @for (one of weights(); track one[0]) {
                  <option [value]="one[0]" [selected]="one[0] === row.weight">{{ one[1] }}</option>
                }
              </select>
            }
            <button matButton type="button" [attr.aria-label]="'Take out ' + row.name" (click)="put.emit({ id: row.id, weight: null })">
              Take out
            </button>
          </li>
        }
      </ul>
      <mat-form-field subscriptSizing="dynamic">
        <mat-label>{{ addLabel() }}</mat-label>
        <input matInput #field [value]="typed()" [matAutocomplete]="list" (input)="typed.set(field.value)" />
        <mat-autocomplete #list [displayWith]="noName" (optionSelected)="add($event.option.value)">
          @for (one of found(); track one.id) {
            <mat-option [value]="one.id">{{ one.name }}</mat-option>
          }
        </mat-autocomplete>
      </mat-form-field>
      <fn-fault [line]="fault()" />
    </fieldset>
  `,
})
export class WeighedList {
  readonly legend = input.required<string>();
  readonly addLabel = input.required<string>();
  /** what is wrong with it */
  readonly fault = input<string>();
  readonly rows = input.required<readonly (Entry & { readonly weight?: string })[]>();
  /** what can be added */
  readonly entries = input.required<readonly Entry[]>();
  /** words for how much, by their value; none where it is a matter of yes or no */
  readonly weights = input<readonly (readonly [string, string])[]>([]);
  /** what an entry weighs when it is added */
  readonly atFirst = input('');
  readonly put = output<Put>();

  protected readonly typed = signal('');
  protected readonly found = computed(() =>
    this.typed().trim() === '' ? [] : searchByName(this.entries(), this.typed()).slice(0, offered),
  );
  protected readonly noName = () => '';

  protected add(id: string): void {
    this.put.emit({ id, weight: this.atFirst() });
    this.typed.set('');
  }
}
