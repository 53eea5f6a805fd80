import type { Drilled, Hole, Job } from '@steddo/contract';
import { WALL_KINDS } from '../room/wallKinds';
import { drilledHoles } from './drilledHoles';
import { HOLE_CAUTION } from './holeVerdict';
import { readingsOf, type StudsFound, type WallReadings } from './inferStuds';

/** A drill that met nothing where everything else still shows a stud. */
export interface Disputed {
  drilled: Drilled;
  /** Edges that were marked of that stud, and how sure a hole there was without the drill. */
  edges: number;
  chance: number;
  /** Faces of that stud as the marks have them, mm. */
  faces: { left: number; right: number };
}

/** A stud is as wide as this at most about a hole that was sent for its middle, mm. */
export const BESIDE_MM = 30;

/** Evidence that was logged after a drill this near settles what it met, mm. */
const SETTLES_MM = 60;

const SHANK_MM = 7.94;

/**
 * Drills that met nothing in a stud which the marks without them still show: one such drill does not unmake the stud. A
 * second one beside the same stud does, and so does whatever is marked there afterwards.
 */
export function disputedDrills(job: Job, infer: (...readings: WallReadings) => StudsFound): Disputed[] {
  if (WALL_KINDS[job.room.wall.build.kind].main !== 'stud') return [];
  const all = (job.drilled ?? []).filter((d) => (d.wall ?? 'main') === 'main');
  const last = all.filter((d, i) => !all.slice(i + 1).some((o) => o.hole === d.hole));
  const misses = last.filter((d) => d.result === 'hollow' && (d.into ?? 'stud') === 'stud' && !settled(job, d));
  const lone = misses.filter((d) => misses.every((o) => o === d || Math.abs(o.x - d.x) > BESIDE_MM));
  if (lone.length === 0) return [];
  const without = withoutDrills(job, lone);
  const found = infer(...readingsOf(without));
  const { hollow } = drilledHoles(without);
  return lone.flatMap((d): Disputed[] => {
    const chance = found.chances.at(d.x, SHANK_MM).lands;
    const stud = found.studs.find((s) => Math.abs(s.centre - d.x) <= BESIDE_MM);
    if (chance < HOLE_CAUTION || !stud || hollow.some((x) => Math.abs(x - d.x) <= BESIDE_MM)) return [];
    const edges = (job.evidence ?? []).filter(
      (e) => (e.kind === 'edge-left' || e.kind === 'edge-right') && stud.evidence.includes(e.id),
    ).length;
    const half = stud.width / 2;
    return [{ drilled: d, edges, chance, faces: { left: stud.centre - half, right: stud.centre + half } }];
  });
}

/** Somebody has marked something there since. */
const settled = ({ evidence = [] }: Job, d: Drilled): boolean =>
  d.at !== undefined && evidence.some((e) => e.at !== undefined && e.at > d.at! && Math.abs(e.x - d.x) <= SETTLES_MM);

/** The job as it was before those drills. */
export const withoutDrills = (job: Job, drills: readonly Drilled[]): Job => ({
  ...job,
  drilled: (job.drilled ?? []).filter((d) => !drills.includes(d)),
});

/** Planned holes on the line of a disputed drill. */
export const onLine = ({ drilled }: Disputed, holes: readonly Hole[]): Hole[] =>
  holes.filter((h) => h.into === 'stud' && Math.abs(h.x - drilled.x) <= BESIDE_MM);
