import { ChangeDetectionStrategy, Component, computed, input } from '@angular/core';

const monthNames = Array.from({ length: 12 }, (_, i) =>
  new Intl.DateTimeFormat('en', { month: 'long', timeZone: 'UTC' }).format(Date.UTC(2026, i, 1)),
);

/** The twelve months, those in season filled. */
@Component({
  selector: 'fn-season-strip',
  changeDetection: ChangeDetectionStrategy.OnPush,
  styles: `
    ol {
      display: grid;
      grid-template-columns: repeat(12, minmax(0, 1fr));
      gap: 2px;
      max-width: 420px;
      list-style: none;
    }
    li {
      padding: 4px 0;
      border-radius: 3px;
      background: var(--fn-sunk);
      color: var(--fn-faint-ink);
      font-size: 0.78rem;
      text-align: center;
    }
    .on {
      background: var(--fn-green);
      color: var(--fn-on-green);
      font-weight: 650;
    }
  `,
  template: `
    <ol>
      @for (month of strip(); track month.name) {
        <li [class.on]="month.on">
          <span aria-hidden="true">{{ month.letter }}</span><span class="fn-hidden"
            >{{ month.name }}: {{ month.on ? 'in season' : 'not in season' }}</span
          >
        </li>
      }
    </ol>
  `,
})
export class SeasonStrip {
  /** months of the northern hemisphere, 1 to 12 */
  readonly months = input.required<readonly number[]>();
  readonly south = input(false);
  protected readonly strip = computed(() =>
    monthNames.map((name, i) => {
      const northern = this.south() ? ((i + 6) % 12) + 1 : i + 1;
      return { name, letter: name.charAt(0), on: this.months().includes(northern) };
    }),
  );
}
