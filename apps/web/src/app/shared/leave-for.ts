import { DestroyRef, inject } from '@angular/core';
import { Router } from '@angular/router';

/** Goes on to another page once something is saved, unless the gardener has gone elsewhere meanwhile. */
export function injectLeaveFor(): (commands: readonly unknown[]) => Promise<boolean> {
  const router = inject(Router);
  let isHere = true;
  inject(DestroyRef).onDestroy(() => (isHere = false));
  return (commands) => (isHere ? router.navigate(commands) : Promise.resolve(false));
}
