import { ChangeDetectionStrategy, Component, computed, effect, HostListener, inject, Injector, input, untracked } from '@angular/core';
import { toSignal } from '@angular/core/rxjs-interop';
import { MatButtonModule } from '@angular/material/button';
import { MatIconModule } from '@angular/material/icon';
import type { ActivatedRouteSnapshot } from '@angular/router';
import { NavigationEnd, Router, RouterLink, RouterLinkActive, RouterOutlet } from '@angular/router';
import { Store } from '@ngrx/store';
import { filter } from 'rxjs';
import { gardenFeature, GardenActions } from '../store/garden-state';
import { Offline } from '../offline/offline';
import { Garden } from '../gardens/garden';
import { Visit } from '../people/visit';
import { sessionFeature } from '../store/session-state';
import { WrongLink } from '../cases/at-hand';
import { Calc } from '../calc/calc';
import { Agenda } from './agenda';
import { goKeys, roomAt, rooms } from './navigation';
import { Theme } from '../shared/theme';

const themeWords = { auto: 'Look: as the device', light: 'Look: light', dark: 'Look: dark', sun: 'Look: full sun' } as const;
const sequenceMs = 1200;

/** parts of addresses that name a record which may lie in an older season */
const soughtSubjects = [
  ['case', 'cases'],
  ['application', 'applications'],
  ['planting', 'plantings'],
  ['trap', 'traps'],
  ['round', 'scoutingRounds'],
] as const;

/** The frame around a garden's pages: where you are, where you can go, and the keys for it. */
@Component({
  selector: 'fn-garden-shell',
  imports: [RouterOutlet, RouterLink, RouterLinkActive, MatButtonModule, MatIconModule],
  changeDetection: ChangeDetectionStrategy.OnPush,
  styleUrl: './garden-shell.scss',
  template: `
    <a class="skip" href="#content" (click)="skip($event)">Skip to the page</a>
    <header class="fn-no-print">
      <a class="garden" [routerLink]="['/g', garden(), 'today']">
        <img src="mark.svg" alt="" width="30" height="30" />
        <span
          >{{ summary()?.name ?? 'Field Nurse' }}<small>{{ summary() ? 'Field Nurse' : 'opening …' }}</small></span
        >
      </a>
      <nav aria-label="Rooms">
        @for (one of rooms; track one.word) {
          <a
            [routerLink]="['/g', garden(), one.views[0]!.path]"
            [class.here]="room() === one"
            [attr.aria-current]="room() === one ? 'true' : null"
            ><mat-icon [svgIcon]="one.icon" aria-hidden="true" />{{ one.word }}
            @if (due()[one.word]; as count) {
              <span class="due"
                >{{ count }}<span class="fn-hidden">{{ ' due' }}</span></span
              >
            }
          </a>
        }
      </nav>
      @if (mayWrite()) {
        <a
          class="wrong"
          [routerLink]="['/g', garden(), 'wrong']"
          [queryParams]="wrongLink.params()"
          title="Something is wrong (n)"
          aria-label="Something is wrong"
        >
          <mat-icon svgIcon="sick" aria-hidden="true" /><span>Something is wrong</span>
        </a>
      }
      <div class="tools">
        <span role="status">
          @if (offline.waiting() + offline.aside().length > 0) {
            <a class="waiting" [routerLink]="['/g', garden(), 'waiting']">{{
              offline.waiting() > 0 ? offline.waiting() + ' waiting' : offline.aside().length + ' set aside'
            }}</a>
          }
        </span>
        <button matIconButton type="button" aria-label="Find anything" title="Find anything (/)" (click)="find()">
          <mat-icon svgIcon="search" />
        </button>
        <button matIconButton type="button" [attr.aria-label]="themeWord()" [title]="themeWord()" (click)="theme.next()">
          <mat-icon svgIcon="contrast" />
        </button>
        <a matIconButton [routerLink]="['/g', garden(), 'settings']" aria-label="Settings" title="Settings and weather">
          <mat-icon svgIcon="settings" />
        </a>
        <button matIconButton type="button" class="wide-only" aria-label="Keys" title="Keys (?)" (click)="keys()">
          <mat-icon svgIcon="keyboard" />
        </button>
      </div>
    </header>
    <main id="content" tabindex="-1">
      @if (visiting()) {
        <p class="visit fn-no-print" role="status">
          Your demo garden, for a day
          <button type="button" [disabled]="visit.busy()" (click)="visit.begin()">Begin again</button>
          <a routerLink="/">Leave</a>
          @if (visit.refusal(); as line) {
            <b>{{ line }}</b>
          }
        </p>
      }
      @if (room(); as here) {
        @if (here.views.length > 1) {
          <nav class="views fn-no-print" [attr.aria-label]="here.word">
            @for (view of here.views; track view.path) {
              <a [routerLink]="['/g', garden(), view.path]" routerLinkActive="here" ariaCurrentWhenActive="page">{{ view.word }}</a>
            }
          </nav>
        }
      }
      @switch (status()) {
        @case ('open') {
          @if (offline.state() === 'sign-in' && offline.waiting() > 0) {
            <p class="copy fn-care" role="status">
              You were signed out. What you write is kept on this device;
              <a routerLink="/sign-in" [queryParams]="{ to: here() }">sign in again</a>, and it is sent.
            </p>
          }
          @if (asOf(); as since) {
            <p class="copy fn-care" role="status">
              No signal. This is the garden as this device knew it at {{ clock(since) }}. What you write is kept here and sent later.
              <button type="button" (click)="again()">Try now</button>
            </p>
          }
          @if (seeking()) {
            <p class="fn-page" role="status">Looking in earlier seasons …</p>
          }
          <div [hidden]="seeking()"><router-outlet /></div>
        }
        @case ('failed') {
          <div class="fn-page">
            <div class="fn-stop" role="alert">
              <strong>The garden did not open.</strong>
              <p>{{ message() }}</p>
            </div>
            <div class="fn-actions">
              <button matButton="filled" type="button" (click)="again()">Try again</button>
              <a matButton routerLink="/">Back to the door</a>
            </div>
          </div>
        }
        @default {
          <p class="fn-page" role="status">Opening the garden …</p>
        }
      }
    </main>
  `,
})
export class GardenShell {
  readonly #store = inject(Store);
  readonly #router = inject(Router);
  readonly #injector = inject(Injector);
  readonly #address = toSignal(this.#router.events.pipe(filter((event) => event instanceof NavigationEnd)));
  protected readonly theme = inject(Theme);
  /** id of the garden in the address */
  readonly garden = input.required<string>();
  protected readonly summary = this.#store.selectSignal(gardenFeature.selectGarden);
  protected readonly status = this.#store.selectSignal(gardenFeature.selectStatus);
  protected readonly message = this.#store.selectSignal(gardenFeature.selectMessage);
  protected readonly rooms = rooms;
  protected readonly room = computed(() => {
    this.#address();
    return roomAt(this.#router.url);
  });
  protected readonly mayWrite = inject(Garden).canWrite;
  protected readonly due = inject(Agenda).byRoom;
  protected readonly wrongLink = inject(WrongLink);
  protected readonly visit = inject(Visit);
  readonly #person = this.#store.selectSignal(sessionFeature.selectPerson);
  protected readonly visiting = computed(() => this.#person()?.email === null);
  protected readonly offline = inject(Offline);
  protected readonly asOf = this.#store.selectSignal(gardenFeature.selectAsOf);
  protected readonly clock = (instant: string) =>
    new Intl.DateTimeFormat('en-GB', { dateStyle: 'medium', timeStyle: 'short' }).format(new Date(instant));
  protected readonly themeWord = computed(() => themeWords[this.theme.name()]);
  #lastKey = { key: '', at: 0 };

  /** a record that the address names and that is not here, until it is known where it lies */
  protected readonly seeking = computed(() => {
    this.#address();
    const id = this.#sought();
    return id !== undefined && !this.#notFound().includes(id);
  });
  readonly #notFound = this.#store.selectSignal(gardenFeature.selectNotFound);
  readonly #records = this.#store.selectSignal(gardenFeature.selectRecords);

  constructor() {
    // The first answer need not wait for the library to be learned.
    inject(Calc)
      .warm()
      .catch(() => undefined);
    effect(() => {
      const id = this.seeking() && this.status() === 'open' ? this.#sought() : undefined;
      if (id) untracked(() => this.#store.dispatch(GardenActions.recordSought({ id })));
    });
  }

  #sought(): string | undefined {
    const params = deepest(this.#router.routerState.snapshot.root).params;
    const records = this.#records();
    for (const [name, subject] of soughtSubjects) {
      const id = params[name] as string | undefined;
      if (id && !(id in records[subject].entities)) return id;
    }
    return undefined;
  }

  protected readonly here = () => this.#router.url;

  protected again(): void {
    this.#store.dispatch(GardenActions.opened({ garden: this.garden() }));
  }

  protected skip(event: Event): void {
    event.preventDefault();
    document.getElementById('content')?.focus();
  }

  protected async find(): Promise<void> {
    const { openFinder } = await import('./finder');
    openFinder(this.#injector);
  }

  protected async keys(): Promise<void> {
    const { openKeys } = await import('./keys');
    openKeys(this.#injector);
  }

  /** With signal again, what the device only remembered is asked for afresh. */
  @HostListener('window:online')
  protected onSignal(): void {
    if (this.asOf()) this.again();
  }

  /** Keys work outside of fields: "g" and a letter go somewhere, "/" finds, "?" lists them. */
  @HostListener('document:keydown', ['$event'])
  protected onKey(event: KeyboardEvent): void {
    if (event.ctrlKey || event.metaKey || event.altKey || isTyping(event.target)) return;
    const previous = event.timeStamp - this.#lastKey.at < sequenceMs ? this.#lastKey.key : '';
    this.#lastKey = { key: event.key, at: event.timeStamp };
    const target = previous === 'g' ? goKeys.get(event.key) : undefined;
    if (target) void this.#router.navigate(['/g', this.garden(), target]);
    else if (event.key === '/') {
      event.preventDefault();
      void this.find();
    } else if (event.key === 'n' && this.mayWrite())
      void this.#router.navigate(['/g', this.garden(), 'wrong'], { queryParams: this.wrongLink.params() });
    else if (event.key === '?') void this.keys();
  }
}

function isTyping(target: EventTarget | null): boolean {
  return (
    target instanceof HTMLElement &&
    (target.isContentEditable ||
      ['INPUT', 'TEXTAREA', 'SELECT'].includes(target.tagName) ||
      target.closest('.cdk-overlay-container') !== null)
  );
}

function deepest(route: ActivatedRouteSnapshot): ActivatedRouteSnapshot {
  return route.firstChild ? deepest(route.firstChild) : route;
}
