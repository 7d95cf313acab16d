import type { Tasks } from '../jobTypes.js';
import { gardensWithStation } from './queries.js';
import { readStation } from './readStation.js';
import { StationGone } from './stations.js';

const readOne = 'read-garden-weather';

/** Read the stations, garden by garden. */
export const weatherTasks: Tasks = {
  start: 'read-weather',
  tasks: ({ db, stations, now }) => ({
    'read-weather': async (_, { addJob }) => {
      for (const garden of await gardensWithStation(db)) await addJob(readOne, { garden }, { jobKey: `weather ${garden}`, maxAttempts: 4 });
    },
    [readOne]: async (payload) => {
      // One that is gone is not asked again before somebody chooses another.
      await readStation(db, stations, (payload as { garden: string }).garden, now).catch((error: unknown) => {
        if (!(error instanceof StationGone)) throw error;
      });
    },
  }),
};
