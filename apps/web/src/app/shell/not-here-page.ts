import { ChangeDetectionStrategy, Component } from '@angular/core';
import { RouterLink } from '@angular/router';

@Component({
  selector: 'fn-not-here-page',
  imports: [RouterLink],
  changeDetection: ChangeDetectionStrategy.OnPush,
  template: `
    <main class="fn-page">
      <h1>There is nothing at this address</h1>
      <p>The link may be old. <a routerLink="/">Go to your garden</a>.</p>
    </main>
  `,
})
export class NotHerePage {}
