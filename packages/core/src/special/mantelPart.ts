import type { Finding, Item, Job, MantelHole, MantelPlan, Working } from '@steddo/contract';
import { ratingWorking } from '../fixing/capacityWorkings';
import { isMasonry } from '../fixing/fixingKinds';
import { fromAnchor, kitOf, type Fastener } from '../fixing/kit';
import { utilisation } from '../fixing/fastenerCapacity';
import { WORKINGS } from '../primitives/arithmetic';
import { GRAVITY_N_PER_KG } from '../primitives/convert';
import { finding } from '../primitives/findings';
import type { Part } from '../primitives/part';
import { leaf, minus, node, sum } from '../primitives/working';
import { isClearOfThings, onMainWall, outOf } from '../room/roomThings';
import { boardOf, gapOf, wallAt } from '../room/wallAt';
import { isThere, USABLE } from '../wall/drilledHoles';
import { HOLE_CAUTION } from '../wall/holeVerdict';
import { courseOf, jointsOfWall, shiftOf, type JointLine, type MarkedJoints } from '../wall/markedJoints';
import { unitChance } from '../wall/solidChance';
import { clearanceFindings, worstClearance } from './mantelClearance';
import { boltLineOf, boltPlaces, boltRow, leastHeight, timberOf, type BoltRow, type Ledger } from './mantelTimber';

/** So many lift a mantel's shell. Common practice. */
const LIFT_PEOPLE = 2;

/** A screw of the timber is in its unit by so many diameters at least, and its hole so much deeper, mm. Ours. */
const EMBED_DIAMETERS = 5;
const OVERDRILL_MM = 10;

/** Everything about the mantel of a wall: how far it is from the fire, its timber, what holds that. */
export function mantelPart(job: Job): Part<MantelPlan> {
  const mantels = onMainWall(job.room.objects).filter((o) => o.kind === 'mantel');
  const hung = mantels.find((m) => m.ledger) ?? mantels.find((m) => worstClearance(job, m)) ?? mantels[0];
  const burning = clearanceFindings(job);
  if (!hung) return { findings: burning };
  const clearance = worstClearance(job, hung);
  const { section, findings } = hung.ledger ? timberPart(job, hung, hung.ledger) : { section: {}, findings: [] };
  if (!clearance && !hung.ledger) return { findings: burning };
  return {
    section: { object: hung.id, ...section, ...(clearance ? { clearance } : {}) },
    findings: [...burning, ...findings],
  };
}

type Timbered = { section: Omit<MantelPlan, 'object' | 'clearance'>; findings: Finding[] };

function timberPart(job: Job, mantel: Item, ledger: Ledger): Timbered {
  const { wall } = job.room;
  const timber = timberOf(mantel, ledger);
  const boltLine = boltLineOf(timber, ledger.diameter);
  const middle = { x: (timber.left + timber.right) / 2, y: (timber.bottom + timber.top) / 2 };
  const object = mantel.id;
  const base = { timber, boltLine, holes: [], clearanceBit: ledger.diameter };
  const first = finding('mantel-first', 'info', 'room', { object, people: LIFT_PEOPLE });
  if (wallAt(wall, middle.x, middle.y).build.kind !== 'masonry')
    return { section: base, findings: [first, finding('mantel-not-masonry', 'caution', 'wall', { object })] };
  const joints = jointsOfWall(wall, job.evidence ?? [])(middle.x, middle.y);
  const row = boltRow(timber, ledger.diameter, joints);
  if (!row) {
    const heightMm = leastHeight(timber, ledger.diameter, joints);
    const values = {
      object,
      fromMm: boltLine.from,
      toMm: boltLine.to,
      ...(heightMm === undefined ? {} : { heightMm }),
    };
    return { section: base, findings: [first, finding('mantel-no-course', 'stop', 'wall', values)] };
  }
  const here = wallAt(wall, middle.x, row.y).build;
  const overMm = boardOf(here) + gapOf(here);
  const fastener = ledgerScrew(job, ledger, overMm);
  const holes = holesFor(job, mantel, {
    ledger,
    row,
    joints,
    bit: fastener?.hole ?? fastener?.diameter ?? ledger.diameter,
  });
  const blind = holes.filter((h) => h.unmarked && !h.done);
  const lacking = [...new Set(blind.flatMap((h) => h.unmarked ?? []))];
  const covered = overMm > 0;
  const inJoint = holes.filter((h) => !h.unmarked && !h.done && h.probability < HOLE_CAUTION);
  if (holes.length === 0) return { section: base, findings: [first, thingsAt(job, timber, object)] };
  const load = fastener && loadOf(mantel, { fastener, count: holes.length, y: row.y, bottom: timber.bottom });
  return {
    section: {
      ...base,
      holes,
      ...(fastener ? { fixing: fixingOf(fastener, ledger) } : {}),
      ...(load ? { load } : {}),
    },
    findings: [
      first,
      ...(blind.length > 0
        ? [finding('mark-a-joint-first', 'todo', 'wall', { holes: blind.map((h) => h.id), lacking, covered })]
        : []),
      ...(inJoint.length > 0 ? [finding('in-joint', 'stop', 'wall', { holes: inJoint.map((h) => h.id) })] : []),
      ...(fastener ? [] : [finding('mantel-no-fixing', 'stop', 'wall', { object })]),
      ...(mantel.mass === undefined ? [finding('mantel-mass-unknown', 'todo', 'room', { object })] : []),
      ...(load && load.verdict === 'stop'
        ? [finding('mantel-load', 'stop', 'wall', { object, percent: Math.ceil(load.utilisation * 100) })]
        : []),
    ],
  };
}

/** What is in the wall all along a timber, so that no bolt finds a place. */
function thingsAt({ room }: Job, timber: ReturnType<typeof timberOf>, mantel: string): Finding {
  const under = onMainWall(room.objects).filter(
    (t) =>
      t.id !== mantel &&
      t.left < timber.right &&
      t.right > timber.left &&
      t.bottom < timber.top &&
      t.top > timber.bottom,
  );
  return finding('thing-at-holes', 'stop', 'wall', { objects: under.map((t) => t.id) });
}

/** The strongest masonry screw of the kit that goes through the timber's holes with its head on them, and far enough in. */
function ledgerScrew(job: Job, { thickness, diameter }: Ledger, overMm: number): Fastener | undefined {
  const fits = ({ diameter: shank, head, washer = 0, length }: Fastener) =>
    shank < diameter &&
    (head === undefined || washer > 0 || head > diameter) &&
    (length === undefined || length - washer - thickness - overMm >= EMBED_DIAMETERS * shank);
  return kitOf(job)
    .anchors.flatMap((a) => fromAnchor(a) ?? [])
    .filter((a) => isMasonry(a.kind) && a.tension && a.shear && fits(a))
    .sort((a, b) => Math.min(b.tension!, b.shear!) - Math.min(a.tension!, a.shear!))[0];
}

function fixingOf({ kind, id, diameter, length, hole = diameter, washer = 0 }: Fastener, ledger: Ledger) {
  const within = length === undefined ? EMBED_DIAMETERS * diameter : length - washer - ledger.thickness;
  return {
    kind,
    ...(id === undefined ? {} : { id }),
    diameter,
    ...(length === undefined ? {} : { length }),
    bit: hole,
    depth: within + OVERDRILL_MM,
  };
}

/** A bolt keeps so far from where one did not hold, mm: a joint, a void. Ours. */
const SPOILED_OFF_MM = 60;

/** Where a hole of the timber came to nothing. */
const spoiledBy =
  ({ drilled = [] }: Job, y: number) =>
  (x: number): boolean =>
    drilled.some(
      (d) => /^m\d+$/.test(d.hole) && !USABLE.has(d.result) && Math.hypot(d.x - x, d.y - y) < SPOILED_OFF_MM,
    );

interface Row {
  ledger: Ledger;
  row: BoltRow;
  joints: MarkedJoints | undefined;
  bit: number;
}

function holesFor(job: Job, mantel: Item, { ledger, row, joints, bit }: Row): MantelHole[] {
  const timber = timberOf(mantel, ledger);
  const y =
    row.course === undefined || !joints?.bed
      ? leaf('bolt-line', row.y, 'mm')
      : sum('bolt-line', courseWorking(row.course, joints.bed), leaf('off-course', row.y - row.course, 'mm'));
  const things = onMainWall(job.room.objects);
  const isSpoiled = spoiledBy(job, row.y);
  const isTaken = (x: number) => isSpoiled(x) || !isClearOfThings(things, { x, y: row.y }, bit, mantel.id);
  return boltPlaces(timber, row.y, ledger.diameter, joints, isTaken).map((x, i): MantelHole => {
    const id = `m${i + 1}`;
    const { chance, unmarked } = unitChance(joints, x, row.y, bit);
    return {
      id,
      x,
      y: row.y,
      probability: chance,
      ...(unmarked.length > 0 ? { unmarked } : {}),
      done: isThere(job, id),
      workings: { x: unitWorking(x, row.y, joints) ?? leaf('along-timber', x, 'mm'), y },
    };
  });
}

/** The middle of a course, from the marked bed joint: so many of a unit with its joint, and half of one. */
function courseWorking(middle: number, bed: JointLine): Working {
  const courses = (middle - bed.at) / bed.every;
  return sum('course-middle', leaf('marked-bed', bed.at, 'mm'), unitsOf(courses, bed.every));
}

/** The middle of a unit, from the marked upright joint; half a unit over where its course is so. */
function unitWorking(x: number, y: number, joints: MarkedJoints | undefined): Working | undefined {
  if (!joints?.bed || !joints.upright) return undefined;
  const { bed, upright, bond } = joints;
  const shift = shiftOf(courseOf(y, bed), upright.every, bond);
  const units = (x - upright.at - shift) / upright.every;
  return sum(
    'unit-middle',
    leaf('marked-upright', upright.at, 'mm'),
    ...(shift === 0 ? [] : [leaf('half-over', shift, 'mm')]),
    unitsOf(units, upright.every),
  );
}

const unitsOf = (count: number, every: number): Working =>
  node('units-along', '*', 'mm', [leaf('count-of-units', count, 'count'), leaf('unit-and-joint', every, 'mm')]);

/**
 * What each screw of the timber has to hold: the shell and what stands on it, half as far out as it is deep, turning
 * about the timber's lower edge; by a quarter of its pack's ultimate.
 *
 *   V = W / n     T = W out / 2 / (n lever)     U = T / T_a + V / V_a
 *
 * 20 kg, 200 out, three screws 27.5 above the lower edge: 65.4 N down, 237.7 N out each. Undefined without a mass.
 */
function loadOf(
  mantel: Item,
  { fastener, count, y, bottom }: { fastener: Fastener; count: number; y: number; bottom: number },
): MantelPlan['load'] {
  if (mantel.mass === undefined) return undefined;
  const path = (field: string) => `room.objects.${mantel.id}.${field}`;
  const weight = node('light-weight', '*', 'N', [
    leaf('light-mass', mantel.mass, 'kg', { path: path('mass') }),
    leaf('gravity', GRAVITY_N_PER_KG, 'ratio'),
  ]);
  const out = node('light-out', '/', 'mm', [
    leaf('object-out', outOf(mantel), 'mm', { path: path('out'), guess: mantel.out === undefined }),
    leaf('two', 2, 'count'),
  ]);
  const n = leaf('light-count', count, 'count');
  const lever = minus('light-lever', leaf('bolt-line', y, 'mm'), leaf('timber-bottom', bottom, 'mm'));
  const shear = node('light-shear', '/', 'N', [weight, n]);
  const tension = node('light-pull', '/', 'N', [
    node('light-moment', '*', 'Nmm', [weight, out]),
    node('lever-count', '*', 'mm', [lever, n]),
  ]);
  const may = {
    tension: ratingWorking('pull-held', fastener.tension!, `${fastener.path}.tension`),
    shear: ratingWorking('shear-held', fastener.shear!, `${fastener.path}.shear`),
  };
  const working = utilisation(WORKINGS, 'rating', { tension, shear }, may);
  return {
    tension: tension.value,
    shear: shear.value,
    utilisation: working.value,
    verdict: working.value > 1 ? 'stop' : 'go',
    working,
  };
}
