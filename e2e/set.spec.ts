import type { Job } from '@steddo/contract';
import { guestRoom } from '@steddo/samples';
import { drawnMm, expect, figureValue, openRoom, sentJob, test, type, unfold } from './fixtures';

const IN = 25.4;
const { mass, pattern } = guestRoom.screen;
const unmeasured: Job = {
  ...guestRoom,
  screen: { diagonal: 1000, mass, pattern },
  guessed: ['screen.diagonal', 'screen.mass', 'screen.pattern'],
};

test('the set is measured step by step, each measure drawn where it is taken', async ({ page, demo }) => {
  await openRoom(page, demo, 'guided', unmeasured, 'set');
  const byId = (id: string) => page.getByTestId(id);
  await byId('guide').click();
  const next = async (step: string) => {
    await byId('guide-next').click();
    await expect(byId('guide-step')).toHaveText(step);
  };
  // laying it down needs no number: the first unknown is the diagonal
  await expect(byId('guide-step')).toHaveText('2 of 13');
  await expect(byId('set-front').locator('[data-shape="asked"]')).toHaveCount(1);
  await type(page, 'screen.diagonal', '43');
  await next('3 of 13');
  await type(page, 'screen.mass', '19');
  await next('4 of 13');
  await type(page, 'screen.width', '38');
  // the line of the width runs edge to edge
  const asked = await drawnMm(byId('set-back'), 'asked');
  expect(Math.abs(asked.width - 38 * IN)).toBeLessThan(12);
  await next('5 of 13');
  await type(page, 'screen.height', '21 3/4');
  await next('6 of 13');
  await type(page, 'screen.thickness', '2 1/8');
  await next('7 of 13');
  await byId('choice-200x200').click();
  // class, thread and mass limit of the interface standard (VESA FDMI, from memory)
  await expect(byId('pattern-class')).toContainText('Class F');
  await expect(byId('pattern-class')).toContainText('M6 to 110.2 lb');
  await next('8 of 13');
  await type(page, 'screen.patternCentre.top', '8');
  // it sits 8 in under the top edge and is drawn there: 8 in down to the middle of the upper inserts
  const [outline, insert] = await Promise.all([
    drawnMm(byId('set-back'), 'outline'),
    drawnMm(byId('set-back'), 'insert--1-1'),
  ]);
  expect(Math.abs(insert.y + insert.height / 2 - outline.y - 8 * IN)).toBeLessThan(6);
  await next('9 of 13');
  await byId('choice-M6').click();
  await next('10 of 13');
  await expect(byId('set-guide')).toContainText('thin bolt');
  await type(page, 'screen.insert.depth', '14');
  await next('11 of 13');
  await type(page, 'screen.insert.recess', '0');
  await next('12 of 13');
  await byId('choice-flat').click();
  await next('13 of 13');
  await byId('choice-side').click();
  await byId('guide-next').click();
  await expect(byId('set-guide')).toHaveCount(0);

  const job = await sentJob(page, demo, 'guided');
  expect(job.guessed).toBeUndefined();
  // top edge to upper holes 8 in: the middle is 8 in + 100 mm under the top, 21 3/4 / 2 in is the set's
  const up = (21.75 / 2 - 8) * IN - 100;
  expect(job.screen.patternCentre!.up).toBeCloseTo(up, 9);
  expect(job.screen).toMatchObject({
    diagonal: 43 * IN,
    width: 38 * IN,
    insert: { thread: 'M6', depth: 14, recess: 0 },
    back: 'flat',
    ports: 'side',
  });
  expect(job.screen.height).toBeCloseTo(21.75 * IN, 9);
  // nothing is left: the guide says so and starts from the top
  await expect(byId('guide')).toHaveText('go through it step by step');
});

test('a guess from the diagonal is marked until it is measured', async ({ page, demo }) => {
  await openRoom(page, demo, 'guesses', unmeasured, 'set');
  const drawing = page.getByTestId('canvas');
  await expect(drawing).toContainText('34 5/16 ? wide');
  await expect(drawing).toContainText('200 x 200 ?');
  await expect(page.getByTestId('stage-set')).toHaveAttribute('aria-label', /not done/);
  for (const [field, text] of [
    ['screen.diagonal', '43'],
    ['screen.width', '38'],
    ['screen.height', '21 3/4'],
    ['screen.mass', '19'],
  ] as const)
    await type(page, field, text);
  await page.getByTestId('choice-200x200').click();
  // measured; what is left to do is the insert
  await expect(page.getByTestId('stage-set')).toHaveAttribute('aria-label', 'Set, to do');
  await expect(drawing.getByText('38 wide', { exact: true })).toBeVisible();
});

test('every screw that works, the deepest first, cut through to scale; and why the others do not', async ({
  page,
  demo,
}) => {
  await openRoom(page, demo, 'screws', guestRoom, 'set');
  const screws = page.getByTestId('screws');
  const rows = screws.locator('[data-testid^="stack-"]');
  // insert 14, bracket 2.5: 12 - 2.5 = 9.5 of thread, with the washer 7.9; less than 6 would be none
  await expect(rows).toHaveCount(2);
  const order = () => rows.evaluateAll((all) => all.map((e) => e.getAttribute('data-testid')));
  expect(await order()).toEqual(['stack-M6x12', 'stack-M6x12+w1.6']);
  expect(await figureValue(screws, 'thread in the insert')).toBeCloseTo(9.5, 9);
  await expect(screws).toContainText('9.5 turns');
  await expect(page.getByTestId('misfit-M4x12')).toContainText('wrong thread');
  await expect(page.getByTestId('misfit-M8x20')).toContainText('wrong thread');
  // 30 - 2.5 - 1.6 = 25.9, and 14 - 1 is the deepest
  const long = page.getByTestId('misfit-M6x30');
  await expect(long).toContainText('too long by 12.9 mm (12.9 turns) even with washer 1.6 mm');
  await long.click();
  await expect(page.getByTestId('screw')).toBeVisible();

  // a stepped back needs a spacer: 30 - 2.5 - 20 = 7.5 in the thread
  await unfold(page, 'thickness, back, plugs');
  await page.getByTestId('choice-stepped').click();
  await expect.poll(order).toEqual(['stack-M6x30+s20']);
  await page.getByTestId('stack-M6x30+s20').click();
  const cut = page.getByTestId('screw');
  await expect.poll(async () => (await drawnMm(cut, 'shank')).width).toBeLessThan(31);
  const [shank, engaged] = [await drawnMm(cut, 'shank'), await drawnMm(cut, 'engaged')];
  // drawn with a pencil of a pixel or so
  const pencil = 2.5 / Number(await cut.getAttribute('data-scale'));
  expect(Math.abs(shank.width - 30)).toBeLessThan(pencil);
  expect(Math.abs(shank.height - 6)).toBeLessThan(pencil);
  expect(Math.abs(engaged.width - 7.5)).toBeLessThan(pencil);
  expect((await sentJob(page, demo, 'screws')).choices!.stack).toBe('M6x30+s20');
});

test('no screw of the bag fits: what to buy, and it is used once it is there', async ({ page, demo }) => {
  await openRoom(page, demo, 'buy', guestRoom, 'set');
  await page.getByTestId('choice-M5').click();
  await expect(page.getByTestId('screws').locator('[data-testid^="stack-"]')).toHaveCount(0);
  const stop = page.getByTestId('finding-screw-none');
  await page.getByTestId('folded-findings').click();
  await expect(stop).toContainText('M5');
  const bought = page.getByTestId('bought');
  await expect(bought).toHaveText(/^I have a M5 x [\d.]+$/);
  const length = Number((await bought.textContent())!.split(' x ')[1]);
  // at least one diameter in the thread and a millimetre below: 5 + 2.5 to 14 - 1 + 2.5
  expect(length).toBeGreaterThanOrEqual(7.5);
  expect(length).toBeLessThanOrEqual(15.5);
  await bought.click();
  await expect(page.getByTestId(`stack-M5x${length}`)).toBeVisible();
  await expect(stop).toHaveCount(0);
  await page.getByRole('button', { name: 'undo', exact: true }).click();
  await expect(page.getByTestId(`stack-M5x${length}`)).toHaveCount(0);
});

test('a depth that cannot be is refused at the pad and what was typed stays', async ({ page, demo }) => {
  await openRoom(page, demo, 'depth-wrong', guestRoom, 'set');
  await page.getByTestId('field-screen.insert.depth').click();
  await page.getByTestId('pad-text').fill('-3');
  await page.getByTestId('key-done').click();
  await expect(page.getByTestId('pad-error')).toBeVisible();
  await expect(page.getByTestId('pad-text')).toHaveValue('-3');
  await page.keyboard.press('Escape');
  await unfold(page, 'other patterns');
  await page.getByTestId('field-screen.patternCentre.top').click();
  await page.getByTestId('pad-text').fill('99');
  await page.getByTestId('key-done').click();
  await expect(page.getByTestId('pad-error')).toBeVisible();
  expect((await sentJob(page, demo, 'depth-wrong')).screen).toEqual(guestRoom.screen);
});
