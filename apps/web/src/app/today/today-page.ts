import { ChangeDetectionStrategy, Component, computed, inject } from '@angular/core';
import { MatButtonModule } from '@angular/material/button';
import { RouterLink } from '@angular/router';
import { workingConditions } from '../cases/case-diagnoses';
import { Garden } from '../gardens/garden';
import { Library } from '../library/library';
import { PlantingTitle } from '../plantings/planting-title';
import { StatusMark } from '../recovery/status-mark';
import { dayWord, fromToday, instantWord, longDay } from '../shared/days';
import { agendaFor } from './agenda';

/** What the garden wants today. */
@Component({
  selector: 'fn-today-page',
  imports: [RouterLink, MatButtonModule, PlantingTitle, StatusMark],
  changeDetection: ChangeDetectionStrategy.OnPush,
  styleUrl: './today-page.scss',
  templateUrl: './today-page.html',
})
export class TodayPage {
  readonly #library = inject(Library);
  protected readonly garden = inject(Garden);
  protected readonly base = computed(() => `/g/${this.garden.summary().id}`);
  readonly #zone = this.garden.summary().timeZone;

  protected readonly agenda = computed(() =>
    agendaFor({
      plantings: this.garden.plantings(),
      cases: this.garden.cases(),
      decisions: this.garden.decisions(),
      applications: this.garden.applications(),
      looks: this.garden.looks(),
      today: this.garden.today(),
      now: this.garden.now(),
    }),
  );
  protected readonly heading = computed(() => longDay(this.garden.today()));
  protected readonly isQuiet = computed(() => Object.values(this.agenda()).every((list: readonly unknown[]) => list.length === 0));
  protected readonly summary = computed(() => {
    const { looks, keepOut, toDecide } = this.agenda();
    const due = looks.filter(({ on }) => on <= this.garden.today()).length;
    return [
      due === 0 ? 'No look is due' : due === 1 ? 'One look is due' : `${due} looks are due`,
      keepOut.length > 0 ? `${keepOut.length === 1 ? 'one planting is' : `${keepOut.length} plantings are`} shut` : '',
      toDecide.length > 0 ? `${toDecide.length === 1 ? 'one case waits' : `${toDecide.length} cases wait`} for you` : '',
    ]
      .filter(Boolean)
      .join(', ');
  });

  protected readonly day = (day: string) => dayWord(day, this.garden.today());
  protected readonly fromToday = (day: string) => fromToday(day, this.garden.today());
  protected readonly at = (instant: string) => instantWord(instant, this.#zone);
  protected readonly optionName = (id: string) => this.#library.optionName(id);
  protected readonly caseName = (id: string) => this.#library.conditionNames(workingConditions(this.garden.case(id)?.diagnoses ?? []));
}
