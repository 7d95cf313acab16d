import { addDays, dayAt, hourMs, instantOf, weatherDays } from '@field-nurse/core/timing';
import type { SprayWindow, WeatherDay, WeatherHour } from '@field-nurse/core/timing';
import { line, scaleLinear } from 'd3';

/** A day of the ribbon, with where it lies. */
export interface RibbonDay extends WeatherDay {
  readonly x: number;
  readonly width: number;
  readonly past: boolean;
}

/** Everything that the ribbon draws, in pixels. */
export interface Ribbon {
  readonly days: readonly RibbonDay[];
  readonly temperature: readonly { readonly path: string; readonly past: boolean }[];
  readonly rain: readonly { readonly x: number; readonly width: number; readonly height: number }[];
  readonly gaps: readonly { readonly x: number; readonly width: number; readonly hours: number }[];
  readonly windows: readonly { readonly x: number; readonly width: number; readonly window: SprayWindow }[];
  readonly nowX: number;
}

export interface RibbonQuestion {
  readonly measured: readonly WeatherHour[];
  readonly forecast: readonly WeatherHour[];
  readonly windows: readonly SprayWindow[];
  readonly from: string;
  readonly now: string;
  readonly timeZone: string;
  readonly days: number;
  readonly width: number;
  readonly curve: { readonly top: number; readonly bottom: number };
  readonly rainHeight: number;
}

// The newest hours are still on their way: a gap begins before them.
const onTheWayHours = 2;
// This much rain in an hour fills the height; more is as high.
const heavyRainMm = 6;

/** Lay out the ribbon: hours by time, temperatures on one scale, rain from the ground up, and the hours that nobody measured. */
export function layOutRibbon(question: RibbonQuestion): Ribbon {
  const { measured, forecast, windows, now, timeZone, days: count, width, curve, rainHeight } = question;
  const firstDay = dayAt(question.from, timeZone);
  const dayList = Array.from({ length: count }, (_, i) => addDays(firstDay, i));
  const start = Date.parse(question.from);
  const end = Date.parse(instantOf(`${addDays(firstDay, count)}T00:00`, timeZone));
  const x = scaleLinear([start, end], [0, width]);
  const within = (hour: WeatherHour) => Date.parse(hour.at) >= start && Date.parse(hour.at) < end;
  const [past, future] = [measured.filter(within), forecast.filter(within)];
  const temperatures = [...past, ...future].flatMap(({ temperatureC }) => temperatureC ?? []);
  const y = scaleLinear([Math.min(...temperatures, 8), Math.max(...temperatures, 20)], [curve.bottom, curve.top]);
  const byDay = new Map(weatherDays([...past, ...future], timeZone, firstDay, dayList.at(-1)!).map((day) => [day.day, day]));
  const today = dayAt(now, timeZone);
  return {
    days: dayList.map((day) => {
      const left = x(Date.parse(instantOf(`${day}T00:00`, timeZone)));
      const right = x(Date.parse(instantOf(`${addDays(day, 1)}T00:00`, timeZone)));
      return { ...byDay.get(day)!, x: left, width: right - left, past: day < today };
    }),
    temperature: [past, future].map((hours, i) => ({
      past: i === 0,
      path:
        line<WeatherHour>()
          .defined(({ temperatureC }) => temperatureC !== null)
          .x(({ at }) => x(Date.parse(at) + hourMs / 2))
          .y(({ temperatureC }) => y(temperatureC!))(withBreaks(hours)) ?? '',
    })),
    rain: [...past, ...future].flatMap(({ at, rainMm }) =>
      rainMm
        ? [{ x: x(Date.parse(at)), width: x(start + hourMs) - x(start), height: Math.min(1, Math.sqrt(rainMm / heavyRainMm)) * rainHeight }]
        : [],
    ),
    gaps: gapsIn(past, start, Date.parse(now) - onTheWayHours * hourMs).map(({ from, hours }) => ({
      x: x(from),
      width: x(from + hours * hourMs) - x(from),
      hours,
    })),
    windows: windows.map((window) => ({
      window,
      x: x(Date.parse(window.from)),
      width: Math.max(0, x(Math.min(end, Date.parse(window.until))) - x(Date.parse(window.from))),
    })),
    nowX: x(Date.parse(now)),
  };
}

/** An hour without temperature stands where hours are missing, so that the line breaks there. */
function withBreaks(hours: readonly WeatherHour[]): WeatherHour[] {
  return hours.flatMap((hour, i) => {
    const before = hours[i - 1];
    const broken = before && Date.parse(hour.at) - Date.parse(before.at) > hourMs;
    return broken ? [{ ...hour, temperatureC: null }, hour] : [hour];
  });
}

/** Stretches of whole hours of which nothing was measured. */
export function gapsIn(hours: readonly WeatherHour[], from: number, until: number): { readonly from: number; readonly hours: number }[] {
  const known = new Set(hours.map(({ at }) => Date.parse(at)));
  const gaps: { from: number; hours: number }[] = [];
  for (let at = Math.ceil(from / hourMs) * hourMs; at + hourMs <= until; at += hourMs) {
    if (known.has(at)) continue;
    const last = gaps.at(-1);
    if (last && last.from + last.hours * hourMs === at) last.hours++;
    else gaps.push({ from: at, hours: 1 });
  }
  return gaps;
}
