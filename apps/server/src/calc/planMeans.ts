import type { CalculationName } from '@field-nurse/contract';
import { highsSolver } from '@field-nurse/core/planning';
import type { PlanMeans } from '@field-nurse/library/answers';

let loading: Promise<PlanMeans> | undefined;

/** What a calculation is worked out with: the solver is loaded by the first plan that is asked for. */
export async function meansFor(name: CalculationName): Promise<PlanMeans | undefined> {
  if (name !== 'plan') return undefined;
  loading ??= load();
  return loading;
}

async function load(): Promise<PlanMeans> {
  const { default: loadHighs } = await import('highs');
  return { solver: highsSolver(await loadHighs()), clock: () => performance.now() };
}
