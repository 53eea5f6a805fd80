import type {
  CornerFoot,
  CornerPlan,
  Finding,
  Hole,
  Job,
  Mark,
  Mount,
  Plan,
  Side,
  SideWallPlan,
  Working,
} from '@steddo/contract';
import type { Carried } from '../arm/hung';
import { carryOf, heartAt, type Feet, type Pivot } from '../corner/cornerFeet';
import { fromWall, onMainPlan, onSet, outlineIn, toWall, cornerOfSet, type WallSide } from '../corner/cornerGeometry';
import { cornerPlace, type CornerPlace } from '../corner/cornerPlace';
import { armReach, mountInCorner, type ByArm } from '../corner/mountInCorner';
import type { YieldTable } from '../fixing/fastenerCapacity';
import { marksOf } from '../placement/marksOf';
import { hangsAt, type Frame, type Spot } from '../placement/placeSet';
import { leaf, minus, sum } from '../primitives/working';
import { holeThere } from '../room/wallView';
import { hazardPart } from '../wall/wallPart';
import { armFindings, atWall, footFindings, rackFindings, thingFindings, undrawnFinding } from './cornerFindings';
import { footMount } from './footMount';
import { gapToWood } from './gapToWood';
import type { SideWall } from './sideWall';
import { footOnWall, footTrouble, type CornerWall, type FootInput, type FootMade } from './footWall';

export interface CornerInput {
  /** The whole job, and the frame of what is seen along the corner's middle line. */
  job: Job;
  frame: Frame;
  spot: Spot;
  main: CornerWall;
  side: SideWall;
  yieldTable: YieldTable;
  /** Tried for a way out: none is looked for from there. */
  tried?: boolean;
}

/** What of a plan a corner makes, beside the set's own place. */
export interface CornerMade {
  corner: CornerPlan;
  sideWall: SideWallPlan;
  /** Of the main wall, whose hazards are still to be asked for; and of the other wall, with theirs. */
  holes: Hole[];
  sideHoles: Hole[];
  scheme?: Plan['scheme'];
  packing?: Plan['packing'];
  loads?: Plan['loads'];
  plate?: FootMade['box'];
  spot: Spot;
  marks: Mark[];
  /** Ways out where a foot finds no wood. */
  remedies?: Plan['remedies'];
  findings: Finding[];
}

type Stance = 'outer' | 'inner';

/** Everything about a set in a corner: where it stands, what carries it on either wall, and what is known of the other wall. */
export function cornerPart(input: CornerInput): CornerMade {
  const { job, frame } = input;
  const place = cornerPlace(job, frame.width);
  const { side } = input;
  const { mount } = job;
  const made = mount ? mountInCorner(job, mount, place, frame.spacer) : undefined;
  const things = thingFindings(job, place, input.spot, frame);
  if (!mount || !made || made.by === 'unknown')
    return withWalls(input, { place, side, findings: [...things, ...(mount ? [undrawnFinding()] : [])] });
  if (made.by === 'rack') {
    const refused = rackFindings(job, mount, made.feet, place);
    if (refused.length > 0)
      return withWalls(input, { place, side, feet: made.feet, findings: [...refused, ...things] });
    return rackHeld(input, { mount, place, side, feet: made.feet, things });
  }
  const refused = armFindings(job, mount, made, place);
  if (refused.some((f) => f.level === 'stop'))
    return withWalls(input, { place, side, arm: made, findings: [...refused, ...things] });
  return armHeld(input, { mount, place, side, arm: made, things: [...refused, ...things] });
}

const wallName = (place: CornerPlace, wall: WallSide): 'main' | Side => (wall === place.main ? 'main' : place.side);

/** From the corner into a wall's own x. */
function onWall(job: Job, place: CornerPlace, wall: WallSide, fromCorner: Working): Working {
  if (wall !== place.main || place.main === 'right') return fromCorner;
  return minus('from-left', leaf('wall-width', job.room.wall.width, 'mm', { path: 'room.wall.width' }), fromCorner);
}

interface Held {
  mount: Mount;
  place: CornerPlace;
  side: SideWall;
  things: Finding[];
}

/** A rack: its feet outside of their pivots, or inside where they are held better there; with the holes of both. */
function rackHeld(input: CornerInput, held: Held & { feet: Feet[] }): CornerMade {
  const at = (stance: Stance) => ({ stance, feet: held.feet.map((f) => footOf(input, held, f, stance)) });
  const worst = ({ feet }: ReturnType<typeof at>) => feet.map((f) => footTrouble(f.made)).reduce(worse);
  const outer = at('outer');
  const [stops, doubt, use] = worst(outer);
  // feet that stand wide carry the set better: the other stance is for those that find no wood there
  const tried = stops + doubt === 0 && use <= 1 ? [outer] : [outer, at('inner')];
  const [best] = tried.sort((a, b) => compared(worst(a), worst(b)));
  const { stance, feet } = best!;
  const [main, other] = [feet.find((f) => f.wall === 'main')!, feet.find((f) => f.wall !== 'main')!];
  const remedies = worst(best!)[0] > 0 && !input.tried ? gapRemedy(input, held) : [];
  const made = withWalls(input, {
    ...{ place: held.place, side: held.side, feet: held.feet, stance, main: main.made, other: other.made },
    plans: [main.plan, other.plan],
    findings: [
      ...held.things,
      ...[main, other].flatMap((f) => footFindings(f.made.findings, f.plan.x).map((one) => atWall(one, f.wall))),
    ],
  });
  return remedies.length > 0 ? { ...made, remedies } : made;
}

/** Pulled out a little the feet move along their walls: to where both come over studs, if that holds. */
function gapRemedy(input: CornerInput, { mount, place, side }: Held): NonNullable<Plan['remedies']> {
  const { job, frame, main } = input;
  const walls = place.main === 'right' ? { right: main, left: side } : { right: side, left: main };
  const gap = gapToWood({ job, mount, width: frame.width, spacer: frame.spacer, walls });
  if (gap === undefined) return [];
  const there: Job = { ...job, choices: { ...job.choices, cornerGap: gap } };
  const { loads, findings } = cornerPart({ ...input, job: there, tried: true });
  if (!loads || loads.worst > 1 || findings.some((f) => f.level === 'stop' && f.code.startsWith('corner'))) return [];
  return [{ kind: 'corner-gap', by: gap, result: { utilisation: loads.worst, verdict: 'go' } }];
}

const compared = (a: readonly number[], b: readonly number[]): number => {
  const first = a.findIndex((n, i) => Math.abs(n - b[i]!) > ALIKE);
  return first < 0 ? 0 : a[first]! - b[first]!;
};
const ALIKE = 1e-6;
const worse = <T extends readonly number[]>(a: T, b: T): T => (compared(a, b) >= 0 ? a : b);

interface Foot {
  wall: 'main' | Side;
  made: FootMade;
  plan: CornerFoot;
}

function footOf(
  input: CornerInput,
  { mount, place, side, feet }: Held & { feet: Feet[] },
  foot: Feet,
  stance: Stance,
): Foot {
  const { job } = input;
  const { wall } = foot;
  const x = foot[stance]!;
  const pivots = feet.map((f) => fromWall(place.angle, f.wall, placeOf(f.pivot)).across);
  const at = feet.indexOf(foot);
  const carry = carryOf(job, place, { wall, x, pivots: { own: pivots[at]!, other: pivots[1 - at]! } });
  const name = wallName(place, wall);
  const own = (along: number) => onWall(job, place, wall, leaf('foot-x', along, 'mm')).value;
  const half = place.set.thickness / 2;
  const by = (along: number, out: Working): Carried => ({
    x: own(along),
    standoff: Math.abs(out.value),
    frontX: own(along),
    frontStandoff: Math.abs(out.value) + half,
    working: out,
  });
  const screwed = footMount(mount, carry.share, carry.out.value - half);
  const made = footOnWall({
    ...base(input, name === 'main' ? input.main : side),
    x: onWall(job, place, wall, x),
    plate: screwed,
    moving: screwed,
    share: carry.share,
    carried: [by(carry.along, carry.out), by(x.value, carry.freeOut)],
  });
  return {
    wall: name,
    made,
    plan: {
      wall: name,
      x: x.value,
      working: x,
      share: carry.share,
      pullsAt: Math.max(carry.out.value, carry.freeOut.value),
    },
  };
}

/** A pivot by its numbers. */
const placeOf = ({ along, out }: Pivot) => ({ along: along.value, out: out.value });

const base = (
  { frame, spot, yieldTable }: CornerInput,
  here: CornerWall,
): Pick<FootInput, 'frame' | 'spot' | 'here' | 'yieldTable'> => ({
  frame,
  spot,
  here,
  yieldTable,
});

/** An arm: its plate over the main wall's wood, where its links reach the set in the corner from. */
function armHeld(input: CornerInput, { mount, place, side, arm, things }: Held & { arm: ByArm }): CornerMade {
  const { job, main } = input;
  const half = (mount.plate?.width ?? 0) / 2;
  const { width } = main.job.room.wall;
  const stretches = arm.stretches
    .map(([from, to]): [number, number] => [Math.max(from, half), Math.min(to, width - half)])
    .filter(([from, to]) => from < to);
  const out = heartAt(job, place, place.main);
  const heart = onWall(job, place, place.main, out.along).value;
  const front = toWall(
    place.angle,
    place.main,
    onSet(place.set, place.standOff.value, { along: 0, out: place.set.thickness }),
  );
  const carried: Carried = {
    x: heart,
    standoff: out.out.value,
    frontX: onWall(job, place, place.main, leaf('front-x', front.along, 'mm')).value,
    frontStandoff: front.out,
    working: out.out,
  };
  const { arm: links, ...rest } = mount;
  const still: Mount = { ...rest, arm: { kind: 'links', ...(links?.head === undefined ? {} : { head: links.head }) } };
  const tried = stretches.map(([from, to]) => {
    const aside = leaf('plate-span', (from + to) / 2 - arm.pivot.along.value, 'mm');
    const middle = sum('plate-from-corner', arm.pivot.along, aside);
    return footOnWall({
      ...base(input, main),
      x: onWall(job, place, place.main, middle),
      plate: { ...still, slide: (to - from) / 2 },
      moving: mount,
      share: 1,
      carried: [carried],
    });
  });
  const [best] = tried.sort((a, b) => compared(footTrouble(a), footTrouble(b)));
  const plateX = best?.box?.x;
  const fromCorner = plateX === undefined ? undefined : place.main === 'right' ? plateX : width - plateX;
  const at = fromCorner === undefined ? undefined : leaf('plate-from-corner', fromCorner, 'mm');
  const reach = at && armReach(arm, at);
  return withWalls(input, {
    ...{ place, side, arm },
    ...(best ? { main: best } : {}),
    ...(at ? { plans: [{ wall: 'main' as const, x: at.value, working: at, share: 1, pullsAt: out.out.value }] } : {}),
    ...(reach ? { reach } : {}),
    findings: [...things, ...(best?.findings ?? []).map((f) => atWall(f, 'main'))],
  });
}

interface Walls {
  place: CornerPlace;
  side: SideWall;
  feet?: Feet[];
  arm?: ByArm;
  stance?: Stance;
  reach?: Working;
  main?: FootMade;
  other?: FootMade;
  plans?: CornerFoot[];
  findings: Finding[];
}

/** The sections of a corner, with the other wall's own: its holes named apart, each with what is behind it. */
function withWalls(input: CornerInput, walls: Walls): CornerMade {
  const { job, frame } = input;
  const { side, main, other } = walls;
  const spot = main?.spot ?? input.spot;
  const hazards = hazardPart(side.job, side.found, { holes: other?.holes ?? [] });
  const sideHoles = (hazards.section.holes ?? []).map((h): Hole => ({ ...h, id: holeThere(h.id), wall: side.side }));
  const holes = (main?.holes ?? []).map((h): Hole => ({ ...h, wall: 'main' }));
  const loads = bothLoads(main?.loads, other?.loads && namedThere(other.loads));
  const { noggings, studs, wood, odd, backing, courses } = side.sections.section;
  const sideWall: SideWallPlan = {
    side: side.side,
    ...(studs ? { studs } : {}),
    ...(wood ? { wood } : {}),
    ...(odd ? { odd } : {}),
    ...(noggings ? { noggings } : {}),
    ...(backing ? { backing } : {}),
    ...(courses ? { courses } : {}),
    ...(hazards.section.hazards ? { hazards: hazards.section.hazards } : {}),
    ...(other?.section ? { scheme: other.section } : {}),
    ...(other?.packing ? { packing: other.packing.map((p) => ({ ...p, wall: side.side })) } : {}),
    ...(other?.loads ? { loads: namedThere(other.loads) } : {}),
    ...(other?.box ? { plate: other.box } : {}),
  };
  return {
    corner: cornerPlanOf(job, walls),
    sideWall,
    holes,
    sideHoles,
    ...(main?.section || other?.section ? { scheme: main?.section ?? other?.section } : {}),
    ...(main?.packing ? { packing: main.packing } : {}),
    ...(loads ? { loads } : {}),
    ...(main?.box ? { plate: main.box } : {}),
    spot,
    marks: cornerMarks(frame, spot, {
      holes,
      sideHoles,
      side: side.side,
      ...(main?.box ? { plateX: main.box.x } : {}),
    }),
    findings: [...walls.findings, ...[...side.sections.findings, ...hazards.findings].map((f) => atWall(f, side.side))],
  };
}

type Loads = NonNullable<Plan['loads']>;

const namedThere = (loads: Loads): Loads => ({
  ...loads,
  fasteners: loads.fasteners.map((f) => ({ ...f, hole: holeThere(f.hole) })),
});

/** What the worse foot has to hold, with the fasteners of both. */
function bothLoads(main: Loads | undefined, other: Loads | undefined): Loads | undefined {
  if (!main || !other) return main ?? other;
  const worse = other.worst > main.worst ? other : main;
  return { ...worse, fasteners: [...main.fasteners, ...other.fasteners] };
}

function cornerPlanOf(job: Job, { place, feet, arm, stance, reach, plans }: Walls): CornerPlan {
  const { angle, set, touch, standOff, front, side, main } = place;
  const touching = toWall(angle, touch.wall, onSet(set, standOff.value, cornerOfSet(set, touch.corner)));
  const pivotOf = (wall: WallSide) => feet?.find((f) => f.wall === wall)?.pivot.along.value;
  const other: WallSide = main === 'right' ? 'left' : 'right';
  const ofArm = arm && placeOf(arm.pivot);
  const pivot = feet
    ? { main: pivotOf(main)!, side: pivotOf(other)! }
    : ofArm && { main: ofArm.along, side: toWall(angle, other, fromWall(angle, main, ofArm)).along };
  return {
    side,
    angle,
    standOff: standOff.value,
    front: front.value,
    touches: { wall: wallName(place, touch.wall), at: touch.corner },
    touchAt: touching.along,
    ...(plans ? { feet: plans } : {}),
    ...(stance ? { stance } : {}),
    ...(pivot ? { pivot } : {}),
    ...(reach && arm ? { reach: { needed: reach.value, least: arm.least, most: arm.most, working: reach } } : {}),
    outline: outlineIn(set, standOff.value).map((p) => onMainPlan(angle, main, job.room.wall.width, p)),
    workings: { standOff, front },
  };
}

interface Marked {
  holes: readonly Hole[];
  sideHoles: readonly Hole[];
  side: Side;
  plateX?: number;
}

/** Heights of the set and of its plates, and every hole on its own wall. */
function cornerMarks(frame: Frame, spot: Spot, { holes, sideHoles, side, plateX }: Marked): Mark[] {
  const x = leaf('foot-x', plateX ?? 0, 'mm');
  const hangs = hangsAt(spot, frame.job);
  const on = (own: readonly Hole[], wall: 'main' | Side): Mark[] =>
    marksOf({ frame: { ...frame, centreX: x }, spot, plateX: x, holes: own, ...(wall === 'main' ? hangs : {}) }).map(
      (m) => ({ ...m, wall }),
    );
  const heights = on(holes, 'main').filter((m) => m.id !== 'left' && m.id !== 'right');
  return [...heights, ...on(sideHoles, side).filter((m) => sideHoles.some((h) => h.id === m.id))];
}
