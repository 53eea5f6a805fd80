import type { HazardSeen, HazardZone, Hazards, Item, Job } from '@steddo/contract';
import { ROOM_THINGS, type Served } from '../room/roomThings';

/** Cables and pipes run straight from what they serve, this much beside it, mm. Ours; local rules differ. */
const ZONE_MARGIN_MM = 50;

/** A hole nearer than this to something seen in the wall is in it, mm. Ours. */
const SEEN_MARGIN_MM = 50;

/** A live signal is this vague, mm. Ours. */
const LIVE_MARGIN_MM = 75;

/** How far a camera sees up and down the bay, when nobody said, mm. Ours. */
export const LOOK_REACH_MM = 300;

/** A look: drilled 5/16 in, worked wider to 1/2 in, 3 in beside the line; for what it is good. Common practice. */
export const LOOK = { drillMm: 7.94, wideMm: 12.7, besideMm: 76.2 } as const;

type RunWay = HazardZone['way'];
/**
 * Where cables, pipes, ducts and gas have to be expected from what is on the main wall and behind it, and
 * where something was seen or a finder showed a live wire. Boxes on the wall, mm.
 * An outlet 1800 to 1870: its cables 1750 to 1920, from floor to ceiling, and all along the wall.
 */
export function hazardsOf(job: Job): Hazards {
  const { wall, objects } = job.room;
  const onMain = (e: { wall?: string | undefined }) => (e.wall ?? 'main') === 'main';
  const zones = (objects ?? []).filter(onMain).flatMap((o) => zonesOf(o, wall));
  if (wall.behind === 'wet-room')
    zones.push({ id: 'behind', what: 'pipe', way: 'behind', left: 0, right: wall.width, bottom: 0, top: wall.height });
  return { zones, seen: [...seenIn(job), ...liveIn(job)] };
}

function zonesOf(item: Item, wall: { width: number; height: number }): HazardZone[] {
  const { served } = ROOM_THINGS[item.kind];
  if (!served) return [];
  return waysOf(item, served).flatMap((way): HazardZone[] => {
    const box = boxOf(item, way, wall);
    return box.left < box.right && box.bottom < box.top
      ? [{ id: `${item.id}:${way}`, what: served.what, way, object: item.id, ...box }]
      : [];
  });
}

/** A pipe that is drawn along the wall goes on along it; one drawn upright goes on up and down. */
function waysOf(item: Item, { what, ways }: Served): readonly RunWay[] {
  if (what !== 'pipe') return ways;
  const upright = item.top - item.bottom >= item.right - item.left;
  return upright ? ['up', 'down', 'at'] : ['left', 'right', 'at'];
}

function boxOf({ left, right, bottom, top, doubt = 0 }: Item, way: RunWay, wall: { width: number; height: number }) {
  // what was measured by a picture may be served from beside where it is drawn
  const m = ZONE_MARGIN_MM + doubt;
  const across = { left: left - m, right: right + m };
  const level = { bottom: bottom - m, top: top + m };
  switch (way) {
    case 'up':
      return { ...across, bottom: top + m, top: wall.height };
    case 'down':
      return { ...across, bottom: 0, top: bottom - m };
    case 'left':
      return { ...level, left: 0, right: left - m };
    case 'right':
      return { ...level, left: right + m, right: wall.width };
    default:
      return { ...across, ...level };
  }
}

/**
 * What a look has met: a run up and down, or along the wall, where it was seen; while nobody has said which
 * way it runs, anywhere beside the look as far as the line that it was made for, and as far as the camera saw.
 */
function seenIn(job: Job): HazardSeen[] {
  const { wall } = job.room;
  const m = SEEN_MARGIN_MM;
  return (job.looks ?? []).flatMap((k): HazardSeen[] => {
    if ((k.wall ?? 'main') !== 'main' || k.found === 'clear') return [];
    const across = LOOK.besideMm + m;
    const reach = k.reach ?? LOOK_REACH_MM;
    const box = {
      vertical: { left: k.x - m, right: k.x + m, bottom: 0, top: wall.height },
      horizontal: { left: 0, right: wall.width, bottom: k.y - m, top: k.y + m },
      unsaid: { left: k.x - across, right: k.x + across, bottom: k.y - reach - m, top: k.y + reach + m },
    }[k.runs ?? 'unsaid'];
    return [{ id: k.id, what: k.found, ...box }];
  });
}

const liveIn = (job: Job): HazardSeen[] =>
  (job.evidence ?? []).flatMap((e) =>
    e.kind === 'live' && (e.wall ?? 'main') === 'main'
      ? [
          {
            id: e.id,
            what: 'live' as const,
            left: e.x - LIVE_MARGIN_MM,
            right: e.x + LIVE_MARGIN_MM,
            bottom: e.y - LIVE_MARGIN_MM,
            top: e.y + LIVE_MARGIN_MM,
          },
        ]
      : [],
  );

export interface WallBox {
  left: number;
  right: number;
  bottom: number;
  top: number;
}

export const overlaps = (a: WallBox, b: WallBox): boolean =>
  a.left <= b.right && b.left <= a.right && a.bottom <= b.top && b.bottom <= a.top;
