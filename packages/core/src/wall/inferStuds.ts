import type { Job, Stud } from '@steddo/contract';
import { oddReadings } from './oddReadings';
import { studPly, studsOf } from './studsOf';
import { wallBelief, wallInputOf, woodAlong, type WallBelief, type WallInput } from './wallBelief';

/** What the readings show of a job's main wall. */
export interface StudsFound {
  belief: WallBelief;
  studs: Stud[];
  wood: Float64Array;
  /** Ids of evidence that disagrees with the studs found. */
  odd: string[];
}

let last: { key: string; found: StudsFound } | undefined;

/**
 * Studs, P(wood) along the wall and the odd readings of a job. The last answer is kept by what it rests
 * on, so that moving the set does not ask again.
 */
export function inferStuds(job: Job): StudsFound {
  const { wall } = job.room;
  const input = wallInputOf(job);
  const key = JSON.stringify([input, wall.build.studWidth]);
  if (last?.key === key) return last.found;
  const found = isUntouched(input) ? nothingKnown(input) : everything(job, wallBelief(input));
  last = { key, found };
  return found;
}

const everything = (job: Job, belief: WallBelief): StudsFound => ({
  belief,
  studs: studsOf(belief, studPly(job)),
  wood: woodAlong(belief),
  odd: oddReadings(belief),
});

const isUntouched = ({ evidence, scans, returns }: WallInput): boolean =>
  evidence.length + scans.length === 0 && !returns?.left && !returns?.right;

/** Every place alike: no stud is likely enough to be shown, and nobody has to wait to be told so. */
function nothingKnown(input: WallInput): StudsFound {
  let belief: WallBelief | undefined;
  const made = () => (belief ??= wallBelief(input));
  return {
    studs: [],
    odd: [],
    get belief() {
      return made();
    },
    get wood() {
      return woodAlong(made());
    },
  };
}
