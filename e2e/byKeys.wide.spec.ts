import type { Locator, Page } from '@playwright/test';
import { expect, figureValue, test } from './fixtures';

/*
 * A job by keys alone, as somebody does it who hears the page: every stop of the tab key has a name and a role, the
 * order is the page's own, and what comes of an entry is announced.
 */

/** What the focus is on, as it is read out. */
const focused = (page: Page) =>
  page.evaluate(() => {
    const e = document.activeElement;
    if (!e || e === document.body) return undefined;
    const name = e.getAttribute('aria-label') ?? e.textContent ?? '';
    return { role: e.getAttribute('role') ?? e.tagName.toLowerCase(), name: name.trim() };
  });

/** On with the tab key until it is on something; every stop on the way has a name, and the body never has the focus. */
async function tabTo(page: Page, target: Locator, most = 60): Promise<void> {
  for (let i = 0; i < most; i++) {
    if (await target.evaluate((e) => e === document.activeElement)) return;
    await page.keyboard.press('Tab');
    const on = await focused(page);
    expect(on?.name ?? '', `after ${i + 1} keys: ${JSON.stringify(on)}`).not.toBe('');
  }
  throw new Error(`the tab key does not come to ${String(target)}`);
}

async function enter(page: Page, field: Locator, ...texts: string[]): Promise<void> {
  await tabTo(page, field);
  await page.keyboard.press('Enter');
  for (const text of texts) {
    await expect(page.getByTestId('pad-text')).toBeFocused();
    if (text) await page.keyboard.type(text);
    await page.keyboard.press('Enter');
  }
}

test('from a new room to the holes by keys, heard', async ({ page, empty }) => {
  await page.goto(empty.url);
  await expect(page.getByTestId('new-room')).toBeVisible();
  await tabTo(page, page.getByTestId('new-room'));
  await page.keyboard.press('Enter');
  const main = page.locator('body');
  await expect(page.getByRole('button', { name: /, change its name$/ })).toBeEnabled();
  await expect(main).toMatchAriaSnapshot(`
    - button "to the inputs"
    - status "what it comes to": /\\d+ to do, no holes/
    - button "all rooms"
    - button "Room 1, change its name":
      - heading "Room 1" [level=1]
    - tablist "stages":
      - tab "Set, not done" [selected]
      - tab "Room, not done"
      - tab "Mount, not done"
      - tab "Height, not done"
    - tablist "drawings":
      - tab "back view" [selected]
    - img "the set from the back, as measured, to scale"
    - button "diagonal, 50 in, a guess"
    - button "width, overall, not yet"
    - radiogroup "pattern, mm":
      - radio "200 x 200"
    - button "Room"
  `);
  await expect(page.getByTestId('announced')).toContainText('no holes');
  await page.getByTestId('skip').focus();
  await page.keyboard.press('Enter');
  await enter(page, page.getByTestId('field-screen.diagonal'), '50', '44', '25', '25');
  // nonsense is an alert, and the field keeps the focus
  await page.keyboard.type('abc');
  await page.keyboard.press('Enter');
  await expect(page.getByRole('alert')).toContainText(/[Tt]akes|[Ww]rite/);
  await expect(page.getByTestId('pad-text')).toBeFocused();
  await page.keyboard.press('Control+a');
  await page.keyboard.type('-1');
  await page.keyboard.press('Enter');
  await expect(page.getByTestId('pad')).toHaveCount(0);
  // one stop for all patterns, walked by arrows
  await tabTo(page, page.getByTestId('choice-200x200'));
  await page.keyboard.press('ArrowRight');
  expect(await focused(page)).toEqual({ role: 'radio', name: '300 x 200' });
  await page.keyboard.press('ArrowLeft');
  await page.keyboard.press('Enter');
  await expect(page.getByTestId('choice-200x200')).toHaveAttribute('aria-checked', 'true');
  await tabTo(page, page.getByTestId('primary-action'));
  expect(await focused(page)).toEqual({ role: 'button', name: 'Room' });
  await page.keyboard.press('Enter');

  await enter(page, page.getByTestId('field-room.wall.width'), '144', '96', '42', '108', '30');
  await expect(page.getByTestId('pad')).toHaveCount(0);
  await tabTo(page, page.getByTestId('choice-timber-stud'));
  await page.keyboard.press('Enter');
  await tabTo(page, page.getByTestId('primary-action'));
  await page.keyboard.press('Enter');

  const louvre = page.getByTestId('mount-louvre-2').getByRole('radio');
  await expect(louvre).toBeVisible();
  await tabTo(page, louvre, 90);
  // what a sighted reader sees in the row is in its name
  expect((await focused(page))!.name).toMatch(
    /^Louvre 2, tilt, carries it with .* to spare · .* · 2 studs · fixings at \d+ %$/,
  );
  await page.keyboard.press('Enter');
  await expect(louvre).toHaveAttribute('aria-checked', 'true');
  await tabTo(page, page.getByTestId('primary-action'), 120);
  expect(await focused(page)).toEqual({ role: 'button', name: 'Fit' });
  await page.keyboard.press('Enter');
  // the steps are boxes to tick
  await tabTo(page, page.getByTestId('tick-fit.box'));
  expect(await focused(page)).toEqual({ role: 'checkbox', name: 'Check the box' });
  await page.keyboard.press('Enter');
  await expect(page.getByTestId('tick-fit.box')).toHaveAttribute('aria-checked', 'true');
  await tabTo(page, page.getByTestId('primary-action'), 60);
  await page.keyboard.press('Enter');

  await tabTo(page, page.getByTestId('school-above').getByRole('radio'));
  await page.keyboard.press('Enter');
  // bottom 30 + 8; centre 12 1/2 above it
  expect(await figureValue(page.getByTestId('thumb-bar'), 'centre')).toBeCloseTo(50.5 * 25.4, 6);
  await tabTo(page, page.getByTestId('primary-action'), 90);
  await page.keyboard.press('Enter');
  await enter(page, page.getByTestId('mark-edge-left'), '63 1/4', '64 3/4', '79 1/4', '80 3/4');
  await page.keyboard.press('Escape');
  await expect(page.getByTestId('announced')).toContainText('4 holes');
  await tabTo(page, page.getByTestId('primary-action'), 90);
  await page.keyboard.press('Enter');
  await expect(page.getByTestId('hole-h1')).toBeVisible();
  await expect(page.getByTestId('stage-holes')).toHaveAttribute('aria-selected', 'true');
});
