import type { BenchClearance, Finding, Level, HeightRule, Stage } from '@steddo/contract';

/** What the worst fastener has to hold, in percent of what it may. */
interface LoadValues {
  percent: number;
  hole: string;
  governs: string;
  handling: string;
  /** With nobody's hand on the set. */
  standingPercent: number;
  /** Kept within so much to either side it is inside the tables. */
  goMm?: number;
  /** What somebody was told to keep to, and what it comes to there. */
  toldMm?: number;
  toldPercent?: number;
}

/** What would hang on so many anchors alone and how far out, and what they may carry. */
interface AnchorsAlone {
  anchors: number;
  massKg: number;
  limitKg: number;
  outMm: number;
  limitOutMm: number;
}

/** Judgements are data: a code, how serious, where, and the values. Words for them are in @steddo/text. */
type BenchSide = BenchClearance['side'];

export interface FindingValues {
  'not-proved': {
    obligation: string;
    /** A hole, `plate`, `set`, a load case, or a field. */ subject: string;
    needed: number;
    found: number;
    unit: string;
  };
  'fixing-unknown': { kind: string; /** To be entered. */ fields: string[] };
  'fixing-from-kit': { holes: string[]; kind: string; id: string };
  'fewer-fasteners': { needed: number; found: number };
  'plate-off-wall': { /** Of the plate beyond the wall's end, and which end. */ byMm: number; end: string };
  'thing-at-holes': { objects: string[] };
  'free-edge-near': { leastMm: number };
  'trace-the-sheet': { percent: number; lacking: string };
  'near-edge': { holes: string[]; probeMm: number };
  'steel-on-toggles': { holes: string[]; massKg: number; limitKg: number; percent: number };
  'steel-refused': { moves: boolean; massKg: number; limitKg: number };
  'joints-cleared': { fromMm: number; toMm: number };
  'loads-checked': { percent: number };
  'load-too-great': LoadValues & {
    /** Kept within so much to either side the label covers it. */
    labelMm?: number;
  };
  'held-by-label': LoadValues;
  'sheet-too-thin': { thicknessMm: number; leastMm: number };
  'load-unknown': Record<string, never>;
  'no-rating': { kind: string };
  'never-in-board': { kind: string };
  'lag-off-table': { diameterMm: number };
  'lag-too-short': { threadMm: number; needMm: number };
  'lag-past-stud': { byMm: number };
  'lags-too-close': { apartMm: number; needMm: number };
  'rated-for-board': { boardMm: number; ratedMm: number };
  'grip-outside': { thickMm: number; minMm: number; maxMm: number };
  'head-through-slot': { headMm: number; slotMm: number };
  'board-unsound': { state: string };
  'anchors-refused': Record<string, never>;
  'arm-on-anchors-refused': Record<string, never>;
  'large-on-anchors-refused': AnchorsAlone;
  'arm-on-anchors': { percent: number; tensionN: number; allowableN: number; anchors: number };
  'large-on-anchors': AnchorsAlone & { percent: number; tensionN: number; allowableN: number };
  'studs-not-sought': Record<string, never>;
  'anchors-missing': Record<string, never>;
  'not-all-in-studs': { kind: string };
  'angled-lag': { offMm: number };
  'scheme-gone': { scheme: string };
  'hole-unusable': { hole: string };
  'plate-follows-holes': { liftMm: number };
  'test-hole-first': { holes: string[]; percent: number };
  'mark-a-joint-first': { holes: string[]; lacking: string[]; covered: boolean };
  'sheet-behind-board': { percent: number };
  'screw-through': { holes: string[]; byMm: number; depthMm: number };
  'in-joint': {
    holes: string[];
    /** So much higher (or, below 0, lower) they would all be clear; absent: nowhere near. */ upMm?: number;
  };
  'backing-edges-unmarked': { holes: string[] };
  'backing-missed': { holes: string[] };
  'bit-to-get': { bitMm: number };
  'packing-needed': {
    stepMm: number;
    /** The holes over it; and how long their screw has to be to reach as far in as without. */ holes: string[];
    screwMm?: number;
  };
  'packed-to-plane': { thicknessMm: number; holes: string[] };
  'masonry-too-short': { haveMm: number; needMm: number };
  'unrated-on-lath': { kind: string };
  'no-place-here': { builds: string[] };
  'timber-first': { holes: string[]; thicknessMm: number };
  'panel-gap': { holes: string[] };
  'noggings-first': { holes: string[]; pieces: number; thicknessMm: number };
  'timber-load': { percent: number };
  'timber-no-lag': { overMm: number };
  'timber-no-studs': { way: 'across' | 'noggings' };
  'mantel-clearance': {
    object: string;
    from: string;
    distanceMm: number;
    projectionMm: number;
    /** What may be there at most, and how near it may come at all; absent: nobody has said. */ allowedMm?: number;
    leastMm?: number;
  };
  'mantel-to-measure': { object: string; from: string; allowedMm: number };
  'mantel-no-course': {
    object: string;
    fromMm: number;
    toMm: number;
    /** A timber so high would do. */ heightMm?: number;
  };
  'mantel-mass-unknown': { object: string };
  'mantel-load': { object: string; percent: number };
  'mantel-first': { object: string; people: number };
  'mantel-not-masonry': { object: string };
  'mantel-no-fixing': { object: string };
  'heat-at-set': { celsius: number; limitC: number };
  'heat-unmeasured': { over: string; /** It was measured, and not here. */ elsewhere: boolean };
  'flue-clearance': { object: string; distanceMm: number; leastMm: number };
  'flue-unasked': { object: string; distanceMm: number };
  'over-fire': { object: string; offMm: number; wallMm: number; breastMm?: number };
  'light-heavy': { object: string; massKg: number; limitKg: number };
  'light-no-rating': { object: string };
  'light-unsound': { object: string; state: string };
  'light-too-great': { object: string; percent: number };
  'look-first': {
    holes: string[];
    oneSide: string[];
    into: string[];
    /** Zones of cables and pipes, side by side: the holes in each, what may be there, which way it runs, from what. */
    zoneHoles: string[];
    zoneWhat: string[];
    zoneWay: string[];
    zoneObject: string[];
  };
  'tape-it-first': { object: string; holes: string[]; plate: boolean; set: boolean; doubtMm: number };
  'seen-at-hole': { holes: string[]; what: string };
  'seen-at-opening': { object: string; what: string };
  'opening-unlooked': { object: string; from: string; what: string };
  'box-needed': Record<string, never>;
  'box-bay-unknown': { object: string };
  'box-not-hollow': { object: string; kind: string };
  'box-does-not-fit': { object: string; boxMm: number; clearMm: number; percent: number; taped: boolean };
  'box-meets-wood': {
    object: string;
    percent: number;
    /** To the bay's middle; to the right, or below 0 to the left. */ byMm: number;
  };
  'box-tight': { object: string; percent: number; taped: boolean };
  'box-nogging': {
    object: string;
    yMm: number;
    /** The least that clears it: up, or below 0 down; 0 where nothing does. */ byMm: number;
  };
  'box-too-deep': { object: string; depthMm: number; byMm: number };
  'box-unlooked': { object: string; what: string; from: string };
  'box-flue': { object: string; thing: string; distanceMm: number; leastMm: number };
  'box-flue-unasked': { object: string; thing: string; distanceMm: number };
  'box-size-differs': { object: string; axis: 'width' | 'height' | 'depth'; cutMm: number; boxMm: number };
  'box-first-beside': { object: string };
  'box-outside-wall': { object: string };
  'backing-unknown': Record<string, never>;
  'skin-unknown': { holes: string[]; lacking: 'depth' | 'length' };
  'backing-not-reached': { holes: string[]; shortMm: number };
  'backing-part-held': { holes: string[]; engagedMm: number; thicknessMm: number };
  'fold-to-travel': { arm: boolean };
  'seal-outside': Record<string, never>;
  'felt-something': { hole: string; xMm: number; yMm: number };
  'still-guessed': { paths: string[] };
  'outline-off-diagonal': { axis: string; measuredMm: number; expectedMm: number; percent: number };
  'mass-above-class': { patternClass: string; massKg: number; limitKg: number };
  'thread-off-class': { patternClass: string; thread: string; takes: string[] };
  'insert-to-measure': { fields: string[] };
  'bag-unknown': { fields: string[] };
  'spacer-needed': { why: 'back' | 'plugs' | 'behind'; leastMm: number };
  'screw-none': {
    thread: string;
    fromMm: number;
    toMm: number;
    lengthMm: number;
    spacerMm: number;
  };
  'insert-too-shallow': { depthMm: number; needMm: number };
  'stack-gone': { stack: string };
  'mount-needed': Record<string, never>;
  'mount-mass': { massKg: number; limitKg: number; marginKg: number };
  'mount-pattern': { axis: string; valueMm: number; limitMm: number; shortMm: number };
  'mount-size': { diagonalMm: number; minMm: number; maxMm: number };
  'mount-wall': { kind: string; takes: string[] };
  'mount-covering': { boardMm: number; limitMm: number };
  'mount-spacing': { spacingMm: number; minMm: number; maxMm: number };
  'mount-plate-room': { shortMm: number };
  'mount-reach': { viewer: string; degrees: number; limit: number };
  'mount-tilt': { way: string; neededDeg: number; limitDeg: number };
  'lift-people': { people: number; massKg: number };
  'lift-heavy': { people: number; massKg: number; limitKg: number; mayKg: number; index: number };
  'lift-out-of-reach': Record<string, never>;
  'extension-arms-needed': { widthMm: number; heightMm: number };
  'mount-to-measure': { fields: string[] };
  'arm-hole-missing': { armHole: number; count: number };
  'wall-kind-unknown': Record<string, never>;
  'school-needs-object': { school: HeightRule; object: string };
  'school-needs-value': { school: HeightRule; field: string };
  'school-needs-eyes': { school: HeightRule; viewers: string[] };
  'centre-needs-object': { object: string };
  'height-conflict': {
    constraints: string[];
    /** What would give way least, in pairs with `amountsMm`; empty when nothing gives enough. */
    relax: string[];
    amountsMm: number[];
    atMm: number;
    /** Or so far sideways, positive to the right; zero when that does not help either. */
    sidewaysMm: number;
  };
  'height-moved': { school: string; wantedMm: number; gotMm: number; by: string };
  'sideways-conflict': { constraints: string[] };
  'sideways-moved': { wantedMm: number; gotMm: number; by: string };
  'lift-on-short': { object: string; haveMm: number; needMm: number };
  'sits-near': { viewer: string; distanceMm: number; fromMm: number; toMm: number; fills: number };
  'sits-far': { viewer: string; distanceMm: number; fromMm: number; toMm: number; fills: number };
  'centre-off-rest': { viewer: string; degrees: number; limit: number };
  'top-too-high': { viewer: string; degrees: number; limit: number };
  'viewer-inside-set': { viewer: string; distanceMm: number; outMm: number };
  'measured-differs': { to: string; measuredMm: number; geometryMm: number; differenceMm: number };
  'measured-unused': { to: string };
  'plate-beyond-slide': { shiftMm: number; slideMm: number };
  'find-the-stud-first': { found: number; needed: number; atMm?: number };
  'no-stud-in-slots': { shortMm: number; /** To the right, or below 0 to the left. */ byMm?: number };
  'slots-too-few': { needed: number; found: number };
  'stud-disputed': { hole: string; xMm: number; edges: number; percent: number };
  'stud-doubtful': { holes: string[]; percent: number };
  'evidence-odd': { ids: string[] };
  'bit-outside-band': { bitMm: number; fromMm: number; toMm: number; usedMm: number };
  'no-bit': { fromMm: number; toMm: number };
  'arm-unknown': Record<string, never>;
  'arm-links-many': { links: number };
  'arm-differs': { what: 'folded' | 'extended'; labelMm: number; linkageMm: number };
  'seat-poor': { viewer: string; degrees: number; limit: number; by: string; neededMm: number };
  'seats-apart': { viewer: string; worst: number; apart: number };
  'swing-near': { where: 'below' | 'above'; gapMm: number; by: string };
  'lead-short': { what: string; lengthMm: number; neededMm: number; shortMm: number };
  'lead-unplaced': { what: string };
  'port-under-arm': { what: string };
  'lead-in-wall': Record<string, never>;
  'device-over-port': { object: string; what: string };
  'device-too-deep': { object: string; needMm: number; haveMm: number };
  'slide-beyond': { slideMm: number; haveMm: number };
  'floor-slopes': { riseMm: number; spanMm: number; high: string };
  'plug-behind': { object: string; needMm: number; haveMm: number };
  'folded-blocked': { by: string; edgeMm: number };
  'over-walkway': { outMm: number; bottomMm: number };
  'corner-out': { outMm: number };
  'corner-no-wood': {
    xMm: number;
    /** To the nearest stud, away from the corner or, below 0, towards it. */ byMm?: number;
  };
  'corner-undrawn': Record<string, never>;
  'corner-bracket-in-wall': { onWall: string; byMm: number };
  'corner-link-short': { onWall: string; needMm: number; linkMm: number };
  'corner-foot-off': { onWall: string; xMm: number; widthMm: number };
  'corner-arm-short': { outMm: number; leastMm: number; mostMm: number };
  'corner-turn-short': { needDeg: number; hasDeg: number };
  'corner-thing-in-way': { object: string; gapMm: number };
  'bench-no-room': { side: BenchSide; by: string; shortMm: number };
  'bench-moves-short': { side: BenchSide; by: string; untilDeg: number; limitDeg: number };
  'bench-turn-short': { side: BenchSide; by: string; shortMm: number };
  'bench-above-eyes': { viewer: string; byMm: number };
  'bench-below-eyes': { viewer: string; byMm: number };
  'bench-too-far': { viewer: string; awayMm: number };
  'bench-too-near': { viewer: string; awayMm: number };
  'portrait-on-wall': Record<string, never>;
  'mount-room-kind': { type: string; kind: string };
  'level-not-turned': { on: string };
  'level-good': { riseMm: number; spanMm: number };
  'level-off': { riseMm: number; spanMm: number; high: string };
  'level-beyond-slots': { needMm: number; playMm: number };
}

export type FindingCode = keyof FindingValues;

/** Only these stops may be acknowledged; the rest stand until the job changes. */
const ACKNOWLEDGEABLE: ReadonlySet<FindingCode> = new Set<FindingCode>([
  'stud-doubtful',
  'mount-reach',
  'lift-heavy',
  'lift-out-of-reach',
  'arm-on-anchors',
  'large-on-anchors',
]);

/**
 * Makes a finding. Its level says: `info` worth knowing, `todo` not measured, marked or
 * looked at yet, `caution` known and risky, `stop` do not go on.
 * `finding('load-unknown', 'stop', 'holes', {})`.
 */
export function finding<C extends FindingCode>(
  code: C,
  level: Level,
  stage: Stage,
  values: FindingValues[C],
  source?: string,
): Finding {
  return {
    code,
    level,
    stage,
    values: values as Finding['values'],
    ...(source === undefined ? {} : { source }),
    acknowledgeable: level === 'stop' && ACKNOWLEDGEABLE.has(code),
    acknowledged: false,
  };
}

/** Marks what the job has acknowledged; only findings that can be acknowledged take it. */
export function acknowledge(findings: Finding[], codes: readonly string[]): Finding[] {
  return findings.map((f) => (f.acknowledgeable && codes.includes(f.code) ? { ...f, acknowledged: true } : f));
}

/** How many findings are still to do; a plan says none of it where there is nothing. */
export const todoOf = (findings: readonly Finding[]): { todo?: number } => {
  const todo = findings.filter((f) => f.level === 'todo').length;
  return todo > 0 ? { todo } : {};
};

/** The worst of the findings; an acknowledged stop counts as a caution, and so does what is still to do. */
export function verdictOf(findings: readonly Finding[]): 'go' | 'caution' | 'stop' {
  if (findings.some((f) => f.level === 'stop' && !f.acknowledged)) return 'stop';
  return findings.some((f) => f.level !== 'info') ? 'caution' : 'go';
}
