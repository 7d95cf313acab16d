import { ChangeDetectionStrategy, Component, computed, inject } from '@angular/core';
import { MatButtonModule } from '@angular/material/button';
import { RouterLink } from '@angular/router';
import type { TableName } from '@field-nurse/contract';
import { Garden } from '../gardens/garden';

const lists: readonly (readonly [TableName, string])[] = [
  ['treatments', 'Treatments'],
  ['cases', 'Cases'],
  ['looks', 'Looks'],
  ['finds', 'Finds of rounds'],
  ['harvests', 'Harvests'],
  ['catches', 'Trap catches'],
  ['plantings', 'Plantings'],
  ['places', 'Places'],
  ['products', 'Products'],
  ['stock', 'Stock'],
  ['plans', 'Planned rounds'],
  ['prevention', 'Prevention'],
  ['ground', 'Resting ground'],
  ['removals', 'Removals'],
  ['leaves', 'Measured leaves'],
  ['lessons', 'Lessons'],
  ['drills', 'Drills'],
];

/** The garden's lists for a spreadsheet, and the way for lists that were kept in one. */
@Component({
  selector: 'fn-lists-panel',
  imports: [RouterLink, MatButtonModule],
  changeDetection: ChangeDetectionStrategy.OnPush,
  styles: `
    section {
      display: grid;
      gap: 14px;
    }
    ul {
      display: flex;
      flex-wrap: wrap;
      gap: 4px 20px;
      margin: 0;
      padding: 0;
      list-style: none;
    }
    a {
      display: inline-flex;
      align-items: center;
      min-height: 44px;
    }
  `,
  template: `
    <section class="fn-panel" aria-labelledby="lists">
      <h2 id="lists">Lists for a spreadsheet</h2>
      <p>Each as CSV, all years, oldest first.</p>
      <ul>
        @for (list of lists; track list[0]) {
          <li>
            <a [href]="base() + list[0]" download>{{ list[1] }}</a>
          </li>
        }
      </ul>
      @if (garden.canWrite()) {
        <p>What you have kept in a spreadsheet so far can come here: sprays, finds, harvests, catches, stock.</p>
        <div class="fn-actions"><a matButton="outlined" [routerLink]="['/g', garden.summary().id, 'bring-in']">Bring in a list</a></div>
      }
    </section>
  `,
})
export class ListsPanel {
  protected readonly garden = inject(Garden);
  protected readonly lists = lists;
  protected readonly base = computed(() => `/api/v1/gardens/${this.garden.summary().id}/tables/`);
}
