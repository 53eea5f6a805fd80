import { clockmakersBench, demoCatalogue } from '@steddo/samples';
import { expect, figureValue, openRoom, savedJob, sentJob, test } from './fixtures';
import { ThumbJob } from './thumbJob';

/*
 * A monitor over a bench by thumb. The sums, in mm: the set is 545 x 305, its pattern in the middle; eyes at 1210, its upper
 * edge there: the head at 1057.5. Perch 1's plate has its head 130 above its foot: 927.5, rows at 25 and 235: holes at
 * 1162.5 and 952.5. A stud from 381 to 419, its middle 400; the set in the middle of a wall of 1100: 550.
 */
const ROWS = [1162.5, 952.5];

test('a bench from an empty room to done: one column, the washers first, the stand kept', async ({ page, empty }) => {
  const job = new ThumbJob(page);
  await page.goto(empty.url);
  await job.tap('choice-metric', 'new-room');
  await job.fill('field-screen.diagonal', '24', '545', '305', '4 . 1', '0');
  await job.tap('choice-100x100');
  await job.on('Room');
  await job.tap('choice-bench');
  // wall, eyes, how far away; the bench and how deep it is, the shelf and how deep that is
  await job.fill('field-room.wall.width', '1100', '', '1210', '980', '780', '600', '1240', '220');
  await page.getByRole('radiogroup', { name: 'the wall is' }).getByTestId('choice-timber-stud').click();
  await job.on('Mount');
  await expect(job.byId('mount-slat-2')).toHaveCount(0);
  await job.radio('mount-perch-1');
  await job.on('Fit');
  await job.on('Height');
  await job.radio('school-top-at-eyes');
  const id = new URL(page.url()).pathname.split('/')[2]!;
  await page.getByTestId('stage-reach').click();
  const above = page.getByTestId('bench-above');
  expect(await figureValue(above, 'free from the head')).toBeCloseTo(1240 - 1057.5, 6);
  expect(await figureValue(above, 'takes as it hangs')).toBeCloseTo(152.5, 6);
  await expect(page.getByTestId('bench-below')).toContainText('Down to the bench');
  await page.getByTestId('stage-wall').click();
  await job.fill('mark-edge-left', '381', '419');
  await job.on('Holes');
  for (const [i, up] of ROWS.entries()) {
    const row = page.getByTestId(`hole-h${i + 1}`);
    expect(await figureValue(row, 'up from the floor')).toBeCloseTo(up, 6);
    expect(Math.abs((await figureValue(row, 'from the left wall')) - 400)).toBeLessThan(3);
  }
  // the set stays in the middle of the wall; the arm brings it there
  const { room } = await sentJob(page, empty, id);
  expect([room.kind, room.objects!.map((o) => [o.kind, o.top, o.out])]).toEqual([
    'bench',
    [
      ['furniture', 780, 600],
      ['shelf', 1265, 220],
    ],
  ]);
  await job.on(/wall/i);
  await job.drill(2);
  await job.level('. 2', '. 2');
  await job.end();
  const saved = (await savedJob(page, empty, id)).job;
  expect(saved.ticks!.map((t) => t.step)).toEqual(expect.arrayContaining(['hang.rejoin', 'hang.on']));
});

test('on its end: taller than it is wide, moved off the shelf, and back', async ({ page, demo }) => {
  const objects = clockmakersBench.room.objects!.filter((o) => o.kind !== 'shelf');
  await openRoom(page, demo, 'on-end', { ...clockmakersBench, room: { ...clockmakersBench.room, objects } }, 'height');
  const bar = page.getByTestId('thumb-bar');
  const wide = await figureValue(bar, 'bottom');
  expect(wide).toBeCloseTo(1210 - 305, 6);
  await page.getByTestId('choice-end').click();
  // 545 tall its top stays at the eyes where the bench lets it: it would be 665 up, and the bench is 780
  await expect.poll(() => figureValue(bar, 'bottom')).toBeCloseTo(780, 6);
  expect((await sentJob(page, demo, 'on-end')).choices!.portrait).toBe(true);
  await page.getByTestId('choice-wide').click();
  await expect.poll(() => figureValue(bar, 'bottom')).toBeCloseTo(wide, 6);
});

test('a monitor arm on a wall, and a wall mount over a bench, say why not', async ({ page, demo }) => {
  const perch = demoCatalogue.mounts.find((m) => m.id === 'perch-1')!;
  const slat = demoCatalogue.mounts.find((m) => m.id === 'slat-2')!;
  const room = { ...clockmakersBench.room, kind: 'wall' as const };
  await openRoom(page, demo, 'perch-wall', { ...clockmakersBench, room, mount: perch }, 'mount');
  await page.getByTestId('folded-findings').click();
  await expect(page.getByTestId('finding-mount-room-kind')).toContainText('bench');
  await openRoom(page, demo, 'slat-bench', { ...clockmakersBench, mount: slat }, 'mount');
  await page.getByTestId('folded-findings').click();
  await expect(page.getByTestId('finding-mount-room-kind')).toContainText('wall');
});
