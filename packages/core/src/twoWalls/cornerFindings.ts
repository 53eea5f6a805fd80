import type { Finding, Item, Job, Mount, Side } from '@steddo/contract';
import type { Feet } from '../corner/cornerFeet';
import { fromWall, outlineIn, standOffOf, type InCorner, type WallSide } from '../corner/cornerGeometry';
import type { CornerPlace } from '../corner/cornerPlace';
import { mainFromCorner } from '../corner/facingJob';
import type { ByArm } from '../corner/mountInCorner';
import type { Frame, Spot } from '../placement/placeSet';
import { gapTo, type Point, type Polygon } from '../primitives/convex';
import { finding } from '../primitives/findings';
import { outOf } from '../room/roomThings';
import { holeThere } from '../room/wallView';
import { isOnWall, stancesOn, wallWidth } from './footStances';

/** A finding about one wall of a corner, with that wall in it and its holes by their names there. */
export function atWall(one: Finding, wall: 'main' | Side): Finding {
  const there = wall === 'main' ? (id: string) => id : holeThere;
  const { hole, holes, oneSide, zoneHoles } = one.values;
  const named = (key: string, list: Finding['values'][string] | undefined) =>
    Array.isArray(list) ? { [key]: (list as string[]).map((ids) => ids.split(' ').map(there).join(' ')) } : {};
  return {
    ...one,
    values: {
      ...one.values,
      ...(typeof hole === 'string' ? { hole: there(hole) } : {}),
      ...named('holes', holes),
      ...named('oneSide', oneSide),
      ...named('zoneHoles', zoneHoles),
      onWall: wall,
    },
  };
}

/** What a fastening comes to: of two feet the worse one is said. */
const ONE_OF: ReadonlySet<string> = new Set(['loads-checked', 'held-by-label', 'load-too-great']);
const LEVEL = { stop: 3, caution: 2, todo: 1, info: 0 } as const;

/**
 * What is said of both walls, once: nobody reads one list of holes to look at and then another; and of the loads of two
 * feet the worse.
 */
export function joinedWalls(findings: readonly Finding[]): Finding[] {
  const weight = (f: Finding) => LEVEL[f.level] * 1e6 + Number(f.values.percent ?? 0);
  const loads = findings.filter((f) => ONE_OF.has(f.code)).sort((a, b) => weight(b) - weight(a));
  const isSide = (f: Finding) => Number(f.values.onWall !== undefined);
  const looks = findings.filter((f) => f.code === 'look-first').sort((a, b) => isSide(a) - isSide(b));
  return findings.flatMap((f): Finding[] => {
    if (ONE_OF.has(f.code)) return f === loads[0] ? [f] : [];
    if (f.code !== 'look-first') return [f];
    return f === looks[0] ? [looks.reduce(together)] : [];
  });
}

/** Two lists of holes in one. */
function together(a: Finding, b: Finding): Finding {
  const { onWall: _a, ...first } = a.values;
  const values = Object.entries(first).map(([key, value]) => {
    const more = b.values[key];
    const both = Array.isArray(value) && Array.isArray(more) ? [...value, ...more] : value;
    return [key, key === 'into' && Array.isArray(both) ? [...new Set(both as string[])] : both] as const;
  });
  return { ...a, values: Object.fromEntries(values) as Finding['values'] };
}

/** The holes of a foot; a stud that it misses by where it stands, for the set cannot be shifted along a corner. */
export function footFindings(found: readonly Finding[], xMm: number): Finding[] {
  return found.flatMap((one): Finding[] => {
    if (one.code === 'angled-lag') return [];
    if (one.code !== 'no-stud-in-slots') return [one];
    const { byMm } = one.values;
    return [finding('corner-no-wood', 'stop', 'holes', { xMm, ...(typeof byMm === 'number' ? { byMm } : {}) })];
  });
}

export const undrawnFinding = (): Finding => finding('corner-undrawn', 'todo', 'mount', {});

/** Why a rack's feet cannot be where they would have to be. */
export function rackFindings(job: Job, mount: Mount, feet: readonly Feet[], place: CornerPlace): Finding[] {
  const { link } = mount.corner!;
  const stances = stancesOn(job, mount, feet, place);
  return feet.flatMap((foot): Finding[] => {
    const wall = foot.wall === place.main ? 'main' : place.side;
    const outMm = foot.pivot.out.value;
    if (outMm < 0) return [finding('corner-bracket-in-wall', 'stop', 'reach', { onWall: wall, byMm: -outMm })];
    if (!foot.outer || !foot.inner)
      return [finding('corner-link-short', 'stop', 'reach', { onWall: wall, needMm: outMm, linkMm: link })];
    if (stances.length > 0 || isOnWall(job, mount, foot, place, 'outer')) return [];
    const widthMm = wallWidth(job, place, foot.wall);
    return [finding('corner-foot-off', 'stop', 'reach', { onWall: wall, xMm: foot.outer.value, widthMm })];
  });
}

/** Why an arm does not bring the set into the corner, or does not turn it that far. */
export function armFindings(job: Job, mount: Mount, arm: ByArm, place: CornerPlace): Finding[] {
  const out = arm.pivot.out.value;
  const half = (mount.plate?.width ?? 0) / 2;
  const width = job.room.wall.width;
  const free = arm.stretches.some(([from, to]) => Math.min(to, width - half) > Math.max(from, half));
  const far = free
    ? []
    : [finding('corner-arm-short', 'stop', 'reach', { outMm: out, leastMm: arm.least, mostMm: arm.most })];
  const inWall = out < 0 ? [finding('corner-bracket-in-wall', 'stop', 'reach', { onWall: 'main', byMm: -out })] : [];
  const turn = place.main === 'right' ? place.set.turn : -place.set.turn;
  const needDeg = 90 - place.angle / 2 + turn;
  // seen from the main wall the set turns away from the corner
  const has = (place.main === 'right') === needDeg >= 0 ? mount.swivel?.right : mount.swivel?.left;
  const turns =
    mount.swivel && has !== undefined && Math.abs(needDeg) > has + SAME_DEG
      ? [finding('corner-turn-short', 'stop', 'reach', { needDeg: Math.abs(needDeg), hasDeg: has })]
      : [];
  return inWall.length > 0 ? inWall : [...far, ...turns];
}

const SAME_DEG = 1e-6;

/** Things on either wall that stand out into where the set would be, and the gap that would clear them. */
export function thingFindings(job: Job, place: CornerPlace, { bottom }: Spot, { height }: Frame): Finding[] {
  const top = bottom.value + height.value;
  const near = (job.room.objects ?? []).filter((i) => i.bottom < top && i.top > bottom.value && outOf(i) > 0);
  return near.flatMap((item) => {
    const wall = item.wall ?? 'main';
    if (wall !== 'main' && wall !== place.side) return [];
    const taken = footprint(job, place, item);
    const gap = job.choices?.cornerGap ?? 0;
    const clear = (more: number): boolean => {
      const { standOff } = standOffOf(place.angle, place.set, gap + more);
      return gapTo(outlineIn(place.set, standOff).map(asPoint), taken) >= -TOUCHING_MM;
    };
    if (clear(0)) return [];
    let [low, high] = [0, FAR_MM];
    while (high - low > FINE_MM) {
      const middle = (low + high) / 2;
      if (clear(middle)) high = middle;
      else low = middle;
    }
    return [finding('corner-thing-in-way', 'stop', 'reach', { object: item.id, gapMm: Math.ceil(gap + high) })];
  });
}

const TOUCHING_MM = 0.01;
const FAR_MM = 4000;
const FINE_MM = 0.1;

const asPoint = ({ across, ahead }: InCorner): Point => ({ x: across, z: ahead });

/** What a thing takes of the floor plan, in the corner's own axes. */
function footprint(job: Job, { angle, main }: CornerPlace, item: Item): Polygon {
  const isMain = (item.wall ?? 'main') === 'main';
  const wall: WallSide = isMain ? main : main === 'right' ? 'left' : 'right';
  const { left, right } = isMain ? mainFromCorner(job, item) : item;
  const out = outOf(item);
  const points = [
    { along: left, out: 0 },
    { along: right, out: 0 },
    { along: right, out },
    { along: left, out },
  ].map((p) => asPoint(fromWall(angle, wall, p)));
  const [xs, zs] = [points.map((p) => p.x), points.map((p) => p.z)];
  const bounds = { left: Math.min(...xs), right: Math.max(...xs), near: Math.min(...zs), far: Math.max(...zs) };
  return { kind: 'polygon', points, bounds, upright: false };
}
