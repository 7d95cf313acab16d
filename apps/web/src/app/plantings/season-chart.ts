import type { ElementRef } from '@angular/core';
import {
  afterNextRender,
  ChangeDetectionStrategy,
  Component,
  computed,
  DestroyRef,
  effect,
  inject,
  input,
  output,
  signal,
  untracked,
  viewChild,
} from '@angular/core';
import { RouterLink } from '@angular/router';
import type { AlmanacAnswer } from '@field-nurse/contract';
import { addDays, daysBetween } from '@field-nurse/core/timing';
import type { D3ZoomEvent, ZoomBehavior } from 'd3';
import { select, zoom, zoomIdentity, zoomTransform } from 'd3';
import { Garden } from '../gardens/garden';
import { Library } from '../library/library';
import type { ChartRow } from './chart-rows';
import type { Span } from './strips';
import { chartSpan, eventfulMonths } from './chart-rows';
import { dayOfRowWord, rowName, underWord } from './chart-words';
import { chartSvg } from './chart-svg';
import { paintCalendar, paintSky, paintStrip, rowHeight, skyHeight } from './paint-chart';
import type { Beside, View } from './paint-chart';
import { CanvasPainter } from './painter';
import { currentPalette } from './current-palette';
import { timeScale } from './time-scale';

const [leastDays, panShare, zoomStep] = [7, 0.15, 1.5];
const roomBelow = 8;

/** All plantings through all seasons, drawn as fast as it is scrolled; zoomed and moved by wheel, fingers, buttons and keys. */
@Component({
  selector: 'fn-season-chart',
  imports: [RouterLink],
  changeDetection: ChangeDetectionStrategy.OnPush,
  styleUrl: './season-chart.scss',
  template: `
    <div class="scroll" #scroll (scroll)="scrollTop.set(scroll.scrollTop)">
      <div class="space" [style.height.px]="height()">
        @for (row of visible(); track row.planting.id) {
          <div class="who" [style.top.px]="skyHeight + row.index * rowHeight" [class.chosen]="row.index === chosen()">
            <a [routerLink]="['/g', garden.summary().id, 'plantings', row.planting.id]">{{ library.hostName(row.planting.host) }}</a>
            <small>{{ underWord(row) }}</small>
            <a
              class="wrong"
              [routerLink]="['/g', garden.summary().id, 'wrong']"
              [queryParams]="{ planting: row.planting.id }"
              [attr.aria-label]="'Something is wrong with ' + library.hostName(row.planting.host)"
              title="Something is wrong"
              >?</a
            >
          </div>
        }
        <canvas
          #canvas
          tabindex="0"
          role="img"
          [attr.aria-label]="label()"
          (mousemove)="point($event)"
          (mouseleave)="pointed.set(undefined)"
          (keydown)="press($event)"
        ></canvas>
        <div class="corner"><span class="fn-small">warmth, rain, wet leaves</span></div>
      </div>
    </div>
    <p class="saying" role="status">{{ saying() }}</p>
  `,
})
export class SeasonChart {
  protected readonly garden = inject(Garden);
  protected readonly library = inject(Library);
  readonly rows = input.required<readonly ChartRow[]>();
  readonly days = input.required<AlmanacAnswer['days']>();
  /** heat from the begin of its season to the end of each day */
  readonly heat = input.required<ReadonlyMap<string, number>>();
  readonly stages = input.required<readonly { readonly day: string; readonly name: string }[]>();
  /** the stretch that is shown at first, and whenever another is given */
  readonly shown = input.required<Span>();
  /** rows of another season to lay over, by plant, and how many years later they are drawn */
  readonly beside = input<Beside>();
  readonly opened = output<string>();
  protected readonly rowHeight = rowHeight;
  protected readonly skyHeight = skyHeight;

  private readonly scroll = viewChild.required<ElementRef<HTMLElement>>('scroll');
  private readonly canvas = viewChild.required<ElementRef<HTMLCanvasElement>>('canvas');
  protected readonly scrollTop = signal(0);
  readonly #width = signal(600);
  readonly #viewHeight = signal(500);
  readonly #transform = signal({ k: 1, x: 0 });
  readonly #theme = signal(0);
  /** the row that keys have chosen */
  protected readonly chosen = signal(-1);
  protected readonly pointed = signal<{ readonly row: number; readonly day: string } | undefined>(undefined);
  #zoom: ZoomBehavior<HTMLCanvasElement, unknown> | undefined;
  /** days that are in view */
  #seen: Span | undefined;

  protected readonly height = computed(() => skyHeight + this.rows().length * rowHeight + roomBelow);
  readonly #scale = computed(() => {
    const { today } = this.garden;
    return timeScale(chartSpan(this.rows(), today()), eventfulMonths(this.rows(), today()), this.#width());
  });
  readonly #view = computed((): View => {
    const [scale, { k, x }, width] = [this.#scale(), this.#transform(), this.#width()];
    const place = (day: string) => scale.x(day) * k + x;
    const middle = scale.dayAt((width / 2 - x) / k);
    return { x: place, left: 0, right: width, today: this.garden.today(), dayWidth: place(addDays(middle, 1)) - place(middle) };
  });
  protected readonly visible = computed(() => {
    const first = Math.max(0, Math.floor(this.scrollTop() / rowHeight));
    const last = Math.min(this.rows().length, first + Math.ceil(this.#viewHeight() / rowHeight) + 1);
    return this.rows()
      .slice(first, last)
      .map((row, i) => ({ ...row, index: first + i }));
  });

  constructor() {
    const destroyed = inject(DestroyRef);
    afterNextRender(() => {
      const [scroll, canvas] = [this.scroll().nativeElement, this.canvas().nativeElement];
      const measure = new ResizeObserver(() => {
        this.#width.set(Math.max(120, canvas.clientWidth));
        this.#viewHeight.set(scroll.clientHeight);
      });
      measure.observe(scroll);
      // Another theme has other colours.
      const watch = new MutationObserver(() => this.#theme.update((count) => count + 1));
      watch.observe(document.documentElement, { attributes: true, attributeFilter: ['data-theme'] });
      destroyed.onDestroy(() => {
        measure.disconnect();
        watch.disconnect();
      });
      // A wheel scrolls down the plantings; with Ctrl it zooms, as fingers do.
      this.#zoom = zoom<HTMLCanvasElement, unknown>()
        .filter((event: Event) => (event instanceof WheelEvent ? event.ctrlKey : !('button' in event) || event.button === 0))
        .on('zoom', ({ transform: { k, x } }: D3ZoomEvent<HTMLCanvasElement, unknown>) => {
          this.#transform.set({ k, x });
          const { dayAt } = this.#scale();
          this.#seen = { from: dayAt(-x / k), to: dayAt((this.#width() - x) / k) };
        });
      select(canvas).call(this.#zoom);
      this.#width.set(Math.max(120, canvas.clientWidth));
      this.#viewHeight.set(scroll.clientHeight);
      this.#ready.set(true);
    });
    effect(() => {
      if (!this.#ready()) return;
      const [width, { span }] = [this.#width(), this.#scale()];
      this.#zoom!.extent([
        [0, 0],
        [width, 1],
      ])
        .translateExtent([
          [0, 0],
          [width, 1],
        ])
        .scaleExtent([1, Math.max(1, daysBetween(span.from, span.to) / leastDays)]);
      // The same days stay in view where rows come in or the window changes.
      untracked(() => this.#show(this.#seen ?? this.shown()));
    });
    effect(() => {
      if (!this.#ready()) return;
      const shown = this.shown();
      untracked(() => this.#show(shown));
    });
    effect(() => {
      if (!this.#ready()) return;
      this.#theme();
      this.#paint();
    });
  }
  readonly #ready = signal(false);

  /** Bring a stretch of days into the view. */
  #show({ from, to }: Span): void {
    const [scale, width, canvas] = [this.#scale(), this.#width(), this.canvas().nativeElement];
    const [left, right] = [scale.x(from), Math.max(scale.x(to), scale.x(from) + 1)];
    const k = width / (right - left);
    select(canvas).call(this.#zoom!.transform, zoomIdentity.scale(k).translate(-left, 0));
  }

  zoomBy(factor: number): void {
    select(this.canvas().nativeElement).call(this.#zoom!.scaleBy, factor);
  }

  panBy(share: number): void {
    const canvas = this.canvas().nativeElement;
    select(canvas).call(this.#zoom!.translateBy, (-share * this.#width()) / zoomTransform(canvas).k, 0);
  }

  #paint(): void {
    const canvas = this.canvas().nativeElement;
    const [width, height, ratio] = [this.#width(), this.#viewHeight(), Math.min(2, window.devicePixelRatio || 1)];
    if (canvas.width !== width * ratio || canvas.height !== height * ratio) {
      canvas.width = width * ratio;
      canvas.height = height * ratio;
      canvas.style.height = `${height}px`;
    }
    const to = canvas.getContext('2d');
    if (!to) return;
    const palette = currentPalette();
    to.setTransform(ratio, 0, 0, ratio, 0, 0);
    to.globalAlpha = 1;
    to.fillStyle = palette.paper;
    to.fillRect(0, 0, width, height);
    const painter = new CanvasPainter(to, palette);
    const view = this.#view();
    to.save();
    to.beginPath();
    to.rect(0, skyHeight, width, height);
    to.clip();
    for (const row of this.visible())
      paintStrip(painter, row, skyHeight + row.index * rowHeight - this.scrollTop(), view, {
        isChosen: row.index === this.chosen(),
        beside: this.beside(),
      });
    to.restore();
    paintCalendar(painter, this.#scale().months, height, view);
    paintSky(painter, this.days(), this.heat(), this.stages(), view);
    painter.rect(0, skyHeight - 1, width, 1, { ink: 'faint' });
  }

  /** The chart as it is seen, with every planting, as the text of an SVG file. */
  svg(): string {
    return chartSvg({
      rows: this.rows(),
      beside: this.beside(),
      days: this.days(),
      heat: this.heat(),
      stages: this.stages(),
      months: this.#scale().months,
      view: this.#view(),
      height: this.height(),
      palette: currentPalette(),
      garden: this.garden.summary().name,
      library: this.library,
    });
  }

  protected point(event: MouseEvent): void {
    const { k, x } = this.#transform();
    const row = Math.floor((event.offsetY - skyHeight + this.scrollTop()) / rowHeight);
    const day = this.#scale().dayAt((event.offsetX - x) / k);
    this.pointed.set(event.offsetY < skyHeight ? { row: -1, day } : { row, day });
  }

  protected press(event: KeyboardEvent): void {
    const move = {
      ArrowLeft: () => this.panBy(-panShare),
      ArrowRight: () => this.panBy(panShare),
      '+': () => this.zoomBy(zoomStep),
      '-': () => this.zoomBy(1 / zoomStep),
      ArrowDown: () => this.#choose(1),
      ArrowUp: () => this.#choose(-1),
      Enter: () => {
        const row = this.rows()[this.chosen()];
        if (row) this.opened.emit(row.planting.id);
      },
    }[event.key];
    if (!move) return;
    event.preventDefault();
    move();
  }

  #choose(step: number): void {
    const row = Math.max(0, Math.min(this.rows().length - 1, this.chosen() + step));
    this.chosen.set(row);
    const scroll = this.scroll().nativeElement;
    const [top, bottom] = [row * rowHeight, (row + 1) * rowHeight + skyHeight + roomBelow];
    if (top < scroll.scrollTop) scroll.scrollTop = top;
    else if (bottom > scroll.scrollTop + scroll.clientHeight) scroll.scrollTop = bottom - scroll.clientHeight;
  }

  protected readonly label = computed(() => `Planting chart of ${this.rows().length} plantings. The table below says the same in words.`);

  /** what is under the pointer, or in the row that keys have chosen */
  protected readonly saying = computed(() => {
    const pointed = this.pointed();
    const row = this.rows()[pointed?.row ?? this.chosen()];
    if (pointed) return dayOfRowWord(this.library, pointed.day, this.garden.today(), row, this.days());
    return row ? `${rowName(this.library, row)}. Enter opens it.` : 'Arrows move it, + and − zoom, the wheel scrolls; with Ctrl it zooms.';
  });
  protected readonly underWord = underWord;
}
