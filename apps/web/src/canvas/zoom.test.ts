import { fitView } from '@steddo/drawing';
import { FITTED, panBy, zoomAt, zoomed } from './zoom';

const SIZE = { width: 400, height: 300 };
const view = fitView({ left: 0, right: 4000, bottom: 0, top: 2500 }, SIZE);

describe('a drawing that is looked at more closely', () => {
  it('keeps what lies under the fingers where it is', () => {
    const at = { x: 130, y: 90 };
    const mm = view.toMm(at.x, at.y);
    let zoom = FITTED;
    for (const by of [2, 1.5, 0.8, 3]) zoom = zoomAt(zoom, by, at, SIZE);
    const px = zoomed(view, zoom).toPx(mm.x, mm.y);
    expect(zoom.factor).toBeCloseTo(7.2, 9);
    expect(Math.hypot(px.x - at.x, px.y - at.y)).toBeLessThan(1e-9);
  });
  it('goes from px to mm and back', () => {
    const close = zoomed(view, zoomAt(FITTED, 5, { x: 350, y: 20 }, SIZE));
    const mm = close.toMm(12, 250);
    expect(close.toPx(mm.x, mm.y)).toEqual({ x: expect.closeTo(12, 9), y: expect.closeTo(250, 9) });
    expect(close.scale).toBeCloseTo(view.scale * 5, 12);
  });
  it('is never further away than it fits, and fits again as it was', () => {
    const out = zoomAt(zoomAt(FITTED, 4, { x: 10, y: 10 }, SIZE), 0.01, { x: 300, y: 200 }, SIZE);
    expect([out.factor, Math.abs(out.x), Math.abs(out.y)]).toEqual([1, 0, 0]);
  });
  it('is moved no further than there is something to see', () => {
    const close = zoomAt(FITTED, 2, { x: 200, y: 150 }, SIZE);
    expect(panBy(close, 1e4, 1e4, SIZE)).toEqual({ factor: 2, x: 0, y: 0 });
    expect(panBy(close, -1e4, -1e4, SIZE)).toEqual({ factor: 2, x: -400, y: -300 });
    expect(panBy(close, 30, -20, SIZE)).toEqual({ factor: 2, x: -170, y: -170 });
  });
});
