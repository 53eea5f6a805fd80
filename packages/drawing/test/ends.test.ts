import type { Job } from '@steddo/contract';
import { plan, stagedNumber } from '@steddo/core';
import { atticSnug, guestRoom } from '@steddo/samples';
import { aboveScene, faceScene, fitScene, type Scene, type Shape } from '../src';

const shape = <K extends Shape['kind']>(scene: Scene, id: string, kind: K): Extract<Shape, { kind: K }> => {
  const found = scene.shapes.find((s) => s.id === id && s.kind === kind);
  if (!found) throw new Error(`no ${kind} ${id}`);
  return found as Extract<Shape, { kind: K }>;
};

describe('the set from behind with the mount on it', () => {
  const made = plan(guestRoom);
  const scene = fitScene(guestRoom, made);
  const { height } = made.screen.outline;
  it('draws the one number as long as it is, from the edge that it is read from', () => {
    const line = shape(scene, 'one-number', 'line');
    const one = stagedNumber(guestRoom, made)!;
    expect([line.y1, line.y2 - line.y1]).toEqual([-height / 2, expect.closeTo(one.working.value, 9)]);
    const read: Job = { ...guestRoom, measured: [{ id: 'm1', from: 'top', to: 'hook', value: 210 }] };
    const down = shape(fitScene(read, plan(read)), 'one-number', 'line');
    expect([down.y1, down.y1 - down.y2]).toEqual([height / 2, 210]);
  });
  it('stages the plate where it will sit on the set, right and left swapped', () => {
    const staged = shape(scene, 'staged-plate', 'rect');
    const { placement } = made;
    const { plate, centre } = placement!;
    expect(staged.left).toBeCloseTo(centre.x - plate!.right, 9);
    expect(staged.bottom).toBeCloseTo(plate!.bottom - centre.y, 9);
    // the slots of its top row are at the height that the one number goes to
    const slots = scene.shapes.filter((s) => s.id.startsWith('staged-') && s.kind === 'rect' && s.role === 'slot');
    const middles = slots.map((s) => (s.kind === 'rect' ? (s.bottom + s.top) / 2 : 0));
    expect(Math.max(...middles)).toBeCloseTo(shape(scene, 'one-number', 'line').y2, 6);
  });
  it('shows a lead as far as the set covers it', () => {
    const line = shape(scene, 'lead-l1', 'poly');
    const { width } = made.screen.outline;
    expect(line.points[0]).toEqual([-150, -100]);
    // its outlet is right of the set, so that from behind it leaves on the left
    expect(line.points[1]![0]).toBe(-width / 2 - 60);
  });
  it('shows the ports of its leads, as seen from behind', () => {
    const port = shape(scene, 'port-l1', 'circle');
    expect([port.x, port.y]).toEqual([-150, -100]);
  });
});

describe('leads and what comes later', () => {
  it('on the face they run as their length was worked out, from above from the set to the wall', () => {
    const made = plan(guestRoom);
    const [lead] = made.leads!;
    const line = shape(faceScene(guestRoom, made, 'leads'), 'lead-l1', 'poly');
    expect(line.points).toEqual(lead!.path.map((p) => [p.x, p.y]));
    const runs = line.points
      .slice(1)
      .map(([x, y], i) => Math.abs(x - line.points[i]![0]) + Math.abs(y - line.points[i]![1]));
    // straight along x and y, and 100 for plug and bend
    expect(runs.reduce((a, b) => a + b, 100)).toBeCloseTo(lead!.needed, 6);
    const above = shape(aboveScene(guestRoom, made), 'lead-l1', 'poly');
    expect(above.points.at(-1)).toEqual([lead!.path.at(-1)!.x, 0]);
  });
  it('along an arm they go by its root', () => {
    const made = plan(atticSnug);
    const [lead] = made.leads!;
    expect(lead!.path).toHaveLength(3);
    expect(shape(faceScene(atticSnug, made, 'leads'), `lead-${lead!.id}`, 'poly').points).toHaveLength(3);
  });
  it('a soundbar to come is drawn under the set, its gap between', () => {
    const job: Job = { ...guestRoom, aim: { ...guestRoom.aim, soundbar: { height: 80, gap: 50 } } };
    const made = plan(job);
    const bar = shape(faceScene(job, made, 'heights'), 'soundbar', 'rect');
    expect(made.placement!.bottom - bar.top).toBeCloseTo(50, 9);
    expect(bar.top - bar.bottom).toBeCloseTo(80, 9);
  });
});
