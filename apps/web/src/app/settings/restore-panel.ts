import { ChangeDetectionStrategy, Component, inject, signal } from '@angular/core';
import { MatButtonModule } from '@angular/material/button';
import { Router } from '@angular/router';
import { Store } from '@ngrx/store';
import { Api } from '../api/api';
import { ApiError } from '../api/api-error';
import { SessionActions } from '../store/session-state';

type Restored = Exclude<Parameters<Parameters<ReturnType<Api['restoreGarden']>['forEach']>[0]>[0], number>;

/** A garden that was taken home as a file comes back. */
@Component({
  selector: 'fn-restore-panel',
  imports: [MatButtonModule],
  changeDetection: ChangeDetectionStrategy.OnPush,
  styles: `
    :host {
      display: grid;
      gap: 12px;
    }
    progress {
      width: 100%;
      accent-color: var(--fn-green);
    }
  `,
  template: `
    <h2>Bring a garden back</h2>
    <p>
      From the zip that “Download the garden” gives. It comes back with its records, their history, weather and photos, whole or not at all.
    </p>
    <input #file type="file" accept=".zip,application/zip" class="fn-hidden" aria-label="Archive of a garden" (change)="choose(file)" />
    <div class="fn-actions">
      <button matButton="outlined" type="button" [disabled]="share() !== undefined" (click)="file.click()">Choose the archive</button>
      @if (share() !== undefined) {
        <button matButton type="button" (click)="stop()">Stop</button>
      }
    </div>
    @if (share(); as sent) {
      <p role="status">{{ sent < 1 ? 'Sending it …' : 'Reading it in …' }}</p>
      <progress [value]="sent < 1 ? sent : undefined" max="1"></progress>
    }
    @if (refusal(); as line) {
      <p class="fn-stop" role="alert">{{ line }} Nothing was changed.</p>
      @if (canBeNew()) {
        <div class="fn-actions">
          <button matButton="outlined" type="button" (click)="restoreAsNew()">Restore it as a new garden</button>
        </div>
      }
    }
  `,
})
export class RestorePanel {
  readonly #api = inject(Api);
  readonly #store = inject(Store);
  readonly #router = inject(Router);
  /** how much of it is sent */
  protected readonly share = signal<number | undefined>(undefined);
  protected readonly refusal = signal('');
  protected readonly canBeNew = signal(false);
  #archive: File | undefined;
  #stop = () => undefined as void;

  protected choose(field: HTMLInputElement): void {
    this.#archive = field.files?.[0];
    field.value = '';
    void this.#restore();
  }

  protected restoreAsNew(): void {
    void this.#restore(crypto.randomUUID());
  }

  protected stop(): void {
    this.#stop();
  }

  async #restore(as?: string): Promise<void> {
    if (!this.#archive) return;
    this.refusal.set('');
    this.canBeNew.set(false);
    // Nought would not be shown.
    this.share.set(0.001);
    try {
      const { garden } = await new Promise<Restored>((resolve, reject) => {
        const sending = this.#api.restoreGarden(this.#archive!, as).subscribe({
          next: (event) => (typeof event === 'number' ? this.share.set(Math.max(0.001, event)) : resolve(event)),
          error: reject,
        });
        this.#stop = () => {
          sending.unsubscribe();
          reject(new ApiError(0, 'stopped', 'It was stopped.'));
        };
      });
      this.#store.dispatch(SessionActions.gardenAdded({ garden }));
      await this.#router.navigate(['/g', garden.id, 'today']);
    } catch (error) {
      const { code, message } = ApiError.from(error);
      this.refusal.set(message);
      this.canBeNew.set(code === 'garden-exists');
    } finally {
      this.share.set(undefined);
    }
  }
}
