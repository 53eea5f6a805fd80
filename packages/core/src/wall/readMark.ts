import type { Evidence, Working } from '@steddo/contract';
import { half, leaf, minus, node, sum } from '../primitives/working';
import { CENTRE_SD_MM, EDGE_SD_MM, SPURIOUS } from '../primitives/wallFacts';

/** Errors of the finders, mm (one standard deviation). Ours. */
export const OUTLET_SD_MM = 6;

/** A board screw sits at least this far inside its stud's edges, mm. Ours. */
export const FASTENER_INSET_MM = 6;

/** A face taped through an opening, mm (one standard deviation), and how far beyond a stud a finder without edges still says one. Ours. */
export const FACE_SD_MM = 1;
export const SOMEWHERE_BEYOND_MM = 12;

/** One reading turned into an estimate of a stud's centre. */
export interface Estimate {
  id: string;
  centre: Working;
  sd: number;
  /** Chance that the reading has nothing to do with a stud. */
  spurious: number;
  /** Wood probes and board screws say that there is wood, hardly where its middle is. */
  vague: boolean;
}

/**
 * Estimates of stud centres from marks, or undefined for readings that say nothing about a centre.
 * A left edge at 1203 with a 38 mm stud puts the centre at 1222, sd 4.
 */
export function readMark(e: Evidence, studWidth: Working): Estimate | undefined {
  const at = leaf(`mark-${e.kind}`, e.x, 'mm', { path: `evidence.${e.id}.x` });
  const halfStud = half('half-stud', studWidth);
  const left = () => minus('stud-from-right-edge', at, halfStud);
  const right = () => sum('stud-from-left-edge', at, halfStud);
  const base = { id: e.id, vague: false };
  const vagueSd = studWidth.value / Math.sqrt(12);
  switch (e.kind) {
    case 'edge-left':
      return { ...base, centre: right(), sd: EDGE_SD_MM, spurious: SPURIOUS.edge };
    case 'edge-right':
      return { ...base, centre: left(), sd: EDGE_SD_MM, spurious: SPURIOUS.edge };
    case 'centre':
      return { ...base, centre: same(at), sd: CENTRE_SD_MM, spurious: SPURIOUS.centre };
    case 'outlet-side': {
      const centre = e.side === 'right' ? right() : left();
      return { ...base, centre, sd: OUTLET_SD_MM, spurious: SPURIOUS.outlet };
    }
    case 'face': {
      const centre = e.side === 'right' ? right() : left();
      return { ...base, centre, sd: FACE_SD_MM, spurious: SPURIOUS.edge };
    }
    case 'somewhere': {
      const sd = (studWidth.value + 2 * SOMEWHERE_BEYOND_MM) / Math.sqrt(12);
      return { ...base, centre: same(at), sd, spurious: SPURIOUS.edge, vague: true };
    }
    case 'fastener': {
      const sd = (studWidth.value - 2 * FASTENER_INSET_MM) / Math.sqrt(12);
      return { ...base, centre: same(at), sd, spurious: SPURIOUS.fastener, vague: true };
    }
    case 'probe':
    case 'old-hole':
      return e.found === 'wood'
        ? { ...base, centre: same(at), sd: vagueSd, spurious: SPURIOUS.edge, vague: true }
        : undefined;
    default:
      return undefined;
  }
}

const same = (at: Working): Working => node('stud-at-mark', '+', 'mm', [at]);
