import type { Job } from '@steddo/contract';
import { armDrawn, furthest, standingIn, seatOff, seatsOf, wayTo, type ReachModel, type SetPoseMm } from '@steddo/core';
import type { Label, Shape } from './scene';

/** An arm to be drawn, and where a hand has brought it. */
export interface Swung {
  model: ReachModel;
  at: SetPoseMm;
  /** A place on the floor that somebody asks about. */
  stand?: { x: number; z: number };
  map?: FloorMap;
  /** How far off each seat is, hung on its sight line. */
  angles?: boolean;
}

/** Degrees off the set's axis over the floor, row by row from the wall. */
export interface FloorMap {
  left: number;
  near: number;
  step: number;
  rows: readonly ArrayLike<number>[];
}

interface Flat {
  x: number;
  z: number;
}
const flat = ({ x, z }: Flat): [number, number] => [x, -z];
const STEPS = 24;

/** The arm, the set on it, what it sweeps on its way there, and the arc of its furthest reach. */
export function armShapes({ model, at, stand, map }: Swung): Shape[] {
  const drawn = armDrawn(model, at);
  const isFolded = Math.hypot(at.x - model.folded.x, at.z - model.folded.z) < 1 && Math.abs(at.yaw) < 0.1;
  const folded = armDrawn(model, { ...at, x: model.folded.x, z: model.folded.z, yaw: 0 });
  const swept = wayTo(model, at, STEPS).map((p) => armDrawn(model, p).corners.map(flat));
  return [
    ...(map ? mapShapes(map) : []),
    ...(isFolded ? [] : [{ kind: 'area', role: 'swept', id: 'swept', polygons: swept } satisfies Shape]),
    { kind: 'poly', role: 'furthest', id: 'furthest', closed: false, points: furthest(model).map(flat) },
    ...(isFolded
      ? []
      : [
          {
            kind: 'poly',
            role: 'set-tilted',
            id: 'set-folded',
            closed: true,
            points: folded.corners.map(flat),
          } satisfies Shape,
        ]),
    { kind: 'poly', role: 'link', id: 'arm-links', closed: false, points: drawn.links.map(flat) },
    ...drawn.links
      .slice(0, -1)
      .map((p, i): Shape => ({ kind: 'circle', role: 'joint', id: `joint-${i}`, x: p.x, y: -p.z, r: JOINT_MM })),
    { kind: 'poly', role: 'set-cut', id: 'set-cut', closed: true, points: drawn.corners.map(flat) },
    ...(stand
      ? [
          {
            kind: 'circle',
            role: 'stand',
            id: 'stand',
            name: 'here',
            x: stand.x,
            y: -stand.z,
            r: STAND_MM,
          } satisfies Shape,
        ]
      : []),
  ];
}

const JOINT_MM = 22;
const STAND_MM = 90;

/** Sight lines to the face where it is now, with how far off its axis each seat is. */
export function armSights(job: Job, swung: Swung): { shapes: Shape[]; labels: Label[] } {
  const { model, at, stand } = swung;
  const { face } = armDrawn(model, at);
  const asked = stand ? [{ viewer: 'stand', ...stand }] : [];
  const seats = [...seatsOf(job), ...asked];
  return {
    shapes: seats.map((s) => ({
      kind: 'line',
      role: 'sight',
      id: `sight-${s.viewer}`,
      x1: s.x,
      y1: -s.z,
      x2: face.x,
      y2: -face.z,
    })),
    labels: seats.map((s) => ({
      id: `off-${s.viewer}`,
      text: `${Math.round(Math.abs(seatOff(model, at, s)))}° off`,
      x: s.x + (face.x - s.x) * 0.42,
      y: -s.z - (face.z - s.z) * 0.42,
      side: 'right',
    })),
  };
}

/** What a door sweeps. */
export function swingShapes(job: Job): Shape[] {
  return standingIn(job.room).flatMap(({ obstacle: o }, i) =>
    o.kind === 'polygon' && o.by.startsWith('door:')
      ? [{ kind: 'poly', role: 'swing', id: `swing-${i}`, closed: true, points: o.points.map(flat) } satisfies Shape]
      : [],
  );
}

/** Degrees up to which the map calls a place good, and fair. */
export const MAP_GOOD_DEG = 10;
export const MAP_FAIR_DEG = 30;

type Class = 'map-good' | 'map-fair' | 'map-poor';
const classOf = (deg: number): Class =>
  deg <= MAP_GOOD_DEG ? 'map-good' : deg <= MAP_FAIR_DEG ? 'map-fair' : 'map-poor';

/** Cells of one kind that lie side by side in a row become one rectangle. */
function mapShapes({ left, near, step, rows }: FloorMap): Shape[] {
  const found: Record<Class, [number, number][][]> = {
    'map-good': [],
    'map-fair': [],
    'map-poor': [],
  };
  rows.forEach((row, r) => {
    const [top, bottom] = [-(near + r * step), -(near + (r + 1) * step)];
    for (let from = 0; from < row.length;) {
      const kind = classOf(row[from]!);
      let to = from + 1;
      while (to < row.length && classOf(row[to]!) === kind) to += 1;
      const [a, b] = [left + from * step, left + to * step];
      found[kind].push([
        [a, top],
        [b, top],
        [b, bottom],
        [a, bottom],
      ]);
      from = to;
    }
  });
  return (Object.keys(found) as Class[]).map((role) => ({
    kind: 'area',
    role,
    id: role,
    polygons: found[role],
  }));
}
