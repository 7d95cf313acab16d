import { ChangeDetectionStrategy, Component, inject } from '@angular/core';
import { RouterOutlet } from '@angular/router';
import { registerIcons } from './shell/icons';
import { Theme } from './shared/theme';

@Component({
  selector: 'fn-app',
  imports: [RouterOutlet],
  template: '<router-outlet />',
  changeDetection: ChangeDetectionStrategy.OnPush,
})
export class App {
  constructor() {
    registerIcons();
    inject(Theme);
  }
}
