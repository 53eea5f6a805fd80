import type { Anchor, BuildKind, Evidence, Fixing, Item, Job, Mount, Plan, Remedy } from '@steddo/contract';
import { applyCommand } from '../edit/command';
import { buildsOf, studBuildOf } from '../room/wallAt';
import { STUD_WIDTH_MM } from '../primitives/wallFacts';
import { isHeldBy, takeWay } from './takeWay';

/**
 * The job as it would be once a way on was taken: changed by its tap, or with what a hand would likely find or enter.
 * It is planned again, and only a way that takes its stop away is offered.
 * @returns undefined where nobody can say what would come of it
 */
export function likelyJob(way: Remedy, job: Job, plan: Plan, mounts: readonly Mount[] = []): Job | undefined {
  const command = takeWay(way, job, plan);
  if (command) {
    const taken = applyCommand(job, command).job;
    return isHeldBy(way, job) ? { ...taken, choices: { ...taken.choices, asideHeld: true } } : taken;
  }
  if (way.kind === 'evidence') return withEvidence(way, job, plan);
  if (way.kind === 'enter') return withEntry(way, job);
  if (way.kind === 'other-mount')
    return withMount(
      job,
      mounts.find((m) => m.id === way.by),
    );
  return undefined;
}

const known = (job: Job, evidence: readonly Evidence[]): Job => ({
  ...job,
  evidence: [...(job.evidence ?? []), ...evidence],
});

/** What would likely be marked: an edge finder's two passes over each stud, an outline, a joint, a clear look. */
function withEvidence({ what, x = 0, y = 0, xs = [x], wall }: Remedy, job: Job, plan: Plan): Job | undefined {
  const on = wall && wall !== 'main' ? { wall } : {};
  switch (what) {
    case 'scan-edges':
    case 'probe-edge': {
      const half = (studBuildOf(job.room.wall).build.studWidth ?? STUD_WIDTH_MM) / 2;
      const marks = xs.flatMap((at, i) =>
        [0, 1].flatMap((pass): Evidence[] => [
          { id: `way-l${i}${pass}`, kind: 'edge-left', x: at - half, y: y + pass, ...on },
          { id: `way-r${i}${pass}`, kind: 'edge-right', x: at + half, y: y + pass, ...on },
        ]),
      );
      // a probe that met nothing there was beside the stud: somebody who has both edges knows
      return known(job, marks);
    }
    case 'trace-sheet': {
      const { plate, centre } = plan.placement ?? {};
      const box =
        plate ??
        (centre && { left: centre.x - 200, right: centre.x + 200, bottom: centre.y - 200, top: centre.y + 200 });
      if (!box) return undefined;
      const { build } = job.room.wall;
      const untraced = { ...job, evidence: (job.evidence ?? []).filter((e) => e.kind !== 'backing-edge') };
      const traced = known(untraced, [
        { id: 'way-left', kind: 'backing-edge', side: 'left', x: box.left - BEYOND_MM, ...on },
        { id: 'way-right', kind: 'backing-edge', side: 'right', x: box.right + BEYOND_MM, ...on },
        { id: 'way-bottom', kind: 'backing-edge', side: 'bottom', x, y: box.bottom - BEYOND_MM, ...on },
        { id: 'way-top', kind: 'backing-edge', side: 'top', x, y: box.top + BEYOND_MM, ...on },
      ]);
      const thickness = build.thickness ?? USUAL_SHEET_MM;
      return { ...traced, room: { ...job.room, wall: { ...job.room.wall, build: { ...build, thickness } } } };
    }
    case 'mark-joint':
      return known(job, [{ id: 'way-joint', kind: 'joint', x, y, ...on }]);
    case 'look': {
      const looks = [-1, 1].map((side) => ({
        ...{ id: `way-look${side}`, x: x + side * BESIDE_MM, y, reach: 600, bay: 'both', found: 'clear', at: LATER },
        ...on,
      })) as NonNullable<Job['looks']>;
      return { ...job, looks: [...(job.looks ?? []), ...looks] };
    }
    case 'measure':
      return known(job, [
        { id: 'way-face-left', kind: 'face', x, y, side: 'left' },
        { id: 'way-face-right', kind: 'face', x: xs[1] ?? x, y, side: 'right' },
      ]);
    default:
      return undefined;
  }
}
const BEYOND_MM = 200;
const USUAL_SHEET_MM = 18;
const BESIDE_MM = 76;
/** After anything that was drilled. */
const LATER = '9999-01-01T00:00:00Z';

/** What a label or a tape would likely say. */
function withEntry({ path = '', by }: Remedy, job: Job): Job | undefined {
  const [, , third, , field] = path.split('.');
  const { mount, room } = job;
  if (path.startsWith('mount.walls.') && mount)
    return withFixing(job, mount, third as BuildKind, field, Number(by ?? 0));
  if (path === 'room.wall.zones') {
    const { zones: _, ...wall } = room.wall;
    return { ...job, room: { ...room, wall } };
  }
  if (path === 'room.objects') return { ...job, room: { ...room, objects: [] } };
  if (path.startsWith('room.objects.')) return withoutThing(job, third ?? '', by);
  if (path.startsWith('room.viewers.'))
    return {
      ...job,
      room: { ...room, viewers: (room.viewers ?? []).map((v) => (v.id === third ? { ...v, distance: FAR_MM } : v)) },
    };
  const rules = (what: 'mantel-clearance' | 'flue-clearance', value: number): Job => ({
    ...job,
    room: { ...room, rules: [...(room.rules ?? []).filter((r) => r.what !== what), { what, value }] },
  });
  switch (path) {
    case 'room.rules.mantel-clearance':
      return rules('mantel-clearance', LEAST_RULE_MM);
    case 'room.rules.flue-clearance':
      return rules('flue-clearance', LEAST_RULE_MM);
    case 'room.heat': {
      const { heat: _, ...rest } = room;
      return { ...job, room: { ...rest, heat: { ...room.heat!, celsius: 30 } } };
    }
    case 'anchors':
      return { ...job, anchors: [...(job.anchors ?? []), LONG_SCREW] };
    case 'lags':
      return {
        ...job,
        lags: [
          ...(job.lags ?? []),
          { id: 'way-lag', diameter: 7.94, length: Number(by ?? 127), threadLength: 76, washer: 2 },
        ],
      };
    default:
      return set(job, path, by);
  }
}
const FAR_MM = 2500;
const LEAST_RULE_MM = 10;
const LONG_SCREW: Anchor = {
  id: 'way-screw',
  kind: 'masonry-screw',
  ...{ diameter: 6.35, hole: 6.35, length: 152, head: 13, tension: 5000, shear: 6000 },
};

/** A plain field, by the value that the way itself proposes. */
function set(job: Job, path: string, by: Remedy['by']): Job | undefined {
  if (by === undefined) return undefined;
  const value: unknown =
    path === 'aim.centre' ? { on: 'wall' } : path === 'mount.bag.screws' ? bought(job, Number(by)) : by;
  return applyCommand(job, { do: 'put', path: path as never, value }).job;
}

const bought = ({ mount, screen }: Job, length: number) => [
  ...(mount?.bag?.screws ?? []),
  { thread: screen.insert?.thread ?? 'M6', length },
];

/** A label's fixing as it is usual for that wall, or the one there with the field that was lacking. */
function withFixing(job: Job, mount: Mount, kind: BuildKind, field: string | undefined, by: number): Job {
  const wall = mount.walls[kind] ?? {};
  const rows = new Set((mount.plate?.slots ?? []).map((s) => s.y)).size * (mount.studs?.count ?? 2);
  const count = Math.min(4, rows || 4);
  const before: Fixing = wall.fixing ?? { ...USUAL[kind], count };
  const fixing: Fixing =
    field === undefined
      ? { ...(by > 0 ? SMALL_SCREW : USUAL[kind]), count: Math.min(wall.fixing?.count ?? count, rows || count) }
      : field === 'length' || field === 'washer' || field === 'pilot'
        ? { ...before, [field]: by }
        : { ...before, tension: before.tension ?? 5200, shear: before.shear ?? 5200 };
  return { ...job, mount: { ...mount, walls: { ...mount.walls, [kind]: { ...wall, fixing } } } };
}

const LAG = { kind: 'lag', diameter: 7.94, length: 64, threadLength: 45, washer: 2, head: 13 } as const;
const RATED = {
  kind: 'self-tapping',
  diameter: 5.5,
  length: 51,
  washer: 2,
  head: 13,
  tension: 2600,
  shear: 3600,
} as const;
/** A masonry screw with a small hole: it finds room between joints where a sleeve does not. */
const SMALL_SCREW: Omit<Fixing, 'count'> = {
  kind: 'masonry-screw',
  ...{ diameter: 6.35, length: 70, pilot: 5.5, washer: 2, head: 13, tension: 3600, shear: 4200 },
};
const USUAL: Record<BuildKind, Omit<Fixing, 'count'>> = {
  'timber-stud': LAG,
  'timber-backing': LAG,
  'metal-stud': RATED,
  'metal-backing': RATED,
  masonry: {
    kind: 'masonry-sleeve',
    diameter: 7.94,
    length: 76,
    pilot: 12.7,
    washer: 2,
    head: 13,
    tension: 5200,
    shear: 5200,
  },
  unknown: LAG,
};

/** A thing of the room where it was proposed to, or gone from there. */
function withoutThing(job: Job, id: string, by: Remedy['by']): Job {
  const { room } = job;
  const at = typeof by === 'number' ? by : undefined;
  const objects = (room.objects ?? []).flatMap((o): Item[] =>
    o.id !== id ? [o] : at === undefined ? [] : [{ ...o, left: o.left + at, right: o.right + at }],
  );
  return { ...job, room: { ...room, objects } };
}

/** Another mount, with nothing of what was chosen or measured for the one before. */
function withMount(job: Job, mount: Mount | undefined): Job | undefined {
  if (!mount) return job.mount && { ...job, mount: roomierMount(job.mount, job) };
  const { plateX: _, armHole: _a, scheme: _s, ...choices } = job.choices ?? {};
  const { measured: _m, ...rest } = job;
  return { ...rest, mount, choices };
}

/**
 * A mount of the same type that is made for this TV and this wall, as they are sold: slots all across its plate, half as
 * many screws again, and an arm that comes no further out than it has to.
 */
function roomierMount(mount: Mount, { screen, room }: Job): Mount {
  const { width, height } = screen.pattern;
  const { min, max } = mount.pattern;
  const covers = Object.fromEntries(buildsOf(room.wall).map(({ kind }) => [kind, coveringOf(mount, kind)]));
  const { folded, extended } = mount.depth;
  const near = extended === undefined ? {} : { extended: Math.min(extended, folded + SHORT_REACH_MM) };
  const { arm: _, ...rest } = mount;
  const { unit } = room.wall.build;
  const rise = room.wall.build.kind === 'masonry' && unit ? unit.height + (unit.joint ?? 10) : undefined;
  return {
    ...rest,
    maxMass: Math.max(mount.maxMass, screen.mass + (mount.mass ?? 5)),
    screenSize: {
      min: Math.min(mount.screenSize.min, screen.diagonal),
      max: Math.max(mount.screenSize.max, screen.diagonal),
    },
    pattern: {
      min: { width: Math.min(min.width, width), height: Math.min(min.height, height) },
      max: { width: Math.max(max.width, width), height: Math.max(max.height, height) },
    },
    walls: { ...mount.walls, ...covers },
    studs: { count: mount.studs?.count ?? 2 },
    depth: { folded, ...near },
    ...(mount.plate ? { plate: acrossPlate(mount.plate, rise), patternAboveHook: MANY_HOLES_MM } : {}),
    slide: Math.max(mount.slide ?? 0, WIDE_SLIDE_MM),
    ...(mount.swivel ? { swivel: { left: 90, right: 90 } } : {}),
  };
}

/** Bracket holes every 10 mm. */
const MANY_HOLES_MM = [-60, -50, -40, -30, -20, -10, 0, 10, 20];

function coveringOf({ walls }: Mount, kind: BuildKind): NonNullable<Mount['walls']['masonry']> {
  const own = walls[kind];
  const lacking = own?.fixing === undefined || (own.fixing.kind !== 'lag' && !own.fixing.tension);
  return { ...own, maxBoard: 100, fixing: lacking ? { ...USUAL[kind], count: 4 } : own.fixing! };
}
const SHORT_REACH_MM = 60;
const WIDE_SLIDE_MM = 160;

/** The same rows with slots all across, as plates for two studs have them; in masonry so far apart as its courses are. */
function acrossPlate(plate: NonNullable<Mount['plate']>, rise?: number): NonNullable<Mount['plate']> {
  const rows = [...new Set((plate.slots ?? []).map((s) => s.y))].sort((a, b) => a - b);
  const [low = 0, high = 0] = [rows[0], rows.at(-1)];
  const courses = rise ? [low, low + Math.max(1, Math.round((high - low) / rise)) * rise] : undefined;
  const width = Math.max(plate.width, WIDE_PLATE_MM);
  const halves = [-1, 1].map((side) => ({ x: (side * width) / 4, length: width / 2 - 20 }));
  const ys = courses ?? rows;
  const height = Math.max(plate.height, (ys.at(-1) ?? 0) + 20);
  return { ...plate, width, height, slots: ys.flatMap((y) => halves.map((h) => ({ ...h, y, height: 10 }))) };
}
const WIDE_PLATE_MM = 700;
