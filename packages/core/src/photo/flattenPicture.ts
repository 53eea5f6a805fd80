import { bent } from './lens';
import { projected } from './homography';
import type { PictureSize } from './pictures';
import type { WallPlane } from './wallPlane';

/** A picture in colour, four bytes a pixel, row by row. */
export interface ColourPicture extends PictureSize {
  data: Uint8ClampedArray;
}

/** What of the wall is shown, mm, and how many pixels a millimetre has. */
export interface FlatAsk {
  left: number;
  right: number;
  bottom: number;
  top: number;
  perMm: number;
}

/** Places between which the way through the lens is taken as straight: at 16 px it is off by less than a hundredth of one. */
const GRID_PX = 16;

/**
 * The wall as it would be seen from straight before it, to scale: for each pixel its place in the picture, the lens's
 * bending in it, and the four pixels round that. What was not in the picture is left clear.
 * A wall of 3000 by 2400 mm at half a pixel a millimetre is 1500 by 1200 pixels.
 */
export function flattenPicture(
  { width, height, data }: ColourPicture,
  { matrix, bend }: Pick<WallPlane, 'matrix' | 'bend'>,
  { left, right, bottom, top, perMm }: FlatAsk,
): ColourPicture {
  const [across, down] = [Math.round((right - left) * perMm), Math.round((top - bottom) * perMm)];
  const flat = new Uint8ClampedArray(across * down * 4);
  const seen = (x: number, y: number) => {
    const ideal = projected(matrix, left + x / perMm, top - y / perMm);
    return ideal && bent(bend, ideal);
  };
  for (let y0 = 0; y0 < down; y0 += GRID_PX)
    for (let x0 = 0; x0 < across; x0 += GRID_PX) {
      const [x1, y1] = [Math.min(across, x0 + GRID_PX), Math.min(down, y0 + GRID_PX)];
      const corners = [seen(x0, y0), seen(x1, y0), seen(x0, y1), seen(x1, y1)];
      if (corners.some((c) => c === undefined)) continue;
      const [a, b, c, d] = corners as { u: number; v: number }[];
      const [w, h] = [x1 - x0, y1 - y0];
      for (let y = y0; y < y1; y++) {
        const fy = (y + 0.5 - y0) / h;
        const [lu, lv] = [a!.u + (c!.u - a!.u) * fy, a!.v + (c!.v - a!.v) * fy];
        const [ru, rv] = [b!.u + (d!.u - b!.u) * fy, b!.v + (d!.v - b!.v) * fy];
        const [su, sv] = [(ru - lu) / w, (rv - lv) / w];
        let [u, v] = [lu + su / 2 - 0.5, lv + sv / 2 - 0.5];
        let to = (y * across + x0) * 4;
        for (let x = x0; x < x1; x++, u += su, v += sv, to += 4) {
          if (u < 0 || v < 0 || u >= width - 1 || v >= height - 1) continue;
          const [iu, iv] = [u | 0, v | 0];
          const [fu, fv] = [u - iu, v - iv];
          const from = (iv * width + iu) * 4;
          const under = from + width * 4;
          const [p, q, r, s] = [(1 - fu) * (1 - fv), fu * (1 - fv), (1 - fu) * fv, fu * fv];
          flat[to] = data[from]! * p + data[from + 4]! * q + data[under]! * r + data[under + 4]! * s;
          flat[to + 1] = data[from + 1]! * p + data[from + 5]! * q + data[under + 1]! * r + data[under + 5]! * s;
          flat[to + 2] = data[from + 2]! * p + data[from + 6]! * q + data[under + 2]! * r + data[under + 6]! * s;
          flat[to + 3] = 255;
        }
      }
    }
  return { width: across, height: down, data: flat };
}
