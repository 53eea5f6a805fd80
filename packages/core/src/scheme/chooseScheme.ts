import { checkFastening, type Checked } from '../load/checkFastening';
import type { Fastening } from '../load/fastening';
import type { Hung } from '../arm/hung';
import { memoEach } from '../primitives/memo';
import { FACE_STEP_MM } from '../room/platePlane';
import { overAt, type Fronted } from '../room/wallAt';
import type { HolePlace } from '../plate/chooseSlots';
import { frontOf } from './candidateFront';
import { candidatesOf, DOUBT_STOP, type Candidate, type Setting } from './schemeSearch';
import { policyOf, stiffness } from './ways';

/** A candidate with what was found of its load. */
export interface Scheme {
  candidate: Candidate;
  checked: Checked;
}

export interface Schemes {
  /** Absent where there is none that a school allows. */
  best?: Scheme;
  others: Scheme[];
  /** What the user had chosen is no longer there. */
  gone?: string;
}

const OTHERS = 2;

/**
 * The best scheme and the next two of another kind. Candidates come in the order of the wood; the first whose load
 * goes is best, then the first that its label covers, and where none holds, the first. One that a school refuses is
 * never best, and none on board while wood may be had. What the installer has chosen among them is taken as
 * long as it is there.
 */
export function chooseScheme(setting: Setting, hung: Hung, wanted = OTHERS): Schemes {
  const distinct = firstOfEach(candidatesOf(setting));
  const allowed = distinct.filter((c) => c.hard === undefined);
  const asked = setting.job.choices?.scheme;
  const picked =
    asked === undefined ? undefined : distinct.find((c) => isScheme(asked, keyOf(c)) && c.hard === undefined);
  const check = memoEach((c: Candidate) => checkFastening(fasteningOf(hung, c), undefined, setting.yieldTable));
  const verdict = (c: Candidate) => {
    const checked = check(c);
    return checked.ok ? checked.verdict : 'stop';
  };
  const lead = leading(setting, allowed);
  const best = picked ?? lead.find((c) => verdict(c) === 'go') ?? lead.find((c) => verdict(c) === 'caution') ?? lead[0];
  const holds = (c: Candidate) => c.hard === undefined && verdict(c) !== 'stop';
  const others = wanted === 0 ? [] : othersOf(distinct, best, holds);
  return {
    ...(best ? { best: { candidate: best, checked: check(best) } } : {}),
    others: others.map((candidate) => ({ candidate, checked: check(candidate) })),
    ...(asked !== undefined && !picked && distinct.length > 0 ? { gone: asked } : {}),
  };
}

/** From this chance on wood is taken to be there. Ours. */
const LIKELY_WOOD = 0.5;

/** The chance of a usable ply in reach under which wood was looked for and is not there. Ours. */
export const NO_WOOD = 0.1;

/**
 * Those that may lead. Stud first means it: a way into wood whose holes land is never displaced by anchors, whatever
 * its load; with none, one that has still to find its edge; anchors where wood was looked for in all that the
 * slots reach and is not there. Under rated anchors they all may.
 */
function leading(setting: Setting, allowed: readonly Candidate[]): readonly Candidate[] {
  if (policyOf(setting.job) === 'rated-anchors') return allowed;
  const solid = inEachRow(allowed.filter((c) => !c.way.board));
  const landing = solid.filter((c) => c.doubt < DOUBT_STOP);
  if (landing.length > 0) return landing;
  // wood that is likelier there than not has its edge to be found, and is never given up for anchors
  const likely = solid.filter((c) =>
    c.places.every((p) => p.into !== 'stud' || (setting.found.wood[Math.round(p.x)] ?? 0) > LIKELY_WOOD),
  );
  if (likely.length > 0) return likely;
  const beside = allowed.filter((c) => c.way.board && c.way.main && c.doubt < DOUBT_STOP);
  const { expected, lookedFor } = setting.wood();
  const decided = lookedFor && expected <= NO_WOOD;
  const onBoard = decided ? allowed.filter((c) => !c.way.main) : [];
  return [...beside, ...onBoard, ...solid];
}

/** Where another part of the wall begins between the rows: those held in each of them, if there are any. */
function inEachRow(candidates: readonly Candidate[]): readonly Candidate[] {
  const spread = candidates.filter((c) => !c.inOneRow);
  return spread.length > 0 ? spread : candidates;
}

/** The screws of a candidate, and the set hung from its plate: as far up as holes that are there take it. */
export function fasteningOf(hung: Hung, candidate: Candidate): Fastening {
  const { way, places, plate, x, fold, lift } = candidate;
  const up = { centre: { ...hung.centre, y: hung.centre.y + lift }, bottom: hung.bottom + lift, top: hung.top + lift };
  const own = way.board && way.main ? places.filter((p) => p.into === way.into) : places;
  const front = frontOf(hung.job, hung.mount, candidate);
  const carrying = stiffestOf(own, front);
  return {
    hung: { ...hung, ...up, plateX: x.value, fold: fold ?? 'left' },
    plate: hung.mount.plate!,
    plateBottom: plate.bottom.value + lift,
    front,
    screws: places,
    carrying,
    pulling: own.filter((p) => !carrying.includes(p)),
    beside: places.filter((p) => !own.includes(p)),
    solid: way.into === 'masonry' || way.into === 'backing' || way.kind === 'mixed',
  };
}

/**
 * Those that take what is across: the screws in the stiffest of what is behind the plate, and of those the ones with
 * the least packing before them. The others help against the pull alone.
 */
function stiffestOf(places: readonly HolePlace[], front: Fronted): HolePlace[] {
  const first = Math.min(...places.map((p) => stiffness(p.into)));
  const stiff = places.filter((p) => stiffness(p.into) === first);
  if (!front.wall.zones?.length) return stiff;
  const packing = (p: HolePlace) => overAt(front, p).packing;
  const least = Math.min(...stiff.map(packing));
  return stiff.filter((p) => packing(p) <= least + FACE_STEP_MM);
}

/** Of the plates that differ in nothing but a few millimetres the first, which is the best of them. */
function firstOfEach(candidates: readonly Candidate[]): Candidate[] {
  const seen = new Set<string>();
  return candidates.filter((c) => {
    const name = [c.way.kind, c.way.count, c.fold, c.plate.armHole, ...studsOf(c), c.unused.length].join();
    if (seen.has(name)) return false;
    seen.add(name);
    return true;
  });
}

const studsOf = ({ places }: Candidate): number[] =>
  [...new Set(places.flatMap((p) => p.stud ?? []))].sort((a, b) => a - b);

/** The first of each other kind, those that hold before those that do not; then other folds and studs. */
function othersOf(
  all: readonly Candidate[],
  best: Candidate | undefined,
  holds: (c: Candidate) => boolean,
): Candidate[] {
  const rest = all.filter((c) => c !== best);
  const chosen: Candidate[] = [];
  const kinds = [...new Set(rest.map((c) => c.way.kind))].filter((k) => k !== best?.way.kind);
  for (const kind of kinds) {
    const own = rest.filter((c) => c.way.kind === kind);
    chosen.push(own.find(holds) ?? own[0]!);
  }
  const look = (c: Candidate) => [c.fold, ...studsOf(c)].join();
  const different = rest.filter((c) => c.way.kind === best?.way.kind && best && look(c) !== look(best));
  return [...chosen, ...different].slice(0, OTHERS);
}

/** Names a scheme by its kind, where its holes are across, its fold and its arm hole. */
export function keyOf({ way, places, fold, plate }: Candidate): string {
  const xs = [...new Set(places.map((p) => Math.round(p.line ?? p.x)))].sort((a, b) => a - b);
  return `${way.kind}@${xs.join('+')}/${fold ?? '-'}/${plate.armHole ?? '-'}`;
}

/** As far as a mark may move for it still to be the scheme that was chosen, mm. */
const SAME_PLACE_MM = 25;

/** Whether a key that was chosen once means this scheme, though a stud has since been found a little aside. */
function isScheme(asked: string, key: string): boolean {
  const [a, b] = [parts(asked), parts(key)];
  return (
    a.rest === b.rest && a.xs.length === b.xs.length && a.xs.every((x, i) => Math.abs(x - b.xs[i]!) <= SAME_PLACE_MM)
  );
}

function parts(key: string): { xs: number[]; rest: string } {
  const [kind = '', place = ''] = key.split('@');
  const [xs = '', fold = '', armHole = ''] = place.split('/');
  return { xs: xs.split('+').map(Number), rest: [kind, fold, armHole].join('/') };
}
