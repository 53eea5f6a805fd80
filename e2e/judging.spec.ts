import type { Evidence, Job } from '@steddo/contract';
import { plan, withKit } from '@steddo/core';
import { breakfastBar, demoCatalogue, guestRoom } from '@steddo/samples';
import { expect, isReady, openRoom, savedJob, sentJob, test, toStage, type, unfold } from './fixtures';

const { anchors, lags, bits } = demoCatalogue;
const kit = { anchors, lags, bits };

test('"it was hollow" at a stud with two edges: stop, what speaks for each, and nothing is taken before a tap', async ({
  page,
  demo,
}) => {
  const job: Job = { ...guestRoom, ...kit };
  await openRoom(page, demo, 'hollow', job, 'holes');
  await page.getByTestId('to-ladder').click();
  const before = plan(job).holes!;
  await page.getByTestId('tick-good').click();
  await page.getByTestId('levelled').click();
  await page.getByTestId('tick-hollow').click();
  await expect(page.getByTestId('ladder-stop')).toContainText('The drill met nothing at Hole 2');
  await expect(page.getByTestId('ladder-stop')).toContainText('still show a stud there');
  const remedies = page.getByTestId('ladder-remedies');
  await expect(remedies.getByTestId('remedy-poke-edge')).toContainText('1. Poke to the stud');
  await expect(remedies.getByTestId('remedy-anchors')).toContainText(/uses \d+ %/);
  // the good hole stays drawn, and so does every other as it was
  for (const h of before) await expect(page.locator(`[data-shape="${h.id}"]`).first()).toBeAttached();
  await remedies.getByTestId('show-anchors').click();
  await expect(remedies.getByTestId('preview-anchors')).toContainText('in board');
  await expect(remedies.getByTestId('picture-anchors')).toBeVisible();
  await expect
    .poll(async () => (await savedJob(page, demo, 'hollow')).job.drilled?.map((d) => [d.hole, d.result]))
    .toEqual([
      ['h1', 'good'],
      ['h2', 'hollow'],
    ]);
  expect((await savedJob(page, demo, 'hollow')).job.choices?.scheme).toBeUndefined();
  // a poke settles it: hollow again, and the stud is not where it was marked
  await remedies.getByTestId('poked-hollow').click();
  await expect(page.getByText('The drill met nothing')).toHaveCount(0);
  await page.getByRole('button', { name: 'undo' }).click();
  await expect(page.getByTestId('ladder-stop')).toContainText('The drill met nothing');
  // or the anchors, once somebody says so
  await remedies.getByTestId('show-anchors').click();
  await remedies.getByTestId('do-anchors').click();
  await expect(page.getByTestId('ladder-remedies')).toHaveCount(0);
  await expect.poll(async () => (await savedJob(page, demo, 'hollow')).job.choices?.scheme).toContain('anchors');
});

test('a masonry wall is asked for its joints and never for studs; marked, they matter', async ({ page, demo }) => {
  await openRoom(page, demo, 'units', { ...breakfastBar, evidence: [] }, 'room');
  await unfold(page, 'units, joints');
  await expect(page.getByTestId('field-room.wall.build.unit.height')).toContainText('215');
  await expect(page.getByTestId('field-room.wall.build.spacing')).toHaveCount(0);
  await toStage(page, 'wall');
  await expect(page.getByTestId('masonry-units')).toContainText('block 440 mm x 215 mm, joints 10 mm');
  const wall = page.getByTestId('stage-panel').or(page.locator('body')).first();
  await expect(wall.getByText('poke to an edge')).toHaveCount(0);
  await expect(wall.getByRole('heading', { name: 'studs' })).toHaveCount(0);
  await expect(page.getByTestId('mark-edge-left')).toHaveCount(0);
  await expect(page.getByTestId('mark-wood')).toHaveCount(0);
  await expect(page.getByTestId('finding-mark-a-joint-first')).toContainText('Mark a joint first');
  await expect(page.getByTestId('certainty-h1')).toContainText('mark a joint first');
  await page.getByTestId('mark-joint-bed').click();
  await page.getByTestId('pad-text').fill('1300');
  await page.getByTestId('key-done').click();
  await expect(page.getByTestId('finding-mark-a-joint-first')).toContainText('Mark an upright joint first');
  await page.getByTestId('mark-joint-upright').click();
  await page.getByTestId('pad-text').fill('1200');
  await page.getByTestId('key-done').click();
  await expect(page.getByTestId('finding-mark-a-joint-first')).toHaveCount(0);
  await expect(page.getByTestId('certainty-h1')).toContainText(/off the joints \d+ in 100/);
  expect((await sentJob(page, demo, 'units')).evidence).toMatchObject([
    { kind: 'joint', runs: 'horizontal' },
    { kind: 'joint', runs: 'vertical' },
  ]);
});

/** A wall that was poked all along the plate, and nothing is there. */
const hollowWall: Evidence[] = Array.from({ length: 60 }, (_, i) => ({
  ...{ id: `n${i}`, kind: 'probe', found: 'hollow', x: 1530 + i * 10, y: 1550 },
}));

test('Wall and Holes name one thing by one name; a guess stays one on the ladder; nobody is forgotten in Reach', async ({
  page,
  demo,
}) => {
  const light = { ...guestRoom.screen, mass: 4 };
  const job: Job = { ...guestRoom, ...kit, screen: light, evidence: hollowWall, guessed: ['screen.patternCentre.up'] };
  await openRoom(page, demo, 'one-truth', job, 'wall');
  const [first] = plan(withKit(job, demoCatalogue)).holes!;
  expect(first!.into).toBe('board');
  const percent = Math.floor(first!.probability * 100);
  await expect(page.getByTestId('certainty-h1')).toContainText(`hollow ${percent} in 100`);
  await toStage(page, 'holes');
  await expect(page.getByTestId('hole-h1')).toContainText('hollow');
  await page.goto(`${demo.url}/room/one-truth/ladder`);
  await expect(page.getByTestId('big-up from the floor')).toContainText('guess');
  // no path of a file stands on a page
  await page.goto(`${demo.url}/room/one-truth/room`);
  await isReady(page);
  for (const stage of ['room', 'mount', 'wall', 'holes']) {
    await toStage(page, stage);
    expect(await page.locator('body').innerText()).not.toMatch(/room\.wall|mount\.walls|screen\.pattern/);
  }
  const [viewer, ...rest] = breakfastBar.room.viewers!;
  const { x: _, ...placeless } = viewer!;
  const someone = { ...breakfastBar, room: { ...breakfastBar.room, viewers: [placeless, ...rest] } };
  await openRoom(page, demo, 'placeless', someone, 'reach');
  await expect(page.getByTestId('seat-unplaced')).toContainText('is not measured');
});

test('how far aside an arm may go: told it stays as it was, held it is judged by that; the customer is told', async ({
  page,
  demo,
}) => {
  const mount = demoCatalogue.mounts.find((m) => m.id === 'pintle-2')!;
  const evidence = [1954, 1992].map((x, i): Evidence => ({
    ...{ id: `e${i}`, kind: i === 0 ? 'edge-left' : 'edge-right', x, y: 1500 },
  }));
  const heavy = { ...guestRoom.screen, mass: 30 };
  const { levelReadings: _, ...room } = guestRoom;
  const job: Job = { ...room, ...kit, mount, screen: heavy, evidence: [...evidence, ...again(evidence)], choices: {} };
  await openRoom(page, demo, 'aside', job, 'holes');
  await expect(page.getByTestId('finding-load-too-great')).toContainText('of what it may hold');
  await unfold(page, 'loads on each fastener');
  await expect(page.getByTestId('loads-apart')).toContainText('What hangs there by itself');
  const go = plan(job).loads!.maxAside!.go!;
  expect(go).toBeGreaterThan(0);
  await type(page, 'choices.maxAside', `${Math.floor(go)} mm`);
  await expect(page.getByTestId('finding-load-too-great')).toContainText('nothing holds it there yet');
  await page.getByTestId('aside-held').click();
  await expect(page.getByTestId('finding-load-too-great')).toHaveCount(0);
  expect((await sentJob(page, demo, 'aside')).choices).toMatchObject({ maxAside: Math.floor(go), asideHeld: true });
  await page.goto(`${demo.url}/room/aside/reach`);
  await isReady(page);
  await expect(page.locator('[data-shape="swing-limit-0"]').first()).toBeAttached();
  await page.goto(`${demo.url}/room/aside/customer`);
  await expect(page.getByTestId('customer')).toContainText('The arm is stopped');
});

/** The same edges at another height. */
const again = (evidence: readonly Evidence[]): Evidence[] =>
  evidence.map((e) => ({ ...e, id: `${e.id}b`, y: 1300 }) as Evidence);
