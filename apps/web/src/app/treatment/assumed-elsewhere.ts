import { ChangeDetectionStrategy, Component, computed, inject, input, resource } from '@angular/core';
import { MatButtonModule } from '@angular/material/button';
import type { OptionsAnswer, OptionsRequest } from '@field-nurse/contract';
import { Calc } from '../calc/calc';
import { CorrectPlanting } from '../gardens/correct-planting';
import type { Planting, PlantingFacts } from '../gardens/plantings-now';
import { settingWords } from '../shared/words';

/** How it might be instead of what was taken for granted. */
interface Otherwise {
  readonly facts: Partial<PlantingFacts>;
  /** "it stands indoors" */
  readonly words: string;
}

const settings: readonly Planting['setting'][] = ['indoor', 'outdoor', 'greenhouse'];
const stands = (setting: Planting['setting']) => `it stands ${settingWords[setting]!.toLowerCase()}`;
const eaten = (is: boolean) => (is ? 'it is eaten' : 'it is not eaten');
const flowers = (does: boolean) => (does ? 'it is in flower' : 'it is not in flower');

/** The step that comes first by a judgement. */
const firstOf = ({ plan, options }: OptionsAnswer) => options.find(({ id }) => id === plan[0]?.use)?.name;

/** Every way in which it might be otherwise, one fact at a time. */
function othersOf({ assumed, setting, eaten: edible, inFlower }: Planting): Otherwise[] {
  const others = settings.filter((one) => one !== setting).map((one) => ({ facts: { setting: one }, words: stands(one) }));
  return [
    ...(assumed.includes('setting') ? others : []),
    ...(assumed.includes('eaten') ? [{ facts: { eaten: !edible }, words: eaten(!edible) }] : []),
    ...(assumed.includes('inFlower') ? [{ facts: { inFlower: !inFlower }, words: flowers(!inFlower) }] : []),
  ];
}

/** What was taken for granted of a planting is asked here if the answer would change what comes first. */
@Component({
  selector: 'fn-assumed-elsewhere',
  imports: [MatButtonModule],
  changeDetection: ChangeDetectionStrategy.OnPush,
  template: `
    @if (differs().length > 0) {
      <div class="fn-care" role="group" aria-label="What is taken for granted">
        <p>
          <b>We take it that {{ so() }}.</b>
          @for (one of differs(); track one.words) {
            If {{ one.words }}, this comes first: {{ one.first.toLowerCase() }}.
          }
        </p>
        <div class="fn-actions">
          <button matButton="outlined" type="button" (click)="put.confirm(planting().id, [...decides()])">That is so</button>
          @for (one of differs(); track one.words) {
            <button matButton="outlined" type="button" (click)="put.correct(planting().id, one.facts)">No, {{ one.words }}</button>
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

  readonly #otherwise = resource({
    params: () => ({ situation: this.situation(), others: othersOf(this.planting()) }),
    loader: async ({ params: { situation, others } }) => {
      const answers = await Promise.all(
        others.map(({ facts: { eaten: edible, ...facts } }) =>
          this.#calc.options({ ...situation, ...facts, ...(edible !== undefined && { edible }) }),
        ),
      );
      return others.map((one, i) => ({ ...one, first: firstOf(answers[i]!) }));
    },
  });
  protected readonly differs = computed(() => {
    const here = firstOf(this.answer());
    const known = this.#otherwise.hasValue() ? this.#otherwise.value() : [];
    return known.flatMap(({ first, ...one }) => (first && first !== here ? [{ ...one, first }] : []));
  });
  protected readonly decides = computed(
    () => new Set(this.differs().flatMap(({ facts }) => Object.keys(facts) as (keyof PlantingFacts)[])),
  );
  /** what is taken for granted, as far as it decides */
  protected readonly so = computed(() => {
    const decides = this.decides();
    const { setting, eaten: edible, inFlower } = this.planting();
    const told = [
      decides.has('setting') ? stands(setting) : '',
      decides.has('eaten') ? eaten(edible) : '',
      decides.has('inFlower') ? flowers(inFlower) : '',
    ];
    return told.filter(Boolean).join(' and that ');
  });
}
