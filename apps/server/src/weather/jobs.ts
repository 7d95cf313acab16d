import type { Tasks } from '../jobTypes.js';
import { stationsInUse } from './queries.js';
import { readStation } from './readStation.js';
import { StationGone } from './stations.js';

const readOne = 'read-station';

/** Read the stations that gardens go by, each once. */
export const weatherTasks: Tasks = {
  start: 'read-weather',
  tasks: ({ db, stations, now }) => ({
    'read-weather': async (_, { addJob }) => {
      for (const station of await stationsInUse(db)) await addJob(readOne, { station }, { jobKey: `station ${station}`, maxAttempts: 4 });
    },
    [readOne]: async (payload) => {
      // One that is gone is not asked again before somebody chooses another.
      await readStation(db, stations, (payload as { station: string }).station, now).catch((error: unknown) => {
        if (!(error instanceof StationGone)) throw error;
      });
    },
  }),
};
