import type { Item, Job } from '@steddo/contract';
import { seeded } from '../instruments/random';
import { onMainWall, outOf } from '../room/roomThings';
import type { ColourPicture } from './flattenPicture';
import { lensBend, straightened } from './lens';
import type { PictureSize } from './pictures';

/** A camera before a wall, for pictures that are made up. */
export interface MadeUpCamera {
  picture: PictureSize;
  /** Pixels. */
  focal: number;
  /** Mm: from the wall's left end, from the floor, out of the wall. */
  at: { x: number; y: number; z: number };
  /** Degrees: turned to the right, tipped down, rolled. */
  yaw: number;
  pitch: number;
  roll: number;
  k1: number;
}

/** What lies flat on the wall beside the room's own things: a sheet taped up. */
export interface TapedUp {
  left: number;
  bottom: number;
  width: number;
  height: number;
}

export interface MadeUpAsk {
  camera: MadeUpCamera;
  sheets?: readonly TapedUp[];
  /** Grain of the sensor, one standard deviation of 255, and how far the lens is out of focus, pixels. */
  grain?: number;
  blur?: number;
  seed?: number;
}

type Colour = readonly [number, number, number];
type Three = [number, number, number];

const COLOURS = {
  wall: [214, 206, 192],
  beside: [186, 180, 170],
  floor: [150, 122, 90],
  ceiling: [232, 230, 224],
  paper: [248, 248, 246],
  plate: [240, 240, 236],
  wood: [122, 92, 64],
  side: [92, 70, 50],
  glass: [142, 172, 196],
  dark: [60, 60, 62],
} as const satisfies Record<string, Colour>;

const ON_WALL: Partial<Record<Item['kind'], Colour>> = {
  outlet: COLOURS.plate,
  switch: COLOURS.plate,
  data: COLOURS.plate,
  window: COLOURS.glass,
  stove: COLOURS.dark,
  opening: COLOURS.dark,
};

/** A box on the wall, its front so far out. */
interface Block {
  left: number;
  right: number;
  bottom: number;
  top: number;
  out: number;
  front: Colour;
  side: Colour;
}

/** Rays through a pixel where two surfaces meet in it, each way. */
const FINE = 4;

/**
 * A picture of a room's wall that nobody took: its things as boxes, sheets taped up, floor, ceiling and the walls beside,
 * through a lens that is known, with grain and blur. For the demo, for practice and for tests.
 * `madeUpPicture(job, { camera })` of 1600 by 1200 is 7,680,000 bytes, four to a pixel.
 */
export function madeUpPicture(
  job: Job,
  { camera, sheets = [], grain = 2.5, blur = 0.7, seed = 1 }: MadeUpAsk,
): ColourPicture {
  const { width, height } = camera.picture;
  const colourAt = castOf(job, camera, sheets);
  const seen = new Array<Colour>(width * height);
  for (let v = 0; v < height; v++) for (let u = 0; u < width; u++) seen[v * width + u] = colourAt(u + 0.5, v + 0.5);
  const plain = new Float32Array(width * height * 3);
  for (let v = 0; v < height; v++)
    for (let u = 0; u < width; u++) {
      const i = v * width + u;
      const own = seen[i]!;
      const edge =
        (u > 0 && seen[i - 1] !== own) ||
        (u + 1 < width && seen[i + 1] !== own) ||
        (v > 0 && seen[i - width] !== own) ||
        (v + 1 < height && seen[i + width] !== own);
      plain.set(edge ? mixed(colourAt, u, v) : own, 3 * i);
    }
  return grained(blurred(plain, camera.picture, blur), camera.picture, grain, seed);
}

function mixed(colourAt: (u: number, v: number) => Colour, u: number, v: number): Colour {
  const sum: Three = [0, 0, 0];
  for (let j = 0; j < FINE; j++)
    for (let i = 0; i < FINE; i++) {
      const c = colourAt(u + (i + 0.5) / FINE, v + (j + 0.5) / FINE);
      for (let k = 0; k < 3; k++) sum[k]! += c[k]!;
    }
  return [sum[0] / FINE ** 2, sum[1] / FINE ** 2, sum[2] / FINE ** 2];
}

/** The colour that a ray through a place of the picture meets. */
function castOf({ room }: Job, camera: MadeUpCamera, sheets: readonly TapedUp[]) {
  const { width, height } = room.wall;
  const bend = lensBend(camera.picture, camera.k1);
  const turn = turnOf(camera);
  const { x, y, z } = camera.at;
  const blocks = [
    ...onMainWall(room.objects).map(blockOf),
    ...sheets.map((s): Block => ({
      left: s.left,
      right: s.left + s.width,
      bottom: s.bottom,
      top: s.bottom + s.height,
      out: 0,
      front: COLOURS.paper,
      side: COLOURS.paper,
    })),
  ];
  return (u: number, v: number): Colour => {
    const ideal = straightened(bend, { u, v });
    // along the wall, up, and towards it
    const [dx, dy, dz] = turn([ideal.u - bend.middle.u, ideal.v - bend.middle.v, camera.focal]);
    let far = Infinity;
    let colour: Colour = COLOURS.wall;
    const meets = (t: number, c: Colour) => {
      if (t > 1e-9 && t < far) [far, colour] = [t, c];
    };
    if (dz > 0) meets(z / dz, COLOURS.wall);
    if (dy < 0) meets(-y / dy, COLOURS.floor);
    if (dy > 0) meets((height - y) / dy, COLOURS.ceiling);
    if (dx < 0) meets(-x / dx, COLOURS.beside);
    if (dx > 0) meets((width - x) / dx, COLOURS.beside);
    for (const b of blocks) {
      const t = (z - b.out) / dz;
      const [px, py] = [x + t * dx, y + t * dy];
      // what lies on the wall is before it
      if (t > 0 && t <= far + 1e-9 && px > b.left && px < b.right && py > b.bottom && py < b.top)
        [far, colour] = [t, b.front];
      if (b.out <= 0) continue;
      for (const [plane, from, way, c] of [
        [b.left, x, dx, b.side],
        [b.right, x, dx, b.side],
      ] as const) {
        const s = (plane - from) / way;
        const [sy, sz] = [y + s * dy, z - s * dz];
        if (s > 0 && s < far && sy > b.bottom && sy < b.top && sz > 0 && sz < b.out) meets(s, c);
      }
      for (const plane of [b.top, b.bottom]) {
        const s = (plane - y) / dy;
        const [sx, sz] = [x + s * dx, z - s * dz];
        if (s > 0 && s < far && sx > b.left && sx < b.right && sz > 0 && sz < b.out) meets(s, b.side);
      }
    }
    return colour;
  };
}

const blockOf = (item: Item): Block => {
  const { left, right, bottom, top } = item;
  const front = ON_WALL[item.kind] ?? COLOURS.wood;
  return { left, right, bottom, top, out: outOf(item), front, side: ON_WALL[item.kind] ?? COLOURS.side };
};

/** From the camera's directions (right, down, forward) to the wall's (right, up, towards it). */
function turnOf({ yaw, pitch, roll }: MadeUpCamera): (d: Three) => Three {
  const rad = (deg: number) => (deg * Math.PI) / 180;
  const back = (a: number, b: number, deg: number): [number, number] => [
    a * Math.cos(rad(deg)) + b * Math.sin(rad(deg)),
    -a * Math.sin(rad(deg)) + b * Math.cos(rad(deg)),
  ];
  return ([right, down, forward]) => {
    let [p, q, r] = [right, down, forward];
    [p, q] = back(p, q, roll);
    [q, r] = back(q, r, pitch);
    [p, r] = back(p, r, yaw);
    return [p, -q, r];
  };
}

/** By a bell's weights, across and then down. */
function blurred(plain: Float32Array, { width, height }: PictureSize, sd: number): Float32Array {
  if (sd <= 0) return plain;
  const reach = Math.ceil(3 * sd);
  const bell = Array.from({ length: 2 * reach + 1 }, (_, i) => Math.exp(-((i - reach) ** 2) / (2 * sd * sd)));
  const sum = bell.reduce((s, b) => s + b, 0);
  const weights = bell.map((b) => b / sum);
  const pass = (from: Float32Array, step: number, at: (i: number) => [number, number]) => {
    const to = new Float32Array(from.length);
    for (let i = 0; i < width * height; i++) {
      const [place, of] = at(i);
      for (let d = -reach; d <= reach; d++) {
        const k = i + (Math.min(of - 1, Math.max(0, place + d)) - place) * step;
        const w = weights[d + reach]!;
        for (let c = 0; c < 3; c++) to[3 * i + c]! += w * from[3 * k + c]!;
      }
    }
    return to;
  };
  const across = pass(plain, 1, (i) => [i % width, width]);
  return pass(across, width, (i) => [Math.floor(i / width), height]);
}

function grained(from: Float32Array, { width, height }: PictureSize, sd: number, seed: number): ColourPicture {
  const { normal } = seeded(seed);
  const data = new Uint8ClampedArray(width * height * 4);
  for (let i = 0; i < width * height; i++) {
    const grain = sd > 0 ? normal(sd) : 0;
    for (let c = 0; c < 3; c++) data[4 * i + c] = Math.round(from[3 * i + c]! + grain);
    data[4 * i + 3] = 255;
  }
  return { width, height, data };
}
