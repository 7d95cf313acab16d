import { ChangeDetectionStrategy, Component, computed, inject, input } from '@angular/core';
import { Library } from '../library/library';
import { circumstanceWords } from '../shared/words';

interface Evidence {
  readonly sign: string;
  readonly state: 'seen' | 'absent';
  readonly decibans: number;
}

const fullBarDb = 25;

/** Reasons for and against a cause: words, and a bar as long as the evidence is strong. */
@Component({
  selector: 'fn-evidence-bars',
  changeDetection: ChangeDetectionStrategy.OnPush,
  styleUrl: './evidence-bars.scss',
  template: `
    <ul>
      @for (row of rows(); track row.words) {
        <li [class.against]="row.decibans < 0">
          <span class="fn-hidden">{{ row.decibans < 0 ? 'Against:' : 'For:' }}</span>
          <span class="words">{{ row.words }}</span>
          <span class="track" [title]="strength(row.decibans)"><span class="bar" [style.width.%]="row.width"></span></span>
        </li>
      }
    </ul>
  `,
})
export class EvidenceBars {
  readonly #library = inject(Library);
  readonly evidence = input.required<readonly Evidence[]>();
  readonly circumstances = input<readonly { readonly code: string; readonly decibans: number }[]>([]);

  protected readonly rows = computed(() =>
    [
      ...this.evidence().map(({ sign, state, decibans }) => ({
        words: state === 'absent' ? `Not there: ${this.#library.signName(sign)}` : this.#library.signName(sign),
        decibans,
      })),
      ...this.circumstances().map(({ code, decibans }) => ({ words: sentence(circumstanceWords[code] ?? code), decibans })),
    ]
      .map((row) => ({ ...row, width: Math.min(100, (Math.abs(row.decibans) / fullBarDb) * 100) }))
      .sort((a, b) => Math.abs(b.decibans) - Math.abs(a.decibans)),
  );

  protected readonly strength = (decibans: number) =>
    `${decibans > 0 ? 'For' : 'Against'}: ${Math.abs(decibans).toFixed(1)} decibans, odds × ${(10 ** (decibans / 10)).toPrecision(2)}`;
}

const sentence = (words: string) => words.charAt(0).toUpperCase() + words.slice(1);
