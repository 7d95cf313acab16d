import { bodyParser } from '@koa/bodyparser';
import Router from '@koa/router';
import Koa from 'koa';
import compress from 'koa-compress';
import { createSession } from 'koa-session';
import { docsRoutes } from './api/docs.js';
import { healthRoutes } from './api/health.js';
import { calcLimiter } from './calc/limiter.js';
import { calcRoutes } from './calc/routes.js';
import { caseRoutes } from './cases/routes.js';
import { clinicRoutes } from './clinic/routes.js';
import { choreRoutes } from './chores/routes.js';
import type { Deps } from './deps.js';
import { gardenRoutes } from './gardens/routes.js';
import { ownEntryRoutes } from './library/ownRoutes.js';
import { libraryRoutes } from './library/routes.js';
import { logRoutes } from './log/routes.js';
import { crossSite } from './middleware/crossSite.js';
import { errors } from './middleware/errors.js';
import { headers } from './middleware/headers.js';
import { pages } from './middleware/pages.js';
import { peopleRoutes } from './people/routes.js';
import { sessionStore } from './people/sessionStore.js';
import { photoRoutes } from './photos/routes.js';
import { planRoutes } from './plans/routes.js';
import { recoveryRoutes } from './recovery/routes.js';
import { roundRoutes } from './rounds/routes.js';
import { trapRoutes } from './traps/routes.js';
import { weatherRoutes } from './weather/routes.js';

export const version = '0.1.0';
const monthMs = 30 * 24 * 60 * 60 * 1000;
const calcPerSecond = 100;

/** The whole application over what it is given; it reads no clock, environment or file of its own but the built pages. */
export function createApp(deps: Deps): Koa {
  const app = new Koa();
  app.keys = [deps.secret];
  app.use(errors(deps.log));
  app.use(headers());
  app.use(compress());
  if (deps.webFolder) app.use(pages(deps.webFolder));
  app.use(calcLimiter(calcPerSecond));
  app.use(bodyParser({ enableTypes: ['json'], jsonLimit: '1mb' }));
  app.use(
    createSession(
      {
        key: 'field-nurse',
        maxAge: monthMs,
        renew: true,
        httpOnly: true,
        sameSite: 'lax',
        secure: deps.secureCookies,
        store: sessionStore(deps.db, deps.now) as never,
      },
      app,
    ) as Koa.Middleware,
  );
  app.use(crossSite());
  const router = new Router();
  healthRoutes(router, deps, version);
  docsRoutes(router, version);
  peopleRoutes(router, deps);
  gardenRoutes(router, deps);
  caseRoutes(router, deps);
  clinicRoutes(router, deps);
  planRoutes(router, deps);
  logRoutes(router, deps);
  recoveryRoutes(router, deps);
  roundRoutes(router, deps);
  trapRoutes(router, deps);
  choreRoutes(router, deps);
  photoRoutes(router, deps);
  weatherRoutes(router, deps);
  libraryRoutes(router, deps);
  ownEntryRoutes(router, deps);
  calcRoutes(router, deps);
  app.use(router.routes());
  app.use(router.allowedMethods());
  return app;
}
