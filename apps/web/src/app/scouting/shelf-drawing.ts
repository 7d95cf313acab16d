import { ChangeDetectionStrategy, Component, computed, input } from '@angular/core';

const armM = 0.6;
const mostDots = 400;

/** A shelf from above, to scale: its plants evenly set, and how far a hand reaches from the open sides. */
@Component({
  selector: 'fn-shelf-drawing',
  changeDetection: ChangeDetectionStrategy.OnPush,
  styles: `
    svg {
      display: block;
      width: 100%;
      max-height: 260px;
    }
    .shelf {
      fill: var(--fn-sunk);
      stroke: var(--fn-ink);
      vector-effect: non-scaling-stroke;
    }
    .reach {
      fill: var(--fn-green-wash);
    }
    circle {
      fill: var(--fn-green);
    }
    circle.far {
      fill: none;
      stroke: var(--fn-madder);
      stroke-width: 1.5px;
      vector-effect: non-scaling-stroke;
    }
  `,
  template: `
    <svg [attr.viewBox]="'-0.05 -0.05 ' + (width() + 0.1) + ' ' + (depthM() + 0.1)" role="img" [attr.aria-label]="label()">
      <rect class="shelf" [attr.width]="width()" [attr.height]="depthM()" />
      @for (strip of strips(); track strip.y) {
        <rect class="reach" [attr.y]="strip.y" [attr.width]="width()" [attr.height]="strip.height" />
      }
      @for (dot of dots(); track $index) {
        <circle [class.far]="dot.far" [attr.cx]="dot.x" [attr.cy]="dot.y" [attr.r]="radius()" />
      }
    </svg>
  `,
})
export class ShelfDrawing {
  readonly plants = input.required<number>();
  readonly areaM2 = input.required<number>();
  readonly depthM = input.required<number>();
  readonly sides = input<1 | 2>(1);

  protected readonly width = computed(() => this.areaM2() / this.depthM());
  /** The open side is below, and above where there are two. */
  protected readonly strips = computed(() => {
    const [depth, reach] = [this.depthM(), Math.min(armM, this.depthM())];
    return this.sides() === 1
      ? [{ y: depth - reach, height: reach }]
      : [
          { y: 0, height: reach },
          { y: depth - reach, height: reach },
        ];
  });
  protected readonly dots = computed(() => {
    const shown = Math.min(mostDots, this.plants());
    const rows = Math.max(1, Math.round(Math.sqrt((shown * this.depthM()) / this.width())));
    const columns = Math.ceil(shown / rows);
    return Array.from({ length: shown }, (_, i) => {
      const [row, column] = [Math.floor(i / columns), i % columns];
      const [x, y] = [((column + 0.5) * this.width()) / columns, ((row + 0.5) * this.depthM()) / rows];
      return { x, y, far: !this.strips().some((strip) => y >= strip.y && y <= strip.y + strip.height) };
    });
  });
  protected readonly radius = computed(() => 0.32 * Math.sqrt(this.areaM2() / Math.min(mostDots, this.plants())));
  protected readonly label = computed(() => {
    const far = this.dots().filter((dot) => dot.far).length;
    return `${this.plants()} plants from above; ${far === 0 ? 'a hand reaches all' : `${far} of ${this.dots().length} are out of reach`}`;
  });
}
