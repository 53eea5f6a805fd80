import type { Finding } from '@steddo/contract';
import type { FindingCode, FindingValues } from '@steddo/core';
import { bindingName, buildName, holeList, heightRuleName, wallName } from './names';
import { bitText } from './bits';
import { BENCH_SENTENCES } from './benchFindings';
import { BOX_SENTENCES } from './boxFindings';
import { CORNER_SENTENCES } from './cornerFindings';
import { FACE_SENTENCES } from './faceFindings';
import { HOLD_SENTENCES } from './holdFindings';
import { PROOF_SENTENCES } from './proofFindings';
import { seenName, servedName, wayName } from './looks';
import { fieldName } from './paths';
import { capital, rounded, type Wording } from './wording';

type Sentences = { [C in FindingCode]: (v: FindingValues[C], say: Wording) => string };

/** `a, b and c`. */
const ENGLISH = new Intl.ListFormat('en-GB');
const list = (names: readonly string[]): string => ENGLISH.format(names);

/** Where a screw goes, and what can be there. */
const BEHIND: Record<string, string> = {
  stud: 'A cable or pipe can cross a stud, and a lag goes deeper than its hole',
  board: 'A cable or pipe may be in the bay, and a toggle opens there',
  masonry: 'A cable or pipe may run in a chase under the face',
  'metal-stud': 'A cable runs through the holes of a metal stud',
  backing: 'What is behind the backing cannot be seen from here',
};

/** What nobody has looked at: one thing to do, the holes, and why there. */
function lookFirstText(v: FindingValues['look-first'], say: Wording): string {
  const zones = v.zoneHoles.map((holes, i) => {
    const [what, way, object] = [v.zoneWhat[i]!, v.zoneWay[i]!, v.zoneObject[i]!];
    const from =
      object === ''
        ? 'of the wet room behind may run anywhere'
        : `may run ${wayName(way)} ${say.thing(object)} just there`;
    return ` At ${holeList(holes.split(' '))} ${servedName(what)} ${from}.`;
  });
  const half = v.oneSide.length > 0 ? ` Of ${holeList(v.oneSide)} one bay has been looked into, not the other.` : '';
  const why = v.into.map((i) => BEHIND[i] ?? BEHIND.stud!).join('. ');
  return `Look first at ${holeList(v.holes)}.${half}${zones.join('')} ${why}. A finder misses cables that do not touch the board, and sees no plastic pipe. If in doubt, do not drill.`;
}

/** A thing that a picture has measured, and what is no further from it than that may be out. */
function tapeFirstText({ object, holes, plate, set, doubtMm }: FindingValues['tape-it-first'], say: Wording): string {
  const near = [
    ...(holes.length > 0 ? [holeList(holes)] : []),
    ...(plate ? ['the plate'] : []),
    ...(set ? ['the set'] : []),
  ];
  const many = near.length > 1 || holes.length > 1;
  return `${capital(say.thing(object))} is known from a photograph, within ${say.length(doubtMm)}, and ${list(near)} ${many ? 'are' : 'is'} no further from it. Tape it before you drill.`;
}

/** What is to be cut: for a thing of the room, else the board before noggings. */
const cutName = (object: string, say: Wording): string =>
  object === '' ? 'the opening for the noggings' : say.thing(object);

/** Every finding in words, once: for screen, print and speech. */
const SENTENCES: Sentences = {
  ...HOLD_SENTENCES,
  ...FACE_SENTENCES,
  ...CORNER_SENTENCES,
  ...BENCH_SENTENCES,
  ...BOX_SENTENCES,
  ...PROOF_SENTENCES,
  'look-first': (v, say) => lookFirstText(v, say),
  'tape-it-first': (v, say) => tapeFirstText(v, say),
  'seen-at-hole': (v) =>
    v.what === 'live'
      ? `${holeList(v.holes)}: the finder showed a live wire there. Do not drill. Look into both bays, or move the holes.`
      : `${holeList(v.holes)}: ${seenName(v.what)} was seen there. Do not drill. Move the mount, or have it moved by a licensed trade.`,
  'seen-at-opening': (v, say) =>
    `${capital(cutName(v.object, say))}: ${seenName(v.what)} was seen where it is to be cut. Do not cut.`,
  'opening-unlooked': (v, say) =>
    `Nobody has looked inside the wall where ${cutName(v.object, say)} is to be cut${v.from === '' ? '' : `, and ${servedName(v.what)} of ${say.thing(v.from)} may run through it`}. Cut the smaller opening first, so that you can back out.`,
  'felt-something': (v, say) =>
    `Something was felt in the wall ${say.length(v.xMm)} from the left, ${say.length(v.yMm)} up. Stop. Find out what it is: look into both bays there. Anything electrical, gas or water is for a licensed trade.`,
  'still-guessed': (v, say) =>
    `Still a guess, measure before you drill: ${list(v.paths.map((p) => fieldName(p, say)))}.`,
  'outline-off-diagonal': (v, say) =>
    `The ${v.axis} ${say.length(v.measuredMm)} is ${v.percent} % off what the diagonal gives (${say.length(v.expectedMm)}). Measure both again.`,
  'mass-above-class': (v, say) =>
    `${say.mass(v.massKg)} is more than pattern class ${v.patternClass} is meant for (${say.mass(v.limitKg)}).`,
  'thread-off-class': (v) =>
    `The insert takes ${v.thread}; pattern class ${v.patternClass} usually has ${v.takes.join(' or ')}. Turn one in by hand: resistance means the wrong thread.`,
  'insert-to-measure': (v, say) => `To choose the screw, measure: ${list(v.fields.map((f) => fieldName(f, say)))}.`,
  'bag-unknown': (v, say) =>
    `The mount's bag is not known: ${list(v.fields.map((f) => fieldName(f, say)))}. Screws cannot be chosen without it.`,
  'spacer-needed': (v) => spacerText(v.why, v.leastMm),
  'screw-none': (v) =>
    `No screw in the bag serves. Buy ${v.thread}, ${rounded(v.fromMm, 1)} to ${rounded(v.toMm, 1)} mm long${v.lengthMm > 0 ? ` (${rounded(v.lengthMm, 0)} mm is sold)` : '; no common length is in that range, add a washer'}${v.spacerMm >= 0 ? `, and a spacer ${v.spacerMm > 0 ? `of at least ${rounded(v.spacerMm, 1)} mm` : 'that clears the back'}` : ''}.`,
  'insert-too-shallow': (v) =>
    `The insert is ${rounded(v.depthMm, 1)} mm deep; a screw needs ${rounded(v.needMm, 1)} mm to hold and not bottom out. Measure it again.`,
  'stack-gone': (v) => `The screw chosen before (${v.stack}) no longer works; the best one counts.`,
  'mount-needed': () => 'No mount is picked yet.',
  'mount-mass': (v, say) =>
    `The set is ${say.mass(-v.marginKg)} too heavy for this mount: ${say.mass(v.massKg)} on a mount rated ${say.mass(v.limitKg)}.`,
  'mount-pattern': (v) =>
    `The hole pattern does not fit: ${rounded(v.shortMm, 1)} mm off in pattern ${v.axis} (${rounded(v.valueMm, 1)} against ${rounded(v.limitMm, 1)} mm).`,
  'mount-size': (v, say) =>
    `A ${say.diagonal(v.diagonalMm)} set is outside this mount's size range (${say.diagonal(v.minMm)} to ${say.diagonal(v.maxMm)}).`,
  'mount-wall': (v) =>
    v.kind === 'unknown'
      ? 'What the wall is has not been said, so the mount cannot be judged on it.'
      : `This mount is not made for a ${buildName(v.kind)}. It takes: ${list(v.takes.map(buildName))}.`,
  'mount-covering': (v, say) =>
    `The wall's covering is ${say.length(v.boardMm)} thick; this mount takes ${say.length(v.limitMm)}.`,
  'mount-spacing': (v, say) =>
    `Studs ${say.length(v.spacingMm)} apart do not fit this mount (${say.length(v.minMm)} to ${say.length(v.maxMm)}).`,
  'mount-plate-room': (v, say) =>
    `The plate finds no place between the things on the wall: ${say.length(v.shortMm)} short, at any arm hole.`,
  'mount-reach': (v, say) =>
    `${capital(v.viewer)} stays ${say.degrees(v.degrees)} off straight with this mount; under ${v.limit}° is good. A mount that turns further would serve.`,
  'mount-tilt': (v, say) =>
    `${say.degrees(v.neededDeg)} of tilt ${v.way} would face the viewers; this mount gives ${say.degrees(v.limitDeg)}.`,
  'lift-people': () => 'Two people lift this set.',
  'lift-heavy': (v, say) =>
    `With its brackets the set is ${say.mass(v.massKg)}, ${rounded(v.index, 2)} times the ${say.mass(v.mayKg)} that ${v.people === 2 ? 'two people' : 'one person'} should lift so high. Start from something higher than the floor, or get more hands or a lift.`,
  'lift-out-of-reach': () =>
    'Where it begins or ends the lift is out of reach: the hands would be over 1.75 m up, or too far out. Stand higher, or get a lift.',
  'extension-arms-needed': (v) =>
    `The pattern is larger than ${rounded(v.widthMm, 0)} x ${rounded(v.heightMm, 0)} mm: use the extension arms.`,
  'mount-to-measure': (v, say) =>
    `The label does not tell enough for holes. Measure: ${list(v.fields.map((f) => fieldName(f, say)))}.`,
  'arm-hole-missing': (v) => `Arm hole ${v.armHole + 1} is chosen, and this mount has ${v.count}.`,
  'wall-kind-unknown': () => 'Say what the wall is before holes can be given.',
  'school-needs-object': (v, say) =>
    v.object === ''
      ? `"${heightRuleName(v.school)}" needs the thing that stands below the set.`
      : `"${heightRuleName(v.school)}" points at ${say.thing(v.object)}, which is not in the room.`,
  'school-needs-value': (v, say) => `"${heightRuleName(v.school)}" needs: ${fieldName(v.field, say)}.`,
  'school-needs-eyes': (v) =>
    `"${heightRuleName(v.school)}" needs the eye height of ${list(v.viewers)}: there is no common figure for lying or leaning back.`,
  'centre-needs-object': (v, say) => `The centre line is set by ${say.thing(v.object)}, which is not in the room.`,
  'height-conflict': (v, say) =>
    `No height works: ${conflictNames(v.constraints, say)} cannot all be kept. ${relaxText(v, say)}`,
  'height-moved': (v, say) =>
    `Wanted the centre at ${say.length(v.wantedMm)}, got ${say.length(v.gotMm)}: ${bindingName(v.by, say)} stands in the way.`,
  'sideways-conflict': (v, say) =>
    `The set does not fit the wall sideways: ${list(v.constraints.map((c) => bindingName(c, say)))}.`,
  'sideways-moved': (v, say) =>
    `Wanted the centre line at ${say.length(v.wantedMm)} from the left, got ${say.length(v.gotMm)}: ${bindingName(v.by, say)}.`,
  'lift-on-short': (v, say) =>
    `${capital(say.thing(v.object))} leaves ${say.length(v.haveMm)} above the set; to lift it on takes ${say.length(v.needMm)}.`,
  'sits-near': (v, say) =>
    `${capital(v.viewer)} sits ${say.length(v.distanceMm)} from the picture, which fills ${say.degrees(v.fills)}; ${say.length(v.fromMm)} to ${say.length(v.toMm)} is usual.`,
  'sits-far': (v, say) =>
    `${capital(v.viewer)} sits ${say.length(v.distanceMm)} from the picture, which fills ${say.degrees(v.fills)}; ${say.length(v.fromMm)} to ${say.length(v.toMm)} is usual.`,
  'centre-off-rest': (v, say) =>
    `${capital(v.viewer)} looks ${say.degrees(Math.abs(v.degrees))} ${v.degrees > 0 ? 'above' : 'below'} the resting gaze; ${v.limit}° is comfortable.`,
  'top-too-high': (v, say) =>
    `${capital(v.viewer)} sees the top edge ${say.degrees(v.degrees)} up; ${v.limit}° is the most that is comfortable.`,
  'viewer-inside-set': (v, say) =>
    `${capital(v.viewer)} sits ${say.length(v.distanceMm)} from the wall, and the set's face is ${say.length(v.outMm)} out.`,
  'measured-differs': (v, say) =>
    `Measured to the ${measuredName(v.to)} and worked out differ by ${say.length(Math.abs(v.differenceMm))} (${say.length(v.measuredMm)} against ${say.length(v.geometryMm)}). Something may be upside down.`,
  'measured-unused': (v) =>
    `The measurement to the ${measuredName(v.to)} cannot be used: this mount's plate does not have it.`,
  'plate-beyond-slide': (v, say) =>
    `The plate is ${say.length(Math.abs(v.shiftMm))} off and the set slides ${say.length(v.slideMm)} each way on it.`,
  'find-the-stud-first': (v, say) =>
    `Find the stud first: this mount needs ${v.needed}, and the marks show ${v.found}.${
      v.atMm === undefined ? '' : ` Look near ${say.length(v.atMm)} from the left.`
    }`,
  'no-stud-in-slots': (v, say) =>
    v.shortMm >= 0
      ? `The studs miss the slots. With the set ${say.length(v.shortMm)} further to the ${(v.byMm ?? 0) < 0 ? 'left' : 'right'} they come under them.`
      : "The studs do not fit this plate's slots, wherever it sits.",
  'slots-too-few': (v) =>
    `The plate has ${v.found} usable slot ${v.found === 1 ? 'row' : 'rows'} and needs ${v.needed} on each stud.`,
  'stud-disputed': (v) =>
    `The drill met nothing at ${holeList([v.hole])}, and ${v.edges} marked ${v.edges === 1 ? 'edge' : 'edges'} with the spacing still show a stud there, ${v.percent} in 100. Nothing is planned anew before you say which to believe.`,
  'stud-doubtful': (v) =>
    `${holeList(v.holes)}: wood in ${v.percent} of 100. Mark both edges, or probe, before you drill.`,
  'evidence-odd': (v) =>
    `${v.ids.length === 1 ? 'One mark disagrees' : `${v.ids.length} marks disagree`} with the rest. Check there again.`,
  'bit-outside-band': (v, say) =>
    `The leaflet's bit is ${bitText(v.bitMm, say)}, outside the band for this lag and timber (${bitText(v.fromMm, say)} to ${bitText(v.toMm, say)}). The plan takes ${bitText(v.usedMm, say)}.`,
  'no-bit': (v, say) => `No stock bit between ${bitText(v.fromMm, say)} and ${bitText(v.toMm, say)} for this lag.`,
  'arm-unknown': () =>
    "The arm's links are not known: it is taken as going straight out. Measure links and head to see what it can really do.",
  'arm-links-many': (v) => `An arm of ${v.links} links is not worked out here: it is taken as going straight out.`,
  'arm-differs': (v, say) =>
    `${capital(v.what)} the label says ${say.length(v.labelMm)} and the linkage gives ${say.length(v.linkageMm)}. The label counts; measure the arm again.`,
  'seat-poor': (v, say) =>
    `${capital(v.viewer)} sees the set ${say.degrees(v.degrees)} from the side at best; over ${v.limit}° is poor. ${stopText(v.by, v.neededMm, say)}`,
  'seats-apart': (v, say) =>
    `No one pose serves all the seats: at best ${v.viewer} is ${say.degrees(v.worst)} off. The set has to be turned by ${say.degrees(v.apart)} between them.`,
  'swing-near': (v, say) =>
    `Only ${say.length(Math.max(0, v.gapMm))} left between the set and ${bindingName(v.by, say)} ${v.where} it, anywhere on its way.`,
  'lead-short': (v, say) =>
    `The ${v.what} lead is ${say.length(v.lengthMm)} long; by its route it has to be ${say.length(v.neededMm)}, ${say.length(v.shortMm)} more.`,
  'port-under-arm': (v) =>
    `An arm of the mount lies on the ${v.what} port. Another hole of the arms, knobs the other way, or an angled plug.`,
  'lead-unplaced': (v) => `Say where the ${v.what} lead goes, for its length.`,
  'lead-in-wall': () =>
    'A lead inside the wall takes a kit that is rated for it, and local code and a licensed electrician decide. Never the flex itself: stop there.',
  'device-over-port': (v, say) =>
    `${capital(say.thing(v.object))} sits where the ${v.what} lead is plugged in. Beside the ports, or above them.`,
  'device-too-deep': (v, say) =>
    `${capital(say.thing(v.object))} is ${say.length(v.needMm)} deep, and the folded set leaves ${say.length(v.haveMm)}. Beside the set, or spacers.`,
  'slide-beyond': (v, say) =>
    `The set should go ${say.length(Math.abs(v.slideMm))} to the ${v.slideMm > 0 ? 'right' : 'left'}; ${v.haveMm < 0 ? 'how far this mount slides is not known' : `this mount slides ${say.length(v.haveMm)}`}.`,
  'floor-slopes': (v, say) =>
    `The floor is ${small(v.riseMm)} higher at the ${v.high} over the set's width of ${say.length(v.spanMm)}. Take every height from one level line, not from the floor.`,
  'plug-behind': (v, say) =>
    `A plug in ${say.thing(v.object)} needs ${say.length(v.needMm)}, and the folded set leaves ${say.length(v.haveMm)}. A recessed outlet, a flat plug, or spacers.`,
  'folded-blocked': (v, say) =>
    `The folded set already meets ${bindingName(v.by, say)}: move the set or what is in its way.`,
  'over-walkway': (v, say) =>
    `The set sticks out ${say.length(v.outMm)} with its edge ${say.length(v.bottomMm)} up. Where people walk along this wall that is more than 4 in; local rules decide.`,
  'level-not-turned': () => 'Turn the level end for end and read again: if the bubble moves, the level is lying.',
  'level-good': (v, say) => `Level: ${small(v.riseMm)} over the set's width of ${say.length(v.spanMm)}.`,
  'level-off': (v, say) =>
    `The ${v.high} end is ${small(v.riseMm)} high over the set's width of ${say.length(v.spanMm)}.`,
  'level-beyond-slots': (v) => `${small(v.needMm)} are needed, and the slots give ${small(v.playMm)}.`,
};

/** What keeps a seat from being faced, and what would do it. */
export function stopText(by: string, neededMm: number, say: Wording): string {
  const need = neededMm > 0 ? ` It would take an arm ${say.length(neededMm)} long.` : '';
  if (by === 'reach') return `The arm is too short.${need}`;
  if (by === 'swivel') return 'The mount does not turn that far.';
  if (by === 'several' || by === '') return 'Several things stand in the way.';
  return `${capital(bindingName(by, say))} is in the way.${need}`;
}

function spacerText(why: FindingValues['spacer-needed']['why'], leastMm: number): string {
  const least = `spacers of at least ${rounded(leastMm, 1)} mm`;
  if (why === 'plugs') return `The plugs stick out further than the mount leaves room: ${least}.`;
  if (why === 'behind') return `What is behind the set stands out further than the mount: ${least}.`;
  return 'The back is not flat: spacers between bracket and set.';
}

/** Things first; that the floor and the ceiling stay goes without saying where two things are enough. */
function conflictNames(constraints: readonly string[], say: Wording): string {
  const isRoom = (c: string) => c === 'floor' || c === 'ceiling';
  const things = constraints.filter((c) => !isRoom(c));
  const named = things.length >= 2 ? things : [...things, ...constraints.filter(isRoom)];
  return list(named.map((c) => bindingName(c, say)));
}

/** What would give way least, so that a height works; or how far sideways. */
function relaxText(v: FindingValues['height-conflict'], say: Wording): string {
  const parts = v.relax.map((by, i) => `${bindingName(by, say)} by ${say.length(v.amountsMm[i] ?? 0)}`);
  const give =
    parts.length > 0
      ? `Least to give way: ${list(parts)}; then the centre goes to ${say.length(v.atMm)}.`
      : 'Nothing that can give way gives enough.';
  if (v.sidewaysMm === 0) return give;
  const way = v.sidewaysMm < 0 ? 'left' : 'right';
  return `${give} Or move the set ${say.length(Math.abs(v.sidewaysMm))} to the ${way}.`;
}

/** What was measured to on the set: `hook`, `slot row 2`. */
export const measuredName = (to: string): string =>
  to.startsWith('row:') ? `slot row ${Number(to.slice(4)) + 1}` : to.replace('-', ' ');

/** Level differences are smaller than a tape's division in any unit. */
export const small = (mm: number): string => `${rounded(mm, 1)} mm`;

/** These say themselves which wall of a corner. */
const NAMES_WALL: ReadonlySet<string> = new Set(['corner-bracket-in-wall', 'corner-link-short', 'corner-foot-off']);

/** The sentence for a finding. */
export function findingText(finding: Finding, say: Wording): string {
  const sentence = SENTENCES[finding.code as FindingCode] as
    | ((v: Finding['values'], say: Wording) => string)
    | undefined;
  const said = sentence ? sentence(finding.values, say) : finding.code;
  const { onWall } = finding.values;
  if (typeof onWall !== 'string') return said;
  // of a corner: the other wall is measured from there
  const there = onWall === 'main' ? said : said.replace('from the left', 'from the corner');
  // and which of the two walls, where the sentence does not say it itself
  return NAMES_WALL.has(finding.code) ? there : `${capital(wallName(onWall))}: ${there}`;
}
