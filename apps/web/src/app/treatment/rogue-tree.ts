import { ChangeDetectionStrategy, Component, computed, input, linkedSignal } from '@angular/core';
import { MatFormFieldModule } from '@angular/material/form-field';
import { MatSelectModule } from '@angular/material/select';
import type { RogueBranch, RogueChoice, RogueQuestion } from '@field-nurse/core/treatment';
import { rogueOrTreat } from '@field-nurse/core/treatment';
import { AmountField } from '../shared/amount-field';
import { paces } from './rogue-question';

const choiceWords: Readonly<Record<RogueChoice, string>> = { leave: 'Leave it', treat: 'Treat it', rogue: 'Take it out' };
const branchWords: Readonly<Record<RogueBranch['code'], string>> = {
  runs: 'it runs its course',
  cured: 'it is cured',
  'not-cured': 'it is not cured, and runs on',
  'in-time': 'the rest stays healthy',
  'too-late': 'others carry it already',
};

type Field = Exclude<keyof RogueQuestion, 'treat' | 'spreadPerWeek' | 'replacedShare'> | 'works' | 'cost';
interface FieldOf {
  readonly name: Field;
  readonly label: string;
  /** shown in hundredths */
  readonly isShare?: boolean;
  readonly most: number;
  readonly least: number;
}

const fields: readonly FieldOf[] = [
  { name: 'sick', label: 'Plants that show it', least: 1, most: 100_000 },
  { name: 'around', label: 'Others in its reach', least: 0, most: 100_000 },
  { name: 'plantValue', label: 'A plant is still worth', least: 0, most: 100_000 },
  { name: 'replacement', label: 'A new one costs', least: 0, most: 100_000 },
  { name: 'daysLeft', label: 'Days left, to frost or the end', least: 0, most: 4000 },
  { name: 'damage', label: 'Left alone it costs, % of a plant', least: 0, most: 100, isShare: true },
  { name: 'works', label: 'Treating cures, in 100', least: 0, most: 100, isShare: true },
  { name: 'cost', label: 'Treating costs, for a plant', least: 0, most: 100_000 },
  { name: 'clearance', label: 'Taking one out costs', least: 0, most: 100_000 },
  { name: 'hidden', label: 'Others carry it unseen, in 100', least: 0, most: 100, isShare: true },
];

/** Leave it, treat it or take it out: a small tree with the ways that each can go, their chances, and what they lose. */
@Component({
  selector: 'fn-rogue-tree',
  imports: [AmountField, MatFormFieldModule, MatSelectModule],
  changeDetection: ChangeDetectionStrategy.OnPush,
  styles: `
    .fields {
      display: grid;
      grid-template-columns: repeat(auto-fit, minmax(190px, 1fr));
      gap: 8px;
      margin: 10px 0;
    }
    .pace {
      grid-column: 1 / -1;
    }
    ul {
      list-style: none;
    }
    .tree > li {
      margin-top: 10px;
      padding-left: 12px;
      border-left: 3px solid var(--fn-line);
    }
    .tree > li.best {
      border-color: var(--fn-green);
    }
    .row {
      display: flex;
      gap: 12px;
      justify-content: space-between;
    }
    .tree ul .row {
      padding: 2px 0 2px 16px;
      position: relative;
    }
    .tree ul .row::before {
      content: '';
      position: absolute;
      left: 0;
      top: 0.9em;
      width: 11px;
      border-top: var(--fn-stroke) solid var(--fn-faint-ink);
    }
    .bar {
      height: 8px;
      margin: 3px 0;
      background: var(--fn-faint-ink);
      border-radius: 2px;
    }
    .best .bar {
      background: var(--fn-green);
    }
  `,
  template: `
    <section class="fn-panel" aria-labelledby="rogue">
      <h2 id="rogue">Leave it, treat it, or take it out?</h2>
      @if (tree(); as tree) {
        <p>{{ words() }}</p>
        <ul class="tree" aria-label="What each may lose">
          @for (one of tree.choices; track one.choice) {
            <li [class.best]="one.choice === tree.best">
              <div class="row">
                <b>{{ choiceWords[one.choice] }}{{ one.choice === tree.best ? ', the least' : '' }}</b>
                <span>{{ money(one.expected) }}</span>
              </div>
              <div class="bar" [style.width.%]="share(one.expected)" aria-hidden="true"></div>
              @if (one.branches.length > 1) {
                <ul>
                  @for (branch of one.branches; track branch.code) {
                    <li class="row">
                      <span>{{ inHundred(branch.chance) }} in 100: {{ branchWords[branch.code] }}</span>
                      <span>{{ money(branch.loss) }}</span>
                    </li>
                  }
                </ul>
              }
            </li>
          }
        </ul>
      } @else {
        <p class="fn-care" role="alert">Put right what is marked below.</p>
      }
      <details>
        <summary>What it goes by</summary>
        <div class="fields">
          @for (field of fields; track field.name) {
            <fn-amount-field
              [label]="field.label"
              [value]="shown(field)"
              [fault]="faults().has(field.name) ? 'From ' + field.least + ' to ' + field.most + '.' : undefined"
              (typed)="put(field, $event)"
            />
          }
          <mat-form-field subscriptSizing="dynamic" class="pace">
            <mat-label>It goes from plant to plant</mat-label>
            <mat-select [value]="set().spreadPerWeek" (selectionChange)="change({ spreadPerWeek: $event.value })">
              @for (pace of paces; track pace.rate) {
                <mat-option [value]="pace.rate">{{ pace.word }}</mat-option>
              }
            </mat-select>
          </mat-form-field>
        </div>
        <p class="fn-small">All in your money. The figures that stand there at first are rough; put in your own.</p>
      </details>
    </section>
  `,
})
export class RogueTree {
  /** figures to begin with */
  readonly usual = input.required<RogueQuestion>();
  protected readonly set = linkedSignal(() => this.usual());
  protected readonly fields = fields;
  protected readonly paces = paces;
  protected readonly choiceWords = choiceWords;
  protected readonly branchWords = branchWords;

  protected readonly faults = computed(
    () =>
      new Set(
        fields
          .filter((field) => {
            const value = this.#valueOf(field.name) * (field.isShare ? 100 : 1);
            return !(value >= field.least && value <= field.most + 1e-9);
          })
          .map(({ name }) => name),
      ),
  );
  protected readonly tree = computed(() => (this.faults().size === 0 ? rogueOrTreat(this.set()) : undefined));
  protected readonly words = computed(() => {
    const tree = this.tree();
    if (!tree) return '';
    const { best, treatFrom, turnsAt } = tree;
    const least = tree.choices.find(({ choice }) => choice === best)!.expected;
    const first = `${choiceWords[best]}: it loses least, about ${this.money(least)}.`;
    const ifCure =
      best !== 'treat' && treatFrom !== undefined
        ? ` Treating would be better if it cured at least ${Math.ceil(treatFrom * 100)} in 100.`
        : '';
    const ifDear = turnsAt
      ? ` Were a plant worth ${this.money(turnsAt.plantValue)}, it would be: ${choiceWords[turnsAt.best].toLowerCase()}.`
      : '';
    return first + ifCure + ifDear;
  });
  readonly #most = computed(() => Math.max(1e-9, ...(this.tree()?.choices.map(({ expected }) => expected) ?? [])));
  protected readonly share = (loss: number): number => Math.max(1, (loss / this.#most()) * 100);
  protected readonly money = (amount: number): string =>
    amount >= 100 ? String(Math.round(amount)) : amount.toFixed(amount >= 10 ? 0 : 1);
  protected readonly inHundred = (chance: number): number => Math.round(chance * 100);

  readonly #valueOf = (name: Field): number => (name === 'works' || name === 'cost' ? this.set().treat[name] : this.set()[name]);
  protected readonly shown = ({ name, isShare }: FieldOf): number => Number((this.#valueOf(name) * (isShare ? 100 : 1)).toPrecision(3));

  protected put({ name, isShare }: FieldOf, typed: number): void {
    const value = typed / (isShare ? 100 : 1);
    this.change(name === 'works' || name === 'cost' ? { treat: { ...this.set().treat, [name]: value } } : { [name]: value });
  }

  protected change(to: Partial<RogueQuestion>): void {
    this.set.update((set) => ({ ...set, ...to }));
  }
}
