import type { TolerancePlan, ToleranceSource } from '@steddo/contract';
import { seeded, type Random } from '../instruments/random';
import type { StudPlaces, ToleranceHole, ToleranceModel } from './toleranceModel';

/** Errors, mm (one standard deviation): a tape, each reading of a chain, a pencil mark, a drill. Ours. */
const TOLERANCE_SD = { tape: 1, reading: 0.7, mark: 0.7, drill: 1.5 } as const;

/** A level that was turned end for end, and one that was not, mm in a metre. Ours. */
const LEVEL_SD_MM_PER_M = { turned: 0.3, unturned: 1 } as const;

/** A template's print, of its size. Ours. */
const PRINT_SD = 0.002;

/** An edge that was poked once more, mm. Ours. */
const POKED_SD_MM = 1;

/** Over the set's width everybody sees so much, mm. Ours. */
const SEEN_MM = 3;

/** One more poke is worth it from so much on. Ours. */
const POKE_GAIN = 0.02;

const SOURCES: readonly ToleranceSource[] = ['tape', 'reading', 'mark', 'drill', 'level', 'finder'];

/** What is counted for one way of leaving errors out. */
interface Tally {
  without?: ToleranceSource | undefined;
  /** This stud's edge was poked once more. */
  poked?: number;
  landed: number;
  within: number;
  over: number;
  height: Spread;
  centring: Spread;
  level: Spread;
}

interface Spread {
  sum: number;
  squares: number;
}

export interface ToleranceRun {
  /** Draws so many more. */
  draw: (count: number) => void;
  result: () => TolerancePlan;
}

/**
 * Draws of a job from the tape to the finished plate: where the studs are is one draw for all the holes of a stud,
 * every mark and hole has its own error. By the way of setting out: of one bolt first the second hole is marked
 * through its slot, so that only its own error turns the plate; a plate held up has its errors at both ends. 20,000
 * draws take a fifth of a second; the same seed gives the same.
 */
export function toleranceRun(model: ToleranceModel, seed: number): ToleranceRun {
  const random = seeded(seed);
  const sources = model.setOut === 'template' ? [...SOURCES, 'print' as const] : SOURCES;
  const tallies = [undefined, ...sources].map((without) => newTally({ without }));
  const pokes = model.studs.map((_, i) => newTally({ poked: i }));
  let draws = 0;
  return {
    draw: (count) => {
      for (let i = 0; i < count; i++) {
        const errors = errorsOf(model, random);
        for (const tally of tallies) add(tally, model, errors);
        for (const tally of pokes) add(tally, model, errors);
      }
      draws += count;
    },
    result: () => resultOf({ model, tallies, pokes, draws, seed }),
  };
}

const newTally = (of: Pick<Tally, 'without' | 'poked'>): Tally => ({
  ...of,
  landed: 0,
  within: 0,
  over: 0,
  height: { sum: 0, squares: 0 },
  centring: { sum: 0, squares: 0 },
  level: { sum: 0, squares: 0 },
});

/** One draw of everything that can be off. */
interface Errors {
  tapeX: number;
  tapeY: number;
  reading: number;
  /** Of the level, mm in a metre. */
  level: number;
  print: number;
  sheet: number;
  /** Where each stud is on its scale of chances, and how far off a poked one would be. */
  studs: number[];
  poked: number[];
  groups: number[];
  holes: { markX: number; markY: number; drillX: number; drillY: number }[];
  /** Up and down of the outer hole at the other end, by which the plate turns. */
  far: { markY: number; drillY: number };
}

function errorsOf(model: ToleranceModel, random: Random): Errors {
  const { tape, reading, mark, drill } = TOLERANCE_SD;
  const level = LEVEL_SD_MM_PER_M[model.turned ? 'turned' : 'unturned'];
  return {
    tapeX: random.normal(tape),
    tapeY: random.normal(tape),
    reading: random.normal(reading * Math.sqrt(model.readings)),
    level: random.normal(level),
    print: random.normal(PRINT_SD),
    sheet: random.next(),
    studs: model.studs.map(() => random.next()),
    poked: model.studs.map(() => random.normal(POKED_SD_MM)),
    groups: Array.from({ length: model.groups }, () => random.next()),
    holes: model.holes.map(() => ({
      markX: random.normal(mark),
      markY: random.normal(mark),
      drillX: random.normal(drill),
      drillY: random.normal(drill),
    })),
    far: { markY: random.normal(mark), drillY: random.normal(drill) },
  };
}

function add(tally: Tally, model: ToleranceModel, e: Errors): void {
  const { without } = tally;
  const of = (source: ToleranceSource, value: number) => (without === source ? 0 : value);
  const first = e.holes[0] ?? { markX: 0, markY: 0, drillY: 0 };
  const own = (h: { markY: number; drillY: number }) => of('mark', h.markY) + of('drill', h.drillY);
  const held = model.setOut !== 'one-bolt';
  const height = of('tape', e.tapeY) + of('reading', e.reading) + (held ? (own(first) + own(e.far)) / 2 : own(first));
  const turned = held ? own(e.far) - own(first) : own(e.far);
  const ratio = model.span > 0 ? model.setWidth / model.span : 0;
  const leveled = (of('level', e.level) * model.setWidth) / 1000;
  const beyond = Math.sign(turned) * Math.max(0, Math.abs(turned) - model.play);
  spread(tally.height, height);
  spread(tally.centring, of('tape', e.tapeX) + of('mark', first.markX));
  spread(tally.level, turned * ratio + leveled);
  if (model.span === 0 || Math.abs(turned) <= model.play) tally.within += 1;
  if (Math.abs(beyond * ratio + leveled) > SEEN_MM) tally.over += 1;
  if (allLand(tally, model, e)) tally.landed += 1;
}

function spread(of: Spread, value: number): void {
  of.sum += value;
  of.squares += value * value;
}

function allLand(tally: Tally, model: ToleranceModel, e: Errors): boolean {
  const { without, poked } = tally;
  const sure = without === 'finder';
  const printed = without === 'print' || model.setOut !== 'template' ? 0 : e.print;
  const middle = printed === 0 ? 0 : middleOf(model.holes);
  return model.holes.every((hole, i) => {
    const { markX, drillX } = e.holes[i]!;
    const own = (without === 'mark' ? 0 : markX) + (without === 'drill' ? 0 : drillX);
    const off = own + printed * (hole.x - middle);
    if (hole.stud === undefined) return sure || e.groups[hole.group]! < hole.chance;
    const stud = model.studs[hole.stud]!;
    if (poked === hole.stud) return Math.abs(off - e.poked[hole.stud]!) <= stud.known.half;
    if (sure) return Math.abs(hole.x + off - stud.known.middle) <= stud.known.half;
    if (e.sheet < model.sheet) return false;
    return lands(stud, e.studs[hole.stud]!, hole.x + off);
  });
}

const middleOf = (holes: readonly ToleranceHole[]): number =>
  holes.reduce((sum, h) => sum + h.x, 0) / Math.max(1, holes.length);

/** Whether a hole at x has room on both sides in a ply of the stud as it was drawn. */
function lands({ upTo, middles, half }: StudPlaces, drawn: number, x: number): boolean {
  let [low, high] = [0, upTo.length];
  while (low < high) {
    const at = (low + high) >> 1;
    if (upTo[at]! > drawn) high = at;
    else low = at + 1;
  }
  const place = middles[low];
  return place !== undefined && place.some((m) => Math.abs(m - x) <= half[low]!);
}

interface Drawn {
  model: ToleranceModel;
  tallies: readonly Tally[];
  pokes: readonly Tally[];
  draws: number;
  seed: number;
}

function resultOf({ model, tallies, pokes, draws, seed }: Drawn): TolerancePlan {
  const share = (count: number) => (draws === 0 ? 0 : count / draws);
  const sd = ({ sum, squares }: Spread) => {
    const mean = share(sum);
    return Math.sqrt(Math.max(0, share(squares) - mean * mean));
  };
  const [all, ...left] = tallies;
  const best = [...pokes].sort((a, b) => b.landed - a.landed)[0];
  const gains = best && share(best.landed) - share(all!.landed) >= POKE_GAIN;
  return {
    draws,
    seed,
    allLand: share(all!.landed),
    over3: share(all!.over),
    withinPlay: share(all!.within),
    height: sd(all!.height),
    centring: sd(all!.centring),
    level: sd(all!.level),
    sources: left.map((t) => ({
      id: t.without!,
      allLand: share(t.landed),
      over3: share(t.over),
      height: sd(t.height),
    })),
    ...(gains
      ? {
          poke: {
            stud: model.studs[best.poked!]!.stud,
            x: model.studs[best.poked!]!.edge,
            allLand: share(best.landed),
          },
        }
      : {}),
  };
}
