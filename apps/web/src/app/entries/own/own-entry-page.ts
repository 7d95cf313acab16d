import { ChangeDetectionStrategy, Component, computed, inject, input, linkedSignal, signal } from '@angular/core';
import { MatAutocompleteModule } from '@angular/material/autocomplete';
import { MatButtonModule } from '@angular/material/button';
import { MatFormFieldModule } from '@angular/material/form-field';
import { MatInputModule } from '@angular/material/input';
import { Router, RouterLink } from '@angular/router';
import type { OwnKind } from '@field-nurse/library';
import { findByName, searchByName } from '@field-nurse/library/find';
import { ApiError } from '../../api/api-error';
import { Garden } from '../../gardens/garden';
import { Records } from '../../gardens/records';
import { Library } from '../../library/library';
import { CheckFields } from './check-fields';
import { ConditionFields } from './condition-fields';
import { HostFields } from './host-fields';
import { InterventionFields } from './intervention-fields';
import { namesIn } from './lists';
import type { Draft } from './own-draft';
import { draftFrom, entriesOf } from './own-draft';
import { RegionFields } from './region-fields';
import { SignFields } from './sign-fields';

const offered = 8;
const headings: Readonly<Record<OwnKind, string>> = {
  conditions: 'A new trouble',
  signs: 'A new sign',
  hosts: 'A new plant',
  interventions: 'Something new that helps',
  checks: 'A new look',
  regions: 'The rules of a region',
};
const firstOf: Readonly<Record<OwnKind, string>> = {
  conditions: 'drought',
  signs: 'leaf-stippling',
  hosts: 'tomato',
  interventions: 'insecticidal-soap',
  checks: 'turn-leaves',
  regions: 'neutral',
};

/** Write an entry of the garden's own: a new one from a copy, or the library's changed for here. */
@Component({
  selector: 'fn-own-entry-page',
  imports: [
    CheckFields,
    ConditionFields,
    HostFields,
    InterventionFields,
    MatAutocompleteModule,
    MatButtonModule,
    MatFormFieldModule,
    MatInputModule,
    RegionFields,
    RouterLink,
    SignFields,
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

  protected readonly headings = headings;
  protected readonly namesIn = namesIn;

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
  protected readonly names = computed(() => {
    const draft = this.draft();
    return draft && 'names' in draft ? draft.names : undefined;
  });
  readonly #stored = computed(() =>
    this.garden.ownEntries().find((one) => one.kind === this.kind() && one.entry.id === this.entry() && !one.endedOn),
  );
  protected readonly why = linkedSignal(() => this.#stored()?.why ?? '');
  /** what is wrong: by field, and in lines for what has none here */
  protected readonly faultAt = signal<ReadonlyMap<string, string>>(new Map());
  protected readonly faults = signal<readonly string[]>([]);
  protected readonly saving = signal(false);

  protected readonly typedModel = signal('');
  protected readonly foundModels = computed(() => matching(entriesOf(this.library.index(), this.kind()), this.typedModel()));

  protected set(change: Partial<Draft>): void {
    this.draft.update((draft) => draft && ({ ...draft, ...change } as Draft));
  }

  protected rename(name: string): void {
    this.draft.update((draft) => draft && { ...draft, name, ...(this.isNew() && { id: draftFrom(draft, name).id }) });
  }

  protected beginFrom(name: string): void {
    const known = findByName(entriesOf(this.library.index(), this.kind()), name);
    if (known) this.from.set(known.id);
  }

  protected async save(): Promise<void> {
    const [draft, stored] = [this.draft(), this.#stored()];
    if (!draft) return;
    if (draft.name.trim() === '') return this.faults.set(['Give it a name.']);
    this.saving.set(true);
    this.faults.set([]);
    this.faultAt.set(new Map());
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
      this.faultAt.set(fields);
      this.faults.set(
        fields.size > 0 ? [...fields].map(([field, fault]) => (field === 'entry' ? fault : `${field}: ${fault}`)) : [message],
      );
    } finally {
      this.saving.set(false);
    }
  }
}

const matching = <T extends { id: string; name: string }>(entries: readonly T[], typed: string): T[] =>
  typed.trim() === '' ? [] : searchByName(entries, typed).slice(0, offered);
