import { ChangeDetectionStrategy, Component, computed, input } from '@angular/core';
import { drawSign } from './draw-sign';
import type { LeafShape } from './leaf';

/** A line-and-wash drawing of a sign. Decorative unless it is given a label. */
@Component({
  selector: 'fn-drawing',
  changeDetection: ChangeDetectionStrategy.OnPush,
  styleUrl: './drawing.scss',
  template: `
    <svg viewBox="0 0 100 100" [attr.role]="label() ? 'img' : null" [attr.aria-label]="label()" [attr.aria-hidden]="label() ? null : true">
      @for (shape of shapes(); track $index) {
        @if (shape.line < 0) {
          <path [attr.d]="shape.d" fill="none" [attr.class]="'stroke ' + shape.fill" [attr.stroke-width]="-shape.line" />
        } @else {
          <path
            [attr.d]="shape.d"
            [attr.class]="shape.fill + (shape.line > 0 ? ' ink' : '')"
            [attr.stroke-width]="shape.line || null"
            [attr.opacity]="shape.opacity ?? null"
          />
        }
      }
    </svg>
  `,
})
export class Drawing {
  /** part that is drawn: leaf, stem, root, creature … */
  readonly organ = input.required<string>();
  /** mark or animal, by the library's name */
  readonly mark = input.required<string>();
  /** leaf shape of the host */
  readonly leaf = input<LeafShape>('ovate');
  /** 0 to 1 */
  readonly severity = input(0.5);
  /** what a reader who can't see it should know */
  readonly label = input<string | null>(null);

  protected readonly shapes = computed(() =>
    drawSign({ organ: this.organ(), mark: this.mark(), leaf: this.leaf(), severity: this.severity() }),
  );
}
