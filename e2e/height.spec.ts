import type { Plan } from '@steddo/contract';
import { plan } from '@steddo/core';
import { guestRoom } from '@steddo/samples';
import type { Page } from '@playwright/test';
import { Thumb, expect, figureValue, isReady, isSent, putRoom, savedJob, test, toStage } from './fixtures';

const IN = 25.4;

async function drawnBox(page: Page, id: string) {
  return page.locator(`[data-testid=face] rect[data-shape="${id}"]`).evaluate((rect: SVGRectElement) => {
    const box = rect.getBoundingClientRect();
    const face = rect.ownerSVGElement!.getBoundingClientRect();
    return {
      left: box.left - face.left,
      right: box.right - face.left,
      top: box.top - face.top,
      bottom: box.bottom - face.top,
    };
  });
}
const scaleOf = async (page: Page) => Number(await page.getByTestId('face').getAttribute('data-scale'));
const withoutTitle = ({ title: _, ...rest }: Plan) => rest;

test('a height by drag and the same height by pad give equal plans', async ({ page, demo }) => {
  await putRoom(page, demo, 'by-drag', { ...guestRoom, title: 'By drag' });
  await putRoom(page, demo, 'by-pad', { ...guestRoom, title: 'By pad' });
  await page.goto(`${demo.url}/room/by-drag/height`);
  await isReady(page);
  const handle = page.getByTestId('set-handle');
  const box = (await handle.boundingBox())!;
  const [x, y] = [box.x + box.width / 2, box.y + box.height / 2];
  const before = await figureValue(page.getByTestId('thumb-bar'), 'centre');
  await page.mouse.move(x, y);
  await page.mouse.down();
  await page.mouse.move(x, y - 9, { steps: 4 });
  // the numbers follow while the finger is still down
  await expect.poll(() => figureValue(page.getByTestId('thumb-bar'), 'centre')).not.toBe(before);
  await page.mouse.move(x, y - 14, { steps: 4 });
  await page.mouse.up();
  await isSent(page);
  const dragged = (await savedJob(page, demo, 'by-drag')).job.choices!.centreY!;
  const sixteenths = (dragged / IN) * 16;
  expect(sixteenths).toBeCloseTo(Math.round(sixteenths), 6);
  expect(dragged).toBeGreaterThan(before);
  expect((await savedJob(page, demo, 'by-drag')).version).toBe(2);

  await page.goto(`${demo.url}/room/by-pad/height`);
  const thumb = new Thumb(page);
  await page.getByTestId('field-choices.centreY').click();
  await page
    .getByTestId('pad-text')
    .fill(`${Math.floor(dragged / IN)} ${Math.round((dragged / IN - Math.floor(dragged / IN)) * 16)}/16`);
  await thumb.tap(page.getByTestId('key-done'));
  await isSent(page);
  const [a, b] = [await savedJob(page, demo, 'by-drag'), await savedJob(page, demo, 'by-pad')];
  expect(b.job.choices!.centreY).toBeCloseTo(dragged, 9);
  const round = (p: Plan) =>
    JSON.parse(
      JSON.stringify(withoutTitle(p), (_, v: unknown) => (typeof v === 'number' ? Number(v.toFixed(6)) : v)),
    ) as unknown;
  expect(round(plan(a.job))).toEqual(round(plan(b.job)));
});

test('the arrow keys move the set by one division of the tape, with shift by ten', async ({ page, demo }) => {
  await putRoom(page, demo, 'by-keys', { ...guestRoom, title: 'By keys', guessed: ['aim.height'] });
  await page.goto(`${demo.url}/room/by-keys/height`);
  await isReady(page);
  const before = await figureValue(page.getByTestId('thumb-bar'), 'centre');
  const handle = page.getByRole('slider');
  await handle.focus();
  await page.keyboard.press('ArrowUp');
  await page.keyboard.press('Shift+ArrowUp');
  await expect.poll(() => figureValue(page.getByTestId('thumb-bar'), 'centre')).toBeCloseTo(before + (11 * IN) / 16, 6);
  const moved = before + (11 * IN) / 16;
  await expect
    .poll(async () => (await savedJob(page, demo, 'by-keys')).job.choices?.centreY ?? 0)
    .toBeCloseTo(moved, 6);
  await isSent(page);
  // keys that follow each other at once are one edit; on a machine that is out of breath they may be two
  const { version, job } = await savedJob(page, demo, 'by-keys');
  expect([2, 3]).toContain(version);
  // moved by hand, the height is no longer a guess
  expect(job.guessed).toBeUndefined();
  for (let edit = 1; edit < version; edit++) await page.getByRole('button', { name: 'undo', exact: true }).click();
  await expect.poll(() => figureValue(page.getByTestId('thumb-bar'), 'centre')).toBeCloseTo(before, 6);
  for (let edit = 1; edit < version; edit++) await page.getByRole('button', { name: 'redo', exact: true }).click();
  await expect.poll(() => figureValue(page.getByTestId('thumb-bar'), 'centre')).toBeCloseTo(moved, 6);
  // an undo at once takes back the key before it, which had not even been saved
  await handle.focus();
  await page.keyboard.press('ArrowUp');
  await page.keyboard.press('Control+z');
  await expect.poll(() => figureValue(page.getByTestId('thumb-bar'), 'centre')).toBeCloseTo(moved, 6);
  await isSent(page);
  expect((await savedJob(page, demo, 'by-keys')).job.choices?.centreY).toBeCloseTo(moved, 6);
});

test('what is drawn is the plan’s millimetres, within a pixel', async ({ page, demo }) => {
  const p = plan(guestRoom);
  await page.goto(`${demo.url}/room/guest-room`);
  for (const stage of ['height', 'holes']) {
    await toStage(page, stage);
    await expect(page.locator('[data-shape="set"]')).toBeVisible();
    const scale = await scaleOf(page);
    const set = await drawnBox(page, 'set');
    const { left, right, bottom, top, plate } = p.placement!;
    expect(Math.abs(set.right - set.left - (right - left) * scale)).toBeLessThan(1);
    expect(Math.abs(set.bottom - set.top - (top - bottom) * scale)).toBeLessThan(1);
    // everything else against the set's lower left corner
    const xOf = (mm: number) => set.left + (mm - left) * scale;
    const yOf = (mm: number) => set.bottom - (mm - bottom) * scale;
    const boxes = [['plate', plate!], ...guestRoom.room.objects!.map((o) => [o.id, o] as const)] as const;
    for (const [id, mm] of boxes) {
      const box = await drawnBox(page, id);
      for (const [drawn, real] of [
        [box.left, xOf(mm.left)],
        [box.right, xOf(mm.right)],
        [box.top, yOf(mm.top)],
        [box.bottom, yOf(mm.bottom)],
      ] as const)
        expect([id, Math.abs(drawn - real) < 1]).toEqual([id, true]);
    }
    for (const hole of p.holes!) {
      const cross = page.locator(`[data-shape="${hole.id}"] circle`);
      expect(Math.abs(Number(await cross.getAttribute('cx')) - xOf(hole.x))).toBeLessThan(1);
      expect(Math.abs(Number(await cross.getAttribute('cy')) - yOf(hole.y))).toBeLessThan(1);
    }
    const bar = page.getByTestId('scale-bar');
    expect(Number(await bar.getAttribute('data-px')) / Number(await bar.getAttribute('data-mm'))).toBeCloseTo(scale, 6);
  }
});

test('tape on the wall never lies over a hole or over other tape', async ({ page, demo }) => {
  await page.goto(`${demo.url}/room/guest-room`);
  for (const stage of ['height', 'wall', 'holes', 'level']) {
    await toStage(page, stage);
    await expect(page.locator('[data-label]').first()).toBeVisible();
    const boxes = await page
      .locator('[data-label]')
      .evaluateAll((all) =>
        all.map((g) => ['x', 'y', 'width', 'height'].map((k) => Number(g.getAttribute(`data-${k}`)))),
      );
    const holes = await page
      .locator('[data-shape^="h"] circle')
      .evaluateAll((all) => all.map((c) => [Number(c.getAttribute('cx')), Number(c.getAttribute('cy'))]));
    expect(boxes.length).toBeGreaterThanOrEqual(2);
    boxes.forEach(([x, y, w, h], i) => {
      for (const [hx, hy] of holes) expect(hx! > x! && hx! < x! + w! && hy! > y! && hy! < y! + h!).toBe(false);
      for (const [ox, oy, ow, oh] of boxes.slice(i + 1))
        expect(x! < ox! + ow! && ox! < x! + w! && y! < oy! + oh! && oy! < y! + h!).toBe(false);
    });
  }
});
