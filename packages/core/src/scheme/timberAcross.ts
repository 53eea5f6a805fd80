import type { Finding, Job, Mount, Plan, TimberPlan, Working, Zone } from '@steddo/contract';
import type { Hung } from '../arm/hung';
import { fromLag, fromMount, kitOf, type Fastener } from '../fixing/kit';
import { leadBit } from '../fixing/leadHole';
import { gravityOf, lagSizeOf, LEAST_PENETRATION_D } from '../fixing/lagTables';
import type { YieldTable } from '../fixing/fastenerCapacity';
import type { Screw } from '../fixing/screw';
import { checkFastening, type Checked } from '../load/checkFastening';
import { aimsAt } from '../plate/planPlate';
import { finding } from '../primitives/findings';
import { leaf, sum } from '../primitives/working';
import { plateOutline } from '../room/platePlane';
import { boardOf, studBuildOf, wallAt } from '../room/wallAt';
import { takesHole } from '../room/wallKinds';
import { isThere } from '../wall/drilledHoles';
import { HOLE_CAUTION } from '../wall/holeVerdict';
import type { StudsFound } from '../wall/inferStuds';

/** A timber goes so far beyond its studs and its plate, mm. Ours. */
const BEYOND_MM = 45;

/** A screw's middle is so many diameters off the timber's upper and lower edge (NDS 12.5.1, the loaded edge, from memory). */
const EDGE_DIAMETERS = 4;

/** Stock timbers, mm: as high as the plate's rows need, and so thick (2 x 6 to 2 x 10). Common practice. */
const STOCK_HEIGHTS_MM = [140, 184, 235, 286] as const;
const STOCK_THICKNESS_MM = 38;

export type Timber = NonNullable<NonNullable<Job['choices']>['timber']>;

/** The stock timber that a plate's rows fit on, with their edge kept; undefined for a plate too tall for any. */
export function stockTimber({ plate }: Mount): Timber | undefined {
  const ys = (plate?.slots ?? []).map((s) => s.y);
  if (ys.length === 0) return undefined;
  const need = Math.max(...ys) - Math.min(...ys) + 2 * BEYOND_MM;
  const height = STOCK_HEIGHTS_MM.find((h) => h >= need);
  return height === undefined ? undefined : { height, thickness: STOCK_THICKNESS_MM };
}

interface Asked {
  job: Job;
  mount: Mount;
  found: StudsFound;
  timber: Timber;
  /** Where the plate would be: its middle, and its bottom. */
  x: number;
  bottom: number;
}

/** The timber in its place, and the job with it on the wall: for the plate it is a part that stands out, of solid wood. */
export interface TimberPlaced {
  job: Job;
  mount: Mount;
  zone: Zone;
  studs: readonly { index: number; x: number; across: Working; chance: number }[];
}

/**
 * A timber across the two sure studs that stand most evenly about the plate, over all of the plate and its slide.
 * Undefined where there are no two, or a plate that nobody has drawn. Studs at 1800 and 2200, a plate 500 wide about
 * 2000: from 1705 to 2295 with a slide of 0.
 */
export function placeTimber({ job, mount, found, timber, x, bottom }: Asked): TimberPlaced | undefined {
  const { plate } = mount;
  const lag = fromMount(mount, studBuildOf(job.room.wall).build.kind);
  if (!plate?.slots?.length || plate.width === 0 || lag?.kind !== 'lag') return undefined;
  const sure = aimsAt(found, lag.diameter).flatMap((a, index) =>
    a.chance >= HOLE_CAUTION ? [{ index, x: a.x.value, across: a.x, chance: a.chance }] : [],
  );
  const pairs = sure.flatMap((a) => sure.filter((b) => b.x > a.x).map((b) => [a, b] as const));
  const off = ([a, b]: (typeof pairs)[number]) =>
    Math.abs((a.x + b.x) / 2 - x) + Math.max(0, b.x - a.x - plate.width) / 4;
  const [studs] = pairs.filter(([a, b]) => a.x < x && b.x > x).sort((p, q) => off(p) - off(q));
  if (!studs) return undefined;
  const outline = plateOutline(plate, x, bottom);
  const slide = mount.slide ?? 0;
  const ys = plate.slots.map((s) => s.y);
  const middle = bottom + (Math.min(...ys) + Math.max(...ys)) / 2;
  const box = {
    left: Math.min(studs[0].x - BEYOND_MM, outline.left - slide),
    right: Math.max(studs[1].x + BEYOND_MM, outline.right + slide),
    bottom: middle - timber.height / 2,
    top: middle + timber.height / 2,
  };
  // its own screws go into studs, not into brick that the wall has there
  const hollow = studs.every((s) =>
    [box.bottom + BEYOND_MM, box.top - BEYOND_MM].every((y) =>
      takesHole(wallAt(job.room.wall, s.x, y).build.kind, 'stud'),
    ),
  );
  if (!hollow) return undefined;
  const zone = zoneOf(box, timber.thickness);
  const { wall } = job.room;
  const walls = {
    ...mount.walls,
    'timber-backing': mount.walls['timber-backing'] ?? { fixing: fixingOf(mount, job)! },
  };
  const onTimber = { ...mount, walls };
  return {
    job: { ...job, mount: onTimber, room: { ...job.room, wall: { ...wall, zones: [...(wall.zones ?? []), zone] } } },
    mount: onTimber,
    zone,
    studs,
  };
}

/** No zone of a job is called this. */
const TIMBER = 'timber across';

export const boxOf = ({ left, right, bottom, top }: Omit<Zone, 'id'>) => ({ left, right, bottom, top });

/** The wall as it is with the timber of a plan on it: what the plate is screwed to. The same job without one. */
export function timberedJob(job: Job, { timber }: Pick<Plan, 'timber'>): Job {
  if (!timber) return job;
  const { wall } = job.room;
  const zone = zoneOf(boxOf(timber), timber.thickness);
  return { ...job, room: { ...job.room, wall: { ...wall, zones: [...(wall.zones ?? []), zone] } } };
}

const zoneOf = (box: ReturnType<typeof boxOf>, thickness: number): Zone => ({
  id: TIMBER,
  ...box,
  face: thickness,
  build: { kind: 'timber-backing', thickness, board: 0, cover: 'none', state: 'sound' },
});

const fixingOf = (mount: Mount, { room }: Job) => mount.walls[studBuildOf(room.wall).build.kind]?.fixing;

interface Held extends Pick<Asked, 'job' | 'mount' | 'timber'> {
  placed: TimberPlaced;
  hung: Hung;
  yieldTable: YieldTable;
}

/** The timber's own screws: two in each stud, of the kit's lags the first that holds; with what they come to. */
export function timberHeld({ job, mount, timber, placed, hung, yieldTable }: Held): {
  section: TimberPlan;
  findings: Finding[];
} {
  const { zone } = placed;
  const box = boxOf(zone);
  const { build } = studBuildOf(job.room.wall);
  const own = fromMount(mount, build.kind)!;
  const over = timber.thickness + boardOf(build);
  const long = kitOf(job)
    .lags.map((l) => fromLag(l, own))
    .filter((l) => (l.length ?? 0) - (l.washer ?? 0) - over >= LEAST_PENETRATION_D * l.diameter)
    .sort((a, b) => (a.length ?? 0) - (b.length ?? 0) || a.diameter - b.diameter);
  const tried = long.map((lag) => ({ lag, ...check({ job, mount, timber, placed, hung, yieldTable }, lag) }));
  const verdict = (c: Checked) => (c.ok ? c.verdict : 'stop');
  const best =
    tried.find((t) => verdict(t.checked) === 'go') ?? tried.find((t) => verdict(t.checked) !== 'stop') ?? tried.at(-1);
  if (!best)
    return {
      section: { ...box, thickness: timber.thickness, holes: [] },
      findings: [finding('timber-no-lag', 'stop', 'holes', { overMm: over })],
    };
  const { lag, screws, checked } = best;
  const bit = leadBit(lag, gravityOf(build))?.value ?? lag.diameter * 0.7;
  const use = checked.ok ? checked.worst.utilisation : undefined;
  const section: TimberPlan = {
    ...box,
    thickness: timber.thickness,
    holes: screws.map(({ x, y, stud, chance }, i) => ({
      ...{ id: `t${i + 1}`, x, y, probability: chance },
      done: isThere(job, `t${i + 1}`),
      workings: { x: placed.studs.find((s) => s.index === stud)!.across, y: rowOf(zone, y) },
    })),
    fixing: {
      ...{ kind: lag.kind, diameter: lag.diameter, length: lag.length ?? 0, bit },
      ...(lag.id === undefined ? {} : { id: lag.id }),
      depth: (lag.length ?? 0) - (lag.washer ?? 0) - timber.thickness + OVERDRILL_MM,
    },
    ...(use === undefined ? {} : { load: { utilisation: use, verdict: verdict(checked) } }),
  };
  const stopped = verdict(checked) === 'stop';
  return {
    section,
    findings: [
      finding('timber-first', 'info', 'holes', {
        holes: section.holes.map((h) => h.id),
        thicknessMm: timber.thickness,
      }),
      ...(stopped
        ? [finding('timber-load', 'stop', 'holes', { percent: use === undefined ? -1 : Math.ceil(use * 100) })]
        : []),
    ],
  };
}

/** A row of the timber's screws by its edge, as the tape is laid. */
const rowOf = ({ bottom }: Zone, y: number): Working =>
  sum('timber-row', leaf('timber-bottom', bottom, 'mm'), leaf('timber-edge', y - bottom, 'mm'));

/** Drilled deeper than the screw goes, mm. Ours. */
const OVERDRILL_MM = 5;

/** As if the timber were the plate: its screws in the studs, the set as far out as the plate on it. */
function check({ job, mount, timber, placed, hung, yieldTable }: Held, lag: Fastener) {
  const { zone, studs } = placed;
  const d = lagSizeOf(lag.diameter)?.shankMm ?? lag.diameter;
  const edge = Math.min((zone.top - zone.bottom) / 2, EDGE_DIAMETERS * d);
  const screws = studs.flatMap(({ index, x, chance }) =>
    [zone.top - edge, zone.bottom + edge].map((y): Screw => ({
      ...{ x, y, chance, fastener: lag },
      slot: 0,
      into: 'stud',
      stud: index,
    })),
  );
  const width = zone.right - zone.left;
  const height = zone.top - zone.bottom;
  const board = {
    width,
    height,
    thickness: timber.thickness,
    slots: [{ x: 0, y: 0, length: lag.diameter, height: lag.diameter }],
  };
  const asPlate: Mount = {
    ...mount,
    plate: board,
    depth: { ...mount.depth, folded: mount.depth.folded + timber.thickness },
  };
  const checked = checkFastening(
    {
      hung: { ...hung, job, mount: asPlate, plateX: (zone.left + zone.right) / 2 },
      plate: board,
      plateBottom: zone.bottom,
      front: { wall: job.room.wall, plane: 0, chosen: 0 },
      ...{ screws, carrying: screws, pulling: [], beside: [], solid: true },
    },
    undefined,
    yieldTable,
  );
  return { screws, checked };
}
