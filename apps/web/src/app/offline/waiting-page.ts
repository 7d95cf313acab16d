import { ChangeDetectionStrategy, Component, computed, inject } from '@angular/core';
import { MatButtonModule } from '@angular/material/button';
import { Offline } from './offline';
import type { SetAside } from './waiting';

const subjectWords: Readonly<Record<string, string>> = {
  places: 'A place',
  plantings: 'A planting',
  cases: 'A case',
  decisions: 'A decision',
  applications: 'An entry of the log',
  looks: 'A look',
  traps: 'A trap',
  catches: 'A catch',
  rounds: 'A round',
  stops: 'A stop',
  gaugings: 'A measured leaf',
  chores: 'A prevention check',
  thresholds: 'A level of your own',
  ownEntries: 'A library entry of your own',
  clinicSamples: 'A sample for a plant clinic',
  photos: 'A photo',
};

/** What waits on this device to be sent, and what could not be sent as it was. */
@Component({
  selector: 'fn-waiting-page',
  imports: [MatButtonModule],
  changeDetection: ChangeDetectionStrategy.OnPush,
  template: `
    <div class="fn-page">
      <div class="fn-head">
        <div>
          <h1>Waiting to be sent</h1>
          <p>{{ line() }}</p>
        </div>
        @if (offline.waiting() > 0) {
          <div class="fn-actions"><button matButton="filled" type="button" (click)="offline.send()">Send now</button></div>
        }
      </div>
      @if (offline.aside().length > 0) {
        <section>
          <h2>Set aside</h2>
          <p class="fn-small">This could not be sent as it was written. Copy what you need, then put it away.</p>
          <ul class="fn-list">
            @for (one of offline.aside(); track one.sequence) {
              <li class="fn-panel">
                <strong>{{ subject(one) }}</strong>
                <p>{{ one.why }}</p>
                @for (field of fields(one); track field.name) {
                  <p class="fn-small">
                    {{ field.name }}: <span>{{ field.value }}</span>
                  </p>
                }
                <div class="fn-actions"><button matButton type="button" (click)="offline.dismiss(one.sequence!)">Put it away</button></div>
              </li>
            }
          </ul>
        </section>
      }
    </div>
  `,
})
export class WaitingPage {
  protected readonly offline = inject(Offline);
  protected readonly line = computed(() => {
    const waiting = this.offline.waiting();
    if (waiting === 0) return 'Nothing waits: all that was written on this device has reached the server.';
    const things = `${waiting} ${waiting === 1 ? 'thing' : 'things'}${this.offline.waitingPhotos() > 0 ? `, ${this.offline.waitingPhotos()} of them photos` : ''}`;
    return this.offline.state() === 'sign-in'
      ? `${things}. Sign in again, and they are sent.`
      : `${things}, kept on this device until the server answers. They are sent once each.`;
  });
  protected readonly subject = ({ subject }: SetAside) => subjectWords[subject] ?? subject;
  protected readonly fields = ({ lost }: SetAside) =>
    Object.entries(lost).map(([name, value]) => ({ name, value: typeof value === 'string' ? value : JSON.stringify(value) }));
}
