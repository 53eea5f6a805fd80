import type { Role } from '@steddo/drawing';

/** How a role is drawn on paper: black and grey alone, told apart by width, dash and tint. Widths mm. */
export interface Ink {
  width: number;
  grey: number;
  dash?: readonly [number, number];
  fill?: number;
}

const THIN: Ink = { width: 0.18, grey: 0.45 };
const PLAIN: Ink = { width: 0.3, grey: 0 };
const DASHED: Ink = { width: 0.25, grey: 0.2, dash: [1.6, 1.2] };

const INKS: Partial<Record<Role, Ink>> = {
  wall: { width: 0.3, grey: 0.5 },
  floor: { width: 0.6, grey: 0 },
  ceiling: { width: 0.3, grey: 0.3 },
  cut: { width: 0.3, grey: 0.2, fill: 0.88 },
  stud: { width: 0.18, grey: 0.4, dash: [2, 1], fill: 0.93 },
  'stud-doubt': { width: 0.1, grey: 0.85 },
  backing: { width: 0.25, grey: 0.3, fill: 0.93 },
  nogging: { width: 0.2, grey: 0.4, dash: [1, 1] },
  'joint-line': { width: 0.12, grey: 0.6 },
  set: { width: 0.7, grey: 0 },
  picture: { width: 0.15, grey: 0.5 },
  'set-cut': { width: 0.3, grey: 0, fill: 0.3 },
  plate: { width: 0.4, grey: 0.1 },
  slot: { width: 0.18, grey: 0.3 },
  hole: { width: 0.35, grey: 0 },
  'level-mark': { width: 0.3, grey: 0, dash: [6, 2] },
  'centre-line': { width: 0.25, grey: 0, dash: [8, 2] },
  'cut-out': { width: 0.5, grey: 0, dash: [3, 1.5] },
  asked: DASHED,
  cover: DASHED,
  'eye-line': { width: 0.15, grey: 0.4, dash: [0.6, 1.2] },
  screw: PLAIN,
  'stud-cut': { width: 0.25, grey: 0.2, fill: 0.85 },
  'unit-cut': { width: 0.2, grey: 0.3, fill: 0.9 },
  'cover-cut': { width: 0.2, grey: 0.3, fill: 0.97 },
  packing: { width: 0.3, grey: 0.1, dash: [2.4, 0.8], fill: 0.9 },
  skin: { width: 0.5, grey: 0, fill: 0 },
  bracket: { width: 0.3, grey: 0, fill: 0.7 },
};

/** What is only seen on a screen: chances, zones of colour, what a hand is at. */
const NOT_ON_PAPER: ReadonlySet<Role> = new Set<Role>([
  'ribbon',
  'ribbon-ground',
  'next-look',
  'hazard-zone',
  'zone-behind',
  'band',
  'swept',
]);

/** Undefined for what is not printed. */
export const inkOf = (role: Role): Ink | undefined => (NOT_ON_PAPER.has(role) ? undefined : (INKS[role] ?? THIN));
