import { loadDemo } from './loadDemo.js';

const { DATABASE_URL, MIGRATIONS_FOLDER, LIBRARY_FILE, WEATHER_STATIONS_URL, CLINICS_URL } = process.env;
if (!DATABASE_URL || !MIGRATIONS_FOLDER || !LIBRARY_FILE) throw new Error('Set DATABASE_URL, MIGRATIONS_FOLDER and LIBRARY_FILE.');
await loadDemo({
  databaseUrl: DATABASE_URL,
  migrationsFolder: MIGRATIONS_FOLDER,
  libraryFile: LIBRARY_FILE,
  stationsUrl: WEATHER_STATIONS_URL,
  clinicsUrl: CLINICS_URL,
});
