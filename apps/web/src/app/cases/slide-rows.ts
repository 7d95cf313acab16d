import { afterRenderEffect, Directive, ElementRef, inject, input } from '@angular/core';

const slideMs = 320;

/** Rows that change places slide to them, so that the eye can follow who overtook whom. Those who want less motion see none. */
@Directive({ selector: '[fnSlideRows]' })
export class SlideRows {
  readonly #list = inject<ElementRef<HTMLElement>>(ElementRef);
  /** changes whenever the rows may have moved */
  readonly fnSlideRows = input.required<unknown>();
  #tops = new Map<Element, number>();

  constructor() {
    afterRenderEffect(() => {
      this.fnSlideRows();
      const rows = [...this.#list.nativeElement.children];
      const from = this.#list.nativeElement.getBoundingClientRect().top;
      const tops = new Map(rows.map((row) => [row, row.getBoundingClientRect().top - from]));
      const still = matchMedia('(prefers-reduced-motion: reduce)').matches;
      for (const [row, top] of tops) {
        const before = this.#tops.get(row);
        if (before === undefined || before === top || still) continue;
        row.animate([{ transform: `translateY(${before - top}px)` }, { transform: 'none' }], { duration: slideMs, easing: 'ease-out' });
      }
      this.#tops = tops;
    });
  }
}
