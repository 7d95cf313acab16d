import type { PlantingEvent } from '@field-nurse/contract';
import { addDays } from '@field-nurse/core/timing';

/** A time that something lasts; without an end it goes on. */
export interface Lasting {
  readonly from: string;
  readonly until: string | null;
}

/** The flowering or harvest that a form shows: the one that goes on, or else the next. */
export function lastingOn(events: readonly PlantingEvent[], kind: 'flowering' | 'harvest', day: string): Lasting | null {
  const own = windowsOf(events, kind).filter(({ until }) => until === null || until >= day);
  return own.findLast(({ from }) => from <= day) ?? own[0] ?? null;
}

/**
 * The events with what a form now says of the flowering or harvest that it showed. What is over stays; what is taken away ends the day before,
 * or never was if it had not begun by then.
 */
export function withLasting(
  events: readonly PlantingEvent[],
  kind: 'flowering' | 'harvest',
  now: Lasting | null,
  today: string,
): PlantingEvent[] {
  const shown = lastingOn(events, kind, today);
  const isShown = (event: PlantingEvent) => event.kind === kind && event.on === shown?.from && event.until === shown.until;
  const others = events.filter((event) => !isShown(event));
  if (now) return [...others, { kind, on: now.from, until: now.until }];
  const yesterday = addDays(today, -1);
  return shown && shown.from <= yesterday ? [...others, { kind, on: shown.from, until: yesterday }] : [...others];
}

const windowsOf = (events: readonly PlantingEvent[], kind: 'flowering' | 'harvest'): Lasting[] =>
  events
    .flatMap((event) => (event.kind === kind ? [{ from: event.on, until: event.until }] : []))
    .sort((a, b) => a.from.localeCompare(b.from));
