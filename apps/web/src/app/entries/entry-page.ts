import { ChangeDetectionStrategy, Component, computed, inject, input } from '@angular/core';
import { RouterLink } from '@angular/router';
import { Garden } from '../gardens/garden';
import { CheckEntry } from './check-entry';
import { ConditionEntry } from './condition-entry';
import { HostEntry } from './host-entry';
import { InterventionEntry } from './intervention-entry';
import { Library } from '../library/library';
import type { EntryKind } from '../library/library-search';
import { entryKinds } from '../library/library-search';
import { RegionEntry } from './region-entry';
import { SignEntry } from './sign-entry';

/** The page of one library entry. */
@Component({
  selector: 'fn-entry-page',
  imports: [CheckEntry, ConditionEntry, HostEntry, InterventionEntry, RegionEntry, RouterLink, SignEntry],
  changeDetection: ChangeDetectionStrategy.OnPush,
  template: `
    <div class="fn-page">
      <p class="fn-small fn-no-print">
        <a [routerLink]="['/g', garden.summary().id, 'library']">Library</a>
        @if (changeable()) {
          · <a [routerLink]="['/g', garden.summary().id, 'library', 'own', kind(), entry()]">Change it for this garden</a>
        }
        @if (own()) {
          · this garden’s own
        }
      </p>
      @if (!library.index()) {
        @if (library.failed(); as line) {
          <p class="fn-stop" role="alert">{{ line }}</p>
        } @else {
          <p role="status">Opening the library …</p>
        }
      } @else if (known()) {
        @switch (kind()) {
          @case ('conditions') {
            <fn-condition-entry [entry]="entry()" />
          }
          @case ('hosts') {
            <fn-host-entry [entry]="entry()" />
          }
          @case ('signs') {
            <fn-sign-entry [entry]="entry()" />
          }
          @case ('interventions') {
            <fn-intervention-entry [entry]="entry()" />
          }
          @case ('checks') {
            <fn-check-entry [entry]="entry()" />
          }
          @case ('regions') {
            <fn-region-entry [entry]="entry()" />
          }
        }
      } @else {
        <h1>Not in the library</h1>
        <p>No entry stands at this address. <a [routerLink]="['/g', garden.summary().id, 'library']">Look through the library</a>.</p>
      }
    </div>
  `,
})
export class EntryPage {
  protected readonly garden = inject(Garden);
  protected readonly library = inject(Library);
  /** kind and id, from the address */
  readonly kind = input.required<EntryKind>();
  readonly entry = input.required<string>();
  protected readonly changeable = computed(() => this.garden.canWrite() && this.known());
  protected readonly own = computed(() =>
    this.garden.ownEntries().some((one) => one.kind === this.kind() && one.entry.id === this.entry() && !one.endedOn),
  );
  protected readonly known = computed(
    () => entryKinds.includes(this.kind()) && this.library.index()?.[this.kind()].some(({ id }) => id === this.entry()),
  );
}
