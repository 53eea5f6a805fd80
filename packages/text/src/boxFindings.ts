import type { FindingCode, FindingValues } from '@steddo/core';
import { servedName } from './looks';
import { buildName, holeList } from './names';
import { capital, type Wording } from './wording';

type Sentences<C extends FindingCode> = { [K in C]: (v: FindingValues[K], say: Wording) => string };

/** What is said of a box that is to be let into a wall. */
const RECESS = {
  'box-needed': () =>
    'Nothing is to be let into the wall yet: add the box among the things on the wall, and say that it is still to be cut for.',
  'box-bay-unknown': (v, say) =>
    `Where the wood is beside ${say.thing(v.object)} nobody knows on one side at least. Mark both studs, or a stud and the spacing; the faces are taped through the first cut.`,
  'box-not-hollow': (v, say) =>
    `${capital(say.thing(v.object))} goes into the bay between two studs; behind it there is a ${buildName(v.kind)}. Cutting into that is another trade's work.`,
  'box-does-not-fit': (v, say) =>
    `${capital(say.thing(v.object))} is ${say.length(v.boxMm)} wide and the bay ${say.length(v.clearMm)} clear, ${v.percent} % sure to take it. ${
      v.taped
        ? 'Both faces have been taped: take another bay or a narrower box. No stud is ever cut for it.'
        : 'Tape both faces through the first cut before anything else is sawn. No stud is ever cut for it.'
    }`,
  'box-meets-wood': (v, say) =>
    `Where it is drawn ${say.thing(v.object)} meets wood, ${v.percent} % sure that it does not. ${capital(sideways(v.byMm, say))} it is in the middle of its bay.`,
  'box-tight': (v, say) =>
    `${capital(say.thing(v.object))} has little room in its bay: ${v.percent} % sure. ${
      v.taped
        ? 'Saw along the inside of the line.'
        : 'Tape both faces through the first cut, then move the outline to them.'
    }`,
  'box-nogging': (v, say) =>
    `A timber lies across the bay ${say.length(v.yMm)} up, within ${say.thing(v.object)}. It is never cut. ${
      v.byMm === 0
        ? 'Take another bay.'
        : `${capital(say.length(Math.abs(v.byMm)))} ${v.byMm > 0 ? 'higher' : 'lower'} clears it.`
    }`,
  'box-too-deep': (v, say) =>
    `${capital(say.thing(v.object))} is ${say.length(v.depthMm)} deep, ${say.length(v.byMm)} more than the wall has. Take a shallower one.`,
  'box-unlooked': (v, say) =>
    `${capital(servedName(v.what))}${v.from === '' ? '' : ` of ${say.thing(v.from)}`} may run where ${say.thing(v.object)} is to be cut. Do not saw before somebody has looked in there and seen that it is clear; what is there is moved by a licensed trade.`,
  'box-flue': (v, say) =>
    `${capital(say.thing(v.object))} is ${say.length(v.distanceMm)} from ${say.thing(v.thing)}; its label wants ${say.length(v.leastMm)}.`,
  'box-flue-unasked': (v, say) =>
    `${capital(say.thing(v.object))} is ${say.length(v.distanceMm)} from ${say.thing(v.thing)}. How far it has to keep away stands on the label there: enter that first.`,
  'box-size-differs': (v, say) =>
    `The mount brings a box ${say.length(v.boxMm)} in ${v.axis}; ${say.thing(v.object)} is drawn with ${say.length(v.cutMm)}. Cut for the one that is there.`,
  'box-first-beside': (v, say) =>
    `The first cut is no longer inside the outline of ${say.thing(v.object)}: it stays, and is closed with its cover plate.`,
  'box-outside-wall': () =>
    'Outside is behind this wall: what keeps out water and cold is in the bay. Local code says whether and how it may be opened.',
} satisfies Partial<Sentences<FindingCode>>;

const sideways = (byMm: number, say: Wording): string =>
  `${say.length(Math.abs(byMm))} further ${byMm < 0 ? 'left' : 'right'}`;

/** What is said of a vehicle's thin wall. */
const VEHICLE = {
  'backing-unknown': () =>
    'Where the backing is nobody has said: by its label or the maker’s drawing, then traced with a magnet and its corners taped. Nothing is drilled beside it.',
  'skin-unknown': (v) =>
    v.lacking === 'depth'
      ? `How thick the wall is to its outer skin nobody has measured at ${holeList(v.holes)}: a screw may come out on the far side. Measure it at a window or a vent first.`
      : `How long the screw at ${holeList(v.holes)} is nobody has said: it may come out through the skin.`,
  'backing-not-reached': (v, say) =>
    `The screw at ${holeList(v.holes)} ends ${say.length(v.shortMm)} before the backing: it holds nothing. A longer one, if the skin allows.`,
  'backing-part-held': (v, say) =>
    `At ${holeList(v.holes)} the screw is in ${say.length(v.engagedMm)} of the ${say.length(v.thicknessMm)} that the backing has; its rating is for all of it.`,
  'fold-to-travel': (v) =>
    `${v.arm ? 'Folded and locked' : 'Locked'} whenever it is driven: on the road every bump pulls at it several times over.`,
  'seal-outside': () =>
    'The plate is on the outer skin: sealant at each screw, and all round the plate when it is tight.',
} satisfies Partial<Sentences<FindingCode>>;

export const BOX_SENTENCES = { ...RECESS, ...VEHICLE };
