import { guestRoom } from '@steddo/samples';
import { expect, openRoom, test } from './fixtures';

/* What was checked of a plan, and what is to do apart from what is to mind. */

test('the checks of a plan stand at its holes, each with its numbers; what is to do is no caution', async ({
  page,
  empty,
}) => {
  await openRoom(page, empty, 'proved', guestRoom, 'holes');
  await page.getByText(/^\d+ checks, all hold$/).click();
  const checks = page.getByTestId('checks');
  await expect(checks).toContainText('Forces in balance');
  await expect(page.getByTestId('check-meets')).toContainText('the limit is 0.97');
  // nobody has looked into the wall: a thing to do, by its own shape, and nothing to mind
  await expect(page.getByTestId('stage-wall')).toHaveAttribute('aria-label', 'Wall, to do');
  await page.getByTestId('stage-wall').click();
  await expect(page.getByTestId('finding-look-first')).toContainText('to do');
});
