import type { Drilled, Evidence, HoleInto, Job } from '@steddo/contract';
import { wallAt } from '../room/wallAt';
import { WALL_KINDS } from '../room/wallKinds';

/** Kept from a hole that did not hold, mm. Ours. */
export const SPOILED_MM = 20;

/** A toggle wants so much hollow beside its hole, mm. Ours. */
export const TOGGLE_ROOM_MM = 10;

/** Kept from where a drill met metal or something that nobody could name, mm. Ours. */
const METAL_OFF_MM = 60;

/** Kept from where a brick or block was hollow, mm: its next web. Ours. */
const VOID_OFF_MM = 60;

/** A hole that is there and may be used. */
export interface DoneHole {
  id: string;
  x: number;
  y: number;
  into: HoleInto;
  /** It went off its mark. */
  drifted: boolean;
}

/** What has been drilled: holes to be used, and places where nothing holds any more. */
export interface DrilledHoles {
  done: DoneHole[];
  spoiled: { id: string; x: number; y: number; keepOff: number }[];
  /** Lines up the wall where the drill met the opposite of what it was sent for, and how far they reach aside, mm. */
  wood: number[];
  hollow: number[];
  /** Holes that went where nothing can use them. */
  off?: DoneHole[];
  /** How often the plan had to be made anew: each time the holes still to come get numbers of their own. */
  round: number;
}

export const USABLE: ReadonlySet<Drilled['result']> = new Set<Drilled['result']>(['good', 'drifted']);

const onMain = (drilled: Job['drilled']): Drilled[] => (drilled ?? []).filter((d) => (d.wall ?? 'main') === 'main');

/** Holes of the plate on this wall; those of a timber are its own. */
const ofPlate = (drilled: Job['drilled']): Drilled[] => onMain(drilled).filter((d) => !isTimberHole(d.hole));

/** The holes of a mantel's timber are m1, m2, m3; those of a timber across studs t1 on. */
const isTimberHole = (id: string): boolean => /^[mt]\d+$/.test(id);

/** Whether a hole of a timber is there and of use, by the last word on it. */
export const isThere = ({ drilled = [] }: Pick<Job, 'drilled'>, hole: string): boolean => {
  const last = drilled.findLast((d) => d.hole === hole);
  return last !== undefined && USABLE.has(last.result);
};

/** A timber's hole that is further from where it would be now is a hole of another one, mm. Ours. */
const SAME_HOLE_MM = 20;

/** The same, and where it would be drilled now: a timber that was moved or exchanged has its own holes to come. */
export const isThereAt = (job: Pick<Job, 'drilled'>, hole: string, at: { x: number; y: number }): boolean => {
  const last = job.drilled?.findLast((d) => d.hole === hole);
  return last !== undefined && isThere(job, hole) && Math.hypot(last.x - at.x, last.y - at.y) <= SAME_HOLE_MM;
};

/** Where a hole of a timber across studs, or of noggings, did not come to hold: its screw goes beside it. */
export const spoiledOfTimber = ({ drilled }: Pick<Job, 'drilled'>): DrilledHoles['spoiled'] =>
  onMain(drilled)
    .filter((d) => /^t\d+$/.test(d.hole) && !USABLE.has(d.result))
    .map((d) => ({ id: d.hole, x: d.x, y: d.y, keepOff: keepOff(d) }));

/** The last word on each hole: a hole that was ticked and later came loose is spoiled. */
export function drilledHoles(job: Job): DrilledHoles {
  const all = ofPlate(job.drilled);
  const last = all.filter((d, i) => !all.slice(i + 1).some((o) => o.hole === d.hole));
  // when nobody wrote it down: what the wall is drilled for first there
  const usual = ({ x, y }: Drilled) => WALL_KINDS[wallAt(job.room.wall, x, y).build.kind].main ?? 'stud';
  return {
    done: last
      .filter((d) => USABLE.has(d.result))
      .map((d) => ({ id: d.hole, x: d.x, y: d.y, into: d.into ?? usual(d), drifted: d.result === 'drifted' })),
    spoiled: [
      ...all.filter((d) => !USABLE.has(d.result)).map((d) => ({ id: d.hole, x: d.x, y: d.y, keepOff: keepOff(d) })),
      ...oldHoles(job).map(({ id, x, y }) => ({ id, x, y: y ?? 0, keepOff: SPOILED_MM })),
    ],
    wood: all.filter((d) => foundBy(d) === 'wood').map((d) => d.x),
    hollow: all.filter((d) => foundBy(d) === 'hollow').map((d) => d.x),
    round: all.filter((d) => d.result !== 'good').length,
  };
}

/** Holes of an earlier plate: nothing holds where one is. */
const oldHoles = ({ evidence = [] }: Job) =>
  evidence.filter((e) => e.kind === 'old-hole' && (e.wall ?? 'main') === 'main');

/** Metal may be a plate that guards a cable: further off than from a hole that only did not hold. */
const keepOff = ({ result, into }: Drilled): number => {
  if (result === 'metal' || result === 'felt-something') return METAL_OFF_MM;
  return result === 'hollow' && into === 'masonry' ? VOID_OFF_MM : SPOILED_MM;
};

/** Far enough from every hole that did not hold. */
const isSound = ({ spoiled }: DrilledHoles, x: number, y: number): boolean =>
  spoiled.every((s) => Math.hypot(s.x - x, s.y - y) >= s.keepOff);

/** A stud reaches so far aside of a place where wood was met, and a hollow so far of where none was, mm. Ours. */
const WOOD_REACHES_MM = 19;
const HOLLOW_REACHES_MM = 8;

/**
 * Whether a new hole may be tried at a place: off every spoiled one, no anchor up or down the stud that a
 * drill has met, no lag on a line where a drill has met nothing.
 */
export function mayDrill(drilled: DrilledHoles, into: HoleInto, at: { x: number; y: number }, holeMm: number): boolean {
  if (!isSound(drilled, at.x, at.y)) return false;
  const near = (lines: readonly number[], reach: number) => lines.some((x) => Math.abs(x - at.x) < reach + holeMm / 2);
  if (into === 'board') return !near(drilled.wood, WOOD_REACHES_MM + TOGGLE_ROOM_MM);
  if (into === 'stud' || into === 'metal-stud') return !near(drilled.hollow, HOLLOW_REACHES_MM);
  return true;
}

/**
 * What the drill has shown about the wall: wood where a lag bit or where a toggle met a stud, hollow where
 * a lag found nothing, the plate's or a timber's; as wide as it is it counts as two thin probes. A hole whose purpose nobody wrote down says
 * only what its result says.
 */
export function drilledEvidence(drilled: Job['drilled']): Evidence[] {
  return onMain(drilled).flatMap((d): Evidence[] => {
    const found = foundBy(d);
    if (!found) return [];
    const probe = { kind: 'probe' as const, x: d.x, y: d.y, found };
    return [
      { ...probe, id: `drilled:${d.hole}` },
      { ...probe, id: `drilled:${d.hole}:wide` },
    ];
  });
}

function foundBy({ result, into }: Drilled): 'wood' | 'hollow' | undefined {
  // a void in a brick says nothing of studs
  if (into === 'masonry') return undefined;
  if (result === 'stud') return 'wood';
  if (result === 'hollow') return 'hollow';
  if (result !== 'good' && result !== 'drifted') return undefined;
  return into === 'stud' ? 'wood' : into === 'board' ? 'hollow' : undefined;
}
