import type { YieldInput } from '../src/fixing/lagYield';
import { IN } from './jobs';

/** One thing that bears on the pin: so hard, N/mm, over so much of it, mm. */
interface Layer {
  bears: number;
  length: number;
}

const STEP_MM = 0.004;
const N_PER_MM2_PER_PSI = 4.4482216152605 / IN ** 2;

/** How hard wood bears, psi (NDS 2018, 12.3.3 and 12.3.4, from memory), by Hankinson between the grain's ways. */
function woodPsi(gravity: number, shankIn: number, angleDeg: number): number {
  const [along, across] = [11_200 * gravity, (6100 * gravity ** 1.45) / Math.sqrt(shankIn)];
  const s = Math.sin((angleDeg * Math.PI) / 180) ** 2;
  return (along * across) / (along * s + across * (1 - s));
}

/** The layers cut into small cells, from the near face on. */
const cells = (layers: readonly Layer[]): number[] =>
  layers.flatMap(({ bears, length }) => {
    const count = Math.max(1, Math.round(length / STEP_MM));
    return Array.from({ length: count }, () => (bears * length) / count);
  });
const widths = (layers: readonly Layer[]): number[] =>
  layers.flatMap(({ length }) => {
    const count = Math.max(1, Math.round(length / STEP_MM));
    return Array.from({ length: count }, () => length / count);
  });

/**
 * The most moment that can be given up from a cell on by bearing one way and then back: the pin's end turns within what
 * is left of the layers.
 */
function coupleFrom(forces: readonly number[], wide: readonly number[], from: number): number {
  let [left, turn, before] = [0, from, 0];
  for (let i = from; i < forces.length; i++) left += forces[i]!;
  while (turn < forces.length && before + forces[turn]! <= left / 2) before += forces[turn++]!;
  let [shear, moment] = [0, 0];
  for (let k = from; k < forces.length; k++) {
    const force = k < turn ? forces[k]! : -forces[k]!;
    moment += (shear + force / 2) * wide[k]!;
    shear += force;
  }
  return moment;
}

/** What one side can give the pin at its near face against a force there: the moment, or nothing where it crushes through. */
function restoring(
  forces: readonly number[],
  wide: readonly number[],
  most: number,
  force: number,
): number | undefined {
  let [shear, moment] = [force, 0];
  for (let i = 0; i < forces.length; i++) {
    const next = shear - forces[i]!;
    if (next <= 0) {
      const part = forces[i]! > 0 ? shear / forces[i]! : 1;
      moment += (shear * wide[i]! * part) / 2;
      return Math.min(most, coupleFrom(forces, wide, i)) - moment;
    }
    moment += ((shear + next) / 2) * wide[i]!;
    shear = next;
  }
  return undefined;
}

/**
 * The load at which a lag gives way, N: the greatest force for which pressures along the pin can be found, no harder
 * than each layer bears and bending it nowhere beyond its strength. Cell by cell; none of the closed forms.
 */
export function alongThePin(input: YieldInput): number {
  const { lag, gravity, plate, board, packing, boardBears: bears, penetration, angleDeg, timberSide } = input;
  const depth = penetration < 10 * lag.shankMm ? penetration - lag.tipMm / 2 : penetration;
  const wood = woodPsi(gravity, lag.shankMm / IN, angleDeg) * N_PER_MM2_PER_PSI * lag.rootMm;
  // a timber's grain lies across that of the studs
  const sidePsi = timberSide ? woodPsi(gravity, lag.shankMm / IN, 90 - angleDeg) : 61_850;
  const screwed = sidePsi * N_PER_MM2_PER_PSI * lag.rootMm;
  const most = (lag.yieldPsi * N_PER_MM2_PER_PSI * lag.rootMm ** 3) / 6;
  const side = [{ bears: screwed, length: plate }];
  const main = [
    { bears: 0, length: packing },
    { bears: board > 0 ? bears / board : 0, length: board },
    { bears: wood, length: depth },
  ].filter((l) => l.length > 0);
  const [sideForces, sideWide, mainForces, mainWide] = [cells(side), widths(side), cells(main), widths(main)];
  const holds = (force: number): boolean => {
    const near = restoring(sideForces, sideWide, most, force);
    const far = restoring(mainForces, mainWide, most, force);
    return near !== undefined && far !== undefined && near + far >= 0;
  };
  let [low, high] = [0, screwed * plate];
  for (let i = 0; i < 40; i++) {
    const middle = (low + high) / 2;
    if (holds(middle)) low = middle;
    else high = middle;
  }
  return low;
}
