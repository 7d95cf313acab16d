import { ChangeDetectionStrategy, Component, computed, input } from '@angular/core';
import { drawSign } from './draw-sign';
import type { LeafShape } from './leaf';
import { Shapes } from './shapes';

/** A line-and-wash drawing of a sign. Decorative unless it is given a label. */
@Component({
  selector: 'fn-drawing',
  imports: [Shapes],
  changeDetection: ChangeDetectionStrategy.OnPush,
  styles: `
    :host {
      display: block;
      line-height: 0;
    }
  `,
  template: `<fn-shapes [shapes]="shapes()" [label]="label()" />`,
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
