import type { BenchClearance } from '@steddo/contract';
import type { FindingCode, FindingValues } from '@steddo/core';
import { bindingName } from './names';
import type { Wording } from './wording';

type Sentences<C extends FindingCode> = { [K in C]: (v: FindingValues[K], say: Wording) => string };

type Side = BenchClearance['side'];

/** What is there, as a bench has it. */
export const benchThing = (by: string, say: Wording): string =>
  by === 'ceiling' ? 'the ceiling' : bindingName(by, say);

const MOVES: Record<Side, string> = {
  above: 'tilt up',
  below: 'tilt down',
  left: 'swing to the left',
  right: 'swing to the right',
};

const BESIDE: Record<Side, string> = {
  above: 'under',
  below: 'over',
  left: 'beside',
  right: 'beside',
};

/** What is said of a monitor on its arm over a bench. */
export const BENCH_SENTENCES = {
  'bench-no-room': (v, say) =>
    `Where its arm can bring it, it is ${say.length(v.shortMm)} short of room ${BESIDE[v.side]} ${benchThing(v.by, say)}: keep it away from there, or hang it elsewhere.`,
  'bench-moves-short': (v, say) =>
    v.untilDeg < 1
      ? `It cannot ${MOVES[v.side]} ${BESIDE[v.side]} ${benchThing(v.by, say)}, though its head could by ${say.degrees(v.limitDeg)}: pull it out first.`
      : `It can ${MOVES[v.side]} by ${say.degrees(v.untilDeg)} before it meets ${benchThing(v.by, say)}; its head has ${say.degrees(v.limitDeg)}. Pull it out first for more.`,
  'bench-turn-short': (v, say) =>
    `To turn it between upright and on its end it needs ${say.length(v.shortMm)} more ${BESIDE[v.side]} ${benchThing(v.by, say)}: pull it out from there before it is turned.`,
  'bench-above-eyes': (v, say) =>
    `Its upper edge is ${say.length(v.byMm)} above the eyes of ${say.thing(v.viewer)}. At a bench it is level with them or a little below; hang it lower, or raise the seat.`,
  'bench-below-eyes': (v, say) =>
    `Its upper edge is ${say.length(v.byMm)} below the eyes of ${say.thing(v.viewer)}: the head is bent down for long.`,
  'bench-too-far': (v, say) =>
    `Pulled out all the way it is still ${say.length(v.awayMm)} from the eyes of ${say.thing(v.viewer)}; about an arm's length is usual at a bench.`,
  'bench-too-near': (v, say) =>
    `Pushed back all the way it is ${say.length(v.awayMm)} from the eyes of ${say.thing(v.viewer)}; about an arm's length is usual at a bench.`,
  'portrait-on-wall': () =>
    'A set stands on its end only on the arm of a bench. Here it is planned as it is wide: turn that choice off, or say that it hangs over a bench.',
} satisfies Partial<Sentences<FindingCode>>;
