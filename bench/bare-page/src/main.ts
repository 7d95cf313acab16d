// The least that a page of this kind loads: Angular, a Material toolbar with a button and an icon, router, http, and an NgRx store with
// effects, entities and signals. The product's first transfer is measured against it.
import { HttpClient, provideHttpClient } from '@angular/common/http';
import { ChangeDetectionStrategy, Component, inject, provideZonelessChangeDetection } from '@angular/core';
import { MatButtonModule } from '@angular/material/button';
import { MatIconModule } from '@angular/material/icon';
import { MatToolbarModule } from '@angular/material/toolbar';
import { bootstrapApplication } from '@angular/platform-browser';
import { provideRouter, RouterOutlet } from '@angular/router';
import { Actions, createEffect, ofType, provideEffects } from '@ngrx/effects';
import { createEntityAdapter } from '@ngrx/entity';
import { patchState, signalStore, withMethods, withState } from '@ngrx/signals';
import { createAction, createReducer, on, props, provideStore, Store } from '@ngrx/store';
import { map } from 'rxjs';

const asked = createAction('asked');
const came = createAction('came', props<{ id: string }>());
const adapter = createEntityAdapter<{ id: string }>();
const things = createReducer(
  adapter.getInitialState(),
  on(came, (state, { id }) => adapter.upsertOne({ id }, state)),
);
const ask = createEffect(
  (actions = inject(Actions)) =>
    actions.pipe(
      ofType(asked),
      map(() => came({ id: 'one' })),
    ),
  { functional: true },
);
const Count = signalStore(
  { providedIn: 'root' },
  withState({ count: 0 }),
  withMethods((store) => ({ more: () => patchState(store, ({ count }) => ({ count: count + 1 })) })),
);

@Component({
  selector: 'bare-page',
  imports: [RouterOutlet, MatButtonModule, MatIconModule, MatToolbarModule],
  changeDetection: ChangeDetectionStrategy.OnPush,
  template: `
    <mat-toolbar>
      <button matButton type="button" (click)="more()"><mat-icon>add</mat-icon>{{ count.count() }}</button>
    </mat-toolbar>
    <router-outlet />
  `,
})
class BarePage {
  readonly #http = inject(HttpClient);
  readonly #store = inject(Store);
  protected readonly count = inject(Count);

  protected more(): void {
    this.count.more();
    this.#store.dispatch(asked());
    this.#http.get('/nothing').subscribe();
  }
}

bootstrapApplication(BarePage, {
  providers: [provideZonelessChangeDetection(), provideHttpClient(), provideRouter([]), provideStore({ things }), provideEffects({ ask })],
}).catch((error: unknown) => console.error(error));
