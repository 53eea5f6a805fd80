import { readFileSync } from 'node:fs';
import { join } from 'node:path';
import type { Page } from '@playwright/test';
import { expect, test } from './fixtures';
import { ROOT } from './server';

/** Everything on a page that does not wear our colours, corners or type. */
async function undressed(page: Page, palette: readonly string[]): Promise<string[]> {
  return page.evaluate((allowed) => {
    const own = new Set(allowed.map((hex) => hex.slice(0, 7).toLowerCase()));
    const hexOf = (colour: string): string | undefined => {
      const [r, g, b, alpha = 1] = (colour.match(/[\d.]+/g) ?? []).map(Number);
      if (r === undefined || alpha === 0) return undefined;
      return `#${[r, g, b].map((c) => Math.round(c!).toString(16).padStart(2, '0')).join('')}`;
    };
    const faults = new Set<string>();
    for (const element of document.querySelectorAll<HTMLElement>('#root *, [role=dialog] *')) {
      const box = element.getBoundingClientRect();
      if (box.width === 0 || box.height === 0 || element.closest('svg')) continue;
      const style = getComputedStyle(element);
      const name =
        element.dataset.testid ?? element.getAttribute('aria-label') ?? element.textContent?.slice(0, 30) ?? '';
      const words = [...element.childNodes].some((n) => n.nodeType === Node.TEXT_NODE && n.textContent?.trim());
      const colours = [style.backgroundColor, ...(words ? [style.color] : [])];
      for (const side of ['Top', 'Right', 'Bottom', 'Left'] as const)
        if (parseFloat(style[`border${side}Width`]) > 0) colours.push(style[`border${side}Color`]);
      for (const colour of colours) {
        const hex = hexOf(colour);
        if (hex && !own.has(hex)) faults.add(`${hex} on ${name}`);
      }
      if (parseFloat(style.borderTopLeftRadius) > 0) faults.add(`corner ${style.borderTopLeftRadius} on ${name}`);
      if (words && !/^"?(Atkinson Hyperlegible|B612)/.test(style.fontFamily))
        faults.add(`${style.fontFamily} on ${name}`);
      if (style.boxShadow !== 'none' && !/0px 0px 0px/.test(style.boxShadow))
        faults.add(`shadow on ${name}: ${style.boxShadow}`);
    }
    return [...faults];
  }, palette);
}

/** The colours of a scheme, as the tokens have them. */
function coloursOf(scheme: 'light' | 'dark'): string[] {
  const text = readFileSync(join(ROOT, 'apps/web/src/ui/tokens.ts'), 'utf8');
  const [, block = ''] = new RegExp(`export const ${scheme}: Palette = {([^}]*)}`).exec(text) ?? [];
  return [...block.matchAll(/#[0-9A-F]{6}/g)].map(([hex]) => hex);
}

for (const scheme of ['light', 'dark'] as const)
  test(`everything wears our own colours, corners and type (${scheme})`, async ({ page, demo }) => {
    expect(coloursOf(scheme).length).toBeGreaterThan(15);
    await page.emulateMedia({ colorScheme: scheme, reducedMotion: 'reduce' });
    const check = async (what: string) => expect([what, await undressed(page, coloursOf(scheme))]).toEqual([what, []]);
    await page.goto(demo.url);
    await expect(page.getByTestId('new-room')).toBeVisible();
    await check('rooms');
    await page.goto(`${demo.url}/room/guest-room/height`);
    await page.getByTestId('thumb-bar').getByTestId('figure').first().click();
    await expect(page.getByTestId('working-sheet')).toBeVisible();
    await check('a sheet over the height');
    await page.keyboard.press('Escape');
    await page.getByTestId('field-choices.centreY').click();
    await expect(page.getByTestId('pad')).toBeVisible();
    await page.getByTestId('pad-text').fill('nonsense');
    await page.getByTestId('key-done').click();
    await check('the pad with a fault');
    await page.goto(`${demo.url}/room/guest-room/mount`);
    await expect(page.getByTestId('mount-louvre-2')).toBeVisible();
    await check('mounts');
    await page.goto(`${demo.url}/catalogue/new`);
    await expect(page.getByTestId('form-maxMass')).toBeVisible();
    await check('a form');
    await page.goto(`${demo.url}/room/guest-room/holes`);
    await page.getByRole('button', { name: /, change its name$/ }).click();
    await expect(page.getByTestId('name-input')).toBeVisible();
    await check('a dialog over the holes');
  });
