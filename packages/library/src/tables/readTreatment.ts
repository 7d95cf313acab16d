import type { Cells } from './cells.js';
import { mostAmount, mostPlants } from './listInHand.js';
import type { ListInHand, RowUnderstood } from './listInHand.js';

const noon = '12:00';

/** Something that was done to a planting. */
export function readTreatment(cells: Cells, list: ListInHand): RowUnderstood | undefined {
  const on = list.pastDay(cells);
  const time = cells.time('time') ?? on?.time ?? noon;
  const plants = cells.number('plants', 1, mostPlants, true);
  const stood = on && list.stood(cells, on.day, plants);
  const what = cells.entry('treatment', 'treatment', list.library.interventions);
  const amount = cells.amount('amount', ['ml', 'g'], mostAmount, 'unit');
  const collected = cells.number('collected', 0, 1_000_000, true);
  const water = cells.amount('water', ['l'], 100_000);
  const temperatureC = cells.number('temperature', -40, 60);
  const windKmh = cells.number('wind', 0, 200);
  const [part, kit, sky] = [cells.text('part', 200), cells.text('kit', 120), cells.text('sky', 120)];
  const why = [cells.text('why', 2000), cells.text('note', 1900)].filter(Boolean).join('. ');
  const appliedBy = cells.text('by', 120) || list.into.person;
  if (!on || !stood || !what || cells.problems.length > 0) return undefined;
  const appliedAt = list.instant(on.day, time);
  return {
    says: `${on.day}: ${what.name} on ${stood.says}`,
    records: [
      ...stood.made,
      {
        subject: 'applications',
        record: list.id([
          'treatment',
          what.id,
          stood.said,
          on.day,
          time,
          amount,
          ...(collected === null ? [] : [collected]),
          water,
          part,
          kit,
          sky,
          why,
          cells.raw('by'),
        ]),
        value: {
          intervention: what.id,
          productId: null,
          appliedAt,
          targets: [
            { plantingId: stood.id, caseId: null, plants: Math.min(plants ?? stood.plants, mostPlants), areaM2: null, coveredPart: part },
          ],
          productMl: amount?.unit === 'ml' ? amount.value : null,
          productG: amount?.unit === 'g' ? amount.value : null,
          productPieces: null,
          collected,
          waterL: water?.value ?? null,
          kit,
          appliedBy,
          temperatureC,
          windKmh,
          sky,
          why,
        },
      },
    ],
  };
}
