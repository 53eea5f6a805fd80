import type { Finding, Job, Plan } from '@steddo/contract';
import { finding } from '../primitives/findings';
import type { Part } from '../primitives/part';
import { leaf, minus, node } from '../primitives/working';

/** A floor that falls by less over the set's width is as good as level, mm. Ours. */
const FLOOR_SEEN_MM = 3;

/**
 * How the floor falls along the wall, from its first height to its last, left to right: what a level line is above it
 * grows where it falls. 0 at 1700 and 3 at 2300: left stands high, 3 in 600, 5.6 over a set of 1118. Two marks that
 * are both measured up from such a floor are not level.
 */
export function floorPart({ floorHeights = [] }: Job, setWidthMm: number): Part<NonNullable<Plan['floor']>> {
  const along = floorHeights.map((h, i) => ({ ...h, path: `floorHeights.${h.id ?? i}` })).sort((a, b) => a.x - b.x);
  const first = along[0];
  const last = along.at(-1);
  if (!first || !last || first.x === last.x) return { findings: [] };
  const at = (field: 'x' | 'drop', h: typeof first) =>
    leaf(`floor-${field}`, h[field], 'mm', { path: `${h.path}.${field}` });
  // where the level line is further above the floor the floor is lower
  const rise = minus('floor-falls', at('drop', first), at('drop', last));
  const working = node('floor-slope', 'atan', 'deg', [rise, minus('floor-between', at('x', last), at('x', first))]);
  const riseMm = Math.abs(setWidthMm * Math.tan((working.value * Math.PI) / 180));
  const high = working.value > 0 ? 'right' : working.value < 0 ? 'left' : 'neither';
  return {
    section: { slope: working.value, rise: riseMm, high, working },
    findings: riseMm > FLOOR_SEEN_MM ? [slopes(riseMm, high, setWidthMm)] : [],
  };
}

const slopes = (riseMm: number, high: string, spanMm: number): Finding =>
  finding('floor-slopes', 'info', 'height', { riseMm, high, spanMm });
