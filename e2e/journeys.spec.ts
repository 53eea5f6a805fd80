import { expect, figureValue, test } from './fixtures';
import { ThumbJob, holeAt } from './thumbJob';

/*
 * Whole jobs from an empty database by thumb, in an upright phone, each to the level done: what an installer has to
 * tap when nothing goes wrong. A tap is a finger that goes up, keys of the pad too. No key of the system's keyboard.
 */

const IN = 25.4;

// with everything that moves
test.beforeEach(({ page }) => page.emulateMedia({ reducedMotion: 'no-preference' }));

/*
 * Centre at the eyes, 1050; the pattern in the set's middle; Louvre 3, middle arm hole: the pattern hangs 90 under the
 * hook: hook 1140. The hook is 195 up the plate: plate 945, rows at 35 and 175: holes at 1120 and 980.
 * Studs: 1895 to 1933, middle 1914; 2295 to 2333, middle 2314.
 */
test('A: 55 in on a tilt mount, two studs, metric', async ({ page, empty }) => {
  const job = new ThumbJob(page, true);
  await page.goto(empty.url);
  await job.tap('choice-metric', 'new-room');
  await job.fill('field-screen.diagonal', '55', '1230', '705', '17 . 5', '0');
  await job.tap('choice-300x300');
  await job.on('Room');
  await job.fill('field-room.wall.width', '4200', '', '1050', '3000', '600');
  await job.tap('choice-timber-stud');
  await job.on('Mount');
  await job.radio('mount-louvre-3');
  await job.on('Fit');
  await job.on('Height');
  await job.radio('school-eyes');
  await job.on('Wall');
  await job.fill('mark-edge-left', '1895', '1933', '2295', '2333');
  await job.on('Holes');
  await holeAt(page, 'h1', 1120, 1914);
  await holeAt(page, 'h4', 980, 2314);
  await job.on(/wall/i);
  await job.drill(4);
  await job.level('. 2', '. 2');
  expect(job.thumb.taps).toBeLessThanOrEqual(90);
  await job.end();
});

/*
 * Centre at the eyes, 42 in; Pintle 2, middle arm hole: the pattern hangs at the hook, 1066.8 mm. The hook is 130 up
 * the plate: plate 936.8, rows at 30, 130, 230: holes at 1166.8, 1066.8 and 966.8. Stud: 63 1/4 to 64 3/4, middle 64.
 */
test('B: 32 in on an arm with one stud, beside a cabinet, imperial', async ({ page, empty }) => {
  const job = new ThumbJob(page, true);
  await page.goto(empty.url);
  await job.tap('new-room');
  await job.fill('field-screen.diagonal', '32', '28 1/2', '16 1/2', '12', '0');
  await job.tap('choice-200x200');
  await job.on('Room');
  await job.fill('field-room.wall.width', '132', '', '42', '96');
  await job.tap('choice-timber-stud');
  await job.thumb.tap(page.getByRole('button', { name: 'on the wall, show' }));
  await job.tap('add-thing', 'kind-cabinet');
  await job.fill('field-room.objects.o1.left', '96', '24', '');
  await job.on('Mount');
  await job.radio('mount-pintle-2');
  await job.on('Fit');
  await job.on('Height');
  await job.radio('school-eyes');
  await job.on('Reach');
  await job.on('Wall');
  await job.fill('mark-edge-left', '63 1/4', '64 3/4');
  await job.on('Holes');
  // the stud misses the slots of an arm that hangs the set aside: the first of what would do it, and it is done
  await expect(job.byId('finding-no-stud-in-slots')).toBeVisible();
  await job.tap('show-shift-set', 'do-shift-set');
  await holeAt(page, 'h1', 42 * IN + 100, 64 * IN, 1);
  await holeAt(page, 'h3', 42 * IN - 100, 64 * IN, 1);
  await job.on(/wall/i);
  await job.drill(3);
  await job.level('. 2', '. 2');
  expect(job.thumb.taps).toBeLessThanOrEqual(90);
  await job.end();
});

/* As A, 42 in: hook 1066.8 + 90 = 1156.8, plate 961.8, rows at 35 and 175: holes at 1136.8 and 996.8. */
test('C: 65 in on a block wall, imperial', async ({ page, empty }) => {
  const job = new ThumbJob(page, true);
  await page.goto(empty.url);
  await job.tap('new-room');
  await job.fill('field-screen.diagonal', '65', '', '', '48', '0');
  await job.tap('choice-400x400');
  await job.on('Room');
  await job.fill('field-room.wall.width', '144', '', '42', '108', '24');
  await job.tap('choice-masonry');
  await job.on('Mount');
  await job.radio('mount-louvre-3');
  await job.on('Fit');
  await job.on('Height');
  await job.radio('school-eyes');
  await job.on('Wall');
  await job.fill('mark-joint', '64');
  await job.on('Holes');
  for (const [hole, up] of Object.entries({ h1: 1136.8, h2: 1136.8, h3: 996.8, h4: 996.8 }))
    expect(await figureValue(job.byId(`hole-${hole}`), 'up from the floor')).toBeCloseTo(up, 6);
  await expect(job.byId('hole-h1')).toContainText('off the joints');
  await job.on(/wall/i);
  await job.drill(4);
  await job.level('. 2', '. 2');
  expect(job.thumb.taps).toBeLessThanOrEqual(60);
  await job.end();
});
