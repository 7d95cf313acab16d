import { dayAt, daysBetween } from '@field-nurse/core/timing';

const dayFormat = new Intl.DateTimeFormat('en-GB', { day: 'numeric', month: 'short', timeZone: 'UTC' });
const longFormat = new Intl.DateTimeFormat('en-GB', { weekday: 'long', day: 'numeric', month: 'long', year: 'numeric', timeZone: 'UTC' });

/** "18 Jul"; with the year when it is another one than that of `today`. */
export function dayWord(day: string, today?: string): string {
  const short = dayFormat.format(new Date(`${day}T00:00:00Z`));
  return today && day.slice(0, 4) !== today.slice(0, 4) ? `${short} ${day.slice(0, 4)}` : short;
}

/** "07-01" as "1 Jul" */
export const monthDayWord = (monthDay: string): string => dayWord(`2001-${monthDay}`);

/** "Saturday, 18 July 2026" */
export const longDay = (day: string): string => longFormat.format(new Date(`${day}T00:00:00Z`));

/** "today", "tomorrow", "in 5 days", "3 days ago" */
export function fromToday(day: string, today: string): string {
  const days = daysBetween(today, day);
  const near = { '-1': 'yesterday', 0: 'today', 1: 'tomorrow' }[days];
  return near ?? (days > 0 ? `in ${days} days` : `${-days} days ago`);
}

/** "19 Jul, 08:00" on the garden's clock */
export function instantWord(instant: string, timeZone: string): string {
  const clock = new Intl.DateTimeFormat('en-GB', { hour: '2-digit', minute: '2-digit', timeZone }).format(new Date(instant));
  return `${dayWord(dayAt(instant, timeZone))}, ${clock}`;
}

const hoursFrom = 100;

/** "45 minutes", "5 hours", "2½ hours": as one says how long something takes */
export function durationWord(minutes: number): string {
  if (minutes < hoursFrom) return minutes < 1.5 ? 'a minute' : `${Math.round(minutes)} minutes`;
  const halves = Math.round(minutes / 30);
  return `${Math.floor(halves / 2)}${halves % 2 ? '½' : ''} hours`;
}

const shortWeekday = new Intl.DateTimeFormat('en-GB', { weekday: 'short', timeZone: 'UTC' });

/** "Tue" */
export const weekdayName = (day: string): string => shortWeekday.format(new Date(`${day}T00:00:00Z`));

/** "this evening", "tomorrow morning", "Tue 21 Jul, morning" */
export function slotWord(day: string, slot: 'morning' | 'evening', today: string): string {
  const days = daysBetween(today, day);
  if (days === 0) return `this ${slot}`;
  if (days === 1) return `tomorrow ${slot}`;
  return `${weekdayName(day)} ${dayWord(day, today)}, ${slot}`;
}
