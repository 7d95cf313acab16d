import { ChangeDetectionStrategy, Component, computed, inject, input } from '@angular/core';
import { cautionsOf } from '@field-nurse/library/texts';
import { protectWords, rungWords, settingWords } from '../shared/words';
import { Drawing } from '../drawing/drawing';
import { Disputes } from './disputes';
import { EntryLink } from '../library/entry-link';
import { Library } from '../library/library';

const monthNames = Array.from({ length: 12 }, (_, month) =>
  new Intl.DateTimeFormat('en', { month: 'long', timeZone: 'UTC' }).format(new Date(Date.UTC(2001, month))),
);
const soldWords = {
  amateur: 'Sold to gardeners in most places',
  varies: 'Sold to gardeners in some places: check that it may be used where you are',
  professional: 'Sold to professionals only in most places',
} as const;

/** Something that can be done: how, within which limits, and against what. */
@Component({
  selector: 'fn-intervention-entry',
  imports: [Disputes, Drawing, EntryLink],
  changeDetection: ChangeDetectionStrategy.OnPush,
  styleUrl: './entry.scss',
  template: `
    <header>
      <h1>{{ one().name }}</h1>
      <p class="fn-small">
        {{ rungs[one().rung]?.word }}
        @if (one().names.length > 0) {
          · also called {{ one().names.join(', ') }}
        }
      </p>
      <p class="lead">{{ one().summary }}</p>
    </header>
    @if (one().restricted) {
      <p class="fn-stop"><strong>Licensed people only.</strong> Field Nurse gives no mixing instruction for it.</p>
    }
    @if (one().dont) {
      <p class="fn-stop"><strong>Don’t.</strong> People try it, and should not.</p>
    }
    @for (line of cautions(); track line) {
      <p class="fn-care">{{ line }}</p>
    }
    <div class="columns">
      <section aria-labelledby="how">
        <h2 id="how">How</h2>
        @if (one().drawing; as mark) {
          <fn-drawing class="shown" organ="handwork" [mark]="mark" />
        }
        <ol class="steps">
          @for (step of one().steps; track $index) {
            <li>{{ step }}</li>
          }
        </ol>
        @if (one().contactMinutes; as minutes) {
          <p>Let it act for {{ minutes }} {{ minutes === 1 ? 'minute' : 'minutes' }}, by the clock.</p>
        }
        @if (one().protect.length > 0) {
          <p>Wear or have: {{ protect() }}.</p>
        }
      </section>
      <section aria-labelledby="limits">
        <h2 id="limits">Limits <span class="fn-small">typical; the label in your hand wins</span></h2>
        <ul class="plain">
          @for (line of limits(); track line) {
            <li>{{ line }}</li>
          }
        </ul>
      </section>
    </div>
    <section aria-labelledby="against">
      <h2 id="against">Used against</h2>
      <ul class="names">
        @for (use of usedAgainst(); track use.id) {
          <li>
            <fn-entry-link kind="conditions" [entry]="use.id" /> <span class="fn-small">{{ use.efficacy[0] }}–{{ use.efficacy[1] }} %</span>
          </li>
        }
      </ul>
    </section>
    <fn-disputes [disputes]="one().disputes" />
  `,
})
export class InterventionEntry {
  readonly #library = inject(Library);
  /** id of the intervention */
  readonly entry = input.required<string>();
  protected readonly rungs = rungWords;
  protected readonly one = computed(() => this.#library.interventions().get(this.entry())!);
  protected readonly protect = computed(() =>
    this.one()
      .protect.map((id) => protectWords[id])
      .join(', '),
  );
  protected readonly usedAgainst = computed(() =>
    (this.#library.index()?.conditions ?? []).flatMap(({ id, treat }) =>
      treat.filter(({ intervention }) => intervention === this.entry()).map(({ efficacy }) => ({ id, efficacy })),
    ),
  );
  protected readonly cautions = computed(() => cautionsOf(this.one(), 'outdoor'));
  protected readonly limits = computed(() => {
    const one = this.one();
    const hosts = one.harmsHosts.map(({ host, why }) => `${this.#library.hostName(host)}: ${why}`);
    const apart = one.apartFrom.map(
      ({ intervention, days, why }) => `${days} days apart from ${this.#library.interventionName(intervention)}: ${why}`,
    );
    return [
      one.settings.length < 4 && `For ${one.settings.map((setting) => settingWords[setting]?.toLowerCase()).join(', ')}`,
      one.onlyHosts.length > 0 && `For ${one.onlyHosts.map((id) => this.#library.hostName(id).toLowerCase()).join(', ')} only`,
      one.when === 'dormant' && 'On bare wood only',
      one.months && `In ${one.months.map((month) => monthNames[month - 1]).join(', ')} (northern months)`,
      one.soilC && `Soil between ${one.soilC.min} and ${one.soilC.max} °C`,
      one.releaseDose &&
        `${one.releaseDose.low} to ${one.releaseDose.high} to ${one.releaseDose.per === 'm2' ? 'a square metre' : 'a plant'}`,
      one.temperatureC && `Air between ${one.temperatureC.min} and ${one.temperatureC.max} °C`,
      one.repeatDays && `Repeat after ${one.repeatDays[0]} to ${one.repeatDays[1]} days`,
      one.seasonMax && `At most ${one.seasonMax} a season`,
      one.preHarvestDays > 0 && `${one.preHarvestDays} days to harvest, the longest that is usual: read your label`,
      ...one.preHarvestOn.map(({ host, days }) => `${days} days to harvest on ${this.#library.hostName(host).toLowerCase()}`),
      !one.onEaten && 'Not on what is eaten',
      one.reEntryHours > 0 && `Keep out for ${one.reEntryHours} hours`,
      one.rainFastHours !== undefined && `Needs ${one.rainFastHours} hours without rain`,
      one.modeOfAction && `Mode of action: ${one.modeOfAction.scheme} ${one.modeOfAction.group}`,
      one.bees !== 'none' && `Bees: ${one.bees === 'serious' ? 'deadly, never on open flowers' : 'some harm, spray at dusk'}`,
      one.helpers !== 'none' && `Helpers: ${one.helpers === 'serious' ? 'kills them too' : 'some harm'}`,
      one.daysBeforeFlower > 0 && `Not within ${one.daysBeforeFlower} days before flowering`,
      one.water !== 'none' && `Water: ${one.water === 'serious' ? 'poisons ponds and ditches' : 'keep it out of ponds'}`,
      one.animals !== 'none' && `Animals: ${one.animals === 'serious' ? 'deadly to some' : 'keep pets off it'}`,
      ...one.kills.map(
        ({ what, days }) => `Kills ${what === 'animals' ? 'predators that were set out' : 'friendly fungi and bacteria'} for ${days} days`,
      ),
      one.sold && soldWords[one.sold],
      !one.organic && 'Not organic',
      one.rate &&
        `Rate: ${one.rate.amount} ${one.rate.unit} of ${one.rate.product} (${one.rate.strength.amount} ${one.rate.strength.unit === 'percent' ? '%' : one.rate.strength.unit}) to ${one.rate.per.amount} ${one.rate.per.unit}. ${one.rate.basis}`,
      ...hosts,
      ...apart,
    ].filter((line): line is string => typeof line === 'string');
  });
}
