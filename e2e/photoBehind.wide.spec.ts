import { expect, test } from './fixtures';

test('the photograph stands behind the wall to scale: shown as much as is wanted, off by its key', async ({
  page,
  demo,
}) => {
  await page.goto(`${demo.url}/room/guest-room/height`);
  const flat = page.getByTestId('flat-wall');
  await page.getByTestId('behind').click();
  await expect(flat).toHaveAttribute('opacity', '0.5');
  // just as large as the wall that it lies on
  const [wall, picture] = await Promise.all([
    page.getByTestId('face').locator('[data-shape="wall"]').boundingBox(),
    flat.boundingBox(),
  ]);
  for (const side of ['x', 'y', 'width', 'height'] as const)
    expect(Math.abs(picture![side] - wall![side])).toBeLessThan(2);
  await page.getByTestId('behind-share').focus();
  for (let i = 0; i < 4; i++) await page.keyboard.press('ArrowRight');
  await expect(flat).toHaveAttribute('opacity', '0.7');
  await page.getByTestId('behind').focus();
  await page.keyboard.press('p');
  await expect(flat).toHaveCount(0);
  await page.keyboard.press('p');
  await expect(flat).toHaveAttribute('opacity', '0.5');
});
