import type {
  BuildKind,
  Distances,
  Hole,
  ItemKind,
  Level,
  MountType,
  HeightRule,
  Side,
  Stage,
  Verdict,
} from '@steddo/contract';
import type { PlanStep } from '@steddo/core';
import type { Wording } from './wording';
import { wordOf } from './wordOf';

const BUILDS: Record<BuildKind, string> = {
  'timber-stud': 'timber stud wall',
  'metal-stud': 'metal stud wall',
  masonry: 'masonry wall',
  'timber-backing': 'wall with timber backing',
  'metal-backing': 'wall with metal backing',
  unknown: 'wall nobody has named',
};
export const buildName = wordOf(BUILDS);

const RULES: Record<HeightRule, string> = {
  eyes: 'centre at the eyes',
  'bottom-band': 'bottom edge in a band',
  above: 'gap above furniture',
  'line-up': 'line up with something',
  'fit-between': 'fit between',
  'top-at-eyes': 'top edge at the eyes',
  vote: 'hold it up and vote',
  standing: 'eyes of people standing',
};
export const heightRuleName = (rule: HeightRule): string => RULES[rule];

const NEEDS: Record<HeightRule, string> = {
  eyes: 'needs an eye height',
  'bottom-band': 'needs an eye height',
  above: 'needs something that stands below',
  'line-up': 'needs the line to meet',
  'fit-between': 'needs what is below or above',
  'top-at-eyes': 'needs everybody’s eyes',
  vote: 'needs the top edge that was agreed',
  standing: 'needs an eye height',
};
/** What has to be known before a rule can give a height. */
export const heightRuleNeeds = (rule: HeightRule): string => NEEDS[rule];

export const verdictWord: Record<Verdict, string> = { go: 'go', caution: 'mind', stop: 'stop' };
export const levelWord: Record<Level, string> = { info: 'note', todo: 'to do', caution: 'mind', stop: 'stop' };

export const stageName: Record<Stage, string> = {
  set: 'Set',
  room: 'Room',
  mount: 'Mount',
  height: 'Height',
  reach: 'Reach',
  wall: 'Wall',
  holes: 'Holes',
  level: 'Level',
  fit: 'Fit',
  hang: 'Hang',
};

export const typeName: Record<MountType, string> = {
  fixed: 'fixed',
  tilt: 'tilt',
  'full-motion': 'full motion',
  corner: 'corner',
  vehicle: 'vehicle',
  'monitor-arm': 'monitor arm',
  recess: 'recess',
};

/** What binds a height or a place: `object:o2` is the thing's name. */
export function bindingName(code: string, say: Wording): string {
  const [kind = '', id = ''] = code.split(':');
  if (kind === 'object') return say.thing(id);
  if (kind === 'floor' && id !== '') return say.thing(id);
  if (kind === 'soundbar') return id === '' ? 'the room for the soundbar' : `the soundbar over ${say.thing(id)}`;
  if (kind === 'zone') return 'a part of the wall that stands out';
  if (kind === 'door') return `the swing of ${say.thing(id)}`;
  if (kind === 'wall') return `the ${id} side wall`;
  if (kind === 'plate')
    return id === 'floor' || id === 'ceiling' ? `the plate at the ${id}` : `the plate over ${say.thing(id)}`;
  const plain: Record<string, string> = {
    floor: 'the floor',
    'own-wall': 'its own wall',
    swivel: "the mount's turn",
    reach: "the arm's reach",
    ceiling: 'the ceiling with its gap and lift-on room',
    'wall-left': "the wall's left end",
    'wall-right': "the wall's right end",
  };
  return plain[kind] ?? code;
}

/** `Holes 1, 2 and 3`, by their ids. */
export const holeList = (ids: readonly string[]): string =>
  `${ids.length === 1 ? 'Hole' : 'Holes'} ${new Intl.ListFormat('en-GB').format(ids.map(holeNumber))}`;

/** The number in a hole's id: what the hand calls it by. */
export const holeNumber = (id: string): string => id.replace(/^h/, '').replace(/^s(?=\d)/, 'side ');

/** A wall of a corner. */
export const wallName = (wall: string): string => (wall === 'main' ? 'the main wall' : `the ${wall} wall`);
export const wallTitle = (wall: 'main' | Side): string => WALL_TITLES[wall];

const WALL_TITLES = { main: 'Main wall', left: 'Left wall', right: 'Right wall' };

/** `Hole 1, left stud, top row`, said at the wall; more than two columns are numbered from the left. */
export function holeName(hole: Hole, holes: readonly Hole[]): string {
  const own = holes.filter((h) => h.wall === hole.wall);
  const columns = [...new Set(own.map(columnOf))].sort((a, b) => a - b);
  const at = columns.indexOf(columnOf(hole));
  const thing = hole.into === 'stud' || hole.into === 'metal-stud' ? 'stud' : 'column';
  const side = at === 0 ? 'left' : 'right';
  const which = columns.length === 2 ? `, ${side} ${thing}` : columns.length > 2 ? `, ${thing} ${at + 1}` : '';
  return `${holeList([hole.id])}${which}, ${hole.row} row`;
}

/** Holes belong to one column by their stud, or where they have none by their place to the nearest 50 mm. */
const columnOf = ({ x }: Hole): number => Math.round(x / 50);

/** Names of marks for labels and lists. */
const MARKS: Record<string, string> = {
  top: 'top',
  bottom: 'bottom',
  left: 'left edge',
  right: 'right edge',
  centre: 'centre',
  hook: 'hook',
  'plate-top': 'plate top',
  'plate-bottom': 'plate bottom',
};
export const markName = (id: string): string => MARKS[id] ?? id;

const ITEMS: Record<ItemKind, string> = {
  outlet: 'outlet',
  switch: 'switch',
  furniture: 'furniture',
  cabinet: 'cabinet',
  shelf: 'shelf',
  mantel: 'mantel',
  window: 'window',
  curtain: 'curtain',
  door: 'door',
  vent: 'vent',
  pipe: 'pipe',
  gas: 'gas',
  soundbar: 'soundbar',
  data: 'data plate',
  opening: 'fireplace opening',
  chimney: 'chimney breast',
  stove: 'stove',
  box: 'in-wall box',
  set: 'another screen',
  device: 'device behind the TV',
  flue: 'flue in the wall',
  other: 'something else',
};
/** What a thing on the wall is called while nobody has named it. */
export const itemName = (kind: ItemKind): string => ITEMS[kind];

/** What a distance from the picture is good for. */
export const distanceRule: Record<Distances['bounds'][number]['rule'], string> = {
  'across-40': 'nearest: fills 40° across',
  'across-30': 'furthest: fills 30° across',
  'lines-2160': '2160 lines are as fine as the eye from',
  'lines-1080': '1080 lines are as fine as the eye from',
};

const STEPS: Record<PlanStep, string> = {
  studs: 'the studs',
  ranking: 'the order of the mounts',
  mount: 'whether the mount fits',
  light: 'the light things',
  wall: 'the wall',
  plate: 'where the plate goes',
  fastening: 'what holds it',
  reach: 'the reach',
  loads: 'the loads',
  remedies: 'what would help',
  level: 'the level',
  day: 'the day',
  proof: 'the checks',
  looks: 'where to look next',
};
/** What working a room out was busy with: "the reach". */
export const planStepName = (step: PlanStep): string => STEPS[step];
