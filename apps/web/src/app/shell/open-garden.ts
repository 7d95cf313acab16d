import { inject } from '@angular/core';
import type { CanActivateFn } from '@angular/router';
import { Store } from '@ngrx/store';
import { Library } from '../library/library';
import { GardenActions } from '../store/garden-state';

/** Open the garden of the address; its shell shows the loading and any failure. */
export const openGarden: CanActivateFn = ({ params }) => {
  // Its pages name things by the library: both come at once.
  inject(Library);
  inject(Store).dispatch(GardenActions.opened({ garden: String(params['garden']) }));
  return true;
};
