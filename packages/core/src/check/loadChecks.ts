import type { LoadCasePlan, Loads, Obligation } from '@steddo/contract';
import { GRAVITY_N_PER_KG } from '../primitives/convert';
import { alike, atLeast, atMost, flag, SHARE } from './obligations';
import { heldAt, holdsOf } from './holdChecks';
import { fixingFor, holeWall, isMoving, spotOf, type Read } from './wallRead';

/* Equilibrium of every case that the plan states, and that nobody is told to go beyond what a fastener holds. */

const HAND = { downN: 100, sideN: 50 };
const MOUNT_KG = { moving: 12, still: 5 };
const THICKNESS_MM = 60;
/** A label carries at most so much above the tables, and leaves so much to first yield; where a stud's edge is open, so much of it. */
const LABEL = 1.5;
const TO_YIELD = 1.4;
const EDGE_OPEN = 0.67;
const SURE = 0.97;

export function loadChecks(read: Read): Obligation[] {
  const { loads } = read.plan;
  if (read.holes.length === 0) return [];
  if (!loads) return [flag('balance', 'loads', false)];
  const all = loads.cases.flatMap((c) => (read.plan.corner ? footBalance(read, c) : caseBalance(read, loads, c)));
  return [...all, ...poseChecks(read, loads), ...carryChecks(read, loads)];
}

interface Weights {
  hung: number;
  still: number;
}

/** What hangs with the TV and what stays at the plate, N. */
function weightsOf({ job, mount }: Read, times = 1): Weights {
  const whole = mount.mass ?? (isMoving(mount) ? MOUNT_KG.moving : MOUNT_KG.still);
  const moving = Math.min(whole, mount.movingMass ?? whole);
  const g = GRAVITY_N_PER_KG * times;
  return { hung: (job.screen.mass + moving) * g, still: (whole - moving) * g };
}

interface Force {
  down: number;
  side: number;
  x: number;
  y: number;
  out: number;
}

/** The forces of a case: weights, and a hand at the middle of the front's lower edge. */
function forcesOf(read: Read, { pose, handling, times }: LoadCasePlan, packing: number): Force[] {
  const { placement } = read.plan;
  const { hung, still } = weightsOf(read, times);
  const plate = placement?.plate;
  const [x, y] = [plate?.x ?? pose.x, plate ? (plate.bottom + plate.top) / 2 : 0];
  const hand = { x: pose.frontX, y: placement!.bottom, out: pose.frontE + packing };
  return [
    { down: hung, side: 0, x: pose.x, y: placement!.centre.y, out: pose.e + packing },
    ...(still > 0 ? [{ down: still, side: 0, x, y, out: packing }] : []),
    ...(handling === 'down' ? [{ ...hand, down: HAND.downN, side: 0 }] : []),
    ...(handling === 'left' || handling === 'right'
      ? [{ ...hand, down: 0, side: handling === 'right' ? HAND.sideN : -HAND.sideN }]
      : []),
  ];
}

const total = <T>(list: readonly T[], of: (t: T) => number): number => list.reduce((s, t) => s + of(t), 0);

/** Sums of shear are weight and hand, their moment the turning in the plane, pulls by their arms the turning out of it. */
function caseBalance(read: Read, loads: Loads, one: LoadCasePlan): Obligation[] {
  const at = one.fasteners.flatMap((f) => {
    const hole = read.holes.find((h) => h.id === f.hole);
    return hole ? [{ ...f, hole, x: hole.x, y: hole.y }] : [];
  });
  const of = one.id;
  const anchors = at.filter((f) => f.hole.into === 'board');
  const lags = at.filter((f) => f.hole.into !== 'board');
  const bearing = at.filter((f) => f.shearX !== 0 || f.shearY !== 0);
  const packing = Math.max(0, ...(bearing.length > 0 ? bearing : at).map((f) => f.hole.packing));
  const forces = forcesOf(read, one, packing);
  const down = total(forces, (f) => f.down);
  const over = total(forces, (f) => f.down * f.out);
  const y = loads.about.y;
  const pulls = y === undefined ? 0 : total(at, (f) => f.pullY * Math.max(0, f.y - y));
  const share = { share: SHARE };
  if (read.mount.brackets)
    return [
      alike('balance', of, -total(at, (f) => f.shearY), down, 'N', share),
      atLeast('balance', of, pulls * 1.01, over, 'Nmm'),
    ];
  if (anchors.length > 0 && lags.length > 0)
    return [...besideBalance(of, lags, anchors, forces), alike('balance', of, pulls, over, 'Nmm', share)];
  const middle = { x: total(bearing, (f) => f.x) / bearing.length, y: total(bearing, (f) => f.y) / bearing.length };
  const side = total(forces, (f) => f.side);
  const turning = total(forces, (f) => -(f.x - middle.x) * f.down - (f.y - middle.y) * f.side);
  const held = total(bearing, (f) => (f.x - middle.x) * f.shearY - (f.y - middle.y) * f.shearX);
  const about = one.handling === 'left' ? loads.about.right : loads.about.left;
  const swing = Math.abs(total(forces, (f) => f.side * f.out));
  const aside = about ? total(at, (f) => f.pullX * Math.abs(f.x - about.x)) : 0;
  const small = { ...share, mm: 1 };
  return [
    alike('balance', of, -total(at, (f) => f.shearY), down, 'N', share),
    alike(
      'balance',
      of,
      total(at, (f) => f.shearX),
      side,
      'N',
      small,
    ),
    alike('balance', of, held, turning, 'Nmm', { share: SHARE, mm: down }),
    alike('balance', of, pulls, over, 'Nmm', share),
    ...(swing > 0 ? [alike('balance', of, aside, swing, 'Nmm', share)] : []),
  ];
}

type At = Omit<LoadCasePlan['fasteners'][number], 'hole'> & { x: number; y: number };

/** Lags with anchors beside them: all weight and, beyond the lags, what a lever makes of it; the anchors the turning. */
function besideBalance(
  of: string,
  lags: readonly At[],
  anchors: readonly At[],
  forces: readonly Force[],
): Obligation[] {
  const mid = (list: readonly At[]) => total(list, (f) => f.x) / list.length;
  const d = mid(anchors) - mid(lags);
  const turning = total(forces, (f) => f.down * (f.x - mid(lags)));
  const more = Math.max(0, -turning / d);
  const share = { share: SHARE };
  return [
    alike(
      'balance',
      of,
      total(lags, (f) => Math.abs(f.shearY)),
      total(forces, (f) => f.down) + more,
      'N',
      share,
    ),
    alike(
      'balance',
      of,
      total(anchors, (f) => Math.abs(f.shearY)),
      Math.abs(turning / d),
      'N',
      { ...share, mm: 0.1 },
    ),
  ];
}

/** A foot of a corner: never less than its share of the weight, nor than what that pulls by how far out it is. */
function footBalance(read: Read, one: LoadCasePlan): Obligation[] {
  const { corner, loads, sideWall } = read.plan;
  const hole = read.holes.find((h) => h.id === one.fasteners[0]?.hole);
  const wall = hole?.wall ?? 'main';
  const foot = corner?.feet?.find((f) => f.wall === wall);
  if (!hole || !foot) return [flag('balance', one.id, false)];
  const weight = read.job.screen.mass * GRAVITY_N_PER_KG * foot.share;
  const about = (wall === 'main' ? loads : sideWall?.loads)?.about.y;
  const up = total(one.fasteners, (f) => -f.shearY);
  const pulls = total(
    one.fasteners,
    (f) => f.pullY * Math.max(0, (read.holes.find((h) => h.id === f.hole)?.y ?? 0) - (about ?? 0)),
  );
  const out = corner?.feet?.length === 2 ? Math.abs(one.pose.e) : foot.pullsAt;
  return [
    atLeast('balance', one.id, up * (1 + SHARE), weight, 'N'),
    atLeast('balance', one.id, pulls * (1 + SHARE), weight * out, 'Nmm'),
  ];
}

/** The poses that have to be among the cases: as it is folded, turned to each seat, and with each hand where it moves. */
function poseChecks(read: Read, loads: Loads): Obligation[] {
  const { plan, mount, job } = read;
  const stated = Math.max(
    0,
    ...(loads.curve ?? []).map((c) => c.utilisation),
    ...(loads.swing ?? []).map((c) => c.utilisation),
  );
  const worst = atLeast('balance', 'worst', loads.worst * (1 + SHARE), stated, 'ratio');
  if (plan.corner) return [worst];
  const half = (job.screen.thickness ?? THICKNESS_MM) / 2;
  const chosen = plan.screen.screws?.find((s) => s.id === plan.screen.screwCheck?.chosen);
  const spacer = chosen?.spacer ?? (chosen ? 0 : (plan.screen.screwCheck?.spacer?.least ?? 0));
  const folded = loads.cases.find((c) => c.id === 'folded');
  const hands = isMoving(mount) ? (['down', 'left', 'right'] as const) : [];
  const seats = isMoving(mount) ? (plan.reach?.seats ?? []) : [];
  const plane = plan.placement?.plane ?? 0;
  return [
    worst,
    alike('balance', 'folded', folded?.pose.e ?? 0, mount.depth.folded + spacer + half, 'mm', { mm: 1 }),
    ...seats.map((s) => {
      const out = s.extension + half * Math.cos((s.yaw * Math.PI) / 180) - plane;
      const near = loads.cases.filter((c) => c.id === 'seat').map((c) => Math.abs(c.pose.e - out));
      return atMost('balance', s.viewer, Math.min(1e4, ...near), 1, 'mm');
    }),
    ...hands.map((h) =>
      flag(
        'balance',
        h,
        loads.cases.some((c) => c.handling === h),
      ),
    ),
  ];
}

/** In every case every fastener within what it holds; above it only as far as a label that covers it may carry it. */
function carryChecks(read: Read, loads: Loads): Obligation[] {
  const held = new Map(read.holes.map((h) => [h.id, heldAt(read, h)]));
  const [label, edge] = [labelCovers(read), read.plan.findings.some((f) => f.code === 'near-edge')];
  const worst = new Map<string, { use: number; most: number }>();
  for (const one of loads.cases)
    for (const f of one.fasteners) {
      const h = held.get(f.hole);
      if (!h) continue;
      const may = holdsOf(read, h, f.shearX, f.shearY);
      const lasts = may.lag ? one.duration : 1;
      const [pull, shear] = [
        (f.pullX + f.pullY) / (may.pull * lasts),
        Math.hypot(f.shearX, f.shearY) / (may.shear * lasts),
      ];
      const use = (may.lag ? Math.hypot(pull, shear) : pull + shear) || 0;
      const open = h.hole.into === 'stud' && edge && h.hole.probability < SURE + 0.011;
      const most = open
        ? EDGE_OPEN
        : label
          ? Math.max(1, Math.min(LABEL, may.reduction / (TO_YIELD * one.duration)))
          : 1;
      const known = worst.get(f.hole);
      if (!known || use / most > known.use / known.most) worst.set(f.hole, { use, most });
    }
  return read.holes.map((h) => {
    const { use, most } = worst.get(h.id) ?? { use: Infinity, most: 1 };
    return atMost('carries', h.id, Number.isFinite(use) ? use : 1e6, most + SHARE, 'ratio');
  });
}

/** The label's conditions, one by one. */
function labelCovers(read: Read): boolean {
  const { plan, mount, job, holes } = read;
  if (!plan.findings.some((f) => f.code === 'held-by-label') || plan.corner) return false;
  const { build, board, gap } = spotOf(holeWall(read, holes[0]!), holes[0]!, plan.timber);
  const fixing = fixingFor(mount, job, build, false);
  const lines = [...new Map(holes.map((h) => [h.stud, h.x])).values()].sort((a, b) => a - b);
  const apart = lines.slice(1).map((x, i) => x - lines[i]!);
  const { count = 2, minSpacing = 0, maxSpacing = Infinity } = mount.studs ?? {};
  const lifted =
    job.screen.mass + (mount.massOf === 'set' ? 0 : weightsOf(read).hung / GRAVITY_N_PER_KG - job.screen.mass);
  return (
    lifted <= mount.maxMass + 1e-6 &&
    fixing !== undefined &&
    holes.length >= fixing.count &&
    lines.length >= count &&
    apart.every((a) => a >= minSpacing - 3 && a <= maxSpacing + 3) &&
    board + gap <= (mount.walls[build.kind]?.maxBoard ?? Infinity) &&
    holes.every((h) => h.into === 'stud' && h.fixing.id === undefined && h.packing === 0 && h.probability >= SURE)
  );
}
