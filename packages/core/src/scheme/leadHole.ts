import type { Build, Fixing, Job, Plate, Working } from '@steddo/contract';
import { PILOT_OVERDRILL_MM } from '../tolerances';
import { leaf, minus, sum } from '../working';

/** Specific gravity of the timber a stud is cut from (NDS 2018 table 12.3.3A, from memory). */
const GRAVITY: Record<NonNullable<Build['timber']>, number> = {
  'spruce-pine-fir': 0.42,
  'hem-fir': 0.43,
  'douglas-fir': 0.5,
  'southern-pine': 0.55,
};

/** Root diameter of the common lags by shank, mm (NDS 2018 appendix L, from memory). */
const ROOTS: readonly { shankMm: number; rootMm: number }[] = [
  { shankMm: 6.35, rootMm: 0.173 * 25.4 },
  { shankMm: 7.9375, rootMm: 0.227 * 25.4 },
  { shankMm: 9.525, rootMm: 0.265 * 25.4 },
];
const SHANK_TOLERANCE_MM = 0.1;

/** Stock bits, mm: sixty-fourths of an inch from 1/8 to 3/8. */
const STOCK_BITS_MM = Array.from({ length: 17 }, (_, i) => ((i + 8) / 64) * 25.4);

export interface Band {
  fromMm: number;
  toMm: number;
}

/**
 * Share of the shank that a lead hole for the thread may take (NDS 12.1.4, from memory):
 * 40 to 70 % up to G 0.5, 60 to 75 % to 0.6. A 6.35 mm lag in spruce: 2.54 to 4.445 mm.
 */
export function leadBand(diameter: number, build: Build): Band {
  const g = GRAVITY[build.timber ?? 'spruce-pine-fir'];
  const [from, to] = g <= 0.5 ? [0.4, 0.7] : [0.6, 0.75];
  return { fromMm: from * diameter, toMm: to * diameter };
}

/**
 * The bit for a lag's lead hole: the leaflet's, or the largest stock bit not above the band and
 * the root. A 1/4 in lag without a leaflet: 11/64 in (4.366 mm). Undefined when no stock bit fits.
 */
export function leadBit(fixing: Fixing, build: Build): Working | undefined {
  if (fixing.pilot !== undefined)
    return leaf('leaflet-bit', fixing.pilot, 'mm', {
      path: `mount.walls.${build.kind}.fixing.pilot`,
    });
  const band = leadBand(fixing.diameter, build);
  const root = ROOTS.find((r) => Math.abs(r.shankMm - fixing.diameter) <= SHANK_TOLERANCE_MM);
  const most = Math.min(band.toMm, root?.rootMm ?? Infinity);
  const bit = STOCK_BITS_MM.filter((b) => b <= most && b >= band.fromMm).at(-1);
  return bit === undefined ? undefined : leaf('stock-bit', bit, 'mm');
}

/**
 * Depth of the lead hole from the wall's face, mm: L - plate - washer - packing + 5.
 * A 64 mm lag through a 3 mm plate and a 2 mm washer: 64 mm.
 */
export function leadDepth(fixing: Fixing, plate: Plate, job: Job): Working {
  const at = `mount.walls.${job.room.wall.build.kind}.fixing`;
  const held = minus(
    'lag-in-wall',
    leaf('lag-length', fixing.length, 'mm', { path: `${at}.length` }),
    leaf('plate-thickness', plate.thickness ?? PLATE_THICKNESS_MM, 'mm', {
      path: 'mount.plate.thickness',
      guess: plate.thickness === undefined,
    }),
    leaf('washer', fixing.washer ?? 0, 'mm', {
      path: `${at}.washer`,
      guess: fixing.washer === undefined,
    }),
    leaf('packing', job.choices?.packing ?? 0, 'mm', { path: 'choices.packing' }),
  );
  return sum('hole-depth', held, leaf('overdrill', PILOT_OVERDRILL_MM, 'mm'));
}

/** Sheet steel of a plate that nobody has measured, mm. Ours. */
const PLATE_THICKNESS_MM = 3;
