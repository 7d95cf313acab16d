import { ChangeDetectionStrategy, Component, computed, inject, input } from '@angular/core';
import { Library } from '../library/library';
import type { PressureRow } from './almanac-rows';

const months = ['Jan', 'Feb', 'Mar', 'Apr', 'May', 'Jun', 'Jul', 'Aug', 'Sep', 'Oct', 'Nov', 'Dec'];

/** In which months each kind of plant has been pressed, over all years: the fuller the square, the more it had. */
@Component({
  selector: 'fn-pressure-calendar',
  changeDetection: ChangeDetectionStrategy.OnPush,
  // It may be wider than a phone: keys scroll it as well.
  host: { tabindex: '0' },
  styles: `
    :host {
      display: block;
      overflow-x: auto;
    }
    table {
      border-collapse: collapse;
    }
    th {
      padding: 2px 6px;
      font-size: 0.86rem;
      font-weight: 400;
      color: var(--fn-faint-ink);
    }
    th[scope='row'] {
      padding: 4px 14px 4px 0;
      color: var(--fn-ink);
      font-weight: 600;
      text-align: left;
      white-space: nowrap;
    }
    td {
      width: 40px;
      height: 34px;
      padding: 2px;
      text-align: center;
    }
    .box {
      display: grid;
      place-items: center;
      height: 30px;
      border: 1px solid var(--fn-line);
      background: var(--fn-raised);
    }
    .fill {
      background: var(--fn-madder);
    }
  `,
  template: `
    <table>
      <thead>
        <tr>
          <td></td>
          @for (month of months; track month) {
            <th scope="col">{{ month }}</th>
          }
        </tr>
      </thead>
      <tbody>
        @for (row of drawn(); track row.host) {
          <tr>
            <th scope="row">{{ row.name }}</th>
            @for (month of row.months; track $index) {
              <td>
                <span class="box" role="img" [attr.aria-label]="month.word" [title]="month.word">
                  <span class="fill" [style.width.px]="month.size" [style.height.px]="month.size"></span>
                </span>
              </td>
            }
          </tr>
        }
      </tbody>
    </table>
  `,
})
export class PressureCalendar {
  readonly #library = inject(Library);
  readonly rows = input.required<readonly PressureRow[]>();
  protected readonly months = months;
  protected readonly drawn = computed(() => {
    const most = Math.max(0.01, ...this.rows().flatMap(({ months: all }) => all));
    return this.rows().map(({ host, months: all }) => ({
      host,
      name: this.#library.hostName(host),
      // The area tells how much.
      months: all.map((one) => ({ size: one === 0 ? 0 : Math.max(4, 26 * Math.sqrt(one / most)), word: wordOf(one / most) })),
    }));
  });
}

const wordOf = (share: number) => (share === 0 ? 'nothing' : share < 0.2 ? 'a little' : share < 0.6 ? 'some' : 'much');
