import { ChangeDetectionStrategy, Component, computed, input, linkedSignal, model } from '@angular/core';
import { MatButtonModule } from '@angular/material/button';
import { Stepper } from '../shared/stepper';

/** Counts one by one: the leaf or the plant in the hand, then the next. */
@Component({
  selector: 'fn-leaf-tally',
  imports: [MatButtonModule, Stepper],
  changeDetection: ChangeDetectionStrategy.OnPush,
  styles: `
    :host {
      display: grid;
      gap: 8px;
    }
    .told {
      display: flex;
      flex-wrap: wrap;
      gap: 4px;
      min-height: 30px;
      align-items: center;
    }
    .told span {
      min-width: 30px;
      padding: 2px 6px;
      border: 1px solid var(--fn-line);
      border-radius: var(--fn-radius);
      background: var(--fn-raised);
      font-variant-numeric: tabular-nums;
      text-align: center;
    }
  `,
  template: `
    <fn-stepper [label]="'On this ' + what()" [value]="inHand()" (valueChange)="inHand.set($event)" />
    <div class="fn-actions">
      <button matButton="outlined" type="button" [disabled]="counts().length >= most" (click)="add()">Next {{ what() }}</button>
      <button matButton type="button" [disabled]="counts().length === 0" (click)="takeBack()">Take the last back</button>
    </div>
    <p class="told" role="status">
      @for (count of counts(); track $index) {
        <span>{{ count }}</span>
      } @empty {
        None written yet.
      }
    </p>
    @if (counts().length > 0) {
      <p class="fn-small">{{ sum() }}</p>
    }
  `,
})
export class LeafTally {
  readonly what = input.required<string>();
  readonly counts = model.required<readonly number[]>();
  protected readonly most = 200;
  protected readonly inHand = linkedSignal<number, number>({ source: () => this.counts().length, computation: () => 0 });
  protected readonly sum = computed(() => {
    const [all, many] = [this.counts().reduce((sum, one) => sum + one, 0), this.counts().length];
    return `${all} on ${many}: ${(all / many).toFixed(1)} on each.`;
  });

  protected add(): void {
    this.counts.set([...this.counts(), this.inHand()]);
  }

  protected takeBack(): void {
    this.counts.set(this.counts().slice(0, -1));
  }
}
