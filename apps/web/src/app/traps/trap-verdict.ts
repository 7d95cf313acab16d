import { ChangeDetectionStrategy, Component, computed, input } from '@angular/core';

/** A trap's newest rate against its level, by shape and word as well as by colour. */
@Component({
  selector: 'fn-trap-verdict',
  changeDetection: ChangeDetectionStrategy.OnPush,
  styles: `
    :host {
      display: inline-flex;
      gap: 8px;
      align-items: center;
    }
    svg {
      flex: none;
      width: 18px;
      height: 18px;
      fill: none;
      stroke: var(--fn-green);
      stroke-width: 2.4;
    }
    .act {
      fill: var(--fn-madder);
      stroke: none;
    }
  `,
  template: `
    @switch (verdict()) {
      @case ('act') {
        <svg viewBox="0 0 18 18" aria-hidden="true"><path class="act" d="M9 1L17.5 16.5H0.5Z" /></svg>
      }
      @case ('leave') {
        <svg viewBox="0 0 18 18" aria-hidden="true"><path d="M2 10L7 15L16 3" /></svg>
      }
    }
    <span>{{ words() }}</span>
  `,
})
export class TrapVerdict {
  readonly verdict = input.required<'act' | 'leave' | 'unknown'>();
  readonly weekly = input.required<number | null>();
  readonly level = input.required<{ readonly act: number } | null>();
  protected readonly words = computed(() => {
    const weekly = this.weekly();
    if (weekly === null) return 'not read yet';
    const caught = `${(Math.round(weekly * 10) / 10).toLocaleString('en-GB')} a week`;
    const level = this.level();
    return level ? `${caught}, ${this.verdict() === 'act' ? 'over' : 'below'} the level of ${level.act}` : caught;
  });
}
