import type { Hole, Job, Plan, Stud } from '@steddo/contract';
import { setOutOf, type SetOut } from '../fixing/drillSteps';
import { usableSlots } from '../plate/usableSlots';
import { leaves } from '../primitives/working';
import { EDGE_DIAMETERS, plyStarts } from '../wall/holeChance';
import type { StudsFound } from '../wall/inferStuds';
import type { WallBelief } from '../wall/wallBelief';

/** Where one stud's plies may be: each place with its chance, summed up to it. */
export interface StudPlaces {
  /** Of the plan's studs. */
  stud: number;
  /** Chance of this place and all before it; what is left to 1 is no stud here. */
  upTo: Float64Array;
  /** Middles of the plies that a place has, and the room beside each of them. */
  middles: readonly (readonly number[])[];
  half: Float64Array;
  /** Where the plan takes its middle to be, with the room beside it. */
  known: { middle: number; half: number };
  /** The edge that is worth one more poke. */
  edge: number;
}

/** A hole that is still to be drilled: in one of the studs, or hit with the chance that it has. */
export interface ToleranceHole {
  x: number;
  y: number;
  /** Of `studs`; absent: by its chance alone, together with the holes of the same group. */
  stud?: number;
  group: number;
  chance: number;
}

/** What is drawn: errors of everything between the tape and the finished plate. Lengths mm. */
export interface ToleranceModel {
  setOut: SetOut;
  holes: readonly ToleranceHole[];
  studs: readonly StudPlaces[];
  groups: number;
  /** The chance that the wood is a sheet behind the board. */
  sheet: number;
  /** So many readings make the height of a hole. */
  readings: number;
  /** Between the outer holes, and how far their slots let the plate turn over it, both ends together. */
  span: number;
  play: number;
  setWidth: number;
  /** The level was turned end for end, so that its own error is known. */
  turned: boolean;
}

/** Two holes of anchors this near to each other along the wall meet the same thing, mm. Ours. */
const SAME_COLUMN_MM = 30;

/** The model of a planned job; undefined while there are no holes. */
export function toleranceModel(job: Job, plan: Plan, found: StudsFound): ToleranceModel | undefined {
  const { holes = [], placement, studs = [] } = plan;
  // of two walls nobody has worked it out
  if (holes.length === 0 || !placement || plan.corner) return undefined;
  const open = holes.filter((h) => !h.done);
  const places = studPlaces(open, studs, found);
  const columns = columnsOf(open);
  const xs = holes.map((h) => h.x);
  return {
    setOut: setOutOf(job),
    holes: open.map((h): ToleranceHole => {
      const stud = h.into === 'stud' ? places.findIndex((p) => p.stud === h.stud) : -1;
      const base = { x: h.x, y: h.y, group: columns.get(h)!, chance: h.probability };
      return stud < 0 ? base : { ...base, stud };
    }),
    studs: places,
    groups: new Set(columns.values()).size,
    sheet: found.sheet,
    readings: readingsIn(holes[0]!),
    span: Math.max(...xs) - Math.min(...xs),
    play: playOf(job, holes[0]!),
    setWidth: placement.right - placement.left,
    turned: isTurned(plan),
  };
}

/** Holes into anything but a stud, by what they meet together: a column of anchors, or each unit by itself. */
function columnsOf(holes: readonly Hole[]): Map<Hole, number> {
  const groups: Hole[] = [];
  return new Map(
    holes.map((h) => {
      const alike = (o: Hole) => o.into === h.into && h.into !== 'masonry' && Math.abs(o.x - h.x) < SAME_COLUMN_MM;
      const known = groups.findIndex(alike);
      if (known >= 0) return [h, known];
      groups.push(h);
      return [h, groups.length - 1];
    }),
  );
}

/** Measures of set, mount and staged set that the height of a hole is made of. */
function readingsIn({ working }: Hole): number {
  const paths = leaves(working).flatMap(({ path }) => (path && /^(screen|mount|measured)\./.test(path) ? [path] : []));
  return Math.max(1, new Set(paths).size);
}

function playOf({ mount }: Job, { fixing }: Hole): number {
  const slots = mount ? usableSlots({ mount, fixing }) : [];
  return slots.length === 0 ? 0 : Math.min(...slots.map((s) => s.slot.height)) - fixing.diameter;
}

/** A level that nobody has read yet will be turned, as the ladder asks. */
const isTurned = ({ level }: Plan): boolean => {
  const plate = level?.groups.filter((g) => g.on === 'plate') ?? [];
  return plate.length === 0 || plate.some((g) => g.instrumentError !== undefined);
};

/** The studs that holes go into, each with every place that the readings leave possible for it. */
function studPlaces(holes: readonly Hole[], studs: readonly Stud[], found: StudsFound): StudPlaces[] {
  const used = [...new Set(holes.flatMap((h) => (h.into === 'stud' && h.stud !== undefined ? [h.stud] : [])))];
  return used.map((stud) => {
    const own = holes.filter((h) => h.stud === stud);
    const x = own.reduce((sum, h) => sum + h.x, 0) / own.length;
    const diameter = own[0]!.fixing.diameter;
    return placesOf(found.belief, stud, studs[stud], { x, diameter });
  });
}

function placesOf(
  { grid, layers }: WallBelief,
  stud: number,
  known: Stud | undefined,
  { x, diameter }: { x: number; diameter: number },
): StudPlaces {
  const middles: number[][] = [];
  const chances: number[] = [];
  const halves: number[] = [];
  for (const { plyMm, types, chance } of layers) {
    const half = plyMm / 2 - EDGE_DIAMETERS * diameter;
    types.forEach(({ plies, offset }, k) => {
      const starts = plyStarts(plies, offset, plyMm);
      const shift = grid.from + plyMm / 2;
      const first = Math.max(0, Math.ceil(x - plyMm - shift - Math.max(...starts)));
      const last = Math.min(grid.size - 1, Math.floor(x + plyMm - shift - Math.min(...starts)));
      for (let n = first; n <= last; n++) {
        const p = chance[k]![n]!;
        if (p < LEAST_CHANCE) continue;
        middles.push(starts.map((s) => n + shift + s));
        chances.push(p);
        halves.push(half);
      }
    });
  }
  const total = chances.reduce((sum, p) => sum + p, 0);
  const scale = total > 1 ? 1 / total : 1;
  let sum = 0;
  const [widest] = [...layers].sort((a, b) => b.weight - a.weight);
  const plyMm = widest?.plyMm ?? 0;
  const middle = known?.drillAt?.value ?? known?.centre ?? x;
  return {
    stud,
    upTo: Float64Array.from(chances, (p) => (sum += p * scale)),
    middles,
    half: Float64Array.from(halves),
    known: { middle, half: plyMm / 2 - EDGE_DIAMETERS * diameter },
    edge: middle - plyMm / 2,
  };
}

/** A place less likely than this is never drawn. */
const LEAST_CHANCE = 1e-9;
