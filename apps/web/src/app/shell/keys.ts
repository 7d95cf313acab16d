import type { Injector } from '@angular/core';
import { ChangeDetectionStrategy, Component } from '@angular/core';
import { MatButtonModule } from '@angular/material/button';
import { MatDialog, MatDialogModule } from '@angular/material/dialog';
import { navigation } from './navigation';

/** The visible list of keys. */
@Component({
  selector: 'fn-keys',
  imports: [MatDialogModule, MatButtonModule],
  changeDetection: ChangeDetectionStrategy.OnPush,
  styles: `
    dl {
      display: grid;
      grid-template-columns: auto 1fr;
      gap: 8px 18px;
      margin: 0;
    }
    dd {
      margin: 0;
    }
    kbd {
      padding: 2px 8px;
      border: 1px solid var(--fn-faint-ink);
      border-radius: 4px;
      font-family: inherit;
    }
  `,
  template: `
    <h2 mat-dialog-title>Keys</h2>
    <mat-dialog-content tabindex="0">
      <dl>
        @for (item of items; track item.path) {
          <dt>
            <kbd>g</kbd> <kbd>{{ item.key }}</kbd>
          </dt>
          <dd>{{ item.word }}</dd>
        }
        <dt><kbd>n</kbd></dt>
        <dd>Something is wrong: a new case</dd>
        <dt><kbd>/</kbd></dt>
        <dd>Find a page, a planting or a case</dd>
        <dt><kbd>?</kbd></dt>
        <dd>This list</dd>
        <dt><kbd>Esc</kbd></dt>
        <dd>Close what is open</dd>
      </dl>
    </mat-dialog-content>
    <mat-dialog-actions><button matButton mat-dialog-close>Close</button></mat-dialog-actions>
  `,
})
export class Keys {
  protected readonly items = navigation;
}

export const openKeys = (injector: Injector) => injector.get(MatDialog).open(Keys, { width: '420px' });
