import type { Conflict, Finding, Height, Item, Job, HeightRule, Working } from '@steddo/contract';
import { finding } from '../primitives/findings';
import { conflictOf, feasible, leastRelaxation, nearest, type Forbidden, type Interval } from '../primitives/intervals';
import { viewerAngles, type FurtherOut } from '../sight/viewerAngles';
import { half, leaf, minus, named, node, sum } from '../primitives/working';
import { armHoles, chainOf, type Chain } from './chain';
import { heightLimits } from './heightLimits';
import { onMainWall, setMayCover } from '../room/roomThings';
import { heightRulesFor, wishOf } from './heightRules';

/** The set sideways and up and down, with its plate at a known x. */
export interface Frame extends FurtherOut {
  job: Job;
  width: Working;
  height: Working;
  centreX: Working;
  /** The plate's centre; absent while there is no mount with an outline. */
  plateX?: number | undefined;
}

export interface Spot {
  centre: Working;
  wanted: Working;
  bottom: Working;
  chain?: Chain;
  feasible: Interval[];
  binding: string[];
  conflict?: Conflict;
}

const sag = (job: Job): Working => leaf('sag', job.aim.sag ?? 0, 'mm', { path: 'aim.sag' });

/**
 * The feasible height nearest to what is wanted, over every arm hole that may be used; where two
 * holes serve equally the one nearest to the middle. Nothing feasible: the wanted height with the
 * constraints that cannot all hold.
 */
export function spotAt(frame: Frame, wanted: Working): Spot {
  const tried = chainsOf(frame).map((chain) => spotWith(frame, wanted, chain));
  const off = (s: Spot) => (s.conflict ? FAR_MM + givesUp(s.conflict) : Math.abs(s.centre.value - s.wanted.value));
  const middle = (tried.length - 1) / 2;
  const order = tried.map((spot, i) => ({ spot, off: off(spot), trim: Math.abs(i - middle) }));
  order.sort((a, b) => a.off - b.off || a.trim - b.trim);
  return order[0]!.spot;
}

/** No wall is as high as this: what conflicts comes after everything that does not. */
const FAR_MM = 1e9;
const givesUp = ({ relax }: Conflict): number => (relax ? relax.reduce((sum, r) => sum + r.amount, 0) : FAR_MM);

function chainsOf(frame: Frame): (Chain | undefined)[] {
  const { mount } = frame.job;
  if (!mount && !frame.job.measured?.length) return [undefined];
  const count = Math.max(1, mount ? armHoles(mount).length : 0);
  const chosen = frame.job.choices?.armHole;
  const holes = chosen === undefined ? Array.from({ length: count }, (_, i) => i) : [chosen];
  return holes.map((hole) => chainOf(frame.job, mount, frame.height, hole));
}

function spotWith(frame: Frame, wanted: Working, chain: Chain | undefined): Spot {
  const limits = limitsOf(frame, chain);
  const intervals = feasible(limits);
  const found = nearest(intervals, wanted.value);
  const centre = found?.edge?.working ? named('centre-moved', found.edge.working) : wanted;
  return {
    centre,
    wanted,
    bottom: minus('set-bottom', named('set-centre', centre), half('half-height', frame.height)),
    ...(chain ? { chain } : {}),
    feasible: intervals,
    binding: found?.edge ? [found.edge.by] : [],
    ...(found ? {} : { conflict: conflictAmong(limits) }),
  };
}

function conflictAmong(limits: readonly Forbidden[]): Conflict {
  const least = leastRelaxation(limits);
  return { constraints: conflictOf(limits), ...(least ?? {}) };
}

function limitsOf(frame: Frame, chain: Chain | undefined): Forbidden[] {
  const { job, height, centreX, plateX } = frame;
  const halfWidth = frame.width.value / 2;
  const set = { left: centreX.value - halfWidth, right: centreX.value + halfWidth };
  const outline = job.mount?.plate;
  const plate =
    outline && chain?.toPlate && plateX !== undefined
      ? { outline, x: plateX, toPlate: chain.toPlate, sag: sag(job) }
      : undefined;
  return heightLimits({ job, height, set, ...(plate ? { plate } : {}) });
}

/** Where hook and plate come to sit, raised by the sag that the arm will take back. */
export function hangsAt(spot: Spot, job: Job): { hook?: Working; plateBottom?: Working } {
  const raise = job.aim.sag ? [sag(job)] : [];
  const { chain } = spot;
  return {
    ...(chain?.toHook ? { hook: sum('hook-height', spot.bottom, chain.toHook, ...raise) } : {}),
    ...(chain?.toPlate ? { plateBottom: sum('plate-bottom-height', spot.bottom, chain.toPlate, ...raise) } : {}),
  };
}

/** Every height rule that has what it needs, side by side for this room, with every viewer's angles. */
export function ruleHeights(frame: Frame): Height[] {
  return heightRulesFor(frame.job).flatMap((school) => {
    const wish = wishOf(school, frame.job, frame.height, edges(frame));
    return wish.ok ? [heightOf(frame, school, wish.centre)] : [];
  });
}

function heightOf(frame: Frame, school: HeightRule, wanted: Working): Height {
  const spot = spotAt(frame, wanted);
  if (spot.conflict) return { school, wanted: wanted.value, binding: spot.conflict.constraints, angles: [] };
  const centre = named('set-centre', spot.centre);
  const angles = anglesAt(frame, spot);
  const tilt = tiltOf(angles, frame.job);
  return {
    school,
    centre: centre.value,
    bottom: spot.bottom.value,
    top: spot.bottom.value + frame.height.value,
    wanted: wanted.value,
    binding: spot.binding,
    angles,
    ...(tilt ? { tiltNeeded: tilt.value, tiltWorking: tilt } : {}),
    working: centre,
  };
}

export function anglesAt(frame: Frame, spot: Spot): Height['angles'] {
  const pose = {
    centreX: frame.centreX,
    centre: named('set-centre', spot.centre),
    top: sum('set-top', spot.bottom, frame.height),
    bottom: spot.bottom,
    out: frame,
  };
  return (frame.job.room.viewers ?? []).flatMap((v) => viewerAngles(v, pose, frame.job) ?? []);
}

/** Weighted mean of the elevations: the tilt that would face everybody as well as one tilt can. */
export function tiltOf(angles: Height['angles'], job: Job): Working | undefined {
  const looks = angles.flatMap((a) => (a.workings ? [{ id: a.viewer, up: a.workings.centre }] : []));
  if (looks.length === 0) return undefined;
  const weightOf = (id: string) => job.room.viewers?.find((v) => v.id === id)?.weight ?? 1;
  if (new Set(looks.map((l) => weightOf(l.id))).size === 1)
    return node(
      'tilt-needed',
      'mean',
      'deg',
      looks.map((l) => l.up),
    );
  const weight = (id: string) => leaf('weight', weightOf(id), 'ratio', { path: `room.viewers.${id}.weight` });
  return node('tilt-needed', '/', 'deg', [
    node(
      'weighted-looks',
      '+',
      'deg',
      looks.map((l) => node('weighted-look', '*', 'deg', [weight(l.id), l.up])),
    ),
    node(
      'weights',
      '+',
      'ratio',
      looks.map((l) => weight(l.id)),
    ),
  ]);
}

export function edges(frame: Frame): { left: number; right: number } {
  const halfWidth = frame.width.value / 2;
  return { left: frame.centreX.value - halfWidth, right: frame.centreX.value + halfWidth };
}

/** What of the wall the set hangs before. */
export function boxOf(frame: Frame, { bottom }: Spot): { left: number; right: number; bottom: number; top: number } {
  return { ...edges(frame), bottom: bottom.value, top: bottom.value + frame.height.value };
}

/** Where the set's centre line may be, at the set's height; without one, only the wall's ends count. */
export function sidewaysLimits(job: Job, width: Working, atHeight?: { bottom: number; top: number }): Forbidden[] {
  const halfWidth = half('half-width', width);
  const wall = leaf('wall-width', job.room.wall.width, 'mm', { path: 'room.wall.width' });
  const rightMost = minus('against-right-end', wall, halfWidth);
  const beside = onMainWall(job.room.objects)
    .filter((i) => atHeight && !setMayCover(i))
    .filter((i) => atHeight && i.bottom < atHeight.top && atHeight.bottom < i.top);
  return [
    { by: 'wall-left', lo: -Infinity, hi: halfWidth.value, hiWorking: halfWidth },
    { by: 'wall-right', lo: rightMost.value, hi: Infinity, loWorking: rightMost },
    ...beside.map((i) => besideLimit(i, halfWidth)),
  ];
}

function besideLimit(item: Item, halfWidth: Working): Forbidden {
  const edge = (side: 'left' | 'right') =>
    leaf(`object-${side}`, item[side], 'mm', { path: `room.objects.${item.id}.${side}` });
  const loWorking = minus('set-left-of-object', edge('left'), halfWidth);
  const hiWorking = sum('set-right-of-object', edge('right'), halfWidth);
  return {
    by: `object:${item.id}`,
    lo: loWorking.value,
    hi: hiWorking.value,
    loWorking,
    hiWorking,
  };
}

/** The set's centre line as near to the wanted as the wall's ends allow. */
export function placeSideways(job: Job, width: Working, wanted: Working): { centreX: Working; findings: Finding[] } {
  const limits = sidewaysLimits(job, width);
  const found = nearest(feasible(limits), wanted.value);
  if (!found) {
    const constraints = conflictOf(limits);
    return {
      centreX: wanted,
      findings: [finding('sideways-conflict', 'stop', 'room', { constraints })],
    };
  }
  if (!found.edge?.working) return { centreX: wanted, findings: [] };
  const values = { wantedMm: wanted.value, gotMm: found.at, by: found.edge.by };
  return {
    centreX: found.edge.working,
    findings: [finding('sideways-moved', 'caution', 'height', values)],
  };
}

/**
 * Where no height is free: the nearest centre line at which the wanted height is, past the things
 * beside the set. Offered, never done unasked. Undefined when there is none.
 */
export function sidewaysWay(frame: Frame, wanted: Working): number | undefined {
  const half = frame.height.value / 2;
  const band = { bottom: wanted.value - half, top: wanted.value + half };
  const found = nearest(feasible(sidewaysLimits(frame.job, frame.width, band)), frame.centreX.value);
  if (!found?.edge?.working) return undefined;
  const there = spotAt({ ...frame, centreX: found.edge.working }, wanted);
  return there.conflict ? undefined : found.at;
}
