import type { Misfit, Mount, Screen, ScrewCheck, Stack, Working } from '@steddo/contract';
import { leaf, minus, node, sum } from '../primitives/working';
import type { SpacerNeed } from './spacerNeed';
import { STOCK_LENGTHS_MM, threadOf } from './threads';
import { SAME_MM } from '../primitives/epsilons';

/** Left free between the screw's end and the bottom of the insert, mm. Ours. */
export const INSERT_FREE_MM = 1;

/**
 * Which screw of the bag, with which washers and spacer, fills the insert without bottoming out.
 *
 *   head ┬┐
 *        ││ bracket + washers + spacer + recess = stack
 *        ├┤ ─────────── thread begins
 *        ││ engagement = length - stack     at least one diameter (ours)
 *        └┘ clearance  = depth - engagement at least 1 mm         (ours)
 */
export interface Stacking {
  stacks: Stack[];
  check: ScrewCheck;
}

interface Insert {
  thread: string;
  depth: number;
  recess: number;
  pitch: number;
}
interface StackWay {
  washers: number[];
  spacer: number;
}

/** What has to be known before a screw can be chosen, by field; empty when all is there. */
export function stackNeeds(screen: Screen, mount: Mount): { set: string[]; bag: string[] } {
  const { insert } = screen;
  return {
    set: [
      ...(insert?.thread === undefined ? ['screen.insert.thread'] : []),
      ...(insert?.depth === undefined ? ['screen.insert.depth'] : []),
      ...(screen.ports === 'back' && screen.plugDepth === undefined ? ['screen.plugDepth'] : []),
    ],
    bag: [
      ...(mount.bag?.bracket === undefined ? ['mount.bag.bracket'] : []),
      ...(mount.bag?.screws?.length ? [] : ['mount.bag.screws']),
    ],
  };
}

/**
 * Every combination of the bag that works, deepest engagement first; then the least spacer, the
 * fewest washers. With spacers where something asks for them, or no screw fits without. Undefined until `stackNeeds` names nothing of the set and the bracket is known.
 * Bracket 2.5, insert M6 14 deep, screw M6 x 16: 13.5 mm in (13 1/2 turns) is 0.5 too long; with a
 * 1.6 washer 11.9 in, 2.1 clear.
 */
export function stackScrews(screen: Screen, mount: Mount, need: SpacerNeed | undefined): Stacking | undefined {
  const { thread, depth, recess = 0 } = screen.insert ?? {};
  const { bag } = mount;
  if (thread === undefined || depth === undefined || bag?.bracket === undefined) return undefined;
  const insert: Insert = { thread, depth, recess, pitch: threadOf(thread).pitchMm };
  const screws = distinct(bag.screws ?? [], (s) => `${s.thread}x${s.length}`);
  const stacked = (by: readonly StackWay[]) =>
    screws
      .filter((s) => s.thread === thread)
      .flatMap((s) => by.map((way) => stackOf(s.length, way, insert, bag.bracket!)))
      .filter((s) => fits(s, insert))
      .sort(better);
  const plain = waysOf(bag, need?.least);
  const asked = stacked(plain);
  // a spacer takes up length that is too much, before another screw is bought (common practice)
  const ways = asked.length > 0 || need ? plain : [...plain, ...waysOf(bag, 0)];
  const stacks = asked.length > 0 ? asked : stacked(ways);
  const failed = screws.filter((s) => !stacks.some((k) => isScrew(k, s)));
  const buy = stacks.length > 0 ? undefined : buyFor(insert, bag.bracket, plain[0], need);
  return {
    stacks,
    check: {
      insert,
      bracket: bag.bracket,
      ...(need ? { spacer: need } : {}),
      misfits: failed.map((s) => misfitOf(s, ways, insert, bag.bracket!)),
      ...(buy ? { buy } : {}),
    },
  };
}

const isScrew = (a: { thread: string; length: number }, b: { thread: string; length: number }) =>
  a.thread === b.thread && a.length === b.length;

function distinct<T>(all: readonly T[], key: (one: T) => string): T[] {
  return [...new Map(all.map((one) => [key(one), one])).values()];
}

/** Every choice of washers with no spacer, or with each spacer that is long enough; plainest first. */
function waysOf(bag: NonNullable<Mount['bag']>, least: number | undefined): StackWay[] {
  const long = (mm: number) => mm > SAME_MM && mm >= (least ?? 0) - SAME_MM;
  const spacers = least !== undefined ? [...new Set(bag.spacers ?? [])].filter(long).sort((a, b) => a - b) : [0];
  const washers = distinct(subsets(bag.washers ?? []), (w) => w.join());
  return spacers.flatMap((spacer) => washers.map((w) => ({ washers: w, spacer })));
}

function subsets(all: readonly number[]): number[][] {
  const sets = all.reduce<number[][]>((got, mm) => [...got, ...got.map((g) => [...g, mm])], [[]]);
  return sets.map((s) => s.sort((a, b) => a - b)).sort((a, b) => a.length - b.length);
}

const total = (all: readonly number[]): number => all.reduce((a, b) => a + b, 0);

function stackOf(length: number, way: StackWay, insert: Insert, bracket: number): Stack {
  const path = 'mount.bag';
  const stack = sum(
    'screw-stack',
    leaf('bracket', bracket, 'mm', { path: `${path}.bracket` }),
    ...way.washers.map((w) => leaf('washer', w, 'mm', { path: `${path}.washers` })),
    ...(way.spacer > 0 ? [leaf('spacer', way.spacer, 'mm', { path: `${path}.spacers` })] : []),
    ...(insert.recess > 0 ? [leaf('insert-recess', insert.recess, 'mm', { path: 'screen.insert.recess' })] : []),
  );
  const engagement = minus('thread-in-insert', leaf('screw-length', length, 'mm', { path: `${path}.screws` }), stack);
  const depth = leaf('insert-depth', insert.depth, 'mm', { path: 'screen.insert.depth' });
  const clearance = minus('left-below-screw', depth, engagement);
  const washers = way.washers.map((w) => `+w${w}`).join('');
  return {
    id: `${insert.thread}x${length}${washers}${way.spacer > 0 ? `+s${way.spacer}` : ''}`,
    thread: insert.thread,
    length,
    washers: way.washers,
    spacer: way.spacer,
    engagement: engagement.value,
    clearance: clearance.value,
    ...(insert.pitch > 0 ? { turns: turnsOf(engagement, insert.pitch).value } : {}),
    workings: { stack, engagement, clearance },
  };
}

/** Turns of thread: `turnsOf(12 mm, 1)` is 12. */
const turnsOf = (engagement: Working, pitchMm: number): Working =>
  node('turns-engaged', '/', 'count', [engagement, leaf('thread-pitch', pitchMm, 'mm')]);

const shortBy = (engagement: number, insert: Insert): number => threadOf(insert.thread).diameterMm - engagement;
const longBy = (engagement: number, insert: Insert): number => engagement - (insert.depth - INSERT_FREE_MM);

const fits = ({ engagement }: Stack, insert: Insert): boolean =>
  shortBy(engagement, insert) <= SAME_MM && longBy(engagement, insert) <= SAME_MM;

const better = (a: Stack, b: Stack): number =>
  b.engagement - a.engagement || a.spacer - b.spacer || a.washers.length - b.washers.length;

/** The way that brings a screw nearest to working, and what it then still lacks. */
function misfitOf(
  screw: { thread: string; length: number },
  ways: readonly StackWay[],
  insert: Insert,
  bracket: number,
): Misfit {
  const { thread, length } = screw;
  const plain = { thread, length, washers: [], spacer: 0 };
  if (thread !== insert.thread) return { ...plain, why: 'thread' };
  const tried = (ways.length > 0 ? ways : [{ washers: [], spacer: 0 }]).map((way) => {
    const { engagement } = stackOf(length, way, insert, bracket);
    const [short, long] = [shortBy(engagement, insert), longBy(engagement, insert)];
    return {
      ...way,
      why: short > long ? ('short' as const) : ('long' as const),
      by: Math.max(short, long),
    };
  });
  const nearest = tried.reduce((a, b) => (b.by < a.by - SAME_MM ? b : a));
  const turns = insert.pitch > 0 ? { turns: nearest.by / insert.pitch } : {};
  return { ...plain, ...nearest, ...turns };
}

/** The range of lengths that would do, plainest way first, and the longest stock length within it. */
function buyFor(
  insert: Insert,
  bracket: number,
  way: StackWay | undefined,
  need: SpacerNeed | undefined,
): ScrewCheck['buy'] {
  const spacer = way?.spacer ?? need?.least ?? 0;
  const stack = bracket + total(way?.washers ?? []) + spacer + insert.recess;
  const from = stack + threadOf(insert.thread).diameterMm;
  const to = stack + insert.depth - INSERT_FREE_MM;
  if (to < from - SAME_MM) return undefined;
  const length = STOCK_LENGTHS_MM.filter((l) => l >= from - SAME_MM && l <= to + SAME_MM).at(-1);
  return {
    thread: insert.thread,
    from,
    to,
    ...(length === undefined ? {} : { length }),
    ...(way === undefined && need ? { spacer: need.least } : {}),
  };
}
