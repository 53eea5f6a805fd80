import type { FindingCode, FindingValues } from '@steddo/core';
import { bitText } from './bits';
import { changeText, fixingName } from './holds';
import { holeList } from './names';
import { capital, rounded, type Wording } from './wording';

type Sentences<C extends FindingCode> = { [K in C]: (v: FindingValues[K], say: Wording) => string };

const GOVERNS: Record<string, string> = {
  withdrawal: 'it would pull out',
  tension: 'it would pull out',
  shear: 'it would shear',
};
/** How a fastener would give way first: `bending in the wood (mode III-s)`. */
export const governsText = (governs: string): string =>
  GOVERNS[governs] ?? `it would bend or crush (mode ${governs.replace('yield-', '')})`;

/** Everything about what holds, and where the holes go. */
export const HOLD_SENTENCES = {
  'loads-checked': (v: FindingValues['loads-checked']) =>
    `The worst fastener has ${v.percent} % of what it may hold. A check of arithmetic on what was entered, not an engineer's approval.`,
  'load-too-great': (v: FindingValues['load-too-great']) =>
    `${holeList([v.hole])} would have ${v.percent} % of what it may hold: ${governsText(v.governs)}. It must not hang like this.`,
  'load-unknown': () =>
    'Nothing can be said about what this holds: with fasteners in one place and no plate to bear beside them it would turn. Do not hang it like this.',
  'no-rating': (v) =>
    `Nothing is rated: without a pack rating${v.kind === 'lag' ? ' or the thickness of the backing' : ''} there is no answer for a ${fixingName(v.kind)}.`,
  'no-fixing': (v) =>
    `Neither the mount nor the kit has a fixing for this wall (${v.kind.replace('-', ' ')}). Enter what the leaflet gives.`,
  'never-in-board': (v) =>
    `A ${fixingName(v.kind)} in hollow board holds at first and then lets go, however many there are. Never.`,
  'lag-off-table': (v) =>
    `A lag of ${rounded(v.diameterMm, 2)} mm is not in the tables (1/4, 5/16 and 3/8 in are), so nothing is said about what it holds.`,
  'lag-too-short': (v, say) =>
    `The lag has ${say.length(Math.max(0, v.threadMm))} of thread in the stud and needs ${say.length(v.needMm)}. A longer one is needed.`,
  'lag-past-stud': (v, say) => `The lag comes out at the back of the stud by ${say.length(v.byMm)}.`,
  'lags-too-close': (v, say) =>
    `Two lags in one stud are ${say.length(v.apartMm)} apart and need ${say.length(v.needMm)}: the stud would split.`,
  'rated-for-board': (v, say) =>
    `The pack's rating is for board of ${say.length(v.ratedMm)}, and this one is ${say.length(v.boardMm)}. No rating, no answer.`,
  'grip-outside': (v, say) =>
    `The anchor grips ${say.length(v.minMm)} to ${say.length(v.maxMm)}; plate and board together are ${say.length(v.thickMm)}.`,
  'head-through-slot': (v) =>
    `A head of ${rounded(v.headMm, 1)} mm slips through a slot ${rounded(v.slotMm, 1)} mm high. Put a washer under it.`,
  'board-unsound': (v) =>
    v.state === 'none'
      ? 'There is no board there for an anchor to hold on to.'
      : `The board there is ${v.state}: an anchor holds nothing in it.`,
  'anchors-refused': () => 'Studs only: no hollow-wall anchors for a screen. Nothing else holds the plate here.',
  'arm-on-anchors-refused': () =>
    'An arm pulls hollow-wall anchors through the board each time it swings. Not under this school.',
  'large-on-anchors-refused': (v, say) =>
    `A set of ${say.length(v.diagonalMm)} on hollow-wall anchors alone: ${say.length(v.limitMm)} is the most under this school.`,
  'arm-on-anchors': (v) =>
    `An arm on ${v.anchors} hollow-wall anchors: ${numbersText(v)} Swinging works anchors loose, and most installers never do it. It stays stopped until you say that you have read this.`,
  'large-on-anchors': (v, say) =>
    `A set of ${say.length(v.diagonalMm)} on ${v.anchors} hollow-wall anchors: ${numbersText(v)} It stays stopped until you say that you have read this.`,
  'studs-not-sought': () =>
    'Wood first: nobody has looked for studs where the plate goes, so nothing goes into the board yet.',
  'anchors-missing': () =>
    'No hollow-wall anchor in the kit is rated for this board and long enough for plate and board together.',
  'not-all-in-studs': (v) =>
    v.kind === 'anchors'
      ? 'All of it hangs on the board. Wood under the slots would be better: see what would bring it there.'
      : 'The lags in the one stud carry everything: wood does not give, and the board does. The anchors are only to spare.',
  'angled-lag': (v, say) =>
    `The stud misses the slots by ${say.length(v.offMm)}. Some drive the lag at an angle: it splits the stud's edge and holds less than any table says. Shift the set instead.`,
  'scheme-gone': () => 'The scheme chosen before is no longer possible; the best one counts.',
  'hole-unusable': (v) =>
    `${holeList([v.hole])} comes under no slot of this plate any more. It stays empty; the set covers it.`,
  'plate-follows-holes': (v, say) =>
    `The plate follows the holes that are there: it and the set sit ${say.length(Math.abs(v.liftMm))} ${v.liftMm > 0 ? 'higher' : 'lower'}.`,
  'board-doubtful': (v) =>
    `${holeList(v.holes)}: hollow in ${v.percent} of 100. The test hole tells: with wood there, stop and say so.`,
  'test-hole-first': () =>
    'Drill one hole first, small. If there is a stud after all, say so: the rest is planned again.',
  'joints-unmarked': (v) =>
    `No joint is marked. A hole drilled blind misses every joint in ${v.percent} of 100. Mark one upright joint, or drill a small test hole.`,
  'in-joint': (v) =>
    `${holeList(v.holes)} would be in a joint or within 30 mm of one. Drill the brick or block, never the joint.`,
  'backing-edges-unmarked': (v) =>
    `${holeList(v.holes)}: not every edge of the backing is marked. Trace its outline first.`,
  'backing-missed': (v) => `${holeList(v.holes)} would miss the backing.`,
  'bit-to-get': (v, say) => `The kit has no bit of ${bitText(v.bitMm, say)}. Take one along.`,
  'faces-uneven': (v, say) =>
    `The wall steps by ${say.length(v.stepMm)} under the plate. Pack the lower part to one plane with a straight timber, and use longer bolts through it.`,
  'corner-one-wall': () =>
    'A corner mount has a plate on both walls. Here this wall is taken to carry all of it; the other needs holes of its own.',
  'least-change': (v, say) => `What would do it: ${changeText(v.kind, v.byMm, v.to, say)}.`,
  'light-heavy': (v, say) =>
    `${capital(say.thing(v.object))}: ${say.mass(v.massKg)} is more than ${say.mass(v.limitKg)}. It goes into wood, not on board.`,
  'light-no-rating': (v, say) => `${capital(say.thing(v.object))}: nothing in the kit is rated for this wall.`,
  'light-too-great': (v, say) =>
    `${capital(say.thing(v.object))}: the best anchor in the kit would have ${v.percent} % of what it may hold. Use wood, or more fixings.`,
} satisfies Partial<Sentences<FindingCode>>;

const numbersText = (v: { percent: number; tensionN: number; allowableN: number }): string =>
  v.percent < 0
    ? 'what they hold cannot be said.'
    : `in the worst pose one is pulled with ${rounded(v.tensionN, 0)} N, and a quarter of its rating is ${rounded(v.allowableN, 0)} N; ${v.percent} % of what it may hold.`;
