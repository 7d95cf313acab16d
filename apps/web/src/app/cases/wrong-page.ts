import { ChangeDetectionStrategy, Component, computed, inject, input, signal } from '@angular/core';
import type { OnInit } from '@angular/core';
import { MatButtonModule } from '@angular/material/button';
import { MatFormFieldModule } from '@angular/material/form-field';
import { MatInputModule } from '@angular/material/input';
import { Router, RouterLink } from '@angular/router';
import type { Stop } from '@field-nurse/contract';
import type { Host } from '@field-nurse/library';
import { ApiError } from '../api/api-error';
import { Garden } from '../gardens/garden';
import { PhotoTaker } from '../gardens/photo-taker';
import { placeTold } from '../gardens/place-told';
import type { PlantingFacts } from '../gardens/plantings-now';
import { Records } from '../gardens/records';
import { factsTold, firstPlace, placeOf, toldPlanting } from '../gardens/told-planting';
import { AssumedFacts } from '../library/assumed-facts';
import { Library } from '../library/library';
import { NameField } from '../library/name-field';
import { begunCase } from './begun-case';
import { WrongDrafts } from './wrong-draft';

/** A planting that it may be. */
interface Offer {
  readonly id: string;
  readonly host: string;
  readonly name: string;
  readonly place: string;
  readonly placeId: string;
  /** what was found there on the last round */
  readonly found: string;
}

// A garden with so few plantings shows them all at once; of a larger one, the place that was looked at and the last round's finds are offered.
const fewPlantings = 12;

/** Something is wrong: the plant by its name, a planting that is there or one made on the way, what is seen, and a case is open. */
@Component({
  selector: 'fn-wrong-page',
  imports: [AssumedFacts, MatButtonModule, MatFormFieldModule, MatInputModule, NameField, PhotoTaker, RouterLink],
  changeDetection: ChangeDetectionStrategy.OnPush,
  styleUrl: './wrong-page.scss',
  templateUrl: './wrong-page.html',
})
export class WrongPage implements OnInit {
  protected readonly garden = inject(Garden);
  protected readonly drafts = inject(WrongDrafts);
  protected readonly draft = this.drafts.draft;
  readonly #library = inject(Library);
  readonly #records = inject(Records);
  readonly #router = inject(Router);
  // What the page that led here knew, by the address.
  readonly planting = input<string>();
  readonly place = input<string>();
  readonly signs = input<string>();
  readonly words = input<string>();
  readonly photos = input<string>();

  protected readonly hosts = computed(() => this.#library.known()?.hosts ?? []);
  protected readonly refusal = signal('');
  protected readonly busy = signal(false);

  readonly #lastFinds = computed<ReadonlyMap<string, Stop>>(() => {
    const last = [...this.garden.scoutingRounds()].sort((a, b) => a.startedAt.localeCompare(b.startedAt)).at(-1);
    const found = this.garden.stops().filter((stop) => stop.found && stop.roundId === last?.id);
    return new Map(found.map((stop) => [stop.plantingId, stop]));
  });
  readonly #growing = computed(() =>
    this.garden.plantings().flatMap(({ id, host, cultivar, placeId, endedOn }): Offer[] => {
      if (endedOn) return [];
      const name = [this.#library.hostName(host), cultivar].filter(Boolean).join(' · ');
      const found = (this.#lastFinds().get(id)?.signs ?? []).map(this.#library.signName).join(', ').toLowerCase();
      return [{ id, host, name, placeId, place: this.garden.place(placeId)?.name ?? '', found }];
    }),
  );
  /** plantings that it may be: those of the plant that is named, or those of the place and of the last round, or all where they are few */
  protected readonly offered = computed(() => {
    const [all, { host, place }] = [this.#growing(), this.draft()];
    if (host) return all.filter((one) => one.host === host);
    if (place) return all.filter((one) => one.placeId === place);
    const found = all.filter((one) => one.found);
    return all.length <= fewPlantings ? [...found, ...all.filter((one) => !one.found)] : found;
  });
  protected readonly lately = computed(() => !this.draft().place && this.offered().some(({ found }) => found));
  /** id of the planting; empty for one that is not written down yet */
  protected readonly chosen = computed(() => {
    const [offered, { host, chosen }] = [this.draft().host ? this.offered() : [], this.draft()];
    if (!host) return '';
    if (chosen !== null) return offered.some(({ id }) => id === chosen) ? chosen : '';
    return offered.length === 1 ? offered[0]!.id : '';
  });
  protected readonly noted = computed(() =>
    this.draft()
      .findings.map(({ sign }) => this.#library.signName(sign))
      .join(', '),
  );
  /** what is taken for granted of a plant that is written down on the way */
  protected readonly facts = computed(() => {
    const host = this.#library.hosts().get(this.draft().host ?? '');
    return host && this.chosen() === '' ? factsTold(host, this.#told()) : undefined;
  });

  readonly #others = computed(() => this.garden.plantings().filter(({ host, endedOn }) => host === this.draft().host && !endedOn));
  /** the place that was looked at, or that was named */
  readonly #named = computed(() => {
    const { place, beside, words } = this.draft();
    return this.garden.place(place ?? '') ?? placeTold(this.garden.places(), `${beside}; ${words}`);
  });
  readonly #told = () => {
    const { beside, words, facts } = this.draft();
    return { beside, words, place: this.#named(), neighbours: this.#others(), ...facts };
  };

  ngOnInit(): void {
    const [planting, place] = [this.garden.planting(this.planting() ?? ''), this.place()];
    const ids = (list: string | undefined) => list?.split(',').filter(Boolean) ?? [];
    this.drafts.open(planting?.id ?? place ?? '', {
      host: planting?.host ?? null,
      chosen: planting?.id ?? null,
      place: planting ? null : (place ?? null),
      words: this.words() ?? '',
      findings: this.#findings(ids(this.signs())),
      photos: ids(this.photos()),
    });
  }

  /** Another plant: what was said stays, what was found on the planting before does not. */
  protected name(host: string | null): void {
    if (host !== this.draft().host) this.drafts.change({ host, chosen: null, findings: [], facts: {} });
  }

  protected choose({ id, host }: Offer): void {
    const findings = this.#findings(this.#lastFinds().get(id)?.signs ?? []);
    this.drafts.change({ host, chosen: id, ...(findings.length > 0 && { findings }) });
  }

  protected correct(facts: Partial<PlantingFacts>): void {
    this.drafts.change({ facts: { ...this.draft().facts, ...facts } });
  }

  protected async open(): Promise<void> {
    const plant = this.#library.hosts().get(this.draft().host ?? '');
    if (!plant) {
      this.refusal.set('Name the plant, by any name; “houseplant” or “tree” will do.');
      return;
    }
    if (this.busy()) return;
    this.busy.set(true);
    this.refusal.set('');
    try {
      const plantingId = this.chosen() || (await this.#makePlanting(plant));
      const draft = this.draft();
      await this.#records.saveOrQueue('cases', draft.ids.case, 0, begunCase(plantingId, this.garden.today(), draft), undefined, null);
      this.drafts.close();
      await this.#router.navigate(['/g', this.garden.summary().id, 'cases', draft.ids.case], { replaceUrl: true });
    } catch (error) {
      const { status, message } = ApiError.from(error);
      // Signed out in the meantime: what was told waits on this device.
      if (status === 401) await this.#router.navigate(['/sign-in'], { queryParams: { to: this.#router.url } });
      this.refusal.set(message);
    } finally {
      this.busy.set(false);
    }
  }

  /** A planting of what is known and assumed: in the place that was looked at or named, beside others of its kind, or in one of its setting. */
  async #makePlanting(host: Host): Promise<string> {
    const { ids, place } = this.draft();
    const told = factsTold(host, this.#told());
    const at = this.#named() ?? placeTold(this.garden.places(), '', this.#others());
    const known = at && (place || at.setting === told.setting) ? at : placeOf(this.garden.places(), told.setting);
    if (!known && !this.garden.place(ids.place))
      await this.#records.saveOrQueue('places', ids.place, 0, firstPlace(told.setting), undefined, null);
    const value = toldPlanting(host, known?.id ?? ids.place, this.garden.today(), told);
    if (!this.garden.planting(ids.planting)) await this.#records.saveOrQueue('plantings', ids.planting, 0, value, undefined, null);
    return ids.planting;
  }

  #findings(signs: readonly string[]) {
    const on = this.garden.today();
    return signs
      .filter((sign) => this.#library.signs().has(sign))
      .map((sign) => ({ sign, state: 'seen', source: 'look', phrase: null, on }) as const);
  }
}
