import { highsSolver } from '@field-nurse/core/planning';
import type { PlanMeans } from '@field-nurse/library/answers';
import loadHighs from 'highs';

let loaded: PlanMeans | undefined;

/**
 * What plans are solved with in the pages' worker: the solver is fetched by the first plan that is asked for.
 *
 * @throws Error in words for the gardener where it does not come; the next plan asks for it again
 */
export async function planMeans(): Promise<PlanMeans> {
  loaded ??= await load();
  return loaded;
}

async function load(): Promise<PlanMeans> {
  try {
    return { solver: highsSolver(await loadHighs({ locateFile: () => '/highs.wasm' })), clock: () => performance.now() };
  } catch {
    throw new Error('The planner did not come over the line. What is planned stands; open this page again when there is signal.');
  }
}
