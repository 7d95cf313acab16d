import { ChangeDetectionStrategy, Component, computed, inject, input } from '@angular/core';
import { RouterLink, RouterLinkActive } from '@angular/router';
import { Garden } from '../gardens/garden';
import { Library } from '../library/library';
import { PlantingTitle } from '../library/planting-title';
import { dayWord } from '../shared/days';
import { outcomeWords } from '../shared/words';
import { workingConditions } from './case-diagnoses';

/** The head of a case's pages: what it is about, and the way from signs to recovery. */
@Component({
  selector: 'fn-case-head',
  imports: [RouterLink, RouterLinkActive, PlantingTitle],
  changeDetection: ChangeDetectionStrategy.OnPush,
  styleUrl: './case-head.scss',
  template: `
    @if (one(); as one) {
      <h1>{{ name() }}</h1>
      <p>
        <fn-planting-title [planting]="one.plantingId" />
        <span class="fn-small"> · opened {{ day(one.openedOn) }}</span>
        @if (one.closedOn) {
          <span class="fn-small"> · closed {{ day(one.closedOn) }}: {{ outcomes[one.outcome ?? 'other'] }}</span>
        }
      </p>
      <nav aria-label="Case" class="fn-no-print">
        @for (tab of tabs; track tab.path) {
          <a
            #link
            [routerLink]="base() + tab.path"
            routerLinkActive="here"
            [routerLinkActiveOptions]="{ exact: tab.path === '' }"
            ariaCurrentWhenActive="page"
            (isActiveChange)="$event && link.scrollIntoView({ inline: 'center', block: 'nearest' })"
            >{{ tab.name }}</a
          >
        }
      </nav>
    }
  `,
})
export class CaseHead {
  readonly #garden = inject(Garden);
  readonly #library = inject(Library);
  readonly case = input.required<string>();
  protected readonly tabs = [
    { path: '', name: 'Signs and causes' },
    { path: '/options', name: 'Options' },
    { path: '/recovery', name: 'Recovery' },
    { path: '/clinic', name: 'Plant clinic' },
    { path: '/sheet', name: 'Second opinion' },
  ];
  protected readonly outcomes = outcomeWords;
  protected readonly one = computed(() => this.#garden.case(this.case()));
  protected readonly base = computed(() => `/g/${this.#garden.summary().id}/cases/${this.case()}`);
  protected readonly name = computed(() => this.#library.conditionNames(workingConditions(this.one()?.diagnoses ?? []), 'What is it?'));
  protected readonly day = (day: string) => dayWord(day, this.#garden.today());
}
