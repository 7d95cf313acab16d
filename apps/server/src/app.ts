import Router from '@koa/router';
import Koa from 'koa';
import compress from 'koa-compress';
import { createSession } from 'koa-session';
import { docsRoutes } from './api/docs.js';
import { healthRoutes } from './api/health.js';
import { calcRoutes } from './calc/routes.js';
import { caseRoutes } from './cases/routes.js';
import { preventionRoutes } from './prevention/routes.js';
import { clinicRoutes } from './clinic/routes.js';
import type { Deps } from './deps.js';
import { gardenRoutes } from './gardens/routes.js';
import { ownEntryRoutes } from './library/ownRoutes.js';
import { libraryRoutes } from './library/routes.js';
import { applicationRoutes } from './applications/routes.js';
import { errors } from './middleware/errors.js';
import { headers } from './middleware/headers.js';
import { onlyHttps } from './middleware/onlyHttps.js';
import { pages } from './middleware/pages.js';
import { accountRoutes } from './people/accountRoutes.js';
import { peopleRoutes } from './people/routes.js';
import { idleMs, sessionStore } from './access/sessionStore.js';
import { photoRoutes } from './photos/routes.js';
import { treatmentRoutes } from './treatment/routes.js';
import { planRoutes } from './plans/routes.js';
import { shelfRoutes } from './shelf/routes.js';
import { recoveryRoutes } from './recovery/routes.js';
import { seasonRoutes } from './season/routes.js';
import { scoutingRoutes } from './scouting/routes.js';
import { invitationRoutes } from './sharing/invitationRoutes.js';
import { almanacRoutes } from './almanac/routes.js';
import { archiveRoutes } from './archive/routes.js';
import { leavingRoutes } from './sharing/leavingRoutes.js';
import { memberRoutes } from './sharing/memberRoutes.js';
import { tokenRoutes } from './sharing/tokenRoutes.js';
import { tableRoutes } from './tables/routes.js';
import { trapRoutes } from './traps/routes.js';
import { weatherRoutes } from './weather/routes.js';

export const version = '0.1.0';

const routes = [
  peopleRoutes,
  accountRoutes,
  gardenRoutes,
  memberRoutes,
  leavingRoutes,
  archiveRoutes,
  tableRoutes,
  almanacRoutes,
  invitationRoutes,
  tokenRoutes,
  caseRoutes,
  clinicRoutes,
  planRoutes,
  shelfRoutes,
  treatmentRoutes,
  applicationRoutes,
  recoveryRoutes,
  scoutingRoutes,
  trapRoutes,
  preventionRoutes,
  photoRoutes,
  weatherRoutes,
  libraryRoutes,
  ownEntryRoutes,
  calcRoutes,
  seasonRoutes,
];

/** The whole application over what it is given; it reads no clock, environment or file of its own but the built pages. */
export function createApp(deps: Deps): Koa {
  const app = new Koa({ proxy: deps.proxies > 0, maxIpsCount: deps.proxies });
  app.keys = [deps.secret];
  // What the funnel below could not answer: callers that went away while they were being sent something.
  app.on('error', (error: Error) => deps.log.debug({ name: error.name }, 'a caller went away'));
  app.use(errors(deps.log));
  app.use(headers(deps.secureCookies));
  if (deps.secureCookies) app.use(onlyHttps());
  app.use(compress());
  // Pages need no session: only what is no page goes on.
  if (deps.webFolder) app.use(pages(deps.webFolder));
  app.use(
    createSession(
      {
        key: 'field-nurse',
        maxAge: idleMs,
        renew: true,
        httpOnly: true,
        sameSite: 'lax',
        secure: deps.secureCookies,
        store: sessionStore(deps.db, deps.now),
      },
      app,
    ) as Koa.Middleware,
  );
  // An address in other letters is another address, which no endpoint has.
  const router = new Router({ sensitive: true, strict: true });
  healthRoutes(router, deps, version);
  docsRoutes(router, version);
  for (const add of routes) add(router, deps);
  app.use(router.routes());
  app.use(router.allowedMethods());
  return app;
}
