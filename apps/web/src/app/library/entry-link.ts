import { ChangeDetectionStrategy, Component, computed, inject, input } from '@angular/core';
import { RouterLink } from '@angular/router';
import { Garden } from '../gardens/garden';
import { Library } from './library';
import type { EntryKind } from './library-search';

/** The name of a library entry, as a link to its page where a garden is open. */
@Component({
  selector: 'fn-entry-link',
  imports: [RouterLink],
  changeDetection: ChangeDetectionStrategy.OnPush,
  template: `
    @if (garden.id(); as id) {
      <a [routerLink]="['/g', id, 'library', kind(), entry()]">{{ name() }}</a>
    } @else {
      {{ name() }}
    }
  `,
})
export class EntryLink {
  protected readonly garden = inject(Garden);
  readonly #library = inject(Library);
  readonly kind = input.required<EntryKind>();
  /** id of the entry */
  readonly entry = input.required<string>();
  protected readonly name = computed(
    () => this.#library.index()?.[this.kind()].find(({ id }) => id === this.entry())?.name ?? this.entry(),
  );
}
