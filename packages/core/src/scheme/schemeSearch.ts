import type { BuildKind, HoleInto, Item, Job, Mount, Plan, Side, Working } from '@steddo/contract';
import type { YieldTable } from '../fixing/fastenerCapacity';
import { fromMount, kitOf, type Fastener } from '../fixing/kit';
import { blockedPlate } from '../placement/blockedPlate';
import {
  chooseSlots,
  studPart,
  type HolePlace,
  type PlateHere,
  type SlotSetting,
  type FixingWay,
} from '../plate/chooseSlots';
import { aimsAt, chosenPlateX, plateSpots } from '../plate/planPlate';
import { plateCentres, studSets, studsNeeded, type PlateSetting, type PlateSpot } from '../plate/plateSearch';
import { columnsOf, usableSlots } from '../plate/usableSlots';
import type { FindingCode } from '../primitives/findings';
import { memo } from '../primitives/memo';
import { leaf, minus, sum } from '../primitives/working';
import { isOffEdges } from '../room/freeEdges';
import { isClearOfThings, onMainWall, plateMayCover } from '../room/roomThings';
import { isIn, kindAt, mainZones, type Wall } from '../room/wallAt';
import { takesHole, WALL_KINDS } from '../room/wallKinds';
import { isWhole } from '../room/wholePart';
import { drilledHoles, type DoneHole, type DrilledHoles, SPOILED_MM, TOGGLE_ROOM_MM } from '../wall/drilledHoles';
import { hazardsOf } from '../wall/hazardZones';
import { holeVerdict, HOLE_CAUTION } from '../wall/holeVerdict';
import type { StudsFound } from '../wall/inferStuds';
import { EDGE_DIAMETERS } from '../wall/holeChance';
import { pilotMet } from '../wall/pilotMet';
import { jointsOfWall } from '../wall/markedJoints';
import { BACKING_EDGE_MM, backingChance, JOINT_DIAMETERS, unitChance } from '../wall/solidChance';
import { wholeMassOf } from '../load/setPushes';
import { SET_THICKNESS_MM } from '../room/usualSizes';
import { isRefusal, kindRank, refusedBy, policyOf, waysOf, type Hanging, type NoWay } from './ways';
import { woodInReach, type WoodInReach } from './woodInReach';
import { SAME_MM } from '../primitives/epsilons';
import { asideOf } from '../arm/arm';

/** Plates of boards are tried at every so many millimetres of the set's slide. */
const PLATE_STEP_MM = 5;

/** Where a plate may hang up and down: one arm hole, and where that puts its bottom. */
export interface PlateAt {
  armHole?: number;
  bottom: Working;
  /** How far its arm hole is from the one that the height was chosen with. */
  trim: number;
}

/** All that a scheme is chosen by. */
export interface Setting extends SlotSetting {
  job: Job;
  found: StudsFound;
  plan: Pick<Plan, 'courses' | 'backing'>;
  spots: readonly PlateSpot[];
  fixedX?: Working | undefined;
  plates: readonly PlateAt[];
  ways: readonly FixingWay[];
  seen: readonly { left: number; right: number; bottom: number; top: number }[];
  /** The yields of lags, kept for all that are compared. */
  yieldTable: YieldTable;
  /** What hangs there, for what anchors may carry. */
  hanging: Hanging;
  /** Of a hole in masonry what the marked joints say; of those that nobody marked that they have to be, no more. */
  knownOf: (place: HolePlace) => number;
  /** The wood within reach of the slots, worked out when it is first asked for. */
  wood: () => WoodInReach;
}

/** A plate with every hole of it: what is compared. */
export interface Candidate {
  way: FixingWay;
  fold?: Side | undefined;
  plate: PlateAt;
  x: Working;
  shift: number;
  /** How far holes that are there already move the plate up from where the height wants it, mm. */
  lift: number;
  places: HolePlace[];
  /** Holes that are there and find no slot. */
  unused: DoneHole[];
  /** Worst hole: sure, doubtful, not to be drilled. */
  doubt: number;
  /** Holes at something that was seen in the wall. */
  seen: number;
  /** How far apart its outermost holes are, mm. */
  stance: number;
  /** All its holes are in one row, and the plate has more: beyond an edge of the wall's parts there is another build. */
  inOneRow: boolean;
  /** What keeps it from being used at all, whatever it holds. */
  hard?: FindingCode | undefined;
}

export interface SettingInput {
  job: Job;
  mount: Mount;
  found: StudsFound;
  plan: Pick<Plan, 'courses' | 'backing'>;
  centreX: Working;
  plates: readonly PlateAt[];
  yieldTable: YieldTable;
  spacer: number;
}

/** The setting of a search, or why no hole can be given in this wall. */
export function settingOf(input: SettingInput): Setting | NoWay {
  const { job, mount, found, plan, centreX, plates, yieldTable, spacer } = input;
  const ways = waysOf(job, mount, kitOf(job));
  if ('code' in ways) return ways;
  const { wall } = job.room;
  const spots = plateSpots(job, mount, centreX);
  const fixedX = chosenPlateX(job);
  const jointsAt = jointsOfWall(wall, job.evidence ?? []);
  // what is sawn out holds nothing
  const things = onMainWall(job.room.objects);
  const cuts = things.filter((o) => o.kind === 'box' && o.cut);
  let wood: WoodInReach | undefined;
  const slotsFor = memo((diameter: number) => usableSlots({ mount, fixing: { diameter } }), DIAMETERS);
  return {
    ...{ job, mount, found, plan, plates, ways, yieldTable, spots, fixedX },
    hanging: {
      massKg: job.screen.mass + wholeMassOf(mount),
      outMm: mount.depth.folded + spacer + (job.choices?.packing ?? 0) + (job.screen.thickness ?? SET_THICKNESS_MM) / 2,
    },
    wood: () =>
      (wood ??= woodInReach(
        { job, mount, found, spots, fixed: fixedX?.value },
        ways.find((w) => w.main)?.main?.diameter ?? LEAST_SHANK_MM,
      )),
    drilled: usable(drilledHoles(job), found),
    seen: hazardsOf(job).seen.filter((s) => s.what !== 'live'),
    pilotAt: pilotMet(job),
    chanceOf: (x, diameter) => Math.min(1, found.chances.at(x, diameter).lands),
    slots: slotsFor,
    columns: memo((diameter: number) => columnsOf(slotsFor(diameter)), DIAMETERS),
    aims: memo((diameter: number) => aimsAt(found, diameter), DIAMETERS),
    isWallFor: (into, fastener, x, y) =>
      takesHole(kindAt(wall, x, y), into) &&
      (into !== 'backing' || isOwn(mount, kindAt(wall, x, y), fastener)) &&
      isInside(wall, x, y, wideOf(fastener)) &&
      isWhole(wall, into, x, y, keepOff(into, fastener)) &&
      isClearOfThings(things, { x, y }, wideOf(fastener)) &&
      (into !== 'masonry' || isOffEdges(wall, things, x, y)) &&
      !cuts.some((c) => isNear(c, x, y, keepOff(into, fastener))),
    knownOf: ({ x, y, fastener: { diameter, hole = diameter } }) => {
      const { known, unmarked } = unitChance(jointsAt(x, y), x, y, hole);
      return unmarked.length > 0 ? Math.min(known, HOLE_CAUTION) : known;
    },
    chanceFor: (into, fastener, x, y) => {
      if (into === 'board') return found.chances.clear(x, fastener.hole ?? fastener.diameter);
      if (into === 'masonry') return unitChance(jointsAt(x, y), x, y, fastener.hole ?? fastener.diameter).chance;
      // a part of the wall has its own edges, which are kept off where it is whole
      return isTaped(wall, x, y) ? 1 : backingChance(plan.backing, x, y);
    },
  };
}

/** What a label gives for one kind of backing is for no other. */
const isOwn = (mount: Mount, kind: BuildKind, { path, id }: Fastener): boolean =>
  id !== undefined || fromMount(mount, kind)?.path === path;

/** The widest of a hole: its bit's or its screw's. */
const wideOf = ({ diameter, hole = diameter }: Fastener): number => Math.max(diameter, hole);

/** A hole's middle is so many of its own diameters inside the wall's outline. Ours. */
const INSIDE_DIAMETERS = 1.5;

function isInside({ width, height }: Wall, x: number, y: number, holeMm: number): boolean {
  const off = INSIDE_DIAMETERS * holeMm;
  return x >= off && x <= width - off && y >= off && y <= height - off;
}

/** What a hole keeps off the edge of its part of the wall, from its middle, mm: as off a joint, a ply's edge, a stud. */
const keepOff = (into: HoleInto, { diameter, hole = diameter }: Fastener): number =>
  into === 'board'
    ? hole / 2 + TOGGLE_ROOM_MM
    : into === 'masonry'
      ? JOINT_DIAMETERS * hole
      : into === 'backing'
        ? BACKING_EDGE_MM
        : EDGE_DIAMETERS * diameter;

/** Whether a place is in a part of the wall that is a backing by itself. */
const isTaped = (wall: Wall, x: number, y: number): boolean =>
  mainZones(wall).some(
    (z) => z.build?.kind !== undefined && WALL_KINDS[z.build.kind].main === 'backing' && isIn(z, x, y),
  );

/** Whether a place is in a box or nearer to it than that. */
const isNear = ({ left, right, bottom, top }: Item, x: number, y: number, off: number): boolean =>
  isIn({ left: left - off, right: right + off, bottom: bottom - off, top: top + off }, x, y);

/** Screws of so many diameters are compared at most. */
const DIAMETERS = 4;

/** A hole that drifted out of its stud's middle so far that it more likely lacks wood beside it is no use any more. */
function usable(drilled: DrilledHoles, found: StudsFound): DrilledHoles {
  const off = (d: DoneHole) => d.drifted && d.into === 'stud' && found.chances.at(d.x, LEAST_SHANK_MM).lands < LIKELY;
  if (!drilled.done.some(off)) return drilled;
  const gone = drilled.done.filter(off);
  return {
    ...drilled,
    done: drilled.done.filter((d) => !off(d)),
    off: gone,
    spoiled: [...drilled.spoiled, ...gone.map((d) => ({ id: d.id, x: d.x, y: d.y, keepOff: SPOILED_MM }))],
  };
}
const LEAST_SHANK_MM = 6.35;
const LIKELY = 0.5;

/**
 * Every plate worth trying, with its holes, best first as far as the wood goes: what it holds is asked
 * afterwards, in that order. Plate centre, arm hole, fold, slots and fasteners together: for each way, fold
 * and arm hole the nominal centre and every centre at which a slot's end comes over a stud or over a hole that is
 * there already, between which nothing better lies; for holes in board, masonry and backing every 5 mm.
 */
export function candidatesOf(setting: Setting): Candidate[] {
  const obstacles = obstaclesOf(setting);
  const plates = platesToTry(setting, obstacles.length > 0);
  const made: Candidate[] = [];
  for (const way of setting.ways)
    for (const spot of setting.spots)
      for (const studs of studsFor(setting, way, spot))
        for (const x of centresFor(setting, way, spot, studs)) {
          if (!reachesAll(setting, way, studs, x.value) || !isOnWall(setting, x.value)) continue;
          for (const plate of plates) {
            const here = candidateAt(setting, spot, plate, { way, studs, x });
            if (here && !onObstacle(here, setting.mount, obstacles)) made.push(here);
          }
        }
  return made.sort((a, b) => compareCandidates(a, b, setting));
}

/** The plate stays on its wall; where holes are there already it is where they are. */
export function isOnWall({ job, mount, drilled }: Setting, x: number): boolean {
  const half = (mount.plate?.width ?? 0) / 2;
  return drilled.done.length > 0 || (x - half >= -SAME_MM && x + half <= job.room.wall.width + SAME_MM);
}

/** What some plate of the search could come to sit on. */
function obstaclesOf({ job, mount, plates, spots, fixedX }: Setting): Item[] {
  const { width, height } = mount.plate!;
  const room = width / 2 + asideOf(mount) + REACH_MM;
  const xs = [...spots.map((s) => s.nominal.value), ...(fixedX ? [fixedX.value] : [])];
  const bottoms = plates.map((p) => p.bottom.value);
  const [low, high] = [Math.min(...bottoms) - REACH_MM, Math.max(...bottoms) + height + REACH_MM];
  return onMainWall(job.room.objects).filter(
    (i) =>
      !plateMayCover(i, job.leads) &&
      i.top > low &&
      i.bottom < high &&
      xs.some((x) => i.right > x - room && i.left < x + room),
  );
}

/** Holes that are there may take the plate this much further, mm. */
const REACH_MM = 100;

/** More arm holes than any mount is measured with. */
const MOST_ARM_HOLES = 12;

/** One arm hole is as good as another while nothing on or in the wall depends on how high the plate hangs. */
function platesToTry({ plates, drilled, seen, plan, job }: Setting, obstacles: boolean): readonly PlateAt[] {
  const nearest = [...plates].sort((a, b) => a.trim - b.trim);
  const alike =
    !obstacles &&
    drilled.done.length + drilled.spoiled.length + seen.length === 0 &&
    !plan.courses &&
    !plan.backing &&
    !job.room.wall.zones?.length;
  return nearest.slice(0, alike ? 1 : MOST_ARM_HOLES);
}

/** Every stud has some slot before it with the plate there. */
function reachesAll(setting: Setting, way: FixingWay, studs: readonly number[], x: number): boolean {
  const { diameter } = studPart(way)?.fastener ?? fastenerOf(way);
  const aims = setting.aims(diameter);
  const slots = setting.slots(diameter);
  return studs.every((i) =>
    slots.some(
      (s) => Math.abs(aims[i]!.x.value - x - s.slot.x) <= s.travel + SAME_MM || setting.drilled.done.length > 0,
    ),
  );
}

const fastenerOf = (way: FixingWay): Fastener => (way.main ?? way.board)!;

/** By the screw that goes into studs, where one does: its studs and the slots before them. */
const searchOf = (setting: Setting, way: FixingWay): PlateSetting => {
  const { mount, spots, fixedX } = setting;
  const { diameter } = studPart(way)?.fastener ?? fastenerOf(way);
  const [aims, slots] = [setting.aims(diameter), setting.slots(diameter)];
  return { mount, spots, fixedX, aims, slots, slide: asideOf(mount) };
};

/** Which studs a way's slots come over: as many as the mount asks for, one beside board, none in board alone. */
function studsFor(setting: Setting, way: FixingWay, spot: PlateSpot): number[][] {
  const { mount } = setting;
  if (!studPart(way)) return [[]];
  if (way.parts)
    return Array.from({ length: studsNeeded(mount) }, (_, i) => studSets(searchOf(setting, way), spot, i + 1)).flat();
  if (way.kind !== 'lags-and-anchors') return studSets(searchOf(setting, way), spot, studsNeeded(mount));
  return studsNeeded(mount) < 2 ? [] : studSets(searchOf(setting, way), spot, 1);
}

/** Plate centres to try: over studs and over holes that are there; where board, masonry or backing holds every 5 mm. */
function centresFor(setting: Setting, way: FixingWay, spot: PlateSpot, studs: readonly number[]): Working[] {
  const search = searchOf(setting, way);
  const over = [
    ...studs.map((i) => search.aims[i]!.x),
    ...setting.drilled.done.map((d) => leaf('drilled-x', d.x, 'mm')),
  ];
  const byWood = studs.length > 0 && way.kind !== 'lags-and-anchors' && !way.parts;
  return plateCentres(search, spot, over, byWood ? [] : slideSteps(spot.nominal, search.slide));
}

function slideSteps(nominal: Working, slide: number): Working[] {
  const count = Math.floor(slide / PLATE_STEP_MM);
  return Array.from({ length: count }, (_, i) => (i + 1) * PLATE_STEP_MM).flatMap((by) => [
    sum('plate-x', nominal, leaf('plate-shift', by, 'mm')),
    minus('plate-x', nominal, leaf('plate-shift', by, 'mm')),
  ]);
}

function candidateAt(
  setting: Setting,
  spot: PlateSpot,
  plate: PlateAt,
  { way, studs, x }: { way: FixingWay; studs: readonly number[]; x: Working },
): Candidate | undefined {
  const here: PlateHere = { setting, way, x: x.value, bottom: plate.bottom.value, studs };
  const chosen = chooseSlots(here);
  if (!chosen) return undefined;
  const { places, unused, lift } = chosen;
  // a hole that is there has met what it was meant for; what is in doubt is how much of it is beside the screw
  const chances = places
    .filter((p) => p.into === way.into || !way.main || way.parts)
    .map((p) => (p.done ? Math.max(p.chance, HOLE_CAUTION) : p.into === 'masonry' ? setting.knownOf(p) : p.chance));
  const refused = refusedBy(way, setting.job, setting.mount, setting.hanging) ?? unsought(setting, way, places);
  return {
    way,
    plate,
    x,
    lift,
    places,
    unused: [...unused, ...(setting.drilled.off ?? [])],
    fold: spot.fold,
    shift: x.value - spot.nominal.value,
    doubt: Math.max(...chances.map((c) => DOUBT[holeVerdict(c)])),
    seen: places.filter((p) =>
      setting.seen.some((s) => p.x >= s.left && p.x <= s.right && p.y >= s.bottom && p.y <= s.top),
    ).length,
    stance: stanceOf(places),
    inOneRow: isInOneRow(setting, places),
    hard: refused && isRefusal(refused) ? refused : undefined,
  };
}

function isInOneRow({ job, mount }: Setting, places: readonly HolePlace[]): boolean {
  if (!job.room.wall.zones?.length) return false;
  const rowOf = (p: HolePlace) => mount.plate!.slots![p.slot]!.y;
  const rows = new Set(mount.plate!.slots!.map((s) => s.y));
  return rows.size > 1 && new Set(places.map(rowOf)).size === 1;
}

/** Wood first: nothing goes into board before somebody has looked for the studs there. */
function unsought({ job }: Setting, way: FixingWay, places: readonly HolePlace[]): FindingCode | undefined {
  if (!way.board || policyOf(job) === 'rated-anchors') return undefined;
  const sure = places.every((p) => p.into !== 'board' || p.chance >= HOLE_CAUTION);
  return sure ? undefined : 'studs-not-sought';
}

export const DOUBT_STOP = 2;
const DOUBT = { go: 0, caution: 1, stop: DOUBT_STOP } as const;

/** The plate would sit on something that it may not cover. */
function onObstacle({ x, plate, lift }: Candidate, mount: Mount, obstacles: ReturnType<typeof onMainWall>): boolean {
  const bottom = plate.bottom.value + lift;
  return obstacles.some((item) =>
    blockedPlate(item, mount.plate!, x.value).some(([from, to]) => bottom > from + SAME_MM && bottom < to - SAME_MM),
  );
}

/** Shifts that nobody would tell apart are one shift for the school that puts the set's place first, mm. */
const SAME_SHIFT_MM = 5;

/**
 * What the schools put first. All have what is refused last. Wood first: the kind, what was seen, holes that
 * are there already, how sure, then the shift. Rated anchors anywhere: how sure and the shift before the kind.
 * After that the arm hole nearest to the chosen one and the widest stance.
 */
export function compareCandidates(a: Candidate, b: Candidate, { job }: Pick<Setting, 'job'>): number {
  const hard = Number(a.hard !== undefined) - Number(b.hard !== undefined);
  // what was seen is kept clear of by another stud or arm hole, never by a weaker way of holding it unasked
  const held = a.seen - b.seen || a.unused.length - b.unused.length;
  const kind = rankOf(a) - rankOf(b) || a.way.count - b.way.count;
  const shift = Math.abs(a.shift) - Math.abs(b.shift);
  const exact = Math.abs(shift) > SAME_MM ? shift : 0;
  const rest = a.plate.trim - b.plate.trim || b.stance - a.stance || (a.fold ?? '').localeCompare(b.fold ?? '');
  if (policyOf(job) !== 'rated-anchors') return hard || kind || held || a.doubt - b.doubt || exact || rest;
  const coarse = Math.round(Math.abs(a.shift) / SAME_SHIFT_MM) - Math.round(Math.abs(b.shift) / SAME_SHIFT_MM);
  return hard || held || a.doubt - b.doubt || coarse || kind || exact || rest;
}

/** All in one row of a plate that has more comes after each row in what is behind it. */
const rankOf = ({ way, inOneRow }: Candidate): number =>
  inOneRow && kindRank(way.kind) < kindRank('mixed') ? kindRank('mixed') + 0.5 : kindRank(way.kind);

function stanceOf(places: readonly HolePlace[]): number {
  const xs = places.map((p) => p.x);
  return Math.max(...xs) - Math.min(...xs);
}
