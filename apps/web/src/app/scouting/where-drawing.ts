import { ChangeDetectionStrategy, Component, computed, input } from '@angular/core';
import { silhouette, spotOf } from '../drawing/habit';
import type { Habit } from '../drawing/habit';
import { partWords } from '../shared/words';

const mostLit = 4;

/** The plant as it stands, with the spots lit where trouble would show. */
@Component({
  selector: 'fn-where-drawing',
  changeDetection: ChangeDetectionStrategy.OnPush,
  styleUrls: ['../drawing/drawing.scss', './where-drawing.scss'],
  template: `
    <svg viewBox="0 0 100 104" role="img" [attr.aria-label]="'Where to look: ' + words().join(', ')">
      @for (shape of shapes(); track $index) {
        <path
          [attr.d]="shape.d"
          [attr.class]="shape.fill + (shape.line > 0 ? ' ink' : '')"
          [attr.stroke-width]="shape.line || null"
          [attr.opacity]="shape.opacity ?? null"
        />
      }
      @for (spot of lit(); track spot.part) {
        <g class="lit">
          <circle [attr.cx]="spot.x" [attr.cy]="spot.y" [attr.r]="spot.radius" />
          <text [attr.x]="spot.x" [attr.y]="spot.y" dy="0.36em">{{ $index + 1 }}</text>
        </g>
      }
    </svg>
    <ol>
      @for (word of words(); track word) {
        <li>{{ word }}</li>
      }
    </ol>
  `,
})
export class WhereDrawing {
  readonly habit = input.required<Habit>();
  /** parts of the plant, most telling first */
  readonly parts = input.required<readonly string[]>();

  protected readonly shapes = computed(() => silhouette(this.habit()));
  protected readonly lit = computed(() =>
    this.parts()
      .flatMap((part) => {
        const spot = spotOf(this.habit(), part);
        return spot ? [{ part, ...spot }] : [];
      })
      .slice(0, mostLit),
  );
  protected readonly words = computed(() => this.lit().map(({ part }) => partWords[part] ?? part));
}
