import type { Finding, Item, Job, School, Working } from '@steddo/contract';
import { finding } from '../findings';
import { eyeOf } from '../sight/eyeOf';
import { ABOVE_GAP_MM, BOTTOM_BAND_MM } from '../tolerances';
import { half, leaf, minus, node, sum } from '../working';
import { onMainWall, setMayCover } from './itemRules';

/** The centre height that a school of practice asks for, before the room has its say. */
export type Wish = { ok: true; centre: Working } | { ok: false; finding: Finding };

/** The schools that are computed now; the others are a named stop, never replaced. */
export const COMPUTED_SCHOOLS = ['eyes', 'bottom-band', 'above'] as const satisfies School[];

/**
 * What one school wants for the set's centre, mm.
 * Above a 914.4 mm (36 in) chest with 203.2 mm (8 in) between, for a set 600 tall: 1417.6.
 */
export function wishOf(
  school: School,
  job: Job,
  height: Working,
  set: { left: number; right: number },
): Wish {
  switch (school) {
    case 'eyes':
      return eyes(job);
    case 'bottom-band':
      return bottomBand(job, height);
    case 'above':
      return above(job, height, set);
    default:
      return { ok: false, finding: finding('school-not-computed', 'stop', 'height', { school }) };
  }
}

/** Weighted mean of the viewers' eyes; the mean of the settled marks where there are any. */
function eyes(job: Job): Wish {
  const settled = job.aim.schools?.eyes?.settled ?? [];
  if (settled.length > 0) {
    const marks = settled.map((mm, i) =>
      leaf('settled-mark', mm, 'mm', { path: `aim.schools.eyes.settled.${i}` }),
    );
    return { ok: true, centre: node('settled-mean', 'mean', 'mm', marks) };
  }
  return meanEye(job, 'eyes');
}

function meanEye(job: Job, school: School): Wish {
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
  const known = viewers.map((viewer) => ({ viewer, eye: eyeOf(viewer, guessed) }));
  const unknown = known.filter((k) => !k.eye).map((k) => k.viewer.name ?? k.viewer.id);
  if (unknown.length > 0)
    return {
      ok: false,
      finding: finding('school-needs-eyes', 'stop', 'height', { school, viewers: unknown }),
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
  const weight = (id: string, value = 1) =>
    leaf('weight', value, 'ratio', { path: `room.viewers.${id}.weight` });
  return {
    ok: true,
    centre: node('mean-eye', '/', 'mm', [
      node('weighted-eyes', '+', 'mm', eyesKnown.map(({ viewer, eye }) =>
        node('weighted-eye', '*', 'mm', [weight(viewer.id, viewer.weight), eye]))),
      node('weights', '+', 'ratio', eyesKnown.map(({ viewer }) => weight(viewer.id, viewer.weight))),
    ]),
  }; // prettier-ignore
}

/** The bottom edge within a band, at the point of the band that is nearest to the eyes. */
function bottomBand(job: Job, height: Working): Wish {
  const stated = job.aim.schools?.['bottom-band'];
  const band = stated ?? BOTTOM_BAND_MM;
  const edge = (label: string, field: 'from' | 'to') =>
    leaf(label, band[field], 'mm', {
      path: `aim.schools.bottom-band.${field}`,
      guess: stated === undefined,
    });
  const wish = eyes(job);
  if (!wish.ok) return wish;
  const halfSet = half('half-height', height);
  const bottom = node('bottom-in-band', 'max', 'mm', [
    edge('band-from', 'from'),
    node('not-above-band', 'min', 'mm', [
      edge('band-to', 'to'),
      minus('bottom-at-eyes', wish.centre, halfSet),
    ]),
  ]);
  return { ok: true, centre: sum('centre-from-bottom', bottom, halfSet) };
}

/** The bottom edge a gap above whatever stands below. */
function above(job: Job, height: Working, set: { left: number; right: number }): Wish {
  const stated = job.aim.schools?.above;
  const item = stated?.object
    ? job.room.objects?.find((o) => o.id === stated.object)
    : tallestBelow(job, set);
  if (!item)
    return {
      ok: false,
      finding: finding('school-needs-object', 'stop', 'height', {
        school: 'above',
        object: stated?.object ?? '',
      }),
    };
  const bottom = sum(
    'bottom-above-object',
    leaf('object-top', item.top, 'mm', {
      path: `room.objects.${item.id}.top`,
      guess: (job.guessed ?? []).includes(`room.objects.${item.id}.top`),
    }),
    leaf('gap-above', stated?.gap ?? ABOVE_GAP_MM, 'mm', {
      path: 'aim.schools.above.gap',
      guess: stated?.gap === undefined,
    }),
  );
  return { ok: true, centre: sum('centre-from-bottom', bottom, half('half-height', height)) };
}

const STANDS_BELOW = ['furniture', 'mantel', 'cabinet', 'shelf', 'opening'];

/** Without a named object: the tallest thing below the set that reaches into the lower half of the wall. */
function tallestBelow(job: Job, set: { left: number; right: number }): Item | undefined {
  return onMainWall(job.room.objects)
    .filter((i) => STANDS_BELOW.includes(i.kind) && !setMayCover(i))
    .filter((i) => i.left < set.right && set.left < i.right)
    .filter((i) => i.bottom < job.room.wall.height / 2)
    .sort((a, b) => b.top - a.top)[0];
}
