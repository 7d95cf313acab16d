import { ChangeDetectionStrategy, Component, computed, inject, input, linkedSignal, signal } from '@angular/core';
import { MatButtonModule } from '@angular/material/button';
import type { Written } from '@field-nurse/contract';
import { Store } from '@ngrx/store';
import { ApiError } from '../api/api-error';
import { Garden } from '../gardens/garden';
import { Records } from '../gardens/records';
import { ContactTimer } from '../shared/contact-timer';
import { dayWord } from '../shared/days';
import { sessionFeature } from '../store/session-state';

/** What disinfects, for how long it must act, and when it is to be made anew. */
const disinfectants = [
  { name: 'Alcohol, 70 parts in 100', minutes: 1, keeps: 'It burns: no flame near. It does little against resting grains and spores.' },
  {
    name: 'Household bleach, 1 part in 10',
    minutes: 10,
    keeps: 'Make it new each day. Gloves, eyes, and never with acid or ammonia; rinse metal.',
  },
  { name: 'Hot water, 60 °C', minutes: 20, keeps: 'Keep it that hot for the whole time.' },
  { name: 'Washed with a brush and clean water', minutes: 0, keeps: 'Earth off first, whatever comes after: it takes most of what lasts.' },
] as const;
const things = ['boots', 'gloves', 'spade', 'fork', 'hoe', 'knife', 'secateurs', 'stakes', 'pots', 'barrow'];
const newest = 12;

/** Who went into ground that rests, in which order, and what was cleaned afterwards. */
@Component({
  selector: 'fn-going-in',
  imports: [ContactTimer, MatButtonModule],
  changeDetection: ChangeDetectionStrategy.OnPush,
  styles: `
    :host {
      display: grid;
      gap: 14px;
    }
    ol {
      display: grid;
      gap: 4px;
      padding-left: 1.3em;
    }
    .things {
      display: flex;
      flex-wrap: wrap;
      gap: 8px;
    }
    form {
      display: grid;
      gap: 12px;
      max-width: 640px;
    }
    label {
      display: grid;
      gap: 4px;
      color: var(--fn-faint-ink);
      font-size: 0.875rem;
    }
  `,
  template: `
    <ol>
      <li>Healthy places first, resting places last, on the same day.</li>
      <li>Boots and gloves of their own for a resting place, or clean ones; earth stays where it is.</li>
      <li>Whatever went in is brushed free of earth and cleaned before it goes anywhere else.</li>
      <li>Nothing that grew there goes on the heap or to somebody else.</li>
    </ol>
    @if (garden.canWrite()) {
      <form (submit)="$event.preventDefault()" aria-label="Went in">
        <label>
          Place
          <select class="fn-choice" #place aria-label="Place">
            @for (one of places(); track one.id) {
              <option [value]="one.id">{{ one.name }}</option>
            }
          </select>
        </label>
        <div class="things" role="group" aria-label="What went in, or was cleaned">
          @for (one of things; track one) {
            <button class="fn-pick" type="button" [attr.aria-pressed]="chosen().has(one)" (click)="toggle(one)">{{ one }}</button>
          }
        </div>
        <label>
          Cleaned with
          <select class="fn-choice" #agent aria-label="Cleaned with" (change)="picked.set(agent.selectedIndex)">
            @for (one of disinfectants; track one.name) {
              <option>{{ one.name }}</option>
            }
          </select>
        </label>
        <p class="fn-small">{{ agentNow().keeps }} The label in your hand comes first.</p>
        @if (agentNow().minutes; as minutes) {
          <fn-contact-timer
            [word]="'It must act for ' + (minutes === 1 ? 'a minute' : minutes + ' minutes') + '.'"
            [minutes]="minutes"
            [startedAt]="startedAt()"
            (started)="begin()"
          />
        }
        @if (refusal()) {
          <p class="fn-stop" role="alert">{{ refusal() }}</p>
        }
        <div class="fn-actions">
          <button matButton="outlined" type="button" [disabled]="isBusy()" (click)="write('entered', place.value)">I went in</button>
          <button matButton="filled" type="button" [disabled]="isBusy()" (click)="write('cleaned', place.value)">
            Cleaned, it acted long enough
          </button>
        </div>
      </form>
    }
    <h3>Who went in, what was cleaned</h3>
    @if (log().length > 0) {
      <ul class="fn-list">
        @for (one of log(); track one.id) {
          <li>
            <b>{{ one.day }}</b> {{ one.words }}
          </li>
        }
      </ul>
    } @else {
      <p class="fn-small">Nobody wrote down yet that they went in.</p>
    }
  `,
})
export class GoingIn {
  readonly #records = inject(Records);
  readonly #person = inject(Store).selectSignal(sessionFeature.selectPerson);
  protected readonly garden = inject(Garden);
  /** places that rest, by their id */
  readonly resting = input.required<readonly string[]>();
  protected readonly things = things;
  protected readonly disinfectants = disinfectants;
  protected readonly chosen = signal<ReadonlySet<string>>(new Set(['boots', 'spade']));
  protected readonly picked = signal(0);
  protected readonly agentNow = computed(() => disinfectants[this.picked()] ?? disinfectants[0]);
  /** instant at which what was picked began to act */
  protected readonly startedAt = linkedSignal<number, string | undefined>({ source: this.picked, computation: () => undefined });
  protected readonly isBusy = signal(false);
  protected readonly refusal = signal('');

  protected readonly places = computed(() => this.garden.places().filter(({ id }) => this.resting().includes(id)));
  protected readonly log = computed(() =>
    [...this.garden.groundEvents()]
      .filter(({ kind }) => kind === 'entered' || kind === 'cleaned')
      .sort((a, b) => b.happenedOn.localeCompare(a.happenedOn))
      .slice(0, newest)
      .map(({ id, happenedOn, kind, placeId, person, things: what, disinfectant, minutes }) => {
        const where = this.garden.place(placeId)?.name ?? '';
        const who = person || 'Somebody';
        const words =
          kind === 'entered'
            ? `${who} went into ${where}${what.length > 0 ? ` with ${what.join(', ')}` : ''}.`
            : `${who} cleaned ${what.join(', ') || 'what went in'} after ${where}: ${disinfectant}${minutes ? `, ${minutes} min` : ''}.`;
        return { id, day: dayWord(happenedOn, this.garden.today()), words };
      }),
  );

  /** The clock goes by the device's own time, as long as it takes. */
  protected begin(): void {
    this.startedAt.set(new Date().toISOString());
  }

  protected toggle(thing: string): void {
    const next = new Set(this.chosen());
    if (!next.delete(thing)) next.add(thing);
    this.chosen.set(next);
  }

  protected async write(kind: 'entered' | 'cleaned', placeId: string): Promise<void> {
    const { name, minutes } = this.agentNow();
    const isCleaned = kind === 'cleaned';
    const value: Written<'groundEvents'> = {
      ...{
        placeId,
        happenedOn: this.garden.today(),
        kind,
        condition: null,
        person: this.#person()?.name ?? '',
        things: [...this.chosen()],
        note: '',
      },
      disinfectant: isCleaned ? name : '',
      minutes: isCleaned ? minutes : null,
    };
    this.refusal.set('');
    this.isBusy.set(true);
    try {
      await this.#records.save(
        'groundEvents',
        crypto.randomUUID(),
        0,
        value,
        isCleaned ? 'Cleaning written down.' : 'Written down: somebody went in.',
      );
    } catch (error) {
      this.refusal.set(ApiError.from(error).message);
    } finally {
      this.isBusy.set(false);
    }
  }
}
