import { ChangeDetectionStrategy, Component, computed, input } from '@angular/core';
import type { Crawler } from '@field-nurse/core/drill';
import { drawSign } from '../drawing/draw-sign';
import type { Blade } from '../drawing/leaf-blade';
import { outlinePath, veinPath } from './damage-blades';

// An animal's sheet is 100 units wide; on the leaf it is this wide.
const size = 7;

/** Animals crawling over a leaf. */
@Component({
  selector: 'fn-crawler-picture',
  changeDetection: ChangeDetectionStrategy.OnPush,
  styleUrl: '../drawing/drawing.scss',
  styles: `
    .animal {
      animation: crawl 3s linear forwards;
    }
    @keyframes crawl {
      to {
        transform: translate(var(--x), var(--y));
      }
    }
    @media (prefers-reduced-motion: reduce) {
      .animal {
        animation: none;
      }
    }
  `,
  template: `
    <svg viewBox="0 0 100 100" role="img" [attr.aria-label]="label()">
      <path class="leaf ink" stroke-width="0.7" [attr.d]="bladePath()" />
      <path class="none ink" stroke-width="0.4" opacity="0.5" [attr.d]="veins()" />
      @if (shown()) {
        @for (one of crawlers(); track $index) {
          <g class="animal" [style.--x.px]="one.to[0] - one.at[0]" [style.--y.px]="one.to[1] - one.at[1]">
            <g [attr.transform]="placeOf(one)">
              @for (shape of animal(); track $index) {
                <path
                  [attr.d]="shape.d"
                  [attr.class]="shape.line < 0 ? 'stroke ' + shape.fill : shape.fill + (shape.line > 0 ? ' ink' : '')"
                  [attr.stroke-width]="shape.line ? widthOf(shape.line) : null"
                  [attr.opacity]="shape.opacity ?? null"
                />
              }
            </g>
          </g>
        }
      }
    </svg>
  `,
})
export class CrawlerPicture {
  readonly blades = input.required<readonly Blade[]>();
  readonly crawlers = input.required<readonly Crawler[]>();
  readonly mark = input.required<string>();
  readonly shown = input(true);
  readonly label = input.required<string>();

  protected readonly animal = computed(() => drawSign({ organ: 'creature', mark: this.mark() }));
  protected readonly bladePath = computed(() => outlinePath(this.blades()));
  protected readonly veins = computed(() => veinPath(this.blades()));
  /** Drawn so small, lines are kept broad enough to be seen. */
  protected readonly widthOf = (line: number) => Math.abs(line) * 1.8;
  protected readonly placeOf = ({ at: [x, y], heading }: Crawler) =>
    `translate(${x} ${y}) rotate(${(heading * 180) / Math.PI}) scale(${size / 100}) translate(-50 -50)`;
}
