import { plan, withKit } from '@steddo/core';
import { demoCatalogue, guestRoom, stoveParlour } from '@steddo/samples';
import { faceScene, mantelScene, sectionScene, sideScene, type Scene } from '../src';

const made = plan(stoveParlour);
const rectIn = (scene: Scene, id: string) => {
  const shape = scene.shapes.find((s) => s.kind === 'rect' && s.id === id);
  if (shape?.kind !== 'rect') throw new Error(`${id} is not drawn`);
  return shape;
};

describe('the cut through the plate', () => {
  const scene = sectionScene(stoveParlour, made, 'h1')!;
  const [lag, , sleeve] = made.holes!;
  it('has its plate on the plane of the brick, and packing from the panel out to it', () => {
    expect(rectIn(scene, 'plate-cut')).toMatchObject({ left: 38, right: 40.5, top: made.placement!.plate!.top });
    expect(rectIn(scene, 'packing-0')).toMatchObject({ left: 0, right: 38, bottom: 1875 });
  });
  it('each screw ends where its numbers say: as far in the stud as the plan has it, and in its brick', () => {
    const shank = rectIn(scene, 'shank-h1');
    expect(shank.right - shank.left).toBeCloseTo(102, 9);
    expect(shank.right).toBeCloseTo(40.5 + 2, 9);
    const stud = rectIn(scene, 'behind-1875');
    expect(stud.right).toBeCloseTo(-12, 9);
    expect(stud.right - shank.left).toBeCloseTo(lag!.penetration!, 9);
    const bore = rectIn(scene, 'bore-h1');
    expect([bore.right, bore.right - bore.left, bore.top - bore.bottom]).toEqual([0, lag!.depth, lag!.bit]);
    expect(rectIn(scene, 'shank-h3').left).toBeCloseTo(40.5 - 64, 9);
    expect(rectIn(scene, 'bore-h3')).toMatchObject({ right: 38, left: 38 - sleeve!.depth });
  });
  it('its bricks are the courses of the plan, with mortar between', () => {
    const course = made.courses!.find((c) => c.number === 24)!;
    const id = `unit-${Math.round(made.placement!.plate!.bottom - 45)}-24`;
    expect(rectIn(scene, id)).toMatchObject({ bottom: course.bottom, top: course.top, right: 38 });
    expect(sleeve!.y).toBeGreaterThan(course.bottom);
    expect(sleeve!.y).toBeLessThan(course.top);
  });
  it('is of a plain wall too, and of none while there are no holes', () => {
    const plain = plan(guestRoom);
    expect(rectIn(sectionScene(guestRoom, plan(guestRoom))!, 'plate-cut').left).toBe(0);
    const { holes: _, ...bare } = plain;
    expect(sectionScene(guestRoom, bare)).toBeUndefined();
  });
  it('through a timber: the plate on it, it on the wall', () => {
    const job = withKit({ ...guestRoom, choices: { timber: { height: 235, thickness: 38 } } }, demoCatalogue);
    const cut = sectionScene(job, plan(job))!;
    expect(rectIn(cut, 'plate-cut').left).toBe(38);
    const timber = cut.shapes.find((s) => s.kind === 'rect' && s.role === 'backing');
    expect(timber).toMatchObject({ left: 0, right: 38 });
    // 59 mm of the lag are behind the plate, and 38 of them in the timber
    expect(cut.labels.map((l) => l.text)).toContain('1 1/2 in in the backing');
  });
});

describe('a wall that is not one wall, drawn', () => {
  const face = faceScene(stoveParlour, made, 'none');
  it('no stud goes on behind the brick, and no course above it', () => {
    for (const s of face.shapes) {
      if (s.kind === 'rect' && s.role === 'stud' && s.left > 900 && s.right < 2700) expect(s.bottom).toBe(1875);
      if (s.kind === 'line' && s.role === 'joint-line') expect(Math.max(s.y1, s.y2)).toBeLessThanOrEqual(1875);
    }
  });
  it('has the packing, the timber with its holes, and how far the mantel is from the stove', () => {
    expect(rectIn(face, 'packing-0')).toMatchObject({ bottom: 1875, top: made.placement!.plate!.top });
    expect(rectIn(face, 'mantel-timber')).toMatchObject(made.mantel!.timber!);
    expect(face.shapes.filter((s) => s.kind === 'cross').map((s) => s.id)).toEqual(
      expect.arrayContaining(['m1', 'm2', 'm3', 'h1', 'h4']),
    );
    const gap = face.shapes.find((s) => s.id === 'fire-gap');
    if (gap?.kind !== 'line') throw new Error('no line');
    expect(Math.hypot(gap.x2 - gap.x1, gap.y2 - gap.y1)).toBeCloseTo(made.mantel!.clearance!.distance, 9);
    expect(face.labels).toEqual([expect.objectContaining({ id: 'fire-gap', text: '460 mm' })]);
  });
  it('from the side the brick stands out, the packing comes to its plane, the timber is on the brick', () => {
    const side = sideScene(stoveParlour, made);
    expect(rectIn(side, 'face-z1')).toMatchObject({ left: 0, right: 38, top: 1875 });
    expect(rectIn(side, 'mantel-timber')).toMatchObject({ left: 38, right: 38 + 45 });
    expect(rectIn(side, 'plate-cut').left).toBe(38);
  });
  it('the timber alone, with a ring about the hole that the hand is at', () => {
    const scene = mantelScene(stoveParlour, made, 'm2')!;
    const ring = scene.shapes.find((s) => s.id === 'now');
    expect(ring).toMatchObject({ x: made.mantel!.holes![1]!.x, y: made.mantel!.holes![1]!.y });
    expect(mantelScene(guestRoom, plan(guestRoom), 'm1')).toBeUndefined();
  });
});
