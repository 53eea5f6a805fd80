import type { Fit, Job, Mount, Working } from '@steddo/contract';
import { leaf, minus, node } from '../primitives/working';
import { feetOf, headOf, pivotAt, type Feet, type Pivot } from './cornerFeet';
import { plateStretches } from './cornerGeometry';
import { cornerPlace, type CornerPlace } from './cornerPlace';

/** How a mount comes to a set in a corner: a rack by a foot on each wall, an arm by one plate on the main wall. */
export type InCorner = ByRack | ByArm | { by: 'unknown' };

export interface ByRack {
  by: 'rack';
  feet: Feet[];
}

export interface ByArm {
  by: 'arm';
  pivot: Pivot;
  /** The root of its links, out of the wall. */
  root: number;
  least: number;
  most: number;
  /** Where along the main wall the plate may be, from the corner. */
  stretches: [number, number][];
}

/** By what is drawn of it. An arm with fewer or more than two links is not worked out. */
export function mountInCorner(job: Job, mount: Mount, place: CornerPlace, spacer: Working | undefined): InCorner {
  const head = headOf(mount, spacer);
  if (mount.corner) return { by: 'rack', feet: feetOf(job, place, mount.corner, head) };
  const [a, b, more] = mount.arm?.links ?? [];
  if (a === undefined || b === undefined || more !== undefined) return { by: 'unknown' };
  const pivot = pivotAt(job, place, { wall: place.main, aside: leaf('pivot-aside', 0, 'mm'), head });
  const root = mount.plate?.thickness ?? 0;
  const reach = { least: Math.abs(a - b), most: a + b };
  const at = { along: pivot.along.value + (mount.arm?.rootX ?? 0), out: pivot.out.value };
  return { by: 'arm', pivot, root, ...reach, stretches: plateStretches(at, root, reach) };
}

/** From an arm's root, its plate so far from the corner, to its pivot. The pivot at 315.9 both ways, the plate at 500, 3 thick: 363.05. */
export function armReach({ pivot, root }: Pick<ByArm, 'pivot' | 'root'>, plate: Working): Working {
  return node('arm-reach', 'hypot', 'mm', [
    minus('plate-from-pivot', plate, pivot.along),
    minus('pivot-from-root', pivot.out, leaf('plate-thickness', root, 'mm', { path: 'mount.plate.thickness' })),
  ]);
}

/** Whether the links reach the walls there at all, with the margin; nothing of a mount of which too little is known. */
export function cornerReachRule(job: Job, mount: Mount, width: Working): Fit[] {
  const place = cornerPlace({ ...job, mount }, width);
  const made = mountInCorner(job, mount, place, undefined);
  if (made.by === 'unknown') return [];
  const [value, limit] =
    made.by === 'rack'
      ? [Math.max(...made.feet.map((f) => (f.pivot.out.value < 0 ? Infinity : f.pivot.out.value))), mount.corner!.link]
      : [Math.abs(made.pivot.out.value - made.root), made.most];
  const margin = limit - Math.min(value, IN_THE_WALL_MM);
  const ok = margin >= 0;
  return [
    {
      rule: 'corner-reach',
      ok,
      level: ok ? 'info' : 'stop',
      value: Math.min(value, IN_THE_WALL_MM),
      limit,
      margin,
      unit: 'mm',
    },
  ];
}

/** Stands for a pivot that would be behind the wall: beyond every link, mm. */
const IN_THE_WALL_MM = 9999;
