import { ChangeDetectionStrategy, Component, computed, inject, input, model, signal } from '@angular/core';
import { MatButtonModule } from '@angular/material/button';
import { MatIconModule } from '@angular/material/icon';
import { Garden } from './garden';
import { Offline } from '../offline/offline';
import { photoAddresses } from './photo-addresses';
import { NotAPhoto, shrinkPhoto } from './shrink-photo';

/** Photos of a stop or a case: taken by the camera, kept on the device, sent when they can be. */
@Component({
  selector: 'fn-photo-taker',
  imports: [MatButtonModule, MatIconModule],
  changeDetection: ChangeDetectionStrategy.OnPush,
  styleUrl: './photo-taker.scss',
  template: `
    <ul>
      @for (photo of photos(); track photo) {
        <li>
          <img [src]="address().get(photo) ?? ''" [alt]="'Photo ' + ($index + 1)" />
          @if (!readonly()) {
            <button matIconButton type="button" [attr.aria-label]="'Leave out photo ' + ($index + 1)" (click)="drop(photo)">
              <mat-icon svgIcon="close" />
            </button>
          }
        </li>
      }
    </ul>
    @if (photos().length < most && !readonly()) {
      <label class="take" [class.busy]="busy()">
        <mat-icon svgIcon="camera" aria-hidden="true" />{{
          busy() ? 'Making it small …' : photos().length ? 'Another photo' : 'Take a photo'
        }}
        <input
          type="file"
          accept="image/jpeg,image/png,image/webp"
          capture="environment"
          class="fn-hidden"
          [disabled]="busy()"
          (change)="take($event)"
        />
      </label>
    }
    @if (fault()) {
      <p class="fn-stop" role="alert">{{ fault() }}</p>
    }
    @if (waiting() && !fault()) {
      <p class="fn-small">Kept on this device until sent. Where it was taken is left out of the file.</p>
    }
  `,
})
export class PhotoTaker {
  readonly #offline = inject(Offline);
  readonly #garden = inject(Garden);
  readonly photos = model.required<readonly string[]>();
  readonly readonly = input(false);
  readonly most = 10;
  protected readonly busy = signal(false);
  protected readonly fault = signal('');
  /** addresses of the pictures: on this device, or at the server */
  protected readonly address = photoAddresses(this.photos);

  /** some of them are on this device alone */
  protected readonly waiting = computed(() => this.photos().some((id) => this.address().get(id)?.startsWith('blob:')));

  protected async take(event: Event): Promise<void> {
    const field = event.target as HTMLInputElement;
    const file = field.files?.[0];
    field.value = '';
    if (!file) return;
    this.busy.set(true);
    this.fault.set('');
    try {
      const id = crypto.randomUUID();
      await this.#offline.keepPhoto(this.#garden.summary().id, id, await shrinkPhoto(file));
      this.photos.set([...this.photos(), id]);
    } catch (error) {
      this.fault.set(error instanceof NotAPhoto ? error.message : 'The photo could not be kept on this device: is it full?');
    } finally {
      this.busy.set(false);
    }
  }

  protected drop(photo: string): void {
    this.photos.set(this.photos().filter((one) => one !== photo));
  }
}
