import { landsIn, type CameraView, type HiddenWall, type PracticeLog, type Run } from '@steddo/core';
import type { Box, Scene, Shape } from './scene';

const STUD_DRAWN_MM = 38;
const CABLE_MM = 10;
const PIPE_MM = 22;

/** What a camera shows of a bay, drawn: the studs beside it, noggings, and whatever runs through it. */
export function bayScene(
  { left, right, bottom, top, runs, noggings }: CameraView,
  hole: { x: number; y: number },
): Scene {
  const bounds = { left: left - STUD_DRAWN_MM, right: right + STUD_DRAWN_MM, bottom, top };
  const shapes: Shape[] = [
    { kind: 'rect', role: 'wall', id: 'bay', left, right, bottom, top },
    { kind: 'rect', role: 'stud', id: 'face-left', weight: 1, left: left - STUD_DRAWN_MM, right: left, bottom, top },
    { kind: 'rect', role: 'stud', id: 'face-right', weight: 1, left: right, right: right + STUD_DRAWN_MM, bottom, top },
    ...noggings.map((n, i): Shape => ({
      kind: 'rect',
      role: 'nogging',
      id: `nogging-${i}`,
      left,
      right,
      bottom: n.y - 19,
      top: n.y + 19,
    })),
    ...runs.map((r, i): Shape => runShape(r, `run-${i}`, { left, right, bottom, top })),
    { kind: 'circle', role: 'look', id: 'look-hole', x: hole.x, y: hole.y, r: 6.5 },
  ];
  return { bounds, focus: bounds, shapes, labels: [] };
}

/** As much of a run as there is in a box. */
function runShape(r: Run, id: string, { left, right, bottom, top }: Box): Shape {
  const half = (r.what === 'cable' ? CABLE_MM : PIPE_MM) / 2;
  const role = r.what === 'cable' ? 'run-cable' : r.what === 'metal-pipe' ? 'run-metal' : 'run-plastic';
  const box =
    r.way === 'vertical'
      ? { left: r.at - half, right: r.at + half, bottom: Math.max(bottom, r.from), top: Math.min(top, r.to) }
      : { left: Math.max(left, r.from), right: Math.min(right, r.to), bottom: r.at - half, top: r.at + half };
  return { kind: 'rect', role, id, ...box };
}

/** A hidden wall laid open: what is really in it, with everything that was poked, looked through and drilled. */
export function hiddenScene(wall: HiddenWall, log: PracticeLog): Scene {
  const { width, height } = wall;
  const bounds = { left: 0, right: width, bottom: 0, top: height };
  // the studs go on in the next room; what is drawn ends with the wall
  const within = (x: number) => Math.min(width, Math.max(0, x));
  const shapes: Shape[] = [
    { kind: 'rect', role: 'wall', id: 'wall', ...bounds },
    ...(wall.sheet ? [{ kind: 'rect', role: 'backing', id: 'sheet', ...wall.sheet } as const] : []),
    ...wall.studs.flatMap((s, i) =>
      Array.from({ length: s.plies }, (_, k) => k).flatMap((k): Shape[] => {
        const at = s.left + k * s.ply;
        const right = at + s.ply;
        if (Math.max(right, right + s.lean) <= 0 || Math.min(at, at + s.lean) >= width) return [];
        const corners = [
          [at, 0],
          [right, 0],
          [right + s.lean, height],
          [at + s.lean, height],
        ] as const;
        const points = corners.map(([x, y]) => [within(x), y] as const);
        return [{ kind: 'poly', role: 'backing', id: `stud-${i}-${k}`, closed: true, points }];
      }),
    ),
    ...wall.noggings
      .filter((n) => n.right > 0 && n.left < width)
      .map((n, i): Shape => ({
        kind: 'rect',
        role: 'nogging',
        id: `nogging-${i}`,
        left: within(n.left),
        right: within(n.right),
        bottom: n.y - 19,
        top: n.y + 19,
      })),
    ...wall.runs.map((r, i): Shape => runShape(r, `run-${i}`, bounds)),
    ...wall.screws
      .filter((s) => s.x >= 0 && s.x <= width && s.y >= 0 && s.y <= height)
      .map((s, i): Shape => ({ kind: 'circle', role: 'arm-hole', id: `screw-${i}`, x: s.x, y: s.y, r: 4 })),
    ...log.looks.map((k, i): Shape => ({ kind: 'circle', role: 'look', id: `look-${i}`, x: k.x, y: k.y, r: 16 })),
    ...log.pokes.map((p, i): Shape => ({ kind: 'circle', role: 'poke', id: `poke-${i}`, x: p.x, y: p.y, r: 9 })),
    ...log.holes.map((h, i): Shape => ({
      kind: 'cross',
      role: 'hole',
      id: `hole-${i}`,
      x: h.x,
      y: h.y,
      state: landsIn(wall, h, DRAWN_LAG_MM) ? 'go' : 'stop',
    })),
    { kind: 'line', role: 'floor', id: 'floor', x1: 0, y1: 0, x2: width, y2: 0 },
  ];
  return { bounds, focus: bounds, shapes, labels: [] };
}

/** The lag that the drawing judges a hole by, mm: 5/16 in. */
const DRAWN_LAG_MM = 7.94;
