import { ChangeDetectionStrategy, Component, input } from '@angular/core';
import type { Shape } from './shape';

/** Shapes of a drawing, in order, within an svg of their own. */
@Component({
  selector: 'fn-shapes',
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
export class Shapes {
  readonly shapes = input.required<readonly Shape[]>();
  /** what a reader who can't see it should know */
  readonly label = input<string | null>(null);
}
