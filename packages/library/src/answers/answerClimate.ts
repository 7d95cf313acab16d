import { hourMs } from '@field-nurse/contract';
import type { CalculationAnswer, CalculationRequest } from '@field-nurse/contract';
import { degreeDayOfHours, degreeDays, heatSum, infectionPeriods } from '@field-nurse/core/timing';
import type { WetPeriod } from '@field-nurse/core/timing';
import type { Library } from '../entries.js';
import { Refusal } from './refusal.js';
import { Names } from './resolve.js';

// By this the air wets leaves where no sensor is at hand.
const wetHumidityPercent = 90;

/** Degree days by any method, and when stages are reached. */
export function answerDegreeDays(_: Library, request: CalculationRequest<'degreeDays'>): CalculationAnswer<'degreeDays'> {
  const { method, days, hours = [], biofix, stages } = request;
  if (method !== 'hourly') {
    const dd = degreeDays(days, method, request);
    return mutable(
      heatSum(
        days.map(({ date }, i) => ({ date, dd: dd[i]! })),
        stages,
        biofix,
      ),
    );
  }
  const byDay = new Map<string, number[]>();
  for (const { time, temperatureC } of hours) {
    const date = time.slice(0, 10);
    byDay.set(date, [...(byDay.get(date) ?? []), temperatureC]);
  }
  const hourly = [...byDay].map(([date, celsius]) => ({ date, dd: degreeDayOfHours(celsius, request) }));
  return mutable(heatSum(hourly, stages, biofix));
}

const mutable = ({ daily, reached, missing }: ReturnType<typeof heatSum>) => ({ daily: [...daily], reached: [...reached], missing });

/** Wet periods that let a disease in. */
export function answerInfectionRisk(
  library: Library,
  { disease, model, hours }: CalculationRequest<'infectionRisk'>,
): CalculationAnswer<'infectionRisk'> {
  const periods = infectionPeriods(
    hours.map(({ time, temperatureC, rh, rainMm, wet }) => ({
      time,
      ms: hourMs(time),
      temperatureC,
      wet: wet ?? wetByWeather(rh, rainMm),
    })),
    model ?? modelOf(library, disease!),
  );
  return { periods, daily: daysOf(hours, periods) };
}

/** Where nothing tells of wetness, it is dry: the caller gave all that is known. */
const wetByWeather = (rh: number | null | undefined, rainMm: number | null | undefined) =>
  (rainMm ?? 0) > 0 || (rh ?? 0) >= wetHumidityPercent;

function modelOf(library: Library, disease: string) {
  const { name, infection } = new Names(library).condition(disease, ['disease']);
  if (infection) return infection;
  const known = library.conditions.filter((one) => one.infection).map((one) => one.name);
  const message = `The library has no wet-period model of ${name}. It has one of ${known.join(', ')}.`;
  throw new Refusal({ by: 'input', code: 'no-model', path: ['disease'], message });
}

/** Each day with the worst of the periods that touch it; a day is that of the time as it is written. */
function daysOf(hours: readonly { readonly time: string }[], periods: readonly WetPeriod[]) {
  const dates = [...new Set(hours.map(({ time }) => time.slice(0, 10)))];
  return dates.map((date) => {
    const touching = periods.filter(({ start, end }) => start.slice(0, 10) <= date && date <= end.slice(0, 10));
    return {
      date,
      wetHours: Math.max(0, ...touching.map(({ wetHours }) => wetHours)),
      infected: touching.some(({ infected }) => infected),
      severity: Math.max(0, ...touching.map(({ severity }) => severity)),
    };
  });
}
