import type { Units } from '@steddo/contract';
import type { MeasuredBox } from './measureBox';
import { NINETEEN_OF_TWENTY } from './wallPlane';

/** What a measure may be told in, mm, the finest first: what is on either tape, and then by tens of millimetres or inches. */
const STEPS: Record<Units, readonly number[]> = {
  metric: [1, 2, 5, 10, 20, 50, 100],
  imperial: [1 / 16, 1 / 8, 1 / 4, 1 / 2, 1, 2, 4].map((inches) => inches * 25.4),
};

/**
 * A measure never finer than half of its doubt, and that doubt with the rounding in it: 812.4 mm within 9.1 is 812 within
 * 10; 812.4 within 31 is 810 within 32.
 */
export function told(mm: number, doubt: number, units: Units): { mm: number; doubt: number } {
  const [finest = 1] = STEPS[units];
  const step = STEPS[units].findLast((s) => s <= doubt / 2) ?? finest;
  const rounding = (NINETEEN_OF_TWENTY * step) / Math.sqrt(12);
  return { mm: Math.round(mm / step) * step, doubt: Math.ceil(Math.hypot(doubt, rounding) / finest) * finest };
}

/** The most that one of its edges may be out, mm, nineteen of twenty. */
export const boxDoubt = ({ doubt: { left, right, bottom, top } }: MeasuredBox): number =>
  Math.max(left, right, bottom, top);

export interface ToldBox {
  left: number;
  right: number;
  bottom: number;
  top: number;
  doubt: number;
}

/** A box's edges as finely as their doubt allows, and that doubt. */
export function toldBox(box: MeasuredBox, units: Units): ToldBox {
  const doubt = boxDoubt(box);
  const side = (mm: number) => told(mm, doubt, units).mm;
  const [left, bottom] = [side(box.left), side(box.bottom)];
  return {
    left,
    right: Math.max(left + 1, side(box.right)),
    bottom,
    top: Math.max(bottom + 1, side(box.top)),
    doubt: told(0, doubt, units).doubt,
  };
}
