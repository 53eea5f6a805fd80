import type { Page } from '@playwright/test';
import { breakfastBar } from '@steddo/samples';
import { expect, isReady, putRoom, test, type, unfold } from './fixtures';

/*
 * Hidden walls, found with the simulated instruments as a thumb uses them: the finder is slid on the screen, its
 * lamp watched, what it shows is marked. The walls and the instruments' errors are seeded.
 */
async function begin(page: Page, url: string, seed: number, errors: number, room = 'guest-room') {
  await page.goto(`${url}/practice?seed=${seed}&room=${room}&errors=${errors}`);
  await page.getByTestId('practice-start').click();
  await expect(page.getByTestId('tools')).toBeVisible({ timeout: 60_000 });
  await expect(page.getByTestId('next-look')).toBeVisible({ timeout: 60_000 });
}

/** The finder taken to where the advice wants it and slid to the end of its line. */
async function slide(page: Page, away: 1 | -1 = 1) {
  await page.getByTestId('look-take').click();
  const line = (await page.locator('[data-shape="next-look"]').boundingBox())!;
  // the tool stands at the line's beginning once it has been taken there
  const off = async () => {
    const at = (await page.getByTestId('tool').boundingBox())!;
    // a left wall is seen with its corner at the right
    return Math.abs(at.x + at.width / 2 - (away === 1 ? line.x : line.x + line.width));
  };
  await expect.poll(off).toBeLessThan(3);
  const tool = (await page.getByTestId('tool').boundingBox())!;
  const [x, y] = [tool.x + tool.width / 2, tool.y + 40];
  await page.mouse.move(x, y);
  await page.mouse.down();
  await page.mouse.move(x + away * line.width, y, { steps: 30 });
  await page.mouse.up();
}

const offered = (page: Page) => page.getByTestId(/^here-/);

/** Everything that the pass has shown, each with one tap, and that it is done. */
async function markAll(page: Page) {
  for (let left = await offered(page).count(); left > 0; left--) {
    await offered(page).first().click();
    await expect(offered(page)).toHaveCount(left - 1);
  }
  const scans = page.getByRole('button', { name: /^take away the scan/ });
  const made = await scans.count();
  await page.getByTestId('pass-done').click();
  await expect(scans).toHaveCount(made + 1);
  // the worker has had the new marks, and answered
  await page.waitForTimeout(200);
  await expect(page.getByTestId('next-look')).toHaveAttribute('aria-busy', 'false', {
    timeout: 60_000,
  });
}

/** Follows the advice until it has had enough: passes are slid, pokes are poked. */
async function followAdvice(page: Page, away: 1 | -1 = 1) {
  for (let i = 0; i < 12; i++) {
    const next = page.getByTestId('next-look');
    await expect(next).toHaveAttribute('aria-busy', 'false');
    if ((await page.getByTestId('look-take').count()) === 0) return next.innerText();
    if ((await next.innerText()).startsWith('Poke')) {
      const before = await next.innerText();
      await page.getByTestId('look-take').click();
      await page.getByTestId('poke-here').click();
      await expect(next).not.toHaveText(before, { useInnerText: true, timeout: 60_000 });
    } else {
      await slide(page, away);
      await markAll(page);
    }
  }
  throw new Error('the advice did not come to an end');
}

test('a hidden wall: its studs found with the finder, every hole in wood, nothing met, 100', async ({ page, demo }) => {
  // a room of its own: of many the latest are told
  await putRoom(page, demo, 'block-wall', { ...breakfastBar, title: 'Block wall' });
  await begin(page, demo.url, 14, 5);
  expect(await followAdvice(page)).toContain('every hole meets what it is meant for, at least 97 in 100');
  // every stud that was found carries its tape, and each hole its word
  for (const id of ['h1', 'h2', 'h3', 'h4'])
    await expect(page.getByTestId(`certainty-${id}`)).toContainText('nobody has looked');
  await page.getByTestId('to-drill').click();
  await page.getByTestId('drill-all').click();
  const score = page.getByTestId('practice-score');
  await expect(score).toContainText('4 of 4 holes all in wood.');
  await expect(score).toContainText('Nothing met in the wall.');
  await expect(score).toContainText('100 of 100');
  // the wall laid open: each hole drawn inside a stud
  await expect(page.locator('[data-shape^="hole-"][data-state="go"]')).toHaveCount(4);
  await expect(page.getByTestId('drawn-key')).toContainText('hole in wood');
  await expect(page.getByTestId('drawn-key')).not.toContainText('hole beside it');
  // kept as the best of this wall, on this device
  await page.getByTestId('practice-again').click();
  // block has no studs to find
  await page.getByRole('button', { name: /^not to practise in/ }).click();
  await expect(page.getByTestId('unfit-rooms')).toContainText('Block wall: a masonry wall');
  await expect(page.getByTestId('best-scores')).toContainText('wall 14 · Guest room');
  await page.reload();
  await expect(page.getByTestId('best-scores')).toContainText('100');
});

test('a cable across the studs is met by the camera and not by the drill: stop, the set moves, the holes are clear of it', async ({
  page,
  demo,
}) => {
  await begin(page, demo.url, 3, 5);
  await followAdvice(page);
  await unfold(page, 'look inside the wall');
  await page.getByTestId('look-h1-left').click();
  await page.getByTestId('look-here').click();
  // the picture: the bay between its studs, and something level across it
  const run = page.getByTestId('bay').locator('[data-shape="run-0"]');
  await expect(run).toBeVisible();
  const box = (await run.boundingBox())!;
  expect(box.width).toBeGreaterThan(5 * box.height);
  await page.getByTestId('choice-cable').click();
  await page.getByTestId('camera-log').click();
  await expect(page.getByTestId('finding-seen-at-hole')).toContainText('Do not drill');
  await expect(page.getByTestId('certainty-h1')).toContainText('something seen there');
  await expect(page.getByTestId('certainty-h1')).toContainText('stop');
  // no acknowledging it away
  await expect(page.getByTestId('finding-seen-at-hole').getByRole('button')).toHaveCount(0);
  // 200 mm up: 71 5/8 in puts the rows above it
  await unfold(page, 'move the set');
  await type(page, 'choices.centreY', '71 5/8');
  await expect(page.getByTestId('finding-seen-at-hole')).toHaveCount(0);
  await page.getByTestId('to-drill').click();
  await page.getByTestId('drill-all').click();
  await expect(page.getByTestId('practice-score')).toContainText('Nothing met in the wall.');
});

test('the same wall drilled without looking meets the cable', async ({ page, demo }) => {
  await begin(page, demo.url, 3, 5);
  await followAdvice(page);
  await page.getByTestId('to-drill').click();
  await page.getByTestId('drill-all').click();
  await expect(page.getByTestId('practice-score')).toContainText('Met a cable with a lag.');
});

test('magnet, poke, keys, and a wall in hand that a reload does not lose', async ({ page, demo }) => {
  await begin(page, demo.url, 14, 5);
  await page.getByTestId('choice-magnet').click();
  const tool = page.getByTestId('tool');
  await tool.focus();
  const from = Number(await tool.getAttribute('data-x'));
  for (let i = 0; i < 70 && (await offered(page).count()) === 0; i++) await page.keyboard.press('Shift+ArrowRight');
  expect(Number(await tool.getAttribute('data-x'))).toBeGreaterThan(from);
  await offered(page).first().click();
  await expect(page.getByRole('button', { name: /^take away the board screw at/ })).toBeVisible();
  await page.getByTestId('choice-drill').click();
  await page.getByTestId('poke-here').click();
  await expect(page.getByTestId('tools')).toContainText('1 pokes so far');
  await expect(page.getByRole('button', { name: /^take away the probe: / })).toBeVisible();
  await page.reload();
  await expect(page.getByRole('button', { name: /^take away the board screw at/ })).toBeVisible();
  await expect(page.getByTestId('tools')).toBeVisible();
  // left for another: the setup is there again
  // left, and taken up again as it was; left for good
  await page.getByTestId('leave-practice').click();
  await page.getByTestId('practice-back').click();
  await expect(page.getByTestId('tools')).toBeVisible();
  await page.getByTestId('leave-practice').click();
  await expect(page.getByTestId('practice-start')).toBeVisible();
});

test('the finder lights over a stud: late, early, and dark in the bay', async ({ page, demo }) => {
  await begin(page, demo.url, 14, 5);
  await page.getByTestId('look-take').click();
  const tool = page.getByTestId('tool');
  await expect(tool).toHaveAttribute('data-lit', 'false');
  await tool.focus();
  const states: boolean[] = [];
  for (let i = 0; i < 50; i++) {
    await page.keyboard.press('Shift+ArrowRight');
    states.push((await tool.getAttribute('data-lit')) === 'true');
  }
  const changes = states.filter((s, i) => i > 0 && s !== states[i - 1]).length;
  expect(changes).toBeGreaterThanOrEqual(2);
  // lit over about a stud's width in steps of 10 mm, not over the bay
  const lit = states.filter(Boolean).length;
  expect(lit).toBeGreaterThanOrEqual(2);
  expect(lit).toBeLessThan(16);
  await expect(tool).toHaveAttribute('aria-valuetext', /from the left/);
});

test('practice is reached from the rooms', async ({ page, demo }) => {
  await page.goto(demo.url);
  await page.getByTestId('to-practice').click();
  await expect(page.getByTestId('practice-start')).toBeVisible();
  await page.goto(`${demo.url}/room/guest-room/wall`);
  await isReady(page);
});

test('the two walls of a corner: each with its own studs, found and drilled, and both laid open', async ({
  page,
  demo,
}) => {
  await begin(page, demo.url, 2, 2, 'sewing-corner');
  expect(await followAdvice(page)).toContain('every hole');
  // what is in the hand at one wall is not in it at the other
  await page.getByTestId('choice-edge').click();
  await expect(page.getByTestId('tool')).toBeVisible();
  await page.getByTestId('choice-left').click();
  await expect(page.getByTestId('tool')).toHaveCount(0);
  await expect(page.getByRole('button', { name: /^take away the scan/ })).toHaveCount(0);
  expect(await followAdvice(page, -1)).toContain('every hole');
  await page.getByTestId('to-drill').click();
  await page.getByTestId('drill-all').click();
  const score = page.getByTestId('practice-score');
  await expect(score).toContainText('6 of 6 holes all in wood.');
  for (const wall of ['hidden', 'hidden-left'])
    await expect(page.getByTestId(wall).locator('[data-shape^="hole-"]')).toHaveCount(3);
});
