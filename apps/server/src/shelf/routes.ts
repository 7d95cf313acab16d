import { endpoints } from '@field-nurse/contract';
import type { Stored } from '@field-nurse/contract';
import { dayAt } from '@field-nurse/core/timing';
import type Router from '@koa/router';
import { serve } from '../api/serve.js';
import type { Deps } from '../deps.js';
import { gardenClock } from '../gardens/gardenQueries.js';
import { ApiError, invalidField } from '../http/apiError.js';
import { gardenLibrary } from '../library/gardenLibrary.js';
import { requireEntry } from '../library/requireEntry.js';
import { recordById } from '../records/recordStore.js';
import { writeOf } from '../records/writeOf.js';
import { writeRecord } from '../records/writeRecord.js';
import { inGardenWords } from './inGardenWords.js';
import { leftAfter } from './queries.js';
import { RegisterFault } from './registers.js';

/** The shelf: products, their label cards, and what came and went beside what was applied. */
export function shelfRoutes(router: Router, deps: Deps): void {
  serve(router, deps, endpoints.labelRegister, async ({ params, query }) => {
    const { now, timeZone } = await gardenClock(deps.db, params.garden, deps.now);
    const today = dayAt(now.toISOString(), timeZone);
    const found = await deps.labelRegister.find(query.q, today).catch((fault: unknown) => {
      if (fault instanceof RegisterFault) throw new ApiError(503, 'register-down', fault.message);
      throw fault;
    });
    const library = await gardenLibrary(deps, params.garden);
    return { products: found.flatMap((one) => inGardenWords(library, one, today) ?? []), simulated: deps.labelRegister.simulated };
  });

  serve(router, deps, endpoints.writeProduct, async ({ params, body, access }) => {
    const library = await gardenLibrary(deps, params.garden);
    requireEntry(library.interventions, body.value.intervention, ['value', 'intervention']);
    return writeRecord(deps.db, 'products', params.record, body.version, body.value, writeOf(deps, { params, body, access }));
  });

  serve(router, deps, endpoints.writeLabelCard, async ({ params, body, access }) => {
    const { lines, apartFrom } = body.value;
    const library = await gardenLibrary(deps, params.garden);
    const plants = [...library.hosts, ...[...new Set(library.hosts.map(({ family }) => family))].map((id) => ({ id }))];
    lines.forEach(({ host, target }, i) => {
      if (host) requireEntry(plants, host, ['value', 'lines', i, 'host']);
      if (target) requireEntry(library.conditions, target, ['value', 'lines', i, 'target']);
    });
    apartFrom.forEach(({ intervention }, i) =>
      requireEntry(library.interventions, intervention, ['value', 'apartFrom', i, 'intervention']),
    );
    return writeRecord(deps.db, 'labelCards', params.record, body.version, body.value, writeOf(deps, { params, body, access }));
  });

  serve(router, deps, endpoints.writeStockMove, async ({ params, body, access }) => {
    const { value } = body;
    const { now } = await gardenClock(deps.db, params.garden, deps.now);
    if (new Date(value.movedAt) > now)
      throw invalidField(['value', 'movedAt'], 'in-future', 'Write it down once it is done: this time is still to come.');
    const product = await recordById(deps.db, 'products', params.garden, value.productId);
    if (!product) throw invalidField(['value', 'productId'], 'reference', 'This product is not in the garden.');
    const move = { ...value, movedAt: new Date(value.movedAt).toISOString() };
    if (move.kind !== 'bought' && move.kind !== 'counted') await refuseBelowZero(params.garden, product, params.record, move);
    return writeRecord(deps.db, 'stockMoves', params.record, body.version, move, writeOf(deps, { params, body, access }));
  });

  async function refuseBelowZero(
    garden: string,
    product: Stored<'products'>,
    id: string,
    move: Omit<Stored<'stockMoves'>, 'id' | 'version'>,
  ) {
    const left = await leftAfter(deps.db, garden, product, id, move);
    if (left !== null && left < 0)
      throw new ApiError(
        422,
        'below-zero',
        `So much is not there: ${Number((move.amount + left).toPrecision(6))} ${product.measuredIn} of ${product.name} were left. Count what stands there first.`,
        { rule: { field: 'amount', left: move.amount + left, unit: product.measuredIn } },
      );
  }
}
