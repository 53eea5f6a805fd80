import type { Finding, Hole, Job, Mount, Placement, Plan, Ranked } from '@steddo/contract';
import { moves } from './arm/arm';
import { portraitFindings } from './bench/benchFindings';
import { benchPart } from './bench/benchPart';
import { armHoles } from './placement/chain';
import { frameOf, wantedHeight } from './placement/frameOf';
import { liftOnFindings } from './placement/liftOnFindings';
import { marksOf } from './placement/marksOf';
import { hungAt, placementOf } from './placement/placementOf';
import { standsOff } from './placement/standsOff';
import { boxOf, hangsAt, ruleHeights, spotAt, type Frame, type Spot } from './placement/placeSet';
import { stagedJob } from './placement/stagedPlate';
import { conflictFinding, movedFinding, withSideways } from './placement/spotFindings';
import { foldChoices } from './plate/foldChoices';
import { planPlate, type PlatePlan } from './plate/planPlate';
import { endsPart } from './day/endsPart';
import { floorPart } from './level/floorSlope';
import { levelPart } from './level/levelPart';
import { liftPart } from './lift/liftPart';
import { lightPart } from './light/lightPart';
import { loadsPart } from './load/loadsPart';
import { nextLooks } from './looks/nextLook';
import { newMemory, type Memory } from './memory';
import { fitContext, type FitContext } from './mount/fitContext';
import { fitMount } from './mount/fitMount';
import { withKitLag } from './fixing/kitFixing';
import { bestPlate } from './mount/plateVariants';
import { mountFindings } from './mount/mountFindings';
import { rankMounts } from './mount/rankMounts';
import { typeAdvice } from './mount/typeAdvice';
import { SAME_MM } from './primitives/epsilons';
import { acknowledge, finding, todoOf, verdictOf } from './primitives/findings';
import type { Part } from './primitives/part';
import { present } from './primitives/present';
import { reachPart } from './reach/reachPart';
import { recessPart } from './recess/recessPart';
import { guessFinding, planWorkings } from './room/guesses';
import { isPortrait } from './room/hungSides';
import { isCorner, roomKindOf } from './room/roomKind';
import { mainWallJob } from './room/wallView';
import { joinedWalls } from './twoWalls/cornerFindings';
import { cornerHung } from './twoWalls/cornerHung';
import { footSeen, wallSeen } from './twoWalls/wallSeen';
import { checkPlan } from './check/checkPlan';
import { unproved } from './check/obligations';
import { clearOfJoints } from './scheme/clearOfJoints';
import { disputeRemedies } from './scheme/disputeRemedies';
import { remedyPart } from './scheme/remedyPart';
import { schemePart, type SchemeInput, type SchemeMade } from './scheme/schemePart';
import { outlineOf, type Outline } from './screen/outlineOf';
import { fireFindings } from './special/fireFindings';
import { mantelPart } from './special/mantelPart';
import { screenPart } from './screen/screenPart';
import { screwPart } from './screen/screwPart';
import { distanceFindings, pictureDistances } from './sight/pictureDistances';
import { sightFindings } from './sight/sightFindings';
import { vehiclePart } from './vehicle/vehiclePart';
import { disputedDrills, onLine, withoutDrills, type Disputed } from './wall/disputedDrills';
import { inferStuds, readingsOf, type StudsFound, type WallReadings } from './wall/inferStuds';
import { memo } from './primitives/memo';
import { waysOn } from './ways/waysOn';
import { withSheet } from './wall/sheetBehind';
import { tapeFirst } from './wall/tapeFirst';
import { hazardPart, wallPart, type WallSections } from './wall/wallPart';

/** What a plan can be busy with, in the order of the work. */
export const PLAN_STEPS = [
  'studs',
  'ranking',
  'mount',
  'light',
  'wall',
  'plate',
  'fastening',
  'reach',
  'loads',
  'remedies',
  'level',
  'day',
  'proof',
  'looks',
] as const;
export type PlanStep = (typeof PLAN_STEPS)[number];

export interface PlanOptions {
  /** Mounts to rank. */
  mounts?: readonly Mount[] | undefined;
  /** Whether to work out where to look next: a quarter of a second, for files and workers. */
  nextLook?: boolean;
  /** What the caller keeps from one plan to the next; the plan is the same without. */
  memory?: Memory | undefined;
  /**
   * Ways on where something stops: `tried` by planning again, a second of work for files and workers; `offered` as the
   * parts of the plan find them; `none` while something is only tried.
   */
  ways?: 'tried' | 'offered' | 'none' | undefined;
  /** Told what it begins with next; whoever waits can say what took long. */
  watch?: ((step: PlanStep) => void) | undefined;
}

/** What is the same for every plan of one call. */
interface Means {
  mounts: readonly Mount[] | undefined;
  ways: 'tried' | 'offered' | 'none';
  memory: Memory;
  watch: (step: PlanStep) => void;
}

/**
 * Everything that follows from a job: the one function behind screens, server and command line.
 * Takes a job that the contract has validated; gives a plan whose sections are absent where the
 * job gives nothing for them, and findings for what is lacking. Throws only for a programmer's mistake.
 */
export function plan(given: Job, options: PlanOptions = {}): Plan {
  const { mounts, memory = newMemory(), ways = 'offered', watch = () => undefined } = options;
  const job = mainWallJob(withSheet(stagedJob(withKitLag(onePlate(given, memory))), memory.sheetWall));
  const means: Means = { mounts, memory, ways, watch };
  watch('studs');
  const found = memory.inferStuds(...readingsOf(job));
  const planned = (one: Job): Plan => disputedPlan(one, means) ?? planOf(one, found, means);
  const best = job.mount?.plates ? bestPlate(job, memory.plateVariants(job.mount), planned) : planned(job);
  watch('proof');
  const made = withWays(given, proved(given, best), means, readingsOf(job));
  if (!options.nextLook) return made;
  watch('looks');
  const seen = footSeen(wallSeen(job, made, 'main'));
  const next = nextLooks(seen.job, seen.plan, [], found);
  if (!next) return made;
  const [first] = next.looks;
  return { ...made, looking: next.looking, ...(first ? { nextLook: first } : {}) };
}

/** The plan with the ways on from its stops, each tried; what is planned for that leaves what the caller keeps as it is. */
function withWays(job: Job, made: Plan, { ways, mounts, memory, watch }: Means, read: WallReadings): Plan {
  if (ways !== 'tried' || made.verdict !== 'stop') return made;
  watch('remedies');
  const other = memo(inferStuds, OTHER_WALLS);
  const isRead = (r: WallReadings) => r.every((value, i) => value === read[i]);
  const infer = (...r: WallReadings) => (isRead(r) ? memory.inferStuds(...r) : other(...r));
  const kept: Memory = { ...memory, inferStuds: infer };
  const offered = made.remedies ?? [];
  const remedies = waysOn(job, made, { offered, mounts }, (changed) => plan(changed, { memory: kept, ways: 'none' }));
  return { ...made, remedies };
}
const OTHER_WALLS = 4;

/**
 * The plan with what proves it: what the checker read, and a stop for each obligation that is open and that nothing in
 * the plan explains. Without a hole there is no go.
 */
function proved(job: Job, made: Plan): Plan {
  const checked = checkPlan(job, made);
  const open = unproved(checked, made);
  const first = open.filter((o, i) => open.findIndex((p) => p.id === o.id) === i);
  const stops = first.map(({ id, of, needed, found, unit }) =>
    finding('not-proved', 'stop', 'holes', { obligation: id, subject: of, needed, found, unit }),
  );
  const verdict = stops.length > 0 ? 'stop' : made.verdict === 'go' && !made.holes?.length ? 'caution' : made.verdict;
  return { ...made, verdict, findings: [...stops, ...made.findings], checked };
}

/** The job with a mount's two brackets as one plate. */
function onePlate(job: Job, { mounts }: Memory): Job {
  return job.mount?.brackets ? { ...job, mount: mounts.platedMount(job.mount) } : job;
}

/**
 * The plan while a drill that met nothing stands against the marks: the holes as they were, stopped, until somebody
 * chooses. Undefined where nothing is disputed, or the holes are elsewhere by now.
 */
function disputedPlan(job: Job, means: Means): Plan | undefined {
  const { memory } = means;
  const disputes = disputedDrills(job, memory.inferStuds);
  if (disputes.length === 0) return undefined;
  const before = withoutDrills(
    job,
    disputes.map((d) => d.drilled),
  );
  const held = planOf(before, memory.inferStuds(...readingsOf(before)), means);
  const holes = held.holes ?? [];
  const about = disputes.filter((d) => onLine(d, holes).length > 0);
  if (about.length === 0) return undefined;
  const found = memory.inferStuds(...readingsOf(job));
  const after = planOf(job, found, means);
  const wood = planOf({ ...job, fixing: { ...job.fixing, school: 'studs-only' } }, found, means);
  const findings = [...about.map(disputeFinding), ...held.findings];
  const met = new Map(about.map(({ drilled }) => [drilled.hole, drilled.result]));
  return {
    ...held,
    verdict: 'stop',
    findings,
    holes: holes.map((h) => {
      const result = met.get(h.id);
      return result ? { ...h, met: result } : h;
    }),
    remedies: disputeRemedies(about[0]!, { held, after, wood }),
  };
}

const disputeFinding = ({ drilled, edges, chance }: Disputed): Finding =>
  finding('stud-disputed', 'stop', 'wall', {
    hole: drilled.hole,
    xMm: drilled.x,
    edges,
    percent: Math.floor(chance * 100),
  });

/** The parts of a plan, in the order in which what they say is read. */
function planOf(job: Job, found: StudsFound, means: Means): Plan {
  const { mounts, memory, watch } = means;
  const outline = outlineOf(job.screen, job.guessed ?? [], isPortrait(job));
  const context = fitContext(job, memory.mounts);
  watch('ranking');
  const ranking = mounts && rankMounts(mounts, job, found, memory.mounts);
  const screen = screenPart(job, outline);
  watch('mount');
  const mount = mountPart(job, context);
  const lift: Part<Plan['lift']> = job.mount ? liftPart(context.lift(job.mount)) : { findings: [] };
  watch('light');
  const light = lightPart(job, found);
  watch('wall');
  const wall = wallPart(job, found);
  const placed = placedPart({ job, outline, context, ranking, found, wall: wall.section, means });
  const hazards = hazardPart(job, found, placed.section);
  const { screws, holes: _, sideHoles = [], ...sections } = placed.section;
  const holes = [...(hazards.section.holes ?? []), ...sideHoles];
  const floor = floorPart(job, outline.width.value);
  const mantel = mantelPart(job);
  const recess = recessPart({ job, found, noggings: wall.section.noggings ?? [], hazards: hazards.section.hazards });
  const vehicle = vehiclePart({ job, holes, marked: wall.section.backing });
  const { placement } = placed.section;
  const fire = {
    findings: placement && !placement.conflict && !placed.section.corner ? fireFindings(job, placement) : [],
  };
  watch('day');
  const ends: Part<Partial<Plan>> = job.mount
    ? endsPart({
        job,
        mount: job.mount,
        screen: { ...screen.section, ...screws },
        people: lift.section?.people ?? 1,
        extended: mount.findings.some((f) => f.code === 'extension-arms-needed'),
        holes,
        parts: placed.section.scheme?.parts ?? [],
        timber: placed.section.timber,
        recess: recess.section,
        placement: placement?.conflict ? undefined : placement,
      })
    : { findings: [] };
  const made: Plan = {
    format: 'steddo-plan',
    version: 1,
    title: job.title,
    verdict: 'stop',
    findings: [],
    screen: { ...screen.section, ...screws },
    ...present({ ranking, fit: mount.section, lift: lift.section, light: light.section, mantel: mantel.section }),
    ...present({ recess: recess.section, vehicle: vehicle.section }),
    ...wall.section,
    ...sections,
    ...hazards.section,
    ...(holes.length > 0 ? { holes } : {}),
    ...present({ floor: floor.section }),
    ...ends.section,
  };
  const turned = { findings: portraitFindings(job) };
  const doubted = { findings: tapeFirst(job, placement?.conflict ? undefined : placement, holes) };
  const before = [screen, turned, mount, lift, light, wall, mantel, recess];
  const all = [...before, placed, vehicle, fire, hazards, doubted, floor, ends].flatMap((part) => part.findings);
  return judged(job, made, made.corner ? joinedWalls(all) : all);
}

const LEVELS = { stop: 0, caution: 1, todo: 2, info: 3 } as const;

/** The plan with its findings, worst first, what was acknowledged among them, and its verdict. */
function judged(job: Job, made: Plan, findings: readonly Finding[]): Plan {
  const all = [...findings, ...guessFinding(job, planWorkings(made, job))];
  const codes = (job.fixing?.acknowledged ?? []).map((a) => a.code);
  const sorted = acknowledge(all, codes).sort((a, b) => LEVELS[a.level] - LEVELS[b.level]);
  return { ...made, findings: sorted, verdict: verdictOf(sorted), ...todoOf(sorted) };
}

function mountPart(job: Job, context: FitContext): Part<Plan['fit']> {
  const { mount } = job;
  if (!mount) return { findings: [finding('mount-needed', 'todo', 'mount', {})] };
  const section = fitMount(mount, job, context);
  const findings = mountFindings(mount, section, job);
  const armHole = job.choices?.armHole;
  const count = armHoles(mount).length;
  const missing = armHole !== undefined && count > 0 && armHole >= count;
  if (missing) findings.push(finding('arm-hole-missing', 'stop', 'height', { armHole, count }));
  return { section, findings };
}

interface Placing {
  job: Job;
  outline: Outline;
  context: FitContext;
  ranking: readonly Ranked[] | undefined;
  found: StudsFound;
  wall: WallSections;
  means: Means;
}

/** What hangs where, with all that follows from it. */
type Placed = Pick<
  Plan,
  | 'heights'
  | 'advice'
  | 'distances'
  | 'placement'
  | 'marks'
  | 'scheme'
  | 'holes'
  | 'packing'
  | 'timber'
  | 'loads'
  | 'remedies'
  | 'reach'
  | 'level'
  | 'corner'
  | 'sideWall'
  | 'bench'
> & { sideHoles?: Hole[] | undefined } & { screws?: Pick<Plan['screen'], 'screws' | 'screwCheck'> };

/** The set sideways, its plate over the studs, its height; and where that is free, how it is held there. */
function placedPart(placing: Placing): { section: Placed; findings: Finding[] } {
  const { job, outline, context, found, means } = placing;
  const framed = frameOf(job, outline);
  if (!framed.ok) return { section: {}, findings: [framed.finding] };
  const { mount } = job;
  means.watch('plate');
  const inCorner = isCorner(job);
  const plate = mount && !inCorner ? planPlate(job, mount, found, framed.frame.centreX) : undefined;
  const bare: Frame = { ...framed.frame, plateX: mount?.plate && plate?.x.value };
  const first = wantedSpot(bare);
  // what is under the plate brings the set further out, and the eyes that the height goes by nearer
  const out = inCorner ? undefined : first.spot && standsOff(job, plate?.x.value, first.spot);
  const { wanted, spot } = out ? wantedSpot({ ...bare, plane: out }) : first;
  const screws = screwPart(job, spot && boxOf(bare, spot));
  const frame: Frame = { ...bare, spacer: screws.spacer, plane: out };
  const seats = seatsPart(frame, context);
  const findings = [...wanted.findings, ...screws.findings, ...seats.findings];
  const heights = ruleHeights(frame);
  const section = {
    ...seats.section,
    ...(screws.section ? { screws: screws.section } : {}),
    ...(heights.length > 0 ? { heights } : {}),
  };
  const before = [...framed.findings, ...(plate?.findings ?? [])];
  if (spot && !spot.conflict) {
    means.watch('fastening');
    const hung = inCorner ? inCornerPart(placing, frame, spot) : hungPart(placing, frame, plate, spot);
    // what keeps the holes away comes before what else there is to measure
    const said = [...hung.findings, ...findings, ...movedFinding(job, spot), ...(spot.chain?.findings ?? [])];
    means.watch('level');
    const level = levelPart(frame, inCorner ? undefined : hung.section.holes);
    return {
      section: { ...section, ...hung.section, ...present({ level: level.section }) },
      findings: [...before, ...said, ...level.findings],
    };
  }
  const level = levelPart(frame, undefined);
  const conflict = spot?.conflict ? [conflictFinding(frame, spot, spot.conflict)] : [];
  return {
    section: {
      ...section,
      ...(spot ? { placement: placementOf(frame, spot, plate) } : {}),
      ...present({ level: level.section }),
    },
    findings: [...before, ...findings, ...(plate?.lacking ?? []), ...conflict, ...level.findings],
  };
}

function wantedSpot(frame: Frame) {
  const wanted = wantedHeight(frame);
  return { wanted, spot: wanted.section && withSideways(frame, spotAt(frame, wanted.section)) };
}

/** What the seats ask of a mount, and how far away its viewers are. */
function seatsPart(
  { job, width, height, ...out }: Frame,
  { seats, rough }: FitContext,
): { section: Pick<Plan, 'advice' | 'distances'>; findings: Finding[] } {
  const advice = typeAdvice(seats, rough);
  const distances = pictureDistances(job, width, height, out);
  // at a bench they sit as far as their arms reach, whatever the picture would have
  const findings = roomKindOf(job) === 'bench' ? [] : distanceFindings(distances, job);
  return { section: { ...(advice ? { advice } : {}), distances }, findings };
}

type Hung = Pick<
  Placed,
  | 'placement'
  | 'scheme'
  | 'holes'
  | 'packing'
  | 'timber'
  | 'reach'
  | 'loads'
  | 'marks'
  | 'remedies'
  | 'corner'
  | 'sideWall'
  | 'sideHoles'
  | 'bench'
>;

/** In a corner: what carries it on either wall. */
function inCornerPart({ job, found, wall, means }: Placing, frame: Frame, spot: Spot) {
  const { yieldTable } = means.memory.mounts;
  const ways = means.ways !== 'none';
  return cornerHung({ job, frame, spot, main: { job, found, wall }, yieldTable, ways }, means.memory);
}

/** With a height that is free: the holes, the set where it hangs from them, its reach and its load. */
function hungPart(
  { job, ranking, found, wall, means }: Placing,
  asFramed: Frame,
  plate: PlatePlan | undefined,
  wished: Spot,
): { section: Hung; findings: Finding[] } {
  const { mount } = job;
  const { memory, watch } = means;
  const { yieldTable } = memory.mounts;
  const asked: SchemeInput | undefined = mount &&
    plate && { frame: asFramed, mount, plate, found, spot: wished, wall, ranking: ranking ?? [], yieldTable };
  const scheme: Partial<SchemeMade> = (asked && clearOfJoints(asked, schemePart(asked))) ?? {};
  const { spot = wished, plate: on = plate, holes = [], fastening, packing, timber } = scheme;
  const frame: Frame = { ...asFramed, plane: standsOff(job, on?.x.value, spot) };
  const { placement, angles } = hungAt(frame, spot, on);
  watch('reach');
  const folds = mount && moves(mount) ? foldChoices(job, mount, found, frame.centreX, placement.fold) : [];
  const plateX = on?.x.value ?? frame.centreX.value;
  const out = { spacer: frame.spacer, plane: frame.plane };
  const reach = reachPart({ job, placement, ranking, ...out, folds, plateX, memory: memory.reach });
  const seats = reach.section?.seats ?? [];
  const bench =
    reach.model && roomKindOf(job) === 'bench'
      ? benchPart({ job, placement, outline: outlineOf(job.screen, job.guessed ?? []), model: reach.model })
      : undefined;
  watch('loads');
  const loads =
    fastening && holes.length > 0 ? loadsPart({ fastening, holes, model: reach.model, seats, yieldTable }) : undefined;
  const worst = loads?.section ? { worstUtilisation: loads.section.worst } : {};
  watch('remedies');
  const remedies =
    asked &&
    means.ways !== 'none' &&
    remedyPart(asked, { made: scheme, loads: loads?.section, verdict: loads?.verdict });
  return {
    section: {
      placement,
      marks: marksOf({ frame, spot, plateX: on?.x ?? frame.centreX, holes, ...hangsAt(spot, job) }),
      ...(scheme.section ? { scheme: { ...scheme.section, ...worst } } : {}),
      ...(holes.length > 0 ? { holes } : {}),
      ...present({
        packing,
        timber,
        reach: reach.section,
        bench: bench?.section,
        loads: loads?.section,
        remedies: remedies || undefined,
      }),
    },
    findings: [
      ...offWallFinding(job, placement, scheme.findings),
      ...(scheme.findings ?? plate?.lacking ?? []),
      ...sightFindings(angles, job, frame),
      ...liftOnFindings(job, boxOf(frame, spot)),
      ...reach.findings,
      ...(bench?.findings ?? []),
      ...(loads?.findings ?? []),
    ],
  };
}

/** A plate beyond the wall's end, whatever else keeps its holes away. */
function offWallFinding({ room }: Job, { plate }: Placement, said: readonly Finding[] = []): Finding[] {
  if (!plate || said.some((f) => f.code === 'plate-off-wall')) return [];
  const byMm = Math.max(-plate.left, plate.right - room.wall.width);
  return byMm <= SAME_MM
    ? []
    : [finding('plate-off-wall', 'stop', 'holes', { byMm, end: plate.left < 0 ? 'left' : 'right' })];
}
