import { bootstrapApplication } from '@angular/platform-browser';
import { isDevMode } from '@angular/core';
import { App } from './app/app';
import { appConfig } from './app/app.config';

if (!isDevMode() && 'serviceWorker' in navigator) void navigator.serviceWorker.register('/offline-worker.js').catch(() => undefined);

bootstrapApplication(App, appConfig).catch((error: unknown) => console.error(error));
