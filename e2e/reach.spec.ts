import type { Page } from '@playwright/test';
import { atticSnug, breakfastBar, guestRoom } from '@steddo/samples';
import { dragBy, expect, figureValue, openRoom, sentJob, test, unfold } from './fixtures';

/** What a drawing shows, read off it as a person would with a protractor: nothing of the app's arithmetic. */
async function drawnAngles(page: Page, viewers: readonly string[]): Promise<number[]> {
  return page.getByTestId('above').evaluate((svg, ids) => {
    const d = svg.querySelector('[data-shape="set-cut"]')!.getAttribute('d')!;
    const p = d
      .replace('Z', '')
      .slice(1)
      .split('L')
      .map((xy) => xy.trim().split(' ').map(Number));
    // back left, back right, front right, front left; on the screen y runs down, out of the wall
    const front = [(p[2]![0]! + p[3]![0]!) / 2, (p[2]![1]! + p[3]![1]!) / 2];
    const back = [(p[0]![0]! + p[1]![0]!) / 2, (p[0]![1]! + p[1]![1]!) / 2];
    const looks = Math.atan2(front[0]! - back[0]!, front[1]! - back[1]!);
    return ids.map((id) => {
      const head = svg.querySelector(`[data-shape="head-${id}"]`)!;
      const [x, y, r] = ['cx', 'cy', 'r'].map((a) => Number(head.getAttribute(a)));
      const seat = Math.atan2(x! - front[0]!, y! - r! - front[1]!);
      return ((seat - looks) * 180) / Math.PI;
    });
  }, viewers);
}

const sees = (page: Page, id: string) => figureValue(page.getByTestId(`seat-${id}`), 'sees it now');

test('the arm is dragged until the sofa and the rowing machine both see the set', async ({ page, demo }) => {
  await openRoom(page, demo, 'snug', atticSnug, 'reach');
  // folded, the rower is past 30 degrees and the row says so
  expect(Math.abs(await sees(page, 'v2'))).toBeGreaterThan(30);
  await expect(page.getByTestId('seat-v2').getByRole('img', { name: 'mind' })).toHaveCount(1);
  // carried out and to the right under a finger, the numbers follow before it is let go
  const before = await figureValue(page.getByTestId('thumb-bar'), 'out');
  await dragBy(page, page.getByTestId('arm-handle'), 28, 16, async () => {
    expect(await figureValue(page.getByTestId('thumb-bar'), 'out')).toBeGreaterThan(before + 50);
  });
  // turned by its knob, a little at a time, until both are within 30 degrees
  const both = async () => [Math.abs(await sees(page, 'v1')), Math.abs(await sees(page, 'v2'))];
  for (let turns = 0; turns < 12 && Math.max(...(await both())) > 30; turns += 1)
    await dragBy(page, page.getByTestId('turn-handle'), 5, 0);
  expect(Math.max(...(await both()))).toBeLessThanOrEqual(30);
  // the drawing shows the same, by protractor
  const [sofa, rower] = await drawnAngles(page, ['v1', 'v2']);
  expect(Math.abs(sofa! - (await sees(page, 'v1')))).toBeLessThan(0.5);
  expect(Math.abs(rower! - (await sees(page, 'v2')))).toBeLessThan(0.5);
  for (const id of ['v1', 'v2'])
    await expect(page.getByTestId(`seat-${id}`).getByRole('img', { name: 'go' })).toHaveCount(1);
  // nothing of it is in the job
  expect((await sentJob(page, demo, 'snug')).choices).toEqual(atticSnug.choices);
});

test('each seat has its best pose, one pose serves all, and the way there plays', async ({ page, demo }) => {
  await openRoom(page, demo, 'poses', atticSnug, 'reach');
  await page.getByTestId('bring-v2').click();
  expect(Math.abs(await sees(page, 'v2'))).toBeLessThan(0.1);
  expect(Math.abs((await drawnAngles(page, ['v2']))[0]!)).toBeLessThan(0.5);
  // the set does not stand in its wall, and what it sweeps is drawn
  const wall = (await page.locator('[data-shape="wall-cut"]').boundingBox())!;
  const set = (await page.getByTestId('above').locator('[data-shape="set-cut"]').boundingBox())!;
  expect(set.y).toBeGreaterThan(wall.y + wall.height - 3);
  await expect(page.locator('[data-shape="swept"]')).toHaveCount(1);
  await page.getByTestId('pose-shared').click();
  for (const id of ['v1', 'v2']) expect(Math.abs(await sees(page, id))).toBeLessThan(30);
  // played from folded, it comes back to where it was
  const there = await figureValue(page.getByTestId('thumb-bar'), 'turned');
  await page.getByTestId('bring-v2').click();
  const turned = await figureValue(page.getByTestId('thumb-bar'), 'turned');
  expect(turned).not.toBeCloseTo(there, 1);
  await page.getByTestId('play').click();
  await expect(page.getByTestId('play')).toHaveText('on its way…');
  expect(await figureValue(page.getByTestId('thumb-bar'), 'turned')).toBeLessThan(turned);
  await expect(page.getByTestId('play')).toHaveText('play the way there');
  expect(await figureValue(page.getByTestId('thumb-bar'), 'turned')).toBeCloseTo(turned, 6);
  await page.getByTestId('pose-folded').click();
  expect(await figureValue(page.getByTestId('thumb-bar'), 'out')).toBeCloseTo(66, 6);
});

test('keys move and turn it, the wall stops it, and it is said what did', async ({ page, demo }) => {
  await openRoom(page, demo, 'arm-keys', atticSnug, 'reach');
  const out = () => figureValue(page.getByTestId('thumb-bar'), 'out');
  const before = await out();
  await page.getByTestId('arm-handle').focus();
  await page.keyboard.press('Shift+ArrowDown');
  await page.keyboard.press('ArrowDown');
  await expect.poll(out).toBeCloseTo(before + 60, 6);
  await expect(page.getByTestId('stop-line')).toHaveCount(0);
  await page.getByTestId('turn-handle').focus();
  for (let i = 0; i < 8; i += 1) await page.keyboard.press('Shift+ArrowRight');
  await expect(page.getByTestId('stop-line')).toHaveText('Its own wall is in the way.');
  // half of 1118 with its joint 66 out and a head of 60: 559 sin y = 66 + 60 cos y
  const yaw = (await figureValue(page.getByTestId('thumb-bar'), 'turned')) * (Math.PI / 180);
  expect(Math.abs(559 * Math.sin(yaw) - 66 - 60 * Math.cos(yaw))).toBeLessThan(0.5);
});

test('a tap on the floor: stand there, bring the set, sit somebody down, undo', async ({ page, demo }) => {
  await openRoom(page, demo, 'stand', breakfastBar, 'reach');
  // as the drawing stands when the finger comes: it may still have moved while the page came
  const drawn = async () => {
    const scale = Number(await page.getByTestId('above').getAttribute('data-scale'));
    const wall = (await page.locator('[data-shape="wall-cut"]').boundingBox())!;
    return { scale, wall, floor: (await page.getByTestId('floor').boundingBox())! };
  };
  let last = '';
  await expect
    .poll(async () => {
      const now = JSON.stringify(await drawn());
      const same = now === last;
      last = now;
      return same;
    })
    .toBe(true);
  const { scale, wall, floor } = await drawn();
  await page.getByTestId('floor').click({ position: { x: 60, y: floor.height - 60 } });
  const card = page.getByTestId('stand-card');
  await expect(card).toBeVisible();
  expect(await figureValue(card, 'sees it now')).toBeLessThan(-10);
  await page.getByTestId('stand-bring').click();
  await expect.poll(async () => Math.abs(await figureValue(card, 'sees it now'))).toBeLessThan(1);
  await page.getByTestId('stand-keep').click();
  await expect(card).toHaveCount(0);
  await expect(page.getByTestId('seat-v3')).toBeVisible();
  const seat = (await sentJob(page, demo, 'stand')).room.viewers!.at(-1)!;
  expect(seat).toMatchObject({ id: 'v3', posture: 'seated' });
  // where the finger was, by the drawing's own scale
  expect(Math.abs(seat.x! - (floor.x + 60 - wall.x) / scale)).toBeLessThan(12 / scale);
  await page.getByRole('button', { name: 'undo', exact: true }).click();
  await expect(page.getByTestId('seat-v3')).toHaveCount(0);
});

test('the map of the floor comes from a worker, and goes again', async ({ page, demo }) => {
  await openRoom(page, demo, 'map', atticSnug, 'reach');
  await page.getByTestId('coverage').click();
  await expect(page.getByTestId('coverage-legend')).toBeVisible();
  for (const id of ['map-good', 'map-poor']) {
    const shape = page.locator(`[data-shape="${id}"]`);
    await expect(shape).toHaveCount(1);
    expect((await shape.getAttribute('d'))!.length).toBeGreaterThan(100);
  }
  // straight ahead is good, along the wall is poor: the areas at those places
  const at = (x: number, z: number) =>
    page.getByTestId('above').evaluate(
      (svg, { x, z }) => {
        const scale = Number(svg.getAttribute('data-scale'));
        const wall = svg.querySelector('[data-shape="wall-cut"]') as SVGGraphicsElement;
        const box = wall.getBBox();
        const point = (svg as unknown as SVGSVGElement).createSVGPoint();
        point.x = box.x + x * scale;
        point.y = box.y + box.height + z * scale;
        const hit = [...svg.querySelectorAll('path')].filter(
          (p) => p.dataset.shape?.startsWith('map-') && p.isPointInFill(point),
        );
        return hit.map((p) => p.dataset.shape);
      },
      { x, z },
    );
  expect(await at(1950, 2500)).toEqual(['map-good']);
  expect(await at(100, 120)).toEqual(['map-poor']);
  await page.getByTestId('coverage').click();
  await expect(page.locator('[data-shape="map-good"]')).toHaveCount(0);
});

test('the fold is chosen with what it does to the plate; room and cable have their workings', async ({
  page,
  demo,
}) => {
  await openRoom(page, demo, 'folds', atticSnug, 'reach');
  await unfold(page, 'which way it folds');
  await expect(page.getByTestId('fold-left')).toContainText('5 in left of the plate');
  await expect(page.getByTestId('fold-left')).toContainText('as it is');
  await page.getByTestId('choice-right').click();
  await expect(page.getByTestId('fold-right')).toContainText('as it is');
  expect((await sentJob(page, demo, 'folds')).choices).toMatchObject({ fold: 'right' });
  await unfold(page, 'cable at full reach');
  // both links, the head, three joints of 100, less the folded run: the plan file's own example
  expect(await figureValue(page.getByTestId('cable'), 'slack, folded, for the full reach')).toBeCloseTo(
    292 + 165 + 300 - Math.hypot(127, 3),
    6,
  );
  await unfold(page, 'room below');
  await expect(page.getByTestId('swing')).toContainText('low bookcase');
  await page.getByTestId('swing').getByRole('button').first().click();
  await expect(page.getByTestId('working-sheet')).toBeVisible();
});

test('a mount that does not turn far enough says why, and which would; one that does not move says so', async ({
  page,
  demo,
}) => {
  const mount = { ...atticSnug.mount!, swivel: { left: 5, right: 5 } };
  const room = {
    ...atticSnug.room,
    viewers: [{ id: 'v1', name: 'the desk', eye: 1100, distance: 1500, x: 3800 }],
  };
  await openRoom(page, demo, 'stiff', { ...atticSnug, mount, room }, 'reach');
  await expect(page.getByTestId('stopped-v1')).toContainText('does not turn that far');
  await expect(page.getByTestId('serving')).toContainText('Mounts that turn to every seat: ');
  await openRoom(page, demo, 'still', guestRoom, 'reach');
  await expect(page.getByTestId('no-arm')).toContainText('Louvre 2 does not move');
});
