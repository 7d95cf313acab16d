import { ChangeDetectionStrategy, Component, computed, inject, input, model, signal } from '@angular/core';
import { MatButtonModule } from '@angular/material/button';
import { MatDialog } from '@angular/material/dialog';
import { MatIconModule } from '@angular/material/icon';
import { Garden } from './garden';
import { Offline } from '../offline/offline';
import { photoAddresses } from './photo-addresses';
import type { ShownPhoto } from './photo-dialog';
import { NotAPhoto, shrinkPhoto } from './shrink-photo';
import { turnPhoto } from './turn-photo';

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
          <button class="open" type="button" [attr.aria-label]="'Open photo ' + ($index + 1)" (click)="open(photo, $index + 1)">
            <img [src]="address().get(photo) ?? ''" [alt]="'Photo ' + ($index + 1)" />
          </button>
          @if (!readonly()) {
            <button matIconButton class="drop" type="button" [attr.aria-label]="'Leave out photo ' + ($index + 1)" (click)="drop(photo)">
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
  readonly #dialog = inject(MatDialog);
  readonly photos = model.required<readonly string[]>();
  readonly readonly = input(false);
  readonly most = 10;
  protected readonly busy = signal(false);
  protected readonly fault = signal('');
  /** addresses of the pictures: on this device, or at the server */
  protected readonly address = photoAddresses(this.photos, 'small');

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
      const id = await this.#keep(await shrinkPhoto(file));
      this.photos.set([...this.photos(), id]);
    } catch (error) {
      this.fault.set(error instanceof NotAPhoto ? error.message : 'The photo could not be kept on this device: is it full?');
    } finally {
      this.busy.set(false);
    }
  }

  protected async open(photo: string, number: number): Promise<void> {
    const { PhotoDialog } = await import('./photo-dialog');
    const data: ShownPhoto = { photo, title: `Photo ${number}`, ...(!this.readonly() && { turn: (one) => this.#turn(one) }) };
    this.#dialog.open(PhotoDialog, { data, maxWidth: '96vw' });
  }

  /** A photo never changes: the turned one takes its place. */
  async #turn(photo: string): Promise<string> {
    const { id: garden } = this.#garden.summary();
    const image = (await this.#offline.photo(photo)) ?? (await (await fetch(`/api/v1/gardens/${garden}/photos/${photo}`)).blob());
    const id = await this.#keep(await turnPhoto(image));
    this.photos.set(this.photos().map((one) => (one === photo ? id : one)));
    return id;
  }

  async #keep(image: Blob): Promise<string> {
    const id = crypto.randomUUID();
    await this.#offline.keepPhoto(this.#garden.summary().id, id, image);
    return id;
  }

  protected drop(photo: string): void {
    this.photos.set(this.photos().filter((one) => one !== photo));
  }
}
