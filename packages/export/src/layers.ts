import type { Box, Role } from '@steddo/drawing';

/** Layers of a drawing, by what a fitter or a draughtsman switches on and off. */
export type Layer = 'wall' | 'inside' | 'things' | 'set' | 'plate' | 'holes' | 'people' | 'hazards' | 'marks' | 'cuts';

/** Every role; one that is missing here does not compile. */
const LAYERS: Record<Role, Layer> = {
  wall: 'wall',
  floor: 'wall',
  ceiling: 'wall',
  cut: 'wall',
  zone: 'wall',
  skin: 'wall',
  'cover-cut': 'wall',
  stud: 'inside',
  'stud-doubt': 'inside',
  nogging: 'inside',
  backing: 'inside',
  'joint-line': 'inside',
  'stud-cut': 'inside',
  'unit-cut': 'inside',
  mortar: 'inside',
  timber: 'inside',
  packing: 'inside',
  ribbon: 'inside',
  'ribbon-ground': 'inside',
  object: 'things',
  cover: 'things',
  'fire-gap': 'things',
  lead: 'things',
  set: 'set',
  picture: 'set',
  'set-cut': 'set',
  'set-tilted': 'set',
  'centre-line': 'set',
  link: 'set',
  joint: 'set',
  swept: 'set',
  furthest: 'set',
  swing: 'set',
  'swing-limit': 'set',
  stand: 'set',
  insert: 'set',
  arm: 'set',
  'arm-hole': 'set',
  plug: 'set',
  spacer: 'set',
  thread: 'set',
  gap: 'set',
  plate: 'plate',
  open: 'plate',
  slot: 'plate',
  hook: 'plate',
  bracket: 'plate',
  'slot-cut': 'plate',
  hole: 'holes',
  bore: 'holes',
  screw: 'holes',
  washer: 'holes',
  'eye-line': 'people',
  seat: 'people',
  body: 'people',
  sight: 'people',
  'sight-edge': 'people',
  band: 'people',
  'map-good': 'people',
  'map-fair': 'people',
  'map-poor': 'people',
  'hazard-zone': 'hazards',
  'zone-behind': 'hazards',
  'hazard-seen': 'hazards',
  'run-cable': 'hazards',
  'run-metal': 'hazards',
  'run-plastic': 'hazards',
  'live-mark': 'hazards',
  'look-met': 'hazards',
  'stud-mark': 'marks',
  'level-mark': 'marks',
  'odd-mark': 'marks',
  poke: 'marks',
  'poke-wood': 'marks',
  look: 'marks',
  'next-look': 'marks',
  settled: 'marks',
  measure: 'marks',
  asked: 'cuts',
  'cut-out': 'cuts',
};

export const LAYER_NAMES = [...new Set(Object.values(LAYERS))];

export const layerOf = (role: Role): Layer => LAYERS[role];

/** Letters of a label in a drawing of a whole wall, mm; in one of a plate as much smaller as that is. */
const LETTERS_MM = 14;

/** How high the letters of a drawing are, mm. A plate of 500 by 300 has letters of 7. */
export const lettersOf = ({ left, right, bottom, top }: Box): number =>
  Math.min(LETTERS_MM, Math.max(right - left, top - bottom) / 70);
