import { ChangeDetectionStrategy, Component, computed, inject, signal } from '@angular/core';
import { MatButtonModule } from '@angular/material/button';
import { RouterLink } from '@angular/router';
import type { Trap } from '@field-nurse/contract';
import { spotNow } from '@field-nurse/core/sampling';
import { ApiError } from '../api/api-error';
import { Garden } from '../gardens/garden';
import { Records } from '../gardens/records';
import { addDays } from '@field-nurse/core/timing';
import { fromToday } from '../shared/days';
import { Stepper } from '../shared/stepper';
import { PreventionWalk } from './prevention-walk';
import { TaskPlaces } from './task-places';

const usual: Readonly<Partial<Record<Trap['kind'], string>>> = { snap: 'rats or mice', fly: 'flies' };

/** Around the plants: traps by spot, the store, the animals, the mulch; a short round of its own. */
@Component({
  selector: 'fn-around-page',
  imports: [MatButtonModule, RouterLink, Stepper, TaskPlaces],
  changeDetection: ChangeDetectionStrategy.OnPush,
  styles: `
    .traps {
      display: grid;
      gap: 0;
      list-style: none;
    }
    .traps li {
      display: grid;
      grid-template-columns: minmax(0, 1fr) minmax(240px, auto) auto;
      gap: 4px 20px;
      align-items: center;
      padding: 8px 0;
      border-top: 1px solid var(--fn-line);
    }
    .due {
      color: var(--fn-madder);
      font-weight: 600;
    }
    section {
      display: grid;
      gap: 12px;
    }
    @media (max-width: 700px) {
      .traps li {
        grid-template-columns: minmax(0, 1fr);
      }
    }
  `,
  template: `
    <div class="fn-page">
      <div class="fn-head">
        <div>
          <h1>Around the plants</h1>
          <p>{{ summary() }}</p>
        </div>
        @if (garden.canWrite()) {
          <a matButton="outlined" [routerLink]="[base(), 'traps', 'new']">Set a trap</a>
        }
      </div>
      <p class="fn-care">
        No poison is advised here: owls, cats, dogs and hens die of what has eaten it. Snap traps stand in closed boxes, and wildlife laws
        tell what may be caught. Where rats are many or come back, a licensed controller does more than another trap.
      </p>
      @if (fault()) {
        <p class="fn-stop" role="alert">{{ fault() }}</p>
      }
      <section aria-labelledby="traps">
        <h2 id="traps">Traps, spot by spot</h2>
        <ul class="traps">
          @for (one of traps(); track one.trap.id) {
            <li>
              <div>
                <a [routerLink]="[base(), 'traps', one.trap.id]">{{ one.trap.name }}</a>
                <p class="fn-small">
                  {{ one.place }}, {{ one.spot }} · <span [class.due]="one.isDue">{{ one.when }}</span> · {{ one.caught }} caught in four
                  weeks
                </p>
              </div>
              @if (!one.rest && garden.canWrite()) {
                <fn-stepper [label]="one.what + ' in it'" [value]="count(one.trap.id)" (valueChange)="setCount(one.trap.id, $event)" />
                <button matButton="outlined" type="button" (click)="check(one.trap, one.what)">
                  {{ count(one.trap.id) > 0 ? 'Emptied and set again' : 'Empty, still set' }}
                </button>
              }
            </li>
          } @empty {
            <li><p>No snap or fly trap stands. Along runs, behind bins and by the feed they catch most.</p></li>
          }
        </ul>
      </section>
      <section aria-labelledby="places">
        <h2 id="places">Store, animals, heap and mulch</h2>
        <fn-task-places [walk]="walk()" />
        @if (!hasStore()) {
          <p class="fn-small">
            A feed store, a shed or a hen house is a place too:
            <a [routerLink]="[base(), 'ground', 'new-place']">add it</a>, and its looks are asked for here.
          </p>
        }
      </section>
    </div>
  `,
})
export class AroundPage {
  readonly #records = inject(Records);
  readonly #walk = inject(PreventionWalk);
  protected readonly garden = inject(Garden);
  protected readonly walk = this.#walk.around;
  protected readonly fault = signal('');
  readonly #counts = signal<ReadonlyMap<string, number>>(new Map());

  protected readonly base = computed(() => `/g/${this.garden.summary().id}`);
  protected readonly hasStore = computed(() => this.garden.places().some(({ kind }) => kind === 'store' || kind === 'housing'));
  protected readonly summary = computed(() => {
    const due = this.#walk.aroundDue();
    return due === 0
      ? 'Nothing is due today. What was looked at comes round again by itself.'
      : `${due} ${due === 1 ? 'thing' : 'things'} to look at: flies, rats and mice, moulds. A few minutes a week.`;
  });
  protected readonly traps = computed(() => {
    const today = this.garden.today();
    return this.#walk.traps().map(({ trap, rest, dueOn, isDue }) => ({
      trap,
      rest,
      isDue,
      place: this.garden.place(trap.placeId)?.name ?? '',
      spot: spotNow(trap).name,
      what: usual[trap.kind] ?? 'caught',
      when: rest ? (rest.until ? `set again ${fromToday(rest.until, today)}` : 'not set') : dueOn ? `due ${fromToday(dueOn, today)}` : '',
      caught: this.#caughtLately(trap),
    }));
  });
  #caughtLately({ id }: Trap): number {
    const since = addDays(this.garden.today(), -28);
    return this.garden
      .catches()
      .filter(({ trapId, checkedOn }) => trapId === id && checkedOn > since)
      .reduce((sum, { caught }) => sum + caught.reduce((all, { count }) => all + count, 0), 0);
  }

  protected readonly count = (trap: string) => this.#counts().get(trap) ?? 0;
  protected setCount(trap: string, count: number): void {
    this.#counts.update((counts) => new Map([...counts, [trap, count]]));
  }

  /** A look into a trap, with what was in it. */
  protected async check({ id, name }: Trap, what: string): Promise<void> {
    this.fault.set('');
    const count = this.count(id);
    const caught = count > 0 ? [{ what, count }] : [];
    const value = { trapId: id, checkedOn: this.garden.today(), caught, emptied: count > 0, note: '' };
    try {
      await this.#records.saveOrKeep('catches', crypto.randomUUID(), 0, value, `${name}: noted.`);
      this.setCount(id, 0);
    } catch (error) {
      this.fault.set(ApiError.from(error).message);
    }
  }
}
