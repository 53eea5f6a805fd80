import type { Build, Evidence, Fixing, Hole, Item, Job, Look, Mount, Plan, Slot, Zone } from '@steddo/contract';

/** A wall of the job as the checker reads it: by the job's own words, and nothing that the planner made of them. */
export interface WallRead {
  name: 'main' | 'left' | 'right';
  width: number;
  height: number;
  build: Build;
  zones: readonly Zone[];
  things: readonly Item[];
  looks: readonly Look[];
  evidence: readonly Evidence[];
  /** Whether another wall stands at its ends. */
  returns: { left: boolean; right: boolean };
}

const SIDE_WALL_MM = 2000;

/** The wall of a hole: of a corner either of two. */
export function wallOf({ room, looks = [], evidence = [] }: Job, name: WallRead['name'] = 'main'): WallRead {
  const on = <T extends { wall?: string | undefined }>(list: readonly T[] = []): T[] =>
    list.filter((e) => (e.wall ?? 'main') === name);
  const { wall } = room;
  const base = { name, height: wall.height, zones: on(wall.zones), things: on(room.objects), looks: on(looks) };
  const rest = { ...base, evidence: on(evidence) };
  if (name === 'main') {
    const { left = false, right = false } = wall.returns ?? {};
    return { ...rest, width: wall.width, build: wall.build, returns: { left, right } };
  }
  const own = room.sideWalls?.[name];
  const build = { ...wall.build, ...own?.build };
  return { ...rest, width: own?.width ?? SIDE_WALL_MM, build, returns: { left: true, right: false } };
}

export interface Box {
  left: number;
  right: number;
  bottom: number;
  top: number;
}

export const inside = (b: Box, x: number, y: number, off = 0): boolean =>
  x >= b.left - off && x <= b.right + off && y >= b.bottom - off && y <= b.top + off;

/** How a wall is built at a place: the last part that has it wins. */
export const buildAt = ({ build, zones }: WallRead, x: number, y: number): Build =>
  zones.filter((z) => z.build && inside(z, x, y)).reduce<Build>((b, z) => ({ ...b, ...z.build }), build);

/** What a screw goes through before it holds, and what it holds in. */
export interface Spot {
  build: Build;
  board: number;
  gap: number;
  /** How deep what it holds in is there, mm; undefined where nobody has said. */
  solid: number | undefined;
  timber: boolean;
}

const BOARD_MM: Record<Build['kind'], number> = {
  ...{ 'timber-stud': 12.7, 'metal-stud': 12.7, masonry: 0, unknown: 12.7 },
  ...{ 'timber-backing': 12.7, 'metal-backing': 12.7 },
};
const STUD_DEPTH_MM = 89;

export function spotOf(wall: WallRead, hole: Hole, timber: Plan['timber']): Spot {
  const build = buildAt(wall, hole.x, hole.y);
  const bare = build.cover === 'none';
  const board = bare ? 0 : (build.board ?? BOARD_MM[build.kind]);
  const gap = bare ? 0 : (build.gap ?? 0);
  if (timber && hole.into === 'backing' && inside(timber, hole.x, hole.y)) {
    const over = timber.way === 'noggings' ? { board, gap } : { board: 0, gap: 0 };
    return { build, ...over, solid: timber.thickness, timber: true };
  }
  const solid = hole.into === 'backing' ? build.thickness : (build.studDepth ?? STUD_DEPTH_MM);
  return { build, board, gap, solid, timber: false };
}

/** The fastener of a hole with all its figures: the kit's by its id, else the mount's for that wall. */
export interface FastenerRead {
  diameter: number;
  length: number | undefined;
  thread: number | undefined;
  washer: number;
  head: number | undefined;
  hole: number;
  tension: number;
  shear: number;
  grip: { min: number; max: number } | undefined;
  board: number | undefined;
  lag: boolean;
}

export function fastenerOf(job: Job, mount: Mount, hole: Hole, { build, timber }: Spot): FastenerRead {
  const { kind, id, diameter, length } = hole.fixing;
  const own = fixingFor(mount, job, build, timber);
  const anchor = job.anchors?.find((a) => a.id === id);
  const lag = job.lags?.find((l) => l.id === id);
  const from = id === undefined ? own : (anchor ?? lag);
  return {
    ...{ diameter, length: length ?? from?.length, hole: hole.bit },
    ...{ thread: (id === undefined ? own : lag)?.threadLength, washer: hole.washer ?? 0, head: from?.head },
    tension: (id === undefined ? own : anchor)?.tension ?? 0,
    shear: (id === undefined ? own : anchor)?.shear ?? 0,
    ...{ grip: anchor?.grip, board: anchor?.board, lag: kind === 'lag' },
  };
}

/** What the mount's label gives for a wall; onto a timber across studs its lag for those. */
export function fixingFor(mount: Mount, job: Job, build: Build, timber: boolean): Fixing | undefined {
  const own = mount.walls[build.kind]?.fixing;
  if (own || !(timber || build.kind === 'timber-backing')) return own;
  return mount.walls['timber-backing']?.fixing ?? mount.walls['timber-stud']?.fixing;
}

/** The plate as it was screwed on: its own, one of its wider ones, or its brackets side by side. */
export function platesOf(mount: Mount, plan: Plan): { slots: readonly Slot[]; thickness: number } {
  const thickness = mount.plate?.thickness ?? 3;
  if (mount.brackets) {
    const slots = [...mount.brackets]
      .sort((a, b) => a.x - b.x)
      .flatMap((k) => k.slots.map((s) => ({ ...s, x: s.x + k.x })));
    return { slots, thickness };
  }
  const which = plan.scheme?.plate;
  const plate = which === undefined ? mount.plate : mount.plates?.[which - 1];
  return { slots: plate?.slots ?? [], thickness: plate?.thickness ?? thickness };
}

/** Whether a mount turns or comes out. */
export const isMoving = ({ arm, swivel, depth }: Mount): boolean =>
  arm !== undefined ||
  (swivel !== undefined &&
    depth.extended !== undefined &&
    (swivel.left !== 0 || swivel.right !== 0 || depth.extended - depth.folded > 1));

/** All that one reading of a plan goes by. */
export interface Read {
  job: Job;
  plan: Plan;
  mount: Mount;
  holes: readonly Hole[];
  walls: Record<'main' | 'left' | 'right', WallRead>;
}

export const holeWall = ({ walls }: Read, hole: Hole): WallRead => walls[hole.wall ?? 'main'];
