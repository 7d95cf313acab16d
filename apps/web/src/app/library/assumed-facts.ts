import { ChangeDetectionStrategy, Component, input, output } from '@angular/core';
import type { PlantingFacts } from '../gardens/plantings-now';
import { settingWords } from '../shared/words';

/** What is taken for granted of a planting, each put right with one tap. */
@Component({
  selector: 'fn-assumed-facts',
  changeDetection: ChangeDetectionStrategy.OnPush,
  styles: `
    div {
      display: flex;
      flex-wrap: wrap;
      gap: 6px;
      align-items: center;
    }
    span {
      flex-basis: 100%;
    }
  `,
  template: `
    <div role="group" aria-label="What we take for granted">
      <span class="fn-small">Taken for granted; tap what is wrong:</span>
      @for (setting of settings; track setting[0]) {
        <button
          class="fn-pick"
          type="button"
          [attr.aria-pressed]="facts().setting === setting[0]"
          (click)="changed.emit({ setting: setting[0] })"
        >
          {{ setting[1] }}
        </button>
      }
      <button class="fn-pick" type="button" [attr.aria-pressed]="facts().eaten" (click)="changed.emit({ eaten: !facts().eaten })">
        Eaten
      </button>
      <button class="fn-pick" type="button" [attr.aria-pressed]="facts().inFlower" (click)="changed.emit({ inFlower: !facts().inFlower })">
        In flower
      </button>
      @if (facts().eaten) {
        <button class="fn-pick" type="button" [attr.aria-pressed]="facts().picked" (click)="changed.emit({ picked: !facts().picked })">
          Picked now
        </button>
      }
      <ng-content />
    </div>
  `,
})
export class AssumedFacts {
  readonly facts = input.required<PlantingFacts>();
  /** the one that was put right */
  readonly changed = output<Partial<PlantingFacts>>();
  protected readonly settings = Object.entries(settingWords) as [PlantingFacts['setting'], string][];
}
