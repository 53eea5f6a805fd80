import type { Finding, Hazards, Item, Job, Nogging } from '@steddo/contract';
import { finding } from '../primitives/findings';
import { onMainWall } from '../room/roomThings';
import { wallAt } from '../room/wallAt';
import { WALL_KINDS } from '../room/wallKinds';
import { HOLE_CAUTION, HOLE_GO } from '../wall/holeVerdict';
import { overlaps, type WallBox } from '../wall/hazardZones';
import { seenAt, type Looked } from '../wall/lookedAt';
import type { BoxBay } from './boxBay';
import type { BoxToCut } from './boxCuts';
import { isTicked } from './ticked';

/** Half of what is nailed across a bay, and how far off its mark may be, mm. Ours. */
const NOGGING_HALF_MM = 19;
const NOGGING_DOUBT_MM = 10;

/** A flue, vent or fire nearer than this to a box is asked about, mm. Ours. */
const FLUE_NEAR_MM = 600;

/** A box and the box that the mount brings differ by no more, mm. Ours. */
const SAME_BOX_MM = 3;

/** A box with all that is known of where it goes. */
export interface BoxKnown {
  job: Job;
  box: BoxToCut;
  bay: BoxBay | undefined;
  /** That what is sawn meets no wood. */
  chance: number;
  /** Left behind it, mm. */
  behind: number;
  taped: boolean;
  noggings: readonly Nogging[];
  looked: Looked;
  hazards: Hazards;
}

/** The least of the chances that a box goes in where it is. */
export const sureOf = ({ bay, chance }: Pick<BoxKnown, 'bay' | 'chance'>): number => Math.min(bay?.chance ?? 0, chance);

/** What lies across the bay within the box's height, and the least up or down that clears all of it. */
export function noggingIn({
  box,
  noggings,
}: Pick<BoxKnown, 'box' | 'noggings'>): { yMm: number; byMm: number } | undefined {
  const off = NOGGING_HALF_MM + NOGGING_DOUBT_MM;
  const across = noggings.filter((n) => n.left < box.right && n.right > box.left);
  const meets = (by: number) => across.find((n) => n.y + off > box.bottom + by && n.y - off < box.top + by);
  const met = meets(0);
  if (!met) return undefined;
  const ways = across.flatMap((n) => [n.y + off - box.bottom, n.y - off - box.top]).filter((by) => !meets(by));
  const [byMm = 0] = ways.sort((a, b) => Math.abs(a) - Math.abs(b));
  return { yMm: met.y, byMm };
}

/** What is seen or expected where something is cut: seen stays, expected goes when somebody has looked. */
export function inTheWay({ hazards, looked, box }: Pick<BoxKnown, 'hazards' | 'looked' | 'box'>, at: WallBox) {
  const byEye = seenAt(
    hazards.seen.filter((s) => s.what !== 'live'),
    at,
  );
  if (byEye) return { seen: byEye.what };
  if (looked.state === 'clear') return undefined;
  const live = seenAt(
    hazards.seen.filter((s) => s.what === 'live'),
    at,
  );
  if (live) return { seen: live.what };
  const zone = hazards.zones.find((z) => overlaps(z, at) && z.object !== box.id);
  return zone ? { expected: zone } : undefined;
}

/** Flues, vents and fires near a box: by the distance on their label, and asked for where there is none. */
export function flueFindings({ room }: Job, box: Item): Finding[] {
  const least = room.rules?.find((r) => r.what === 'flue-clearance')?.value;
  return onMainWall(room.objects)
    .filter((o) => o.kind === 'vent' || o.kind === 'flue' || o.kind === 'opening' || o.kind === 'stove')
    .flatMap((o): Finding[] => {
      const distanceMm = apart(o, box);
      const values = { object: box.id, thing: o.id, distanceMm };
      if (least === undefined)
        return distanceMm < FLUE_NEAR_MM ? [finding('box-flue-unasked', 'stop', 'wall', values)] : [];
      return distanceMm < least ? [finding('box-flue', 'stop', 'wall', { ...values, leastMm: least })] : [];
    });
}

const apart = (a: WallBox, b: WallBox): number =>
  Math.hypot(Math.max(0, a.left - b.right, b.left - a.right), Math.max(0, a.bottom - b.top, b.bottom - a.top));

/** Everything that keeps a box from being cut in, or has to be minded. */
export function boxFindings(known: BoxKnown): Finding[] {
  const { job, box } = known;
  return [
    ...buildFindings(job, box),
    ...bayFindings(known),
    ...noggingFindings(known),
    ...depthFindings(known),
    ...lookFindings(known),
    ...flueFindings(job, box),
    ...mountFindings(job, box),
    ...firstFindings(box),
    ...(job.room.wall.behind === 'outside' ? [finding('box-outside-wall', 'info', 'wall', { object: box.id })] : []),
  ];
}

/** A box goes between studs; there is no bay in brick, nor behind a sheet. */
function buildFindings({ room }: Job, box: Item): Finding[] {
  const corners = [box.left, (box.left + box.right) / 2, box.right].flatMap((x) =>
    [box.bottom, (box.bottom + box.top) / 2, box.top].map((y) => wallAt(room.wall, x, y).build.kind),
  );
  const solid = corners.find((k) => !WALL_KINDS[k].hollow);
  return solid ? [finding('box-not-hollow', 'stop', 'wall', { object: box.id, kind: solid })] : [];
}

/** Wood is known to be inside an outline that is so likely not free of it. */
export const KNOWN_WOOD = 1 - HOLE_GO;

/**
 * What the bay has to say of a box. Before the first cut doubt stops nothing: the small cut inside the outline settles
 * it; wood that is known to be there does, and so does a bay that was taped through the opening and is too narrow.
 */
function bayFindings({ job, box, bay, chance, taped }: BoxKnown): Finding[] {
  const object = box.id;
  const opened = box.cut.first !== undefined || isTicked(job, 'box.first-cut');
  if (!bay) return [finding('box-bay-unknown', opened ? 'stop' : 'todo', 'wall', { object })];
  const percent = (of: number) => Math.floor(of * 100);
  const widthMm = box.right - box.left;
  if (bay.chance < (taped ? HOLE_CAUTION : KNOWN_WOOD))
    return [
      finding('box-does-not-fit', 'stop', 'wall', {
        ...{ object, boxMm: widthMm, clearMm: bay.right.value - bay.left.value },
        ...{ percent: percent(bay.chance), taped },
      }),
    ];
  if (chance < (opened ? HOLE_CAUTION : KNOWN_WOOD)) {
    const byMm = (bay.left.value + bay.right.value) / 2 - (box.left + box.right) / 2;
    return [finding('box-meets-wood', 'stop', 'wall', { object, percent: percent(chance), byMm })];
  }
  const sure = Math.min(bay.chance, chance);
  return sure < HOLE_GO ? [finding('box-tight', 'caution', 'wall', { object, percent: percent(sure), taped })] : [];
}

function noggingFindings(known: BoxKnown): Finding[] {
  const met = noggingIn(known);
  return met ? [finding('box-nogging', 'stop', 'wall', { object: known.box.id, ...met })] : [];
}

const depthFindings = ({ box, behind }: BoxKnown): Finding[] =>
  behind < 0
    ? [finding('box-too-deep', 'stop', 'wall', { object: box.id, depthMm: box.cut.depth, byMm: -behind })]
    : [];

function lookFindings(known: BoxKnown): Finding[] {
  const { box, looked } = known;
  const met = inTheWay(known, box);
  if (met?.seen) return [finding('seen-at-opening', 'stop', 'wall', { object: box.id, what: met.seen })];
  if (met?.expected) {
    const { what, object: from = '' } = met.expected;
    return [finding('box-unlooked', 'todo', 'wall', { object: box.id, what, from })];
  }
  return looked.state === 'clear'
    ? []
    : [finding('opening-unlooked', 'todo', 'wall', { object: box.id, from: '', what: '' })];
}

/** A first opening that the later outline no longer takes away stays in the wall. */
function firstFindings({ id, cut: { first }, ...box }: BoxToCut): Finding[] {
  const inside =
    !first ||
    (first.left >= box.left && first.right <= box.right && first.bottom >= box.bottom && first.top <= box.top);
  return inside ? [] : [finding('box-first-beside', 'caution', 'wall', { object: id })];
}

/** The box that the mount brings is what is cut for. */
function mountFindings({ mount }: Job, box: BoxKnown['box']): Finding[] {
  const own = mount?.opening;
  if (!own) return [];
  const pairs = [
    { axis: 'width', cutMm: box.right - box.left, boxMm: own.width },
    { axis: 'height', cutMm: box.top - box.bottom, boxMm: own.height },
    { axis: 'depth', cutMm: box.cut.depth, boxMm: own.depth },
  ] as const;
  const off = pairs.find((p) => Math.abs(p.cutMm - p.boxMm) > SAME_BOX_MM);
  return off ? [finding('box-size-differs', 'caution', 'mount', { object: box.id, ...off })] : [];
}
