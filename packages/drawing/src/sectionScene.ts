import type { Build, Hole, Job, Packing, Plan } from '@steddo/contract';
import {
  boardOf,
  gapOf,
  isVehicle,
  formatTape,
  plateOf,
  platedJob,
  platePlane,
  STUD_DEPTH_MM,
  tapeOf,
  timberedJob,
  wallAt,
} from '@steddo/core';
import { intoName } from '@steddo/text';
import type { Box, Label, Scene, Shape } from './scene';

/** So much of the wall is in view above and below the plate, mm; and room for the measures in front of it. */
const AROUND_MM = 45;
const FRONT_MM = 230;

/** Drawn only: how thick an outer skin is. */
const SKIN_DRAWN_MM = 1.5;

/** Holes so near to the cut are in it, mm. */
const IN_CUT_MM = 40;

/** Drawn only: how thick masonry and a metal stud's flange are where nobody has said, a head's size by its shank's. */
const MASONRY_MM = 102;
const FLANGE_MM = 1.5;
const HEAD = { across: 1.7, long: 0.6, washer: 2.3 } as const;

/**
 * A cut through the plate at one of its holes, seen from the right, to scale: x is the distance out of the wall's own
 * face. Board, packing, plate, each screw with its washer, what it goes into, and the hole that is bored for it.
 * Undefined where there are no holes yet.
 */
export function sectionScene(given: Job, plan: Plan, holeId?: string): Scene | undefined {
  const job = timberedJob(given, plan);
  const holes = plan.holes ?? [];
  const at = holes.find((h) => h.id === holeId) ?? holes[0];
  const box = plan.placement?.plate;
  const { mount } = platedJob(job, plan);
  if (!at || !box || !mount?.plate) return undefined;
  const cut: Cut = {
    ...{ job, plan, x: at.x },
    holes: holes.filter((h) => Math.abs(h.x - at.x) <= IN_CUT_MM),
    plane: platePlane(job.room.wall, box, job.choices?.packing).plane,
    plateMm: plateOf(mount),
    low: box.bottom - AROUND_MM,
    high: box.top + AROUND_MM,
  };
  const { plane, plateMm, low, high } = cut;
  const slots = mount.plate.slots ?? [];
  const packing = (plan.packing ?? []).filter((p) => p.left <= at.x && p.right >= at.x);
  const shapes: Shape[] = [
    ...behindTimber(given, cut),
    ...bandsOf(cut).flatMap((band) => bandShapes(cut, band)),
    ...packing.map((p, i): Shape => ({
      ...{ kind: 'rect', role: 'packing', id: `packing-${i}` },
      ...{ left: plane - p.thickness, right: plane, bottom: p.bottom, top: p.top },
    })),
    {
      kind: 'rect',
      role: 'bracket',
      id: 'plate-cut',
      left: plane,
      right: plane + plateMm,
      bottom: box.bottom,
      top: box.top,
    },
    ...cut.holes.flatMap((h) => {
      const slot = slots[h.slot];
      return slot ? [slotShape(cut, h, slot.height)] : [];
    }),
    ...cut.holes.flatMap((h) => screwShapes(cut, h)),
  ];
  const rects = shapes.flatMap((s) => (s.kind === 'rect' ? [s] : []));
  const bounds: Box = {
    left: Math.min(...rects.map((r) => r.left)),
    right: Math.max(...rects.map((r) => r.right)) + FRONT_MM,
    bottom: low,
    top: high,
  };
  return { bounds, focus: bounds, shapes, labels: labelsOf(cut, packing) };
}

interface Cut {
  job: Job;
  plan: Plan;
  x: number;
  holes: readonly Hole[];
  plane: number;
  plateMm: number;
  low: number;
  high: number;
}

/** A stretch of the wall up the cut that is of one build and one face. */
interface Band {
  bottom: number;
  top: number;
  build: Build;
  face: number;
}

function bandsOf({ job, x, low, high }: Cut): Band[] {
  const { wall } = job.room;
  const edges = (wall.zones ?? []).flatMap((z) => [z.bottom, z.top]).filter((y) => y > low && y < high);
  const ys = [low, ...[...new Set(edges)].sort((a, b) => a - b), high];
  return ys.slice(1).map((top, i) => ({ bottom: ys[i]!, top, ...wallAt(wall, x, (ys[i]! + top) / 2) }));
}

/** The wall that a timber is on, seen behind it. */
function behindTimber(given: Job, cut: Cut): Shape[] {
  if (!cut.plan.timber) return [];
  const wall = { ...cut, job: given };
  return bandsOf(wall)
    .flatMap((band) => bandShapes(wall, band))
    .map((s) => ({ ...s, id: `under-${s.id}` }));
}

function bandShapes(cut: Cut, band: Band): Shape[] {
  const { bottom, top, build, face } = band;
  const board = boardOf(build);
  const id = `cut-${Math.round(bottom)}`;
  return [
    ...behindShapes(cut, band, face - board - (board > 0 ? gapOf(build) : 0)),
    ...(build.depth === undefined || !isVehicle(cut.job)
      ? []
      : [
          {
            ...({ kind: 'rect', role: 'skin', id: `skin-${Math.round(bottom)}` } as const),
            ...{ left: face - build.depth, right: face - build.depth + SKIN_DRAWN_MM, bottom, top },
          },
        ]),
    ...(board > 0
      ? [{ kind: 'rect', role: 'cover-cut', id, left: face - board, right: face, bottom, top } as const]
      : []),
  ];
}

/** What is behind the board: a stud where the cut meets one, whole units between their joints, a sheet, nothing. */
function behindShapes(cut: Cut, { bottom, top, build }: Band, front: number): Shape[] {
  const id = `behind-${Math.round(bottom)}`;
  const rect = (role: 'stud-cut' | 'unit-cut' | 'mortar' | 'backing', depth: number): Shape => ({
    ...{ kind: 'rect', role, id, left: front - depth, right: front, bottom, top },
  });
  switch (build.kind) {
    case 'timber-stud': {
      const stud = (cut.plan.studs ?? []).some((s) => Math.abs(s.centre - cut.x) <= s.width / 2);
      return stud ? [rect('stud-cut', build.studDepth ?? STUD_DEPTH_MM)] : [];
    }
    case 'metal-stud':
      return [rect('stud-cut', build.thickness ?? FLANGE_MM)];
    case 'masonry':
      return unitShapes(cut, { bottom, top, left: front - (build.depth ?? MASONRY_MM), right: front });
    case 'timber-backing':
    case 'metal-backing':
      return build.thickness === undefined ? [] : [rect('backing', build.thickness)];
    case 'unknown':
      return [];
  }
}

function unitShapes({ plan, x }: Cut, box: Box): Shape[] {
  const rows = (plan.courses ?? []).filter((c) => (c.left ?? x) <= x && (c.right ?? x) >= x);
  const units = rows
    .map((c) => ({ ...c, bottom: Math.max(c.bottom, box.bottom), top: Math.min(c.top, box.top) }))
    .filter((c) => c.top > c.bottom);
  const id = `unit-${Math.round(box.bottom)}`;
  if (units.length === 0) return [{ kind: 'rect', role: 'unit-cut', id, ...box }];
  return [
    { kind: 'rect', role: 'mortar', id: `mortar-${id}`, ...box },
    ...units.map(({ number, bottom, top }): Shape => ({
      ...{ kind: 'rect', role: 'unit-cut', id: `${id}-${number}`, name: `course ${number}` },
      ...{ ...box, bottom, top },
    })),
  ];
}

const slotShape = ({ plane, plateMm }: Cut, { id, y }: Hole, height: number): Shape => ({
  ...{ kind: 'rect', role: 'slot-cut', id: `slot-${id}`, left: plane, right: plane + plateMm },
  ...{ bottom: y - height / 2, top: y + height / 2 },
});

/** The bored hole, and the screw through plate and washer as far as it goes. */
function screwShapes({ plane, plateMm }: Cut, hole: Hole): Shape[] {
  const { id, y, bit, depth, packing, washer = 0, fixing } = hole;
  const { diameter: d, length } = fixing;
  const face = plane - packing;
  const under = plane + plateMm + washer;
  const rect = (
    role: 'bore' | 'washer' | 'screw',
    name: string,
    left: number,
    right: number,
    across: number,
  ): Shape => ({
    ...{ kind: 'rect', role, id: `${name}-${id}`, left, right, bottom: y - across / 2, top: y + across / 2 },
  });
  return [
    rect('bore', 'bore', face - depth, face, bit),
    ...(washer > 0 ? [rect('washer', 'washer', plane + plateMm, under, d * HEAD.washer)] : []),
    ...(length === undefined ? [] : [rect('screw', 'shank', under - length, under, d)]),
    rect('screw', 'head', under, under + d * HEAD.long, d * HEAD.across),
  ];
}

/** What of a screw is in the wood: of a sheet or a timber no more than it is thick. */
function inWood({ room }: Job, { x, y, into, penetration = 0 }: Hole): number {
  const { thickness } = wallAt(room.wall, x, y).build;
  return into === 'backing' && thickness !== undefined ? Math.min(penetration, thickness) : penetration;
}

function labelsOf({ job, plan, holes, plane, plateMm }: Cut, packing: readonly Packing[]): Label[] {
  const tape = tapeOf(job.units);
  const say = (mm: number) => formatTape(mm, tape);
  return [
    ...holes.map((h): Label => ({
      id: `depth-${h.id}`,
      text:
        h.penetration === undefined
          ? `${say(h.depth)} deep, ${intoName(h.into)}`
          : `${say(inWood(job, h))} in the ${intoName(h.into)}`,
      ...{ x: plane + plateMm, y: h.y, side: 'right' },
    })),
    ...tipLabel(plan, holes, plane, say),
    ...packing.map((p, i): Label => ({
      id: `packing-${i}`,
      text: `packing ${say(p.thickness)}`,
      ...{ x: plane + plateMm, y: p.top - (p.top - p.bottom) / 4, side: 'right' },
    })),
  ];
}

/** In a vehicle what is left between the screw's point and the skin. */
function tipLabel({ vehicle }: Plan, [hole]: readonly Hole[], plane: number, say: (mm: number) => string): Label[] {
  if (vehicle?.tip === undefined || !hole) return [];
  const text = vehicle.tip < 0 ? `through by ${say(-vehicle.tip)}` : `${say(vehicle.tip)} to the skin`;
  return [{ id: 'tip', text, x: plane - hole.packing - hole.depth, y: hole.y, side: 'below' }];
}
