import { ChangeDetectionStrategy, Component, computed, inject } from '@angular/core';
import { infectionPeriods, leafWetMinutes } from '@field-nurse/core/timing';
import { Garden } from '../gardens/garden';
import { Library } from '../library/library';
import { dayWord } from '../shared/days';
import { GardenWeather } from '../weather/garden-weather';

// An hour counts as wet from half of it on.
const wetMinutes = 30;

/** For each disease with a model whose plant grows here: on which of the days around today leaves were, or will be, wet for long enough. */
@Component({
  selector: 'fn-wet-spells',
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
      padding: 2px 4px;
      color: var(--fn-faint-ink);
      font-size: 0.8rem;
      font-weight: 400;
    }
    th[scope='row'] {
      padding: 4px 14px 4px 0;
      color: var(--fn-ink);
      font-size: 1rem;
      font-weight: 600;
      text-align: left;
      white-space: nowrap;
    }
    td {
      padding: 2px;
    }
    .today {
      border-left: 2px solid var(--fn-ink);
    }
    .bar {
      display: flex;
      align-items: end;
      width: 22px;
      height: 26px;
      background: var(--fn-raised);
      border-bottom: 1px solid var(--fn-line);
    }
    .bar span {
      width: 100%;
      background: var(--fn-water);
      opacity: 0.5;
    }
    .infected .bar span {
      background: var(--fn-madder);
      opacity: 1;
    }
  `,
  template: `
    @if (rows().length > 0) {
      <table>
        <thead>
          <tr>
            <td></td>
            @for (day of days(); track day) {
              <th scope="col" [class.today]="day === garden.today()">{{ +day.slice(8) }}</th>
            }
          </tr>
        </thead>
        <tbody>
          @for (row of rows(); track row.id) {
            <tr>
              <th scope="row">{{ row.name }}</th>
              @for (day of row.days; track day.date) {
                <td [class.infected]="day.infected" [class.today]="day.date === garden.today()" [title]="day.word">
                  <span class="bar" role="img" [attr.aria-label]="day.word"><span [style.height.%]="100 * day.severity"></span></span>
                </td>
              }
            </tr>
          }
        </tbody>
      </table>
      <p class="fn-small">
        Red: leaves stay wet for as long as it takes at that warmth. Look for it some days later; what protects must stand there before.
        Days after the line are forecast.
      </p>
    } @else {
      <p class="fn-small">
        No plant that grows here has a disease of which the library knows what wetness it needs, or there is no weather yet.
      </p>
    }
  `,
})
export class WetSpells {
  readonly #library = inject(Library);
  readonly #weather = inject(GardenWeather);
  protected readonly garden = inject(Garden);
  readonly #hours = computed(() =>
    [...this.#weather.measured(), ...this.#weather.forecast()].flatMap((hour) => {
      const minutes = leafWetMinutes(hour);
      return hour.temperatureC === null
        ? []
        : [
            {
              time: hour.at,
              ms: Date.parse(hour.at),
              temperatureC: hour.temperatureC,
              wet: minutes === null ? null : minutes >= wetMinutes,
            },
          ];
    }),
  );
  protected readonly days = computed(() => [...new Set(this.#hours().map(({ time }) => time.slice(0, 10)))]);
  protected readonly rows = computed(() => {
    const growing = new Set(
      this.garden
        .plantings()
        .filter(({ endedOn, setting }) => !endedOn && setting === 'outdoor')
        .map(({ host }) => host),
    );
    const hours = this.#hours();
    if (hours.length === 0) return [];
    return [...this.#library.conditions().values()].flatMap(({ id, name, infection, hosts }) => {
      if (!infection || ![...hosts.often, ...hosts.sometimes].some((host) => growing.has(host))) return [];
      const periods = infectionPeriods(hours, infection);
      const days = this.days().map((date) => {
        const own = periods.filter(({ start, end }) => start.slice(0, 10) <= date && date <= end.slice(0, 10));
        const worst = own.sort((a, b) => b.severity - a.severity)[0];
        const severity = worst?.severity ?? 0;
        const infected = worst?.infected ?? false;
        const wet = worst
          ? `wet for ${worst.wetHours} h${worst.needed === null ? ', at the wrong warmth' : `, ${Math.ceil(worst.needed)} h are enough`}`
          : 'dry';
        return { date, severity, infected, word: `${dayWord(date)}: ${wet}` };
      });
      return [{ id, name, days }];
    });
  });
}
