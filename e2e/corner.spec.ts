import { demoCatalogue, guestRoom, sewingCorner } from '@steddo/samples';
import { dragBy, expect, figureValue, isBack, openRoom, sentJob, test } from './fixtures';
import { ThumbJob } from './thumbJob';

/*
 * A corner by thumb. The sums, in mm: the set is 957 wide, so that its back's middle is 478.5 from the corner; Nook 1 has
 * 400 between its pivots and links of 380:
 *   pivot along (478.5 + 200) / root 2 = 479.77, out (478.5 - 200) / root 2 = 196.93
 *   foot 479.77 + sqrt(380^2 - 196.93^2) = 804.76 from the corner, on either wall
 * Centre at the eyes, 1180; middle arm hole: the pattern hangs 40 under the hook: hook 1220, plate 250 under it: 970;
 * rows at 40, 160 and 280: holes at 1250, 1130 and 1010. Studs: main 786 to 824, middle 805; left 788 to 826, middle 807.
 */
const ROWS = [1250, 1130, 1010];

test('a corner from an empty room to done: a foot on each wall, wall by wall', async ({ page, empty }) => {
  const job = new ThumbJob(page);
  await page.goto(empty.url);
  await job.tap('choice-metric', 'new-room');
  await job.fill('field-screen.diagonal', '43', '957', '540', '9', '0');
  await job.tap('choice-200x200');
  await job.on('Room');
  await job.tap('choice-corner');
  await job.fill('field-room.cornerAngle', '90', '2600');
  await job.fill('field-room.wall.width', '3200', '', '1180', '1500', '760');
  await page.getByRole('radiogroup', { name: 'the wall is' }).getByTestId('choice-timber-stud').click();
  await job.on('Mount');
  // a rack is ranked here, and nothing that a corner has no use for
  await expect(job.byId('mount-slat-2')).toHaveCount(0);
  await job.radio('mount-nook-1');
  await job.on('Fit');
  await job.on('Height');
  await job.radio('school-eyes');
  await job.on('Wall');
  await job.fill('mark-edge-left', '786', '824');
  await job.tap('choice-left');
  await expect(job.byId('mark-edge-left')).toHaveText('edge nearer the corner');
  await expect(job.byId('stud-0')).toHaveCount(1);
  await job.fill('mark-edge-left', '788', '826');
  await job.on('Holes');
  const id = new URL(page.url()).pathname.split('/')[2]!;
  expect((await sentJob(page, empty, id)).evidence!.map((e) => [e.kind, e.x, e.wall])).toEqual([
    ['edge-left', 786, undefined],
    ['edge-right', 824, undefined],
    ['edge-left', 788, 'left'],
    ['edge-right', 826, 'left'],
  ]);
  for (const [wall, at] of [
    ['h', 805],
    ['s', 807],
  ] as const)
    for (const [i, up] of ROWS.entries()) {
      const row = page.getByTestId(`hole-${wall}${i + 1}`);
      expect(await figureValue(row, 'up from the floor')).toBeCloseTo(up, 6);
      expect(Math.abs((await figureValue(row, 'from the corner')) - at)).toBeLessThan(3);
    }
  await expect(page.getByTestId('finding-look-first')).toHaveCount(1);
  await page.getByTestId('stage-reach').click();
  const stand = page.getByTestId('corner-stand');
  expect(await figureValue(stand, 'back, from the corner')).toBeCloseTo(478.5, 6);
  expect(await figureValue(stand, 'foot, main wall, from the corner')).toBeCloseTo(804.76, 1);
  await page.getByTestId('stage-holes').click();
  await job.on(/wall/i);
  for (const wall of ['Main', 'Left']) {
    for (const mark of [1, 2, 3]) {
      await expect(job.byId('ladder')).toContainText(`${wall} wall: Mark ${mark} of 3`);
      await job.tap('tick-good');
      if (mark === 1) await job.tap('levelled');
    }
  }
  await page.getByRole('button', { name: 'the level', exact: true }).click();
  expect((await sentJob(page, empty, id)).drilled!.map((d) => [d.hole, d.wall])).toEqual([
    ['h1', undefined],
    ['h2', undefined],
    ['h3', undefined],
    ['s1', 'left'],
    ['s2', 'left'],
    ['s3', 'left'],
  ]);
  await job.level('. 2', '. 2');
  await job.end();
});

test('what is dragged on the left wall goes where the finger goes: its drawing runs away from the corner', async ({
  page,
  empty,
}) => {
  await openRoom(page, empty, 'sewing', sewingCorner, 'room');
  await page.getByTestId('choice-left').last().click();
  await dragBy(page, page.getByTestId('item-o4'), 40, 0);
  const job = await sentJob(page, empty, 'sewing');
  const moved = job.room.objects!.find((o) => o.id === 'o4')!;
  // to the right on the screen is towards the corner
  expect(moved.left).toBeLessThan(1090 - 20);
  expect(moved.wall).toBe('left');
  expect(job.room.objects!.filter((o) => o.id !== 'o4')).toEqual(
    sewingCorner.room.objects!.filter((o) => o.id !== 'o4'),
  );
});

test('a gap that keeps the set off a post; a corner mount on a plain wall says why not', async ({ page, empty }) => {
  const post = {
    ...{ id: 'post', kind: 'other' as const, name: 'post', left: 500, right: 560, bottom: 0, top: 2000, out: 90 },
    ...{ setMayCover: true, plateMayCover: true },
  };
  const objects = [...sewingCorner.room.objects!, post];
  await openRoom(page, empty, 'post', { ...sewingCorner, room: { ...sewingCorner.room, objects } }, 'reach');
  const stop = page.getByTestId('finding-corner-thing-in-way');
  await expect(stop).toContainText('The set would stand in the post.');
  const inches = /With a gap of ([\d /]+) in/.exec((await stop.textContent()) ?? '')![1]!;
  await page.getByTestId('field-choices.cornerGap').click();
  await page.getByTestId('pad-text').fill(inches);
  await page.getByTestId('key-done').click();
  await expect(stop).toHaveCount(0);
  await isBack(page);

  const rack = demoCatalogue.mounts.find((m) => m.id === 'nook-1')!;
  await openRoom(page, empty, 'plain', { ...guestRoom, mount: rack }, 'mount');
  await page.getByTestId('folded-findings').click();
  await expect(page.getByTestId('finding-mount-room-kind')).toContainText(
    'A corner mount is made for a corner, with a foot on each of two walls, and this job is on a wall.',
  );
});
