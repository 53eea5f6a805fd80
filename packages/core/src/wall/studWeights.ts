import type { Evidence, Scan } from '@steddo/contract';
import { density } from '../geometry/normal';
import {
  CENTRE_SD_MM,
  DOUBLE_SHARE,
  EDGE_SD_MM,
  FASTENER_INSET_MM,
  OUTLET_SD_MM,
  PROBE_WRONG,
  SPURIOUS,
} from '../tolerances';

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

/** Single studs, and doubled ones with the layout ply on either side. Widths in whole mm. */
export const studTypes = (widthMm: number): StudType[] => [
  { plies: 1, offset: 0, width: widthMm, share: 1 - DOUBLE_SHARE },
  { plies: 2, offset: 0, width: 2 * widthMm, share: DOUBLE_SHARE / 2 },
  { plies: 2, offset: widthMm, width: 2 * widthMm, share: DOUBLE_SHARE / 2 },
];

/** A reading counts for boundaries this many sd from it at most. */
const CUT_SD = 5;

/**
 * How much the readings speak for a stud of one type with its layout ply at each place, as logarithms.
 *
 * A reading z either belongs to a boundary b of some stud, with density phi(z - b), or to nothing, once
 * in 1/eps. Against no stud at all it weighs `1 + c sum over b of phi(z - b)`, c = S (1 - eps) / eps; cut
 * at 5 sd no more than one boundary is in reach, so that the sum is one term and the whole a product
 * over studs, each with
 *
 *   AL[l] + AR[r] + AC[(l + r)/2] + FC[l, r] + P[r] - P[l] - mu
 *
 * left edges at its left face, right edges at its right one, centres, fasteners anywhere inside, probes
 * as prefix sums of log P(found | wood) / P(found | bay), less the readings that a scan over it would
 * have been expected to give. The time is that of the grid and, apart, of the readings.
 */
export function studWeights(evidence: readonly Evidence[], scans: readonly Scan[], grid: WallGrid, type: StudType, spacingMm: number): Float64Array {
  const marks = edgeSums(evidence, grid, spacingMm);
  const middles = centreSums(evidence, grid, spacingMm, type.width);
  const inside = fastenerSums(evidence, grid, spacingMm, type.width);
  const probes = probeSums(evidence, grid);
  const missing = silence(scans, grid, type.width);
  const logs = new Float64Array(grid.size);
  const at = (sums: Float64Array, i: number): number => sums[Math.min(Math.max(i, 0), grid.size)] ?? 0;
  for (let n = 0; n < grid.size; n++) {
    const l = n - type.offset;
    const r = l + type.width;
    if (l < 0 || r > grid.size) {
      logs[n] = Math.log(type.share);
      continue;
    }
    logs[n] = Math.log(type.share) + marks.left[l]! + at(marks.right, r) + middles[l]! + inside[l]! + at(probes, r) - probes[l]! - missing[l]!;
  }
  return logs;
} // prettier-ignore

/** The weight of a boundary at each place by one kind of reading. */
function addReading(sums: Float64Array, z: number, sd: number, spurious: number, spacingMm: number, shift: number): void {
  const c = (spacingMm * (1 - spurious)) / spurious;
  const from = Math.max(0, Math.ceil(z - shift - CUT_SD * sd));
  const to = Math.min(sums.length - 1, Math.floor(z - shift + CUT_SD * sd));
  for (let b = from; b <= to; b++) sums[b]! += Math.log1p(c * density(z - shift - b, sd));
} // prettier-ignore

function edgeSums(evidence: readonly Evidence[], { from, size }: WallGrid, spacingMm: number) {
  const left = new Float64Array(size + 1);
  const right = new Float64Array(size + 1);
  for (const e of evidence) {
    const z = e.x - from;
    if (e.kind === 'edge-left') addReading(left, z, EDGE_SD_MM, SPURIOUS.edge, spacingMm, 0);
    if (e.kind === 'edge-right') addReading(right, z, EDGE_SD_MM, SPURIOUS.edge, spacingMm, 0);
    // the stud to the right of an outlet has its left face there
    if (e.kind === 'outlet-side')
      addReading(e.side === 'right' ? left : right, z, OUTLET_SD_MM, SPURIOUS.outlet, spacingMm, 0);
  }
  return { left, right };
}

/** By the left face of a stud so wide. */
function centreSums(evidence: readonly Evidence[], { from, size }: WallGrid, spacingMm: number, width: number): Float64Array {
  const sums = new Float64Array(size + 1);
  for (const e of evidence)
    if (e.kind === 'centre') addReading(sums, e.x - from, CENTRE_SD_MM, SPURIOUS.centre, spacingMm, width / 2);
  return sums;
} // prettier-ignore

/** Uniform over the stud less 6 mm each side, by its left face. */
function fastenerSums(evidence: readonly Evidence[], { from, size }: WallGrid, spacingMm: number, width: number): Float64Array {
  const sums = new Float64Array(size + 1);
  const room = width - 2 * FASTENER_INSET_MM;
  const c = (spacingMm * (1 - SPURIOUS.fastener)) / SPURIOUS.fastener;
  for (const e of evidence) {
    if (e.kind !== 'fastener') continue;
    const z = e.x - from;
    const first = Math.max(0, Math.ceil(z - width + FASTENER_INSET_MM));
    const last = Math.min(size, Math.floor(z - FASTENER_INSET_MM));
    for (let l = first; l <= last; l++) sums[l]! += Math.log1p(c / room);
  }
  return sums;
} // prettier-ignore

/** Prefix sums: a probe inside counts for a stud there when it found wood, against it when not. */
function probeSums(evidence: readonly Evidence[], { from, size }: WallGrid): Float64Array {
  const sums = new Float64Array(size + 1);
  const trust = Math.log((1 - PROBE_WRONG) / PROBE_WRONG);
  for (const e of evidence) {
    if (e.kind !== 'probe') continue;
    const cell = Math.floor(e.x - from) + 1;
    if (cell >= 1 && cell <= size) sums[cell]! += e.found === 'wood' ? trust : -trust;
  }
  for (let i = 1; i <= size; i++) sums[i]! += sums[i - 1]!;
  return sums;
}

/** Readings that scans over a stud would have been expected to give: one for each of its features scanned. */
function silence(scans: readonly Scan[], { from, size }: WallGrid, width: number): Float64Array {
  const sums = new Float64Array(size + 1);
  for (const s of scans) {
    if ((s.wall ?? 'main') !== 'main' || s.instrument === 'live') continue;
    const features = s.instrument === 'edge' ? [0, width] : [width / 2];
    for (const f of features) {
      const first = Math.max(0, Math.ceil(s.from - from - f));
      const last = Math.min(size, Math.floor(s.to - from - f));
      for (let l = first; l <= last; l++) sums[l]! += 1;
    }
  }
  return sums;
}
