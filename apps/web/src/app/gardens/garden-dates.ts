import type { Provider } from '@angular/core';
import { inject } from '@angular/core';
import { MAT_DATE_FORMATS, MAT_DATE_LOCALE } from '@angular/material/core';
import { MAT_LUXON_DATE_ADAPTER_OPTIONS, provideLuxonDateAdapter } from '@angular/material-luxon-adapter';
import { Garden } from './garden';

// As gardeners write them: with points, strokes or words, the year left out where it is this one.
const dayFirst = [
  'd LLL yyyy',
  'd LLLL yyyy',
  'd.M.yyyy',
  'd/M/yyyy',
  'd-M-yyyy',
  'd.M.yy',
  'd/M/yy',
  'yyyy-MM-dd',
  'd LLL',
  'd.M.',
  'd.M',
  'd/M',
];
const monthFirst = ['LLL d, yyyy', 'LLLL d, yyyy', 'LLL d yyyy', 'M/d/yyyy', 'M-d-yyyy', 'M/d/yy', 'yyyy-MM-dd', 'LLL d', 'M/d'];
const byHalves = ['h:mm a', 'h a', 'ha', 'h:mma', 'H:mm', 'H'];
const byHours = ['H:mm', 'H.mm', 'H', 'h:mm a', 'ha'];

/** Material's pickers in the garden's way of writing days and hours, whatever the browser's country is. */
export const gardenDates = (): Provider[] => [
  provideLuxonDateAdapter(),
  { provide: MAT_LUXON_DATE_ADAPTER_OPTIONS, useValue: { useUtc: true } },
  { provide: MAT_DATE_LOCALE, useFactory: () => (inject(Garden).summary().units === 'us' ? 'en-US' : 'en-GB') },
  {
    provide: MAT_DATE_FORMATS,
    useFactory: () => {
      const us = inject(Garden).summary().units === 'us';
      const time = us ? 'h:mm a' : 'HH:mm';
      return {
        parse: { dateInput: us ? monthFirst : dayFirst, timeInput: us ? byHalves : byHours },
        display: {
          dateInput: us ? 'LLL d, yyyy' : 'd LLL yyyy',
          monthYearLabel: 'LLL yyyy',
          dateA11yLabel: 'DDDD',
          monthYearA11yLabel: 'LLLL yyyy',
          timeInput: time,
          timeOptionLabel: time,
        },
      };
    },
  },
];
