import type { BenchClearance, BenchPlan, Item, Job, Placement, Viewer, Working } from '@steddo/contract';
import { wallsOf } from '../arm/obstacles';
import type { ReachModel } from '../arm/reachModel';
import { rectangle } from '../primitives/convex';
import type { Part } from '../primitives/part';
import { leaf, minus, sum } from '../primitives/working';
import { isSwept } from '../reach/clearances';
import { isPortrait, patternAt } from '../room/hungSides';
import { onMainWall, outOf } from '../room/roomThings';
import { SET_THICKNESS_MM } from '../room/usualSizes';
import { eyeOf } from '../sight/eyeOf';
import { reachOf } from '../arm/arm';
import { benchFindings } from './benchFindings';
import { clearUntil, movedSpan, onHead, restSpan, turnedSpan, type BenchSide, type OnHead } from './headSpans';

export interface BenchInput {
  job: Job;
  placement: Placement;
  /** The set's outline in landscape. */
  outline: { width: Working; height: Working };
  model: ReachModel;
}

/** Something near the head, and how far that is. */
interface Near {
  side: BenchSide;
  by: string;
  free: Working;
}

/** A monitor on its arm over a bench: what is free above, below and beside it at every tilt, swing and turn, and its worker's eyes. */
export function benchPart({ job, placement, outline, model }: BenchInput): Part<BenchPlan> {
  const { right, up } = patternAt(job);
  const x = sum('head-x', leaf('set-centre-x', placement.centre.x, 'mm'), right);
  const y = sum('head-y', leaf('set-centre', placement.centre.y, 'mm'), up);
  const thickness = leaf('set-thickness', job.screen.thickness ?? SET_THICKNESS_MM, 'mm', {
    path: 'screen.thickness',
    guess: job.screen.thickness === undefined || (job.guessed ?? []).includes('screen.thickness'),
  });
  const head = leaf('head-depth', model.reach.shape.head, 'mm', { path: 'mount.arm.head' });
  const on = onHead(job, outline, head, thickness);
  const near = [...upright(job, model, y), ...sideways(job, model, placement, x)];
  const section: BenchPlan = {
    portrait: isPortrait(job),
    head: { x: x.value, y: y.value },
    clearances: SIDES.flatMap((side) => {
      const there = near.filter((n) => n.side === side);
      if (there.length === 0) return [];
      return [
        clearanceOf(
          job,
          on,
          there.reduce((a, b) => (b.free.value < a.free.value ? b : a)),
        ),
      ];
    }),
    eyes: (job.room.viewers ?? []).flatMap((v) => eyesOf(job, v, placement, thickness) ?? []),
  };
  return { section, findings: benchFindings(section) };
}

const SIDES: readonly BenchSide[] = ['above', 'below', 'left', 'right'];

/** How far out the set's back is when it is pushed back: what stands out less it passes in front of. */
const backOf = ({ folded, reach }: ReachModel): number => folded.z + reach.shape.head;

/** What hangs over the head and what stands under it, within what the arm sweeps. */
function upright(job: Job, model: ReachModel, y: Working): Near[] {
  const { reach } = model;
  const items = onMainWall(job.room.objects).filter(
    (o) => outOf(o) > backOf(model) && isSwept(reach, rectangle(o.left, o.right, 0, outOf(o))),
  );
  const edge = (o: Item, name: 'bottom' | 'top') =>
    leaf(`object-${name}`, o[name], 'mm', { path: `room.objects.${o.id}.${name}` });
  const ceiling = leaf('wall-height', job.room.wall.height, 'mm', {
    path: 'room.wall.height',
    guess: (job.guessed ?? []).includes('room.wall.height'),
  });
  const over = items
    .filter((o) => o.bottom >= y.value)
    .map((o): Near => ({ side: 'above', by: `object:${o.id}`, free: minus('head-to-thing', edge(o, 'bottom'), y) }));
  const under = items
    .filter((o) => o.top <= y.value)
    .map((o): Near => ({ side: 'below', by: `object:${o.id}`, free: minus('head-to-thing', y, edge(o, 'top')) }));
  const stands = (job.room.floor ?? []).flatMap((f): Near[] => {
    if (f.height === undefined || f.height > y.value) return [];
    if (!isSwept(reach, rectangle(f.left, f.right, f.near, f.far))) return [];
    const top = leaf('floor-thing-height', f.height, 'mm', { path: `room.floor.${f.id}.height` });
    return [{ side: 'below', by: `floor:${f.id}`, free: minus('head-to-thing', y, top) }];
  });
  return [{ side: 'above', by: 'ceiling', free: minus('head-to-thing', ceiling, y) }, ...over, ...under, ...stands];
}

/** Side walls that are there, and what stands out of the wall beside the set where it hangs. */
function sideways(job: Job, model: ReachModel, { bottom, top }: Placement, x: Working): Near[] {
  const { wall } = job.room;
  const walls = wallsOf(wall).flatMap((w): Near[] => {
    if (w.by === 'wall:left') return [{ side: 'left', by: w.by, free: x }];
    if (w.by !== 'wall:right') return [];
    const width = leaf('wall-width', wall.width, 'mm', { path: 'room.wall.width' });
    return [{ side: 'right', by: w.by, free: minus('head-to-thing', width, x) }];
  });
  const beside = onMainWall(job.room.objects).filter(
    (o) => outOf(o) > backOf(model) && o.bottom < top && o.top > bottom,
  );
  const things = beside.flatMap((o): Near[] => {
    const edge = (name: 'left' | 'right') =>
      leaf(`object-${name}`, o[name], 'mm', { path: `room.objects.${o.id}.${name}` });
    const by = `object:${o.id}`;
    if (o.right <= x.value) return [{ side: 'left', by, free: minus('head-to-thing', x, edge('right')) }];
    if (o.left >= x.value) return [{ side: 'right', by, free: minus('head-to-thing', edge('left'), x) }];
    return [];
  });
  return [...walls, ...things];
}

function clearanceOf({ mount }: Job, on: OnHead, { side, by, free }: Near): BenchClearance {
  const limit = limitOf(mount, side);
  const rest = restSpan(on, side);
  const turned = turnedSpan(on, side);
  const moved = movedSpan(on, rest, limit);
  const most = movedSpan(on, turned, limit);
  const until = clearUntil(on, rest.value, free.value, limit);
  return {
    ...{
      side,
      by,
      free: free.value,
      rest: rest.value,
      moved: moved.value,
      turned: turned.value,
      most: most.value,
      limit,
    },
    ...(until === undefined ? {} : { until }),
    workings: { free, rest, moved, turned, most },
  };
}

/** A swing that nobody limited goes to flat against the wall; a tilt that nobody named is none. */
const FREE_SWING_DEG = 90;

/** Tilted up its upper edge comes higher, tilted down its lower one deeper; swung to a side its front comes nearer to that side. */
function limitOf(mount: Job['mount'], side: BenchSide): number {
  if (side === 'above') return mount?.tilt?.up ?? 0;
  if (side === 'below') return mount?.tilt?.down ?? 0;
  return Math.abs(mount?.swivel?.[side] ?? FREE_SWING_DEG);
}

/** Where the set is to the eyes of somebody at the bench: its upper edge, and how near and far the arm brings its face. */
function eyesOf(
  job: Job,
  viewer: Viewer,
  placement: Placement,
  thickness: Working,
): BenchPlan['eyes'][number] | undefined {
  const { mount } = job;
  const guessed = job.guessed ?? [];
  const eye = eyeOf(viewer, guessed);
  if (!eye || !mount) return undefined;
  const top = minus('top-above-eyes', leaf('set-top', placement.top, 'mm'), eye);
  if (viewer.distance === undefined) return { viewer: viewer.id, top: top.value, workings: { top } };
  const path = `room.viewers.${viewer.id}.distance`;
  const away = leaf('eye-distance', viewer.distance, 'mm', { path, guess: guessed.includes(path) });
  const folded = leaf('depth-folded', mount.depth.folded, 'mm', { path: 'mount.depth.folded' });
  const extended = leaf('depth-extended', reachOf(mount), 'mm', { path: 'mount.depth.extended' });
  const [near, far] = [extended, folded].map((out) => minus('eye-to-face', away, out, thickness));
  return {
    ...{ viewer: viewer.id, top: top.value, near: near!.value, far: far!.value },
    workings: { top, near: near!, far: far! },
  };
}
