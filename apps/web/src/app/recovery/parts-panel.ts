import { ChangeDetectionStrategy, Component, computed, inject, input, output, signal } from '@angular/core';
import { MatButtonModule } from '@angular/material/button';
import { MatFormFieldModule } from '@angular/material/form-field';
import { MatInputModule } from '@angular/material/input';
import { MatSelectModule } from '@angular/material/select';
import type { CasePart } from '@field-nurse/contract';
import { plotsNeeded, randomisedStrips } from '@field-nurse/core/recovery';
import { Library } from '../library/library';
import { StripDrawing } from './strip-drawing';

// Of what is counted on a leaf, when nobody counted yet; clumped as insects are.
const usualCount = 5;
const usualClumping = 1;
const mostPairs = 10;

/** Parts of a stand that are looked at apart: one is treated, another left alone or treated otherwise, so that they can be compared. */
@Component({
  selector: 'fn-parts-panel',
  imports: [MatButtonModule, MatFormFieldModule, MatInputModule, MatSelectModule, StripDrawing],
  changeDetection: ChangeDetectionStrategy.OnPush,
  styles: `
    :host {
      display: grid;
      gap: 12px;
    }
    ul {
      display: grid;
      gap: 6px;
      list-style: none;
    }
    li {
      display: flex;
      gap: 8px;
      align-items: baseline;
      justify-content: space-between;
    }
    .fields {
      display: grid;
      gap: 8px;
    }
  `,
  template: `
    @if (parts().length > 0) {
      @if (hasStrips()) {
        <fn-strip-drawing [parts]="parts()" />
      }
      <ul>
        @for (part of parts(); track part.id) {
          <li>
            <span>
              <b>{{ part.name }}</b>
              <span class="fn-small">&ngsp;{{ under(part) }}</span>
            </span>
          </li>
        }
      </ul>
      <p class="fn-small">{{ advice() }}</p>
      @if (canWrite()) {
        <div class="fn-actions">
          <button matButton type="button" [disabled]="hasLooks()" (click)="changed.emit([])">Look at it as a whole again</button>
        </div>
        @if (hasLooks()) {
          <p class="fn-small">The parts have looks of their own: they stay.</p>
        }
      }
    } @else if (treatments().length === 0) {
      <p>Decide first what is done: then a part can be left alone beside it, and counting both proves whether it helped.</p>
    } @else if (canWrite()) {
      <p>Leave a part alone, or treat it otherwise, and count both: it is the only proof that something helped.</p>
      <div class="fields">
        <mat-form-field subscriptSizing="dynamic">
          <mat-label>Treated with</mat-label>
          <mat-select [value]="chosen()" (selectionChange)="treatment.set($event.value)">
            @for (id of treatments(); track id) {
              <mat-option [value]="id">{{ name(id) }}</mat-option>
            }
          </mat-select>
        </mat-form-field>
        <mat-form-field subscriptSizing="dynamic">
          <mat-label>Beside it</mat-label>
          <mat-select [value]="other()" (selectionChange)="other.set($event.value)">
            <mat-option [value]="leftAlone">a part that is left alone</mat-option>
            @for (id of treatments(); track id) {
              @if (id !== chosen()) {
                <mat-option [value]="id">{{ name(id) }}</mat-option>
              }
            }
          </mat-select>
        </mat-form-field>
        <mat-form-field subscriptSizing="dynamic">
          <mat-label>Strips of each kind</mat-label>
          <mat-select [value]="pairs()" (selectionChange)="pairs.set($event.value)">
            <mat-option [value]="0">no strips: two halves as they are</mat-option>
            @for (count of pairCounts; track count) {
              <mat-option [value]="count">{{ count }}, drawn by lot</mat-option>
            }
          </mat-select>
        </mat-form-field>
      </div>
      <div class="fn-actions">
        <button matButton="outlined" type="button" [disabled]="!chosen()" (click)="divide()">Divide it</button>
      </div>
    }
  `,
})
export class PartsPanel {
  readonly #library = inject(Library);
  readonly parts = input.required<readonly CasePart[]>();
  /** what may be done: what was decided, then what else the case was treated with */
  readonly treatments = input.required<readonly string[]>();
  readonly plants = input.required<number>();
  readonly hasLooks = input.required<boolean>();
  readonly canWrite = input.required<boolean>();
  readonly changed = output<CasePart[]>();
  protected readonly treatment = signal<string | undefined>(undefined);
  protected readonly leftAlone = 'left-alone';
  protected readonly other = signal(this.leftAlone);
  protected readonly pairs = signal(0);
  protected readonly pairCounts = Array.from({ length: mostPairs - 1 }, (_, i) => i + 2);
  protected readonly chosen = computed(() => this.treatment() ?? this.treatments()[0]);
  protected readonly hasStrips = computed(() => this.parts().some(({ strips }) => strips.length > 0));
  protected readonly name = (id: string) => this.#library.interventionName(id);
  /** what its name does not say */
  protected readonly under = ({ name, intervention, plants, strips }: CasePart) => {
    const done = intervention ? this.name(intervention) : 'Left alone';
    const where = strips.length > 0 ? `strips ${strips.join(', ')}` : '';
    return [done === name ? '' : done, where, plants ? `${plants} plants` : ''].filter(Boolean).join(' · ');
  };
  protected readonly advice = computed(() => {
    const needed = plotsNeeded({ control: usualCount, treated: usualCount / 2, k: usualClumping })!;
    return `To see half as many, count about ${needed} leaves or plants on each side; to see a tenth as many, ${plotsNeeded({ control: usualCount, treated: usualCount / 10, k: usualClumping })!}.`;
  });

  protected divide(): void {
    const intervention = this.chosen();
    if (!intervention) return;
    const strips = randomisedStrips(this.pairs(), crypto.getRandomValues(new Uint32Array(1))[0]!);
    const half = Math.floor(this.plants() / 2);
    const part = (name: string, done: string | null, treated: boolean): CasePart => ({
      id: crypto.randomUUID(),
      name,
      intervention: done,
      plants: half > 0 ? (treated ? this.plants() - half : half) : null,
      strips: strips.flatMap((strip, i) => (strip.treated === treated ? [i + 1] : [])),
    });
    const other = this.other() === this.leftAlone ? null : this.other();
    this.changed.emit([part(this.name(intervention), intervention, true), part(other ? this.name(other) : 'Left alone', other, false)]);
  }
}
