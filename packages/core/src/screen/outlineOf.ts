import type { Finding, Screen, Working } from '@steddo/contract';
import { finding } from '../primitives/findings';
import { leaf, named, node } from '../primitives/working';

/** Outline further than this share from 16:9 of the diagonal is worth a caution. Ours. */
const OUTLINE_SHARE = 0.04;

export interface Outline {
  width: Working;
  height: Working;
  guessed: boolean;
  findings: Finding[];
}

/** Sides of a 16:9 rectangle per unit of its diagonal: sqrt(16^2 + 9^2) = sqrt 337. */
const PER_DIAGONAL = { width: 16 / Math.sqrt(337), height: 9 / Math.sqrt(337) } as const;

/**
 * The set's outline, mm: measured, or guessed from a 16:9 diagonal and marked as a guess.
 * Over 4 % between the two is a caution: somebody read the wrong edge, or the set is not 16:9.
 * A 1270 mm (50 in) diagonal guesses 1106.9 by 622.6 mm. On its end its height is across and its width is up.
 */
export function outlineOf(screen: Screen, guessed: readonly string[], portrait = false): Outline {
  const axes = ['width', 'height'] as const;
  const sides = axes.map((axis) => sideOf(screen, axis, guessed));
  return {
    width: portrait ? named('set-width', sides[1]!) : sides[0]!,
    height: portrait ? named('set-height', sides[0]!) : sides[1]!,
    guessed: axes.some((a) => screen[a] === undefined || guessed.includes(`screen.${a}`)),
    findings: axes.flatMap((axis) => compare(screen, axis, guessed)),
  };
}

function sideOf(screen: Screen, axis: 'width' | 'height', guessed: readonly string[]): Working {
  const path = `screen.${axis}`;
  const measured = screen[axis];
  if (measured !== undefined) return leaf(`set-${axis}`, measured, 'mm', { path, guess: guessed.includes(path) });
  return node(`set-${axis}`, '*', 'mm', [
    leaf('diagonal', screen.diagonal, 'mm', { path: 'screen.diagonal' }),
    leaf(`sixteen-nine-${axis}`, PER_DIAGONAL[axis], 'ratio', { path, guess: true }),
  ]);
}

function compare(screen: Screen, axis: 'width' | 'height', guessed: readonly string[]): Finding[] {
  const measuredMm = screen[axis];
  if (measuredMm === undefined || guessed.includes(`screen.${axis}`)) return [];
  const expectedMm = screen.diagonal * PER_DIAGONAL[axis];
  const off = Math.abs(measuredMm - expectedMm) / expectedMm;
  if (off <= OUTLINE_SHARE) return [];
  const percent = Math.round(off * 100);
  return [finding('outline-off-diagonal', 'caution', 'set', { axis, measuredMm, expectedMm, percent })];
}
