import { ChangeDetectionStrategy, Component, computed, inject } from '@angular/core';
import { MatButtonModule } from '@angular/material/button';
import { RouterLink } from '@angular/router';
import type { Planting } from '../gardens/plantings-now';
import { Garden } from '../gardens/garden';
import { Library } from '../library/library';
import { StatusMark } from '../gardens/status-mark';
import { CompanionsPanel } from './companions-panel';
import { PlanView } from './ground-plan-view';
import { placeKindWords, settingWords } from '../shared/words';

/** The ground: its plan, and its places with what grows in each. */
@Component({
  selector: 'fn-ground-page',
  imports: [CompanionsPanel, RouterLink, MatButtonModule, PlanView, StatusMark],
  changeDetection: ChangeDetectionStrategy.OnPush,
  styleUrl: './ground-page.scss',
  template: `
    <div class="fn-page">
      <div class="fn-head">
        <div>
          <h1>Ground</h1>
          <p>{{ count() }}</p>
        </div>
        @if (garden.canWrite() && garden.places().length > 0) {
          <div class="fn-actions">
            <a matButton routerLink="../ground/list">Write a list</a>
            <a matButton="outlined" routerLink="../ground/new-place">New place</a>
            <a matButton="filled" routerLink="../ground/new-planting">New planting</a>
          </div>
        }
      </div>
      @if (garden.places().length > 0) {
        <fn-plan-view />
      }
      <div class="places">
        @for (one of places(); track one.place.id) {
          <section class="fn-panel" [attr.aria-labelledby]="one.place.id">
            <h2 [id]="one.place.id">
              <a [routerLink]="['../ground/places', one.place.id]">{{ one.place.name }}</a>
            </h2>
            <p class="fn-small">
              {{ kinds[one.place.kind] }} · {{ settings[one.place.setting] }}{{ one.place.areaM2 ? ' · ' + one.place.areaM2 + ' m²' : '' }}
            </p>
            <ul>
              @for (planting of one.plantings; track planting.id) {
                <li>
                  <span class="who"
                    ><a [routerLink]="['../plantings', planting.id]">{{ library.hostName(planting.host) }}</a> {{ planting.cultivar }}</span
                  >
                  <span class="fn-small">{{ planting.plants }}{{ planting.inFlower ? ' · in flower' : '' }}</span>
                  @for (id of openCases().get(planting.id) ?? []; track id) {
                    <a class="case" [routerLink]="['../cases', id]"><fn-status-mark [case]="id" /></a>
                  }
                </li>
              } @empty {
                <li class="fn-small">Nothing grows here now.</li>
              }
            </ul>
            @if (one.place.note) {
              <p class="fn-small">{{ one.place.note }}</p>
            }
          </section>
        } @empty {
          <div class="fn-empty">
            <h2>What grows where?</h2>
            <p>Write all of it as a list, or begin with one place: a bed, a bench or a windowsill.</p>
            <div class="fn-actions">
              <a matButton="filled" routerLink="../ground/list">Write a list of what grows</a>
              <a matButton="outlined" routerLink="../ground/new-place">Add the first place</a>
            </div>
          </div>
        }
      </div>
      <fn-companions-panel />
    </div>
  `,
})
export class GroundPage {
  protected readonly garden = inject(Garden);
  protected readonly library = inject(Library);
  protected readonly kinds = placeKindWords;
  protected readonly settings = settingWords;

  readonly #growing = computed(() => this.garden.plantings().filter(({ endedOn }) => !endedOn));

  protected readonly places = computed(() =>
    this.garden
      .places()
      .filter(({ endedOn }) => !endedOn)
      .map((place) => ({
        place,
        plantings: this.#growing()
          .filter(({ placeId }) => placeId === place.id)
          .sort(byHost),
      }))
      .sort((a, b) => a.place.name.localeCompare(b.place.name)),
  );

  protected readonly openCases = computed(() => {
    const cases = new Map<string, string[]>();
    for (const { id, plantingId, closedOn } of this.garden.cases())
      if (!closedOn) cases.set(plantingId, [...(cases.get(plantingId) ?? []), id]);
    return cases;
  });

  protected readonly count = computed(() => {
    const [places, plantings] = [this.places().length, this.#growing().length];
    return `${places} ${places === 1 ? 'place' : 'places'}, ${plantings} ${plantings === 1 ? 'planting' : 'plantings'} in growth`;
  });
}

const byHost = (a: Planting, b: Planting) => a.host.localeCompare(b.host) || a.cultivar.localeCompare(b.cultivar);
