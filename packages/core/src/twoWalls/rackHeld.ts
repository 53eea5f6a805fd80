import type { CornerFoot, Side } from '@steddo/contract';
import type { Carried } from '../arm/hung';
import { carryOf, type Feet, type Stance } from '../corner/cornerFeet';
import { fromWall } from '../corner/cornerGeometry';
import { leaf } from '../primitives/working';
import { atWall, footFindings } from './cornerFindings';
import { footBase, onWall, placeOf, wallThere, type Held } from './cornerInput';
import type { Walls } from './cornerSections';
import type { Stand } from './footStances';
import { footMount } from './footMount';
import { byTrouble, worstTrouble } from './footTrouble';
import { footOnWall, type FootMade } from './footWall';

/** A rack's feet, and the stances in which both are on their walls, the wider first. */
export interface HeldByFeet extends Held {
  feet: Feet[];
  stances: readonly Stand[];
}

/** A rack: its feet outside of their pivots, or inside where they are held better there; with the holes of both. */
export function rackHeld(held: HeldByFeet): { walls: Walls; stops: number } {
  const [first, ...others] = held.stances.map((stand) => () => standing(held, stand));
  const wide = first!();
  const [stops, doubt, use] = wide.trouble;
  // feet that stand wide carry the set better: the other stance is for those that find no wood there
  const tried = stops + doubt === 0 && use <= 1 ? [wide] : [wide, ...others.map((at) => at())];
  const [best] = tried.sort((a, b) => byTrouble(a.trouble, b.trouble));
  const { stance, feet, trouble } = best!;
  const [main, other] = [feet.find((f) => f.wall === 'main')!, feet.find((f) => f.wall !== 'main')!];
  const { place, things } = held;
  return {
    walls: {
      ...{ place, feet: held.feet, ...(stance ? { stance } : {}), main: main.made, other: other.made },
      plans: [main.plan, other.plan],
      findings: [
        ...things,
        ...[main, other].flatMap((f) => footFindings(f.made.findings, f.plan.x).map((one) => atWall(one, f.wall))),
      ],
    },
    stops: trouble[0],
  };
}

function standing(held: HeldByFeet, stand: Stand) {
  const feet = held.feet.map((f, i) => footOf(held, f, stand[i]!));
  const [stance] = stand;
  return {
    ...(stand.every((s) => s === stance) ? { stance } : {}),
    feet,
    trouble: worstTrouble(feet.map((f) => f.made)),
  };
}

interface Foot {
  wall: 'main' | Side;
  made: FootMade;
  plan: CornerFoot;
}

function footOf(held: HeldByFeet, foot: Feet, stance: Stance): Foot {
  const { job, mount, place, main, side, feet } = held;
  const { wall } = foot;
  const x = foot[stance]!;
  const pivots = feet.map((f) => fromWall(place.angle, f.wall, placeOf(f.pivot)).across);
  const at = feet.indexOf(foot);
  const carry = carryOf(job, place, { wall, x, pivots: { own: pivots[at]!, other: pivots[1 - at]! } });
  const name = wallThere(place, wall);
  const own = (along: number) => onWall(job, place, wall, leaf('foot-x', along, 'mm')).value;
  const half = place.set.thickness / 2;
  const by = (along: number, out: Carried['working']): Carried => ({
    ...{ x: own(along), frontX: own(along) },
    standoff: Math.abs(out.value),
    frontStandoff: Math.abs(out.value) + half,
    working: out,
  });
  const screwed = footMount(mount, carry.share, carry.out.value - half);
  const made = footOnWall({
    ...footBase(held, name === 'main' ? main : side),
    x: onWall(job, place, wall, x),
    ...{ plate: screwed, moving: screwed, share: carry.share },
    carried: [by(carry.along, carry.out), by(x.value, carry.freeOut)],
  });
  const pullsAt = Math.max(carry.out.value, carry.freeOut.value);
  return { wall: name, made, plan: { wall: name, x: x.value, stance, working: x, share: carry.share, pullsAt } };
}
