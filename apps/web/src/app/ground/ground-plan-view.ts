import { ChangeDetectionStrategy, Component, computed, effect, inject, linkedSignal, signal, untracked, viewChild } from '@angular/core';
import { MatButtonModule } from '@angular/material/button';
import { MatSliderModule } from '@angular/material/slider';
import { MatSlideToggleModule } from '@angular/material/slide-toggle';
import { Router, RouterLink } from '@angular/router';
import type { Place, Shape, Written } from '@field-nurse/contract';
import { planArea } from '@field-nurse/core/ground';
import { addDays, daysBetween } from '@field-nurse/core/timing';
import { ApiError } from '../api/api-error';
import { isAtHand } from '../cases/at-hand';
import { Garden } from '../gardens/garden';
import type { Planting } from '../gardens/plantings-now';
import { Records } from '../gardens/records';
import { Library } from '../library/library';
import { healthMarks } from '../gardens/status-mark';
import { RestingGround } from '../prevention/resting-ground';
import { Scouting } from '../scouting/scouting';
import { dayWord } from '../shared/days';
import { saveFile } from '../shared/save-file';
import { placeKindWords, statusWords } from '../shared/words';
import { fromGeoJson, NotAPlan, toGeoJson } from './geojson';
import { CompanionGround } from './companion-ground';
import { Plan } from './ground-plan';
import type { PlanItem, PlanPoint } from './ground-plan';
import { asKind, turnedBy } from './plan-edit';
import { marksOn, trapSpotOn } from './plan-marks';
import type { PlantingMarks } from './plan-marks';
import { trialOn, trialWords } from './plan-trial';
import { growingOn, middleOf, planShapes, usedOn } from '../gardens/plan-shapes';

const layers = [
  { id: 'health', word: 'How it does' },
  { id: 'rests', word: 'Rests' },
  { id: 'traps', word: 'Traps' },
  { id: 'looks', word: 'Looks due' },
  { id: 'trials', word: 'Trials' },
  { id: 'companions', word: 'Companions' },
] as const;
type Layer = (typeof layers)[number]['id'];

const shapeKinds = [
  { kind: 'rectangle', word: 'Rectangle' },
  { kind: 'circle', word: 'Circle' },
  { kind: 'outline', word: 'Free shape' },
] as const;

/** The ground plan with what is known of each planting, on any day of the garden's time; and its editing. */
@Component({
  selector: 'fn-plan-view',
  imports: [RouterLink, MatButtonModule, MatSliderModule, MatSlideToggleModule, Plan],
  changeDetection: ChangeDetectionStrategy.OnPush,
  styleUrl: './ground-plan-view.scss',
  templateUrl: './ground-plan-view.html',
})
export class PlanView {
  readonly #records = inject(Records);
  readonly #book = inject(Scouting);
  readonly #ground = inject(RestingGround);
  readonly #companions = inject(CompanionGround);
  readonly #router = inject(Router);
  protected readonly garden = inject(Garden);
  protected readonly library = inject(Library);
  protected readonly plan = viewChild.required(Plan);
  protected readonly layers = computed(() =>
    layers.filter(
      ({ id }) =>
        (id !== 'traps' || this.garden.traps().length > 0) &&
        (id !== 'trials' || this.hasTrials()) &&
        (id !== 'companions' || this.#companions.reaches().length > 0),
    ),
  );
  /** something is compared on this day */
  protected readonly hasTrials = computed(() => this.#trials().size > 0);
  readonly #trials = computed(
    () =>
      new Map(
        this.garden.plantings().flatMap((planting) => {
          const trial = trialOn(this.day(), planting, { cases: this.garden.cases(), assessments: this.garden.assessments() });
          return trial ? [[planting.id, trial] as const] : [];
        }),
      ),
  );
  protected readonly shapeKinds = shapeKinds;
  protected readonly legend = Object.entries(healthMarks).map(([status, mark]) => ({
    mark,
    word: (statusWords[status] ?? status).toLowerCase(),
  }));
  protected readonly shown = signal<ReadonlySet<Layer>>(new Set(layers.map(({ id }) => id)));
  protected readonly editing = signal(false);
  protected readonly chosen = signal<string | null>(null);
  protected readonly fault = signal('');

  readonly #first = computed(() => `${this.garden.years()[0]}-01-01`);
  protected readonly days = computed(() => Math.max(1, daysBetween(this.#start(), this.garden.today())));
  // Two seasons back are enough to drag through.
  readonly #start = computed(() => {
    const far = addDays(this.garden.today(), -730);
    return this.#first() > far ? this.#first() : far;
  });
  protected readonly back = linkedSignal<number, number>({ source: () => this.days(), computation: (days) => days });
  protected readonly day = computed(() => addDays(this.#start(), this.back()));
  protected readonly isToday = computed(() => this.day() === this.garden.today());
  protected readonly dayWord = computed(() => (this.isToday() ? 'Today' : dayWord(this.day(), this.garden.today())));

  readonly #shapes = computed(() => planShapes(this.garden.places(), this.garden.plantings(), this.day()));
  readonly #dueNow = computed(() => new Set(this.#book.due().map(({ id }) => id)));
  readonly #resting = computed(() => {
    return this.#ground.all().filter(({ from, until }) => from <= this.day() && this.day() < until);
  });

  constructor() {
    isAtHand(() => ({ planting: this.planting()?.id, place: this.place()?.id }));
    // Dragged back into an older season, its records come.
    effect(() => {
      const year = this.day().slice(0, 4);
      untracked(() => this.garden.openYear(year));
    });
  }

  protected readonly items = computed<readonly PlanItem[]>(() => {
    const [shapes, day, shown] = [this.#shapes(), this.day(), this.shown()];
    const places = this.garden
      .places()
      .filter((place) => usedOn(day, place))
      .map((place) => this.#placeItem(place, shapes.places.get(place.id)!))
      .sort((a, b) => planArea(b.shape) - planArea(a.shape));
    const plantings = this.garden
      .plantings()
      .filter((planting) => growingOn(day, planting) && shapes.plantings.has(planting.id))
      .map((planting) => this.#plantingItem(planting, shapes.plantings.get(planting.id)! as Shape, shown));
    return [...places, ...plantings];
  });
  protected readonly points = computed<readonly PlanPoint[]>(() =>
    this.shown().has('traps')
      ? this.garden.traps().flatMap((trap) => {
          const spot = trapSpotOn(this.day(), trap);
          return spot && spot.x !== null && spot.y !== null
            ? [{ id: trap.id, at: { x: spot.x, y: spot.y }, label: `Trap: ${trap.name}` }]
            : [];
        })
      : [],
  );
  /** How far companions that stand today reach. */
  protected readonly reaches = computed(() => (this.shown().has('companions') && this.isToday() ? this.#companions.reaches() : []));
  protected readonly walk = computed(() => {
    const round = this.#book.underWay();
    return round && this.isToday() ? round.walk.flatMap((id) => middleOf(this.#shapes(), id) ?? []) : [];
  });

  protected readonly place = computed(() => this.garden.place(this.chosen() ?? ''));
  protected readonly planting = computed(() => this.garden.planting(this.chosen() ?? ''));
  protected readonly item = computed(() => this.items().find(({ id }) => id === this.chosen()));
  protected readonly area = computed(() => {
    const item = this.item();
    return item ? `${Math.round(planArea(item.shape) * 10) / 10} m²` : '';
  });
  protected readonly rests = computed(() => this.#resting().filter(({ placeId }) => placeId === this.chosen()));
  protected readonly kinds = placeKindWords;
  protected readonly until = (day: string) => dayWord(day, this.garden.today());

  protected openTrap(trap: string): void {
    void this.#router.navigate(['/g', this.garden.summary().id, 'traps', trap]);
  }

  protected toggle(layer: Layer): void {
    this.shown.update((shown) => new Set(shown.has(layer) ? [...shown].filter((one) => one !== layer) : [...shown, layer]));
  }

  protected async keep(item: PlanItem, shape: Shape | null): Promise<void> {
    this.fault.set('');
    try {
      const said = shape ? `Moved ${item.label}.` : `${item.label} lies where there is room.`;
      if (item.subject === 'places') {
        const { id, version, ...value } = this.garden.place(item.id)!;
        await this.#records.save(
          'places',
          id,
          version,
          { ...value, shape, areaM2: shape ? Math.round(planArea(shape) * 100) / 100 : value.areaM2 },
          said,
        );
      } else {
        const { id, version, ...value } = this.garden.plantingRecord(item.id)!;
        await this.#records.save('plantings', id, version, { ...value, shape }, said);
      }
    } catch (error) {
      this.fault.set(ApiError.from(error).message);
    }
  }

  protected turn(item: PlanItem): Promise<void> {
    return this.keep(item, turnedBy(item.shape, 15));
  }

  protected reshape(item: PlanItem, kind: Shape['kind']): Promise<void> {
    return this.keep(item, asKind(item.shape, kind));
  }

  protected export(): void {
    const features = this.items().map((item) => ({
      id: item.id,
      shape: item.shape,
      properties: {
        subject: item.subject,
        name: item.label,
        ...(item.subject === 'places'
          ? { kind: this.garden.place(item.id)!.kind }
          : { place: this.garden.planting(item.id)!.placeId, host: this.garden.planting(item.id)!.host }),
      },
    }));
    const name = `ground ${this.garden.summary().name} ${this.day()}.geojson`;
    saveFile(name, 'application/geo+json', JSON.stringify(toGeoJson(features), null, 1));
  }

  protected async import(event: Event): Promise<void> {
    const field = event.target as HTMLInputElement;
    const file = field.files?.[0];
    field.value = '';
    if (!file) return;
    this.fault.set('');
    try {
      const incoming = fromGeoJson(await file.text()).filter(({ id }) => !this.garden.planting(id ?? ''));
      for (const { id, name, kind, shape } of incoming) {
        const known = this.garden.place(id ?? '');
        const value: Written<'places'> = known
          ? { ...withoutKey(known), shape }
          : {
              name,
              kind: kind ?? 'bed',
              setting: 'outdoor',
              areaM2: Math.round(planArea(shape) * 100) / 100,
              light: null,
              shape,
              note: '',
              endedOn: null,
            };
        await this.#records.save('places', known?.id ?? crypto.randomUUID(), known?.version ?? 0, value);
      }
      this.#records.say(`${incoming.length} ${incoming.length === 1 ? 'place' : 'places'} read.`);
      this.plan().fit();
    } catch (error) {
      this.fault.set(error instanceof NotAPlan ? error.message : ApiError.from(error).message);
    }
  }

  #placeItem(place: Place, shape: PlanItem['shape']): PlanItem {
    const resting = this.shown().has('rests') && this.#resting().some(({ placeId }) => placeId === place.id);
    return {
      id: place.id,
      subject: 'places',
      shape,
      label: place.name,
      said: `${placeKindWords[place.kind]} ${place.name}${resting ? ', resting' : ''}`,
      rows: 1,
      state: `${place.kind}${resting ? ' resting' : ''}`,
      mark: null,
      badge: '',
    };
  }

  #plantingItem(planting: Planting, shape: Shape, shown: ReadonlySet<Layer>): PlanItem {
    const marks = marksOn(this.day(), planting.id, {
      cases: this.garden.cases(),
      assessments: this.garden.assessments(),
      applications: this.garden.applied(),
    });
    const name = this.library.hostName(planting.host);
    const due = shown.has('looks') && this.isToday() && this.#dueNow().has(planting.id);
    const trial = shown.has('trials') ? this.#trials().get(planting.id) : undefined;
    const health = shown.has('health') ? marks.health : 'well';
    return {
      id: planting.id,
      subject: 'plantings',
      shape,
      label: name,
      said: `${name} ${planting.cultivar}: ${healthWord(marks)}${due ? ', wants a look' : ''}${marks.keepOut ? ', keep out' : ''}${trial ? `; ${trialWords(trial)}` : ''}`,
      trial,
      rows: planting.rows,
      state: health,
      mark: health === 'well' ? null : (healthMarks[health === 'sick' ? 'first-look' : health] ?? null),
      badge: due ? 'look' : '',
    };
  }
}

const healthWord = ({ cases, health }: PlantingMarks) =>
  cases.length === 0 ? 'no open case' : `open case, ${health === 'sick' ? 'no look yet' : (statusWords[health] ?? health).toLowerCase()}`;

function withoutKey({ id: _, version: __, ...value }: Place): Written<'places'> {
  return value;
}
