import type {
  Backing,
  Build,
  Finding,
  Hole,
  Job,
  Mount,
  TravelCheck,
  VehiclePlan,
  Working,
  Zone,
} from '@steddo/contract';
import { moves } from '../arm/arm';
import { SKIN_MM } from '../fixing/boreOf';
import { fromMount, type Fastener } from '../fixing/kit';
import { inWall, packingOf } from '../fixing/leadHole';
import { finding } from '../primitives/findings';
import type { Part } from '../primitives/part';
import { present } from '../primitives/present';
import { leaf, minus, node } from '../primitives/working';
import { isVehicle } from '../room/roomKind';
import { buildPathAt, mainZones, wallAt } from '../room/wallAt';
import { WALL_KINDS } from '../room/wallKinds';

export interface VehicleInput {
  job: Job;
  holes: readonly Hole[];
  /** What its edges were marked as; where it was taped as a part of the wall that is taken. */
  marked: Backing | undefined;
}

/**
 * A thin wall with a backing in it and a skin behind it: where the backing is, how far the screw's point stays before
 * the skin, where the drill's flag goes, and what is seen to before it is driven.
 *
 *   tip = depth - (screw - plate - washer - packing)
 *
 * 19 mm through a plate of 1.5 in 4.5 mm of wall: -13, out at the back.
 */
export function vehiclePart({ job, holes, marked }: VehicleInput): Part<VehiclePlan> {
  if (!isVehicle(job)) return { findings: [] };
  const backing = backingOf(job, holes, marked);
  const reach = deepest(job, holes, backing);
  const section: VehiclePlan = {
    ...(backing ? { backing } : {}),
    ...(reach?.tip ? { tip: reach.tip.value } : {}),
    ...(reach ? { flag: reach.flag.value } : {}),
    travel: travelOf(job),
    workings: present({ tip: reach?.tip, flag: reach?.flag }),
  };
  return { section, findings: vehicleFindings(job, holes, backing) };
}

const isBacking = ({ kind }: Pick<Build, 'kind'>): boolean => WALL_KINDS[kind].main === 'backing';

/** The taped part that the holes are in, else the largest; else the edges that were marked, where all four were. */
function backingOf({ room }: Job, holes: readonly Hole[], marked: Backing | undefined): VehiclePlan['backing'] {
  const zones = mainZones(room.wall).filter((z) => z.build?.kind && isBacking({ kind: z.build.kind }));
  const [first] = holes;
  const here =
    first && zones.find((z) => first.x >= z.left && first.x <= z.right && first.y >= z.bottom && first.y <= z.top);
  const area = (z: Zone) => (z.right - z.left) * (z.top - z.bottom);
  const zone = here ?? [...zones].sort((a, b) => area(b) - area(a))[0];
  if (zone) {
    const { left, right, bottom, top, doubt = 0 } = zone;
    return { left, right, bottom, top, doubt };
  }
  const { left, right, bottom, top } = marked ?? {};
  if (left === undefined || right === undefined || bottom === undefined || top === undefined) return undefined;
  return { left, right, bottom, top, doubt: 0 };
}

interface Reach {
  tip: Working | undefined;
  flag: Working;
}

/** Of the holes the one whose screw comes nearest to the skin; while there is none, the mount's own screw in the backing. */
function deepest(job: Job, holes: readonly Hole[], backing: VehiclePlan['backing']): Reach | undefined {
  const { mount } = job;
  if (!mount?.plate) return undefined;
  const made = holes
    .flatMap((h) => reachAt(job, mount, h, h.packing) ?? [])
    .sort((a, b) => (a.tip?.value ?? Infinity) - (b.tip?.value ?? Infinity));
  if (made[0]) return made[0];
  if (!backing) return undefined;
  const at = { x: (backing.left + backing.right) / 2, y: (backing.bottom + backing.top) / 2 };
  return reachAt(job, mount, at, job.choices?.packing ?? 0);
}

function reachAt(
  job: Job,
  mount: Mount,
  at: { x: number; y: number } & Partial<Pick<Hole, 'fixing' | 'washer'>>,
  packing: number,
): Reach | undefined {
  const { wall } = job.room;
  const { build } = wallAt(wall, at.x, at.y);
  const screw = screwAt(mount, build, at);
  if (!screw?.length || !mount.plate) return undefined;
  const within = inWall(screw, mount.plate, packingOf(packing, job.choices?.packing ?? 0));
  if (build.depth === undefined) return { tip: undefined, flag: node('drill-flag', '+', 'mm', [within]) };
  const depth = leaf('wall-depth', build.depth, 'mm', { path: buildPathAt(wall, at.x, at.y, 'depth') });
  const most = minus('before-skin', depth, leaf('skin-kept', SKIN_MM, 'mm'));
  return { tip: minus('tip-to-skin', depth, within), flag: node('drill-flag', 'min', 'mm', [within, most]) };
}

/** The screw of a hole: the leaflet's by its place in the job, one of the kit by its figures. */
function screwAt(
  mount: Mount,
  build: Build,
  { fixing, washer }: Partial<Pick<Hole, 'fixing' | 'washer'>>,
): Fastener | undefined {
  const own = fromMount(mount, build.kind);
  if (!fixing || (own && own.length === fixing.length && own.diameter === fixing.diameter)) return own;
  const { length, diameter, id = '' } = fixing;
  return { kind: 'bolt', diameter, length, washer, path: id ? `anchors.${id}` : `mount.walls.${build.kind}.fixing` };
}

/** What is seen to before it is driven, as far as this mount has it. */
function travelOf({ mount, leads = [] }: Job): TravelCheck[] {
  return [
    ...(mount && moves(mount) ? (['fold'] as const) : []),
    'lock',
    ...(mount?.tilt ? (['tilt'] as const) : []),
    ...(leads.length > 0 ? (['leads'] as const) : []),
    'loose',
    'retighten',
  ];
}

function vehicleFindings(job: Job, holes: readonly Hole[], backing: VehiclePlan['backing']): Finding[] {
  const { mount } = job;
  const open = holes.filter((h) => !h.done);
  const buildOf = (h: Hole) => wallAt(job.room.wall, h.x, h.y).build;
  const ids = (list: readonly Hole[]) => list.map((h) => h.id);
  const found: Finding[] = [];
  if (!backing) found.push(finding('backing-unknown', 'todo', 'wall', {}));
  const shallow = open.filter((h) => buildOf(h).depth === undefined);
  if (shallow.length > 0)
    found.push(finding('skin-unknown', 'stop', 'holes', { holes: ids(shallow), lacking: 'depth' }));
  const unknown = open.filter((h) => h.fixing.length === undefined);
  if (unknown.length > 0)
    found.push(finding('skin-unknown', 'stop', 'holes', { holes: ids(unknown), lacking: 'length' }));
  const held = open.flatMap((h) => (h.penetration === undefined ? [] : [{ h, engaged: h.penetration }]));
  const none = held.filter((e) => e.engaged <= 0);
  if (none.length > 0) {
    const shortMm = -Math.min(...none.map((e) => e.engaged));
    found.push(finding('backing-not-reached', 'stop', 'holes', { holes: none.map((e) => e.h.id), shortMm }));
  }
  const part = held.filter((e) => e.engaged > 0 && e.engaged < (buildOf(e.h).thickness ?? 0) - 1e-6);
  if (part.length > 0) {
    const least = part.reduce((a, b) => (b.engaged < a.engaged ? b : a));
    const values = { engagedMm: least.engaged, thicknessMm: buildOf(least.h).thickness ?? 0 };
    found.push(finding('backing-part-held', 'caution', 'holes', { holes: part.map((e) => e.h.id), ...values }));
  }
  if (mount) found.push(finding('fold-to-travel', 'info', 'hang', { arm: moves(mount) }));
  if (mount?.outside) found.push(finding('seal-outside', 'info', 'holes', {}));
  return found;
}
