import type { Mount } from '@steddo/contract';
import { moves } from '@steddo/core';
import { demoCatalogue } from '@steddo/samples';
import { mountAboveScene, mountSideScene, type Scene } from '../src';

const mount = (id: string): Mount => demoCatalogue.mounts.find((m) => m.id === id)!;
function points(scene: Scene, id: string): readonly (readonly [number, number])[] {
  const found = scene.shapes.find((s) => s.id === id);
  if (found?.kind !== 'poly') throw new Error(`${id} is no line`);
  return found.points;
}
const long = (a: readonly [number, number], b: readonly [number, number]) => Math.hypot(a[0] - b[0], a[1] - b[1]);

describe('a mount from above', () => {
  // links 292 and 165 on a plate 3 thick, head 60: 520, as its label says; turns 60 each way
  const arm = mount('pintle-2');
  const scene = mountAboveScene(arm, 'metric');
  it('its links are as long folded as out, and reach what the label says', () => {
    const [out, folded] = [points(scene, 'link-out'), points(scene, 'link-folded')];
    for (const [i, link] of [292, 165].entries()) {
      expect(long(out[i]!, out[i + 1]!)).toBeCloseTo(link, 6);
      // folded it hangs as measured, to the millimetre of a tape
      expect(Math.abs(long(folded[i]!, folded[i + 1]!) - link)).toBeLessThan(1);
    }
    expect(-out.at(-1)![1] + arm.arm!.head!).toBeCloseTo(520, 6);
  });
  it('the set’s back is as far off the wall as the label says, folded and out, and turned as far as it goes', () => {
    expect(-points(scene, 'set')[0]![1]).toBeCloseTo(arm.depth.folded, 6);
    expect(-points(scene, 'set-out')[0]![1]).toBeCloseTo(520, 6);
    const [a, b] = points(scene, 'set-turned');
    // turned to the right: its right end comes towards the wall
    expect((Math.atan2(a![1] - b![1], b![0] - a![0]) * 180) / Math.PI).toBeCloseTo(-arm.swivel!.right, 6);
    expect(long(a!, b!)).toBeCloseTo(arm.pattern.max.width, 6);
  });
  it('every mount of the list keeps within its frame, whether it moves or not', () => {
    for (const m of demoCatalogue.mounts) {
      for (const { bounds, shapes } of [mountAboveScene(m, 'imperial'), mountSideScene(m, 'imperial')])
        for (const s of shapes)
          for (const [x, y] of s.kind === 'poly' ? s.points : []) {
            expect(Number.isFinite(x) && Number.isFinite(y)).toBe(true);
            expect([m.id, x >= bounds.left && x <= bounds.right && y >= bounds.bottom]).toEqual([m.id, true]);
          }
      expect(mountAboveScene(m, 'metric').shapes.some((s) => s.id === 'link-out')).toBe(moves(m));
    }
  });
});

describe('a mount from the side', () => {
  it('tilts the set about its rail by what the label says', () => {
    const tilt = mount('louvre-2');
    const [low, high] = points(mountSideScene(tilt, 'metric'), 'set-tilted');
    expect((Math.atan2(high![0] - low![0], high![1] - low![1]) * 180) / Math.PI).toBeCloseTo(tilt.tilt!.down, 6);
    // about the rail in its middle
    expect((low![0] + high![0]) / 2).toBeCloseTo(tilt.depth.folded, 6);
    expect((low![1] + high![1]) / 2).toBeCloseTo(tilt.hook!.above, 6);
  });
  it('a fixed one has nothing tilted', () => {
    expect(mountSideScene(mount('batten-2'), 'metric').shapes.some((s) => s.role === 'set-tilted')).toBe(false);
  });
});
