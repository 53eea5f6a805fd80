import { join } from 'node:path';
import type { Page } from '@playwright/test';
import { guestRoom } from '@steddo/samples';
import { firstLoad } from '../scripts/firstLoad.mjs';
import { expect, figureValue, isReady, isSent, putRoom, savedJob, test, type } from './fixtures';
import { ROOT } from './server';

/** Scripts that a room's first input waits for: what the benchmark weighs. */
const FIRST = new Set(firstLoad(join(ROOT, 'apps/web/dist'), 'room').map((path) => `/${path}`));

/** Holds every other script back, as a slow network does, until it is let go. */
async function holdRest(page: Page): Promise<() => void> {
  let letGo = () => {};
  const gone = new Promise<void>((resolve) => (letGo = resolve));
  await page.route(
    (url) => url.pathname.endsWith('.js') && !FIRST.has(url.pathname),
    (route) => gone.then(() => route.continue()),
  );
  return letGo;
}

/** A page that nothing has been brought to yet. */
const bare = (page: Page) => page.goto('about:blank');

test('a room is entered before what works it out has come, and nothing false is said meanwhile', async ({
  page,
  demo,
}) => {
  await putRoom(page, demo, 'early-in', { ...guestRoom, title: 'Early in' });
  await bare(page);
  const letGo = await holdRest(page);
  await page.goto(`${demo.url}/room/early-in/room`);
  const field = page.getByTestId('field-room.wall.width');
  await expect(field).toBeVisible();
  await expect(page.getByTestId('save-state')).toBeVisible();
  await type(page, 'room.wall.width', '150');
  await expect(field).toContainText('150');
  await expect(page.getByRole('button', { name: /^undo/ })).toBeEnabled();
  // what is not known is not said: no verdict, no state of a stage, no next step, no number
  await expect(page.getByTestId('primary-action')).toBeDisabled();
  await expect(page.getByTestId('stage-holes')).toHaveAccessibleName('Holes');
  await expect(page.getByTestId('thumb-bar').getByTestId('figure')).toHaveCount(0);
  await expect(page.getByTestId('announced')).toHaveCount(0);
  await expect(page.getByTestId('face')).toHaveCount(0);
  await isSent(page);
  expect((await savedJob(page, demo, 'early-in')).job.room.wall.width).toBeCloseTo(150 * 25.4, 6);
  letGo();
  await isReady(page);
  await expect(page.getByTestId('face')).toBeVisible();
  await expect(page.getByTestId('primary-action')).toBeEnabled();
  await expect(page.getByTestId('stage-holes')).toHaveAccessibleName(/^Holes, /);
  // and the first plan is of what was entered: the set is in the middle of that wall
  await page.getByTestId('stage-wall').click();
  const middle = (150 * 25.4) / 2;
  expect(Math.abs((await figureValue(page.getByTestId('thumb-bar'), 'plate, from left')) - middle)).toBeLessThan(400);
});

test('what is half typed as the rest comes stays as it is', async ({ page, demo }) => {
  await putRoom(page, demo, 'half-typed', { ...guestRoom, title: 'Half' });
  await bare(page);
  const letGo = await holdRest(page);
  await page.goto(`${demo.url}/room/half-typed/room`);
  await page.getByTestId('field-room.wall.height').click();
  await page.getByTestId('pad-text').fill('97 1');
  letGo();
  await expect(page.getByTestId('face')).toBeVisible();
  await expect(page.getByTestId('pad-text')).toHaveValue('97 1');
  await expect(page.getByTestId('pad-text')).toBeFocused();
  await page.keyboard.type('/2');
  await page.getByTestId('key-done').click();
  await expect(page.getByTestId('field-room.wall.height')).toContainText('97');
  await isSent(page);
  expect((await savedJob(page, demo, 'half-typed')).job.room.wall.height).toBeCloseTo(97.5 * 25.4, 6);
});

test('what could not be brought is asked for again, and the page says why it waits', async ({ page, demo, watch }) => {
  watch.allow(/Failed to load resource|ERR_FAILED|net::/);
  await putRoom(page, demo, 'again', { ...guestRoom, title: 'Again' });
  await bare(page);
  let refuses = true;
  await page.route(/\/(planHere|__drawn)-/, (route) => (refuses ? route.abort() : route.continue()));
  await page.goto(`${demo.url}/room/again/room`);
  await expect(page.getByTestId('field-room.wall.width')).toBeVisible();
  await expect(page.getByText('The part of the app that does this has not come yet').first()).toBeVisible({
    timeout: 10_000,
  });
  refuses = false;
  // the device says that it is in a network again: nobody waits for the next of ever longer pauses
  await page.evaluate(() => window.dispatchEvent(new Event('online')));
  await isReady(page);
  await expect(page.getByTestId('face')).toBeVisible();
});
