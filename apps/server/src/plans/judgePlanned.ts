import type { Stored, Written } from '@field-nurse/contract';
import { plantingOn } from '@field-nurse/core/ground';
import { judgeApplied } from '@field-nurse/core/label';
import type { Library } from '@field-nurse/library';
import { brokenLineText } from '@field-nurse/library/texts';
import { appliedOn } from '../applications/queries.js';
import type { Db } from '../db/client.js';
import type { GardenLaw } from '../gardens/gardenQueries.js';
import { ApiError, invalidField } from '../http/apiError.js';
import { recordById } from '../records/recordStore.js';
import { cardOf } from '../shelf/queries.js';

/**
 * Ask the label's law whether a round may be done on the day for which it is planned, after all that was applied by then. The weather of that day
 * is not known, and how much will be used neither: these are judged when it is done.
 *
 * @throws ApiError that names the lines of the label that would be broken
 */
export async function requireLawful(
  db: Db,
  library: Library,
  garden: GardenLaw,
  plan: Stored<'treatmentPlans'>,
  { intervention, productId, plannedFor }: Written<'plannedApplications'>,
): Promise<void> {
  const planting = await recordById(db, 'plantings', garden.id, plan.plantingId);
  const known = library.hosts.find(({ id }) => id === planting?.host);
  const cards = new Map(library.interventions.map((one) => [one.id, one]));
  const typical = cards.get(intervention)!;
  const product = productId ? await recordById(db, 'products', garden.id, productId) : null;
  if (productId && !product) throw invalidField(['value', 'productId'], 'reference', 'This product is not in the garden.');
  if (product && product.intervention !== intervention)
    throw invalidField(['value', 'productId'], 'other-ingredient', `${product.name} is another ingredient than what is planned.`);
  const { lines } = judgeApplied({
    typical,
    product: product ? await cardOf(db, garden.id, product.id) : undefined,
    cards,
    planting: { ...plantingOn(planting!, plannedFor), eaten: planting!.eaten },
    host: { id: planting!.host, family: known?.family ?? '', like: known?.like },
    against: plan.against,
    on: plannedFor,
    others: await appliedOn(db, garden, plan.plantingId),
    seasonStart: garden.seasonStart,
    weather: {},
    used: undefined,
  });
  const broken = lines.filter(({ state }) => state === 'broken');
  if (broken.length > 0)
    throw new ApiError(
      422,
      'label',
      `${product?.name ?? typical.name} can’t be planned for then. ${broken.map(brokenLineText).join(' ')}`,
      {
        rule: { lines: broken.map(({ line }) => line) },
      },
    );
}
