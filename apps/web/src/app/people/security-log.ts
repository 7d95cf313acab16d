import { ChangeDetectionStrategy, Component, input } from '@angular/core';
import type { SecurityEvent } from '@field-nurse/contract';
import { instantWord } from '../shared/days';

const kindWords: Readonly<Record<SecurityEvent['kind'], string>> = {
  'signed-up': 'Account made',
  'signed-in': 'Signed in',
  'sign-in-refused': 'A wrong password was tried',
  'password-changed': 'Password changed',
  'password-reset': 'Password set by a link',
  'session-ended': 'A device was signed out',
  'garden-made': 'Garden made',
  'garden-changed': 'Settings changed',
  'garden-downloaded': 'Garden downloaded',
  invited: 'Invited',
  'invitation-accepted': 'Invitation accepted',
  'invitation-declined': 'Invitation declined',
  'invitation-withdrawn': 'Invitation withdrawn',
  'role-changed': 'Part changed',
  'member-removed': 'Removed',
  'member-left': 'Left',
  'handed-over': 'Handed over to',
  'token-made': 'Token made',
  'token-revoked': 'Token revoked',
};

/** What happened around accounts and rights, the newest first. */
@Component({
  selector: 'fn-security-log',
  changeDetection: ChangeDetectionStrategy.OnPush,
  styles: `
    :host {
      display: block;
      overflow-x: auto;
    }
    td:first-child {
      white-space: nowrap;
    }
  `,
  template: `
    <table class="fn-table">
      <thead>
        <tr>
          <th scope="col">When</th>
          <th scope="col">What</th>
          <th scope="col">By</th>
          <th scope="col">From</th>
        </tr>
      </thead>
      <tbody>
        @for (one of events(); track $index) {
          <tr>
            <td>{{ when(one.at) }}</td>
            <td>
              {{ words[one.kind] }} <span class="fn-small">{{ one.about }}</span>
            </td>
            <td>{{ one.by ?? 'not known' }}</td>
            <td>{{ one.address }}</td>
          </tr>
        }
      </tbody>
    </table>
  `,
})
export class SecurityLog {
  readonly events = input.required<readonly SecurityEvent[]>();
  readonly timeZone = input.required<string>();
  protected readonly words = kindWords;
  protected readonly when = (instant: string) => instantWord(instant, this.timeZone());
}
