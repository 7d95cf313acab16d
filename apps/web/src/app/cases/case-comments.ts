import { ChangeDetectionStrategy, Component, computed, inject, input, signal } from '@angular/core';
import { MatButtonModule } from '@angular/material/button';
import { MatFormFieldModule } from '@angular/material/form-field';
import { MatInputModule } from '@angular/material/input';
import { ApiError } from '../api/api-error';
import { Garden } from '../gardens/garden';
import { Records } from '../gardens/records';
import { instantWord } from '../shared/days';

/** What members and advisers say of a case, the oldest first. */
@Component({
  selector: 'fn-case-comments',
  imports: [MatButtonModule, MatFormFieldModule, MatInputModule],
  changeDetection: ChangeDetectionStrategy.OnPush,
  styles: `
    :host {
      display: grid;
      gap: 10px;
    }
    li p {
      white-space: pre-line;
      overflow-wrap: anywhere;
    }
  `,
  template: `
    <h2 id="comments">Comments</h2>
    @if (comments().length > 0) {
      <ul class="fn-list" aria-labelledby="comments">
        @for (one of comments(); track one.id) {
          <li>
            <span class="fn-small">{{ one.by }}, {{ when(one.writtenAt) }}</span>
            <p>{{ one.text }}</p>
          </li>
        }
      </ul>
    } @else {
      <p class="fn-small">Nobody has said anything yet. Whoever works in this garden or advises it can.</p>
    }
    @if (garden.canComment()) {
      <mat-form-field subscriptSizing="dynamic">
        <mat-label>Say something to the others</mat-label>
        <textarea matInput #text rows="2" maxlength="4000" [value]="draft()" (input)="write(text.value)"></textarea>
      </mat-form-field>
      @if (refusal(); as line) {
        <p class="fn-stop" role="alert">{{ line }}</p>
      }
      <div class="fn-actions">
        <button matButton="outlined" type="button" [disabled]="busy() || !draft().trim()" (click)="say()">Comment</button>
      </div>
    }
  `,
})
export class CaseComments {
  readonly #records = inject(Records);
  protected readonly garden = inject(Garden);
  readonly case = input.required<string>();
  readonly #drafts = signal<ReadonlyMap<string, string>>(new Map());
  /** what is being written, kept for each case while others are open */
  protected readonly draft = computed(() => this.#drafts().get(this.case()) ?? '');
  protected readonly busy = signal(false);
  protected readonly refusal = signal('');
  protected readonly comments = computed(() =>
    this.garden
      .comments()
      .filter(({ caseId }) => caseId === this.case())
      .sort((a, b) => a.writtenAt.localeCompare(b.writtenAt)),
  );
  protected readonly when = (instant: string) => instantWord(instant, this.garden.summary().timeZone);

  protected write(text: string, caseId = this.case()): void {
    this.#drafts.update((drafts) => new Map(drafts).set(caseId, text));
  }

  protected async say(): Promise<void> {
    const [caseId, text] = [this.case(), this.draft().trim()];
    this.busy.set(true);
    this.refusal.set('');
    try {
      await this.#records.save('comments', crypto.randomUUID(), 0, { caseId, writtenAt: this.garden.now(), text }, 'Comment added.');
      this.write('', caseId);
    } catch (error) {
      this.refusal.set(ApiError.from(error).message);
    } finally {
      this.busy.set(false);
    }
  }
}
