import type { Build, BuildKind, Evidence, Hole, Job } from '@steddo/contract';

/** Words for what a wall is, what is logged at it, and how sure its holes are. */

/** What a hand can log at the wall, by what it is called there. */
export type MarkKind =
  | 'edge-left'
  | 'edge-right'
  | 'centre'
  | 'wood'
  | 'hollow'
  | 'backing'
  | 'fastener'
  | 'outlet-left'
  | 'outlet-right'
  | 'nogging'
  | 'joint'
  | 'joint-bed'
  | 'joint-upright'
  | 'face-left'
  | 'face-right'
  | 'somewhere'
  | 'old-wood'
  | 'old-hollow'
  | 'backing-left'
  | 'backing-right'
  | 'backing-top'
  | 'backing-bottom'
  | 'metal'
  | 'live';

export const markKindName: Record<MarkKind, string> = {
  'edge-left': 'left edge',
  'edge-right': 'right edge',
  centre: 'centre',
  wood: 'probe: wood',
  hollow: 'probe: hollow',
  backing: 'probe: backing',
  fastener: 'board screw',
  'outlet-left': 'box, stud on its left',
  'outlet-right': 'box, stud on its right',
  nogging: 'nogging',
  joint: 'joints meet',
  'joint-bed': 'level joint',
  'joint-upright': 'upright joint',
  'face-left': 'face taped, wood on its left',
  'face-right': 'face taped, wood on its right',
  somewhere: 'stud somewhere here',
  'old-wood': 'old hole: wood',
  'old-hollow': 'old hole: hollow',
  'backing-left': "backing's left edge",
  'backing-right': "backing's right edge",
  'backing-top': "backing's top edge",
  'backing-bottom': "backing's bottom edge",
  metal: 'probe: metal',
  live: 'live wire',
};

/** On a corner's other wall left and right are nearer to the corner and further from it. */
const FROM_CORNER: Partial<Record<MarkKind, string>> = {
  'edge-left': 'edge nearer the corner',
  'edge-right': 'edge further from it',
  'outlet-left': 'box, stud on the corner’s side',
  'outlet-right': 'box, stud on its far side',
  'face-left': 'face taped, wood towards the corner',
  'face-right': 'face taped, wood away from the corner',
  'backing-left': 'backing’s edge nearer the corner',
  'backing-right': 'backing’s edge further from it',
};

/** A mark by its name; `fromCorner` on a wall whose measures run from the corner. */
export const markedName = (kind: MarkKind, fromCorner: boolean): string =>
  (fromCorner ? FROM_CORNER[kind] : undefined) ?? markKindName[kind];

/** Where along a wall a measure is from. */
export const alongFrom = (fromCorner: boolean): string => (fromCorner ? 'from the corner' : "from the wall's left end");

const jointMark = (runs: 'horizontal' | 'vertical' | undefined): MarkKind =>
  runs === undefined ? 'joint' : runs === 'horizontal' ? 'joint-bed' : 'joint-upright';

/** The name of a mark that is in the job. */
export function evidenceName(e: Evidence, fromCorner = false): string {
  const named = (kind: MarkKind) => markedName(kind, fromCorner);
  if (e.kind === 'probe') return `probe: ${e.found}`;
  if (e.kind === 'outlet-side') return named(`outlet-${e.side}`);
  if (e.kind === 'backing-edge') return named(`backing-${e.side}`);
  if (e.kind === 'face') return named(`face-${e.side}`);
  if (e.kind === 'old-hole') return named(`old-${e.found}`);
  if (e.kind === 'joint') return named(jointMark(e.runs));
  return named(e.kind);
}

/** What has been looked into at a hole. */
export const lookedName: Record<Hole['hazard'], string> = {
  'nobody-looked': 'nobody has looked',
  'one-side': 'one bay looked at',
  clear: 'both bays clear',
  seen: 'something seen there',
};

/** What the share of certainty of a hole is of. */
export const certainName: Record<Hole['into'], string> = {
  stud: 'wood',
  'metal-stud': 'stud',
  board: 'hollow',
  masonry: 'off the joints',
  backing: 'backing',
};

/** How sure a hole is, in words: `wood 99 in 100`; where no joint is marked what to do about it. */
export const certainText = ({ into, probability, unmarked }: Pick<Hole, 'into' | 'probability' | 'unmarked'>): string =>
  unmarked ? 'mark a joint first' : `${certainName[into]} ${Math.floor(probability * 100)} in 100`;

/** What a wall may be made of, short enough for a row of choices. */
export const wallChoice: Record<BuildKind, string> = {
  'timber-stud': 'timber studs',
  masonry: 'masonry',
  'metal-stud': 'metal studs',
  'timber-backing': 'timber backing',
  'metal-backing': 'metal backing',
  unknown: 'not known',
};
export const bondChoice: Record<NonNullable<NonNullable<Build['unit']>['bond']>, string> = {
  stretcher: 'half over half',
  stack: 'joint above joint',
};
export const masonryChoice: Record<NonNullable<Build['masonry']>, string> = {
  brick: 'brick',
  block: 'block',
  stone: 'stone',
  concrete: 'concrete',
};
export const coverChoice: Record<NonNullable<Build['cover']>, string> = {
  gypsum: 'board',
  lath: 'lath',
  panel: 'panel',
  tile: 'tile',
  none: 'bare',
};
export const stateChoice: Record<NonNullable<Build['state']>, string> = {
  sound: 'sound',
  patched: 'patched',
  wet: 'wet',
};
export const behindChoice: Record<NonNullable<Job['room']['wall']['behind']>, string> = {
  room: 'a room',
  'wet-room': 'kitchen or bath',
  outside: 'outside',
};

/** Short enough for a tool's own face. */
export const toolName = {
  edge: 'edge',
  centre: 'centre',
  magnet: 'magnet',
  live: 'live',
  drill: 'drill',
  camera: 'camera',
} as const;
