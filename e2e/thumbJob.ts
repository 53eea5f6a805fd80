import type { Page } from '@playwright/test';
import { Thumb, expect, figureValue, test } from './fixtures';

/** A whole job by thumb: a tap is a finger that goes up. Its numbers are tapped key by key where taps are counted. */
export class ThumbJob {
  readonly thumb: Thumb;
  constructor(
    private readonly page: Thumb['page'],
    private readonly counted = false,
  ) {
    this.thumb = new Thumb(page);
  }
  byId = (id: string) => this.page.getByTestId(id);
  tap = (...ids: string[]) => ids.reduce((all, id) => all.then(() => this.thumb.tap(this.byId(id))), Promise.resolve());
  radio = (id: string) => this.thumb.tap(this.byId(id).getByRole('radio'));
  /** Fills one field after the other on the pad, which walks on by itself; `` leaves one as it stands. */
  async fill(first: string, ...texts: string[]) {
    await this.tap(first);
    for (const [i, text] of texts.entries()) {
      const then = i === texts.length - 1 ? 'done' : 'next';
      if (!this.counted && text !== '') await this.byId('pad-text').fill(text.replace(/ ?\. ?/, '.'));
      await this.thumb.keys(this.counted ? text : '', then);
    }
  }
  /** The big button, which has to say where it leads. */
  async on(name: string | RegExp) {
    await expect(this.byId('primary-action')).toHaveText(name);
    await this.tap('primary-action');
  }
  /** At the wall: each mark drilled and found good, the plate levelled after the first. */
  async drill(holes: number) {
    for (let i = 0; i < holes; i++) {
      await expect(this.byId('ladder')).toContainText(`Mark ${i + 1} of ${holes}`);
      await this.tap('tick-good');
      if (i === 0) await this.tap('levelled');
    }
    await this.thumb.tap(this.page.getByRole('button', { name: 'the level', exact: true }));
  }
  /** Read once, and once turned end for end. */
  async level(first: string, turned: string) {
    await this.fill('add-reading', first, turned);
  }
  async end() {
    if (this.counted) test.info().annotations.push({ type: 'taps', description: String(this.thumb.taps) });
    await this.on('Hang');
    const steps = Number(/(\d+) steps$/.exec((await this.byId('primary-action').textContent()) ?? '')?.[1]);
    expect(steps).toBeGreaterThan(8);
    await this.on(/^Hang it/);
    for (let i = 0; i < steps; i++) {
      await expect(this.byId('hanging')).toContainText(`Step ${i + 1} of ${steps}`);
      await this.tap('step-done');
    }
    await this.tap('to-done');
    await this.tap('finish');
    await expect(this.page.getByRole('button', { name: /^done, \d/ })).toBeVisible();
  }
}

/** A hole where the sums beside the journey say, mm from the floor and from the left wall. */
export async function holeAt(page: Page, hole: string, up: number, left: number, slack = 0.5): Promise<void> {
  const row = page.getByTestId(`hole-${hole}`);
  expect(await figureValue(row, 'up from the floor')).toBeCloseTo(up, 6);
  // the middle of its marks, moved a fraction of a millimetre by the usual spacings
  expect(Math.abs((await figureValue(row, 'from the left wall')) - left)).toBeLessThan(slack);
}
