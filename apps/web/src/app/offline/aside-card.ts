import { ChangeDetectionStrategy, Component, computed, inject, input, linkedSignal } from '@angular/core';
import { MatButtonModule } from '@angular/material/button';
import { MatFormFieldModule } from '@angular/material/form-field';
import { MatInputModule } from '@angular/material/input';
import { Store } from '@ngrx/store';
import { gardenFeature } from '../store/garden-state';
import { fieldWord, subjectWords } from './field-words';
import { Offline } from './offline';
import type { Fields, SetAside } from './waiting';

interface Shown {
  readonly name: string;
  readonly word: string;
  readonly value: unknown;
  readonly kind: 'text' | 'number' | 'other';
}

/** One thing that could not be sent as it was: why, what it holds, and a way to correct it and send it again. */
@Component({
  selector: 'fn-aside-card',
  imports: [MatButtonModule, MatFormFieldModule, MatInputModule],
  changeDetection: ChangeDetectionStrategy.OnPush,
  styles: `
    :host {
      display: grid;
      gap: 12px;
    }
    .shown {
      overflow-wrap: anywhere;
    }
  `,
  template: `
    <div>
      <h3>{{ subject() }}</h3>
      <p class="fn-small">written {{ written() }}</p>
    </div>
    <p class="fn-care">{{ one().why }}</p>
    @if (fields().length > 0) {
      <div class="fn-form">
        @for (field of fields(); track field.name) {
          @switch (field.kind) {
            @case ('text') {
              <mat-form-field subscriptSizing="dynamic" [class.fn-wide]="isLong(field)">
                <mat-label>{{ field.word }}</mat-label>
                <textarea matInput #box rows="1" [value]="text(field)" (input)="set(field.name, box.value)"></textarea>
              </mat-form-field>
            }
            @case ('number') {
              <mat-form-field subscriptSizing="dynamic">
                <mat-label>{{ field.word }}</mat-label>
                <input matInput #box type="number" step="any" [value]="text(field)" (input)="set(field.name, number(box.value))" />
              </mat-form-field>
            }
            @default {
              <p class="fn-small shown">{{ field.word }}: {{ json(field.value) }}</p>
            }
          }
        }
      </div>
    }
    <div class="fn-actions">
      <button matButton="filled" type="button" (click)="send()">
        {{ one().write || one().image ? 'Send it again' : 'Put mine in its place' }}
      </button>
      <button matButton type="button" (click)="offline.dismiss(one().sequence!)">Put it away</button>
    </div>
  `,
})
export class AsideCard {
  protected readonly offline = inject(Offline);
  readonly #records = inject(Store).selectSignal(gardenFeature.selectRecords);
  readonly one = input.required<SetAside>();
  protected readonly subject = computed(() => subjectWords[this.one().subject]);
  protected readonly written = computed(() =>
    new Intl.DateTimeFormat('en-GB', { dateStyle: 'medium', timeStyle: 'short' }).format(new Date(this.one().at)),
  );
  /** what was corrected here */
  readonly #changed = linkedSignal<number | undefined, Fields>({ source: () => this.one().sequence, computation: () => ({}) });
  protected readonly fields = computed((): Shown[] =>
    Object.entries(this.one().lost)
      .filter(([name]) => name !== 'id' && name !== 'version' && !name.endsWith('Id'))
      .map(([name, value]) => ({ name, word: fieldWord(name), value, kind: kindOf(value) })),
  );

  protected text({ name, value }: Shown): string | number {
    const now = this.#changed()[name] ?? value;
    return typeof now === 'string' || typeof now === 'number' ? now : '';
  }
  protected isLong = ({ value }: Shown): boolean => typeof value === 'string' && value.length > 40;
  protected json = (value: unknown): string => JSON.stringify(value);
  protected number = (typed: string): number | null => (typed === '' ? null : Number(typed));

  protected set(name: string, value: unknown): void {
    this.#changed.update((changed) => ({ ...changed, [name]: value }));
  }

  protected send(): void {
    const one = this.one();
    const current = one.subject === 'photos' ? undefined : this.#records()[one.subject].entities[one.id];
    // A record that this device only shows as it would be is no record yet.
    const isNew = one.write?.version === 0;
    void this.offline.sendAgain(one, one.write ? this.#changed() : { ...one.lost, ...this.#changed() }, isNew ? undefined : current);
  }
}

const kindOf = (value: unknown): Shown['kind'] => (typeof value === 'string' ? 'text' : typeof value === 'number' ? 'number' : 'other');
