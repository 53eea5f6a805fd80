import type { Screen } from '@steddo/contract';
import { outlineOf } from './outlineOf';

/**
 * Where the pattern sits, as it is measured on the set: from an edge of the outline to the nearest
 * row or column of inserts, mm. Outline and pattern as they are known now.
 */
export interface PatternPlace {
  top: number;
  bottom: number;
  left: number;
  right: number;
}

const sizes = (screen: Screen) => {
  const { width, height } = outlineOf(screen, []);
  return { width: width.value, height: height.value };
};

/** A 648 mm tall set with a 200 mm pattern 40 below its middle: 264 below the top edge, 184 above the bottom. */
export function patternPlace(screen: Screen): PatternPlace {
  const { width, height } = sizes(screen);
  const { right, up } = screen.patternCentre ?? { right: 0, up: 0 };
  const { pattern } = screen;
  return {
    top: height / 2 - up - pattern.height / 2,
    bottom: height / 2 + up - pattern.height / 2,
    left: width / 2 + right - pattern.width / 2,
    right: width / 2 - right - pattern.width / 2,
  };
}

/** The pattern's centre above the outline's, from the distance measured at the top or bottom edge. */
export function patternUp(screen: Screen, from: 'top' | 'bottom', distanceMm: number): number {
  const { height } = sizes(screen);
  const free = height / 2 - screen.pattern.height / 2 - distanceMm;
  return from === 'top' ? free : -free;
}

/** The pattern's centre right of the outline's, seen from the front, from the left or right edge. */
export function patternRight(screen: Screen, from: 'left' | 'right', distanceMm: number): number {
  const { width } = sizes(screen);
  const free = width / 2 - screen.pattern.width / 2 - distanceMm;
  return from === 'right' ? free : -free;
}
