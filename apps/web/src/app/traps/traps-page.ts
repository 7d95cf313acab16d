import { ChangeDetectionStrategy, Component, computed, inject } from '@angular/core';
import { MatButtonModule } from '@angular/material/button';
import { RouterLink } from '@angular/router';
import type { Trap } from '@field-nurse/contract';
import { checkOn, pausedOn, spotGroups, spotNow, trapState } from '@field-nurse/core/sampling';
import { Garden } from '../gardens/garden';
import { Library } from '../library/library';
import { dayWord, fromToday } from '../shared/days';
import { trapKindWords } from './trap-words';
import { TrapVerdict } from './trap-verdict';

const adviceWords = { keep: 'keep it', move: 'move it: others catch far more', 'too-soon': 'too soon to say' } as const;

/** The traps: what they catch against their level, which want a look, and which spots earn their place. */
@Component({
  selector: 'fn-traps-page',
  imports: [RouterLink, MatButtonModule, TrapVerdict],
  changeDetection: ChangeDetectionStrategy.OnPush,
  styleUrl: './traps-page.scss',
  templateUrl: './traps-page.html',
})
export class TrapsPage {
  readonly #library = inject(Library);
  protected readonly garden = inject(Garden);
  protected readonly kinds = trapKindWords;
  protected readonly advice = adviceWords;

  protected readonly standing = computed(() =>
    this.garden
      .traps()
      .filter(({ endedOn }) => !endedOn)
      .map((trap) => this.#row(trap))
      .sort((a, b) => (a.due ?? '9').localeCompare(b.due ?? '9') || a.trap.name.localeCompare(b.trap.name)),
  );
  protected readonly gone = computed(() => this.garden.traps().filter(({ endedOn }) => endedOn));
  protected readonly groups = computed(() =>
    spotGroups(this.garden.traps(), this.garden.catches()).map((group) => {
      const most = Math.max(...group.spots.map(({ between }) => between[1]));
      return {
        ...group,
        name: `${trapKindWords[group.kind]}${group.target ? ', ' + this.#library.conditionName(group.target).toLowerCase() : ''}`,
        spots: group.spots.map((spot) => ({
          ...spot,
          left: (100 * spot.between[0]) / most,
          width: (100 * (spot.between[1] - spot.between[0])) / most,
          at: (100 * spot.perDay) / most,
        })),
      };
    }),
  );
  protected readonly summary = computed(() => {
    const due = this.standing().filter(({ due: on }) => on !== null && on <= this.garden.today()).length;
    const over = this.standing().filter(({ verdict }) => verdict === 'act').length;
    return [
      due === 0 ? 'No trap wants a look today' : due === 1 ? 'One wants a look' : `${due} want a look`,
      over > 0 ? `${over} ${over === 1 ? 'is' : 'are'} over the level` : '',
    ]
      .filter(Boolean)
      .join(', ');
  });
  protected readonly day = (day: string) => dayWord(day, this.garden.today());
  protected readonly short = (perDay: number) => perDay.toLocaleString('en-GB', { maximumSignificantDigits: 2 });

  #row(trap: Trap) {
    const today = this.garden.today();
    const due = checkOn(trap, this.garden.catches(), today);
    const rest = pausedOn(today, trap);
    return {
      trap,
      due,
      isDue: due !== null && due <= today,
      spot: spotNow(trap).name,
      place: this.garden.place(trap.placeId)?.name ?? '',
      target: trap.target ? this.#library.conditionName(trap.target) : 'whatever comes',
      when: rest ? (rest.until ? `rests until ${this.day(rest.until)}` : 'rests') : due ? `look ${fromToday(due, today)}` : '',
      ...trapState(trap, this.garden.catches(), this.#library.conditions().get(trap.target ?? '')),
    };
  }
}
