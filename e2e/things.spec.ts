import { plan } from '@steddo/core';
import { guestRoom } from '@steddo/samples';
import { dragBy, expect, figureValue, isSent, openRoom, sentJob, test, type, unfold } from './fixtures';

const IN = 25.4;
const undo = { name: 'undo', exact: true } as const;
const redo = { name: 'redo', exact: true } as const;

test('a thing is added by its kind, dragged onto the edge of another, typed, and undone', async ({ page, demo }) => {
  await openRoom(page, demo, 'things', guestRoom, 'room');
  await unfold(page, 'on the wall');
  await page.getByTestId('add-thing').click();
  await page.getByTestId('kind-switch').click();
  const before = await sentJob(page, demo, 'things');
  const added = before.room.objects!.at(-1)!;
  expect(added.kind).toBe('switch');
  // nobody has measured where it is
  expect(before.guessed).toContain(`room.objects.${added.id}.left`);

  // dragged to the window, its edge meets that of the window: a guide says so, the size stays
  const window = before.room.objects!.find((o) => o.kind === 'window')!;
  const scale = Number(await page.getByTestId('face').getAttribute('data-scale'));
  const gap = (window.left - added.right) * scale;
  await dragBy(page, page.getByTestId(`item-${added.id}`), gap + 1, 3, async () => {
    await expect(page.getByTestId('guide-x')).toHaveAttribute('data-at', String(window.left));
  });
  await expect(page.getByTestId('guide-x')).toHaveCount(0);
  const moved = (await sentJob(page, demo, 'things')).room.objects!.at(-1)!;
  expect([moved.left, moved.right]).toContain(window.left);
  expect(moved.right - moved.left).toBeCloseTo(added.right - added.left, 9);
  // moved by hand it is a guess no more, and one undo takes the whole drag back
  expect((await sentJob(page, demo, 'things')).guessed ?? []).toEqual([]);
  await page.getByRole('button', undo).click();
  await expect.poll(async () => (await sentJob(page, demo, 'things')).room.objects!.at(-1)).toEqual(added);
  await page.getByRole('button', redo).click();

  await type(page, `room.objects.${added.id}.left`, '10 1/2');
  const typed = (await sentJob(page, demo, 'things')).room.objects!.at(-1)!;
  expect([typed.left, typed.right - typed.left]).toEqual([10.5 * IN, expect.closeTo(70, 9)]);
  await page.getByRole('button', { name: /^take .*switch.* away$/ }).click();
  await expect.poll(async () => (await sentJob(page, demo, 'things')).room.objects!.length).toBe(3);
});

test('an outlet behind the set: the set may cover it, the plate may not unless it is open there', async ({
  page,
  demo,
}) => {
  const p = plan(guestRoom).placement!;
  // right where the plate is solid: its left part, below its opening
  const [left, bottom] = [p.plate!.left + 40, p.plate!.bottom + 40];
  const outlet = { id: 'o9', kind: 'outlet' as const, left, right: left + 70, bottom, top: bottom + 80 };
  const room = { ...guestRoom.room, objects: [...guestRoom.room.objects!, outlet] };
  await openRoom(page, demo, 'outlet', { ...guestRoom, room }, 'height');
  const centre = () => figureValue(page.getByTestId('thumb-bar'), 'centre');
  // the set may hang in front of it; the plate, 185 below its hook, has to clear it, by whichever arm hole
  const plateBottom = async () => (await figureValue(page.getByTestId('thumb-bar'), 'hook')) - 185;
  await expect.poll(plateBottom).toBeGreaterThanOrEqual(outlet.top - 0.01);
  expect(await figureValue(page.getByTestId('thumb-bar'), 'bottom')).toBeLessThan(outlet.top);
  // in the middle of the plate, where it is open, the same outlet is in nobody's way
  await page.getByTestId('stage-room').click();
  await unfold(page, 'on the wall');
  await page.getByTestId('thing-o9').getByRole('button', { name: /open$/ }).click();
  await type(page, 'room.objects.o9.left', `${p.centre.x - 35} mm`);
  await type(page, 'room.objects.o9.bottom', `${p.plate!.bottom + 60} mm`);
  await page.getByTestId('stage-height').click();
  await expect.poll(centre).toBeCloseTo(p.centre.y, 6);
  // told that nothing may hang in front of it, the set gives way
  await page.getByTestId('stage-room').click();
  const may = page.getByTestId('set-may-cover');
  await expect(may).toHaveAttribute('aria-checked', 'true');
  await may.click();
  await page.getByTestId('stage-height').click();
  await expect.poll(centre).toBeGreaterThan(p.centre.y + 1);
});

test('a curtain is a false edge: the set centres between it and the end of the wall', async ({ page, demo }) => {
  const curtain = { id: 'o8', kind: 'curtain' as const, left: 0, right: 500, bottom: 0, top: 2200, out: 100 };
  const { height, ...aim } = guestRoom.aim;
  const room = { ...guestRoom.room, objects: [curtain, ...guestRoom.room.objects!] };
  await openRoom(page, demo, 'curtain', { ...guestRoom, room, aim: { ...aim, height } }, 'room');
  await unfold(page, 'centre line');
  await page.getByTestId('choice-between').click();
  await page.getByRole('radiogroup', { name: 'from' }).getByTestId('choice-o8').click();
  await page.getByRole('radiogroup', { name: 'to', exact: true }).getByTestId('choice-right-end').click();
  const job = await sentJob(page, demo, 'curtain');
  expect(job.aim.centre).toEqual({ on: 'between', a: 'o8', b: guestRoom.room.wall.width });
  // from the curtain's near edge, 500, to the end of the wall
  expect(plan(job).placement!.centre.x).toBeCloseTo((500 + guestRoom.room.wall.width) / 2, 6);
});

test('people, parts that differ, corners and the floor: each is added, kept and taken back', async ({ page, demo }) => {
  await openRoom(page, demo, 'people', guestRoom, 'room');
  await unfold(page, 'people');
  await page.getByTestId('add-person').click();
  await type(page, 'room.viewers.v2.eye', '40');
  await type(page, 'room.viewers.v2.distance', '100');
  await type(page, 'room.viewers.v2.x', '30');
  await type(page, 'room.viewers.v2.recline', '12');
  await page.getByTestId('choice-reclined').click();
  await page.getByTestId('view-side').click();
  await expect(page.getByTestId('side').locator('[data-shape="sight-v2"]')).toHaveCount(1);
  await page.getByTestId('view-above').click();
  const above = page.getByTestId('above');
  await expect(above.locator('[data-shape="head-v2"]')).toHaveCount(1);
  // a seat is moved from above by a finger: to the right, and nearer to the wall
  const scale = Number(await above.getAttribute('data-scale'));
  await dragBy(page, page.getByTestId('item-v2'), 30, -20);
  const seat = (await sentJob(page, demo, 'people')).room.viewers!.at(-1)!;
  const reach = 14 / scale;
  expect(Math.abs(seat.x! - 30 * IN - 30 / scale)).toBeLessThan(reach);
  expect(Math.abs(seat.distance! - 100 * IN + 20 / scale)).toBeLessThan(reach);
  await page.getByRole('button', undo).click();

  await unfold(page, 'parts that differ');
  await page.getByTestId('add-zone').click();
  await page.getByTestId('zone-z1').getByTestId('choice-wet').click();
  await type(page, 'room.wall.zones.z1.left', '20');
  await type(page, 'room.wall.zones.z1.face', '1');
  await page.getByRole('checkbox', { name: 'a side wall at the left end' }).click();
  await page.getByTestId('view-face').click();
  await expect(page.getByTestId('face').locator('[data-shape="z1"]')).toHaveCount(1);
  // the part that differs goes under a finger too
  await dragBy(page, page.getByTestId('item-z1'), 0, -30);
  await expect
    .poll(async () => (await sentJob(page, demo, 'people')).room.wall.zones![0]!.bottom)
    .toBeGreaterThan(0.3 * guestRoom.room.wall.height + 50);

  await unfold(page, 'on the floor');
  await page.getByTestId('add-floor').click();
  const { room } = await sentJob(page, demo, 'people');
  expect(room.viewers!.at(-1)).toMatchObject({
    eye: 40 * IN,
    distance: 100 * IN,
    x: 30 * IN,
    recline: 12,
    posture: 'reclined',
  });
  expect(room.wall.zones).toEqual([expect.objectContaining({ left: 20 * IN, face: IN, build: { state: 'wet' } })]);
  expect(room.wall.returns).toMatchObject({ left: true });
  expect(room.floor!.length).toBe((guestRoom.room.floor ?? []).length + 1);

  // every one of these is a step that undo takes back, down to the room as it was
  const back = page.getByRole('button', undo);
  for (let steps = 0; steps < 30 && (await back.isEnabled()); steps += 1) await back.click();
  await isSent(page);
  expect((await sentJob(page, demo, 'people')).room).toEqual(guestRoom.room);
});
