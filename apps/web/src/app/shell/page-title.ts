import { inject, Injectable } from '@angular/core';
import { Title } from '@angular/platform-browser';
import type { RouterStateSnapshot } from '@angular/router';
import { TitleStrategy } from '@angular/router';

/** "Today · Field Nurse" */
@Injectable()
export class PageTitle extends TitleStrategy {
  readonly #title = inject(Title);

  override updateTitle(snapshot: RouterStateSnapshot): void {
    const own = this.buildTitle(snapshot);
    this.#title.setTitle(own ? `${own} · Field Nurse` : 'Field Nurse');
  }
}
