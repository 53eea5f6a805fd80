import type { Job } from '@steddo/contract';
import { changesBetween } from './changesBetween';
import { applyChanges, isRecord, sameValue, valueAt, type Change, type FieldPath } from './jobTree';
import { renamed, type Renaming } from './renameIds';

/** Something that two people changed to different values: `before` is theirs, `after` mine. */
export interface Dispute {
  /** What it is about, as a path; of things with a place `room.objects.o1.(place)`. */
  thing: string;
  changes: Change[];
}

/** One edit that has not reached the server: what it changed. */
export interface Pending {
  id: string;
  changes: Change[];
}

export interface Rebased {
  /** What waits, on top of theirs; edits of which nothing is left are gone. */
  pending: Pending[];
  disputes: Dispute[];
  /** Ids that both gave to different things: mine got others. */
  renaming: Renaming;
}

const PLACE: ReadonlySet<string> = new Set(['left', 'right', 'bottom', 'top', 'near', 'far']);
const PLACED: ReadonlySet<string> = new Set(['room.objects', 'room.floor', 'room.wall.zones']);
const HEIGHT: ReadonlySet<string> = new Set(['aim.height', 'choices.centreY']);

/** The thing that a path belongs to: sides of a box are one place, a school and a height by hand one height. */
export function thingOf(path: FieldPath): FieldPath {
  if (HEIGHT.has(path.join('.'))) return ['(height)'];
  const last = path.at(-1);
  const placed = last !== undefined && PLACE.has(last) && PLACED.has(path.slice(0, -2).join('.'));
  return placed ? [...path.slice(0, -1), '(place)'] : path;
}

const within = (inner: FieldPath, outer: FieldPath): boolean => outer.every((segment, i) => inner[i] === segment);
/** Whether two things are one, or one is part of the other. */
export const isPartOf = (a: FieldPath, b: FieldPath): boolean => (a.length > b.length ? within(a, b) : within(b, a));

/**
 * Puts edits that wait on top of what somebody else has saved: `base` is the document that they were made on,
 * `theirs` what the server has now. What only one of the two has changed stands; what both changed to different
 * values comes back as a dispute, and so does an edit that would not be `valid` on top of theirs. With a base of
 * nothing all of it is one dispute.
 */
export function rebase(
  base: Job | undefined,
  theirs: Job,
  waiting: { pending: readonly Pending[]; disputes: readonly Dispute[] },
  valid: (job: Job) => boolean,
): Rebased {
  const all = waiting.pending.flatMap((p) => p.changes);
  const renaming = base ? clashes(base, theirs, all) : new Map<string, string>();
  const pending = waiting.pending.map((p) => ({ id: p.id, changes: renamed(p.changes, renaming) }));
  const earlier = waiting.disputes.map((d) => ({ ...d, changes: renamed(d.changes, renaming) }));
  const mine = [...pending.flatMap((p) => p.changes), ...earlier.flatMap((d) => d.changes)];
  const others = changesBetween(base, theirs).map((c) => thingOf(c.path));
  const wanted = applyChanges(base as Job, mine);
  const things = disputed(others, mine, earlier, theirs, wanted);
  const kept: Pending[] = [];
  let job = theirs;
  for (const { id, changes } of pending) {
    const free = changes.filter((c) => !things.some((t) => isPartOf(t, thingOf(c.path)))).filter((c) => news(job, c));
    const next = applyChanges(job, free);
    if (free.length > 0 && !valid(next)) things.push(...free.map((c) => thingOf(c.path)));
    else if (free.length > 0) {
      kept.push({ id, changes: free.map((c) => onTopOf(job, c)) });
      job = next;
    }
  }
  return { pending: kept, disputes: disputesOf(unique(things), mine, theirs, wanted), renaming };
}

/** A change that still changes something. */
const news = (job: Job, change: Change): boolean => !sameValue(valueAt(job, change.path), change.after);
const onTopOf = (job: Job, { path, after, at }: Change): Change => ({
  path,
  before: valueAt(job, path),
  after,
  ...(at === undefined ? {} : { at }),
});

/** The things that both changed, each as wide as the wider of the two changes. */
function disputed(
  others: readonly FieldPath[],
  mine: readonly Change[],
  earlier: readonly Dispute[],
  theirs: Job,
  wanted: Job,
): FieldPath[] {
  const again = earlier.flatMap((d) => d.changes.map((c) => thingOf(c.path)));
  const both = mine.flatMap((c) => {
    const thing = thingOf(c.path);
    return others.filter((o) => isPartOf(o, thing)).map((o) => (o.length < thing.length ? o : thing));
  });
  return unique([...both, ...again]).filter((t) => {
    const parts = mine
      .filter((c) => isPartOf(t, thingOf(c.path)))
      .map((c) => (c.path.length < t.length ? c.path : pathWithin(t, c.path)));
    return parts.some((path) => !sameValue(valueAt(theirs, path), valueAt(wanted, path)));
  });
}

/** The part of a thing that a change is about: the whole of an entry that was taken away. */
const pathWithin = (thing: FieldPath, path: FieldPath): FieldPath =>
  thing.at(-1)?.startsWith('(') ? path : path.slice(0, thing.length);

function unique(things: readonly FieldPath[]): FieldPath[] {
  const widest = [...things].sort((a, b) => a.length - b.length);
  return widest.filter((t, i) => !widest.slice(0, i).some((wider) => within(t, wider)));
}

function disputesOf(things: readonly FieldPath[], mine: readonly Change[], theirs: Job, wanted: Job): Dispute[] {
  return things.flatMap((thing) => {
    const touching = mine.filter((c) => isPartOf(thing, thingOf(c.path)));
    const paths = new Map(touching.map((c) => pathWithin(thing, c.path)).map((p) => [JSON.stringify(p), p]));
    const changes = [...paths.values()]
      .map((path): Change => ({ path, before: valueAt(theirs, path), after: valueAt(wanted, path) }))
      .filter((c) => !sameValue(c.before, c.after));
    return changes.length > 0 ? [{ thing: thing.join('.'), changes }] : [];
  });
}

/** New entries of mine whose id somebody else gave to another entry meanwhile, each with a free id. */
function clashes(base: Job, theirs: Job, mine: readonly Change[]): Map<string, string> {
  const given = idsIn(base);
  const taken = idsIn(theirs);
  const own = mine.flatMap((c) =>
    isRecord(c.after) && typeof c.after.id === 'string' && c.path.length > 1 ? [c] : [],
  );
  const used = new Set([...taken, ...own.map((c) => c.path.at(-1)!)]);
  const renaming = new Map<string, string>();
  for (const { path, before, after } of own) {
    const name = path.at(-1)!;
    const isNew = before === undefined && !given.has(name) && taken.has(name) && !renaming.has(name);
    if (!isNew || sameValue(valueAt(theirs, path), after)) continue;
    const next = freeName(name, used);
    used.add(next);
    renaming.set(name, next);
  }
  return renaming;
}

function freeName(name: string, used: ReadonlySet<string>): string {
  const letters = name.replace(/\d+$/, '');
  for (let n = 1; ; n++) if (!used.has(`${letters}${n}`)) return `${letters}${n}`;
}

/** Every id that an entry of some list has. */
function idsIn(value: unknown, found = new Set<string>()): Set<string> {
  if (Array.isArray(value))
    for (const entry of value) {
      if (isRecord(entry) && typeof entry.id === 'string') found.add(entry.id);
      idsIn(entry, found);
    }
  else if (isRecord(value)) for (const inner of Object.values(value)) idsIn(inner, found);
  return found;
}
