import type { Plate, Working } from '@steddo/contract';
import { lagSizeOf } from './lagTables';
import { leaf, minus, sum } from '../primitives/working';
import type { Fastener } from './kit';
import { PLATE_THICKNESS_MM } from './fastenerCapacity';
import { SAME_MM } from '../primitives/epsilons';

/** Drilled deeper than the screw goes, mm. Ours. */
const PILOT_OVERDRILL_MM = 5;

/** Stock bits, mm: sixty-fourths of an inch from 1/8 to 3/8. */
const STOCK_BITS_MM = Array.from({ length: 17 }, (_, i) => ((i + 8) / 64) * 25.4);

export interface Band {
  fromMm: number;
  toMm: number;
}

/**
 * Share of the shank that a lead hole for the thread may take (NDS 12.1.4, from memory):
 * 40 to 70 % up to G 0.5, 60 to 75 % to 0.6, 65 to 85 % above. A 6.35 mm lag in spruce: 2.54 to 4.445 mm.
 */
export function leadBand(diameter: number, gravity: number): Band {
  const [from, to] = gravity <= 0.5 ? [0.4, 0.7] : gravity <= 0.6 ? [0.6, 0.75] : [0.65, 0.85];
  return { fromMm: from * diameter, toMm: to * diameter };
}

/** A leaflet's bit this little outside the band is inside it, mm: bits come in sixty-fourths. */
const BAND_SLACK_MM = 0.05;

export const inBand = (bitMm: number, band: Band): boolean =>
  bitMm >= band.fromMm - BAND_SLACK_MM && bitMm <= band.toMm + BAND_SLACK_MM;

/**
 * The bit for a lag's lead hole: the leaflet's where it gives one, or else the largest stock bit not above the band
 * and the root. A 1/4 in lag without a leaflet: 11/64 in (4.366 mm). Undefined when no stock
 * bit fits.
 */
export function leadBit(lag: Pick<Fastener, 'diameter' | 'hole' | 'path'>, gravity: number): Working | undefined {
  const band = leadBand(lag.diameter, gravity);
  if (lag.hole !== undefined) return leaf('leaflet-bit', lag.hole, 'mm', { path: `${lag.path}.pilot` });
  const most = Math.min(band.toMm, lagSizeOf(lag.diameter)?.rootMm ?? Infinity);
  const bit = STOCK_BITS_MM.filter((b) => b <= most + SAME_MM && b >= band.fromMm - SAME_MM).at(-1);
  return bit === undefined ? undefined : leaf('stock-bit', bit, 'mm');
}

/** Packing at a place: as it was chosen, or what the faces of the wall come to there. */
export const packingOf = (packingMm: number, chosenMm: number): Working =>
  leaf('packing', packingMm, 'mm', Math.abs(packingMm - chosenMm) < SAME_MM ? { path: 'choices.packing' } : {});

/**
 * How much of a screw is behind the wall's face, mm: L - plate - washer - packing.
 * A 64 mm lag through a 3 mm plate and a 2 mm washer: 59 mm.
 */
export function inWall(fastener: Fastener, plate: Plate, packing: Working): Working {
  const { path } = fastener;
  return minus(
    'lag-in-wall',
    leaf('lag-length', fastener.length ?? 0, 'mm', { path: `${path}.length` }),
    leaf('plate-thickness', plate.thickness ?? PLATE_THICKNESS_MM, 'mm', {
      path: 'mount.plate.thickness',
      guess: plate.thickness === undefined,
    }),
    leaf('washer', fastener.washer ?? 0, 'mm', { path: `${path}.washer` }),
    packing,
  );
}

/**
 * Depth of the lead hole from the wall's face, mm: what of the lag is in the wall, and 5 more.
 * A 64 mm lag through a 3 mm plate and a 2 mm washer: 64 mm.
 */
export const leadDepth = (fastener: Fastener, plate: Plate, packing: Working): Working =>
  sum('hole-depth', inWall(fastener, plate, packing), leaf('overdrill', PILOT_OVERDRILL_MM, 'mm'));
