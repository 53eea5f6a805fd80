import type { Obligation } from '@steddo/contract';
import { atLeast, atMost, flag } from './obligations';
import { fixingFor, holeWall, spotOf, type Read } from './wallRead';

/* What hangs there: inside its mount's limits, on screws that hold, with room to lift it on. */

const PATTERN_MM = 1;
const COVERING_MM = 16;
const INSERT_FREE_MM = 1;
const RISE_MM = 25;

export const setChecks = (read: Read): Obligation[] => [...mountChecks(read), ...screwChecks(read), ...liftCheck(read)];

function mountChecks(read: Read): Obligation[] {
  const { job, mount, plan, holes } = read;
  const { pattern, mass, diagonal } = job.screen;
  const { min, max, only = [] } = mount.pattern;
  const off = (list: readonly { width: number; height: number }[]) =>
    Math.min(...list.map((p) => Math.max(Math.abs(p.width - pattern.width), Math.abs(p.height - pattern.height))));
  const beyond = Math.max(
    pattern.width - max.width,
    pattern.height - max.height,
    min.width - pattern.width,
    min.height - pattern.height,
  );
  const walls = holes.map((h) => ({ h, ...spotOf(holeWall(read, h), h, plan.timber) }));
  return [
    atMost('mount', 'screen.mass', mass, mount.maxMass, 'kg'),
    atMost('mount', 'screen.pattern', only.length > 0 ? off(only) : Math.max(0, beyond), PATTERN_MM, 'mm'),
    atLeast('mount', 'screen.diagonal', diagonal, mount.screenSize.min, 'mm'),
    atMost('mount', 'screen.diagonal', diagonal, mount.screenSize.max, 'mm'),
    ...walls.flatMap(({ h, build, board, gap, timber }) => {
      const own = fixingFor(mount, job, build, timber);
      const limit = timber ? Infinity : (mount.walls[build.kind]?.maxBoard ?? COVERING_MM);
      return [
        flag('mount', h.id, own !== undefined && h.fixing.id === undefined),
        ...(Number.isFinite(limit) ? [atMost('mount', h.id, board + gap, limit, 'mm')] : []),
      ];
    }),
  ];
}

/** At least a diameter of thread in the insert, and a millimetre short of its bottom. */
function screwChecks({ plan, job }: Read): Obligation[] {
  const { screws = [], screwCheck } = plan.screen;
  const chosen = screws.find((s) => s.id === screwCheck?.chosen);
  if (!chosen) return [flag('screw', 'screen.insert', false)];
  const { depth = 0, recess = 0 } = job.screen.insert ?? {};
  const stack = (job.mount?.bag?.bracket ?? 0) + chosen.washers.reduce((a, b) => a + b, 0) + chosen.spacer + recess;
  const thread = chosen.length - stack;
  return [
    atLeast('screw', 'screen.insert', thread, Number(chosen.thread.slice(1)), 'mm'),
    atLeast('screw', 'screen.insert', depth - thread, INSERT_FREE_MM, 'mm'),
  ];
}

/** Free over the TV as far as it has to come over its rail: under what hangs above it, and under the ceiling. */
function liftCheck({ plan, job, mount, walls }: Read): Obligation[] {
  const { placement } = plan;
  if (!placement || plan.corner) return [];
  const { left, right, top } = placement;
  const above = walls.main.things.filter(
    (t) => t.bottom >= top - 1e-6 && t.left < right && t.right > left && STANDS_OUT.has(t.kind) && !t.setMayCover,
  );
  const room = Math.min(walls.main.height, ...above.map((t) => t.bottom)) - top;
  return [atLeast('lift-on', 'set', room, mount.rise ?? job.aim.liftOn ?? RISE_MM, 'mm')];
}

/** What stands out over a TV, so that it cannot be lifted past it. */
const STANDS_OUT: ReadonlySet<string> = new Set(['shelf', 'cabinet', 'mantel', 'soundbar', 'set']);
