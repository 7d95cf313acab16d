import { ChangeDetectionStrategy, Component, computed, input } from '@angular/core';
import type { Point } from '@field-nurse/core/drill';
import { openPath, polygonPath } from '../drawing/geometry';
import { outlinePath, rosette } from './damage-blades';

const cell = 104;

/** A bed from above: young plants in rows, each with its spots. */
@Component({
  selector: 'fn-stand-picture',
  changeDetection: ChangeDetectionStrategy.OnPush,
  styleUrl: '../drawing/drawing.scss',
  styles: `
    .bed {
      fill: var(--fn-sunk);
    }
  `,
  template: `
    <svg [attr.viewBox]="'0 0 ' + width() + ' ' + height()" role="img" [attr.aria-label]="label()">
      <defs>
        <clipPath id="rosette"><path [attr.d]="plant" /></clipPath>
      </defs>
      <rect class="bed" rx="10" [attr.width]="width()" [attr.height]="height()" />
      @for (pieces of plants(); track $index) {
        <g [attr.transform]="placeOf($index)">
          <path class="leaf ink" stroke-width="1.4" [attr.d]="plant" />
          <path class="none ink" stroke-width="0.7" opacity="0.55" [attr.d]="ribs" />
          <path class="brown" clip-path="url(#rosette)" [attr.d]="pathOf(pieces)" />
        </g>
      }
    </svg>
  `,
})
export class StandPicture {
  readonly plants = input.required<readonly (readonly (readonly Point[])[])[]>();
  readonly columns = input.required<number>();
  readonly label = input.required<string>();

  protected readonly plant = outlinePath(rosette);
  protected readonly ribs = rosette.map(({ midrib }) => openPath(midrib)).join('');
  protected readonly width = computed(() => this.columns() * cell);
  protected readonly height = computed(() => Math.ceil(this.plants().length / this.columns()) * cell);
  protected pathOf = (pieces: readonly (readonly Point[])[]) => pieces.map(polygonPath).join('');
  protected placeOf = (i: number) =>
    `translate(${(i % this.columns()) * cell + (cell - 100) / 2} ${Math.floor(i / this.columns()) * cell + (cell - 100) / 2})`;
}
