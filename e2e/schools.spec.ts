import { atticSnug, guestRoom } from '@steddo/samples';
import type { Job } from '@steddo/contract';
import { dragBy, expect, figureValue, openRoom, sentJob, test, type, unfold } from './fixtures';

/*
 * A room with round numbers, in mm: wall 4000 x 2400; eyes 1000 at 3000; a cabinet to 800 below and a
 * shelf from 1900 above, both in the middle; the set 1000 x 600, so half of it is 300.
 */
const room: Job = {
  ...guestRoom,
  units: 'metric',
  screen: { ...guestRoom.screen, width: 1000, height: 600, patternCentre: { right: 0, up: 0 } },
  room: {
    wall: { ...guestRoom.room.wall, width: 4000, height: 2400 },
    viewers: [{ id: 'v1', name: 'the sofa', eye: 1000, distance: 3000, x: 2000, posture: 'seated' }],
    objects: [
      { id: 'o1', kind: 'furniture', left: 1000, right: 3000, bottom: 0, top: 600 },
      { id: 'o2', kind: 'shelf', left: 1500, right: 2500, bottom: 2100, top: 2130 },
    ],
  },
  evidence: [],
  aim: { height: 'eyes', centre: { on: 'wall' } },
};
delete room.choices;
delete room.levelReadings;
delete room.drilled;

test('the seven schools, each with this room’s answer', async ({ page, demo }) => {
  await openRoom(page, demo, 'seven', room, 'height');
  const thumb = page.getByTestId('thumb-bar');
  const follow = (school: string) => page.getByTestId(`school-${school}`).getByRole('radio').click();
  const centre = () => figureValue(thumb, 'centre');
  // centre at the eyes
  await expect.poll(centre).toBeCloseTo(1000, 6);
  // its bottom edge in a band of 1000 to 1100: the eyes ask for 700, so the band's lower end: 1000 + 300
  await follow('bottom-band');
  await type(page, 'aim.schools.bottom-band.from', '1000');
  await type(page, 'aim.schools.bottom-band.to', '1100');
  await expect.poll(centre).toBeCloseTo(1300, 6);
  // above the cabinet: 600 + 150 + 300
  await follow('above');
  await page.getByTestId('choice-o1').click();
  await type(page, 'aim.schools.above.gap', '150');
  await expect.poll(centre).toBeCloseTo(1050, 6);
  // top edge in line with 1500: 1500 - 300
  await follow('line-up');
  await page.getByRole('radiogroup', { name: 'the set’s' }).getByTestId('choice-top').click();
  await type(page, 'aim.schools.line-up.to', '1500');
  await expect.poll(centre).toBeCloseTo(1200, 6);
  // between the cabinet and the shelf, 600 and 2100: the middle is 1350
  await follow('fit-between');
  await page.getByRole('radiogroup', { name: 'to the bottom of' }).getByTestId('choice-o2').click();
  await expect.poll(centre).toBeCloseTo(1350, 6);
  // the top edge that was agreed, held up to the wall: 1700 - 300
  await follow('vote');
  await type(page, 'aim.schools.vote.top', '1700');
  await expect.poll(centre).toBeCloseTo(1400, 6);
  // for people who stand: at their eyes
  await follow('standing');
  await type(page, 'aim.schools.standing.eye', '1600');
  await expect.poll(centre).toBeCloseTo(1600, 6);
  const job = await sentJob(page, demo, 'seven');
  expect(job.aim.height).toBe('standing');
  // what binds a school is said: at eyes of 400 the cabinet holds it up, 600 + 300
  await follow('eyes');
  await page.getByTestId('stage-room').click();
  await type(page, 'room.viewers.v1.eye', '400');
  await page.getByTestId('stage-height').click();
  await expect.poll(centre).toBeCloseTo(900, 6);
  await expect(page.getByTestId('school-eyes')).toContainText('moved 500 mm: the furniture');
});

test('the set is dragged in the side view, and face and numbers go with it', async ({ page, demo }) => {
  await openRoom(page, demo, 'side', room, 'height');
  await page.getByTestId('view-side').click();
  const side = page.getByTestId('side');
  const scale = Number(await side.getAttribute('data-scale'));
  // eyes, line of sight and the band of 15 degrees about it
  for (const shape of ['head-v1', 'sight-v1', 'band-v1'])
    await expect(side.locator(`[data-shape="${shape}"]`).first()).toBeAttached();
  await dragBy(page, page.getByTestId('side-handle'), 25, -200 * scale, async () => {
    await expect.poll(() => figureValue(page.getByTestId('thumb-bar'), 'centre')).toBeGreaterThan(1100);
  });
  const job = await sentJob(page, demo, 'side');
  // to the millimetre of the tape, within a pixel of where the finger went, and not sideways
  expect(Math.abs(job.choices!.centreY! - 1200)).toBeLessThan(1.5 / scale);
  expect(Number.isInteger(job.choices!.centreY)).toBe(true);
  expect(job.choices!.centreX).toBeUndefined();
  // tilt that faces the eyes: 200 up over the way from the face to the eyes
  const tilt = await figureValue(page.getByTestId('school-eyes'), 'tilt needed');
  expect(Math.abs(tilt)).toBeLessThan(0.01);
  await page.keyboard.press('Tab');
  await page.getByTestId('side-handle').focus();
  await page.keyboard.press('ArrowDown');
  await expect
    .poll(() => figureValue(page.getByTestId('thumb-bar'), 'centre'))
    .toBeCloseTo(job.choices!.centreY! - 1, 6);
});

test('the set is dragged along the wall from above, and keeps its height', async ({ page, demo }) => {
  await openRoom(page, demo, 'above', room, 'height');
  await page.getByTestId('view-above').click();
  const scale = Number(await page.getByTestId('above').getAttribute('data-scale'));
  await dragBy(page, page.getByTestId('above-handle'), 300 * scale, 20);
  const { choices } = await sentJob(page, demo, 'above');
  expect(Math.abs(choices!.centreX! - 2300)).toBeLessThan(1.5 / scale);
  expect(choices!.centreY).toBeUndefined();
  await page.getByTestId('above-handle').focus();
  await page.keyboard.press('ArrowLeft');
  await expect
    .poll(async () => (await sentJob(page, demo, 'above')).choices!.centreX)
    .toBeCloseTo(choices!.centreX! - 1, 9);
});

test('marks from the floor and from the top edge of the set', async ({ page, demo }) => {
  await openRoom(page, demo, 'two-ends', room, 'height');
  await unfold(page, 'marks');
  const hook = await figureValue(page.getByTestId('thumb-bar'), 'hook');
  const row = page.getByTestId('mark-hook');
  // the set's top is at 1300
  expect(await figureValue(row, 'hook, from the floor')).toBeCloseTo(hook, 6);
  expect(await figureValue(row, 'hook, below the top')).toBeCloseTo(1300 - hook, 6);
  expect(await figureValue(page.getByTestId('mark-plate-bottom'), 'plate bottom, below the top')).toBeCloseTo(
    1300 - (hook - 185),
    6,
  );
});

test('settled marks of two people: everybody counts once, however many tries', async ({ page, demo }) => {
  const second = { id: 'v2', name: 'the chair', eye: 1000, distance: 2500, posture: 'seated' as const };
  await openRoom(
    page,
    demo,
    'settled',
    { ...room, room: { ...room.room, viewers: [...room.room.viewers!, second] } },
    'height',
  );
  await unfold(page, 'settled marks');
  const mark = async (viewer: string, tries: string[]) => {
    await page.getByTestId(`settle-${viewer}`).click();
    for (const text of tries) {
      await page.getByTestId('pad-text').fill(text);
      await page.getByTestId('key-next').click();
    }
    await page.keyboard.press('Escape');
  };
  await mark('v1', ['1180', '1200', '1220']);
  await mark('v2', ['1400']);
  // means 1200 and 1400: 1300, not the 1250 of four marks in one heap
  await expect.poll(() => figureValue(page.getByTestId('thumb-bar'), 'centre')).toBeCloseTo(1300, 6);
  expect((await sentJob(page, demo, 'settled')).room.viewers!.map((v) => v.settled)).toEqual([
    [1180, 1200, 1220],
    [1400],
  ]);
  // without a mark of her own the one in the chair counts by her eyes, 1000
  await page.getByRole('button', { name: 'take this mark of the chair away' }).click();
  await expect.poll(() => figureValue(page.getByTestId('thumb-bar'), 'centre')).toBeCloseTo(1100, 6);
});

test('no height works: the two that collide are named, with the least that gives way, and a way sideways', async ({
  page,
  demo,
}) => {
  // between a cabinet to 1500 and a shelf at 2100 there are 600; the set needs 620: 20 too little
  const tight = {
    ...room,
    screen: { ...room.screen, height: 620 },
    room: {
      ...room.room,
      objects: room.room.objects!.map((o) => (o.id === 'o1' ? { ...o, top: 1500, left: 1400, right: 2600 } : o)),
    },
  };
  await openRoom(page, demo, 'tight', tight, 'height');
  const card = page.getByTestId('conflict');
  await expect(card).toBeVisible();
  const finding = page.getByTestId('finding-height-conflict');
  await expect(finding).toContainText('furniture');
  await expect(finding).toContainText('shelf');
  // lift-on room of 25 under the shelf comes on top where it is asked: at least the 20 are named
  await expect(finding).toContainText(/\b(20|45) mm/);
  await page.getByTestId('go-sideways').click();
  await expect(card).toHaveCount(0);
  const job = await sentJob(page, demo, 'tight');
  // clear of whichever it passes: the shelf ends at 1500 and 2500, the cabinet at 1400 and 2600
  const x = job.choices!.centreX!;
  expect(x <= 1500 - 500 + 0.01 || x >= 2500 + 500 - 0.01 || x <= 1400 - 500 + 0.01).toBe(true);
  await page.getByRole('button', { name: 'undo', exact: true }).click();
  await expect(card).toBeVisible();
});

test('measured on the set wins over the drawing of the mount; 5 mm apart is said', async ({ page, demo }) => {
  await openRoom(page, demo, 'measured', room, 'height');
  const hook = () => figureValue(page.getByTestId('thumb-bar'), 'hook');
  // centre 1000, the pattern in the middle; whichever arm hole, the hook is 50, 90 or 130 above it
  const geometry = await hook();
  expect([1050, 1090, 1130].some((h) => Math.abs(h - geometry) < 1e-6)).toBe(true);
  await page.getByTestId('stage-fit').click();
  await unfold(page, 'measured on the set');
  const part = page.getByTestId('measured');
  const measure = async (from: string, to: string, text: string) => {
    await part.getByTestId(`choice-${from}`).click();
    await part.getByTestId(`choice-${to}`).click();
    await page.getByTestId('add-measured').click();
    await page.getByTestId('pad-text').fill(text);
    await page.getByTestId('key-done').click();
  };
  // bottom edge 700 + 393 = 1093
  await measure('bottom', 'hook', '393');
  await expect.poll(hook).toBeCloseTo(1093, 6);
  // from the top 600 - 393 = 207 says the same; 4 mm off is still a tape, 7 is not
  await measure('top', 'hook', '211');
  await expect.poll(hook).toBeCloseTo(1093, 6);
  await expect(page.getByTestId('finding-measured-differs')).toHaveCount(0);
  await measure('top', 'hook', '214');
  await expect(page.getByTestId('finding-measured-differs')).toContainText('7 mm');
  await expect.poll(hook).toBeCloseTo(1093, 6);
  // the plate's own edge and its rows as well: row 1 is 35 up the plate, whose hook is at 185
  await page.getByRole('button', { name: 'take the hook away' }).first().click();
  await page.getByRole('button', { name: 'take the hook away' }).first().click();
  await measure('bottom', 'row:0', '250');
  await expect.poll(hook).toBeCloseTo(700 + 250 - 35 + 185, 6);
});

test('distance bounds, and where everybody is within them', async ({ page, demo }) => {
  await openRoom(page, demo, 'far', room, 'height');
  await unfold(page, 'how far away');
  const table = page.getByTestId('distances');
  await expect(table).toContainText('the sofa');
  // 1000 wide: 30 degrees across ask for 500 / tan 15 = 1866, 40 degrees for 500 / tan 20 = 1374 (SMPTE EG 18, from memory)
  const labels = await table
    .getByRole('button', { name: /show the working$/ })
    .evaluateAll((all) => all.map((e) => Number(e.querySelector('[data-value]')?.getAttribute('data-value'))));
  for (const expected of [500 / Math.tan(Math.PI / 12), 500 / Math.tan(Math.PI / 9)])
    expect(labels.some((mm) => Math.abs(mm - expected) < 1e-6)).toBe(true);
});

test('sideways: the fold puts the plate to one side of the set or the other, and sag raises plate and hook alone', async ({
  page,
  demo,
}) => {
  await openRoom(page, demo, 'fold', atticSnug, 'height');
  const thumb = page.getByTestId('thumb-bar');
  await unfold(page, 'sideways');
  const part = page.getByTestId('sideways');
  const off = () => figureValue(part, 'plate off the set’s centre');
  const fold = (way: string) =>
    part.getByRole('radiogroup', { name: 'the arm folds' }).getByTestId(`choice-${way}`).click();
  // folded to the left the set sits 127 left of its plate, so the plate is 127 right of the set
  await fold('left');
  await expect.poll(off).toBeCloseTo(127, 6);
  await fold('right');
  await expect.poll(off).toBeCloseTo(-127, 6);
  await type(page, 'choices.centreX', '80');
  await expect.poll(async () => (await sentJob(page, demo, 'fold')).choices!.centreX).toBeCloseTo(80 * 25.4, 9);
  await expect.poll(off).toBeCloseTo(-127, 6);

  const [bottom, hook] = [await figureValue(thumb, 'bottom'), await figureValue(thumb, 'hook')];
  await unfold(page, 'ceiling, lift-on room, sag');
  await type(page, 'aim.sag', '1/2');
  await expect.poll(() => figureValue(thumb, 'hook')).toBeCloseTo(hook + 12.7, 6);
  expect(await figureValue(thumb, 'bottom')).toBeCloseTo(bottom, 6);
  await part.getByRole('button', { name: 'let the plan choose again' }).click();
  expect((await sentJob(page, demo, 'fold')).choices!.centreX).toBeUndefined();
});
