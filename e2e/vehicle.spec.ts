import { narrowboatCabin } from '@steddo/samples';
import { drawnMm, expect, figureValue, openRoom, savedJob, sentJob, test, unfold } from './fixtures';
import { ThumbJob } from './thumbJob';

/*
 * A cabin's thin wall by thumb, in mm: 52 to the skin, a panel of 4, a sheet of 2 behind it. Bunk 1's screw is 19 long, its plate
 * 2: 17 in the wall, the flag there, 35 before the skin. The pattern hangs 20 under the hook by the upper arm hole, the plate's
 * foot 100 under that, rows 20 and 110 up; eyes at 1000: plate from 920, holes at 1030 and 940.
 */
test('a cabin from an empty room to done: backing traced, flag short of the skin, a second place', async ({
  page,
  empty,
}) => {
  const job = new ThumbJob(page);
  await page.goto(empty.url);
  await job.tap('choice-metric', 'new-room');
  await job.fill('field-screen.diagonal', '24', '545', '305', '3 . 4', '0');
  await job.tap('choice-100x100');
  await job.on('Room');
  await job.tap('choice-vehicle');
  await job.fill('field-room.wall.width', '1850', '1900', '1000', '1700');
  await page.getByRole('radiogroup', { name: 'the wall is' }).getByTestId('choice-metal-backing').click();
  await unfold(page, 'backing');
  await job.fill('field-room.wall.build.thickness', '2', '4');
  await job.on('Mount');
  await job.radio('mount-bunk-1');
  const id = new URL(page.url()).pathname.split('/')[2]!;
  await page.getByTestId('stage-wall').click();
  await expect(page.getByTestId('finding-backing-unknown')).toBeVisible();
  for (const [side, at] of [
    ['left', '720'],
    ['right', '1130'],
    ['bottom', '850'],
    ['top', '1170'],
  ] as const) {
    await job.tap(`mark-backing-${side}`);
    await job.thumb.keys(at, 'done');
  }
  await page.getByTestId('stage-holes').click();
  // how thick the wall is nobody has said: not a hole before that
  await expect(page.getByTestId('finding-skin-unknown')).toContainText('outer skin');
  await expect(page.getByTestId('primary-action')).not.toContainText('At the wall');
  await page.getByTestId('stage-room').click();
  await unfold(page, 'backing');
  await job.fill('field-room.wall.build.depth', '52');
  await page.getByTestId('stage-holes').click();
  await expect(page.getByTestId('finding-skin-unknown')).toHaveCount(0);
  const skin = page.getByTestId('skin-part');
  expect(await figureValue(skin, 'flag on the bit')).toBeCloseTo(17, 6);
  expect(await figureValue(skin, 'point to the skin')).toBeCloseTo(35, 6);
  for (const [i, up] of [1030, 1030, 940, 940].entries())
    expect(await figureValue(page.getByTestId(`hole-h${i + 1}`), 'up from the floor')).toBeCloseTo(up, 6);
  await job.on(/wall/i);
  await expect(page.getByTestId('skin-note')).toContainText('35 mm before the skin');
  await job.drill(4);
  await job.level('. 2', '. 2');
  await job.end();
  const saved = (await savedJob(page, empty, id)).job;
  expect(saved.room.kind).toBe('vehicle');
  // where it hangs in the other cabin: the same set and mount, a wall of its own
  await page.goto(empty.url);
  const done = page.getByTestId('fold-done');
  await expect(done).toBeVisible();
  // beside rooms that are open those that are done are folded
  if ((await done.getAttribute('aria-expanded')) === 'false') await done.click();
  await page.getByRole('button', { name: `${saved.title}: name, copies, take away` }).click();
  await page.getByTestId('room-from').click();
  await page.waitForURL(/\/room\/[^/]+\/room$/);
  const other = await sentJob(page, empty, new URL(page.url()).pathname.split('/')[2]!);
  expect([other.room.kind, other.mount!.id, other.screen.mass, other.drilled, other.evidence]).toEqual([
    'vehicle',
    'bunk-1',
    3.4,
    undefined,
    undefined,
  ]);
});

test('a screw too long for the wall is a stop, in the section as it is', async ({ page, demo }) => {
  const { wall } = narrowboatCabin.room;
  const thin = { ...narrowboatCabin.room, wall: { ...wall, build: { ...wall.build, depth: 15 } } };
  await openRoom(page, demo, 'thin-cabin', { ...narrowboatCabin, room: thin }, 'holes');
  await expect(page.getByTestId('finding-screw-through')).toBeVisible();
  await expect(page.getByTestId('skin-part')).toContainText('come through the skin by 2 mm');
  await page.getByTestId('view-section').click();
  const section = page.getByTestId('section');
  const skin = await drawnMm(section, 'skin-855');
  const screw = await drawnMm(section, 'shank-h1');
  expect(screw.x).toBeLessThan(skin.x);
});

test('what is seen to before it is driven stands in the summary', async ({ page, demo }) => {
  await openRoom(page, demo, 'cabin-done', narrowboatCabin, 'hang');
  await page.goto(`${demo.url}/room/cabin-done/done`);
  await expect(page.getByTestId('done')).toContainText('before it is driven');
  await expect(page.getByTestId('done')).toContainText('The arm folded');
  await expect(page.getByTestId('done')).toContainText('every screw tried by hand');
});
