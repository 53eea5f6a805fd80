import type { Job, Mount } from '@steddo/contract';
import { plan } from '@steddo/core';
import { atticSnug, guestRoom } from '@steddo/samples';
import { aboveScene, plateScene, screwScene, setScene, sideScene, type Scene, type Shape } from '../src';

type Kind<K extends Shape['kind']> = Extract<Shape, { kind: K }>;
function get<K extends Shape['kind']>(scene: Pick<Scene, 'shapes'>, kind: K, id: string): Kind<K> {
  const found = scene.shapes.find((s) => s.kind === kind && s.id === id);
  if (!found) throw new Error(`no ${kind} ${id}`);
  return found as Kind<K>;
}
const deg = (rad: number) => (rad * 180) / Math.PI;

/** In mm: the set 1000 x 600 x 50 with its centre at 1400, its face 100 out; eyes 1000 at 3100. */
const job: Job = {
  ...guestRoom,
  units: 'metric',
  screen: { ...guestRoom.screen, width: 1000, height: 600, thickness: 50, patternCentre: { right: 0, up: -40 } },
  mount: { ...guestRoom.mount!, depth: { folded: 50 } },
  room: {
    wall: { ...guestRoom.room.wall, width: 4000, height: 2400, returns: { left: true } },
    viewers: [{ id: 'v1', name: 'the sofa', eye: 1000, distance: 3100, x: 2000, recline: 20, posture: 'seated' }],
    objects: [{ id: 'o1', kind: 'furniture', left: 1000, right: 3000, bottom: 0, top: 700, out: 420 }],
    floor: [{ id: 'f1', kind: 'sofa', left: 1200, right: 2800, near: 2800, far: 3700, height: 800 }],
  },
  aim: { height: 'eyes', centre: { on: 'wall' } },
  choices: { centreY: 1400 },
};
const p = plan(job);

describe('from the side', () => {
  const scene = sideScene(job, p);
  it('the set stands as far out as mount and thickness say, at its height', () => {
    expect(get(scene, 'rect', 'set-cut')).toMatchObject({ left: 50, right: 100, bottom: 1100, top: 1700 });
    expect(get(scene, 'rect', 'o1')).toMatchObject({ left: 0, right: 420, bottom: 0, top: 700 });
    expect(get(scene, 'rect', 'plate-cut')).toMatchObject({
      bottom: p.placement!.plate!.bottom,
      top: p.placement!.plate!.top,
    });
  });
  it('a line of sight goes from the eye to the middle of the face, at the plan’s angle', () => {
    const { x1, y1, x2, y2 } = get(scene, 'line', 'sight-v1');
    expect([x1, y1, x2, y2]).toEqual([3100, 1000, 100, 1400]);
    expect(p.placement!.angles![0]!.centre).toBeCloseTo(deg(Math.atan2(400, 3000)), 9);
  });
  it('the band is 15 degrees to both sides of a gaze that rises by 0.3 of the recline', () => {
    const { points } = get(scene, 'poly', 'band-v1');
    const angles = points.slice(1).map(([x, y]) => deg(Math.atan2(y - 1000, 3100 - x)));
    expect(angles).toEqual([expect.closeTo(6 + 15, 9), expect.closeTo(6 - 15, 9)]);
  });
  it('turned by the tilt it needs the set faces the eyes', () => {
    const { points } = get(scene, 'poly', 'set-tilted');
    const [, lowFace, highFace] = points as [number, number][];
    const along = Math.atan2(highFace![1] - lowFace![1], highFace![0] - lowFace![0]);
    expect(90 - deg(along)).toBeCloseTo(p.placement!.tiltNeeded!, 6);
    expect(Math.hypot(highFace![0] - lowFace![0], highFace![1] - lowFace![1])).toBeCloseTo(600, 9);
  });
  it('without a distance nobody is drawn, and nothing is lost', () => {
    const { distance: _, ...near } = job.room.viewers![0]!;
    const blind = { ...job, room: { ...job.room, viewers: [near] } };
    const shapes = sideScene(blind, plan(blind)).shapes;
    expect(shapes.some((s) => s.id === 'sight-v1')).toBe(false);
    expect(shapes.some((s) => s.id === 'set-cut')).toBe(true);
  });
});

describe('from above', () => {
  it('everything at its distance from the wall, which runs along the top', () => {
    const scene = aboveScene(job, p);
    expect(get(scene, 'rect', 'f1')).toMatchObject({ left: 1200, right: 2800, bottom: -3700, top: -2800 });
    expect(get(scene, 'rect', 'set-cut')).toMatchObject({ left: 1500, right: 2500, bottom: -100, top: -50 });
    expect(get(scene, 'rect', 'o1')).toMatchObject({ bottom: -420, top: 0 });
    expect(get(scene, 'line', 'sight-v1')).toMatchObject({ x1: 2000, y1: -3100, x2: 2000, y2: -100 });
    expect(get(scene, 'rect', 'return-left').right).toBe(0);
    expect(scene.shapes.some((s) => s.id === 'return-right')).toBe(false);
  });
  it('a spacer brings the set out, above as at the side', () => {
    // a stepped back takes the 20 spacer with the M6 x 30: 50 + 20 off the wall, 50 thick
    const stepped: Job = { ...job, screen: { ...job.screen, back: 'stepped' } };
    const out = plan(stepped);
    expect(get(aboveScene(stepped, out), 'rect', 'set-cut')).toMatchObject({
      bottom: -120,
      top: -70,
    });
    expect(get(sideScene(stepped, out), 'rect', 'set-cut')).toMatchObject({ left: 70, right: 120 });
  });
  it('two seats that lie apart are drawn apart', () => {
    const scene = aboveScene(atticSnug, plan(atticSnug));
    expect(get(scene, 'circle', 'head-v1').x).toBe(1900);
    expect(get(scene, 'circle', 'head-v2').x).toBe(3300);
  });
});

describe('the set itself', () => {
  const inserts = (scene: Scene) =>
    scene.shapes.flatMap((s) => (s.kind === 'circle' && s.id.startsWith('insert-') ? [[s.x, s.y]] : []));
  it('the pattern where it really sits; seen from the front it is mirrored', () => {
    const aside = { ...job, screen: { ...job.screen, patternCentre: { right: 30, up: -40 } } };
    const front = inserts(setScene(aside, plan(aside), 'front', 'none'));
    const back = inserts(setScene(aside, plan(aside), 'back', 'none'));
    const at = (cx: number) => [
      [cx - 100, -140],
      [cx - 100, 60],
      [cx + 100, -140],
      [cx + 100, 60],
    ];
    const sorted = (all: number[][]) => all.sort((a, b) => a[0]! - b[0]! || a[1]! - b[1]!);
    expect(sorted(front)).toEqual(at(30));
    expect(sorted(back)).toEqual(at(-30));
  });
  it('the arms hang on the rail by the arm hole that was chosen', () => {
    const rails = [0, 1, 2].map((armHole) => {
      const hung = { ...job, choices: { ...job.choices, armHole } };
      return get(setScene(hung, plan(hung), 'back', 'none'), 'line', 'rail').y1;
    });
    // pattern 130, 90 and 50 under the hook: the rail that much over the pattern's middle at -40
    expect(rails).toEqual([90, 50, 10]);
  });
  it.each([
    ['width', 1000],
    ['height', 600],
    ['thickness', 50],
    ['pattern-top', 300 - 60],
    ['diagonal', Math.hypot(1000, 600)],
  ] as const)('what the guide asks for is drawn as long as it is: %s', (ask, long) => {
    const { x1, y1, x2, y2 } = get(setScene(job, p, 'back', ask), 'line', 'asked');
    expect(Math.hypot(x2 - x1, y2 - y1)).toBeCloseTo(long, 9);
  });
});

describe('the screw', () => {
  const check = plan(guestRoom).screen.screwCheck!;
  const [first] = plan(guestRoom).screen.screws!;
  it('is cut through to scale: shank, engaged thread, what is left below', () => {
    const scene = screwScene(first!, check);
    expect(get(scene, 'rect', 'shank')).toMatchObject({ left: 0, right: 12, bottom: -3, top: 3 });
    const engaged = get(scene, 'rect', 'engaged');
    expect(engaged.right - engaged.left).toBeCloseTo(9.5, 9);
    // the insert ends 14 below the back, the bracket is 2.5: floor at 16.5
    expect(get(scene, 'rect', 'insert-floor').left).toBeCloseTo(16.5, 9);
  });
  it('one that is too long runs through the floor of the insert', () => {
    const long = check.misfits.find((m) => m.length === 30)!;
    const scene = screwScene(long, check);
    expect(get(scene, 'rect', 'shank').right).toBeGreaterThan(get(scene, 'rect', 'insert-floor').left);
  });
});

describe('the plate while it is measured', () => {
  it('what is known is drawn, rows at their height', () => {
    const { plate, hook } = job.mount!;
    const scene = plateScene({ plate: plate!, hook: hook! }, 'metric', 'rows');
    expect(get(scene, 'rect', 'plate')).toMatchObject({ left: -260, right: 260, bottom: 0, top: 200 });
    expect(scene.shapes.filter((s) => s.role === 'slot')).toHaveLength(8);
    expect(get(scene, 'line', 'hook').y1).toBe(185);
    expect(scene.labels.filter((l) => l.id.startsWith('row-')).map((l) => l.y)).toEqual([35, 165]);
  });
  it('nothing known is an outline to fill in, not a fault', () => {
    const scene = plateScene({} as Pick<Mount, 'plate' | 'hook'>, 'imperial', 'size');
    expect(get(scene, 'rect', 'plate').role).toBe('cover');
    expect(scene.labels).toEqual([]);
  });
});
