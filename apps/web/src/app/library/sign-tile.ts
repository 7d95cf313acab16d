import { ChangeDetectionStrategy, Component, inject, input } from '@angular/core';
import { RouterLink } from '@angular/router';
import type { LeafShape } from '../drawing/leaf';
import { Drawing } from '../drawing/drawing';
import { Garden } from '../gardens/garden';
import { Library } from './library';

/** A drawn sign with its name, as a link to its page. */
@Component({
  selector: 'fn-sign-tile',
  imports: [Drawing, RouterLink],
  changeDetection: ChangeDetectionStrategy.OnPush,
  styles: `
    a {
      display: grid;
      gap: 4px;
      height: 100%;
      padding: 8px;
      align-content: start;
      border: 1px solid var(--fn-line);
      border-radius: var(--fn-radius);
      background: var(--fn-raised);
      color: inherit;
      text-decoration: none;
      font-size: 0.875rem;
      line-height: 1.25;
    }
    a:hover {
      border-color: var(--fn-green);
    }
    fn-drawing {
      width: min(100%, 92px);
      justify-self: center;
    }
    small {
      color: var(--fn-faint-ink);
    }
    a.flat {
      grid-template-columns: 52px minmax(0, 1fr);
      gap: 0 10px;
      padding: 4px 8px;
      align-content: center;
    }
    .flat fn-drawing {
      grid-row: span 2;
      width: 52px;
    }
    .flat span {
      align-self: center;
    }
  `,
  template: `
    @if (library.signs().get(sign()); as one) {
      <a [class.flat]="flat()" [routerLink]="['/g', garden.summary().id, 'library', 'signs', one.id]">
        <fn-drawing [organ]="one.drawing.organ" [mark]="one.drawing.mark" [leaf]="leaf()" />
        <span>{{ one.name }}</span>
        @if (note()) {
          <small>{{ note() }}</small>
        }
      </a>
    }
  `,
})
export class SignTile {
  protected readonly garden = inject(Garden);
  protected readonly library = inject(Library);
  /** id of the sign */
  readonly sign = input.required<string>();
  /** a word below the name */
  readonly note = input('');
  readonly leaf = input<LeafShape>('ovate');
  /** name beside the drawing rather than below it */
  readonly flat = input(false);
}
