import { ChangeDetectionStrategy, Component, computed, inject, input } from '@angular/core';
import { RouterLink } from '@angular/router';
import { Garden } from '../gardens/garden';
import { Library } from './library';

/** The planting by name: plant, cultivar, place. */
@Component({
  selector: 'fn-planting-title',
  imports: [RouterLink],
  changeDetection: ChangeDetectionStrategy.OnPush,
  styles: `
    span {
      color: var(--fn-faint-ink);
    }
    a {
      color: inherit;
      text-decoration-color: var(--fn-line);
    }
  `,
  template: `
    @if (known(); as one) {
      <a [routerLink]="['/g', garden.summary().id, 'plantings', one.id]">{{ library.hostName(one.host) }}</a>
      <span> {{ one.cultivar }}{{ one.cultivar ? ' · ' : '' }}{{ garden.place(one.placeId)?.name }}</span>
    }
  `,
})
export class PlantingTitle {
  protected readonly garden = inject(Garden);
  protected readonly library = inject(Library);
  readonly planting = input.required<string>();
  protected readonly known = computed(() => this.garden.planting(this.planting()));
}
