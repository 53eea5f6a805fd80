import type { Evidence, Scan } from '@steddo/contract';
import { density } from '../primitives/normal';
import { CENTRE_SD_MM, EDGE_SD_MM, PROBE_WRONG, SPURIOUS } from '../primitives/wallFacts';
import { FACE_SD_MM, FASTENER_INSET_MM, OUTLET_SD_MM, SOMEWHERE_BEYOND_MM } from './readMark';

/** Studs that are doubled, at openings and corners. Ours. */
const DOUBLE_SHARE = 0.05;

/** Whole millimetres along the wall, the first at `from`. */
export interface WallGrid {
  from: number;
  size: number;
}

/** A stud of one ply or two; its layout ply begins `offset` right of its left face. */
export interface StudType {
  plies: 1 | 2;
  offset: number;
  width: number;
  share: number;
}

/** Single studs, and doubled ones with the layout ply on either side. */
export const studTypes = (plyMm: number): StudType[] => [
  { plies: 1, offset: 0, width: plyMm, share: 1 - DOUBLE_SHARE },
  { plies: 2, offset: 0, width: 2 * plyMm, share: DOUBLE_SHARE / 2 },
  { plies: 2, offset: plyMm, width: 2 * plyMm, share: DOUBLE_SHARE / 2 },
];

/** A reading counts for boundaries this many sd from it at most. */
const CUT_SD = 5;

/** What one reading says about a stud: for it near a boundary, or for or against all that it is inside. */
export type Says =
  /** It may be of the boundary `of` layout plies' left faces later: normal, or nothing in `spurious`. */
  | { kind: 'near'; z: number; boundary: (t: StudType) => number; sd: number; spurious: number }
  /** It may be anywhere inside, less `inset` each side. */
  | { kind: 'inside'; z: number; inset: number; spurious: number }
  /** A probe: so many times likelier inside a stud than in the bay. */
  | { kind: 'probe'; z: number; log: number };

/** Boundaries of a stud, right of its layout ply's left face. */
export const leftFace = (t: StudType): number => -t.offset;
export const rightFace = (t: StudType): number => t.width - t.offset;
const middle = (t: StudType): number => t.width / 2 - t.offset;

/**
 * What a reading says about studs, or undefined where it says nothing about them: noggings, joints,
 * backing, live wires, and probes that met something else than wood or a hollow.
 * `{ kind: 'edge-left', x: 1203 }` is near a left face, sd 4 mm.
 */
export function saysOf(e: Evidence): Says | undefined {
  switch (e.kind) {
    case 'edge-left':
      return { kind: 'near', z: e.x, boundary: leftFace, sd: EDGE_SD_MM, spurious: SPURIOUS.edge };
    case 'edge-right':
      return { kind: 'near', z: e.x, boundary: rightFace, sd: EDGE_SD_MM, spurious: SPURIOUS.edge };
    case 'centre':
      return {
        kind: 'near',
        z: e.x,
        boundary: middle,
        sd: CENTRE_SD_MM,
        spurious: SPURIOUS.centre,
      };
    case 'outlet-side': {
      // the stud to the right of an outlet has its left face there
      const boundary = e.side === 'right' ? leftFace : rightFace;
      return { kind: 'near', z: e.x, boundary, sd: OUTLET_SD_MM, spurious: SPURIOUS.outlet };
    }
    case 'face': {
      const boundary = e.side === 'right' ? leftFace : rightFace;
      return { kind: 'near', z: e.x, boundary, sd: FACE_SD_MM, spurious: SPURIOUS.edge };
    }
    case 'somewhere':
      return { kind: 'inside', z: e.x, inset: -SOMEWHERE_BEYOND_MM, spurious: SPURIOUS.edge };
    case 'fastener':
      return { kind: 'inside', z: e.x, inset: FASTENER_INSET_MM, spurious: SPURIOUS.fastener };
    case 'probe':
    case 'old-hole':
      return e.found === 'wood' || e.found === 'hollow'
        ? { kind: 'probe', z: e.x, log: (e.found === 'wood' ? 1 : -1) * PROBE_TRUST }
        : undefined;
    default:
      return undefined;
  }
}

const PROBE_TRUST = Math.log((1 - PROBE_WRONG) / PROBE_WRONG);

/**
 * Log of how much a reading weighs for a stud of a type with its layout ply's left face at `n`, against
 * no stud there: log(1 + c phi(z - b)), c = S (1 - spurious) / spurious; for a probe the odds of it.
 */
export function weightOf(says: Says, type: StudType, n: number, spacingMm: number): number {
  const off = says.z - n;
  switch (says.kind) {
    case 'near': {
      const from = off - says.boundary(type);
      return Math.abs(from) > CUT_SD * says.sd
        ? 0
        : Math.log1p(oddsFor(says.spurious, spacingMm) * density(from, says.sd));
    }
    case 'inside': {
      const room = type.width - 2 * says.inset;
      const within = off >= leftFace(type) + says.inset && off <= rightFace(type) - says.inset;
      return within ? Math.log1p(oddsFor(says.spurious, spacingMm) / room) : 0;
    }
    case 'probe':
      return off >= leftFace(type) && off <= rightFace(type) ? says.log : 0;
  }
}

const oddsFor = (spurious: number, spacingMm: number): number => (spacingMm * (1 - spurious)) / spurious;

/** The places, as left faces of layout plies, that a reading can say anything about. */
export function placesOf(says: Says, type: StudType): { from: number; to: number } {
  if (says.kind === 'near') {
    const b = says.z - says.boundary(type);
    return { from: Math.ceil(b - CUT_SD * says.sd), to: Math.floor(b + CUT_SD * says.sd) };
  }
  const beyond = says.kind === 'inside' ? Math.max(0, -says.inset) : 0;
  return { from: Math.ceil(says.z - rightFace(type) - beyond), to: Math.floor(says.z - leftFace(type) + beyond) };
}

/**
 * How much the readings speak for a stud of one type with its layout ply at each place, as logarithms.
 *
 * A reading z either belongs to a boundary b of some stud, with density phi(z - b), or to nothing, once
 * in 1/eps. Against no stud at all it weighs `1 + c sum over b of phi(z - b)`, c = S (1 - eps) / eps; cut
 * at 5 sd no more than one boundary is in reach, so that the sum is one term and the whole a product
 * over studs. Each reading is added to the few places that it reaches; a scan takes away what it would
 * have been expected to show of a stud.
 */
export function studWeights(
  says: readonly Says[],
  scans: readonly Scan[],
  grid: WallGrid,
  type: StudType,
  spacingMm: number,
): Float64Array {
  const logs = new Float64Array(grid.size).fill(Math.log(type.share));
  for (const s of says) {
    const { from, to } = placesOf(s, type);
    for (let n = Math.max(from, grid.from); n <= Math.min(to, grid.from + grid.size - 1); n++)
      logs[n - grid.from]! += weightOf(s, type, n, spacingMm);
  }
  for (const scan of scans) silence(logs, scan, grid, type);
  return logs;
}

/** Readings that a scan over a stud would have been expected to give: one for each of its features. */
function silence(logs: Float64Array, scan: Scan, grid: WallGrid, type: StudType): void {
  if (scan.instrument === 'live') return;
  const features = scan.instrument === 'edge' ? [leftFace(type), rightFace(type)] : [middle(type)];
  for (const f of features) {
    const first = Math.max(0, Math.ceil(scan.from - f) - grid.from);
    const last = Math.min(grid.size - 1, Math.floor(scan.to - f) - grid.from);
    for (let i = first; i <= last; i++) logs[i]! -= 1;
  }
}
