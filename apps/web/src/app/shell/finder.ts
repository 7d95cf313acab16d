import type { Injector } from '@angular/core';
import { ChangeDetectionStrategy, Component, computed, inject, signal } from '@angular/core';
import { MatAutocompleteModule } from '@angular/material/autocomplete';
import { MatDialog, MatDialogModule, MatDialogRef } from '@angular/material/dialog';
import { MatFormFieldModule } from '@angular/material/form-field';
import { MatInputModule } from '@angular/material/input';
import { Router } from '@angular/router';
import { workingConditions } from '../cases/case-diagnoses';
import { Garden } from '../gardens/garden';
import { Library } from '../library/library';
import type { EntryKind } from '../library/library-search';
import { entryKinds } from '../library/library-search';
import { namesWith, nearNames } from '@field-nurse/library/find';
import { navigation } from './navigation';

interface Target {
  readonly word: string;
  readonly kind: string;
  readonly link: readonly string[];
}

const most = 9;
// From this many letters on the library is searched too.
const enoughLetters = 2;
const entryWords: Readonly<Record<EntryKind, string>> = {
  conditions: 'trouble',
  hosts: 'plant',
  signs: 'sign',
  interventions: 'what helps',
  checks: 'look',
  regions: 'region',
};

/** Find a page, a planting, a case or an entry of the library by typing a part of its name. */
@Component({
  selector: 'fn-finder',
  imports: [MatAutocompleteModule, MatDialogModule, MatFormFieldModule, MatInputModule],
  changeDetection: ChangeDetectionStrategy.OnPush,
  styles: `
    mat-form-field {
      width: 100%;
    }
    .target {
      display: flex;
      flex: 1;
      justify-content: space-between;
      gap: 12px;
    }
    small {
      color: var(--fn-faint-ink);
    }
  `,
  template: `
    <h2 mat-dialog-title>Find</h2>
    <mat-dialog-content>
      <mat-form-field subscriptSizing="dynamic">
        <mat-label>Page, planting, case or library entry</mat-label>
        <input matInput #field cdkFocusInitial autocomplete="off" [matAutocomplete]="list" (input)="text.set(field.value)" />
        <mat-autocomplete #list autoActiveFirstOption [displayWith]="wordOf" (optionSelected)="go($event.option.value)">
          @for (target of found(); track target.link.join('/')) {
            <mat-option [value]="target"
              ><span class="target"
                >{{ target.word }}<small>{{ target.kind }}</small></span
              ></mat-option
            >
          } @empty {
            <mat-option disabled>Nothing here has such a name.</mat-option>
          }
        </mat-autocomplete>
      </mat-form-field>
    </mat-dialog-content>
  `,
})
export class Finder {
  readonly #garden = inject(Garden);
  readonly #library = inject(Library);
  readonly #router = inject(Router);
  readonly #ref = inject(MatDialogRef);
  protected readonly text = signal('');
  protected readonly wordOf = (target: Target | string) => (typeof target === 'string' ? target : target.word);

  readonly #targets = computed<Target[]>(() => {
    const base = ['/g', this.#garden.summary().id];
    return [
      ...navigation.map(({ word, path }) => ({ word, kind: 'page', link: [...base, path] })),
      ...(this.#garden.canWrite() ? [{ word: 'Something is wrong', kind: 'page', link: [...base, 'wrong'] }] : []),
      ...this.#garden.places().map(({ id, name }) => ({ word: name, kind: 'place', link: [...base, 'ground', 'places', id] })),
      ...this.#garden.plantings().map((one) => ({
        word: [this.#library.hostName(one.host), one.cultivar].filter(Boolean).join(' · '),
        kind: one.endedOn ? 'ended planting' : 'planting',
        link: [...base, 'plantings', one.id],
      })),
      ...this.#garden.cases().map((one) => ({
        word: [
          this.#library.conditionNames(workingConditions(one.diagnoses)),
          this.#library.hostName(this.#garden.planting(one.plantingId)?.host ?? ''),
        ].join(' · '),
        kind: one.closedOn ? 'closed case' : 'case',
        link: [...base, 'cases', one.id],
      })),
      ...this.#garden.pastCases().map(({ id, conditions, host, openedOn }) => ({
        word: [this.#library.conditionNames(conditions), this.#library.hostName(host), openedOn.slice(0, 4)].join(' · '),
        kind: 'closed case',
        link: [...base, 'cases', id],
      })),
    ];
  });

  protected readonly found = computed(() => {
    const text = this.text().toLowerCase();
    const here = this.#targets().filter(({ word }) => word.toLowerCase().includes(text));
    return [...here, ...this.#entries(text)].slice(0, most);
  });

  /** Entries of the library by any of their names; where no kind of entry has such a name, those with one like it. */
  #entries(text: string): Target[] {
    const index = this.#library.known();
    if (!index || text.trim().length < enoughLetters) return [];
    const search = (by: typeof namesWith) =>
      entryKinds.flatMap((kind) =>
        by<{ id: string; name: string }>(index[kind], text).map(({ id, name }) => ({
          word: name,
          kind: entryWords[kind],
          link: ['/g', this.#garden.summary().id, 'library', kind, id],
        })),
      );
    const named = search(namesWith);
    return named.length > 0 ? named : search(nearNames);
  }

  protected go({ link }: Target): void {
    this.#ref.close();
    void this.#router.navigate([...link]);
  }
}

export const openFinder = (injector: Injector) => injector.get(MatDialog).open(Finder, { width: '520px', position: { top: '12vh' } });
