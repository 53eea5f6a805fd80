import type { Build, Evidence, Job, Look, Mount } from '@steddo/contract';

/* Fifteen jobs that nobody would call difficult: fixed, tilt and arm, on timber, brick, block and metal studs, 32 to 75 in. */

type Wall = 'timber' | 'brick' | 'block' | 'metal';
type Kind = 'fixed' | 'tilt' | 'full-motion';

const LAG = { kind: 'lag', diameter: 7.94, length: 64, threadLength: 45, pilot: 5.5, washer: 2, head: 13 } as const;
const SLEEVE = {
  ...{ kind: 'masonry-sleeve', diameter: 7.94, length: 64, pilot: 12.7, washer: 2, head: 13 },
  ...{ tension: 5200, shear: 5200 },
} as const;
const TOGGLE = {
  ...{ kind: 'self-tapping', diameter: 5.5, length: 51, pilot: 4.8, washer: 2, head: 11 },
  ...{ tension: 2600, shear: 3600 },
} as const;

const BUILDS: Record<Wall, Build> = {
  timber: {
    ...{ kind: 'timber-stud', board: 12.7, cover: 'gypsum', state: 'sound', spacing: 406.4 },
    ...{ studWidth: 38, studDepth: 89, timber: 'spruce-pine-fir' },
  },
  metal: {
    ...{ kind: 'metal-stud', board: 12.7, cover: 'gypsum', state: 'sound', spacing: 406.4 },
    ...{ studWidth: 41, studDepth: 92, thickness: 1.2 },
  },
  brick: { kind: 'masonry', masonry: 'brick', board: 0, cover: 'none', unit: { width: 215, height: 65, joint: 10 } },
  block: { kind: 'masonry', masonry: 'block', board: 0, cover: 'none', unit: { width: 440, height: 215, joint: 10 } },
};

interface Ordinary {
  name: string;
  kind: Kind;
  wall: Wall;
  inches: number;
  mass: number;
  /** Studs under the plate: one for a small arm. */
  studs: number;
}

const ordinary = (kind: Kind, wall: Wall, inches: number, mass: number, studs = 2): Ordinary => ({
  name: `${kind}, ${wall}, ${inches} in, ${mass} kg`,
  ...{ kind, wall, inches, mass, studs },
});

export const ORDINARY: readonly Ordinary[] = [
  ordinary('fixed', 'timber', 32, 5.5),
  ordinary('fixed', 'timber', 55, 15),
  ordinary('fixed', 'timber', 75, 30),
  ordinary('tilt', 'timber', 43, 9),
  ordinary('tilt', 'timber', 65, 22),
  ordinary('full-motion', 'timber', 32, 5.5, 1),
  ordinary('full-motion', 'timber', 43, 9, 1),
  ordinary('full-motion', 'timber', 65, 22),
  ordinary('fixed', 'brick', 43, 9),
  ordinary('full-motion', 'brick', 43, 9),
  ordinary('fixed', 'block', 55, 15),
  ordinary('tilt', 'block', 65, 22),
  ordinary('full-motion', 'block', 55, 15),
  ordinary('fixed', 'metal', 43, 9),
  ordinary('tilt', 'metal', 55, 15),
];

function mountFor({ kind, wall, studs }: Ordinary): Mount {
  const columns = studs === 1 ? [0] : [-203.2, 203.2];
  const rows = kind === 'full-motion' ? [30, 130, 230] : [35, 165];
  const count = studs === 1 ? 3 : 4;
  const fixing = wall === 'timber' ? LAG : wall === 'metal' ? TOGGLE : SLEEVE;
  const moves: Pick<Mount, 'depth'> & Partial<Mount> =
    kind === 'full-motion'
      ? {
          depth: { folded: 66, extended: 400 },
          swivel: { left: 60, right: 60 },
          arm: {
            ...{ kind: 'links', links: [232, 105], head: 60, rootX: 0, foldOffset: 127 },
            limits: { shoulder: [-90, 90], elbow: [-178, 178] },
          },
          ...{ mass: 6, movingMass: 3.5, slide: 30 },
        }
      : { depth: { folded: kind === 'fixed' ? 30 : 58 }, mass: 3, slide: 60 };
  return {
    ...{ id: 'own', name: 'A plain mount', type: kind, maxMass: 45, screenSize: { min: 500, max: 2000 } },
    pattern: { min: { width: 75, height: 75 }, max: { width: 600, height: 400 } },
    walls: { [BUILDS[wall].kind]: { maxBoard: 16, fixing: { ...fixing, count } } },
    studs: { count: studs, ...(studs > 1 ? { minSpacing: 380, maxSpacing: 620 } : {}) },
    plate: {
      ...{ width: studs === 1 ? 120 : 520, height: kind === 'full-motion' ? 260 : 200, thickness: 2.5 },
      slots: rows.flatMap((y) => columns.map((x) => ({ x, y, length: 60, height: 10 }))),
    },
    hook: { above: kind === 'full-motion' ? 130 : 185, spacing: 400 },
    patternAboveHook: [-40, 0, 40],
    ...(kind === 'fixed' ? {} : { tilt: { down: 15, up: 5 } }),
    bag: {
      bracket: 2.5,
      screws: [
        { thread: 'M6', length: 12 },
        { thread: 'M8', length: 20 },
      ],
      spacers: [10],
      washers: [1.6],
    },
    price: 60,
    ...moves,
  };
}

const STUDS = [1297, 1703.4];

function evidenceFor({ wall, studs, kind }: Ordinary): Evidence[] {
  if (wall === 'brick' || wall === 'block')
    return [1, 2].map((n) => ({
      id: `j${n}`,
      kind: 'joint' as const,
      x: 1402,
      y: (kind === 'fixed' ? 1147 : 1152) + (n - 1) * 0.5,
    }));
  // a small arm hangs beside its stud by what its links fold to
  const at = kind === 'full-motion' ? (studs === 1 ? [1373] : [1373 - 203.2, 1373 + 203.2]) : STUDS;
  const half = BUILDS[wall].studWidth! / 2;
  // both edges of each, a millimetre and a half from where they are
  // where one stud carries all of it, at two heights
  const heights = at.length === 1 ? [1150, 1350] : [1250];
  return at.flatMap((x, i) =>
    heights.flatMap((y, k): Evidence[] => [
      { id: `l${i}${k}`, kind: 'edge-left', x: x - half - 0.5 + k, y },
      { id: `r${i}${k}`, kind: 'edge-right', x: x + half + 1 - k, y },
    ]),
  );
}

/** Both bays looked into all over the plate's place, and clear. */
const LOOKS: Look[] = [1150, 1373, 1500, 1703, 1850].flatMap((x, i) => [
  { id: `k${i}`, x, y: 1250, reach: 600, bay: 'both', found: 'clear' },
]);

/** Measured and marked by a careful hand; and, `looked`, with the wall looked into. */
export function ordinaryJob(of: Ordinary, looked: boolean): Job {
  const diagonal = of.inches * 25.4;
  const [width, height] = [(diagonal * 16) / Math.sqrt(337), (diagonal * 9) / Math.sqrt(337)];
  const pattern = of.inches < 50 ? 200 : 400;
  return {
    ...{ format: 'steddo-job', version: 1, title: of.name, units: 'metric', guessed: [] },
    screen: {
      ...{
        name: 'a set',
        diagonal,
        width,
        height,
        thickness: 55,
        mass: of.mass,
        back: 'flat',
        ports: 'side',
        plugDepth: 30,
      },
      pattern: { width: pattern, height: of.inches < 50 ? 200 : 300 },
      patternCentre: { right: 0, up: -20 },
      insert: { thread: of.inches < 50 ? 'M6' : 'M8', depth: of.inches < 50 ? 14 : 22, recess: 0 },
    },
    mount: mountFor(of),
    room: {
      wall: { width: 3600, height: 2500, build: BUILDS[of.wall] },
      viewers: [{ id: 'v1', name: 'the sofa', eye: 1180, distance: 2000 + of.inches * 12, x: 1500, posture: 'seated' }],
      objects: [],
    },
    aim: { height: 'eyes', centre: { on: 'x', x: 1500 } },
    choices: { centreY: 1250 },
    evidence: evidenceFor(of),
    ...(looked ? { looks: LOOKS } : {}),
    bits: [],
  } as Job;
}
