import type { Item, Job, Plate, Working } from '@steddo/contract';
import type { Forbidden } from '../primitives/intervals';
import { half, leaf, minus, sum } from '../primitives/working';
import { isUnder, openFor } from './blockedPlate';
import { onMainWall, plateMayCover, ROOM_THINGS, setMayCover } from '../room/roomThings';
import type { Term } from '../primitives/terms';

/** Left free under a ceiling, and the rise to lift the set over the hooks, mm. Ours. */
export const CEILING_GAP_MM = 50;
export const LIFT_ON_MM = 25;

/** What the height of the set's centre may not be, given where the set and its plate are sideways. */
export interface HeightInput {
  job: Job;
  height: Working;
  /** The set's left and right edge, mm. */
  set: { left: number; right: number };
  /** Absent while the plate cannot be placed. */
  plate?: { outline: Plate; x: number; toPlate: Working; sag: Working };
}

export function heightLimits(input: HeightInput): Forbidden[] {
  const { job, height } = input;
  const items = onMainWall(job.room.objects);
  const halfSet = half('half-height', height);
  return [
    { by: 'floor', lo: -Infinity, hi: halfSet.value, hiWorking: halfSet, yields: 0 },
    ceilingLimit(job, halfSet),
    ...items.filter((i) => !setMayCover(i) && overlaps(i, input.set)).map((i) => besideSet(i, halfSet)),
    ...soundbarLimits(
      job,
      items.filter((i) => overlaps(i, input.set)),
      halfSet,
    ),
    ...(input.plate ? plateLimits(input, input.plate, items, halfSet) : []),
  ];
}

const overlaps = (item: { left: number; right: number }, set: { left: number; right: number }) =>
  item.left < set.right && set.left < item.right;

function ceilingLimit(job: Job, halfSet: Working): Forbidden {
  const { ceilingGap } = job.aim;
  const working = minus(
    'under-ceiling',
    leaf('wall-height', job.room.wall.height, 'mm', {
      path: 'room.wall.height',
      guess: (job.guessed ?? []).includes('room.wall.height'),
    }),
    leaf('ceiling-gap', ceilingGap ?? CEILING_GAP_MM, 'mm', {
      path: 'aim.ceilingGap',
      guess: ceilingGap === undefined,
    }),
    riseLeaf(job),
    halfSet,
  );
  const yields = ceilingGap ?? CEILING_GAP_MM;
  return { by: 'ceiling', lo: working.value, hi: Infinity, loWorking: working, yields };
}

/** How far the set has to come over its rail: the mount's own rise, else what the room was given. */
export function riseLeaf({ mount, aim }: Job): Working {
  if (mount?.rise !== undefined) return leaf('lift-on', mount.rise, 'mm', { path: 'mount.rise' });
  return leaf('lift-on', aim.liftOn ?? LIFT_ON_MM, 'mm', { path: 'aim.liftOn', guess: aim.liftOn === undefined });
}

const itemEdge = (item: Item, edge: 'bottom' | 'top'): Working =>
  leaf(`object-${edge}`, item[edge], 'mm', { path: `room.objects.${item.id}.${edge}` });

function besideSet(item: Item, halfSet: Working): Forbidden {
  const loWorking = minus('set-under-object', itemEdge(item, 'bottom'), halfSet);
  const hiWorking = sum('set-over-object', itemEdge(item, 'top'), halfSet);
  return {
    by: `object:${item.id}`,
    lo: loWorking.value,
    hi: hiWorking.value,
    loWorking,
    hiWorking,
  };
}

/**
 * The bar that comes later needs its height under the set, and its gap above it and below it, over whatever stands
 * there; over the floor where nothing does. A bar of 80 with 50 each way over a sideboard of 600: bottom from 780.
 */
function soundbarLimits(job: Job, below: readonly Item[], halfSet: Working): Forbidden[] {
  const { soundbar } = job.aim;
  if (!soundbar) return [];
  const at = (field: 'height' | 'gap') => ({ path: `aim.soundbar.${field}` });
  const gap = leaf('soundbar-gap', soundbar.gap, 'mm', at('gap'));
  const need = sum('soundbar-room', gap, leaf('soundbar-height', soundbar.height, 'mm', at('height')), gap);
  const limit = (by: string, lo: number, top: Working): Forbidden => {
    const hiWorking = sum('set-over-soundbar', top, need, halfSet);
    return { by, lo, hi: hiWorking.value, hiWorking };
  };
  const standing = below.filter((i) => !setMayCover(i) && ROOM_THINGS[i.kind].standsBelow);
  return [
    limit('soundbar', -Infinity, leaf('floor', 0, 'mm')),
    ...standing.map((i) => limit(`soundbar:${i.id}`, i.bottom - halfSet.value, itemEdge(i, 'top'))),
  ];
}

/**
 * Centre heights at which the solid part of the plate would sit on a thing.
 * Plate bottom p = centre - half height + toPlate + sag; p is forbidden in (item.bottom - plate.height, item.top),
 * less the stretch in which the thing lies wholly inside one of the plate's open areas.
 */
function plateLimits(
  input: HeightInput,
  plate: NonNullable<HeightInput['plate']>,
  items: readonly Item[],
  halfSet: Working,
): Forbidden[] {
  const centreFor = (label: Term, plateBottom: Working): Working =>
    sum(label, minus('set-bottom', plateBottom, plate.toPlate, plate.sag), halfSet);
  const { outline, x } = plate;
  const size = leaf('plate-height', outline.height, 'mm', { path: 'mount.plate.height' });
  const wall = leaf('wall-height', input.job.room.wall.height, 'mm', { path: 'room.wall.height' });
  const lowest = centreFor('plate-over-floor', leaf('floor', 0, 'mm'));
  const highest = centreFor('plate-under-ceiling', minus('plate-bottom-most', wall, size));
  return [
    { by: 'plate:floor', lo: -Infinity, hi: lowest.value, hiWorking: lowest, yields: 0 },
    { by: 'plate:ceiling', lo: highest.value, hi: Infinity, loWorking: highest, yields: 0 },
    ...items
      .filter((i) => !plateMayCover(i, input.job.leads) && isUnder(i, outline, x))
      .flatMap((i) => underPlate(i, outline, x, size, centreFor)),
  ];
}

function underPlate(
  item: Item,
  outline: Plate,
  x: number,
  size: Working,
  centreFor: (label: Term, plateBottom: Working) => Working,
): Forbidden[] {
  const by = `plate:${item.id}`;
  const lowest = minus('plate-under-object', itemEdge(item, 'bottom'), size);
  const bounds = [lowest, ...openStretches(item, outline, x), itemEdge(item, 'top')];
  const found: Forbidden[] = [];
  for (let i = 0; i + 1 < bounds.length; i += 2) {
    const loWorking = centreFor('plate-under-object', bounds[i]!);
    const hiWorking = centreFor('plate-over-object', bounds[i + 1]!);
    found.push({ by, lo: loWorking.value, hi: hiWorking.value, loWorking, hiWorking });
  }
  return found;
}

/** Plate bottoms between which the thing is wholly inside an open area, lowest first, in pairs. */
function openStretches(item: Item, outline: Plate, x: number): Working[] {
  return openFor(item, outline, x).flatMap(({ open, index }) => {
    const path = `mount.plate.open.${index}`;
    return [
      minus('open-from', itemEdge(item, 'top'), leaf('open-top', open.top, 'mm', { path })),
      minus('open-to', itemEdge(item, 'bottom'), leaf('open-bottom', open.bottom, 'mm', { path })),
    ];
  });
}
