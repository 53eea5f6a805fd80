import type { Build, Finding, Hole, Job, Mount, Plate, TimberPlan, Working } from '@steddo/contract';
import type { Hung } from '../arm/hung';
import { shearCapacity, STUD_DEPTH_MM, type Capacity, type YieldTable } from '../fixing/fastenerCapacity';
import { fromLag, kitOf, type Fastener } from '../fixing/kit';
import { leadBit } from '../fixing/leadHole';
import { gravityOf, lagSizeOf, LEAST_PENETRATION_D } from '../fixing/lagTables';
import type { TimberSide } from '../fixing/lagYield';
import type { Screw } from '../fixing/screw';
import { carryingOf, loadCaseOf, posesLeft } from '../load/checkFastening';
import { freePoses } from '../load/loadPoses';
import { worstLoad } from '../load/worstLoad';
import { finding } from '../primitives/findings';
import { leaf, sum } from '../primitives/working';
import { isClearOfThings, onMainWall } from '../room/roomThings';
import { isIn, boardOf, gapOf, studBuildOf, type Wall } from '../room/wallAt';
import { isThereAt, spoiledOfTimber, SPOILED_MM } from '../wall/drilledHoles';
import { CLEAT_MM, openingOf } from './noggingsBetween';
import { boxOf, studLag, type Timber, type TimberPlaced } from './timberPlaced';

/** A screw's middle is so many diameters off the timber's upper and lower edge (NDS 12.5.1, the loaded edge, from memory). */
const EDGE_DIAMETERS = 4;

/** Drilled deeper than the screw goes, mm. Ours. */
const OVERDRILL_MM = 5;

const STUD_WIDTH_MM = 38;

export interface TimberScrewsInput {
  job: Job;
  mount: Mount;
  timber: Timber;
  placed: TimberPlaced;
  /** The plate's holes: a nogging that takes none is not put in. */
  holes: readonly Hole[];
  hung: Hung;
  yieldTable: YieldTable;
}

/** One group of its own screws: what they go through, what into, and how that wall is made. */
interface Joint {
  over: number;
  wall: Wall;
  /** How far behind the set's wall face they hold it, mm. */
  behind: number;
  side: TimberSide;
  /** The pull comes across these: screws from the side. */
  sideways: boolean;
}

/**
 * The timber's own screws, two over each other in every line, of the kit's lags the first that holds; with what they
 * come to. Of noggings the ones through them into their cleats, and as many from each cleat into its stud.
 */
export function timberScrews(input: TimberScrewsInput): { section: TimberPlan; findings: Finding[] } {
  const { job, mount, timber, placed, holes } = input;
  const { build } = studBuildOf(job.room.wall);
  const own = studLag(mount, job)!;
  const noggings = timber.way === 'noggings';
  const used = placed.pieces.flatMap((p, i) => (holes.some((h) => isIn(p, h.x, h.y)) ? [i] : []));
  const kept = !noggings || used.length === 0 ? placed.pieces.map((_, i) => i) : used;
  const lines = placed.lines.filter((l) => kept.includes(l.piece));
  const pieces = placed.pieces.filter((_, i) => kept.includes(i));
  const box = { ...boxOf(placed.box), left: pieces[0]!.left, right: pieces.at(-1)!.right };
  const base = {
    ...box,
    thickness: timber.thickness,
    ...(noggings ? noggingsOnly(pieces, build) : {}),
  };
  const [front, ...rest] = jointsOf(job.room.wall, timber);
  const depth = build.studDepth ?? STUD_DEPTH_MM;
  const long = kitOf(job)
    .lags.map((l) => fromLag(l, own))
    .filter((l) => {
      const goesIn = (l.length ?? 0) - (l.washer ?? 0);
      return goesIn - front!.over >= LEAST_PENETRATION_D * l.diameter && (!noggings || goesIn <= depth);
    })
    .sort((a, b) => (a.length ?? 0) - (b.length ?? 0) || a.diameter - b.diameter);
  const tried = long.map((lag) => {
    const screws = screwsOf(box, lines, lag, (x, y) => isFree(job, lag, x, y));
    const uses = [front!, ...rest].map((joint) => useOf(input, { box, screws, joint }));
    return { lag, screws, use: uses.some((u) => u === undefined) ? undefined : Math.max(...uses.map((u) => u!)) };
  });
  const best =
    tried.find((t) => t.use !== undefined && t.use <= 1) ?? tried.find((t) => t.use !== undefined) ?? tried.at(-1);
  if (!best)
    return {
      section: { ...base, holes: [] },
      findings: [finding('timber-no-lag', 'stop', 'holes', { overMm: front!.over })],
    };
  const { lag, screws, use } = best;
  const into = (lag.length ?? 0) - (lag.washer ?? 0) - timber.thickness + OVERDRILL_MM;
  const section: TimberPlan = {
    ...base,
    holes: screws.map(({ x, y, stud, chance }, i) => ({
      ...{ id: `t${i + 1}`, x, y, probability: chance, done: isThereAt(job, `t${i + 1}`, { x, y }) },
      workings: { x: lines[stud!]!.across, y: rowOf(box.bottom, y) },
    })),
    fixing: {
      ...{ kind: lag.kind, diameter: lag.diameter, length: lag.length ?? 0 },
      bit: leadBit(lag, gravityOf(build))?.value ?? lag.diameter * USUAL_LEAD,
      ...(lag.id === undefined ? {} : { id: lag.id }),
      depth: noggings ? Math.min(into, CLEAT_MM) : into,
    },
    ...(use === undefined ? {} : { load: { utilisation: use, verdict: use <= 1 ? 'go' : 'stop' } }),
  };
  return { section, findings: findingsOf(section) };
}

/** Of the shank, where the table has no hole for it. Ours. */
const USUAL_LEAD = 0.7;

function noggingsOnly(pieces: TimberPlaced['pieces'], { studWidth = STUD_WIDTH_MM }: Build) {
  return {
    way: 'noggings' as const,
    pieces: pieces.map(({ left, right }) => ({ left, right })),
    opening: openingOf(pieces, studWidth),
    cleat: CLEAT_MM,
  };
}

/** Through timber and board into the studs; or through a nogging into its cleats, and from those into the studs beside. */
function jointsOf(wall: Wall, { way, thickness }: Timber): Joint[] {
  const { build } = studBuildOf(wall);
  if (way !== 'noggings')
    return [
      { over: thickness + boardOf(build) + gapOf(build), wall, behind: thickness, side: 'across', sideways: false },
    ];
  const bare = (studDepth: number): Wall => ({
    ...{ width: wall.width, height: wall.height },
    build: { ...build, kind: 'timber-stud', cover: 'none', board: 0, gap: 0, state: 'sound', studDepth },
  });
  const board = boardOf(build) + gapOf(build);
  return [
    { over: thickness, wall: bare(CLEAT_MM), behind: board, side: 'across', sideways: false },
    { over: CLEAT_MM, wall: bare(build.studWidth ?? STUD_WIDTH_MM), behind: board, side: 'along', sideways: true },
  ];
}

/**
 * Two screws in each line, as far off the timber's edges as their diameter asks for; one whose hole there did not come
 * to hold so much further in that it is off it, up to the timber's middle.
 */
function screwsOf(
  { bottom, top }: TimberPlaced['box'],
  lines: TimberPlaced['lines'],
  lag: Fastener,
  isOff: (x: number, y: number) => boolean,
): Screw[] {
  const d = lagSizeOf(lag.diameter)?.shankMm ?? lag.diameter;
  const edge = Math.min((top - bottom) / 2, EDGE_DIAMETERS * d);
  const room = (top - bottom) / 2 - edge;
  const ins = Array.from({ length: Math.floor(room / SPOILED_MM) + 1 }, (_, n) => n * SPOILED_MM);
  return lines.flatMap(({ x, chance }, stud) =>
    [
      { from: top - edge, way: -1 },
      { from: bottom + edge, way: 1 },
    ].map(({ from, way }): Screw => {
      const y = from + way * (ins.find((n) => isOff(x, from + way * n)) ?? 0);
      return { x, y, chance, fastener: lag, slot: 0, into: 'stud', stud };
    }),
  );
}

/** Off holes that did not come to hold, and off what is in or on the wall. */
function isFree(job: Job, { diameter }: Fastener, x: number, y: number): boolean {
  const off = spoiledOfTimber(job).every((s) => Math.hypot(s.x - x, s.y - y) >= s.keepOff - 1e-6);
  return off && isClearOfThings(onMainWall(job.room.objects), { x, y }, diameter);
}

/** A row of the timber's screws by its edge, as the tape is laid. */
const rowOf = (bottom: number, y: number): Working =>
  sum('timber-row', leaf('timber-bottom', bottom, 'mm'), leaf('timber-edge', y - bottom, 'mm'));

interface Group {
  box: TimberPlaced['box'];
  screws: Screw[];
  joint: Joint;
}

/** What the worst of the screws has of what it may hold: as if the timber were the plate, the set as far out as it is. */
function useOf({ job, mount, timber, hung, yieldTable }: TimberScrewsInput, { box, screws, joint }: Group) {
  const [width, height] = [box.right - box.left, box.top - box.bottom];
  const thickness = joint.sideways ? CLEAT_MM : timber.thickness;
  const { diameter } = screws[0]!.fastener;
  const board: Plate = { width, height, thickness, slots: [{ x: 0, y: 0, length: diameter, height: diameter }] };
  const asPlate: Mount = {
    ...mount,
    plate: board,
    depth: { ...mount.depth, folded: mount.depth.folded + joint.behind },
  };
  const asHung = { ...hung, job, mount: asPlate, plateX: (box.left + box.right) / 2 };
  const carrying = carryingOf({
    ...{ hung: asHung, plate: board, plateBottom: box.bottom, front: { wall: joint.wall, plane: 0, chosen: 0 } },
    ...{ screws, carrying: screws, pulling: [], beside: [], solid: true, timber: joint.side },
  });
  if ('code' in carrying) return undefined;
  const turned = joint.sideways ? { ...carrying, capacities: carrying.capacities.map(acrossIt) } : carrying;
  const poses = posesLeft(job, freePoses(asHung), turned);
  return worstLoad(loadCaseOf(asHung, turned), poses, yieldTable)?.utilisation;
}

/** A screw from the side has the pull across it too, at a right angle to the grain. */
const acrossIt = (capacity: Capacity): Capacity =>
  capacity.by === 'lag' ? { ...capacity, tension: shearCapacity(capacity, 90) } : capacity;

function findingsOf({ thickness, holes, load, pieces }: TimberPlan): Finding[] {
  const ids = holes.map((h) => h.id);
  const first = pieces
    ? finding('noggings-first', 'caution', 'holes', { holes: ids, pieces: pieces.length, thicknessMm: thickness })
    : finding('timber-first', 'info', 'holes', { holes: ids, thicknessMm: thickness });
  if (load?.verdict === 'go') return [first];
  const percent = load === undefined ? -1 : Math.ceil(load.utilisation * 100);
  return [first, finding('timber-load', 'stop', 'holes', { percent })];
}
