import Koa from 'koa';
import helmet from 'koa-helmet';
import type { Logger } from 'pino';
import type { Store } from './db/client';
import { errorBoundary } from './middleware/errors';
import { localOnly } from './middleware/localOnly';
import { requestLog } from './middleware/requestLog';
import { staticApp } from './middleware/staticApp';
import type { RoomList } from '@steddo/contract';
import { Changes } from './changes';
import { jsonBodies } from './middleware/jsonBodies';
import { plainBodies } from './middleware/plainBodies';
import { catalogueRoutes } from './routes/catalogue';
import { healthRoutes } from './routes/health';
import { importRoutes } from './routes/importCatalogue';
import { pictureRoutes } from './routes/pictures';
import { roomRoutes } from './routes/rooms';

export interface AppParts {
  store: Store;
  log: Logger;
  now: () => Date;
  newId: () => string;
  /** Records that could not be read at the start. */
  aside?: RoomList['aside'];
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

/** The application, given its database, clock and log. */
export async function makeApp({ store, log, now, newId, aside = [], web }: AppParts): Promise<Koa> {
  const app = new Koa();
  const changes = new Changes(newId());
  const routes = [
    healthRoutes(store, changes, now),
    roomRoutes({ store, changes, now, newId, aside: () => aside }),
    catalogueRoutes(store, changes, now),
  ];
  app.use(requestLog(log, now));
  app.use(errorBoundary(log));
  app.use(localOnly);
  app.use(helmet({ contentSecurityPolicy: POLICY, strictTransportSecurity: false }));
  app.use(await staticApp(web));
  app.use(plainBodies);
  app.use(importRoutes({ store, changes, now, newId }).routes());
  app.use(pictureRoutes(store, now).routes());
  app.use(jsonBodies);
  for (const router of routes) app.use(router.routes());
  for (const router of routes) app.use(router.allowedMethods());
  app.on('error', (err: unknown) => log.error({ err }, 'response failed'));
  return app;
}
