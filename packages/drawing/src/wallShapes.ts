import type { Evidence, Job, NextLook, Plan } from '@steddo/contract';
import { mainZones, WALL_KINDS, wallAt } from '@steddo/core';
import type { Box, Shape } from './scene';

/** Half of a strip of tape stuck on the wall, mm. */
const TAPE_MM = 42;
/** Height of the ribbon of probability, mm. */
const RIBBON_MM = 150;
/** Around a hole that was poked or looked through, mm. */
const POKE_MM = 9;
const LOOK_MM = 16;
/** Spread of a stud's middle that is drawn, in sd: nineteen in twenty. */
const DOUBT_SD = 2;

const onMain = (e: { wall?: string | undefined }): boolean => (e.wall ?? 'main') === 'main';

/** What is behind the board as far as it is known: courses, backing, studs with their doubt, noggings. */
export function insideShapes(job: Job, plan: Plan, wall: Box): Shape[] {
  return [
    ...courseShapes(plan, wall),
    ...backingShapes(plan, wall),
    ...tapedBacking(plan),
    ...studShapes(job, plan, wall),
    ...(plan.noggings ?? []).map((n, i): Shape => ({
      kind: 'rect',
      role: 'nogging',
      id: `nogging-${i}`,
      left: n.left,
      right: n.right,
      bottom: n.y - 19,
      top: n.y + 19,
    })),
  ];
}

function studShapes(job: Job, plan: Plan, wall: Box): Shape[] {
  return (plan.studs ?? []).flatMap((s, i): Shape[] => {
    const half = s.width / 2;
    const doubt = half + DOUBT_SD * s.sd;
    return stretchesOf(job, s.centre, wall).flatMap(({ bottom, top }, k): Shape[] => {
      const id = k === 0 ? `${i}` : `${i}-${k}`;
      return [
        {
          ...{ kind: 'rect', role: 'stud-doubt', id: `stud-doubt-${id}`, bottom, top },
          left: s.centre - doubt,
          right: s.centre + doubt,
        },
        {
          ...{ kind: 'rect', role: 'stud', id: `stud-${id}`, weight: s.probability, bottom, top },
          ...{ left: s.centre - half, right: s.centre + half },
        },
      ];
    });
  });
}

/** From where to where up the wall there can be a stud: not in a part that is built of something else. */
function stretchesOf({ room }: Job, x: number, { bottom, top }: Box): { bottom: number; top: number }[] {
  const zones = mainZones(room.wall).filter((z) => z.left <= x && z.right >= x);
  if (zones.length === 0) return [{ bottom, top }];
  const ys = [bottom, ...zones.flatMap((z) => [z.bottom, z.top]).filter((y) => y > bottom && y < top), top];
  const cuts = [...new Set(ys)].sort((a, b) => a - b);
  const found: { bottom: number; top: number }[] = [];
  cuts.slice(1).forEach((upper, k) => {
    const lower = cuts[k]!;
    const { main } = WALL_KINDS[wallAt(room.wall, x, (lower + upper) / 2).build.kind];
    if (main === 'masonry' || main === 'backing') return;
    const before = found.at(-1);
    if (before && before.top === lower) before.top = upper;
    else found.push({ bottom: lower, top: upper });
  });
  return found;
}

function courseShapes(plan: Plan, wall: Box): Shape[] {
  return (plan.courses ?? []).flatMap((c, k): Shape[] => [
    {
      ...{ kind: 'line', role: 'joint-line', id: `bed-${k}`, y1: c.bottom, y2: c.bottom },
      ...{ x1: c.left ?? wall.left, x2: c.right ?? wall.right },
    },
    ...c.joints.map((x, i): Shape => ({
      kind: 'line',
      role: 'joint-line',
      id: `joint-${k}-${i}`,
      x1: x,
      y1: c.bottom,
      x2: x,
      y2: c.top,
    })),
  ]);
}

/** As far as its edges are known; where one is not, to the wall's own. */
function backingShapes({ backing }: Plan, wall: Box): Shape[] {
  if (!backing) return [];
  const { left = wall.left, right = wall.right, bottom = wall.bottom, top = wall.top } = backing;
  return [{ kind: 'rect', role: 'backing', id: 'backing', name: 'backing', left, right, bottom, top }];
}

/** A vehicle's backing by its taped corners, and what is left of it where its edges may be off. */
function tapedBacking({ vehicle, backing }: Plan): Shape[] {
  const taped = vehicle?.backing;
  if (!taped || backing) return [];
  const { left, right, bottom, top, doubt } = taped;
  const sure = { left: left + doubt, right: right - doubt, bottom: bottom + doubt, top: top - doubt };
  return [
    { kind: 'rect', role: 'stud-doubt', id: 'backing-taped', left, right, bottom, top },
    ...(sure.left < sure.right && sure.bottom < sure.top
      ? [{ kind: 'rect', role: 'backing', id: 'backing-sure', ...sure } as const]
      : []),
  ];
}

/** Evidence as tape where it was found: upright for studs, level for noggings; pokes and looks as small holes. */
export function evidenceShapes(job: Job, plan: Plan): Shape[] {
  const odd = new Set(plan.odd ?? []);
  const marks = (job.evidence ?? []).filter((e) => onMain(e) && e.y !== undefined);
  const looks = (job.looks ?? []).filter(onMain);
  return [
    ...marks.map((e) => markShape(e, odd.has(e.id))),
    ...looks.map((k): Shape => ({
      kind: 'circle',
      role: k.found === 'clear' ? 'look' : 'look-met',
      id: k.id,
      x: k.x,
      y: k.y,
      r: LOOK_MM,
    })),
  ];
}

function markShape(e: Evidence, odd: boolean): Shape {
  const y = e.y ?? 0;
  if (e.kind === 'probe')
    return { kind: 'circle', role: e.found === 'wood' ? 'poke-wood' : 'poke', id: e.id, x: e.x, y, r: POKE_MM };
  const level = e.kind === 'nogging' || (e.kind === 'backing-edge' && (e.side === 'top' || e.side === 'bottom'));
  const [dx, dy] = level ? [TAPE_MM, 0] : [0, TAPE_MM];
  const role = e.kind === 'live' ? 'live-mark' : odd ? 'odd-mark' : level ? 'level-mark' : 'stud-mark';
  return { kind: 'line', role, id: e.id, x1: e.x - dx, y1: y - dy, x2: e.x + dx, y2: y + dy };
}

/** Where cables and pipes have to be expected, and where something was seen. */
export function hazardShapes({ hazards }: Plan): Shape[] {
  if (!hazards) return [];
  return [
    ...hazards.zones.map(({ id, left, right, bottom, top, way }): Shape => ({
      kind: 'rect',
      role: way === 'behind' ? 'zone-behind' : 'hazard-zone',
      id,
      left,
      right,
      bottom,
      top,
    })),
    ...hazards.seen.map(({ id, left, right, bottom, top }): Shape => ({
      kind: 'rect',
      role: 'hazard-seen',
      id: `seen-${id}`,
      left,
      right,
      bottom,
      top,
    })),
  ];
}

/** P(wood) along the wall as a ribbon: its height is the chance, full at `bottom` + 150 mm. */
export function ribbonShapes({ wood }: Plan, bottom: number): Shape[] {
  if (!wood) return [];
  const last = (wood.p.length - 1) * wood.step;
  const points = wood.p.map((p, i): [number, number] => [i * wood.step, bottom + RIBBON_MM * p]);
  return [
    { kind: 'rect', role: 'ribbon-ground', id: 'ribbon-ground', left: 0, right: last, bottom, top: bottom + RIBBON_MM },
    { kind: 'poly', role: 'ribbon', id: 'ribbon', points: [[0, bottom], ...points, [last, bottom]], closed: true },
  ];
}

/** Where the hand goes next. */
export function nextLookShapes(look: NextLook | undefined): Shape[] {
  if (!look) return [];
  const { kind, x, y, from, to } = look;
  if (kind === 'probe') return [{ kind: 'cross-hair', role: 'next-look', id: 'next-look', x, y }];
  return [{ kind: 'line', role: 'asked', id: 'next-look', x1: from ?? x, y1: y, x2: to ?? x, y2: y }];
}
