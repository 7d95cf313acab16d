import type { ConnectedPosition, OverlayRef } from '@angular/cdk/overlay';
import {
  createFlexibleConnectedPositionStrategy,
  createGlobalPositionStrategy,
  createOverlayRef,
  createRepositionScrollStrategy,
} from '@angular/cdk/overlay';
import { ComponentPortal } from '@angular/cdk/portal';
import { ChangeDetectionStrategy, Component, DOCUMENT, inject, Injectable, Injector, input, output } from '@angular/core';
import { MatButtonModule } from '@angular/material/button';

/** A line that says what was just done, with the way back. */
@Component({
  selector: 'fn-said-note',
  imports: [MatButtonModule],
  host: { role: 'status' },
  changeDetection: ChangeDetectionStrategy.OnPush,
  styles: `
    :host {
      display: flex;
      gap: 4px 10px;
      align-items: center;
      max-width: min(420px, calc(100vw - 24px));
      min-height: 44px;
      padding: 2px 6px 2px 14px;
      border-radius: var(--fn-radius);
      background: var(--fn-ink);
      color: var(--fn-paper);
      box-shadow: 0 2px 10px rgb(0 0 0 / 25%);
    }
    button {
      --mat-button-text-label-text-color: var(--fn-paper);

      text-decoration: underline;
    }
    span {
      padding-right: 8px;
    }
  `,
  template: `
    <span>{{ line() }}</span>
    @if (canUndo()) {
      <button matButton type="button" (click)="undo.emit()">Undo</button>
    }
  `,
})
export class SaidNote {
  readonly line = input('');
  readonly canUndo = input(false);
  readonly undo = output();
}

// Above what was tapped lies what came before: it covers nothing that comes next.
const besideIt: ConnectedPosition[] = [
  { originX: 'center', originY: 'top', overlayX: 'center', overlayY: 'bottom', offsetY: -8 },
  { originX: 'center', originY: 'bottom', overlayX: 'center', overlayY: 'top', offsetY: 8 },
];

/** Says what was just done where it was done: beside what was tapped last, or under the head of the page that it led to. */
@Injectable({ providedIn: 'root' })
export class Said {
  readonly #injector = inject(Injector);
  readonly #document = inject(DOCUMENT);
  #tapped: Element | null = null;
  #shown: OverlayRef | undefined;
  #timer: ReturnType<typeof setTimeout> | undefined;

  constructor() {
    this.#document.addEventListener(
      'click',
      ({ target }) => {
        if (target instanceof Element && !target.closest('.cdk-overlay-container')) this.#tapped = target;
      },
      { capture: true },
    );
  }

  /** @param undo - the way back, if there is one */
  say(line: string, ms: number, undo?: () => void): void {
    this.#close();
    const scrollStrategy = createRepositionScrollStrategy(this.#injector);
    const shown = createOverlayRef(this.#injector, { positionStrategy: this.#place(), scrollStrategy });
    const note = shown.attach(new ComponentPortal(SaidNote));
    note.setInput('canUndo', undo !== undefined);
    note.instance.undo.subscribe(() => {
      this.#close();
      undo?.();
    });
    // Screen readers say what changes in a status that they know already.
    setTimeout(() => {
      note.setInput('line', line);
      note.changeDetectorRef.detectChanges();
      shown.updatePosition();
    });
    this.#shown = shown;
    this.#timer = setTimeout(() => this.#close(), ms);
  }

  #place() {
    const tapped = this.#tapped;
    if (tapped?.isConnected && !tapped.closest('header'))
      return createFlexibleConnectedPositionStrategy(this.#injector, tapped).withPositions(besideIt).withPush(true).withViewportMargin(12);
    return createGlobalPositionStrategy(this.#injector).centerHorizontally().top('72px');
  }

  #close(): void {
    clearTimeout(this.#timer);
    this.#shown?.dispose();
    this.#shown = undefined;
  }
}
