import { guestRoom } from '@steddo/samples';
import { expect, figureValue, isReady, putRoom, savedJob, test } from './fixtures';

test('keys: digits go to stages, u changes units, undo and redo; none of it inside an input', async ({
  page,
  demo,
}) => {
  await putRoom(page, demo, 'keys', { ...guestRoom, title: 'Keys' });
  await page.goto(`${demo.url}/room/keys/set`);
  await isReady(page);
  // nothing moves on a tilt mount: there is no reach to go to
  await expect(page.getByTestId('stage-reach')).toHaveCount(0);
  await page.keyboard.press('5');
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

test('keys: the first input is two keys away, an entry keeps the digits to itself, the focus comes back to its row', async ({
  page,
  demo,
}) => {
  await putRoom(page, demo, 'by-keys', { ...guestRoom, title: 'By keys' });
  await page.goto(`${demo.url}/room/by-keys/height`);
  await isReady(page);
  await page.keyboard.press('Tab');
  await expect(page.getByTestId('skip')).toBeFocused();
  await page.keyboard.press('Enter');
  await expect(page.getByTestId('panel').locator(':focus')).toHaveCount(1);
  const field = page.getByTestId('field-choices.centreY');
  await field.focus();
  await page.keyboard.press('Enter');
  await expect(page.getByTestId('pad-text')).toBeFocused();
  // what stands there is replaced, and a digit more right after the entry goes nowhere
  await page.keyboard.type('63');
  await page.keyboard.press('Enter');
  await page.keyboard.press('3');
  await expect(page.getByTestId('pad')).toHaveCount(0);
  await expect(field).toBeFocused();
  await expect(page).toHaveURL(/by-keys\/height$/);
  expect(await figureValue(page.getByTestId('thumb-bar'), 'centre')).toBeCloseTo(63 * 25.4, 6);
  // the tabs of the stages are one stop, walked by arrows
  await page.getByTestId('stage-height').focus();
  await page.keyboard.press('ArrowRight');
  await expect(page.getByTestId('stage-wall')).toBeFocused();
  const scale = async () => Number(await page.getByTestId('face').getAttribute('data-scale'));
  const fitted = await scale();
  await page.waitForTimeout(900);
  await page.keyboard.press('+');
  await expect.poll(scale).toBeGreaterThan(fitted * 1.4);
  await page.keyboard.press('0');
  await expect.poll(scale).toBe(fitted);
  // words and keys, read over the page and closed by one key; the focus comes back
  await page.keyboard.press('?');
  const help = page.getByRole('dialog', { name: 'Height: words' });
  await expect(help).toContainText('The line on the plate that the arms of the set are hung on');
  await expect(help.getByTestId('keys')).toContainText('undo, redo');
  await page.keyboard.press('Escape');
  await expect(help).toHaveCount(0);
  await expect(page.getByTestId('stage-wall')).toBeFocused();
});
