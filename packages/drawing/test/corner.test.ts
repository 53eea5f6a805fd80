import { demoCatalogue, sewingCorner } from '@steddo/samples';
import { plan, withKit } from '@steddo/core';
import { aboveScene, mirrorScene, sideScene, unfoldedFace, wallFace, type Scene, type Shape } from '../src';

/* A corner on paper: both walls side by side as if the sheet were folded there, and from above with its own angle. */

const job = withKit(sewingCorner, demoCatalogue);
const made = plan(job);
const { width } = job.room.wall;
const other = job.room.sideWalls!.left!.width!;
const find = (scene: Scene, id: string) => scene.shapes.find((s) => s.id === id)!;
const box = (s: Shape) => s as Extract<Shape, { kind: 'rect' }>;

describe('a corner unfolded', () => {
  const scene = unfoldedFace(job, made, 'holes');
  it('has the left wall left of the fold, turned round, so that what is near the corner is near the fold', () => {
    expect(scene.bounds).toMatchObject({ left: 0, right: other + width });
    const windowOf = box(find(scene, 'side:o3'));
    const thing = job.room.objects!.find((o) => o.id === 'o3')!;
    expect([windowOf.left, windowOf.right]).toEqual([other - thing.right, other - thing.left]);
    const outlet = box(find(scene, 'o2'));
    expect(outlet.left - other).toBe(job.room.objects!.find((o) => o.id === 'o2')!.left);
  });
  it('has every hole as far from the fold as it is from the corner', () => {
    for (const h of made.holes!) {
      const cross = find(scene, h.id) as Extract<Shape, { kind: 'cross' }>;
      expect(Math.abs(cross.x - other)).toBeCloseTo(h.x, 6);
      expect(cross.y).toBeCloseTo(h.y, 9);
      expect(cross.x < other).toBe(h.wall === 'left');
    }
  });
  it('joins the set at the fold, as far over both walls as it hangs before them', () => {
    const [near, far] = [box(find(scene, 'set')), box(find(scene, 'side:set'))];
    expect(near.left).toBeCloseTo(other, 6);
    expect(far.right).toBeCloseTo(other, 6);
    expect(near.right - other).toBeCloseTo(other - far.left, 6);
    expect(new Set(scene.shapes.map((s) => `${s.role}-${s.id}`)).size).toBe(scene.shapes.length);
  });
  it('has a floor from its left end to its right one on either wall', () => {
    for (const id of ['floor', 'side:floor']) {
      const floor = find(scene, id) as Extract<Shape, { kind: 'line' }>;
      expect(floor.x1).toBeLessThan(floor.x2);
    }
  });
  it('a wall by itself turned round twice is as it was', () => {
    const left = wallFace(job, made, 'left', 'studs');
    expect(mirrorScene(mirrorScene(left, other), other)).toEqual(left);
  });
});

describe('a corner from above', () => {
  it('has the set’s back corners on both walls, the feet on their own, each link as long as it is', () => {
    const scene = aboveScene(job, made);
    const set = find(scene, 'set-cut') as Extract<Shape, { kind: 'poly' }>;
    const [a, b] = set.points;
    // square: the other wall runs straight down from the corner
    expect(Math.min(Math.abs(a![0]), Math.abs(b![0]))).toBeCloseTo(0, 6);
    expect(Math.min(Math.abs(a![1]), Math.abs(b![1]))).toBeCloseTo(0, 6);
    for (const wall of ['main', 'left']) {
      const { points } = find(scene, `link-${wall}`) as Extract<Shape, { kind: 'poly' }>;
      const [from, to] = points;
      // a foot goes to its stud within its slot, so that the drawn link is as long as the rack's to a few mm
      expect(Math.abs(Math.hypot(from![0] - to![0], from![1] - to![1]) - job.mount!.corner!.link)).toBeLessThan(8);
    }
  });
  it('at 110 degrees the other wall leans away, and nothing of the set is behind it', () => {
    const wide = { ...job, room: { ...job.room, cornerAngle: 110 } };
    const scene = aboveScene(wide, plan(wide));
    const wall = find(scene, 'side-cut') as Extract<Shape, { kind: 'poly' }>;
    const [from, to] = wall.points;
    const lean = (Math.atan2(-(to![1] - from![1]), to![0] - from![0]) * 180) / Math.PI;
    expect(lean).toBeCloseTo(110, 6);
    const set = find(scene, 'set-cut') as Extract<Shape, { kind: 'poly' }>;
    for (const [x, y] of set.points) {
      const off = x * Math.sin((110 * Math.PI) / 180) - -y * Math.cos((110 * Math.PI) / 180);
      expect(off).toBeGreaterThanOrEqual(-1e-6);
    }
  });
});

describe('a corner from the side', () => {
  it('has eyes and set where they are along its middle line', () => {
    const scene = sideScene(job, made);
    const set = box(find(scene, 'set-cut'));
    expect([set.left, set.right]).toEqual([made.corner!.standOff, made.corner!.front]);
    // by hand: (2050 + 1500) / root 2 ahead of the corner
    const sight = find(scene, 'sight-v1') as Extract<Shape, { kind: 'line' }>;
    expect(sight.x1).toBeCloseTo((2050 + 1500) / Math.SQRT2, 6);
  });
});
