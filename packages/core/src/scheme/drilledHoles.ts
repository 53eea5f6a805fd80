import type { Drilled, Evidence, HoleInto, Job } from '@steddo/contract';
import { SPOILED_MM } from '../tolerances';

/** A hole that is there and may be used. */
export interface DoneHole {
  id: string;
  x: number;
  y: number;
  into: HoleInto;
}

/** What has been drilled: holes to be used, and places where nothing holds any more. */
export interface DrilledHoles {
  done: DoneHole[];
  spoiled: { id: string; x: number; y: number }[];
  /** How often the plan had to be made anew: each time the holes still to come get numbers of their own. */
  round: number;
}

const USABLE: ReadonlySet<Drilled['result']> = new Set<Drilled['result']>(['good', 'drifted']);

const onMain = (job: Job): Drilled[] =>
  (job.drilled ?? []).filter((d) => (d.wall ?? 'main') === 'main');

/** What a hole was made for, when nobody wrote it down: what this wall is drilled for first. */
const USUAL_INTO: Record<Job['room']['wall']['build']['kind'], HoleInto> = {
  'timber-stud': 'stud',
  'metal-stud': 'metal-stud',
  masonry: 'masonry',
  'timber-backing': 'backing',
  'metal-backing': 'backing',
  unknown: 'stud',
};

/** The last word on each hole: a hole that was ticked and later came loose is spoiled. */
export function drilledHoles(job: Job): DrilledHoles {
  const all = onMain(job);
  const last = all.filter((d, i) => !all.slice(i + 1).some((o) => o.hole === d.hole));
  const usual = USUAL_INTO[job.room.wall.build.kind];
  return {
    done: last
      .filter((d) => USABLE.has(d.result))
      .map((d) => ({ id: d.hole, x: d.x, y: d.y, into: d.into ?? usual })),
    spoiled: all.filter((d) => !USABLE.has(d.result)).map((d) => ({ id: d.hole, x: d.x, y: d.y })),
    round: all.filter((d) => d.result !== 'good').length,
  };
}

/** Far enough from every hole that did not hold. */
export const isSound = ({ spoiled }: DrilledHoles, x: number, y: number): boolean =>
  spoiled.every((s) => Math.hypot(s.x - x, s.y - y) >= SPOILED_MM);

/**
 * What the drill has shown about the wall: wood where a lag bit or where a toggle met a stud, hollow where
 * a lag found nothing. A hole whose purpose nobody wrote down says only what its result says.
 */
export function drilledEvidence(job: Job): Evidence[] {
  return onMain(job).flatMap((d): Evidence[] => {
    const found = foundBy(d);
    return found ? [{ id: `drilled:${d.hole}`, kind: 'probe', x: d.x, y: d.y, found }] : [];
  });
}

function foundBy({ result, into }: Drilled): 'wood' | 'hollow' | undefined {
  if (result === 'stud') return 'wood';
  if (result === 'hollow') return 'hollow';
  if (result !== 'good' && result !== 'drifted') return undefined;
  return into === 'stud' ? 'wood' : into === 'board' ? 'hollow' : undefined;
}
