import type { Finding, Fixing, Job, Mount, Side, Working } from '@steddo/contract';
import { finding } from '../primitives/findings';
import { asideOf, foldOffsetOf } from '../arm/arm';
import { patternAt } from '../room/hungSides';
import { studBuildOf } from '../room/wallAt';
import type { StudsFound } from '../wall/inferStuds';
import { isSought } from '../wall/isSought';
import { leaf, minus, sum } from '../primitives/working';
import type { Aim } from './chooseSlots';
import { lagSetting, placePlate, studsNeeded, type LagSetting, type PlateOnStuds, type PlateSpot } from './plateSearch';
import { SAME_MM } from '../primitives/epsilons';
import { isHollow, isMasonry } from '../fixing/fixingKinds';

/** Step one, before the height is known: the plate sideways over the studs. */
export interface PlatePlan {
  x: Working;
  fold?: PlateSpot['fold'];
  /** Absent when no lags can be placed; `lacking` says why. */
  onStuds?: PlateOnStuds;
  findings: Finding[];
  /** Why there are no lags in studs: said only where nothing else holds the plate either. */
  lacking: Finding[];
}

/** The lag that this mount asks for in a stud wall. */
function lagFor(mount: Mount, job: Job): Fixing | undefined {
  const { kind } = studBuildOf(job.room.wall).build;
  if (kind !== 'timber-stud' && kind !== 'metal-stud') return undefined;
  const fixing = mount.walls[kind]?.fixing;
  return fixing && !isHollow(fixing.kind) && !isMasonry(fixing.kind) ? fixing : undefined;
}

/**
 * Where the plate's middle would be with the set's middle where it is wanted: on the pattern's
 * middle, or for an arm beside it by the folded offset, to the side that the fold gives.
 * Fold left puts the folded set left of the plate, so the plate stands right of the set. An offset that
 * nobody measured follows from the links.
 */
export function plateSpots(job: Job, mount: Mount, centreX: Working): PlateSpot[] {
  const pattern = sum('plate-nominal', centreX, patternAt(job).right);
  const hangs = (fold: Side) => foldOffsetOf(mount, fold);
  // a monitor arm hangs nothing as it is folded: its head goes to where the set is
  const free = mount.type === 'monitor-arm';
  if (free || (Math.abs(hangs('left')) < SAME_MM && Math.abs(hangs('right')) < SAME_MM))
    return [{ nominal: pattern, ...(job.choices?.fold ? { fold: job.choices.fold } : {}) }];
  const from = mount.arm?.foldOffset === undefined ? 'mount.arm.links' : 'mount.arm.foldOffset';
  const by = (fold: Side, sign: 1 | -1) => leaf('fold-offset', sign * hangs(fold), 'mm', { path: from });
  const both: PlateSpot[] = [
    { fold: 'left', nominal: sum('plate-nominal', pattern, by('left', -1)) },
    { fold: 'right', nominal: minus('plate-nominal', pattern, by('right', 1)) },
  ];
  return both.filter((s) => job.choices?.fold === undefined || s.fold === job.choices.fold);
}

/** Where each stud would be drilled: its middle, or a double's ply; and how sure that is wood. */
export const aimsAt = ({ studs, chances }: StudsFound, diameter: number): Aim[] =>
  studs.map((s) => {
    const x = s.drillAt ?? s.working ?? leaf('stud-centre', s.centre, 'mm');
    return { x, chance: Math.min(1, chances.at(x.value, diameter).lands) };
  });

/** Puts the plate over the studs as near to its nominal place as the slots allow. */
export function planPlate(job: Job, mount: Mount, found: StudsFound, centreX: Working): PlatePlan {
  const spots = plateSpots(job, mount, centreX);
  const fixedX = chosenPlateX(job);
  const resting = nearestSpot(spots, fixedX);
  const findings = fixedX ? beyondSlide(mount, fixedX.value - resting.nominal.value) : [];
  const base = { x: fixedX ?? onWall(job, mount, resting.nominal), fold: resting.fold, findings, lacking: [] };
  const made = plateSearch(job, mount, found, centreX);
  if (!made) return base;
  const lacking = lackingFindings(made, job);
  if (lacking.length > 0) return { ...base, lacking };
  const { found: on, byMm } = placePlate(made);
  if (!on) {
    const values = { shortMm: byMm === undefined ? -1 : Math.abs(byMm), ...(byMm === undefined ? {} : { byMm }) };
    return { ...base, lacking: [finding('no-stud-in-slots', 'stop', 'holes', values)] };
  }
  return { x: on.x, fold: on.fold, onStuds: on, findings, lacking: [] };
}

/** The plate's middle as near to a place as its wall and the set's slide allow. */
function onWall({ room }: Job, mount: Mount, x: Working): Working {
  const half = (mount.plate?.width ?? 0) / 2;
  const slide = asideOf(mount);
  const over = Math.max(half - x.value, 0) || Math.min(room.wall.width - half - x.value, 0);
  const by = Math.sign(over) * Math.min(Math.abs(over), slide);
  return Math.abs(by) <= SAME_MM ? x : sum('plate-x', x, leaf('plate-shift', by, 'mm'));
}

/** The plate's middle where the installer wants it. */
export function chosenPlateX(job: Job): Working | undefined {
  const chosen = job.choices?.plateX;
  return chosen === undefined ? undefined : leaf('plate-chosen', chosen, 'mm', { path: 'choices.plateX' });
}

/** What the plate's place is searched among; undefined where no lags into studs are planned here. */
export function plateSearch(job: Job, mount: Mount, found: StudsFound, centreX: Working): LagSetting | undefined {
  const fixing = lagFor(mount, job);
  if (!fixing || !mount.plate?.slots?.length) return undefined;
  const fixedX = chosenPlateX(job);
  const aims = aimsAt(found, fixing.diameter);
  return lagSetting(mount, fixing, { aims, spots: plateSpots(job, mount, centreX), fixedX });
}

function nearestSpot(spots: readonly PlateSpot[], fixedX?: Working): PlateSpot {
  const off = (s: PlateSpot) => (fixedX ? Math.abs(s.nominal.value - fixedX.value) : 0);
  return spots.reduce((a, b) => (off(b) < off(a) ? b : a));
}

function beyondSlide(mount: Mount, shiftMm: number): Finding[] {
  const slideMm = asideOf(mount);
  if (Math.abs(shiftMm) <= slideMm + SAME_MM) return [];
  return [finding('plate-beyond-slide', 'stop', 'height', { shiftMm, slideMm })];
}

function lackingFindings({ mount, fixing, aims, slots }: LagSetting, job: Job): Finding[] {
  const needed = studsNeeded(mount);
  const found = aims.length;
  if (found < needed)
    return [finding('find-the-stud-first', isSought(job) ? 'stop' : 'todo', 'wall', { found, needed })];
  const rows = new Set(slots.map((s) => s.slot.y)).size;
  const perStud = Math.ceil(fixing.count / needed);
  return rows < perStud ? [finding('slots-too-few', 'stop', 'holes', { needed: perStud, found: rows })] : [];
}
