import { ChangeDetectionStrategy, Component, computed, inject, input } from '@angular/core';
import { EntryLink } from '../library/entry-link';
import { Library } from '../library/library';

/** The rules of a region: whom to call, what to report, what is sold, forbidden or for licensed people only. */
@Component({
  selector: 'fn-region-entry',
  imports: [EntryLink],
  changeDetection: ChangeDetectionStrategy.OnPush,
  styleUrl: './entry.scss',
  template: `
    <header>
      <h1>{{ one().name }}</h1>
      <p class="lead">Call {{ one().authority }}.</p>
    </header>
    @for (list of lists(); track list.word) {
      <section>
        <h2>{{ list.word }}</h2>
        <ul class="names">
          @for (row of list.rows; track row.id) {
            <li><fn-entry-link [kind]="list.kind" [entry]="row.id" />{{ row.why ? ': ' + row.why : '' }}</li>
          }
        </ul>
      </section>
    }
    <section>
      <h2>Burning and getting rid of it</h2>
      <p>{{ one().burning }}</p>
      <p>{{ one().disposal }}</p>
    </section>
  `,
})
export class RegionEntry {
  readonly #library = inject(Library);
  /** id of the region */
  readonly entry = input.required<string>();
  protected readonly one = computed(() => this.#library.index()!.regions.find(({ id }) => id === this.entry())!);
  protected readonly lists = computed(() => {
    const { notifiable, notListed, soldHere, forbidden, restricted } = this.one();
    const plain = (ids: readonly string[]) => ids.map((id) => ({ id, why: '' }));
    const limited = (rules: typeof forbidden) => rules.map(({ intervention, why }) => ({ id: intervention, why }));
    return [
      { word: 'To be reported', kind: 'conditions' as const, rows: plain(notifiable) },
      { word: 'Reported in many places, and not here', kind: 'conditions' as const, rows: plain(notListed) },
      { word: 'Sold to gardeners', kind: 'interventions' as const, rows: plain(soldHere) },
      { word: 'Forbidden', kind: 'interventions' as const, rows: limited(forbidden) },
      { word: 'For licensed people only', kind: 'interventions' as const, rows: limited(restricted) },
    ].filter(({ rows }) => rows.length > 0);
  });
}
