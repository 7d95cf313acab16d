import { afterRenderEffect, ChangeDetectionStrategy, Component, computed, ElementRef, input, model, viewChild } from '@angular/core';
import type { LeafReading, Picture } from '@field-nurse/core/leaf';

/** Two points of a picture between which the length is known, in pixels of the picture. */
export interface Ruler {
  readonly from: readonly [number, number];
  readonly to: readonly [number, number];
}

/** Colours of the overlay, red green blue opacity: eaten, discoloured, and the outline of both. */
const colours: Readonly<Record<number, readonly [number, number, number, number]>> = {
  2: [214, 158, 20, 150],
  3: [170, 20, 40, 165],
};

/** The photo with what was found in it laid over, and a ruler to drag. */
@Component({
  selector: 'fn-leaf-view',
  changeDetection: ChangeDetectionStrategy.OnPush,
  styles: `
    :host {
      position: relative;
      display: block;
      border: var(--fn-stroke) solid var(--fn-line);
      border-radius: var(--fn-radius);
      overflow: hidden;
      background: var(--fn-sunk);
    }
    canvas {
      display: block;
      width: 100%;
    }
    .overlay {
      position: absolute;
      inset: 0;
      height: 100%;
      image-rendering: pixelated;
    }
    svg {
      position: absolute;
      inset: 0;
      width: 100%;
      height: 100%;
      touch-action: none;
    }
    line {
      stroke: #fff;
      stroke-width: 6;
      paint-order: stroke;
    }
    .thin {
      stroke: #20271f;
      stroke-width: 2;
      stroke-dasharray: 8 6;
    }
    circle {
      fill: rgb(255 255 255 / 0.5);
      stroke: #20271f;
      stroke-width: 3;
      cursor: grab;
    }
    circle:focus-visible {
      stroke-width: 6;
    }
  `,
  template: `
    <canvas #photo role="img" [attr.aria-label]="label()"></canvas>
    @if (reading(); as reading) {
      <canvas #overlay class="overlay" aria-hidden="true" [hidden]="!showOverlay()"></canvas>
    }
    @if (ruler(); as ruler) {
      <svg #svg [attr.viewBox]="'0 0 ' + picture().width + ' ' + picture().height">
        <line [attr.x1]="ruler.from[0]" [attr.y1]="ruler.from[1]" [attr.x2]="ruler.to[0]" [attr.y2]="ruler.to[1]" />
        <line class="thin" [attr.x1]="ruler.from[0]" [attr.y1]="ruler.from[1]" [attr.x2]="ruler.to[0]" [attr.y2]="ruler.to[1]" />
        @for (end of ends; track end) {
          <circle
            role="button"
            tabindex="0"
            [attr.aria-label]="'End of the ruler, ' + (end === 'from' ? 'first' : 'second') + '; arrow keys move it'"
            [attr.cx]="ruler[end][0]"
            [attr.cy]="ruler[end][1]"
            [attr.r]="gripRadius()"
            (pointerdown)="grab($event)"
            (pointermove)="drag($event, end)"
            (keydown)="step($event, end)"
          />
        }
      </svg>
    }
  `,
})
export class LeafView {
  readonly picture = input.required<Picture>();
  readonly reading = input<LeafReading | null>(null);
  readonly showOverlay = input(true);
  readonly label = input('The leaf');
  readonly ruler = model<Ruler | null>(null);
  protected readonly ends = ['from', 'to'] as const;
  protected readonly gripRadius = computed(() => Math.max(this.picture().width, this.picture().height) / 28);
  protected readonly photo = viewChild.required<ElementRef<HTMLCanvasElement>>('photo');
  protected readonly overlay = viewChild<ElementRef<HTMLCanvasElement>>('overlay');
  protected readonly svg = viewChild<ElementRef<SVGSVGElement>>('svg');

  constructor() {
    afterRenderEffect(() => {
      const { width, height, data } = this.picture();
      const canvas = this.photo().nativeElement;
      canvas.width = width;
      canvas.height = height;
      canvas.getContext('2d')!.putImageData(new ImageData(new Uint8ClampedArray(data), width, height), 0, 0);
    });
    afterRenderEffect(() => {
      const [canvas, reading] = [this.overlay()?.nativeElement, this.reading()];
      if (!canvas || !reading) return;
      canvas.width = reading.width;
      canvas.height = reading.height;
      canvas.getContext('2d')!.putImageData(new ImageData(colour(reading), reading.width, reading.height), 0, 0);
    });
  }

  protected grab(event: PointerEvent): void {
    event.preventDefault();
    (event.target as Element).setPointerCapture(event.pointerId);
  }

  protected drag(event: PointerEvent, end: 'from' | 'to'): void {
    if (!(event.target as Element).hasPointerCapture(event.pointerId)) return;
    const { left, top, width, height } = this.svg()!.nativeElement.getBoundingClientRect();
    const { picture } = this;
    this.#set(end, ((event.clientX - left) / width) * picture().width, ((event.clientY - top) / height) * picture().height);
  }

  protected step(event: KeyboardEvent, end: 'from' | 'to'): void {
    const by = event.shiftKey ? 20 : 2;
    const move = { ArrowLeft: [-by, 0], ArrowRight: [by, 0], ArrowUp: [0, -by], ArrowDown: [0, by] }[event.key];
    if (!move) return;
    event.preventDefault();
    const [x, y] = this.ruler()![end];
    this.#set(end, x + move[0]!, y + move[1]!);
  }

  #set(end: 'from' | 'to', x: number, y: number): void {
    const { width, height } = this.picture();
    const point = [Math.min(width, Math.max(0, x)), Math.min(height, Math.max(0, y))] as const;
    this.ruler.set({ ...this.ruler()!, [end]: point });
  }
}

/** The overlay as pixels: damage washed over, the outline of the whole blade as a dark line. */
function colour({ overlay, width, height }: LeafReading): Uint8ClampedArray<ArrayBuffer> {
  const data = new Uint8ClampedArray(width * height * 4);
  for (let i = 0; i < overlay.length; i++) {
    const x = i % width;
    const edge =
      overlay[i] !== 0 && [x > 0 ? i - 1 : i, x < width - 1 ? i + 1 : i, i - width, i + width].some((near) => (overlay[near] ?? 0) === 0);
    const pixel = edge ? ([20, 30, 20, 230] as const) : colours[overlay[i]!];
    if (pixel) data.set(pixel, i * 4);
  }
  return data;
}
