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
import { findAnything } from './find-anything';
import type { FoundPlanting, Target } from './find-anything';
import { navigation } from './navigation';

/** Forms that are no room's first view. */
const pages = [
  { name: 'Something is wrong', path: 'wrong' },
  { name: 'Log an application', path: 'log/new' },
  { name: 'New planting', path: 'ground/new-planting' },
  { name: 'New place', path: 'ground/new-place' },
  { name: 'Write a list', path: 'ground/list' },
  { name: 'New trap', path: 'traps/new' },
  { name: 'Own knowledge', path: 'library/own' },
  { name: 'Waiting to be sent', path: 'waiting' },
];

/** Find anything by a part of its name, or say what is to be done: "log soap on beans". */
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
        <mat-label>Name it, or say what to do</mat-label>
        <input
          matInput
          #field
          cdkFocusInitial
          autocomplete="off"
          placeholder="roses, late blight, log soap on beans"
          [matAutocomplete]="list"
          (input)="text.set(field.value)"
        />
        <mat-autocomplete #list autoActiveFirstOption [displayWith]="wordOf" (optionSelected)="go($event.option.value)">
          @for (target of found(); track target.id) {
            <mat-option [value]="target"
              ><span class="target"
                >{{ target.name }}<small>{{ target.kind }}</small></span
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
  protected readonly wordOf = (target: Target | string) => (typeof target === 'string' ? target : target.name);

  readonly #targets = computed<Target[]>(() => [
    ...navigation.map(({ word, path }) => ({ id: path, name: word, kind: 'page', link: [path] })),
    ...(this.#garden.canWrite() ? pages : []).map(({ name, path }) => ({ id: path, name, kind: 'page', link: path.split('/') })),
    ...this.#garden.places().map(({ id, name }) => ({ id, name, kind: 'place', link: ['ground', 'places', id] })),
    ...this.#garden.plantings().map((one) => ({
      id: one.id,
      name: this.#nameOf(one),
      names: this.#library.hosts().get(one.host)?.names ?? [],
      kind: one.endedOn ? 'ended planting' : 'planting',
      link: ['plantings', one.id],
    })),
    ...this.#garden.cases().map(({ id, diagnoses, plantingId, closedOn }) => ({
      id,
      name: [
        this.#library.conditionNames(workingConditions(diagnoses)),
        this.#library.hostName(this.#garden.planting(plantingId)?.host ?? ''),
      ].join(' · '),
      kind: closedOn ? 'closed case' : 'case',
      link: ['cases', id],
    })),
    ...this.#garden.pastCases().map(({ id, conditions, host, openedOn }) => ({
      id,
      name: [this.#library.conditionNames(conditions), this.#library.hostName(host), openedOn.slice(0, 4)].join(' · '),
      kind: 'closed case',
      link: ['cases', id],
    })),
  ]);
  readonly #plantings = computed<FoundPlanting[]>(() => {
    const open = new Map(this.#garden.cases().flatMap(({ id, plantingId, closedOn }) => (closedOn ? [] : [[plantingId, id] as const])));
    const growing = this.#garden.plantings().filter(({ endedOn }) => !endedOn);
    return growing.map((one) => ({
      id: one.id,
      name: this.#nameOf(one),
      names: this.#library.hosts().get(one.host)?.names ?? [],
      caseId: open.get(one.id),
    }));
  });

  protected readonly found = computed(() =>
    findAnything(this.text(), {
      index: this.#library.known(),
      targets: this.#targets(),
      plantings: this.#plantings(),
      canWrite: this.#garden.canWrite(),
    }),
  );

  readonly #nameOf = ({ host, cultivar }: { readonly host: string; readonly cultivar: string }) =>
    [this.#library.hostName(host), cultivar].filter(Boolean).join(' · ');

  protected go({ link, query }: Target): void {
    this.#ref.close();
    void this.#router.navigate(['/g', this.#garden.summary().id, ...link], { ...(query && { queryParams: { ...query } }) });
  }
}

export const openFinder = (injector: Injector) => injector.get(MatDialog).open(Finder, { width: '520px', position: { top: '12vh' } });
