import type { Page, Route } from '@playwright/test';
import { guestRoom } from '@steddo/samples';
import { expect, figureValue, isReady, isSent, openRoom, putRoom, savedJob, test, type } from './fixtures';
import { testServer } from './server';

const IN = 25.4;
const state = (page: Page) => page.getByTestId('save-state');
const json =
  (status: number, body: object, headers: Record<string, string> = {}) =>
  (route: Route) =>
    route.fulfill({ status, headers: { 'content-type': 'application/json', ...headers }, body: JSON.stringify(body) });
const said = (message: string) => ({ error: 'x', message });
const page200 = (route: Route) =>
  route.fulfill({ status: 200, headers: { 'content-type': 'text/html' }, body: '<h1>Guest network: sign in</h1>' });

const REFUSALS: [name: string, answer: (route: Route) => Promise<void>, short: string, sentence: string][] = [
  ['401', json(401, said('who')), 'passcode asked', 'asks who you are'],
  ['404', json(404, said('nothing here')), 'no rooms there', 'it is another program'],
  ['413', json(413, said('large')), 'too large to send', 'larger than the server takes (2 MB)'],
  [
    '422',
    json(422, { ...said('not valid'), faults: [{ path: 'job.screen.curl', reason: 'is not a field of this format' }] }),
    'not taken by the server',
    'job.screen.curl is not a field of this format',
  ],
  ['429', json(429, said('slow'), { 'retry-after': '1' }), 'server busy', 'too many requests at the moment'],
  [
    '500',
    json(500, said('something went wrong here; nothing was saved')),
    'server failed',
    'something went wrong here',
  ],
  ['507', json(507, said("the server's disk is full; nothing was saved")), 'server full', "the server's disk is full"],
  [
    'a redirect',
    (route) => route.fulfill({ status: 302, headers: { location: '/elsewhere' } }),
    'another page answers',
    'sign-in page of a network',
  ],
  ['a sign-in page', page200, 'another page answers', 'sign-in page of a network'],
];

test('each refusal in a sentence that is true of it; the edit stays, and goes by itself when it can', async ({
  page,
  demo,
  watch,
}) => {
  watch.allow(/Failed to load resource|status of/);
  await openRoom(page, demo, 'refused', { ...guestRoom, title: 'Refused' }, 'height');
  let inches = 60;
  for (const [name, answer, short, sentence] of REFUSALS) {
    await page.route('**/api/rooms/refused', (route) =>
      route.request().method() === 'PUT' ? answer(route) : route.continue(),
    );
    inches += 0.25;
    await type(page, 'choices.centreY', String(inches));
    await expect(state(page), name).toHaveText(`on this device, 1 to send · ${short}`);
    await expect(page.getByTestId('obstacle'), name).toContainText(sentence);
    await page.unrouteAll({ behavior: 'ignoreErrors' });
    // the page is not touched: within thirty-five seconds it is there
    await expect(state(page), name).toHaveText('on this device · sent', { timeout: 60_000 });
    await expect(page.getByTestId('obstacle')).toHaveCount(0);
    expect((await savedJob(page, demo, 'refused')).job.choices!.centreY).toBeCloseTo(inches * IN, 6);
  }
});

test('one room that is refused holds up no other', async ({ page, demo, watch }) => {
  watch.allow(/Failed to load resource|status of/);
  await openRoom(page, demo, 'held-up', { ...guestRoom, title: 'Held up' }, 'height');
  await page.route('**/api/rooms/held-up', (route) =>
    route.request().method() === 'PUT' ? json(413, said('x'))(route) : route.continue(),
  );
  await type(page, 'choices.centreY', '60');
  await expect(state(page)).toContainText('too large');
  await page.getByRole('button', { name: 'all rooms', exact: true }).click();
  await page.getByTestId('new-room').click();
  await isReady(page);
});

test('a server that was emptied is noticed; one choice sends everything there again', async ({ page, watch }) => {
  watch.allow(/Failed to load resource|ERR_CONNECTION|status of/);
  const server = await testServer('catalogue');
  await openRoom(page, server, 'emptied', { ...guestRoom, title: 'Emptied' }, 'height');
  await type(page, 'choices.centreY', '60');
  await isSent(page);
  await server.emptied();
  await type(page, 'choices.centreY', '61');
  await expect(state(page)).toHaveText('on this device only', { timeout: 60_000 });
  await expect(page.getByTestId('lost')).toContainText('The server does not have this room');
  await page.getByRole('button', { name: 'all rooms', exact: true }).click();
  await expect(page.getByTestId('lost-rooms')).toContainText('One room of this device is not there');
  await page.getByTestId('send-all').click();
  await expect(page.getByTestId('lost-rooms')).toHaveCount(0, { timeout: 60_000 });
  expect((await savedJob(page, server, 'emptied')).job.choices!.centreY).toBeCloseTo(61 * IN, 6);
  await page.getByTestId('room-emptied').click();
  await isReady(page);
  await server.kill();
});

test('a backup that was put back is noticed, and the server’s can be taken', async ({ page, demo, watch }) => {
  watch.allow(/status of/);
  await openRoom(page, demo, 'put-back', { ...guestRoom, title: 'Put back' }, 'height');
  await type(page, 'choices.centreY', '60');
  await isSent(page);
  const older = {
    id: 'put-back',
    version: 1,
    revision: 'of-the-backup',
    savedAt: '2026-03-01T08:00:00Z',
    person: '',
    device: '',
    title: 'Older',
    job: { ...guestRoom, title: 'Older' },
  };
  const database = 'another';
  await page.route('**/api/rooms/put-back**', (route) => {
    if (route.request().method() === 'GET') return json(200, { ...older, database, known: false })(route);
    return json(409, { error: 'stale', message: 'm', database, theirs: older, known: false, since: [] })(route);
  });
  await page.reload();
  await expect(page.getByTestId('lost')).toContainText('The server has an earlier record');
  await expect(page.getByTestId('lost')).toContainText('1 Mar 2026');
  await page.getByTestId('lost-theirs').click();
  await expect(page.getByRole('heading', { level: 1 })).toHaveText('Older');
  await page.unrouteAll({ behavior: 'ignoreErrors' });
  await page.getByRole('button', { name: 'undo', exact: true }).click();
  await expect(page.getByRole('heading', { level: 1 })).toHaveText('put-back');
});

test('a device that is full says so at once, sends from memory, offers the file, and keeps it when there is room', async ({
  page,
  demo,
  context,
}) => {
  await openRoom(page, demo, 'full', { ...guestRoom, title: 'Full' }, 'height');
  const session = await context.newCDPSession(page);
  await page.evaluate(() => {
    // as a full device answers
    const add = IDBObjectStore.prototype.put;
    const w = window as unknown as { full: boolean };
    w.full = true;
    IDBObjectStore.prototype.put = function (...args: Parameters<typeof add>) {
      if (w.full && this.name === 'rooms') throw new DOMException('full', 'QuotaExceededError');
      return add.apply(this, args);
    };
  });
  await session.detach();
  await type(page, 'choices.centreY', '60');
  await expect(state(page)).toHaveText('not kept on this device · sent');
  await expect(page.getByTestId('device-trouble')).toContainText('This device is full');
  expect((await savedJob(page, demo, 'full')).job.choices!.centreY).toBeCloseTo(60 * IN, 6);
  const download = page.waitForEvent('download');
  await page.getByTestId('save-file').click();
  expect((await download).suggestedFilename()).toMatch(/^full-\d{4}-\d\d-\d\d\.steddo\.json$/);
  await page.evaluate(() => ((window as unknown as { full: boolean }).full = false));
  await isSent(page);
  await expect(page.getByTestId('device-trouble')).toHaveCount(0);
});

test('a browser that lets nothing be kept: no white page, no false word, and the room can be worked on', async ({
  context,
  demo,
}) => {
  // a page of its own: what is done to it at the start stays with it
  const page = await context.newPage();
  await putRoom(page, demo, 'refusing', { ...guestRoom, title: 'Refusing' });
  await page.addInitScript(() => {
    const refuse = () => {
      throw new DOMException('not allowed', 'SecurityError');
    };
    Object.defineProperty(window, 'localStorage', { get: refuse });
    IDBFactory.prototype.open = refuse as never;
  });
  await page.goto(`${demo.url}/room/refusing/height`);
  await expect(page.getByRole('heading', { level: 1 })).toHaveText('Refusing');
  await type(page, 'choices.centreY', '60');
  await expect(state(page)).toHaveText('not kept on this device · sent');
  await expect(page.getByTestId('device-trouble')).toContainText('does not let Steddo keep anything');
  await page.goto(demo.url);
  await expect(page.getByTestId('room-refusing')).toBeVisible();
});

test('storage that is cleared under an open room: the next edit is kept again', async ({ page, demo, context }) => {
  await openRoom(page, demo, 'wiped', { ...guestRoom, title: 'Wiped' }, 'height');
  const session = await context.newCDPSession(page);
  await session.send('Storage.clearDataForOrigin', { origin: demo.url, storageTypes: 'indexeddb,local_storage' });
  await session.detach();
  await type(page, 'choices.centreY', '60');
  await isSent(page);
  await page.reload();
  await expect.poll(() => figureValue(page.getByTestId('thumb-bar'), 'centre')).toBeCloseTo(60 * IN, 6);
});

test('a record on this device that cannot be read is set aside; the others open', async ({ page, demo }) => {
  await openRoom(page, demo, 'spoilt', { ...guestRoom, title: 'Spoilt' }, 'height');
  await page.goto(`${demo.url}/device`);
  await page.evaluate(async () => {
    const open = indexedDB.open('steddo');
    const db = await new Promise<IDBDatabase>((resolve) => (open.onsuccess = () => resolve(open.result)));
    const tx = db.transaction('rooms', 'readwrite');
    tx.objectStore('rooms').put({
      id: 'no-aim',
      job: { format: 'steddo-job', version: 1, title: 'No aim' },
      history: { undo: [], redo: [] },
      disputes: [],
      edits: 1,
    });
    await new Promise((resolve) => (tx.oncomplete = resolve));
    db.close();
  });
  await page.reload();
  await expect(page.getByTestId('aside-room:no-aim')).toContainText('room:no-aim, on this device');
  const download = page.waitForEvent('download');
  await page.getByRole('button', { name: 'save the record as a file' }).click();
  expect((await download).suggestedFilename()).toBe('room-no-aim.json');
  await page.getByRole('button', { name: 'all rooms', exact: true }).click();
  await page.getByTestId('room-spoilt').click();
  await isReady(page);
});
