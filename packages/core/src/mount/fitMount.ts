import type { Build, Extent, Fit, Job, Mount } from '@steddo/contract';
import { holdsRule } from './estimateUtilisation';
import { hangsIn, roomKindOf } from '../room/roomKind';
import { moves } from '../arm/arm';
import { wholeMassOf } from '../load/setPushes';
import { coveringOf } from '../room/wallAt';
import { isUnnamedSteel, UNNAMED_STEEL_KG } from '../room/wallKinds';
import type { FitContext } from './fitContext';
import type { JudgedLift } from '../lift/judgeLift';
import { plateRoomRule } from './plateRoom';
import { seatRules } from './seatRules';
import { PATTERN_MM } from '../screen/patternClass';

/** Wall covering that a mount takes when its label says nothing, mm (5/8 in). Common practice. */
const COVERING_LIMIT_MM = 16;

/**
 * Every fit rule of one mount against this set and this wall, each with its margin.
 * A failed rule is a stop, except the size range and a wall that nobody has named (cautions), and
 * what the seats ask (reach, tilt), which goes from caution to stop. With `context`, what the room
 * and its seats ask counts too: the plate between the obstacles, reach, tilt, people to lift.
 * A 35 kg set on a mount rated 30 kg: `{ rule: 'mass', ok: false, value: 35, limit: 30, margin: -5 }`.
 */
export function fitMount(mount: Mount, job: Pick<Job, 'screen' | 'room'>, context?: FitContext): Fit[] {
  const { screen, room } = job;
  const builds = context?.behind ?? [room.wall.build];
  const rules = [
    massRule(mount, screen.mass),
    patternRule(mount, screen.pattern),
    sizeRule(mount, screen.diagonal),
    roomKindRule(mount, job),
    wallRule(mount, job, builds, context?.corner !== undefined && mount.corner !== undefined),
    ...coveringRule(mount, builds),
    ...spacingRule(mount, builds),
    ...(context ? roomRules(mount, context) : []),
  ];
  // what is stopped already is not asked what it holds: in long lists that is most of them
  const stopped = rules.some((r) => !r.ok && r.level === 'stop');
  return context && !stopped ? [...rules, ...holdsRule(context.estimate(mount))] : rules;
}

function roomRules(mount: Mount, context: FitContext): Fit[] {
  return [
    ...(context.corner ? context.corner.reaches(mount) : []),
    ...(context.room ? plateRoomRule(mount, context.room) : []),
    ...seatRules(mount, context.seats, context.rough),
    peopleRule(context.lift(mount)),
  ];
}

function peopleRule({ people, index, level }: JudgedLift): Fit {
  const rule = { rule: 'people', ok: level === 'info', level, limit: 1, unit: 'ratio', people } as const;
  return index ? { ...rule, value: index.value, margin: 1 - index.value } : { ...rule, value: 'none', margin: -1 };
}

/** Fails by how much of its limit: to tell which failed rule is nearest to passing. */
export const shortfall = (fit: Fit): number =>
  typeof fit.limit === 'number' && fit.limit !== 0 ? Math.abs(fit.margin / fit.limit) : Infinity;

function massRule(mount: Mount, massKg: number): Fit {
  const margin = mount.maxMass - massKg;
  return {
    rule: 'mass',
    ...judged(margin >= 0),
    value: massKg,
    limit: mount.maxMass,
    margin,
    unit: 'kg',
  };
}

function patternRule(mount: Mount, pattern: Extent): Fit {
  const { only = [], min, max } = mount.pattern;
  if (only.length > 0) return listedPattern(only, pattern);
  const on = (axis: 'width' | 'height', limit: number, margin: number) => ({
    axis,
    value: pattern[axis],
    limit,
    margin,
  });
  const sides = [
    on('width', max.width, max.width - pattern.width),
    on('height', max.height, max.height - pattern.height),
    on('width', min.width, pattern.width - min.width),
    on('height', min.height, pattern.height - min.height),
  ];
  const tightest = sides.reduce((a, b) => (b.margin < a.margin ? b : a));
  return { rule: 'pattern', ...judged(tightest.margin > -PATTERN_MM), ...tightest, unit: 'mm' };
}

/** A mount that lists its patterns takes those alone; the margin is the distance to the nearest. */
function listedPattern(only: readonly Extent[], pattern: Extent): Fit {
  const nearest = only.map((listed) => furtherAxis(listed, pattern)).reduce((a, b) => (b.off < a.off ? b : a));
  const { off, ...axis } = nearest;
  return {
    rule: 'pattern',
    ...judged(off < PATTERN_MM),
    ...axis,
    margin: off === 0 ? 0 : -off,
    unit: 'mm',
  };
}

/** The axis on which a pattern is further from a listed one, and by how much. */
function furtherAxis(listed: Extent, pattern: Extent) {
  const on = (axis: 'width' | 'height') => ({
    axis,
    value: pattern[axis],
    limit: listed[axis],
    off: Math.abs(listed[axis] - pattern[axis]),
  });
  const [width, height] = [on('width'), on('height')];
  return height.off > width.off ? height : width;
}

function sizeRule(mount: Mount, diagonal: number): Fit {
  const { min, max } = mount.screenSize;
  const upper = max - diagonal <= diagonal - min;
  const margin = Math.min(max - diagonal, diagonal - min);
  return {
    rule: 'screen-size',
    ok: margin >= 0,
    level: margin >= 0 ? 'info' : 'caution',
    value: diagonal,
    limit: upper ? max : min,
    axis: upper ? 'largest' : 'smallest',
    margin,
    unit: 'mm',
  };
}

/** A corner's rack on one wall, or a plain mount in a corner, is no mount at all. */
function roomKindRule(mount: Mount, job: Pick<Job, 'room'>): Fit {
  const limit = roomKindOf({ ...job, mount });
  const ok = hangsIn(mount.type, limit);
  return { rule: 'room-kind', ...judged(ok), value: mount.type, limit, margin: ok ? 0 : -1 };
}

/** Of the builds behind the set one that the mount is made for is enough: each hole is then judged in what is behind it. */
function wallRule(mount: Mount, { screen }: Pick<Job, 'screen'>, builds: readonly Build[], onEach: boolean): Fit {
  const kinds = Object.keys(mount.walls);
  const known = builds.some((b) => b.kind !== 'unknown');
  // a rack has a foot on each of two walls
  const not = onEach ? builds.find((b) => !kinds.includes(b.kind)) : undefined;
  const taken = not ?? builds.find((b) => kinds.includes(b.kind));
  const ok = taken !== undefined && not === undefined;
  // a light flat one may hang on metal studs that its label does not name
  const flat = !moves(mount) && screen.mass + wholeMassOf(mount) <= UNNAMED_STEEL_KG;
  const onSteel = flat && !onEach && isUnnamedSteel(mount, builds[0]!);
  return {
    rule: 'wall-kind',
    ok,
    level: ok ? 'info' : known && !onSteel ? 'stop' : 'caution',
    value: (taken ?? builds[0]!).kind,
    limit: kinds.join(', '),
    margin: ok ? 0 : -1,
  };
}

function coveringRule(mount: Mount, builds: readonly Build[]): Fit[] {
  const rules = builds.flatMap((build): (Fit & { margin: number })[] => {
    const wall = mount.walls[build.kind];
    if (!wall) return [];
    const limit = wall.maxBoard ?? COVERING_LIMIT_MM;
    const value = coveringOf(build);
    const margin = limit - value;
    return [{ rule: 'covering', ...judged(margin >= 0), value, limit, margin, unit: 'mm' }];
  });
  return rules.sort((a, b) => b.margin - a.margin).slice(0, 1);
}

/** Studs one or more bays apart must come within the mount's range; only where the spacing is known. */
function spacingRule(mount: Mount, builds: readonly Build[]): Fit[] {
  const build = builds.find((b) => b.kind === 'timber-stud');
  const studs = mount.studs;
  const spacing = build?.spacing;
  if (!build || spacing === undefined || !studs || studs.count < 2) return [];
  const { minSpacing = 0, maxSpacing = Infinity } = studs;
  const bays = Math.max(1, Math.ceil((minSpacing - PATTERN_MM) / spacing));
  const value = bays * spacing;
  const margin = Math.min(value - minSpacing, maxSpacing - value);
  const limit = value - minSpacing < maxSpacing - value ? minSpacing : maxSpacing;
  if (!Number.isFinite(margin)) return [];
  return [{ rule: 'stud-spacing', ...judged(margin > -PATTERN_MM), value, limit, margin, unit: 'mm' }];
}

const judged = (ok: boolean): Pick<Fit, 'ok' | 'level'> => ({ ok, level: ok ? 'info' : 'stop' });
