import { useWindowDimensions } from 'react-native';
import { wideFrom } from './tokens';

/**
 * How the device is held: `wide` has the drawing and the inputs side by side at a desk, `side` a phone on its side,
 * `upright` a phone in the hand, `low` one with too little height for drawing, inputs and bar together, or type so
 * large that there is: there the page scrolls as a whole.
 */
export type Posture = 'wide' | 'side' | 'upright' | 'low';

const WIDE_HEIGHT = 520;
const SIDE_WIDTH = 560;
const SIDE_HEIGHT = 320;
/** Header, stages, a drawing of 150, a panel of 220, figures and button. */
const UPRIGHT_HEIGHT = 600;
const ROOT_PX = 16;

/** The posture of a window for a reader's root size: 844 x 390 is `side`, 195 x 422 `low`. */
export function postureOf(width: number, height: number, rootPx: number): Posture {
  const scale = rootPx / ROOT_PX;
  if (width >= wideFrom * scale && height >= WIDE_HEIGHT * scale) return 'wide';
  if (width > height && width >= SIDE_WIDTH * scale && height >= SIDE_HEIGHT * scale) return 'side';
  return height < UPRIGHT_HEIGHT * scale ? 'low' : 'upright';
}

export function usePosture(): Posture {
  const { width, height } = useWindowDimensions();
  return postureOf(width, height, parseFloat(getComputedStyle(document.documentElement).fontSize) || ROOT_PX);
}

/** Drawing and inputs beside each other. */
export const isBeside = (posture: Posture): boolean => posture === 'wide' || posture === 'side';
