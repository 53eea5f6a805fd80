import type { Locator, Page } from '@playwright/test';
import { guestRoom } from '@steddo/samples';
import { expect, openRoom, test } from './fixtures';

const scaleOf = async (drawing: Locator) => Number(await drawing.getAttribute('data-scale'));
const middle = async (drawing: Locator) => {
  const box = (await drawing.boundingBox())!;
  return { x: box.x + box.width / 2, y: box.y + box.height / 2 };
};
/** Where a shape of the drawing is on the page, px. */
const shapeAt = async (page: Page, id: string) =>
  (await page.locator(`[data-testid=face] [data-shape="${id}"]`).first().boundingBox())!;

test('two fingers bring the wall closer, one moves it, a double tap and a word bring it back', async ({
  page,
  demo,
}) => {
  await openRoom(page, demo, 'closer', { ...guestRoom, title: 'Closer' }, 'mount');
  const face = page.getByTestId('face');
  const fitted = await scaleOf(face);
  const { x, y } = await middle(face);
  const cdp = await page.context().newCDPSession(page);
  const touch = (type: 'touchStart' | 'touchMove' | 'touchEnd', points: [number, number][]) =>
    cdp.send('Input.dispatchTouchEvent', { type, touchPoints: points.map(([px, py], id) => ({ x: px, y: py, id })) });
  await touch('touchStart', [
    [x - 30, y],
    [x + 30, y],
  ]);
  for (const wide of [40, 50, 60])
    await touch('touchMove', [
      [x - wide, y],
      [x + wide, y],
    ]);
  await touch('touchEnd', []);
  await expect.poll(() => scaleOf(face)).toBeGreaterThan(fitted * 1.8);
  const closer = await scaleOf(face);
  // one finger moves it, at the same scale
  const set = await shapeAt(page, 'set');
  await touch('touchStart', [[x, y - 40]]);
  for (const by of [10, 20, 30]) await touch('touchMove', [[x + by, y - 40]]);
  await touch('touchEnd', []);
  await expect.poll(async () => (await shapeAt(page, 'set')).x - set.x).toBeCloseTo(30, 0);
  expect(await scaleOf(face)).toBe(closer);
  await page.getByTestId('zoom-back').click();
  await expect.poll(() => scaleOf(face)).toBe(fitted);
  // a double tap goes closer, and back
  for (const expected of [fitted * 2.5, fitted]) {
    await page.touchscreen.tap(x, y - 40);
    await page.touchscreen.tap(x, y - 40);
    await expect.poll(() => scaleOf(face)).toBeCloseTo(expected, 6);
    await page.waitForTimeout(350);
  }
});

test('the wheel brings closer what is under the pointer; while the set is dragged the scale stands still', async ({
  page,
  demo,
}) => {
  await openRoom(page, demo, 'held', { ...guestRoom, title: 'Held' }, 'height');
  const face = page.getByTestId('face');
  const fitted = await scaleOf(face);
  const before = await shapeAt(page, 'set');
  // the set's upper left corner stays under the pointer
  await page.mouse.move(before.x, before.y);
  const dragged = page.getByTestId('set-handle');
  await face.dispatchEvent('wheel', { deltaY: -300, clientX: before.x, clientY: before.y });
  await expect.poll(() => scaleOf(face)).toBeGreaterThan(fitted * 1.4);
  const after = await shapeAt(page, 'set');
  expect(Math.hypot(after.x - before.x, after.y - before.y)).toBeLessThan(8);
  await page.getByTestId('zoom-back').click();
  await expect.poll(() => scaleOf(face)).toBe(fitted);
  const grip = await middle(dragged);
  const from = await shapeAt(page, 'set');
  await page.mouse.move(grip.x, grip.y);
  await page.mouse.down();
  for (const up of [10, 25, 40]) {
    await page.mouse.move(grip.x, grip.y - up);
    await expect.poll(async () => Math.abs(from.y - (await shapeAt(page, 'set')).y - up)).toBeLessThanOrEqual(2);
    expect(await scaleOf(face)).toBe(fitted);
  }
  await page.mouse.up();
});
