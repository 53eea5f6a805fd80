import sharp from 'sharp';
import type { Job } from '@steddo/contract';

/** A made-up photograph of a demo room's wall, by a camera that is known: a pinhole of our own, apart from the app's. */
export const PICTURE = { width: 1600, height: 1200 };

export interface Lens {
  focal: number;
  at: { x: number; y: number; z: number };
  /** Degrees to the right. */
  yaw: number;
}

/** A place before the wall in the picture, its v downwards. */
export function shoot({ focal, at, yaw }: Lens, x: number, y: number, z = 0): { u: number; v: number } {
  const rad = (yaw * Math.PI) / 180;
  const [p, q, r] = [x - at.x, -(y - at.y), at.z - z];
  const [across, away] = [p * Math.cos(rad) - r * Math.sin(rad), p * Math.sin(rad) + r * Math.cos(rad)];
  return { u: PICTURE.width / 2 + (focal * across) / away, v: PICTURE.height / 2 + (focal * q) / away };
}

/** The wall, its things and the floor before it, with the grain of a sensor, as a JPEG. */
export async function wallPicture({ room }: Job, lens: Lens): Promise<Buffer> {
  const { width, height } = room.wall;
  const polygon = (fill: string, places: readonly [number, number, number][]) =>
    `<polygon fill="${fill}" points="${places
      .map(([x, y, z]) => shoot(lens, x, y, z))
      .map(({ u, v }) => `${u.toFixed(2)},${v.toFixed(2)}`)
      .join(' ')}"/>`;
  const flat = (fill: string, left: number, right: number, bottom: number, top: number) =>
    polygon(fill, [
      [left, top, 0],
      [right, top, 0],
      [right, bottom, 0],
      [left, bottom, 0],
    ]);
  const things = (room.objects ?? []).map((o) => flat('#8d7f6a', o.left, o.right, o.bottom, o.top));
  const floor = polygon('#b79f7c', [
    [0, 0, 0],
    [width, 0, 0],
    [width, 0, 900],
    [0, 0, 900],
  ]);
  const svg = `<svg xmlns="http://www.w3.org/2000/svg" width="${PICTURE.width}" height="${PICTURE.height}">
    <rect width="100%" height="100%" fill="#5b5f66"/>${flat('#d9d2c5', 0, width, 0, height)}${floor}${things.join('')}</svg>`;
  const grain = await sharp({
    create: { ...PICTURE, channels: 3, background: '#808080', noise: { type: 'gaussian', mean: 128, sigma: 6 } },
  })
    .png()
    .toBuffer();
  return sharp(Buffer.from(svg))
    .flatten()
    .blur(0.8)
    .composite([{ input: grain, blend: 'soft-light' }])
    .jpeg({ quality: 88 })
    .toBuffer();
}
