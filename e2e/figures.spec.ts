import { expect, test } from './fixtures';

/** The operations of a working, written again here, so that the page is checked and not quoted. */
interface Node {
  value: number;
  op: string | null;
  terms: Node[];
}
function evaluate({ value, op, terms }: Node): number {
  if (!op) return value;
  const v = terms.map(evaluate);
  const [a = NaN, b = NaN] = v;
  const table: Record<string, () => number> = {
    '+': () => v.reduce((s, x) => s + x, 0),
    '-': () => v.slice(1).reduce((s, x) => s - x, a),
    '*': () => v.reduce((s, x) => s * x, 1),
    '/': () => a / b,
    mean: () => v.reduce((s, x) => s + x, 0) / v.length,
    min: () => Math.min(...v),
    max: () => Math.max(...v),
    abs: () => Math.abs(a),
    tan: () => Math.tan((a * Math.PI) / 180),
    atan: () => (Math.atan2(a, b) * 180) / Math.PI,
    hypot: () => Math.hypot(...v),
  };
  return table[op]!();
}

/** The mount's come with its list from the worker; those of the others are in apps/web/src/work/figures.test.tsx. */
for (const stage of ['mount'])
  test(`every figure at ${stage} opens its working, which comes to the number shown`, async ({ page, demo }) => {
    await page.goto(`${demo.url}/room/guest-room/${stage}`);
    const figures = page.getByTestId('figure');
    await expect(figures.first()).toBeVisible();
    // the ranking comes from the worker, a moment after the rest
    await expect(page.getByTestId('advice')).toBeVisible();
    const count = await figures.count();
    expect(count).toBeGreaterThanOrEqual(3);
    for (let i = 0; i < count; i++) {
      const figure = figures.nth(i);
      const label = String(await figure.getAttribute('aria-label'));
      const shown = Number(await figure.locator('[data-value]').getAttribute('data-value'));
      await figure.click();
      const sheet = page.getByTestId('working-sheet');
      await expect(sheet.getByTestId('working-line')).toBeVisible();
      for (;;) {
        const closed = sheet.locator('[aria-expanded=false]');
        if ((await closed.count()) === 0) break;
        await closed.first().click();
      }
      const tree = await sheet.evaluate((root) => {
        const read = (node: Element): unknown => {
          const children = [...node.querySelectorAll('[data-testid=working-node]')].filter(
            (c) => c.parentElement!.closest('[data-testid=working-node]') === node,
          );
          return {
            value: Number(node.getAttribute('data-value')),
            op: node.getAttribute('data-op'),
            terms: children.map(read),
          };
        };
        return read(root.querySelector('[data-testid=working-node]')!);
      });
      const value = evaluate(tree as Node);
      expect([label, value.toFixed(7)]).toEqual([label, shown.toFixed(7)]);
      await page.keyboard.press('Escape');
      await expect(sheet).toHaveCount(0);
    }
  });

test('Back closes the working, then the pad, and not the room', async ({ page, demo }) => {
  await page.goto(`${demo.url}/`);
  await page.getByTestId('room-guest-room').click();
  await page.getByTestId('stage-height').click();
  await page.getByTestId('figure').first().click();
  await expect(page.getByTestId('working-sheet')).toBeVisible();
  await page.goBack();
  await expect(page.getByTestId('working-sheet')).toHaveCount(0);
  await expect(page).toHaveURL(/guest-room\/height/);
  await page.getByTestId('field-choices.centreY').click();
  await expect(page.getByTestId('pad')).toBeVisible();
  await page.goBack();
  await expect(page.getByTestId('pad')).toHaveCount(0);
  await expect(page).toHaveURL(/guest-room\/height/);
  await page.goBack();
  await expect(page.getByTestId('new-room')).toBeVisible();
});
