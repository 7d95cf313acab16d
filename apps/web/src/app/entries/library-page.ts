import { ChangeDetectionStrategy, Component, computed, effect, inject, input, resource, signal } from '@angular/core';
import { MatButtonModule } from '@angular/material/button';
import { MatFormFieldModule } from '@angular/material/form-field';
import { MatInputModule } from '@angular/material/input';
import { MatSelectModule } from '@angular/material/select';
import { Router, RouterLink } from '@angular/router';
import { searchByName } from '@field-nurse/library/find';
import { Calc } from '../calc/calc';
import { Drawing } from '../drawing/drawing';
import { Garden } from '../gardens/garden';
import { kindWords, rungWords } from '../shared/words';
import { Library } from '../library/library';
import type { EntryKind, TroubleGroup } from '../library/library-search';
import { findTroubles, signsOf, troubleGroups } from '../library/library-search';
import { SignTile } from '../library/sign-tile';

const tabs: readonly { readonly kind: EntryKind; readonly word: string }[] = [
  { kind: 'conditions', word: 'Troubles and friends' },
  { kind: 'signs', word: 'Signs' },
  { kind: 'hosts', word: 'Plants' },
  { kind: 'interventions', word: 'What helps' },
  { kind: 'checks', word: 'Looks' },
];
const atFirst = 48;

// What the address does not say arrives as undefined.
const orNothing = (text: string | undefined) => text ?? '';

/** The reference library: browsed by kind, searched by any name, or by what the plant looks like in plain words. */
@Component({
  selector: 'fn-library-page',
  imports: [Drawing, MatButtonModule, MatFormFieldModule, MatInputModule, MatSelectModule, RouterLink, SignTile],
  changeDetection: ChangeDetectionStrategy.OnPush,
  styleUrl: './library-page.scss',
  templateUrl: './library-page.html',
})
export class LibraryPage {
  readonly #calc = inject(Calc);
  readonly #router = inject(Router);
  protected readonly garden = inject(Garden);
  protected readonly library = inject(Library);
  /** the shown kind, from the address */
  readonly kind = input('conditions' as EntryKind, { transform: (kind: EntryKind | undefined) => kind ?? 'conditions' });
  /** what is sought, from the address */
  readonly q = input('', { transform: orNothing });
  readonly host = input('', { transform: orNothing });
  readonly group = input('', { transform: orNothing });

  protected readonly tabs = tabs;
  protected readonly groups = Object.entries(troubleGroups).map(([id, { word }]) => ({ id, word }));
  protected readonly kinds = kindWords;
  protected readonly rungs = rungWords;
  protected readonly text = signal('');
  protected readonly all = signal(false);
  protected readonly reading = resource({
    params: () => ({ text: this.text(), host: this.host() }),
    loader: ({ params }) => this.#calc.readWords(params.text, params.host),
  });

  protected readonly troubles = computed(() => {
    const index = this.library.index();
    if (!index) return [];
    return findTroubles(index, {
      text: this.text(),
      reading: this.reading.hasValue() ? this.reading.value() : undefined,
      group: (this.group() || null) as TroubleGroup | null,
      host: this.host() || null,
    });
  });
  protected readonly shownTroubles = computed(() => this.troubles().slice(0, this.all() ? Infinity : atFirst));
  protected readonly others = computed(() => {
    const [index, kind] = [this.library.index(), this.kind()];
    return !index || kind === 'conditions' ? [] : searchByName<(typeof index)[typeof kind][number]>(index[kind], this.text());
  });
  protected readonly ownHosts = computed(() => {
    const ids = new Set(this.garden.plantings().map(({ host }) => host));
    return (this.library.index()?.hosts ?? []).filter(({ id }) => ids.has(id));
  });
  protected readonly otherHosts = computed(() => {
    const own = new Set(this.ownHosts().map(({ id }) => id));
    return (this.library.index()?.hosts ?? []).filter(({ id }) => !own.has(id));
  });

  constructor() {
    effect(() => this.text.set(this.q()));
  }

  /** The most telling sign of a trouble, for its picture. */
  protected readonly face = (condition: string) => {
    const one = this.library.conditions().get(condition);
    const shown = one && signsOf(one).filter(({ frequency }) => frequency === 'always' || frequency === 'often');
    const telling = shown?.find(({ sign }) => this.library.signs().get(sign)?.common === 'telling') ?? shown?.[0];
    return this.library.signs().get(telling?.sign ?? '')?.drawing;
  };
  protected readonly summaryOf = (id: string) => this.library.interventions().get(id)?.summary;

  /** Keep what is sought in the address, so that it can be come back to. */
  protected seek(change: Record<string, string | null>): void {
    this.all.set(false);
    void this.#router.navigate([], { queryParams: change, queryParamsHandling: 'merge', replaceUrl: true });
  }
}
