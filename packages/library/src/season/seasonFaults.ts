import { requireTrouble } from '@field-nurse/core/season';
import type { Library } from '../entries.js';
import { troubleOf } from './seasonActions.js';

/** Models of seasons that name what is not there, that cannot be, or that two share a trouble. @returns one sentence for each fault */
export function seasonFaults({ seasonModels, conditions, interventions }: Library): string[] {
  const named = seasonModels.flatMap((model) => model.conditions);
  return [
    ...named.filter((id, i) => named.indexOf(id) !== i).map((id) => `${id} has two models of a season`),
    ...seasonModels.flatMap((model) =>
      model.conditions.flatMap((id) => {
        const condition = conditions.find((one) => one.id === id);
        if (!condition) return [`a model of a season names the unknown condition ${id}`];
        if (model.kind !== 'pest') return [];
        const stages = model.stages.filter((stage) => !condition.stages.some((one) => one.id === stage.id));
        const released = Object.keys(model.enemies?.released ?? {});
        return [
          ...stages.map((stage) => `the season of ${id} names its unknown stage ${stage.id}`),
          ...released
            .filter((one) => interventions.find((entry) => entry.id === one)?.release !== 'animals')
            .map((one) => `the season of ${id} releases ${one}, which sets out no animals`),
        ];
      }),
    ),
    ...seasonModels.flatMap((model) => {
      if (model.kind === 'ground') return [];
      try {
        requireTrouble(troubleOf(model));
        return [];
      } catch (error) {
        return [`the season of ${model.conditions[0]}: ${(error as Error).message}`];
      }
    }),
  ];
}
