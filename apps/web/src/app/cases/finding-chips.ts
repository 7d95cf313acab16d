import { NgTemplateOutlet } from '@angular/common';
import { ChangeDetectionStrategy, Component, inject, input, output, signal } from '@angular/core';
import { MatIconModule } from '@angular/material/icon';
import { Library } from '../library/library';
import type { Chip } from './case-findings';
import { isDoubtful } from './case-findings';

/** What has been found, one chip each: its phrase, and a way to confirm or remove it. */
@Component({
  selector: 'fn-finding-chips',
  imports: [MatIconModule, NgTemplateOutlet],
  changeDetection: ChangeDetectionStrategy.OnPush,
  styleUrl: './finding-chips.scss',
  template: `
    <ul aria-label="Findings">
      @for (chip of chips(); track chip.sign) {
        <li [class.waiting]="!chip.confirmed" [class.absent]="chip.state !== 'seen'">
          <ng-template #what>
            <b>{{ lead[chip.state] }}{{ library.signName(chip.sign) }}</b>
            @if (chip.phrase && !chip.confirmed) {
              <small>{{ isDoubtful(chip) ? 'perhaps, ' : '' }}from “{{ chip.phrase }}”</small>
            }
          </ng-template>
          @if (chip.confirmed && chip.state !== 'absent' && !readonly()) {
            <button
              type="button"
              class="what"
              [attr.aria-expanded]="open() === chip.sign"
              (click)="open.set(open() === chip.sign ? undefined : chip.sign)"
            >
              <ng-container [ngTemplateOutlet]="what" />
            </button>
          } @else {
            <span class="what"><ng-container [ngTemplateOutlet]="what" /></span>
          }
          @if (!readonly()) {
            @if (!chip.confirmed) {
              <button
                type="button"
                [attr.aria-label]="'Confirm ' + library.signName(chip.sign)"
                title="Yes, that"
                (click)="confirmed.emit(chip)"
              >
                <mat-icon svgIcon="check" />
              </button>
            }
            @if (open() === chip.sign && chip.confirmed && chip.state !== 'absent') {
              <button
                type="button"
                class="age"
                [attr.aria-pressed]="chip.state === 'old'"
                [attr.aria-label]="'An old scar: ' + library.signName(chip.sign)"
                title="An old scar, healed or corky: it says nothing of what is at work now"
                (click)="aged.emit(chip)"
              >
                old scar
              </button>
            }
            <button type="button" [attr.aria-label]="'Remove ' + library.signName(chip.sign)" title="Remove" (click)="removed.emit(chip)">
              <mat-icon svgIcon="close" />
            </button>
          }
        </li>
      }
    </ul>
  `,
})
export class FindingChips {
  protected readonly library = inject(Library);
  readonly chips = input.required<readonly Chip[]>();
  readonly readonly = input(false);
  readonly confirmed = output<Chip>();
  readonly removed = output<Chip>();
  /** told to be an old scar, or new after all */
  readonly aged = output<Chip>();
  /** the sign whose chip shows what else can be said of it */
  protected readonly open = signal<string | undefined>(undefined);
  protected readonly isDoubtful = isDoubtful;
  protected readonly lead = { seen: '', absent: 'Not there: ', old: 'Old scar: ' } as const;
}
