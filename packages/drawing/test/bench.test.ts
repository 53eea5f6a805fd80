import { clockmakersBench, demoCatalogue, guestRoom, sewingCorner } from '@steddo/samples';
import { plan, withKit } from '@steddo/core';
import { faceScene, roomFace, sideScene, unfoldedFace, type Scene, type Shape } from '../src';

/* A monitor over its bench on paper: the other way round on its head, and tilted as far as it goes. */

const job = withKit(clockmakersBench, demoCatalogue);
const made = plan(job);
const find = (scene: Scene, id: string) => scene.shapes.find((s) => s.id === id);
const box = (s: Shape | undefined) => s as Extract<Shape, { kind: 'rect' }>;

describe('a bench', () => {
  it('shows the set on its end about the same head: as wide as it is tall', () => {
    const on = box(find(faceScene(job, made, 'none'), 'set-on-end'));
    expect([on.right - on.left, on.top - on.bottom]).toEqual([305, 545]);
    // upright the head is 12 above the middle; on its end that is 12 to the right of it
    const { x, y } = made.bench!.head;
    expect((on.left + on.right) / 2).toBeCloseTo(x - 12, 9);
    expect((on.bottom + on.top) / 2).toBeCloseTo(y, 9);
    expect(find(faceScene(guestRoom, plan(guestRoom), 'none'), 'set-on-end')).toBeUndefined();
  });

  it('shows it tilted until it meets the shelf, and down as far as its head goes', () => {
    const scene = sideScene(job, made);
    const up = find(scene, 'tilted-up') as Extract<Shape, { kind: 'poly' }>;
    const down = find(scene, 'tilted-down') as Extract<Shape, { kind: 'poly' }>;
    const shelf = job.room.objects!.find((o) => o.kind === 'shelf')!;
    expect(Math.max(...up.points.map(([, y]) => y))).toBeCloseTo(shelf.bottom, 6);
    const below = made.bench!.clearances.find((c) => c.side === 'below')!;
    expect(Math.min(...down.points.map(([, y]) => y))).toBeCloseTo(made.bench!.head.y - below.moved, 6);
  });
});

describe('a room as it is looked at', () => {
  it('is one wall, or of a corner both side by side', () => {
    const corner = withKit(sewingCorner, demoCatalogue);
    const there = plan(corner);
    expect(roomFace(corner, there, 'none')).toEqual(unfoldedFace(corner, there, 'none'));
    expect(roomFace(job, made, 'none')).toEqual(faceScene(job, made, 'none'));
  });
});
