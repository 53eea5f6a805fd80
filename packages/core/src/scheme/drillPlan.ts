import type { Finding, Fixing, Hole, Job, Mount, Plan, Side, Working } from '@steddo/contract';
import { finding } from '../findings';
import { foldOffsetOf } from '../reach/arm';
import { boardOf } from '../mount/fitMount';
import { PILOT_OVERDRILL_MM, SAME_MM } from '../tolerances';
import { chanceAt } from '../wall/holeChance';
import { holeVerdict } from '../wall/holeVerdict';
import type { StudsFound } from '../wall/inferStuds';
import { leaf, minus, sum } from '../working';
import { holesOf } from './holesOf';
import { leadBand, leadBit, leadDepth } from './leadHole';
import {
  placePlate,
  studsNeeded,
  usableSlots,
  type Aim,
  type PlateOnStuds,
  type PlateSpot,
  type SearchInput,
} from './placePlate';

/** Step one, before the height is known: the plate sideways over the studs. */
export interface PlatePlan {
  x: Working;
  fold?: PlateSpot['fold'];
  /** Absent when no holes can be given; the findings say why. */
  onStuds?: PlateOnStuds;
  fixing?: Fixing;
  findings: Finding[];
}

/** The lag that this mount asks for in this wall, or why there is none that is computed yet. */
function fixingFor(mount: Mount, job: Job): Fixing | Finding {
  const { kind } = job.room.wall.build;
  if (kind === 'unknown') return finding('wall-kind-unknown', 'stop', 'wall', {});
  if (kind !== 'timber-stud') return finding('wall-kind-not-computed', 'stop', 'wall', { kind });
  const school = job.fixing?.school ?? 'stud-first';
  if (school === 'rated-anchors')
    return finding('fixing-school-not-computed', 'stop', 'holes', { school });
  const fixing = mount.walls[kind]?.fixing;
  if (fixing?.kind === 'lag') return fixing;
  return finding('fixing-not-computed', 'stop', 'holes', { kind: fixing?.kind ?? 'none' });
}

/**
 * Where the plate's middle would be with the set's middle where it is wanted: on the pattern's
 * middle, or for an arm beside it by the folded offset, to the side that the fold gives.
 * Fold left puts the folded set left of the plate, so the plate stands right of the set. An offset that
 * nobody measured follows from the links.
 */
export function plateSpots(job: Job, mount: Mount, centreX: Working): PlateSpot[] {
  const path = 'screen.patternCentre.right';
  const right = job.screen.patternCentre?.right;
  const guess = right === undefined || (job.guessed ?? []).includes(path);
  const pattern = sum(
    'plate-nominal',
    centreX,
    leaf('pattern-right', right ?? 0, 'mm', { path, guess }),
  );
  const hangs = (fold: Side) => foldOffsetOf(mount, fold);
  if (Math.abs(hangs('left')) < SAME_MM && Math.abs(hangs('right')) < SAME_MM)
    return [{ nominal: pattern, ...(job.choices?.fold ? { fold: job.choices.fold } : {}) }];
  const from = mount.arm?.foldOffset === undefined ? 'mount.arm.links' : 'mount.arm.foldOffset';
  const by = (fold: Side, sign: 1 | -1) =>
    leaf('fold-offset', sign * hangs(fold), 'mm', { path: from });
  const both: PlateSpot[] = [
    { fold: 'left', nominal: sum('plate-nominal', pattern, by('left', -1)) },
    { fold: 'right', nominal: minus('plate-nominal', pattern, by('right', 1)) },
  ];
  return both.filter((s) => job.choices?.fold === undefined || s.fold === job.choices.fold);
}

/** Where each stud would be drilled: its middle, or a double's ply; and how sure that is wood. */
export const aimsAt = ({ studs, belief }: StudsFound, diameter: number): Aim[] =>
  studs.map((s) => {
    const x = s.drillAt ?? s.working ?? leaf('stud-centre', s.centre, 'mm');
    return { x, chance: Math.min(1, chanceAt(belief, x.value, diameter).lands) };
  });

/** Puts the plate over the studs as near to its nominal place as the slots allow. */
export function planPlate(job: Job, mount: Mount, found: StudsFound, centreX: Working): PlatePlan {
  const spots = plateSpots(job, mount, centreX);
  const fixedX = chosenPlateX(job);
  const resting = nearestSpot(spots, fixedX);
  const base = { x: fixedX ?? resting.nominal, fold: resting.fold };
  const beyond = fixedX ? beyondSlide(mount, fixedX.value - resting.nominal.value) : [];
  const fixing = fixingFor(mount, job);
  if ('code' in fixing) return { ...base, findings: [fixing, ...beyond] };
  if (!mount.plate?.slots?.length) return { ...base, findings: beyond };
  const search = searchOf(job, mount, fixing, found, centreX);
  const lacking = lackingFindings(search, mount, fixing);
  if (lacking.length > 0) return { ...base, findings: [...lacking, ...beyond] };
  const result = placePlate(search);
  if (!result.ok) {
    const missed = finding('no-stud-in-slots', 'stop', 'holes', { shortMm: result.shortMm ?? -1 });
    return { ...base, findings: [missed, ...beyond] };
  }
  const { x, fold } = result.found;
  return { x, fold, onStuds: result.found, fixing, findings: beyond };
}

function chosenPlateX(job: Job): Working | undefined {
  const chosen = job.choices?.plateX;
  return chosen === undefined
    ? undefined
    : leaf('plate-chosen', chosen, 'mm', { path: 'choices.plateX' });
}

function searchOf(job: Job, mount: Mount, fixing: Fixing, found: StudsFound, centreX: Working): SearchInput {
  const fixedX = chosenPlateX(job);
  const aims = aimsAt(found, fixing.diameter);
  return { mount, fixing, aims, spots: plateSpots(job, mount, centreX), ...(fixedX ? { fixedX } : {}) };
} // prettier-ignore

/** What the plate's place is searched among; undefined where no lags into studs are planned here. */
export function plateSearch(job: Job, mount: Mount, found: StudsFound, centreX: Working): { search: SearchInput; fixing: Fixing } | undefined {
  const fixing = fixingFor(mount, job);
  if ('code' in fixing || !mount.plate?.slots?.length) return undefined;
  return { search: searchOf(job, mount, fixing, found, centreX), fixing };
} // prettier-ignore

function nearestSpot(spots: readonly PlateSpot[], fixedX?: Working): PlateSpot {
  const off = (s: PlateSpot) => (fixedX ? Math.abs(s.nominal.value - fixedX.value) : 0);
  return spots.reduce((a, b) => (off(b) < off(a) ? b : a));
}

function beyondSlide(mount: Mount, shiftMm: number): Finding[] {
  const slideMm = mount.slide ?? 0;
  if (Math.abs(shiftMm) <= slideMm + SAME_MM) return [];
  return [finding('plate-beyond-slide', 'stop', 'height', { shiftMm, slideMm })];
}

function lackingFindings(
  search: Parameters<typeof usableSlots>[0] & { aims: readonly Aim[] },
  mount: Mount,
  fixing: Fixing,
): Finding[] {
  const needed = studsNeeded(mount);
  const found = search.aims.length;
  if (found < needed) return [finding('studs-needed', 'caution', 'wall', { found, needed })];
  const rows = new Set(usableSlots(search).map((s) => s.slot.y)).size;
  const perStud = Math.ceil(fixing.count / needed);
  return rows < perStud
    ? [finding('slots-too-few', 'stop', 'holes', { needed: perStud, found: rows })]
    : [];
}

export interface Drilling {
  holes: Hole[];
  scheme?: Plan['scheme'];
  findings: Finding[];
}

/** Step two, with the height known: the holes, and every caution that goes with them. */
export function planHoles(
  job: Job,
  mount: Mount,
  found: StudsFound,
  plan: PlatePlan,
  plateBottom: Working,
): Drilling {
  const { onStuds, fixing } = plan;
  if (!onStuds || !fixing || !mount.plate) return { holes: [], findings: [] };
  const { build } = job.room.wall;
  const band = leadBand(fixing.diameter, build);
  const bit = leadBit(fixing, build);
  if (!bit) return { holes: [], findings: [finding('no-bit', 'stop', 'holes', { ...band })] };
  const depth = leadDepth(fixing, mount.plate, job);
  const depthMm = depth.value - PILOT_OVERDRILL_MM - boardOf(build);
  if (depthMm <= 0)
    return { holes: [], findings: [finding('lag-too-short', 'stop', 'holes', { depthMm })] };
  const holes = holesOf({ job, mount, fixing, found, plate: onStuds, plateBottom, bit, depth });
  const worst = Math.min(...holes.map((h) => h.probability));
  return {
    holes,
    scheme: {
      key: `studs:${onStuds.columns.map((c) => Math.round(found.studs[c.stud]!.centre)).join('+')}`,
      kind: 'lags-in-studs',
      shift: onStuds.shift,
      worstProbability: worst,
    },
    findings: holeFindings(job, holes, bit.value, band),
  };
}

function holeFindings(
  job: Job,
  holes: readonly Hole[],
  bitMm: number,
  band: ReturnType<typeof leadBand>,
): Finding[] {
  const found = [finding('loads-not-checked', 'caution', 'holes', {})];
  for (const hole of oncePerStud(holes)) {
    const level = holeVerdict(hole.probability);
    if (level === 'go') continue;
    const percent = Math.floor(hole.probability * 100);
    found.push(finding('stud-doubtful', level, 'wall', { hole: hole.id, percent }));
  }
  if (bitMm < band.fromMm - SAME_MM || bitMm > band.toMm + SAME_MM)
    found.push(
      finding('bit-outside-band', 'info', 'holes', { bitMm, ...band }, 'NDS 12.1.4, from memory'),
    );
  const drilled = job.drilled?.length ?? 0;
  if (drilled > 0)
    found.push(finding('drilled-not-replanned', 'caution', 'holes', { holes: drilled }));
  return found;
}

const oncePerStud = (holes: readonly Hole[]): Hole[] =>
  holes.filter((h, i) => holes.findIndex((o) => o.stud === h.stud) === i);
