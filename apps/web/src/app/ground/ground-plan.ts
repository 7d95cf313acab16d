import {
  afterNextRender,
  ChangeDetectionStrategy,
  Component,
  computed,
  effect,
  ElementRef,
  input,
  output,
  signal,
  untracked,
  viewChild,
} from '@angular/core';
import type { Shape } from '@field-nurse/contract';
import { boundsOf, corners, centreOf, plantSpot, rowsOf, stripsOf } from '@field-nurse/core/ground';
import type { Bounds, PlanShape, Point } from '@field-nurse/core/ground';
import { drag, pointer, select, zoom, zoomIdentity } from 'd3';
import type { D3DragEvent, D3ZoomEvent, ZoomBehavior, ZoomTransform } from 'd3';
import { dragged, gridM, handles, pulled } from './plan-edit';

/** Something that lies on the plan. */
export interface PlanItem {
  readonly id: string;
  readonly subject: 'places' | 'plantings';
  readonly shape: PlanShape;
  readonly label: string;
  /** what a reader hears */
  readonly said: string;
  readonly rows: number;
  /** classes that say how it does */
  readonly state: string;
  /** path of the mark in a box of 18 */
  readonly mark: string | null;
  readonly badge: string;
  readonly trial?: PlanTrial | undefined;
}

/** What is compared within a planting: strips that are treated or left alone, and plants that are followed one by one. */
export interface PlanTrial {
  /** along the planting; none: it has no strips */
  readonly strips: readonly ('treated' | 'alone')[];
  readonly plants: readonly { readonly plant: number; readonly lags: boolean }[];
  readonly rows: number;
  /** how many plants there are */
  readonly of: number;
}

/** A small thing at a point: a trap. */
export interface PlanPoint {
  readonly id: string;
  readonly at: Point;
  readonly label: string;
}

/** How far something round a box works. */
export interface PlanReach {
  readonly id: string;
  readonly name: string;
  readonly reachM: number;
  readonly bounds: Bounds;
}

const margin = 1;
const mostZoom = 12;
// Width of a letter of a label at no zoom, metres.
const letterM = 0.36;

/** The ground drawn to scale: pan and zoom, choose, and in editing move and pull. */
@Component({
  selector: 'fn-plan',
  changeDetection: ChangeDetectionStrategy.OnPush,
  styleUrl: './ground-plan.scss',
  templateUrl: './ground-plan.html',
})
export class Plan {
  readonly items = input.required<readonly PlanItem[]>();
  readonly points = input<readonly PlanPoint[]>([]);
  readonly reaches = input<readonly PlanReach[]>([]);
  /** the walk of a round: points in order */
  readonly walk = input<readonly Point[]>([]);
  readonly selected = input<string | null>(null);
  readonly editing = input(false);
  /** a point of the ground is being chosen */
  readonly picking = input(false);
  readonly chosen = output<string>();
  readonly picked = output<Point>();
  readonly pointChosen = output<string>();
  readonly changed = output<{ item: PlanItem; shape: Shape }>();

  protected readonly svg = viewChild.required<ElementRef<SVGSVGElement>>('svg');
  protected readonly scene = viewChild.required<ElementRef<SVGGElement>>('scene');
  readonly #live = signal<{ id: string; shape: Shape } | null>(null);
  protected readonly scale = signal(1);
  #zoom: ZoomBehavior<SVGSVGElement, unknown> | undefined;

  readonly #bounds = computed<Bounds>(() => {
    const all = this.items().map(({ shape }) => boundsOf(shape));
    if (all.length === 0) return { left: 0, top: 0, right: 20, bottom: 12 };
    return {
      left: Math.min(...all.map(({ left }) => left)) - margin,
      top: Math.min(...all.map(({ top }) => top)) - margin,
      right: Math.max(...all.map(({ right }) => right)) + margin,
      bottom: Math.max(...all.map(({ bottom }) => bottom)) + margin,
    };
  });
  // Held still while something is moved, or the ground would slip under the thumb.
  readonly #frame = signal<Bounds | null>(null);
  protected readonly viewBox = computed(() => {
    const { left, top, right, bottom } = this.#frame() ?? this.#bounds();
    return `${left} ${top} ${right - left} ${bottom - top}`;
  });
  protected readonly drawn = computed(() =>
    this.items().map((item) => {
      const live = this.#live();
      const shape = live?.id === item.id ? live.shape : item.shape;
      const { left, right, top, bottom } = boundsOf(shape);
      const fits = (right - left) * this.scale() > (item.label.length + (item.mark ? 4 : 0)) * letterM;
      // The mark stands at the left end, no larger than what it lies on; the label takes the rest.
      const markM = item.mark ? Math.min(1, (bottom - top) * 0.8, (right - left) * 0.5) : 0;
      const middle = centreOf(shape);
      return {
        item,
        shape,
        path: pathOf(shape),
        rows: rowLines(shape, item.rows),
        trial: item.trial && trialOf(shape, item.trial),
        fits,
        text: { x: middle.x + markM / 2, y: middle.y },
        mark: `translate(${left + markM * 0.15} ${middle.y - markM / 2}) scale(${markM / 22})`,
        badge: { x: right - 0.3, y: top + 0.3 },
        name: { x: middle.x, y: top - 0.18 },
      };
    }),
  );
  protected readonly grips = computed(() => {
    const one = this.editing() ? this.drawn().find(({ item }) => item.id === this.selected()) : undefined;
    return one ? handles(one.shape) : [];
  });
  protected readonly walkPath = computed(() =>
    this.walk()
      .map(({ x, y }, i) => `${i === 0 ? 'M' : 'L'}${x} ${y}`)
      .join(''),
  );
  /** a round length for the scale bar, metres */
  protected readonly bar = computed(() => {
    const { left, right } = this.#frame() ?? this.#bounds();
    const fifth = (right - left) / this.scale() / 5;
    return [0.5, 1, 2, 5, 10, 20, 50, 100].findLast((length) => length <= fifth) ?? 0.5;
  });
  protected readonly barPercent = computed(() => {
    const { left, right } = this.#frame() ?? this.#bounds();
    return (100 * this.bar() * this.scale()) / (right - left);
  });

  constructor() {
    effect(() => {
      if (!this.editing()) this.#frame.set(null);
      else this.#frame.set(untracked(this.#bounds));
    });
    afterNextRender(() => this.#begin());
  }

  zoomBy(factor: number): void {
    if (this.#zoom) select(this.svg().nativeElement).call(this.#zoom.scaleBy, factor);
  }

  fit(): void {
    if (this.#zoom) select(this.svg().nativeElement).call(this.#zoom.transform, zoomIdentity);
  }

  protected onPointerUp(event: PointerEvent): void {
    if (this.picking()) this.picked.emit(at({ sourceEvent: event }, this.scene().nativeElement));
  }

  protected onKey(event: KeyboardEvent, item: PlanItem): void {
    if (event.key === 'Enter' || event.key === ' ') {
      event.preventDefault();
      this.chosen.emit(item.id);
      return;
    }
    const step = event.shiftKey ? 1 : gridM;
    const move = { ArrowLeft: [-step, 0], ArrowRight: [step, 0], ArrowUp: [0, -step], ArrowDown: [0, step] }[event.key];
    if (!move || !this.editing()) return;
    event.preventDefault();
    this.changed.emit({ item, shape: dragged(item.shape, move[0]!, move[1]!, []) });
  }

  #begin(): void {
    const svg = select<SVGSVGElement, unknown>(this.svg().nativeElement);
    this.#zoom = zoom<SVGSVGElement, unknown>()
      .scaleExtent([1, mostZoom])
      .filter((event: Event) => !(event as MouseEvent).button && !(this.editing() && isOnItem(event)))
      .on('zoom', ({ transform }: D3ZoomEvent<SVGSVGElement, unknown>) => this.#move(transform));
    svg.call(this.#zoom).on('dblclick.zoom', null);
    const begin: { point?: Point; shape?: PlanShape; item?: PlanItem; handle?: number } = {};
    const scene = this.scene().nativeElement;
    svg.call(
      drag<SVGSVGElement, unknown>()
        .filter((event: Event) => this.editing() && isOnItem(event) && !(event as MouseEvent).button)
        .container(scene as never)
        .on('start', (event: D3DragEvent<SVGSVGElement, unknown, unknown>) => {
          const target = (event.sourceEvent as Event).target as Element;
          const handle = target.closest('[data-handle]')?.getAttribute('data-handle');
          const id = handle ? this.selected() : target.closest('[data-item]')?.getAttribute('data-item');
          const item = this.items().find((one) => one.id === id);
          if (!item) return;
          Object.assign(begin, {
            point: at(event, scene),
            shape: item.shape,
            item,
            handle: handle === null || handle === undefined ? undefined : Number(handle),
          });
          this.chosen.emit(item.id);
        })
        .on('drag', (event: D3DragEvent<SVGSVGElement, unknown, unknown>) => {
          const { item, shape, point, handle } = begin;
          if (!item || !shape || !point) return;
          const now = at(event, scene);
          const others = this.items().flatMap((one) => (one.id !== item.id && one.subject === item.subject ? [one.shape] : []));
          this.#live.set({
            id: item.id,
            shape: handle === undefined ? dragged(shape, now.x - point.x, now.y - point.y, others) : pulled(shape, handle, now),
          });
        })
        .on('end', () => {
          const live = this.#live();
          if (begin.item && live) this.changed.emit({ item: begin.item, shape: live.shape });
          this.#live.set(null);
          delete begin.item;
        }),
    );
  }

  #move(transform: ZoomTransform): void {
    this.scene().nativeElement.setAttribute('transform', transform.toString());
    this.scale.set(transform.k);
  }
}

const isOnItem = (event: Event) => (event.target as Element).closest('[data-item], [data-handle]') !== null;

function at(event: { sourceEvent: unknown }, scene: SVGGElement): Point {
  const [x, y] = pointer(event.sourceEvent, scene);
  return { x, y };
}

function pathOf(shape: PlanShape): string {
  return `M${corners(shape)
    .map(({ x, y }) => `${x.toFixed(3)} ${y.toFixed(3)}`)
    .join('L')}Z`;
}

/** Lines where the rows stand, along the longer side. */
function rowLines(shape: PlanShape, rows: number): string {
  const most = 24;
  if (shape.kind !== 'rectangle' || rows < 2) return '';
  return rowsOf(shape, Math.min(rows, most))
    .map(([from, to]) => `M${from.x.toFixed(3)} ${from.y.toFixed(3)}L${to.x.toFixed(3)} ${to.y.toFixed(3)}`)
    .join('');
}

/** The strips of a trial, and the plants that are followed. */
function trialOf(shape: PlanShape, { strips, plants, rows, of }: PlanTrial) {
  if (shape.kind !== 'rectangle') return { strips: [], plants: [] };
  return {
    strips: stripsOf(shape, strips.length).map((points, i) => {
      const middle = { x: (points[0].x + points[2].x) / 2, y: (points[0].y + points[2].y) / 2 };
      return {
        number: i + 1,
        middle,
        isAlone: strips[i] === 'alone',
        path: pathOf({ kind: 'outline', points: points.map(({ x, y }) => [x, y]) }),
      };
    }),
    plants: plants.flatMap(({ plant, lags }) => {
      const spot = plantSpot(shape, rows, of, plant);
      return spot ? [{ plant, lags, spot }] : [];
    }),
  };
}
