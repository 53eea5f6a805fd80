import type { Build, DrillStep, Finding, HoleInto, Item, Job, Light, Working } from '@steddo/contract';
import { hollowAnchors } from '../fixing/anchors';
import { ratingWorking } from '../fixing/capacityWorkings';
import { exactShear, fastenerCapacity, utilisation } from '../fixing/fastenerCapacity';
import { lightSteps } from '../fixing/drillSteps';
import { leadBit } from '../fixing/leadHole';
import { DURATION, gravityOf } from '../fixing/lagTables';
import { fromAnchor, kitOf, type Fastener, type Kit } from '../fixing/kit';
import { WORKINGS } from '../primitives/arithmetic';
import { finding } from '../primitives/findings';
import type { Part } from '../primitives/part';
import { leaf, minus, node } from '../primitives/working';
import { isClearOfThings, onMainWall } from '../room/roomThings';
import { isVehicle } from '../room/roomKind';
import { wallAt } from '../room/wallAt';
import type { StudsFound } from '../wall/inferStuds';
import { GRAVITY_N_PER_KG } from '../primitives/convert';
import { HOLE_CAUTION, HOLE_GO } from '../wall/holeVerdict';
import { isMasonry } from '../fixing/fixingKinds';

/** What is light, kg (20 lb), and how far out a light thing's weight is when nobody has said, mm. Common practice, ours. */
const LIGHT_KG = 9.0718474;
const LIGHT_OUT_MM = 100;

/** A hollow mantel hangs on its timber, and is no light thing. */
const isOnTimber = ({ kind, ledger }: Item): boolean => kind === 'mantel' && ledger !== undefined;

/** By how many fixings a light thing hangs when nobody has said. */
const USUAL_FIXINGS = 2;

/** How wide a thin screw needs its wood, mm: for the chance of wood at a light fixing. */
const LIGHT_SHANK_MM = 5;

/**
 * The light things of a wall (a picture, a shelf, a soundbar's bracket): what each fixing has to hold and what
 * in the kit holds it there, best first. The weight acts half as far out as the thing stands; each fixing is
 * pulled with m g out / (lever count), the lever from its lower edge up to the fixings.
 * A shelf of 6 kg, 200 deep, on two fixings 120 above its lower edge: 24.5 N each, 29.4 N down.
 */
export function lightPart(job: Job, found: StudsFound): Part<Light[]> {
  const things = onMainWall(job.room.objects).filter((o) => o.mass !== undefined && !isOnTimber(o));
  if (things.length === 0) return { findings: [] };
  const all = things.map((thing) => lightOf(job, found, kitOf(job), thing));
  return { section: all.map((l) => l.light), findings: all.flatMap((l) => l.findings) };
}

function lightOf(job: Job, found: StudsFound, kit: Kit, thing: Item): { light: Light; findings: Finding[] } {
  const mass = thing.mass!;
  const count = thing.fixings ?? USUAL_FIXINGS;
  const path = (field: string) => `room.objects.${thing.id}.${field}`;
  const weight = node('light-weight', '*', 'N', [
    leaf('light-mass', mass, 'kg', { path: path('mass') }),
    leaf('gravity', GRAVITY_N_PER_KG, 'ratio'),
  ]);
  const out =
    thing.out === undefined
      ? leaf('light-out', LIGHT_OUT_MM / 2, 'mm', { path: path('out'), guess: true })
      : node('light-out', '/', 'mm', [
          leaf('object-out', thing.out, 'mm', { path: path('out') }),
          leaf('two', 2, 'count'),
        ]);
  const n = leaf('light-count', count, 'count', { path: path('fixings'), guess: thing.fixings === undefined });
  // at mid-height, turning about its lower edge
  const y = (thing.bottom + thing.top) / 2;
  const lever = minus(
    'light-lever',
    leaf('fixing-height', y, 'mm'),
    leaf('object-bottom', thing.bottom, 'mm', { path: path('bottom') }),
  );
  const shear = node('light-shear', '/', 'N', [weight, n]);
  const tension = node('light-pull', '/', 'N', [
    node('light-moment', '*', 'Nmm', [weight, out]),
    node('lever-count', '*', 'mm', [lever, n]),
  ]);
  const things = onMainWall(job.room.objects);
  const isClear = (x: number) => isClearOfThings(things, { x, y }, LIGHT_HOLE_MM, thing.id);
  const at = placesOf(thing, count, y, found, isClear);
  const choices = choicesFor({ job, kit, thing, tension, shear, at, heavy: mass > LIGHT_KG, y });
  const best = choices[0];
  // the work goes on with a thing that hangs too heavy: it is a caution of its own, and nothing of the set's
  const ok = best !== undefined && best.utilisation <= 1;
  const sure = ok && at.every((a) => (best.into === 'stud' ? a.wood : best.into === 'board' ? a.hollow : 1) >= HOLE_GO);
  return {
    light: {
      object: thing.id,
      mass,
      count,
      choices,
      at,
      tension,
      shear,
      verdict: best === undefined ? 'stop' : ok && sure ? 'go' : 'caution',
    },
    findings: [
      ...findingsFor(thing, mass, best, wallAt(job.room.wall, at[0]!.x, y).build.state),
      ...(at.every((a) => isClear(a.x))
        ? []
        : [finding('thing-at-holes', 'caution', 'holes', { objects: [thing.id] })]),
    ],
  };
}

/** No hole for a light thing is wider, and beside what is in the wall another place is tried so far on, mm. Ours. */
const LIGHT_HOLE_MM = 16;
const ASIDE_STEP_MM = 5;

/** Evenly along the thing, with half a step left at its ends. */
function placesOf(
  { left, right }: Item,
  count: number,
  y: number,
  { chances }: StudsFound,
  isClear: (x: number) => boolean,
): Light['at'] {
  return Array.from({ length: count }, (_, i) => {
    const wanted = left + ((right - left) * (i + 0.5)) / count;
    // beside what is in the wall there, within its own share of the thing
    const room = (right - left) / count / 2;
    const steps = Array.from({ length: Math.floor(room / ASIDE_STEP_MM) + 1 }, (_, k) => k * ASIDE_STEP_MM);
    const x = steps.flatMap((by) => [wanted + by, wanted - by]).find(isClear) ?? wanted;
    return {
      x,
      y,
      wood: Math.min(1, chances.at(x, LIGHT_SHANK_MM).lands),
      hollow: chances.clear(x, 2 * LIGHT_SHANK_MM),
    };
  });
}

interface Asked {
  job: Job;
  kit: Kit;
  thing: Item;
  tension: Working;
  shear: Working;
  at: Light['at'];
  heavy: boolean;
  y: number;
}

type Choice = Light['choices'][number];

/** Wood where every fixing meets it; else, and only for what is light, the anchors by what they leave in hand. */
function choicesFor(asked: Asked): Choice[] {
  const { job, kit, at, heavy } = asked;
  const here = wallAt(job.room.wall, at[0]!.x, asked.y).build;
  if (here.kind === 'masonry')
    return rated(
      asked,
      kit.anchors.flatMap((a) => fromAnchor(a) ?? []).filter((a) => isMasonry(a.kind)),
      'masonry',
    );
  if (here.kind !== 'timber-stud' && here.kind !== 'metal-stud') return [];
  const wood = here.kind === 'timber-stud' && at.every((a) => a.wood >= HOLE_CAUTION) ? lagChoice(asked) : [];
  const sound = here.state !== 'patched' && here.state !== 'wet' && here.cover !== 'none';
  return [...wood, ...(sound && !heavy ? rated(asked, hollowAnchors(here, kit, 0), 'board') : [])];
}

/** Up to this share of what it may an anchor suffices, and a weaker one is enough. Ours. */
const SUFFICES = 0.5;

/** The weakest that suffices first; where none does, the strongest. */
function rated({ tension, shear }: Asked, anchors: readonly Fastener[], into: HoleInto): Choice[] {
  const choices = anchors.flatMap((a): Choice[] => {
    if (!a.tension || !a.shear) return [];
    const may = {
      tension: ratingWorking('pull-held', a.tension, `${a.path}.tension`),
      shear: ratingWorking('shear-held', a.shear, `${a.path}.shear`),
    };
    const working = utilisation(WORKINGS, 'rating', { tension, shear }, may);
    return [{ into, kind: a.kind, ...idOf(a), ...boredFor(a, into), utilisation: working.value, working }];
  });
  const suffices = (c: Choice) => c.utilisation <= SUFFICES;
  return [
    ...choices.filter(suffices).sort((a, b) => b.utilisation - a.utilisation),
    ...choices.filter((c) => !suffices(c)).sort((a, b) => a.utilisation - b.utilisation),
  ];
}

const idOf = ({ id }: Fastener) => (id ? { id } : {});

/** The bit that its pack asks for, and what is done with it. */
function boredFor(fastener: Fastener, into: HoleInto): { bit?: number; steps: DrillStep[] } {
  const steps = lightSteps({ fastener, into });
  const drilled = steps.some((s) => BORES.has(s));
  return { ...(fastener.hole === undefined || !drilled ? {} : { bit: fastener.hole }), steps };
}

/** Steps that take a bit of the fixing's own; the others make their hole themselves. */
const BORES: ReadonlySet<DrillStep> = new Set<DrillStep>(['pilot', 'drill-board', 'drill-masonry', 'drill-metal']);

/** Thickness of a light thing's bracket, mm. Ours. */
const BRACKET_MM = 2;

/** The thinnest lag of the kit that bites deep enough behind this board. */
function lagChoice({ job, kit, tension, shear, at, y }: Asked): Choice[] {
  const place = { x: at[0]!.x, y };
  const front = {
    wall: job.room.wall,
    plane: wallAt(job.room.wall, place.x, y).face,
    chosen: 0,
    vehicle: isVehicle(job),
  };
  const seat = { ...front, plateMm: BRACKET_MM, into: 'stud', at: place } as const;
  for (const lag of [...kit.lags].sort((a, b) => a.diameter - b.diameter || a.length - b.length)) {
    // screwed on without a washer, through a hole of its own
    const fastener: Fastener = { ...lag, kind: 'lag', washer: undefined, path: `lags.${lag.id}` };
    const capacity = fastenerCapacity({ ...seat, fastener, slot: { height: 0 }, apart: Infinity });
    if (typeof capacity === 'string') continue;
    const may = {
      tension: leaf('pull-held', capacity.tension * DURATION.stays, 'N'),
      shear: leaf('shear-held', exactShear(capacity, 0).allowable * DURATION.stays, 'N'),
    };
    // shares added as an anchor's are, which is on the safe side of the standard's own way
    const working = utilisation(WORKINGS, 'rating', { tension, shear }, may);
    const bit = leadBit(fastener, capacity.by === 'lag' ? capacity.gravity : gravityOf({}))?.value;
    const bored = { ...boredFor(fastener, 'stud'), ...(bit === undefined ? {} : { bit }) };
    return [{ into: 'stud', kind: 'lag', id: lag.id, ...bored, utilisation: working.value, working }];
  }
  return [];
}

function findingsFor(thing: Item, massKg: number, best: Choice | undefined, state: Build['state']): Finding[] {
  const object = thing.id;
  const heavy =
    massKg > LIGHT_KG
      ? [finding('light-heavy', 'caution', 'holes', { object, massKg, limitKg: LIGHT_KG }, 'common practice')]
      : [];
  if (!best && (state === 'patched' || state === 'wet'))
    return [...heavy, finding('light-unsound', 'caution', 'holes', { object, state })];
  if (!best) return heavy.length > 0 ? heavy : [finding('light-no-rating', 'caution', 'holes', { object })];
  const percent = Math.ceil(best.utilisation * 100);
  return [
    ...heavy,
    ...(best.utilisation > 1 ? [finding('light-too-great', 'caution', 'holes', { object, percent })] : []),
  ];
}
