import type { Finding, Hole, Mount, Packing, Plan, Ranked, SchemePlan, TimberPlan } from '@steddo/contract';
import type { Carried, Hung } from '../arm/hung';
import type { YieldTable } from '../fixing/fastenerCapacity';
import { kitOf } from '../fixing/kit';
import { gravityOf } from '../fixing/lagTables';
import { leadBand } from '../fixing/leadHole';
import type { Checked } from '../load/checkFastening';
import type { Fastening } from '../load/fastening';
import { armHoles, chainOf } from '../placement/chain';
import { hangsAt, type Frame, type Spot } from '../placement/placeSet';
import { studPart } from '../plate/chooseSlots';
import type { PlatePlan } from '../plate/planPlate';
import { finding } from '../primitives/findings';
import { packingUnder, plateOutline, platePlane } from '../room/platePlane';
import { FREE_EDGE_MM } from '../room/freeEdges';
import { onMainWall, ROOM_THINGS } from '../room/roomThings';
import { boardOf, buildsOf, studBuildOf } from '../room/wallAt';
import { asideOf, moves } from '../arm/arm';
import { anchorRefusal } from '../fixing/anchors';
import { lacksLag } from '../fixing/kitFixing';
import { isSought } from '../wall/isSought';
import { studsNeeded } from '../plate/plateSearch';
import { half, leaf, minus, named, sum } from '../primitives/working';
import type { StudsFound } from '../wall/inferStuds';
import { isInOpening, wasOpened } from '../wall/openedWall';
import { chooseScheme, fasteningOf, keyOf, NO_WOOD, type Scheme, type Schemes } from './chooseScheme';
import { outlineOfPlate } from './candidateFront';
import { holesOf, holesThere } from './holesOf';
import { partsOf, timberParts } from './partsOf';
import {
  angledFinding,
  fixingUnknown,
  noCapacityFinding,
  noWayFinding,
  refusalFinding,
  schemeFindings,
  steelFinding,
} from './schemeFindings';
import { isOnWall, settingOf, type Candidate, type PlateAt, type Setting } from './schemeSearch';
import type { Trouble } from './remedies';
import { placeTimber } from './timberAcross';
import { boxOf } from './timberPlaced';
import { timberScrews } from './timberScrews';
import { ANCHOR_OUT_MM, anchorLimit, refusedBy, policyOf, type Hanging } from './ways';
import { SAME_MM } from '../primitives/epsilons';

/** What the scheme makes of a spot: the plate's place, the holes, and the set where it hangs from them. */
export interface SchemeMade {
  spot: Spot;
  plate: PlatePlan;
  /** What holds it; absent where nothing does. */
  fastening?: Fastening;
  holes: Hole[];
  /** What is packed under the plate. */
  packing?: Packing[];
  /** A timber across two studs that the plate goes onto. */
  timber?: TimberPlan;
  /** A step that nobody has packed yet, mm. */
  unpacked?: number;
  section?: Plan['scheme'];
  /** What keeps it from being fastened here, before any load is asked for. */
  trouble?: Trouble;
  findings: Finding[];
}

export interface SchemeInput {
  frame: Frame;
  mount: Mount;
  plate: PlatePlan;
  found: StudsFound;
  spot: Spot;
  wall: Pick<Plan, 'courses' | 'backing'>;
  ranking: readonly Ranked[];
  yieldTable: YieldTable;
  /** Where it carries the set by statics of its own, and the mount as it moves there. */
  carried?: { by: readonly Carried[]; mount: Mount };
}

/** Step two, with the height known: plate, arm hole, fold and fasteners together, and every caution that goes with them. */
export function schemePart(input: SchemeInput): SchemeMade | undefined {
  const { frame, mount, found, plate, spot } = input;
  if (!mount.plate?.slots?.length) return undefined;
  const timber = frame.job.choices?.timber;
  if (!timber) return onWall(input);
  const [first] = platesOf(frame, spot, mount);
  if (!first) return undefined;
  const [x, bottom] = [plate.x.value, first.bottom.value];
  const placed = placeTimber({ job: frame.job, mount, found, timber, x, bottom });
  if (!placed) {
    const findings = [finding('timber-no-studs', 'stop', 'wall', { way: timber.way ?? 'across' })];
    const section = { ...noScheme(x), alternatives: [] };
    return { spot, plate, holes: drilledThere(input), section, findings, trouble: 'no-place' };
  }
  const wall = { ...input.wall, backing: { ...boxOf(placed.box), evidence: [] } };
  const made = onWall({ ...input, mount: placed.mount, wall, frame: { ...frame, job: placed.job } });
  if (!made) return undefined;
  const hung = hungOf(frame, made.spot, mount);
  const { job } = frame;
  const { holes } = made;
  const own = timberScrews({ job, mount, timber, placed, holes, hung, yieldTable: input.yieldTable });
  const { section } = made;
  // where the wall was open nobody looks through a hole of the thin bit
  const unseen = made.holes.some((h) => !h.done && !isInOpening(own.section)(h));
  const taken = section?.parts.filter((p) => p.kind !== 'look' || unseen || !wasOpened(own.section));
  const parts = taken && [...taken, ...timberParts(own.section, kitOf(job), taken)];
  return {
    ...made,
    ...(section && parts ? { section: { ...section, parts } } : {}),
    timber: own.section,
    findings: [...own.findings, ...made.findings],
  };
}

/** Holes that are there already, while no timber finds its studs. */
function drilledThere(input: SchemeInput): Hole[] {
  const { frame, spot, mount } = input;
  const { timber: _, ...choices } = frame.job.choices ?? {};
  const bare = { ...input, frame: { ...frame, job: { ...frame.job, choices } } };
  const setting = settingFor(bare, platesOf(bare.frame, spot, mount));
  return 'code' in setting ? [] : holesThere(setting);
}

/** The same onto the wall as it is. */
function onWall(input: SchemeInput): SchemeMade | undefined {
  const { frame, mount, plate, spot } = input;
  const plates = platesOf(frame, spot, mount);
  if (plates.length === 0) return undefined;
  const none = { spot, plate, holes: [] };
  const setting = settingFor(input, plates);
  if ('code' in setting) return { ...none, findings: [noWayFinding(setting, frame.job, mount)] };
  const hung = { ...hungOf(frame, spot, mount), ...(input.carried ? carriedBy(input.carried) : {}) };
  const schemes = chooseScheme(setting, hung);
  const { best } = schemes;
  if (!best) return { ...none, holes: holesThere(setting), ...refused(input, setting, schemes) };
  return { ...none, ...chosen(input, setting, best, schemes), fastening: fasteningOf(hung, best.candidate) };
}

const carriedBy = ({ by, mount }: NonNullable<SchemeInput['carried']>): Pick<Hung, 'carried' | 'mount'> => ({
  carried: by,
  mount,
});

/** The setting of the search with a spot's plates. */
export const settingFor = ({ frame, mount, found, wall, yieldTable }: SchemeInput, plates: readonly PlateAt[]) =>
  settingOf({
    ...{ job: frame.job, mount, found, plan: wall, centreX: frame.centreX, plates, yieldTable },
    spacer: frame.spacer?.value ?? 0,
  });

/** Every arm hole that may be used, and where it puts the plate with the set where it hangs. */
export function platesOf({ job, height }: Frame, spot: Spot, mount: Mount): PlateAt[] {
  const own = spot.chain?.armHole ?? 0;
  const asked = job.choices?.armHole;
  const free = asked === undefined && !job.measured?.length;
  const holes = free ? Array.from({ length: Math.max(1, armHoles(mount).length) }, (_, i) => i) : [own];
  return holes.flatMap((armHole): PlateAt[] => {
    const chain = armHole === own && spot.chain ? spot.chain : chainOf(job, mount, height, armHole);
    const bottom = hangsAt({ ...spot, chain }, job).plateBottom;
    const which = armHoles(mount).length > 0 ? { armHole } : {};
    return bottom ? [{ bottom, trim: Math.abs(armHole - own), ...which }] : [];
  });
}

/** What hangs where at a spot, its plate still to be placed. */
export function hungOf({ job, centreX, width, height, spacer }: Frame, spot: Spot, mount: Mount): Hung {
  const [x, halfWidth, bottom] = [centreX.value, width.value / 2, spot.bottom.value];
  return {
    job,
    mount,
    centre: { x, y: spot.centre.value },
    left: x - halfWidth,
    right: x + halfWidth,
    bottom,
    top: bottom + height.value,
    plateX: x,
    fold: 'left',
    spacer: spacer?.value ?? 0,
  };
}

type Made = Pick<SchemeMade, 'findings'> & Partial<SchemeMade>;

function chosen(input: SchemeInput, setting: Setting, best: Scheme, schemes: Schemes): Made {
  const { candidate, checked } = best;
  const { job } = setting;
  const holes = holesOf(setting, candidate);
  if (!holes) {
    const lag = studPart(candidate.way)?.fastener ?? candidate.way.main!;
    const band = leadBand(lag.diameter, gravityOf(studBuildOf(job.room.wall).build));
    return { findings: [finding('no-bit', 'stop', 'holes', { ...band })] };
  }
  const others = schemes.others.map((s) => schemePlanOf(setting, s));
  const outline = outlineOfPlate(setting.mount, candidate);
  const packing = packingUnder(job.room.wall, outline, job.choices?.packing);
  const { unpacked } = platePlane(job.room.wall, outline, job.choices?.packing);
  return {
    ...(packing.length > 0 ? { packing } : {}),
    ...(unpacked > 0 ? { unpacked } : {}),
    spot: movedSpot(input, candidate),
    holes,
    findings: [
      ...goneFinding(schemes),
      ...(checked.ok ? [] : [noCapacityFinding(checked.code, checked.seat)]),
      ...askedFor(setting, candidate, checked),
      ...steelFinding(setting, holes, checked),
      ...schemeFindings(setting, candidate, holes),
    ],
    ...(checked.ok ? {} : { trouble: checked.code === 'lag-too-short' ? 'short-screw' : 'load' }),
    plate: { ...input.plate, x: candidate.x, fold: candidate.fold },
    section: {
      ...schemePlanOf(setting, best),
      alternatives: others,
    },
  };
}

const goneFinding = ({ gone }: Schemes): Finding[] =>
  gone === undefined ? [] : [finding('scheme-gone', 'caution', 'holes', { scheme: gone })];

/** The set where the chosen arm hole and the holes that are there leave it. */
function movedSpot({ frame, spot, mount }: SchemeInput, { plate, lift }: Candidate): Spot {
  const { job, height } = frame;
  const same = plate.armHole === undefined || plate.armHole === spot.chain?.armHole;
  const chain = same ? spot.chain : chainOf(job, mount, height, plate.armHole!);
  const kept = { ...spot, ...(chain ? { chain } : {}) };
  if (Math.abs(lift) <= SAME_MM) return kept;
  const centre = sum('set-centre', named('set-centre', spot.centre), leaf('plate-lift', lift, 'mm'));
  return { ...kept, centre, bottom: minus('set-bottom', centre, half('half-height', height)) };
}

/** What a policy wants to be told before it lets anchors carry this; with the numbers. */
function askedFor({ job, mount, hanging }: Setting, { way, places }: Candidate, checked: Checked): Finding[] {
  const code = refusedBy(way, job, mount, hanging);
  const numbers = numbersOf(checked, hanging, places.filter((p) => p.into === 'board').length);
  const asked = code && refusalFinding(code, numbers);
  if (!asked) return [];
  // read and said so counts where it holds in every case, the hand included; never beyond
  return [{ ...asked, acknowledgeable: asked.acknowledgeable && checked.ok && checked.verdict === 'go' }];
}

function numbersOf(checked: Checked, { massKg, outMm }: Hanging, anchors: number) {
  const hung = { massKg, outMm, anchors, limitKg: anchorLimit(anchors), limitOutMm: ANCHOR_OUT_MM };
  if (!checked.ok) return { ...hung, percent: -1, tensionN: 0, allowableN: 0 };
  const { worst, carrying } = checked;
  const tensions = worst.forces.map((f) => f.tension);
  const i = tensions.indexOf(Math.max(...tensions));
  return {
    percent: Math.ceil(worst.utilisation * 100),
    tensionN: tensions[i]!,
    allowableN: carrying.capacities[i]!.tension,
    ...hung,
  };
}

function schemePlanOf(setting: Setting, { candidate, checked }: Scheme): SchemePlan {
  const { way, places, plate, fold, x, shift, hard } = candidate;
  const holes = holesOf(setting, candidate) ?? [];
  const tooMuch = checked.ok && checked.verdict === 'stop' ? 'load-too-great' : undefined;
  const stop = hard ?? (checked.ok ? tooMuch : checked.code);
  return {
    key: keyOf(candidate),
    kind: way.kind,
    shift,
    worstProbability: Math.min(...places.map((p) => p.chance)),
    ...(checked.ok ? { worstUtilisation: checked.worst.utilisation } : {}),
    ...(stop ? { stoppedBy: stop } : {}),
    plateX: x.value,
    ...(plate.armHole === undefined ? {} : { armHole: plate.armHole }),
    ...(fold ? { fold } : {}),
    holes: places.map((p) => ({ x: p.x, y: p.y, into: p.into })),
    bits: [...new Set(holes.filter((h) => !h.done).map((h) => h.bit))].sort((a, b) => a - b),
    parts: partsOf(
      holes,
      places.map((p) => p.fastener),
      kitOf(setting.job),
      packingUnder(setting.job.room.wall, outlineOfPlate(setting.mount, candidate), setting.job.choices?.packing),
    ),
  };
}

/** Nothing that the policy allows: why. */
function refused({ plate }: SchemeInput, setting: Setting, schemes: Schemes): Made {
  const short = plate.lacking.find((f) => f.code === 'no-stud-in-slots')?.values.shortMm;
  const missing = policyOf(setting.job) === 'rated-anchors' && !setting.ways.some((w) => w.board);
  const why = whyNot(plate, setting, schemes);
  return {
    findings: [
      ...why.map((f) => whereToLook(f, setting)),
      ...(typeof short === 'number' ? angledFinding(short) : []),
      ...(missing ? [finding('anchors-missing', 'caution', 'holes', {})] : []),
      ...goneFinding(schemes),
    ],
    section: { ...noScheme(plate.x.value), alternatives: schemes.others.map((s) => schemePlanOf(setting, s)) },
    ...(why.some((f) => f.level === 'stop') ? { trouble: 'no-place' } : {}),
  };
}

/**
 * The first reason that keeps every hole away, and never none: the plate beyond the wall, a wall listed without its
 * fixing, what is in the wall, wood that was looked for and what keeps anchors out, the studs, the policy.
 */
function whyNot(plate: PlatePlan, setting: Setting, schemes: Schemes): Finding[] {
  const { job, mount, hanging, ways } = setting;
  const off = beyondWall(setting);
  if (off) return [off];
  const { kind } = studBuildOf(job.room.wall).build;
  const listed = mount.walls[kind];
  const inStud = ways.some((w) => studPart(w));
  if (kind === 'timber-stud' && listed && lacksLag(listed.fixing) && !inStud) return [fixingUnknown(kind)];
  const onBoard = policyOf(job) !== 'studs-only' && !moves(mount) && isDecided(setting);
  const no =
    onBoard && !ways.some((w) => w.board)
      ? anchorRefusal(studBuildOf(job.room.wall).build, mount, kitOf(job))
      : undefined;
  if (no) return [anchorFinding(no, setting)];
  const [first] = schemes.others;
  const hard = first?.candidate.hard;
  const refusal = hard && refusalFinding(hard, numbersOf(first.checked, hanging, first.candidate.places.length));
  if (plate.lacking.length > 0) return onBoard && refusal ? [refusal] : plate.lacking;
  if (refusal) return [refusal];
  return [nothingFits(setting, schemes)];
}

/** No stud was met where every slot could come, and somebody has looked. */
function isDecided(setting: Setting): boolean {
  const { expected, lookedFor } = setting.wood();
  return lookedFor && expected <= NO_WOOD;
}

/** The plate would stand over the wall's end, wherever the set slides on it. */
function beyondWall(setting: Setting): Finding | undefined {
  const { job, mount, spots, fixedX } = setting;
  const half = (mount.plate?.width ?? 0) / 2;
  const slide = fixedX ? 0 : asideOf(mount);
  const { width } = job.room.wall;
  const xs = fixedX ? [fixedX.value] : spots.map((s) => s.nominal.value);
  const off = xs.map((x) => Math.max(half - x - slide, x - slide + half - width));
  const byMm = Math.min(...off);
  if (byMm <= SAME_MM || isOnWall(setting, xs[0]!)) return undefined;
  const end = xs[off.indexOf(byMm)]! < width / 2 ? 'left' : 'right';
  return finding('plate-off-wall', 'stop', 'holes', { byMm, end });
}

/** What is in or on the wall behind the plate, free edges of masonry, studs that nobody has found; else the wall itself. */
function nothingFits(setting: Setting, schemes: Schemes): Finding {
  const { job, mount, spots, plates, found, ways } = setting;
  if (job.room.wall.build.kind === 'unknown') return finding('wall-kind-unknown', 'todo', 'wall', {});
  const needed = studsNeeded(mount);
  const inStud = ways.some((w) => studPart(w));
  if (inStud && found.studs.length < needed) {
    const level = isSought(job) ? 'stop' : 'todo';
    return finding('find-the-stud-first', level, 'wall', { found: found.studs.length, needed });
  }
  const slide = asideOf(mount);
  const under = plates.flatMap((p) =>
    spots.map((s) => {
      const box = plateOutline(mount.plate!, s.nominal.value, p.bottom.value);
      return { ...box, left: box.left - slide, right: box.right + slide };
    }),
  );
  const objects = onMainWall(job.room.objects).filter(
    (t) =>
      ROOM_THINGS[t.kind].inWall &&
      under.some((b) => t.left < b.right && t.right > b.left && t.bottom < b.top && t.top > b.bottom),
  );
  if (objects.length > 0) return finding('thing-at-holes', 'stop', 'holes', { objects: objects.map((o) => o.id) });
  if (ways.some((w) => w.into === 'masonry'))
    return finding('free-edge-near', 'stop', 'holes', { leastMm: FREE_EDGE_MM });
  if (inStud && schemes.others.length > 0)
    return finding('find-the-stud-first', isSought(job) ? 'stop' : 'todo', 'wall', {
      found: found.studs.length,
      needed,
    });
  const builds = [...new Set(buildsOf(job.room.wall).map((b) => b.kind))];
  return finding('no-place-here', 'stop', 'holes', { builds });
}

/** What keeps the strongest anchor of the kit out of this board. */
function anchorFinding(
  { code, anchor }: NonNullable<ReturnType<typeof anchorRefusal>>,
  { job, mount }: Setting,
): Finding {
  const boardMm = boardOf(studBuildOf(job.room.wall).build);
  if (code === 'unrated-on-lath') return finding(code, 'stop', 'holes', { kind: anchor.kind });
  if (code === 'rated-for-board') return finding(code, 'stop', 'holes', { boardMm, ratedMm: anchor.board ?? 0 });
  const thickMm = boardMm + (mount.plate?.thickness ?? 0) + (anchor.washer ?? 0);
  return finding(code, 'stop', 'holes', { thickMm, minMm: anchor.grip?.min ?? 0, maxMm: anchor.grip?.max ?? 0 });
}

/** A stud to be found comes with the likeliest place for one in reach of the slots. */
const whereToLook = (f: Finding, setting: Setting): Finding => {
  if (f.code !== 'find-the-stud-first') return f;
  const { likely } = setting.wood();
  return likely === undefined ? f : { ...f, values: { ...f.values, atMm: likely } };
};

const noScheme = (plateX: number): SchemePlan => ({
  key: 'none',
  kind: 'none',
  shift: 0,
  worstProbability: 0,
  plateX,
  holes: [],
  bits: [],
  parts: [],
});
