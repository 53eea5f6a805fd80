import type { Finding, Hole, Job, Mount } from '@steddo/contract';
import { finding, type FindingCode } from '../primitives/findings';
import { gravityOf, lagSizeOf, LEAST_PENETRATION_D, ROW_SPACING_D, usualThread } from '../fixing/lagTables';
import { lagHold } from '../fixing/lagWithdrawal';
import {
  LEAST_SHEET_MM,
  masonryHold,
  overLag,
  type NoCapacity,
  type ScrewSeat,
  STUD_DEPTH_MM,
} from '../fixing/fastenerCapacity';
import { holeVerdict, HOLE_CAUTION, HOLE_GO } from '../wall/holeVerdict';
import { kitOf } from '../fixing/kit';
import { inBand, inWall, leadBand, packingOf } from '../fixing/leadHole';
import { isUnnamedSteel, UNNAMED_STEEL_KG } from '../room/wallKinds';
import type { Checked } from '../load/checkFastening';
import type { Candidate, Setting } from './schemeSearch';
import { SKIN_MM } from '../fixing/boreOf';
import { moves } from '../arm/arm';
import { wholeMassOf } from '../load/setPushes';
import { studPart } from '../plate/chooseSlots';
import { isVehicle } from '../room/roomKind';
import { FACE_STEP_MM, platePlane } from '../room/platePlane';
import { boardOf, overAt, wallAt } from '../room/wallAt';
import { outlineOfPlate } from './candidateFront';
import { SAME_MM } from '../primitives/epsilons';
import { EDGE_DIAMETERS } from '../wall/holeChance';
import { unitAt } from '../wall/unitAt';
import { bitFor } from './partsOf';
import { anchorLimit, policyOf, type NoWay } from './ways';

/** A stud that misses the slots by no more tempts somebody to drive the lag at an angle, mm. Ours. */
const ANGLED_MM = 15;

/** What there is to say about a chosen scheme besides its load. */
export function schemeFindings(setting: Setting, candidate: Candidate, holes: readonly Hole[]): Finding[] {
  return [
    ...woodFindings(holes),
    ...boardFindings(setting, candidate, holes),
    ...panelFinding(setting, holes),
    ...solidFindings(setting, holes),
    ...bitFindings(setting.job, candidate, holes),
    ...heldFindings(candidate),
    ...pastStudFinding(setting.job, holes),
    ...packingFindings(setting.job, setting.mount, candidate, holes),
    ...throughFinding(setting.job, setting.mount, candidate, holes),
    ...kitFinding(setting, holes),
    ...fewerFinding(setting, holes),
    ...sheetHoldFindings(setting.job, holes),
  ];
}

/** Screws of the kit where the label gives none: whose they are is said. */
function kitFinding({ job, mount }: Setting, holes: readonly Hole[]): Finding[] {
  const own = holes.filter((h) => {
    const { build } = wallAt(job.room.wall, h.x, h.y);
    // what holds in board is said apart, and so is a wall that the label does not name
    const said = isUnnamedSteel(mount, build) || (h.into === 'board' && build.kind === 'timber-stud');
    return h.fixing.id !== undefined && !said;
  });
  const [first] = own;
  if (!first) return [];
  const { kind, id = '' } = first.fixing;
  return [finding('fixing-from-kit', 'caution', 'holes', { holes: own.map((h) => h.id), kind, id })];
}

/** Fewer than the label asks for: the rows that were measured on the TV have no more. */
function fewerFinding({ job, mount }: Setting, holes: readonly Hole[]): Finding[] {
  const asked = holes.map((h) => job.mount?.walls[wallAt(job.room.wall, h.x, h.y).build.kind]?.fixing?.count ?? 0);
  const needed = Math.max(0, ...asked);
  return mount.plate?.width === 0 && holes.length < needed
    ? [finding('fewer-fasteners', 'caution', 'holes', { needed, found: holes.length })]
    : [];
}

/** A screw with a rating holds in a sheet by its full thickness; a vehicle says it in its own words. */
function sheetHoldFindings(job: Job, holes: readonly Hole[]): Finding[] {
  if (isVehicle(job)) return [];
  const open = holes.filter((h) => h.into === 'backing' && !h.done && h.fixing.kind !== 'lag');
  const thick = (h: Hole) => wallAt(job.room.wall, h.x, h.y).build.thickness ?? 0;
  const ids = (list: readonly Hole[]) => list.map((h) => h.id);
  const none = open.filter((h) => (h.penetration ?? 0) <= 0);
  const part = open.filter((h) => (h.penetration ?? 0) > 0 && h.penetration! < thick(h) - SAME_MM);
  const [short] = [...part].sort((a, b) => a.penetration! - b.penetration!);
  return [
    ...(none.length > 0
      ? [
          finding('backing-not-reached', 'stop', 'holes', {
            holes: ids(none),
            shortMm: -Math.min(...none.map((h) => h.penetration ?? 0)),
          }),
        ]
      : []),
    ...(short
      ? [
          finding('backing-part-held', 'stop', 'holes', {
            holes: ids(part),
            engagedMm: short.penetration!,
            thicknessMm: thick(short),
          }),
        ]
      : []),
  ];
}

/** The holes that may miss their studs, once: the least sure of them decides. */
function woodFindings(holes: readonly Hole[]): Finding[] {
  const open = holes.filter((h) => h.workings.probability?.terms?.[0]?.label === 'pilot-chance');
  const probeMm = Math.max(0, ...open.map((h) => EDGE_DIAMETERS * h.fixing.diameter));
  const near =
    open.length > 0 ? [finding('near-edge', 'caution', 'wall', { holes: open.map((h) => h.id), probeMm })] : [];
  const doubtful = holes.filter((h) => h.stud !== undefined && holeVerdict(h.probability) !== 'go');
  if (doubtful.length === 0) return near;
  const percent = Math.floor(Math.min(...doubtful.map((h) => h.probability)) * 100);
  // a hole that is there has met wood; what is in doubt is how much of it is left beside the screw
  const stops = doubtful.some((h) => !h.done && holeVerdict(h.probability) === 'stop');
  const values = { holes: doubtful.map((h) => h.id), percent };
  return [...near, finding('stud-doubtful', stops ? 'stop' : 'caution', 'wall', values)];
}

function boardFindings({ job }: Setting, { way }: Candidate, holes: readonly Hole[]): Finding[] {
  const open = holes.filter((h) => h.into === 'board' && !h.done);
  if (!way.board || open.length === 0) return [];
  const doubtful = open.filter((h) => h.probability < HOLE_GO);
  const percent = Math.floor(Math.min(...open.map((h) => h.probability)) * 100);
  const test = { holes: (doubtful.length > 0 ? doubtful : open).map((h) => h.id), percent };
  const found = [finding('test-hole-first', doubtful.length > 0 ? 'caution' : 'info', 'holes', test)];
  if (open.some((h) => wallAt(job.room.wall, h.x, h.y).build.kind === 'timber-stud'))
    found.push(
      finding('not-all-in-studs', policyOf(job) === 'rated-anchors' ? 'info' : 'caution', 'holes', { kind: way.kind }),
    );
  return found;
}

/** What is behind panelling nobody has said: on battens every screw reaches so much less far. */
function panelFinding({ job }: Setting, holes: readonly Hole[]): Finding[] {
  const open = holes.filter((h) => !h.done && h.into !== 'board' && isUnknownGap(job, h)).map((h) => h.id);
  return open.length > 0 ? [finding('panel-gap', 'todo', 'wall', { holes: open })] : [];
}

function isUnknownGap({ room }: Job, { x, y }: Hole): boolean {
  const { cover, gap } = wallAt(room.wall, x, y).build;
  return cover === 'panel' && gap === undefined;
}

function solidFindings({ job }: Setting, holes: readonly Hole[]): Finding[] {
  const masonry = holes.filter((h) => h.into === 'masonry');
  const backing = holes.filter((h) => h.into === 'backing');
  const ids = (list: readonly Hole[]) => list.map((h) => h.id);
  const found: Finding[] = [];
  const open = masonry.filter((h) => !h.done).map((h) => ({ id: h.id, ...unitAt(job, h) }));
  const inJoint = open.filter((h) => h.known < HOLE_CAUTION);
  if (inJoint.length > 0) {
    const upMm = clearOfBeds(job, masonry);
    const values = { holes: inJoint.map((h) => h.id), ...(upMm === undefined ? {} : { upMm }) };
    found.push(finding('in-joint', 'stop', 'wall', values));
  }
  const blind = open.filter((h) => h.unmarked.length > 0);
  if (blind.length > 0) {
    const lacking = [...new Set(blind.flatMap((h) => h.unmarked))];
    const covered = masonry.some((h) => boardOf(wallAt(job.room.wall, h.x, h.y).build) > 0);
    found.push(finding('mark-a-joint-first', 'todo', 'wall', { holes: blind.map((h) => h.id), lacking, covered }));
  }
  const missed = backing.filter((h) => h.probability < HOLE_CAUTION);
  if (missed.length > 0) found.push(finding('backing-missed', 'stop', 'wall', { holes: ids(missed) }));
  const unmarked = backing.filter((h) => h.probability >= HOLE_CAUTION && h.probability < HOLE_GO);
  if (unmarked.length > 0)
    found.push(finding('backing-edges-unmarked', isVehicle(job) ? 'stop' : 'todo', 'wall', { holes: ids(unmarked) }));
  return found;
}

/** The least up or down that takes every hole still to be drilled off the joints, mm; within a course and a half. */
function clearOfBeds(job: Job, holes: readonly Hole[]): number | undefined {
  if (holes.some((h) => h.done)) return undefined;
  const clear = (by: number) => holes.every((h) => unitAt(job, { ...h, y: h.y + by }).known >= HOLE_CAUTION);
  for (let by = 1; by <= MOST_UP_MM; by++) {
    if (clear(by)) return by;
    if (clear(-by)) return -by;
  }
  return undefined;
}
const MOST_UP_MM = 120;

/** A screw that comes out at the far side of the wall, whatever the wall is; where somebody said how deep that is. */
function throughFinding(job: Job, mount: Mount, { places }: Candidate, holes: readonly Hole[]): Finding[] {
  const out = places.flatMap((p) => {
    const { build } = wallAt(job.room.wall, p.x, p.y);
    const hole = holes.find((h) => h.slot === p.slot);
    if (build.depth === undefined || p.fastener.length === undefined || !hole || hole.done) return [];
    const within = inWall(p.fastener, mount.plate!, packingOf(hole.packing, hole.packing)).value;
    return within > build.depth - SKIN_MM ? [{ id: hole.id, byMm: within - build.depth, depthMm: build.depth }] : [];
  });
  if (out.length === 0) return [];
  const worst = out.reduce((a, b) => (b.byMm > a.byMm ? b : a));
  const { byMm, depthMm } = worst;
  return [finding('screw-through', 'stop', 'holes', { holes: out.map((o) => o.id), byMm, depthMm })];
}

/** Of the shank: a bit above or below that is a caution. Ours. */
const BIT_SHARE = { least: 0.35, most: 0.85 } as const;

function bitFindings(job: Job, { way, places }: Candidate, holes: readonly Hole[]): Finding[] {
  const kit = kitOf(job);
  const found: Finding[] = [];
  const main = studPart(way)?.fastener ?? way.main;
  const lag = main?.kind === 'lag' ? main : undefined;
  const wood = places.find((p) => p.into === 'stud');
  if (lag && wood) {
    const band = leadBand(lag.diameter, gravityOf(wallAt(job.room.wall, wood.x, wood.y).build));
    const bit = holes.find((h) => h.into === 'stud')!.bit;
    // the leaflet's bit is kept: far outside the band it is minded
    const share = (lag.hole ?? 0) / lag.diameter;
    if (lag.hole !== undefined && !inBand(lag.hole, band))
      found.push(
        finding(
          'bit-outside-band',
          share > BIT_SHARE.most || share < BIT_SHARE.least ? 'caution' : 'info',
          'holes',
          { bitMm: lag.hole, ...band, usedMm: bit },
          'NDS 12.1.4, from memory',
        ),
      );
  }
  if (kit.bits.length === 0) return found;
  const lacking = holes.filter((h) => !h.done && !bitFor(kit, h));
  for (const bitMm of new Set(lacking.map((h) => h.bit))) found.push(finding('bit-to-get', 'info', 'holes', { bitMm }));
  return found;
}

/** What holes that are there have done to the plan. */
function heldFindings({ unused, lift }: Candidate): Finding[] {
  const found = unused.map((d) => finding('hole-unusable', 'caution', 'holes', { hole: d.id }));
  if (lift !== 0) found.push(finding('plate-follows-holes', 'caution', 'holes', { liftMm: lift }));
  return found;
}

/** A lag longer than plate, board and stud together: what is behind the stud meets its point. */
function pastStudFinding(job: Job, holes: readonly Hole[]): Finding[] {
  const past = holes
    .filter((h) => h.into === 'stud' && h.penetration !== undefined)
    .map((h) => h.penetration! - (wallAt(job.room.wall, h.x, h.y).build.studDepth ?? STUD_DEPTH_MM));
  const byMm = Math.max(0, ...past);
  return byMm > 0 ? [finding('lag-past-stud', 'caution', 'holes', { byMm })] : [];
}

/** Faces that differ under the plate: what has to be packed, or is. */
function packingFindings(job: Job, mount: Mount, candidate: Candidate, holes: readonly Hole[]): Finding[] {
  const { wall } = job.room;
  const { plane, rearmost, unpacked } = platePlane(wall, outlineOfPlate(mount, candidate), job.choices?.packing);
  const over = holes.filter((h) => h.packing > FACE_STEP_MM && !h.done);
  const ids = over.map((h) => h.id);
  const thicknessMm = plane - rearmost;
  if (unpacked === 0)
    return thicknessMm > FACE_STEP_MM ? [finding('packed-to-plane', 'info', 'holes', { thicknessMm, holes: ids })] : [];
  const lengths = over.flatMap((h) => (h.fixing.length === undefined ? [] : [h.fixing.length + h.packing]));
  const screw = lengths.length > 0 ? { screwMm: Math.max(...lengths) } : {};
  return [finding('packing-needed', 'stop', 'holes', { stepMm: unpacked, holes: ids, ...screw })];
}

/** What no hole can be given for, before any place was looked for. */
export function noWayFinding({ code, kind }: NoWay, { screen }: Job, mount: Mount): Finding {
  if (code === 'wall-kind-unknown') return finding(code, 'todo', 'wall', {});
  if (code === 'fixing-unknown') return fixingUnknown(kind);
  if (code !== 'steel-refused') return finding(code, 'stop', 'holes', { kind });
  const massKg = screen.mass + wholeMassOf(mount);
  return finding(code, 'stop', 'holes', { moves: moves(mount), massKg, limitKg: UNNAMED_STEEL_KG });
}

/** A wall that the label lists without what goes into it: what is to be entered. */
export const fixingUnknown = (kind: string): Finding =>
  finding('fixing-unknown', 'stop', 'mount', {
    kind,
    fields: FIXING_FIELDS.map((field) => `mount.walls.${kind}.fixing.${field}`),
  });
const FIXING_FIELDS = ['diameter', 'length', 'count'] as const;

/** What anchors would have to hold, and how much of it they may carry alone. */
export interface AnchorNumbers {
  percent: number;
  tensionN: number;
  allowableN: number;
  anchors: number;
  massKg: number;
  limitKg: number;
  outMm: number;
  limitOutMm: number;
}

/** Why a school does not allow a scheme, or what has to be acknowledged for it; with the numbers. */
export function refusalFinding(code: FindingCode, numbers: AnchorNumbers): Finding | undefined {
  const { anchors, massKg, limitKg, outMm, limitOutMm, ...load } = numbers;
  switch (code) {
    case 'anchors-refused':
    case 'arm-on-anchors-refused':
    case 'studs-not-sought':
      return finding(code, 'stop', 'holes', {});
    case 'large-on-anchors-refused':
      return finding(code, 'stop', 'holes', { anchors, massKg, limitKg, outMm, limitOutMm });
    case 'arm-on-anchors':
      return finding(code, 'stop', 'holes', { ...load, anchors });
    case 'large-on-anchors':
      return finding(code, 'stop', 'holes', numbers);
    default:
      return undefined;
  }
}

/** Why nothing can be said about what a fastener holds. */
export function noCapacityFinding(code: NoCapacity | 'load-unknown', seat: ScrewSeat | undefined): Finding {
  if (!seat || code === 'load-unknown') return finding('load-unknown', 'stop', 'holes', {});
  const { fastener, plateMm, at } = seat;
  const { board, packing, build } = overAt(seat, at);
  const at4 = (d: number) => d * (lagSizeOf(fastener.diameter)?.shankMm ?? fastener.diameter);
  switch (code) {
    case 'no-rating':
    case 'never-in-board':
    case 'unrated-on-lath':
      return finding(code, 'stop', 'holes', { kind: fastener.kind });
    case 'lag-off-table':
      return finding(code, 'stop', 'holes', { diameterMm: fastener.diameter });
    case 'lag-too-short':
      return finding(code, 'stop', 'holes', { threadMm: threadIn(seat), needMm: at4(LEAST_PENETRATION_D) });
    case 'sheet-too-thin':
      return finding(code, 'stop', 'holes', { thicknessMm: build.thickness ?? 0, leastMm: LEAST_SHEET_MM });
    case 'masonry-too-short': {
      const { have, need } = masonryHold(seat);
      return finding(code, 'stop', 'holes', { haveMm: Math.max(0, have), needMm: need });
    }
    case 'lags-too-close':
      return finding(code, 'stop', 'holes', { apartMm: seat.apart, needMm: at4(ROW_SPACING_D.least) });
    case 'rated-for-board':
      return finding(code, 'stop', 'holes', { boardMm: board, ratedMm: fastener.board ?? 0 });
    case 'grip-outside': {
      const thickMm = board + packing + plateMm + (fastener.washer ?? 0);
      return finding(code, 'stop', 'holes', {
        thickMm,
        minMm: fastener.grip?.min ?? 0,
        maxMm: fastener.grip?.max ?? 0,
      });
    }
    case 'head-through-slot':
      return finding(code, 'stop', 'holes', { headMm: fastener.head ?? 0, slotMm: seat.slot.height });
    case 'board-unsound':
      return finding(code, 'stop', 'holes', { state: build.state ?? 'none' });
  }
}

function threadIn(seat: ScrewSeat): number {
  const { fastener, wall, at } = seat;
  const length = fastener.length ?? 0;
  const thread = fastener.threadLength ?? usualThread(length);
  const wood = wallAt(wall, at.x, at.y).build.studDepth ?? STUD_DEPTH_MM;
  const tip = lagSizeOf(fastener.diameter)?.tipMm ?? 0;
  return lagHold({ length, thread, tip }, overLag(seat), wood).thread;
}

/** A stud that the slots miss by a little: some drive the lag at an angle, and there is a better way. */
export const angledFinding = (shortMm: number): Finding[] =>
  shortMm > 0 && shortMm <= ANGLED_MM ? [finding('angled-lag', 'caution', 'holes', { offMm: shortMm })] : [];

/** A flat TV on metal studs that its label does not name: on toggles, with their numbers. */
export function steelFinding({ job, mount, hanging }: Setting, holes: readonly Hole[], checked: Checked): Finding[] {
  const own = holes.filter((h) => isUnnamedSteel(mount, wallAt(job.room.wall, h.x, h.y).build));
  if (own.length === 0) return [];
  const percent = checked.ok ? Math.ceil(checked.worst.utilisation * 100) : -1;
  const limitKg = Math.min(UNNAMED_STEEL_KG, anchorLimit(holes.length));
  const values = { holes: own.map((h) => h.id), massKg: hanging.massKg, limitKg, percent };
  return [finding('steel-on-toggles', 'caution', 'holes', values)];
}
