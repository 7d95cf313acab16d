import { ChangeDetectionStrategy, Component, inject, signal } from '@angular/core';
import { MatButtonModule } from '@angular/material/button';
import { MAT_DIALOG_DATA, MatDialogModule } from '@angular/material/dialog';
import { photoAddresses } from './photo-addresses';

export interface ShownPhoto {
  readonly photo: string;
  readonly title: string;
  /** turn it, and say the id of what came of it; without it the photo can't be changed here */
  readonly turn?: (photo: string) => Promise<string>;
}

/** One photo as large as the window allows. */
@Component({
  selector: 'fn-photo-dialog',
  imports: [MatButtonModule, MatDialogModule],
  changeDetection: ChangeDetectionStrategy.OnPush,
  styles: `
    img {
      display: block;
      max-width: 100%;
      max-height: 70vh;
      margin: 0 auto;
      border-radius: var(--fn-radius);
    }
  `,
  template: `
    <h2 mat-dialog-title>{{ shown.title }}</h2>
    <mat-dialog-content>
      <img [src]="address().get(photo()[0]!) ?? ''" [alt]="shown.title" />
      @if (fault()) {
        <p class="fn-stop" role="alert">{{ fault() }}</p>
      }
    </mat-dialog-content>
    <mat-dialog-actions align="end">
      @if (shown.turn) {
        <button matButton type="button" [disabled]="busy()" (click)="turn()">Turn it to the right</button>
      }
      <button matButton="filled" type="button" mat-dialog-close>Close</button>
    </mat-dialog-actions>
  `,
})
export class PhotoDialog {
  protected readonly shown = inject<ShownPhoto>(MAT_DIALOG_DATA);
  protected readonly photo = signal([this.shown.photo]);
  protected readonly address = photoAddresses(this.photo);
  protected readonly busy = signal(false);
  protected readonly fault = signal('');

  protected async turn(): Promise<void> {
    this.busy.set(true);
    this.fault.set('');
    try {
      this.photo.set([await this.shown.turn!(this.photo()[0]!)]);
    } catch {
      this.fault.set('It could not be turned: the photo is not on this device, and there is no signal.');
    } finally {
      this.busy.set(false);
    }
  }
}
