import { atticSnug, guestRoom } from '@steddo/samples';
import { dragBy, drawnMm, expect, figureValue, openRoom, sentJob, test } from './fixtures';

test('the three drawings are linked: a drag in the side view moves the set on the face while it is held', async ({
  page,
  demo,
}) => {
  await openRoom(page, demo, 'linked', atticSnug, 'height');
  const face = page.getByTestId('face');
  const before = await drawnMm(face, 'set');
  const scale = Number(await page.getByTestId('side').getAttribute('data-scale'));
  await dragBy(page, page.getByTestId('side-handle'), 0, -100 * scale, async () => {
    // it follows a frame or two behind the finger
    await expect.poll(async () => Math.abs(before.y - (await drawnMm(face, 'set')).y - 100)).toBeLessThan(12);
  });
  const { choices } = await sentJob(page, demo, 'linked');
  expect(await figureValue(page.getByTestId('thumb-bar'), 'centre')).toBeCloseTo(choices!.centreY!, 6);
  // above, the same heads as at the side
  for (const viewer of ['v1', 'v2']) {
    await expect(page.getByTestId('above').locator(`[data-shape="head-${viewer}"]`)).toHaveCount(1);
    await expect(page.getByTestId('side').locator(`[data-shape="sight-${viewer}"]`)).toHaveCount(1);
  }
});

test('the customer sees the heights side by side', async ({ page, demo }) => {
  await openRoom(page, demo, 'side-by-side', atticSnug, 'height');
  await page.getByTestId('to-customer').click();
  const offers = page.getByTestId('offer-side');
  await expect(offers.nth(1)).toBeVisible();
  const count = await offers.count();
  expect(count).toBeGreaterThanOrEqual(2);
  const boxes = await Promise.all(Array.from({ length: count }, (_, i) => offers.nth(i).boundingBox()));
  for (let i = 1; i < count; i += 1) {
    expect(boxes[i]!.x).toBeGreaterThan(boxes[i - 1]!.x + boxes[i - 1]!.width - 2);
    expect(Math.abs(boxes[i]!.y - boxes[0]!.y)).toBeLessThan(2);
  }
});

test('a thing on the wall goes by the arrow keys, one division of the tape at a time', async ({ page, demo }) => {
  await openRoom(page, demo, 'arrows', guestRoom, 'room');
  const { id, left, bottom } = guestRoom.room.objects!.find((o) => o.kind === 'outlet')!;
  await page.getByTestId(`item-${id}`).focus();
  await page.keyboard.press('ArrowRight');
  await page.keyboard.press('Shift+ArrowUp');
  const moved = async () => (await sentJob(page, demo, 'arrows')).room.objects!.find((o) => o.id === id)!;
  // a sixteenth of an inch, and ten of them
  await expect.poll(async () => (await moved()).left).toBeCloseTo(left + 25.4 / 16, 9);
  await expect.poll(async () => (await moved()).bottom).toBeCloseTo(bottom + (10 * 25.4) / 16, 9);
});
