import type Router from '@koa/router';
import { simulateFaults } from '../simulatedFaults.js';
import { registered } from './catalog.js';
import type { RegisteredProduct } from './catalog.js';

const day = /^\d{4}-\d\d-\d\d$/;

/** The register of labels over HTTP: products by number, barcode or part of a name, as they stand registered on a day. */
export function labelRegisterRoutes(router: Router): void {
  simulateFaults(router, '/register');

  router.get('/register/products', (ctx) => {
    const { q = '', as_of: asOf = '' } = ctx.query;
    if (typeof q !== 'string' || typeof asOf !== 'string' || !day.test(asOf)) return ctx.throw(400);
    ctx.body = { products: registered.filter((one) => isMeant(one, q)).flatMap((one) => entryOn(one, asOf) ?? []) };
  });
}

function isMeant({ number, barcode, product }: RegisteredProduct, asked: string): boolean {
  const plain = (text: string) => text.toLowerCase().replace(/[^a-z0-9]/g, '');
  const q = plain(asked);
  return q.length >= 3 && (plain(number) === q || barcode === q || plain(product).includes(q));
}

/** As it is registered on a day; nothing before it first was. */
export function entryOn({ amendments, ...product }: RegisteredProduct, on: string) {
  const now = amendments.filter(({ from }) => from <= on).at(-1);
  if (!now) return undefined;
  const { from, ...card } = now;
  return { ...product, amended_on: from, card };
}
