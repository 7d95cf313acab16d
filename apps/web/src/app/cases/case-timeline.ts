import { ChangeDetectionStrategy, Component, computed, inject, input } from '@angular/core';
import { ClinicSamples } from '../clinic/clinic-samples';
import { resultWords } from '../clinic/clinic-words';
import { PhotoTaker } from '../gardens/photo-taker';
import { Garden } from '../gardens/garden';
import { Library } from '../library/library';
import { dayWord } from '../shared/days';
import { caseStory } from './case-story';
import type { StoryEvent } from './case-story';

/** The case by days: what was found, what it was taken for and why, what was done. So that a wrong turn can be traced. */
@Component({
  selector: 'fn-case-timeline',
  imports: [PhotoTaker],
  changeDetection: ChangeDetectionStrategy.OnPush,
  styles: `
    section {
      display: grid;
      gap: 10px;
    }
    ol {
      display: grid;
      list-style: none;
      border-left: 2px solid var(--fn-line);
    }
    ol > li {
      display: grid;
      grid-template-columns: 84px minmax(0, 1fr);
      gap: 12px;
      padding: 5px 0 5px 14px;
    }
    ul {
      display: flex;
      flex-wrap: wrap;
      gap: 2px 18px;
      list-style: none;
    }
    .taken-for {
      font-weight: 650;
    }
    .why {
      font-weight: 400;
    }
  `,
  template: `
    <section aria-labelledby="story">
      <h2 id="story">How it went</h2>
      <ol>
        @for (day of story(); track day.on) {
          <li>
            <span class="fn-small">{{ dayOf(day.on) }}</span>
            <ul>
              @for (event of day.events; track $index) {
                <li [class]="event.kind">
                  {{ words(event) }}
                  @if (event.kind === 'taken-for' && event.why) {
                    <span class="why fn-small">{{ event.why }}</span>
                  } @else if (event.kind === 'looked' && event.photos.length > 0) {
                    <fn-photo-taker [photos]="event.photos" [readonly]="true" />
                  }
                </li>
              }
            </ul>
          </li>
        }
      </ol>
    </section>
  `,
})
export class CaseTimeline {
  readonly #garden = inject(Garden);
  readonly #clinics = inject(ClinicSamples);
  readonly #library = inject(Library);
  /** id of the case */
  readonly case = input.required<string>();
  protected readonly story = computed(() => {
    const one = this.#garden.case(this.case());
    if (!one) return [];
    return caseStory({
      one,
      decisions: this.#garden.decisionsOf(one.id),
      applications: this.#garden.applied().filter(({ caseId }) => caseId === one.id),
      assessments: this.#garden.assessmentsOf(one.id),
      samples: this.#clinics.of(one.id),
      timeZone: this.#garden.summary().timeZone,
    });
  });
  protected readonly dayOf = (day: string) => dayWord(day, this.#garden.today());

  protected words(event: StoryEvent): string {
    switch (event.kind) {
      case 'opened':
        return 'Opened';
      case 'closed':
        return 'Closed';
      case 'found':
        return `${event.state === 'absent' ? 'Not there: ' : event.state === 'old' ? 'Old scar: ' : ''}${this.#library.signName(event.sign)}`;
      case 'taken-for':
        return `Taken for ${this.#library.conditionNames(event.conditions)}`;
      case 'decided':
        return `Chosen: ${this.#library.interventionName(event.intervention)}`;
      case 'treated':
        return `Done: ${this.#library.interventionName(event.intervention)}`;
      case 'sent':
        return `Sample sent to ${event.clinic}`;
      case 'lost':
        return `The sample never reached ${event.clinic}`;
      case 'tested':
        return `Clinic: ${this.#library.conditionName(event.condition)} ${resultWords[event.result]}`;
      case 'looked':
        return `Looked: ${event.severity} %`;
    }
  }
}
