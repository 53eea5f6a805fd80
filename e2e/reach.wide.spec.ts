import { atticSnug } from '@steddo/samples';
import { drawnMm, expect, figureValue, openRoom, test } from './fixtures';

test('above, face and side are one: what the arm does shows in all three', async ({ page, demo }) => {
  await openRoom(page, demo, 'linked', atticSnug, 'reach');
  await expect(page.getByTestId('canvas')).toHaveCount(3);
  await page.getByTestId('bring-v2').click();
  const yaw = (await figureValue(page.getByTestId('thumb-bar'), 'turned')) * (Math.PI / 180);
  // seen from straight ahead a set turned by y is w cos y + t sin y wide, from the side w sin y + t cos y deep
  const face = await drawnMm(page.getByTestId('face'), 'set-turned');
  expect(Math.abs(face.width - (1118 * Math.cos(yaw) + 60 * Math.sin(yaw)))).toBeLessThan(14);
  const side = await drawnMm(page.getByTestId('side'), 'set-turned');
  expect(Math.abs(side.width - (1118 * Math.sin(yaw) + 60 * Math.cos(yaw)))).toBeLessThan(20);
  // it moves sideways by as much as above
  const folded = await drawnMm(page.getByTestId('face'), 'set');
  expect(face.x + face.width / 2).toBeGreaterThan(folded.x + folded.width / 2 + 100);
});
