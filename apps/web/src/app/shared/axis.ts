import { Directive, effect, ElementRef, inject, input } from '@angular/core';
import { axisBottom, axisLeft, axisRight, select } from 'd3';
import type { AxisDomain, AxisScale } from 'd3';

const sides = { left: axisLeft, right: axisRight, bottom: axisBottom } as const;

/** The scale of a chart with its words, in every chart alike; its place is given by the element's transform. */
@Directive({ selector: 'g[fnAxis]', host: { class: 'fn-axis' } })
export class Axis<T extends AxisDomain> {
  readonly fnAxis = input.required<AxisScale<T>>();
  readonly side = input.required<keyof typeof sides>();
  /** about so many */
  readonly ticks = input(4);
  readonly word = input<(value: T) => string>();
  /** lines across the chart, so long */
  readonly lines = input(0);

  constructor() {
    const element = select(inject<ElementRef<SVGGElement>>(ElementRef).nativeElement);
    effect(() => {
      const word = this.word();
      const axis = sides[this.side()](this.fnAxis()).ticks(this.ticks()).tickSizeOuter(0).tickSizeInner(-this.lines()).tickPadding(7);
      if (word) axis.tickFormat((value) => word(value));
      element.call(axis);
      // How it looks stands in the styles.
      element.attr('fill', null).attr('font-size', null).attr('font-family', null).select('.domain').remove();
    });
  }
}
