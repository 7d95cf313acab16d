import { provideHttpClient, withFetch, withXsrfConfiguration } from '@angular/common/http';
import type { ApplicationConfig } from '@angular/core';
import { provideBrowserGlobalErrorListeners, provideZonelessChangeDetection } from '@angular/core';
import { provideRouter, TitleStrategy, withComponentInputBinding, withInMemoryScrolling } from '@angular/router';
import { provideEffects } from '@ngrx/effects';
import { provideStore } from '@ngrx/store';
import { routes } from './app.routes';
import { gardenFeature } from './store/garden-state';
import * as gardenEffects from './gardens/garden-effects';
import { sessionFeature } from './store/session-state';
import * as sessionEffects from './people/session-effects';
import { PageTitle } from './shell/page-title';

export const appConfig: ApplicationConfig = {
  providers: [
    provideZonelessChangeDetection(),
    provideBrowserGlobalErrorListeners(),
    provideHttpClient(withFetch(), withXsrfConfiguration({ cookieName: 'XSRF-TOKEN', headerName: 'X-XSRF-TOKEN' })),
    provideRouter(routes, withComponentInputBinding(), withInMemoryScrolling({ scrollPositionRestoration: 'enabled' })),
    { provide: TitleStrategy, useClass: PageTitle },
    provideStore({ [sessionFeature.name]: sessionFeature.reducer, [gardenFeature.name]: gardenFeature.reducer }),
    provideEffects(sessionEffects, gardenEffects),
  ],
};
