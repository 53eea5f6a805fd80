import type { Evidence, Job, Looking, NextLook, Scan, Side } from '@steddo/contract';
import type { Instruments, FinderKind } from '../instruments/instruments';
import { newMemory } from '../memory';
import { plan } from '../plan';
import { hasSheet, SHEET_POKES } from './practiceWall';
import { readingsOf } from '../wall/inferStuds';
import { nextLooks } from '../looks/nextLook';
import { footSeen, wallSeen } from '../twoWalls/wallSeen';

/** What following the advice to its end took and where it ended. */
export interface Advised {
  job: Job;
  pokes: number;
  passes: number;
  /** Why it stopped asking; absent when it ran out of patience. */
  enough?: NonNullable<Looking['enough']>;
}

const PATIENCE = 24;
/** A finder is slid in steps of this, mm. */
const SLIDE_MM = 1;

/**
 * Takes the product's own advice on a wall, of a corner on one of its two, one look after another, until it says that it is enough. The
 * measure of a beginner's pokes, and what the tests of the whole routine run.
 */
export function followAdvice(
  start: Job,
  instruments: Instruments,
  steps: () => void = () => undefined,
  wall: 'main' | Side = 'main',
): Advised {
  // of a sheet nobody is asked where its studs are
  if (hasSheet(start)) return { job: start, pokes: SHEET_POKES, passes: 2 };
  const memory = newMemory();
  let job = start;
  let [pokes, passes] = [0, 0];
  for (let i = 0; i < PATIENCE; i++) {
    steps();
    const seen = footSeen(wallSeen(job, plan(job, { memory }), wall));
    const next = nextLooks(seen.job, seen.plan, [], memory.inferStuds(...readingsOf(seen.job)));
    const [look] = next?.looks ?? [];
    if (!next || !look) return { job, pokes, passes, ...(next?.looking.enough ? { enough: next.looking.enough } : {}) };
    if (look.kind === 'probe') {
      pokes += 1;
      const { found } = instruments.poke(look.x, look.y);
      job = withMarks(job, wall, [{ id: `a${wall}${i}`, kind: 'probe', x: look.x, y: look.y, found }]);
    } else {
      passes += 1;
      job = pass(job, { look, instruments, wall, width: seen.job.room.wall.width }, i);
    }
  }
  return { job, pokes, passes };
}

interface Pass {
  look: NextLook;
  instruments: Instruments;
  wall: 'main' | Side;
  width: number;
}

function pass(job: Job, { look, instruments, wall, width }: Pass, i: number): Job {
  const [from, to] = [Math.max(0, look.from ?? look.x - 80), Math.min(width, look.to ?? look.x + 80)];
  const kind = look.kind === 'centre' ? 'centre' : 'edge';
  const marks = passMarks(instruments, kind, look.y, from, to).map((m, j) => ({ ...m, id: `a${wall}${i}-${j}` }));
  const scan: Scan = { id: `as${wall}${i}`, instrument: kind, from, to, y: look.y, ...onIts(wall) };
  return { ...withMarks(job, wall, marks), scans: [...(job.scans ?? []), scan] };
}

const onIts = (wall: 'main' | Side) => (wall === 'main' ? {} : { wall });

const withMarks = (job: Job, wall: 'main' | Side, marks: Evidence[]): Job => ({
  ...job,
  evidence: [...(job.evidence ?? []), ...marks.map((m) => ({ ...m, ...onIts(wall) }))],
});

/** The marks that somebody makes who slides a finder from left to right: where it lights and where it goes out. */
export function passMarks(
  instruments: Instruments,
  kind: Exclude<FinderKind, 'live'>,
  y: number,
  from: number,
  to: number,
): Evidence[] {
  const along = instruments.begin(kind, y);
  const marks: Evidence[] = [];
  let before = along.at(from).lit;
  let lit = from;
  for (let x = from + SLIDE_MM; x <= to; x += SLIDE_MM) {
    const signal = along.at(x);
    if (signal.lit && !before) {
      lit = x;
      if (kind === 'edge') marks.push({ id: '', kind: 'edge-left', x, y });
      if (kind === 'magnet') marks.push({ id: '', kind: 'fastener', x: x + 4, y: signal.y ?? y });
    }
    if (!signal.lit && before) {
      if (kind === 'edge') marks.push({ id: '', kind: 'edge-right', x, y });
      if (kind === 'centre') marks.push({ id: '', kind: 'centre', x: (lit + x) / 2, y });
    }
    before = signal.lit;
  }
  return marks;
}
