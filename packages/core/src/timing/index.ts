// Days, seasons, intervals
export { addDays, clockAt, dayAt, daysBetween, instantOf } from './days.js';
export { northernMonth, seasonOf, usualSeasonStart } from './season.js';
export { intervalsAfter } from './intervals.js';
export type { Intervals } from './intervals.js';
export { keepOutUntil, notPickedUntil } from './intervalsNow.js';

// Weather
export { hourMs, leafWetMinutes } from './weatherHour.js';
export type { WeatherHour } from './weatherHour.js';
export { hoursFromRows } from './weatherRows.js';
export type { CellFault, WeatherFault, WeatherRow } from './weatherRows.js';
export { weatherDays } from './weatherDays.js';
export type { WeatherDay } from './weatherDays.js';
export { seasonWeather } from './seasonWeather.js';
export type { SeasonWeather } from './seasonWeather.js';
export { recentWeather } from './recentWeather.js';
export { rainChance, usualRainChance } from './rainChance.js';
export type { RainForecast } from './rainChance.js';
export { weatherToday } from './weatherToday.js';
export type { WeatherToday } from './weatherToday.js';
// Heat and wetness
export { degreeDayOfHours, degreeDays, heatAt } from './degreeDays.js';
export type { Cutoff, DayExtremes, DegreeDayMethod, HeatResponse } from './degreeDays.js';
export { heatSum } from './heatSum.js';
export type { HeatDay, HeatStage, HeatSum } from './heatSum.js';
export { protectionLeft, residueKept, residueLeft } from './residue.js';
export type { ResidueFacts } from './residue.js';
export { heatOn, sightForecast } from './sightForecast.js';
export type { SightForecast, SightQuestion } from './sightForecast.js';
export { hoursNeeded, infectionDays, infectionPeriods, temperatureResponse } from './infectionRisk.js';
export type { InfectionDay, InfectionHour, InfectionModel, WetPeriod } from './infectionRisk.js';
export { sprayWindows, usualSprayLimits } from './sprayWindows.js';
export type { SprayLimits, SprayWindow } from './sprayWindows.js';
