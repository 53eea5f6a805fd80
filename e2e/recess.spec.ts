import { hallwayNiche } from '@steddo/samples';
import { expect, figureValue, openRoom, savedJob, sentJob, test } from './fixtures';
import { ThumbJob } from './thumbJob';

/*
 * A box let into a hallway's wall by thumb. The sums, in mm: studs 1016.5 and 1422.5, 39 and 37 wide by their marks; taped
 * through the first cut their faces are at 1036 and 1404: 368 clear, 12 to spare beside a box of 356. Eyes at 1400, and the
 * set centred on the box: brackets from 1240, rows 30 and 290 up: holes at 1530 and 1270.
 */
const ROWS = [1530, 1270];

/** Whatever is left of a box, in its order. */
async function finishBox(job: ThumbJob, from: number) {
  for (let step = from; step <= 10; step++) {
    await expect(job.byId('at-box')).toContainText(`Box: step ${step} of 10`);
    await job.tap('box-done');
  }
}

test('a box from an empty room to done: small cut, look, tape, saw, two brackets beside it', async ({
  page,
  empty,
}) => {
  const job = new ThumbJob(page);
  await page.goto(empty.url);
  await job.tap('choice-metric', 'new-room');
  await job.fill('field-screen.diagonal', '43', '957', '556', '9 . 8', '0');
  await job.tap('choice-200x200');
  await job.on('Room');
  await job.tap('choice-recess');
  await job.fill('field-room.wall.width', '2440', '2440', '1400', '2600', '450');
  await page.getByRole('radiogroup', { name: 'the wall is' }).getByTestId('choice-timber-stud').click();
  await page.getByRole('button', { name: /^on the wall/ }).click();
  const box = page.getByTestId('thing-o1');
  await box.getByRole('button').first().click();
  await job.fill('field-room.objects.o1.left', '1042', '356', '1180', '1620');
  await job.fill('field-room.objects.o1.cut.depth', '85');
  await job.on('Mount');
  await expect(job.byId('mount-slat-2')).toHaveCount(0);
  await job.radio('mount-niche-1');
  const id = new URL(page.url()).pathname.split('/')[2]!;
  await page.getByTestId('stage-wall').click();
  // nobody saws where nobody knows the wood
  await expect(page.getByTestId('finding-box-bay-unknown')).toBeVisible();
  await job.fill('mark-edge-left', '997', '1036', '1404', '1441');
  await expect(page.getByTestId('bay-chance')).toContainText('99.8 % sure');
  await job.on(/^The box first, 10 steps/);
  await expect(job.byId('box-step-box.first-cut')).toContainText('95');
  await job.tap('box-done');
  await expect(job.byId('at-box')).toContainText('Box: step 2 of 10');
  await job.tap('box-done', 'box-done');
  // two measures say by themselves that it was taped
  await expect(job.byId('box-done')).toBeDisabled();
  await job.fill('field-box.face-left', '1036', '1404');
  await finishBox(job, 5);
  const { room, looks, evidence } = await sentJob(page, empty, id);
  expect(room.objects!.find((o) => o.id === 'o1')!.cut).toEqual({
    depth: 85,
    first: { left: 1172.5, right: 1267.5, bottom: 1362.5, top: 1437.5 },
  });
  expect(looks!.map((k) => k.found)).toEqual(['clear']);
  expect(evidence!.filter((e) => e.kind === 'face').map((e) => e.x)).toEqual([1036, 1404]);
  await job.tap('box-to-ladder');
  await expect(job.byId('ladder-box')).toHaveCount(0);
  await page.goto(`${empty.url}/room/${id}/holes`);
  for (const [i, up] of [ROWS[0]!, ROWS[0]!, ROWS[1]!, ROWS[1]!].entries())
    expect(await figureValue(page.getByTestId(`hole-h${i + 1}`), 'up from the floor')).toBeCloseTo(up, 6);
  await job.on(/wall/i);
  await job.drill(4);
  await job.level('. 2', '. 2');
  await job.end();
  const saved = (await savedJob(page, empty, id)).job;
  expect(saved.ticks!.map((t) => t.step)).toEqual(expect.arrayContaining(['box.saw', 'box.wiring', 'box.test']));
});

test('the first cut finds a timber: it is never cut, the box goes over it', async ({ page, demo }) => {
  await openRoom(page, demo, 'nogging', hallwayNiche, 'wall');
  const job = new ThumbJob(page);
  await job.tap('to-box', 'box-done');
  await job.fill('field-box.nogging', '48');
  await page.getByRole('button', { name: 'back to the wall' }).click();
  await expect(page.getByTestId('finding-box-nogging')).toContainText('48 in up');
  // its middle 1219.2, 29 over and under it kept: from 1180 up to 1248.2
  await expect(page.getByTestId('box-up')).toContainText('2 11/16 in higher');
  await job.tap('box-up');
  await expect(page.getByTestId('finding-box-nogging')).toHaveCount(0);
  const { room } = await sentJob(page, demo, 'nogging');
  const box = room.objects!.find((o) => o.kind === 'box')!;
  expect([box.bottom, box.top]).toEqual([expect.closeTo(1248.2, 1), expect.closeTo(1688.2, 1)]);
  // the opening is where it was made
  expect(box.cut!.first!.bottom).toBe(1362.5);
});

test('a cable in the bay stops it, and nothing is ticked past it; the plate waits for the box', async ({
  page,
  demo,
}) => {
  await openRoom(page, demo, 'cable', hallwayNiche, 'holes');
  await page.getByTestId('to-ladder').click();
  const job = new ThumbJob(page);
  await expect(page.getByTestId('ladder-box')).toBeVisible();
  await expect(page.getByTestId('tick-good')).toBeDisabled();
  await page.getByRole('button', { name: 'the box, one cut at a time' }).click();
  await job.tap('box-done', 'box-found-cable', 'felt-close');
  await expect(page.getByTestId('box-done')).toBeDisabled();
  await page.getByRole('button', { name: 'undo' }).click();
  await expect(page.getByTestId('box-done')).toBeEnabled();
});
