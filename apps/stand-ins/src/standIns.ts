import Router from '@koa/router';
import Koa from 'koa';
import { labelRegisterRoutes } from './labelRegister/routes.js';
import type { Mailbox } from './mailbox/mailbox.js';
import { mailboxRoutes } from './mailbox/routes.js';
import { plantClinicRoutes } from './plantClinic/routes.js';
import { weatherStationRoutes } from './weatherStation/routes.js';

/** The simulated outside world: small services that a garden would otherwise reach over the net. */
export function createStandIns(mailbox: Pick<Mailbox, 'letters'> = { letters: [] }): Koa {
  const app = new Koa();
  const router = new Router();
  router.get('/health', (ctx) => {
    ctx.body = { status: 'ok' };
  });
  weatherStationRoutes(router);
  plantClinicRoutes(router);
  labelRegisterRoutes(router);
  mailboxRoutes(router, mailbox);
  app.use(router.routes());
  return app;
}
