import { ChangeDetectionStrategy, Component, computed, inject, input, resource } from '@angular/core';
import { firstValueFrom } from 'rxjs';
import { Api } from '../api/api';
import { ApiError } from '../api/api-error';
import { Garden } from '../gardens/garden';
import { Library } from '../library/library';
import { entryChanges } from './entry-changes';

/** Who wrote a log entry and who corrected it, with what stood there before. */
@Component({
  selector: 'fn-former-entries',
  changeDetection: ChangeDetectionStrategy.OnPush,
  styles: `
    ol {
      display: grid;
      gap: 10px;
      margin: 0;
      padding: 0;
      list-style: none;
    }
    ul {
      margin: 2px 0 0;
      padding-left: 20px;
    }
    del {
      color: var(--fn-faint-ink);
    }
  `,
  template: `
    <section class="fn-panel" aria-labelledby="former">
      <h2 id="former">What it said before</h2>
      @if (fault(); as line) {
        <p class="fn-small">{{ line }} What is on this device is only the entry as it is now.</p>
      }
      <ol>
        @for (one of changes(); track $index) {
          <li>
            {{ one.at }}, {{ one.by }}: {{ one.whole ?? (one.fields.length > 0 ? 'corrected' : 'saved again as it was') }}
            @if (one.fields.length > 0) {
              <ul>
                @for (field of one.fields; track field.name) {
                  <li>
                    {{ field.name }}: <del>{{ field.from }}</del> → {{ field.to }}
                  </li>
                }
              </ul>
            }
          </li>
        }
      </ol>
    </section>
  `,
})
export class FormerEntries {
  readonly #api = inject(Api);
  readonly #garden = inject(Garden);
  readonly #library = inject(Library);
  readonly application = input.required<string>();
  /** of the entry as it is now: a correction is shown at once */
  readonly version = input.required<number>();

  readonly #versions = resource({
    params: () => ({ garden: this.#garden.summary().id, record: this.application(), version: this.version() }),
    loader: ({ params: { garden, record } }) => firstValueFrom(this.#api.pastVersions(garden, record)),
  });
  protected readonly fault = computed(() => (this.#versions.error() ? ApiError.from(this.#versions.error()).message : ''));
  protected readonly changes = computed(() =>
    entryChanges(this.#versions.hasValue() ? this.#versions.value() : [], {
      planting: (id) => this.#library.hostName(this.#garden.planting(id)?.host ?? ''),
      intervention: this.#library.interventionName,
      product: (id) => this.#garden.products().find((one) => one.id === id)?.name ?? '',
      timeZone: this.#garden.summary().timeZone,
    }),
  );
}
