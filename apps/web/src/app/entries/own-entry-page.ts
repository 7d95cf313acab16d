import { ChangeDetectionStrategy, Component, computed, inject, input, linkedSignal, signal } from '@angular/core';
import { MatAutocompleteModule } from '@angular/material/autocomplete';
import { MatButtonModule } from '@angular/material/button';
import { MatCheckboxModule } from '@angular/material/checkbox';
import { MatFormFieldModule } from '@angular/material/form-field';
import { MatInputModule } from '@angular/material/input';
import { MatSelectModule } from '@angular/material/select';
import { Router, RouterLink } from '@angular/router';
import type { Condition, Host, OwnKind, Sign } from '@field-nurse/library';
import { findByName, searchByName } from '@field-nurse/library/find';
import { ApiError } from '../api/api-error';
import { Drawing } from '../drawing/drawing';
import type { LeafShape } from '../drawing/leaf';
import { Garden } from '../gardens/garden';
import { Records } from '../gardens/records';
import { partWords } from '../shared/words';
import { Library } from '../library/library';
import { signsOf } from '../library/library-search';
import type { Draft, Help, HostLevel } from './own-draft';
import { draftFrom, entriesOf, helpOf, helpRanges, withCheck, withHost, withSign, withTreatment } from './own-draft';
import { WeighedList } from './weighed-list';

const offered = 8;
const firstOf = { conditions: 'drought', signs: 'leaf-stippling', hosts: 'tomato' } as const;
const words = { conditions: 'trouble', signs: 'sign', hosts: 'plant' } as const;
const commonWords = { common: 'common', occasional: 'now and then', rare: 'rare' } as const;
const signCommonWords = { everywhere: 'nearly anywhere', 'now-and-then': 'now and then', telling: 'hardly ever without a cause' } as const;
const frequencies = [
  ['always', 'nearly always'],
  ['often', 'often'],
  ['sometimes', 'sometimes'],
  ['seldom', 'seldom'],
  ['never', 'never'],
] as const;

const hostKinds = [
  ['vegetable', 'vegetable'],
  ['herb', 'herb'],
  ['fruit', 'fruit'],
  ['ornamental', 'ornamental'],
  ['houseplant', 'houseplant'],
  ['ground', 'ground, heap or store'],
] as const satisfies readonly (readonly [Host['kind'], string])[];
const leafWords = [
  ['ovate', 'egg-shaped'],
  ['lance', 'long and narrow'],
  ['heart', 'heart-shaped'],
  ['lobed', 'lobed'],
  ['compound', 'of several leaflets'],
  ['strap', 'strap-like'],
  ['round', 'round'],
  ['rosette', 'a fleshy rosette'],
  ['needle', 'needles'],
  ['frond', 'a frond'],
  ['pad', 'pads'],
] as const satisfies readonly (readonly [LeafShape, string])[];
const habits = [
  ['tuft', 'a tuft or rosette'],
  ['bush', 'a bush'],
  ['climber', 'a climber'],
  ['blades', 'blades from the ground'],
  ['tree', 'a tree'],
  ['tray', 'seedlings'],
  ['heap', 'a heap'],
] as const satisfies readonly (readonly [Host['habit'], string])[];
const levels = [
  ['often', 'often'],
  ['sometimes', 'sometimes'],
  ['seldom', 'seldom'],
] as const;
const helps = Object.keys(helpRanges).map((word) => [word, word] as const);

type Put = Parameters<WeighedList['put']['emit']>[0];

/** Write an entry of the garden's own: a new one from a copy, or the library's changed for here. */
@Component({
  selector: 'fn-own-entry-page',
  imports: [
    Drawing,
    MatAutocompleteModule,
    MatButtonModule,
    MatCheckboxModule,
    MatFormFieldModule,
    MatInputModule,
    MatSelectModule,
    RouterLink,
    WeighedList,
  ],
  changeDetection: ChangeDetectionStrategy.OnPush,
  styleUrl: './own-entry-page.scss',
  templateUrl: './own-entry-page.html',
})
export class OwnEntryPage {
  protected readonly garden = inject(Garden);
  protected readonly library = inject(Library);
  readonly #records = inject(Records);
  readonly #router = inject(Router);
  /** kind and id, or "new", from the address */
  readonly kind = input.required<OwnKind>();
  readonly entry = input.required<string>();

  protected readonly words = words;
  protected readonly parts = Object.entries(partWords);
  protected readonly commons = Object.entries(commonWords);
  protected readonly signCommons = Object.entries(signCommonWords);
  protected readonly frequencies = frequencies;
  protected readonly levels = levels;
  protected readonly hostKinds = hostKinds;
  protected readonly leaves = leafWords;
  protected readonly habits = habits;
  protected readonly helps = helps;
  protected readonly months = Array.from({ length: 12 }, (_, i) => ({
    number: i + 1,
    name: new Intl.DateTimeFormat('en', { month: 'short', timeZone: 'UTC' }).format(Date.UTC(2026, i, 1)),
  }));

  protected readonly isNew = computed(() => this.entry() === 'new');
  /** id of the entry that a new one begins from */
  protected readonly from = signal<string | undefined>(undefined);
  readonly #known = computed(() => {
    const id = this.isNew() ? (this.from() ?? firstOf[this.kind()]) : this.entry();
    return entriesOf(this.library.index(), this.kind()).find((one) => one.id === id);
  });
  protected readonly model = computed(() => this.#known()?.name);
  protected readonly draft = linkedSignal<Draft | undefined>(() => {
    const known = this.#known();
    return known && this.isNew() ? draftFrom(known, '') : known;
  });
  protected readonly condition = computed(() => (this.kind() === 'conditions' ? (this.draft() as Condition | undefined) : undefined));
  protected readonly sign = computed(() => (this.kind() === 'signs' ? (this.draft() as Sign | undefined) : undefined));
  protected readonly host = computed(() => (this.kind() === 'hosts' ? (this.draft() as Host | undefined) : undefined));
  readonly #stored = computed(() =>
    this.garden.ownEntries().find((one) => one.kind === this.kind() && one.entry.id === this.entry() && !one.endedOn),
  );
  protected readonly why = linkedSignal(() => this.#stored()?.why ?? '');
  protected readonly faults = signal<readonly string[]>([]);
  protected readonly saving = signal(false);

  protected readonly hostRows = computed(() => {
    const hosts = this.condition()?.hosts;
    if (!hosts) return [];
    return (['often', 'sometimes', 'seldom'] as const).flatMap((level) =>
      hosts[level].map((id) => ({ id, name: this.library.hostName(id), weight: level })),
    );
  });
  protected readonly signRows = computed(() => {
    const condition = this.condition();
    return condition
      ? signsOf(condition).map(({ sign, frequency }) => ({ id: sign, weight: frequency, name: this.library.signName(sign) }))
      : [];
  });

  protected readonly checkRows = computed(() =>
    (this.condition()?.checks ?? []).map((id) => ({ id, name: this.library.checks().get(id)?.name ?? id })),
  );
  protected readonly treatmentRows = computed(() =>
    (this.condition()?.treat ?? []).map(({ intervention, efficacy }) => ({
      id: intervention,
      name: this.library.interventionName(intervention),
      weight: helpOf(efficacy),
    })),
  );

  protected readonly typedModel = signal('');
  protected readonly foundModels = computed(() => matching(entriesOf(this.library.index(), this.kind()), this.typedModel()));

  protected set(change: Partial<Condition> & Partial<Sign> & Partial<Host>): void {
    this.draft.update((draft) => draft && { ...draft, ...change });
  }

  protected rename(name: string): void {
    this.draft.update((draft) => draft && { ...draft, name, ...(this.isNew() && { id: draftFrom(draft, name).id }) });
  }

  protected readonly comma = /,/;
  protected readonly newline = /\n/;
  protected list = (text: string, parted: RegExp) =>
    text
      .split(parted)
      .map((one) => one.trim())
      .filter(Boolean);

  protected beginFrom(name: string): void {
    const known = findByName(entriesOf(this.library.index(), this.kind()), name);
    if (known) this.from.set(known.id);
  }

  protected putHost({ id, weight }: Put): void {
    this.#change((condition) => withHost(condition, id, weight as HostLevel | null));
  }

  protected putSign({ id, weight }: Put): void {
    this.#change((condition) => withSign(condition, id, weight as Condition['signs'][string] | null));
  }

  protected putCheck({ id, weight }: Put): void {
    this.#change((condition) => withCheck(condition, id, weight !== null));
  }

  protected putTreatment({ id, weight }: Put): void {
    this.#change((condition) => withTreatment(condition, id, weight as Help | null));
  }

  protected toggleMonth(month: number): void {
    const months = this.condition()!.months;
    const changed = months.includes(month) ? months.filter((one) => one !== month) : [...months, month].sort((a, b) => a - b);
    this.set({ months: changed });
  }

  protected async save(): Promise<void> {
    const [draft, stored] = [this.draft(), this.#stored()];
    if (!draft) return;
    if (draft.name.trim() === '') return this.faults.set(['Give it a name.']);
    this.saving.set(true);
    this.faults.set([]);
    try {
      const value = { kind: this.kind(), entry: { ...draft, name: draft.name.trim() }, why: this.why().trim(), endedOn: null };
      await this.#records.save(
        'ownEntries',
        stored?.id ?? crypto.randomUUID(),
        stored?.version ?? 0,
        value,
        `${draft.name} is kept for this garden.`,
      );
      await this.#router.navigate(['/g', this.garden.summary().id, 'library', this.kind(), draft.id]);
    } catch (error) {
      const { message, fields } = ApiError.from(error);
      this.faults.set(
        fields.size > 0 ? [...fields].map(([field, fault]) => (field === 'entry' ? fault : `${field}: ${fault}`)) : [message],
      );
    } finally {
      this.saving.set(false);
    }
  }

  #change(change: (condition: Condition) => Condition): void {
    this.draft.update((draft) => draft && change(draft as Condition));
  }
}

const matching = <T extends { id: string; name: string }>(entries: readonly T[], typed: string): T[] =>
  typed.trim() === '' ? [] : searchByName(entries, typed).slice(0, offered);
