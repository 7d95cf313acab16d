import type { Routes } from '@angular/router';
import { openGarden } from './shell/open-garden';
import { requireSignIn, startPage } from './people/require-sign-in';

export const routes: Routes = [
  { path: '', pathMatch: 'full', canActivate: [startPage], children: [] },
  { path: 'sign-in', title: 'Sign in', loadComponent: () => import('./people/sign-in-page').then((m) => m.SignInPage) },
  { path: 'sign-up', title: 'New account', loadComponent: () => import('./people/sign-up-page').then((m) => m.SignUpPage) },
  { path: 'forgotten', title: 'Forgotten password', loadComponent: () => import('./people/forgotten-page').then((m) => m.ForgottenPage) },
  { path: 'reset/:secret', title: 'New password', loadComponent: () => import('./people/reset-page').then((m) => m.ResetPage) },
  {
    path: 'invitation/:secret',
    title: 'Invitation',
    loadComponent: () => import('./sharing/invitation-page').then((m) => m.InvitationPage),
  },
  {
    path: 'account',
    title: 'Your account',
    canActivate: [requireSignIn],
    loadComponent: () => import('./people/account-page').then((m) => m.AccountPage),
  },
  {
    path: 'new-garden',
    title: 'New garden',
    canActivate: [requireSignIn],
    loadComponent: () => import('./settings/new-garden-page').then((m) => m.NewGardenPage),
  },
  {
    path: 'g/:garden',
    canActivate: [requireSignIn, openGarden],
    loadComponent: () => import('./shell/garden-shell').then((m) => m.GardenShell),
    children: [
      { path: '', pathMatch: 'full', redirectTo: 'today' },
      { path: 'today', title: 'Today', loadComponent: () => import('./today/today-page').then((m) => m.TodayPage) },
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
      { path: 'plantings', title: 'Planting chart', loadComponent: () => import('./plantings/chart-page').then((m) => m.ChartPage) },
      {
        path: 'plantings/:planting',
        title: 'Planting',
        loadComponent: () => import('./plantings/planting-page').then((m) => m.PlantingPage),
      },
      { path: 'cases', title: 'Cases', loadComponent: () => import('./cases/cases-page').then((m) => m.CasesPage) },
      { path: 'cases/:case', title: 'Case', loadComponent: () => import('./cases/case-page').then((m) => m.CasePage) },
      { path: 'cases/:case/options', title: 'Options', loadComponent: () => import('./treatment/options-page').then((m) => m.OptionsPage) },
      {
        path: 'cases/:case/compare/:one/:other',
        title: 'Compare',
        loadComponent: () => import('./cases/compare-page').then((m) => m.ComparePage),
      },
      {
        path: 'cases/:case/sheet',
        title: 'Case sheet',
        loadComponent: () => import('./second-opinion/sheet-page').then((m) => m.SheetPage),
      },
      {
        path: 'cases/:case/clinic',
        title: 'Plant clinic',
        loadComponent: () => import('./second-opinion/clinic-page').then((m) => m.ClinicPage),
      },
      { path: 'cases/:case/mix/:intervention', title: 'Mix bench', loadComponent: () => import('./mix/mix-page').then((m) => m.MixPage) },
      {
        path: 'cases/:case/recovery',
        title: 'Recovery',
        loadComponent: () => import('./recovery/recovery-page').then((m) => m.RecoveryPage),
      },
      { path: 'round', title: 'Round', loadComponent: () => import('./scouting/round-page').then((m) => m.RoundPage) },
      { path: 'round/:round', title: 'Round', loadComponent: () => import('./scouting/round-end-page').then((m) => m.RoundEndPage) },
      { path: 'round/:round/:planting', title: 'Stop', loadComponent: () => import('./scouting/stop-page').then((m) => m.StopPage) },
      { path: 'waiting', title: 'Waiting to be sent', loadComponent: () => import('./offline/waiting-page').then((m) => m.WaitingPage) },
      { path: 'library', title: 'Library', loadComponent: () => import('./entries/library-page').then((m) => m.LibraryPage) },
      {
        path: 'library/own',
        title: 'Own knowledge',
        loadComponent: () => import('./entries/own/own-entries-page').then((m) => m.OwnEntriesPage),
      },
      {
        path: 'library/own/:kind/:entry',
        title: 'Own entry',
        loadComponent: () => import('./entries/own/own-entry-page').then((m) => m.OwnEntryPage),
      },
      { path: 'library/:kind/:entry', title: 'Library', loadComponent: () => import('./entries/entry-page').then((m) => m.EntryPage) },
      { path: 'log', title: 'Log', loadComponent: () => import('./applications/log-page').then((m) => m.LogPage) },
      {
        path: 'log/new',
        title: 'Log an application',
        loadComponent: () => import('./applications/application-form-page').then((m) => m.ApplicationFormPage),
      },
      {
        path: 'log/:application',
        title: 'Log entry',
        loadComponent: () => import('./applications/application-form-page').then((m) => m.ApplicationFormPage),
      },
      { path: 'traps', title: 'Traps', loadComponent: () => import('./traps/traps-page').then((m) => m.TrapsPage) },
      { path: 'traps/new', title: 'New trap', loadComponent: () => import('./traps/trap-form-page').then((m) => m.TrapFormPage) },
      { path: 'traps/:trap', title: 'Trap', loadComponent: () => import('./traps/trap-page').then((m) => m.TrapPage) },
      {
        path: 'traps/:trap/edit',
        title: 'Change the trap',
        loadComponent: () => import('./traps/trap-form-page').then((m) => m.TrapFormPage),
      },
      {
        path: 'prevention',
        title: 'Prevention',
        loadComponent: () => import('./prevention/prevention-page').then((m) => m.PreventionPage),
      },
      { path: 'leaf-gauge', title: 'Leaf gauge', loadComponent: () => import('./leaf-gauge/leaf-gauge-page').then((m) => m.LeafGaugePage) },
      { path: 'weather', title: 'Weather', loadComponent: () => import('./weather/weather-page').then((m) => m.WeatherPage) },
      { path: 'settings', title: 'Settings', loadComponent: () => import('./settings/settings-page').then((m) => m.SettingsPage) },
    ],
  },
  { path: '**', title: 'Not here', loadComponent: () => import('./shell/not-here-page').then((m) => m.NotHerePage) },
];
