import { ChangeDetectionStrategy, Component, computed, inject, input, signal } from '@angular/core';
import type { Assessment } from '@field-nurse/contract';
import { Garden } from '../gardens/garden';
import { photoAddresses } from '../gardens/photo-addresses';
import { dayWord } from '../shared/days';

/** Photos of two looks laid over each other: the newer one is drawn over the older with a slider. */
@Component({
  selector: 'fn-photo-overlay',
  changeDetection: ChangeDetectionStrategy.OnPush,
  styles: `
    :host {
      display: grid;
      gap: 8px;
    }
    .pair {
      position: relative;
      aspect-ratio: 4 / 3;
      max-width: 560px;
      overflow: hidden;
      border: 1px solid var(--fn-line);
      border-radius: var(--fn-radius);
      background: var(--fn-raised);
    }
    img {
      position: absolute;
      inset: 0;
      width: 100%;
      height: 100%;
      object-fit: cover;
    }
    .edge {
      position: absolute;
      top: 0;
      bottom: 0;
      width: 2px;
      background: var(--fn-paper);
    }
    .days {
      display: flex;
      justify-content: space-between;
      max-width: 560px;
    }
    input {
      width: 100%;
      max-width: 560px;
      accent-color: var(--fn-green);
    }
    select {
      padding: 8px;
      border: 1px solid var(--fn-faint-ink);
      border-radius: var(--fn-radius);
      background: var(--fn-raised);
      color: inherit;
      font: inherit;
    }
  `,
  template: `
    <div class="days">
      <label
        >Before
        <select [value]="first()" (change)="first.set(+value($event))">
          @for (one of photos(); track one.id) {
            <option [value]="$index" [selected]="$index === first()">{{ one.word }}</option>
          }
        </select></label
      >
      <label
        >After
        <select [value]="second()" (change)="second.set(+value($event))">
          @for (one of photos(); track one.id) {
            <option [value]="$index" [selected]="$index === second()">{{ one.word }}</option>
          }
        </select></label
      >
    </div>
    <div class="pair">
      <img [src]="address().get(photos()[first()]?.id ?? '') ?? ''" [alt]="'Photo of ' + photos()[first()]?.word" />
      <img
        [src]="address().get(photos()[second()]?.id ?? '') ?? ''"
        [alt]="'Photo of ' + photos()[second()]?.word"
        [style.clip-path]="'inset(0 0 0 ' + share() + '%)'"
      />
      <span class="edge" [style.left.%]="share()"></span>
    </div>
    <input
      type="range"
      min="0"
      max="100"
      aria-label="How much of the photo before is shown"
      [value]="share()"
      (input)="share.set(+value($event))"
    />
  `,
})
export class PhotoOverlay {
  readonly #garden = inject(Garden);
  readonly looks = input.required<readonly Assessment[]>();
  protected readonly photos = computed(() =>
    this.looks().flatMap(({ assessedOn, photos }) => photos.map((id) => ({ id, word: dayWord(assessedOn, this.#garden.today()) }))),
  );
  protected readonly first = signal(0);
  protected readonly second = signal(1);
  protected readonly share = signal(50);
  protected readonly address = photoAddresses(computed(() => this.photos().map(({ id }) => id)));
  protected readonly value = (event: Event) => (event.target as HTMLInputElement).value;
}
