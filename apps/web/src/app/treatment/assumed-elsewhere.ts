import { ChangeDetectionStrategy, Component, computed, inject, input, resource } from '@angular/core';
import { MatButtonModule } from '@angular/material/button';
import type { OptionsAnswer, OptionsRequest } from '@field-nurse/contract';
import { Calc } from '../calc/calc';
import { CorrectPlanting } from '../gardens/correct-planting';
import type { Planting } from '../gardens/plantings-now';
import { settingWords } from '../shared/words';

type Setting = Planting['setting'];

const others: readonly Setting[] = ['indoor', 'outdoor', 'greenhouse'];

/** The step that comes first by a judgement. */
const firstOf = ({ plan, options }: OptionsAnswer) => options.find(({ id }) => id === plan[0]?.use)?.name;

/** Where a planting stands was taken for granted: it is asked here if the answer would change what comes first. */
@Component({
  selector: 'fn-assumed-elsewhere',
  imports: [MatButtonModule],
  changeDetection: ChangeDetectionStrategy.OnPush,
  template: `
    @if (differs().length > 0) {
      <div class="fn-care" role="group" aria-label="Where does it stand?">
        <p>
          <b>Does it stand {{ words(planting().setting) }}?</b> That is taken for granted.
          @for (one of differs(); track one.setting) {
            If it stands {{ words(one.setting) }}, this comes first: {{ one.first.toLowerCase() }}.
          }
        </p>
        <div class="fn-actions">
          <button matButton="outlined" type="button" (click)="put.stands(planting().id, planting().setting)">
            {{ button(planting().setting) }}
          </button>
          @for (one of differs(); track one.setting) {
            <button matButton="outlined" type="button" (click)="put.stands(planting().id, one.setting)">{{ button(one.setting) }}</button>
          }
        </div>
      </div>
    }
  `,
})
export class AssumedElsewhere {
  readonly #calc = inject(Calc);
  protected readonly put = inject(CorrectPlanting);
  readonly planting = input.required<Planting>();
  readonly situation = input.required<OptionsRequest>();
  readonly answer = input.required<OptionsAnswer>();

  readonly #elsewhere = resource({
    params: () => (this.planting().assumed.includes('setting') ? this.situation() : undefined),
    loader: async ({ params }) => {
      const settings = others.filter((setting) => setting !== params.setting);
      const answers = await Promise.all(settings.map((setting) => this.#calc.options({ ...params, setting })));
      return settings.map((setting, i) => ({ setting, first: firstOf(answers[i]!) }));
    },
  });
  protected readonly differs = computed(() => {
    const here = firstOf(this.answer());
    const known = this.#elsewhere.hasValue() ? this.#elsewhere.value() : [];
    return known.flatMap(({ setting, first }) => (first && first !== here ? [{ setting, first }] : []));
  });
  protected readonly words = (setting: Setting) => settingWords[setting]!.toLowerCase();
  protected readonly button = (setting: Setting) => `It stands ${this.words(setting)}`;
}
