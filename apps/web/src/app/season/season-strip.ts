import { ChangeDetectionStrategy, Component, computed, input } from '@angular/core';
import type { BandDay, CountedDay } from '@field-nurse/core/season';
import { area, line, scaleLinear, scaleSymlog } from 'd3';

const [top, bottom] = [10, 16];

/** One way through the season: what there is of the trouble in most runs, in the middle, and the days on which something is done. */
@Component({
  selector: 'fn-season-strip',
  changeDetection: ChangeDetectionStrategy.OnPush,
  styles: `
    svg {
      display: block;
      overflow: visible;
    }
    .band {
      fill: var(--fn-madder);
      opacity: 0.16;
    }
    .middle {
      fill: none;
      stroke: var(--fn-madder);
      stroke-width: 2;
    }
    .late {
      fill: none;
      stroke: var(--fn-madder);
      stroke-width: 1.5;
      stroke-dasharray: 5 4;
    }
    .act {
      stroke: var(--fn-ochre);
      stroke-dasharray: 2 4;
      stroke-width: 1.5;
    }
    .ground {
      stroke: var(--fn-faint-ink);
    }
    .now {
      stroke: var(--fn-ink);
    }
    .done {
      fill: var(--fn-green);
    }
    .look {
      fill: var(--fn-raised);
      stroke: var(--fn-ink);
      stroke-width: 1.75;
    }
    text {
      fill: var(--fn-faint-ink);
      font: 11.5px var(--fn-text);
    }
  `,
  template: `
    <svg [attr.width]="width()" [attr.height]="height()" role="img" [attr.aria-label]="label()">
      @for (tick of ticks(); track tick.value) {
        <text x="0" [attr.y]="tick.y + 4">{{ tick.word }}</text>
      }
      <line class="act" [attr.x1]="left()" [attr.x2]="width()" [attr.y1]="actY()" [attr.y2]="actY()" />
      <path class="band" [attr.d]="bandPath()" />
      @if (late()) {
        <path class="late" [attr.d]="latePath()" />
      }
      <path class="middle" [attr.d]="middlePath()" />
      <line class="ground" [attr.x1]="left()" [attr.x2]="width()" [attr.y1]="height() - edge" [attr.y2]="height() - edge" />
      @if (from() > 0) {
        <line class="now" [attr.x1]="x()(from())" [attr.x2]="x()(from())" y1="0" [attr.y2]="height() - edge" />
      }
      @for (one of marks(); track one.day) {
        <path class="done" [attr.d]="one.path" [attr.opacity]="one.share">
          <title>{{ one.title }}</title>
        </path>
      }
      @for (look of looks(); track look.day) {
        <circle class="look" r="4" [attr.cx]="x()(look.day)" [attr.cy]="y()(look.amount)" />
      }
    </svg>
  `,
})
export class SeasonStrip {
  readonly band = input.required<readonly BandDay[]>();
  readonly late = input<readonly BandDay[]>();
  readonly doneOn = input<readonly number[]>([]);
  readonly looks = input<readonly CountedDay[]>([]);
  /** the most that any strip shows, so that all have one scale */
  readonly most = input.required<number>();
  readonly actAt = input.required<number>();
  readonly width = input.required<number>();
  readonly height = input(124);
  /** where the days begin */
  readonly left = input(44);
  readonly days = input.required<number>();
  /** the day from which on ways differ */
  readonly from = input(0);
  readonly word = input.required<(amount: number) => string>();
  readonly dayWord = input.required<(day: number) => string>();
  readonly label = input.required<string>();
  protected readonly edge = bottom;

  protected readonly x = computed(() => scaleLinear([0, Math.max(1, this.days() - 1)], [this.left(), this.width() - 4]));
  /** few are told apart as well as many */
  protected readonly y = computed(() =>
    scaleSymlog([0, Math.max(this.most(), this.actAt() * 1.5)], [this.height() - bottom, top]).constant(
      Math.max(this.actAt() / 2, this.most() / 400),
    ),
  );
  protected readonly actY = computed(() => this.y()(this.actAt()));
  protected readonly ticks = computed(() =>
    [this.actAt(), this.most()]
      .filter((value, i) => i === 0 || Math.abs(this.y()(value) - this.actY()) > 14)
      .map((value) => ({ value, y: this.y()(value), word: this.word()(value) })),
  );
  protected readonly bandPath = computed(
    () =>
      area<BandDay>()
        .x(({ day }) => this.x()(day))
        .y0(({ p10 }) => this.y()(p10))
        .y1(({ p90 }) => this.y()(p90))([...this.band()]) ?? '',
  );
  readonly #middle = computed(() =>
    line<BandDay>()
      .x(({ day }) => this.x()(day))
      .y(({ p50 }) => this.y()(p50)),
  );
  protected readonly middlePath = computed(() => this.#middle()([...this.band()]) ?? '');
  protected readonly latePath = computed(() => this.#middle()([...(this.late() ?? [])]) ?? '');
  /** a mark for each day on which something is done in some runs, the fainter the fewer */
  protected readonly marks = computed(() =>
    this.doneOn().flatMap((share, day) =>
      share < 0.03
        ? []
        : [
            {
              day,
              share: 0.25 + 0.75 * share,
              path: `M${this.x()(day) - 4.5} ${this.height() - 2} l4.5 -10 l4.5 10 z`,
              title: `${this.dayWord()(day)}: something is done in ${Math.round(share * 100)} of 100 seasons`,
            },
          ],
    ),
  );
}
