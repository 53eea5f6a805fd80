import type { Page } from '@playwright/test';
import type { Job } from '@steddo/contract';
import { atticSnug, guestRoom } from '@steddo/samples';
import { seriousFaults } from './axe';
import { expect, isReady, putRoom, test } from './fixtures';

/** How a phone is held, or how large its owner reads. */
const POSTURES = [
  { name: 'on its side', width: 844, height: 390, root: 16, dark: true, axe: true },
  { name: 'small', width: 360, height: 640, root: 16 },
  { name: 'tall', width: 412, height: 1100, root: 16 },
  { name: 'zoomed to 200 %', width: 195, height: 422, root: 16 },
  { name: 'type of 200 %', width: 390, height: 844, root: 32, axe: true },
] as const;

/** Each stage with its first input, and with something that is said about it. */
const STAGES = {
  set: 'field-screen.diagonal',
  room: 'field-room.wall.width',
  mount: 'mount-louvre-2',
  fit: 'one-number',
  height: 'school-eyes',
  wall: 'mark-edge-left',
  holes: 'to-ladder',
  level: 'add-reading',
  hang: 'fold-gaps',
} as const;

const LEAST_PANEL = 220;

/** What of the page's outer parts lies over another, or out of the window. */
async function misplaced(page: Page): Promise<string[]> {
  return page.evaluate(() => {
    const named = (id: string) => document.querySelector<HTMLElement>(`[data-testid="${id}"]`);
    const parts = ['canvas', 'panel', 'thumb-bar', 'primary-action'].flatMap((id) => {
      const element = named(id);
      return element ? [{ id, box: element.getBoundingClientRect(), element }] : [];
    });
    const faults: string[] = [];
    for (const a of parts) {
      if (a.box.left < -0.5 || a.box.right > window.innerWidth + 0.5) faults.push(`${a.id} beyond the sides`);
      for (const b of parts) {
        if (a === b || a.element.contains(b.element) || b.element.contains(a.element)) continue;
        const wide = Math.min(a.box.right, b.box.right) - Math.max(a.box.left, b.box.left);
        const tall = Math.min(a.box.bottom, b.box.bottom) - Math.max(a.box.top, b.box.top);
        // the one that stays in sight lies over what scrolls below it
        const bar = a.id === 'primary-action' || b.id === 'primary-action';
        if (wide > 1 && tall > 1 && !bar) faults.push(`${a.id} and ${b.id} overlap by ${Math.round(tall)}`);
      }
    }
    if (document.documentElement.scrollWidth > window.innerWidth) faults.push('scrolls sideways');
    return faults;
  });
}

/** Whether a finger on the middle of something meets it, or a part of it. */
const isReachable = (page: Page, id: string) =>
  page.evaluate((wanted) => {
    const element = document.querySelector<HTMLElement>(`[data-testid="${wanted}"]`);
    element?.scrollIntoView({ block: 'center' });
    const box = element?.getBoundingClientRect();
    const met = box && document.elementFromPoint(box.left + box.width / 2, box.top + box.height / 2);
    return Boolean(element && met && (element.contains(met) || met.contains(element)));
  }, id);

/** Whether a posture is gone through by axe, where it turns the page most, and in the dark. */
interface Asked {
  dark: boolean;
  axe: boolean;
}

/** The stage that is shown: panel, action, first input and finding, and what axe finds. */
async function fits(page: Page, stage: string, input: string, { dark, axe }: Asked): Promise<void> {
  await expect(page.getByTestId(input).first()).toBeAttached();
  const box = (await page.getByTestId('panel').boundingBox())!;
  expect([stage, box.height >= LEAST_PANEL - 0.5]).toEqual([stage, true]);
  expect([stage, await misplaced(page)]).toEqual([stage, []]);
  await expect(page.getByTestId('primary-action')).toBeInViewport({ ratio: 0.95 });
  expect([stage, await isReachable(page, input)]).toEqual([stage, true]);
  const finding = page.locator('[data-testid="panel"] [data-testid^="finding-"]').first();
  if ((await finding.count()) > 0) {
    const id = (await finding.getAttribute('data-testid'))!;
    expect([stage, id, await isReachable(page, id)]).toEqual([stage, id, true]);
  }
  if (axe) expect([stage, await seriousFaults(page, 'light', false)]).toEqual([stage, []]);
  if (dark) expect([stage, await seriousFaults(page, 'dark', true)]).toEqual([stage, []]);
}

for (const { name, width, height, root, ...rest } of POSTURES)
  test(`a phone held ${name}: every stage’s action, first input and findings can be reached, nothing overlaps`, async ({
    page,
    demo,
  }) => {
    const asked = { dark: 'dark' in rest, axe: 'axe' in rest };
    await page.setViewportSize({ width, height });
    if (asked.dark) await page.emulateMedia({ colorScheme: 'dark' });
    const open = async (id: string, job: Job, stage: string) => {
      await putRoom(page, demo, id, { ...job, title: 'A room with a longer name than most' });
      await page.goto(`${demo.url}/room/${id}/${stage}`);
      await page.evaluate((px) => {
        document.documentElement.style.fontSize = `${px}px`;
      }, root);
      // the page asks again when its window changes
      await page.setViewportSize({ width: width + 1, height });
      await page.setViewportSize({ width, height });
      await isReady(page);
    };
    await open(`posture-${width}`, guestRoom, 'set');
    for (const [stage, input] of Object.entries(STAGES)) {
      await page.getByTestId(`stage-${stage}`).click();
      await fits(page, stage, input, asked);
    }
    // only what moves has a reach
    await open(`posture-arm-${width}`, atticSnug, 'reach');
    await fits(page, 'reach', 'stage-reach', asked);
  });

test('at the wall on its side the figures have the height, and every answer is there', async ({ page, demo }) => {
  await page.setViewportSize({ width: 844, height: 390 });
  await page.goto(`${demo.url}/room/guest-room/ladder`);
  const figure = page.getByTestId('big-up from the floor');
  await expect(figure).toBeInViewport({ ratio: 1 });
  for (const tick of ['tick-good', 'tick-drifted', 'tick-hollow', 'tick-felt-something'])
    await expect(page.getByTestId(tick)).toBeInViewport({ ratio: 1 });
});

test('in the left hand the fractions, next and the panel are on the left', async ({ page, demo }) => {
  await page.goto(`${demo.url}/device`);
  await page.getByRole('radio', { name: 'left' }).click();
  await page.setViewportSize({ width: 844, height: 390 });
  await page.goto(`${demo.url}/room/guest-room/set`);
  await isReady(page);
  const left = async (id: string) => (await page.getByTestId(id).boundingBox())!.x;
  expect(await left('panel')).toBeLessThan(await left('canvas'));
  await page.getByTestId('field-screen.width').click();
  expect(await left('key-1/2')).toBeLessThan(await left('key-7'));
  expect(await left('key-7')).toBeLessThan(await left('key-9'));
  expect(await left('key-next')).toBeLessThan(await left('key-done'));
});
