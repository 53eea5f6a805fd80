import { guestRoom } from '@steddo/samples';
import { expect, isReady, putRoom, savedJob, test } from './fixtures';

test('keys: digits go to stages, u changes units, undo and redo; none of it inside an input', async ({
  page,
  demo,
}) => {
  await putRoom(page, demo, 'keys', { ...guestRoom, title: 'Keys' });
  await page.goto(`${demo.url}/room/keys/set`);
  await isReady(page);
  await page.keyboard.press('4');
  await expect(page).toHaveURL(/keys\/height$/);
  await page.keyboard.press('u');
  await expect(page.getByTestId('thumb-bar')).toContainText('mm');
  await page.keyboard.press('Control+z');
  await expect(page.getByTestId('thumb-bar')).toContainText('in');
  await page.getByTestId('field-choices.centreY').click();
  await page.getByTestId('pad-text').press('2');
  await expect(page).toHaveURL(/keys\/height$/);
  await page.keyboard.press('Escape');
  await expect(page.getByTestId('pad')).toHaveCount(0);
  await page.getByTestId('field-choices.centreY').click();
  await page.getByTestId('pad-text').fill('58 3/8');
  await page.keyboard.press('Enter');
  await expect.poll(async () => (await savedJob(page, demo, 'keys')).job.choices?.centreY).toBeCloseTo(1482.725, 9);
});

test('the drawings stand beside the inputs: face, side and above at once', async ({ page, demo }) => {
  await page.goto(`${demo.url}/room/guest-room/height`);
  await expect(page.locator('[data-shape="set"]')).toHaveCount(1);
  const panel = (await page.getByTestId('panel').boundingBox())!;
  const canvases = page.getByTestId('canvas');
  await expect(canvases).toHaveCount(3);
  const boxes = await Promise.all([0, 1, 2].map((i) => canvases.nth(i).boundingBox()));
  for (const box of boxes) expect(box!.x + box!.width).toBeLessThanOrEqual(panel.x + 1);
  const lowest = Math.max(...boxes.map((b) => b!.y + b!.height));
  expect(lowest - Math.min(...boxes.map((b) => b!.y))).toBeGreaterThan(600);
});
