import type { ElementRef, OnDestroy } from '@angular/core';
import { ChangeDetectionStrategy, Component, output, signal, viewChild } from '@angular/core';
import { MatButtonModule } from '@angular/material/button';
import { MatIconModule } from '@angular/material/icon';

/** Reads a barcode through the camera, where the browser gives one; the picture stays on the device. */
@Component({
  selector: 'fn-barcode-camera',
  imports: [MatButtonModule, MatIconModule],
  changeDetection: ChangeDetectionStrategy.OnPush,
  styles: `
    video {
      display: block;
      width: min(100%, 420px);
      margin: 8px 0;
      border-radius: var(--fn-radius);
      background: var(--fn-sunk);
    }
    video[hidden] {
      display: none;
    }
  `,
  template: `
    @if (hasCamera) {
      @if (looking()) {
        <button matButton type="button" (click)="stop()">Stop the camera</button>
      } @else {
        <button matButton type="button" (click)="look()"><mat-icon svgIcon="camera" aria-hidden="true" />Read the barcode</button>
      }
      <video #view muted playsinline [hidden]="!looking()" aria-label="What the camera sees"></video>
      @if (fault(); as line) {
        <p class="fn-small" role="alert">{{ line }}</p>
      }
    }
  `,
})
export class BarcodeCamera implements OnDestroy {
  readonly read = output<string>();
  protected readonly hasCamera = typeof navigator !== 'undefined' && Boolean(navigator.mediaDevices?.getUserMedia);
  protected readonly looking = signal(false);
  protected readonly fault = signal('');
  protected readonly view = viewChild<ElementRef<HTMLVideoElement>>('view');
  #end: (() => void) | undefined;

  protected async look(): Promise<void> {
    this.fault.set('');
    this.looking.set(true);
    try {
      // Half a megabyte that most never need: fetched when it is asked for.
      const { BrowserMultiFormatOneDReader } = await import('@zxing/browser');
      const controls = await new BrowserMultiFormatOneDReader().decodeFromConstraints(
        { video: { facingMode: 'environment' } },
        this.view()!.nativeElement,
        (result) => {
          const code = result?.getText().replace(/\D/g, '');
          if (!code) return;
          this.stop();
          this.read.emit(code);
        },
      );
      this.#end = () => controls.stop();
      // It may have been stopped while the camera was still being opened.
      if (!this.looking()) this.stop();
    } catch {
      this.looking.set(false);
      this.fault.set('The camera can not be used here. Type the number below the bars.');
    }
  }

  protected stop(): void {
    this.looking.set(false);
    this.#end?.();
    this.#end = undefined;
  }

  ngOnDestroy(): void {
    this.stop();
  }
}
