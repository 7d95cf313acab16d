import { ChangeDetectionStrategy, Component, computed, input, output } from '@angular/core';
import { photoAddresses } from '../gardens/photo-addresses';
import { DamagePicture } from './damage-picture';
import type { LeafQuestion, PhotoQuestion, StandQuestion } from './drill-question';
import { pointsWord } from './drill-words';
import { PercentSaid } from './percent-said';
import { StandPicture } from './stand-picture';

/** How much of a leaf, or of a stand, is damaged. */
@Component({
  selector: 'fn-percent-question',
  imports: [DamagePicture, PercentSaid, StandPicture],
  changeDetection: ChangeDetectionStrategy.OnPush,
  styleUrl: './question.scss',
  template: `
    <div class="question">
      @if (photo()) {
        <img class="picture" alt="A leaf of this garden" [src]="address() ?? ''" />
      } @else if (leaf(); as leaf) {
        <fn-damage-picture
          class="picture"
          [blades]="leaf.blades"
          [pieces]="leaf.pieces"
          [look]="leaf.look"
          [label]="'A leaf with ' + leaf.name"
        />
      } @else if (stand(); as stand) {
        <fn-stand-picture
          class="picture wide"
          [plants]="stand.plants"
          [columns]="stand.columns"
          label="A bed of young plants with brown spots"
        />
      }
      <div class="answer">
        <h2>{{ ask() }}</h2>
        @if (told(); as said) {
          <p class="verdict">
            There {{ leaf()?.look === 'holes' ? 'is gone' : 'is' }} <b>{{ rounded() }} %</b>. You said {{ said.guess }} %:
            {{ miss(said.guess) }}.
          </p>
          @if (leaf(); as leaf) {
            <div class="gathered">
              <fn-damage-picture
                [blades]="leaf.blades"
                [gathered]="leaf.truth"
                [said]="said.guess"
                label="The same leaf with all damage at its foot"
              />
              <p class="hint">All of it, pushed together. The dashed line is what you said.</p>
            </div>
          }
          <ng-content />
        } @else {
          <p class="hint">{{ hint() }}</p>
          <fn-percent-said [of]="question().kind === 'leaf' ? 'Of the leaf' : 'Of all leaf in the bed'" (said)="said.emit($event)" />
        }
      </div>
    </div>
  `,
  styles: `
    .gathered {
      display: grid;
      grid-template-columns: 150px minmax(0, 1fr);
      gap: 14px;
      align-items: center;
    }
  `,
})
export class PercentQuestionView {
  readonly question = input.required<LeafQuestion | PhotoQuestion | StandQuestion>();
  readonly told = input<{ readonly guess: number } | null>(null);
  readonly said = output<number>();

  protected readonly leaf = computed(() => {
    const question = this.question();
    return 'blades' in question ? question : undefined;
  });
  protected readonly stand = computed(() => {
    const question = this.question();
    return question.kind === 'stand' ? question : undefined;
  });
  protected readonly photo = computed(() => {
    const question = this.question();
    return 'photo' in question ? question.photo : undefined;
  });
  readonly #photos = computed(() => (this.photo() ? [this.photo()!] : []));
  readonly #addresses = photoAddresses(this.#photos);
  protected readonly address = computed(() => this.#addresses().get(this.photo() ?? ''));
  protected readonly ask = computed(() => {
    const leaf = this.leaf();
    if (this.photo()) return 'How much of this leaf is damaged?';
    if (!leaf) return 'How much of this bed is marked?';
    return leaf.look === 'holes' ? 'How much of this leaf is gone?' : 'How much of this leaf is marked?';
  });
  protected readonly hint = computed(() => {
    const [leaf, stand] = [this.leaf(), this.stand()];
    if (stand) return `Spots ${stand.name}. Judge the bed as one leaf: clean plants count too.`;
    if (!leaf) return 'A leaf of this garden, that was measured. Eaten and discoloured count together.';
    const word = leaf.name.charAt(0).toUpperCase() + leaf.name.slice(1);
    return leaf.look === 'holes' ? `${word}. Count what is missing as part of the leaf.` : `${word}.`;
  });
  protected readonly rounded = computed(() => {
    const { truth } = this.question();
    return truth < 10 ? truth.toFixed(1) : Math.round(truth);
  });
  protected miss(guess: number): string {
    return pointsWord(guess - this.question().truth);
  }
}
