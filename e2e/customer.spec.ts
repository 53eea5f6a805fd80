import { atticSnug } from '@steddo/samples';
import { expect, figureValue, openRoom, sentJob, test } from './fixtures';

test('the customer page: two or three heights with the people drawn in, numbers on a tap, one taken', async ({
  page,
  demo,
}) => {
  await openRoom(page, demo, 'offers', atticSnug, 'height');
  const eyes = await figureValue(page.getByTestId('school-eyes'), 'centre, centre at the eyes');
  const above = await figureValue(page.getByTestId('school-above'), 'centre,');
  await page.getByTestId('to-customer').click();
  await expect(page).toHaveURL(/offers\/customer$/);
  const tabs = page.locator('[data-testid^="offer-tab-"]');
  await expect(tabs.first()).toHaveAttribute('aria-selected', 'true');
  expect([2, 3]).toContain(await tabs.count());
  // everybody is in the drawing, and no number is on it until it is asked for
  const side = page.getByTestId('offer-side');
  for (const viewer of ['v1', 'v2']) await expect(side.locator(`[data-shape="sight-${viewer}"]`)).toHaveCount(1);
  await expect(page.getByTestId('offer-numbers')).toHaveCount(0);
  await page.getByTestId('numbers').click();
  expect(await figureValue(page.getByTestId('offer-numbers'), 'centre')).toBeCloseTo(eyes, 6);
  await page.getByText('clear of the furniture').click();
  await expect(page.getByTestId('take-above')).toBeVisible();
  await page.getByTestId('take-above').click();
  await expect(page).toHaveURL(/offers\/height$/);
  await expect.poll(() => figureValue(page.getByTestId('thumb-bar'), 'centre')).toBeCloseTo(above, 6);
  expect((await sentJob(page, demo, 'offers')).aim.height).toBe('above');
});

test('where nobody has been measured the page says so instead of promising comfort', async ({ page, demo }) => {
  const bare = { ...atticSnug, room: { ...atticSnug.room, viewers: [] } };
  await openRoom(page, demo, 'nobody', bare, 'height');
  await page.getByTestId('to-customer').click();
  await expect(page.getByTestId('customer')).toContainText('has not been measured yet');
  await page.getByRole('button', { name: 'back to the heights' }).click();
  await expect(page).toHaveURL(/nobody\/height$/);
});
