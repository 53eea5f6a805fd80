import Koa from 'koa';
import helmet from 'koa-helmet';
import type { Logger } from 'pino';
import type { Store } from './db/client';
import { errorBoundary } from './middleware/errors';
import { callers } from './middleware/callers';
import { crewOnly } from './middleware/crewOnly';
import { loggedError } from './middleware/loggedError';
import { noStore } from './middleware/noStore';
import { ownPages } from './middleware/ownPages';
import { requestLimits } from './middleware/requestLimits';
import { requestLog } from './middleware/requestLog';
import { staticApp } from './middleware/staticApp';
import type { RoomList } from '@steddo/contract';
import { jsonBodies } from './middleware/jsonBodies';
import { plainBodies } from './middleware/plainBodies';
import { catalogueRoutes } from './routes/catalogue';
import { changeRoutes } from './routes/changes';
import { crewRoutes } from './routes/crew';
import { importRoutes } from './routes/importCatalogue';
import { linkRoutes } from './routes/links';
import { pictureRoutes } from './routes/pictures';
import { roomRoutes } from './routes/rooms';
import { shownRoutes } from './routes/shown';
import { watchRoutes } from './routes/watch';
import { HERE_ONLY, isBeyond, type Reach } from './reach';
import { Watch } from './watch';

export interface AppParts {
  store: Store;
  log: Logger;
  now: () => Date;
  newId: () => string;
  /** Records that cannot be read, as far as they have been looked through. */
  aside?: () => RoomList['aside'];
  /** How far it can be reached; this machine only unless it is said. */
  reach?: Reach;
  watch?: Watch;
  /** Folder of the exported web app. */
  web: string;
}

const SELF = ["'self'"];
const NONE = ["'none'"];

/** The digest of nothing: the one style element that the app makes, empty, and fills through the style sheet's own interface. */
const EMPTY_STYLE = "'sha256-47DEQpj8HBSa+/TImW+5JCeuQeRkm5NMpJWZG3hSuFU='";

/** Everything the page may load comes from here; nothing inline, nothing from elsewhere. */
const POLICY = {
  useDefaults: false,
  directives: {
    defaultSrc: NONE,
    scriptSrc: SELF,
    styleSrc: [...SELF, EMPTY_STYLE],
    // pictures of the device itself are shown from its memory
    imgSrc: ["'self'", 'data:', 'blob:'],
    fontSrc: SELF,
    connectSrc: SELF,
    workerSrc: SELF,
    manifestSrc: SELF,
    baseUri: NONE,
    formAction: NONE,
    frameAncestors: NONE,
  },
};

/** A year; said only where every name of the server is reached over encrypted ways. */
const HSTS = { maxAge: 31_536_000, includeSubDomains: false };

/** The application, given its database, clock and log. */
export async function makeApp(parts: AppParts): Promise<Koa> {
  const { store, log, now, newId, aside = () => [], reach = HERE_ONLY, watch = new Watch(false), web } = parts;
  const app = new Koa();
  const routes = [
    changeRoutes(store),
    roomRoutes({ store, now, newId, aside }),
    linkRoutes({ store, now, newId, reach }),
    catalogueRoutes(store, now),
    crewRoutes({ store, now, newId, reach, refused: watch.refused }),
    shownRoutes(store, now),
  ];
  app.use(requestLog(log, now, watch.timed));
  app.use(errorBoundary(log));
  app.use(callers(reach));
  app.use(helmet({ contentSecurityPolicy: POLICY, strictTransportSecurity: isBeyond(reach) ? HSTS : false }));
  app.use(noStore);
  app.use(ownPages);
  app.use(watchRoutes({ store, now, reach, watch }).routes());
  app.use(await staticApp(web));
  app.use(crewOnly({ store, now, reach }));
  app.use(requestLimits(reach));
  app.use(plainBodies);
  app.use(importRoutes({ store, now, newId }).routes());
  app.use(pictureRoutes(store, now).routes());
  app.use(jsonBodies);
  for (const router of routes) app.use(router.routes());
  for (const router of routes) app.use(router.allowedMethods());
  app.on('error', (err: unknown) => log.error({ error: loggedError(err) }, 'response failed'));
  return app;
}
