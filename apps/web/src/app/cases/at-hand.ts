import { computed, DestroyRef, effect, inject, Injectable, signal } from '@angular/core';

/** What is known of a sick plant on the page that is looked at. */
export interface AtHand {
  readonly planting?: string | undefined;
  readonly place?: string | undefined;
  /** signs that are noted already */
  readonly signs?: readonly string[];
  readonly words?: string;
  readonly photos?: readonly string[];
}

/** Where "Something is wrong" leads from the page that is looked at: it arrives with what is known there. */
@Injectable({ providedIn: 'root' })
export class WrongLink {
  readonly at = signal<AtHand>({});
  /** for the address; what is not known is left out */
  readonly params = computed(() => {
    const { planting, place, signs = [], words, photos = [] } = this.at();
    return { planting, place, signs: signs.join() || undefined, words: words || undefined, photos: photos.join() || undefined };
  });
}

/** Tell what a page knows, as long as it is shown. Call it where things are injected. */
export function isAtHand(known: () => AtHand): void {
  const link = inject(WrongLink);
  effect(() => link.at.set(known()));
  inject(DestroyRef).onDestroy(() => link.at.set({}));
}
