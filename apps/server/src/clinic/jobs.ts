import type { Tasks } from '../jobTypes.js';
import { askClinics } from './askClinics.js';
import { gardensWithOpenSamples } from './queries.js';

const askOne = 'ask-garden-clinics';

/** Ask the clinics after what is on its way, garden by garden. */
export const clinicTasks: Tasks = {
  start: 'ask-clinics',
  tasks: (deps) => ({
    'ask-clinics': async (_, { addJob }) => {
      for (const garden of await gardensWithOpenSamples(deps.db))
        await addJob(askOne, { garden }, { jobKey: `clinics ${garden}`, maxAttempts: 4 });
    },
    [askOne]: (payload) => askClinics(deps, (payload as { garden: string }).garden),
  }),
};
