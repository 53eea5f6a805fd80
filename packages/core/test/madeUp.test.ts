import { seeded } from '@steddo/core';
import {
  alongEdge,
  brightness,
  cameraBefore,
  flattenPicture,
  greyOf,
  inPicture,
  madeUpPicture,
  measureBox,
  nearestCorner,
  isDrawn,
  isFog,
  wallPlane,
  type GreyPicture,
  type LaidReference,
  type MadeUpCamera,
  type Tap,
} from '@steddo/core/photo';
import { guestRoom } from '@steddo/samples';
import { cornersOf, shoot } from './ownCamera';

/* Pictures that were made up: the core's own, read back by a camera of the tests' own. */

const SIZE = { width: 1200, height: 900 };
const A4 = { width: 210, height: 297 };
const WALL = guestRoom.room.wall;
const bare = { ...guestRoom, room: { ...guestRoom.room, objects: [] } };
const camera: MadeUpCamera = {
  picture: SIZE,
  focal: 860,
  yaw: 18,
  pitch: 2,
  roll: -1,
  at: { x: WALL.width / 2 - 1250, y: 1350, z: 3900 },
  k1: -0.03,
};
const sheets = [
  { left: 500, bottom: 1000, ...A4 },
  { left: WALL.width - 900, bottom: 1300, ...A4 },
];
const picture = madeUpPicture(bare, { camera, sheets });
const grey = greyOf(picture.data, SIZE.width, SIZE.height);

const painted = (of: (u: number, v: number) => number): GreyPicture => ({
  width: 300,
  height: 200,
  data: Uint8Array.from({ length: 60_000 }, (_, i) => of(i % 300, Math.floor(i / 300))),
});

type Place = { u: number; v: number };

/** Of places along an edge the one nearest to another, and the next. */
function nearestTwo(f: Place, at: (x: number) => Place): [Place, Place] {
  const all = Array.from({ length: 60 }, (_, i) => at((i / 59) * WALL.width));
  const far = all.map((t) => Math.hypot(t.u - f.u, t.v - f.v));
  const k = Math.min(58, far.indexOf(Math.min(...far)));
  return [all[k]!, all[k + 1]!];
}

describe('a tap', () => {
  it('is drawn to the corner of a sheet by less than half a pixel, from wherever within three it was tapped', () => {
    const random = seeded(31);
    for (const s of sheets)
      for (const c of cornersOf(s.left, s.bottom, A4)) {
        const truth = shoot(camera, c.x, c.y);
        const tap = { u: truth.u + random.normal(2), v: truth.v + random.normal(2) };
        const drawn = nearestCorner(grey, tap);
        expect(drawn.to).toBe('corner');
        expect(Math.hypot(drawn.u - truth.u, drawn.v - truth.v)).toBeLessThan(0.5);
      }
  });

  it('beside an edge alone is drawn onto it, and on the bare wall it stays', () => {
    const [s] = sheets;
    const onEdge = shoot(camera, s!.left, s!.bottom + 150);
    const drawn = nearestCorner(grey, { u: onEdge.u - 3, v: onEdge.v });
    expect(drawn.to).toBe('edge');
    expect(Math.abs(drawn.u - onEdge.u)).toBeLessThan(0.6);
    const nowhere = shoot(camera, WALL.width / 2, 1500);
    expect(nearestCorner(grey, nowhere)).toEqual({ ...nowhere, to: 'nothing' });
  });

  it('along the ceiling’s edge finds it at many places, each less than a pixel from where a straight one is bent to', () => {
    const at = (x: number) => shoot(camera, x, WALL.height);
    const found = alongEdge(grey, at(300), at(WALL.width - 300));
    expect(found.length).toBeGreaterThan(9);
    for (const f of found) {
      // across the true edge, which is all but straight between two places so near each other
      const [p, q] = nearestTwo(f, (x) => at(x));
      const off = Math.abs((q.u - p.u) * (f.v - p.v) - (f.u - p.u) * (q.v - p.v)) / Math.hypot(q.u - p.u, q.v - p.v);
      expect(off).toBeLessThan(0.7);
    }
    // without grain, and out of focus as a lens is: to a twentieth of a pixel
    const soft = painted((u) => 30 + 200 / (1 + Math.exp(-(u + 0.5 - 150.3))));
    const exact = alongEdge(soft, { u: 153, v: 20 }, { u: 148, v: 180 });
    expect(exact).toHaveLength(15);
    for (const e of exact) expect(Math.abs(e.u - 150.3)).toBeLessThan(0.05);
    expect(alongEdge(grey, shoot(camera, 1200, 1900), shoot(camera, 2000, 1950))).toEqual([]);
  });
});

describe('a made-up picture of a wall', () => {
  it('gives its wall back by two sheets, their corners drawn to, and the ceiling’s edge: a box within its doubt', () => {
    const drawn = (x: number, y: number): Tap => ({ ...nearestCorner(grey, shoot(camera, x, y)), sd: 0.5 });
    const references = sheets.map((s, i): LaidReference => ({
      ...A4,
      taps: cornersOf(s.left, s.bottom, A4).map((c) => drawn(c.x, c.y)),
      ...(i === 0 ? { left: s.left, bottom: s.bottom } : {}),
    }));
    const edge = alongEdge(grey, shoot(camera, 200, WALL.height), shoot(camera, WALL.width - 200, WALL.height));
    const made = wallPlane({
      picture: SIZE,
      references,
      apart: sheets[1]!.left - sheets[0]!.left - A4.width,
      level: 300,
      edges: [edge.map((t) => ({ ...t, sd: 0.5 }))],
    });
    if (!made.ok) throw new Error(made.why);
    expect(Math.abs(made.plane.bend.k1 - camera.k1)).toBeLessThan(0.01);
    const found = cameraBefore(made.plane, SIZE);
    if (!found.ok) throw new Error(found.why);
    const truth = { left: 1300, right: 1700, bottom: 700, top: 1100 };
    const taps = [
      [truth.left, truth.top],
      [truth.right, truth.bottom],
    ].map(([x, y]) => ({ ...shoot(camera, x!, y!), sd: 0.5 })) as [Tap, Tap];
    const box = measureBox({ plane: made.plane, camera: found.camera, picture: SIZE }, taps)!;
    for (const side of ['left', 'right', 'bottom', 'top'] as const) {
      expect(Math.abs(box[side] - truth[side])).toBeLessThan(Math.max(box.doubt[side], 3));
      expect(box.doubt[side]).toBeLessThan(20);
    }
  });

  it('flattened to scale has a sheet where it was taped up, and nothing where the picture ends', () => {
    const made = wallPlane({
      picture: SIZE,
      references: [],
      known: cornersOf(0, 0, WALL).map((c) => ({ ...c, ...shoot(camera, c.x, c.y), sd: 0.1 })),
      bend: { k1: camera.k1, sd: 1e-6 },
    });
    if (!made.ok) throw new Error(made.why);
    // where the plane puts it is where the lens does
    const [own, truth] = [inPicture(made.plane, 1000, 700)!, shoot(camera, 1000, 700)];
    expect(Math.hypot(own.u - truth.u, own.v - truth.v)).toBeLessThan(1e-3);
    const ask = { left: -1500, right: WALL.width, bottom: 0, top: WALL.height, perMm: 0.25 };
    const flat = flattenPicture(picture, made.plane, ask);
    expect([flat.width, flat.height]).toEqual([Math.round((WALL.width + 1500) / 4), Math.round(WALL.height / 4)]);
    const at = (x: number, y: number) => {
      const i = (Math.round((WALL.height - y) / 4) * flat.width + Math.round((x + 1500) / 4)) * 4;
      return [...flat.data.subarray(i, i + 4)];
    };
    for (const { left, bottom } of sheets) {
      // paper just inside of its edges, the wall's colour just outside
      for (const [x, y] of [
        [left + 10, bottom + 10],
        [left + 200, bottom + 287],
      ] as const)
        expect(at(x, y)[2]!).toBeGreaterThan(228);
      for (const [x, y] of [
        [left - 12, bottom + 100],
        [left + 100, bottom - 12],
        [left + 222, bottom + 100],
      ] as const)
        expect(at(x, y)[2]!).toBeLessThan(215);
    }
    expect(at(-1450, 200)[3]).toBe(0);
  });
});

describe('a picture that nothing can be laid onto', () => {
  const { normal } = seeded(34);

  it.each([
    ['fog', painted(() => 128 + normal(3)), true, false],
    ['a black one', painted(() => 0), true, true],
    ['a screenshot', painted((u, v) => ((Math.floor(u / 40) + Math.floor(v / 40)) % 2 === 0 ? 250 : 30)), false, true],
    ['what a camera saw', grey, false, false],
    [
      'a sheet on a white wall',
      painted((u, v) => (u > 140 && u < 160 && v > 90 && v < 110 ? 90 : 225) + normal(2)),
      false,
      false,
    ],
  ] as const)('%s is told apart', (_, given, fog, drawn) => {
    expect([isFog(given), isDrawn(given)]).toEqual([fog, drawn]);
  });

  it('is seen between its pixels: halfway between two it is their mean', () => {
    const two: GreyPicture = { width: 2, height: 1, data: Uint8Array.from([10, 30]) };
    expect(brightness(two, 1, 0.5)).toBe(20);
    expect(brightness(two, -5, 0.5)).toBe(10);
    // ITU-R BT.601: 0.299, 0.587, 0.114 (from memory)
    expect(greyOf(Uint8Array.from([200, 100, 50, 255]), 1, 1).data[0]).toBe(
      Math.floor(0.299 * 200 + 0.587 * 100 + 0.114 * 50),
    );
  });
});
