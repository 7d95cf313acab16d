import { ChangeDetectionStrategy, Component, computed, inject, input, signal } from '@angular/core';
import { MatButtonModule } from '@angular/material/button';
import { RouterLink } from '@angular/router';
import { quarantineOf } from '@field-nurse/core/ground';
import type { Planting } from '../gardens/plantings-now';
import { ApiError } from '../api/api-error';
import { Garden } from '../gardens/garden';
import { Records } from '../gardens/records';
import { dayWord, fromToday } from '../shared/days';

/** A new arrival that is held apart: how far it has come, and its release once enough clean looks are made. */
@Component({
  selector: 'fn-held-apart',
  imports: [RouterLink, MatButtonModule],
  changeDetection: ChangeDetectionStrategy.OnPush,
  styles: `
    .held {
      display: flex;
      flex-wrap: wrap;
      gap: 6px 18px;
      align-items: center;
    }
    ol {
      display: flex;
      gap: 5px;
      list-style: none;
    }
    svg {
      display: block;
      width: 20px;
      height: 20px;
      fill: none;
      stroke: var(--fn-ink);
      stroke-width: 1.6;
    }
    .made {
      fill: var(--fn-green-wash);
      stroke: var(--fn-green);
    }
  `,
  template: `
    @if (state(); as state) {
      <div class="held fn-care">
        <strong>Held apart</strong>
        <ol [attr.aria-label]="state.cleanLooks + ' of ' + wanted() + ' clean looks made'">
          @for (made of marks(); track $index) {
            <li>
              <svg viewBox="0 0 20 20" aria-hidden="true" [class.made]="made">
                <circle cx="10" cy="10" r="8" />
                @if (made) {
                  <path d="M6 10.5L9 13.5L14.5 7" />
                }
              </svg>
            </li>
          }
        </ol>
        <span>{{ words() }}</span>
        @if (garden.canWrite()) {
          @if (state.mayRelease) {
            <button matButton="filled" type="button" [disabled]="busy()" (click)="release()">Let it join the others</button>
          } @else {
            <a matButton="outlined" [routerLink]="['/g', garden.summary().id, 'round']">To the round</a>
          }
        }
      </div>
    }
    @if (fault()) {
      <p class="fn-stop" role="alert">{{ fault() }}</p>
    }
  `,
})
export class HeldApart {
  readonly #records = inject(Records);
  protected readonly garden = inject(Garden);
  readonly planting = input.required<Planting>();
  protected readonly busy = signal(false);
  protected readonly fault = signal('');
  protected readonly wanted = computed(() => this.planting().quarantine?.looks ?? 0);
  protected readonly state = computed(() =>
    quarantineOf(this.planting(), { stops: this.garden.stops(), timeZone: this.garden.summary().timeZone, today: this.garden.today() }),
  );
  protected readonly marks = computed(() => Array.from({ length: this.wanted() }, (_, i) => i < this.state()!.cleanLooks));
  protected readonly words = computed(() => {
    const { mayRelease, nextLookOn, until } = this.state()!;
    const today = this.garden.today();
    if (mayRelease) return 'Enough clean looks over enough days.';
    const next = nextLookOn ? `Next look ${nextLookOn <= today ? 'is due' : fromToday(nextLookOn, today)}. ` : '';
    return `${next}It may join from ${dayWord(until, today)}, if all looks are clean.`;
  });

  protected async release(): Promise<void> {
    const { id, version, ...value } = this.garden.plantingRecord(this.planting().id)!;
    this.busy.set(true);
    this.fault.set('');
    try {
      const quarantine = { ...value.quarantine!, releasedOn: this.garden.today() };
      await this.#records.save('plantings', id, version, { ...value, quarantine }, 'It may join the others.');
    } catch (error) {
      this.fault.set(ApiError.from(error).message);
    } finally {
      this.busy.set(false);
    }
  }
}
