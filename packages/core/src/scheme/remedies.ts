import type { BuildKind, Job, Loads, Mount, Ranked, Remedy, Verdict, Working } from '@steddo/contract';
import { moves } from '../arm/arm';
import type { Kit } from '../fixing/kit';
import { plateOptions, studsNeeded, type LagSetting } from '../plate/plateSearch';
import { plateSearch } from '../plate/planPlate';
import { usableSlots } from '../plate/usableSlots';
import { SAME_MM } from '../primitives/epsilons';
import { leaf, sum } from '../primitives/working';
import { stockTimber } from './timberAcross';
import { studBuildOf } from '../room/wallAt';
import type { StudsFound } from '../wall/inferStuds';

/** A job changed in one thing, with the whole search: what its best holes come to; undefined where there are none. */
export type Tries = (job: Job, centreX: Working) => Remedy['result'] | undefined;

/** What stands in the way: the load, a screw too short for it, or that nothing can be fastened where the set is wanted. */
export type Trouble = 'load' | 'short-screw' | 'no-place';

export interface RemedyInput {
  trouble: Trouble;
  job: Job;
  mount: Mount;
  found: StudsFound;
  centreX: Working;
  kit: Kit;
  ranking: readonly Ranked[];
  /** Where the set's centre line may be, mm. */
  freeX: readonly (readonly [number, number])[];
  /** What the chosen holes have to hold, where it can be said. */
  loads?: Loads | undefined;
  /** How far aside of the fasteners the folded set hangs, mm. */
  foldedAside: number;
  /** Schemes on board that stand beside the plan. */
  onBoard: readonly { key: string; utilisation?: number | undefined; verdict: Verdict }[];
  tries: Tries;
}

type Way = (input: RemedyInput) => Remedy[];

/**
 * The ways out of a stop, in the order in which they are offered, each tried with the whole search and said with
 * what it comes to; one that comes to no better is left out. A fixed mount is no answer to a room that asked for an
 * arm, so that another mount is of the same type.
 */
export const remediesFor = (input: RemedyInput): Remedy[] => ORDER[input.trouble].flatMap((way) => way(input));

const helps = (kind: Remedy['kind'], by: Remedy['by'], result: Remedy['result'] | undefined): Remedy[] =>
  result && result.verdict !== 'stop' ? [{ kind, ...(by === undefined ? {} : { by }), result }] : [];

/** The arm kept within so much of the fasteners; not where its folded set would be beyond that. */
const limitSwing: Way = ({ mount, loads, foldedAside }) => {
  const { go, label } = loads?.maxAside ?? {};
  if (!moves(mount)) return [];
  const at = (by: number | undefined, verdict: Verdict): Remedy[] =>
    by === undefined || by < Math.max(LEAST_SWING_MM, foldedAside)
      ? []
      : [{ kind: 'limit-swing', by, result: { ...(verdict === 'go' ? { utilisation: 1 } : {}), verdict } }];
  const inside = at(go, 'go');
  return inside.length > 0 ? inside : at(label === go ? undefined : label, 'caution');
};
/** Nearer than this nobody would call it an arm, mm. Ours. */
const LEAST_SWING_MM = 25;

const without = (job: Job, choice: keyof NonNullable<Job['choices']>): Job => {
  const choices = { ...job.choices };
  delete choices[choice];
  return { ...job, choices };
};

/** What was chosen by hand, let go. */
const letGo: Way = ({ job, centreX, tries }) =>
  (['plateX', 'armHole', 'fold'] as const).flatMap((choice) =>
    job.choices?.[choice] === undefined ? [] : helps('let-go', choice, tries(without(job, choice), centreX)),
  );

/** The set sideways, as little as brings some plate over studs. */
const shiftSet: Way = ({ job, mount, found, centreX, freeX, tries }) => {
  const made = plateSearch(without(job, 'plateX'), mount, found, centreX);
  if (!made) return [];
  const rest: Remedy[] = [];
  for (const by of shiftsOf(made)) {
    const at = centreX.value + by;
    if (!freeX.some(([from, to]) => at >= from - SAME_MM && at <= to + SAME_MM)) continue;
    const moved = sum('centre-chosen', centreX, leaf('set-shift', by, 'mm'));
    const result = tries(without(job, 'plateX'), moved);
    const helped = helps('shift-set', by, result);
    if (helped.length > 0) return helped;
    // wood under the slots, though what it holds is too little: said with its number
    if (result && rest.length === 0) rest.push({ kind: 'shift-set', by, result });
  }
  return rest;
};

/** How far the set would have to go for each set of studs that lies beyond its slide, least first; a few of them. */
function shiftsOf(search: LagSetting): number[] {
  const { slide } = search;
  const least = new Map<string, number>();
  for (const { shift, studs } of plateOptions({ ...search, slide: Infinity })) {
    if (Math.abs(shift) <= slide) continue;
    const by = Math.sign(shift) * (Math.abs(shift) - slide);
    const known = least.get(studs.join());
    if (known === undefined || Math.abs(by) < Math.abs(known)) least.set(studs.join(), by);
  }
  return [...least.values()].sort((a, b) => Math.abs(a) - Math.abs(b)).slice(0, MOST_SHIFTS);
}
const MOST_SHIFTS = 4;

/** The kind of wall whose lags a longer or a further one is for: the wall's own, or that of a part with studs. */
export const lagKind = ({ job, mount }: Pick<RemedyInput, 'job' | 'mount'>): BuildKind => {
  const { kind } = job.room.wall.build;
  return mount.walls[kind]?.fixing?.kind === 'lag' ? kind : studBuildOf(job.room.wall).build.kind;
};

const fixingOf = (input: RemedyInput) => input.mount.walls[lagKind(input)]?.fixing;

const withFixing = (input: RemedyInput, change: object): Job => {
  const { job, mount } = input;
  const kind = lagKind(input);
  const wall = mount.walls[kind]!;
  return {
    ...job,
    mount: { ...mount, walls: { ...mount.walls, [kind]: { ...wall, fixing: { ...wall.fixing!, ...change } } } },
  };
};

/** More screws in the plate's own rows. */
const moreRows: Way = (input) => {
  const { mount, centreX, tries } = input;
  const own = fixingOf(input);
  if (!own || own.kind !== 'lag') return [];
  const studs = studsNeeded(mount);
  const rows = new Set(usableSlots({ mount, fixing: own }).map((s) => s.slot.y)).size;
  for (let count = own.count + studs; count <= rows * studs; count += studs) {
    const helped = helps('more-rows', count, tries(withFixing(input, { count }), centreX));
    if (helped.length > 0) return helped;
  }
  return [];
};

/** A lag of the kit that reaches further in. */
const longerLag: Way = (input) => {
  const { kit, centreX, tries } = input;
  const own = fixingOf(input);
  if (own?.kind !== 'lag') return [];
  const more = kit.lags
    .filter((l) => l.length > own.length && l.diameter >= own.diameter - SAME_SHANK_MM)
    .sort((a, b) => a.length - b.length || a.diameter - b.diameter);
  for (const { id, name: _n, ...size } of more) {
    const helped = helps('longer-lag', id, tries(withFixing(input, size), centreX));
    if (helped.length > 0) return helped;
  }
  return [];
};
const SAME_SHANK_MM = 0.1;

/** The same plate over two studs. */
const twoStuds: Way = ({ job, mount, centreX, tries }) =>
  studsNeeded(mount) > 1
    ? []
    : helps(
        'two-studs',
        undefined,
        tries({ ...job, mount: { ...mount, studs: { ...mount.studs, count: 2 } } }, centreX),
      );

/** A level timber over two studs, or noggings put in between them, and the plate onto that, wherever the set is wanted. */
const onTimber =
  (way: 'across' | 'noggings'): Way =>
  ({ job, mount, centreX, tries }) => {
    const stock = stockTimber(mount, way);
    if (!stock || job.choices?.timber || studBuildOf(job.room.wall).build.kind !== 'timber-stud') return [];
    const choices = { ...job.choices, timber: stock };
    return helps(way === 'across' ? 'timber' : way, stock.height, tries({ ...job, choices }, centreX));
  };
const [timber, noggings] = [onTimber('across'), onTimber('noggings')];

const otherMount: Way = ({ mount, ranking }) => {
  const same = ranking.filter((r) => r.id !== mount.id && r.type === mount.type && r.toMeasure.length === 0);
  return same
    .filter((r) => r.verdict !== 'stop')
    .slice(0, 1)
    .map((r): Remedy => {
      const held = r.reasons.find((f) => f.rule === 'scheme')?.value;
      const utilisation = typeof held === 'number' ? { utilisation: held } : {};
      return { kind: 'other-mount', by: r.id, result: { ...utilisation, verdict: r.verdict } };
    });
};

/** Anchors stand last, with their numbers, whatever those come to. */
const anchors: Way = ({ onBoard }) =>
  onBoard.slice(0, 1).map(({ key, utilisation, verdict }) => ({
    kind: 'anchors',
    by: key,
    result: { ...(utilisation === undefined ? {} : { utilisation }), verdict },
  }));

const ORDER: Record<Trouble, readonly Way[]> = {
  load: [letGo, limitSwing, moreRows, longerLag, twoStuds, timber, noggings, otherMount, anchors],
  'short-screw': [longerLag, letGo, timber, noggings, otherMount, anchors],
  'no-place': [letGo, shiftSet, longerLag, timber, noggings, otherMount, anchors],
};
