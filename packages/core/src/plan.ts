import type { Conflict, Finding, Job, Mount, Plan, Working } from '@steddo/contract';
import { acknowledge, finding, verdictOf } from './findings';
import { guessFinding, planWorkings } from './guesses';
import { levelContext } from './level/levelContext';
import { readLevel } from './level/readLevel';
import { newMemory, type Memory } from './memory';
import { fitContext, type FitContext } from './mount/fitContext';
import { fitMount } from './mount/fitMount';
import { mountFindings } from './mount/mountFindings';
import { rankMounts } from './mount/rankMounts';
import { typeAdvice } from './mount/typeAdvice';
import { armHoles } from './placement/chain';
import { centreRule } from './placement/centreRule';
import { liftOnFindings } from './placement/liftOnFindings';
import { marksOf } from './placement/marksOf';
import { placementOf } from './placement/placementOf';
import {
  anglesAt,
  edges,
  hangsAt,
  placeSideways,
  schoolHeights,
  sidewaysWay,
  spotAt,
  tiltOf,
  type Frame,
  type Spot,
} from './placement/placeSet';
import { wishOf } from './placement/schools';
import { outlineOf, type Outline } from './screen/outlineOf';
import { classFindings, patternClass } from './screen/patternClass';
import { lightPart } from './load/lightPart';
import { loadsPart } from './load/loadsPart';
import { planPlate, type PlatePlan } from './scheme/drillPlan';
import { kitOf } from './scheme/kit';
import { schemePart, type SchemeMade } from './scheme/schemePart';
import { screwPart } from './screen/screwPart';
import { threadFindings } from './screen/screwFindings';
import { distanceFindings, pictureDistances } from './sight/pictureDistances';
import { sightFindings } from './sight/sightFindings';
import { reachPart } from './reach/reachPart';
import { readingsOf, type StudsFound } from './wall/inferStuds';
import { nextLooks } from './wall/nextLook';
import { hazardPart, wallPart } from './wall/wallPart';
import { leaf } from './working';

export interface PlanOptions {
  /** Mounts to rank. */
  mounts?: readonly Mount[] | undefined;
  /** Whether to work out where to look next: a quarter of a second, for files and workers. */
  nextLook?: boolean;
  /** What the caller keeps from one plan to the next; the plan is the same without. */
  memory?: Memory | undefined;
}

/**
 * Everything that follows from a job: the one function behind screens, server and command line.
 * Takes a job that the contract has validated; gives a plan whose sections are absent where the
 * job gives nothing for them, and findings for what is lacking. Throws only for a programmer's mistake.
 */
export function plan(job: Job, options: PlanOptions = {}): Plan {
  const memory = options.memory ?? newMemory();
  const found = memory.inferStuds(...readingsOf(job));
  const made = planOf(job, options.mounts, found, memory);
  const next = options.nextLook ? nextLooks(job, made, [], found) : undefined;
  if (!next) return made;
  const [best] = next.looks;
  return { ...made, looking: next.looking, ...(best ? { nextLook: best } : {}) };
}

function planOf(job: Job, mounts: readonly Mount[] | undefined, found: StudsFound, memory: Memory): Plan {
  const outline = outlineOf(job.screen, job.guessed ?? []);
  const context = fitContext(job, memory.mounts);
  const ranking = mounts && rankMounts(mounts, job, found, memory.mounts);
  const base = basePlan(job, outline, ranking);
  const centre = centreRule(job);
  const early = [
    ...outline.findings,
    ...classFindings(job.screen),
    ...threadFindings(job.screen),
    ...mountPart(job, base, context),
  ];
  const { odd } = found;
  wallPart(job, base, found);
  early.push(...lightPart(job, base, found, kitOf(job)));
  if (odd.length > 0) {
    base.odd = odd;
    early.push(finding('evidence-odd', 'caution', 'wall', { ids: odd }));
  }
  if (!centre.ok) return finish(job, base, [...early, centre.finding, ...hazardPart(job, base, found)]);
  const { width, height } = outline;
  const sideways = placeSideways(job, width, centre.x);
  const frame: Frame = { job, width, height, centreX: sideways.centreX };
  const plate = job.mount ? planPlate(job, job.mount, found, sideways.centreX) : undefined;
  if (plate && job.mount?.plate) frame.plateX = plate.x.value;
  const placed = place(frame, base, plate, found, context, memory);
  const hazards = hazardPart(job, base, found);
  return finish(job, base, [...early, ...sideways.findings, ...(plate?.findings ?? []), ...placed, ...hazards]);
}

function basePlan(job: Job, outline: Outline, ranking: Plan['ranking']): Plan {
  const { width, height, guessed } = outline;
  return {
    format: 'steddo-plan',
    version: 1,
    title: job.title,
    verdict: 'stop',
    findings: [],
    screen: {
      patternClass: patternClass(job.screen.pattern, job.screen.mass).name,
      outline: { width: width.value, height: height.value, guessed },
      workings: { width, height },
    },
    ...(ranking ? { ranking } : {}),
  };
}

function mountPart(job: Job, base: Plan, context: FitContext): Finding[] {
  const { mount } = job;
  if (!mount) return [finding('mount-needed', 'caution', 'mount', {})];
  base.fit = fitMount(mount, job, context);
  const found = mountFindings(mount, base.fit, job);
  const armHole = job.choices?.armHole;
  const count = armHoles(mount).length;
  if (armHole !== undefined && count > 0 && armHole >= count)
    found.push(finding('arm-hole-missing', 'stop', 'height', { armHole, count }));
  return found;
}

/** Height, marks, holes and level, into the plan; returns what there is to say about them. */
function place(
  frame: Frame,
  base: Plan,
  plate: PlatePlan | undefined,
  wood: StudsFound,
  context: FitContext,
  memory: Memory,
): Finding[] {
  const { job } = frame;
  const { wanted, findings: found } = wantedHeight(frame);
  const spot = wanted && spotAt(frame, wanted);
  const sideways = spot?.conflict && sidewaysWay(frame, spot.wanted);
  if (spot?.conflict && sideways !== undefined) spot.conflict.sideways = sideways;
  found.push(...screws(frame, base, spot));
  const heights = schoolHeights(frame);
  if (heights.length > 0) base.heights = heights;
  seats(frame, base, found, context);
  if (!spot) return [...found, ...(plate?.lacking ?? []), ...levelPart(frame, base)];
  if (spot.conflict) {
    base.placement = placementOf(frame, spot, plate);
    const conflict = conflictFinding(frame, spot, spot.conflict);
    return [...found, ...(plate?.lacking ?? []), conflict, ...levelPart(frame, base)];
  }
  if (spot.binding.length > 0) found.push(movedFinding(job, spot));
  found.push(...(spot.chain?.findings ?? []));
  // what keeps the holes away comes before what else there is to measure
  const hung = hang(frame, base, plate, wood, spot, memory);
  return [...hung, ...found, ...levelPart(frame, base)];
}

/** With a height that is free: the holes, the set where it hangs from them, its reach and its load. */
function hang(
  frame: Frame,
  base: Plan,
  plate: PlatePlan | undefined,
  wood: StudsFound,
  wished: Spot,
  memory: Memory,
): Finding[] {
  const { job } = frame;
  const made =
    job.mount && plate ? schemePart({ frame, base, plate, found: wood, spot: wished }, job.mount) : undefined;
  const spot = made?.spot ?? wished;
  const on = made?.plate ?? plate;
  if (on && job.mount?.plate) frame.plateX = on.x.value;
  base.placement = placementOf(frame, spot, on);
  const angles = anglesAt(frame, spot);
  const tilt = tiltOf(angles, job);
  base.placement.angles = angles;
  if (tilt) Object.assign(base.placement, { tiltNeeded: tilt.value, tiltWorking: tilt });
  const found = [
    ...(made?.findings ?? plate?.lacking ?? []),
    ...sightFindings(angles, job, frame.spacer),
    ...liftOnFindings(job, { ...edges(frame), top: spot.bottom.value + frame.height.value }),
  ];
  drill(frame, base, on, spot, made);
  const reached = reachOf(frame, base, on, wood, memory);
  found.push(...reached.findings);
  if (!made?.candidate) return found;
  const { loads, findings } = loadsPart(made.hanging, made.candidate, made.holes, reached.model);
  if (loads) base.loads = loads;
  if (loads && base.scheme) base.scheme.worstUtilisation = loads.worst;
  return [...found, ...findings];
}

/** What is wanted of the centre's height: chosen by hand, or the school that is followed. */
function wantedHeight(frame: Frame): { wanted: Working | undefined; findings: Finding[] } {
  const { job } = frame;
  const wish = wishOf(job.aim.height, job, frame.height, edges(frame));
  const chosenY = job.choices?.centreY;
  const findings = wish.ok ? [] : [wish.finding];
  if (chosenY !== undefined)
    return { wanted: leaf('centre-chosen', chosenY, 'mm', { path: 'choices.centreY' }), findings };
  return { wanted: wish.ok ? wish.centre : undefined, findings };
}

/** The screws for what the set covers there; the spacers bring its face further out. */
function screws(frame: Frame, base: Plan, spot: Spot | undefined): Finding[] {
  const { job, height } = frame;
  const bottom = spot?.bottom.value;
  const covered = bottom === undefined ? undefined : { ...edges(frame), bottom, top: bottom + height.value };
  const part = screwPart(job, covered);
  if (!part) return [];
  if (part.screws) base.screen.screws = part.screws;
  if (part.check) base.screen.screwCheck = part.check;
  if (part.spacer) frame.spacer = part.spacer;
  return part.findings;
}

/** What the seats ask of a mount, and how far away its viewers are. */
function seats(frame: Frame, base: Plan, found: Finding[], context: FitContext): void {
  const { job, width, height, spacer } = frame;
  const advice = typeAdvice(context.seats, context.rough);
  if (advice) base.advice = advice;
  const distances = pictureDistances(job, width, height, spacer);
  base.distances = distances;
  found.push(...distanceFindings(distances, job));
}

function conflictFinding(frame: Frame, spot: Spot, conflict: Conflict): Finding {
  const sidewaysMm = conflict.sideways ?? frame.centreX.value;
  const relax = conflict.relax ?? [];
  return finding('height-conflict', 'stop', 'height', {
    constraints: conflict.constraints,
    relax: relax.map((r) => r.by),
    amountsMm: relax.map((r) => r.amount),
    atMm: conflict.at ?? spot.wanted.value,
    sidewaysMm: sidewaysMm - frame.centreX.value,
  });
}

function movedFinding(job: Job, spot: Spot): Finding {
  const values = {
    school: job.choices?.centreY === undefined ? job.aim.height : 'chosen',
    wantedMm: spot.wanted.value,
    gotMm: spot.centre.value,
    by: spot.binding[0] ?? '',
  };
  return finding('height-moved', 'caution', 'height', values);
}

function reachOf(frame: Frame, base: Plan, plate: PlatePlan | undefined, found: StudsFound, memory: Memory) {
  const { job, centreX, spacer } = frame;
  const { reach, model, findings } = reachPart({
    memory: memory.reach,
    job,
    plan: base,
    found,
    centreX,
    plateX: plate?.x.value ?? centreX.value,
    ...(spacer ? { spacer } : {}),
  });
  if (reach) base.reach = reach;
  return { model, findings };
}

/** Holes, scheme and every mark, into the plan. */
function drill(frame: Frame, base: Plan, plate: PlatePlan | undefined, spot: Spot, made: SchemeMade | undefined): void {
  const { job, centreX, width, height } = frame;
  const { hook, plateBottom } = hangsAt(spot, job);
  const outline = job.mount?.plate;
  const holes = made?.holes ?? [];
  if (holes.length > 0) base.holes = holes;
  if (made?.scheme) base.scheme = made.scheme;
  base.marks = marksOf({
    centreX,
    bottom: spot.bottom,
    width,
    height,
    holes,
    ...(hook ? { hook } : {}),
    ...(plateBottom ? { plate: { x: plate?.x ?? centreX, bottom: plateBottom, height: outline?.height } } : {}),
  });
}

function levelPart(frame: Frame, base: Plan): Finding[] {
  const { job } = frame;
  const result = readLevel(job.levelReadings ?? [], levelContext(frame, base));
  if (!result) return [];
  base.level = result.level;
  return result.findings;
}

const LEVELS = { stop: 0, caution: 1, info: 2 } as const;

function finish(job: Job, base: Plan, findings: Finding[]): Plan {
  const all = [...findings, ...guessFinding(job, planWorkings(base, job))];
  const known = acknowledge(
    all,
    (job.fixing?.acknowledged ?? []).map((a) => a.code),
  );
  const sorted = [...known].sort((a, b) => LEVELS[a.level] - LEVELS[b.level]);
  return { ...base, findings: sorted, verdict: verdictOf(sorted) };
}
