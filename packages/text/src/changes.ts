import { buildName, heightRuleName } from './names';
import { fieldName } from './paths';
import { capital, rounded, type Wording } from './wording';

/** What was changed, and what to, in an installer's words: for two versions side by side and for the record. */

/** What the entries of the job's lists are called. */
const ENTRY: Record<string, string> = {
  'room.viewers': 'the seat of',
  'room.objects': 'the thing on the wall',
  'room.floor': 'the thing on the floor',
  'room.wall.zones': 'the part of the wall',
  evidence: 'the mark',
  scans: 'the scan',
  looks: 'the look',
  photos: 'the picture',
  measured: 'the measure on the set',
  levelReadings: 'the reading of the level',
  drilled: 'a drilled hole',
  floorHeights: 'the height of the floor',
  anchors: 'the anchor',
  lags: 'the lag screw',
  bits: 'the bit',
  leads: 'the lead',
  ticks: 'a tick',
  guessed: 'whether it is a guess:',
  'fixing.acknowledged': 'what was acknowledged',
  'record.notes': 'a note',
  'record.open': 'an open point',
  'record.spares': 'a spare',
  'record.built': 'what was built',
};

const WHOLE: Record<string, string> = {
  '': 'the whole room',
  '(all)': 'the whole room',
  '(height)': 'how high it hangs',
  title: 'the name of the room',
  units: 'inches or millimetres',
  mount: 'the mount',
  'choices.centreY': 'the height by hand',
  'choices.centreX': 'the place sideways by hand',
  'choices.plateX': 'the place of the plate by hand',
  'choices.scheme': 'how it is fastened',
  'choices.fold': 'which way the arm folds',
  'choices.armHole': 'the arm hole',
  'choices.stack': 'the screw',
  'aim.centre': 'what it is centred on',
  'aim.soundbar': 'the soundbar to come',
  'hang.gaps': 'the gaps left and right',
};

const UNNAMED = new Set([
  'drilled',
  'ticks',
  'fixing.acknowledged',
  'record.notes',
  'record.open',
  'record.spares',
  'record.built',
]);
const NAMED = new Set(['room.viewers', 'room.objects', 'room.floor']);

/** What a path is about: `['screen', 'mass']` is *set's mass*, a mark *the mark e4*. */
export function changedThing(path: readonly string[], say: Wording): string {
  const text = path.join('.');
  const whole = WHOLE[text];
  if (whole) return whole;
  const list = Object.keys(ENTRY).find((name) => text.startsWith(`${name}.`));
  if (!list) return fieldName(text, say);
  const [id = '', ...rest] = path.slice(list.split('.').length);
  if (list === 'guessed') return `${ENTRY[list]} ${fieldName(id, say)}`;
  const entry = UNNAMED.has(list) ? ENTRY[list]! : `${ENTRY[list]} ${NAMED.has(list) ? say.thing(id) : id}`;
  const [field] = rest;
  if (field === undefined) return entry;
  return field === '(place)' ? `where ${entry} is` : `${fieldName(rest.join('.'), say)} of ${entry}`;
}

const MASSES = new Set(['mass', 'maxMass', 'movingMass']);
const ANGLES = new Set(['recline', 'celsius', 'roll', 'down', 'up', 'left', 'right']);
const NUMBERS = new Set(['weight', 'armHole', 'price', 'count', 'reclineShare', 'ratio', 'fixings']);

/** A value as it is read: a length in the room's units, a thing by its name; what is not there in words too. */
export function changedValue(path: readonly string[], value: unknown, say: Wording): string {
  if (value === undefined || value === null) return 'nothing';
  if (typeof value === 'boolean') return value ? 'yes' : 'no';
  if (typeof value === 'number') return numberWords(path, value, say);
  if (typeof value === 'string') return stringWords(path, value);
  if (Array.isArray(value)) return value.length === 1 ? 'one entry' : `${value.length} entries`;
  return objectWords(path, value as Record<string, unknown>, say);
}

function numberWords(path: readonly string[], value: number, say: Wording): string {
  const last = path.at(-1) ?? '';
  if (MASSES.has(last)) return say.mass(value);
  if (NUMBERS.has(last)) return rounded(value, 2);
  const turns = path.includes('tilt') || path.includes('swivel') || ['recline', 'celsius', 'roll'].includes(last);
  return turns && ANGLES.has(last) ? say.degrees(value) : say.length(value);
}

function stringWords(path: readonly string[], value: string): string {
  if (path[0] === 'guessed') return 'still a guess';
  if (path.join('.') === 'aim.height') return heightRuleName(value as Parameters<typeof heightRuleName>[0]);
  if (path.at(-1) === 'kind' && path.includes('build')) return buildName(value);
  return value.replace(/-/g, ' ');
}

function objectWords(path: readonly string[], value: Record<string, unknown>, say: Wording): string {
  if (path.length === 0) return typeof value.title === 'string' ? `“${value.title}”` : 'a room';
  const { name, kind, x, y, width, height, value: measured, result, text } = value;
  if (typeof width === 'number' && typeof height === 'number' && path.at(-1) === 'pattern')
    return `${rounded(width, 1)} x ${rounded(height, 1)}`;
  const words = [name, kind, result, text].flatMap((w) => (typeof w === 'string' ? [w.replace(/-/g, ' ')] : []));
  if (typeof measured === 'number') words.push(say.length(measured));
  if (typeof x === 'number') words.push(`at ${say.length(x)}`);
  if (typeof x === 'number' && typeof y === 'number') words.push(`up ${say.length(y)}`);
  return words.length > 0 ? words.join(', ') : 'there';
}

/** The two sides of a dispute: several values of one thing one after the other, each with its name. */
export function bothSides(
  changes: readonly { path: readonly string[]; before?: unknown; after?: unknown }[],
  say: Wording,
): { theirs: string; mine: string } {
  const [only] = changes;
  const side = (which: 'before' | 'after') =>
    changes.length === 1 && only
      ? changedValue(only.path, only[which], say)
      : changes.map((c) => `${fieldName(c.path.at(-1) ?? '', say)} ${changedValue(c.path, c[which], say)}`).join(', ');
  return { theirs: side('before'), mine: side('after') };
}

/** A list of things that were touched, as the record names them; of many the first few. */
export function touchedWords(touched: readonly string[], say: Wording): string {
  const names = [...new Set(touched.map((t) => changedThing(t.split('.'), say)))];
  if (names.length === 0) return 'nothing named';
  const shown = names.slice(0, 3).join(', ');
  return capital(names.length > 3 ? `${shown} and ${names.length - 3} more` : shown);
}
