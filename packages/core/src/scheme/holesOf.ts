import type { Hole, Job, Mount, Working } from '@steddo/contract';
import { holeChance, EDGE_DIAMETERS } from '../wall/holeChance';
import type { StudsFound } from '../wall/inferStuds';
import { PILOT_CHANCE } from '../wall/pilotMet';
import { leaf, minus, node, sum } from '../primitives/working';
import { boreOf } from '../fixing/boreOf';
import { setOutOf, stepsOf } from '../fixing/drillSteps';
import { fastenerFor, type HolePlace } from '../plate/chooseSlots';
import type { Candidate, Setting } from './schemeSearch';
import { FACE_STEP_MM } from '../room/platePlane';
import { isVehicle } from '../room/roomKind';
import { slotAt } from '../room/bracketPlate';
import { overAt, wallAt, type Fronted } from '../room/wallAt';
import { unitAt, unitHere } from '../wall/unitAt';
import { frontOf } from './candidateFront';

/**
 * The holes of a scheme in drilling order: the top row first (level on it), left to right, then the rows below.
 * A hole that is there keeps its id and its place; while every hole came out as planned, the others keep their
 * numbers too; once one did not, what is still to come gets numbers of its own: 11 on, then 21 on. Undefined
 * where no stock bit suits a lag.
 */
export function holesOf(setting: Setting, candidate: Candidate): Hole[] | undefined {
  const { job, mount, drilled } = setting;
  const slotY = (p: HolePlace) => mount.plate!.slots![p.slot]!.y;
  // of the plate's rows: a lone lower row is not its top
  const rows = [...new Set(mount.plate!.slots!.map((s) => s.y))].sort((a, b) => b - a);
  const order = [...candidate.places].sort((a, b) => slotY(b) - slotY(a) || a.x - b.x);
  const front = frontOf(job, mount, candidate);
  const packed = order.map((p) => overAt(front, p).packing);
  const firstPacked = packed.findIndex((mm, i) => mm > FACE_STEP_MM && !order[i]!.done);
  const taken = new Set([...drilled.done, ...drilled.spoiled].map((d) => d.id));
  const ids = order.map((p, i) => p.done?.id ?? freeId(`h`, NUMBERS_A_ROUND * drilled.round + i + 1, taken));
  const first = order.find((p) => !p.done);
  const holes = order.map((place, i) => {
    const row = rows.indexOf(slotY(place));
    const name = rows.length === 1 ? 'middle' : row === 0 ? 'top' : row === rows.length - 1 ? 'bottom' : 'middle';
    return holeAt(setting, candidate, place, {
      id: ids[i]!,
      order: i + 1,
      row: name,
      front,
      packing: packed[i]!,
      firstOverPacking: i === firstPacked,
      first: i === 0 && place === first,
    });
  });
  return holes.every((h) => h !== undefined) ? fromFirst(holes) : undefined;
}

/**
 * Holes that are there while nothing else can be planned: they stay in the list, as they are. One whose fixing
 * nobody knows any more is left to the record.
 */
export function holesThere(setting: Setting): Hole[] {
  const { job, mount, drilled, ways } = setting;
  return drilled.done.flatMap((done, i): Hole[] => {
    const fastener = ways.map((w) => fastenerFor(w, done.into)).find(Boolean);
    if (!fastener) return [];
    const place: HolePlace = { x: done.x, y: done.y, slot: 0, into: done.into, fastener, chance: 1, done };
    const { face } = wallAt(job.room.wall, place.x, place.y);
    const chosen = job.choices?.packing ?? 0;
    const bore = boreOf(mount, place, { wall: job.room.wall, plane: face + chosen, chosen, vehicle: isVehicle(job) });
    if (!bore) return [];
    const at = (axis: 'x' | 'y') => leaf(`drilled-${axis}`, done[axis], 'mm', drilledPath(job, done.id, axis));
    return [
      {
        id: done.id,
        order: i + 1,
        x: done.x,
        y: done.y,
        into: done.into,
        fixing: { kind: fastener.kind, diameter: fastener.diameter },
        bit: bore.bit.value,
        depth: bore.depth.value,
        probability: 1,
        hazard: 'nobody-looked',
        done: true,
        row: 'top',
        slot: 0,
        packing: chosen,
        steps: [],
        working: at('y'),
        workings: { x: at('x'), bit: bore.bit, depth: bore.depth },
      },
    ];
  });
}

/**
 * Every hole but the first by the level line through the first and by how far along it: one height from the
 * floor, then the level.
 */
function fromFirst(holes: readonly Hole[]): Hole[] {
  const [first] = holes;
  return holes.map((h) =>
    h === first || !first
      ? h
      : {
          ...h,
          workings: {
            ...h.workings,
            belowLine: minus('below-line', first.working, h.working),
            fromFirst: minus('from-first', h.workings.x, first.workings.x),
          },
        },
  );
}

/** More than any plate has holes: what a round of planning numbers from. */
const NUMBERS_A_ROUND = 10;

function freeId(letter: string, wanted: number, taken: Set<string>): string {
  let n = wanted;
  while (taken.has(`${letter}${n}`)) n += 1;
  taken.add(`${letter}${n}`);
  return `${letter}${n}`;
}

interface Naming {
  id: string;
  order: number;
  row: Hole['row'];
  front: Fronted;
  packing: number;
  firstOverPacking: boolean;
  first: boolean;
}

function holeAt(setting: Setting, candidate: Candidate, place: HolePlace, naming: Naming): Hole | undefined {
  const { job, mount, found } = setting;
  const bore = boreOf(mount, place, naming.front);
  if (!bore) return undefined;
  const { id, order, row, first } = naming;
  const { fastener, into, stud } = place;
  const x = acrossOf(setting, candidate, place);
  const y = upOf(job, candidate, place, mount);
  const chance = chanceWorking(found, place);
  const unmarked = into === 'masonry' ? unitAt(job, { ...place, bit: bore.bit.value }).unmarked : [];
  const unit = into === 'masonry' ? unitHere(job, place.x, place.y) : undefined;
  const { cover } = wallAt(job.room.wall, place.x, place.y).build;
  const edge = into === 'stud' && stud !== undefined ? edgeMargin(found, place) : undefined;
  return {
    id,
    order,
    row,
    into,
    x: place.x,
    y: place.y,
    fixing: {
      kind: fastener.kind,
      diameter: fastener.diameter,
      ...(fastener.length === undefined ? {} : { length: fastener.length }),
      ...(fastener.id === undefined ? {} : { id: fastener.id }),
    },
    bit: bore.bit.value,
    depth: bore.depth.value,
    probability: place.done ? Math.max(place.chance, chance.value) : chance.value,
    ...(unmarked.length > 0 && !place.done ? { unmarked } : {}),
    hazard: 'nobody-looked',
    done: place.done !== undefined,
    ...(stud === undefined ? {} : { stud }),
    slot: place.slot,
    ...(bore.penetration ? { penetration: bore.penetration.value } : {}),
    ...(edge ? { edgeMargin: edge.value } : {}),
    ...(fastener.washer ? { washer: fastener.washer } : {}),
    packing: naming.packing,
    ...(unit ? { unit } : {}),
    steps: stepsOf(place, first, setOutOf(job), {
      ...(cover ? { cover } : {}),
      ...(naming.front.vehicle ? { vehicle: true } : {}),
      firstOverPacking: naming.firstOverPacking,
    }),
    working: y,
    workings: {
      x,
      bit: bore.bit,
      depth: bore.depth,
      probability: chance,
      ...(bore.penetration ? { penetration: bore.penetration } : {}),
      ...(edge ? { edgeMargin: edge } : {}),
    },
  };
}

const drilledPath = (job: Job, id: string, axis: 'x' | 'y'): { path: string } => ({
  path: `drilled.${(job.drilled ?? []).findLastIndex((d) => d.hole === id)}.${axis}`,
});

function acrossOf({ job, mount, found }: Setting, { x }: Candidate, place: HolePlace): Working {
  if (place.done) return leaf('drilled-x', place.x, 'mm', drilledPath(job, place.done.id, 'x'));
  const stud = place.stud === undefined ? undefined : found.studs[place.stud];
  if (stud) return stud.drillAt ?? stud.working ?? leaf('stud-centre', stud.centre, 'mm');
  const slot = mount.plate!.slots![place.slot]!;
  const off = place.x - x.value - slot.x;
  return sum(
    'hole-across',
    x,
    slotAt(mount, place.slot).x,
    ...(Math.abs(off) > 1e-9 ? [leaf('in-slot', off, 'mm')] : []),
  );
}

function upOf(job: Job, { plate, lift }: Candidate, place: HolePlace, mount: Mount): Working {
  if (place.done) return leaf('drilled-y', place.y, 'mm', drilledPath(job, place.done.id, 'y'));
  return sum(
    'hole-height',
    plate.bottom,
    ...(lift === 0 ? [] : [leaf('plate-lift', lift, 'mm')]),
    slotAt(mount, place.slot).y,
  );
}

function chanceWorking(found: StudsFound, place: HolePlace): Working {
  if (place.edgeOpen) return node('hole-chance', '+', 'ratio', [leaf('pilot-chance', PILOT_CHANCE, 'ratio')]);
  if (place.into === 'stud' || place.into === 'metal-stud')
    return holeChance(found.chances, place.x, place.fastener.diameter);
  const label = place.into === 'board' ? 'clear-chance' : place.into === 'masonry' ? 'unit-chance' : 'backing-chance';
  return node('hole-chance', '+', 'ratio', [leaf(label, place.chance, 'ratio')]);
}

/** What is left beside the screw in its ply, beyond the 1.5 diameters that it needs; mm. */
function edgeMargin({ studs }: StudsFound, place: HolePlace): Working | undefined {
  const stud = studs[place.stud!];
  if (!stud) return undefined;
  const ply = stud.width / (stud.plies ?? 1);
  const middle = (stud.drillAt ?? stud.working)?.value ?? stud.centre;
  return minus(
    'edge-margin',
    node('half-stud', '/', 'mm', [
      leaf('stud-width', ply, 'mm', { path: 'room.wall.build.studWidth' }),
      leaf('two', 2, 'count'),
    ]),
    leaf('off-stud-middle', Math.abs(place.x - middle), 'mm'),
    node('edge-needed', '*', 'mm', [
      leaf('edge-diameters', EDGE_DIAMETERS, 'ratio'),
      leaf('shank', place.fastener.diameter, 'mm'),
    ]),
  );
}
