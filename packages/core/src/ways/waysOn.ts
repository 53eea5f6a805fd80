import type { Finding, Job, Mount, Plan, Remedy } from '@steddo/contract';
import type { FindingCode } from '../primitives/findings';
import { fixedKind } from './fixedKind';
import { likelyJob } from './likelyJob';

/** What the ways on of a stop are looked for with. */
export interface WayInput {
  /** Mounts of the list, best first. */
  mounts?: readonly Mount[] | undefined;
  job: Job;
  plan: Plan;
  stop: Finding;
}

type Way = Omit<Remedy, 'result' | 'code'>;
type Ways = (input: WayInput) => Way[];

const mm = (value: unknown): number => (typeof value === 'number' ? value : 0);
const ids = (value: unknown): string[] => (Array.isArray(value) ? (value as string[]) : []);
const enter = (path: string, by?: Remedy['by']): Way => ({ kind: 'enter', path, ...(by === undefined ? {} : { by }) });
const anotherMount: Way = { kind: 'other-mount' };
const TIMBERS: Way[] = [{ kind: 'timber' }, { kind: 'noggings' }];

/** Sideways and up and down by a little more each time, both ways: as a hand with the customer's leave would try it. */
const shifts = (kind: 'shift-set' | 'shift-height', most = 600): Way[] => {
  const steps = [20, 40, 70, 110, 160, 240, 350, 500].filter((by) => by <= most);
  return steps.flatMap((by) => [by, -by]).map((by) => ({ kind, by }));
};

/** Where the studs are to be marked: under the doubtful holes; else the known ones and those their spacing leads to. */
function scanEdges({ job, plan, stop }: WayInput): Way[] {
  const { holes = [], placement, studs = [] } = plan;
  const named = ids(stop.values.holes);
  const doubtful = [...new Set(holes.filter((h) => named.includes(h.id)).map((h) => h.x))];
  const middle = placement?.plate?.x ?? placement?.centre.x ?? job.room.wall.width / 2;
  const y = placement?.centre.y ?? job.room.wall.height / 2;
  const needed = job.mount?.studs?.count ?? 2;
  const spacing = job.room.wall.build.spacing ?? USUAL_SPACING_MM;
  const under = [...studs].map((s) => s.centre).sort((a, b) => Math.abs(a - middle) - Math.abs(b - middle));
  const first = mm(stop.values.atMm) || under[0];
  const about = Array.from({ length: needed }, (_, i) => middle + (i - (needed - 1) / 2) * spacing);
  const fromOne =
    first === undefined
      ? about
      : Array.from({ length: needed }, (_, i) => first + i * (first <= middle ? spacing : -spacing));
  const wall =
    typeof stop.values.onWall === 'string' && stop.values.onWall !== 'main'
      ? { wall: stop.values.onWall as 'left' | 'right' }
      : {};
  const lists = doubtful.length > 0 ? [doubtful] : [fromOne, about];
  return lists.map((xs) => ({ kind: 'evidence', what: 'scan-edges', x: xs[0]!, y, xs, ...wall }));
}
const USUAL_SPACING_MM = 406.4;

const traceSheet: Ways = ({ plan }) => [
  { kind: 'evidence', what: 'trace-sheet', x: plan.placement?.centre.x ?? 0, y: plan.placement?.centre.y ?? 0 },
];

/** Fasteners of the kit that hold in the same, the nearest in size first. */
const otherFasteners: Ways = ({ job, plan }) => {
  const kind = fixedKind(job, plan);
  const masonry = kind === 'masonry';
  const holds = (k: string) => (masonry ? k.startsWith('masonry') : k === 'self-tapping');
  const own = job.mount?.walls[kind]?.fixing?.id;
  return (job.anchors ?? [])
    .filter((a) => holds(a.kind) && a.length !== undefined && a.diameter !== undefined && a.id !== own)
    .map((a) => ({ kind: 'other-fastener', by: a.id }));
};

const lengthOf = ({ job, plan }: WayInput): number => job.mount?.walls[fixedKind(job, plan)]?.fixing?.length ?? 0;
const fixingPath = ({ job, plan }: WayInput, field?: string): string =>
  ['mount.walls', fixedKind(job, plan), 'fixing', ...(field ? [field] : [])].join('.');

/** A longer or a shorter screw of the same kind, by so much, in steps that are sold. */
const otherLength = (input: WayInput, by: number): Way[] => [
  enter(fixingPath(input, 'length'), Math.ceil((lengthOf(input) + by) / 1) + (by > 0 ? 2 : -1)),
];

const TRADES: Record<string, NonNullable<Remedy['trade']>> = {
  cable: 'electrician',
  live: 'electrician',
  pipe: 'plumber',
  gas: 'gas',
  duct: 'builder',
};
const notHere = (what: unknown): Way => ({ kind: 'not-here', trade: TRADES[String(what)] ?? 'builder' });
const away: Ways = () => [...shifts('shift-set'), ...shifts('shift-height', 350)];

const look: Ways = ({ stop }) => [{ kind: 'evidence', what: 'look', x: mm(stop.values.xMm), y: mm(stop.values.yMm) }];

const moveThing: Ways = ({ stop }) => ids([stop.values.object].flat()).map((id) => enter(`room.objects.${id}`));

/** Heights that leave something give way by the least, as the finding has it; else what is in the way is moved. */
const heightWays: Ways = ({ job, stop }) => {
  const sideways = mm(stop.values.sidewaysMm);
  const named = ids(stop.values.constraints).flatMap((c) => {
    const [what = '', id = ''] = c.split(':');
    if (what === 'ceiling') return [enter('aim.ceilingGap', 0)];
    return what === 'object' || what === 'soundbar' || what === 'plate'
      ? id && id !== 'floor' && id !== 'ceiling'
        ? [enter(`room.objects.${id}`)]
        : []
      : [];
  });
  const choice: Way[] = job.choices?.armHole === undefined ? [] : [{ kind: 'let-go', by: 'armHole' }];
  return [
    ...choice,
    ...named,
    ...(sideways === 0 ? [] : [{ kind: 'shift-set' as const, by: sideways }]),
    ...shifts('shift-set'),
  ];
};

const cornerWays: Ways = ({ job, stop, mounts }) => {
  const now = job.choices?.cornerGap ?? 0;
  const asked = mm(stop.values.gapMm);
  const gaps = [...(asked > 0 ? [asked] : []), ...[20, 40, 60, 90, 130, 180, 250].map((by) => now + by)];
  const turns = [10, -10, 20, -20, 30, -30];
  return [
    ...gaps.map((by) => ({ kind: 'corner-gap' as const, by })),
    ...turns.flatMap((turn) => [now, now + 60, now + 130].map((by) => ({ kind: 'corner-gap' as const, by, turn }))),
    ...(mounts ?? [])
      .filter((m) => m.type === job.mount?.type && m.id !== job.mount.id)
      .map((m) => ({ kind: 'other-mount' as const, by: m.id })),
  ];
};

/** What is tried for each stop, in the order in which it is offered: a field, evidence, a change, another fastener, another mount. */
export const WAYS: Partial<Record<FindingCode, Ways>> = {
  'fixing-unknown': (i) => [enter(`mount.walls.${String(i.stop.values.kind)}.fixing`), anotherMount],
  'no-rating': (i) => [
    enter(fixingPath(i, 'tension')),
    ...traceIfSheet(i),
    enter(fixingPath(i)),
    ...otherFasteners(i),
    anotherMount,
  ],
  'never-in-board': (i) => [enter(fixingPath(i)), anotherMount],
  'lag-off-table': (i) => [enter(fixingPath(i)), anotherMount],
  'lag-too-short': (i) => [
    ...otherLength(i, Math.max(1, mm(i.stop.values.needMm) - mm(i.stop.values.threadMm))),
    ...TIMBERS,
    anotherMount,
  ],
  'lags-too-close': (i) => [...TIMBERS, enter(fixingPath(i)), anotherMount],
  'masonry-too-short': (i) => [
    ...otherFasteners(i),
    ...otherLength(i, mm(i.stop.values.needMm) - mm(i.stop.values.haveMm)),
    anotherMount,
  ],
  'backing-not-reached': (i) => [...otherLength(i, mm(i.stop.values.shortMm) + 25), ...otherFasteners(i), anotherMount],
  'backing-part-held': (i) => [
    ...otherLength(i, mm(i.stop.values.thicknessMm) - mm(i.stop.values.engagedMm)),
    ...otherFasteners(i),
  ],
  'screw-through': (i) => [
    ...otherLength(i, -mm(i.stop.values.byMm) - 4),
    { kind: 'pack', by: Math.ceil(mm(i.stop.values.byMm) + 4) },
    ...otherFasteners(i),
  ],
  'head-through-slot': (i) => [enter(fixingPath(i, 'washer'), 2), ...otherFasteners(i)],
  'rated-for-board': () => [...TIMBERS, ...shifts('shift-set')],
  'grip-outside': () => [...TIMBERS, ...shifts('shift-set')],
  'unrated-on-lath': () => [...TIMBERS, ...shifts('shift-set')],
  'board-unsound': () => [
    ...TIMBERS,
    ...shifts('shift-set', 240),
    anotherMount,
    ...shifts('shift-height', 240),
    { kind: 'not-here', trade: 'builder' },
  ],
  'sheet-too-thin': () => [...TIMBERS, ...shifts('shift-set'), { kind: 'not-here', trade: 'builder' }],
  'steel-refused': () => [anotherMount],
  'anchors-refused': (i) => [...scanEdges(i), ...TIMBERS, ...shifts('shift-set'), anotherMount],
  'studs-not-sought': (i) => [...scanEdges(i), ...TIMBERS, ...shifts('shift-set')],
  'arm-on-anchors': (i) => [...scanEdges(i), ...TIMBERS, ...shifts('shift-set', 240), anotherMount],
  'large-on-anchors': (i) => [...scanEdges(i), ...TIMBERS, ...shifts('shift-set', 240), anotherMount],
  'arm-on-anchors-refused': (i) => [...scanEdges(i), ...TIMBERS, ...shifts('shift-set'), anotherMount],
  'large-on-anchors-refused': (i) => [...scanEdges(i), ...TIMBERS, ...shifts('shift-set')],
  'find-the-stud-first': (i) => [...scanEdges(i), ...TIMBERS, ...shifts('shift-set')],
  'no-stud-in-slots': (i) => [
    ...(mm(i.stop.values.byMm)
      ? [
          {
            kind: 'shift-set' as const,
            by: Math.ceil(Math.abs(mm(i.stop.values.byMm))) * Math.sign(mm(i.stop.values.byMm)),
          },
        ]
      : []),
    ...letGo(i, 'plateX'),
    ...TIMBERS,
    ...shifts('shift-set'),
    ...scanEdges(i),
    anotherMount,
  ],
  'slots-too-few': (i) => [enter(fixingPath(i)), anotherMount],
  'stud-doubtful': (i) => [...scanEdges(i), ...TIMBERS, ...shifts('shift-set')],
  'trace-the-sheet': traceSheet,
  'in-joint': (i) => [
    ...jointShift(i),
    ...otherFasteners(i),
    ...shifts('shift-height', 70),
    ...shifts('shift-set', 120),
    enter(fixingPath(i), SMALL_HOLE_MM),
    anotherMount,
  ],
  'backing-missed': (i) => [...traceSheet(i), ...shifts('shift-set'), ...shifts('shift-height', 350)],
  'backing-edges-unmarked': traceSheet,
  'skin-unknown': (i) => [
    i.stop.values.lacking === 'length' ? enter(fixingPath(i, 'length'), 19) : enter('room.wall.build.depth', 60),
  ],
  'thing-at-holes': (i) => [
    ...shifts('shift-set', 350),
    ...ids(i.stop.values.objects).map((id) => enter(`room.objects.${id}`)),
    ...shifts('shift-height', 240),
    { kind: 'enter', path: 'room.objects' },
    anotherMount,
  ],
  'plate-off-wall': (i) => [
    ...letGo(i, 'plateX'),
    { kind: 'shift-set', by: Math.ceil(mm(i.stop.values.byMm)) * (i.stop.values.end === 'left' ? 1 : -1) },
    ...shifts('shift-set'),
  ],
  'free-edge-near': (i) => [
    anotherMount,
    ...shifts('shift-set', 240),
    ...shifts('shift-height', 240),
    ...(i.job.room.wall.zones ? [enter('room.wall.zones')] : []),
  ],
  'no-place-here': (i) => [
    ...letGo(i, 'plateX'),
    ...letGo(i, 'timber'),
    ...shifts('shift-set', 240),
    anotherMount,
    ...scanEdges(i),
    enter(fixingPath(i)),
    ...(i.job.room.wall.zones ? [enter('room.wall.zones')] : []),
  ],
  'no-bit': (i) => [enter(fixingPath(i, 'pilot'), 5), enter(fixingPath(i))],
  'load-too-great': (i) => [
    ...TIMBERS,
    ...otherFasteners(i),
    ...shifts('shift-set', 240),
    anotherMount,
    ...withTrace(i),
    { kind: 'not-here', trade: 'builder' },
  ],
  'load-unknown': (i) => [...TIMBERS, enter(fixingPath(i)), anotherMount],
  'timber-load': (i) => [enter('lags', 127), ...letGo(i, 'timber')],
  'timber-no-lag': (i) => [enter('lags', Math.ceil(mm(i.stop.values.overMm)) + 76), ...letGo(i, 'timber')],
  'timber-no-studs': (i) => [...scanEdges(i), ...letGo(i, 'timber')],
  'packing-needed': (i) => [{ kind: 'pack', by: mm(i.stop.values.stepMm) }, ...away(i)],
  'felt-something': look,
  'seen-at-hole': (i) => [
    ...(i.stop.values.what === 'live' ? holesLooked(i) : []),
    ...away(i),
    notHere(i.stop.values.what),
  ],
  'seen-at-opening': (i) => [...moveThing(i), notHere(i.stop.values.what)],
  'height-conflict': heightWays,
  'sideways-conflict': (i) => [
    ...ids(i.stop.values.constraints).flatMap((c) =>
      c.startsWith('object:') ? [enter(`room.objects.${c.slice(7)}`)] : [],
    ),
    { kind: 'not-here', trade: 'installer' },
  ],
  'centre-needs-object': () => [enter('aim.centre', 'wall')],
  'school-needs-object': () => [enter('aim.height', 'eyes')],
  'arm-hole-missing': (i) => letGo(i, 'armHole'),
  'plate-beyond-slide': (i) => letGo(i, 'plateX'),
  'mount-mass': () => [anotherMount, { kind: 'not-here', trade: 'installer' }],
  'mount-pattern': () => [anotherMount],
  'mount-wall': (i) => [anotherMount, ...away(i)],
  'mount-covering': () => [anotherMount],
  'mount-spacing': () => [anotherMount],
  'mount-plate-room': (i) => [...away(i), anotherMount],
  'mount-room-kind': () => [{ kind: 'other-mount', by: 'kind' }],
  'viewer-inside-set': (i) => (i.job.room.viewers ?? []).map((v) => enter(`room.viewers.${v.id}`)),
  'folded-blocked': (i) => [...shifts('shift-set', 350), anotherMount, ...blocker(i), enter('room.objects')],
  'screw-none': (i) => [
    enter('mount.bag.screws', mm(i.stop.values.lengthMm) > 0 ? mm(i.stop.values.lengthMm) : mm(i.stop.values.toMm)),
  ],
  'insert-too-shallow': (i) => [enter('screen.insert.depth', Math.ceil(mm(i.stop.values.needMm)) + 2)],
  'heat-at-set': () => [enter('room.heat'), ...shifts('shift-height', 500)],
  'flue-clearance': () => [
    ...shifts('shift-set', 350),
    enter('room.rules.flue-clearance'),
    ...shifts('shift-height', 240),
  ],
  'mantel-clearance': (i) => [enter('room.rules.mantel-clearance'), ...moveThing(i)],
  'mantel-no-course': (i) => [
    ...(i.stop.values.heightMm
      ? [enter(`room.objects.${String(i.stop.values.object)}.ledger.height`, mm(i.stop.values.heightMm))]
      : []),
    ...moveThing(i),
  ],
  'mantel-no-fixing': () => [enter('anchors')],
  'mantel-load': moveThing,
  'box-bay-unknown': (i) => [...scanBay(i), ...moveThing(i)],
  'box-does-not-fit': moveThing,
  'box-meets-wood': (i) => [
    enter(`room.objects.${String(i.stop.values.object)}`, mm(i.stop.values.byMm)),
    ...moveThing(i),
  ],
  'box-nogging': moveThing,
  'box-too-deep': moveThing,
  'box-not-hollow': moveThing,
  'box-flue': (i) => [...moveThing(i), enter('room.rules.flue-clearance')],
  'box-flue-unasked': () => [enter('room.rules.flue-clearance')],
  'corner-no-wood': (i) => [...cornerWays(i), { kind: 'not-here', trade: 'builder' }],
  'corner-foot-off': cornerWays,
  'corner-link-short': cornerWays,
  'corner-bracket-in-wall': cornerWays,
  'corner-arm-short': cornerWays,
  'corner-turn-short': cornerWays,
  'corner-thing-in-way': cornerWays,
};

/** A masonry screw of 1/4 in. */
const SMALL_HOLE_MM = 6.35;

/** What the folded set or its plate comes against. */
const blocker: Ways = ({ stop }) => {
  const [what = '', id = ''] = String(stop.values.by ?? '').split(':');
  return what === 'object' && id ? [enter(`room.objects.${id}`)] : [];
};

/** A sheet whose edges nobody has marked may be missed and not only weak. */
const withTrace: Ways = (i) => (fixedKind(i.job, i.plan).endsWith('backing') ? traceSheet(i) : []);

const letGo = ({ job }: WayInput, choice: 'plateX' | 'armHole' | 'timber'): Way[] =>
  job.choices?.[choice] === undefined ? [] : [{ kind: 'let-go', by: choice }];

const traceIfSheet = (i: WayInput): Way[] =>
  fixedKind(i.job, i.plan).endsWith('backing') ? [enter('room.wall.build.thickness', 18)] : [];

const jointShift = ({ stop }: WayInput): Way[] =>
  typeof stop.values.upMm === 'number' ? [{ kind: 'shift-height', by: stop.values.upMm }] : [];

/** Both bays beside each hole where a finder showed a live wire. */
const holesLooked = ({ plan, stop }: WayInput): Way[] => {
  const hole = plan.holes?.find((h) => ids(stop.values.holes).includes(h.id));
  return hole ? [{ kind: 'evidence', what: 'look', x: hole.x, y: hole.y }] : [];
};

const scanBay = ({ job, stop }: WayInput): Way[] => {
  const box = job.room.objects?.find((o) => o.id === stop.values.object);
  return box
    ? [{ kind: 'evidence', what: 'scan-edges', x: box.left - 20, y: box.bottom, xs: [box.left - 20, box.right + 20] }]
    : [];
};

/** So many ways are offered for a stop, and so many tried. */
const MOST_OFFERED = 3;
const MOST_TRIED = 24;

/** Evidence and fields first, where a doubt is what decides; the rest as the parts of the plan offer it. */
const isFirst = ({ kind, path = '' }: Pick<Remedy, 'kind' | 'path'>): boolean =>
  kind === 'evidence' || (kind === 'enter' && !path.endsWith('.fixing.length'));

/**
 * Ways on for every stop of a plan, each tried: the job as it would likely be is planned again by `again`, and what
 * leaves the stop there is left out. `offered` are the ways that the parts of the plan have found already.
 */
export function waysOn(
  job: Job,
  plan: Plan,
  { offered, mounts }: { offered: readonly Remedy[]; mounts?: readonly Mount[] | undefined },
  again: (job: Job) => Plan,
): Remedy[] {
  const stops = plan.findings.filter((f) => f.level === 'stop' && !f.acknowledged);
  if (stops.length === 0) return [...offered];
  const tries = new Map<string, Plan | undefined>();
  const comes = (way: Remedy): Plan | undefined => {
    const key = JSON.stringify([way.kind, way.by, way.path, way.what, way.x, way.xs, way.turn]);
    if (!tries.has(key)) {
      const likely = likelyJob(way, job, plan, mounts);
      tries.set(key, likely && again(likely));
    }
    return tries.get(key);
  };
  const made: Remedy[] = [];
  for (const stop of stops) {
    const own = offered.filter(
      (o) => !made.some((m) => isSame(m, o)) && takes(stop, plan, comes({ ...o, code: stop.code })),
    );
    const more = newWays({ job, plan, stop, mounts }, own, comes);
    made.push(
      ...[...more.filter(isFirst), ...own, ...more.filter((w) => !isFirst(w))].map((w) => ({ ...w, code: stop.code })),
    );
  }
  return made;
}

const isSame = (a: Pick<Remedy, 'kind' | 'by'>, b: Pick<Remedy, 'kind' | 'by'>): boolean =>
  a.kind === b.kind && a.by === b.by;

const stopsOf = ({ findings }: Plan): string[] =>
  findings.filter((f) => f.level === 'stop' && !f.acknowledged).map((f) => f.code);

/** What has to be right before the next can be judged: label and wall, place, wood, holes, hold; load last. */
const GATES: readonly (readonly string[])[] = [
  [
    ...[
      'mount-room-kind',
      'mount-wall',
      'mount-mass',
      'mount-pattern',
      'mount-covering',
      'mount-spacing',
      'fixing-unknown',
    ],
    ...['no-rating', 'never-in-board', 'lag-off-table', 'steel-refused', 'trace-the-sheet', 'centre-needs-object'],
    'school-needs-object',
  ],
  [
    'height-conflict',
    'sideways-conflict',
    'plate-off-wall',
    'plate-beyond-slide',
    'corner-link-short',
    'corner-foot-off',
  ],
  [
    ...[
      'find-the-stud-first',
      'no-stud-in-slots',
      'slots-too-few',
      'thing-at-holes',
      'free-edge-near',
      'no-place-here',
    ],
    ...['corner-no-wood', 'anchors-refused', 'studs-not-sought', 'arm-on-anchors-refused', 'large-on-anchors-refused'],
    ...['rated-for-board', 'grip-outside', 'unrated-on-lath', 'board-unsound', 'backing-unknown'],
  ],
  [
    'stud-doubtful',
    'stud-disputed',
    'in-joint',
    'backing-missed',
    'backing-edges-unmarked',
    'seen-at-hole',
    'packing-needed',
  ],
  [
    ...['lag-too-short', 'lags-too-close', 'masonry-too-short', 'sheet-too-thin', 'head-through-slot', 'screw-through'],
    ...['backing-not-reached', 'backing-part-held', 'skin-unknown', 'no-bit', 'timber-no-lag'],
  ],
];

const gateOf = (code: string): number => {
  const at = GATES.findIndex((gate) => gate.includes(code));
  return at < 0 ? GATES.length : at;
};

/** Whether a stop is gone in a plan, and none has come for it that was not there. */
function takes(stop: Finding, before: Plan, after: Plan | undefined): boolean {
  if (!after) return false;
  const [was, is] = [stopsOf(before), stopsOf(after)];
  // what a stop has hidden may come to light behind it; nothing that comes before it may be new
  return !is.includes(stop.code) && is.every((code) => was.includes(code) || gateOf(code) > gateOf(stop.code));
}

/** The ways of a stop's own row that take it away; one that ends in a plan without any stop is worth more. */
function newWays(input: WayInput, own: readonly Remedy[], comes: (way: Remedy) => Plan | undefined): Remedy[] {
  const { stop } = input;
  const found: Remedy[] = [];
  const all = WAYS[stop.code as FindingCode]?.(input) ?? [];
  let count = 0;
  for (const way of all) {
    if (way.kind === 'not-here') continue;
    if (found.length + own.length >= MOST_OFFERED || count >= MOST_TRIED) break;
    // one of a kind is enough, and the least of it comes first
    if (
      [...own, ...found].some(
        (f) => f.kind === way.kind && f.path === way.path && (f.kind !== 'evidence' || f.what === way.what),
      )
    )
      continue;
    count += 1;
    const remedy: Remedy = { ...way, code: stop.code, result: { verdict: 'stop' } };
    const after = comes(remedy);
    if (!takes(stop, input.plan, after)) continue;
    const result = { verdict: after!.verdict, ...(after!.loads ? { utilisation: after!.loads.worst } : {}) };
    found.push({ ...remedy, result });
  }
  // nothing of all that was tried helps: another place for the TV, or the trade whose work it is
  const last = all.find((w) => w.kind === 'not-here') ?? { kind: 'not-here', trade: 'installer' };
  const spare: Remedy[] = [{ ...last, result: { verdict: 'stop' } }];
  const acknowledged: Remedy[] = stop.acknowledgeable ? [{ kind: 'acknowledge', result: { verdict: 'caution' } }] : [];
  return [...found, ...acknowledged, ...(found.length + own.length + acknowledged.length === 0 ? spare : [])];
}
