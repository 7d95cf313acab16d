import type { Stored, Written } from '@field-nurse/contract';
import { dayAt, hourMs } from '@field-nurse/core/timing';
import type { Library } from '@field-nurse/library';
import { applicationLaw } from '@field-nurse/library/texts';
import type { TargetKnown } from '@field-nurse/library/texts';
import type { Db } from '../db/client.js';
import type { GardenLaw } from '../gardens/gardenQueries.js';
import { invalidField } from '../http/apiError.js';
import { recordById } from '../records/recordStore.js';
import { cardOf } from '../shelf/queries.js';
import { hoursBetween } from '../weather/queries.js';
import { appliedOn } from './queries.js';

type Value = Required<Written<'applications'>>;
type Kept = Stored<'applications'>;

/**
 * An application with what the server makes of it: the card as it is now, the lines that were not kept, and how long to wait. What was done is
 * kept whatever the card says: a record that hides it is worth nothing.
 *
 * @throws ApiError where the product is not on the shelf, or is another ingredient than the one that was applied
 */
export async function judgeApplication(
  db: Db,
  library: Library,
  garden: GardenLaw,
  id: string,
  value: Value,
  personId: string | null,
): Promise<Omit<Kept, 'id' | 'version'>> {
  const product = value.productId ? await productUsed(db, garden.id, value.productId, value.intervention) : undefined;
  const appliedAt = new Date(value.appliedAt).toISOString();
  const day = dayAt(appliedAt, garden.timeZone);
  const measured = await weatherAt(db, garden.id, appliedAt);
  const targets = await Promise.all(
    value.targets.map(async ({ plantingId, caseId }): Promise<TargetKnown> => {
      const one = caseId ? await recordById(db, 'cases', garden.id, caseId) : null;
      return {
        planting: await recordById(db, 'plantings', garden.id, plantingId),
        against: (one?.diagnoses.findLast(({ on }) => on <= day) ?? one?.diagnoses[0])?.conditions ?? [],
        others: await appliedOn(db, garden, plantingId, id),
      };
    }),
  );
  const { timeZone, seasonStart } = garden;
  const whole = { ...value, appliedAt };
  const law = applicationLaw({ library, value: whole, product, targets, timeZone, seasonStart, measured });
  return { ...whole, productId: value.productId ?? null, ...law, measured, personId };
}

interface Used {
  readonly name: string;
  readonly card: Stored<'labelCards'> | undefined;
}

async function productUsed(db: Db, gardenId: string, id: string, intervention: string): Promise<Used> {
  const product = await recordById(db, 'products', gardenId, id);
  if (!product) throw invalidField(['value', 'productId'], 'reference', 'This product is not in the garden.');
  if (product.intervention !== intervention)
    throw invalidField(['value', 'productId'], 'other-ingredient', `${product.name} is another ingredient than what was applied.`);
  return { name: product.name, card: await cardOf(db, gardenId, id) };
}

async function weatherAt(db: Db, gardenId: string, instant: string): Promise<Kept['measured']> {
  const from = new Date(Math.floor(Date.parse(instant) / hourMs) * hourMs);
  const [hour] = await hoursBetween(db, gardenId, from.toISOString(), new Date(from.getTime() + hourMs).toISOString());
  if (!hour) return null;
  const { temperatureC = null, humidityPercent = null, windKmh = null, rainMm = null } = hour;
  return { temperatureC, humidityPercent, windKmh, rainMm };
}
