import type { Evidence, Job } from '@steddo/contract';
import { plan, withKit } from '@steddo/core';
import { demoCatalogue, guestRoom } from '@steddo/samples';
import { expect, isReady, openRoom, sentJob, test, type, unfold } from './fixtures';

const { anchors, lags, bits } = demoCatalogue;
const edges = (...xs: number[]): Evidence[] =>
  xs.flatMap((x, s) =>
    [1400, 1500].flatMap((y, k): Evidence[] => [
      { id: `l${s}${k}`, kind: 'edge-left', x: x - 19, y },
      { id: `r${s}${k}`, kind: 'edge-right', x: x + 19, y },
    ]),
  );
const hollow = (...xs: number[]): Evidence[] =>
  xs.map((x) => ({ id: `n${x}`, kind: 'probe' as const, x, y: 1450, found: 'hollow' as const }));

/** The set's middle is 1828.8; no stud comes under its slots without more slide than there is. */
const missing: Job = {
  ...guestRoom,
  levelReadings: [],
  mount: {
    ...guestRoom.mount!,
    slide: 12,
    plate: {
      ...guestRoom.mount!.plate!,
      slots: [35, 165].flatMap((y) => [-200, -140, 140, 200].map((x) => ({ x, y, length: 40, height: 10 }))),
    },
  },
  evidence: [
    ...edges(1520, 1926, 2332),
    ...hollow(1610, 1620, 1629, 1640, 1650, 1680, 1690, 1700, 1960, 1970, 1980, 2010, 2020, 2029, 2040, 2050),
  ],
  looks: [1560, 1700, 1880, 1970, 2290].map((x, i) => ({
    id: `k${i}`,
    x,
    y: 1550,
    reach: 400,
    bay: 'both' as const,
    found: 'clear' as const,
  })),
};

test('three schools on one room: one stops, one minds, one follows the pack', async ({ page, demo }) => {
  await openRoom(page, demo, 'three-schools', { ...missing, anchors, lags, bits }, 'holes');
  const row = (school: string) => page.getByTestId(`fixing-${school}`);
  await unfold(page, 'schools: studs or anchors');
  await expect(row('studs-only')).toContainText('no holes under this school');
  await expect(row('studs-only')).toContainText('stop');
  await expect(row('stud-first')).toContainText('Anchors in board');
  await expect(row('stud-first')).toContainText('mind');
  await expect(row('rated-anchors')).toContainText('Anchors in board');
  await expect(row('rated-anchors')).toContainText('go');
  // the default is wood first; the other one is one tap away, and the list of holes follows
  await expect(row('stud-first')).toHaveAttribute('aria-checked', 'true');
  await expect(page.getByTestId('hole-h1')).toContainText('into board');
  await row('studs-only').click();
  await expect(page.getByTestId('hole-h1')).toHaveCount(0);
  await expect(page.getByTestId('finding-no-stud-in-slots')).toBeVisible();
  expect((await sentJob(page, demo, 'three-schools')).fixing!.school).toBe('studs-only');
});

test('an arm on anchors: refused, then stopped with its numbers until somebody says that they have read it', async ({
  page,
  demo,
}) => {
  const arm = {
    ...missing.mount!,
    type: 'full-motion' as const,
    depth: { folded: 60, extended: 300 },
    swivel: { left: 45, right: 45 },
    mass: 3,
    movingMass: 1,
  };
  const light = { ...missing.screen, mass: 2.5 };
  await openRoom(page, demo, 'arm-anchors', { ...missing, mount: arm, screen: light }, 'holes');
  await expect(page.getByTestId('hole-h1')).toHaveCount(0);
  await page.getByTestId('fixing-rated-anchors').click();
  const asked = page.getByTestId('finding-arm-on-anchors');
  await expect(asked).toContainText('hollow-wall anchors');
  await expect(asked).toContainText(/pulled with \d+ N, and a quarter of its rating is \d+ N/);
  await expect(page.getByTestId('fixing-rated-anchors')).toContainText('stop');
  await asked.getByRole('button').click();
  const { fixing } = await sentJob(page, demo, 'arm-anchors');
  expect(fixing!.acknowledged).toMatchObject([{ code: 'arm-on-anchors' }]);
  await expect(page.getByTestId('fixing-rated-anchors')).toContainText(/mind$/);
});

test('in mid-job: 6 mm of drift, then wood where hollow was expected; nothing is lost on a reload', async ({
  page,
  demo,
}) => {
  const job: Job = { ...missing, fixing: { school: 'rated-anchors' } };
  await openRoom(page, demo, 'mid-job', job, 'holes');
  const before = plan(withKit(job, demoCatalogue)).holes!;
  await page.getByTestId('to-ladder').click();
  const ladder = page.getByTestId('ladder');
  await expect(ladder).toContainText('Mark 1 of 4');
  await expect(page.getByTestId('mark-face')).toContainText('Test first with the 3 mm bit');
  await expect(page.getByTestId('big-up from the floor')).toHaveAttribute('data-value', /./);
  // the drill ran off 6 mm downwards: imperial steps of 1/16 in, four of them are 6.35 mm
  await page.getByTestId('tick-drifted').click();
  for (let i = 0; i < 4; i++) await page.getByTestId('nudge-lower-1').click();
  await page.getByTestId('moved-take').click();
  await expect(ladder).toContainText('Now the level');
  // the sheet that closed goes one step back in the history first
  await page.waitForTimeout(300);
  await page.reload();
  await expect(ladder).toContainText('Now the level');
  await page.getByTestId('levelled').click();
  await expect(ladder).toContainText('Mark 2 of 4');
  let saved = await sentJobOf(page, demo, 'mid-job');
  expect(saved.drilled).toMatchObject([{ hole: 'h1', result: 'drifted', into: 'board' }]);
  expect(saved.drilled![0]!.y).toBeCloseTo(before[0]!.y - 6.35, 3);
  const after = plan(withKit(saved, demoCatalogue));
  expect(after.holes!.find((h) => h.id === 'h1')!.done).toBe(true);
  // the other three hang 6.35 mm lower with it, under numbers that no pencil has written yet
  for (const h of after.holes!.filter((o) => !o.done)) {
    expect(before.map((b) => b.id)).not.toContain(h.id);
    expect(before.some((b) => Math.abs(b.x - h.x) < 1 && Math.abs(b.y - 6.35 - h.y) < 0.01)).toBe(true);
  }
  await expect(page.getByTestId('on-the-level')).toBeVisible();
  // the second hole meets a stud
  await page.getByTestId('tick-stud').click();
  await expect(page.getByTestId('mark-face').or(page.getByTestId('ladder-stop')).first()).toBeVisible();
  saved = await sentJobOf(page, demo, 'mid-job');
  expect(saved.drilled).toHaveLength(2);
  const met = saved.drilled![1]!;
  expect(met).toMatchObject({ result: 'stud', into: 'board' });
  const again = plan(withKit(saved, demoCatalogue));
  expect(again.holes!.find((h) => h.id === 'h1')!.done).toBe(true);
  for (const h of again.holes!.filter((o) => o.into === 'board' && !o.done))
    expect(Math.abs(h.x - met.x)).toBeGreaterThan(25);
  await page.reload();
  await expect(ladder).not.toContainText('Mark 1 of');
  // and undo takes the last word back
  await page.getByRole('button', { name: 'undo' }).click();
  expect((await sentJobOf(page, demo, 'mid-job')).drilled).toHaveLength(1);
});

/** The ladder shows no save state: what the server has is asked until it is there. */
async function sentJobOf(
  page: Parameters<typeof sentJob>[0],
  server: Parameters<typeof sentJob>[1],
  id: string,
): Promise<Job> {
  let last = '';
  await expect
    .poll(
      async () => {
        const now = await (await page.request.get(`${server.url}/api/rooms/${id}`)).text();
        const same = now === last;
        last = now;
        return same;
      },
      { intervals: [700, 700, 700] },
    )
    .toBe(true);
  return (JSON.parse(last) as { job: Job }).job;
}

test('one mark at a time to the end: from the floor once, then from the level line; read aloud in the same words', async ({
  page,
  demo,
}) => {
  await openRoom(page, demo, 'to-the-end', { ...guestRoom, looks: [] }, 'holes');
  await page.evaluate(() => {
    const said: string[] = [];
    Object.assign(window, { said });
    window.speechSynthesis.speak = (u) => void said.push(u.text);
  });
  await page.getByTestId('to-ladder').click();
  const holes = plan(guestRoom).holes!;
  await page.getByRole('button', { name: 'read it aloud' }).click();
  const said = await page.evaluate(() => (window as unknown as { said: string[] }).said);
  expect(said[0]).toContain('Hole 1, left stud, top row');
  expect(said[0]).toContain('up from the floor');
  expect(said[0]).toContain('Nobody has looked behind it');
  for (let i = 0; i < holes.length; i++) {
    await expect(page.getByTestId('ladder')).toContainText(`Mark ${i + 1} of 4`);
    await expect(page.getByTestId('big-up from the floor')).toHaveCount(i === 0 ? 1 : 0);
    await page.getByTestId('tick-good').click();
    if (i === 0) await page.getByTestId('levelled').click();
  }
  await expect(page.getByTestId('ladder')).toContainText('All drilled');
  await expect(page.getByTestId('ladder')).toContainText('Washers under the heads');
  const { drilled } = await sentJobOf(page, demo, 'to-the-end');
  expect(drilled!.map((d) => [d.hole, d.result])).toEqual(holes.map((h) => [h.id, 'good']));
});

test('something felt at the wall stops the ticking; a load over what it may hold does too', async ({ page, demo }) => {
  await openRoom(page, demo, 'felt-ladder', guestRoom, 'holes');
  await page.getByTestId('to-ladder').click();
  await page.getByTestId('tick-felt-something').click();
  await expect(page.getByTestId('felt-sheet')).toContainText('Stop the drill');
  await page.getByTestId('felt-close').click();
  await expect(page.getByTestId('ladder-stop')).toContainText('Something was felt');
  await expect(page.getByTestId('tick-good')).toBeDisabled();
});

test('loads: a force that a lag may hold opens its working, down to the reduction of its mode', async ({
  page,
  demo,
}) => {
  const job: Job = { ...guestRoom, anchors, lags, bits };
  await openRoom(page, demo, 'loads', job, 'holes');
  const made = plan(job).loads!;
  await unfold(page, 'loads on each fastener');
  const first = page.getByTestId(`load-${made.fasteners[0]!.hole}`);
  await expect(first).toContainText(`${Math.ceil(made.fasteners[0]!.utilisation * 100)} %`);
  await first.getByRole('button', { name: /^may across/ }).click();
  await expect(page.getByTestId('working-sheet')).toContainText('yield load');
  await page
    .getByTestId('working-sheet')
    .getByRole('button', { name: /^yield load, reduced/ })
    .click();
  await expect(page.getByTestId('working-sheet')).toContainText('reduction of its mode');
  await page.keyboard.press('Escape');
  await expect(page.getByTestId('working-sheet')).toHaveCount(0);
});

test('an arm: what it uses as it comes out, drawn and as a table', async ({ page, demo }) => {
  await page.goto(`${demo.url}/room/breakfast-bar/holes`);
  await isReady(page);
  await unfold(page, 'loads on each fastener');
  await expect(page.getByTestId('use-chart').locator('svg')).toBeVisible();
  const rows = page.getByTestId('curve-row');
  expect(await rows.count()).toBeGreaterThan(5);
  await expect(rows.last()).toContainText(/mm out/);
  await expect(rows.last()).toContainText('%');
});

test('the kit: no rating, no answer; the rating of the pack, and the same wall holds', async ({ page, demo }) => {
  const kit = [{ ...anchors![0]!, tension: undefined, shear: undefined }];
  const job: Job = JSON.parse(JSON.stringify({ ...missing, fixing: { school: 'rated-anchors' }, anchors: kit }));
  await openRoom(page, demo, 'kit', job, 'holes');
  await expect(page.getByTestId('hole-h1')).toHaveCount(0);
  await expect(page.getByTestId('finding-anchors-missing')).toBeVisible();
  await unfold(page, 'kit: anchors, lags, bits');
  await page.getByTestId('kit-strap-5').getByRole('button').first().click();
  // letters are no rating, and nothing is half-saved
  await page.getByTestId('field-anchors.strap-5.tension').click();
  await page.getByTestId('pad-text').fill('strong');
  await page.getByTestId('key-done').click();
  await expect(page.getByTestId('pad')).toBeVisible();
  await expect(page.getByTestId('pad-error')).toBeVisible();
  await page.getByTestId('pad-text').fill('1000 N');
  await page.getByTestId('key-done').click();
  await type(page, 'anchors.strap-5.shear', '1000 N');
  await expect(page.getByTestId('hole-h1')).toContainText('into board');
  expect((await sentJob(page, demo, 'kit')).anchors).toMatchObject([{ id: 'strap-5', tension: 1000, shear: 1000 }]);
});

test('light things: a shelf takes the anchor that its load asks for', async ({ page, demo }) => {
  const shelf = {
    id: 's1',
    kind: 'shelf' as const,
    name: 'key shelf',
    left: 300,
    right: 700,
    bottom: 1200,
    top: 1320,
    out: 150,
  };
  const objects = [...(guestRoom.room.objects ?? []), shelf];
  await openRoom(page, demo, 'light', { ...guestRoom, room: { ...guestRoom.room, objects } }, 'holes');
  await unfold(page, 'light things on this wall');
  await type(page, 'room.objects.s1.mass', '4 kg');
  await expect(page.getByTestId('light-s1')).toContainText('%');
  await type(page, 'room.objects.s1.mass', '14 kg');
  await expect(page.getByTestId('light-s1')).toContainText('stop');
  await expect(page.getByTestId('finding-light-heavy')).toContainText('It goes into wood');
});

test('a way out of a stop is shown, then taken: the set moves, and holes are there', async ({ page, demo }) => {
  const job: Job = { ...missing, fixing: { school: 'studs-only' }, evidence: edges(1660, 2066, 2472) };
  await openRoom(page, demo, 'least', job, 'holes');
  await expect(page.getByTestId('remedy-shift-set')).toContainText('Shift the set');
  // shown first, and nothing is taken before a tap
  await page.getByTestId('show-shift-set').click();
  await expect(page.getByTestId('preview-shift-set')).toContainText('4 new in stud');
  expect((await sentJob(page, demo, 'least')).choices?.centreX).toBeUndefined();
  await page.getByTestId('do-shift-set').click();
  await expect(page.getByTestId('hole-h1')).toBeVisible();
  expect((await sentJob(page, demo, 'least')).choices!.centreX).toBeDefined();
});

test('parts and bits to take, for the plan and its second best', async ({ page, demo }) => {
  await openRoom(page, demo, 'parts', { ...guestRoom, fixing: { school: 'stud-first' } }, 'holes');
  await unfold(page, 'parts and bits to take');
  const parts = page.getByTestId('parts');
  await expect(parts.getByTestId('part-fixing').first()).toContainText('4 lag screws');
  await expect(parts.getByTestId('part-washer').first()).toContainText('4 washers');
  await expect(parts).toContainText('besides, for the second best');
  await expect(parts).toContainText('toggle');
});
