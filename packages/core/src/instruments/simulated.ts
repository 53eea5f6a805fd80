import { facesAt, type HiddenWall, type Run } from './hiddenWall';
import type { CameraView, FinderKind, Instruments, Pass, Poked } from './instruments';
import { seeded, type Random } from './random';
import { CENTRE_SD_MM, EDGE_SD_MM, PROBE_WRONG, SPURIOUS } from '../primitives/wallFacts';

/** A magnet is waved so far up and down, and holds on so near to a screw, mm. Ours. */
const MAGNET_WAVE_MM = 150;
const MAGNET_HOLDS_MM = 4;
/** A centre finder lights this far around its centre; a live scan this far around a wire. mm, ours. */
const CENTRE_LIT_MM = 5;
const LIVE_LIT_MM = 40;
/** Half of a cable and of a pipe, and how near a drill has to come, mm. Ours. */
export const RUN_HALF_MM = { cable: 5, 'metal-pipe': 11, 'plastic-pipe': 11 } as const;
const RANGE_SD_MM = 1.5;

/**
 * Simulated instruments on a hidden wall, with the errors that the inference reckons with: an edge finder
 * lights up to some 4 mm (sd) early or late, and now and then over nothing; a magnet finds the screws that
 * are there; one poke in fifty misleads; a live scan misses what does not touch the board.
 */
export function simulated(wall: HiddenWall, seed: number): Instruments {
  const random = seeded(seed);
  return {
    begin: (kind, y) => passes[kind](wall, y, random),
    poke: (x, y) => pokeAt(wall, x, y, random),
    look: (x, y, reach) => viewAt(wall, x, y, reach),
    level: (on, trueDeg, turned) => ({
      instrument: 'digital',
      angle: Math.round((trueDeg + (turned ? -1 : 1) * LEVEL_OFF_DEG + random.normal(0.02)) * 20) / 20,
      turned,
      on,
    }),
    range: (x) => Math.round(x + random.normal(RANGE_SD_MM)),
  };
}

/** The simulated level's own error, degrees. */
const LEVEL_OFF_DEG = 0.1;

interface Span {
  from: number;
  to: number;
}
const litIn = (spans: readonly Span[]): Pass => ({
  at: (x) => ({ lit: spans.some((s) => x >= s.from && x <= s.to) }),
});

const passes: Record<FinderKind, (wall: HiddenWall, y: number, random: Random) => Pass> = {
  edge(wall, y, random) {
    const spans = wall.studs.map((s) => {
      const { left, right } = facesAt(s, y, wall.height);
      return { from: left + random.normal(EDGE_SD_MM), to: right + random.normal(EDGE_SD_MM) };
    });
    return litIn([...spans, ...falseSpans(wall, random, SPURIOUS.edge, 10, 90)]);
  },
  centre(wall, y, random) {
    const spans = wall.studs.map((s) => {
      const { left, right } = facesAt(s, y, wall.height);
      return around((left + right) / 2 + random.normal(CENTRE_SD_MM), CENTRE_LIT_MM);
    });
    return litIn([...spans, ...falseSpans(wall, random, SPURIOUS.centre, 2 * CENTRE_LIT_MM)]);
  },
  magnet(wall, y, random) {
    const { sheet } = wall;
    if (sheet) {
      const [from, to] = [sheet.left + random.normal(EDGE_SD_MM), sheet.right + random.normal(EDGE_SD_MM)];
      const at = y >= sheet.bottom && y <= sheet.top;
      return { at: (x) => ({ lit: at && x >= from && x <= to, sheet: true }) };
    }
    // nails and staples that hold no board are its false readings
    const strays = falseSpans(wall, random, SPURIOUS.fastener, 0).map((s) => ({ x: s.from, y }));
    const near = [...wall.screws, ...strays].filter((s) => Math.abs(s.y - y) <= MAGNET_WAVE_MM);
    return {
      at: (x) => {
        const hit = near.find((s) => Math.abs(s.x - x) <= MAGNET_HOLDS_MM);
        return hit ? { lit: true, y: hit.y } : { lit: false };
      },
    };
  },
  live(wall, y, random) {
    const spans = wall.runs.flatMap((r) => {
      if (r.what !== 'cable' || !r.onBoard) return [];
      if (r.way === 'vertical') return y >= r.from && y <= r.to ? [around(r.at + random.normal(10), LIVE_LIT_MM)] : [];
      return Math.abs(y - r.at) <= LIVE_LIT_MM ? [{ from: r.from, to: r.to }] : [];
    });
    return litIn(spans);
  },
};

const around = (x: number, by: number): Span => ({ from: x - by, to: x + by });

/** As many false readings, on average, as make up their share of all. */
function falseSpans(wall: HiddenWall, random: Random, share: number, narrow: number, wide = narrow): Span[] {
  const count = random.count((wall.studs.length * share) / (1 - share));
  return Array.from({ length: count }, () => {
    const from = random.between(0, wall.width);
    return { from, to: from + random.between(narrow, wide) };
  });
}

/** Whether there is wood at a place: a stud, or a nogging at its height. */
export function woodAt(wall: HiddenWall, x: number, y: number): boolean {
  const inStud = wall.studs.some((s) => {
    const { left, right } = facesAt(s, y, wall.height);
    return x >= left && x <= right;
  });
  return inStud || wall.noggings.some((n) => x >= n.left && x <= n.right && Math.abs(y - n.y) <= 19);
}

/** A cable or pipe that a drill of this diameter meets there, through board and into what is behind. */
export function runAt(wall: HiddenWall, x: number, y: number, diameter: number): Run | undefined {
  return wall.runs.find((r) => {
    const off = r.way === 'vertical' ? x - r.at : y - r.at;
    const along = r.way === 'vertical' ? y : x;
    const within = along >= r.from && along <= r.to;
    return within && Math.abs(off) <= RUN_HALF_MM[r.what] + diameter / 2;
  });
}

/** A poke is 1/16 in. */
const POKE_MM = 1.6;

function pokeAt(wall: HiddenWall, x: number, y: number, random: Random): Poked {
  const misled = random.next() < PROBE_WRONG;
  const { sheet } = wall;
  if (sheet) {
    const on = x >= sheet.left && x <= sheet.right && y >= sheet.bottom && y <= sheet.top;
    return { found: on !== misled ? 'backing' : 'hollow', felt: runAt(wall, x, y, POKE_MM) !== undefined };
  }
  const wood = woodAt(wall, x, y);
  return { found: wood !== misled ? 'wood' : 'hollow', felt: runAt(wall, x, y, POKE_MM) !== undefined };
}

function viewAt(wall: HiddenWall, x: number, y: number, reach: number): CameraView | undefined {
  const faces = wall.studs.map((s) => facesAt(s, y, wall.height));
  if (faces.some((f) => x > f.left && x < f.right)) return undefined;
  const left = Math.max(0, ...faces.filter((f) => f.right <= x).map((f) => f.right));
  const right = Math.min(wall.width, ...faces.filter((f) => f.left >= x).map((f) => f.left));
  // a nogging is as far as the camera sees
  const across = wall.noggings.filter((n) => n.left <= x && n.right >= x);
  const bottom = Math.max(0, y - reach, ...across.filter((n) => n.y < y).map((n) => n.y + 19));
  const top = Math.min(wall.height, y + reach, ...across.filter((n) => n.y > y).map((n) => n.y - 19));
  const runs = wall.runs.filter((r) =>
    r.way === 'vertical'
      ? r.at > left && r.at < right && r.to > bottom && r.from < top
      : r.at > bottom && r.at < top && r.to > left && r.from < right,
  );
  return { left, right, bottom, top, runs, noggings: across.filter((n) => n.y >= y - reach && n.y <= y + reach) };
}
