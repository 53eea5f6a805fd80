import type { Item, Job } from '@steddo/contract';
import { seeded, type Random } from './random';
import { PITCH_PEAKS_MM, STUD_WIDTH_MM } from '../primitives/wallFacts';

/** A cable or pipe in a wall: upright at one x, or level at one y, from here to there. mm. */
export interface Run {
  what: 'cable' | 'metal-pipe' | 'plastic-pipe';
  way: 'vertical' | 'horizontal';
  at: number;
  from: number;
  to: number;
  /** Touches the back of the board: only there a finder can sense it. */
  onBoard: boolean;
}

/** What is really in a wall, which only instruments can tell. Seeded: the same seed, the same wall. */
export interface HiddenWall {
  seed: number;
  width: number;
  height: number;
  board: number;
  /** Left face at the floor; `lean` is how much further right it is at the ceiling. */
  studs: { left: number; ply: number; plies: 1 | 2; lean: number }[];
  screws: { x: number; y: number }[];
  noggings: { y: number; left: number; right: number }[];
  runs: Run[];
  /** Instead of studs a sheet behind the panel, and nothing beside it. */
  sheet?: { left: number; right: number; bottom: number; top: number };
  /** Metal plates that guard cables where they cross a stud; not all are there. */
  guards: { x: number; y: number }[];
}

/** A crooked wall has its studs this far from where they were meant to be, and leaning, mm. Ours. */
const SET_SD_MM = 3;
const LEAN_SD_MM = 2;
const SCREW_EVERY_MM = 240;

/**
 * Builds what is behind a room's wall: studs at the job's spacing or one of the usual ones, now and then
 * an odd bay or a doubled stud; board screws, a few of which missed; cables up from the outlets that the
 * room has and, on some walls, through the studs; a pipe; noggings. Half of the outlets sit beside a stud.
 */
export function hiddenWall(job: Job, seed: number): HiddenWall {
  const random = seeded(seed);
  const { width, height, build } = job.room.wall;
  const ply = build.studWidth ?? STUD_WIDTH_MM;
  const objects = (job.room.objects ?? []).filter((o) => (o.wall ?? 'main') === 'main');
  const studs = studsFor(random, job, ply, objects);
  const noggings = random.next() < 0.5 ? noggingsFor(random, studs, height) : [];
  const runs = runsFor(random, job, studs, objects);
  return {
    seed,
    width,
    height,
    board: build.board ?? 12.7,
    studs,
    screws: studs.flatMap((s) => screwsFor(random, s, height)),
    noggings,
    runs,
    guards: runs.flatMap((r) =>
      r.way === 'horizontal'
        ? studs.flatMap((s) => (random.next() < 0.5 ? [{ x: s.left + s.ply / 2, y: r.at }] : []))
        : [],
    ),
  };
}

/** A sheet goes so far beyond the plate that hangs on it, mm: a screw's edge and the hand. Ours. */
const BEYOND_PLATE_MM = { least: 45, most: 170 } as const;

/**
 * A thin wall with a sheet behind its panel, about where a plate would be and further on each side by chance; on some a
 * cable that runs beside it. The same seed, the same wall.
 */
export function hiddenSheet(job: Job, seed: number, plate: NonNullable<HiddenWall['sheet']>): HiddenWall {
  const random = seeded(seed);
  const { width, height, build } = job.room.wall;
  const beyond = () => random.between(BEYOND_PLATE_MM.least, BEYOND_PLATE_MM.most);
  const sheet = {
    left: Math.max(0, plate.left - beyond()),
    right: Math.min(width, plate.right + beyond()),
    bottom: Math.max(0, plate.bottom - beyond()),
    top: Math.min(height, plate.top + beyond()),
  };
  const cable = random.next() < 0.5;
  const at = sheet.right + random.between(20, 120);
  const run: Run = { what: 'cable', way: 'vertical', at, from: 0, to: height, onBoard: random.next() < 0.5 };
  return {
    ...{ seed, width, height, board: build.board ?? 4, studs: [], screws: [], noggings: [], guards: [], sheet },
    runs: cable && at < width ? [run] : [],
  };
}

/** Left and right face of a stud at a height. */
export function facesAt(
  { left, ply, plies, lean }: HiddenWall['studs'][number],
  y: number,
  height: number,
): { left: number; right: number } {
  const l = left + (lean * y) / height;
  return { left: l, right: l + ply * plies };
}

function studsFor(random: Random, job: Job, ply: number, objects: readonly Item[]): HiddenWall['studs'] {
  const { width, build } = job.room.wall;
  const pitch = build.spacing ?? random.pick(PITCH_PEAKS_MM);
  const outlet = objects.find((o) => o.kind === 'outlet' || o.kind === 'switch');
  // half of the boxes were nailed to a stud; the rest were let into the board later, anywhere
  const nailed = outlet && random.next() < 0.5;
  const onLeft = random.next() < 0.5;
  const anchor = nailed ? (onLeft ? outlet.left - ply : outlet.right) : random.between(0, pitch);
  const lefts = [anchor];
  const step = () => (random.next() < 0.08 ? random.between(250, 650) : pitch);
  while (lefts.at(-1)! < width) lefts.push(lefts.at(-1)! + step());
  while (lefts[0]! > 0) lefts.unshift(lefts[0]! - step());
  return lefts
    .filter((l) => l > -ply && l < width)
    .map((l) => ({
      left: l === anchor && nailed ? l : l + random.normal(SET_SD_MM),
      ply,
      plies: random.next() < 0.05 && l !== anchor ? (2 as const) : (1 as const),
      lean: random.normal(LEAN_SD_MM),
    }));
}

function noggingsFor(random: Random, studs: HiddenWall['studs'], height: number): HiddenWall['noggings'] {
  const y = random.between(0.4, 0.6) * height;
  // each is nailed in a little above or below the last, so that both ends can be nailed
  return studs.slice(1).map((s, i) => ({
    y: y + (i % 2 === 0 ? 20 : -20),
    left: studs[i]!.left + studs[i]!.ply * studs[i]!.plies,
    right: s.left,
  }));
}

function screwsFor(
  random: Random,
  { left, ply, plies }: HiddenWall['studs'][number],
  height: number,
): HiddenWall['screws'] {
  const screws: HiddenWall['screws'] = [];
  for (let y = random.between(40, 160); y < height; y += SCREW_EVERY_MM + random.normal(15)) {
    const missed = random.next() < 0.06;
    const inside = left + random.between(7, ply * plies - 7);
    screws.push({ x: missed ? left - random.between(6, 25) : inside, y });
  }
  return screws;
}

function runsFor(random: Random, job: Job, studs: HiddenWall['studs'], objects: readonly Item[]): Run[] {
  const { width, height } = job.room.wall;
  const served = objects.filter((o) => o.kind === 'outlet' || o.kind === 'switch');
  const runs: Run[] = served.map((o) => ({
    what: 'cable',
    way: 'vertical',
    at: (o.left + o.right) / 2 + random.between(-15, 15),
    from: o.top,
    to: height,
    onBoard: random.next() < 0.4,
  }));
  const through = random.next() < 0.6;
  if (through) {
    const at = random.between(0.45, 0.8) * height;
    runs.push({ what: 'cable', way: 'horizontal', at, from: 0, to: width, onBoard: random.next() < 0.3 });
  }
  if (random.next() < 0.3 && studs.length > 2) {
    const bay = Math.floor(random.between(1, studs.length));
    const before = studs[bay - 1]!;
    const at = (before.left + before.ply * before.plies + studs[bay]!.left) / 2 + random.between(-80, 80);
    const what = random.next() < 0.5 ? 'plastic-pipe' : 'metal-pipe';
    runs.push({ what, way: 'vertical', at, from: 0, to: height, onBoard: false });
  }
  return runs;
}
