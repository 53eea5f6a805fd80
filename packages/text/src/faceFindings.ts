import type { FindingCode, FindingValues } from '@steddo/core';
import { buildName, holeList } from './names';
import { capital, rounded, type Wording } from './wording';

type Sentences<C extends FindingCode> = { [K in C]: (v: FindingValues[K], say: Wording) => string };

const ENGLISH = new Intl.ListFormat('en-GB');

/** Findings of walls that are not one wall, and of what is near a fire. */
export const FACE_SENTENCES = {
  'packing-needed': (v, say) =>
    `The wall steps by ${say.length(v.stepMm)} under the plate: it bears on one plane only. Cut a straight timber ${say.length(v.stepMm)} thick for the part that stands back; two small screws only hold it.${
      v.screwMm === undefined
        ? ''
        : ` What goes through it at ${holeList(v.holes)} has to be ${say.length(v.screwMm)} long to reach as far in.`
    }`,
  'packed-to-plane': (v, say) =>
    `Packed by ${say.length(v.thicknessMm)} to one plane${v.holes.length > 0 ? ` at ${holeList(v.holes)}` : ''}. The packing's own two screws carry nothing.`,
  'no-place-here': (v) =>
    `The plate's slots find no place here with what the wall is behind each of them (${ENGLISH.format(v.builds.map(buildName))}). Find the studs, mark the joints, or move the set.`,
  'timber-first': (v, say) =>
    `The timber first, level, by its own ${holeList(v.holes)} into the studs, looked at like any other; the plate then goes onto it, and everything stands ${say.length(v.thicknessMm)} further out.`,
  'panel-gap': (v) =>
    `How far the panelling stands off what is behind it nobody has said (${holeList(v.holes)}). Measure it with a bent wire through a small hole that the plate hides: on battens every screw reaches that much less far; where there is no gap, enter 0.`,
  'noggings-first': (v, say) =>
    `Open the board first: ${v.pieces === 1 ? 'one nogging' : `${v.pieces} noggings`} ${say.length(v.thicknessMm)} thick, flush with the studs, on a cleat at each end by ${holeList(v.holes)}, and as many screws from each cleat into its stud. Cut no deeper than the board, look before you cut, and close it with a patch; the plate then goes through that into the wood.`,
  'timber-load': (v) =>
    v.percent < 0
      ? "Nothing can be said about what the timber's own screws hold."
      : `The timber's own screws would have ${v.percent} % of what they may hold. It must not hang like this.`,
  'timber-no-lag': (v, say) =>
    `No lag of the kit goes through what is over it (${say.length(v.overMm)}) and far enough into the wood without coming out at the back of the wall.`,
  'timber-no-studs': (v) =>
    v.way === 'noggings'
      ? 'A nogging goes between two studs that follow one another, and they are not both sure yet where the plate is. Find them first.'
      : 'A timber goes across two studs, one to each side of the plate, and they are not both sure yet. Find them first.',
  'mantel-clearance': (v, say) => {
    const thing = capital(say.thing(v.object));
    const where = `${say.length(v.distanceMm)} from ${say.thing(v.from)}`;
    if (v.leastMm === undefined)
      return `${thing} is ${where}: a stove's maker says how near wood may come, and nobody has entered that. No figure, no go.`;
    if (v.distanceMm < v.leastMm)
      return `${thing} is ${where}; nothing that burns may be nearer than ${say.length(v.leastMm)}. Local rules may ask for more.`;
    return `${thing} stands out ${say.length(v.projectionMm)}, ${where}: there it may stand out ${say.length(v.allowedMm ?? 0)} at most. Local rules may ask for more.`;
  },
  'mantel-to-measure': (v, say) =>
    `Measure how far ${say.thing(v.object)} stands out: so near to ${say.thing(v.from)} it may be ${say.length(v.allowedMm)} at most.`,
  'mantel-no-course': (v, say) =>
    `${capital(say.thing(v.object))}: the bolts of its timber may be from ${say.length(v.fromMm)} to ${say.length(v.toMm)} up, and no course has its middle there.${
      v.heightMm === undefined
        ? ' Another height is needed.'
        : ` A timber ${say.length(v.heightMm)} high would have one.`
    }`,
  'mantel-mass-unknown': (v, say) =>
    `Weigh ${say.thing(v.object)} with what will stand on it: its timber's screws carry that.`,
  'mantel-load': (v, say) =>
    `The screws of ${say.thing(v.object)} would have ${v.percent} % of what they may hold. Lighter, or better held.`,
  'mantel-first': (v, say) =>
    `${capital(say.thing(v.object))} goes up before the set. ${v.people} people lift its shell.`,
  'mantel-not-masonry': (v, say) =>
    `${capital(say.thing(v.object))}: the wall behind its timber is not masonry. Screw the timber into studs; no holes are given for it here.`,
  'mantel-no-fixing': (v, say) =>
    `${capital(say.thing(v.object))}: no masonry screw of the kit is thinner than its timber's holes and long enough through it.`,
  'heat-at-set': (v) =>
    `${rounded(v.celsius, 0)} °C was measured at the set; it may be ${rounded(v.limitC, 0)} °C at most. Not here, or with a deeper mantel; ask the maker.`,
  'heat-unmeasured': (v, say) =>
    `The set hangs over ${say.thing(v.over)}, and nobody has measured how warm it gets there${v.elsewhere ? ' (the measurement was somewhere else)' : ''}. Tape a thermometer where it will hang, and let the fire burn for an hour.`,
  'flue-clearance': (v, say) =>
    `The set is ${say.length(v.distanceMm)} from ${say.thing(v.object)}; ${say.length(v.leastMm)} is the least.`,
  'flue-unasked': (v, say) =>
    `The set is ${say.length(v.distanceMm)} from ${say.thing(v.object)}. If a flue ends there its label says how far things keep off: enter that.`,
  'over-fire': (v, say) => {
    const off = (mm: number, of: string) =>
      Math.abs(mm) < 0.5 ? `on ${of}` : `${say.length(Math.abs(mm))} ${mm > 0 ? 'right' : 'left'} of ${of}`;
    return `The set's middle is ${off(v.offMm, `that of ${say.thing(v.object)}`)}, ${off(v.wallMm, "the wall's middle")}${
      v.breastMm === undefined ? '' : ` and ${off(v.breastMm, "the breast's")}`
    }.`;
  },
} satisfies Partial<Sentences<FindingCode>>;
