import { ChangeDetectionStrategy, Component, computed, inject, input } from '@angular/core';
import { Garden } from '../gardens/garden';
import { EntryLink } from '../library/entry-link';
import { Library } from '../library/library';

/** Stands before everything else when a suspect must be reported: what to do, what not to do, and whom to call. */
@Component({
  selector: 'fn-notifiable-notice',
  imports: [EntryLink],
  changeDetection: ChangeDetectionStrategy.OnPush,
  styles: `
    section {
      display: grid;
      gap: 10px;
    }
    .columns {
      display: grid;
      grid-template-columns: repeat(auto-fit, minmax(min(100%, 260px), 1fr));
      gap: 8px 28px;
    }
    ul {
      margin-left: 1.2em;
    }
  `,
  template: `
    <section class="fn-stop" role="alert" aria-labelledby="notice">
      <h2 id="notice">
        <strong>Report it:</strong>
        @for (suspect of suspects(); track suspect) {
          <fn-entry-link kind="conditions" [entry]="suspect" />{{ $last ? '' : ', ' }}
        }
        is possible
      </h2>
      <div class="columns">
        <div>
          <h3>Do</h3>
          <ul>
            <li>Call {{ authority() }}.</li>
            <li>Photograph the plant, the signs and the place.</li>
            <li>Keep people and animals out of the row; clean boots and tools where you stand.</li>
          </ul>
        </div>
        <div>
          <h3>Don’t</h3>
          <ul>
            <li>Don’t move plants, soil, fruit or tools off the site, not even in a bag.</li>
            <li>Don’t cut, dig, compost or burn it until you are told how.</li>
            <li>Don’t spray: treatment is for the officials to say. The options stay closed until then.</li>
          </ul>
        </div>
      </div>
      <p class="fn-small">A suspicion is enough to call. Being wrong costs nothing.</p>
    </section>
  `,
})
export class NotifiableNotice {
  readonly #garden = inject(Garden);
  readonly #library = inject(Library);
  /** ids of the conditions that must be reported */
  readonly suspects = input.required<readonly string[]>();
  protected readonly authority = computed(
    () => this.#library.known()?.regions.find(({ id }) => id === this.#garden.summary().region)?.authority ?? 'your plant-health authority',
  );
}
