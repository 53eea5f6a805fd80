import type { BrowserContext, Page } from '@playwright/test';
import { guestRoom } from '@steddo/samples';
import { expect, figureValue, isReady, isSent, putRoom, shownValue, test, type } from './fixtures';

/** The worker that plans, as one that says what it begins with and never comes to an end. */
const ENDLESS = `
  onmessage = ({ data }) => {
    const watch = data.argumentList[1].value;
    for (const step of ['studs', 'plate', 'reach'])
      watch.postMessage({ id: step, type: 'APPLY', path: [], argumentList: [{ type: 'RAW', value: step }] });
    for (;;);
  };
`;

/** As a page leaves it that was closed before the room's first plan was there. */
const leave = (page: Page, id: string) =>
  page.evaluate((key) => localStorage.setItem(key, '1'), `steddo:opening:${id}`);
const left = (page: Page, id: string) => page.evaluate((key) => localStorage.getItem(key), `steddo:opening:${id}`);

/** A page of its own whose plans go to the endless worker, by an address that no cache knows. */
async function endlessPage(context: BrowserContext): Promise<Page> {
  const page = await context.newPage();
  await page.route('**/endless.js', (route) =>
    route.fulfill({ status: 200, contentType: 'text/javascript', body: ENDLESS }),
  );
  await page.addInitScript(() => {
    const Real = window.Worker;
    window.Worker = class extends Real {
      constructor(url: string | URL, options?: WorkerOptions) {
        super(String(url).includes('/plan-') ? '/endless.js' : url, options);
      }
    };
  });
  return page;
}

test('a room that did not come to an end is ended after two seconds, and says what it was busy with', async ({
  context,
  demo,
}) => {
  const page = await endlessPage(context);
  await putRoom(page, demo, 'endless', { ...guestRoom, title: 'Endless' });
  await page.goto(`${demo.url}/room/endless/height`);
  await isReady(page);
  expect(await left(page, 'endless')).toBeNull();
  // a page on which most of a second passes whenever it asks the time
  await page.evaluate(() => {
    let now = 0;
    performance.now = () => (now += 700);
  });
  const bar = page.getByTestId('thumb-bar');
  await type(page, 'choices.centreY', '64');
  await type(page, 'choices.centreY', '65');
  await expect(page.getByTestId('late')).toContainText('It was busy with the reach.');
  expect(await shownValue(bar, 'centre')).not.toBeCloseTo(65 * 25.4, 0);
  await isSent(page);
  await leave(page, 'endless');
  await page.reload();
  const note = page.getByTestId('too-long');
  await expect(note).toContainText(
    'Two seconds were not enough; it was busy with the reach. What was entered is kept.',
  );
  const file = page.waitForEvent('download');
  await note.getByText('save the room as a file').click();
  expect((await file).suggestedFilename()).toMatch(/steddo\.json$/);
  await note.getByText('all rooms').click();
  // nor does it hold up the list
  await expect(page.getByTestId('room-endless')).toContainText('takes too long to be worked out here');
});

test('a room that was only closed too early opens as before', async ({ page, demo }) => {
  await putRoom(page, demo, 'early', { ...guestRoom, title: 'Early' });
  await page.goto(`${demo.url}/room/early/height`);
  await isReady(page);
  const centre = await figureValue(page.getByTestId('thumb-bar'), 'centre');
  await leave(page, 'early');
  await page.reload();
  await isReady(page);
  expect(await figureValue(page.getByTestId('thumb-bar'), 'centre')).toBe(centre);
  await expect(page.getByTestId('late')).toHaveCount(0);
  expect(await left(page, 'early')).toBeNull();
});
