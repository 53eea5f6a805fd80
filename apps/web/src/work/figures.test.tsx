import { atticSnug, guestRoom } from '@steddo/samples';
import { fireEvent, screen, within } from '@testing-library/react';
import { STAGE } from '../shell/stages';
import { ThumbBar } from '../shell/ThumbBar';
import { STAGES, type BuiltStage } from '../state/stageIds';
import { openRoom, settled } from '../testing/openRoom';

jest.mock('../data/shared', () => jest.requireActual('../testing/memoryStore').memoryStore());
jest.mock('expo-router', () => ({ router: {} }));
jest.mock('../worker/catalogue', () => ({ catalogueWorker: () => undefined }));
jest.mock('../worker/wall', () => ({ wallWorker: () => ({ nextLooks: () => Promise.resolve(undefined) }) }));
jest.mock('../worker/reach', () => ({ reachWorker: () => undefined }));

jest.setTimeout(60_000);

/** The operations of a working, written again here, so that the page is checked and not quoted. */
const OPS: Record<string, (v: number[]) => number> = {
  '+': (v) => v.reduce((s, x) => s + x, 0),
  '-': ([a = NaN, ...v]) => v.reduce((s, x) => s - x, a),
  '*': (v) => v.reduce((s, x) => s * x, 1),
  '/': ([a = NaN, b = NaN]) => a / b,
  mean: (v) => v.reduce((s, x) => s + x, 0) / v.length,
  min: (v) => Math.min(...v),
  max: (v) => Math.max(...v),
  abs: ([a = NaN]) => Math.abs(a),
  tan: ([a = NaN]) => Math.tan((a * Math.PI) / 180),
  atan: ([a = NaN, b = NaN]) => (Math.atan2(a, b) * 180) / Math.PI,
  hypot: (v) => Math.hypot(...v),
};

/** What a drawn working comes to, from the parts that it shows. */
function evaluate(node: Element): number {
  const { value, op } = (node as HTMLElement).dataset;
  if (!op) return Number(value);
  const parts = [...node.querySelectorAll('[data-testid=working-node]')].filter(
    (n) => n.parentElement!.closest('[data-testid=working-node]') === node,
  );
  return OPS[op]!(parts.map(evaluate));
}

/** The mount's own numbers come with its ranked list, from a worker: one case of them is looked at in a browser. */
const HERE = STAGES.filter((s) => s !== 'mount');

describe('every figure', () => {
  it.each(HERE)('at %s opens its working, which comes to the number shown', async (stage: BuiltStage) => {
    const Body = await STAGE[stage].body.later.bring();
    openRoom(
      stage === 'reach' ? atticSnug : guestRoom,
      <>
        <Body />
        <ThumbBar stage={stage} />
      </>,
    );
    await settled();
    const figures = screen.getAllByTestId('figure');
    expect(figures.length).toBeGreaterThanOrEqual(3);
    for (const figure of figures) {
      const shown = Number(figure.querySelector<HTMLElement>('[data-value]')!.dataset.value);
      fireEvent.click(figure);
      const sheet = screen.getByTestId('working-sheet');
      expect(within(sheet).getByTestId('working-line').textContent).not.toMatch(/NaN|undefined/);
      for (;;) {
        // by attribute and not by role: working out every role of a page is slow without a browser
        const closed = sheet.querySelector('[aria-expanded=false]');
        if (!closed) break;
        fireEvent.click(closed);
      }
      const value = evaluate(sheet.querySelector('[data-testid=working-node]')!);
      expect([figure.getAttribute('aria-label'), value.toFixed(7)]).toEqual([
        figure.getAttribute('aria-label'),
        shown.toFixed(7),
      ]);
      fireEvent.click(within(sheet).getByLabelText('close'));
    }
  });
});
