import { ChangeDetectionStrategy, Component, computed, inject } from '@angular/core';
import { RouterLink } from '@angular/router';
import { MatButtonModule } from '@angular/material/button';
import { PreventionWalk } from './prevention-walk';
import { TaskPlaces } from './task-places';

/** The prevention walk: place by place, what keeps trouble from coming, each with its day. */
@Component({
  selector: 'fn-prevention-page',
  imports: [RouterLink, MatButtonModule, TaskPlaces],
  changeDetection: ChangeDetectionStrategy.OnPush,
  template: `
    <div class="fn-page">
      <div class="fn-head">
        <div>
          <h1>Prevention walk</h1>
          <p>{{ summary() }}</p>
        </div>
      </div>
      <fn-task-places [walk]="walk()" />
      @if (walk().length === 0) {
        <div class="fn-empty">
          <h2>Nothing to walk to yet</h2>
          <p>Add a place; then this says what to look at there, when, and what it prevents.</p>
          <a matButton="filled" routerLink="../ground/new-place">Add a place</a>
        </div>
      }
    </div>
  `,
})
export class PreventionPage {
  readonly #walk = inject(PreventionWalk);
  protected readonly walk = this.#walk.places;
  protected readonly summary = computed(() => {
    const due = this.#walk.due();
    const places = this.walk().filter((one) => one.due > 0).length;
    if (due === 0) return 'Nothing is due today. What was looked at comes round again by itself.';
    return `${due} ${due === 1 ? 'thing' : 'things'} to look at in ${places} ${places === 1 ? 'place' : 'places'}. What was looked at comes round again by itself.`;
  });
}
