import { ChangeDetectionStrategy, Component, computed, inject } from '@angular/core';
import { MatButtonModule } from '@angular/material/button';
import { Router, RouterLink } from '@angular/router';
import { AsideCard } from './aside-card';
import { Offline } from './offline';

/** What waits on this device to be sent, and what could not be sent as it was. */
@Component({
  selector: 'fn-waiting-page',
  imports: [MatButtonModule, RouterLink, AsideCard],
  changeDetection: ChangeDetectionStrategy.OnPush,
  template: `
    <div class="fn-page">
      <div class="fn-head">
        <div>
          <h1>Waiting to be sent</h1>
          <p>{{ line() }}</p>
        </div>
        @if (offline.waiting() > 0) {
          <div class="fn-actions">
            @if (offline.state() === 'sign-in') {
              <a matButton="filled" routerLink="/sign-in" [queryParams]="{ to: here }">Sign in again</a>
            } @else {
              <button matButton="filled" type="button" (click)="offline.send()">Send now</button>
            }
          </div>
        }
      </div>
      @if (offline.ofOthers() > 0) {
        <p class="fn-care">
          {{ offline.ofOthers() }} more, written by somebody else on this device, {{ offline.ofOthers() === 1 ? 'waits' : 'wait' }} until
          they sign in here again. Nobody sends it under another name.
        </p>
      }
      @if (offline.aside().length > 0) {
        <section>
          <h2>Set aside</h2>
          <p class="fn-small">This could not be sent as it was written. Correct it and send it again, or put it away.</p>
          <ul class="fn-list">
            @for (one of offline.aside(); track one.sequence) {
              <li class="fn-panel"><fn-aside-card [one]="one" /></li>
            }
          </ul>
        </section>
      }
    </div>
  `,
})
export class WaitingPage {
  protected readonly offline = inject(Offline);
  protected readonly here = inject(Router).url;
  protected readonly line = computed(() => {
    const waiting = this.offline.waiting();
    if (waiting === 0) return 'Nothing waits: all that was written on this device has reached the server.';
    const things = `${waiting} ${waiting === 1 ? 'thing' : 'things'}${this.offline.waitingPhotos() > 0 ? `, ${this.offline.waitingPhotos()} of them photos` : ''}`;
    return this.offline.state() === 'sign-in'
      ? `${things}. You were signed out meanwhile: sign in again, and they are sent.`
      : `${things}, kept on this device until the server answers. They are sent once each.`;
  });
}
