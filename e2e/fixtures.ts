import {
  chromium,
  test as base,
  expect,
  type BrowserContext,
  type ConsoleMessage,
  type Locator,
  type Page,
  type Request,
  type WebError,
} from '@playwright/test';
import type { Job } from '@steddo/contract';
import { testServer, type TestServer } from './server';

/** Every step notes where it was called from: only the tests' own lines are looked up in their sources, not the tool's. */
const lookUp = Error.prepareStackTrace;
if (lookUp)
  Error.prepareStackTrace = (error, sites) =>
    lookUp(
      error,
      sites.filter((site) => !site.getFileName()?.includes('/node_modules/playwright')),
    );

/** What moves for the eye alone stands still: every click waits for it to end. The journeys see it move. */
const STILL = { reducedMotion: 'reduce' } as const;
const NEW = { serviceWorkers: 'block', ...STILL } as const;

interface WorkerParts {
  demo: TestServer;
  empty: TestServer;
  kept: { context?: BrowserContext; page?: Page };
}
interface Watch {
  /** Console errors that the test itself brings about, such as by stopping the server. */
  allow: (pattern: RegExp) => void;
}

/** A page that fails its test on a request to another host, on a console error, on an uncaught one. */
export const test = base.extend<{ watch: Watch }, WorkerParts>({
  demo: [
    // oxlint-disable-next-line no-empty-pattern -- Playwright wants a pattern here
    async ({}, use) => {
      const server = await testServer('demo');
      await use(server);
      await server.kill();
    },
    { scope: 'worker' },
  ],
  empty: [
    // oxlint-disable-next-line no-empty-pattern -- Playwright wants a pattern here
    async ({}, use) => {
      const server = await testServer('catalogue');
      await use(server);
      await server.kill();
    },
    { scope: 'worker' },
  ],
  // oxlint-disable-next-line no-empty-pattern -- Playwright wants a pattern here
  kept: [async ({}, use) => use({}), { scope: 'worker' }],
  /** One context for all tests of a worker, so that the app is fetched once; what they left is cleared. */
  context: async ({ browser, kept, viewport, hasTouch }, use) => {
    const context = (kept.context ??= await browser.newContext({ ...NEW, viewport, hasTouch }));
    const visited = new Set<string>();
    const note = (r: Request) =>
      r.isNavigationRequest() && r.url().startsWith('http') && visited.add(new URL(r.url()).origin);
    context.on('request', note);
    await use(context);
    const page = await leftPage(context, kept);
    await Promise.all(context.pages().map((other) => (other === page ? undefined : other.close())));
    await context.unrouteAll({ behavior: 'ignoreErrors' });
    await context.setOffline(false);
    context.off('request', note);
    await forgetAll(context, page, visited);
  },
  /** One page too: its renderer keeps what it has compiled, which is a third of opening the app. */
  page: async ({ context, kept, viewport }, use, info) => {
    const page = await keptPage(context, kept);
    await use(page);
    if (page.isClosed()) return;
    if (info.status !== info.expectedStatus) await sayWhatItShows(page, info.title);
    // the next test has its own; one held back here would go on being held back there
    await page.unrouteAll({ behavior: 'ignoreErrors' });
    await page.emulateMedia({ colorScheme: null, ...STILL });
    if (viewport) await page.setViewportSize(viewport);
  },
  watch: [
    async ({ context }, use) => {
      const wrong: string[] = [];
      const allowed: RegExp[] = [];
      const onRequest = (r: Request) => {
        const { hostname, protocol } = new URL(r.url());
        if (protocol.startsWith('http') && hostname !== 'localhost') wrong.push(`request to ${hostname}`);
      };
      const onConsole = (m: ConsoleMessage) =>
        m.type() === 'error' && wrong.push(`console: ${m.text()} ${m.location().url}`);
      const onError = (e: WebError) => wrong.push(`uncaught: ${e.error().message}`);
      context.on('request', onRequest).on('console', onConsole).on('weberror', onError);
      await use({ allow: (pattern) => allowed.push(pattern) });
      context.off('request', onRequest).off('console', onConsole).off('weberror', onError);
      expect(wrong.filter((w) => !allowed.some((a) => a.test(w)))).toEqual([]);
    },
    { auto: true },
  ],
});
/** For what computes for many seconds: a browser of its own, whose code is compiled well, is twice as quick at it. */
export const quick = test.extend<{ own: Page }>({
  own: async ({ viewport }, use, info) => {
    const { launchOptions } = info.project.use;
    const args = launchOptions?.args?.filter((a) => !a.startsWith('--js-flags'));
    const browser = await chromium.launch({ ...launchOptions, args });
    const context = await browser.newContext({ ...NEW, viewport, hasTouch: true });
    await use(await context.newPage());
    await browser.close();
  },
});

/** What a page showed when its test failed: where nobody can open the results, the log has it. */
async function sayWhatItShows(page: Page, title: string): Promise<void> {
  const MOST_LINES = 70;
  const shown = await page
    .locator('body')
    .ariaSnapshot({ timeout: 5000 })
    .catch(() => '(it does not say)');
  process.stdout.write(
    `the page of “${title}”, ${page.url()}:\n${shown.split('\n').slice(0, MOST_LINES).join('\n')}\n`,
  );
}

/** The worker's page, or another where a test has closed it. */
async function keptPage(context: BrowserContext, kept: WorkerParts['kept']): Promise<Page> {
  if (!kept.page || kept.page.isClosed()) kept.page = await context.newPage();
  return kept.page;
}

/**
 * The worker's page when the app has ended on it, by way of a picture of the same site: from anywhere else the
 * next page gets a renderer of its own. Another page where the site is gone.
 */
async function leftPage(context: BrowserContext, kept: WorkerParts['kept']): Promise<Page> {
  const page = await keptPage(context, kept);
  const { protocol, origin } = new URL(page.url());
  if (protocol !== 'http:') return page;
  try {
    await page.goto(`${origin}/icon.svg`);
    return page;
  } catch {
    await page.close();
    return keptPage(context, kept);
  }
}

/** What pages have kept on this device, for every site that was visited. */
async function forgetAll(context: BrowserContext, page: Page, origins: ReadonlySet<string>): Promise<void> {
  await context.clearCookies();
  const session = await context.newCDPSession(page);
  for (const origin of origins) await session.send('Storage.clearDataForOrigin', { origin, storageTypes: 'all' });
  await session.detach();
}

export { expect };

/** Counts taps, so that a journey's length is a number. */
export class Thumb {
  taps = 0;
  constructor(private readonly page: Page) {}
  async tap(target: Locator): Promise<void> {
    this.taps += 1;
    await target.click();
  }
  byId = (id: string): Locator => this.page.getByTestId(id);
  /** Types on the pad, key by key, and takes it with `next` or `done`. */
  async keys(keys: string, then: 'next' | 'done'): Promise<void> {
    for (const key of keys
      .split(' ')
      .filter(Boolean)
      .flatMap((part) => (/^\d+$|^\.$/.test(part) ? part.split('') : [part])))
      await this.tap(this.byId(`key-${key}`));
    await this.tap(this.byId(`key-${then}`));
  }
}

/** The room as the server has it. */
export async function savedJob(page: Page, server: TestServer, id: string): Promise<{ version: number; job: Job }> {
  // a connection that the server has closed meanwhile is opened again
  const response = await page.request.get(`${server.url}/api/rooms/${id}`, { maxRetries: 2 });
  expect(response.ok()).toBe(true);
  return (await response.json()) as { version: number; job: Job };
}

/** A room of the test's own, put there through the API. */
export async function putRoom(page: Page, server: TestServer, id: string, job: Job, baseVersion = 0): Promise<void> {
  const data = { editId: `${id}-${baseVersion}-${job.title}`, baseVersion, touched: [], job };
  const response = await page.request.put(`${server.url}/api/rooms/${id}`, { data });
  expect(response.status()).toBe(200);
}

/** Looked at every twentieth of a second: an assertion looks again after a quarter, half and a whole one. */
const soon = (page: Page, is: (sent: string) => boolean) =>
  page.waitForFunction(is, SENT, { polling: 50, timeout: 45_000 }).catch(() => undefined);
const SENT = 'on this device · sent';

export async function isSent(page: Page): Promise<void> {
  await soon(page, (sent) => document.querySelector('[data-testid=save-state]')?.textContent === sent);
  await expect(page.getByTestId('save-state')).toHaveText(SENT);
}

/** The room is open, worked out and drawn, this tab has the turn to edit it, and nothing waits. */
export async function isReady(page: Page): Promise<void> {
  await soon(page, (sent) => {
    const name = document.querySelector('[aria-label$=", change its name"]');
    const state = document.querySelector('[data-testid=save-state]')?.textContent;
    const isWhole = document.querySelector('[data-testid=coming]') === null;
    return isWhole && name !== null && !name.hasAttribute('disabled') && name.ariaDisabled !== 'true' && state === sent;
  });
  await expect(page.getByRole('button', { name: /, change its name$/ })).toBeEnabled();
  await expect(page.getByTestId('coming')).toHaveCount(0);
  await isSent(page);
}

/** To another stage of the room that is open, by its tab. */
export async function toStage(page: Page, stage: string): Promise<void> {
  await page.getByTestId(`stage-${stage}`).click();
  await expect(page.getByTestId(`stage-${stage}`)).toHaveAttribute('aria-selected', 'true');
}

/** A room of the test's own, open at a stage and ready to be changed. */
export async function openRoom(page: Page, server: TestServer, id: string, job: Job, stage: string): Promise<void> {
  await putRoom(page, server, id, { ...job, title: id });
  await page.goto(`${server.url}/room/${id}/${stage}`);
  await isReady(page);
}

/** What the server has of a room once everything is sent. */
export async function sentJob(page: Page, server: TestServer, id: string): Promise<Job> {
  await isSent(page);
  return (await savedJob(page, server, id)).job;
}

/** Types into a field of the pad and takes it. */
export async function type(page: Page, field: string, text: string): Promise<void> {
  await page.getByTestId(`field-${field}`).click();
  await page.getByTestId('pad-text').fill(text);
  await page.getByTestId('key-done').click();
  await expect(page.getByTestId('pad')).toHaveCount(0);
}

/** Whatever was open over the page has closed, and its entry in the history is gone: going back takes its time. */
export const isBack = (page: Page) =>
  page.waitForFunction(() => !('steddoOpen' in ((history.state ?? {}) as Record<string, unknown>)));

/** Opens a part of a stage by its name. */
export const unfold = (page: Page, name: string) =>
  page.getByRole('button', { name: new RegExp(`^${name}.*, show$`) }).click();

/** A finger put down in the middle of something and moved by so many pixels, in steps. */
export async function dragBy(
  page: Page,
  target: Locator,
  dx: number,
  dy: number,
  held?: () => Promise<void>,
): Promise<void> {
  const box = (await target.boundingBox())!;
  const [x, y] = [box.x + box.width / 2, box.y + box.height / 2];
  await page.mouse.move(x, y);
  await page.mouse.down();
  await page.mouse.move(x + dx / 2, y + dy / 2, { steps: 4 });
  await page.mouse.move(x + dx, y + dy, { steps: 4 });
  await held?.();
  await page.mouse.up();
}

/** A shape of a drawing in mm, by the scale that the drawing gives. */
export async function drawnMm(drawing: Locator, id: string) {
  const scale = Number(await drawing.getAttribute('data-scale'));
  const box = (await drawing.locator(`[data-shape="${id}"]`).boundingBox())!;
  return {
    width: box.width / scale,
    height: box.height / scale,
    x: box.x / scale,
    y: box.y / scale,
  };
}

/** The number that a Figure carries, unrounded, by the start of its label, once the plan is the room's as it is. */
export async function figureValue(scope: Page | Locator, label: string): Promise<number> {
  await expect(('page' in scope ? scope.page() : scope).getByTestId('late')).toHaveCount(0);
  return shownValue(scope, label);
}

/** The number that stands there, of whichever plan. */
export async function shownValue(scope: Page | Locator, label: string): Promise<number> {
  const figure = scope.getByRole('button', { name: new RegExp(`^${label} .*show the working$`) }).first();
  return Number(await figure.locator('[data-value]').getAttribute('data-value'));
}
