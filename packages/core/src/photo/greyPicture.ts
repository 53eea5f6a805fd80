/** A picture's brightness, 0 to 255, row by row. */
export interface GreyPicture {
  width: number;
  height: number;
  data: Uint8Array;
}

/** Of red, green and blue as the eye weighs them: ITU-R BT.601, from memory. Four bytes a pixel in. */
export function greyOf(rgba: Uint8ClampedArray | Uint8Array, width: number, height: number): GreyPicture {
  const data = new Uint8Array(width * height);
  for (let i = 0, k = 0; i < data.length; i++, k += 4)
    data[i] = (rgba[k]! * 77 + rgba[k + 1]! * 150 + rgba[k + 2]! * 29) >> 8;
  return { width, height, data };
}

/** Between pixels, whose middles are at halves; beyond the edge the edge's own. */
export function brightness({ width, height, data }: GreyPicture, u: number, v: number): number {
  const x = Math.min(width - 1, Math.max(0, u - 0.5));
  const y = Math.min(height - 1, Math.max(0, v - 0.5));
  const [x0, y0] = [Math.floor(x), Math.floor(y)];
  const [x1, y1] = [Math.min(width - 1, x0 + 1), Math.min(height - 1, y0 + 1)];
  const [fx, fy] = [x - x0, y - y0];
  const upper = data[y0 * width + x0]! * (1 - fx) + data[y0 * width + x1]! * fx;
  const lower = data[y1 * width + x0]! * (1 - fx) + data[y1 * width + x1]! * fx;
  return upper * (1 - fy) + lower * fy;
}

/** What makes a picture useless for laying crosses onto: nothing to see in it, or no lens that saw it. */
export type PictureTrouble = 'no-contrast' | 'no-camera';

/** Less than this between the darkest and the lightest twentieth is fog, of 255. Ours. */
const LEAST_CONTRAST = 24;
/** Of a screen's picture most neighbours are the same, of what a sensor saw few. Ours, tried on both; never after a JPEG, which smooths grain away. */
const ALIKE = 0.5;
const STRIDE = 3;

/** Whether a picture shows hardly anything. */
export function isFog({ width, height, data }: GreyPicture): boolean {
  const counts = new Uint32Array(256);
  let of = 0;
  for (let y = 0; y < height; y += STRIDE)
    for (let x = 0; x < width; x += STRIDE) {
      counts[data[y * width + x]!]! += 1;
      of += 1;
    }
  const level = (share: number) => {
    let sum = 0;
    for (let i = 0; i < 256; i++) {
      sum += counts[i]!;
      if (sum >= share * of) return i;
    }
    return 255;
  };
  // a sheet on a white wall is a thousandth of it
  return level(0.95) - level(0.05) < LEAST_CONTRAST && level(0.999) - level(0.001) < 2 * LEAST_CONTRAST;
}

/** Whether a picture that nothing has smoothed is a screen's or a drawing: most neighbours are exactly the same. */
export function isDrawn({ width, height, data }: GreyPicture): boolean {
  let [alike, of] = [0, 0];
  for (let y = 0; y < height; y++)
    for (let x = 0; x + 1 < width; x++) {
      of += 1;
      if (data[y * width + x] === data[y * width + x + 1]) alike += 1;
    }
  return alike > ALIKE * of;
}
