import sharp from 'sharp';

export interface Shot {
  width?: number;
  height?: number;
  /** How the camera was held, as it writes it: 6 is upright, its left side up. */
  held?: 1 | 3 | 6 | 8;
}

/** A picture as a camera writes it: the left of its sensor red and the right blue, with the place and the device beside it. */
export function cameraPicture({ width = 4000, height = 3000, held = 6 }: Shot = {}): Promise<Buffer> {
  const half = Math.round(width / 2);
  return sharp({ create: { width, height, channels: 3, background: '#2040c0' } })
    .composite([{ input: { create: { width: half, height, channels: 3, background: '#c03020' } }, left: 0, top: 0 }])
    .jpeg({ quality: 92 })
    .withMetadata({ orientation: held })
    .withExifMerge({
      IFD0: { Make: 'a maker', Model: 'a camera' },
      IFD3: { GPSLatitudeRef: 'N', GPSLatitude: '51/1 30/1 0/1', GPSLongitudeRef: 'E', GPSLongitude: '7/1 0/1 0/1' },
    })
    .toBuffer();
}
