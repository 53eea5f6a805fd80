import type { Page } from '@playwright/test';
import { seriousFaults } from './axe';
import { expect, test, toStage } from './fixtures';

const STAGES = ['set', 'room', 'mount', 'height', 'wall', 'holes', 'level'];
const SMALLEST_PX = 48;

/** Everything that can be hit and is in sight, with its size. */
async function smallTargets(page: Page): Promise<string[]> {
  return page.evaluate((least) => {
    const all = [
      ...document.querySelectorAll<HTMLElement>(
        'button, a, input, [role=button], [role=tab], [role=radio], [role=link], [role=slider]',
      ),
    ];
    return all
      .map((e) => ({ e, box: e.getBoundingClientRect() }))
      .filter(({ e, box }) => box.width > 0 && box.height > 0 && e.tagName !== 'INPUT')
      .filter(({ box }) => box.width < least - 0.5 || box.height < least - 0.5)
      .map(
        ({ e, box }) =>
          `${e.getAttribute('aria-label') ?? e.textContent} ${Math.round(box.width)}x${Math.round(box.height)}`,
      );
  }, SMALLEST_PX);
}

/** What has to be there before a page counts as shown, and what to open on it. */
const PAGES: { path: string; shown: string; open?: string[]; together?: boolean; dark?: boolean }[] = [
  { path: '', shown: 'room-guest-room', dark: true },
  { path: '/room/guest-room/done', shown: 'finish' },
  { path: '/room/guest-room/set', shown: 'set-back', open: ['view-screw', 'guide'] },
  { path: '/room/attic-snug/room', shown: 'face', open: ['view-above'] },
  { path: '/room/guest-room/mount', shown: 'mount-louvre-2', open: ['why-louvre-2'] },
  { path: '/room/clockmakers-bench/height', shown: 'school-top-at-eyes' },
  { path: '/room/clockmakers-bench/reach', shown: 'bench-above', open: ['coverage'] },
  { path: '/room/guest-room/wall', shown: 'face' },
  {
    path: '/room/breakfast-bar/holes',
    shown: 'hole-h1',
    open: ['ways', 'schools', 'loads', 'parts', 'kit', 'light'].map((part) => `fold-${part}`),
    together: true,
    dark: true,
  },
  { path: '/room/guest-room/ladder', shown: 'mark-face', open: ['tick-drifted'], dark: true },
  { path: '/room/stove-parlour/mantel', shown: 'mark-face', open: ['tick-joint'] },
  { path: '/room/stove-parlour/room', shown: 'face', open: ['fold-fire', 'fold-parts', 'zone-z1'], together: true },
  {
    path: '/room/stove-parlour/holes',
    shown: 'hole-h1',
    open: ['view-section', 'fold-mantel', 'word-plate'],
    together: true,
  },
  { path: '/room/stove-parlour/timber', shown: 'at-timber' },
  { path: '/room/hallway-niche/box', shown: 'at-box' },
  { path: '/room/narrowboat-cabin/holes', shown: 'skin-part' },
  { path: '/room/guest-room/sheets', shown: 'sheets' },
  { path: '/room/guest-room/pictures', shown: 'pictures' },
  { path: '/room/guest-room/customer', shown: 'offer-tab-0', open: ['numbers'] },
  { path: '/room/attic-snug/fit', shown: 'one-number', open: ['cannot-fit.box'] },
  { path: '/room/guest-room/hang', shown: 'lead-l1' },
  { path: '/room/guest-room/hanging', shown: 'step-done', dark: true },
  { path: '/room/guest-room/day', shown: 'pack' },
  { path: '/room/guest-room/tolerance', shown: 'tolerance-table', dark: true },
  { path: '/catalogue', shown: 'import' },
  { path: '/catalogue/new', shown: 'form-maxMass', open: ['measure-plate'] },
  { path: '/device', shown: 'keeping' },
  { path: '/room/guest-room/history', shown: 'revision-1', open: ['revision-1'] },
  { path: '/room/guest-room/level', shown: 'face' },
];

const HALF = Math.ceil(PAGES.length / 2);
for (const [which, pages] of [
  ['first', PAGES.slice(0, HALF)],
  ['second', PAGES.slice(HALF)],
] as const)
  test(`axe finds nothing serious, light or dark, every target is large enough (${which} half)`, async ({
    page,
    demo,
  }) => {
    // many pages, each gone through by axe: slow on a busy machine, and nothing hangs
    test.slow();
    const clean = async (what: string, dark = false) =>
      expect([
        what,
        await smallTargets(page),
        dark ? await seriousFaults(page, 'dark', true) : [],
        await seriousFaults(page, 'light', dark),
      ]).toEqual([what, [], [], []]);
    for (const { path, shown, open = [], together, dark } of pages) {
      await page.goto(`${demo.url}${path}`);
      await expect(page.getByTestId(shown).first()).toBeVisible();
      // what is greyed because its plan is still being made is not what is looked at
      await expect(page.getByTestId('late')).toHaveCount(0);
      await clean(path, dark);
      for (const id of open) {
        await page.getByTestId(id).click();
        if (!together || id === open.at(-1)) await clean(`${path} ${id}`, dark);
      }
    }
    if (which === 'first') return;
    await page.getByTestId('figure').first().click();
    await expect(page.getByTestId('working-sheet')).toBeVisible();
    await clean('working');
    await page.keyboard.press('Escape');
    await page.getByTestId('add-reading').click();
    await expect(page.getByTestId('pad')).toBeVisible();
    await clean('pad', true);
  });

test('on a phone with the browser’s bars the action and the three numbers are in sight', async ({ page, demo }) => {
  await page.setViewportSize({ width: 390, height: 664 });
  const inSight = async () => {
    await expect(page.getByTestId('primary-action')).toBeInViewport({ ratio: 1 });
    const numbers = page.getByTestId('thumb-bar').getByTestId('figure');
    await expect(numbers).toHaveCount(3);
    for (const i of [0, 1, 2]) await expect(numbers.nth(i)).toBeInViewport({ ratio: 1 });
    expect(await page.evaluate(() => document.documentElement.scrollWidth <= window.innerWidth)).toBe(true);
  };
  await page.goto(`${demo.url}/room/guest-room`);
  for (const stage of STAGES) {
    await toStage(page, stage);
    await inSight();
  }
  // only what moves has a reach
  await page.goto(`${demo.url}/room/attic-snug/reach`);
  await inSight();
});

test('with the pad open at least 220 px of the drawing stay in sight', async ({ page, demo }) => {
  await page.setViewportSize({ width: 390, height: 664 });
  await page.goto(`${demo.url}/room/guest-room/set`);
  await page.getByTestId('field-screen.width').click();
  await expect(page.getByTestId('pad')).toBeInViewport({ ratio: 1 });
  expect((await page.getByTestId('canvas').boundingBox())!.height).toBeGreaterThanOrEqual(220);
  await page.getByTestId('pad-text').fill('abc');
  await page.getByTestId('key-done').click();
  await expect(page.getByTestId('pad-error')).toBeInViewport({ ratio: 1 });
  await expect(page.getByTestId('key-done')).toBeInViewport({ ratio: 1 });
});

test('rooms that are not ready say what they lack', async ({ page, demo }) => {
  await page.goto(demo.url);
  await page.getByTestId('room-attic-snug').scrollIntoViewIfNeeded();
  await expect(page.getByTestId('room-attic-snug')).toContainText('needs 1, and the marks show');
  await page.getByTestId('room-breakfast-bar').scrollIntoViewIfNeeded();
  await expect(page.getByTestId('room-breakfast-bar')).toContainText('3 to do');
  await page.goto(`${demo.url}/room/attic-snug/holes`);
  await expect(page.getByTestId('finding-find-the-stud-first')).toBeVisible();
  await expect(page.getByText('No holes yet')).toBeVisible();
});

/** Moved about by itself, without anybody having touched it: the browser's page score, 0.1 is its bound of "good". */
const MOST_SHIFT = 0.05;

test('pages do not jump while they come: the layout shifts by less than 0.05', async ({ page, demo }) => {
  for (const [path, shown] of [
    ['', 'room-guest-room'],
    ['/room/guest-room/set', 'field-screen.diagonal'],
    ['/room/guest-room/mount', 'mount-louvre-2'],
    ['/room/guest-room/holes', 'hole-h1'],
    ['/room/guest-room/ladder', 'mark-face'],
    ['/room/guest-room/customer', 'offer-tab-0'],
    ['/catalogue', 'catalogue-count'],
  ] as const) {
    await page.goto(`${demo.url}${path}`);
    await expect(page.getByTestId(shown).first()).toBeVisible();
    await page.waitForTimeout(700);
    const shift = await page.evaluate(
      () =>
        new Promise<number>((resolve) => {
          let sum = 0;
          new PerformanceObserver((list) => {
            for (const entry of list.getEntries() as (PerformanceEntry & { value: number; hadRecentInput: boolean })[])
              if (!entry.hadRecentInput) sum += entry.value;
          }).observe({ type: 'layout-shift', buffered: true });
          setTimeout(() => resolve(sum), 100);
        }),
    );
    expect([path, shift < MOST_SHIFT ? 'still' : shift]).toEqual([path, 'still']);
  }
});
