import type { Finding, Item, Job, Working } from '@steddo/contract';
import { finding } from '../primitives/findings';
import { half, leaf, sum } from '../primitives/working';
import type { Term } from '../primitives/terms';

export type CentreResult = { ok: true; x: Working } | { ok: false; finding: Finding };

/**
 * Where the set's centre line is wanted: the middle of the wall, between two things, over a thing,
 * or at a stated place; the installer's own choice wins.
 * A wall 2654.3 mm (104 1/2 in) wide gives 1327.15 mm (52 1/4 in).
 */
export function centreRule(job: Job): CentreResult {
  const chosen = job.choices?.centreX;
  if (chosen !== undefined) return { ok: true, x: leaf('centre-chosen', chosen, 'mm', { path: 'choices.centreX' }) };
  const rule = job.aim.centre;
  switch (rule.on) {
    case 'wall':
      return { ok: true, x: half('wall-middle', wallWidth(job)) };
    case 'x':
      return { ok: true, x: leaf('centre-stated', rule.x, 'mm', { path: 'aim.centre.x' }) };
    case 'object':
      return overObject(job, rule.object);
    case 'between':
      return between(job, rule.a, rule.b);
  }
}

export const wallWidth = (job: Job): Working =>
  leaf('wall-width', job.room.wall.width, 'mm', {
    path: 'room.wall.width',
    guess: (job.guessed ?? []).includes('room.wall.width'),
  });

function overObject(job: Job, id: string): CentreResult {
  const item = find(job, id);
  if (!item) return missing(id);
  return { ok: true, x: middle('object-middle', edge(item, 'left'), edge(item, 'right')) };
}

/** The middle of the clear space between two things, whichever stands left. */
function between(job: Job, a: string | number, b: string | number): CentreResult {
  const [first, second] = [sides(job, a, 'a'), sides(job, b, 'b')];
  if (!first) return missing(String(a));
  if (!second) return missing(String(b));
  const mid = (s: Sides) => (s.left.value + s.right.value) / 2;
  const [left, right] = mid(first) <= mid(second) ? [first, second] : [second, first];
  return { ok: true, x: middle('between-middle', left.right, right.left) };
}

interface Sides {
  left: Working;
  right: Working;
}

function sides(job: Job, end: string | number, name: 'a' | 'b'): Sides | undefined {
  if (typeof end === 'number') {
    const at = leaf('between-end', end, 'mm', { path: `aim.centre.${name}` });
    return { left: at, right: at };
  }
  const item = find(job, end);
  return item && { left: edge(item, 'left'), right: edge(item, 'right') };
}

const find = (job: Job, id: string): Item | undefined => job.room.objects?.find((o) => o.id === id);

const edge = (item: Item, side: 'left' | 'right'): Working =>
  leaf(`object-${side}`, item[side], 'mm', { path: `room.objects.${item.id}.${side}` });

const middle = (label: Term, a: Working, b: Working): Working => half(label, sum('both-ends', a, b));

const missing = (object: string): CentreResult => ({
  ok: false,
  finding: finding('centre-needs-object', 'stop', 'room', { object }),
});
