import { ChangeDetectionStrategy, Component, computed, inject, input, linkedSignal, signal } from '@angular/core';
import { MatButtonModule } from '@angular/material/button';
import { MatFormFieldModule } from '@angular/material/form-field';
import { MatInputModule } from '@angular/material/input';
import { Router, RouterLink } from '@angular/router';
import { assumedPlanting } from '@field-nurse/library/assumed';
import { ApiError } from '../api/api-error';
import { Garden } from '../gardens/garden';
import { Records } from '../gardens/records';
import { firstPlace, placeOf, toldPlanting } from '../gardens/told-planting';
import { Library } from '../library/library';
import { NameField } from '../library/name-field';
import { begunCase } from './begun-case';

// A garden with so few plantings shows them all at once.
const fewPlantings = 12;

/** Something is wrong: the plant by its name, a planting that is there or one made on the way, what is seen, and a case is open. */
@Component({
  selector: 'fn-wrong-page',
  imports: [MatButtonModule, MatFormFieldModule, MatInputModule, NameField, RouterLink],
  changeDetection: ChangeDetectionStrategy.OnPush,
  styles: `
    form {
      display: grid;
      gap: 14px;
      max-width: 640px;
    }
    fieldset {
      display: flex;
      flex-wrap: wrap;
      gap: 8px;
      margin: 0;
      padding: 0;
      border: 0;
    }
    legend {
      margin-bottom: 6px;
      font-weight: 600;
    }
    label {
      display: flex;
      gap: 8px;
      align-items: center;
      min-height: 48px;
      padding: 0 14px;
      border: var(--fn-stroke) solid var(--fn-line);
      border-radius: var(--fn-radius);
      background: var(--fn-raised);
      cursor: pointer;
    }
    label:has(input:checked) {
      border-color: var(--fn-green);
      background: var(--fn-green-wash);
      font-weight: 600;
    }
    label small {
      color: var(--fn-faint-ink);
      font-weight: 400;
    }
  `,
  template: `
    <div class="fn-page">
      <div class="fn-head">
        <div>
          <h1>Something is wrong</h1>
          <p>Say which plant and what you see. If it is not written down yet, that is done on the way.</p>
        </div>
      </div>
      @if (!garden.canWrite()) {
        <p class="fn-care">You may look at this garden, and not write in it: ask an owner to open the case.</p>
      }
      <form (submit)="$event.preventDefault(); open()" novalidate>
        <fn-name-field
          label="Which plant?"
          sizing="dynamic"
          [entries]="hosts()"
          [value]="host()"
          (valueChange)="host.set($event)"
          (beside)="beside.set($event)"
        />
        @if (offered().length > 0) {
          <fieldset>
            <legend>{{ host() ? 'Which of these?' : 'Or one of these' }}</legend>
            @for (one of offered(); track one.id) {
              <label
                ><input type="radio" name="planting" [value]="one.id" [checked]="chosen() === one.id" (change)="choose(one.id, one.host)" />
                <span
                  >{{ one.name }} <small>{{ one.place }}</small></span
                ></label
              >
            }
            @if (host()) {
              <label
                ><input type="radio" name="planting" value="" [checked]="chosen() === ''" (change)="chosen.set('')" />
                <span>Another one</span></label
              >
            }
          </fieldset>
        }
        <mat-form-field subscriptSizing="dynamic">
          <mat-label>What do you see?</mat-label>
          <textarea matInput #said rows="4" maxlength="10000" [value]="words()" (input)="words.set(said.value)"></textarea>
        </mat-form-field>
        @if (refusal(); as line) {
          <p class="fn-stop" role="alert">{{ line }}</p>
        }
        <div class="fn-actions">
          <button matButton="filled" [disabled]="busy() || !garden.canWrite()">What is it?</button>
          <a matButton [routerLink]="['/g', garden.summary().id, 'ground']">Choose on the ground plan</a>
        </div>
      </form>
    </div>
  `,
})
export class WrongPage {
  protected readonly garden = inject(Garden);
  readonly #library = inject(Library);
  readonly #records = inject(Records);
  readonly #router = inject(Router);
  /** id of a planting that is known already */
  readonly planting = input<string>();
  // However often it is tried, it is made once.
  readonly #ids = { place: crypto.randomUUID(), planting: crypto.randomUUID(), case: crypto.randomUUID() };

  protected readonly hosts = computed(() => this.#library.known()?.hosts ?? []);
  protected readonly host = linkedSignal<string | null>(() => this.garden.planting(this.planting() ?? '')?.host ?? null);
  protected readonly beside = signal('');
  protected readonly words = signal('');
  protected readonly refusal = signal('');
  protected readonly busy = signal(false);

  readonly #growing = computed(() =>
    this.garden.plantings().flatMap(({ id, host, cultivar, placeId, endedOn }) =>
      endedOn
        ? []
        : [
            {
              id,
              host,
              name: [this.#library.hostName(host), cultivar].filter(Boolean).join(' · '),
              place: this.garden.place(placeId)?.name ?? '',
            },
          ],
    ),
  );
  /** plantings that it may be: those of the plant that is named, or all where they are few */
  protected readonly offered = computed(() => {
    const [all, host] = [this.#growing(), this.host()];
    return host ? all.filter((one) => one.host === host) : all.length <= fewPlantings ? all : [];
  });
  /** id of the planting; empty for one that is not written down yet */
  protected readonly chosen = linkedSignal(() => {
    const offered = this.host() ? this.offered() : [];
    return offered.find(({ id }) => id === this.planting())?.id ?? (offered.length === 1 ? offered[0]!.id : '');
  });

  protected choose(id: string, host: string): void {
    this.host.set(host);
    this.chosen.set(id);
  }

  protected async open(): Promise<void> {
    const plant = this.#library.hosts().get(this.host() ?? '');
    if (!plant) {
      this.refusal.set('Name the plant, by any name; “houseplant” or “tree” will do.');
      return;
    }
    if (this.busy()) return;
    this.busy.set(true);
    this.refusal.set('');
    try {
      const plantingId = this.chosen() || (await this.#makePlanting(plant));
      const value = begunCase(plantingId, this.garden.today(), { words: this.words() });
      await this.#records.save('cases', this.#ids.case, 0, value);
      await this.#router.navigate(['/g', this.garden.summary().id, 'cases', this.#ids.case]);
    } catch (error) {
      this.refusal.set(ApiError.from(error).message);
    } finally {
      this.busy.set(false);
    }
  }

  /** A planting of what is assumed from the plant and the words, in a place of its setting. */
  async #makePlanting(host: Parameters<typeof assumedPlanting>[0]): Promise<string> {
    const { setting, eaten, inFlower, plants } = assumedPlanting(host, { beside: this.beside(), words: this.words() });
    const place = placeOf(this.garden.places(), setting.value);
    if (!place && !this.garden.place(this.#ids.place)) await this.#records.save('places', this.#ids.place, 0, firstPlace(setting.value));
    const value = toldPlanting(host, place?.id ?? this.#ids.place, this.garden.today(), {
      beside: this.beside(),
      setting: setting.value,
      eaten: eaten.value,
      inFlower: inFlower.value,
      plants: plants.value,
    });
    if (!this.garden.planting(this.#ids.planting)) await this.#records.save('plantings', this.#ids.planting, 0, value);
    return this.#ids.planting;
  }
}
