import { ChangeDetectionStrategy, Component, computed, input } from '@angular/core';
import type { CasePart } from '@field-nurse/contract';

const width = 360;

/** The strips of a planting from one end to the other: which are treated, and which are left alone. */
@Component({
  selector: 'fn-strip-drawing',
  changeDetection: ChangeDetectionStrategy.OnPush,
  styles: `
    svg {
      width: 100%;
      max-width: 460px;
    }
    rect {
      fill: var(--fn-green-wash);
      stroke: var(--fn-green);
      stroke-width: 1.5;
    }
    .alone {
      fill: var(--fn-raised);
      stroke: var(--fn-faint-ink);
      stroke-dasharray: 4 3;
    }
    text {
      fill: var(--fn-ink);
      font: 600 13px var(--fn-text);
      text-anchor: middle;
    }
  `,
  template: `
    <svg viewBox="0 0 360 52" role="img" [attr.aria-label]="label()">
      @for (strip of strips(); track strip.number) {
        <rect y="2" height="48" rx="3" [class.alone]="strip.isAlone" [attr.x]="strip.x" [attr.width]="strip.width" />
        <text y="31" [attr.x]="strip.x + strip.width / 2">{{ strip.number }}</text>
      }
    </svg>
  `,
})
export class StripDrawing {
  readonly parts = input.required<readonly CasePart[]>();
  protected readonly strips = computed(() => {
    const all = this.parts()
      .flatMap(({ strips, intervention, name }) => strips.map((number) => ({ number, isAlone: intervention === null, name })))
      .sort((a, b) => a.number - b.number);
    const own = width / Math.max(1, all.length);
    return all.map((strip, i) => ({ ...strip, x: i * own + 1, width: own - 4 }));
  });
  protected readonly label = computed(() =>
    this.strips()
      .map(({ number, name }) => `strip ${number}: ${name}`)
      .join(', '),
  );
}
