import type { Finding, Item, Job, HeightRule, Viewer, Working } from '@steddo/contract';
import { finding } from '../primitives/findings';
import { eyeOf, EYE_STANDING_MM } from '../sight/eyeOf';
import { half, leaf, minus, node, sum } from '../primitives/working';
import { roomKindOf } from '../room/roomKind';
import { onMainWall, ROOM_THINGS, setMayCover } from '../room/roomThings';
import type { Term } from '../primitives/terms';

/** Bottom edge above whatever stands below, mm (8 in). Common practice. */
const ABOVE_GAP_MM = 203.2;

/** Bottom edge in a living room, mm (42 to 48 in). Common practice. */
const BOTTOM_BAND_MM = { from: 1066.8, to: 1219.2 } as const;

/** The centre height that a school of practice asks for, before the room has its say. */
export type Wish = { ok: true; centre: Working } | { ok: false; finding: Finding };

type Rule = (job: Job, height: Working, set: { left: number; right: number }) => Wish;

/** The rules, in the order of the trade's notes; one that is missing here does not compile. */
const RULES: Record<HeightRule, Rule> = {
  eyes,
  'bottom-band': bottomBand,
  above,
  'line-up': lineUp,
  'fit-between': fitBetween,
  vote,
  standing,
  'top-at-eyes': topAtEyes,
};

export const HEIGHT_RULES = Object.keys(RULES) as HeightRule[];

/** Those that are offered in a room: a top edge at the eyes is for work at a bench, and comes first there. */
export function heightRulesFor(job: Job): HeightRule[] {
  const others = HEIGHT_RULES.filter((rule) => rule !== 'top-at-eyes');
  return roomKindOf(job) === 'bench' || job.aim.height === 'top-at-eyes' ? ['top-at-eyes', ...others] : others;
}

/**
 * What one rule wants for the set's centre, mm.
 * Above a 914.4 mm (36 in) chest with 203.2 mm (8 in) between, for a set 600 tall: 1417.6.
 */
export const wishOf = (rule: HeightRule, ...of: Parameters<Rule>): Wish => RULES[rule](...of);

/**
 * Weighted mean of the viewers' eyes, or of their settled marks where they made any: the mean of each
 * viewer's own tries, so that who tries more often does not count for more. Marks that belong to
 * nobody (`aim.schools.eyes.settled`) come before everything.
 */
function eyes(job: Job): Wish {
  const settled = job.aim.schools?.eyes?.settled ?? [];
  if (settled.length > 0) {
    const marks = settled.map((mm, i) => leaf('settled-mark', mm, 'mm', { path: `aim.schools.eyes.settled.${i}` }));
    return { ok: true, centre: node('settled-mean', 'mean', 'mm', marks) };
  }
  return meanEye(job, 'eyes');
}

function meanEye(job: Job, school: HeightRule): Wish {
  const viewers = job.room.viewers ?? [];
  const guessed = job.guessed ?? [];
  if (viewers.length === 0) {
    const nobody = eyeOf({ id: 'nobody' }, guessed);
    if (nobody)
      return {
        ok: true,
        centre: node('mean-eye', 'mean', 'mm', [{ ...nobody, path: 'room.viewers' }]),
      };
  }
  const known = viewers.map((viewer) => ({ viewer, eye: gazeOf(viewer, guessed) }));
  const unknown = known.filter((k) => !k.eye).map((k) => k.viewer.name ?? k.viewer.id);
  if (unknown.length > 0)
    return {
      ok: false,
      finding: finding('school-needs-eyes', 'todo', 'height', { school, viewers: unknown }),
    };
  const eyesKnown = known.flatMap(({ viewer, eye }) => (eye ? [{ viewer, eye }] : []));
  const weights = new Set(eyesKnown.map((k) => k.viewer.weight ?? 1));
  if (weights.size === 1)
    return {
      ok: true,
      centre: node(
        'mean-eye',
        'mean',
        'mm',
        eyesKnown.map((k) => k.eye),
      ),
    };
  const weight = (id: string, value = 1) => leaf('weight', value, 'ratio', { path: `room.viewers.${id}.weight` });
  return {
    ok: true,
    centre: node('mean-eye', '/', 'mm', [
      node(
        'weighted-eyes',
        '+',
        'mm',
        eyesKnown.map(({ viewer, eye }) => node('weighted-eye', '*', 'mm', [weight(viewer.id, viewer.weight), eye])),
      ),
      node(
        'weights',
        '+',
        'ratio',
        eyesKnown.map(({ viewer }) => weight(viewer.id, viewer.weight)),
      ),
    ]),
  };
}

/** Where one viewer's gaze meets the wall: the mean of the settled tries, else the eye's height. */
function gazeOf(viewer: Viewer, guessed: readonly string[]): Working | undefined {
  const tries = viewer.settled ?? [];
  if (tries.length === 0) return eyeOf(viewer, guessed);
  const marks = tries.map((mm, i) =>
    leaf('settled-mark', mm, 'mm', { path: `room.viewers.${viewer.id}.settled.${i}` }),
  );
  return node('settled-mean', 'mean', 'mm', marks);
}

/** The upper edge level with the eyes, so that work is looked down at. Common practice; 1150 and 340 tall: centre 980. */
function topAtEyes(job: Job, height: Working): Wish {
  const eye = meanEye(job, 'top-at-eyes');
  if (!eye.ok) return eye;
  return { ok: true, centre: minus('centre-from-top', eye.centre, half('half-height', height)) };
}

/** The bottom edge within a band, at the point of the band that is nearest to the eyes. */
function bottomBand(job: Job, height: Working): Wish {
  const stated = job.aim.schools?.['bottom-band'];
  const band = stated ?? BOTTOM_BAND_MM;
  const edge = (label: Term, field: 'from' | 'to') =>
    leaf(label, band[field], 'mm', {
      path: `aim.schools.bottom-band.${field}`,
      guess: stated === undefined,
    });
  const wish = eyes(job);
  if (!wish.ok) return wish;
  const halfSet = half('half-height', height);
  const bottom = node('bottom-in-band', 'max', 'mm', [
    edge('band-from', 'from'),
    node('not-above-band', 'min', 'mm', [edge('band-to', 'to'), minus('bottom-at-eyes', wish.centre, halfSet)]),
  ]);
  return { ok: true, centre: sum('centre-from-bottom', bottom, halfSet) };
}

/** The bottom edge a gap above whatever stands below. */
function above(job: Job, height: Working, set: { left: number; right: number }): Wish {
  const stated = job.aim.schools?.above;
  const item = stated?.object ? job.room.objects?.find((o) => o.id === stated.object) : tallestBelow(job, set);
  if (!item) return noObject('above', stated?.object ?? '');
  const bottom = sum(
    'bottom-above-object',
    itemTop(job, item),
    leaf('gap-above', stated?.gap ?? ABOVE_GAP_MM, 'mm', {
      path: 'aim.schools.above.gap',
      guess: stated?.gap === undefined,
    }),
  );
  return { ok: true, centre: sum('centre-from-bottom', bottom, half('half-height', height)) };
}

const needs = (school: HeightRule, field: string): Wish => ({
  ok: false,
  finding: finding('school-needs-value', 'todo', 'height', { school, field }),
});

/** An edge, or the centre, level with something: a cabinet's bottom, a shelf, a window head. */
function lineUp(job: Job, height: Working): Wish {
  const stated = job.aim.schools?.['line-up'];
  if (!stated) return needs('line-up', 'aim.schools.line-up.to');
  const to = leaf('line-up-to', stated.to, 'mm', { path: 'aim.schools.line-up.to' });
  const halfSet = half('half-height', height);
  if (stated.edge === 'centre') return { ok: true, centre: node('line-up-centre', '+', 'mm', [to]) };
  return {
    ok: true,
    centre: stated.edge === 'bottom' ? sum('centre-from-bottom', to, halfSet) : minus('centre-from-top', to, halfSet),
  };
}

/**
 * Between two things, with a share of what is left below the set (half, unless said otherwise).
 * 34 in free above a mantel and a set 25 in tall leave 9: 4 1/2 below. Common practice.
 */
function fitBetween(job: Job, height: Working, set: { left: number; right: number }): Wish {
  const stated = job.aim.schools?.['fit-between'];
  const lower = boundary(job, stated?.below, set, 'below');
  const upper = boundary(job, stated?.above, set, 'above');
  const missing = lower ? stated?.above : stated?.below;
  if (!lower || !upper) return noObject('fit-between', missing ?? '');
  const ratio = leaf('share-below', stated?.ratio ?? HALF, 'ratio', {
    path: 'aim.schools.fit-between.ratio',
  });
  const free = minus('left-free', upper, lower, height);
  const below = node('free-below', '*', 'mm', [free, ratio]);
  return {
    ok: true,
    centre: sum('centre-from-bottom', sum('bottom-between', lower, below), half('half-height', height)),
  };
}

const HALF = 0.5;

/** The upper edge of what stands below, the lower edge of what hangs above; by default what is there, the floor, the ceiling. */
function boundary(
  job: Job,
  named: string | undefined,
  set: { left: number; right: number },
  side: 'below' | 'above',
): Working | undefined {
  if (side === 'above' && (named === undefined || named === 'ceiling'))
    return leaf('wall-height', job.room.wall.height, 'mm', {
      path: 'room.wall.height',
      guess: (job.guessed ?? []).includes('room.wall.height'),
    });
  const floor = leaf('floor', 0, 'mm');
  if (named === 'floor') return floor;
  if (named === undefined) {
    const item = tallestBelow(job, set);
    return item ? itemTop(job, item) : floor;
  }
  const item = job.room.objects?.find((o) => o.id === named);
  if (!item) return undefined;
  if (side === 'below') return itemTop(job, item);
  return leaf('object-bottom', item.bottom, 'mm', { path: `room.objects.${item.id}.bottom` });
}

const itemTop = (job: Job, item: Item): Working =>
  leaf('object-top', item.top, 'mm', {
    path: `room.objects.${item.id}.top`,
    guess: (job.guessed ?? []).includes(`room.objects.${item.id}.top`),
  });

const noObject = (school: HeightRule, object: string): Wish => ({
  ok: false,
  finding: finding('school-needs-object', object === '' ? 'todo' : 'stop', 'height', { school, object }),
});

/** Held up until everybody agrees; the top was marked with tape. */
function vote(job: Job, height: Working): Wish {
  const stated = job.aim.schools?.vote;
  if (!stated) return needs('vote', 'aim.schools.vote.top');
  const top = leaf('voted-top', stated.top, 'mm', { path: 'aim.schools.vote.top' });
  return { ok: true, centre: minus('centre-from-top', top, half('half-height', height)) };
}

/** People on their feet: the stated eye, else the mean of those who stand, else 170 cm (common practice) as a guess. */
function standing(job: Job): Wish {
  const path = 'aim.schools.standing.eye';
  const stated = job.aim.schools?.standing;
  const guessed = job.guessed ?? [];
  if (stated)
    return {
      ok: true,
      centre: node('mean-eye', 'mean', 'mm', [leaf('eye', stated.eye, 'mm', { path, guess: guessed.includes(path) })]),
    };
  const eyesStanding = (job.room.viewers ?? [])
    .filter((v) => v.posture === 'standing')
    .flatMap((v) => eyeOf(v, guessed) ?? []);
  const nobody = leaf('eye', EYE_STANDING_MM, 'mm', { path, guess: true });
  return {
    ok: true,
    centre: node('mean-eye', 'mean', 'mm', eyesStanding.length > 0 ? eyesStanding : [nobody]),
  };
}

/** Without a named object: the tallest thing below the set that reaches into the lower half of the wall. */
function tallestBelow(job: Job, set: { left: number; right: number }): Item | undefined {
  return onMainWall(job.room.objects)
    .filter((i) => ROOM_THINGS[i.kind].standsBelow && !setMayCover(i))
    .filter((i) => i.left < set.right && set.left < i.right)
    .filter((i) => i.bottom < job.room.wall.height / 2)
    .sort((a, b) => b.top - a.top)[0];
}
