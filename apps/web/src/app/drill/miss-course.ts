import { ChangeDetectionStrategy, Component, computed, input } from '@angular/core';
import type { Drill } from '@field-nurse/contract';
import { line, max, mean, scaleLinear, scaleUtc } from 'd3';
import { Axis } from '../shared/axis';
import { dayWord } from '../shared/days';

const size = { width: 460, height: 190 } as const;
const edge = { left: 46, right: 14, top: 14, bottom: 30 } as const;

/** How far off the eye was, sitting by sitting. */
@Component({
  selector: 'fn-miss-course',
  imports: [Axis],
  changeDetection: ChangeDetectionStrategy.OnPush,
  styles: `
    svg {
      width: 100%;
      height: auto;
    }
    .course {
      fill: none;
      stroke: var(--fn-green);
      stroke-width: 2;
    }
    circle {
      fill: var(--fn-raised);
      stroke: var(--fn-green);
      stroke-width: 2;
    }
  `,
  template: `
    <svg
      [attr.viewBox]="'0 0 ' + size.width + ' ' + size.height"
      role="img"
      aria-label="Points by which guesses were off, sitting by sitting"
    >
      <g
        side="left"
        [fnAxis]="y()"
        [ticks]="4"
        [lines]="size.width - edge.left - edge.right"
        [attr.transform]="'translate(' + edge.left + ',0)'"
      />
      <g side="bottom" [fnAxis]="x()" [ticks]="4" [word]="word" [attr.transform]="'translate(0,' + (size.height - edge.bottom) + ')'" />
      <path class="course" [attr.d]="path()" />
      @for (one of points(); track one.at) {
        <circle r="4" [attr.cx]="x()(one.at)" [attr.cy]="y()(one.off)">
          <title>{{ word(one.at) }}: {{ one.off.toFixed(1) }} points off</title>
        </circle>
      }
    </svg>
  `,
})
export class MissCourse {
  readonly sittings = input.required<readonly Drill[]>();
  protected readonly size = size;
  protected readonly edge = edge;

  protected readonly points = computed(() => missesOf(this.sittings()));
  protected readonly x = computed(() => {
    const times = this.points().map(({ at }) => at.getTime());
    const dayMs = 86_400_000;
    return scaleUtc([Math.min(...times) - dayMs, Math.max(...times) + dayMs], [edge.left, size.width - edge.right]);
  });
  protected readonly y = computed(() =>
    scaleLinear([0, max(this.points(), ({ off }) => off) ?? 1], [size.height - edge.bottom, edge.top]).nice(4),
  );
  protected readonly path = computed(
    () =>
      line<{ at: Date; off: number }>(
        ({ at }) => this.x()(at),
        ({ off }) => this.y()(off),
      )(this.points()) ?? '',
  );
  protected readonly word = (at: Date) => dayWord(at.toISOString().slice(0, 10));
}

/** Mean distance of guesses of leaves and stands from what was there, for each sitting that had some, in the order of time. */
export const missesOf = (sittings: readonly Pick<Drill, 'heldAt' | 'answers'>[]): { at: Date; off: number }[] =>
  [...sittings]
    .sort((a, b) => a.heldAt.localeCompare(b.heldAt))
    .flatMap(({ heldAt, answers }) => {
      const off = mean(answers, (one) => (one.kind === 'leaf' || one.kind === 'stand' ? Math.abs(one.guess - one.truth) : NaN));
      return off === undefined || Number.isNaN(off) ? [] : [{ at: new Date(heldAt), off }];
    });
