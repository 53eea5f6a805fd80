import { guestRoom } from '@steddo/samples';
import { expect, figureValue, openRoom, sentJob, test } from './fixtures';

test('the phone as a level: it reads by itself when it lies still, and again turned end for end', async ({
  page,
  demo,
}) => {
  await openRoom(page, demo, 'phone-level', { ...guestRoom, levelReadings: [] }, 'level');
  await page.context().grantPermissions(['accelerometer', 'gyroscope', 'magnetometer']);
  const session = await page.context().newCDPSession(page);
  /** On its long edge, its left side down: beta is how far its right end is low. */
  const lie = (beta: number) =>
    session.send('DeviceOrientation.setDeviceOrientationOverride', { alpha: 0, beta, gamma: -90 });
  /** A real one is never quite still; told every 50 ms, for two seconds. */
  const rest = async (beta: number) => {
    for (let i = 0; i < 44; i++) {
      await lie(beta + (i % 2) * 0.01);
      await page.waitForTimeout(50);
    }
  };
  await page.getByTestId('choice-phone').click();
  await lie(0);
  await page.getByTestId('read-phone').click();
  const sheet = page.getByTestId('phone-level');
  await expect(sheet).toContainText('its face to you');
  // slopes by 0.5 with an own error of 0.2, right end high: -0.7 by its own left-handed beta
  await rest(-0.7);
  await expect(sheet).toContainText('Now turn it end for end');
  // taken up and turned
  await lie(20);
  await page.waitForTimeout(300);
  await rest(0.3);
  await expect(sheet).toContainText('Both readings are there');
  await page.getByTestId('phone-level-done').click();
  expect(await figureValue(page.getByTestId('thumb-bar'), 'slope')).toBeCloseTo(0.5, 1);
  expect(await figureValue(page.getByTestId('thumb-bar'), "level's own error")).toBeCloseTo(0.2, 1);
  const { levelReadings } = await sentJob(page, demo, 'phone-level');
  expect(levelReadings).toMatchObject([
    { instrument: 'digital', turned: false, on: 'plate' },
    { instrument: 'digital', turned: true, on: 'plate' },
  ]);
  expect(levelReadings![0]!.level).toBe(levelReadings![1]!.level);
  await session.send('DeviceOrientation.clearDeviceOrientationOverride');
  await session.detach();
  await page.context().clearPermissions();
});

test('a device that may not tell how it lies says so, and what to do instead', async ({ page, demo }) => {
  await openRoom(page, demo, 'no-level', guestRoom, 'level');
  await page.getByTestId('choice-phone').click();
  await page.getByTestId('read-phone').click();
  await expect(page.getByTestId('no-level')).toContainText('the answer was no. It can be allowed');
});
