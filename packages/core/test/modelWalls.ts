import type { Evidence, Scan } from '@steddo/contract';
import { chanceAt } from '../src/wall/holeChance';
import { likeliestStuds } from '../src/wall/likeliestStuds';
import { pitchPrior, pitchTail, pitchWeights } from '../src/wall/pitchPrior';
import { wallBelief, type WallBelief } from '../src/wall/wallBelief';
import { wallChances } from '../src/wall/wallChances';
import { openChance } from '../src/recess/boxBay';
import { seeded, type Random } from '../src/instruments/random';

/*
 * Walls drawn from the model that the inference reckons with, for calibration: pitches from the prior, doubles,
 * readings as Poisson numbers per feature, false ones at the rate that makes up their share, probes. One hole is
 * drilled per wall near a stud that was inferred; whether it landed is known.
 */
const WIDTH = 2400;
const PLY = 38;
const SPACING = 406.4;
const DIAMETER = 7.94;
const REACH = 800;

export interface Drilled {
  stated: number;
  landed: boolean;
}

interface DrawnStud {
  left: number;
  plies: number;
}

const prior = pitchPrior(SPACING);
const weights = pitchWeights(prior);
const { beyond, mean } = pitchTail(prior);

function drawn(random: Random, chances: (k: number) => number, size: number): number {
  let at = random.next();
  for (let k = 0; k < size; k++) {
    at -= chances(k);
    if (at <= 0) return k;
  }
  return size - 1;
}

function drawWall(random: Random): DrawnStud[] {
  const studs: DrawnStud[] = [];
  let n = -REACH + drawn(random, (k) => beyond(k) / mean, weights.length);
  while (n < WIDTH + REACH) {
    const type = random.next();
    // a double has its layout ply on the left or on the right
    studs.push(type < 0.95 ? { left: n, plies: 1 } : { left: type < 0.975 ? n : n - PLY, plies: 2 });
    n += drawn(random, (k) => weights[k]!, weights.length);
  }
  return studs;
}

function readings(random: Random, studs: readonly DrawnStud[]): { evidence: Evidence[]; scans: Scan[] } {
  const evidence: Evidence[] = [];
  const put = (e: Partial<Evidence>) => evidence.push({ id: `e${evidence.length}`, y: 1400, ...e } as Evidence);
  const [from, to] = [-REACH - 60, WIDTH + REACH + 60];
  const features: { kind: 'edge-left' | 'edge-right' | 'centre'; sd: number; of: (s: DrawnStud) => number }[] = [
    { kind: 'edge-left', sd: 4, of: (s) => s.left },
    { kind: 'edge-right', sd: 4, of: (s) => s.left + s.plies * PLY },
    { kind: 'centre', sd: 6, of: (s) => s.left + (s.plies * PLY) / 2 },
  ];
  for (const { kind, sd, of } of features) {
    for (const s of studs) for (let i = random.count(1); i > 0; i--) put({ kind, x: of(s) + random.normal(sd) });
    for (let i = random.count(((to - from) * 0.05) / (0.95 * SPACING)); i > 0; i--)
      put({ kind, x: random.between(from, to) });
  }
  for (const s of studs)
    for (let i = random.count(1); i > 0; i--)
      put({ kind: 'fastener', x: random.between(s.left + 6, s.left + s.plies * PLY - 6) });
  for (let i = random.count(((to - from) * 0.1) / (0.9 * SPACING)); i > 0; i--)
    put({ kind: 'fastener', x: random.between(from, to) });
  for (let i = random.count(4); i > 0; i--) {
    const x = random.between(0, WIDTH);
    const wood = studs.some((s) => x >= s.left && x <= s.left + s.plies * PLY);
    put({ kind: 'probe', x, found: wood !== random.next() < 0.02 ? 'wood' : 'hollow' });
  }
  const scan = (instrument: 'edge' | 'centre' | 'magnet'): Scan => ({ id: instrument, instrument, from, to, y: 1400 });
  return { evidence, scans: [scan('edge'), scan('centre'), scan('magnet')] };
}

/** A stud of the likeliest layout, picked by chance, and a place near its middle: known before the truth is. */
function holeNear(random: Random, belief: WallBelief): number | undefined {
  const { studs } = likeliestStuds(belief);
  const on = studs.filter((s) => s.n > 0 && s.n < WIDTH - PLY);
  return on.length === 0 ? undefined : random.pick(on).n + PLY / 2 + random.normal(7);
}

/** So many walls from a seed, one hole in each. */
export function drillModelWalls(count: number, seed: number): Drilled[] {
  const random = seeded(seed);
  const all: Drilled[] = [];
  while (all.length < count) {
    const studs = drawWall(random);
    const belief = wallBelief({ ...readings(random, studs), widthMm: WIDTH, spacingMm: SPACING, plyMm: PLY });
    const x = holeNear(random, belief);
    if (x === undefined) continue;
    const stated = chanceAt(belief, x, DIAMETER).lands;
    const at = x + random.normal(1.5);
    const by = 1.5 * DIAMETER;
    const landed = studs.some((s) =>
      Array.from({ length: s.plies }, (_, k) => s.left + k * PLY).some((a) => at - by >= a && at + by <= a + PLY),
    );
    all.push({ stated, landed });
  }
  return all;
}

/** An opening sawn into such a wall: the chance that it meets no wood, stated before, and whether it did not. */
export interface Sawn {
  stated: number;
  clear: boolean;
}

/** So many walls from a seed, one opening in each, somewhere between two studs of the likeliest layout. */
export function sawModelWalls(count: number, seed: number): Sawn[] {
  const random = seeded(seed);
  const all: Sawn[] = [];
  while (all.length < count) {
    const studs = drawWall(random);
    const belief = wallBelief({ ...readings(random, studs), widthMm: WIDTH, spacingMm: SPACING, plyMm: PLY });
    const near = holeNear(random, belief);
    if (near === undefined) continue;
    const width = random.between(150, 365);
    const from = near + PLY / 2 + random.between(0, 40);
    const to = from + width;
    const stated = openChance({ chances: wallChances(belief) }, from, to);
    all.push({ stated, clear: studs.every((s) => s.left + s.plies * PLY <= from || s.left >= to) });
  }
  return all;
}

export interface Band {
  stated: number;
  landed: number;
  count: number;
  /** How far the landed share may be from the stated one by chance, at three sd. */
  bound: number;
}

/** Ten bands of stated chance, each with what was stated on average and what landed. */
export function bandsOf(drilled: readonly Drilled[]): Band[] {
  return Array.from({ length: 10 }, (_, i) => {
    const of = drilled.filter((d) => Math.min(9, Math.floor(d.stated * 10)) === i);
    const count = of.length;
    const stated = of.reduce((s, d) => s + d.stated, 0) / Math.max(1, count);
    const landed = of.filter((d) => d.landed).length / Math.max(1, count);
    const bound = 3 * Math.sqrt(Math.max(stated * (1 - stated), 1e-4) / Math.max(1, count)) + 1 / Math.max(1, count);
    return { stated, landed, count, bound };
  }).filter((b) => b.count > 0);
}
