import type { seeded } from '@steddo/core';
import type { PictureSize, Tap } from '@steddo/core/photo';

/* A camera of the tests' own making, written apart from the core. */

export interface Lens {
  picture: PictureSize;
  focal: number;
  at: { x: number; y: number; z: number };
  /** Degrees: turned to the right, tipped down, rolled. */
  yaw: number;
  pitch: number;
  roll: number;
  /** Out by so much of its distance from the middle at the picture's corner. */
  k1: number;
}

/** A place before the wall to pixels, the picture's v downwards. */
export function shoot({ picture, focal, at, yaw, pitch, roll, k1 }: Lens, x: number, y: number, z = 0) {
  const rad = (deg: number) => (deg * Math.PI) / 180;
  // looking into the wall: right is +x, down is -y, forward is -z
  let [p, q, r] = [x - at.x, -(y - at.y), at.z - z];
  const turn = (a: number, b: number, deg: number): [number, number] => [
    a * Math.cos(rad(deg)) - b * Math.sin(rad(deg)),
    a * Math.sin(rad(deg)) + b * Math.cos(rad(deg)),
  ];
  [p, r] = turn(p, r, yaw);
  [q, r] = turn(q, r, pitch);
  [p, q] = turn(p, q, roll);
  const [u, v] = [(focal * p) / r, (focal * q) / r];
  const corner = (picture.width ** 2 + picture.height ** 2) / 4;
  const bend = 1 + (k1 * (u * u + v * v)) / corner;
  return { u: picture.width / 2 + u * bend, v: picture.height / 2 + v * bend };
}

/** 25 to 70 degrees of field, up to 45 degrees off, the whole wall in the picture, a lens that bends. */
export function lensFor(
  { between: uniform }: ReturnType<typeof seeded>,
  picture: PictureSize,
  wall: { width: number; height: number },
): Lens {
  for (;;) {
    const field = uniform(25, 70);
    const focal = picture.width / 2 / Math.tan((field * Math.PI) / 360);
    const yaw = uniform(-45, 45);
    const away = (wall.width / 2 / Math.tan((field * Math.PI) / 360)) * uniform(1.1, 1.6);
    const middle = { x: wall.width / 2 + uniform(-200, 200), y: wall.height / 2 + uniform(-150, 150) };
    const rad = (yaw * Math.PI) / 180;
    const lens = {
      picture,
      focal,
      yaw,
      at: { x: middle.x - away * Math.sin(rad), y: middle.y + uniform(-300, 300), z: away * Math.cos(rad) },
      pitch: uniform(-6, 6),
      roll: uniform(-4, 4),
      k1: uniform(-0.04, 0.04),
    };
    const corners = cornersOf(0, 0, wall).map((c) => shoot(lens, c.x, c.y));
    if (corners.every(({ u, v }) => u > 0 && v > 0 && u < picture.width && v < picture.height)) return lens;
  }
}

/** From the upper left round to the right, turned about the lower left one. */
export const cornersOf = (
  left: number,
  bottom: number,
  { width, height }: { width: number; height: number },
  turn = 0,
) =>
  [
    [0, height],
    [width, height],
    [width, 0],
    [0, 0],
  ].map(([x, y]) => ({
    x: left + x! * Math.cos(turn) - y! * Math.sin(turn),
    y: bottom + x! * Math.sin(turn) + y! * Math.cos(turn),
  }));

export const tapsOf = (
  lens: Lens,
  places: readonly { x: number; y: number }[],
  sd: number,
  off: () => number = () => 0,
): Tap[] =>
  places.map((p) => {
    const { u, v } = shoot(lens, p.x, p.y);
    return { u: u + off(), v: v + off(), sd };
  });
