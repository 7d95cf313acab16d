import { ChangeDetectionStrategy, Component, computed, inject, input, output, signal } from '@angular/core';
import { MatButtonModule } from '@angular/material/button';
import { MatRadioModule } from '@angular/material/radio';
import type { Case, OptionsAnswer } from '@field-nurse/contract';
import { Store } from '@ngrx/store';
import { firstValueFrom } from 'rxjs';
import { Api } from '../api/api';
import { ApiError } from '../api/api-error';
import { Garden } from '../gardens/garden';
import { GardenActions } from '../store/garden-state';

type Schools = Case['schools'];

/** The case goes by what is proposed, though the garden does not. */
const proposed = 'As proposed';

const withView = (schools: Schools, question: string, view: string): Schools => [
  ...schools.filter((one) => one.question !== question),
  ...(view ? [{ question, view }] : []),
];

/** Where growers differ: the reasons of each side, what is proposed, and what is chosen here, for this case or for the whole garden. */
@Component({
  selector: 'fn-schools',
  imports: [MatButtonModule, MatRadioModule],
  changeDetection: ChangeDetectionStrategy.OnPush,
  styles: `
    mat-radio-group {
      display: grid;
      gap: 8px;
      margin-top: 4px;
    }
    .dispute + .dispute {
      margin-top: 14px;
      padding-top: 10px;
      border-top: 1px solid var(--fn-line);
    }
  `,
  template: `
    <section class="fn-panel" aria-labelledby="schools">
      <h2 id="schools">Growers differ</h2>
      @for (dispute of disputes(); track dispute.id) {
        <div class="dispute">
          <h3 [id]="'school-' + dispute.id">{{ dispute.question }}</h3>
          <mat-radio-group
            [attr.aria-labelledby]="'school-' + dispute.id"
            [value]="shown(dispute.id)"
            [disabled]="!canWrite()"
            (change)="choose(dispute.id, $event.value)"
          >
            <mat-radio-button value=""
              >As proposed: {{ dispute.default }} <span class="fn-small">{{ dispute.why }}</span></mat-radio-button
            >
            @for (school of dispute.schools; track school.view) {
              <mat-radio-button [value]="school.view"
                ><b>{{ school.view }}.</b> {{ school.reason }}</mat-radio-button
              >
            }
          </mat-radio-group>
          @if (isOwner() && shown(dispute.id) !== ofGarden(dispute.id)) {
            <button matButton type="button" (click)="keepForGarden(dispute.id)">Always so in this garden</button>
          }
        </div>
      }
      @if (refusal(); as line) {
        <p class="fn-stop" role="alert">{{ line }}</p>
      }
    </section>
  `,
})
export class SchoolsPanel {
  readonly #api = inject(Api);
  readonly #store = inject(Store);
  readonly #garden = inject(Garden);
  readonly disputes = input.required<OptionsAnswer['disputes']>();
  /** chosen for the case */
  readonly own = input.required<Schools>();
  readonly canWrite = input.required<boolean>();
  readonly changed = output<Schools>();
  protected readonly refusal = signal('');
  protected readonly isOwner = computed(() => this.#garden.summary().role === 'owner');

  protected readonly ofGarden = (question: string): string =>
    this.#garden.summary().schools.find((one) => one.question === question)?.view ?? '';
  protected readonly taken = (question: string): string =>
    this.own().find((one) => one.question === question)?.view ?? this.ofGarden(question);

  protected readonly shown = (question: string): string => (this.taken(question) === proposed ? '' : this.taken(question));

  protected choose(question: string, view: string): void {
    // As proposed, against what the garden says, is a choice of the case too; it has no words in the library.
    const forCase = view === this.ofGarden(question) ? '' : view || proposed;
    this.changed.emit(withView(this.own(), question, forCase));
  }

  /** What is chosen here holds for all cases from now on. */
  protected async keepForGarden(question: string): Promise<void> {
    const { id, role: _, fixedNow: __, ...settings } = this.#garden.summary();
    try {
      const schools = withView(settings.schools, question, this.shown(question));
      const garden = await firstValueFrom(this.#api.changeGarden(id, { ...settings, schools }));
      this.#store.dispatch(GardenActions.settingsChanged({ garden }));
      this.changed.emit(withView(this.own(), question, ''));
    } catch (error) {
      this.refusal.set(ApiError.from(error).message);
    }
  }
}
