import { runTask } from './strategies.js';

/** One strategy of a season, in a thread of its own. */
export default runTask;
