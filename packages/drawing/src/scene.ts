/** A drawing before it is drawn: shapes and labels in mm, x right from the wall's left end, y up from the floor. */

export interface Box {
  left: number;
  right: number;
  bottom: number;
  top: number;
}

/** What a shape is; the screen and the sheet choose its pencil. */
export type Role =
  | 'wall'
  | 'floor'
  | 'ceiling'
  | 'object'
  | 'cover'
  | 'stud'
  | 'set'
  | 'picture'
  | 'plate'
  | 'open'
  | 'slot'
  | 'hook'
  | 'centre-line'
  | 'eye-line'
  | 'stud-mark'
  | 'level-mark'
  | 'hole'
  // inside the wall
  | 'stud-doubt'
  | 'nogging'
  | 'backing'
  | 'joint-line'
  | 'poke'
  | 'poke-wood'
  | 'odd-mark'
  | 'live-mark'
  | 'look'
  | 'look-met'
  | 'hazard-zone'
  | 'zone-behind'
  | 'hazard-seen'
  | 'ribbon'
  | 'ribbon-ground'
  | 'next-look'
  | 'run-cable'
  | 'run-metal'
  | 'run-plastic'
  // seen from the side and from above
  | 'cut'
  | 'set-cut'
  | 'set-tilted'
  | 'seat'
  | 'body'
  | 'sight'
  | 'sight-edge'
  | 'band'
  | 'zone'
  | 'settled'
  | 'link'
  | 'joint'
  | 'swept'
  | 'furthest'
  | 'swing'
  | 'swing-limit'
  | 'stand'
  | 'map-good'
  | 'map-fair'
  | 'map-poor'
  // walls that are not one wall, and a cut through the plate
  | 'packing'
  | 'timber'
  | 'cut-out'
  | 'fire-gap'
  | 'cover-cut'
  | 'stud-cut'
  | 'unit-cut'
  | 'mortar'
  | 'slot-cut'
  | 'bore'
  | 'skin'
  // the set and its screw
  | 'insert'
  | 'arm'
  | 'arm-hole'
  | 'plug'
  | 'lead'
  | 'measure'
  | 'asked'
  | 'bracket'
  | 'washer'
  | 'spacer'
  | 'screw'
  | 'thread'
  | 'gap';

export type Shape =
  | ({ kind: 'rect'; role: Role; id: string; name?: string; weight?: number } & Box)
  | {
      kind: 'line';
      role: Role;
      id: string;
      name?: string;
      x1: number;
      y1: number;
      x2: number;
      y2: number;
    }
  | {
      kind: 'poly';
      role: Role;
      id: string;
      name?: string;
      points: readonly (readonly [number, number])[];
      closed: boolean;
    }
  | {
      /** Several outlines that count as one area. */
      kind: 'area';
      role: Role;
      id: string;
      polygons: readonly (readonly (readonly [number, number])[])[];
    }
  | { kind: 'circle'; role: Role; id: string; name?: string; x: number; y: number; r: number }
  | { kind: 'cross-hair'; role: Role; id: string; x: number; y: number }
  | {
      kind: 'cross';
      role: Role;
      id: string;
      x: number;
      y: number;
      state: 'go' | 'caution' | 'stop';
    };

/** A strip of tape with a measure on it, stuck near the point that it speaks of. */
export interface Label {
  id: string;
  text: string;
  x: number;
  y: number;
  /** Where it would rather sit, seen from its point. */
  side: 'above' | 'below' | 'left' | 'right';
}

export interface Scene {
  /** The whole wall. */
  bounds: Box;
  /** The set and what matters for it now. */
  focus: Box;
  shapes: Shape[];
  labels: Label[];
}

export const join = (a: Box, b: Box): Box => ({
  left: Math.min(a.left, b.left),
  right: Math.max(a.right, b.right),
  bottom: Math.min(a.bottom, b.bottom),
  top: Math.max(a.top, b.top),
});

export const grow = (box: Box, by: number): Box => ({
  left: box.left - by,
  right: box.right + by,
  bottom: box.bottom - by,
  top: box.top + by,
});
