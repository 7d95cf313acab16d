import { ChangeDetectionStrategy, Component, computed, input } from '@angular/core';
import type { Product } from '@field-nurse/contract';

interface Pack {
  /** the vessel, and the part of it that is filled: from the ground up to `top` */
  readonly body: string;
  readonly top: number;
  readonly details: string;
}

const ground = 92;
const bag: Pack = {
  body: 'M22 24 Q21 58 17 88 Q18 92 22 92 L62 92 Q66 92 67 88 Q63 58 62 24 Z',
  top: 34,
  details: 'M22 24 Q32 28 42 24 T62 24 M24 18 L60 18 L62 24 L22 24 Z M27 34 Q26 60 23 84',
};
const tub: Pack = {
  body: 'M18 36 L22 88 Q22 92 27 92 L57 92 Q62 92 62 88 L66 36 Z',
  top: 42,
  details: 'M15 28 L69 28 L69 36 L15 36 Z M26 28 Q42 8 58 28',
};
const packs: Readonly<Record<Product['form'], Pack>> = {
  liquid: {
    body: 'M32 26 Q32 34 24 40 Q20 43 20 50 L20 86 Q20 92 26 92 L58 92 Q64 92 64 86 L64 50 Q64 43 60 40 Q52 34 52 26 Z',
    top: 36,
    details: 'M34 10 L50 10 L50 20 L34 20 Z M32 20 L52 20 L52 26 L32 26 Z M27 56 L27 80',
  },
  powder: bag,
  granules: tub,
  bait: {
    body: 'M16 40 L68 40 L68 92 L16 92 Z',
    top: 46,
    details: 'M16 40 L24 26 L76 26 L68 40 M68 92 L76 76 L76 26 M30 92 L30 82 L42 82 L42 92',
  },
  paste: tub,
  living: {
    body: 'M18 30 L66 30 L66 92 L18 92 Z',
    top: 40,
    details: 'M18 30 Q42 20 66 30 M42 14 L42 25 M38 14 Q42 8 46 14 M30 30 L30 34 M54 30 L54 34',
  },
  other: tub,
};

/** A pack as it stands on the shelf, filled to what is left of it. */
@Component({
  selector: 'fn-pack-drawing',
  changeDetection: ChangeDetectionStrategy.OnPush,
  styles: `
    :host {
      display: block;
    }
    svg {
      display: block;
      width: 100%;
    }
    .body {
      fill: var(--fn-raised);
    }
    .fill {
      fill: var(--fn-green-wash);
    }
    .out .fill {
      fill: var(--fn-ochre-wash);
    }
    .line {
      fill: none;
      stroke: var(--fn-ink);
      stroke-width: 2;
      stroke-linejoin: round;
      stroke-linecap: round;
    }
    .level {
      stroke: var(--fn-green);
      stroke-width: 2.5;
    }
    .out .level {
      stroke: var(--fn-ochre);
    }
  `,
  template: `
    <svg viewBox="8 4 72 92" aria-hidden="true" [class.out]="out()">
      <clipPath [attr.id]="clip"><path [attr.d]="pack().body" /></clipPath>
      <path class="body" [attr.d]="pack().body" />
      @if (level() !== null) {
        <g [attr.clip-path]="'url(#' + clip + ')'">
          <rect class="fill" x="0" width="90" [attr.y]="surface()" height="100" />
          <path class="level" [attr.d]="'M0 ' + surface() + ' L90 ' + surface()" />
        </g>
      }
      <path class="line" [attr.d]="pack().body" />
      <path class="line" [attr.d]="pack().details" />
    </svg>
  `,
})
export class PackDrawing {
  readonly form = input.required<Product['form']>();
  /** 0 to 1; nothing where it is not known */
  readonly level = input<number | null>(null);
  /** may not be used any more */
  readonly out = input(false);
  protected readonly clip = `pack-${crypto.randomUUID()}`;
  protected readonly pack = computed(() => packs[this.form()]);
  protected readonly surface = computed(() => {
    const { top } = this.pack();
    const level = Math.min(1, Math.max(0, this.level() ?? 0));
    return ground - level * (ground - top);
  });
}
