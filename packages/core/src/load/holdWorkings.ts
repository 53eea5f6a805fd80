import type { Working } from '@steddo/contract';
import { leaf, node } from '../working';
import { MM_PER_INCH } from '../units/convert';
import { MPA_PER_PSI, N_PER_POUND, PERMANENT, STEEL_BEARING_PSI } from './lagTables';
import { bearingLength, bearingPsi, leastYield } from './lagYield';
import type { Holds } from './holds';
import { ratingWorking } from './loadWorkings';

/** What a fastener may hold, as trees of arithmetic. */

const times = (label: string, unit: Working['unit'], ...terms: Working[]): Working => node(label, '*', unit, terms);
const ratio = (label: string, value: number): Working => leaf(label, value, 'ratio');

/** `1800 G^1.5 D^0.75` lb per inch, made N per mm, times the thread in the wood and the duration factor. */
export function pullHeldWorking(holds: Holds, path: string): Working {
  if (holds.by === 'rating') return ratingWorking('pull-held', holds.ultimate.tension, `${path}.tension`);
  const inches = node('shank-inches', '/', 'ratio', [
    leaf('shank', holds.size.shankMm, 'mm'),
    leaf('mm-per-inch', MM_PER_INCH, 'ratio'),
  ]);
  return times(
    'pull-held',
    'N',
    times(
      'withdrawal',
      'N/mm',
      ratio('withdrawal-constant', 1800),
      node('gravity-power', 'pow', 'ratio', [ratio('specific-gravity', holds.gravity), ratio('power', 1.5)]),
      node('shank-power', 'pow', 'ratio', [inches, ratio('power', 0.75)]),
      node('pound-per-inch', '/', 'ratio', [
        ratio('newtons-per-pound', N_PER_POUND),
        ratio('mm-per-inch', MM_PER_INCH),
      ]),
    ),
    leaf('thread-in-wood', holds.hold.thread, 'mm'),
    ratio('duration', PERMANENT),
  );
}

/** The governing mode's yield load in newtons and millimetres, over its reduction, times the duration factor. */
export function shearHeldWorking(holds: Holds, path: string, angleDeg: number): Working {
  if (holds.by === 'rating') return ratingWorking('shear-held', holds.ultimate.shear, `${path}.shear`);
  const input = { ...holds.input, angleDeg };
  const least = leastYield(input);
  return times(
    'shear-held',
    'N',
    node('yield-reduced', '/', 'N', [
      yieldLoad(holds, angleDeg, least.mode),
      ratio('yield-reduction', least.reduction),
    ]),
    ratio('duration', PERMANENT),
    ...(holds.rows < 1 ? [ratio('row-spacing', holds.rows)] : []),
  );
}

function yieldLoad(holds: Extract<Holds, { by: 'lag' }>, angleDeg: number, mode: string): Working {
  const { lag, gravity, plate, gap, penetration } = holds.input;
  const root = leaf('root', lag.rootMm, 'mm');
  const bears = (label: string, psi: number) => times(label, 'N/mm', leaf('bearing', psi * MPA_PER_PSI, 'ratio'), root);
  const qs = bears('steel-bears', STEEL_BEARING_PSI);
  const qm = bears('wood-bears', bearingPsi(gravity, lag.shankMm / MM_PER_INCH, angleDeg));
  const ls = leaf('plate-thickness', plate, 'mm');
  const lm = leaf('bearing-length', bearingLength(lag, penetration), 'mm');
  if (mode === 'I-m') return times('yield-load', 'N', qm, lm);
  if (mode === 'I-s') return times('yield-load', 'N', qs, ls);
  const moment = node('bending-moment', '/', 'Nmm', [
    times(
      'bending-strength',
      'ratio',
      leaf('yield-strength', lag.yieldPsi * MPA_PER_PSI, 'ratio'),
      node('root-cubed', 'pow', 'ratio', [root, ratio('power', 3)]),
    ),
    leaf('six', 6, 'count'),
  ]);
  const crush = (q: Working, l: Working) =>
    node('crush-part', '/', 'Nmm', [times('crush-square', 'ratio', q, l, l), leaf('four', 4, 'count')]);
  const soft = (q: Working, by: number) =>
    node('softness', '/', 'ratio', [
      leaf('one', 1, 'count'),
      times('softness-by', 'ratio', leaf('times', by, 'count'), q),
    ]);
  const half = (l: Working) => node('half-length', '/', 'mm', [l, leaf('two', 2, 'count')]);
  const gapLeaf = leaf('board-gap', gap, 'mm');
  const crushing = { s: mode === 'II' || mode === 'III-s', m: mode === 'II' || mode === 'III-m' };
  const a = node('yield-a', '+', 'ratio', [soft(qs, crushing.s ? 4 : 2), soft(qm, crushing.m ? 4 : 2)]);
  const b = node('yield-b', '+', 'mm', [...(crushing.s ? [half(ls)] : []), gapLeaf, ...(crushing.m ? [half(lm)] : [])]);
  const c = node('yield-c', '+', 'Nmm', [crushing.s ? crush(qs, ls) : moment, crushing.m ? crush(qm, lm) : moment]);
  // P = (-B + sqrt(B^2 + 4 A c)) / 2A, c being what holds against the bending, taken as positive
  const under = node('yield-under', '+', 'ratio', [
    times('yield-b-square', 'ratio', b, b),
    times('yield-four-ac', 'ratio', leaf('four', 4, 'count'), a, c),
  ]);
  return node('yield-load', '/', 'N', [
    node('yield-top', '-', 'ratio', [node('yield-root', 'sqrt', 'ratio', [under]), b]),
    times('yield-two-a', 'ratio', leaf('two', 2, 'count'), a),
  ]);
}

/** How much of what it may hold it has to: see `utilised`. */
export function useWorking(
  holds: Holds,
  pull: Working,
  shear: Working,
  pullHeld: Working,
  shearHeld: Working,
): Working {
  if (holds.by === 'rating')
    return node('utilisation', '+', 'ratio', [
      node('pull-share', '/', 'ratio', [pull, pullHeld]),
      node('shear-share', '/', 'ratio', [shear, shearHeld]),
    ]);
  return node('utilisation', '/', 'ratio', [
    node('use-top', '+', 'N', [
      node('shear-part', '/', 'N', [times('shear-square', 'ratio', shear, shear), shearHeld]),
      node('pull-part', '/', 'N', [times('pull-square', 'ratio', pull, pull), pullHeld]),
    ]),
    node('resultant', 'hypot', 'N', [pull, shear]),
  ]);
}
