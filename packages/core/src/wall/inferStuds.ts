import type { Job, Stud } from '@steddo/contract';
import { oddReadings } from './oddReadings';
import { sheetChance } from './sheetBehind';
import { studPly, studsOf } from './studsOf';
import { wallBelief, wallInputOf, woodAlong, type WallBelief, type WallInput } from './wallBelief';
import type { WallChances } from './holeChance';
import { wallChances } from './wallChances';

/** What the readings show of a job's main wall. */
export interface StudsFound {
  belief: WallBelief;
  /** What the belief says of a hole at a place. */
  chances: WallChances;
  studs: Stud[];
  wood: Float64Array;
  /** Ids of evidence that disagrees with the studs found. */
  odd: string[];
  /** The chance that the wood is a sheet behind the board. */
  sheet: number;
}

/** All that is known of a main wall's studs: what was read, drilled and said. */
export type WallReadings = [
  evidence: Job['evidence'],
  scans: Job['scans'],
  drilled: Job['drilled'],
  wall: Job['room']['wall'],
  guessed: Job['guessed'],
];

/** `inferStuds(...readingsOf(job))`: moving the set changes none of them. */
export const readingsOf = ({ evidence, scans, drilled, room, guessed }: Job): WallReadings => [
  evidence,
  scans,
  drilled,
  room.wall,
  guessed,
];

/** Studs, P(wood) along the wall and the odd readings. Nothing read: no stud, every place alike. */
export function inferStuds(...readings: WallReadings): StudsFound {
  const input = wallInputOf(...readings);
  if (isUntouched(input)) return nothingKnown(input);
  const belief = wallBelief(input);
  const [, , , wall, guessed] = readings;
  const sheet = sheetChance(belief);
  const wood = woodAlong(belief);
  return {
    belief,
    chances: wallChances(belief, sheet),
    studs: studsOf(belief, studPly(wall, guessed), wood),
    wood,
    odd: oddReadings(belief),
    sheet,
  };
}

const isUntouched = ({ evidence, scans, returns }: WallInput): boolean =>
  evidence.length + scans.length === 0 && !returns?.left && !returns?.right;

/** Every place alike: no stud is likely enough to be shown, and nobody has to wait to be told so. */
function nothingKnown(input: WallInput): StudsFound {
  let belief: WallBelief | undefined;
  let chances: WallChances | undefined;
  const made = () => (belief ??= wallBelief(input));
  return {
    studs: [],
    odd: [],
    sheet: 0,
    get belief() {
      return made();
    },
    get chances() {
      return (chances ??= wallChances(made()));
    },
    get wood() {
      return woodAlong(made());
    },
  };
}
