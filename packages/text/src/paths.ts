import type { Wording } from './wording';

const WORDS: Record<string, string> = {
  'screen.diagonal': 'diagonal',
  'screen.width': "set's width",
  'screen.height': "set's height",
  'screen.thickness': "set's thickness",
  'screen.mass': "set's mass",
  'screen.pattern': 'hole pattern',
  'screen.insert.thread': 'thread of the insert, turned in by hand',
  'screen.insert.depth': 'depth of the insert, with a thin bolt',
  'screen.insert.recess': 'recess before the thread',
  'screen.plugDepth': 'how far the plugs stick out',
  'mount.bag.bracket': "thickness of the mount's bracket",
  'mount.bag.screws': 'its screws',
  'aim.schools.line-up.to': 'the line to meet',
  'aim.schools.vote.top': 'the top edge that was agreed',
  'aim.schools.standing.eye': 'eye height of people standing',
  'screen.patternCentre.up': 'where the pattern sits, up and down',
  'screen.patternCentre.right': 'where the pattern sits, sideways',
  'room.wall.width': "wall's width",
  'room.wall.height': "wall's height",
  'room.wall.build.kind': 'what the wall is',
  'room.wall.build.studWidth': "stud's width",
  'room.wall.build.board': 'thickness of the board',
  'room.wall.build.gap': 'hollow behind the covering',
  'room.wall.build.spacing': 'spacing of the studs',
  'room.wall.build.studDepth': "stud's depth",
  'room.wall.build.thickness': 'thickness of the backing',
  'room.wall.build.unit': 'size of a unit',
  'room.wall.build.depth': 'depth of the wall',
  'room.wall.build.timber': 'kind of timber',
  'room.viewers': 'who sits where',
  'aim.height': 'how high, and by which school',
  'aim.ceilingGap': 'gap under the ceiling',
  'aim.liftOn': 'lift-on room',
  'aim.schools.above.gap': 'gap above the furniture',
  'aim.schools.bottom-band.from': 'lowest bottom edge',
  'aim.schools.bottom-band.to': 'highest bottom edge',
  'mount.walls.timber-stud.fixing.diameter': 'lag screw diameter',
  'mount.walls.timber-stud.fixing.length': 'lag screw length',
  'mount.walls.timber-stud.fixing.count': 'number of lag screws',
  'mount.plate.thickness': "plate's thickness",
  plate: 'the plate: width, height, slots',
  'plate.slots': 'the slots of the plate, hole to hole and rows',
  hook: 'the hook above the plate bottom',
  patternAboveHook: 'the pattern above the hook, for each arm hole',
};

const LAST: Record<string, string> = {
  eye: 'eye height',
  distance: 'distance',
  top: 'top',
  left: 'left edge',
  right: 'right edge',
  bottom: 'bottom',
  washer: 'thickness of the washer',
};

const SOURCES: readonly [prefix: string, words: string][] = [
  ['screen.', 'measured on the set'],
  ['measured.', 'measured on the set, with the mount staged'],
  ['room.', 'measured in the room'],
  ['mount.', "the mount's own"],
  ['evidence.', 'marked on the wall'],
  ['levelReadings.', 'read off the level'],
  ['leads.', 'measured for the lead'],
  ['hang.', 'measured while it hangs'],
  ['floorHeights.', 'measured down from a level line'],
  ['aim.', 'agreed for this room'],
  ['choices.', 'chosen by hand'],
];

/** Where the number at a path came from, in an installer's words. */
export const sourceWords = (path: string): string => SOURCES.find(([prefix]) => path.startsWith(prefix))?.[1] ?? '';

/** Names the field behind a path as an installer would: `room.viewers.v1.eye` is `Dee's eye height`. */
export function fieldName(path: string, say: Wording): string {
  const known = WORDS[path];
  if (known) return known;
  const parts = path.split('.');
  const last = parts.at(-1) ?? path;
  if (path.startsWith('mount.walls.') && parts[3] === 'fixing') return `screw ${last}`;
  const word = LAST[last] ?? last;
  if (path.startsWith('room.viewers.') || path.startsWith('room.objects.'))
    return `${word} of ${say.thing(parts[2] ?? '')}`;
  return word === last ? spacedOut(last) : word;
}

/** A field that nobody has named, at least in words: `studDepth` is `stud depth`. */
const spacedOut = (name: string): string => name.replace(/[A-Z]/g, (c) => ` ${c.toLowerCase()}`);
