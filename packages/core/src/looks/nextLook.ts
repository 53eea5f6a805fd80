import type { Job, Looking, NextLook, Plan } from '@steddo/contract';
import { plateSearch } from '../plate/planPlate';
import type { Aim } from '../plate/chooseSlots';
import { plateOptions, studsNeeded, type LagSetting } from '../plate/plateSearch';
import { leaf } from '../primitives/working';
import { inferStuds, readingsOf, type StudsFound } from '../wall/inferStuds';
import { lookOutcomes, type LookKind, NEXT_LOOK } from './lookOutcomes';
import { bestAim, columnChance, possibleStuds, type Possible } from './possibleStuds';
import { EDGE_SD_MM, STUD_WIDTH_MM } from '../primitives/wallFacts';
import { HOLE_CAUTION, HOLE_GO } from '../wall/holeVerdict';
import { STUD_SPACING_MM } from '../room/usualSizes';
import { asideOf } from '../arm/arm';

/** The looks worth taking, best first, and how sure the holes are without any. */
export interface NextLooks {
  looking: Looking;
  looks: NextLook[];
}

interface Weighing {
  job: Job;
  plan: Plan;
  found: StudsFound;
  search: LagSetting;
  diameter: number;
  rows: number;
  ways: Possible[][];
}

/**
 * Where to look next for the holes of a plan. For each look that somebody could take at a stud under
 * consideration:
 *
 *   gain = E over outcomes of [ the best plan's P(all holes land) after it ] - the best plan's P now
 *
 * with the plate placed and the holes chosen anew after every outcome. Enough when every hole is at 0.98,
 * or when the best look gains under half a point. Looks of a `skip`ped kind and place are left out
 * (`probe@1650`, or a kind alone). Undefined where there are no lags into studs to place.
 */
export function nextLooks(
  job: Job,
  plan: Plan,
  skip: readonly string[] = [],
  found: StudsFound = inferStuds(...readingsOf(job)),
): NextLooks | undefined {
  const setting = weighingOf(job, plan, found);
  if (!setting) return undefined;
  const { ways, search, plan: p } = setting;
  const now = valueOf(setting, ways, search.aims);
  if (now === 0) return nothingFits(setting, skip);
  const holes = p.holes ?? [];
  if (holes.length > 0 && holes.every((h) => h.probability >= HOLE_GO))
    return { looking: { now, enough: 'sure' }, looks: [] };
  const all = skipping(
    candidates(setting).map((c) => ({ ...c, gain: gainOf(setting, c, now) })),
    skip,
  );
  const worth = ordered(all.filter((l) => l.gain >= NEXT_LOOK.leastGain));
  const looks = worth.length > 0 ? worth.map(({ stud: _, ...l }) => l) : skipping(settling(setting), skip);
  return { looking: looks.length > 0 ? { now } : { now, enough: 'little-gain' }, looks };
}

/** No plate can be placed: a pass where its slots would come, twice at most; after that no look helps. */
function nothingFits(setting: Weighing, skip: readonly string[]): NextLooks {
  const first = findFirst(setting);
  const [from, to] = [first.from ?? first.x, first.to ?? first.x];
  const passes = (setting.job.scans ?? []).filter(
    (s) => s.instrument !== 'live' && s.from <= from + SAME_SCAN_MM && s.to >= to - SAME_SCAN_MM,
  );
  if (passes.length >= 2) return { looking: { now: 0, enough: 'no-place' }, looks: [] };
  return { looking: { now: 0 }, looks: skipping([first], skip) };
}

/** A scan that ends so near to where it was wanted covers it, mm. */
const SAME_SCAN_MM = 60;

/**
 * A doubtful stud that no other can stand in for: on average no look makes the holes better there, but a
 * poke says whether the stud is there before a lag does.
 */
function settling(setting: Weighing): NextLook[] {
  const { plan, found, search } = setting;
  const doubtful = (plan.holes ?? []).filter(
    (h) => h.stud !== undefined && h.probability < HOLE_CAUTION && found.studs[h.stud]!.probability < HOLE_GO,
  );
  const studs = [...new Set(doubtful.flatMap((h) => h.stud ?? []))];
  return studs.map((stud) => {
    const { stud: _, ...look } = probeAt(setting, stud, search.aims[stud]!.x.value);
    return { ...look, gain: 0, reason: 'settle' };
  });
}

function weighingOf(job: Job, plan: Plan, found: StudsFound): Weighing | undefined {
  const { mount } = job;
  const centre = plan.placement?.centre.x;
  if (!mount || centre === undefined) return undefined;
  const search = plateSearch(job, mount, found, leaf('centre-chosen', centre, 'mm'));
  if (!search) return undefined;
  const { fixing } = search;
  const count = lagsOf(plan) ?? fixing.count;
  const rows = Math.ceil(count / studsNeeded(mount));
  const ways = found.studs.map((s) => possibleStuds(found.belief, s));
  const asked = { ...search, fixing: { ...fixing, count } };
  return { job, plan, found, search: asked, diameter: fixing.diameter, rows, ways };
}

/** How many of a plate's holes go into studs where others go into what is behind the rest of it. */
const lagsOf = ({ scheme, holes = [] }: Plan): number | undefined =>
  scheme?.kind === 'mixed' ? holes.filter((h) => h.into === 'stud' || h.into === 'metal-stud').length : undefined;

/** P(all holes land) of the plate that makes it largest, each stud's column standing for itself. */
function valueOf({ search, diameter, rows }: Weighing, ways: readonly Possible[][], aims: readonly Aim[]): number {
  const sure = aims.map((a, i) => columnChance(ways[i]!, a.x.value, diameter, rows));
  return plateOptions({ ...search, aims }).reduce(
    (best, { studs }) =>
      Math.max(
        best,
        studs.reduce((p, i) => p * sure[i]!, 1),
      ),
    0,
  );
}

type Candidate = Omit<NextLook, 'gain'> & { stud: number; kind: LookKind };

/** Every few millimetres around the studs that some plate could use, and a pass of each finder over them. */
function candidates(setting: Weighing): Candidate[] {
  const { search } = setting;
  const used = new Set(plateOptions(search).flatMap((o) => o.studs));
  return [...used].flatMap((stud) => {
    const at = search.aims[stud]!.x.value;
    const { withinMm, stepMm } = NEXT_LOOK;
    const passes = (['edge', 'centre'] as const).map((kind) => scanAt(setting, stud, kind, at, withinMm));
    const count = Math.floor(withinMm / stepMm);
    const ways = setting.ways[stud]!;
    const places = Array.from({ length: 2 * count + 1 }, (_, i) => at + (i - count) * stepMm);
    const probes = places.filter((x) => isOpen(ways, x)).map((x) => probeAt(setting, stud, x));
    return [...passes, ...probes];
  });
}

/** Whether it is open if there is wood: a poke into what is all but certain tells nothing. */
function isOpen(ways: readonly Possible[], x: number): boolean {
  const wood = ways.reduce(
    (p, { type, n, p: by }) => (x >= n - type.offset && x <= n - type.offset + type.width ? p + by : p),
    0,
  );
  return wood > CERTAIN && wood < 1 - CERTAIN;
}

const CERTAIN = 0.005;

function scanAt(setting: Weighing, stud: number, kind: 'edge' | 'centre', x: number, within: number): Candidate {
  const reason = setting.found.studs[stud]!.probability < 0.9 ? 'is-it-there' : 'sharpen';
  return { stud, kind, x, y: heightOf(setting), reason, from: x - within, to: x + within };
}

function probeAt(setting: Weighing, stud: number, x: number): Candidate {
  const { centre, width } = setting.found.studs[stud]!;
  const reason = Math.abs(x - centre) < width / 4 ? 'is-it-there' : 'tell-edge';
  return { stud, kind: 'probe', x, y: heightOf(setting), reason, hidden: isHidden(setting, x) };
}

/** At the plate's middle, where it hides what is drilled. */
function heightOf({ plan }: Weighing): number {
  const plate = plan.placement?.plate;
  return plate ? (plate.bottom + plate.top) / 2 : (plan.placement?.centre.y ?? 0);
}

function isHidden({ job, plan }: Weighing, x: number): boolean {
  const plate = plan.placement?.plate;
  const middle = plate ? (plate.top - plate.bottom) / 2 : 0;
  const open = (job.mount?.plate?.open ?? []).some(
    (o) => plate && x >= plate.x + o.left && x <= plate.x + o.right && middle >= o.bottom && middle <= o.top,
  );
  return plate !== undefined && x >= plate.left && x <= plate.right && !open;
}

function gainOf(setting: Weighing, { stud, kind, x }: Candidate, now: number): number {
  const { ways, search, diameter, rows } = setting;
  let after = 0;
  for (const outcome of lookOutcomes(ways[stud]!, kind, x)) {
    if (outcome.chance === 0) continue;
    const aim = bestAim(outcome.ways, search.aims[stud]!.x.value, diameter, rows);
    const aims = search.aims.map((a, i) =>
      i === stud ? { x: leaf('stud-centre', aim.x, 'mm'), chance: aim.chance } : a,
    );
    after +=
      outcome.chance *
      valueOf(
        setting,
        ways.map((w, i) => (i === stud ? outcome.ways : w)),
        aims,
      );
  }
  return Math.max(0, after - now);
}

/** By gain; where it makes no odds, a pass before a poke, and a poke that the plate hides before one that shows. */
function ordered<L extends NextLook>(looks: readonly L[]): L[] {
  const shows = (l: NextLook) => (l.kind === 'probe' ? (l.hidden ? 1 : 2) : 0);
  const best = Math.max(0, ...looks.map((l) => l.gain));
  const even = (l: NextLook) => (best - l.gain < NEXT_LOOK.leastGain ? 0 : 1);
  return [...looks].sort((a, b) => even(a) - even(b) || (even(a) === 0 ? shows(a) - shows(b) : 0) || b.gain - a.gain);
}

const skipping = <L extends NextLook>(looks: readonly L[], skip: readonly string[]): L[] =>
  looks.filter((l) => !skip.includes(l.kind) && !skip.some((s) => isAt(s, l)));

/** A skipped place is one that a hand cannot reach: what is within 40 mm of it is left out as well. */
function isAt(skipped: string, { kind, x }: NextLook): boolean {
  const [what, at] = skipped.split('@');
  return at !== undefined && what === kind && Math.abs(Number(at) - x) < NEXT_LOOK.withinMm / 2;
}

/** No plate can be placed yet: a pass along the wall where its slots would come. */
function findFirst(setting: Weighing): NextLook {
  const { search, job, plan, diameter } = setting;
  const slots = (search.mount.plate?.slots ?? []).map((s) => Math.abs(s.x) + s.length / 2);
  const around = Math.max(STUD_SPACING_MM / 2, ...slots) + asideOf(search.mount);
  const middle = plan.placement?.plate?.x ?? plan.placement?.centre.x ?? job.room.wall.width / 2;
  const from = Math.max(0, middle - around);
  const to = Math.min(job.room.wall.width, middle + around);
  return {
    kind: 'edge',
    x: middle,
    y: heightOf(setting),
    gain: afterOnePass(setting, diameter),
    reason: 'find-first',
    from,
    to,
  };
}

/** What one pass over as many studs as the mount needs would leave: their middles known to 4 / sqrt 2. */
function afterOnePass({ search, rows }: Weighing, diameter: number): number {
  const type = { plies: 1 as const, offset: 0, width: STUD_WIDTH_MM, share: 1 };
  const sd = EDGE_SD_MM / Math.SQRT2;
  const ways: Possible[] = [];
  for (let n = -14; n <= 14; n++)
    ways.push({
      type,
      plyMm: STUD_WIDTH_MM,
      n: n - STUD_WIDTH_MM / 2,
      p: Math.exp(-0.5 * (n / sd) ** 2) / (sd * Math.sqrt(2 * Math.PI)),
    });
  return columnChance(ways, 0, diameter, rows) ** studsNeeded(search.mount);
}
