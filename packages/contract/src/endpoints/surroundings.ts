import { z } from 'zod';
import { clinicOffer, clinicReport } from '../clinic.js';
import { registerEntry } from '../shelf.js';
import { almanacAnswer } from '../almanac.js';
import { weatherAnswer, weatherDay, weatherDaysQuery, weatherFileRequest, weatherQuery, weatherSource } from '../weather.js';
import { entry, id } from '../words.js';
import { define, gardenParams } from './endpoint.js';

/** Weather, plant clinics, the register of labels. */
export const surroundingsEndpoints = {
  weather: define({
    method: 'get',
    path: '/api/v1/gardens/{garden}/weather',
    summary: 'Hours of weather as they were measured, and the newest forecast; 62 days at most',
    access: 'garden-read',
    params: gardenParams,
    query: weatherQuery,
    answer: weatherAnswer,
  }),
  weatherDays: define({
    method: 'get',
    path: '/api/v1/gardens/{garden}/weather/days',
    summary: 'The weather of each day on the garden’s calendar, from its measured hours; 400 days at most',
    access: 'garden-read',
    params: gardenParams,
    query: weatherDaysQuery,
    answer: z.array(weatherDay),
  }),
  almanac: define({
    method: 'get',
    path: '/api/v1/gardens/{garden}/almanac',
    summary: 'All years together: the weather by days, and every case summed up; eleven years at most',
    access: 'garden-read',
    params: gardenParams,
    answer: almanacAnswer,
  }),
  weatherSources: define({
    method: 'get',
    path: '/api/v1/gardens/{garden}/weather/sources',
    summary: 'Where the weather comes from',
    access: 'garden-read',
    params: gardenParams,
    answer: z.array(weatherSource),
  }),
  readStation: define({
    method: 'post',
    path: '/api/v1/gardens/{garden}/weather/station',
    summary: 'Read the weather station now',
    access: 'garden-write',
    needsAccount: true,
    params: gardenParams,
    body: z.strictObject({}),
    answer: z.array(weatherSource),
  }),
  addWeatherFile: define({
    method: 'post',
    path: '/api/v1/gardens/{garden}/weather/files',
    summary: 'Add hours of weather from a file, in as many parts as it takes under one id',
    access: 'garden-write',
    needsAccount: true,
    params: gardenParams,
    body: weatherFileRequest,
    answer: z.array(weatherSource),
  }),
  keepWeatherFile: define({
    method: 'post',
    path: '/api/v1/gardens/{garden}/weather/files/kept',
    summary: 'Take the hours of a file out, or put them back',
    access: 'garden-write',
    params: gardenParams,
    body: z.strictObject({ id, kept: z.boolean() }),
    answer: z.array(weatherSource),
  }),
  stations: define({
    method: 'get',
    path: '/api/v1/weather-stations',
    summary: 'Weather stations that a garden can be read from',
    access: 'person',
    answer: z.array(z.object({ id: entry, name: z.string(), simulated: z.boolean() })),
  }),
  clinics: define({
    method: 'get',
    path: '/api/v1/clinics',
    summary: 'Plant clinics that can be asked over the net, with their tests and packing lists',
    access: 'person',
    answer: z.array(clinicOffer),
  }),
  labelRegister: define({
    method: 'get',
    path: '/api/v1/gardens/{garden}/register',
    summary: 'Products of the register of labels, by number, barcode or part of the name, as they stand on the garden’s day',
    access: 'garden-read',
    params: gardenParams,
    query: z.strictObject({ q: z.string().trim().min(3).max(80) }),
    answer: z.strictObject({ products: z.array(registerEntry), simulated: z.boolean() }),
  }),
  clinicReports: define({
    method: 'get',
    path: '/api/v1/gardens/{garden}/clinic-reports',
    summary: 'How the samples stand with their clinics, as they were last heard',
    access: 'garden-read',
    params: gardenParams,
    answer: z.array(clinicReport),
  }),
  askClinics: define({
    method: 'post',
    path: '/api/v1/gardens/{garden}/clinic-reports',
    summary: 'Ask the clinics now how the samples stand',
    access: 'garden-write',
    needsAccount: true,
    params: gardenParams,
    body: z.strictObject({}),
    answer: z.array(clinicReport),
  }),
} as const;
