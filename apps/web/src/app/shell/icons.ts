import { inject } from '@angular/core';
import { MatIconRegistry } from '@angular/material/icon';
import { DomSanitizer } from '@angular/platform-browser';
import camera from '@material-symbols/svg-400/outlined/photo_camera.svg' with { loader: 'text' };
import cases from '@material-symbols/svg-400/outlined/stethoscope.svg' with { loader: 'text' };
import check from '@material-symbols/svg-400/outlined/check.svg' with { loader: 'text' };
import chart from '@material-symbols/svg-400/outlined/show_chart.svg' with { loader: 'text' };
import close from '@material-symbols/svg-400/outlined/close.svg' with { loader: 'text' };
import contrast from '@material-symbols/svg-400/outlined/contrast.svg' with { loader: 'text' };
import ground from '@material-symbols/svg-400/outlined/yard.svg' with { loader: 'text' };
import keyboard from '@material-symbols/svg-400/outlined/keyboard.svg' with { loader: 'text' };
import library from '@material-symbols/svg-400/outlined/local_library.svg' with { loader: 'text' };
import log from '@material-symbols/svg-400/outlined/menu_book.svg' with { loader: 'text' };
import leafGauge from '@material-symbols/svg-400/outlined/eco.svg' with { loader: 'text' };
import prevention from '@material-symbols/svg-400/outlined/checklist.svg' with { loader: 'text' };
import traps from '@material-symbols/svg-400/outlined/pest_control.svg' with { loader: 'text' };
import weather from '@material-symbols/svg-400/outlined/partly_cloudy_day.svg' with { loader: 'text' };
import print from '@material-symbols/svg-400/outlined/print.svg' with { loader: 'text' };
import round from '@material-symbols/svg-400/outlined/directions_walk.svg' with { loader: 'text' };
import search from '@material-symbols/svg-400/outlined/search.svg' with { loader: 'text' };
import settings from '@material-symbols/svg-400/outlined/settings.svg' with { loader: 'text' };
import sick from '@material-symbols/svg-400/outlined/healing.svg' with { loader: 'text' };
import today from '@material-symbols/svg-400/outlined/today.svg' with { loader: 'text' };

const icons: Readonly<Record<string, string>> = {
  camera,
  cases,
  check,
  chart,
  close,
  contrast,
  ground,
  keyboard,
  'leaf-gauge': leafGauge,
  library,
  log,

  prevention,
  print,
  round,
  search,
  settings,
  sick,
  today,
  traps,
  weather,
};

/** Register the icons that ship with the application; call in an injection context. */
export function registerIcons(): void {
  const registry = inject(MatIconRegistry);
  const sanitizer = inject(DomSanitizer);
  for (const [name, svg] of Object.entries(icons)) registry.addSvgIconLiteral(name, sanitizer.bypassSecurityTrustHtml(svg));
}
