import type { Anchor, Build, Evidence, Job, Look, Mount } from '@steddo/contract';
import { demoCatalogue } from '../src';

/**
 * Forty ordinary jobs, each with what a careful professional would say of it, and why: written down before any plan
 * was made of them. `expected`: `go`; `todo`, nothing wrong and something still to find out before drilling; `caution`;
 * `stop`. `first`: what the professional would try first at a stop. All common practice unless the reason names another
 * source.
 */
export interface FortyJob {
  name: string;
  job: Job;
  expected: 'go' | 'todo' | 'caution' | 'stop';
  first?: 'enter' | 'evidence' | 'change' | 'fastener' | 'mount' | 'not-here';
  why: string;
}

type Fixing = NonNullable<NonNullable<Mount['walls']['masonry']>['fixing']>;
type Walls = Mount['walls'];

const LAG: Fixing = {
  ...{ kind: 'lag', diameter: 7.94, length: 64, threadLength: 45, count: 4, pilot: 5.5, washer: 2, head: 13 },
};
const SLEEVE: Fixing = {
  ...{ kind: 'masonry-sleeve', diameter: 7.94, length: 64, count: 4, pilot: 12.7, washer: 2, head: 13 },
  ...{ tension: 5200, shear: 5200 },
};
const LONG_SLEEVE: Fixing = { ...SLEEVE, length: 102 };
const STEEL_SCREW: Fixing = {
  ...{ kind: 'self-tapping', diameter: 5.5, length: 51, count: 4, pilot: 4.8, washer: 2, head: 11 },
  ...{ tension: 2600, shear: 3600 },
};
const TIMBER: Build = {
  ...{ kind: 'timber-stud', board: 12.7, cover: 'gypsum', state: 'sound', spacing: 406.4 },
  ...{ studWidth: 38, studDepth: 89, timber: 'spruce-pine-fir' },
};
const STEEL: Build = {
  ...{ kind: 'metal-stud', board: 12.7, cover: 'gypsum', state: 'sound', spacing: 406.4 },
  ...{ studWidth: 41, studDepth: 92, thickness: 0.9 },
};
const BRICK: Build = {
  ...{ kind: 'masonry', masonry: 'brick', board: 0, cover: 'none', unit: { width: 215, height: 65, joint: 10 } },
};
const BLOCK: Build = {
  ...{ kind: 'masonry', masonry: 'block', board: 0, cover: 'none', unit: { width: 440, height: 215, joint: 10 } },
};
const CONCRETE: Build = { kind: 'masonry', masonry: 'concrete', board: 0, cover: 'none' };

/** The set's middle, and the studs 16 in apart on both sides of it. */
const MIDDLE = 1500;
const [LEFT, RIGHT] = [MIDDLE - 203.2, MIDDLE + 203.2];
/** Where an arm's plate stands, its folded set 127 aside of it. */
const ARM = MIDDLE - 127;
const Y = 1250;

/** Both edges of a stud, each time a millimetre or so off, as finders are; once or at several heights. */
const edges = (x: number, times: number, half = 19): Evidence[] =>
  Array.from({ length: times }, (_, i) => [
    { id: `l${x}${i}`, kind: 'edge-left' as const, x: x - half - 0.5 + (i % 2), y: Y - 100 + 150 * i },
    { id: `r${x}${i}`, kind: 'edge-right' as const, x: x + half + 1 - (i % 2), y: Y - 100 + 150 * i },
  ]).flat();
const centres = (x: number, times = 2): Evidence[] =>
  Array.from({ length: times }, (_, i) => ({ id: `c${x}${i}`, kind: 'centre', x: x + 1 - 2 * i, y: Y + 200 * i }));
const probe = (x: number, found: 'wood' | 'hollow', y = Y): Evidence => ({
  id: `p${x}${y}`,
  kind: 'probe',
  x,
  y,
  found,
});
const joints = (height = 75): Evidence[] => [
  { id: 'j1', kind: 'joint', x: 1402, y: 1147 },
  { id: 'j2', kind: 'joint', x: 1402, y: 1147 + 2 * height },
];
const scanned = { id: 's1', instrument: 'edge', from: 900, to: 2100, y: Y } as const;

/** Both bays looked into all over the plate's place, and clear. */
const LOOKED: Look[] = [1150, 1297, 1373, 1500, 1703, 1850].map((x, i) => ({
  ...{ id: `k${i}`, x, y: Y, reach: 600, bay: 'both', found: 'clear' },
}));

type Kind = 'fixed' | 'tilt' | 'one-stud' | 'arm-one' | 'arm-two';

function mount(kind: Kind, walls: Walls, more: Partial<Mount> = {}): Mount {
  const arm = kind === 'arm-one' || kind === 'arm-two';
  const single = kind === 'arm-one' || kind === 'one-stud';
  const columns = single ? [0] : [-203.2, 203.2];
  const rows = arm ? [30, 130, 230] : [35, 165];
  const moving: Pick<Mount, 'depth'> & Partial<Mount> = arm
    ? {
        depth: { folded: 66, extended: 400 },
        swivel: { left: 60, right: 60 },
        arm: {
          ...{ kind: 'links', links: [232, 105], head: 60, rootX: 0, foldOffset: 127 },
          limits: { shoulder: [-90, 90], elbow: [-178, 178] },
        },
        ...{ mass: 6, movingMass: 3.5, slide: 30 },
      }
    : { depth: { folded: kind === 'tilt' ? 58 : 30 }, mass: 3, movingMass: 1.5, slide: 60 };
  return {
    ...{ id: 'own', name: 'A plain mount', type: arm ? 'full-motion' : kind === 'tilt' ? 'tilt' : 'fixed' },
    ...{ maxMass: 50, screenSize: { min: 500, max: 2300 } },
    pattern: { min: { width: 75, height: 75 }, max: { width: 600, height: 400 } },
    walls,
    studs: single ? { count: 1 } : { count: 2, minSpacing: 380, maxSpacing: 620 },
    plate: {
      ...{ width: single ? 120 : 520, height: arm ? 260 : 200, thickness: 2.5 },
      slots: rows.flatMap((y) => columns.map((x) => ({ x, y, length: 60, height: 10 }))),
    },
    hook: { above: arm ? 130 : 185, spacing: 400 },
    patternAboveHook: [-40, 0, 40],
    ...(kind === 'tilt' || arm ? { tilt: { down: 15, up: 5 } } : {}),
    bag: {
      bracket: 2.5,
      screws: [
        { thread: 'M4', length: 10 },
        { thread: 'M6', length: 12 },
        { thread: 'M8', length: 20 },
      ],
      ...{ spacers: [10], washers: [1.6] },
    },
    ...moving,
    ...more,
  } as Mount;
}

const lags = (count = 4, more: Partial<Fixing> = {}): Walls => ({
  'timber-stud': { maxBoard: 16, fixing: { ...LAG, count, ...more } },
});
const sleeves = (fixing: Fixing = SLEEVE, maxBoard = 20): Walls => ({ masonry: { maxBoard, fixing } });

interface Given {
  inches: number;
  kg: number;
  mount?: Mount;
  build?: Build;
  evidence?: Evidence[];
  looks?: Look[];
  scans?: NonNullable<Job['scans']>;
  pattern?: { width: number; height: number };
  anchors?: Anchor[];
  fixing?: Job['fixing'];
  more?: Partial<Job>;
}

function jobOf(title: string, given: Given): Job {
  const diagonal = given.inches * 25.4;
  const [width, height] = [(diagonal * 16) / Math.sqrt(337), (diagonal * 9) / Math.sqrt(337)];
  const { inches } = given;
  const side = inches < 30 ? 100 : inches < 50 ? 200 : 400;
  const thread = inches < 30 ? 'M4' : inches < 50 ? 'M6' : 'M8';
  return {
    ...{ format: 'steddo-job', version: 1, title, units: 'imperial', guessed: [] },
    screen: {
      ...{ name: 'A TV', diagonal, width, height, thickness: 55, mass: given.kg, back: 'flat', ports: 'side' },
      plugDepth: 20,
      pattern: given.pattern ?? { width: side, height: Math.min(side, 300) },
      patternCentre: { right: 0, up: -20 },
      insert: { thread, depth: inches < 30 ? 10 : inches < 50 ? 14 : 22, recess: 0 },
    },
    ...(given.mount ? { mount: given.mount } : {}),
    room: {
      wall: { width: 3600, height: 2500, build: given.build ?? TIMBER },
      viewers: [{ id: 'v1', name: 'Sofa', eye: 1180, distance: 2000 + inches * 12, x: MIDDLE, posture: 'seated' }],
    },
    aim: { height: 'eyes', centre: { on: 'x', x: MIDDLE } },
    choices: { centreY: Y },
    evidence: given.evidence ?? [...edges(LEFT, 2), ...edges(RIGHT, 2)],
    ...(given.scans ? { scans: given.scans } : {}),
    looks: given.looks ?? LOOKED,
    ...(given.fixing ? { fixing: given.fixing } : {}),
    anchors: given.anchors ?? [...demoCatalogue.anchors!],
    lags: [...demoCatalogue.lags!],
    bits: [...demoCatalogue.bits!],
    ...given.more,
  } as Job;
}

const forty: FortyJob[] = [];
function add(name: string, given: Given, expected: FortyJob['expected'], why: string, first?: FortyJob['first']): void {
  forty.push({ name, job: jobOf(name, given), expected, why, ...(first ? { first } : {}) });
}

// timber, flat mounts
add(
  '24 in fixed, one stud, edges twice',
  { inches: 24, kg: 3.5, mount: mount('one-stud', lags(2)), evidence: edges(MIDDLE, 2) },
  'go',
  'Two 5/16 lags in one stud known by both edges at two heights hold 8 lb many times over.',
);
add(
  '32 in fixed, two studs, edges twice',
  { inches: 32, kg: 5.5, mount: mount('fixed', lags()) },
  'go',
  'Four lags, both studs marked twice on both edges, the wall looked into: nothing left to ask.',
);
add(
  '43 in tilt, two studs, edges once',
  { inches: 43, kg: 9, mount: mount('tilt', lags()), evidence: [...edges(LEFT, 1), ...edges(RIGHT, 1)] },
  'go',
  'Both edges of both studs 38 mm apart and the studs 16 in apart: that is how a stud is found.',
);
add(
  '55 in fixed, two studs, edges twice',
  { inches: 55, kg: 15, mount: mount('fixed', lags()) },
  'go',
  'The commonest job there is; two people lift 33 lb without thinking.',
);
add(
  '55 in fixed, two studs, nobody looked',
  { inches: 55, kg: 15, mount: mount('fixed', lags()), looks: [] },
  'todo',
  'Same job before the check behind the board: nothing wrong, one thing to do.',
);
add(
  '65 in tilt, two studs, edges twice',
  { inches: 65, kg: 22, mount: mount('tilt', lags()) },
  'go',
  '48 lb by two people is inside what two may lift; four lags carry it many times over.',
);
add(
  '75 in fixed, two studs, edges twice',
  { inches: 75, kg: 31, mount: mount('fixed', lags()) },
  'caution',
  '68 lb over the head of two people is more than the lifting limit, and less than twice it (NIOSH, EN 1005-2).',
);
add(
  '85 in tilt, two studs, edges twice',
  { inches: 85, kg: 42, mount: mount('tilt', lags()), pattern: { width: 600, height: 400 } },
  'caution',
  'Heavy: three people, or a lift. The lags hold it.',
);
add(
  '55 in fixed, nobody scanned',
  { inches: 55, kg: 15, mount: mount('fixed', lags()), evidence: [], looks: [] },
  'todo',
  'Nothing is wrong before anybody has looked for the studs.',
);
add(
  '55 in fixed, one stud of two found',
  { inches: 55, kg: 15, mount: mount('fixed', lags()), evidence: edges(LEFT, 2), scans: [scanned] },
  'stop',
  'The second stud is where the spacing says or it isn’t: a hole on a guess is not drilled. Mark its edges.',
  'evidence',
);
add(
  '43 in tilt, centre finder alone',
  { inches: 43, kg: 9, mount: mount('tilt', lags()), evidence: [...centres(LEFT), ...centres(RIGHT)] },
  'stop',
  'A centre finder can be 1/2 in off, and half a lag beside the stud does not hold: probe, or find the edges.',
  'evidence',
);
add(
  '43 in tilt, centre finder and pilots that met wood',
  {
    ...{ inches: 43, kg: 9, mount: mount('tilt', lags()) },
    evidence: [
      ...[...centres(LEFT), ...centres(RIGHT)],
      ...[LEFT, RIGHT].flatMap((x) => [1180, 1310].map((y) => probe(x, 'wood', y))),
    ],
  },
  'caution',
  'As many work: the screw is in wood; how near the edge is not known, so probe to both sides or accept less load.',
);
add(
  '43 in fixed, lath and plaster, edges twice',
  {
    ...{ inches: 43, kg: 9, mount: mount('fixed', lags(4, { length: 76, threadLength: 50 })) },
    build: { ...TIMBER, board: 16, cover: 'lath' },
  },
  'go',
  'Long lags through plaster into studs known by both edges.',
);
add(
  '55 in fixed, lags too short for thick board',
  {
    ...{ inches: 55, kg: 15, mount: mount('fixed', lags(4, { length: 51, threadLength: 38 })) },
    build: { ...TIMBER, board: 16, gap: 12 },
  },
  'stop',
  'Two-inch lags through 1 1/8 in of board and void leave 3/4 in in the stud: longer lags from the van.',
  'fastener',
);
add(
  '55 in fixed, studs miss the slots',
  {
    ...{ inches: 55, kg: 15, mount: mount('fixed', lags(), { slide: 20 }) },
    ...{ evidence: [...edges(LEFT + 140, 2), ...edges(RIGHT + 140, 2)], scans: [scanned] },
  },
  'stop',
  'The plate cannot reach both studs where the TV is wanted: move the TV a few inches, if the customer agrees.',
  'change',
);
// arms
add(
  '24 in arm, one stud, edges twice',
  { inches: 24, kg: 3.5, mount: mount('arm-one', lags(3)), evidence: edges(ARM, 2) },
  'go',
  'Three lags down one well known stud hold 3.5 kg at 400 mm.',
);
add(
  '32 in arm, one stud, edges twice',
  { inches: 32, kg: 5.5, mount: mount('arm-one', lags(3)), evidence: edges(ARM, 2) },
  'go',
  'A small arm on one stud, the leaflet’s three lags.',
);
add(
  '43 in arm, one stud, edges once',
  { inches: 43, kg: 14, mount: mount('arm-one', lags(3)), evidence: edges(ARM, 1) },
  'stop',
  'Leaned on, swung aside, it is beyond the timber tables and only the maker’s rating covers it: that asks for a stud known better than by one pass. Scan both edges once more.',
  'evidence',
);
add(
  '43 in arm, one stud, edges three times',
  { inches: 43, kg: 14, mount: mount('arm-one', lags(3)), evidence: edges(ARM, 3) },
  'caution',
  'The same with the stud known: the maker’s label covers it, the tables do not.',
);
add(
  '55 in arm, two studs, edges twice',
  {
    inches: 55,
    kg: 15,
    mount: mount('arm-two', lags(6)),
    evidence: [...edges(ARM - 203.2, 2), ...edges(ARM + 203.2, 2)],
  },
  'go',
  'Six lags in two studs.',
);
add(
  '65 in arm, one stud, heavy',
  { inches: 65, kg: 30, mount: mount('arm-one', lags(3)), evidence: edges(ARM, 3) },
  'stop',
  '66 lb at 16 in on three lags in one stud: keep the swing short, or spread it over two studs.',
  'change',
);
add(
  '43 in arm on toggles in board',
  {
    ...{ inches: 43, kg: 9, mount: mount('arm-one', { 'timber-stud': { maxBoard: 16 } }) },
    ...{ evidence: [1330, 1373, 1416].map((x) => probe(x, 'hollow')), scans: [scanned] },
  },
  'stop',
  'An arm pulls toggles through the board. Never.',
  'change',
);
// metal studs
add(
  '43 in fixed, metal studs, leaflet’s screws',
  {
    ...{
      inches: 43,
      kg: 9,
      mount: mount('fixed', { 'metal-stud': { maxBoard: 16, fixing: STEEL_SCREW } }),
      build: STEEL,
    },
    evidence: [...edges(LEFT, 2, 20.5), ...edges(RIGHT, 2, 20.5)],
  },
  'go',
  'The leaflet names steel studs and rates its screws for them.',
);
add(
  '32 in fixed, metal studs, leaflet silent',
  {
    ...{ inches: 32, kg: 6, mount: mount('fixed', lags()), build: STEEL },
    evidence: [...edges(LEFT, 2, 20.5), ...edges(RIGHT, 2, 20.5)],
  },
  'caution',
  '20 lb in all on four toggles through the flanges: usual, and on the installer’s judgement.',
);
add(
  '55 in fixed, metal studs, leaflet silent',
  {
    ...{ inches: 55, kg: 18, mount: mount('fixed', lags()), build: STEEL },
    evidence: [...edges(LEFT, 2, 20.5), ...edges(RIGHT, 2, 20.5)],
  },
  'stop',
  'Over 45 lb in all on thin steel with no leaflet behind it: a mount made for steel studs.',
  'mount',
);
add(
  '32 in arm, metal studs, leaflet silent',
  { inches: 32, kg: 5.5, mount: mount('arm-one', lags(3)), build: STEEL, evidence: edges(ARM, 2, 20.5) },
  'stop',
  'An arm on one steel stud works loose.',
  'mount',
);
// masonry
add(
  '43 in fixed, brick, joints marked',
  { inches: 43, kg: 9, mount: mount('fixed', sleeves()), build: BRICK, evidence: joints() },
  'go',
  'Sleeves in whole bricks; if a hole would meet a joint the TV goes up or down half an inch.',
);
add(
  '43 in fixed, brick, nothing marked',
  { inches: 43, kg: 9, mount: mount('fixed', sleeves()), build: BRICK, evidence: [] },
  'todo',
  'The joints are there to see: mark one.',
);
add(
  '43 in arm, brick, joints marked',
  { inches: 43, kg: 9, mount: mount('arm-one', sleeves({ ...SLEEVE, count: 3 })), build: BRICK, evidence: joints() },
  'go',
  'Three rated sleeves in whole bricks.',
);
add(
  '43 in fixed, plastered brick, joints found by test holes',
  {
    ...{ inches: 43, kg: 9, mount: mount('fixed', sleeves({ ...SLEEVE, length: 76 })) },
    ...{ build: { ...BRICK, board: 15, cover: 'none' }, evidence: joints() },
  },
  'go',
  'Sleeves long enough to reach 2 in into the brick behind 5/8 in of plaster.',
);
add(
  '55 in tilt, block, joints marked',
  { inches: 55, kg: 15, mount: mount('tilt', sleeves()), build: BLOCK, evidence: joints(225) },
  'go',
  'Blocks are large: sleeves in the middle of them.',
);
add(
  '65 in fixed, concrete',
  { inches: 65, kg: 22, mount: mount('fixed', sleeves()), build: CONCRETE, evidence: [] },
  'go',
  'No joints to miss.',
);
add(
  '43 in fixed, dot-and-dab, the mount’s own sleeves',
  {
    ...{ inches: 43, kg: 9, mount: mount('fixed', sleeves()), evidence: joints(225) },
    build: { ...BLOCK, board: 12.7, gap: 15, cover: 'gypsum' },
  },
  'stop',
  'Half of a 2 1/2 in sleeve is in board and air: longer fixings.',
  'fastener',
);
add(
  '43 in fixed, dot-and-dab, long sleeves',
  {
    ...{ inches: 43, kg: 9, mount: mount('fixed', sleeves(LONG_SLEEVE, 30)), evidence: joints(225) },
    build: { ...BLOCK, board: 12.7, gap: 15, cover: 'gypsum' },
  },
  'go',
  'Four-inch sleeves reach the block, and a flat TV asks little of them.',
);
// wood behind board, and board alone
add(
  '43 in fixed, plywood behind board, traced',
  {
    ...{ inches: 43, kg: 9, mount: mount('fixed', lags()) },
    evidence: [
      ...[1290, 1340, 1420, 1490, 1560, 1640, 1710].map((x) => probe(x, 'wood')),
      { id: 'b1', kind: 'backing-edge', side: 'left', x: 1200 },
      { id: 'b2', kind: 'backing-edge', side: 'right', x: 1800 },
      { id: 'b3', kind: 'backing-edge', side: 'bottom', x: 1500, y: 1000 },
      { id: 'b4', kind: 'backing-edge', side: 'top', x: 1500, y: 1500 },
    ],
    build: { ...TIMBER, thickness: 18 },
  },
  'caution',
  'A sheet of 3/4 in plywood that somebody put there for this, outlined: half of what studs would hold is plenty.',
);
add(
  '43 in fixed, wood everywhere, not traced',
  {
    ...{ inches: 43, kg: 9, mount: mount('fixed', lags()) },
    evidence: [1290, 1340, 1420, 1490, 1560, 1640, 1710].map((x) => probe(x, 'wood')),
  },
  'stop',
  'Wood closer than studs are set is a sheet: find its edges before a hole is chosen.',
  'evidence',
);
add(
  '32 in fixed, toggles on 1/2 in board, no studs there',
  {
    ...{ inches: 32, kg: 5.5, mount: mount('fixed', lags(), { slide: 0 }), scans: [scanned] },
    ...{ build: { ...TIMBER, spacing: 609.6 }, evidence: [...edges(1195, 2), ...edges(1804.6, 2), ...hollows()] },
  },
  'caution',
  'A light flat TV on four strap toggles where there is no stud in reach: allowed, worse than wood, said.',
);
add(
  '32 in fixed, toggles on 3/8 in board',
  {
    ...{ inches: 32, kg: 5.5, mount: mount('fixed', lags(), { slide: 0 }), scans: [scanned] },
    build: { ...TIMBER, spacing: 609.6, board: 9.5 },
    evidence: [...edges(1195, 2), ...edges(1804.6, 2), ...hollows()],
  },
  'stop',
  'The packs are rated for 1/2 in: nothing is known of thinner board. Move the TV to a stud, or put timber across.',
  'change',
);
add(
  '32 in fixed, toggles on 5/8 in board',
  {
    ...{ inches: 32, kg: 5.5, mount: mount('fixed', lags(), { slide: 0 }), scans: [scanned] },
    build: { ...TIMBER, spacing: 609.6, board: 15.9 },
    evidence: [...edges(1195, 2), ...edges(1804.6, 2), ...hollows()],
  },
  'caution',
  'Thicker board than the pack was tested in is on the safe side, as long as the bolt grips it.',
);
add(
  '85 in, pattern beyond the mount',
  { inches: 85, kg: 38, mount: mount('fixed', lags()), pattern: { width: 800, height: 400 } },
  'stop',
  'The brackets do not reach the inserts: another mount.',
  'mount',
);

/** Small drills right behind where the slots are, and nothing met. */
function hollows(): Evidence[] {
  return [1270, 1297, 1324, 1676, 1703, 1730].map((x) => probe(x, 'hollow'));
}

export const FORTY_JOBS: readonly FortyJob[] = forty;
