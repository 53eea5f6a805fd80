import type { FitLevel, Job, Mount, Working } from '@steddo/contract';
import { moves } from '../arm/arm';
import { leadWay } from '../arm/leadWays';
import { leaf, node } from '../primitives/working';
import { COUPLING, LOAD_KG, multipliersOf, type Lift } from './liftLimit';

/** From this diagonal on two people lift, mm (50 in). Common practice. */
const TWO_PEOPLE_MM = 1270;

/** What two lift together over what one may: 0.85 each (EN 1005-2, from memory). */
const TWO_LIFT = 1.7;

/** Brackets that nobody has weighed, kg. Ours. */
const BRACKETS_KG = 5;

/** Up to this index a lift is heavy, over it nobody should. Ours: NIOSH calls 3 a high risk for most. */
const INDEX_STOP = 2;

/** Where the set is lifted from and to, whoever's mount it is: its lower edge above the floor, mm. */
export interface LiftPlace {
  setHeight: number;
  thickness: number;
  hungBottom: number;
}

/** How heavy a lift is and who should make it. */
export interface JudgedLift {
  /** What one person may lift there, kg. */
  limit: Working;
  /** The set with the brackets on it, kg. */
  mass: Working;
  people: 1 | 2;
  /** Mass over what so many may lift; absent where an end is out of anybody's reach. */
  index?: Working;
  level: FitLevel;
  /** How high the hands are where it begins and where it ends, mm. */
  hands: { from: number; to: number };
}

/** Hands a quarter of the set's height above its lower edge, from where it stands to where it hangs. Ours. */
export function liftOf(job: Job, { setHeight, thickness, hungBottom }: LiftPlace): Lift {
  const { from = 0, turn = 0 } = job.hang?.lift ?? {};
  const hands = setHeight / 4;
  return {
    fromCm: (from + hands) / 10,
    toCm: (hungBottom + hands) / 10,
    thicknessCm: thickness / 10,
    turnDeg: turn,
  };
}

/**
 * Set and brackets against what may be lifted there (revised NIOSH equation, from memory): two people over
 * 50 in, above what one may lift, and where leads are plugged in while the set is hooked. Index over 1 is
 * heavy, over 2 a stop. 34.5 kg from 47.5 to 115 cm, 55 mm thick: two may lift 26.1, so 1.32.
 */
export function judgeLift(job: Job, mount: Mount, lift: Lift): JudgedLift {
  const { out, height, travel, turn } = multipliersOf(lift);
  const ratio = (label: 'lift-out' | 'lift-height' | 'lift-travel' | 'lift-turn' | 'lift-hold', value: number) =>
    leaf(label, value, 'ratio');
  const limit = node('lift-limit', '*', 'kg', [
    leaf('lift-load', LOAD_KG, 'kg'),
    ratio('lift-out', out),
    ratio('lift-height', height),
    ratio('lift-travel', travel),
    ratio('lift-turn', turn),
    ratio('lift-hold', COUPLING),
  ]);
  const mass = node('lifted', '+', 'kg', [
    leaf('set-mass', job.screen.mass, 'kg', { path: 'screen.mass' }),
    bracketsOf(mount),
  ]);
  const hooked = (job.leads ?? []).some((l) => leadWay(l, mount).when === 'hooked');
  const two = hooked || job.screen.diagonal > TWO_PEOPLE_MM || mass.value > limit.value;
  const people = two ? 2 : 1;
  const hands = { from: lift.fromCm * 10, to: lift.toCm * 10 };
  if (limit.value <= 0) return { limit, mass, people, hands, level: 'stop' };
  const may = two ? node('lift-limit-two', '*', 'kg', [limit, leaf('two-lift', TWO_LIFT, 'ratio')]) : limit;
  const index = node('lift-index', '/', 'ratio', [mass, may]);
  const level = index.value <= 1 ? 'info' : index.value <= INDEX_STOP ? 'caution' : 'stop';
  return { limit, mass, people, hands, index, level };
}

/**
 * What of the mount is on the set when it is lifted: what moves with it, where somebody has said it; else half of a
 * mount that stays where it is, as a guess, and all of an arm.
 */
function bracketsOf(mount: Mount): Working {
  const { movingMass, mass } = mount;
  if (movingMass !== undefined) return leaf('brackets-mass', movingMass, 'kg', { path: 'mount.movingMass' });
  const whole = leaf('brackets-mass', mass ?? BRACKETS_KG, 'kg', { path: 'mount.mass', guess: mass === undefined });
  if (moves(mount)) return whole;
  const share = leaf('brackets-share', BRACKETS_SHARE, 'ratio', { path: 'mount.movingMass', guess: true });
  return node('brackets-mass', '*', 'kg', [whole, share]);
}

/** Of a fixed or tilt mount what goes up with the set. Assumption. */
const BRACKETS_SHARE = 0.5;
