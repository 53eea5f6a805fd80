import {
  checkFile,
  job as jobFormat,
  type Build,
  type Evidence,
  type Fixing,
  type Item,
  type ItemKind,
  type Job,
  type Look,
  type Mount,
} from '@steddo/contract';
import {
  clockmakersBench,
  demoCatalogue,
  guestRoom,
  hallwayNiche,
  narrowboatCabin,
  sewingCorner,
  stoveParlour,
} from '../src';

/* Random jobs with quotas: every wall, mount, room and thing kind, careful and careless hands, so that many end in go. */

/** A stream of numbers from a seed, the same for the same seed (mulberry32, from memory). */
export function stream(seed: number) {
  let at = seed >>> 0;
  const next = (): number => {
    at = (at + 0x6d2b79f5) >>> 0;
    let t = at;
    t = Math.imul(t ^ (t >>> 15), t | 1);
    t ^= t + Math.imul(t ^ (t >>> 7), t | 61);
    return ((t ^ (t >>> 14)) >>> 0) / 4294967296;
  };
  const between = (lo: number, hi: number) => lo + next() * (hi - lo);
  const pick = <T>(list: readonly T[]): T => list[Math.floor(next() * list.length)]!;
  const chance = (p: number) => next() < p;
  return { next, between, pick, chance };
}
type Stream = ReturnType<typeof stream>;

const LAG: Fixing = {
  ...{ kind: 'lag', diameter: 7.94, length: 64, threadLength: 45, count: 4, pilot: 5.5, washer: 2, head: 13 },
};
const SLEEVE: Fixing = {
  ...{ kind: 'masonry-sleeve', diameter: 7.94, length: 64, count: 4, pilot: 12.7, washer: 2, head: 13 },
  ...{ tension: 5200, shear: 5200 },
};
const STEEL: Fixing = {
  ...{ kind: 'self-tapping', diameter: 5.5, length: 51, count: 4, pilot: 4.8, washer: 2, head: 11 },
  ...{ tension: 2600, shear: 3600 },
};
const TOGGLE: Fixing = {
  ...{ kind: 'strap-toggle', diameter: 4.8, length: 60, count: 4, pilot: 13, washer: 1.6, head: 11 },
  ...{ tension: 1000, shear: 1000 },
};

const WALLS = [
  'timber',
  'timber',
  'timber',
  'brick',
  'block',
  'concrete',
  'stone',
  'metal',
  'sheet',
  'sheet-steel',
  'unknown',
] as const;
export type ProofWall = (typeof WALLS)[number];

function buildFor(wall: ProofWall, r: Stream): Build {
  const board = r.pick([12.7, 12.7, 12.7, 9.5, 15.9]);
  const cover = r.pick(['gypsum', 'gypsum', 'gypsum', 'lath', 'panel', 'tile'] as const);
  const studs = {
    spacing: r.pick([406.4, 406.4, 609.6, 400, 600]),
    studDepth: 89,
    cover,
    board,
    state: 'sound',
  } as const;
  const masonry = (
    kind: 'brick' | 'block' | 'concrete' | 'stone',
    unit?: { width: number; height: number; joint: number },
  ): Build => ({
    ...{ kind: 'masonry', masonry: kind },
    ...(r.chance(0.7)
      ? { board: 0, cover: 'none' as const }
      : { board: 13, cover: 'gypsum' as const, ...(r.chance(0.3) ? { gap: 15 } : {}) }),
    ...(unit ? { unit } : {}),
  });
  switch (wall) {
    case 'timber':
      return {
        kind: 'timber-stud',
        studWidth: 38,
        timber: r.pick(['spruce-pine-fir', 'hem-fir', 'douglas-fir', 'southern-pine'] as const),
        ...studs,
        ...(r.chance(0.05) ? { state: r.pick(['patched', 'wet'] as const) } : {}),
      };
    case 'metal':
      return { kind: 'metal-stud', studWidth: 41, thickness: 0.9, ...studs };
    case 'brick':
      return masonry('brick', { width: 215, height: 65, joint: 10 });
    case 'block':
      return masonry('block', { width: 440, height: 215, joint: 10 });
    case 'stone':
      return masonry('stone', { width: 300, height: 150, joint: 12 });
    case 'concrete':
      return masonry('concrete');
    case 'sheet':
      return { kind: 'timber-backing', thickness: r.pick([12, 18, 18, 22]), board: r.pick([0, 12.7]), cover: 'gypsum' };
    case 'sheet-steel':
      return {
        kind: 'metal-backing',
        thickness: 1.5,
        board: 9,
        cover: 'panel',
        gap: 0,
        ...(r.chance(0.5) ? { depth: 40 } : {}),
      };
    case 'unknown':
      return { kind: 'unknown' };
  }
}

const MOUNTS = ['fixed', 'tilt', 'arm-one', 'arm-two', 'one-stud', 'wide'] as const;
type ProofMount = (typeof MOUNTS)[number];

function mountFor(kind: ProofMount, build: Build, r: Stream): Mount {
  const arm = kind === 'arm-one' || kind === 'arm-two';
  const single = kind === 'arm-one' || kind === 'one-stud';
  const columns = single ? [0] : kind === 'wide' ? [-300, -203.2, -100, 100, 203.2, 300] : [-203.2, 203.2];
  const rows = arm ? [30, 130, 230] : [35, 165];
  const count = single ? (arm ? 3 : 2) : 4;
  const plain: Partial<Record<Build['kind'], Fixing>> = {
    'timber-stud': {
      ...LAG,
      ...(r.chance(0.2) ? { diameter: 6.35, length: 51, threadLength: 38, pilot: 4.4 } : {}),
      ...(r.chance(0.15) ? { length: 89, threadLength: 60 } : {}),
      count,
    },
    masonry: { ...SLEEVE, ...(r.chance(0.3) ? { length: 102 } : {}), count },
    'metal-stud': { ...STEEL, count },
    'timber-backing': r.chance(0.5) ? { ...LAG, count } : { ...STEEL, length: 25, count },
    'metal-backing': { ...STEEL, length: 25, count },
  };
  const careless = r.next();
  const own = plain[build.kind];
  const walls: Mount['walls'] =
    careless < 0.05
      ? { [build.kind]: { maxBoard: 16 } }
      : careless < 0.09
        ? { [build.kind]: { maxBoard: 16, fixing: { ...TOGGLE, count } } }
        : careless < 0.13
          ? { masonry: { maxBoard: 0, fixing: { ...SLEEVE, count } } }
          : careless < 0.18
            ? { 'timber-stud': { maxBoard: 16, fixing: { ...LAG, count } } }
            : { [build.kind]: { maxBoard: r.pick([16, 20, 30]), ...(own ? { fixing: own } : {}) } };
  const moving: Pick<Mount, 'depth'> & Partial<Mount> = arm
    ? {
        depth: { folded: r.between(55, 90), extended: r.between(300, 600) },
        swivel: { left: 60, right: 60 },
        arm: {
          ...{ kind: 'links', links: [232, 105], head: 60, rootX: 0, foldOffset: r.pick([127, 127, 0]) },
          limits: { shoulder: [-90, 90], elbow: [-178, 178] },
        },
        ...(r.chance(0.8) ? { mass: 6, movingMass: 3.5 } : {}),
        slide: 30,
      }
    : {
        depth: { folded: kind === 'tilt' ? 58 : 30 },
        ...(r.chance(0.8) ? { mass: 3 } : {}),
        ...(r.chance(0.5) ? { movingMass: 1.5, mass: 3 } : {}),
        slide: r.pick([20, 60, 60]),
      };
  return {
    ...{ id: 'own', name: 'A mount', type: arm ? 'full-motion' : kind === 'tilt' ? 'tilt' : 'fixed' },
    ...{ maxMass: r.pick([20, 45, 60]), screenSize: { min: 500, max: 2300 } },
    pattern: { min: { width: 75, height: 75 }, max: { width: 600, height: 400 } },
    walls,
    studs: single ? { count: 1 } : { count: 2, minSpacing: 380, maxSpacing: 620 },
    plate: {
      ...{ width: single ? 120 : kind === 'wide' ? 680 : 520, height: arm ? 260 : 200, thickness: 2.5 },
      slots: rows.flatMap((y) => columns.map((x) => ({ x, y, length: r.pick([60, 60, 40, 20]), height: 10 }))),
      ...(r.chance(0.2) && !single ? { open: [{ left: -60, right: 60, bottom: 40, top: 160 }] } : {}),
    },
    hook: { above: arm ? 130 : 185, spacing: 400 },
    patternAboveHook: r.chance(0.5) ? [-40, 0, 40] : -20,
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
  } as Mount;
}

function evidenceFor(
  build: Build,
  x: number,
  single: boolean,
  y: number,
  r: Stream,
): { evidence: Evidence[]; scans: NonNullable<Job['scans']> } {
  const hand = r.next();
  const evidence: Evidence[] = [];
  const id = () => `e${evidence.length}`;
  if (build.kind === 'masonry') {
    const rise = (build.unit?.height ?? 215) + (build.unit?.joint ?? 10);
    if (hand < 0.75) {
      const at = y - r.between(0, rise);
      evidence.push({ id: id(), kind: 'joint', x: x - r.between(0, 300), y: at });
      if (hand < 0.4)
        evidence.push({ id: id(), kind: 'joint', x: evidence[0]!.x, y: at + 2 * rise + r.between(-1, 1) });
    } else if (hand < 0.85)
      evidence.push({ id: id(), kind: 'joint', x, y, runs: r.pick(['horizontal', 'vertical'] as const) });
    return { evidence, scans: [] };
  }
  if (build.kind === 'timber-backing' || build.kind === 'metal-backing') {
    if (hand < 0.7)
      for (const [side, at] of [
        ['left', x - r.between(250, 600)],
        ['right', x + r.between(250, 600)],
        ['bottom', y - r.between(150, 500)],
        ['top', y + r.between(150, 500)],
      ] as const)
        if (side === 'left' || side === 'right') evidence.push({ id: id(), kind: 'backing-edge', side, x: at });
        else evidence.push({ id: id(), kind: 'backing-edge', side, x, y: at });
    return { evidence, scans: [] };
  }
  const spacing = build.spacing ?? 406.4;
  const half = (build.studWidth ?? 38) / 2;
  const first =
    x + (single ? 0 : -spacing / 2) + (r.chance(0.7) ? r.between(-15, 15) : r.between(-spacing / 2, spacing / 2));
  const studs = [-1, 0, 1, 2].map((k) => first + k * spacing + r.between(-2, 2));
  const near = studs.filter((s) => Math.abs(s - x) < 420);
  const sd = r.pick([0.7, 0.7, 1.5, 4]);
  const noise = () => (r.next() + r.next() + r.next() - 1.5) * 2 * sd;
  for (const s of near) {
    if (hand < 0.65)
      for (let k = 0; k < r.pick([1, 2, 2, 3]); k++) {
        evidence.push({ id: id(), kind: 'edge-left', x: s - half + noise(), y: y + 120 * k });
        evidence.push({ id: id(), kind: 'edge-right', x: s + half + noise(), y: y + 120 * k });
      }
    else if (hand < 0.8) evidence.push({ id: id(), kind: 'centre', x: s + 2 * noise(), y });
    else if (hand < 0.86) evidence.push({ id: id(), kind: 'probe', x: s + noise(), y, found: 'wood' });
    if (r.chance(0.3))
      evidence.push({ id: id(), kind: 'probe', x: s + noise(), y: y + r.between(-80, 80), found: 'wood' });
  }
  if (hand > 0.86 && hand < 0.93)
    for (let at = x - 300; at <= x + 300; at += 25)
      evidence.push({
        id: id(),
        kind: 'probe',
        x: at,
        y,
        found: near.some((s) => Math.abs(s - at) < half) ? 'wood' : 'hollow',
      });
  if (hand > 0.96)
    for (let at = x - 300; at <= x + 300; at += 60) evidence.push({ id: id(), kind: 'probe', x: at, y, found: 'wood' });
  return { evidence, scans: r.chance(0.6) ? [{ id: 's1', instrument: 'edge', from: x - 500, to: x + 500, y }] : [] };
}

export const THINGS: readonly ItemKind[] = [
  ...([
    'outlet',
    'switch',
    'data',
    'furniture',
    'cabinet',
    'shelf',
    'mantel',
    'opening',
    'chimney',
    'stove',
    'window',
  ] as const),
  ...(['curtain', 'door', 'vent', 'pipe', 'gas', 'soundbar', 'box', 'set', 'device', 'flue', 'other'] as const),
];

function thingsFor(x: number, y: number, r: Stream): Item[] {
  const count = r.pick([0, 0, 1, 1, 2, 3]);
  return Array.from({ length: count }, (_, i): Item => {
    const kind = r.pick(THINGS);
    const small = ['outlet', 'switch', 'data', 'gas', 'device', 'pipe', 'flue'].includes(kind);
    const [w, h] = small ? [r.between(40, 90), r.between(60, 130)] : [r.between(100, 900), r.between(60, 600)];
    const left = x + (small ? r.between(-420, 420) : r.between(-900, 900)) - w / 2;
    const floor = ['furniture', 'stove', 'door', 'opening'].includes(kind);
    const bottom = floor ? 0 : Math.max(0, y + (small ? r.between(-300, 250) : r.between(-700, 600)) - h / 2);
    return {
      ...{ id: `o${i}`, kind, left, right: left + w, bottom, top: bottom + h },
      ...(r.chance(0.35) ? { plateMayCover: true, setMayCover: true } : {}),
      ...(r.chance(0.1) ? { doubt: r.between(2, 20) } : {}),
    };
  });
}

/** A job on a plain wall, made by a careful or a careless hand. */
function plainJob(r: Stream, title: string): Job {
  const wall = r.pick(WALLS);
  const build = buildFor(wall, r);
  const kind = r.pick(MOUNTS);
  const mount = mountFor(kind, build, r);
  const inches = r.pick([24, 32, 43, 50, 55, 65, 75]);
  const kg = Math.max(2.5, (inches / 55) ** 2 * 15 * r.between(0.7, 1.3));
  const width = r.between(2600, 4500);
  const middle = r.chance(0.07) ? r.pick([width, 0, width - 150]) : r.between(900, width - 900);
  const centreY = r.between(1050, 1600);
  const single = kind === 'arm-one' || kind === 'one-stud';
  const plateX = kind.startsWith('arm') && mount.arm?.foldOffset ? middle + r.pick([-127, 127]) : middle;
  const { evidence, scans } = evidenceFor(build, plateX, single, centreY, r);
  const careful = r.chance(0.65);
  const looks: Look[] = careful
    ? [-320, -200, 0, 200, 320].map((by, i) => ({
        id: `k${i}`,
        x: plateX + by,
        y: centreY,
        reach: 600,
        bay: 'both',
        found: 'clear',
      }))
    : r.chance(0.3)
      ? [
          {
            id: 'k0',
            x: plateX + r.between(-250, 250),
            y: centreY,
            reach: 300,
            found: r.pick(['cable', 'pipe', 'clear', 'unsure'] as const),
            ...(r.chance(0.6) ? { runs: r.pick(['vertical', 'horizontal'] as const) } : {}),
          },
        ]
      : [];
  const side = inches < 30 ? 100 : inches < 50 ? 200 : 400;
  const diagonal = inches * 25.4;
  const zones: Job['room']['wall']['zones'] = r.chance(0.12)
    ? [
        {
          ...{ id: 'z1', left: 0, right: width, bottom: r.chance(0.5) ? 0 : centreY + r.between(-150, 200) },
          ...{ top: r.chance(0.5) ? 2500 : centreY + r.between(250, 700) },
          build: r.chance(0.5)
            ? { kind: r.pick(['masonry', 'timber-stud', 'metal-stud', 'timber-backing'] as const) }
            : { state: 'patched' },
          ...(r.chance(0.4) ? { face: r.between(-40, 40) } : {}),
        },
      ]
    : undefined;
  return {
    ...{
      format: 'steddo-job',
      version: 1,
      title,
      units: r.pick(['metric', 'imperial'] as const),
      guessed: r.chance(0.1) ? ['screen.width'] : [],
    },
    screen: {
      ...{ name: 'A TV', diagonal, mass: kg, back: 'flat', ports: 'side', plugDepth: 20 },
      ...(r.chance(0.85)
        ? { width: (diagonal * 16) / Math.sqrt(337), height: (diagonal * 9) / Math.sqrt(337), thickness: 55 }
        : {}),
      pattern: { width: side, height: Math.min(side, 300) },
      ...(r.chance(0.9) ? { patternCentre: { right: 0, up: r.pick([0, -20, -40]) } } : {}),
      ...(r.chance(0.9)
        ? {
            insert: {
              thread: inches < 30 ? 'M4' : inches < 50 ? 'M6' : 'M8',
              depth: inches < 30 ? 10 : inches < 50 ? 14 : 22,
              recess: 0,
            },
          }
        : {}),
    },
    mount,
    room: {
      wall: {
        ...{ width, height: 2500, build },
        ...(zones ? { zones } : {}),
        ...(r.chance(0.5) ? { returns: { left: r.chance(0.5), right: r.chance(0.5) } } : {}),
      },
      viewers: [
        {
          id: 'v1',
          eye: r.between(1000, 1250),
          distance: r.between(1500, 4000),
          x: middle + r.between(-400, 400),
          posture: 'seated',
        },
      ],
      objects: careful && r.chance(0.6) ? [] : thingsFor(plateX, centreY, r),
    },
    aim: { height: 'eyes', centre: { on: 'x', x: middle } },
    choices: r.chance(0.8) ? { centreY } : {},
    ...{ evidence, scans, looks },
    ...(r.chance(0.3) ? { fixing: { school: r.pick(['studs-only', 'stud-first', 'rated-anchors'] as const) } } : {}),
    ...(r.chance(0.8) ? { anchors: demoCatalogue.anchors!, lags: demoCatalogue.lags!, bits: demoCatalogue.bits! } : {}),
  } as Job;
}

const SPECIAL: readonly Job[] = [
  sewingCorner,
  hallwayNiche,
  narrowboatCabin,
  clockmakersBench,
  stoveParlour,
  guestRoom,
];

/** A room that is more than a wall, its numbers moved a little, its evidence thinned. */
function specialJob(r: Stream, title: string): Job {
  const job = structuredClone(r.pick(SPECIAL)) as Job;
  const keep = r.pick([1, 1, 0.8, 0.4, 0]);
  const rack = r.pick(demoCatalogue.mounts.filter((m) => m.type === job.mount?.type));
  const by = () => r.between(0.9, 1.1);
  job.evidence = (job.evidence ?? []).filter(() => r.chance(keep));
  job.looks = (job.looks ?? []).filter(() => r.chance(keep));
  job.screen.mass *= by();
  if (r.chance(0.5)) job.mount = rack ?? job.mount;
  if (r.chance(0.3)) job.choices = { ...job.choices, centreY: r.between(1000, 1600) };
  if (job.room.corner === undefined && r.chance(0.3))
    job.aim.centre = { on: 'x', x: r.between(600, job.room.wall.width - 600) };
  if (r.chance(0.4))
    job.room.objects = [
      ...(job.room.objects ?? []),
      ...thingsFor(job.room.wall.width / 2, 1300, r).map((t) => ({ ...t, id: `x${t.id}` })),
    ];
  return {
    ...job,
    title,
    ...(r.chance(0.7) ? { anchors: demoCatalogue.anchors!, lags: demoCatalogue.lags!, bits: demoCatalogue.bits! } : {}),
  };
}

/** The job of a seed; undefined where the contract refuses it. */
export function proofJob(seed: number): Job | undefined {
  const r = stream(seed);
  const made = r.chance(0.8) ? plainJob(r, `seed ${seed}`) : specialJob(r, `seed ${seed}`);
  const checked = checkFile(jobFormat, JSON.parse(JSON.stringify(made)));
  return checked.ok ? checked.value : undefined;
}
