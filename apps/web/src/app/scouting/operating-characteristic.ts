import { ChangeDetectionStrategy, Component, computed, inject, input, resource } from '@angular/core';
import type { SampleAnswer, SampleRequest } from '@field-nurse/contract';
import type { Level } from '@field-nurse/core/sampling';
import { line, max, scaleLinear } from 'd3';
import { Calc } from '../calc/calc';
import { Axis } from '../shared/axis';

const [width, height, left, bottom, top] = [320, 150, 40, 30, 10];

/** What a sampling test is worth: its chance to say "leave", and how many plants it takes, by how bad it truly is. */
@Component({
  selector: 'fn-operating-characteristic',
  imports: [Axis],
  changeDetection: ChangeDetectionStrategy.OnPush,
  styles: `
    :host {
      display: grid;
      grid-template-columns: repeat(auto-fit, minmax(260px, 1fr));
      gap: 12px;
    }
    svg {
      width: 100%;
      height: auto;
    }
    figcaption {
      font-size: 0.875rem;
    }
    figure {
      margin: 0;
    }
    .curve {
      fill: none;
      stroke: var(--fn-green);
      stroke-width: 2.4;
    }
    .level {
      stroke: var(--fn-madder);
      stroke-dasharray: 4 3;
    }
  `,
  template: `
    @for (chart of charts(); track chart.caption) {
      <figure>
        <figcaption>{{ chart.caption }}</figcaption>
        <svg [attr.viewBox]="viewBox" role="img" [attr.aria-label]="chart.said">
          <g
            side="left"
            [fnAxis]="chart.y"
            [ticks]="3"
            [word]="chart.yWord"
            [lines]="width - left"
            [attr.transform]="'translate(' + left + ',0)'"
          />
          <g side="bottom" [fnAxis]="chart.x" [word]="chart.xWord" [attr.transform]="'translate(0,' + (height - bottom) + ')'" />
          <line class="level" [attr.x1]="chart.act" [attr.x2]="chart.act" [attr.y1]="top" [attr.y2]="height - bottom" />
          <path class="curve" [attr.d]="chart.path" />
        </svg>
      </figure>
    } @empty {
      <p class="fn-small">{{ answer.error() ? 'Could not be worked out.' : 'Working it out …' }}</p>
    }
  `,
})
export class OperatingCharacteristic {
  readonly #calc = inject(Calc);
  readonly level = input.required<Level>();
  readonly plants = input.required<number>();
  protected readonly viewBox = `0 0 ${width} ${height}`;
  protected readonly width = width;
  protected readonly height = height;
  protected readonly left = left;
  protected readonly top = top;
  protected readonly bottom = bottom;

  protected readonly answer = resource({
    params: () => questionOf(this.level(), this.plants()),
    loader: ({ params }) => this.#calc.sample(params),
  });

  protected readonly charts = computed(() => {
    const points = this.answer.value()?.curves.points;
    return points ? chartsOf(points, this.level()) : [];
  });
}

type Points = SampleAnswer['curves']['points'];

/** The test behind a level, as a question: the same one that the meter asks. */
export function questionOf({ measure, act }: Level, plants: number): SampleRequest {
  const most = { plants: Math.min(plants, 100), seen: [] };
  if (measure === 'any') return { test: 'freedom', p1: 0.1, sensitivity: 0.8, alpha: 0.05, ...most };
  if (measure === 'plants-percent') return { test: 'binomial', p0: Math.min(act, 98) / 200, p1: Math.min(act, 98) / 100, ...most };
  if (measure === 'leaf-percent') return { test: 'iwao', p1: act, a: 100 * 0.2 - 1, b: 0.8, alpha: 0.2, ...most };
  return { test: 'negative-binomial', p0: act / 2, p1: act, k: 1, ...most };
}

function chartsOf(points: Points, { measure, act }: Level) {
  const share = measure === 'any' || measure === 'plants-percent';
  const factor = share ? 100 : 1;
  const top100 = points.at(-1)!.at;
  const x = scaleLinear([0, top100], [left, width - 8]);
  const chart = (
    caption: string,
    said: string,
    value: (one: Points[number]) => number,
    highest: number,
    yWord: (tick: number) => string,
  ) => {
    const y = scaleLinear([0, highest], [height - bottom, top]);
    return {
      caption,
      said,
      path:
        line<Points[number]>(
          (one) => x(one.at),
          (one) => y(value(one)),
        )(points) ?? '',
      x,
      y,
      xWord: (tick: number) => `${Math.round(tick * factor * 10) / 10}${share || measure === 'leaf-percent' ? ' %' : ''}`,
      yWord,
      act: x(share ? (measure === 'any' ? 0.1 : act / 100) : act),
    };
  };
  const expected = Math.max(4, max(points, (one) => one.expected) ?? 4);
  return [
    chart(
      'Chance that it says “leave”, by how bad it truly is',
      'Falls from one to none as the true level rises past the dashed line.',
      (one) => one.leave,
      1,
      (tick) => `${Math.round(tick * 100)} %`,
    ),
    chart(
      'Plants it takes, on average',
      `At most ${Math.round(expected)} plants on average.`,
      (one) => one.expected,
      expected,
      (tick) => String(tick),
    ),
  ];
}
