import type { Catalogue, CatalogueScreen, Mount, Slot } from '@steddo/contract';

/** The demo catalogue: invented mounts, sets, anchors, lags. Every name and number is made up. */

const LAG = {
  kind: 'lag',
  diameter: 7.94,
  length: 64,
  threadLength: 45,
  count: 4,
  pilot: 5.5,
  washer: 2,
  head: 13,
} as const;
const SMALL_LAG = { ...LAG, diameter: 6.35, length: 51, threadLength: 38, pilot: 4.4, washer: 1.6, head: 11 } as const;
const SLEEVE = {
  kind: 'masonry-sleeve',
  diameter: 7.94,
  length: 64,
  count: 4,
  pilot: 12.7,
  tension: 5200,
  shear: 5200,
} as const;

/** Slots in rows: the same columns at each height. */
function slots(columns: readonly number[], rows: readonly number[], length = 60): Slot[] {
  return rows.flatMap((y) => columns.map((x) => ({ x, y, length, height: 10 })));
}

const wallsWith = (lag: typeof LAG | typeof SMALL_LAG, count = 4, inMasonry = count): Mount['walls'] => ({
  'timber-stud': { maxBoard: 16, fixing: { ...lag, count } },
  masonry: { maxBoard: 0, fixing: { ...SLEEVE, count: inMasonry } },
});
const TWO_STUDS = { count: 2, minSpacing: 380, maxSpacing: 620 };
const ONE_STUD = { count: 1 };
const BAG = {
  bracket: 2.5,
  screws: [
    { thread: 'M4', length: 12 },
    { thread: 'M6', length: 12 },
    { thread: 'M6', length: 30 },
    { thread: 'M8', length: 20 },
  ],
  spacers: [10, 20],
  washers: [1.6],
};
const INCH = 25.4;
const inches = (min: number, max: number) => ({ min: min * INCH, max: max * INCH });
const square = (mm: number) => ({ width: mm, height: mm });

interface Size {
  n: number;
  maxMass: number;
  from: number;
  to: number;
  most: { width: number; height: number };
  price: number;
}

const SIZES: Size[] = [
  { n: 1, maxMass: 20, from: 23, to: 43, most: square(200), price: 24 },
  { n: 2, maxMass: 40, from: 32, to: 65, most: square(400), price: 42 },
  { n: 3, maxMass: 60, from: 43, to: 77, most: { width: 600, height: 400 }, price: 68 },
  { n: 4, maxMass: 80, from: 55, to: 90, most: { width: 800, height: 600 }, price: 110 },
];

const railPlate = (size: Size) => ({
  width: size.most.width + 120,
  height: 180 + size.n * 10,
  thickness: 2.5,
  open: [{ left: -60, right: 60, bottom: 50, top: 130 + size.n * 10 }],
  slots:
    size.n === 1
      ? slots([-100, 0, 100], [30, 160], 50)
      : slots(
          [-300, -200, -100, 100, 200, 300].filter((x) => Math.abs(x) < size.most.width / 2 + 30),
          [35, 145 + size.n * 10],
        ),
});

const batten = (size: Size): Mount => ({
  id: `batten-${size.n}`,
  name: `Batten ${size.n}`,
  type: 'fixed',
  maxMass: size.maxMass + 5,
  screenSize: inches(size.from, size.to),
  pattern: { min: square(100), max: size.most },
  // the smallest has one stud's two rows
  walls: size.n === 1 ? wallsWith(SMALL_LAG, 2, 4) : wallsWith(LAG),
  studs: size.n === 1 ? ONE_STUD : TWO_STUDS,
  plate: railPlate(size),
  hook: { above: 165 + size.n * 10, spacing: size.most.width },
  patternAboveHook: [-140, -100, -60],
  slide: 50,
  trim: { height: 8 },
  depth: { folded: 26 + size.n * 2 },
  mass: 1.4 + size.n * 0.7,
  bag: BAG,
  serviceStand: size.n > 2,
  price: size.price,
});

const louvre = (size: Size): Mount => ({
  ...batten(size),
  id: `louvre-${size.n}`,
  name: `Louvre ${size.n}`,
  type: 'tilt',
  maxMass: size.maxMass,
  patternAboveHook: [-130, -90, -50],
  slide: 60,
  trim: { height: 10, roll: 2 },
  depth: { folded: 52 + size.n * 3 },
  tilt: { down: 15, up: 3 },
  mass: 1.9 + size.n * 0.8,
  price: size.price + 16,
});

/** The longer link first, so that the folded set hangs 127 aside; with plate 3 and head 60 they reach so far. */
const linksFor = (reach: number): number[] => [(reach - 63 + 127) / 2, (reach - 63 - 127) / 2];

const pintle = (size: Size): Mount => ({
  ...batten(size),
  id: `pintle-${size.n}`,
  name: `Pintle ${size.n}`,
  type: 'full-motion',
  maxMass: size.maxMass - 5,
  plate:
    size.n < 3
      ? { width: 120, height: 260, thickness: 3, slots: slots([0], [30, 130, 230], 40) }
      : { width: 480, height: 240, thickness: 3, slots: slots([-203, 0, 203], [35, 205], 70) },
  studs: size.n < 3 ? ONE_STUD : TWO_STUDS,
  walls: wallsWith(LAG, size.n < 3 ? 3 : 4),
  hook: { above: 130, spacing: 300 },
  patternAboveHook: [-40, 0, 40],
  slide: 30,
  trim: { height: 8, roll: 3, pitch: 1.25 },
  depth: { folded: 58 + size.n * 4, extended: 400 + size.n * 60 },
  tilt: { down: 15, up: 5 },
  swivel: { left: 60, right: 60 },
  arm: {
    kind: 'links',
    links: linksFor(400 + size.n * 60),
    head: 60,
    rootX: 0,
    limits: { shoulder: [-90, 90], elbow: [-178, 178] },
    foldOffset: 127,
  },
  mass: 3.5 + size.n * 1.3,
  movingMass: 2.4 + size.n * 0.8,
  price: size.price * 2 + 12,
});

/** From the label alone: enough to rank, not to drill. */
const labelOnly = (id: string, name: string, type: Mount['type'], size: Size): Mount => ({
  id,
  name,
  type,
  maxMass: size.maxMass,
  screenSize: inches(size.from, size.to),
  pattern: { min: square(75), max: size.most },
  walls: wallsWith(LAG),
  depth: { folded: 48 + size.n * 4 },
  price: size.price + 4,
});

const nook = (n: 1 | 2): Mount => ({
  id: `nook-${n}`,
  name: `Nook ${n}`,
  type: 'corner',
  maxMass: 20 + n * 10,
  screenSize: inches(26 + n * 6, 43 + n * 12),
  pattern: { min: square(100), max: square(200 * n) },
  walls: wallsWith(n === 1 ? SMALL_LAG : LAG, 6),
  studs: ONE_STUD,
  // one foot: a column of three; the rack has one on each wall
  plate: { width: 70, height: 320, thickness: 3, slots: slots([0], [40, 160, 280], 22) },
  corner: { span: 240 + n * 160, link: 250 + n * 130 },
  hook: { above: 250 },
  patternAboveHook: [-80, -40, 0],
  depth: { folded: 180 },
  trim: { height: 6, roll: 2, pitch: 1.25 },
  bag: BAG,
  tools: ['socket 13', 'key 5'],
  mass: 6.4 + n,
  price: 120 + n * 30,
});

const bunk = (n: 1 | 2): Mount => ({
  id: `bunk-${n}`,
  name: `Bunk ${n}`,
  type: 'vehicle',
  maxMass: 8 + n * 4,
  screenSize: inches(15, 24 + n * 9),
  pattern: { min: square(75), max: square(100 * n) },
  walls: {
    'metal-backing': {
      maxBoard: 6,
      fixing: { kind: 'self-tapping', diameter: 5.5, length: 19, count: 4, pilot: 4, tension: 1800, shear: 2400 },
    },
    'timber-backing': {
      maxBoard: 6,
      fixing: { kind: 'self-tapping', diameter: 5.5, length: 19, count: 4, pilot: 3, tension: 900, shear: 1500 },
    },
  },
  plate: { width: 110, height: 130, thickness: 2, slots: slots([-40, 40], [20, 110], 8) },
  hook: { above: 100 },
  patternAboveHook: [-20, 0],
  slide: 0,
  depth: { folded: 44, extended: 300 },
  tilt: { down: 15, up: 5 },
  swivel: { left: 90, right: 90 },
  arm: { kind: 'links', links: [130, 130], head: 36, foldOffset: 0 },
  mass: 1.8,
  movingMass: 1.3,
  latch: 'click',
  tools: ['key 4'],
  bag: {
    bracket: 1,
    screws: [
      { thread: 'M4', length: 10 },
      { thread: 'M4', length: 16 },
    ],
    spacers: [5],
    washers: [1],
  },
  price: 38 + n * 14,
});

const perch = (n: 1 | 2): Mount => ({
  id: `perch-${n}`,
  name: `Perch ${n}`,
  type: 'monitor-arm',
  maxMass: 6 + n * 4,
  screenSize: inches(13, 22 + n * 5),
  pattern: { min: square(75), max: square(100), only: [square(75), square(100)] },
  walls: { 'timber-stud': { maxBoard: 19, fixing: { ...LAG, count: 2 } } },
  studs: ONE_STUD,
  plate: { width: 64, height: 260, thickness: 4, slots: slots([0], [25, 235], 10) },
  hook: { above: 130 },
  patternAboveHook: 0,
  slide: 0,
  depth: { folded: 95, extended: 460 },
  tilt: { down: 30, up: 30 },
  swivel: { left: 90, right: 90 },
  arm: {
    kind: 'links',
    links: [200, 200],
    head: 56,
    foldOffset: 0,
    limits: { shoulder: [-90, 90], elbow: [-170, 170] },
  },
  mass: 2.6,
  movingMass: 1.8,
  bag: {
    bracket: 0.5,
    screws: [
      { thread: 'M4', length: 10 },
      { thread: 'M4', length: 25 },
    ],
    spacers: [15],
    washers: [0.8],
  },
  tools: ['key 4'],
  joint: 'screws',
  rise: 0,
  price: 52 + n * 12,
});

/** With a box of its own: two brackets beside it, or one plate that spans it. */
const niche = (n: 1 | 2): Mount => ({
  id: `niche-${n}`,
  name: `Niche ${n}`,
  type: 'recess',
  maxMass: 30 + n * 15,
  screenSize: inches(40, 55 + n * 10),
  pattern: { min: square(200), max: { width: 200 + n * 200, height: 400 } },
  walls: { 'timber-stud': { maxBoard: 16, fixing: { ...LAG, count: 4 } } },
  studs: { count: 2, minSpacing: 400, maxSpacing: 412 },
  opening: { width: 356, height: 440, depth: 85 },
  ...(n === 1
    ? {
        plate: { width: 482, height: 320, thickness: 3 },
        brackets: [-1, 1].map((side) => ({
          ...{ x: side * 211, width: 60, height: 320, slots: slots([side * -8], [30, 290], 30) },
        })),
      }
    : {
        plate: {
          ...{ width: 520, height: 320, thickness: 3 },
          open: [{ left: -185, right: 185, bottom: 0, top: 320 }],
          slots: slots([-203, 203], [30, 290], 50),
        },
      }),
  hook: { above: 160, spacing: 300 },
  patternAboveHook: [-20, 0, 20],
  slide: 15,
  depth: { folded: 12, extended: 480 },
  tilt: { down: 10, up: 5 },
  swivel: { left: 45, right: 45 },
  arm: { kind: 'scissor', range: { min: 12, max: 480 }, head: 0 },
  latch: 'click',
  tools: ['socket 13', 'key 5'],
  trim: { height: 6, pitch: 1.25, screwSpan: 300 },
  bag: {
    bracket: 2.5,
    screws: [
      { thread: 'M6', length: 12 },
      { thread: 'M6', length: 16 },
      { thread: 'M8', length: 16 },
      { thread: 'M8', length: 20 },
    ],
    spacers: [10],
    washers: [1.6],
  },
  mass: 9.5,
  movingMass: 7,
  price: 210 + n * 40,
});

const mounts: Mount[] = [
  ...SIZES.flatMap((size) => [batten(size), louvre(size), pintle(size)]),
  ...SIZES.map((size) => ({
    ...batten(size),
    id: `slat-${size.n}`,
    name: `Slat ${size.n}`,
    pattern: { min: square(100), max: size.most, extendedAbove: square(200) },
    depth: { folded: 18 + size.n },
    slide: 25,
    price: size.price + 9,
  })),
  ...SIZES.slice(1).map((size) => ({
    ...pintle(size),
    id: `derrick-${size.n}`,
    name: `Derrick ${size.n}`,
    maxMass: size.maxMass,
    depth: { folded: 66 + size.n * 4, extended: 560 + size.n * 60 },
    arm: { ...pintle(size).arm!, links: linksFor(560 + size.n * 60) },
    price: size.price * 3,
  })),
  labelOnly('sill-2', 'Sill 2', 'tilt', SIZES[1]!),
  labelOnly('sill-3', 'Sill 3', 'fixed', SIZES[2]!),
  labelOnly('sill-4', 'Sill 4', 'tilt', SIZES[3]!),
  nook(1),
  nook(2),
  bunk(1),
  bunk(2),
  perch(1),
  perch(2),
  niche(1),
  niche(2),
];

const set = (
  id: string,
  name: string,
  [inchesAcross, mass]: readonly [inches: number, kg: number],
  pattern: { width: number; height: number },
  up: number,
): CatalogueScreen => ({
  id,
  name,
  diagonal: inchesAcross * INCH,
  width: Math.round(inchesAcross * INCH * 0.876),
  height: Math.round(inchesAcross * INCH * 0.504),
  thickness: 55,
  mass,
  pattern,
  patternCentre: { right: 0, up },
});

const screens: CatalogueScreen[] = [
  set('kestrel-24', 'Kestrel 24', [24, 3.4], square(75), 0),
  set('kestrel-32', 'Kestrel 32', [32, 4.6], { width: 200, height: 100 }, -20),
  set('kestrel-40', 'Kestrel 40', [40, 7.1], square(200), -25),
  set('kestrel-43', 'Kestrel 43', [43, 8.6], square(200), -25),
  set('plover-50', 'Plover 50', [50, 11.4], square(200), -40),
  set('plover-55', 'Plover 55', [55, 15.2], square(200), -30),
  set('plover-58', 'Plover 58', [58, 17.8], { width: 300, height: 200 }, -30),
  set('heron-65', 'Heron 65', [65, 22.6], { width: 400, height: 200 }, -45),
  set('heron-70', 'Heron 70', [70, 27.9], { width: 400, height: 300 }, -45),
  set('heron-75', 'Heron 75', [75, 33.1], square(400), -60),
  set('heron-85', 'Heron 85', [85, 43.5], { width: 600, height: 400 }, -60),
  set('wren-22', 'Wren 22', [22, 2.7], square(100), 0),
];

export const demoCatalogue: Catalogue = {
  format: 'steddo-catalogue',
  version: 1,
  mounts,
  screens,
  anchors: [
    {
      id: 'strap-5',
      kind: 'strap-toggle',
      name: 'Strap toggle 5',
      board: 12.7,
      tension: 1000,
      shear: 1000,
      hole: 13,
      diameter: 4.8,
      head: 9,
      washer: 1.6,
      grip: { min: 9, max: 60 },
      boltIncluded: true,
      reusable: true,
      walls: ['timber-stud', 'metal-stud'],
    },
    {
      id: 'strap-6',
      kind: 'strap-toggle',
      name: 'Strap toggle 6',
      board: 12.7,
      tension: 1180,
      shear: 1240,
      hole: 13,
      diameter: 6.4,
      head: 11,
      washer: 1.6,
      grip: { min: 9, max: 65 },
      boltIncluded: true,
      reusable: true,
      walls: ['timber-stud', 'metal-stud'],
    },
    {
      id: 'spring-6',
      kind: 'spring-toggle',
      name: 'Spring toggle 6',
      board: 12.7,
      tension: 700,
      shear: 800,
      hole: 16,
      diameter: 6.4,
      head: 12,
      washer: 1.6,
      grip: { min: 6, max: 50 },
      boltIncluded: true,
      reusable: false,
      walls: ['timber-stud', 'metal-stud'],
    },
    {
      id: 'mushroom-5',
      kind: 'sleeve',
      name: 'Mushroom sleeve 5',
      board: 12.7,
      tension: 480,
      shear: 620,
      hole: 10,
      diameter: 5,
      head: 10,
      grip: { min: 6, max: 20 },
      boltIncluded: true,
      reusable: true,
      walls: ['timber-stud', 'metal-stud'],
    },
    {
      id: 'split-5',
      kind: 'splitting-screw',
      name: 'Split screw-in 5',
      board: 12.7,
      tension: 330,
      shear: 420,
      hole: 4,
      diameter: 4.5,
      head: 8,
      grip: { min: 1, max: 20 },
      boltIncluded: true,
      reusable: true,
      walls: ['timber-stud'],
    },
    {
      id: 'winged-6',
      kind: 'winged-plug',
      name: 'Winged plug 6',
      board: 12.7,
      tension: 220,
      shear: 300,
      hole: 8,
      diameter: 4.5,
      head: 8,
      grip: { min: 1, max: 18 },
      boltIncluded: true,
      reusable: false,
      walls: ['timber-stud'],
    },
    {
      id: 'plug-6',
      kind: 'plug',
      name: 'Plug 6',
      board: 12.7,
      tension: 130,
      shear: 200,
      hole: 6,
      diameter: 4,
      grip: { min: 1, max: 20 },
      walls: ['timber-stud'],
    },
    {
      id: 'sleeve-8',
      kind: 'masonry-sleeve',
      name: 'Masonry sleeve 8',
      tension: 5200,
      shear: 5200,
      hole: 12.7,
      diameter: 7.94,
      length: 64,
      walls: ['masonry'],
    },
    {
      id: 'cutter-6',
      kind: 'masonry-screw',
      name: 'Masonry screw 6',
      tension: 3600,
      shear: 4200,
      hole: 6.35,
      diameter: 6.35,
      length: 57,
      head: 13,
      walls: ['masonry'],
    },
    {
      id: 'cutter-6-long',
      kind: 'masonry-screw',
      name: 'Masonry screw 6, long',
      tension: 3600,
      shear: 4200,
      hole: 6.35,
      diameter: 6.35,
      length: 95,
      head: 13,
      walls: ['masonry'],
    },
  ],
  lags: [
    { id: 'lag-14-2', name: 'Lag 1/4 x 2', diameter: 6.35, length: 51, threadLength: 38, washer: 1.6, head: 11 },
    { id: 'lag-14-3', name: 'Lag 1/4 x 3', diameter: 6.35, length: 76, threadLength: 50, washer: 1.6, head: 11 },
    { id: 'lag-516-25', name: 'Lag 5/16 x 2 1/2', diameter: 7.94, length: 64, threadLength: 45, washer: 2, head: 13 },
    { id: 'lag-516-3', name: 'Lag 5/16 x 3', diameter: 7.94, length: 76, threadLength: 50, washer: 2, head: 13 },
    { id: 'lag-516-4', name: 'Lag 5/16 x 4', diameter: 7.94, length: 102, threadLength: 64, washer: 2, head: 13 },
    { id: 'lag-38-3', name: 'Lag 3/8 x 3', diameter: 9.53, length: 76, threadLength: 50, washer: 2, head: 14 },
  ],
  bits: [
    { id: 'bit-3', diameter: 3, kind: 'wood' },
    { id: 'bit-11-64', diameter: 4.37, kind: 'wood' },
    { id: 'bit-3-16', diameter: 4.76, kind: 'wood' },
    { id: 'bit-5-5', diameter: 5.5, kind: 'wood' },
    { id: 'bit-7-32', diameter: 5.56, kind: 'wood' },
    { id: 'bit-1-4', diameter: 6.35, kind: 'wood' },
    { id: 'bit-5-16', diameter: 7.94, kind: 'wood' },
    { id: 'bit-13', diameter: 13, kind: 'wood' },
    { id: 'bit-1-2-masonry', diameter: 12.7, kind: 'masonry' },
    { id: 'bit-1-4-masonry', diameter: 6.35, kind: 'masonry' },
  ],
};
