import { runTask } from './strategies.js';
import type { ThreadTask } from './strategies.js';

/** One strategy of a season, in a thread of its own. */
export default ({ task, progress }: ThreadTask) => runTask(task, (share) => progress.postMessage(share));
