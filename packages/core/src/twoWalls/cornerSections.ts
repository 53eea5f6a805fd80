import type {
  CornerFoot,
  CornerPlan,
  Finding,
  Hole,
  Job,
  Mark,
  Plan,
  Side,
  SideWallPlan,
  Working,
} from '@steddo/contract';
import { touchAlong, type Feet, type Stance } from '../corner/cornerFeet';
import { fromWall, onMainPlan, outlineIn, toWall, type WallSide } from '../corner/cornerGeometry';
import type { CornerPlace } from '../corner/cornerPlace';
import type { ByArm } from '../corner/mountInCorner';
import { marksOf } from '../placement/marksOf';
import { hangsAt, type Frame, type Spot } from '../placement/placeSet';
import { holeThere } from '../room/wallView';
import { hazardPart } from '../wall/wallPart';
import { atWall } from './cornerFindings';
import { placeOf, wallThere, type CornerInput } from './cornerInput';
import type { FootMade } from './footWall';

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
  findings: Finding[];
}

/** What a corner is made of: where the set stands, and what is fastened to either wall. */
export interface Walls {
  place: CornerPlace;
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
export function cornerSections(input: CornerInput, walls: Walls): CornerMade {
  const { job, frame, side } = input;
  const { main, other } = walls;
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
    marks: cornerMarks(
      frame,
      spot,
      { wall: 'main', holes, x: main?.x ?? frame.centreX },
      { wall: side.side, holes: sideHoles, x: other?.x ?? frame.centreX },
    ),
    findings: [...walls.findings, ...[...side.sections.findings, ...hazards.findings].map((f) => atWall(f, side.side))],
  };
}

type Loads = NonNullable<Plan['loads']>;

const namedThere = (loads: Loads): Loads => {
  const there = <T extends { hole: string }>(list: readonly T[]): T[] =>
    list.map((f) => ({ ...f, hole: holeThere(f.hole) }));
  return {
    ...loads,
    fasteners: there(loads.fasteners),
    cases: loads.cases.map((c) => ({ ...c, fasteners: there(c.fasteners) })),
  };
};

/** What the worse foot has to hold, with the fasteners of both. */
function bothLoads(main: Loads | undefined, other: Loads | undefined): Loads | undefined {
  if (!main || !other) return main ?? other;
  const worse = other.worst > main.worst ? other : main;
  return {
    ...worse,
    about: main.about,
    cases: [...main.cases, ...other.cases],
    fasteners: [...main.fasteners, ...other.fasteners],
  };
}

function cornerPlanOf(job: Job, { place, feet, arm, stance, reach, plans }: Walls): CornerPlan {
  const { angle, set, touch, standOff, front, side, main } = place;
  const touchAt = touchAlong(job, place);
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
    touches: { wall: wallThere(place, touch.wall), at: touch.corner },
    touchAt: touchAt.value,
    ...(plans ? { feet: plans } : {}),
    ...(stance ? { stance } : {}),
    ...(pivot ? { pivot } : {}),
    ...(reach && arm ? { reach: { needed: reach.value, least: arm.least, most: arm.most, working: reach } } : {}),
    outline: outlineIn(set, standOff.value).map((p) => onMainPlan(angle, main, job.room.wall.width, p)),
    workings: { standOff, front, touchAt },
  };
}

interface Marked {
  wall: 'main' | Side;
  holes: readonly Hole[];
  x: Working;
}

/** Heights of the set and of its plates, and every hole on its own wall, its distances off the middle of its own foot. */
function cornerMarks(frame: Frame, spot: Spot, main: Marked, there: Marked): Mark[] {
  const hangs = hangsAt(spot, frame.job);
  const on = ({ wall, holes, x }: Marked): Mark[] =>
    marksOf({ frame: { ...frame, centreX: x }, spot, plateX: x, holes, ...(wall === 'main' ? hangs : {}) }).map(
      (m) => ({ ...m, wall }),
    );
  const heights = on(main).filter((m) => m.id !== 'left' && m.id !== 'right');
  return [...heights, ...on(there).filter((m) => there.holes.some((h) => h.id === m.id))];
}
