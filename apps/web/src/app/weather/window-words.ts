import { dayAt } from '@field-nurse/core/timing';
import type { SprayWindow } from '@field-nurse/core/timing';

const weekday = new Intl.DateTimeFormat('en-GB', { weekday: 'short', day: 'numeric', timeZone: 'UTC' });
const hour = (instant: string, timeZone: string) =>
  new Intl.DateTimeFormat('en-GB', { hour: 'numeric', hourCycle: 'h23', timeZone }).format(new Date(instant));

/** "Sun 19" */
export const weekdayWord = (day: string): string => weekday.format(new Date(`${day}T00:00:00Z`));

/** "Sun 19, 6 to 11 o’clock" on the garden's clock */
export const windowWord = ({ from, until }: SprayWindow, timeZone: string): string =>
  `${weekdayWord(dayAt(from, timeZone))}, ${Number(hour(from, timeZone))} to ${Number(hour(until, timeZone))} o’clock`;
