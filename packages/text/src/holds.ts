import type { DrillStep, Fixing, Hole, Part, Plan, Remedy, SchemeKind, SchemePlan } from '@steddo/contract';
import { bitText, screwSize } from './bits';
import { rounded, shareText, type Wording } from './wording';
import type { FixingPolicy, SetOut } from '@steddo/core';
import { fieldName } from './paths';
import { wordOf } from './wordOf';

/** Words for what holds a plate: schemes, fixings, parts, what is done at a hole. */

const FIXINGS: Record<Fixing['kind'], string> = {
  lag: 'lag screw',
  bolt: 'bolt',
  plug: 'plastic plug',
  'winged-plug': 'winged plug',
  'screw-in': 'screw-in anchor',
  'splitting-screw': 'splitting screw-in anchor',
  sleeve: 'expanding sleeve',
  'spring-toggle': 'spring toggle',
  'strap-toggle': 'strap toggle',
  'tap-in': 'tap-in anchor',
  'folding-wing': 'folding-wing anchor',
  'masonry-sleeve': 'masonry sleeve',
  'masonry-screw': 'masonry screw',
  'self-tapping': 'self-tapping screw',
};
export const fixingName = wordOf(FIXINGS);

const SCHEMES: Record<SchemeKind, string> = {
  'lags-in-studs': 'Lags in studs',
  'screws-in-studs': 'Screws in studs',
  'lags-and-anchors': 'Lags in one stud, toggles beside',
  anchors: 'Anchors in board',
  masonry: 'Sleeves in masonry',
  backing: 'Screws in the backing',
  mixed: 'Each row in what is behind it',
  none: 'Nothing yet',
};
export const schemeName = (kind: SchemeKind): string => SCHEMES[kind];

const POLICIES: Record<FixingPolicy, { name: string; says: string }> = {
  'studs-only': { name: 'Studs only', says: 'Never hollow-wall anchors for a screen.' },
  'stud-first': {
    name: 'Stud first',
    says: 'Wood if at all possible; anchors alone only for a light set close to the wall, never an arm.',
  },
  'rated-anchors': {
    name: 'Rated anchors',
    says: 'Anywhere that the pack rating allows, over four. An arm or a large set has to be acknowledged.',
  },
};
export const fixingPolicyText = (policy: FixingPolicy): { name: string; says: string } => POLICIES[policy];

const isPolicy = (name: string): name is FixingPolicy => name in POLICIES;

/** What a policy is called. */
export const policyName = (name: string): string => (isPolicy(name) ? POLICIES[name].name : name);

/** What the scheme costs, in a line: `1 in left, wood 98 of 100, holds 31 %, 4 holes, bit 7/32 in`. */
export function schemePrice(scheme: SchemePlan, say: Wording): string {
  const across = Math.round(Math.abs(scheme.shift));
  const shift =
    across === 0 ? 'no shift' : `plate ${say.length(Math.abs(scheme.shift))} ${scheme.shift > 0 ? 'right' : 'left'}`;
  return [
    shift,
    `sure in ${Math.floor(scheme.worstProbability * 100)} of 100`,
    ...(scheme.worstUtilisation === undefined ? [] : [`uses ${shareText(scheme.worstUtilisation)}`]),
    `${scheme.holes.length} holes`,
    ...(scheme.plate === undefined ? [] : ['with the wider plate ends screwed on']),
    ...(scheme.bits.length > 0 ? [`bit ${scheme.bits.map((b) => bitText(b, say)).join(' and ')}`] : []),
  ].join(', ');
}

/** One way out as an order: `shift the set 2 in to the right`. */
export function remedyText(
  way: Omit<Remedy, 'result'>,
  say: Wording,
  nameOf: (id: string) => string = (id) => id,
): string {
  const { kind, by = 0 } = way;
  const mm = typeof by === 'number' ? by : 0;
  const name = nameOf(String(by));
  switch (kind) {
    case 'limit-swing':
      return `stop the arm where the set's middle is ${say.length(mm)} to either side of its screws: a stop screw or a tether, not a word`;
    case 'more-rows':
      return `drive ${mm} lags, in the rows of the plate between`;
    case 'longer-lag':
      return `take ${name} of the kit instead of the leaflet's lag`;
    case 'two-studs':
      return 'fasten this plate over two studs';
    case 'timber':
      return `fix a level timber ${say.length(mm)} high across two studs, and the plate to that`;
    case 'noggings':
      return `open the board and put noggings ${say.length(mm)} high between the studs, the plate through it into those`;
    case 'other-mount':
      return way.by === undefined ? 'choose another mount of this type' : `take another mount of this type: ${name}`;
    case 'poke-edge':
      return `poke to the stud's edge near ${say.length(mm)} from the left, before anything else`;
    case 'other-stud':
      return 'move the plate to the other stud';
    case 'shift-set':
      return `shift the set ${say.length(Math.abs(mm))} to the ${mm > 0 ? 'right' : 'left'}`;
    case 'anchors':
      return 'anchors in the board here';
    case 'pack':
      return `pack what stands back by ${say.length(mm)}: a straight timber on two small screws that only hold it`;
    case 'corner-gap':
      return `keep ${say.length(mm)} between the TV and both walls${way.turn === undefined ? '' : `, turned ${Math.abs(way.turn)}° to the ${way.turn > 0 ? 'right' : 'left'}`}: then both feet come over their studs`;
    case 'shift-height':
      return `move the TV ${say.length(Math.abs(mm))} ${mm > 0 ? 'up' : 'down'}`;
    case 'other-fastener':
      return `use ${name} from your kit`;
    case 'enter':
      return `enter ${enteredText(way.path ?? '', say)}`;
    case 'evidence':
      return evidenceText(way, say);
    case 'not-here':
      return NOT_HERE[way.trade ?? 'builder'];
    case 'acknowledge':
      return 'read it, and go on';
    case 'let-go':
      return LET_GO[String(by)] ?? 'let go what was chosen by hand';
  }
}

const NOT_HERE: Record<NonNullable<Remedy['trade']>, string> = {
  electrician: 'not here: have a licensed electrician move the cable, or choose another place',
  plumber: 'not here: have a plumber move the pipe, or choose another place',
  gas: 'not here: have a licensed gas fitter move the pipe, or choose another place',
  builder: 'not here: have a builder put wood in or mend the wall, or choose another place',
  installer: 'not here: choose another place, or another TV, with the customer',
};

/** What is asked for: a field by its name, a fastener, a thing of the room. */
function enteredText(path: string, say: Wording): string {
  if (/^mount\.walls\.[a-z-]+\.fixing$/.test(path)) return 'the screws from the instructions';
  if (path === 'room.objects') return 'where the things on the wall are';
  if (path === 'room.wall.zones') return 'where the other part of the wall begins';
  if (path === 'room.rules.mantel-clearance') return 'the distance that the stove’s maker asks for';
  if (path === 'room.rules.flue-clearance') return 'the distance that the flue’s label asks for';
  if (path === 'room.heat') return 'the temperature, measured again';
  if (path === 'anchors' || path === 'lags') return 'a longer fastener in your kit';
  if (path === 'mount.bag.screws') return 'the screw you bought';
  const thing = /^room\.objects\.([^.]+)$/.exec(path)?.[1];
  return thing === undefined ? fieldName(path, say) : `a new place for ${say.thing(thing)}`;
}

/** What to mark, probe, scan or check, and where. */
function evidenceText({ what, x = 0, xs, y = 0, wall }: Omit<Remedy, 'result'>, say: Wording): string {
  const places = (xs ?? [x]).map((at) => say.length(at));
  const at = `${new Intl.ListFormat('en-US').format(places)} from the ${wall && wall !== 'main' ? 'corner' : 'left'}`;
  switch (what) {
    case 'scan-edges':
      return `scan both edges of the stud once more at ${at}`;
    case 'probe':
    case 'probe-edge':
      return `probe for the stud’s edges at ${at}`;
    case 'mark-joint':
      return `mark a joint near ${at}`;
    case 'trace-sheet':
      return 'mark the four edges of the sheet, and enter its thickness';
    case 'look':
      return `check behind the wall on both sides of ${at}, ${say.length(y)} up`;
    default:
      return `measure to both studs through the opening, at ${at}`;
  }
}

/** What a re-plan would change, in a line: `2 holes stay, 2 are new: 2 in board. Uses 64 %.` */
export function changedHoles(before: Plan, after: Plan, say: Wording): string {
  const old = before.holes ?? [];
  const next = after.holes ?? [];
  if (next.length === 0) return 'No holes then.';
  const stays = next.filter((h) => h.done || old.some((o) => Math.hypot(o.x - h.x, o.y - h.y) < 1)).length;
  const fresh = next.filter((h) => !h.done && !old.some((o) => Math.hypot(o.x - h.x, o.y - h.y) < 1));
  const into = [...new Set(fresh.map((h) => intoName(h.into)))].join(' and ');
  const bits = [...new Set(fresh.map((h) => bitText(h.bit, say)))].join(' and ');
  const moved = after.placement && before.placement ? after.placement.centre.x - before.placement.centre.x : 0;
  return [
    [
      ...(stays > 0 ? [`${stays} ${stays === 1 ? 'hole stays' : 'holes stay'}`] : []),
      `${fresh.length} new${fresh.length > 0 ? ` in ${into}, bit ${bits}` : ''}.`,
    ].join(', '),
    ...(Math.abs(moved) >= 0.5
      ? [`The set goes ${say.length(Math.abs(moved))} to the ${moved > 0 ? 'right' : 'left'}.`]
      : []),
    ...(after.loads ? [`The worst fastener then uses ${shareText(after.loads.worst)}.`] : []),
  ].join(' ');
}

/** Where in its brick or block a hole is: `course 25: 30 over its level joint, 30 right of the upright one`. */
export function unitText({ unit, x, y }: Pick<Hole, 'unit' | 'x' | 'y'>, say: Wording): string {
  if (!unit) return '';
  const up = `${say.length(y - unit.bottom)} over its lower edge`;
  const across = unit.left === undefined ? '' : `, ${say.length(x - unit.left)} right of its left one`;
  return `course ${unit.course} from below: ${up}${across}`;
}

const LET_GO: Record<string, string> = {
  plateX: 'let the plate go where the studs are, and slide the set back',
  armHole: 'hang the arms on the set by another hole',
  fold: 'fold the arm to the other side',
};

export const setOutName: Record<SetOut, string> = {
  'one-bolt': 'one bolt first',
  'held-up': 'plate held up',
  template: 'template',
};
export const setOutText: Record<SetOut, string> = {
  'one-bolt': 'The first hole, the plate hung from it and levelled, then the others through their slots.',
  'held-up': 'The plate held where it goes and levelled, all holes marked at once. Two hands for that.',
  template: 'All holes through a template; its print scale is checked against the tape.',
};

const STEPS: Record<DrillStep, string> = {
  'hold-up': 'Hold the plate up where it goes, on its centre line and height; two hands for that.',
  'template-up': 'Tape the template up on the centre line, at its height. Check its scale against the tape first.',
  'mark-all': 'Mark all holes through it, in the middle of their slots.',
  'fit-packing':
    'Packing up first: a straight timber as thick as the step, level, on two small screws that only hold it. What holds the plate goes through it.',
  'tape-tile': 'Tape over the mark, so that the bit does not wander on the glaze.',
  'tile-bit':
    'Tile bit, slowly, no hammer until it is through the tile and its bed. What follows must not spread inside the tile.',
  'plaster-bit':
    'Through the plaster with a masonry bit, slowly and without hammer: it falls off its laths. Wood bit from the lath on.',
  'thin-bit': 'Thin bit or awl at the mark itself: what it meets is evidence.',
  'test-hole': 'Test first with the 3 mm bit. Wood? Stop and say so.',
  'mark-through': 'Mark through the slot.',
  'plate-aside': 'Swing the plate aside: the hole is bigger than its slot.',
  pilot: 'Pilot hole, straight and level, to the flag.',
  'drill-board': 'Drill through the board only.',
  'drill-masonry': 'Hammer drill, in the brick or block, not the joint.',
  'clear-dust': 'Blow and brush the dust out.',
  'drill-metal': 'Drill the board, then the flange, slowly.',
  'set-sleeve': 'Sleeve in flush; one that spreads is spread now and its screw taken out again.',
  'draw-sleeve': 'Draw it tight until it has folded behind the board; take its screw out again.',
  'insert-plug': 'Tap it in flush.',
  'insert-toggle': 'Push the toggle through and pull it flush behind the board; insulation can hold it crooked.',
  'snap-strap': 'Slide the collar home and snap the straps off.',
  'spring-on-bolt': 'Bolt, washer and plate on it before it goes in: without its bolt it falls into the wall.',
  'fold-wing': 'Fold its wings, push it in flush, and pop them open with the pin.',
  'turn-in': 'Turn it in flush with a hand driver; it drills for itself.',
  'tap-in': 'Tap it in; it needs no hole.',
  'plate-on': 'Plate back on.',
  washer: 'Washer onto it first.',
  lag: 'Lag through the plate, drive; the last turns by hand.',
  'cut-thread': 'Drive the screw slowly: it cuts its own thread.',
  'drive-screw': 'Drive the screw; stop when it is snug.',
  bolt: 'Bolt in, snug.',
  'bolt-pulled': 'Tighten it while you pull: it spins unless it is drawn against the board.',
  'finger-tight': 'Finger-tight first to prove the thread.',
  seal: 'A dab of sealant onto its point, so that the hole stays tight.',
  'hang-plate': 'One bolt, snug, in the middle of its slot, and let the plate hang.',
  level: 'Level on it; turn the level end for end.',
  snug: 'Snug, not tight; go diagonally.',
};
export const stepText = (step: DrillStep): string => STEPS[step];

const INTO: Record<Hole['into'], string> = {
  stud: 'stud',
  board: 'board',
  masonry: 'masonry',
  'metal-stud': 'metal stud',
  backing: 'backing',
};
export const intoName = (into: Hole['into']): string => INTO[into];

const BITS: Record<string, string> = {
  wood: 'wood bit',
  masonry: 'masonry bit',
  metal: 'metal bit',
  look: 'bit for looking in',
};

/** `4 lag screws 7.9 x 64 mm, and 1 to spare`. */
export function partText(part: Part, say: Wording): string {
  const spare = part.spare > 0 ? `, and ${part.spare} to spare` : '';
  const size = part.diameter === undefined ? '' : ` ${screwSize(part.diameter, part.length, say)}`;
  switch (part.what) {
    case 'fixing':
      return `${part.count} ${fixingName(part.kind)}${part.count === 1 ? '' : 's'}${size}${spare}`;
    case 'washer':
      return `${part.count} washer${part.count === 1 ? '' : 's'} under their heads${spare}`;
    case 'bit':
      return `${BITS[part.kind] ?? 'bit'} ${bitText(part.diameter ?? 0, say)}`;
    case 'probe-bit':
      return `thin bit to probe with, ${rounded(part.diameter ?? 0, 1)} mm`;
    case 'packing':
      return `packing, ${part.count} ${part.count === 1 ? 'piece' : 'pieces'} ${say.length(part.thickness ?? 0)} thick, to ${say.length(part.length ?? 0)} long, and two small screws for each`;
    case 'timber':
      return `${part.count === 1 ? (TIMBERS[part.kind] ?? 'timber') : `${part.count} ${TIMBERS[part.kind] ?? 'timber'}s`} ${say.length(part.thickness ?? 0)} x ${say.length(part.height ?? 0)}, ${say.length(part.length ?? 0)} long`;
    case 'depth-flag':
      return 'tape for a flag on each bit, as a depth stop';
  }
}

const TIMBERS: Record<string, string> = { across: 'straight timber', nogging: 'nogging', cleat: 'cleat' };

/** Where a part comes from. */
export const partFrom = (from: Part['from']): string =>
  from === 'mount' ? 'with the mount' : from === 'kit' ? 'in the kit' : 'to get';
