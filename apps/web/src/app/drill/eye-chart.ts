import { ChangeDetectionStrategy, Component, computed, input } from '@angular/core';
import type { Guess, TriedEye } from '@field-nurse/core/drill';
import { line, scaleSqrt } from 'd3';
import { Axis } from '../shared/axis';

const size = { width: 460, height: 380 } as const;
const edge = { left: 46, right: 14, top: 14, bottom: 44 } as const;
const named = [0, 10, 20, 40, 60, 80, 100];

/** What was said against what was there, with the line on which every guess is right, and the eye's own. */
@Component({
  selector: 'fn-eye-chart',
  imports: [Axis],
  changeDetection: ChangeDetectionStrategy.OnPush,
  styles: `
    svg {
      width: 100%;
      height: auto;
    }
    .right {
      stroke: var(--fn-ink);
      stroke-dasharray: 4 4;
      fill: none;
    }
    .eye {
      fill: none;
      stroke: var(--fn-madder);
      stroke-width: 2.5;
    }
    .guess {
      fill: var(--fn-green);
      opacity: 0.55;
    }
    text {
      fill: var(--fn-faint-ink);
      font-size: 13px;
    }
  `,
  template: `
    <svg [attr.viewBox]="'0 0 ' + size.width + ' ' + size.height" role="img" [attr.aria-label]="label()">
      <g
        side="left"
        [fnAxis]="y"
        [ticks]="10"
        [word]="percent"
        [lines]="size.width - edge.left - edge.right"
        [attr.transform]="'translate(' + edge.left + ',0)'"
      />
      <g side="bottom" [fnAxis]="x" [ticks]="10" [word]="percent" [attr.transform]="'translate(0,' + (size.height - edge.bottom) + ')'" />
      <text text-anchor="end" [attr.x]="size.width - edge.right" [attr.y]="size.height - 6">was there, %</text>
      <text [attr.x]="edge.left + 8" [attr.y]="edge.top + 12">was said, %</text>
      <path class="right" [attr.d]="'M' + x(0) + ' ' + y(0) + 'L' + x(100) + ' ' + y(100)" />
      @for (one of guesses(); track $index) {
        <circle class="guess" r="4" [attr.cx]="x(one.truth)" [attr.cy]="y(one.guess)" />
      }
      @if (curve(); as d) {
        <path class="eye" [attr.d]="d" />
      }
    </svg>
  `,
})
export class EyeChart {
  readonly guesses = input.required<readonly Guess[]>();
  readonly eye = input<TriedEye | undefined>();
  readonly label = input.required<string>();
  protected readonly size = size;
  protected readonly edge = edge;
  // Roots spread small damage out, where most is judged.
  protected readonly x = scaleSqrt([0, 100], [edge.left, size.width - edge.right]);
  protected readonly y = scaleSqrt([0, 100], [size.height - edge.bottom, edge.top]);
  protected readonly percent = (value: number) => (named.includes(value) ? String(value) : '');

  protected readonly curve = computed(() => {
    const eye = this.eye();
    const truths = this.guesses().map(({ truth }) => truth);
    if (!eye || truths.length === 0) return null;
    const [least, most] = [Math.min(...truths), Math.max(...truths)];
    const points = Array.from({ length: 60 }, (_, i) => least + ((most - least) * i) / 59);
    return line<number>(
      (truth) => this.x(truth),
      (truth) => this.y(Math.min(100, Math.max(0, truth + eye.biasAt(truth)))),
    )(points);
  });
}
