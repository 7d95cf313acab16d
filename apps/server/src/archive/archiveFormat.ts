import { storedRecords } from '@field-nurse/contract';
import type { Subject, TableName } from '@field-nurse/contract';
import { subjectTables } from '../records/subjects.js';

/** A garden in one file: a zip of JSON, CSV and photos. What is in it and how it is named. */
export const archive = {
  format: 'field-nurse-garden',
  /** grows when an older reader could not read it */
  version: 2,
  about: 'garden.json',
  records: (subject: Subject) => `records/${subject}.json`,
  /** for people and spreadsheets; restoring reads the records */
  table: (table: TableName) => `tables/${table}.csv`,
  history: 'history.json',
  clinicReports: 'clinic-reports.json',
  weatherSources: 'weather/sources.json',
  weather: (source: string) => `weather/${source}.csv`,
  photos: 'photos.json',
  /** photos whose pictures were not found */
  lostPhotos: 'photos-lost.json',
  photo: (id: string) => `photos/${id}.jpg`,
  schema: 'schema.json',
} as const;

/** In the order in which they refer to each other. */
export const subjectsInOrder = Object.keys(subjectTables) as Subject[];

export const weatherColumns = ['at', 'temperatureC', 'humidityPercent', 'rainMm', 'windKmh', 'leafWetMinutes'] as const;

export const recordSchema = (subject: Subject) => storedRecords[subject];
