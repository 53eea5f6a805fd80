import type { Hole, Job, Plan, Side } from '@steddo/contract';
import { boardOf } from '../room/wallAt';
import { overlaps, LOOK, LOOK_REACH_MM } from '../wall/hazardZones';
import { lookedAt } from '../wall/lookedAt';
import { bayAt } from '../wall/otherTimber';

/** A look into one bay beside a hole's stud: where its small hole goes, and what the camera should see. */
export interface GuidedLook {
  hole: string;
  /** Which bay beside the stud. */
  bay: Side;
  x: number;
  y: number;
  /** The set or its plate will be in front of the hole in the board. */
  hidden: boolean;
  /** Nearer to something that serves an outlet or tap than is wise; the other side of the stud first. */
  inZone: boolean;
  /** Depth stop: the board only. */
  stop: number;
  drill: number;
  wide: number;
  reach: number;
}

/**
 * The looks that are still wanted for the holes, in the order to take them: each bay beside each stud that
 * has holes, 3 in beside the line, at the middle of the holes' heights, so that one look serves them all.
 * A stud at 1657 with holes at 1500 and 1630: at 1580 and 1734, 1565 up.
 */
export function guidedLooks(job: Job, plan: Plan): GuidedLook[] {
  const holes = (plan.holes ?? []).filter((h) => h.hazard === 'nobody-looked' || h.hazard === 'one-side');
  const studs = plan.studs ?? [];
  const firsts = holes.filter((h, i) => holes.findIndex((o) => o.stud === h.stud) === i);
  return firsts.flatMap((first) => {
    const column = holes.filter((h) => h.stud === first.stud);
    const y = (Math.min(...column.map((h) => h.y)) + Math.max(...column.map((h) => h.y))) / 2;
    const looks = (['left', 'right'] as const)
      .filter((bay) => column.some((h) => !lookedAt(job, studs, pointOf(h))[bay]))
      .map((bay) => lookInto(job, plan, first, bay, y));
    return looks.sort((a, b) => Number(a.inZone) - Number(b.inZone));
  });
}

const pointOf = ({ x, y }: Hole) => ({ left: x, right: x, bottom: y, top: y });

function lookInto(job: Job, plan: Plan, hole: Hole, bay: Side, y: number): GuidedLook {
  const sign = bay === 'left' ? -1 : 1;
  const stud = plan.studs?.[hole.stud ?? -1];
  const middle = stud?.centre ?? hole.x;
  const clear = bayAt(middle + sign * (stud?.width ?? 0), plan.studs ?? [], job.room.wall.width);
  // no further than the bay goes, less half the hole's own width
  const wanted = middle + sign * LOOK.besideMm;
  const r = LOOK.wideMm / 2;
  const x = Math.min(Math.max(wanted, clear.left + r), Math.max(clear.left + r, clear.right - r));
  const spot = { left: x - r, right: x + r, bottom: y - r, top: y + r };
  const p = plan.placement;
  return {
    hole: hole.id,
    bay,
    x,
    y,
    hidden: p !== undefined && x >= p.left && x <= p.right && y >= p.bottom && y <= p.top,
    inZone: (plan.hazards?.zones ?? []).some((z) => z.way !== 'behind' && overlaps(z, spot)),
    stop: boardOf(job.room.wall.build),
    drill: LOOK.drillMm,
    wide: LOOK.wideMm,
    reach: LOOK_REACH_MM,
  };
}

/** The steps of a look into the wall, and of taking an outlet's cover off; words are in @steddo/text. */
export const LOOK_STEPS = ['mark', 'drill', 'widen', 'camera', 'found'] as const;
export const COVER_STEPS = ['power-off', 'cover-off', 'stud-side', 'cables', 'cover-on'] as const;
export type LookStep = (typeof LOOK_STEPS)[number] | (typeof COVER_STEPS)[number];
