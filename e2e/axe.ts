import AxeBuilder from '@axe-core/playwright';
import type { Page } from '@playwright/test';

/**
 * What axe finds of some weight. Colours are the tokens', whose contrast a unit test computes: gone through on a few
 * pages with all of them, in the light and in the dark; they take most of axe's time.
 */
export async function seriousFaults(page: Page, scheme: 'light' | 'dark', colours: boolean): Promise<string[]> {
  // colours change at once, so that none is measured on its way
  await page.emulateMedia({ colorScheme: scheme, reducedMotion: 'reduce' });
  // until the page wears them
  if (colours)
    await page.waitForFunction(
      (ink) => getComputedStyle(document.querySelector('[role=heading]')!).color === ink,
      scheme === 'dark' ? 'rgb(240, 237, 230)' : 'rgb(37, 35, 31)',
    );
  await page.waitForFunction(() => document.getAnimations().every((a) => a.playState !== 'running'));
  // half a megabyte, brought to each page once
  const isThere = await page.evaluate(() => 'axe' in window);
  // the lines of a drawing are no part of the page's structure; the drawing itself is
  const axe = new AxeBuilder({ page, ...(isThere ? { axeSource: 'void 0' } : {}) })
    .exclude('svg > *')
    .options({ resultTypes: ['violations'] });
  // no page has frames: all of it in the one, without a page of axe's own for each
  axe.setLegacyMode(true);
  if (scheme === 'dark') axe.withRules(['color-contrast']);
  else if (!colours) axe.disableRules(['color-contrast']);
  const { violations } = await axe.analyze();
  return violations
    .filter((v) => v.impact === 'serious' || v.impact === 'critical')
    .map((v) => `${scheme}: ${v.id}: ${v.nodes.map((n) => n.target.join(' ')).join('; ')}`);
}
