import { DestroyRef, Directive, ElementRef, inject, output } from '@angular/core';

/** Tells how wide its element is, now and after each change: for drawings whose text must not be stretched. */
@Directive({ selector: '[fnMeasuredWidth]' })
export class MeasuredWidth {
  /** whole pixels */
  readonly fnMeasuredWidth = output<number>();

  constructor() {
    const observer = new ResizeObserver(([entry]) => this.fnMeasuredWidth.emit(Math.floor(entry!.contentRect.width)));
    observer.observe(inject<ElementRef<HTMLElement>>(ElementRef).nativeElement);
    inject(DestroyRef).onDestroy(() => observer.disconnect());
  }
}
