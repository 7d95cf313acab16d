import { bootstrapApplication } from '@angular/platform-browser';
import { isDevMode } from '@angular/core';
import { App } from './app/app';
import { appConfig } from './app/app.config';

if (!isDevMode() && 'serviceWorker' in navigator) void navigator.serviceWorker.register('/offline-worker.js').catch(() => undefined);

// What Today is made of comes while the application starts, not after it.
if (/^\/g\/[^/]+\/today$/.test(location.pathname)) {
  void import('./app/shell/garden-shell');
  void import('./app/today/today-page');
}

bootstrapApplication(App, appConfig).catch((error: unknown) => console.error(error));
