import { ChangeDetectionStrategy, Component, computed, inject, input } from '@angular/core';
import type { Gone } from '@field-nurse/core/recovery';
import { curveStepAfter, line, scaleLinear, scaleUtc } from 'd3';
import { Garden } from '../gardens/garden';
import { Axis } from '../shared/axis';
import { dayWord } from '../shared/days';
import { goneWord } from './proof-words';

const [width, height] = [360, 130];
const edge = { left: 34, right: 10, top: 8, bottom: 24 };
const believed = 0.95;
const dateOf = (day: string) => new Date(`${day}T00:00:00Z`);

/** May I believe that it is gone? How sure the looks have made it, and what it still takes. */
@Component({
  selector: 'fn-gone-panel',
  imports: [Axis],
  changeDetection: ChangeDetectionStrategy.OnPush,
  styles: `
    :host {
      display: grid;
      gap: 10px;
    }
    svg {
      width: 100%;
      max-width: 460px;
    }
    .sure {
      fill: none;
      stroke: var(--fn-green);
      stroke-width: 2.2;
    }
    .goal {
      stroke: var(--fn-faint-ink);
      stroke-dasharray: 4 4;
    }
    circle {
      fill: var(--fn-raised);
      stroke: var(--fn-green);
      stroke-width: 2;
    }
    text {
      fill: var(--fn-faint-ink);
      font: 11px var(--fn-text);
    }
  `,
  template: `
    <p>{{ word() }}</p>
    @if (points().length > 1) {
      <svg [attr.viewBox]="'0 0 ' + width + ' ' + height" role="img" [attr.aria-label]="label()">
        <g
          side="left"
          [fnAxis]="y"
          [ticks]="3"
          [word]="percent"
          [lines]="width - edge.left - edge.right"
          [attr.transform]="'translate(' + edge.left + ',0)'"
        />
        <g side="bottom" [fnAxis]="x()" [ticks]="4" [word]="dateWord" [attr.transform]="'translate(0,' + (height - edge.bottom) + ')'" />
        <line class="goal" [attr.x1]="edge.left" [attr.x2]="width - edge.right" [attr.y1]="y(believed)" [attr.y2]="y(believed)" />
        <path class="sure" [attr.d]="path()" />
        @for (point of points(); track $index) {
          <circle r="4" [attr.cx]="point.x" [attr.cy]="point.y" />
        }
      </svg>
    }
    <p class="fn-small">
      Reckoned from clean looks since {{ since() }}, how many plants they covered, what hides, and what may come in. The chances behind it
      are our estimates; the dashed line is 95 in 100.
    </p>
  `,
})
export class GonePanel {
  readonly #garden = inject(Garden);
  readonly gone = input.required<Gone>();
  protected readonly width = width;
  protected readonly height = height;
  protected readonly edge = edge;
  protected readonly believed = believed;
  protected readonly word = computed(() => goneWord(this.gone(), this.#garden.today()));
  protected readonly since = computed(() => {
    const { lastFound } = this.gone();
    return lastFound ? `the last find on ${dayWord(lastFound, this.#garden.today())}` : 'the first one';
  });
  protected readonly y = scaleLinear([0, 1], [height - edge.bottom, edge.top]);
  protected readonly x = computed(() => {
    const days = this.gone().history.map(({ date }) => dateOf(date));
    return scaleUtc([days[0] ?? new Date(0), days.at(-1) ?? new Date(1)], [edge.left + 6, width - edge.right - 6]);
  });
  protected readonly points = computed(() =>
    this.gone().history.map(({ date, probability }) => ({ x: this.x()(dateOf(date)), y: this.y(probability) })),
  );
  protected readonly path = computed(
    () =>
      line<{ x: number; y: number }>(
        ({ x }) => x,
        ({ y }) => y,
      ).curve(curveStepAfter)(this.points()) ?? '',
  );
  protected readonly percent = (share: number) => `${100 * share} %`;
  protected readonly dateWord = (date: Date) => dayWord(date.toISOString().slice(0, 10));
  protected readonly label = computed(() =>
    this.gone()
      .history.map(({ date, probability }) => `${dayWord(date)}: ${Math.floor(100 * probability)} in 100`)
      .join(', '),
  );
}
