import type { Finding, Job, Plan, TimberPlan } from '@steddo/contract';
import { finding } from '../primitives/findings';
import { hazardFindings, holesWithHazards } from './hazardFindings';
import { hazardsOf } from './hazardZones';
import type { StudsFound } from './inferStuds';
import { oddJoints } from './markedJoints';
import { masonryCourses } from './masonryCourses';
import { isInOpening, wasOpened } from './openedWall';
import { isVehicle } from '../room/roomKind';
import { studBuildOf } from '../room/wallAt';
import { WALL_KINDS } from '../room/wallKinds';
import { backingMet, SHEET_LIKELY, sheetLacks } from './sheetBehind';
import { backingOf, noggingsOf } from './otherTimber';

/** P(wood) goes into the plan file every so often along the wall, mm. Ours. */
const WOOD_STEP_MM = 5;

export type WallSections = Pick<Plan, 'studs' | 'wood' | 'odd' | 'noggings' | 'backing' | 'courses'>;

/** Courses of a masonry wall and the backing of a lined one, as far as they were marked. */
export function solidSections({ room, evidence = [] }: Job): Pick<Plan, 'courses' | 'backing'> {
  const main = evidence.filter((e) => (e.wall ?? 'main') === 'main');
  const backing = backingOf(main);
  const courses = masonryCourses(room.wall, main);
  return { ...(backing ? { backing } : {}), ...(courses ? { courses } : {}) };
}

/** What the readings show of the wall; sections without readings stay absent. */
export function wallPart(
  job: Job,
  { studs: found, wood, odd: oddMarks, sheet }: StudsFound,
): { section: WallSections; findings: Finding[] } {
  const { wall } = job.room;
  const evidence = (job.evidence ?? []).filter((e) => (e.wall ?? 'main') === 'main');
  const odd = [...oddMarks, ...oddJoints(wall, evidence)];
  // a vehicle's wall has a backing and a skin, and no studs
  const studless = isVehicle(job);
  const studs = studless ? [] : found;
  const isRead =
    !studless && evidence.length + (job.scans ?? []).length > 0 && studBuildOf(wall).build.kind !== 'masonry';
  const p = isRead
    ? Array.from({ length: Math.ceil(wood.length / WOOD_STEP_MM) }, (_, i) => wood[i * WOOD_STEP_MM]!)
    : [];
  const noggings = noggingsOf(evidence, studs, wall.width);
  return {
    section: {
      ...(studs.length > 0 ? { studs } : {}),
      ...(isRead ? { wood: { step: WOOD_STEP_MM, p } } : {}),
      ...(noggings.length > 0 ? { noggings } : {}),
      ...solidSections(job),
      ...(odd.length > 0 ? { odd } : {}),
    },
    // what a sheet explains is not odd
    findings: isSheet(job, sheet)
      ? [sheetFinding(job, sheet)]
      : odd.length > 0
        ? [finding('evidence-odd', 'caution', 'wall', { ids: odd })]
        : [],
  };
}

/** Wood that no studs explain is not drilled into before its edges and its thickness are known; then it holds. */
function sheetFinding(job: Job, sheet: number): Finding {
  const lacking = sheetLacks({ wall: job.room.wall, evidence: job.evidence });
  const percent = Math.round(sheet * 100);
  return lacking && sheet >= SHEET_LIKELY
    ? finding('trace-the-sheet', 'stop', 'wall', { percent, lacking })
    : finding('sheet-behind-board', 'caution', 'wall', { percent });
}

/** On a wall of studs: wood that no layout explains, or backing that somebody met. */
const isSheet = (job: Job, sheet: number): boolean =>
  WALL_KINDS[studBuildOf(job.room.wall).build.kind].main === 'stud' && (sheet >= SHEET_LIKELY || backingMet(job));

/** What has to be expected in the wall, and what looks have shown, at every hole and opening. */
export function hazardPart(
  job: Job,
  { studs }: StudsFound,
  { holes: planned = [], timber }: Pick<Plan, 'holes' | 'timber'>,
): { section: Pick<Plan, 'hazards' | 'holes' | 'timber'>; findings: Finding[] } {
  const hazards = hazardsOf(job);
  const opening = timber?.opening;
  // what the wall is opened for is seen then: one question for all of it, before it is cut
  const opened = isInOpening(timber);
  const wasOpen = wasOpened(timber);
  const holes = holesWithHazards(job, studs, planned, hazards).map((h) =>
    wasOpen && opened(h) && h.hazard !== 'seen' ? { ...h, hazard: 'clear' as const } : h,
  );
  const own = holesWithHazards(job, studs, ownHoles(timber), hazards);
  const unseen = [...own, ...holes.filter((h) => !opened(h) || h.hazard === 'seen')];
  return {
    section: {
      ...(hazards.zones.length + hazards.seen.length > 0 ? { hazards } : {}),
      ...(holes.length > 0 ? { holes } : {}),
      ...(timber && own.length > 0 ? { timber: { ...timber, holes: own.map(ofTimber) } } : {}),
    },
    findings: hazardFindings(job, studs, unseen, hazards, wasOpen ? undefined : opening),
  };
}

/** A timber's own holes through the board; what is behind noggings is seen when the wall is open. */
const ownHoles = (timber: TimberPlan | undefined) =>
  timber?.fixing && !timber.opening
    ? timber.holes.map((h) => ({ ...h, into: 'stud' as const, fixing: { diameter: timber.fixing!.diameter } }))
    : [];

const ofTimber = ({ into: _, fixing: _f, ...hole }: ReturnType<typeof ownHoles>[number]) => hole;
