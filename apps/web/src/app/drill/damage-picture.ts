import { ChangeDetectionStrategy, Component, computed, input } from '@angular/core';
import { gatheredBelow } from '@field-nurse/core/drill';
import type { Point } from '@field-nurse/core/drill';
import type { DamageLook } from '@field-nurse/library/drill';
import { polygonPath } from '../drawing/geometry';
import type { Blade } from '../drawing/leaf-blade';
import { outlinePath, veinPath } from './damage-blades';

const tones: Readonly<Record<DamageLook, string>> = { holes: 'paper', brown: 'brown', yellow: 'yellow', powder: 'white', rust: 'orange' };
let pictures = 0;

/** A leaf with its damage as it lies, or with all of it gathered at its foot beside what was said. */
@Component({
  selector: 'fn-damage-picture',
  changeDetection: ChangeDetectionStrategy.OnPush,
  styleUrl: '../drawing/drawing.scss',
  styles: `
    .said {
      fill: none;
      stroke: var(--fn-ink);
      stroke-width: 0.8;
      stroke-dasharray: 2.4 1.8;
    }
    .full {
      fill: var(--fn-madder);
    }
  `,
  template: `
    <svg viewBox="0 0 100 100" role="img" [attr.aria-label]="label()">
      <defs>
        <clipPath [attr.id]="'blade-' + id"><path [attr.d]="bladePath()" /></clipPath>
        <mask [attr.id]="'left-' + id" maskUnits="userSpaceOnUse" x="-5" y="-5" width="110" height="110">
          <rect x="-5" y="-5" width="110" height="110" fill="#fff" />
          @if (isEaten() && gathered() === null) {
            <path [attr.d]="piecesPath()" style="fill: #000" />
          }
        </mask>
      </defs>
      <path class="none ink" stroke-width="1.2" [attr.d]="stalk()" />
      <g [attr.mask]="'url(#left-' + id + ')'">
        <path class="leaf ink" stroke-width="0.7" [attr.d]="bladePath()" />
        <path class="none ink" stroke-width="0.4" opacity="0.6" [attr.d]="veins()" />
        @if (gathered() === null) {
          <g [attr.clip-path]="'url(#blade-' + id + ')'">
            @if (isEaten()) {
              <path class="none ink" stroke-width="1" [attr.d]="piecesPath()" />
            } @else {
              <path [attr.class]="tone()" [attr.d]="piecesPath()" />
            }
          </g>
        }
      </g>
      @if (gathered() !== null) {
        <g [attr.clip-path]="'url(#blade-' + id + ')'">
          <rect class="full" x="-5" width="110" height="110" opacity="0.75" [attr.y]="level()" />
          @if (saidLevel() !== null) {
            <path class="said" [attr.d]="'M-5 ' + saidLevel() + 'H105'" />
          }
        </g>
        <path class="none ink" stroke-width="0.7" [attr.d]="bladePath()" />
      }
    </svg>
  `,
})
export class DamagePicture {
  readonly blades = input.required<readonly Blade[]>();
  readonly pieces = input<readonly (readonly Point[])[]>([]);
  readonly look = input<DamageLook>('brown');
  /** percent to show gathered in place of the pieces, and what was said */
  readonly gathered = input<number | null>(null);
  readonly said = input<number | null>(null);
  readonly label = input.required<string>();

  protected readonly id = ++pictures;
  protected readonly isEaten = computed(() => this.look() === 'holes');
  protected readonly tone = computed(() => tones[this.look()]);
  protected readonly bladePath = computed(() => outlinePath(this.blades()));
  protected readonly piecesPath = computed(() => this.pieces().map(polygonPath).join(''));
  protected readonly veins = computed(() => veinPath(this.blades()));
  protected readonly stalk = computed(() => {
    const [x, y] = this.blades()[0]!.midrib[0]!;
    return `M${x} ${y}L${x - 1} 98`;
  });
  readonly #outlines = computed(() => this.blades().map(({ outline }) => outline));
  protected readonly level = computed(() => gatheredBelow(this.#outlines(), this.gathered() ?? 0));
  protected readonly saidLevel = computed(() => {
    const said = this.said();
    return said === null ? null : gatheredBelow(this.#outlines(), said);
  });
}
