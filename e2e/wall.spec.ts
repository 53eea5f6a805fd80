import { guestRoom } from '@steddo/samples';
import { plan } from '@steddo/core';
import { drawnMm, expect, isReady, openRoom, sentJob, test, unfold } from './fixtures';

const bare = { ...guestRoom, evidence: [], levelReadings: [] };
const edge = (id: string, kind: 'edge-left' | 'edge-right', x: number) => ({
  id,
  kind,
  x,
  y: 1500,
});
const IN = 25.4;

test('the next look: where, with what, why and how much; poked in one tap; chosen anew after it', async ({
  page,
  demo,
}) => {
  // 64 1/2 and 80 1/2: one edge each, so that the middles are not sure
  const job = { ...bare, evidence: [edge('e1', 'edge-left', 1639), edge('e2', 'edge-left', 2045)] };
  await openRoom(page, demo, 'next', job, 'wall');
  const next = page.getByTestId('next-look');
  await expect(next).toContainText('Slide the edge finder');
  await expect(next).toContainText(/All holes in wood: \d+ in 100 now, about \d+ in 100 after it/);
  await expect(page.locator('[data-shape="next-look"]')).toHaveCount(1);
  // no finder in the bag: then it says where to poke, and that the plate hides it
  await page.getByRole('button', { name: 'no edge finder' }).click();
  await expect(next).not.toContainText('edge finder');
  await expect(next).toContainText('Poke with the small drill');
  await expect(next).toContainText('The plate hides the hole.');
  const first = await next.innerText();
  await page.getByRole('button', { name: "can't get there" }).click();
  await expect(next).not.toHaveText(first, { useInnerText: true });
  const second = await next.innerText();
  await page.getByTestId('look-hollow').click();
  await expect(next).not.toHaveText(second, { useInnerText: true });
  const { evidence } = await sentJob(page, demo, 'next');
  expect(evidence).toHaveLength(3);
  expect(evidence![2]).toMatchObject({ kind: 'probe', found: 'hollow', y: expect.any(Number) });
  // not one more tap than that: the poke lies where the advice had it, in the plate's middle
  const { plate } = plan(job).placement!;
  expect(evidence![2]!.y).toBeCloseTo((plate!.bottom + plate!.top) / 2, 0);
});

test('a pass that shows nothing more is logged as made, and the spacing loses its say there', async ({
  page,
  demo,
}) => {
  await openRoom(page, demo, 'pass', bare, 'wall');
  await expect(page.getByTestId('next-look')).toContainText('still to be found');
  await page.getByTestId('look-scanned').click();
  await expect.poll(async () => (await sentJob(page, demo, 'pass')).scans).toHaveLength(1);
  await page.getByTestId('look-scanned').click();
  await expect(page.getByTestId('next-look')).toContainText('scanned twice');
  await page
    .getByRole('button', { name: /^take away the scan/ })
    .first()
    .click();
  await expect(page.getByTestId('next-look')).toContainText('Slide the edge finder');
});

test('studs with width and doubt, holes by certainty, the ribbon and the tape: drawn to scale', async ({
  page,
  demo,
}) => {
  await page.goto(`${demo.url}/room/guest-room/wall`);
  await isReady(page);
  const made = plan(guestRoom);
  const sure = made.studs!.filter((s) => s.probability > 0.99);
  expect(sure).toHaveLength(2);
  const face = page.getByTestId('face');
  for (const s of sure) {
    const i = made.studs!.indexOf(s);
    await expect(page.getByTestId(`stud-${i}`)).toContainText('5 marks');
    const drawn = await drawnMm(face, `stud-${i}`);
    // a stroke of a pixel is wider where the wall is seen from further away
    expect(Math.abs(drawn.width - s.width)).toBeLessThan(8);
    const doubt = await drawnMm(face, `stud-doubt-${i}`);
    expect(doubt.width).toBeGreaterThan(s.width + 3 * s.sd);
  }
  await expect(page.getByTestId('stud-0')).toContainText('by the spacing alone');
  // the ribbon is highest over the two studs that were marked
  const peaks = await face
    .locator('[data-shape="ribbon"]')
    .evaluate((path) => (path as unknown as SVGPathElement).getBBox().height);
  const ground = await face
    .locator('[data-shape="ribbon-ground"]')
    .evaluate((r) => (r as unknown as SVGRectElement).getBBox().height);
  expect(peaks / ground).toBeGreaterThan(0.98);
  await expect(face.locator('[data-shape="h1"]')).toHaveAttribute('data-state', 'caution');
  await expect(page.getByTestId('certainty-h1')).toContainText('wood 99 in 100, nobody has looked');
});

test('a mark that goes against the rest is named', async ({ page, demo }) => {
  const job = { ...guestRoom, evidence: [...guestRoom.evidence!, edge('x1', 'edge-left', 1850)] };
  await openRoom(page, demo, 'odd', job, 'wall');
  await expect(page.getByTestId('finding-evidence-odd')).toContainText('One mark disagrees');
  const row = page
    .getByTestId('removable-row')
    .filter({ has: page.getByRole('button', { name: /take away the left edge at 72 13\/16 in/ }) });
  await expect(row).toContainText('disagrees with the rest');
});

test('every other mark: a screw, the side of a box, a nogging drawn level, backing by its edges', async ({
  page,
  demo,
}) => {
  await openRoom(page, demo, 'others', bare, 'wall');
  await unfold(page, 'other marks');
  for (const [kind, text] of [
    ['fastener', '64'],
    ['outlet-right', '80'],
    ['nogging', '70'],
    ['backing-left', '20'],
    ['backing-top', '50'],
  ] as const) {
    await page.getByTestId(`mark-${kind}`).click();
    await page.getByTestId('pad-text').fill(text);
    await page.getByTestId('key-done').click();
  }
  const { evidence } = await sentJob(page, demo, 'others');
  expect(evidence!.map((e) => [e.kind, 'side' in e ? e.side : ''])).toEqual([
    ['fastener', ''],
    ['outlet-side', 'right'],
    ['nogging', ''],
    ['backing-edge', 'left'],
    ['backing-edge', 'top'],
  ]);
  expect(evidence![4]!.y).toBeCloseTo(50 * IN, 6);
  const nogging = (await page.locator(`[data-shape="${evidence![2]!.id}"]`).first().boundingBox())!;
  expect(nogging.width).toBeGreaterThan(nogging.height);
  await expect(page.locator('[data-shape="backing"]')).toHaveCount(1);
});

test('poke to an edge: each next poke computed, then the middle 3/4 in in', async ({ page, demo }) => {
  await openRoom(page, demo, 'poke', { ...bare, evidence: [edge('e1', 'edge-left', 1639)] }, 'wall');
  await unfold(page, 'poke to an edge');
  const routine = page.getByTestId('poke-routine');
  const [left, right] = [1645, 1645 + 38.1];
  for (let i = 0; i < 16 && (await page.getByTestId('poke-wood').count()) > 0; i++) {
    const at = Number(await routine.locator('[data-value]').first().getAttribute('data-value'));
    await page.getByTestId(at >= left && at <= right ? 'poke-wood' : 'poke-hollow').click();
    await page.waitForTimeout(120);
  }
  await expect(routine).toContainText('Both edges are known');
  const middle = Number(await routine.locator('[data-value]').first().getAttribute('data-value'));
  expect(Math.abs(middle - (left + right) / 2)).toBeLessThan(2);
  // and the inference has it there as well
  const job = await sentJob(page, demo, 'poke');
  expect(Math.abs(plan(job).studs!.find((s) => s.evidence.length > 2)!.centre - (left + right) / 2)).toBeLessThan(3);
});

test('a guided look, step by step, from both bays: clear; what is seen is a stop', async ({ page, demo }) => {
  await openRoom(page, demo, 'look', guestRoom, 'wall');
  await unfold(page, 'look inside the wall');
  const takeLook = async (id: string, seen: string) => {
    await page.getByTestId(id).click();
    const sheet = page.getByTestId('look-sheet');
    await expect(sheet).toContainText('3 in beside the line');
    for (const words of [
      'through the board only, gently',
      'for the camera’s head',
      'up, then down',
      'What is there?',
    ]) {
      await page.getByTestId('look-next').click();
      await expect(sheet).toContainText(words);
    }
    await expect(page.getByTestId('look-next')).toBeDisabled();
    await page.getByTestId(`choice-${seen}`).click();
    await page.getByTestId('look-next').click();
    await expect(sheet).toHaveCount(0);
  };
  await takeLook('look-h1-left', 'clear');
  await expect(page.getByTestId('certainty-h1')).toContainText('one bay looked at');
  await takeLook('look-h1-right', 'clear');
  await expect(page.getByTestId('certainty-h1')).toContainText('both bays clear');
  await expect(page.getByTestId('certainty-h1')).toContainText('go');
  await takeLook('look-h2-right', 'pipe');
  const { looks } = await sentJob(page, demo, 'look');
  expect(looks!.map((k) => [k.found, k.bay])).toEqual([
    ['clear', 'left'],
    ['clear', 'right'],
    ['pipe', 'right'],
  ]);
  expect(looks![0]!.at).toMatch(/^\d{4}-\d\d-\d\dT/);
  await expect(page.getByTestId('finding-seen-at-hole')).toContainText('a pipe was seen there');
});

test('the cover of an outlet off: the side of its stud and its cables', async ({ page, demo }) => {
  await openRoom(page, demo, 'cover', guestRoom, 'wall');
  await unfold(page, 'look inside the wall');
  await page.getByTestId('cover-o2').click();
  const sheet = page.getByTestId('cover-sheet');
  await expect(sheet).toContainText('prove it dead');
  await page.getByTestId('cover-next').click();
  await page.getByTestId('cover-next').click();
  await page.getByTestId('choice-left').click();
  await page.getByTestId('cover-next').click();
  await page.getByTestId('choice-up').click();
  await page.getByTestId('cover-next').click();
  await page.getByTestId('cover-next').click();
  const { evidence, looks } = await sentJob(page, demo, 'cover');
  expect(evidence!.at(-1)).toMatchObject({ kind: 'outlet-side', side: 'left', x: 2540 });
  expect(looks).toMatchObject([{ found: 'cable', runs: 'vertical' }]);
});

test('"I felt something": stop at once, nothing lost, and the plan says stop until undone or looked at', async ({
  page,
  demo,
}) => {
  await openRoom(page, demo, 'felt', guestRoom, 'holes');
  await page.getByTestId('felt').click();
  await expect(page.getByTestId('felt-sheet')).toContainText('Stop the drill');
  await expect(page.getByTestId('felt-sheet')).toContainText('licensed trade');
  await page.getByTestId('felt-close').click();
  await expect(page.getByTestId('felt-sheet')).toHaveCount(0);
  await page.waitForTimeout(300);
  const job = await sentJob(page, demo, 'felt');
  expect(job.drilled).toMatchObject([{ hole: 'h1', result: 'felt-something' }]);
  expect(job.evidence).toHaveLength(guestRoom.evidence!.length);
  await page.goto(`${demo.url}/room/felt/wall`);
  await isReady(page);
  await expect(page.getByTestId('finding-felt-something')).toContainText('Stop');
  await page.getByRole('button', { name: /^undo/ }).click();
  await expect(page.getByTestId('finding-felt-something')).toHaveCount(0);
});

test('a wet room behind the wall: pipes may be anywhere, so look first', async ({ page, demo }) => {
  await openRoom(page, demo, 'behind', guestRoom, 'room');
  await unfold(page, 'board, studs');
  await page.getByTestId('choice-wet-room').click();
  await page.goto(`${demo.url}/room/behind/wall`);
  await isReady(page);
  await expect(page.getByTestId('finding-look-first')).toContainText('pipes of the wet room behind');
});

test('a masonry wall is set out from one joint', async ({ page, demo }) => {
  const { breakfastBar } = await import('@steddo/samples');
  await openRoom(page, demo, 'courses', breakfastBar, 'wall');
  await page.getByTestId('mark-joint').click();
  await page.getByTestId('pad-text').fill('1300');
  await page.getByTestId('key-done').click();
  await expect(page.locator('[data-shape="joint-2-1"]')).toHaveCount(1);
  const bed = async (k: number) => Number(await page.locator(`[data-shape="bed-${k}"]`).getAttribute('y1'));
  const scale = async () => Number(await page.getByTestId('face').getAttribute('data-scale'));
  // 215 block and 10 mm joint: 225 from course to course, once the drawing stands still
  await expect.poll(async () => Math.abs((await bed(2)) - (await bed(3))) / (await scale())).toBeCloseTo(225, 0);
});
