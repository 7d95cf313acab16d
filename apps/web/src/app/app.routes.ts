import type { Routes } from '@angular/router';
import { openGarden } from './gardens/open-garden';
import { requireSignIn, startPage } from './people/require-sign-in';

export const routes: Routes = [
  { path: '', pathMatch: 'full', canActivate: [startPage], children: [] },
  { path: 'sign-in', title: 'Sign in', loadComponent: () => import('./people/sign-in-page').then((m) => m.SignInPage) },
  { path: 'sign-up', title: 'New account', loadComponent: () => import('./people/sign-up-page').then((m) => m.SignUpPage) },
  {
    path: 'new-garden',
    title: 'New garden',
    canActivate: [requireSignIn],
    loadComponent: () => import('./gardens/new-garden-page').then((m) => m.NewGardenPage),
  },
  {
    path: 'g/:garden',
    canActivate: [requireSignIn, openGarden],
    loadComponent: () => import('./shell/garden-shell').then((m) => m.GardenShell),
    children: [
      { path: '', pathMatch: 'full', redirectTo: 'ground' },
      { path: 'ground', title: 'Ground', loadComponent: () => import('./ground/ground-page').then((m) => m.GroundPage) },
      { path: 'ground/new-place', title: 'New place', loadComponent: () => import('./ground/place-page').then((m) => m.PlacePage) },
      { path: 'ground/places/:place', title: 'Place', loadComponent: () => import('./ground/place-page').then((m) => m.PlacePage) },
      {
        path: 'ground/new-planting',
        title: 'New planting',
        loadComponent: () => import('./ground/planting-edit-page').then((m) => m.PlantingEditPage),
      },
      {
        path: 'plantings/:planting/edit',
        title: 'Edit planting',
        loadComponent: () => import('./ground/planting-edit-page').then((m) => m.PlantingEditPage),
      },
      { path: 'settings', title: 'Settings', loadComponent: () => import('./gardens/settings-page').then((m) => m.SettingsPage) },
    ],
  },
  { path: '**', title: 'Not here', loadComponent: () => import('./shell/not-here-page').then((m) => m.NotHerePage) },
];
