import { nearestPose, plan, posed, reachModelOf } from '@steddo/core';
import { atticSnug, guestRoom } from '@steddo/samples';
import { aboveScene, faceScene, sideScene, type Scene, type Shape, type Swung } from '../src';

const made = plan(atticSnug);
const model = reachModelOf(atticSnug, made)!;
const best = made.reach!.seats.find((s) => s.viewer === 'v2')!;
const swung: Swung = { model, at: nearestPose(model, best), angles: true };
const folded: Swung = { model, at: posed(model, model.folded), angles: true };

const shape = (scene: Scene, id: string): Shape | undefined => scene.shapes.find((s) => s.id === id);
function points(scene: Scene, id: string): readonly (readonly [number, number])[] {
  const found = shape(scene, id);
  if (found?.kind !== 'poly') throw new Error(`${id} is no line`);
  return found.points;
}
const long = (a: readonly [number, number], b: readonly [number, number]) => Math.hypot(a[0] - b[0], a[1] - b[1]);

describe('the arm from above', () => {
  const scene = aboveScene(atticSnug, made, swung);
  it('the set keeps its size however it is turned, and stands in front of the wall', () => {
    const [a, b, c, d] = points(scene, 'set-cut');
    expect(long(a!, b!)).toBeCloseTo(1118, 6);
    expect(long(b!, c!)).toBeCloseTo(60, 6);
    expect(long(a!, c!)).toBeCloseTo(long(b!, d!), 6);
    for (const [, y] of points(scene, 'set-cut')) expect(y).toBeLessThanOrEqual(1e-6);
  });
  it('the links keep their lengths: a, b, and the head on the back of the set', () => {
    const [root, elbow, pivot, head] = points(scene, 'arm-links');
    expect(long(root!, elbow!)).toBeCloseTo(292, 6);
    expect(long(elbow!, pivot!)).toBeCloseTo(165, 6);
    expect(long(pivot!, head!)).toBeCloseTo(60, 6);
    // the root is on the plate, as thick as it is
    expect(root![0]).toBeCloseTo(made.placement!.plate!.x, 6);
    expect(root![1]).toBeCloseTo(-3, 6);
    const [a, b] = points(scene, 'set-cut');
    expect(long(a!, head!) + long(head!, b!)).toBeCloseTo(1118, 6);
  });
  it('sight lines end in the middle of the face and say how far off each seat is', () => {
    const [, , c, d] = points(scene, 'set-cut');
    const sight = shape(scene, 'sight-v2')!;
    if (sight.kind !== 'line') throw new Error('a sight line is a line');
    expect(sight.x2).toBeCloseTo((c![0] + d![0]) / 2, 6);
    expect(sight.y2).toBeCloseTo((c![1] + d![1]) / 2, 6);
    expect(scene.labels.find((l) => l.id === 'off-v2')!.text).toBe('0° off');
    expect(Number.parseInt(scene.labels.find((l) => l.id === 'off-v1')!.text, 10)).toBeGreaterThan(30);
  });
  it('what it sweeps begins folded and ends where the set is', () => {
    const swept = shape(scene, 'swept');
    if (swept?.kind !== 'area') throw new Error('what is swept is an area');
    const first = swept.polygons[0]!;
    const last = swept.polygons.at(-1)!;
    points(scene, 'set-folded').forEach((p, i) => expect(long(p, first[i]!)).toBeLessThan(1e-6));
    points(scene, 'set-cut').forEach((p, i) => expect(long(p, last[i]!)).toBeLessThan(1e-6));
  });
  it('folded it is where it hangs and sweeps nothing', () => {
    const still = aboveScene(atticSnug, made, folded);
    expect(shape(still, 'swept')).toBeUndefined();
    const [a, b] = points(still, 'set-cut');
    expect((a![0] + b![0]) / 2).toBeCloseTo(made.placement!.centre.x, 6);
    expect(a![1]).toBeCloseTo(-66, 6);
  });
  it('a place on the floor that is asked about, and the map with every cell once', () => {
    const rows = [
      [0, 5, 20, 40],
      [0, 0, 0, 0],
    ];
    const asked: Swung = { ...swung, stand: { x: 500, z: 2000 }, map: { left: 0, near: 0, step: 50, rows } };
    const drawn = aboveScene(atticSnug, made, asked);
    expect(shape(drawn, 'stand')).toMatchObject({ x: 500, y: -2000 });
    expect(shape(drawn, 'sight-stand')).toBeDefined();
    const area = (id: string) => {
      const s = shape(drawn, id);
      return s?.kind === 'area'
        ? s.polygons.reduce((sum, p) => sum + long(p[0]!, p[1]!) * long(p[1]!, p[2]!), 0) / 2500
        : 0;
    };
    expect([area('map-good'), area('map-fair'), area('map-poor')].map(Math.round)).toEqual([6, 1, 1]);
  });
  it('a door is drawn with what it sweeps, things on side walls on their walls', () => {
    const objects = [
      {
        id: 'd1',
        kind: 'door' as const,
        wall: 'left' as const,
        left: 600,
        right: 1400,
        bottom: 0,
        top: 2000,
        hinge: 'left' as const,
      },
      {
        id: 'c1',
        kind: 'cabinet' as const,
        wall: 'right' as const,
        left: 200,
        right: 900,
        bottom: 900,
        top: 1500,
        out: 300,
      },
    ];
    const drawn = aboveScene({ ...atticSnug, room: { ...atticSnug.room, objects } }, made);
    expect(drawn.shapes.filter((s) => s.role === 'swing').length).toBe(1);
    expect(shape(drawn, 'c1')).toMatchObject({ left: 3600, right: 3900, bottom: -900, top: -200 });
  });
});

describe('the same pose in the other views', () => {
  const corners = points(aboveScene(atticSnug, made, swung), 'set-cut');
  it('face on as wide as it is seen from above, at the height where it hangs', () => {
    const turned = shape(faceScene(atticSnug, made, 'heights', { swung }), 'set-turned')!;
    const xs = corners.map(([x]) => x);
    const { bottom, top } = made.placement!;
    expect(turned).toMatchObject({ left: Math.min(...xs), right: Math.max(...xs), bottom, top });
  });
  it('from the side as deep', () => {
    const turned = shape(sideScene(atticSnug, made, swung), 'set-turned')!;
    const zs = corners.map(([, y]) => -y);
    expect(turned).toMatchObject({ left: Math.min(...zs), right: Math.max(...zs) });
  });
  it('without an arm nothing of it is drawn', () => {
    const still = plan(guestRoom);
    for (const scene of [
      aboveScene(guestRoom, still),
      faceScene(guestRoom, still, 'heights'),
      sideScene(guestRoom, still),
    ])
      expect(scene.shapes.some((s) => ['arm-links', 'set-turned', 'swept'].includes(s.id))).toBe(false);
  });
});
