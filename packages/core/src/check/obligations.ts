import type { Finding, Obligation, ObligationId, Plan, Unit } from '@steddo/contract';

/** Why nobody can say what a fastener holds. */
const NO_ANSWER = [
  ...['load-unknown', 'lag-too-short', 'lag-off-table', 'lags-too-close', 'masonry-too-short', 'sheet-too-thin'],
  ...[
    'no-rating',
    'never-in-board',
    'rated-for-board',
    'grip-outside',
    'head-through-slot',
    'board-unsound',
    'unrated-on-lath',
  ],
];

/** Why one of two feet has no holes. */
const NO_FOOT = ['corner-no-wood', 'corner-foot-off', 'find-the-stud-first', 'fixing-unknown', 'no-bit'];

/**
 * Which findings may leave an obligation open: a stop or a caution explains only what its row lists, and what no row
 * explains is not proved. The compiler wants every obligation here.
 */
export const EXPLAINED_BY: Record<ObligationId, readonly string[]> = {
  'holes-there': [
    ...['mount-needed', 'mount-to-measure', 'mount-wall', 'wall-kind-unknown', 'fixing-unknown', 'arm-hole-missing'],
    ...['find-the-stud-first', 'no-stud-in-slots', 'slots-too-few', 'stud-disputed', 'no-place-here', 'no-bit'],
    ...['anchors-refused', 'arm-on-anchors-refused', 'large-on-anchors-refused', 'studs-not-sought', 'steel-refused'],
    ...['no-rating', 'never-in-board', 'rated-for-board', 'grip-outside', 'unrated-on-lath', 'board-unsound'],
    ...['trace-the-sheet', 'backing-unknown', 'free-edge-near', 'thing-at-holes', 'plate-off-wall'],
    ...['height-conflict', 'sideways-conflict', 'centre-needs-object', 'school-needs-object', 'school-needs-value'],
    ...['school-needs-eyes', 'plate-beyond-slide', 'timber-no-studs', 'hook-unknown', 'hole-unusable'],
    ...['corner-no-wood', 'corner-undrawn', 'corner-bracket-in-wall', 'corner-link-short', 'corner-foot-off'],
    ...['corner-arm-short', 'corner-turn-short', 'corner-thing-in-way', 'mount-room-kind'],
  ],
  count: ['fewer-fasteners', ...NO_FOOT],
  'on-wall': ['plate-off-wall', 'height-conflict', 'sideways-conflict', 'corner-foot-off', 'hole-off-wall'],
  'free-edge': ['free-edge-near'],
  'clear-of-things': ['thing-at-holes'],
  'clear-of-hazards': ['seen-at-hole'],
  'in-slot': ['angled-lag', 'lags-too-close'],
  sum: ['measured-differs', 'height-moved', 'hole-unusable'],
  meets: [
    ...['stud-doubtful', 'stud-disputed', 'near-edge', 'test-hole-first', 'mark-a-joint-first', 'in-joint'],
    ...['backing-missed', 'backing-edges-unmarked', 'trace-the-sheet'],
  ],
  looked: ['look-first', 'seen-at-hole', 'opening-unlooked', 'seen-at-opening'],
  balance: NO_ANSWER,
  allowables: ['steel-refused'],
  carries: ['load-too-great', 'held-by-label', 'arm-on-anchors', 'large-on-anchors', 'timber-load'],
  bites: [
    ...['lag-too-short', 'lag-off-table', 'lag-past-stud', 'masonry-too-short', 'sheet-too-thin', 'screw-through'],
    ...['grip-outside', 'backing-not-reached', 'backing-part-held', 'skin-unknown', 'panel-gap', 'rated-for-board'],
    ...['never-in-board', 'no-rating', 'packing-needed', 'unrated-on-lath', 'board-unsound'],
  ],
  mount: [
    ...['mount-mass', 'mount-pattern', 'mount-size', 'mount-covering', 'mount-wall', 'mount-room-kind', 'mount-needed'],
    ...[
      'fixing-unknown',
      'fixing-from-kit',
      'steel-on-toggles',
      'steel-refused',
      'not-all-in-studs',
      'wall-kind-unknown',
    ],
    ...['sheet-behind-board', 'corner-undrawn', 'mount-to-measure'],
  ],
  screw: ['insert-to-measure', 'bag-unknown', 'screw-none', 'insert-too-shallow', 'mount-needed'],
  'lift-on': ['lift-on-short', 'height-conflict'],
  guesses: [],
  numbers: [],
};

/** Nearer the truth than this no proof is asked to be: sums to a tenth of a millimetre, forces to a hundredth. */
export const SUM_MM = 0.1;
export const SHARE = 0.01;

/** One obligation that asks for at least so much; `open` where it does not hold. */
export function atLeast(id: ObligationId, of: string, found: number, needed: number, unit: Unit): Obligation {
  return { id, of, holds: found >= needed - 1e-6, needed, found, unit };
}

export const atMost = (id: ObligationId, of: string, found: number, needed: number, unit: Unit): Obligation => ({
  ...{ id, of, needed, found, unit },
  holds: found <= needed + 1e-6,
});

/** Alike to so much, or to that share of the larger. */
export function alike(
  id: ObligationId,
  of: string,
  found: number,
  needed: number,
  unit: Unit,
  by: { mm?: number; share?: number },
): Obligation {
  const room = Math.max(by.mm ?? 0, (by.share ?? 0) * Math.max(Math.abs(found), Math.abs(needed)));
  return { id, of, holds: Math.abs(found - needed) <= room + 1e-9, needed, found, unit };
}

export const flag = (id: ObligationId, of: string, holds: boolean): Obligation => ({
  ...{ id, of, holds, needed: 1, found: holds ? 1 : 0 },
  unit: 'count',
});

/** A chance below which only a stop explains it, unless the finding says what is open and by how much. */
const LEAST_CHANCE = 0.9;
const SAYS_LESS: ReadonlySet<string> = new Set([
  'near-edge',
  'test-hole-first',
  'mark-a-joint-first',
  'trace-the-sheet',
]);

/** Whether a finding of the plan explains why an obligation is open. A note explains nothing. */
function explains(open: Obligation, f: Finding): boolean {
  if ((f.level === 'info' && f.code !== 'not-all-in-studs') || !EXPLAINED_BY[open.id].includes(f.code)) return false;
  if (open.id !== 'meets' || open.found >= LEAST_CHANCE) return true;
  return f.level === 'stop' || SAYS_LESS.has(f.code);
}

/** Obligations that are open and that nothing in the plan explains: a plan with one of them is not proved. */
export const unproved = (checked: readonly Obligation[], { findings }: Pick<Plan, 'findings'>): Obligation[] =>
  checked.filter((o) => !o.holds && !findings.some((f) => explains(o, f)));
