import type { Hole, Job, Mount, Plan, StepId, Who } from '@steddo/contract';
import { moves } from '../arm/arm';
import { jointOf, type Joint } from '../arm/joints';
import type { LeadWay } from '../arm/leadWays';
import { isCorner, isVehicle, roomKindOf } from '../room/roomKind';

/** What decides which steps a job has, who does them and how long they take. */
export interface StepContext {
  job: Job;
  mount: Mount;
  holes: readonly Hole[];
  leads: readonly LeadWay[];
  /** Who lifts the set. */
  people: number;
  /** Its pattern is larger than the mount's plate. */
  extended: boolean;
  /** What the plate goes onto instead of the wall itself. */
  timber?: Plan['timber'];
  /** A box that is to be let into the wall. */
  recess?: Plan['recess'];
}

/** One step of the work; the table has one for each, in the order in which they can be done. */
interface StepEntry {
  /** Steps that have to be done before it, whatever else the job has. */
  after: readonly StepId[];
  /** Minutes; a plain job sums to 30 to 45 (common practice), each of them is ours. */
  minutes: number | ((c: StepContext) => number);
  tools: readonly string[] | ((c: StepContext) => readonly string[]);
  who?: (c: StepContext) => Who;
  /** Absent: every job has it. */
  when?: (c: StepContext) => boolean;
}

const lifters = ({ people }: StepContext): Who => (people > 1 ? 'two' : 'one');
const joinedBy =
  (...joints: Joint[]) =>
  ({ mount }: StepContext): boolean =>
    joints.includes(jointOf(mount));
const plugged =
  (when: LeadWay['when']) =>
  ({ leads }: StepContext): boolean =>
    leads.some((l) => l.when === when && !l.later);
const laid = ({ leads }: StepContext): boolean =>
  leads.some((l) => l.when === 'before' || l.later || l.route === 'arm');
const isPower = ({ what }: Pick<LeadWay, 'what'>): boolean => /power|mains/i.test(what);

/** The mount's own sockets or keys by size, else one of the usual kind. */
const ofMount =
  (kind: 'socket' | 'key', ...more: string[]) =>
  ({ mount }: StepContext): string[] => {
    const own = (mount.tools ?? []).filter((t) => t.toLowerCase().startsWith(kind));
    return [...(own.length > 0 ? own : [kind]), ...more];
  };

const hasBox = ({ recess }: StepContext): boolean => recess !== undefined;

const MINUTES_A_HOLE = 2;
const MANTEL_MINUTES = 25;
const TIMBER_MINUTES = 20;
const OPEN_MINUTES = 60;
const NOGGING_MINUTES = 15;
const MINUTES_A_MASONRY_HOLE = 4;

/** Every step; one that is missing here does not compile. The order is the order of the work. */
export const STEPS: Record<StepId, StepEntry> = {
  'vehicle.level': { after: [], minutes: 5, tools: ['level', 'levelling blocks'], when: ({ job }) => isVehicle(job) },
  'site.wiring': {
    after: [],
    minutes: 30,
    tools: [],
    who: () => 'electrician',
    when: ({ leads }) => leads.some((l) => l.route === 'rated-kit' && isPower(l)),
  },
  'fit.box': { after: [], minutes: 2, tools: [] },
  'fit.stand': {
    after: ['fit.box'],
    minutes: 2,
    tools: ['screwdriver', 'blanket'],
    when: ({ job }) => roomKindOf(job) === 'bench',
  },
  'fit.screws-out': { after: ['fit.stand'], minutes: 1, tools: ['screwdriver', 'blanket'] },
  'fit.extensions': {
    after: ['fit.box'],
    minutes: 3,
    tools: ['screwdriver'],
    when: ({ extended }) => extended,
  },
  'fit.arms': { after: ['fit.box', 'fit.screws-out', 'fit.extensions'], minutes: 3, tools: ['tape'] },
  'fit.snug': { after: ['fit.arms'], minutes: 2, tools: ['screwdriver'] },
  'fit.device': {
    after: ['fit.snug'],
    minutes: 3,
    tools: ['screwdriver'],
    when: ({ job }) => (job.room.objects ?? []).some((o) => o.kind === 'device'),
  },
  'fit.stage': { after: ['fit.snug'], minutes: 2, tools: ['level', 'tape'] },
  'fit.cords': {
    after: ['fit.stage'],
    minutes: 1,
    tools: [],
    when: ({ mount }) => mount.latch === 'cord' || mount.latch === 'strap',
  },
  'wall.look': { after: [], minutes: 3, tools: ['finder', 'probe', 'pencil', 'tape'] },
  'vehicle.backing': {
    after: ['vehicle.level', 'wall.look'],
    minutes: 5,
    tools: ['magnet', 'tape', 'painter’s tape'],
    when: ({ job }) => isVehicle(job),
  },
  'box.first-cut': { after: ['wall.look'], minutes: 5, tools: ['board saw', 'level'], when: hasBox },
  'box.look': { after: ['box.first-cut'], minutes: 3, tools: ['torch', 'inspection camera'], when: hasBox },
  'box.power': { after: ['box.look'], minutes: 3, tools: [], when: hasBox },
  'box.faces': { after: ['box.look'], minutes: 2, tools: ['tape'], when: hasBox },
  'box.outline': { after: ['box.faces'], minutes: 3, tools: ['level', 'pencil'], when: hasBox },
  'box.saw': {
    after: ['box.outline', 'box.power'],
    minutes: 10,
    tools: ['board saw', 'bag', 'dust catcher'],
    when: hasBox,
  },
  'box.trim': { after: ['box.saw'], minutes: 4, tools: ['screwdriver'], when: hasBox },
  'box.wiring': { after: ['box.trim'], minutes: 30, tools: [], who: () => 'electrician', when: hasBox },
  'box.push-in': { after: ['box.wiring'], minutes: 4, tools: ['screwdriver'], when: hasBox },
  'box.test': { after: ['box.push-in'], minutes: 2, tools: ['outlet tester'], when: hasBox },
  'wall.mantel': {
    after: ['wall.look'],
    minutes: MANTEL_MINUTES,
    tools: ['hammer', 'drill', 'level', 'blow-out bulb'],
    who: () => 'two',
    when: ({ job }) => (job.room.objects ?? []).some((o) => o.kind === 'mantel' && o.ledger !== undefined),
  },
  'wall.timber': {
    after: ['wall.look'],
    minutes: ({ timber }) => (timber?.pieces ? OPEN_MINUTES + timber.pieces.length * NOGGING_MINUTES : TIMBER_MINUTES),
    tools: ({ timber }) => ['drill', 'level', 'saw', 'tape', ...(timber?.pieces ? ['board saw', 'filler'] : [])],
    when: ({ timber }) => timber !== undefined,
  },
  'wall.holes': {
    after: ['fit.stage', 'wall.look', 'vehicle.backing', 'box.push-in', 'box.test', 'wall.mantel', 'wall.timber'],
    minutes: ({ holes }) =>
      holes.length * (holes.some((h) => h.into === 'masonry') ? MINUTES_A_MASONRY_HOLE : MINUTES_A_HOLE),
    tools: (c) => [
      'drill',
      'dust catcher',
      'pencil',
      'step-ladder',
      ...(c.holes.some((h) => h.into === 'masonry') ? ['hammer', 'blow-out bulb'] : []),
      ...ofMount('socket')(c),
    ],
    who: ({ job }) => (job.choices?.setOut === 'held-up' ? 'two' : 'one'),
  },
  'wall.rack': {
    after: ['wall.holes'],
    minutes: 6,
    tools: ofMount('socket', 'level'),
    when: ({ job, mount }) => isCorner(job) && mount.corner !== undefined,
  },
  'wall.level': { after: ['wall.holes', 'wall.rack'], minutes: 2, tools: ['level'] },
  'vehicle.seal': {
    after: ['wall.level'],
    minutes: 4,
    tools: ['sealant gun'],
    when: ({ mount, job }) => isVehicle(job) && mount.outside === true,
  },
  'wall.pull': { after: ['wall.level', 'vehicle.seal'], minutes: 1, tools: [] },
  'leads.before': { after: ['site.wiring'], minutes: 2, tools: ['ties'], when: laid },
  'hang.live': { after: ['site.wiring'], minutes: 1, tools: ['outlet tester'] },
  'hang.check': { after: ['wall.pull', 'fit.snug', 'fit.cords'], minutes: 1, tools: [] },
  'hang.lift': {
    after: ['hang.check', 'hang.live', 'leads.before', 'fit.device'],
    minutes: 2,
    tools: ['step-ladder'],
    who: lifters,
    when: joinedBy('rail', 'catch'),
  },
  'hang.hooks': { after: ['hang.lift'], minutes: 1, tools: [], when: joinedBy('rail') },
  'hang.catch': {
    after: ['hang.lift'],
    minutes: 2,
    tools: ofMount('key', 'long key'),
    when: joinedBy('catch'),
  },
  'hang.slide-in': {
    after: ['hang.check', 'hang.live', 'leads.before', 'fit.device'],
    minutes: 2,
    tools: ['step-ladder'],
    who: lifters,
    when: joinedBy('slide-in'),
  },
  'hang.rejoin': {
    after: ['hang.check', 'hang.live', 'leads.before', 'fit.device'],
    minutes: 4,
    tools: ofMount('key', 'step-ladder'),
    who: lifters,
    when: joinedBy('screws'),
  },
  'leads.hooked': {
    after: ['hang.hooks', 'hang.catch', 'hang.slide-in', 'hang.rejoin'],
    minutes: 2,
    tools: [],
    who: () => 'two',
    when: plugged('hooked'),
  },
  'hang.click': { after: ['hang.hooks', 'leads.hooked'], minutes: 1, tools: [], when: joinedBy('rail') },
  'hang.prove': {
    after: ['hang.click', 'hang.catch', 'hang.slide-in', 'hang.rejoin', 'leads.hooked'],
    minutes: 1,
    tools: [],
  },
  'leads.after': { after: ['hang.prove'], minutes: 2, tools: [], when: plugged('after') },
  'hang.centre': { after: ['hang.prove'], minutes: 1, tools: ['tape'] },
  'hang.level': { after: ['hang.centre'], minutes: 2, tools: ['level'] },
  'hang.lock': {
    after: ['hang.level', 'leads.after'],
    minutes: 1,
    tools: ofMount('key', 'long key'),
    when: ({ mount }) => mount.securityScrews !== undefined || (mount.latch ?? 'screw') === 'screw',
  },
  'hang.cords': {
    after: ['hang.level'],
    minutes: 1,
    tools: [],
    when: ({ mount }) => mount.latch === 'cord' || mount.latch === 'strap',
  },
  'hang.pose': {
    after: ['hang.level', 'leads.after'],
    minutes: 2,
    tools: ofMount('key'),
    when: ({ mount }) => moves(mount) || mount.tilt !== undefined,
  },
  'hang.on': { after: ['leads.hooked', 'leads.after', 'hang.prove'], minutes: 1, tools: [] },
  'over.clean': { after: ['hang.on', 'hang.lock', 'hang.cords', 'hang.pose'], minutes: 2, tools: ['vacuum'] },
  'over.travel': { after: ['over.clean'], minutes: 3, tools: [], when: ({ job }) => isVehicle(job) },
  'over.show': { after: ['over.clean', 'over.travel'], minutes: 2, tools: [] },
  'over.leave': { after: ['over.show'], minutes: 1, tools: [] },
};

export const STEP_ORDER = Object.keys(STEPS) as StepId[];

/** Whether what was ticked is a step, and not something of the pack list. */
export const isStep = (id: string): id is StepId => id in STEPS;

/** The steps that a job needs, in their order. */
export const stepsFor = (context: StepContext): StepId[] =>
  STEP_ORDER.filter((id) => STEPS[id].when?.(context) ?? true);

/**
 * What has to be done before a step, of the steps that there are: where one is not needed, what that would have
 * waited for.
 */
export function waitsFor(id: StepId, present: ReadonlySet<StepId>): StepId[] {
  const found = new Set<StepId>();
  const passed = new Set<StepId>();
  const walk = (step: StepId): void => {
    if (passed.has(step)) return;
    passed.add(step);
    for (const before of STEPS[step].after)
      if (present.has(before)) found.add(before);
      else walk(before);
  };
  walk(id);
  // what another of them waits for already goes without saying
  const isSaid = (step: StepId) => [...found].some((s) => ALL_BEFORE.get(s)?.has(step));
  return STEP_ORDER.filter((s) => found.has(s) && !isSaid(s));
}

/** Everything that comes before a step in any job; each step stands after what it waits for. */
const ALL_BEFORE = STEP_ORDER.reduce<Map<StepId, ReadonlySet<StepId>>>((known, id) => {
  const direct = STEPS[id].after;
  return known.set(id, new Set(direct.flatMap((s) => [s, ...(known.get(s) ?? [])])));
}, new Map());

const valueOf = <T>(value: T | ((c: StepContext) => T), context: StepContext): T =>
  typeof value === 'function' ? (value as (c: StepContext) => T)(context) : value;

/** Who does a step of this job, with what, and for how long. */
export const stepNeeds = (id: StepId, context: StepContext): { who: Who; tools: string[]; minutes: number } => ({
  who: STEPS[id].who?.(context) ?? 'one',
  tools: [...new Set(valueOf(STEPS[id].tools, context))],
  minutes: valueOf(STEPS[id].minutes, context),
});
