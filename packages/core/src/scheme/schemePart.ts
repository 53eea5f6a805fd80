import type { Finding, Hole, Job, LeastChange, Mount, Plan, SchemePlan, Working } from '@steddo/contract';
import { finding } from '../findings';
import { asPairs, feasible } from '../geometry/intervals';
import { armHoles, chainOf } from '../placement/chain';
import { hangsAt, sidewaysLimits, type Frame, type Spot } from '../placement/placeSet';
import { SAME_MM } from '../tolerances';
import type { StudsFound } from '../wall/inferStuds';
import { half, leaf, minus, named, sum } from '../working';
import { chooseScheme, keyOf, type Scheme, type Schemes } from './chooseScheme';
import type { PlatePlan } from './drillPlan';
import { holesOf, holesThere } from './holesOf';
import { passes, type Hanging, type Judged } from './judgeScheme';
import { kitOf, type Kit } from './kit';
import { leadBand } from './leadHole';
import { leastChange } from './leastChange';
import { partsOf } from './partsOf';
import { angledFinding, noHoldFinding, noWayFinding, refusalFinding, schemeFindings } from './schemeFindings';
import { settingOf, type Candidate, type PlateAt, type Setting } from './schemeSearch';
import { refusedBy, schoolOf } from './ways';
import { gravityOf } from '../load/lagTables';

/** What the scheme makes of a spot: the plate's place, the holes, and the set where it hangs from them. */
export interface SchemeMade {
  spot: Spot;
  plate: PlatePlan;
  candidate?: Candidate;
  hanging: Hanging;
  holes: Hole[];
  scheme?: Plan['scheme'];
  findings: Finding[];
}

export interface SchemeInput {
  frame: Frame;
  base: Plan;
  plate: PlatePlan;
  found: StudsFound;
  spot: Spot;
}

/** Step two, with the height known: plate, arm hole, fold and fasteners together, and every caution that goes with them. */
export function schemePart(input: SchemeInput, mount: Mount): SchemeMade | undefined {
  const { frame, base, plate, found, spot } = input;
  const { job, centreX } = frame;
  if (!mount.plate?.slots?.length) return undefined;
  const plates = platesOf(frame, spot, mount);
  if (plates.length === 0) return undefined;
  const kit = kitOf(job);
  const hanging = hangingOf(frame, spot, mount);
  const setting = settingOf({ job, mount, found, plan: base, centreX, plates, kit });
  const none = { spot, plate, hanging, holes: [] };
  if ('code' in setting) return { ...none, findings: [noWayFinding(setting)] };
  const schemes = chooseScheme(setting, hanging);
  const change = () => changeFor(input, mount, kit);
  if (!schemes.best) return { ...none, holes: holesThere(setting), ...refused(input, setting, schemes, change) };
  return { ...none, ...made(input, mount, setting, schemes.best, schemes, kit, change) };
}

/** Every arm hole that may be used, and where it puts the plate with the set where it hangs. */
export function platesOf({ job, height }: Frame, spot: Spot, mount: Mount): PlateAt[] {
  const own = spot.chain?.armHole ?? 0;
  const chosen = job.choices?.armHole;
  const free = chosen === undefined && !job.measured?.length;
  const holes = free ? Array.from({ length: Math.max(1, armHoles(mount).length) }, (_, i) => i) : [own];
  return holes.flatMap((armHole): PlateAt[] => {
    const chain = armHole === own && spot.chain ? spot.chain : chainOf(job, mount, height, armHole);
    const bottom = hangsAt({ ...spot, chain }, job).plateBottom;
    return bottom
      ? [{ bottom, trim: Math.abs(armHole - own), ...(armHoles(mount).length > 0 ? { armHole } : {}) }]
      : [];
  });
}

export const hangingOf = ({ job, centreX, spacer }: Frame, spot: Spot, mount: Mount): Hanging => ({
  job,
  mount,
  centre: { x: centreX.value, y: spot.centre.value },
  bottom: spot.bottom.value,
  spacer: spacer?.value ?? 0,
});

type Made = Pick<SchemeMade, 'findings'> & Partial<SchemeMade>;

function made(
  input: SchemeInput,
  mount: Mount,
  setting: Setting,
  best: Scheme,
  schemes: Schemes,
  kit: Kit,
  change: () => LeastChange | undefined,
): Made {
  const { candidate, judged } = best;
  const holes = holesOf(setting, candidate);
  if (!holes) {
    const lag = candidate.way.main!;
    return {
      findings: [
        finding('no-bit', 'stop', 'holes', { ...leadBand(lag.diameter, gravityOf(input.frame.job.room.wall.build)) }),
      ],
    };
  }
  const spot = movedSpot(input, candidate, mount);
  const findings = [
    ...(schemes.gone === undefined ? [] : [finding('scheme-gone', 'caution', 'holes', { scheme: schemes.gone })]),
    ...(judged.ok ? [] : [noHoldFinding(judged.code, judged.seat)]),
    ...askedFor(setting, candidate, judged),
    ...schemeFindings(setting, candidate, holes, kit),
  ];
  const changed = passes(judged) ? undefined : change();
  if (changed) findings.push(changeFinding(changed));
  return {
    spot,
    candidate,
    holes,
    findings,
    plate: { ...input.plate, x: candidate.x, fold: candidate.fold },
    scheme: {
      ...schemePlanOf(setting, best, kit),
      alternatives: schemes.others.map((s) => schemePlanOf(setting, s, kit)),
      ...(changed ? { leastChange: changed } : {}),
    },
  };
}

/** The set where the chosen arm hole and the holes that are there leave it. */
function movedSpot({ frame, spot }: SchemeInput, { plate, lift }: Candidate, mount: Mount): Spot {
  const { job, height } = frame;
  const same = plate.armHole === undefined || plate.armHole === spot.chain?.armHole;
  const chain = same ? spot.chain : chainOf(job, mount, height, plate.armHole!);
  const kept = { ...spot, ...(chain ? { chain } : {}) };
  if (Math.abs(lift) <= SAME_MM) return kept;
  const centre = sum('set-centre', named('set-centre', spot.centre), leaf('plate-lift', lift, 'mm'));
  return { ...kept, centre, bottom: minus('set-bottom', centre, half('half-height', height)) };
}

/** What a school wants to be told before it lets anchors carry this; with the numbers. */
function askedFor({ job, mount }: Setting, { way, places }: Candidate, judged: Judged): Finding[] {
  const code = refusedBy(way, job, mount);
  const numbers = numbersOf(judged, places.filter((p) => p.into === 'board').length);
  const asked = code && refusalFinding(code, job, numbers);
  return asked ? [asked] : [];
}

function numbersOf(judged: Judged, anchors: number) {
  if (!judged.ok) return { percent: -1, tensionN: 0, allowableN: 0, anchors };
  const { worst, carrying } = judged;
  const tensions = worst.forces.map((f) => f.tension);
  const i = tensions.indexOf(Math.max(...tensions));
  return {
    percent: Math.ceil(worst.use * 100),
    tensionN: tensions[i]!,
    allowableN: carrying.holds[i]!.tension,
    anchors,
  };
}

function schemePlanOf(setting: Setting, { candidate, judged }: Scheme, kit: Kit): SchemePlan {
  const { way, places, plate, fold, x, shift, hard } = candidate;
  const holes = holesOf(setting, candidate) ?? [];
  const stop = hard ?? (judged.ok ? (judged.worst.use > 1 ? 'load-too-great' : undefined) : judged.code);
  return {
    key: keyOf(candidate),
    kind: way.kind,
    shift,
    worstProbability: Math.min(...places.map((p) => p.chance)),
    ...(judged.ok ? { worstUtilisation: judged.worst.use } : {}),
    ...(stop ? { stoppedBy: stop } : {}),
    plateX: x.value,
    ...(plate.armHole === undefined ? {} : { armHole: plate.armHole }),
    ...(fold ? { fold } : {}),
    holes: places.map((p) => ({ x: p.x, y: p.y, into: p.into })),
    bits: [...new Set(holes.filter((h) => !h.done).map((h) => h.bit))].sort((a, b) => a - b),
    parts: partsOf(
      holes,
      places.map((p) => p.fastener),
      kit,
    ),
  };
}

/** Nothing that the school allows: why, and what would help. */
function refused(
  { plate, frame }: SchemeInput,
  setting: Setting,
  { others, gone }: Schemes,
  change: () => LeastChange | undefined,
): Made {
  const { job } = frame;
  const first = others[0]?.candidate;
  const refusal = first?.hard && refusalFinding(first.hard, job, numbersOf(others[0]!.judged, first.places.length));
  const short = plate.lacking.find((f) => f.code === 'no-stud-in-slots')?.values.shortMm;
  const missing = schoolOf(job) === 'rated-anchors' && !setting.ways.some((w) => w.board);
  const why = plate.lacking.length > 0 || !refusal ? plate.lacking : [refusal];
  const changed = why.some((f) => f.level === 'stop') ? change() : undefined;
  const findings = [
    ...why,
    ...(typeof short === 'number' ? angledFinding(short) : []),
    ...(missing ? [finding('anchors-missing', 'caution', 'holes', {})] : []),
    ...(gone === undefined ? [] : [finding('scheme-gone', 'caution', 'holes', { scheme: gone })]),
    ...(changed ? [changeFinding(changed)] : []),
  ];
  if (!changed) return { findings };
  const none: SchemePlan = {
    key: 'none',
    kind: 'none',
    shift: 0,
    worstProbability: 0,
    plateX: plate.x.value,
    holes: [],
    bits: [],
    parts: [],
  };
  return { findings, scheme: { ...none, leastChange: changed } };
}

const changeFinding = ({ kind, by, to }: LeastChange): Finding =>
  finding('least-change', 'info', 'holes', { kind, byMm: by ?? 0, to: to ?? '' });

function changeFor({ frame, base, found, spot }: SchemeInput, mount: Mount, kit: Kit) {
  const { job, centreX, width, height } = frame;
  const bottom = spot.bottom.value;
  const freeX = asPairs(feasible(sidewaysLimits(job, width, { bottom, top: bottom + height.value })));
  return leastChange({
    job,
    mount,
    found,
    centreX,
    kit,
    ranking: base.ranking ?? [],
    freeX,
    passes: (changed: Job, at: Working) => {
      const other = changed.mount ?? mount;
      const there = { ...frame, job: changed, centreX: at };
      const plates = platesOf(there, spot, other);
      const setting = settingOf({
        job: changed,
        mount: other,
        found,
        plan: base,
        centreX: at,
        plates,
        kit: kitOf(changed),
      });
      if ('code' in setting) return false;
      const { best } = chooseScheme(setting, hangingOf(there, spot, other));
      return best !== undefined && passes(best.judged) && best.candidate.doubt < DOUBT_STOP;
    },
  });
}

const DOUBT_STOP = 2;
