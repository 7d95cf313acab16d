import { runStrategy } from '@field-nurse/core/season';
import type { StrategyTask } from './strategies.js';

/** One strategy of a season, in a thread of its own. */
export default ({ scenario, strategy, runs, seed }: StrategyTask) => runStrategy(scenario, strategy, runs, seed);
