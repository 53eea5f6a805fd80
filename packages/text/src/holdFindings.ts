import type { FindingCode, FindingValues } from '@steddo/core';
import { bitText } from './bits';
import { fixingName } from './holds';
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

const HANDS: Record<string, string> = {
  down: ', with a hand leaning on the set',
  left: ', with a hand pushing it to the left',
  right: ', with a hand pushing it to the right',
  travel: ', on the road',
};
type Load = FindingValues['held-by-label'];
/** What of it a hand adds: what hangs there by itself is said apart. */
const handText = ({ handling, standingPercent }: Load): string =>
  HANDS[handling] ? `${HANDS[handling]} (${standingPercent} % by itself)` : '';
const withinText = ({ goMm, toldMm, toldPercent }: Load, say: Wording): string =>
  [
    goMm === undefined ? '' : ` Kept within ${say.length(goMm)} to either side it is inside the tables.`,
    toldMm === undefined
      ? ''
      : ` Kept to the ${say.length(toldMm)} that was agreed it is ${toldPercent ?? 0} %; nothing holds it there yet.`,
  ].join('');

/** Everything about what holds, and where the holes go. */
export const HOLD_SENTENCES = {
  'loads-checked': (v: FindingValues['loads-checked']) =>
    `The worst fastener has ${v.percent} % of what it may hold. A check of arithmetic on what was entered, not an engineer's approval.`,
  'load-too-great': (v: FindingValues['load-too-great'], say) =>
    `${holeList([v.hole])} would have ${v.percent} % of what it may hold${handText(v)}: ${governsText(v.governs)}. It must not hang like this.${withinText(v, say)}${
      v.labelMm === undefined ? '' : ` Held within ${say.length(v.labelMm)} the maker's rating covers it.`
    }`,
  'held-by-label': (v, say) =>
    `${holeList([v.hole])} has ${v.percent} % of the timber tables${handText(v)}. The maker's rating covers it with these screws.${withinText(v, say)} A check of arithmetic, not an engineer's approval.`,
  'sheet-too-thin': (v, say) =>
    `A sheet of ${say.length(v.thicknessMm)} is too thin to hold a lag: ${say.length(v.leastMm)} at least.`,
  'load-unknown': () =>
    'Nothing can be said about what this holds: with fasteners in one place and no plate to bear beside them it would turn. Do not hang it like this.',
  'no-rating': (v) =>
    `Nothing is rated: without a pack rating${v.kind === 'lag' ? ' or the thickness of the backing' : ''} there is no answer for a ${fixingName(v.kind)}.`,
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
  'large-on-anchors-refused': (v, say) => `${aloneText(v, say)} Under this school it goes into wood.`,
  'arm-on-anchors': (v) =>
    `An arm on ${v.anchors} hollow-wall anchors: ${numbersText(v)} Swinging works anchors loose, and most installers never do it. It stays stopped until you say that you have read this.`,
  'large-on-anchors': (v, say) =>
    `${aloneText(v, say)} By their ratings: ${numbersText(v)} It stays stopped until you say that you have read this.`,
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
  'test-hole-first': (v) =>
    `Drill ${holeList(v.holes)} small first: hollow in ${v.percent} of 100. If there is a stud after all, stop and say so.`,
  'mark-a-joint-first': (v) =>
    `Mark ${v.lacking.length > 1 ? 'a joint' : v.lacking[0] === 'bed' ? 'a level joint' : 'an upright joint'} first: where ${holeList(v.holes)} would meet the mortar nobody knows yet.${
      v.covered ? ' Under plaster find it with a 3 mm test hole where the plate will hide it.' : ''
    }`,
  'in-joint': (v, say) =>
    `${holeList(v.holes)} would be in a mortar joint or too near to one. Drill the brick or block, never the joint.${
      v.upMm === undefined
        ? ''
        : ` With the set ${say.length(Math.abs(v.upMm))} ${v.upMm > 0 ? 'higher' : 'lower'} they are clear.`
    }`,
  'sheet-behind-board': () =>
    'The wood that was met is closer together than studs stand: there may be a sheet behind the board. Trace its outline with small pokes where the plate will hide them, enter its thickness, and fasten by that.',
  'screw-through': (v, say) =>
    v.byMm > 0
      ? `${holeList(v.holes)}: the screw would come out ${say.length(v.byMm)} beyond the far side; the wall is ${say.length(v.depthMm)} deep there. Take a shorter one.`
      : `${holeList(v.holes)}: the screw's point would be within 3 mm of the far side; the wall is ${say.length(v.depthMm)} deep there. Take a shorter one.`,
  'backing-edges-unmarked': (v) =>
    `${holeList(v.holes)}: not every edge of the backing is marked. Trace its outline first.`,
  'backing-missed': (v) => `${holeList(v.holes)} would miss the backing.`,
  'bit-to-get': (v, say) => `The kit has no bit of ${bitText(v.bitMm, say)}. Take one along.`,
  'masonry-too-short': (v, say) =>
    `The masonry fixing is ${say.length(v.haveMm)} in the brick or block, and its rating asks for ${say.length(v.needMm)}. A longer one is needed.`,
  'unrated-on-lath': (v) =>
    `A ${fixingName(v.kind)} has no rating for plaster on laths: what a pack says of board says nothing of it. Wood, or an anchor rated for laths.`,
  'light-heavy': (v, say) =>
    `${capital(say.thing(v.object))}: ${say.mass(v.massKg)} is more than ${say.mass(v.limitKg)}. It goes into wood, not on board.`,
  'light-no-rating': (v, say) => `${capital(say.thing(v.object))}: nothing in the kit is rated for this wall.`,
  'light-unsound': (v, say) =>
    `${capital(say.thing(v.object))}: the board there is ${v.state}, and nothing holds in it. Take a sound place, or wood.`,
  'light-too-great': (v, say) =>
    `${capital(say.thing(v.object))}: the best anchor in the kit would have ${v.percent} % of what it may hold. Use wood, or more fixings.`,
} satisfies Partial<Sentences<FindingCode>>;

const aloneText = (v: FindingValues['large-on-anchors-refused'], say: Wording): string =>
  v.massKg > v.limitKg
    ? `Set and mount weigh ${say.mass(v.massKg)}; ${v.anchors} hollow-wall anchors alone carry ${say.mass(v.limitKg)} at most.`
    : `The set's weight is ${say.length(v.outMm)} out; hollow-wall anchors alone carry it to ${say.length(v.limitOutMm)}.`;

const numbersText = (v: { percent: number; tensionN: number; allowableN: number }): string =>
  v.percent < 0
    ? 'what they hold cannot be said.'
    : `in the worst pose one is pulled with ${rounded(v.tensionN, 0)} N, and a quarter of its rating is ${rounded(v.allowableN, 0)} N; ${v.percent} % of what it may hold.`;
