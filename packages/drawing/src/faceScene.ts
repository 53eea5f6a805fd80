import type { Job, NextLook, Plan } from '@steddo/contract';
import { armDrawn, bracketsAt, formatTape, holeState, platedJob, setMayCover, tapeOf } from '@steddo/core';
import { markName } from '@steddo/text';
import { boxCuts } from './boxShapes';
import { benchTurned } from './benchShapes';
import type { Swung } from './armShapes';
import { evidenceShapes, hazardShapes, insideShapes, nextLookShapes, ribbonShapes } from './wallShapes';
import { leadsOnFace } from './leadShapes';
import { fireLabels, mantelShapes, packingShapes, timberShapes } from './mantelShapes';
import { join, type Box, type Label, type Scene, type Shape } from './scene';

/** Which measures hang on the wall in a view. */
export type LabelSet = 'heights' | 'holes' | 'studs' | 'leads' | 'none';

/** What a stage adds to the wall: the arm where a hand has brought it, and where to look next. */
export interface FaceExtras {
  swung?: Swung | undefined;
  look?: NextLook | undefined;
}

/**
 * The wall seen from the room, true to scale: everything in it is the job's or the plan's own
 * number. Shapes come in painting order.
 */
export function faceScene(job: Job, plan: Plan, labels: LabelSet, { swung, look }: FaceExtras = {}): Scene {
  const { width, height } = job.room.wall;
  const bounds = { left: 0, right: width, bottom: 0, top: height };
  const inside = labels === 'studs';
  const focus = focusOf(plan, bounds, labels);
  const shapes: Shape[] = [
    { kind: 'rect', role: 'wall', id: 'wall', ...bounds },
    ...zoneShapes(job),
    ...insideShapes(job, plan, bounds),
    ...(inside ? hazardShapes(plan) : []),
    ...objectShapes(job, false),
    ...(inside ? [] : evidenceShapes(job, plan)),
    ...benchTurned(job, plan),
    ...setShapes(job, plan),
    ...(swung ? turnedShapes(plan, swung) : []),
    ...objectShapes(job, true),
    ...mantelShapes(job, plan),
    ...packingShapes(plan),
    ...timberShapes(plan),
    ...boxCuts(plan),
    ...plateShapes(job, plan),
    ...eyeLines(job, bounds),
    ...settledMarks(job, plan),
    // tape, pokes and looks are what the hand is at: over the set where that is only thought of
    ...(inside ? [...ribbonShapes(plan, focus.bottom), ...evidenceShapes(job, plan), ...nextLookShapes(look)] : []),
    ...soundbarShapes(plan),
    ...(labels === 'leads' ? leadsOnFace(plan) : holeShapes(plan)),
    { kind: 'line', role: 'floor', id: 'floor', x1: 0, y1: 0, x2: width, y2: 0 },
    { kind: 'line', role: 'ceiling', id: 'ceiling', x1: 0, y1: height, x2: width, y2: height },
  ];
  return {
    bounds,
    focus,
    shapes,
    labels: labelsFor(job, plan, labels),
  };
}

/** Things that the set may cover are drawn over it, dashed, so that they stay in sight. */
function objectShapes(job: Job, covered: boolean): Shape[] {
  return (job.room.objects ?? [])
    .filter((o) => (o.wall ?? 'main') === 'main' && setMayCover(o) === covered)
    .map((o) => ({
      kind: 'rect',
      role: covered ? 'cover' : 'object',
      id: o.id,
      name: o.name ?? o.kind,
      left: o.left,
      right: o.right,
      bottom: o.bottom,
      top: o.top,
    }));
}

/** Set's frame around its picture, mm: drawn only, never measured. */
const FRAME_MM = 12;

function setShapes(job: Job, plan: Plan): Shape[] {
  const p = plan.placement;
  if (!p) return [];
  const { left, right, bottom, top } = p;
  const inner = {
    left: left + FRAME_MM,
    right: right - FRAME_MM,
    bottom: bottom + FRAME_MM,
    top: top - FRAME_MM,
  };
  const run = 90;
  return [
    { kind: 'rect', role: 'set', id: 'set', left, right, bottom, top },
    { kind: 'rect', role: 'picture', id: 'picture', ...inner },
    {
      kind: 'line',
      role: 'centre-line',
      id: 'centre-line',
      x1: p.centre.x,
      y1: bottom - run,
      x2: p.centre.x,
      y2: top + run,
    },
  ];
}

/** The outline of the set where a hand has brought it, seen from straight ahead. */
function turnedShapes({ placement: p }: Plan, { model, at }: Swung): Shape[] {
  if (!p) return [];
  const xs = armDrawn(model, at).corners.map((c) => c.x);
  const { bottom, top } = p;
  const [left, right] = [Math.min(...xs), Math.max(...xs)];
  return [{ kind: 'rect', role: 'set-tilted', id: 'set-turned', left, right, bottom, top }];
}

export function plateShapes(job: Job, plan: Plan): Shape[] {
  const plate = plan.placement?.plate;
  const { mount } = platedJob(job, plan);
  if (!plate || !mount?.plate) return [];
  const box = ({ left, right, bottom, top }: Box): Box => ({
    left: plate.x + left,
    right: plate.x + right,
    bottom: plate.bottom + bottom,
    top: plate.bottom + top,
  });
  const hook = plan.marks?.find((m) => m.id === 'hook');
  const apart = bracketsAt(mount, plate.x, plate.bottom);
  const whole = { left: plate.left, right: plate.right, bottom: plate.bottom, top: plate.top };
  return [
    ...(apart ?? [whole]).map(({ left, right, bottom, top }, i): Shape => ({
      ...{ kind: 'rect', role: 'plate', id: i === 0 ? 'plate' : `plate-${i + 1}`, left, right, bottom, top },
    })),
    ...(apart ? [] : (mount.plate.open ?? [])).map((o, i): Shape => ({
      kind: 'rect',
      role: 'open',
      id: `open-${i}`,
      ...box(o),
    })),
    ...(mount.plate.slots ?? []).map((s, i): Shape => ({
      kind: 'rect',
      role: 'slot',
      id: `slot-${i}`,
      ...box({
        left: s.x - s.length / 2,
        right: s.x + s.length / 2,
        bottom: s.y - s.height / 2,
        top: s.y + s.height / 2,
      }),
    })),
    ...(hook
      ? [
          {
            kind: 'line',
            role: 'hook',
            id: 'hook',
            x1: plate.left,
            y1: hook.fromFloor,
            x2: plate.right,
            y2: hook.fromFloor,
          } as const,
        ]
      : []),
  ];
}

/** The bar that comes later, where it will be. */
const soundbarShapes = ({ soundbar }: Plan): Shape[] =>
  soundbar ? [{ kind: 'rect', role: 'cover', id: 'soundbar', name: 'soundbar to come', ...soundbar }] : [];

function eyeLines(job: Job, wall: Box): Shape[] {
  const eyes = (job.room.viewers ?? []).flatMap((v) =>
    v.eye === undefined ? [] : [{ id: v.id, eye: v.eye, name: v.name ?? v.id }],
  );
  return eyes.map(({ id, eye, name }) => ({
    kind: 'line',
    role: 'eye-line',
    id: `eye-${id}`,
    name: `eyes, ${name}`,
    x1: wall.left,
    y1: eye,
    x2: wall.right,
    y2: eye,
  }));
}

function holeShapes(plan: Plan): Shape[] {
  return (plan.holes ?? []).map((h) => ({
    kind: 'cross',
    role: 'hole',
    id: h.id,
    x: h.x,
    y: h.y,
    state: holeState(h),
  }));
}

function zoneShapes(job: Job): Shape[] {
  return (job.room.wall.zones ?? [])
    .filter((z) => (z.wall ?? 'main') === 'main')
    .map(({ id, left, right, bottom, top, build }) => ({
      kind: 'rect',
      role: 'zone',
      id,
      name: build?.state ?? (build?.kind === 'masonry' ? (build.masonry ?? build.kind) : build?.kind) ?? 'differs',
      left,
      right,
      bottom,
      top,
    }));
}

const TICK_MM = 60;

/** Short strips of tape where gazes met the wall. */
function settledMarks(job: Job, plan: Plan): Shape[] {
  const x = plan.placement?.centre.x ?? job.room.wall.width / 2;
  const own = (job.room.viewers ?? []).flatMap((v) =>
    (v.settled ?? []).map((y, i) => ({ id: `settled-${v.id}-${i}`, y })),
  );
  const common = (job.aim.schools?.eyes?.settled ?? []).map((y, i) => ({ id: `settled-${i}`, y }));
  return [...own, ...common].map(({ id, y }, i) => {
    const at = x + ((i % 5) - 2) * 2.2 * TICK_MM;
    return { kind: 'line', role: 'settled', id, x1: at - TICK_MM, y1: y, x2: at + TICK_MM, y2: y };
  });
}

const MARGIN_MM = 260;

/** The set down to the floor while its height is the question; only the set while holes are. */
function focusOf(plan: Plan, wall: Box, labels: LabelSet): Box {
  const p = plan.placement;
  if (!p || labels === 'none') return wall;
  const around: Box = {
    left: p.left - MARGIN_MM,
    right: p.right + MARGIN_MM,
    bottom: labels === 'heights' || labels === 'leads' ? 0 : Math.max(0, p.bottom - 2 * MARGIN_MM),
    top: p.top + MARGIN_MM,
  };
  const both = p.plate ? join(around, p.plate) : around;
  return {
    left: Math.max(wall.left, both.left),
    right: Math.min(wall.right, both.right),
    bottom: both.bottom,
    top: Math.min(wall.top, both.top),
  };
}

function labelsFor(job: Job, plan: Plan, set: LabelSet): Label[] {
  const show = (mm: number) => formatTape(mm, tapeOf(job.units)).replace(/ in$/, '');
  if (set === 'heights') return heightLabels(plan, show);
  if (set === 'holes') return holeLabels(plan, show);
  if (set === 'leads') return leadLabels(plan, show);
  if (set === 'none') return fireLabels(job, plan, show);
  if (set === 'studs')
    return (plan.studs ?? []).map((s, i) => ({
      id: `stud-${i}`,
      text: show(s.centre),
      x: s.centre,
      y: studLabelHeight(plan),
      side: 'below',
    }));
  return [];
}

/** Under the ribbon of probability. */
const studLabelHeight = (plan: Plan): number =>
  plan.placement ? Math.max(0, plan.placement.bottom - 2 * MARGIN_MM) : 0;

type Show = (mm: number) => string;

function heightLabels(plan: Plan, show: Show): Label[] {
  const at = { top: 'above', bottom: 'below', hook: 'right' } as const;
  return (['top', 'bottom', 'hook'] as const).flatMap((id) => {
    const m = plan.marks?.find((mark) => mark.id === id);
    const x = id === 'hook' ? (plan.placement?.plate?.right ?? m?.fromLeft ?? 0) : (m?.fromLeft ?? 0);
    return m ? [{ id, text: `${show(m.fromFloor)} ${markName(id)}`, x, y: m.fromFloor, side: at[id] }] : [];
  });
}

/** At the middle of each lead how long it has to be. */
const leadLabels = ({ leads = [] }: Plan, show: Show): Label[] =>
  leads.flatMap(({ id, what, needed, path }) => {
    const corner = path[1];
    return corner ? [{ id: `lead-${id}`, text: `${show(needed)} ${what}`, ...corner, side: 'right' as const }] : [];
  });

/** Holes this close belong to one line up the wall, mm. */
const SAME_LINE_MM = 5;

/** One height for each row and one distance for each stud: as the marks are made. */
function holeLabels(plan: Plan, show: Show): Label[] {
  const holes = plan.holes ?? [];
  const marks = new Map((plan.marks ?? []).map((m) => [m.id, m]));
  const firstBy = (key: (h: (typeof holes)[number]) => number) =>
    holes.filter((h, i) => holes.findIndex((o) => key(o) === key(h)) === i);
  const rows = firstBy((h) => h.y).map((h): Label => {
    const last = holes.filter((o) => o.y === h.y).reduce((a, b) => (b.x > a.x ? b : a));
    return { id: `row-${h.id}`, text: `${show(h.y)} up`, x: last.x, y: h.y, side: 'right' };
  });
  const inCorner = plan.corner !== undefined;
  const far = plan.corner?.side === 'left' || holes.some((h) => h.wall !== 'main') ? 'to the corner' : 'from the left';
  const aside = (h: (typeof holes)[number]) =>
    show(Math.abs((inCorner ? marks.get(h.id)?.fromLeft : marks.get(h.id)?.fromCentre) ?? 0));
  // a hole that is there may be a hair off the line of the others: what reads alike is one label
  const lines = firstBy((h) => h.x).filter(
    (h, i, all) => all.findIndex((o) => aside(o) === aside(h) && Math.abs(o.x - h.x) < SAME_LINE_MM) === i,
  );
  const columns = lines.map((h): Label => {
    const off = marks.get(h.id)?.fromCentre ?? 0;
    const side = off < 0 ? 'left' : 'right';
    return {
      id: `column-${h.id}`,
      text: `${aside(h)} ${inCorner ? far : side}`,
      x: h.x,
      y: plan.placement?.bottom ?? h.y,
      side: 'below',
    };
  });
  return [...rows, ...columns];
}
