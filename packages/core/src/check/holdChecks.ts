import type { Hole, Obligation } from '@steddo/contract';
import { MM_PER_INCH } from '../primitives/convert';
import { alike, atLeast, atMost, flag, SHARE } from './obligations';
import { freeEdges } from './placeChecks';
import { fastenerOf, holeWall, platesOf, spotOf, type FastenerRead, type Read, type Spot } from './wallRead';

/* What one fastener holds, worked out again from the tables (NDS 2018, AWC TR 12, EC5, from memory), and how it bites. */

const LB = 4.4482216152605;
const PSI = LB / MM_PER_INCH ** 2;
/** Shank, root, tip in inches, bending yield in psi of 1/4, 5/16 and 3/8 in lags (NDS appendix L and I, from memory). */
const LAGS = [
  { shank: 1 / 4, root: 0.173, tip: 5 / 32, yields: 70_000 },
  { shank: 5 / 16, root: 0.227, tip: 3 / 16, yields: 60_000 },
  { shank: 3 / 8, root: 0.265, tip: 7 / 32, yields: 45_000 },
];
const GRAVITY = { 'spruce-pine-fir': 0.42, 'hem-fir': 0.43, 'douglas-fir': 0.5, 'southern-pine': 0.55 };
const STEEL_PSI = 61_850;
const GYPSUM_PSI = 450;
/** A quarter of a pack's rating; half of that for a toggle in thin steel; half of the tables in a sheet. */
const RATED = 1 / 4;
const IN_FLANGE = 1 / 2;
const IN_SHEET = 1 / 2;
const SHEET_MM = 15;
const SKIN_MM = 3;
const MASONRY_DIAMETERS = 5;
const LEAST_DIAMETERS = 4;

/** One fastener in its place. */
export interface Held {
  hole: Hole;
  spot: Spot;
  by: FastenerRead;
  plate: number;
  /** To the nearest other screw in the same stud, mm. */
  apart: number;
  edges: ReturnType<typeof freeEdges>;
}

export function heldAt(read: Read, hole: Hole): Held {
  const wall = holeWall(read, hole);
  const spot = spotOf(wall, hole, read.plan.timber);
  const beside = read.holes.filter(
    (o) => o !== hole && o.wall === hole.wall && o.stud !== undefined && o.stud === hole.stud,
  );
  return {
    ...{
      hole,
      spot,
      by: fastenerOf(read.job, read.mount, hole, spot),
      plate: platesOf(read.mount, read.plan).thickness,
    },
    apart: Math.min(1e6, ...beside.map((o) => Math.hypot(o.x - hole.x, o.y - hole.y))),
    edges: hole.into === 'masonry' ? freeEdges(wall, hole.x, hole.y) : [],
  };
}

/** What of the screw is behind the wall's face, and behind all that covers what it holds in, mm. */
const inWall = ({ by, plate, hole }: Held): number => (by.length ?? 0) - plate - by.washer - hole.packing;
export const beyondCover = (h: Held): number => inWall(h) - h.spot.board - h.spot.gap;

/** A lag's length of thread in wood and what of it is in there, tip included, mm. */
function threadOf(h: Held, tip: number): { in: number; thread: number } {
  const reaches = beyondCover(h);
  const deep = Math.min(reaches, h.spot.solid ?? reaches);
  const out = Math.max(0, reaches - deep);
  const length = h.by.length ?? 0;
  const thread = h.by.thread ?? Math.min(length / 2 + MM_PER_INCH / 2, 6 * MM_PER_INCH);
  return { in: deep, thread: Math.max(0, Math.min(thread - Math.max(tip, out), deep - Math.max(0, tip - out))) };
}

/** Pull and shear that a fastener may hold before its duration, N; the reduction of the mode that governs, 0 for a rating. */
export interface Holds {
  pull: number;
  shear: number;
  reduction: number;
  lag: boolean;
}

export function holdsOf(read: Read, h: Held, shearX: number, shearY: number): Holds {
  const { by, spot, hole } = h;
  const byPack =
    !by.lag ||
    read.plan.vehicle !== undefined ||
    (hole.into === 'backing' && !spot.timber && by.tension > 0 && by.shear > 0);
  if (byPack) return ratingOf(read, h, shearX, shearY);
  const lag = LAGS.find((l) => Math.abs(l.shank * MM_PER_INCH - by.diameter) <= 0.1);
  if (!lag) return { pull: 0, shear: 0, reduction: 0, lag: true };
  const g = GRAVITY[spot.build.timber ?? 'spruce-pine-fir'];
  const share = hole.into === 'backing' ? IN_SHEET : 1;
  const { thread } = threadOf(h, lag.tip * MM_PER_INCH);
  const pull = 1800 * g ** 1.5 * lag.shank ** 0.75 * (LB / MM_PER_INCH) * thread * share;
  const angle = (Math.atan2(Math.abs(shearX), Math.abs(shearY)) * 180) / Math.PI;
  const least = leastYield(h, lag, g, angle);
  const rows = Math.min(1, h.apart / (4 * lag.shank * MM_PER_INCH));
  return { pull, shear: (least.load / least.reduction) * rows * share, reduction: least.reduction, lag: true };
}

/** A quarter of the rating; less near free edges of masonry; half of that again where a toggle is in thin steel. */
function ratingOf({ mount }: Read, { by, spot, hole, edges, ...h }: Held, shearX: number, shearY: number): Holds {
  const flange = spot.build.kind === 'metal-stud' && mount.walls['metal-stud'] === undefined;
  const share = RATED * (flange ? IN_FLANGE : 1);
  const deep = beyondCover({ ...h, by, spot, hole, edges });
  const near = edges.map((e) => ({ ...e, part: Math.max(0, Math.min(1, e.off / (1.5 * deep))) }));
  const pulls = near.reduce((n, e) => n * e.part, 1);
  // the wall is pushed the way that the screw is: across where it goes, and down where it hangs
  const shears = near.filter((e) => e.x * shearX + e.y * shearY > 1e-6).reduce((n, e) => n * e.part ** 1.5, 1);
  return { pull: by.tension * share * pulls, shear: by.shear * share * shears, reduction: 0, lag: false };
}

interface Layers {
  qs: number;
  qm: number;
  ls: number;
  lm: number;
  board: number;
  packing: number;
  rests: number;
  moment: number;
}

/** The least of the six ways in which a dowel yields through plate, board that bears, packing and wood, over its reduction. */
function leastYield(
  h: Held,
  lag: (typeof LAGS)[number],
  g: number,
  angle: number,
): { load: number; reduction: number } {
  const { spot, hole } = h;
  const deep = threadOf(h, lag.tip * MM_PER_INCH).in;
  const through = hole.into === 'backing' && beyondCover(h) > (spot.solid ?? Infinity);
  const shank = lag.shank * MM_PER_INCH;
  const root = lag.root * MM_PER_INCH;
  const along = 11_200 * g;
  const across = (6100 * g ** 1.45) / Math.sqrt(lag.shank);
  const sin = Math.sin((angle * Math.PI) / 180) ** 2;
  const bears = (along * across) / (along * sin + across * (1 - sin));
  const { cover = 'gypsum', state = 'sound' } = spot.build;
  const rests = cover === 'gypsum' && state === 'sound' && spot.gap === 0 ? GYPSUM_PSI * PSI * root * spot.board : 0;
  const layers: Layers = {
    ...{
      qs: STEEL_PSI * PSI * root,
      qm: bears * PSI * root,
      ls: h.plate,
      board: spot.board,
      packing: hole.packing + spot.gap,
      rests,
    },
    lm: through || deep >= 10 * shank ? deep : Math.max(0, deep - (lag.tip * MM_PER_INCH) / 2),
    moment: (lag.yields * PSI * root ** 3) / 6,
  };
  const slim = lag.root < 0.25 ? Math.max(2.2, 10 * lag.root + 0.5) : undefined;
  const turn = 1 + angle / 360;
  return yields(layers)
    .map(([load, usual]) => ({ load, reduction: (slim ?? usual) * turn }))
    .reduce((a, b) => (b.load / b.reduction < a.load / a.reduction ? b : a));
}

/** Load and usual reduction of I-m, I-s, II, III-m, III-s and IV. */
function yields(l: Layers): [number, number][] {
  const { qs, qm, ls, lm, rests, moment } = l;
  const [plate, wood] = [
    { soft: 1 / (4 * qs), lever: ls / 2, part: (qs * ls * ls) / 4 },
    { soft: 1 / (4 * qm), lever: lm / 2, part: (qm * lm * lm) / 4 },
  ];
  const bent = (q: number) => ({ soft: 1 / (2 * q), lever: 0, part: moment });
  const both = (s: typeof plate, m: typeof plate) => hinged(l, s, m);
  const inBoard = (s: typeof plate, load: number) => (load < rests ? hingedInBoard(l, s) : load);
  return [
    ...([
      [qm * lm + rests, 4],
      [qs * ls, 4],
      [both(plate, wood), 3.6],
      [both(bent(qs), wood), 3.2],
    ] as [number, number][]),
    [inBoard(plate, both(plate, bent(qm))), 3.2],
    [inBoard(bent(qs), both(bent(qs), bent(qm))), 3.2],
  ];
}

type Side = { soft: number; lever: number; part: number };
const root = (a: number, b: number, c: number): number => (Math.sqrt(b * b - 4 * a * c) - b) / (2 * a);

function hinged({ board, packing, rests }: Layers, s: Side, m: Side): number {
  const lever = s.lever + m.lever + board + packing - 2 * m.soft * rests;
  const held = s.part + m.part + m.lever * rests - m.soft * rests * rests + (rests * board) / 2;
  return root(s.soft + m.soft, lever, -held);
}

const hingedInBoard = ({ board, packing, rests, moment }: Layers, s: Side): number =>
  root(s.soft + board / (2 * rests), s.lever + packing, -(s.part + moment));

/** Stated limits of the case that governs, worked out again. */
export function holdChecks(read: Read): Obligation[] {
  const { plan } = read;
  return [
    ...read.holes.flatMap((h) => (h.done ? [] : biteCheck(read, heldAt(read, h)))),
    ...(plan.loads ? statedChecks(read) : []),
  ];
}

function statedChecks(read: Read): Obligation[] {
  const { loads, sideWall } = read.plan;
  return read.holes.flatMap((hole): Obligation[] => {
    const own = hole.wall && hole.wall !== 'main' ? sideWall?.loads : loads;
    const stated = loads!.fasteners.find((f) => f.hole === hole.id);
    const at = own?.cases.find(
      (c) =>
        c.handling === own.handling &&
        c.pose.x === own.pose.x &&
        c.pose.e === own.pose.e &&
        c.pose.yaw === own.pose.yaw &&
        c.fasteners.some((f) => f.hole === hole.id),
    );
    const force = at?.fasteners.find((f) => f.hole === hole.id);
    // of two feet the worse one's case is stated; the other's is read by its own
    if (!stated || !force) return read.plan.corner ? [] : [flag('allowables', hole.id, false)];
    const may = holdsOf(read, heldAt(read, hole), force.shearX, force.shearY);
    const lasts = may.lag ? at!.duration : 1;
    return [
      alike('allowables', hole.id, stated.allowableTension, may.pull * lasts, 'N', { share: SHARE }),
      alike('allowables', hole.id, stated.allowableShear, may.shear * lasts, 'N', { share: SHARE }),
    ];
  });
}

/** How each fastener bites, by what it goes into. */
function biteCheck(read: Read, h: Held): Obligation[] {
  const { hole, spot, by } = h;
  const deep = beyondCover(h);
  switch (hole.into) {
    case 'stud': {
      const lag = LAGS.find((l) => Math.abs(l.shank * MM_PER_INCH - by.diameter) <= 0.1);
      const tip = (lag?.tip ?? 0) * MM_PER_INCH;
      const thread = threadOf(h, tip).thread;
      const need = by.lag ? LEAST_DIAMETERS * (lag?.shank ?? 1e3) * MM_PER_INCH : by.diameter;
      return [
        atLeast('bites', hole.id, thread, need - 1e-3, 'mm'),
        atMost('bites', hole.id, deep, spot.solid ?? deep, 'mm'),
      ];
    }
    case 'backing':
      return sheetBites(read, h, deep);
    case 'board':
      return toggleBites(h);
    case 'metal-stud':
      return by.grip ? toggleBites(h) : [atLeast('bites', hole.id, deep, 0, 'mm')];
    case 'masonry':
      return [
        atLeast(
          'bites',
          hole.id,
          by.length === undefined ? MASONRY_DIAMETERS * by.diameter : deep,
          MASONRY_DIAMETERS * by.diameter,
          'mm',
        ),
      ];
  }
}

/** A sheet's full thickness threaded, thick enough for a lag; the tip short of a skin, which somebody has measured. */
function sheetBites({ plan }: Read, h: Held, deep: number): Obligation[] {
  const { hole, spot, by } = h;
  const behind = spot.build.depth;
  const skin =
    plan.vehicle || behind !== undefined ? [atLeast('bites', hole.id, (behind ?? 0) - inWall(h), SKIN_MM, 'mm')] : [];
  const rated = by.tension > 0 && by.shear > 0;
  const thick = by.lag && !rated && !plan.vehicle ? [atLeast('bites', hole.id, spot.solid ?? 0, SHEET_MM, 'mm')] : [];
  // into a timber of its own a lag holds by its thread, as in a stud
  const need =
    spot.timber || !plan.vehicle ? Math.min(spot.solid ?? 0, LEAST_DIAMETERS * by.diameter) : (spot.solid ?? 0);
  return [atLeast('bites', hole.id, deep, need, 'mm'), ...thick, ...skin];
}

/** Plate, washer, packing and board inside the grip; no board thinner than the pack was tested in. */
function toggleBites({ hole, spot, by, plate }: Held): Obligation[] {
  const clamped = plate + by.washer + hole.packing + spot.board;
  const { grip, board } = by;
  return [
    ...(grip
      ? [atLeast('bites', hole.id, clamped, grip.min, 'mm'), atMost('bites', hole.id, clamped, grip.max, 'mm')]
      : []),
    ...(board === undefined ? [] : [atLeast('bites', hole.id, spot.board, board - 1, 'mm')]),
  ];
}
