import { NgTemplateOutlet } from '@angular/common';
import { ChangeDetectionStrategy, Component, computed, inject } from '@angular/core';
import type { CompanionUse } from '@field-nurse/core/ground';
import type { Companion } from '@field-nurse/library';
import { Garden } from '../gardens/garden';
import { EntryLink } from '../library/entry-link';
import { Library } from '../library/library';
import { evidenceWords } from '../shared/words';
import { CompanionGround } from './companion-ground';

const whenWords: Readonly<Record<CompanionUse['when'], string>> = {
  stands: 'stands',
  'begin-now': 'sow or plant now',
  'works-now': 'works this month',
  later: 'another month',
};
const workWords: Readonly<Record<Companion['work'], string>> = {
  traps: 'draws off',
  repels: 'keeps off',
  hides: 'hides it from',
  shelters: 'feeds the enemies of',
  starves: 'starves',
};

/** What may be set beside what grows here, by month, with how well it is tested; and kinds that resist what was had. */
@Component({
  selector: 'fn-companions-panel',
  imports: [EntryLink, NgTemplateOutlet],
  changeDetection: ChangeDetectionStrategy.OnPush,
  styles: `
    section {
      display: grid;
      gap: 8px;
    }
    ul {
      display: grid;
      list-style: none;
    }
    summary {
      min-height: 44px;
      padding: 10px 0;
      cursor: pointer;
    }
    li {
      display: grid;
      grid-template-columns: minmax(190px, 1fr) minmax(0, 2fr) minmax(120px, auto);
      gap: 2px 20px;
      padding: 10px 0;
      border-top: 1px solid var(--fn-line);
    }
    .when {
      display: block;
      color: var(--fn-faint-ink);
      font-size: 0.875rem;
    }
    .stands {
      color: var(--fn-green);
      font-weight: 600;
    }
    .grade {
      font-size: 0.875rem;
      text-align: right;
    }
    .grade i {
      display: block;
      position: relative;
      height: 8px;
      margin-top: 4px;
      background: var(--fn-sunk);
    }
    .grade b {
      position: absolute;
      top: 0;
      bottom: 0;
      background: var(--fn-green);
    }
    @media (max-width: 760px) {
      li {
        grid-template-columns: minmax(0, 1fr);
      }
      .grade {
        text-align: left;
      }
    }
  `,
  template: `
    <ng-template #list let-rows>
      <ul>
        @for (row of rows; track row.about.id) {
          <li>
            <div>
              <b>{{ row.about.name }}</b>
              <span class="when" [class.stands]="row.use.when === 'stands'">{{ row.when }}</span>
            </div>
            <div>
              <p>Beside {{ row.beside }}: {{ row.work }} {{ row.troubles }}{{ row.reach }}.</p>
              <p class="fn-small">{{ row.about.how }} {{ row.about.mind }}</p>
            </div>
            <div class="grade" [title]="row.about.basis">
              {{ row.grade }}
              <i aria-hidden="true"
                ><b [style.left.%]="row.about.efficacy[0]" [style.width.%]="row.about.efficacy[1] - row.about.efficacy[0]"></b
              ></i>
              {{ row.about.efficacy[0] }} to {{ row.about.efficacy[1] }} %
            </div>
          </li>
        }
      </ul>
    </ng-template>
    @if (rows().length > 0) {
      <section aria-labelledby="companions">
        <h2 id="companions">Set beside each other</h2>
        <p class="fn-small">
          For what may come this month and next. The bar is what it spares at the least and at the most, as far as that was tested.
        </p>
        <ng-container [ngTemplateOutlet]="list" [ngTemplateOutletContext]="{ $implicit: now() }" />
        @if (others().length > 0) {
          <details>
            <summary>Would work now, had it been begun in time: {{ others().length }}</summary>
            <ng-container [ngTemplateOutlet]="list" [ngTemplateOutletContext]="{ $implicit: others() }" />
          </details>
        }
      </section>
    }
    @if (ground.kinds().length > 0) {
      <section aria-labelledby="kinds">
        <h2 id="kinds">Kinds that resist what was had here</h2>
        <ul>
          @for (kind of ground.kinds(); track kind.condition) {
            <li>
              <div><fn-entry-link kind="conditions" [entry]="kind.condition" /></div>
              <p>
                Next time, look for its name among the resistances of {{ hostNames(kind.hosts) }}; grow two kinds, in case one breaks down.
              </p>
              <div class="grade">
                {{ grades[kind.evidence] }}
                <i aria-hidden="true"><b [style.left.%]="kind.efficacy[0]" [style.width.%]="kind.efficacy[1] - kind.efficacy[0]"></b></i>
                {{ kind.efficacy[0] }} to {{ kind.efficacy[1] }} %
              </div>
            </li>
          }
        </ul>
      </section>
    }
  `,
})
export class CompanionsPanel {
  readonly #library = inject(Library);
  readonly #garden = inject(Garden);
  protected readonly ground = inject(CompanionGround);
  protected readonly grades = evidenceWords;

  protected readonly rows = computed(() =>
    this.ground
      .uses()
      .filter(({ when }) => when !== 'later')
      .map((use) => {
        const about = this.ground.companions().find(({ id }) => id === use.companion)!;
        const standing = use.serves.filter((one) => one.standing.length > 0);
        const served = use.when === 'stands' ? standing : use.serves;
        return {
          use,
          about,
          when: whenWords[use.when],
          work: workWords[about.work],
          beside: this.#plantingNames(served.map(({ planting }) => planting)),
          troubles: inWords([...new Set(served.flatMap((one) => one.troubles))].map((id) => this.#library.conditionName(id).toLowerCase())),
          reach: about.reachM > 0 ? `, within ${about.reachM} m` : ', in the same bed',
          grade: evidenceWords[about.evidence],
        };
      }),
  );
  protected readonly now = computed(() => this.rows().filter(({ use }) => use.when !== 'works-now'));
  protected readonly others = computed(() => this.rows().filter(({ use }) => use.when === 'works-now'));
  #plantingNames(ids: readonly string[]): string {
    const names = ids.flatMap((id) => {
      const planting = this.#garden.planting(id);
      return planting ? [this.#library.hostName(planting.host).toLowerCase()] : [];
    });
    return inWords([...new Set(names)]);
  }
  protected readonly hostNames = (ids: readonly string[]) => inWords(ids.map((id) => this.#library.hostName(id).toLowerCase()));
}

const inWords = (names: readonly string[]) => new Intl.ListFormat('en-GB').format(names);
